import { createEvents, type EventAttributes } from 'ics'
import { atMinute } from '~/core/sequence/dates'
import type { PlannedTask } from '~/core/sequence/planWork'
import { cautionText, checkText, orderText } from '~/messages'

/** The library takes the stamp, its types do not know it. */
type Stamped = EventAttributes & { readonly timestamp: number }

/**
 * The plan as iCalendar (RFC 5545): one event a session of work, in the hours of the wall's own clock. A task keeps its name in every file,
 * so that a calendar that takes a newer one in moves what it has. `made` in milliseconds since 1970. Throws where the library can't make it.
 */
export function calendarFile(
  job: { readonly id: string; readonly name: string },
  tasks: readonly PlannedTask[],
  nameOf: (task: PlannedTask['task']) => string,
  made: number,
): string {
  const events = tasks.flatMap(({ task, done, sessions }) =>
    done !== null || task.people === 0
      ? []
      : sessions.map(({ start, end }, i): Stamped => {
          const [day = '', time = ''] = atMinute(start).split('T')
          const [year = 0, month = 0, date = 0] = day.split('-').map(Number)
          const [hour = 0, minute = 0] = time.split(':').map(Number)
          const part = sessions.length > 1 ? `, ${orderText.parts(i + 1, sessions.length)}` : ''
          return {
            title: `${nameOf(task)}${part}`,
            description: [...task.checks.map(checkText), ...task.cautions.map(cautionText)].join('\n'),
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
