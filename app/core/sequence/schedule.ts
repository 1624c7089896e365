import type { Hours, WorkHours } from './workHours'

/** A stretch of work that is not broken off. Times in minutes. */
export interface Job {
  readonly id: string
  readonly minutes: number
  /** How many people it keeps busy; 0 runs by the clock. */
  readonly people: number
  readonly noisy: boolean
  readonly after: readonly { readonly id: string; readonly wait: number }[]
  readonly notBefore: number
}

export interface Placed {
  readonly id: string
  readonly start: number
  readonly end: number
}

export interface Problem {
  readonly jobs: readonly Job[]
  readonly people: number
  readonly hours: WorkHours
  /** Nothing begins before it. */
  readonly from: number
}

/** What an order of jobs comes to; null where the hours there are do not suffice. */
export interface Timetable {
  readonly placed: readonly Placed[]
  readonly end: number
}

/** A problem made ready: jobs by number. */
export interface Ready {
  readonly problem: Problem
  readonly before: readonly (readonly { readonly job: number; readonly wait: number }[])[]
  readonly then: readonly (readonly { readonly job: number; readonly wait: number }[])[]
  /** Minutes from the beginning of each to the end of all that hangs on it, with nothing else in the way. */
  readonly tail: readonly number[]
}

export function ready(problem: Problem): Ready {
  const { jobs } = problem
  const number = new Map(jobs.map(({ id }, i) => [id, i]))
  const before = jobs.map(({ after }) =>
    after.flatMap(({ id, wait }) => {
      const job = number.get(id)
      return job === undefined ? [] : [{ job, wait }]
    }),
  )
  const then = jobs.map((_, i) =>
    before.flatMap((own, job) => own.filter((each) => each.job === i).map(({ wait }) => ({ job, wait }))),
  )
  const tail: number[] = jobs.map(() => -1)
  const tailOf = (i: number): number => {
    const known = tail[i] ?? -1
    if (known >= 0) return known
    const own =
      (jobs[i]?.minutes ?? 0) + Math.max(0, ...(then[i] ?? []).map(({ job, wait }) => wait + tailOf(job)))
    tail[i] = own
    return own
  }
  jobs.forEach((_, i) => tailOf(i))
  return { problem, before, then, tail }
}

/** The first of the hours that ends after a time. */
function firstAfter(hours: readonly Hours[], at: number): number {
  let [low, high] = [0, hours.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if ((hours[middle]?.to ?? Infinity) > at) high = middle
    else low = middle + 1
  }
  return low
}

/** When a job can begin at the earliest from a time on, with nobody else at work; Infinity where it fits in no hours. */
export function earliest({ hours }: Problem, { minutes, people, noisy }: Job, from: number): number {
  if (people === 0) return from
  const list = noisy ? hours.loud : hours.all
  for (let i = firstAfter(list, from); i < list.length; i++) {
    const window = list[i]
    if (!window) break
    const start = Math.max(window.from, from)
    if (start + minutes <= window.to) return start
  }
  return Infinity
}

interface Busy {
  readonly from: number
  readonly to: number
  readonly people: number
}

/** When a job can begin at the earliest from a time on, beside what is placed already. */
export function fits(problem: Problem, job: Job, from: number, busy: readonly Busy[]): number {
  if (job.people === 0) return from
  let at = from
  for (;;) {
    const start = earliest(problem, job, at)
    if (!Number.isFinite(start)) return Infinity
    const end = start + job.minutes
    const beside = busy.filter((each) => each.from < end && each.to > start)
    if (beside.length === 0) return start
    // how many are busy at most while it runs: at its beginning, or where another begins
    let clash = Infinity
    for (const point of [start, ...beside.map((each) => each.from).filter((at_) => at_ > start)]) {
      const there = beside.filter((each) => each.from <= point && each.to > point)
      const used = there.reduce((sum, { people }) => sum + people, 0)
      if (used + job.people > problem.people) clash = Math.min(clash, ...there.map(({ to }) => to))
    }
    if (clash === Infinity) return start
    at = clash
  }
}

/** Places jobs one after the other in an order that keeps what must come before what, each as early as it goes. */
export function placeInOrder(of: Ready, order: readonly number[]): Timetable | null {
  const { problem, before } = of
  const ends: number[] = problem.jobs.map(() => Infinity)
  const busy: Busy[] = []
  const placed: Placed[] = []
  let end = problem.from
  for (const i of order) {
    const job = problem.jobs[i]
    if (!job) continue
    const from = Math.max(
      problem.from,
      job.notBefore,
      ...(before[i] ?? []).map(({ job: first, wait }) => (ends[first] ?? Infinity) + wait),
    )
    const start = fits(problem, job, from, busy)
    if (!Number.isFinite(start)) return null
    ends[i] = start + job.minutes
    if (job.people > 0 && job.minutes > 0)
      busy.push({ from: start, to: start + job.minutes, people: job.people })
    placed.push({ id: job.id, start, end: start + job.minutes })
    end = Math.max(end, start + job.minutes)
  }
  return { placed, end }
}

/** An order by a rule: of those that can be next the one the rule likes best. */
export function orderBy(of: Ready, better: (a: number, b: number) => number): number[] {
  const { problem, before, then } = of
  const waits = before.map((own) => own.length)
  const open = new Set(problem.jobs.map((_, i) => i).filter((i) => waits[i] === 0))
  const order: number[] = []
  while (open.size > 0) {
    const [next] = [...open].sort((a, b) => better(a, b) || a - b)
    if (next === undefined) break
    open.delete(next)
    order.push(next)
    for (const { job } of then[next] ?? []) {
      const left = (waits[job] ?? 0) - 1
      waits[job] = left
      if (left === 0) open.add(job)
    }
  }
  return order
}

/** The order in which a timetable begins its jobs. */
export function orderOf({ problem }: Ready, { placed }: Timetable): number[] {
  const number = new Map(problem.jobs.map(({ id }, i) => [id, i]))
  return [...placed]
    .map((each, i) => ({ ...each, i }))
    .sort((a, b) => a.start - b.start || a.end - b.end || a.i - b.i)
    .flatMap(({ id }) => number.get(id) ?? [])
}
