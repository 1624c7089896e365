import {
  fail,
  inches,
  type Length,
  type LengthIssue,
  ok,
  parseLength,
  type Result,
  type Units,
} from '~/length'

/** A board on sale as typed: its length, and its price in hundredths of money where one was given. */
export interface TypedOffer {
  readonly length: Length
  readonly price: number | null
}

/** A material as typed: what it is called, its actual width and thickness. */
export interface TypedMaterial {
  readonly name: string
  readonly width: Length
  readonly thickness: Length
}

/** What is wrong in a line, counted from 1. */
export type StockLineProblem =
  | { readonly code: 'badLength'; readonly line: number; readonly issue: LengthIssue }
  | {
      readonly code: 'badPrice' | 'twice' | 'outOfRange' | 'noName' | 'noSize'
      readonly line: number
      readonly read: string
    }

const LENGTHS = { least: inches(6), most: inches(480) }
const MOST_PRICE = 100_000_000

interface Line {
  readonly line: number
  readonly text: string
}

function linesOf(text: string): Line[] {
  return text
    .split(/\r\n|\r|\n/)
    .map((each, i) => ({ line: i + 1, text: each.trim() }))
    .filter(({ text: each }) => each !== '')
}

/** A number without a unit is a board's length in feet, or in millimeters: as boards are sold. */
function boardLength(text: string, units: Units): Result<Length, LengthIssue> {
  const bare = /^\d+(?:[.,]\d+)?$/.test(text)
  return parseLength(bare && units !== 'mm' ? `${text} ft` : text, units)
}

function gathered<T>(
  lines: readonly Line[],
  read: (line: Line) => Result<T, StockLineProblem>,
): Result<readonly T[], readonly StockLineProblem[]> {
  const results = lines.map(read)
  const problems = results.flatMap((result) => (result.ok ? [] : [result.issue]))
  return problems.length > 0
    ? fail(problems)
    : ok(results.flatMap((result) => (result.ok ? [result.value] : [])))
}

/**
 * Reads boards on sale, one length a line with its price behind it: `8 7.35`, `10 ft $9.20`, `12'`, `2400 mm 11`. A number
 * alone is feet, in a job in millimeters millimeters. A line without a price has none. Gives all, or each line's problem.
 */
export function readOfferLines(
  text: string,
  units: Units,
): Result<readonly TypedOffer[], readonly StockLineProblem[]> {
  const seen = new Set<number>()
  return gathered(linesOf(text), ({ line, text: read }): Result<TypedOffer, StockLineProblem> => {
    // the price is what stands last, apart from the length
    const [, length = read, money] = /^(.*?)\s*[:=,]?\s+\$?(\d+(?:[.,]\d{1,2})?)$/.exec(read) ?? []
    const first = boardLength(length.trim(), units)
    // 29 3/4 is a length and no length with a price
    const whole = first.ok ? first : boardLength(read, units)
    if (!whole.ok) return fail({ code: 'badLength', line, issue: whole.issue })
    const price = first.ok && money !== undefined ? Math.round(Number(money.replace(',', '.')) * 100) : null
    if (whole.value < LENGTHS.least || whole.value > LENGTHS.most)
      return fail({ code: 'outOfRange', line, read })
    if (price !== null && price > MOST_PRICE) return fail({ code: 'badPrice', line, read })
    if (seen.has(whole.value)) return fail({ code: 'twice', line, read })
    seen.add(whole.value)
    return ok({ length: whole.value, price })
  })
}

/** Reads materials, one a line: `ripped lath: 1 7/8 x 1/2`, width by thickness as they really are. Gives all, or each line's problem. */
export function readMaterialLines(
  text: string,
  units: Units,
): Result<readonly TypedMaterial[], readonly StockLineProblem[]> {
  return gathered(linesOf(text), ({ line, text: read }): Result<TypedMaterial, StockLineProblem> => {
    const at = read.indexOf(':')
    const name = at < 0 ? '' : read.slice(0, at).trim()
    if (name === '' || name.length > 40) return fail({ code: 'noName', line, read })
    const [width = '', thickness, ...more] = read.slice(at + 1).split(/\s*(?:[x×]|\bby\b)\s*/i)
    if (thickness === undefined || more.length > 0) return fail({ code: 'noSize', line, read })
    const [wide, thick] = [parseLength(width, units), parseLength(thickness, units)]
    if (!wide.ok) return fail({ code: 'badLength', line, issue: wide.issue })
    if (!thick.ok) return fail({ code: 'badLength', line, issue: thick.issue })
    const fits =
      wide.value >= inches(1 / 8) &&
      wide.value <= inches(48) &&
      thick.value >= inches(1 / 16) &&
      thick.value <= inches(4)
    return fits
      ? ok({ name, width: wide.value, thickness: thick.value })
      : fail({ code: 'outOfRange', line, read })
  })
}
