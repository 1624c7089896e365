import { type Length, nearestNanometer } from '~/length'
import type { MoveKind } from '~/model'
import type { Layout } from '../layout/layout'
import { endCutKey, type EndCut, type Piece } from '../pieces'
import type { BatchAdvice } from './batchAdvice'

/** The slants of one move that run from face to face: whether they are all alike, or each its own, and by how much. */
export interface LineGroup {
  readonly moveId: string
  readonly nth: number
  readonly kind: MoveKind
  readonly pieces: number
  /** Of them, those alike to the largest set within the fitting tolerance. */
  readonly alike: number
  /** How much the longest of the rest differs from those alike: 0 where all are. */
  readonly differs: Length
  /** Those with other ends: cut short by the frame or by what stands on the wall. */
  readonly short: number
  /** The pieces that run from face to face alike, by their ids. */
  readonly kin: readonly string[]
  /** How they are cut: what is said of each of their rows, of rows that differ the one that is no batch. */
  readonly advice: BatchAdvice
}
/** A group before it is asked how it is cut. */
export type LineShape = Omit<LineGroup, 'advice'>

/** Saw settings this near are one. */
const SAME_DEG = 0.1

/** An end that no single setting of the saw makes, since it dies into a corner. */
export function isIntoCorner(cut: EndCut): boolean {
  return degOf(cut) === null
}

function degOf(cut: EndCut): number | null {
  return cut.kind === 'square' ? 0 : cut.kind === 'miter' ? cut.sawSettingDeg : null
}

/** Ends nearer than this are of one kind, though bays that differ make them differ. */
const KIN_DEG = 5

/** Whether the ends of two slants are cut alike, as they are or turned end for end. */
function sameEnds(a: Piece, b: Piece, within: number): boolean {
  const [p, q] = [a, b].map(({ start, end }) => [degOf(start), degOf(end)] as const)
  const near = (one?: number | null, other?: number | null) =>
    typeof one === 'number' && typeof other === 'number' && Math.abs(one - other) < within
  const straight = near(p?.[0], q?.[0]) && near(p?.[1], q?.[1])
  const turned = near(p?.[0], q?.[1]) && near(p?.[1], q?.[0])
  const exactly = endCutKey(a.start) === endCutKey(b.start) && endCutKey(a.end) === endCutKey(b.end)
  return straight || turned || exactly
}

/** Both ends are cut alike and parallel: from one face to another that is parallel to it. */
function isParallel({ start, end }: Piece): boolean {
  if (start.kind === 'square' || end.kind === 'square') return start.kind === end.kind
  return (
    start.kind === 'miter' &&
    end.kind === 'miter' &&
    start.longEdge !== end.longEdge &&
    Math.abs(start.sawSettingDeg - end.sawSettingDeg) < SAME_DEG
  )
}

/** Whether two slants do the same on the wall, though bays that differ make them differ. */
function isKin(a: Piece, b: Piece): boolean {
  return isParallel(a) ? isParallel(b) : !isParallel(b) && sameEnds(a, b, KIN_DEG)
}

/** Whether two slants can be cut from one setting and one stop, or its mirror image: within so much. */
function alike(a: Piece, b: Piece, within: number): boolean {
  return (
    a.materialId === b.materialId &&
    Math.abs(a.longLength - b.longLength) <= within &&
    sameEnds(a, b, SAME_DEG)
  )
}

/** The slants of each move by their shape: those alike where the bays are truly equal, and how far the rest of their kind differ. */
export function lineGroups({ moves }: Layout, pieces: readonly Piece[], fit: number): LineShape[] {
  if (!moves) return []
  return moves.moves.flatMap(({ id, kind, stripIds }, i): LineShape[] => {
    const own = new Set(stripIds)
    const of = pieces.filter(({ stripId }) => own.has(stripId))
    if (of.length === 0) return []
    const sets: Piece[][] = []
    for (const piece of of) {
      const set = sets.find(([first]) => first !== undefined && alike(first, piece, fit))
      if (set) set.push(piece)
      else sets.push([piece])
    }
    const [largest = []] = [...sets].sort((a, b) => b.length - a.length)
    const [like] = largest
    // what the frame or something on the wall cuts short has other ends, and a card of its own
    const kin = of.filter((piece) => like !== undefined && isKin(like, piece))
    const differs = Math.max(
      0,
      ...kin.map(({ longLength }) => Math.abs(longLength - (like?.longLength ?? 0))),
    )
    return [
      {
        moveId: id,
        nth: i + 1,
        kind,
        pieces: of.length,
        alike: largest.length,
        differs: nearestNanometer(differs <= fit ? 0 : differs),
        short: of.length - kin.length,
        kin: kin.map(({ id }) => id),
      },
    ]
  })
}
