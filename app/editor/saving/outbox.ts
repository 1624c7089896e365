import { createStore, type StoreApi } from 'zustand/vanilla'
import { type Act, ACTS_AT_ONCE } from '~/model'
import { RETRY_MS } from './saver'
import type { Shelf } from './unsent'

/** What any act has, of a wall or of the yard. */
type AnyAct = { readonly id: string; readonly kind: string }

export interface OutboxState<Of extends AnyAct = Act> {
  /** All acts there are, those too that have not reached the server. */
  readonly acts: readonly Of[]
  readonly waiting: readonly Of[]
}

/** Acts done at a wall, sent one bundle at a time until the server has them; what waits outlives the page. */
export interface Outbox<Of extends AnyAct = Act> {
  readonly store: StoreApi<OutboxState<Of>>
  readonly record: (act: Of) => void
  readonly start: () => () => void
}

/** What an outbox needs of the world outside: `send` says whether the server kept them, and throws where it is away. */
export interface OutboxWorld<Of extends AnyAct = Act> {
  readonly send: (acts: readonly Of[]) => Promise<boolean>
  readonly shelf: Shelf | null
}

function isAct<Of extends AnyAct>(value: unknown): value is Of {
  const { id, kind } = (value ?? {}) as Partial<Record<keyof AnyAct, unknown>>
  return typeof id === 'string' && typeof kind === 'string'
}

function kept<Of extends AnyAct>(shelf: Shelf | null, key: string): Of[] {
  try {
    const value: unknown = JSON.parse(shelf?.getItem(key) ?? '[]')
    return Array.isArray(value) ? value.filter((each) => isAct<Of>(each)) : []
  } catch {
    return []
  }
}

function together<Of extends AnyAct>(acts: readonly Of[], more: readonly Of[]): Of[] {
  return [...new Map([...acts, ...more].map((act) => [act.id, act])).values()]
}

export function createOutbox<Of extends AnyAct = Act>(
  of: string,
  known: readonly Of[],
  { send, shelf }: OutboxWorld<Of>,
): Outbox<Of> {
  const key = `regla acts ${of}`
  const store = createStore<OutboxState<Of>>(() => ({ acts: known, waiting: [] }))
  const { getState, setState } = store
  let timer: ReturnType<typeof setTimeout> | null = null
  let sending = false
  let failures = 0

  const shelve = (waiting: readonly Of[]) => {
    try {
      if (waiting.length > 0) shelf?.setItem(key, JSON.stringify(waiting))
      else shelf?.removeItem(key)
    } catch {
      // full or forbidden: the page itself still holds them
    }
  }
  const setWaiting = (waiting: readonly Of[]) => {
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
      const waiting = kept<Of>(shelf, key)
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
