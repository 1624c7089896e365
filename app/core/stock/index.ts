export { type AlikeBoards, alikeBoards } from './alikeBoards'
export {
  addKnownCosts,
  type BoardIssue,
  type BoardPiece,
  type BoardPlan,
  type CutBoard,
  type KnownCost,
  type Spare,
  tightBoards,
} from './boardPlan'
export { type BoardOffer, type BoardRequest, boardRequests, hasPrices, toProblem } from './cuttingProblem'
export { firstFitDecreasing } from './firstPlan'
export type { SearchControl } from './patternPool'
export { maximalPatterns, type SolveInteger } from './patternProgram'
export { firstBoards, type PlanControl, planBoards, planBoardsQuickly } from './planBoards'
