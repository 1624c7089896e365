import type { PlannedTask } from '../sequence/planWork'
import { type TaskKind, TASK_KINDS } from '../sequence/task'
import { readTaskId } from '../sequence/kindRules'
import { minutesOfWork, type Worked } from './worked'

/** A kind of work: what it was estimated at and what it took. */
export interface Compared {
  readonly kind: TaskKind
  readonly estimated: number
  readonly actual: number
}

const OF_STAGE: Readonly<Record<string, TaskKind>> = { mark: 'mark', cut: 'cut', fit: 'fit' }

/** The kind of work a time was for: a task by its id, a stage of a wall by its name; null for what no task is. */
export function kindOfWorked(of: string): TaskKind | null {
  return OF_STAGE[of] ?? readTaskId(of)?.kind ?? null
}

/**
 * Estimates beside what was worked, by kind of work, for all tasks of which time is known. `worked` says which task (or wall and stage) each time
 * was for; tasks nobody timed are left out on both sides.
 */
export function estimateAndActual(
  tasks: readonly Pick<PlannedTask, 'task'>[],
  worked: readonly (Worked & { readonly wall: string | null })[],
  now: number,
): Compared[] {
  const sums = new Map<TaskKind, { estimated: number; actual: number }>()
  const add = (kind: TaskKind, estimated: number, actual: number) => {
    const sum = sums.get(kind) ?? { estimated: 0, actual: 0 }
    sums.set(kind, { estimated: sum.estimated + estimated, actual: sum.actual + actual })
  }
  const timed = new Set<string>()
  for (const each of worked) {
    const kind = kindOfWorked(each.of)
    if (!kind) continue
    add(kind, 0, minutesOfWork(each, now))
    timed.add(each.wall === null ? each.of : `wall/${each.wall}/${kind}`)
  }
  for (const { task } of tasks) {
    const plain = task.id.replace(/-\d+$/, '')
    if (timed.has(task.id) || timed.has(plain)) add(task.kind, task.minutes, 0)
  }
  return TASK_KINDS.flatMap((kind) => {
    const sum = sums.get(kind)
    return sum && (sum.actual > 0 || sum.estimated > 0) ? [{ kind, ...sum }] : []
  })
}
