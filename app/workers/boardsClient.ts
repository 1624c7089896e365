import { type Remote, wrap } from 'comlink'
import type { BoardIssue, BoardPlan, BoardRequest } from '~/core/stock'
import type { Result } from '~/length'
import type { BoardsWorker } from './boards.worker'

export interface BoardsJob {
  /** Rejects when the worker breaks down. */
  readonly answer: Promise<Result<BoardPlan, BoardIssue>>
  /** Ends the worker at once; the answer then never comes. */
  readonly cancel: () => void
}

/** A worker with its remote face, kept together: a face that is collected closes its worker's ear. */
interface Helper {
  readonly worker: Worker
  readonly remote: Remote<BoardsWorker>
}

let idle: Helper | null = null

function startHelper(): Helper {
  const worker = new Worker(new URL('./boards.worker.ts', import.meta.url), { type: 'module' })
  return { worker, remote: wrap<BoardsWorker>(worker) }
}

/** Has a worker ready before it is needed; loading the solver takes a moment. */
export function warmUpBoards(): void {
  idle ??= startHelper()
}

/** Proves a board plan in a worker. A finished worker is kept for the next plan. */
export function proveBoards(request: BoardRequest): BoardsJob {
  const helper = idle ?? startHelper()
  idle = null
  let over = false
  const broken = new Promise<never>((_, reject) => {
    helper.worker.addEventListener('error', () => reject(new Error('the board worker broke down')), {
      once: true,
    })
  })
  const answer = Promise.race([helper.remote.plan(request), broken]).then((result) => {
    over = true
    if (idle) helper.worker.terminate()
    else idle = helper
    return result
  })
  return {
    answer,
    cancel: () => {
      if (!over) helper.worker.terminate()
    },
  }
}
