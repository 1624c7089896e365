import { fail, ok, type Result } from '~/length'
import { type BoardIssue, type BoardPlan, boardIssue, drawUp, shortOfStock } from './boardPlan'
import { type BoardRequest, toProblem } from './cuttingProblem'
import { firstPlan, isSmall } from './firstPlan'
import type { SearchControl } from './patternPool'
import type { SolveInteger } from './patternProgram'
import { quickBound, searchMixes } from './searchMixes'

const NEVER: SearchControl = { over: () => false }

/** The plan of a request for no pieces: no boards, proven; null where something is asked for. */
function nothingAsked(request: BoardRequest): Result<BoardPlan, BoardIssue> | null {
  return request.pieces.length === 0 ? ok(drawUp(request, toProblem(request), [], true, 0)) : null
}

/** The first plan, and nothing about how good it is: for whoever compares many. */
export function firstBoards(request: BoardRequest): Result<BoardPlan, BoardIssue> {
  const none = nothingAsked(request)
  if (none) return none
  const issue = boardIssue(request)
  if (issue) return fail(issue)
  const problem = toProblem(request)
  const patterns = firstPlan(problem)
  return patterns
    ? ok(drawUp(request, problem, patterns, false, 0))
    : fail(shortOfStock(request, problem, false))
}

/** A good plan with its bound, in a moment; not proven. */
export function planBoardsQuickly(request: BoardRequest): Result<BoardPlan, BoardIssue> {
  const none = nothingAsked(request)
  if (none) return none
  const issue = boardIssue(request)
  if (issue) return fail(issue)
  const problem = toProblem(request)
  const patterns = firstPlan(problem, isSmall(problem) ? 'all' : 'few')
  return patterns
    ? ok(drawUp(request, problem, patterns, false, quickBound(problem)))
    : fail(shortOfStock(request, problem, false))
}

/** When to stop, and whom to tell of each better plan on the way. */
export interface PlanControl extends SearchControl {
  readonly better?: (plan: BoardPlan) => void
}

/**
 * The plan of least money, then fewest boards, then least length, then the longest offcut, with proof of the first
 * three where the limits allow it (`proven` says so; else no plan costs less than `bound`). `control` ends it early.
 * Where boards are limited and can't hold everything, that is the issue, with the pieces that find none.
 */
export async function planBoards(
  request: BoardRequest,
  solve: SolveInteger,
  control: PlanControl = NEVER,
): Promise<Result<BoardPlan, BoardIssue>> {
  const none = nothingAsked(request)
  if (none) return none
  const issue = boardIssue(request)
  if (issue) return fail(issue)
  const problem = toProblem(request)
  const { better } = control
  const { status, patterns, bound } = await searchMixes(problem, solve, control, (found, least) =>
    better?.(drawUp(request, problem, found, false, least)),
  )
  if (!patterns) return fail(shortOfStock(request, problem, status === 'infeasible'))
  return ok(drawUp(request, problem, patterns, status === 'proven', bound))
}
