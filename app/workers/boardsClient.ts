import { wrap } from 'comlink'
import type { BoardIssue, BoardPlan, BoardRequest } from '~/core/stock'
import type { Result } from '~/length'
import type { BoardsWorker } from './boards.worker'

export interface BoardsJob {
  readonly answer: Promise<Result<BoardPlan, BoardIssue>>
  /** Ends the worker at once; the answer then never comes. */
  readonly cancel: () => void
}

let idle: Worker | null = null

function startWorker(): Worker {
  return new Worker(new URL('./boards.worker.ts', import.meta.url), { type: 'module' })
}

/** Has a worker ready before it is needed; loading the solver takes a moment. */
export function warmUpBoards(): void {
  idle ??= startWorker()
}

/** Proves a board plan in a worker. A finished worker is kept for the next plan. */
export function proveBoards(request: BoardRequest): BoardsJob {
  const worker = idle ?? startWorker()
  idle = null
  let over = false
  const answer = wrap<BoardsWorker>(worker)
    .plan(request)
    .then((result) => {
      over = true
      if (idle) worker.terminate()
      else idle = worker
      return result
    })
  return {
    answer,
    cancel: () => {
      if (!over) worker.terminate()
    },
  }
}
