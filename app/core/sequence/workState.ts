import type { WorkAct } from '~/model'
import { minuteOf } from './dates'

/** How the work of a job stands, from what happened. */
export interface WorkState {
  /** Tasks that are done, and the minute they were done at. */
  readonly done: ReadonlyMap<string, number>
  /** Tasks found to take longer than worked out: minutes in all. */
  readonly longer: ReadonlyMap<string, number>
  /** Cautions seen, by the member who saw them; an empty name is whoever works where nobody signs in. */
  readonly seen: ReadonlyMap<string, ReadonlySet<string>>
}

/** Folds acts, oldest first by when they were done. */
export function workState(acts: readonly WorkAct[]): WorkState {
  const done = new Map<string, number>()
  const longer = new Map<string, number>()
  const seen = new Map<string, Set<string>>()
  for (const act of [...acts].sort((a, b) => a.doneAt - b.doneAt)) {
    if (act.kind === 'taskDone') done.set(act.task, minuteOf(act.at) ?? 0)
    else if (act.kind === 'taskOpen') done.delete(act.task)
    else if (act.kind === 'takesLonger') longer.set(act.task, act.minutes)
    else if (act.kind === 'cautionSeen') {
      const member = act.member ?? ''
      seen.set(member, (seen.get(member) ?? new Set()).add(act.caution))
    }
  }
  return { done, longer, seen }
}

/** Cautions of a task this member has not seen on this job: it can't be ticked before. */
export function unseen(
  { seen }: Pick<WorkState, 'seen'>,
  cautions: readonly string[],
  member: string | null,
): string[] {
  const own = seen.get(member ?? '')
  return cautions.filter((caution) => !own?.has(caution))
}
