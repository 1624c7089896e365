import { fail, ok, type Result } from '~/length'
import { costBound, cutFromDuals, type MixCut, relaxBoards, relaxMix, obeysCuts } from './boardBound'
import { type BoardMix, compareMixes, mixesWithin, weighMix } from './boardMixes'
import { type BoardIssue, type BoardPlan, boardIssue, drawUp } from './boardPlan'
import { type BoardRequest, type CuttingProblem, toProblem } from './cuttingProblem'
import { firstPlan, mixOf } from './firstPlan'
import { type CutPattern, packQuickly, packThoroughly } from './packMix'
import { packByProgram, type SolveInteger } from './patternProgram'

/** Cuts every workable mix obeys: by money, by number of boards, by length. */
function basicCuts(problem: CuttingProblem): MixCut[] {
  const ones = problem.rooms.map(() => 1)
  const byMoney = problem.prices.every((price) => price > 0) ? [problem.prices] : []
  return [...byMoney, ones, problem.lengths]
    .map((costs) => cutFromDuals(problem, relaxBoards(problem, costs).duals))
    .concat(cutFromDuals(problem, problem.sizes))
    .filter((cut) => cut !== null)
}

function boundBy(problem: CuttingProblem, cuts: readonly MixCut[]): number {
  return Math.max(0, ...cuts.map((cut) => costBound(problem, cut)))
}

/** Beyond so many different lengths the first bound is that of length alone: a better one takes a while. */
const FEW_LENGTHS = 12
const NODES_A_BOARD = 4_000

/** Cuts that take but a moment; those of the linear relaxation only where there are few lengths. */
function quickCuts(problem: CuttingProblem): MixCut[] {
  if (problem.sizes.length <= FEW_LENGTHS) return basicCuts(problem)
  const cut = cutFromDuals(problem, problem.sizes, NODES_A_BOARD)
  return cut ? [cut] : []
}

/** The first plan, and nothing about how good it is: for whoever compares many. */
export function firstBoards(request: BoardRequest): Result<BoardPlan, BoardIssue> {
  const issue = boardIssue(request)
  if (issue) return fail(issue)
  const problem = toProblem(request)
  return ok(drawUp(request, problem, firstPlan(problem), false, 0))
}

/** A good plan with its bound, in a moment; proven only when the two meet and nothing smaller can tie. */
export function planBoardsQuickly(request: BoardRequest): Result<BoardPlan, BoardIssue> {
  const issue = boardIssue(request)
  if (issue) return fail(issue)
  const problem = toProblem(request)
  return ok(drawUp(request, problem, firstPlan(problem), false, boundBy(problem, quickCuts(problem))))
}

/** The search is given up beyond this many mixes; the best plan so far then stands with its bound. */
const MOST_MIXES = 60_000

/** Budgets tried one after the other, as parts of the way from the bound to the first plan. */
const WINDOWS = [0, 0.05, 0.25, 1] as const

interface Search {
  readonly patterns: CutPattern[]
  readonly proven: boolean
  readonly bound: number
}

async function searchMixes(problem: CuttingProblem, solve: SolveInteger): Promise<Search> {
  const first = firstPlan(problem)
  const incumbent = weighMix(problem, mixOf(problem, first))
  const cuts = basicCuts(problem)
  const bound = boundBy(problem, cuts)
  const settled = new Set<string>()
  let unsettledCost: number | null = null
  for (const part of WINDOWS) {
    const budget = bound + (incumbent.cost - bound) * part
    const mixes = mixesWithin(problem, cuts, budget, MOST_MIXES)
    if (mixes === null) return { patterns: first, proven: false, bound: unsettledCost ?? bound }
    for (const mix of mixes) {
      if (compareMixes(mix, incumbent) >= 0) break
      const key = mix.boards.join()
      if (settled.has(key) || !obeysCuts(mix.boards, cuts)) continue
      settled.add(key)
      const packed = await packMix(problem, mix, cuts, solve)
      if (packed)
        return { patterns: packed, proven: unsettledCost === null, bound: unsettledCost ?? mix.cost }
      if (packed === undefined) unsettledCost ??= mix.cost
    }
  }
  return { patterns: first, proven: unsettledCost === null, bound: unsettledCost ?? incumbent.cost }
}

async function packMix(
  problem: CuttingProblem,
  mix: BoardMix,
  cuts: MixCut[],
  solve: SolveInteger,
): Promise<CutPattern[] | null | undefined> {
  const quick = packQuickly(problem, mix.boards)
  if (quick) return quick
  const relaxed = relaxMix(problem, mix.boards)
  const cut = cutFromDuals(problem, relaxed.duals)
  if (cut && !obeysCuts(mix.boards, [cut])) {
    cuts.push(cut)
    return null
  }
  const packed = packThoroughly(problem, mix.boards, relaxed)
  return packed === undefined ? packByProgram(problem, mix.boards, solve) : packed
}

/**
 * The plan of least money, then fewest boards, then least length, with proof where the limits allow it
 * (`proven` says so). Mixes of boards are taken best first; each is packed, or ruled out by a cut from the
 * fractional plan (Gilmore & Gomory 1961, 1963), by full search, or by the integer solver.
 */
export async function planBoards(
  request: BoardRequest,
  solve: SolveInteger,
): Promise<Result<BoardPlan, BoardIssue>> {
  const issue = boardIssue(request)
  if (issue) return fail(issue)
  const problem = toProblem(request)
  const { patterns, proven, bound } = await searchMixes(problem, solve)
  return ok(drawUp(request, problem, patterns, proven, bound))
}
