import type { BoardIssue, BoardPlan, BoardRequest } from '~/core/stock'
import type { SawLimits } from '~/core/cutting/sawSetting'
import type { SawRow, SetupPlan } from '~/core/cutting/setups'
import type { Cuts, SheetDemand, SheetIssue, SheetPlan } from '~/core/sheets/stripSheets'
import { proxy } from 'comlink'
import { ok, type Result } from '~/length'
import type { Alternatives, AskedPrice } from '~/core/yard/alternatives'
import type { CheaperAsked, CheaperWay } from '~/core/yard/cheaperWays'
import type { CutFacts } from '~/core/asbuilt/cutFacts'
import type { WallLeft, WallOfJob } from '~/core/yard/wallLeft'
import type { OptionFigures } from '~/core/agree/optionFigures'
import type { Sheet, Workpiece } from '~/model'
import type { BoardsWorker } from './boards.worker'
import { keptWorker, type WorkerJob } from './keptWorker'

const boards = keptWorker<BoardsWorker>(
  () => new Worker(new URL('./boards.worker.ts', import.meta.url), { type: 'module' }),
)

/** Has a worker ready before it is needed; loading the solver takes a moment. */
export function warmUpBoards(): void {
  boards.warmUp()
}

/** A search that is past its deadline by so much is ended from outside: its solver hangs. */
const GRACE_MS = 2_500

/**
 * Proves a board plan in a worker, `ms` long at the most; each better plan is told as it comes. A worker that does
 * not end by itself is ended, and the best plan it told stands with its bound.
 */
export function proveBoards(
  request: BoardRequest,
  ms: number,
  better: (plan: BoardPlan) => void = () => undefined,
): WorkerJob<Result<BoardPlan, BoardIssue>> {
  let best: BoardPlan | null = null
  let over = false
  // what is told comes by a door of its own, and may come after the answer
  const told = (plan: BoardPlan) => {
    if (over) return
    best = plan
    better(plan)
  }
  const job = boards.run(
    (remote) => remote.plan(request, ms, proxy(told)) as Promise<Result<BoardPlan, BoardIssue>>,
    { ms: ms + GRACE_MS, inHand: () => (best ? ok(best) : null) },
  )
  const ends = () => {
    over = true
  }
  return {
    answer: job.answer.finally(ends),
    cancel: () => {
      ends()
      job.cancel()
    },
  }
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

/** What of a job's walls is still to cut, worked out in a worker. */
export function findLeft(walls: readonly WallOfJob[]): WorkerJob<readonly WallLeft[]> {
  return boards.run((remote) => remote.left(walls) as Promise<readonly WallLeft[]>)
}

/** What the yard's lengths come to one by one and mixed, and one more spare: looked at for so long. */
export function findAlternatives(
  { request, plan }: { readonly request: BoardRequest; readonly plan: BoardPlan },
  ms = 4_000,
): WorkerJob<Alternatives> {
  return boards.run((remote) => remote.alternatives(request, plan, ms) as Promise<Alternatives>)
}

/** What several ways to ask for the same boards cost, worked out in a worker: looked at for so long. */
export function findPrices(
  ways: readonly (readonly BoardRequest[])[],
  ms = 4_000,
): WorkerJob<readonly AskedPrice[]> {
  return boards.run((remote) => remote.prices(ways, ms) as Promise<readonly AskedPrice[]>)
}

/** What would make a job cheaper, worked out in a worker. */
export function findCheaper(asked: CheaperAsked): WorkerJob<readonly CheaperWay[]> {
  return boards.run((remote) => remote.cheaper(asked) as Promise<readonly CheaperWay[]>)
}

/** What each of a wall's options comes to, worked out in a worker. */
export function findFigures({
  options,
  facts,
}: {
  readonly options: readonly Workpiece[]
  /** What of the wall is cut already, where that is asked. */
  readonly facts?: CutFacts
}): WorkerJob<readonly OptionFigures[]> {
  return boards.run((remote) => remote.figures(options, facts) as Promise<readonly OptionFigures[]>)
}
