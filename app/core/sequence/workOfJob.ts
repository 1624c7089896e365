import { USUAL_WORK, type Work } from '~/model'

/** What a room or a wall is called now. */
type Renamed = (scope: 'room' | 'wall', id: string) => string

/** A task's id with the room or wall it is of under another name; what is of neither stays. */
function moved(id: string, to: Renamed): string {
  const [scope, of, ...rest] = id.split('/')
  return (scope === 'room' || scope === 'wall') && of !== undefined
    ? [scope, to(scope, of), ...rest].join('/')
    : id
}

/** The work of a job whose rooms and walls go by other names now, as where a job file is read in. */
export function withPlaces(work: Work, to: Renamed): Work {
  const task = (id: string) => moved(id, to)
  return {
    ...work,
    own: Object.fromEntries(Object.entries(work.own).map(([id, own]) => [task(id), own])),
    tasks: work.tasks.map((own) => ({
      ...own,
      room: own.room === null ? null : to('room', own.room),
      after: own.after.map(task),
      before: own.before.map(task),
    })),
    pins: work.pins.map(({ first, then }) => ({ first: task(first), then: task(then) })),
    deliveries: work.deliveries.map((each) => ({ ...each, for: task(each.for) })),
  }
}

/** What of a job's work is a habit: how, how fast and with what. Its own tasks, moves and days are its own. */
export function habitOfWork(work: Work): Work {
  const { own, tasks, pins, deliveries, days } = USUAL_WORK
  const { week, quietFrom } = work.days
  return { ...work, own, tasks, pins, deliveries, days: { ...days, week, quietFrom } }
}
