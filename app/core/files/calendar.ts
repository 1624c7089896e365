import { createEvents, type EventAttributes } from 'ics'
import { atMinute } from '../sequence/dates'
import type { PlannedTask } from '../sequence/planWork'
import type { Task } from '../sequence/task'

/** The library takes the stamp, its types do not know it. */
type Stamped = EventAttributes & { readonly timestamp: number }

/** What a calendar says of a session: of a task done in parts, which of how many. */
export interface SessionWords {
  readonly title: string
  readonly description: string
}

/**
 * The plan as iCalendar (RFC 5545): one event a session of work, in the hours of the wall's own clock. A task keeps its name in every file,
 * so that a calendar that takes a newer one in moves what it has. `made` in milliseconds since 1970. Throws where the library can't make it.
 */
export function calendarFile(
  job: { readonly id: string; readonly name: string },
  tasks: readonly PlannedTask[],
  wordsOf: (task: Task, part: { readonly number: number; readonly of: number } | null) => SessionWords,
  made: number,
): string {
  const events = tasks.flatMap(({ task, done, sessions }) =>
    done !== null || task.people === 0
      ? []
      : sessions.map(({ start, end }, i): Stamped => {
          const [day = '', time = ''] = atMinute(start).split('T')
          const [year = 0, month = 0, date = 0] = day.split('-').map(Number)
          const [hour = 0, minute = 0] = time.split(':').map(Number)
          const of = sessions.length
          const { title, description } = wordsOf(task, of > 1 ? { number: i + 1, of } : null)
          return {
            title,
            description,
            location: job.name,
            start: [year, month, date, hour, minute],
            startInputType: 'local',
            startOutputType: 'local',
            duration: { minutes: Math.max(1, end - start) },
            uid: `${job.id}-${task.id.replaceAll('/', '-')}-${i + 1}@regla`,
            // a later file counts as the newer word of the same event
            sequence: Math.floor(made / 1_000) % 2_000_000_000,
            timestamp: made,
            productId: 'regla',
          }
        }),
  )
  const { error, value } = createEvents(events)
  if (error || !value) throw error ?? new Error('no calendar')
  return value
}
