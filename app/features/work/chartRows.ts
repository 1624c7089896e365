import type { TaskRow } from './TaskList'
import type { ChartRow } from './squeeze'

/** The open tasks as the chart draws them: when they are worked on, and how long what follows waits for them to dry or set. */
export function chartRows(rows: readonly TaskRow[]): ChartRow[] {
  return rows.flatMap(({ planned: { task, done, sessions, critical }, name, what, place }): ChartRow[] => {
    const last = sessions.at(-1)
    if (done !== null || !last) return []
    const waits = rows.flatMap(({ planned }) =>
      planned.task.after.filter(({ id }) => id === task.id).map(({ wait }) => wait * 60),
    )
    const wait = Math.max(0, ...waits)
    const stretch = sessions.map(({ start, end }) => [start, end] as const)
    return [
      {
        name: place === '' ? what : name,
        // another trade keeps nobody of the crew busy
        work: task.people === 0 ? [] : stretch,
        dry: task.people === 0 ? [last.start, last.end] : wait > 0 ? [last.end, last.end + wait] : null,
        tight: critical,
      },
    ]
  })
}
