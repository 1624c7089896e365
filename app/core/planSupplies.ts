import type { JobFile } from '~/model'
import { asRooms } from './room/beside'
import { orderOfWork } from './sequence/orderOfWork'
import { jobFacts } from './takeoff/jobFacts'
import { PRODUCT_RULES } from './takeoff/products'
import { takeOff } from './takeoff/supplies'

/** What a plan file says of a job besides its walls: what it takes besides boards, and the tasks in working order. */
export function saidOfJob({ settings, rooms }: JobFile) {
  const facts = jobFacts(
    asRooms(
      rooms.flatMap(({ id: room, walls }) =>
        walls.map(({ id, name, survey, design }) => ({
          id,
          name,
          room,
          workpiece: { wall: { survey, design }, settings },
        })),
      ),
    ),
  )
  const { supplies, gaps } = takeOff(
    facts.flatMap(({ walls }) => walls),
    settings,
  )
  const { tasks } = orderOfWork(facts, settings.work)
  return {
    supplies: supplies.map(({ key, product, amount, byWall, basis, buy, cost }) => ({
      key,
      amount,
      unit: PRODUCT_RULES[product].unit,
      byWall,
      basis,
      buy,
      cost,
    })),
    ...(gaps.length > 0 ? { ratesOfNothing: gaps } : {}),
    tasks: tasks.map(({ id, kind, minutes, people, after }) => ({
      id,
      kind,
      minutes,
      people,
      after: after.map(({ id: first, wait, why }) => ({ task: first, waitHours: wait, why })),
    })),
  }
}
