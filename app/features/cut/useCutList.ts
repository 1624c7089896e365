import { useCallback, useMemo } from 'react'
import { useStore } from 'zustand'
import { freezeList, type SinceRelease, sinceRelease, type ToRelease } from '~/core/asbuilt/freeze'
import { letterOf, type Release, releasedRows, releaseOf } from '~/core/asbuilt/release'
import { type CutCard, cutCards, type RowFacts } from '~/core/cutting/cutCards'
import { toRelease } from '~/core/cutting/toRelease'
import { newToken } from '~/editor/saving/browserSaver'
import { useOutbox, useSaver, useWallEditor } from '~/editor/WallEditor'
import type { CutRow } from '~/core/pieces'
import type { Act, ReleasedPiece } from '~/model'

type Happened = Exclude<Act, { kind: 'released' | 'marked' | 'unmarked' | 'cut' | 'uncut' | 'flawed' }>
/** What is done to one piece, without what the hook adds. */
export type PieceAct = Happened extends infer Each
  ? Each extends Happened
    ? Omit<Each, 'id' | 'doneAt' | 'release' | 'piece'>
    : never
  : never

export interface CutList {
  /** The list at the saw; null where none was released. */
  readonly release: Release | null
  readonly since: SinceRelease | null
  readonly cards: readonly CutCard[]
  readonly freeze: () => void
  /** Takes down what happened to a piece of the released list. */
  readonly record: (names: readonly string[], act: PieceAct) => void
}

/** The facts of a row that is not frozen, and of one that is. */
function factsBy(release: Release | null, plan: ToRelease) {
  const frozen = new Map(release?.pieces.map(({ piece }) => [piece.pieceId, piece]))
  const pieces = new Map(plan.pieces.map((piece) => [piece.id, piece]))
  return (row: CutRow): RowFacts => {
    const id = row.pieceIds[0] ?? ''
    const held: ReleasedPiece | undefined = frozen.get(id)
    if (held) return { advice: held.advice, ripTo: held.ripTo }
    const piece = pieces.get(id)
    return { advice: plan.adviceOf(row), ripTo: piece ? plan.ripTo(piece) : null }
  }
}

/** The cut list of the wall in hand: the released one with what happened to it, else the plan's. */
export function useCutList(): CutList {
  const { workpiece, plan: wallPlan } = useWallEditor()
  const outbox = useOutbox()
  const saver = useSaver()
  const plan = useMemo(() => toRelease(wallPlan, workpiece), [wallPlan, workpiece])
  const acts = useStore(outbox.store, (state) => state.acts)
  const release = useMemo(() => releaseOf(acts), [acts])
  // ticks leave the rows as they are: only a new list, a new reading or another saw draws them anew
  const readings = release?.pieces.map(({ read }) => read).join(' ')
  const rows = useMemo(
    () => (release ? releasedRows(release) : plan.cutList),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what of the release the rows depend on
    [release?.id, readings, release ? null : plan.cutList],
  )
  const { settings } = workpiece
  const cards = useMemo(
    () => cutCards(rows, factsBy(release, plan), settings),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what happened to pieces changes no card
    [rows, plan, settings],
  )
  const listId = release?.id
  const since = useMemo(
    () => (release ? sinceRelease(release, plan) : null),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- by which pieces are cut and which list it is
    [listId, plan, release?.pieces.map(({ cutAt }) => (cutAt === null ? 0 : 1)).join('')],
  )
  const freeze = useCallback(() => {
    outbox.record({
      id: newToken(),
      kind: 'released',
      revisions: saver.store.getState().held.map(({ revision }) => revision),
      pieces: freezeList(plan, outbox.store.getState().acts),
      doneAt: Date.now(),
    })
  }, [outbox, saver, plan])
  const record = useCallback(
    (names: readonly string[], act: PieceAct) => {
      if (listId === undefined) return
      const doneAt = Date.now()
      names.forEach((piece, i) =>
        outbox.record({ ...act, id: newToken(), release: listId, piece, doneAt: doneAt + i } as Act),
      )
    },
    [outbox, listId],
  )
  return { release, since, cards, freeze, record }
}

/** What a letter's pieces have come to. */
export interface RowState {
  readonly names: readonly string[]
  readonly cut: readonly string[]
  readonly up: readonly string[]
}

/** How far each row of the released list is, by its label; nothing before it is released. */
export function rowStates(release: Release | null): Map<string, RowState> {
  const states = new Map<string, { names: string[]; cut: string[]; up: string[] }>()
  for (const { piece, cutAt, upAt, read } of release?.pieces ?? []) {
    const label = read === null ? letterOf(piece.name) : piece.name
    const state = states.get(label) ?? { names: [], cut: [], up: [] }
    states.set(label, state)
    state.names.push(piece.name)
    if (cutAt !== null) state.cut.push(piece.name)
    if (upAt !== null) state.up.push(piece.name)
  }
  return states
}
