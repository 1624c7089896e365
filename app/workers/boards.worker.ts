import { expose } from 'comlink'
import highs from 'highs'
import wasmUrl from 'highs/runtime?url'
import type { CutFacts } from '~/core/asbuilt/cutFacts'
import { computePlan } from '~/core/computePlan'
import type { SawLimits } from '~/core/cutting/sawSetting'
import { planSetups, type SawRow } from '~/core/cutting/setups'
import { type Cuts, planSheets, type SheetDemand } from '~/core/sheets/stripSheets'
import { type BoardPlan, type BoardRequest, planBoards } from '~/core/stock'
import { optionFigures } from '~/core/agree/optionFigures'
import type { Sheet, Workpiece } from '~/model'
import { alternativesOf, type AskedPrice, priceOf } from '~/core/yard/alternatives'
import { cheaperWays } from '~/core/yard/cheaperWays'
import { leftOfWall, type WallOfJob } from '~/core/yard/wallLeft'
import { highsSolver } from './highsSolver'

const solve = highsSolver(() => highs({ locateFile: () => wasmUrl }))

/** A search that ends by the clock. */
const until = (end: number) => ({
  over: () => performance.now() > end,
  secondsLeft: () => (end - performance.now()) / 1000,
})

const api = {
  /** What of these walls is still to cut. */
  left: (walls: readonly WallOfJob[]) => walls.map(leftOfWall),
  /** What lengths come to one by one, and one more spare. */
  alternatives(request: BoardRequest, plan: BoardPlan, ms: number) {
    const end = performance.now() + ms
    return alternativesOf(request, plan, solve, until(end).over)
  },
  /** What several ways to ask for the same boards cost, each looked at for its share of the time. */
  async prices(ways: readonly (readonly BoardRequest[])[], ms: number) {
    const end = performance.now() + ms
    const found: AskedPrice[] = []
    for (const requests of ways) found.push(await priceOf(requests, solve, until(end).over))
    return found
  },
  cheaper: cheaperWays,
  /** What each of a wall's options comes to. */
  figures: (options: readonly Workpiece[], facts?: CutFacts) =>
    options.map((option) => optionFigures(option, computePlan(option), facts)),
  setups: (rows: readonly SawRow[], saw: SawLimits) => planSetups(rows, saw),
  /** Looks until `ms` are over; each better plan is told on the way. */
  plan(request: BoardRequest, ms: number, better: (plan: BoardPlan) => void) {
    const end = performance.now() + ms
    return planBoards(request, solve, { ...until(end), better })
  },
  sheets: (sheet: Sheet, demands: readonly SheetDemand[], cuts: Cuts) =>
    planSheets(sheet, demands, cuts, solve),
}
export type BoardsWorker = typeof api

expose(api)
