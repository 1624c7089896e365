import { inHandOf, jobRequests, stillToCut } from '~/core/yard/jobRequests'
import { leftOfWall } from '~/core/yard/wallLeft'
import { wishOf } from '~/core/yard/yardState'
import {
  type BoardIssue,
  type BoardPlan,
  planBoards,
  type SearchControl,
  type SolveInteger,
} from '~/core/stock'
import type { PaperJob, PlannedWall } from './paperJob'

export interface PaperBoards {
  readonly plans: readonly BoardPlan[]
  readonly without: readonly BoardIssue[]
}

export const NO_BOARDS: PaperBoards = { plans: [], without: [] }

/** The boards of a job, as its page plans them: what is cut is left out, what is in hand comes first. Ends when `control` says so. */
export async function paperBoards(
  job: PaperJob,
  walls: readonly PlannedWall[],
  solve: SolveInteger,
  /** For each material in turn, told how many are still to be planned. */
  control: (still: number) => SearchControl,
): Promise<PaperBoards> {
  const lefts = walls.map(({ wall: { id, name, acts }, workpiece }) =>
    leftOfWall({ id, name, workpiece, acts }),
  )
  const names = new Map(lefts.map(({ wall, name }) => [wall, name]))
  const all = lefts.flatMap(({ pieces }) => pieces)
  const several = lefts.filter(({ pieces }) => pieces.length > 0).length > 1
  const out = job.settings.shop.offers.filter((offer) =>
    job.stock.lengths.some(
      (each) => each.material === offer.material && each.length === offer.length && each.state === 'out',
    ),
  )
  const requests = jobRequests(
    stillToCut(all, job.yardActs, job.id),
    job.settings,
    {
      wish: wishOf(job.yardActs, job.id),
      inHand: inHandOf(job.yardActs, job.id, lefts, job.settings),
      out: out.map(({ id }) => id),
    },
    ({ label, wall }) => (several ? `${label} ${names.get(wall) ?? ''}` : label),
  )
  const plans: BoardPlan[] = []
  const without: BoardIssue[] = []
  for (const [i, request] of requests.entries()) {
    const result = await planBoards(request, solve, control(requests.length - i))
    if (result.ok) plans.push(result.value)
    else without.push(result.issue)
  }
  return { plans, without }
}
