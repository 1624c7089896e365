import type { Workpiece } from '~/model'
import { computePlan } from '../computePlan'
import { boardsNear } from '../cutting/leftToCut'
import { sawCounts } from '../cutting/sawCounts'
import { fittingOrder, wallsAsMet } from '../room/fittingOrder'
import type { RoomOfWork } from '../sequence/roomMaker'
import { wallFacts } from './wallFacts'

/** A wall of a job with all it is planned from. */
export interface WallToTake {
  readonly id: string
  readonly name: string
  readonly room: string
  readonly workpiece: Workpiece
}

/** What every wall of a job takes, room by room, with what goes on after what round each room. */
export function jobFacts(walls: readonly WallToTake[]): RoomOfWork[] {
  const rooms = [...new Set(walls.map(({ room }) => room))]
  return rooms.map((room) => {
    const own = walls.filter((wall) => wall.room === room)
    const { steps } = fittingOrder(
      wallsAsMet(own.map(({ id, name, workpiece }) => ({ id, name, workpiece }))),
    )
    return {
      id: room,
      fitAfter: Object.fromEntries(steps.map(({ wallId, after }) => [wallId, after])),
      walls: own.map(({ id, name, workpiece }) => {
        const plan = computePlan(workpiece)
        // sanded and painted are all its boards, cut or not
        const counts = { ...sawCounts(plan, workpiece), boards: boardsNear(plan, workpiece).count }
        return wallFacts({ id, name, room }, workpiece, counts, plan)
      }),
    }
  })
}
