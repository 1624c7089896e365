import { useCallback, useMemo } from 'react'
import { useStore } from 'zustand'
import { freezeList } from '~/core/asbuilt/freeze'
import { releaseOf } from '~/core/asbuilt/release'
import { toRelease } from '~/core/cutting/toRelease'
import type { Act, Released } from '~/model'
import { newToken } from './saving/browserSaver'
import { planOf } from './planOf'
import { useOutbox, useSaver, useWallEditor, useWallNow } from './WallEditor'

type Happened = Extract<Act, { release: string; piece: string }>
/** What is done to one piece, without what the hook adds. */
export type PieceAct = Happened extends infer Each
  ? Each extends Happened
    ? Omit<Each, 'id' | 'doneAt' | 'release' | 'piece' | 'member' | 'keptAt'>
    : never
  : never

/** The list at the saw, what happened to its pieces, and what is done to one. */
export function useRelease() {
  const { workpiece, plan: wallPlan } = useWallEditor()
  const { latest } = useWallNow()
  const outbox = useOutbox()
  const saver = useSaver()
  const plan = useMemo(() => toRelease(wallPlan, workpiece), [wallPlan, workpiece])
  const acts = useStore(outbox.store, (state) => state.acts)
  const release = useMemo(() => releaseOf(acts), [acts])
  /** Lets the list go to the saw as the wall is by now; its id. */
  const freeze = useCallback(
    (despite?: Released['despite']): string => {
      const now = latest()
      const id = newToken()
      outbox.record({
        id,
        kind: 'released',
        revisions: saver.store.getState().held.map(({ revision }) => revision),
        pieces: freezeList(toRelease(planOf(now), now), outbox.store.getState().acts),
        ...(despite ? { despite } : {}),
        doneAt: Date.now(),
      })
      return id
    },
    [outbox, saver, latest],
  )
  const record = useCallback(
    (names: readonly string[], act: PieceAct) => {
      const list = releaseOf(outbox.store.getState().acts)
      if (!list) return
      const doneAt = Date.now()
      names.forEach((piece, i) =>
        outbox.record({ ...act, id: newToken(), release: list.id, piece, doneAt: doneAt + i } as Act),
      )
    },
    [outbox],
  )
  return { plan, release, freeze, record }
}
