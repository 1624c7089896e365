import { type Wait, WAITS, type Work } from '~/model'
import { ratesOfNothing } from '../takeoff/minutes'
import { bestSchedule, type Schedule } from './bestSchedule'
import { DAY, dayNumber, dayOf } from './dates'
import type { OrderIssue, OrderOfWork } from './orderOfWork'
import { type Job, orderOf, type Placed, placeInOrder, type Problem, ready } from './schedule'
import type { Task } from './task'
import { type DayIssue, dayIssues, workHours } from './workHours'
import type { WorkState } from './workState'

/** What a plan of work says of itself. */
export type WorkIssue =
  | OrderIssue
  | DayIssue
  /** A rate is 0: what it would tell takes no time. */
  | { readonly kind: 'noRate'; readonly rate: string }
  /** A wait is longer than all the work without waits. */
  | { readonly kind: 'longWait'; readonly wait: Wait; readonly hours: number }
  /** It fits in no day's hours in one go, and is done in parts. */
  | { readonly kind: 'inParts'; readonly task: string; readonly parts: number }
  /** There are no hours in which noise may be made. */
  | { readonly kind: 'noLoudHours' }
  /** The end that was wished is missed by so many minutes. */
  | { readonly kind: 'late'; readonly by: number; readonly wished: string }

/** A task in the plan: when it is done, in how many goes. */
export interface PlannedTask {
  readonly task: Task
  /** The minute it was done at; null while it is open. */
  readonly done: number | null
  readonly minutes: number
  readonly sessions: readonly Placed[]
  /** If it takes a quarter of an hour longer the end comes later. */
  readonly critical: boolean
}

export interface WorkPlan {
  /** By when they begin; what is done first. */
  readonly tasks: readonly PlannedTask[]
  /** When the last is done, and before when it can't be; null where no plan can be made. */
  readonly end: number | null
  readonly bound: number | null
  readonly proven: boolean
  readonly issues: readonly WorkIssue[]
}

/** Days looked ahead at first, and at most. */
const LOOK_DAYS = 90
const MOST_DAYS = 1_500
const QUARTER = 15

/** The minute a plan begins at. */
function beginsAt({ days }: Pick<Work, 'days'>, now: number): number {
  const start = days.start === null ? null : dayNumber(days.start)
  return start === null ? now : Math.max(now, start * DAY)
}

interface Split {
  readonly jobs: readonly Job[]
  /** The parts of each task, in order. */
  readonly parts: ReadonlyMap<string, readonly string[]>
}

/** The longest stretch there is of the hours of a week, with noise or without. */
function longest({ days }: Pick<Work, 'days'>, noisy: boolean): number {
  return Math.max(
    0,
    ...days.week.map((hours) =>
      hours ? (noisy ? Math.min(hours.to, days.quietFrom) : hours.to) - hours.from : 0,
    ),
  )
}

/** Open tasks as jobs: what no day has hours for is done in parts, as alike as can be. */
function split(
  tasks: readonly Task[],
  work: Work,
  { done, longer }: Pick<WorkState, 'done' | 'longer'>,
  more: { readonly task: string; readonly minutes: number } | null = null,
): Split {
  const parts = new Map<string, string[]>()
  const jobs: Job[] = []
  const open = tasks.filter(({ id }) => !done.has(id))
  for (const task of open) {
    const whole = (longer.get(task.id) ?? task.minutes) + (more && more.task === task.id ? more.minutes : 0)
    const most = task.people === 0 ? Infinity : longest(work, task.noisy)
    const count = most > 0 ? Math.max(1, Math.ceil(whole / most - 1e-9)) : 1
    // rounded up no part may be longer than the day that has to hold it
    const each = count === 1 ? whole : Math.min(most, Math.ceil(whole / count / 5) * 5)
    const ids: string[] = []
    for (let n = 0; n < count; n++) {
      const minutes = count === 1 ? whole : n < count - 1 ? each : whole - each * (count - 1)
      const id = count === 1 ? task.id : `${task.id}#${n + 1}`
      const before = ids.at(-1)
      const comes = task.comes ? (dayNumber(task.comes.on) ?? 0) * DAY : 0
      const ends = task.after.flatMap(({ id: first, wait }) => {
        const end = done.get(first)
        return end === undefined ? [] : [end + wait * 60]
      })
      jobs.push({
        id,
        minutes: Math.max(0, minutes),
        people: Math.min(task.people, work.people),
        noisy: task.noisy,
        notBefore: Math.max(0, comes, ...ends),
        after:
          before !== undefined
            ? [{ id: before, wait: 0 }]
            : task.after.map(({ id: first, wait }) => ({ id: first, wait: wait * 60 })),
      })
      ids.push(id)
    }
    parts.set(task.id, ids)
  }
  // who waits for a task waits for its last part
  const linked = jobs.map((job) => ({
    ...job,
    after: job.after.flatMap(({ id, wait }) => {
      if (jobs.some((each) => each.id === id)) return [{ id, wait }]
      const last = parts.get(id)?.at(-1)
      return last === undefined ? [] : [{ id: last, wait }]
    }),
  }))
  return { jobs: linked, parts }
}

function problemOf(jobs: readonly Job[], work: Work, from: number, days: number): Problem {
  return { jobs, people: work.people, hours: workHours(work.days, from, days), from }
}

/** Whether each task's taking a quarter longer makes the end later, everything else in the same order. */
function pressing(
  tasks: readonly Task[],
  work: Work,
  state: WorkState,
  problem: Problem,
  best: Schedule,
): Set<string> {
  const of = ready(problem)
  const order = orderOf(of, best).flatMap((i) => problem.jobs[i]?.id ?? [])
  const critical = new Set<string>()
  for (const { id, people } of tasks) {
    if (state.done.has(id) || people === 0) continue
    const { jobs, parts } = split(tasks, work, state, { task: id, minutes: QUARTER })
    const own = parts.get(id) ?? []
    // one part more stands behind the last
    const at = order.findIndex((each) => each === id || each.startsWith(`${id}#`))
    const rest = order.filter((each) => each !== id && !each.startsWith(`${id}#`))
    const last = order.reduce((found, each, i) => (each === id || each.startsWith(`${id}#`) ? i : found), at)
    const before = order.slice(0, last + 1).filter((each) => rest.includes(each)).length
    const whole = own.length > 1 && order.filter((each) => each.startsWith(`${id}#`)).length === own.length
    const names = whole ? order : [...rest.slice(0, before), ...own, ...rest.slice(before)]
    const numbers = new Map(jobs.map((job, i) => [job.id, i]))
    const table = placeInOrder(
      ready({ ...problem, jobs }),
      names.flatMap((name) => numbers.get(name) ?? []),
    )
    if (!table || table.end > best.end) critical.add(id)
  }
  return critical
}

function longWaits(tasks: readonly Task[], jobs: readonly Job[], work: Work, from: number): WorkIssue[] {
  const used = new Map<Wait, number>()
  for (const { after } of tasks)
    for (const before of after)
      if (before.for !== null) used.set(before.for, Math.max(used.get(before.for) ?? 0, before.wait))
  const bare = jobs.map((job) => ({ ...job, after: job.after.map(({ id }) => ({ id, wait: 0 })) }))
  const without = bestSchedule(problemOf(bare, work, from, LOOK_DAYS * 4), () => true)
  if (!without) return []
  return WAITS.flatMap((wait): WorkIssue[] => {
    const hours = used.get(wait) ?? 0
    return hours > 24 && hours * 60 > without.end - from ? [{ kind: 'longWait', wait, hours }] : []
  })
}

/**
 * Fits the tasks of a job into the days there are: what is done stays where it was, the rest as early as can be from now on. `over` ends the
 * search; what there is then stands with its bound. Which tasks are tight takes as long again, and is left out where nobody is told.
 */
export function planWork(
  { tasks, issues: ordering }: OrderOfWork,
  work: Work,
  state: WorkState,
  now: number,
  over: () => boolean = () => false,
  tight: 'told' | 'untold' = 'told',
): WorkPlan {
  const issues: WorkIssue[] = [
    ...dayIssues(work, dayOf(Math.floor(now / DAY))),
    ...ordering,
    ...ratesOfNothing(work).map((rate) => ({ kind: 'noRate', rate }) as const),
  ]
  const from = beginsAt(work, now)
  const { jobs, parts } = split(tasks, work, state)
  for (const [task, ids] of parts)
    if (ids.length > 1) issues.push({ kind: 'inParts', task, parts: ids.length })
  const none = (): WorkPlan => ({
    tasks: tasks.map((task) => planned(task, null)),
    end: null,
    bound: null,
    proven: false,
    issues,
  })
  const planned = (
    task: Task,
    best: Schedule | null,
    critical: ReadonlySet<string> = new Set(),
  ): PlannedTask => ({
    task,
    done: state.done.get(task.id) ?? null,
    minutes: state.longer.get(task.id) ?? task.minutes,
    sessions: (parts.get(task.id) ?? []).flatMap((id) => best?.placed.find((each) => each.id === id) ?? []),
    critical: critical.has(task.id),
  })
  if (jobs.some(({ people, noisy }) => people > 0 && noisy) && longest(work, true) <= 0) {
    if (longest(work, false) > 0) issues.push({ kind: 'noLoudHours' })
    return none()
  }
  if (longest(work, false) <= 0) return none()
  let [days, best, problem]: [number, Schedule | null, Problem] = [
    LOOK_DAYS,
    null,
    problemOf(jobs, work, from, LOOK_DAYS),
  ]
  const far = Math.max(0, ...jobs.map(({ notBefore }) => Math.ceil((notBefore - from) / DAY)))
  for (days += far; best === null && days <= MOST_DAYS + far; days *= 4) {
    problem = problemOf(jobs, work, from, days)
    best = bestSchedule(problem, over)
  }
  if (!best) return none()
  issues.push(...longWaits(tasks, jobs, work, from))
  const wished = work.days.wishedEnd === null ? null : dayNumber(work.days.wishedEnd)
  if (wished !== null && work.days.wishedEnd !== null && best.end > (wished + 1) * DAY)
    issues.push({ kind: 'late', by: best.end - (wished + 1) * DAY, wished: work.days.wishedEnd })
  const critical = tight === 'told' ? pressing(tasks, work, state, problem, best) : new Set<string>()
  const found = best
  const all = tasks.map((task) => planned(task, found, critical))
  const begins = ({ done, sessions }: PlannedTask) => done ?? sessions[0]?.start ?? Infinity
  // sorting keeps the working order of those that begin together
  return {
    tasks: [...all].sort(
      (a, b) => Number(a.done === null) - Number(b.done === null) || begins(a) - begins(b),
    ),
    end: found.end,
    bound: found.bound,
    proven: found.proven,
    issues,
  }
}
