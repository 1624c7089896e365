import { type Length, nearestNanometer } from '~/length'
import type { MoveKind } from '~/model'
import type { Layout } from '../layout/layout'
import { endCutKey, type EndCut, type Piece } from '../pieces'

/** How the slants of one move are cut: in one batch, each measured, or held up and marked. */
export type SlantWay = 'batch' | 'measure' | 'holdUp'

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
  readonly way: SlantWay
}

/** Saw settings this near are one. */
const SAME_DEG = 0.1

function degOf(cut: EndCut): number | null {
  return cut.kind === 'square' ? 0 : cut.kind === 'miter' ? cut.sawSettingDeg : null
}

/** Whether two slants can be cut from one setting and one stop, or its mirror image: within so much. */
function alike(a: Piece, b: Piece, within: number): boolean {
  if (a.materialId !== b.materialId || Math.abs(a.longLength - b.longLength) > within) return false
  const [p, q] = [a, b].map(({ start, end }) => [degOf(start), degOf(end)])
  const same = (
    x: readonly (number | null)[] | undefined,
    y: readonly (number | null)[] | undefined,
    turned: boolean,
  ) =>
    [0, 1].every((i) => {
      const [one, other] = [x?.[i], y?.[turned ? 1 - i : i]]
      return typeof one === 'number' && typeof other === 'number' && Math.abs(one - other) < SAME_DEG
    })
  return (
    same(p, q, false) ||
    same(p, q, true) ||
    (endCutKey(a.start) === endCutKey(b.start) && endCutKey(a.end) === endCutKey(b.end))
  )
}

/**
 * The slants of each move, told apart: where the bays are truly equal they are all alike, and one batch; where they differ by more than
 * the tolerance each is measured; ends that no single setting makes are held up and marked.
 */
export function lineGroups({ moves }: Layout, pieces: readonly Piece[], fit: number): LineGroup[] {
  if (!moves) return []
  return moves.moves.flatMap(({ id, kind, stripIds }, i): LineGroup[] => {
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
    const like = largest[0]?.longLength ?? 0
    const differs = Math.max(0, ...of.map(({ longLength }) => Math.abs(longLength - like)))
    const marked = of.some(({ start, end }) => degOf(start) === null || degOf(end) === null)
    return [
      {
        moveId: id,
        nth: i + 1,
        kind,
        pieces: of.length,
        alike: largest.length,
        differs: nearestNanometer(differs <= fit ? 0 : differs),
        way: marked ? 'holdUp' : sets.length < of.length || of.length === 1 ? 'batch' : 'measure',
      },
    ]
  })
}
