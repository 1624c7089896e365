import { useMemo } from 'react'
import { type SinceRelease, sinceRelease } from '~/core/asbuilt/freeze'
import { rowFacts } from '~/core/asbuilt/listAtSaw'
import { letterOf, type Release, releasedRows } from '~/core/asbuilt/release'
import { type CutCard, cutCards } from '~/core/cutting/cutCards'
import { type PieceAct, useRelease } from '~/editor/useRelease'
import { useWallEditor } from '~/editor/WallEditor'
import type { Released } from '~/model'

export interface CutList {
  /** The list at the saw; null where none was released. */
  readonly release: Release | null
  readonly since: SinceRelease | null
  readonly cards: readonly CutCard[]
  readonly freeze: (despite?: Released['despite']) => void
  /** Takes down what happened to a piece of the released list. */
  readonly record: (names: readonly string[], act: PieceAct) => void
}

/** The cut list of the wall in hand: the released one with what happened to it, else the plan's. */
export function useCutList(): CutList {
  const { workpiece } = useWallEditor()
  const { plan, release, freeze, record } = useRelease()
  // ticks leave the rows as they are: only a new list, a new reading or another saw draws them anew
  const readings = release?.pieces.map(({ read }) => read).join(' ')
  const rows = useMemo(
    () => (release ? releasedRows(release) : plan.cutList),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what of the release the rows depend on
    [release?.id, readings, release ? null : plan.cutList],
  )
  const { settings } = workpiece
  const cards = useMemo(
    () => cutCards(rows, rowFacts(release, plan), settings),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what happened to pieces changes no card
    [rows, plan, settings],
  )
  const listId = release?.id
  const since = useMemo(
    () => (release ? sinceRelease(release, plan) : null),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- by which pieces are cut and which list it is
    [listId, plan, release?.pieces.map(({ cutAt }) => (cutAt === null ? 0 : 1)).join('')],
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
