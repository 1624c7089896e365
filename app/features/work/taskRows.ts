import type { PlannedTask } from '~/core/sequence/planWork'
import { type Places, taskName, taskWhat } from '~/messages'
import type { TaskRow } from './TaskList'

/** Tasks as they are listed; in a plan of one room its name is not said again. */
export function taskRows(tasks: readonly PlannedTask[], places: Places, scope: string): TaskRow[] {
  return tasks.map((planned) => {
    const { wall, room } = planned.task
    const where = wall !== null ? places.walls.get(wall) : room !== null ? places.rooms.get(room) : undefined
    const isSaid = wall === null && scope === `room:${room}`
    return {
      planned,
      name: taskName(planned.task, places),
      what: taskWhat(planned.task),
      place: isSaid ? '' : (where ?? ''),
    }
  })
}
