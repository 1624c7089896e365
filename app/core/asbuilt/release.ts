import { addLengths, type Length, subtractLengths } from '~/length'
import type { Act, Released, ReleasedPiece } from '~/model'
import { type CutRow, endCutKey, SAME_WITHIN, sameRecesses } from '../pieces'
import { isCut } from '../marks/marked'

/** A piece that was spoiled, and what the next was cut from. */
export interface Spoiled {
  readonly actId: string
  readonly from: 'spare' | 'board'
  readonly doneAt: number
}

/** A piece of the list in force, with what happened to it. */
export interface ReleasedState {
  readonly piece: ReleasedPiece
  readonly cutAt: number | null
  readonly upAt: number | null
  /** Where its strip's left edge was laid out when it went up; null where nobody said. */
  readonly upLeft: Length | null
  /** The same of a horizontal's bottom. */
  readonly upBottom: Length | null
  /** Left for later, and not up since. */
  readonly skipped: boolean
  /** How long it truly is, read on the wall. */
  readonly built: Length | null
  /** What its opening was read at; null where it goes by the plan. */
  readonly read: Length | null
  readonly spoiled: readonly Spoiled[]
}

/** The list that is at the saw: the last that was released. */
export interface Release {
  readonly id: string
  readonly doneAt: number
  readonly pieces: readonly ReleasedState[]
  /** Pieces of earlier lists that were cut and that this one has no more. */
  readonly leftOver: readonly ReleasedState[]
  /** It was released with something still to settle: what, and why; null where nothing was. */
  readonly despite: NonNullable<Released['despite']> | null
}

/** What two pieces are compared by. */
export type Shape = Pick<
  CutRow,
  'materialId' | 'faceWidth' | 'cutLength' | 'start' | 'end' | 'notches' | 'laps'
>

/** Cut alike, to what a saw can tell apart: one does for the other. */
export function sameCut(a: Shape, b: Shape): boolean {
  return (
    a.materialId === b.materialId &&
    a.faceWidth === b.faceWidth &&
    endCutKey(a.start) === endCutKey(b.start) &&
    endCutKey(a.end) === endCutKey(b.end) &&
    sameLengths(a, b)
  )
}

/** Of pieces whose ends are cut alike: whether they are as long and have the same notches and laps. */
export function sameLengths(a: Shape, b: Shape): boolean {
  return Math.abs(a.cutLength - b.cutLength) <= SAME_WITHIN && sameRecesses(a, b)
}

const DOWN = { upAt: null, upLeft: null, upBottom: null, built: null } as const

/** A piece of a list to which nothing has happened yet. */
export function untouched(piece: ReleasedPiece): ReleasedState {
  return {
    piece,
    cutAt: null,
    upAt: null,
    upLeft: null,
    upBottom: null,
    skipped: false,
    built: null,
    read: null,
    spoiled: [],
  }
}

/** What of one piece happened, of the acts of any list it was in, oldest first. */
function happened(piece: ReleasedPiece, acts: readonly Act[]): ReleasedState {
  let state = untouched(piece)
  for (const act of acts) {
    switch (act.kind) {
      case 'pieceCut':
        state = { ...state, cutAt: act.doneAt }
        break
      case 'pieceUncut':
        state = { ...state, cutAt: null, ...DOWN }
        break
      case 'pieceUp':
        state = {
          ...state,
          cutAt: state.cutAt ?? act.doneAt,
          upAt: act.doneAt,
          upLeft: act.left ?? null,
          upBottom: act.bottom ?? null,
          skipped: false,
        }
        break
      case 'pieceDown':
      case 'pulledOff':
        state = { ...state, ...DOWN }
        break
      case 'skipped':
        state = { ...state, skipped: state.upAt === null }
        break
      case 'builtLength':
        state = { ...state, built: act.length }
        break
      case 'readTrue':
        state = { ...state, read: act.length }
        break
      case 'spoiled':
        // what was cut is firewood: it is to be cut again
        state = {
          ...state,
          cutAt: null,
          ...DOWN,
          spoiled: [...state.spoiled, { actId: act.id, from: act.from, doneAt: act.doneAt }],
        }
        break
      case 'unspoiled': {
        const { spoiled } = act
        const kept = state.spoiled.filter(({ actId }) => actId !== spoiled)
        state = kept.length < state.spoiled.length ? { ...state, spoiled: kept, cutAt: act.doneAt } : state
      }
    }
  }
  return state
}

/** What was released, oldest first. */
export function releasedOf(acts: readonly Act[]): Released[] {
  return acts.filter((act) => act.kind === 'released').sort((a, b) => a.doneAt - b.doneAt)
}

/**
 * The list at the saw and what happened to its pieces; null where none was released. A piece that an earlier list had under the same name
 * and cut alike keeps what happened to it there; what was cut for earlier lists and is in this one no more is left over.
 */
export function releaseOf(acts: readonly Act[]): Release | null {
  const lists = releasedOf(acts)
  const last = lists.at(-1)
  if (!last) return null
  const byPiece = new Map<string, Act[]>()
  for (const act of [...acts].sort((a, b) => a.doneAt - b.doneAt))
    if ('piece' in act) {
      const key = `${act.release} ${act.piece}`
      byPiece.set(key, [...(byPiece.get(key) ?? []), act])
    }
  const before = lists.slice(0, -1)
  const actsOn = (piece: ReleasedPiece, upTo: readonly Released[]) =>
    upTo.flatMap((list) => {
      const was = list.pieces.find(({ name }) => name === piece.name)
      return was && sameCut(was, piece) ? (byPiece.get(`${list.id} ${piece.name}`) ?? []) : []
    })
  const pieces = last.pieces.map((piece) => happened(piece, actsOn(piece, lists)))
  const names = new Set(last.pieces.map(({ name }) => name))
  const gone = new Map<string, ReleasedPiece>()
  for (const list of before)
    for (const piece of list.pieces) if (!names.has(piece.name)) gone.set(piece.name, piece)
  const leftOver = [...gone.values()]
    .map((piece) => happened(piece, actsOn(piece, before)))
    .filter(({ cutAt }) => cutAt !== null)
  return { id: last.id, doneAt: last.doneAt, pieces, leftOver, despite: last.despite ?? null }
}

/** The letters of a name: A of A3. */
export function letterOf(name: string): string {
  return name.replace(/\d+$/, '')
}

/** How long a released piece is cut: by its reading, where its opening was read, else by the plan. What a cut hides comes on top. */
export function lengthNow({ piece, read }: Pick<ReleasedState, 'piece' | 'read'>): {
  readonly cutLength: Length
  readonly longLength: Length
} {
  if (read === null) return piece
  return { cutLength: addLengths(piece.cutLength, subtractLengths(read, piece.longLength)), longLength: read }
}

/**
 * The rows of a released list as they are cut by now: pieces of one letter together, those read at the wall by themselves at their true
 * length. Spoiled pieces that were replaced from a new board are wanted once more, under the same name.
 */
export function releasedRows(release: Release): CutRow[] {
  const rows = new Map<string, CutRow>()
  for (const state of release.pieces) {
    const { piece, read } = state
    const label = read === null ? letterOf(piece.name) : piece.name
    const key = `${label} ${piece.cutLength}`
    const { cutLength, longLength } = lengthNow(state)
    const known = rows.get(key)
    if (known) {
      rows.set(key, { ...known, pieceIds: [...known.pieceIds, piece.pieceId] })
      continue
    }
    rows.set(key, {
      label,
      role: piece.role as CutRow['role'],
      materialId: piece.materialId,
      directionDeg: piece.directionDeg,
      faceWidth: piece.faceWidth,
      cutLength,
      longLength,
      shortLength: addLengths(piece.shortLength, subtractLengths(longLength, piece.longLength)),
      start: piece.start,
      end: piece.end,
      notches: piece.notches,
      laps: piece.laps,
      ...(piece.taper ? { taper: piece.taper } : {}),
      pieceIds: [piece.pieceId],
    })
  }
  return [...rows.values()].sort((a, b) => b.cutLength - a.cutLength)
}

/** Everything on the list is cut. */
export function allCut({ pieces }: Release): boolean {
  return pieces.every(({ cutAt }) => cutAt !== null)
}

/** The wall is cut: it was said so, or all of its list is. */
export function wallIsCut(acts: readonly Act[]): boolean {
  const release = releaseOf(acts)
  return isCut(acts) || (release !== null && allCut(release))
}
