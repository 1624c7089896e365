import type { Workpiece } from '~/model'
import { type OwnProcess, ownProcess } from '../ownProcess.server'

/** How long one wall may be planned for. */
export const PLANNING_DEADLINE_MS = 4_000
/** How long its process may take to come up, on a machine that has much else to do. */
const STARTING_DEADLINE_MS = 60_000
/** The ticket of a process that says it is up. */
export const UP = 0
/** How many walls' words are kept. */
const KEPT = 4_000

/** What a planned wall is: its layout in a few words, its small drawing (SVG), what is wrong with the layout, what keeps it from the saw. */
export interface WallSaid {
  readonly words: string
  readonly picture: string
  readonly wrong: number
  readonly open: number
}

/** What a wall's layout is in a few words, or why it can't be said. */
export type LayoutWords =
  ({ readonly kind: 'said' } & WallSaid) | { readonly kind: 'tooLong' } | { readonly kind: 'broken' }

export interface WordsWanted {
  /** The same for the same documents: what was planned once is not planned again. */
  readonly key: string
  readonly workpiece: Workpiece
}

interface Answer {
  readonly ticket: number
  readonly said: WallSaid | null
}

/** The process that plans. */
export type PlanningProcess = OwnProcess<{ readonly ticket: number; readonly workpiece: Workpiece }, Answer>

const startProcess = (): PlanningProcess => ownProcess('app/server/planning/sayLayouts.ts')

/** Plans walls one at a time in a process of its own; one that takes too long is given up, and the next has a new process. */
export function layoutPlanner(
  start: () => PlanningProcess = startProcess,
  deadline = PLANNING_DEADLINE_MS,
  starting = STARTING_DEADLINE_MS,
) {
  const known = new Map<string, LayoutWords>()
  let process: PlanningProcess | null = null
  let isUp = false
  let waiting: { ticket: number; begin: () => void; settle: (words: LayoutWords) => void } | null = null
  let tickets = 0
  let queue: Promise<unknown> = Promise.resolve()

  const settle = (words: LayoutWords) => {
    const held = waiting
    waiting = null
    held?.settle(words)
  }
  const planning = () => {
    if (process) return process
    const started = start()
    isUp = false
    started.onAnswer(({ ticket, said }) => {
      if (started !== process) return
      isUp = true
      if (ticket === UP) waiting?.begin()
      else if (ticket === waiting?.ticket)
        settle(said === null ? { kind: 'broken' } : { kind: 'said', ...said })
    })
    started.onEnd(() => {
      if (process !== started) return
      process = null
      settle({ kind: 'broken' })
    })
    process = started
    return started
  }
  const plan = (workpiece: Workpiece) =>
    new Promise<LayoutWords>((done) => {
      const ticket = (tickets += 1)
      const givenUp = () => {
        const slow = process
        process = null
        slow?.end()
        settle({ kind: 'tooLong' })
      }
      const asked = planning()
      let stop = setTimeout(givenUp, isUp ? deadline : starting)
      stop.unref()
      waiting = {
        ticket,
        // the wall's own time counts from when there is something to plan it
        begin: () => {
          clearTimeout(stop)
          stop = setTimeout(givenUp, deadline)
          stop.unref()
        },
        settle: (words) => {
          clearTimeout(stop)
          done(words)
        },
      }
      asked.ask({ ticket, workpiece })
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
        // a process that never came up says nothing of the wall: it is tried again
        if (words.kind === 'said' || isUp) keep(key, words)
        return words
      })
      queue = next
      return next
    },
    stop: () => process?.end(),
  }
}

export type LayoutPlanner = ReturnType<typeof layoutPlanner>

// hot reload makes this module anew; the process and what it knows must live on
const kept = globalThis as { reglaPlanner?: LayoutPlanner }

/** The application's planner. */
export function planner(): LayoutPlanner {
  return (kept.reglaPlanner ??= layoutPlanner())
}
