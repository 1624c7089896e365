import type { Forward } from '~/core/sequence/bringForward'
import type { WorkPlan } from '~/core/sequence/planWork'
import type { RoomOfWork } from '~/core/sequence/roomMaker'
import type { WallToTake } from '~/core/takeoff/jobFacts'
import type { WorkAsked } from './workAsked'
import { keptWorker, type WorkerJob } from './keptWorker'
import type { WorkWorker } from './work.worker'

const workers = keptWorker<WorkWorker>(
  () => new Worker(new URL('./work.worker.ts', import.meta.url), { type: 'module' }),
)

/** How long a plan is looked for; then the best there is stands with its bound. */
const PLAN_MS = 900
const FORWARD_MS = 4_000

/** What the walls take, worked out in a worker. */
export function findFacts(walls: readonly WallToTake[]): WorkerJob<readonly RoomOfWork[]> {
  return workers.run((remote) => remote.facts(walls) as Promise<readonly RoomOfWork[]>)
}

/** The plan of the work, worked out in a worker. */
export function findPlan(asked: WorkAsked): WorkerJob<WorkPlan> {
  return workers.run((remote) => remote.plan(asked, PLAN_MS) as Promise<WorkPlan>)
}

/** What would bring its end forward. */
export function findForward({
  asked,
  end,
}: {
  readonly asked: WorkAsked
  readonly end: number
}): WorkerJob<readonly Forward[]> {
  return workers.run((remote) => remote.forward(asked, end, FORWARD_MS) as Promise<readonly Forward[]>)
}
