import { sessionWords } from '~/messages'
import { saveFile } from '~/ui/saveFile'
import type { PlannedTask } from '~/core/sequence/planWork'

/** Makes the calendar file once it is asked for, and hands it to the browser. */
export async function saveCalendar(
  job: { readonly id: string; readonly name: string },
  tasks: readonly PlannedTask[],
  nameOf: (task: PlannedTask['task']) => string,
): Promise<void> {
  const { calendarFile } = await import('~/core/files/calendar')
  const file = calendarFile(job, tasks, (task, part) => sessionWords(task, nameOf(task), part), Date.now())
  saveFile(new Blob([file], { type: 'text/calendar' }), 'work.ics')
}
