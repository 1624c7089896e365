import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import type { Workpiece } from '~/model'
import { type SavedState, type SaveRequest, sendChange } from './saveClient'

/** How the saving stands, for the word beside the undo buttons. */
export type SaveStatus =
  | { readonly kind: 'saved' | 'waiting' | 'saving' }
  | { readonly kind: 'failed'; readonly why: string }
  | { readonly kind: 'conflict'; readonly theirs: SavedState }

export interface Saving {
  readonly status: SaveStatus
  readonly history: SavedState['history']
  /** Saves `next` after a pause, or with what is saved next where there is none; a later call takes its place. */
  readonly saveSoon: (next: Workpiece, pauseMs: number | null) => void
  readonly saveNow: () => Promise<void>
  /** Saves over what another window saved, or takes theirs. */
  readonly settleConflict: (keep: 'mine' | 'theirs') => Promise<void>
  readonly step: (way: 'undo' | 'redo') => Promise<void>
}

function saveRequest(next: Workpiece, base: SavedState['revisions'], overwrite: boolean): SaveRequest {
  return { intent: 'save', base, wall: next.wall, settings: next.settings, overwrite }
}

/** Keeps a wall page's documents saved: one request at a time, the newest state last. */
export function useSaving(url: string, initial: SavedState, replace: (state: SavedState) => void): Saving {
  const [status, setStatus] = useState<SaveStatus>({ kind: 'saved' })
  const [history, setHistory] = useState(initial.history)
  const base = useRef(initial.revisions)
  const pending = useRef<Workpiece | null>(null)
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null)
  const running = useRef<Promise<void> | null>(null)

  const send = useCallback(
    async (overwrite: boolean) => {
      while (pending.current) {
        const next = pending.current
        pending.current = null
        setStatus({ kind: 'saving' })
        try {
          const answer = await sendChange(url, saveRequest(next, base.current, overwrite))
          if (answer.kind === 'saved') {
            base.current = answer.state.revisions
            setHistory(answer.state.history)
            setStatus({ kind: 'saved' })
          } else {
            pending.current ??= next
            setStatus(
              answer.kind === 'conflict'
                ? { kind: 'conflict', theirs: answer.state }
                : { kind: 'failed', why: answer.problems.join(' ') },
            )
            return
          }
        } catch {
          pending.current ??= next
          setStatus({ kind: 'failed', why: 'The server can’t be reached. Your changes are kept here.' })
          return
        }
      }
    },
    [url],
  )

  const flush = useCallback(
    async (overwrite = false) => {
      if (timer.current) clearTimeout(timer.current)
      timer.current = null
      await running.current
      running.current = send(overwrite)
      await running.current
    },
    [send],
  )

  const saveSoon = useCallback(
    (next: Workpiece, pauseMs: number | null) => {
      pending.current = next
      // a handle in hand comes by here every frame: what says the same already is left alone
      setStatus((before) => (before.kind === 'waiting' ? before : { kind: 'waiting' }))
      setHistory((before) => (before.canRedo ? { ...before, canRedo: false } : before))
      if (timer.current) clearTimeout(timer.current)
      timer.current = pauseMs === null ? null : setTimeout(() => void flush(), pauseMs)
    },
    [flush],
  )

  const step = useCallback(
    async (way: 'undo' | 'redo') => {
      await flush()
      try {
        const answer = await sendChange(url, { intent: way })
        if (answer.kind !== 'saved') {
          if (answer.kind === 'refused') setStatus({ kind: 'failed', why: answer.problems.join(' ') })
          return
        }
        base.current = answer.state.revisions
        setHistory(answer.state.history)
        replace(answer.state)
      } catch {
        setStatus({ kind: 'failed', why: 'The server can’t be reached, so this can’t be taken back now.' })
      }
    },
    [flush, replace, url],
  )

  const settleConflict = useCallback(
    async (keep: 'mine' | 'theirs') => {
      if (keep === 'mine') return flush(true)
      if (status.kind !== 'conflict') return
      pending.current = null
      base.current = status.theirs.revisions
      setHistory(status.theirs.history)
      setStatus({ kind: 'saved' })
      replace(status.theirs)
    },
    [flush, replace, status],
  )

  useEffect(() => {
    const leave = () => {
      const next = pending.current
      if (next) void sendChange(url, saveRequest(next, base.current, false), true).catch(() => undefined)
    }
    window.addEventListener('pagehide', leave)
    return () => {
      window.removeEventListener('pagehide', leave)
      leave()
    }
  }, [url])

  return useMemo(
    () => ({ status, history, saveSoon, saveNow: flush, settleConflict, step }),
    [status, history, saveSoon, flush, settleConflict, step],
  )
}
