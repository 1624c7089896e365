import { useCallback, useEffect, useState } from 'react'
import { useStore } from 'zustand'
import { browserOutboxOf, newToken } from './saving/browserSaver'
import type { YardAct } from '~/model'

/** An act without what every act has. */
export type NewYardAct = YardAct extends infer Each
  ? Each extends YardAct
    ? Omit<Each, 'id' | 'doneAt'> & { readonly id?: string }
    : never
  : never

/** What happened to boards, as it is known here: an act counts at once, and waits until the server has it. */
export function useYard(known: readonly YardAct[]) {
  const [outbox] = useState(() => browserOutboxOf('/yard/acts', 'yard', known))
  useEffect(() => outbox.start(), [outbox])
  // what others did comes with the page as it is brought anew
  useEffect(() => outbox.learn(known), [outbox, known])
  const acts = useStore(outbox.store, (state) => state.acts)
  const waiting = useStore(outbox.store, (state) => state.waiting.length)
  const record = useCallback(
    (act: NewYardAct) => {
      const id = act.id ?? newToken()
      outbox.record({ ...act, id, doneAt: Date.now() } as YardAct)
      return id
    },
    [outbox],
  )
  /** Acts as they are at this moment, those of the same press among them. */
  const current = useCallback(() => outbox.store.getState().acts, [outbox])
  return { acts, waiting, record, current }
}
