import { resolve } from 'node:path'
import { Worker } from 'node:worker_threads'
import type { Workpiece } from '~/model'

/** How long one wall may be planned for. */
export const PLANNING_DEADLINE_MS = 4_000
/** How many walls' words are kept. */
const KEPT = 10_000

/** What a wall's layout is in a few words, or why it can't be said. */
export type LayoutWords =
  | { readonly kind: 'said'; readonly words: string }
  | { readonly kind: 'tooLong' }
  | { readonly kind: 'broken' }

export interface WordsWanted {
  /** The same for the same documents: what was planned once is not planned again. */
  readonly key: string
  readonly workpiece: Workpiece
}

interface Answer {
  readonly ticket: number
  readonly words: string | null
}

/** Starts the thread that plans; the tests bring one of their own. */
export type StartWorker = () => Pick<Worker, 'on' | 'postMessage' | 'terminate' | 'unref'>

const startWorker: StartWorker = () =>
  new Worker(resolve('app/server/planning/words.worker.ts'), { execArgv: ['--import', 'tsx'] })

/** Plans walls one at a time on a thread of its own; one that takes too long is given up, and the next has a new thread. */
export function layoutPlanner(start: StartWorker = startWorker, deadline = PLANNING_DEADLINE_MS) {
  const known = new Map<string, LayoutWords>()
  let worker: ReturnType<StartWorker> | null = null
  let waiting: { ticket: number; settle: (words: LayoutWords) => void } | null = null
  let tickets = 0
  let queue: Promise<unknown> = Promise.resolve()

  const settle = (words: LayoutWords) => {
    const held = waiting
    waiting = null
    held?.settle(words)
  }
  const thread = () => {
    if (worker) return worker
    const started = start()
    started.unref()
    started.on('message', ({ ticket, words }: Answer) => {
      if (ticket === waiting?.ticket) settle(words === null ? { kind: 'broken' } : { kind: 'said', words })
    })
    started.on('error', () => {
      if (worker === started) worker = null
      settle({ kind: 'broken' })
    })
    worker = started
    return started
  }
  const plan = (workpiece: Workpiece) =>
    new Promise<LayoutWords>((done) => {
      const ticket = (tickets += 1)
      const stop = setTimeout(() => {
        void worker?.terminate()
        worker = null
        settle({ kind: 'tooLong' })
      }, deadline)
      waiting = {
        ticket,
        settle: (words) => {
          clearTimeout(stop)
          done(words)
        },
      }
      thread().postMessage({ ticket, workpiece })
    })
  const keep = (key: string, words: LayoutWords) => {
    known.delete(key)
    known.set(key, words)
    const [oldest] = known.keys()
    if (known.size > KEPT && oldest !== undefined) known.delete(oldest)
  }

  return {
    /** What is known of it already; null where it has not been planned yet. */
    knownWords: (key: string): LayoutWords | null => known.get(key) ?? null,
    /** Plans it, after whatever waits before it. Never rejects. */
    wordsOf({ key, workpiece }: WordsWanted): Promise<LayoutWords> {
      const next = queue.then(async () => {
        const words = known.get(key) ?? (await plan(workpiece))
        keep(key, words)
        return words
      })
      queue = next
      return next
    },
    stop: () => void worker?.terminate(),
  }
}

export type LayoutPlanner = ReturnType<typeof layoutPlanner>

// hot reload makes this module anew; the thread and what it knows must live on
const kept = globalThis as { reglaPlanner?: LayoutPlanner }

/** The application's planner. */
export function planner(): LayoutPlanner {
  return (kept.reglaPlanner ??= layoutPlanner())
}
