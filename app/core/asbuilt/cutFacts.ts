import type { Length } from '~/length'
import type { Act, ReleasedPiece } from '~/model'
import { isCut } from '../marks/marked'
import type { LeftPiece, OpenBoard } from '../stock/openBoards'
import { lengthNow, type Release, releasedOf, type ReleasedState, releaseOf } from './release'

/** What was cut of a wall on the job's boards rather than at its own list. */
export interface CutElsewhere {
  /** Pieces by their ids, each as it was cut. */
  readonly pieces: readonly { readonly id: string; readonly material: string; readonly length: Length }[]
  /** Open boards of this wall, by material and number, that are used up or racked. */
  readonly closed: readonly { readonly material: string; readonly number: number }[]
  /** Pieces cut for nothing that others were cut from since, by name. */
  readonly used: readonly string[]
}
export const NOTHING_ELSEWHERE: CutElsewhere = { pieces: [], closed: [], used: [] }

/** What has been cut of a wall, and from which boards: what is asked before anything is bought or planned for it. */
export interface CutFacts {
  readonly release: Release | null
  /** It was said that the whole wall is cut. */
  readonly isCut: boolean
  readonly elsewhere: CutElsewhere
  /** Boards that something was cut from, as far as it was said from which. */
  readonly open: readonly OpenBoard[]
  /** Pieces cut for nothing that others were cut from since, by name. */
  readonly used: readonly string[]
}
export const NOTHING_CUT: CutFacts = {
  release: null,
  isCut: false,
  elsewhere: NOTHING_ELSEWHERE,
  open: [],
  used: [],
}

/** A piece that a board gave. */
interface Taken {
  readonly name: string
  readonly piece: ReleasedPiece
  readonly length: Length
  spoiled: boolean
}

/** What two cuts of one board take between them at most, where the saw is not known: a quarter inch. A guess of ours, no source. */
const BETWEEN = 6_350_000

/** Whether one more piece of such a length can have come out of a board, beside what it gave. */
function hasRoom({ length, takes }: { length: Length; takes: readonly Taken[] }, more: Length): boolean {
  return takes.reduce((sum, take) => sum + take.length + BETWEEN, 0) + more <= length
}

interface Settled {
  readonly struck: ReadonlySet<string>
  readonly spare: ReadonlySet<string>
}

function settledOf(acts: readonly Act[]): Settled {
  const of = (kind: 'struck' | 'spare') =>
    new Set(acts.flatMap((act) => (act.kind === kind ? [act.entry] : [])))
  return { struck: of('struck'), spare: of('spare') }
}

/**
 * The boards that pieces were cut from, each with what it gave and what of that was spoiled, by what was ticked; and the pieces that
 * others were cut from.
 */
function cutFromOf(acts: readonly Act[]): Pick<CutFacts, 'open' | 'used'> {
  const pieces = new Map(
    releasedOf(acts).flatMap((list) =>
      list.pieces.map((piece) => [`${list.id} ${piece.name}`, piece] as const),
    ),
  )
  const reads = new Map<string, Length | null>()
  const boards = new Map<string, Omit<OpenBoard, 'pieces'> & { takes: Taken[] }>()
  const last = new Map<string, { take: Taken; of: { number: number; takes: Taken[] } }>()
  const settled = settledOf(acts)
  const spares: { take: Taken; of: { length: Length; takes: Taken[] } }[] = []
  const used = new Map<string, string>()
  for (const act of [...acts].sort((a, b) => a.doneAt - b.doneAt)) {
    if (!('piece' in act)) continue
    const piece = pieces.get(`${act.release} ${act.piece}`)
    if (!piece) continue
    const known = last.get(act.piece)
    if (act.kind === 'readTrue') reads.set(act.piece, act.length)
    else if ((act.kind === 'pieceCut' || (act.kind === 'pieceUp' && !known)) && act.board) {
      const { number, length, of = null } = act.board
      if (of !== null && !known) used.set(act.piece, of)
      if (number === undefined) continue
      const key = `${piece.materialId} ${number}`
      const board = boards.get(key) ?? { materialId: piece.materialId, number, length, of, takes: [] }
      const { cutLength } = lengthNow({ piece, read: reads.get(act.piece) ?? null })
      const take: Taken = { name: act.piece, piece, length: cutLength, spoiled: known !== undefined }
      // cut twice: the second took its wood too, and is no piece of the wall, unless it was one cut ticked twice
      if (known && settled.struck.has(act.id)) continue
      if (known?.of.number === number) {
        if (settled.spare.has(act.id)) spares.push({ take, of: board })
        continue
      }
      boards.set(key, board)
      board.takes.push(take)
      if (!known) last.set(act.piece, { take, of: board })
    } else if (act.kind === 'pieceUncut') {
      used.delete(act.piece)
      if (!known) continue
      known.of.takes = known.of.takes.filter((take) => take !== known.take)
      last.delete(act.piece)
    } else if (act.kind === 'spoiled' && known) {
      known.take.spoiled = true
      last.delete(act.piece)
    }
  }
  // a spare from the same board as its piece: where that has room for it beside all else it gave
  for (const { take, of } of spares) if (hasRoom(of, take.length)) of.takes.push(take)
  const open = [...boards.values()].flatMap(({ takes, ...board }) =>
    takes.length === 0
      ? []
      : [
          {
            ...board,
            pieces: takes.map(({ name, piece, length, spoiled }) => ({
              pieceId: piece.pieceId,
              label: name,
              length,
              spoiled,
            })),
          },
        ],
  )
  return { open, used: [...used.values()] }
}

/** The open boards that are still the wall's: those the job's boards used up, or know as cut, are not. */
export function openNow(open: readonly OpenBoard[], { closed, pieces }: CutElsewhere): OpenBoard[] {
  const shut = new Set(closed.map(({ material, number }) => `${material} ${number}`))
  const gone = new Set(pieces.map(({ id }) => id))
  return open.filter(
    (board) =>
      !shut.has(`${board.materialId} ${board.number}`) &&
      !board.pieces.some(({ pieceId }) => gone.has(pieceId)),
  )
}

/** What of a wall is cut, by what was ticked at its list and by what was cut on the job's boards. */
export function cutFacts(acts: readonly Act[], elsewhere: CutElsewhere = NOTHING_ELSEWHERE): CutFacts {
  const { open, used } = cutFromOf(acts)
  return {
    release: releaseOf(acts),
    isCut: isCut(acts),
    elsewhere,
    open: openNow(open, elsewhere),
    used: [...used, ...elsewhere.used],
  }
}

/**
 * What a cut piece is as stuff for others: as long as its shorter edge, by its reading where it was read; null where it is not plain and as wide
 * as its material.
 */
export function asStuff(state: ReleasedState): LeftPiece | null {
  const { piece } = state
  const { name, materialId, notches, laps, taper, ripTo } = piece
  const length = piece.shortLength + lengthNow(state).longLength - piece.longLength
  const isPlain = notches.length + laps.length === 0 && !taper && ripTo === null && length > 0
  return isPlain ? { name, materialId, length: length as Length } : null
}

/** Of pieces cut for nothing those that something shorter can be cut from: not used so already. */
export function leftPieces({ release, used }: CutFacts, over: ReadonlySet<string>): LeftPiece[] {
  const isUsed = new Set(used)
  const all = [...(release?.pieces.filter(({ cutAt }) => cutAt !== null) ?? []), ...(release?.leftOver ?? [])]
  return all.flatMap((state): LeftPiece[] => {
    const stuff = asStuff(state)
    return stuff && over.has(stuff.name) && !isUsed.has(stuff.name) ? [stuff] : []
  })
}
