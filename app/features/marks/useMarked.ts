import { useMemo } from 'react'
import { useStore } from 'zustand'
import { marksOnWall } from '~/core/marks/marked'
import type { MarkStep } from '~/core/marks/markWalk'
import { newToken } from '~/editor/saving/browserSaver'
import { useOutbox, useWallEditor } from '~/editor/WallEditor'
import { nearestNanometer, tickOf } from '~/length'

/** Which marks are on the wall, whether they still hold, and a mark made or wiped off: of strips, and of whatever else a walk marks. */
export function useMarked(steps: readonly Pick<MarkStep, 'id' | 'value'>[] = NO_STEPS) {
  const { plan, workpiece } = useWallEditor()
  const outbox = useOutbox()
  const acts = useStore(outbox.store, (state) => state.acts)
  const { uprights } = plan.layout
  const tick = tickOf(workpiece.settings.tape)
  const places = useMemo(
    () =>
      new Map([
        ...steps.map(({ id, value }) => [id, { id, left: value }] as const),
        ...uprights.map(({ id, left }) => [id as string, { id, left: nearestNanometer(left) }] as const),
      ]),
    [steps, uprights],
  )
  const marks = useMemo(() => marksOnWall(acts, [...places.values()], tick), [acts, places, tick])
  /** The mark is on the wall, and where the strip is now. */
  const isMarked = (strip: string) => marks.get(strip)?.holds === true
  const setMarked = (strip: string, done: boolean) => {
    const place = places.get(strip)
    if (!place || (done ? isMarked(strip) : !marks.has(strip))) return
    outbox.record({
      id: newToken(),
      kind: done ? 'marked' : 'unmarked',
      strip,
      left: place.left,
      doneAt: Date.now(),
    })
  }
  return { marks, isMarked, setMarked }
}

const NO_STEPS: readonly Pick<MarkStep, 'id' | 'value'>[] = []
