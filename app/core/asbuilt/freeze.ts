import { type Length, nearestNanometer } from '~/length'
import type { Act, ReleasedPiece } from '~/model'
import type { BatchAdvice } from '../cutting/batchAdvice'
import { landsOnPieces } from '../cutting/openings'
import { type CutRow, endCutKey, type Piece, rowLabel, sameRecesses } from '../pieces'
import {
  lengthNow,
  letterOf,
  type Release,
  releasedOf,
  type ReleasedState,
  releaseOf,
  sameLengths,
  type Shape,
} from './release'

/** What the plan's pieces are by their rows, for a list that is to be released. */
export interface ToRelease {
  readonly cutList: readonly CutRow[]
  readonly pieces: readonly Piece[]
  readonly adviceOf: (row: CutRow) => BatchAdvice
  readonly ripTo: (piece: Piece) => Length | null
  /** A piece that is cut for its place and off by no more fits there. */
  readonly fit: Length
}

/** What of a piece is its row's: cutting to the list never leaves a piece short. */
function frozenRow(row: CutRow, { adviceOf }: ToRelease) {
  const advice = adviceOf(row)
  return {
    materialId: row.materialId,
    faceWidth: row.faceWidth,
    cutLength: row.cutLength,
    longLength: row.longLength,
    shortLength: row.shortLength,
    start: unfrozen(row.start),
    end: unfrozen(row.end),
    notches: row.notches.map((notch) => ({ ...notch })),
    laps: row.laps.map((lap) => ({ ...lap })),
    ...(row.taper ? { taper: { ...row.taper } } : {}),
    advice: { ...advice, spread: nearestNanometer(advice.spread) },
  }
}

function frozen(piece: Piece, row: ReturnType<typeof frozenRow>, { ripTo }: ToRelease) {
  return {
    ...row,
    pieceId: piece.id,
    stripId: piece.stripId,
    role: piece.role,
    number: piece.number,
    part: piece.part ? { ...piece.part } : null,
    directionDeg: piece.directionDeg,
    ripTo: ripTo(piece),
  }
}

function unfrozen(cut: CutRow['start']): ReleasedPiece['start'] {
  return cut.kind === 'severalCuts'
    ? { ...cut, points: cut.points.map((point) => ({ ...point })) }
    : { ...cut }
}

/**
 * The pieces of a plan as they go to the saw, each with a name that never moves: its row's letter and its number in it. Pieces that the list
 * before had, cut alike, keep their names; letters once given are not given again.
 */
export function freezeList(plan: ToRelease, acts: readonly Act[]): ReleasedPiece[] {
  const lists = releasedOf(acts)
  const before = releaseOf(acts)?.pieces ?? []
  const used = new Set(lists.flatMap(({ pieces }) => pieces.map(({ name }) => letterOf(name))))
  const fit = new Map(
    [...matched(wantedPieces(plan), before, plan.fit)].map(([id, { piece }]) => [id, piece]),
  )
  const names = new Map<string, string>()
  let next = 0
  for (const row of [...plan.cutList].sort(
    (a, b) => a.label.length - b.label.length || a.label.localeCompare(b.label),
  )) {
    const fresh = row.pieceIds.filter((id) => !fit.has(id))
    row.pieceIds.forEach((id) => {
      const kept = fit.get(id)
      if (kept) names.set(id, kept.name)
    })
    if (fresh.length === 0) continue
    let letter = row.label
    while (used.has(letter)) letter = rowLabel(next++)
    used.add(letter)
    fresh.forEach((id, i) => names.set(id, `${letter}${i + 1}`))
  }
  const up = new Set(before.flatMap(({ piece, upAt }) => (upAt === null ? [] : [piece.pieceId])))
  const lands = landsOnPieces(plan.pieces)
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]))
  return plan.cutList.flatMap((row) => {
    const shape = frozenRow(row, plan)
    return row.pieceIds.flatMap((id): ReleasedPiece[] => {
      const piece = byId.get(id)
      // what is up, or cut and goes in as it is, stays what it was cut as
      const kept = fit.get(id)
      if (kept?.pieceId === id && (up.has(id) || !sameLengths(kept, row))) return [kept]
      const after = (lands.get(id) ?? []).flatMap((other) => names.get(other) ?? [])
      return piece
        ? [
            {
              ...frozen(piece, shape, plan),
              name: names.get(id) ?? id.slice(0, 24),
              after: [...new Set(after)].slice(0, 60),
            },
          ]
        : []
    })
  })
}

/** The pieces of a plan by what they are compared by: their row's shape. */
function wantedPieces({
  cutList,
}: Pick<ToRelease, 'cutList'>): { readonly id: string; readonly shape: Shape }[] {
  return cutList.flatMap((row) => row.pieceIds.map((id) => ({ id, shape: row })))
}

/** It is cut, for this very place, and off by so little that it goes in. */
function fitsAsCut({ piece, cutAt, read }: ReleasedState, shape: Shape, within: Length): boolean {
  return (
    cutAt !== null &&
    read === null &&
    Math.abs(piece.cutLength - shape.cutLength) <= within &&
    sameRecesses(piece, shape)
  )
}

/**
 * For wanted pieces the released ones that do for them: the same piece first, then any cut alike. What was read at its own opening does for
 * no other. By the wanted piece's id.
 */
function matched(
  wanted: readonly { readonly id: string; readonly shape: Shape }[],
  released: readonly ReleasedState[],
  within: Length,
): Map<string, ReleasedState> {
  const keyOf = (shape: Shape) =>
    [shape.materialId, shape.faceWidth, endCutKey(shape.start), endCutKey(shape.end)].join(' ')
  const free = new Map<string, Set<ReleasedState>>()
  for (const state of released) {
    const key = keyOf(state.piece)
    free.set(key, (free.get(key) ?? new Set()).add(state))
  }
  const found = new Map<string, ReleasedState>()
  // what is up stays up, whatever the plan has become beside it
  const up = new Map(released.flatMap((state) => (state.upAt === null ? [] : [[state.piece.pieceId, state]])))
  for (const { id } of wanted) {
    const state = up.get(id)
    if (!state) continue
    found.set(id, state)
    for (const alike of free.values()) alike.delete(state)
  }
  for (const itself of [true, false])
    for (const { id, shape } of wanted) {
      const alike = found.has(id) ? undefined : free.get(keyOf(shape))
      const fits = [...(alike ?? [])].find(
        (state) =>
          (itself ? state.piece.pieceId === id : state.read === null) &&
          (sameLengths(state.piece, shape) || (itself && fitsAsCut(state, shape, within))),
      )
      if (!fits) continue
      found.set(id, fits)
      alike?.delete(fits)
    }
  return found
}

/** The released piece that each piece of a plan is by now, by the plan's ids; and the names of those cut that it has no more. */
export function standingIn(
  release: Release | null,
  plan: Pick<ToRelease, 'cutList' | 'fit'>,
): { readonly standing: ReadonlyMap<string, ReleasedState>; readonly over: ReadonlySet<string> } {
  if (!release) return { standing: new Map(), over: new Set() }
  const standing = matched(wantedPieces(plan), release.pieces, plan.fit)
  const kept = new Set([...standing.values()].map(({ piece }) => piece.name))
  return {
    standing,
    over: new Set([
      ...release.pieces.flatMap(({ piece, cutAt }) =>
        cutAt === null || kept.has(piece.name) ? [] : [piece.name],
      ),
      ...release.leftOver.map(({ piece }) => piece.name),
    ]),
  }
}

/** A cut piece that no longer fits is cut shorter into what is wanted in its place: no other wood is needed for that. */
export function servesItself(state: ReleasedState, wanted: CutRow): boolean {
  const { piece, cutAt } = state
  if (cutAt === null || piece.materialId !== wanted.materialId || piece.faceWidth !== wanted.faceWidth)
    return false
  if (!sameRecesses(piece, wanted)) return false
  const { longLength } = lengthNow(state)
  const sameEnds =
    endCutKey(piece.start) === endCutKey(wanted.start) && endCutKey(piece.end) === endCutKey(wanted.end)
  // another cut at an end starts from the shorter edge
  const has = sameEnds ? longLength : piece.shortLength + longLength - piece.longLength
  return wanted.longLength <= has
}

/** What has become of a released list since the design went on. */
export interface SinceRelease {
  /** Released pieces that still do, and of them those that go elsewhere on the wall now. */
  readonly fits: readonly string[]
  readonly moves: readonly string[]
  /** Pieces of the plan that nothing released does for, by id; `again` are those that had one which was cut. */
  readonly fresh: readonly string[]
  readonly again: readonly string[]
  /** Cut already, and wanted no more; those that something new can still be cut from first. */
  readonly leftOver: readonly { readonly name: string; readonly serves: string | null }[]
  /** Released, not cut, and wanted no more. */
  readonly dropped: readonly string[]
}

/** Compares the list at the saw with the plan as it is now: nothing of it is new where all fits and nothing is dropped. */
export function sinceRelease(release: Release, plan: Pick<ToRelease, 'cutList' | 'fit'>): SinceRelease {
  const wanted = wantedPieces(plan)
  const fit = matched(wanted, release.pieces, plan.fit)
  const kept = new Set([...fit.values()].map(({ piece: { name } }) => name))
  const fresh = wanted.filter(({ id }) => !fit.has(id))
  const wasCut = new Set(
    release.pieces.flatMap(({ piece, cutAt }) => (cutAt === null ? [] : [piece.pieceId])),
  )
  const over = release.pieces.filter(({ piece }) => !kept.has(piece.name))
  const unserved = new Set(fresh)
  const leftOver = over
    .filter(({ cutAt }) => cutAt !== null)
    .map((state) => {
      const { piece } = state
      // cut to its reading, where it was read
      const short = piece.shortLength + lengthNow(state).longLength - piece.longLength
      const serves = [...unserved].find(
        ({ shape }) =>
          shape.materialId === piece.materialId &&
          shape.faceWidth === piece.faceWidth &&
          piece.notches.length + piece.laps.length === 0 &&
          piece.taper === undefined &&
          shape.cutLength < short,
      )
      if (serves) unserved.delete(serves)
      return { name: piece.name, serves: serves?.id ?? null }
    })
  return {
    fits: [...fit.values()].map(({ piece: { name } }) => name),
    moves: [...fit].flatMap(([id, { piece }]) => (piece.pieceId === id ? [] : [piece.name])),
    fresh: fresh.map(({ id }) => id),
    again: fresh.filter(({ id }) => wasCut.has(id)).map(({ id }) => id),
    leftOver,
    dropped: over.filter(({ cutAt }) => cutAt === null).map(({ piece }) => piece.name),
  }
}

/** The plan is still what was released: nothing of it is new, nothing dropped. */
export function isAsReleased(release: Release, plan: ToRelease): boolean {
  const { fresh, dropped, leftOver } = sinceRelease(release, plan)
  return fresh.length + dropped.length + leftOver.length === 0
}
