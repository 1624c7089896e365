import { useCallback, useEffect, useRef, useState } from 'react'

import { knownPlaces } from '~/core/photo/photoScene'
import { newToken } from '~/editor/saving/browserSaver'
import type { PhotoMarks, WallPhoto } from '~/model'
import type { Plan } from '~/core/computePlan'
import type { Survey } from '~/model'

/** How long after the last change it is saved. */
const REST_MS = 500

/** The wall's corners put where a picture of a wall usually has them. */
export function firstPoints(plan: Plan, survey: Survey): PhotoMarks['points'] {
  const at = [
    { x: 0.12, y: 0.85 },
    { x: 0.88, y: 0.85 },
    { x: 0.88, y: 0.15 },
    { x: 0.12, y: 0.15 },
  ]
  return knownPlaces(plan, survey)
    .filter(({ of }) => of === 'wall')
    .slice(0, 4)
    .map(({ at: wall }, i) => ({
      id: newToken().slice(0, 12),
      at: at[i] ?? { x: 0.5, y: 0.5 },
      wall: { x: Math.round(wall.x), y: Math.round(wall.y) },
    }))
}

/** What is put on a photograph: shown at once, saved when the hand rests; what another window put there is told. */
export function usePhoto(photo: WallPhoto, url: string, plan: Plan, survey: Survey) {
  const [marks, setMarks] = useState<PhotoMarks>(() =>
    photo.marks.points.length > 0 ? photo.marks : { ...photo.marks, points: firstPoints(plan, survey) },
  )
  const [saving, setSaving] = useState<'saved' | 'saving' | 'notSaved' | 'changed'>('saved')
  const revision = useRef(photo.revision)
  const latest = useRef(marks)
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null)
  const busy = useRef(false)
  const send = useCallback(async () => {
    timer.current = null
    if (busy.current) return
    busy.current = true
    const sent = latest.current
    try {
      const answer = await fetch(`${url}/marks`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        keepalive: true,
        body: JSON.stringify({ revision: revision.current, marks: sent }),
      })
      const said = (await answer.json()) as { kind: string; revision?: number; marks?: PhotoMarks }
      if (said.revision !== undefined) revision.current = said.revision
      if (said.kind === 'changed' && said.marks) {
        latest.current = said.marks
        setMarks(said.marks)
      }
      setSaving(said.kind === 'saved' ? 'saved' : said.kind === 'changed' ? 'changed' : 'notSaved')
    } catch {
      setSaving('notSaved')
    } finally {
      busy.current = false
    }
    // what was changed while it was on its way
    if (latest.current !== sent && timer.current === null)
      timer.current = setTimeout(() => void send(), REST_MS)
  }, [url])
  const change = useCallback(
    (next: (before: PhotoMarks) => PhotoMarks) => {
      latest.current = next(latest.current)
      setMarks(latest.current)
      setSaving('saving')
      if (timer.current !== null) clearTimeout(timer.current)
      timer.current = setTimeout(() => void send(), REST_MS)
    },
    [send],
  )
  useEffect(
    () => () => {
      // what is not saved yet goes out as the page is left
      if (timer.current === null) return
      clearTimeout(timer.current)
      void send()
    },
    [send],
  )
  const { width, height } = photo
  return { marks, change, saving, seen: { points: marks.points, lens: marks.lens, width, height } }
}
