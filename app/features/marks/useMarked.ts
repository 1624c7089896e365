import { useMemo } from 'react'
import { useStore } from 'zustand'
import { markedStrips } from '~/core/marks/marked'
import { newToken } from '~/editor/saving/browserSaver'
import { useOutbox, useWallEditor } from '~/editor/WallEditor'
import { nearestNanometer, tickOf } from '~/length'

/** Which strips' marks are on the wall, and a mark made or wiped off. */
export function useMarked() {
  const { plan, workpiece } = useWallEditor()
  const outbox = useOutbox()
  const acts = useStore(outbox.store, (state) => state.acts)
  const { uprights } = plan.layout
  const tick = tickOf(workpiece.settings.tape)
  const marked = useMemo(() => markedStrips(acts, uprights, tick), [acts, uprights, tick])
  const setMarked = (strip: string, done: boolean) => {
    const upright = uprights.find(({ id }) => id === strip)
    if (!upright || marked.has(strip) === done) return
    outbox.record({
      id: newToken(),
      kind: done ? 'marked' : 'unmarked',
      strip,
      left: nearestNanometer(upright.left),
      doneAt: Date.now(),
    })
  }
  return { marked, setMarked }
}
