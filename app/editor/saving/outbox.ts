import { createStore, type StoreApi } from 'zustand/vanilla'
import { type Act, ACTS_AT_ONCE, sameValue } from '~/model'
import type { ActQueue, AnyAct, SendActs } from './actQueue'
import { RETRY_MS } from './saver'
import type { Shelf } from './unsent'

export interface OutboxState<Of extends AnyAct = Act> {
  /** All acts there are, those too that have not reached the server. */
  readonly acts: readonly Of[]
  readonly waiting: readonly Of[]
  /** What the server would not take: shown, and not sent again. */
  readonly refused: readonly Of[]
  /** The browser has no room for what waits: it is in this page alone. */
  readonly full: boolean
  /** How far this device's clock went back, in milliseconds; 0 while it runs on. */
  readonly clockBack: number
}

/** Acts done at a wall, sent in order until the server has them; what waits outlives the page. */
export interface Outbox<Of extends AnyAct = Act> {
  readonly store: StoreApi<OutboxState<Of>>
  readonly record: (act: Of) => void
  /** Takes in what others did meanwhile; false where the server did not answer. */
  readonly refresh: () => Promise<boolean>
  /** Takes in what the page has from the server by now. */
  readonly learn: (found: readonly Of[]) => void
  readonly forgetRefused: () => void
  readonly start: () => () => void
}

/** What an outbox needs of the world outside. */
export interface OutboxWorld<Of extends AnyAct = Act> {
  readonly url: string
  readonly queue: ActQueue
  readonly send: SendActs
  /** What the server has by now; null where it is never asked. */
  readonly load?: (() => Promise<readonly Of[]>) | null
  /** Where acts waited before there was a queue. */
  readonly shelf?: Shelf | null
}

/** Less than this a clock goes back by itself, to keep time. */
const CLOCK_SLACK_MS = 60_000

/** So long until a queue that somebody else empties is looked at again. */
export const BUSY_MS = 300

function isAct<Of extends AnyAct>(value: unknown): value is Of {
  const { id, kind } = (value ?? {}) as Partial<Record<keyof AnyAct, unknown>>
  return typeof id === 'string' && typeof kind === 'string'
}

/** What the shelf of an earlier build still holds; taken off it. */
function fromShelf<Of extends AnyAct>(shelf: Shelf | null, key: string): Of[] {
  try {
    const value: unknown = JSON.parse(shelf?.getItem(key) ?? '[]')
    shelf?.removeItem(key)
    return Array.isArray(value) ? value.filter((each) => isAct<Of>(each)) : []
  } catch {
    return []
  }
}

function together<Of extends AnyAct>(acts: readonly Of[], more: readonly Of[]): Of[] {
  return [...new Map([...acts, ...more].map((act) => [act.id, act])).values()]
}

/** Whether two say the same of what was done, whoever did it and whenever it came. */
function sameAct(a: AnyAct | undefined, b: AnyAct): boolean {
  const of = (act: AnyAct) => ({ ...act, member: null, keptAt: null })
  return a !== undefined && sameValue(of(a), of(b))
}

/** Oldest first; of the same instant as they stand. */
function byTime(a: AnyAct, b: AnyAct): number {
  const at = (act: AnyAct) => Number((act as { doneAt?: number }).doneAt ?? 0)
  return at(a) - at(b)
}

export function createOutbox<Of extends AnyAct = Act>(
  of: string,
  known: readonly Of[],
  { url, queue, send, load = null, shelf = null }: OutboxWorld<Of>,
): Outbox<Of> {
  const store = createStore<OutboxState<Of>>(() => ({
    acts: known,
    waiting: [],
    refused: [],
    full: false,
    clockBack: 0,
  }))
  const { getState, setState } = store
  /** Not in the queue yet, and what it has no room for. */
  const coming = new Map<string, Of>()
  const loose: Of[] = []
  let timer: ReturnType<typeof setTimeout> | null = null
  let draining: Promise<void> | null = null
  /** Whether a page shows it: one that was left tries no more, the queue is sent by whichever page is open. */
  let isOpen = false
  let failures = 0
  let last = Math.max(0, ...known.map((act) => Number((act as { doneAt?: number }).doneAt ?? 0)))

  const show = async () => {
    const [waiting, refused] = await Promise.all([queue.waiting(of), queue.refused(of)])
    setState({
      waiting: together(together(waiting as Of[], [...coming.values()]), loose),
      refused: refused as Of[],
      full: loose.length > 0,
    })
  }
  const sendLoose = async () => {
    while (loose.length > 0) {
      const bundle = loose.slice(0, ACTS_AT_ONCE)
      await send(url, bundle)
      loose.splice(0, bundle.length)
    }
  }
  /** One next try, however many acts asked for it. */
  const later = (ms: number) => {
    if (timer) clearTimeout(timer)
    timer = setTimeout(sendAll, ms)
  }
  const drain = async () => {
    const result = await queue.drain(send).catch(() => 'away' as const)
    const isSent =
      result === 'empty' &&
      (await sendLoose().then(
        () => true,
        () => false,
      ))
    await show().catch(() => undefined)
    // what the browser has no room for is known here alone
    if (!isOpen && loose.length === 0) return
    // another part of this browser is sending: what it sent is seen as soon as it is through
    if (result === 'busy') later(BUSY_MS)
    else if (!isSent) later(RETRY_MS[Math.min(failures++, RETRY_MS.length - 1)] ?? BUSY_MS)
    else failures = 0
  }
  /** One after the other: what was recorded while another was sent goes with the next. */
  const sendAll = (): void => {
    if (timer) clearTimeout(timer)
    timer = null
    draining = (draining ?? Promise.resolve()).then(drain)
  }
  const keep = async (act: Of) => {
    if (!(await queue.keep(of, url, act).catch(() => false))) loose.push(act)
    coming.delete(act.id)
  }
  /** A clock that went back must not turn round what was done: each act is later than the one before. */
  const inTime = (act: Of): Of => {
    const { doneAt } = act as { doneAt?: number }
    if (typeof doneAt !== 'number') return act
    if (doneAt < last - CLOCK_SLACK_MS) setState({ clockBack: last - doneAt })
    last = Math.max(doneAt, last + 1)
    return { ...act, doneAt: last }
  }

  const learn = (found: readonly Of[]) => {
    const { acts, waiting } = getState()
    const had = new Map(acts.map((act) => [act.id, act]))
    // what the server set right counts: a clock, a label that was given twice
    if (found.every((act) => sameAct(had.get(act.id), act))) return
    setState({ acts: together(together(acts, found), waiting).sort(byTime) })
  }

  return {
    store,
    record(act) {
      const timed = inTime(act)
      coming.set(timed.id, timed)
      setState({ acts: [...getState().acts, timed], waiting: [...getState().waiting, timed] })
      void keep(timed).then(sendAll)
    },
    async refresh() {
      if (!load) return true
      const found = await load().catch(() => null)
      if (found) learn(found)
      return found !== null
    },
    learn,
    forgetRefused() {
      void queue.forgetRefused(of).then(show, () => undefined)
    },
    start() {
      const earlier = fromShelf<Of>(shelf, `regla acts ${of}`)
      const begin = async () => {
        for (const act of earlier) await keep(act)
        const sent = await queue.sent(of, new Set(known.map(({ id }) => id))).catch(() => [])
        const waiting = await queue.waiting(of).catch(() => [])
        const here = together(together(sent as Of[], waiting as Of[]), loose)
        // what the page has from the server stands as it is there
        setState({ acts: together(here, getState().acts).sort(byTime) })
        if (isOpen) sendAll()
      }
      isOpen = true
      void begin()
      const soon = () => sendAll()
      const shown = () => document.visibilityState === 'visible' && sendAll()
      window.addEventListener('online', soon)
      if (typeof document !== 'undefined') document.addEventListener('visibilitychange', shown)
      return () => {
        isOpen = false
        window.removeEventListener('online', soon)
        if (typeof document !== 'undefined') document.removeEventListener('visibilitychange', shown)
        if (timer && loose.length === 0) clearTimeout(timer)
      }
    },
  }
}
