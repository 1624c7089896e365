import type { Settings } from '~/model'
import type { CutRow } from '../pieces'
import { demandsOf, type SheetOffer } from './ripped'
import { planSheetsQuickly } from './stripSheets'

/** The sheets that a list's ripped strips come from, a good plan each at once; not proven. */
export function planRipped(rows: readonly CutRow[], settings: Settings): SheetOffer[] {
  const { shop } = settings
  const used = new Set(Object.values(shop.ripped))
  return shop.sheets.flatMap((sheet): SheetOffer[] => {
    const demands = used.has(sheet.id) ? demandsOf(rows, settings, sheet.id) : []
    return demands.length > 0 ? [{ sheet, result: planSheetsQuickly(sheet, demands, shop) }] : []
  })
}
