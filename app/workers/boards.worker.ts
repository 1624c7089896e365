import { expose } from 'comlink'
import highs from 'highs'
import wasmUrl from 'highs/runtime?url'
import type { SawLimits } from '~/core/cutting/sawSetting'
import { planSetups, type SawRow } from '~/core/cutting/setups'
import { type Cuts, planSheets, type SheetDemand } from '~/core/sheets/stripSheets'
import { type BoardRequest, planBoards } from '~/core/stock'
import type { Sheet } from '~/model'
import { highsSolver } from './highsSolver'

const solve = highsSolver(() => highs({ locateFile: () => wasmUrl }))

const api = {
  setups: (rows: readonly SawRow[], saw: SawLimits) => planSetups(rows, saw),
  plan: (request: BoardRequest) => planBoards(request, solve),
  sheets: (sheet: Sheet, demands: readonly SheetDemand[], cuts: Cuts) =>
    planSheets(sheet, demands, cuts, solve),
}
export type BoardsWorker = typeof api

expose(api)
