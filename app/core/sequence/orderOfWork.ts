import type { OwnTask, Work } from '~/model'
import { buyTask, roomTasks } from './roomTasks'
import type { RoomOfWork } from './roomMaker'
import type { Before, Task } from './task'

/** What keeps tasks from being put in an order, or was left out of it. */
export type OrderIssue =
  /** Tasks that wait for each other, in a ring: what was said by hand and closes it is left out. */
  | { readonly kind: 'ring'; readonly tasks: readonly string[]; readonly by: 'pin' | 'own' }
  /** A move, a delivery or a task of one's own speaks of a task there is no longer. */
  | { readonly kind: 'gone'; readonly what: 'pin' | 'own' | 'delivery'; readonly id: string }

export interface OrderOfWork {
  readonly tasks: readonly Task[]
  readonly issues: readonly OrderIssue[]
}

function ownTask(own: OwnTask): Task {
  return {
    id: `own/${own.id}`,
    kind: 'own',
    room: own.room,
    wall: null,
    number: null,
    name: own.name,
    minutes: own.minutes,
    people: own.trade ? 0 : 1,
    noisy: false,
    after: [],
    comes: null,
    tools: [],
    supplies: [],
    cautions: [],
    checks: [],
  }
}

/** The tasks a task waits for, however far back; itself among them. */
export function behindOf(tasks: ReadonlyMap<string, Task>, id: string): Set<string> {
  const seen = new Set([id])
  const open = [id]
  for (let next = open.pop(); next !== undefined; next = open.pop())
    for (const before of tasks.get(next)?.after ?? [])
      if (!seen.has(before.id)) {
        seen.add(before.id)
        open.push(before.id)
      }
  return seen
}

/** Takes a task out: what waited for it waits for what it waited for, as long as it did. */
function without(tasks: Map<string, Task>, id: string): void {
  const gone = tasks.get(id)
  if (!gone) return
  tasks.delete(id)
  for (const [key, task] of tasks) {
    const own = task.after.filter((before) => before.id === id)
    if (own.length === 0) continue
    // of two waits for the same task the longer one counts
    const others = task.after
      .filter((before) => before.id !== id)
      .map((before) => {
        const passed = gone.after.find((each) => each.id === before.id)
        return passed && passed.wait > before.wait ? passed : before
      })
    const more = gone.after.filter((before) => !others.some((each) => each.id === before.id))
    tasks.set(key, { ...task, after: [...others, ...more] })
  }
}

/**
 * All tasks of these rooms in working order: what is worked out, what the crew changed of it, tasks of its own, deliveries, moves by hand.
 * What was said by hand and would make tasks wait for each other is left out and told.
 */
export function orderOfWork(rooms: readonly RoomOfWork[], work: Work): OrderOfWork {
  const made = rooms.flatMap((room) => roomTasks(room, work))
  const issues: OrderIssue[] = []
  const roomIds = new Set(rooms.map(({ id }) => id))
  const own = work.tasks.filter(({ room }) => room === null || roomIds.has(room))
  const tasks = new Map<string, Task>(
    [...(made.length > 0 ? [buyTask()] : []), ...made, ...own.map(ownTask)].map((task) => [task.id, task]),
  )
  for (const [id, { minutes, skip }] of Object.entries(work.own)) {
    const task = tasks.get(id)
    if (task && skip) without(tasks, id)
    else if (task && minutes !== null) tasks.set(id, { ...task, minutes })
  }
  const wallIds = new Set(rooms.flatMap(({ walls }) => walls.map(({ wall }) => wall)))
  /** A task of what is planned here that is there no longer; one that was left out is only left out. */
  const isGone = (id: string): boolean => {
    if (tasks.has(id) || work.own[id]?.skip) return false
    const [scope, of = ''] = id.split('/')
    if (scope === 'own') return !work.tasks.some((each) => each.id === of)
    return scope === 'room' ? roomIds.has(of) : scope === 'wall' ? wallIds.has(of) : made.length > 0
  }
  const edge = (first: string, then: string, before: Omit<Before, 'id'>, by: 'pin' | 'own'): void => {
    const task = tasks.get(then)
    if (!task || !tasks.has(first)) return
    if (task.after.some(({ id }) => id === first)) return
    const behind = behindOf(tasks, first)
    if (behind.has(then)) {
      issues.push({ kind: 'ring', tasks: [first, then], by })
      return
    }
    tasks.set(then, { ...task, after: [...task.after, { id: first, ...before }] })
  }
  for (const { id, after, before, wait } of own) {
    const self = `own/${id}`
    for (const first of after) {
      if (isGone(first)) issues.push({ kind: 'gone', what: 'own', id: first })
      edge(first, self, { wait: 0, for: null, why: 'own' }, 'own')
    }
    for (const then of before) {
      if (isGone(then)) issues.push({ kind: 'gone', what: 'own', id: then })
      edge(self, then, { wait, for: null, why: 'own' }, 'own')
    }
  }
  for (const { first, then } of work.pins) {
    for (const id of [first, then]) if (isGone(id)) issues.push({ kind: 'gone', what: 'pin', id })
    edge(first, then, { wait: 0, for: null, why: 'pin' }, 'pin')
  }
  for (const { for: id, on, name } of work.deliveries) {
    const task = tasks.get(id)
    if (!task) {
      if (isGone(id)) issues.push({ kind: 'gone', what: 'delivery', id })
      continue
    }
    if (task.comes === null || task.comes.on < on) tasks.set(id, { ...task, comes: { on, name } })
  }
  return { tasks: inOrder([...tasks.values()]), issues }
}

/** Tasks so that each stands behind what it waits for, otherwise as they come. */
export function inOrder(tasks: readonly Task[]): Task[] {
  const known = new Set(tasks.map(({ id }) => id))
  const done = new Set<string>()
  const sorted: Task[] = []
  let open = [...tasks]
  while (open.length > 0) {
    const next = open.find(({ after }) => after.every(({ id }) => done.has(id) || !known.has(id))) ?? open[0]
    if (!next) break
    done.add(next.id)
    sorted.push(next)
    open = open.filter((task) => task !== next)
  }
  return sorted
}

/** What a move by hand would come to. */
export type Move =
  | { readonly ok: true; readonly pins: Work['pins'] }
  /** The first has to wait for the second: by which of its own waits, as far as it is its own. */
  | { readonly ok: false; readonly first: string; readonly then: string; readonly why: Before['why'] | null }

/**
 * Moves a task to be done before another, or after it. Refused where it waits for the other, and why is said; an earlier move of the two the
 * other way round is taken back.
 */
export function moveTask(
  order: readonly Task[],
  pins: Work['pins'],
  moved: string,
  side: 'before' | 'after',
  target: string,
): Move {
  const [first, then] = side === 'before' ? [moved, target] : [target, moved]
  const kept = pins.filter((pin) => !(pin.first === then && pin.then === first))
  const tasks = new Map(
    order.map((task) => [
      task.id,
      task.id === first
        ? { ...task, after: task.after.filter(({ id, why }) => !(id === then && why === 'pin')) }
        : task,
    ]),
  )
  if (first === then || behindOf(tasks, first).has(then)) {
    const own = tasks.get(first)?.after.find(({ id }) => id === then)
    return { ok: false, first, then, why: own?.why ?? null }
  }
  const isSaid = kept.some((pin) => pin.first === first && pin.then === then)
  return { ok: true, pins: isSaid ? kept : [...kept, { first, then }] }
}
