import {
  earliest,
  fits,
  type Job,
  orderBy,
  orderOf,
  placeInOrder,
  type Problem,
  type Ready,
  ready,
  type Timetable,
} from './schedule'

/** A timetable with what is known of how good it is: no other ends before `bound`. */
export interface Schedule extends Timetable {
  readonly bound: number
  readonly proven: boolean
}

/** Steps after which the search is given up, whatever the clock says: fewer the more jobs there are, and the same everywhere. */
const MOST_LOOKS = 2_400_000
/** States kept of one set of jobs done. */
const KEPT_STATES = 24

/** The earliest ends that what must come before what and the hours leave, from where some are placed; Infinity where the hours do not suffice. */
function heads(of: Ready, topological: readonly number[], ends: readonly number[], from: number): number {
  const { problem, before } = of
  const own = [...ends]
  let last = 0
  for (const i of topological) {
    const known = own[i] ?? Infinity
    if (known < Infinity) {
      last = Math.max(last, known)
      continue
    }
    const job = problem.jobs[i]
    if (!job) continue
    const at = Math.max(
      job.people === 0 ? 0 : from,
      problem.from,
      job.notBefore,
      ...(before[i] ?? []).map(({ job: first, wait }) => (own[first] ?? 0) + wait),
    )
    const end = earliest(problem, job, at) + job.minutes
    own[i] = end
    last = Math.max(last, end)
  }
  return last
}

/** When so many minutes of work can be done at the earliest by all people from a time on. */
function workEnd({ hours, people }: Problem, from: number, minutes: number): number {
  let left = minutes / people
  if (left <= 0) return from
  for (const window of hours.all) {
    const start = Math.max(window.from, from)
    const there = window.to - start
    if (there <= 0) continue
    if (there >= left) return start + left
    left -= there
  }
  return Infinity
}

/** Numbers that look like chance and are the same every time (a linear congruence, Numerical Recipes, value from memory). */
function steadyChance(seed: number): () => number {
  let state = seed
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0
    return state / 4_294_967_296
  }
}

/** Orders by rules of thumb and by steady chance, each placed and placed again in the order it begins. */
function firstTimetable(of: Ready, tries: number): Timetable | null {
  const { problem, tail, then } = of
  const chance = steadyChance(7)
  const rules: ((a: number, b: number) => number)[] = [
    (a, b) => (tail[b] ?? 0) - (tail[a] ?? 0),
    (a, b) => a - b,
    (a, b) => (problem.jobs[b]?.minutes ?? 0) - (problem.jobs[a]?.minutes ?? 0),
    (a, b) => (then[b]?.length ?? 0) - (then[a]?.length ?? 0),
  ]
  let best: Timetable | null = null
  const look = (order: readonly number[]) => {
    let table = placeInOrder(of, order)
    for (let again = 0; table && again < 2; again++) {
      const next = placeInOrder(of, orderOf(of, table))
      if (!next || next.end >= table.end) break
      table = next
    }
    if (table && (best === null || table.end < best.end)) best = table
  }
  for (const rule of rules) look(orderBy(of, rule))
  for (let i = 0; i < tries; i++) {
    const noise = problem.jobs.map((_, job) => (tail[job] ?? 0) * (0.7 + 0.6 * chance()))
    look(orderBy(of, (a, b) => (noise[b] ?? 0) - (noise[a] ?? 0)))
  }
  return best
}

/**
 * Fits jobs into hours so that the last ends as early as can be. Every job stands at its earliest beside those before it in some order;
 * orders are tried by when their jobs begin (an order that begins them as it places them is among the best), the most pressing first.
 * Left out are orders that can't end before the best, in which a job would fit whole before the next one begins, or that reach a set of jobs
 * no earlier in anything than another did. `over` ends the search: then the best stands with its bound. Null where the hours do not suffice.
 */
export function bestSchedule(problem: Problem, over: () => boolean = () => false): Schedule | null {
  const of = ready(problem)
  const { jobs, people } = problem
  const count = jobs.length
  if (count === 0) return { placed: [], end: problem.from, bound: problem.from, proven: true }
  const topological = orderBy(of, () => 0)
  const none = jobs.map(() => Infinity)
  const all = jobs.reduce((sum, { minutes, people: busy }) => sum + minutes * busy, 0)
  const bound = Math.max(heads(of, topological, none, problem.from), workEnd(problem, problem.from, all))
  let best = firstTimetable(of, Math.max(4, Math.min(60, Math.floor(6_000 / count))))
  if (!best || !Number.isFinite(bound)) return null
  if (best.end <= bound) return { ...best, bound: best.end, proven: true }

  const ends = [...none]
  const busy: { from: number; to: number; people: number }[] = []
  const order: number[] = []
  const waits = of.before.map((own) => own.length)
  const seen = new Map<string, number[][]>()
  const mostSteps = MOST_LOOKS / count
  let steps = 0
  let ended = false

  /** What the rest of the search sees of a state: when each open job may begin, and until when people are busy. */
  const stateOf = (last: number, end: number): number[] => {
    const state = [last, end]
    for (let i = 0; i < count; i++) {
      if ((ends[i] ?? Infinity) < Infinity) continue
      let at = jobs[i]?.notBefore ?? 0
      for (const { job, wait } of of.before[i] ?? []) {
        const end = ends[job] ?? Infinity
        if (end < Infinity) at = Math.max(at, end + wait)
      }
      state.push(Math.max(at, last))
    }
    const running = busy.flatMap(({ to, people: n }) => Array.from({ length: n }, () => Math.max(to, last)))
    const free = running.sort((a, b) => b - a).slice(0, people)
    while (free.length < people) free.push(last)
    return [...state, ...free]
  }
  const isKnown = (last: number, end: number): boolean => {
    const key = ends.map((end) => (end < Infinity ? '1' : '0')).join('')
    const state = stateOf(last, end)
    const known = seen.get(key)
    if (!known) {
      seen.set(key, [state])
      return false
    }
    // no later in anything than before: whatever follows could follow there
    if (known.some((each) => each.every((value, i) => value <= (state[i] ?? 0)))) return true
    if (known.length < KEPT_STATES) known.push(state)
    return false
  }

  const search = (last: number, left: number): void => {
    if (ended) return
    steps += 1
    if (steps > mostSteps || ((steps & 63) === 0 && over())) {
      ended = true
      return
    }
    const end = Math.max(problem.from, ...ends.filter((each) => each < Infinity))
    if (order.length === count) {
      const table = placeInOrder(of, order)
      if (table && best && table.end < best.end) best = table
      return
    }
    if (!best || best.end <= bound) return
    const running = busy.reduce(
      (sum, each) => sum + Math.max(0, each.to - Math.max(last, each.from)) * each.people,
      0,
    )
    if (Math.max(end, heads(of, topological, ends, last), workEnd(problem, last, left + running)) >= best.end)
      return
    if (order.length > 0 && isKnown(last, end)) return
    const next = jobs.flatMap((job: Job, i) => {
      if ((ends[i] ?? Infinity) < Infinity || waits[i] !== 0) return []
      const from = Math.max(
        problem.from,
        job.notBefore,
        job.people === 0 ? 0 : last,
        ...(of.before[i] ?? []).map(({ job: first, wait }) => (ends[first] ?? 0) + wait),
      )
      const start = fits(problem, job, from, busy)
      return Number.isFinite(start) ? [{ i, start, end: start + job.minutes, job }] : []
    })
    // one that would be over before the others begin is no later for going first
    const first = Math.min(...next.map((each) => each.end))
    const byClock = next.find(({ job }) => job.people === 0)
    // what keeps nobody busy is in nobody's way: it begins as soon as it can
    const tried = byClock
      ? [byClock]
      : next
          .filter(({ start, end: to }) => start < first || to === first)
          .sort((a, b) => (of.tail[b.i] ?? 0) - (of.tail[a.i] ?? 0) || a.start - b.start)
    for (const { i, start, end: to, job } of tried) {
      ends[i] = to
      order.push(i)
      const isBusy = job.people > 0 && job.minutes > 0
      if (isBusy) busy.push({ from: start, to, people: job.people })
      for (const { job: then } of of.then[i] ?? []) waits[then] = (waits[then] ?? 0) - 1
      search(job.people === 0 ? last : Math.max(last, start), left - job.minutes * job.people)
      for (const { job: then } of of.then[i] ?? []) waits[then] = (waits[then] ?? 0) + 1
      if (isBusy) busy.pop()
      order.pop()
      ends[i] = Infinity
      if (ended || (best && best.end <= bound)) break
    }
  }
  search(problem.from, all)
  const found = best as Timetable
  const proven = !ended || found.end <= bound
  return { ...found, bound: proven ? found.end : bound, proven }
}
