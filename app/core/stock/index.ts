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
export { type BoardRequest, boardRequests, hasPrices, toProblem } from './cuttingProblem'
export { firstFitDecreasing } from './firstPlan'
export { maximalPatterns, type SolveInteger } from './patternProgram'
export { firstBoards, planBoards, planBoardsQuickly } from './planBoards'
