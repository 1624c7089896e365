import type { BoardIssue, BoardPlan, BoardRequest } from '~/core/stock'
import type { Result } from '~/length'
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
