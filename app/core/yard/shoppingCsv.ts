import Papa from 'papaparse'
import { formatStockLength, type LengthFormat } from '~/length'
import { safeCell } from './priceList'
import type { ShoppingGroup } from './shoppingList'

/** The shopping list as CSV (RFC 4180): lengths as sold and in nanometers, money with two digits; safe to open in a spreadsheet. */
export function shoppingCsv(
  groups: readonly ShoppingGroup[],
  nameOf: (material: string) => string,
  format: LengthFormat,
): string {
  const fields = ['supplier', 'code', 'material', 'length', 'length_nm', 'need', 'in_cart', 'price', 'paid']
  const cash = (cents: number | null) => (cents === null ? '' : (cents / 100).toFixed(2))
  const data = groups.flatMap(({ supplier, lines }) =>
    lines.map((line) => ({
      supplier: safeCell(supplier?.name ?? ''),
      code: safeCell(line.code),
      material: safeCell(nameOf(line.material)),
      length: formatStockLength(line.length, format),
      length_nm: String(line.length),
      need: String(line.need),
      in_cart: String(line.inCart),
      price: cash(line.price),
      paid: line.paidFor > 0 ? cash(line.paid) : '',
    })),
  )
  return `${Papa.unparse({ fields, data }, { newline: '\r\n' })}\r\n`
}
