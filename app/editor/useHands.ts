import { useCallback, useEffect, useRef, useState } from 'react'
import { applyEdits } from '~/core/edits/applyEdit'
import type { Edit, Workpiece } from '~/model'
import type { SavedState } from './saveClient'
import { type Saving, useSaving } from './useSaving'

/** Text in a field that can't be used as typed: kept while its stage is away. */
export interface Unread {
  readonly text: string
  readonly problem: string
}

/** `live` while a handle is pulled, `typed` while a length is being typed, `done` when the hand lets go. */
export type Pace = 'live' | 'typed' | 'done'

/** How long after an edit it is saved; what is typed waits until it is committed. */
const PAUSE: Readonly<Record<Pace, number | null>> = { live: 900, typed: null, done: 150 }

export interface Hands {
  readonly workpiece: Workpiece
  readonly unread: Readonly<Record<string, Unread>>
  readonly held: boolean
  readonly saving: Saving
  readonly edit: (edits: readonly Edit[], pace: Pace) => void
  readonly saveNow: () => Promise<void>
  readonly hold: () => void
  readonly release: () => void
  readonly restore: (before: Workpiece) => void
  readonly reportUnread: (field: string, unread: Unread | null) => void
}

function sameWork(a: Workpiece, b: Workpiece): boolean {
  const same = (p: unknown, q: unknown) => p === q || JSON.stringify(p) === JSON.stringify(q)
  return (
    same(a.wall.design, b.wall.design) && same(a.wall.survey, b.wall.survey) && same(a.settings, b.settings)
  )
}

/**
 * The wall in hand: edits are carried out on it as it is, those of a handle in hand at most once a frame; an edit that
 * changes nothing is dropped; saving goes on behind and rests while a handle is held.
 */
export function useHands(
  url: string,
  saved: SavedState,
  lookAt: (edits: readonly Edit[] | null) => void,
): Hands {
  const [workpiece, setWorkpiece] = useState<Workpiece>({ wall: saved.wall, settings: saved.settings })
  const [unread, setUnread] = useState<Readonly<Record<string, Unread>>>({})
  const [held, setHeld] = useState(false)
  const now = useRef(workpiece)
  const holding = useRef(false)
  const queued = useRef<{ edits: Edit[]; frame: number } | null>(null)

  const replace = useCallback(
    (state: SavedState) => {
      now.current = { wall: state.wall, settings: state.settings }
      setWorkpiece(now.current)
      lookAt(null)
      setUnread({})
    },
    [lookAt],
  )
  const saving = useSaving(url, saved, replace)
  const { saveSoon, saveNow: flush } = saving

  const put = useCallback(
    (next: Workpiece, pace: Pace) => {
      if (sameWork(next, now.current)) return
      now.current = next
      setWorkpiece(next)
      lookAt(null)
      saveSoon(next, holding.current ? null : PAUSE[pace])
    },
    [lookAt, saveSoon],
  )
  const carryOut = useCallback(() => {
    const waiting = queued.current
    if (!waiting) return
    cancelAnimationFrame(waiting.frame)
    queued.current = null
    put(applyEdits(now.current, waiting.edits), 'live')
  }, [put])
  const edit = useCallback(
    (edits: readonly Edit[], pace: Pace) => {
      // edits are made from the wall that was drawn: only those of a handle, each of which says all, may wait for the frame
      if (pace === 'live' && holding.current) {
        if (queued.current) queued.current.edits.push(...edits)
        else queued.current = { edits: [...edits], frame: requestAnimationFrame(carryOut) }
        return
      }
      carryOut()
      put(applyEdits(now.current, edits), pace)
    },
    [carryOut, put],
  )
  const saveNow = useCallback(() => {
    carryOut()
    return flush()
  }, [carryOut, flush])
  useEffect(() => carryOut, [carryOut])

  const hold = useCallback(() => {
    holding.current = true
    setHeld(true)
  }, [])
  const release = useCallback(() => {
    carryOut()
    holding.current = false
    setHeld(false)
    void flush()
  }, [carryOut, flush])
  const restore = useCallback(
    (before: Workpiece) => {
      put(before, 'typed')
      void flush()
    },
    [put, flush],
  )
  const reportUnread = useCallback((field: string, next: Unread | null) => {
    setUnread((all) => {
      const { [field]: _, ...others } = all
      return next ? { ...others, [field]: next } : others
    })
  }, [])
  return { workpiece, unread, held, saving, edit, saveNow, hold, release, restore, reportUnread }
}
