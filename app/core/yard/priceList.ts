import Papa from 'papaparse'
import {
  formatExact,
  type Length,
  type LengthIssue,
  NM_PER_INCH,
  NM_PER_MM,
  parseLength,
  type Units,
} from '~/length'
import { STOCK_STATES, type StockLength, type StockMaterial, type StockState } from '~/model'

/** The columns of a price list, in order (RFC 4180). `length` and `true_length` as people type them, a bare number in feet. */
export const PRICE_COLUMNS = [
  'code',
  'material',
  'length',
  'price',
  'least_order',
  'state',
  'there',
  'true_length',
] as const
type Column = (typeof PRICE_COLUMNS)[number]

/** One good row: a length of a material the crew keeps, with what the supplier says of it. */
export interface PriceRow {
  readonly line: number
  readonly code: string
  readonly material: string
  readonly length: Length
  readonly trueLength: Length | null
  readonly price: number | null
  readonly leastOrder: number
  readonly state: StockState
  readonly there: string | null
}

/** What is wrong with a row; lines are counted as a person counts them, the heading is line 1. */
export type PriceProblem =
  | { readonly code: 'noColumns'; readonly line: 1; readonly missing: readonly string[] }
  | { readonly code: 'unknownMaterial'; readonly line: number; readonly read: string }
  | { readonly code: 'badLength'; readonly line: number; readonly issue: LengthIssue }
  | {
      readonly code: 'badPrice' | 'negativePrice' | 'badCount' | 'badState' | 'badDay' | 'twice'
      readonly line: number
      readonly read: string
    }

/** A list that was read: the good rows wait, the bad ones are told, and nothing is taken in by itself. */
export interface PriceList {
  readonly rows: readonly PriceRow[]
  readonly problems: readonly PriceProblem[]
}

const MOST_ROWS = 5_000
const MOST_PRICE = 1_000_000

/** A cell that begins like a formula is opened as text: an apostrophe before it, as spreadsheets take it. */
export function safeCell(text: string): string {
  return /^[=+\-@\t\r]/.test(text) ? `'${text}` : text
}

/** Sold lengths without a unit are feet, or millimeters. */
function soldLength(text: string, units: Units) {
  const bare = /^\d+(?:[.,]\d+)?$/.test(text)
  return parseLength(bare && units !== 'mm' ? `${text} ft` : text, units)
}

/** Hundredths of money: `7.12`, `$7,12`, empty for not known; null where it can't be read. */
function hundredths(text: string): number | null | 'bad' | 'negative' {
  const bare = text.replace(/^[^\d\-.,]+/, '').trim()
  if (text.trim() === '') return null
  if (/^-/.test(text.trim()) || /^-/.test(bare)) return 'negative'
  const read = /^(\d{1,7})(?:[.,](\d{1,2}))?$/.exec(bare)
  if (!read) return 'bad'
  const price = Number(read[1]) * 100 + Number((read[2] ?? '').padEnd(2, '0'))
  return price <= MOST_PRICE * 100 ? price : 'bad'
}

const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9/]+/g, ' ')
    .trim()

/** The material a row names: by its id, its nominal size, or nominal and name. */
function materialOf(text: string, materials: readonly StockMaterial[]): string | null {
  const wanted = plain(text)
  const found = materials.filter(
    ({ material }) =>
      material.id === text.trim() ||
      plain(`${material.nominal} ${material.name}`) === wanted ||
      plain(material.nominal) === wanted,
  )
  return found.length === 1 ? (found[0]?.material.id ?? null) : null
}

/** Reads a price list. Every row is good or told; two rows of one length and code at different prices are told as well. */
export function readPriceList(text: string, materials: readonly StockMaterial[], units: Units): PriceList {
  const parsed = Papa.parse<Record<string, string>>(text.trim(), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim().toLowerCase().replace(/\s+/g, '_'),
  })
  const fields = parsed.meta.fields ?? []
  const missing = (['material', 'length', 'price'] as const).filter((column) => !fields.includes(column))
  if (missing.length > 0) return { rows: [], problems: [{ code: 'noColumns', line: 1, missing }] }
  const rows: PriceRow[] = []
  const problems: PriceProblem[] = []
  const seen = new Set<string>()
  parsed.data.slice(0, MOST_ROWS).forEach((record, i) => {
    const line = i + 2
    const cell = (column: Column) => (record[column] ?? '').trim().replace(/^'(?=[=+\-@])/, '')
    const material = materialOf(cell('material'), materials)
    if (material === null) return problems.push({ code: 'unknownMaterial', line, read: cell('material') })
    const length = soldLength(cell('length'), units)
    if (!length.ok) return problems.push({ code: 'badLength', line, issue: length.issue })
    const over = cell('true_length') === '' ? null : parseLength(cell('true_length'), units)
    if (over && !over.ok) return problems.push({ code: 'badLength', line, issue: over.issue })
    const price = hundredths(cell('price'))
    if (price === 'negative') return problems.push({ code: 'negativePrice', line, read: cell('price') })
    if (price === 'bad') return problems.push({ code: 'badPrice', line, read: cell('price') })
    const least = cell('least_order') === '' ? 1 : Number(cell('least_order'))
    if (!Number.isInteger(least) || least < 1 || least > 1000)
      return problems.push({ code: 'badCount', line, read: cell('least_order') })
    const state = cell('state') === '' ? 'there' : STOCK_STATES.find((each) => each === cell('state'))
    if (!state) return problems.push({ code: 'badState', line, read: cell('state') })
    const there = cell('there') === '' ? null : cell('there')
    if (there !== null && !/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/.test(there))
      return problems.push({ code: 'badDay', line, read: there })
    const key = `${material} ${length.value}`
    if (seen.has(key))
      return problems.push({ code: 'twice', line, read: `${cell('material')} ${cell('length')}` })
    seen.add(key)
    return rows.push({
      line,
      code: cell('code').slice(0, 80),
      material,
      length: length.value,
      trueLength: over?.value ?? null,
      price,
      leastOrder: least,
      state,
      there,
    })
  })
  return { rows, problems }
}

/** A length that reads back exactly: feet where they are whole, inches on the 1/64 grid, else millimeters. */
function exactText(length: Length): string {
  if (length % (NM_PER_INCH / 64) === 0) return `${formatExact(length, 'inches')} in`
  return `${(length / NM_PER_MM).toFixed(6).replace(/\.?0+$/, '')} mm`
}

/** The crew's lengths as a price list, that reads back to the same; cells that begin like a formula are safe to open. */
export function priceListCsv(lengths: readonly StockLength[]): string {
  const data = lengths.map((each): Record<Column, string> => ({
    code: safeCell(each.code),
    material: each.material,
    length: exactText(each.length),
    price: each.price === null ? '' : (each.price / 100).toFixed(2),
    least_order: String(each.leastOrder),
    state: each.state,
    there: each.there ?? '',
    true_length: each.trueLength === null ? '' : exactText(each.trueLength),
  }))
  // of no rows the heading alone, and no empty one
  if (data.length === 0) return `${PRICE_COLUMNS.join(',')}\r\n`
  return `${Papa.unparse({ fields: [...PRICE_COLUMNS], data }, { newline: '\r\n' })}\r\n`
}
