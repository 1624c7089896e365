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
export {
  type AskedPiece,
  asHeld,
  type BoardOffer,
  type BoardRequest,
  boardRequests,
  hasPrices,
  type PieceToCut,
  takenBy,
  toProblem,
} from './cuttingProblem'
export { firstFitDecreasing } from './firstPlan'
export {
  asCutSoFar,
  isInHand,
  leftPieceOf,
  type LeftPiece,
  newBoards,
  offersInHand,
  type OpenBoard,
  restOf,
  withOpen,
} from './openBoards'
export type { SearchControl } from './patternPool'
export { maximalPatterns, type SolveInteger } from './patternProgram'
export { firstBoards, type PlanControl, planBoards, planBoardsQuickly } from './planBoards'
