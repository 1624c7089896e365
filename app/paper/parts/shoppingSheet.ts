import { takeOff } from '~/core/takeoff/supplies'
import type { RoomOfWork } from '~/core/sequence/roomMaker'
import { shoppingList, shoppingSum } from '~/core/yard/shoppingList'
import { suppliesHeld, supplyLines } from '~/core/yard/supplyLines'
import { boughtOf } from '~/core/yard/yardState'
import {
  lineName,
  lineNotes,
  money,
  packName,
  paperText,
  sumText,
  supplyName,
  type Wording,
} from '~/messages'
import type { PaperBoards } from '../boards'
import type { Flow } from '../pdf/flow'
import type { PaperJob } from '../paperJob'

const COLUMNS = [
  { name: paperText.shoppingColumns[0], share: 0.9, bold: true, tick: true },
  { name: paperText.shoppingColumns[1], share: 5 },
  { name: paperText.shoppingColumns[2], share: 1, align: 'right' as const },
  { name: paperText.shoppingColumns[3], share: 1, align: 'right' as const },
]

/** What to buy: boards by supplier, then supplies pack by pack, with boxes to tick and what it comes to. */
export function shoppingSheet(
  flow: Flow,
  job: PaperJob,
  { plans }: PaperBoards,
  rooms: readonly RoomOfWork[],
  w: Wording & { readonly currency: string },
): void {
  const { settings } = job
  const groups = shoppingList(plans, boughtOf(job.yardActs, job.id), settings, job.stock)
  const supplies = supplyLines(
    takeOff(
      rooms.flatMap(({ walls }) => walls),
      settings,
    ).supplies,
    suppliesHeld(job.yardActs, job.id),
  )
  flow.page(paperText.parts.shopping, job.name)
  if (groups.length + supplies.length === 0) return flow.para(paperText.nothingToBuy)
  const price = (cents: number | null) => (cents === null ? '' : money(cents, w.currency))
  const rowOf = (
    name: string,
    { need, inCart, price: each }: { need: number; inCart: number; price: number | null },
  ) => [
    paperText.toGet(need - inCart, need),
    name,
    price(each),
    price(each === null ? null : each * (need - inCart)),
  ]
  for (const { supplier, lines } of groups) {
    flow.heading(supplier?.name ?? paperText.nobody)
    flow.table(
      COLUMNS,
      lines.map((line) => {
        const notes = [line.code, ...lineNotes(line)].filter((note) => note !== '').join(', ')
        return rowOf(`${lineName(line, w)}${notes === '' ? '' : ` (${notes})`}`, line)
      }),
    )
  }
  if (supplies.length > 0) {
    flow.heading(paperText.supplies)
    flow.table(
      COLUMNS,
      supplies.map((line) =>
        rowOf(
          `${supplyName(line.supply, settings.paints, w)}, ${packName(line.supply.product, line.size, settings.units)}`,
          line,
        ),
      ),
    )
  }
  flow.para(`${paperText.sum}: ${sumText(shoppingSum(groups, supplies), w.currency)}`, { weight: 'bold' })
}
