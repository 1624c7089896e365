import Papa from 'papaparse'
import {
  fail,
  formatExact,
  type Length,
  type LengthIssue,
  NM_PER_INCH,
  NM_PER_MM,
  ok,
  parseLength,
  type Result,
  type Units,
} from '~/length'
import { LIMITS, METHODS, type Reading } from '~/model'

/** The columns, in order (RFC 4180). `place` and `value` are lengths as people type them; `turn` and degrees for corners. */
export const CSV_COLUMNS = ['kind', 'place', 'value', 'degrees', 'turn', 'method', 'taken_at'] as const
type Column = (typeof CSV_COLUMNS)[number]

/** What is wrong with a line of the file; lines are counted as a person counts them, the heading is line 1. */
export type CsvProblem =
  | { readonly code: 'noColumns'; readonly missing: readonly string[] }
  | { readonly code: 'unknownKind'; readonly line: number; readonly kind: string }
  | {
      readonly code: 'badLength'
      readonly line: number
      readonly column: 'place' | 'value'
      readonly issue: LengthIssue
    }
  | { readonly code: 'badCorner'; readonly line: number; readonly read: string }
  | { readonly code: 'badCell'; readonly line: number; readonly column: Column; readonly read: string }

const LENGTH_KINDS = ['width', 'height', 'floorFall', 'ceilingFall', 'plumbLeft', 'plumbRight'] as const
const CORNER_KINDS = ['cornerLeft', 'cornerRight'] as const

/** A length that reads back exactly: inches on the 1/64 grid, else millimeters to the nanometer. */
function exactText(length: Length): string {
  if (length % (NM_PER_INCH / 64) === 0) return `${formatExact(length, 'inches')} in`
  return `${(length / NM_PER_MM).toFixed(6).replace(/\.?0+$/, '')} mm`
}

function rowOf(reading: Reading): Record<Column, string> {
  const common = { kind: reading.kind, method: reading.method, taken_at: reading.takenAt }
  if ('deg' in reading)
    return { ...common, place: '', value: '', degrees: String(reading.deg), turn: reading.turn }
  return {
    ...common,
    place: exactText(reading.place),
    value: exactText(reading.value),
    degrees: '',
    turn: '',
  }
}

/** The readings as CSV (RFC 4180), oldest first. */
export function readingsToCsv(readings: readonly Reading[]): string {
  return `${Papa.unparse({ fields: [...CSV_COLUMNS], data: readings.map(rowOf) }, { newline: '\r\n' })}\r\n`
}

/** A file to fill in: the heading and one line of each kind that is usual. */
export function readingsTemplate(): string {
  const lines = [
    ['width', '4 in', '', '', '', 'tape', ''],
    ['width', '80 in', '', '', '', 'tape', ''],
    ['height', '0 in', '', '', '', 'tape', ''],
    ['height', '100 in', '', '', '', 'tape', ''],
    ['floorFall', '100 in', '', '', '', 'laser', ''],
    ['cornerLeft', '', '', '90', 'inside', 'tape', ''],
  ]
  return `${Papa.unparse({ fields: [...CSV_COLUMNS], data: lines }, { newline: '\r\n' })}\r\n`
}

function includes<T extends string>(list: readonly T[], text: string): text is T {
  return (list as readonly string[]).includes(text)
}

/**
 * Reads CSV back: all readings, or every problem with its line. Lines without a value are left out (a template
 * half filled in). `now` stands in for a missing time, `newId` names the readings.
 */
export function readingsFromCsv(
  text: string,
  units: Units,
  now: string,
  newId: (line: number) => string,
): Result<Reading[], readonly CsvProblem[]> {
  const parsed = Papa.parse<Record<string, string>>(text.trim(), { header: true, skipEmptyLines: true })
  const missing = ['kind', 'place', 'value'].filter((column) => !(parsed.meta.fields ?? []).includes(column))
  if (missing.length > 0) return fail([{ code: 'noColumns', missing }])
  const problems: CsvProblem[] = []
  const readings: Reading[] = []
  parsed.data.forEach((row, i) => {
    const line = i + 2
    const cell = (column: Column) => (row[column] ?? '').trim()
    const kind = cell('kind')
    const method = cell('method') === '' ? 'file' : cell('method')
    const takenAt = cell('taken_at') === '' ? now : cell('taken_at')
    const bad = (column: Column) => problems.push({ code: 'badCell', line, column, read: cell(column) })
    if (!includes(METHODS, method)) return void bad('method')
    if (Number.isNaN(Date.parse(takenAt))) return void bad('taken_at')
    const common = { id: newId(line), method, takenAt: new Date(takenAt).toISOString() }
    if (includes(CORNER_KINDS, kind)) {
      const deg = Number(cell('degrees'))
      const turn = cell('turn') === '' ? 'inside' : cell('turn')
      if (cell('degrees') === '' || Number.isNaN(deg)) return void bad('degrees')
      if (!(deg >= LIMITS.cornerDeg.least && deg <= LIMITS.cornerDeg.most))
        return void problems.push({ code: 'badCorner', line, read: cell('degrees') })
      if (turn !== 'inside' && turn !== 'outside') return void bad('turn')
      readings.push({ ...common, kind, deg, turn })
      return
    }
    if (!includes(LENGTH_KINDS, kind)) return void problems.push({ code: 'unknownKind', line, kind })
    if (cell('value') === '') return
    const place = parseLength(cell('place') === '' ? '0' : cell('place'), units)
    const value = parseLength(cell('value'), units)
    if (!place.ok) problems.push({ code: 'badLength', line, column: 'place', issue: place.issue })
    if (!value.ok) problems.push({ code: 'badLength', line, column: 'value', issue: value.issue })
    if (place.ok && value.ok) {
      if (place.value < 0) bad('place')
      else readings.push({ ...common, kind, place: place.value, value: value.value })
    }
  })
  return problems.length > 0 ? fail(problems) : ok(readings)
}
