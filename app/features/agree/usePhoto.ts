import { useCallback, useEffect, useRef, useState } from 'react'

import { knownPlaces } from '~/core/photo/photoScene'
import { RETRY_MS } from '~/editor/saving/saver'
import { holds } from '~/offline/inHand'
import { mergeDocuments, type PhotoMarks, sameValue, type WallPhoto } from '~/model'
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
      // two windows that open it first put the same points there
      id: `corner-${i + 1}`,
      at: at[i] ?? { x: 0.5, y: 0.5 },
      wall: { x: Math.round(wall.x), y: Math.round(wall.y) },
    }))
}

/** How saving what is on a photograph stands; `changed`: another window moved the same, and it is asked which is to stand. */
export type PhotoSaving = 'saved' | 'saving' | 'notSaved' | 'changed'

interface Theirs {
  readonly revision: number
  readonly marks: PhotoMarks
}

/** What is put on a photograph: shown at once, saved when the hand rests, beside what another window puts there. */
export function usePhoto(photo: WallPhoto, url: string, plan: Plan, survey: Survey) {
  const [marks, setMarks] = useState<PhotoMarks>(() =>
    photo.marks.points.length > 0 ? photo.marks : { ...photo.marks, points: firstPoints(plan, survey) },
  )
  const [saving, setSaving] = useState<PhotoSaving>('saved')
  const revision = useRef(photo.revision)
  const latest = useRef(marks)
  /** What the server had at that revision, as far as it is known here. */
  const known = useRef(marks)
  const theirs = useRef<Theirs | null>(null)
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null)
  const busy = useRef(false)
  const failures = useRef(0)
  const show = useCallback((next: PhotoMarks) => {
    latest.current = next
    setMarks(next)
  }, [])
  /** Takes over what the server has; what was changed here since `base` stays on top. */
  const adopt = useCallback(
    (found: Theirs, base: PhotoMarks) => {
      revision.current = found.revision
      known.current = found.marks
      const next = mergeDocuments(base, latest.current, found.marks).merged as PhotoMarks
      if (!sameValue(next, latest.current)) show(next)
    },
    [show],
  )
  const send = useCallback(async () => {
    timer.current = null
    if (busy.current || theirs.current) return
    busy.current = true
    const sent = latest.current
    let again = REST_MS
    try {
      const answer = await fetch(`${url}/marks`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        keepalive: true,
        body: JSON.stringify({ revision: revision.current, was: known.current, marks: sent }),
      })
      const said = (await answer.json()) as { kind: string; revision?: number; marks?: PhotoMarks }
      const found =
        said.revision === undefined ? null : { revision: said.revision, marks: said.marks ?? sent }
      failures.current = 0
      if (said.kind === 'saved' && found) adopt(found, sent)
      if (said.kind === 'changed' && found) theirs.current = found
      setSaving(said.kind === 'saved' ? 'saved' : said.kind === 'changed' ? 'changed' : 'notSaved')
    } catch {
      setSaving('notSaved')
      again = RETRY_MS[Math.min(failures.current++, RETRY_MS.length - 1)] ?? REST_MS
      timer.current ??= setTimeout(() => void send(), again)
    } finally {
      busy.current = false
    }
    // what was changed while it was on its way
    if (!theirs.current && !sameValue(latest.current, known.current) && timer.current === null)
      timer.current = setTimeout(() => void send(), again)
  }, [url, adopt])
  const change = useCallback(
    (next: (before: PhotoMarks) => PhotoMarks) => {
      show(next(latest.current))
      if (theirs.current) return
      setSaving('saving')
      if (timer.current !== null) clearTimeout(timer.current)
      timer.current = setTimeout(() => void send(), REST_MS)
    },
    [send, show],
  )
  /** Ends the question which is to stand: what is here, or what the other window put there. What does not touch is kept of both. */
  const settle = (keep: 'mine' | 'theirs') => {
    const found = theirs.current
    if (!found) return
    theirs.current = null
    const [first, second] = keep === 'mine' ? [latest.current, found.marks] : [found.marks, latest.current]
    const next = mergeDocuments(known.current, first, second).merged as PhotoMarks
    revision.current = found.revision
    known.current = found.marks
    change(() => next)
  }
  // what others put there comes with the page as it is brought anew; what is in hand here brings it when it is saved
  useEffect(() => {
    if (photo.revision <= revision.current || busy.current || timer.current !== null || theirs.current) return
    if (sameValue(latest.current, known.current)) adopt(photo, known.current)
  }, [photo, adopt])
  useEffect(() => {
    holds(revision, saving !== 'saved')
    return () => holds(revision, false)
  }, [saving])
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
  return { marks, change, saving, settle, seen: { points: marks.points, lens: marks.lens, width, height } }
}
