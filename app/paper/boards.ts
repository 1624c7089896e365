import { inHandOf, jobRequests, piecesOfWall, stillToCut } from '~/core/yard/jobRequests'
import { wishOf } from '~/core/yard/yardState'
import {
  type BoardIssue,
  type BoardPlan,
  planBoards,
  type SearchControl,
  type SolveInteger,
} from '~/core/stock'
import { isCut } from '~/core/marks/marked'
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
  const uncut = walls.filter(({ wall }) => !isCut(wall.acts))
  const names = new Map(uncut.map(({ wall }) => [wall.id, wall.name]))
  const all = uncut.flatMap(({ wall, workpiece }) =>
    piecesOfWall({ id: wall.id, name: wall.name, workpiece }),
  )
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
      inHand: inHandOf(job.yardActs, job.id),
      out: out.map(({ id }) => id),
    },
    ({ label, wall }) => (uncut.length > 1 ? `${label} ${names.get(wall) ?? ''}` : label),
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
