import { useCallback, useEffect, useMemo } from 'react'
import { useStore } from 'zustand'
import type { Plan } from '~/core/computePlan'
import { withFirstPoints } from '~/core/photo/firstPoints'
import { useSaver } from '~/editor/WallEditor'
import { NO_MARKS, type PhotoMarks, type Survey, type WallPhoto } from '~/model'

/** How long after the last change it is saved. */
const REST_MS = 500

/** What is put on a photograph: a document of the wall's page, saved, undone and settled as the wall itself is. */
export function usePhoto({ document, width, height }: WallPhoto, plan: Plan, survey: Survey) {
  const saver = useSaver()
  const body = useStore(saver.store, ({ held }) => held.find(({ id }) => id === document)?.body) as
    PhotoMarks | undefined
  const marks = useMemo(() => withFirstPoints(body ?? NO_MARKS, plan, survey), [body, plan, survey])
  const isHeld = body !== undefined
  // one that was taken in since the page was opened
  useEffect(() => {
    if (!isHeld) void saver.check()
  }, [saver, isHeld])
  const change = useCallback(
    (next: (before: PhotoMarks) => PhotoMarks) => {
      const now = saver.store.getState().held.find(({ id }) => id === document)
      if (!now) return
      const before = withFirstPoints(now.body as PhotoMarks, plan, survey)
      saver.put(new Map([[document, next(before)]]), REST_MS)
    },
    [saver, document, plan, survey],
  )
  return { marks, change, seen: { points: marks.points, lens: marks.lens, width, height } }
}
