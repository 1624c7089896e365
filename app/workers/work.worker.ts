import { expose } from 'comlink'
import { bringForward } from '~/core/sequence/bringForward'
import { orderOfWork } from '~/core/sequence/orderOfWork'
import { planWork } from '~/core/sequence/planWork'
import type { RoomOfWork } from '~/core/sequence/roomMaker'
import { workState } from '~/core/sequence/workState'
import { jobFacts, type WallToTake } from '~/core/takeoff/jobFacts'
import type { WorkAsked } from './workAsked'

/** A search that ends by the clock. */
const until = (ms: number) => {
  const end = performance.now() + ms
  return () => performance.now() > end
}

function canBePlanned(wall: WallToTake): boolean {
  try {
    return jobFacts([wall]).length > 0
  } catch {
    return false
  }
}

const api = {
  /** A wall that can't be planned takes no other with it: it is missing from what comes back. */
  facts(walls: readonly WallToTake[]): RoomOfWork[] {
    try {
      return jobFacts(walls)
    } catch {
      return jobFacts(walls.filter(canBePlanned))
    }
  },
  plan({ rooms, work, acts, now }: WorkAsked, ms: number) {
    return planWork(orderOfWork(rooms, work), work, workState(acts), now, until(ms))
  },
  forward({ rooms, work, acts, now }: WorkAsked, end: number, ms: number) {
    return bringForward(rooms, work, workState(acts), now, end, until(ms))
  },
}
export type WorkWorker = typeof api

expose(api)
