import type { BoardIssue, BoardPlan, BoardRequest } from '~/core/stock'
import type { SawLimits } from '~/core/cutting/sawSetting'
import type { SawRow, SetupPlan } from '~/core/cutting/setups'
import type { Cuts, SheetDemand, SheetIssue, SheetPlan } from '~/core/sheets/stripSheets'
import type { Result } from '~/length'
import type { Sheet } from '~/model'
import type { BoardsWorker } from './boards.worker'
import { keptWorker, type WorkerJob } from './keptWorker'

const boards = keptWorker<BoardsWorker>(
  () => new Worker(new URL('./boards.worker.ts', import.meta.url), { type: 'module' }),
)

/** Has a worker ready before it is needed; loading the solver takes a moment. */
export function warmUpBoards(): void {
  boards.warmUp()
}

/** Proves a board plan in a worker. */
export function proveBoards(request: BoardRequest): WorkerJob<Result<BoardPlan, BoardIssue>> {
  return boards.run((remote) => remote.plan(request) as Promise<Result<BoardPlan, BoardIssue>>)
}

/** Proves in a worker how few sheets of one size do. */
export function proveSheets(
  sheet: Sheet,
  demands: readonly SheetDemand[],
  { kerf, endTrim }: Cuts,
): WorkerJob<Result<SheetPlan, SheetIssue>> {
  return boards.run(
    (remote) => remote.sheets(sheet, demands, { kerf, endTrim }) as Promise<Result<SheetPlan, SheetIssue>>,
  )
}

/** Looks in a worker for an order of fewer set-ups, or the proof that there is none. */
export function proveSetups(rows: readonly SawRow[], saw: SawLimits): WorkerJob<SetupPlan> {
  return boards.run((remote) => remote.setups(rows, saw) as Promise<SetupPlan>)
}
