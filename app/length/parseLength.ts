import Fraction from 'fraction.js'
import { type Length, LONGEST, nanometers, NM_PER_FOOT, NM_PER_INCH, NM_PER_MM } from './length'
import { fail, ok, type Result } from './result'
import type { Units } from './tape'

/** Why a typed length could not be read. `read` is what was typed. */
export type LengthIssue =
  | { readonly code: 'lengthEmpty' }
  | { readonly code: 'lengthUnreadable'; readonly read: string; readonly rest: string }
  | { readonly code: 'lengthZeroDenominator'; readonly read: string }
  | { readonly code: 'lengthUnitTwice'; readonly read: string; readonly unit: string }
  | { readonly code: 'lengthTooLarge'; readonly read: string }
  /** Too many characters to be a length; `read` is how it begins. */
  | { readonly code: 'lengthTooLong'; readonly read: string; readonly characters: number }

/** Refused by its size before anything reads it. */
const MOST_CHARACTERS = 80

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
}

const UNIT_NM: Readonly<Record<string, number>> = {
  mm: NM_PER_MM,
  cm: 10 * NM_PER_MM,
  m: 1000 * NM_PER_MM,
  in: NM_PER_INCH,
  ft: NM_PER_FOOT,
}

const UNIT_WORDS: readonly (readonly [RegExp, string])[] = [
  [/^(?:millimeters?|millimeters?|mm)/, 'mm'],
  [/^(?:centimeters?|centimetres?|cm)/, 'cm'],
  [/^(?:inches|inch|in\.?|"|'')/, 'in'],
  [/^(?:feet|foot|ft\.?|')/, 'ft'],
  [/^(?:meters?|meters?|m)(?![a-z])/, 'm'],
]

/** 29 3/4 and 29-3/4, 5/8, 29.75, 29,75; the order matters, longest first. */
const AMOUNT = /^(?:(\d+)(?:\s+|\s*-\s*)(\d+)\/(\d+)|(\d+)\/(\d+)|(\d+(?:[.,]\d+)?|[.,]\d+))/

/** 2 745 and 2,745, also 12 345.5: how thousands of millimeters are written. */
const THOUSANDS = /^[1-9]\d{0,2}(?:[ ,]\d{3})+(?:[.,]\d+)?(?![\d/])/

/** The number with its groups joined, where it is one of millimeters: 2,745 in is 2.745 of something else. */
function joinThousands(text: string, bare: Units): string {
  const [grouped] = THOUSANDS.exec(text) ?? []
  if (grouped === undefined) return text
  const after = text.slice(grouped.length).trimStart()
  const word = UNIT_WORDS.find(([pattern]) => pattern.test(after))?.[1]
  if ((word ?? (bare === 'mm' ? 'mm' : 'in')) !== 'mm') return text
  return grouped.replace(/[ ,](?=\d{3}(?!\d))/g, '') + text.slice(grouped.length)
}

function tidy(text: string): string {
  return text
    .replace(/[½¼¾⅛⅜⅝⅞⅓⅔]/g, (glyph) => ` ${VULGAR[glyph]} `)
    .replace(/[⁄∕]/g, '/')
    .replace(/[’′‘]/g, "'")
    .replace(/[”″“]/g, '"')
    .replace(/[−–]/g, '-')
    .replace(/[\u00a0\u202f]/g, ' ')
    .trim()
    .toLowerCase()
}

/**
 * Reads a length as people type it: 29 3/4, 29-3/4", 2' 5 3/4, 2ft 5.75in, 756 mm, 75.6cm, 0.756m, ⅝.
 * A number without a unit is in `bare` units (inches, also after feet; or mm). A leading minus is kept. Thousands of
 * millimeters may be set apart: 2 745, 2,745.
 * The value is exact to the nanometer (nearest for thirds and the like). Issues carry what was typed.
 */
export function parseLength(typed: string, bare: Units): Result<Length, LengthIssue> {
  if (typed.length > MOST_CHARACTERS)
    return fail({ code: 'lengthTooLong', read: typed.slice(0, 24), characters: typed.length })
  let rest = tidy(typed)
  if (rest === '') return fail({ code: 'lengthEmpty' })
  const negative = rest.startsWith('-')
  if (negative) rest = rest.slice(1).trimStart()
  rest = joinThousands(rest, bare)
  let total = new Fraction(0)
  const seen = new Set<string>()
  let previous = ''
  do {
    const amount = AMOUNT.exec(rest)
    if (!amount) return fail({ code: 'lengthUnreadable', read: typed, rest })
    rest = rest.slice(amount[0].length).trimStart()
    const [, mixed, mixedTop, mixedBottom, top, bottom, decimal] = amount
    if (Number(mixedBottom ?? bottom ?? 1) === 0) return fail({ code: 'lengthZeroDenominator', read: typed })
    const value = decimal
      ? new Fraction(decimal.replace(',', '.').replace(/^\./, '0.'))
      : new Fraction(`${mixedTop ?? top}/${mixedBottom ?? bottom}`).add(mixed ?? 0)
    const word = UNIT_WORDS.find(([pattern]) => pattern.test(rest))
    const unit = word ? word[1] : bare === 'mm' && previous !== 'ft' ? 'mm' : 'in'
    if (word) rest = rest.replace(word[0], '').trimStart()
    if (seen.has(unit)) return fail({ code: 'lengthUnitTwice', read: typed, unit })
    seen.add(unit)
    previous = unit
    total = total.add(value.mul(UNIT_NM[unit] ?? NM_PER_INCH))
    if (previous === 'ft') rest = rest.replace(/^-\s*/, '')
  } while (rest !== '')
  if (total.compare(LONGEST) > 0) return fail({ code: 'lengthTooLarge', read: typed })
  const nm = Number(total.round().valueOf())
  return ok(nanometers(negative ? -nm : nm))
}
