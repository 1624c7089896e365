import { useMemo } from 'react'
import { useStore } from 'zustand'
import { marksOnWall } from '~/core/marks/marked'
import { newToken } from '~/editor/saving/browserSaver'
import { useOutbox, useWallEditor } from '~/editor/WallEditor'
import { nearestNanometer, tickOf } from '~/length'

/** Which strips' marks are on the wall, whether they still hold, and a mark made or wiped off. */
export function useMarked() {
  const { plan, workpiece } = useWallEditor()
  const outbox = useOutbox()
  const acts = useStore(outbox.store, (state) => state.acts)
  const { uprights } = plan.layout
  const tick = tickOf(workpiece.settings.tape)
  const marks = useMemo(() => marksOnWall(acts, uprights, tick), [acts, uprights, tick])
  /** The mark is on the wall, and where the strip is now. */
  const isMarked = (strip: string) => marks.get(strip)?.holds === true
  const setMarked = (strip: string, done: boolean) => {
    const upright = uprights.find(({ id }) => id === strip)
    if (!upright || (done ? isMarked(strip) : !marks.has(strip))) return
    outbox.record({
      id: newToken(),
      kind: done ? 'marked' : 'unmarked',
      strip,
      left: nearestNanometer(upright.left),
      doneAt: Date.now(),
    })
  }
  return { marks, isMarked, setMarked }
}
