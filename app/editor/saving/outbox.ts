import { createStore, type StoreApi } from 'zustand/vanilla'
import { type Act, ACTS_AT_ONCE } from '~/model'
import { RETRY_MS } from './saver'
import type { Shelf } from './unsent'

export interface OutboxState {
  /** All acts of the wall, those too that have not reached the server. */
  readonly acts: readonly Act[]
  readonly waiting: readonly Act[]
}

/** Acts done at a wall, sent one bundle at a time until the server has them; what waits outlives the page. */
export interface Outbox {
  readonly store: StoreApi<OutboxState>
  readonly record: (act: Act) => void
  readonly start: () => () => void
}

/** What an outbox needs of the world outside: `send` says whether the server kept them, and throws where it is away. */
export interface OutboxWorld {
  readonly send: (acts: readonly Act[]) => Promise<boolean>
  readonly shelf: Shelf | null
}

function isAct(value: unknown): value is Act {
  const { id, kind } = (value ?? {}) as Partial<Record<keyof Act, unknown>>
  return typeof id === 'string' && typeof kind === 'string'
}

function kept(shelf: Shelf | null, key: string): Act[] {
  try {
    const value: unknown = JSON.parse(shelf?.getItem(key) ?? '[]')
    return Array.isArray(value) ? value.filter(isAct) : []
  } catch {
    return []
  }
}

function together(acts: readonly Act[], more: readonly Act[]): Act[] {
  return [...new Map([...acts, ...more].map((act) => [act.id, act])).values()]
}

export function createOutbox(wall: string, known: readonly Act[], { send, shelf }: OutboxWorld): Outbox {
  const key = `regla acts ${wall}`
  const store = createStore<OutboxState>(() => ({ acts: known, waiting: [] }))
  const { getState, setState } = store
  let timer: ReturnType<typeof setTimeout> | null = null
  let sending = false
  let failures = 0

  const shelve = (waiting: readonly Act[]) => {
    try {
      if (waiting.length > 0) shelf?.setItem(key, JSON.stringify(waiting))
      else shelf?.removeItem(key)
    } catch {
      // full or forbidden: the page itself still holds them
    }
  }
  const setWaiting = (waiting: readonly Act[]) => {
    setState({ waiting })
    shelve(waiting)
  }
  const sendAll = async (): Promise<void> => {
    if (timer) clearTimeout(timer)
    timer = null
    if (sending) return
    sending = true
    try {
      while (getState().waiting.length > 0) {
        const bundle = getState().waiting.slice(0, ACTS_AT_ONCE)
        // what the server can't take it never will: it is not sent again
        await send(bundle)
        failures = 0
        setWaiting(getState().waiting.filter((act) => !bundle.includes(act)))
      }
    } catch {
      timer = setTimeout(() => void sendAll(), RETRY_MS[Math.min(failures, RETRY_MS.length - 1)])
      failures += 1
    } finally {
      sending = false
    }
  }

  return {
    store,
    record(act) {
      setState({ acts: [...getState().acts, act] })
      setWaiting([...getState().waiting, act])
      void sendAll()
    },
    start() {
      const waiting = kept(shelf, key)
      setState({ acts: together(getState().acts, waiting) })
      setWaiting(together(waiting, getState().waiting))
      const online = () => void sendAll()
      window.addEventListener('online', online)
      void sendAll()
      return () => {
        window.removeEventListener('online', online)
        if (timer) clearTimeout(timer)
      }
    },
  }
}
