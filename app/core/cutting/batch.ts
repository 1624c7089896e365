import type { Workpiece } from '~/model'
import type { Layout } from '../layout/layout'
import type { CutRow } from '../pieces'
import { latestReadings } from '../survey/latestReadings'

/** May equal pieces be cut at one stop, and why. `spread` is how far the readings differ, nanometers. */
export interface BatchAdvice {
  readonly advice: 'batch' | 'measureInPlace' | 'scribe'
  readonly why: 'betweenRails' | 'readingsAgree' | 'readingsDiffer' | 'readTooSeldom' | 'meetsThing'
  readonly spread: number
}

/** Beyond so many fitting tolerances a piece is held up and scribed. Common practice, no source. */
const SCRIBE_BEYOND = 8

function spreadOf(values: readonly number[]): number {
  return values.length === 0 ? 0 : Math.max(...values) - Math.min(...values)
}

/** May this row be batch-cut? From the spread of the readings its length hangs on, against the fitting tolerance. */
export function batchAdvice(row: CutRow, layout: Layout, { wall, settings }: Workpiece): BatchAdvice {
  const { readings } = wall.survey
  const bands = new Set(layout.bands.map(({ id }) => id))
  if (
    row.pieceIds.some((id) => /^(batten-\d+|topRail|bottomRail|ledger|cap)-\d+$/.test(id)) &&
    row.role === 'batten'
  )
    return { advice: 'measureInPlace', why: 'meetsThing', spread: 0 }
  if (row.role === 'batten' && bands.has('topRail') && (bands.has('bottomRail') || bands.has('ledger')))
    return { advice: 'batch', why: 'betweenRails', spread: 0 }
  const kinds = row.role === 'batten' ? (['floorFall', 'height'] as const) : (['width'] as const)
  const values = kinds.map((kind) => latestReadings(readings, kind).map(({ value }) => value))
  const times = Math.max(...values.map((list) => list.length))
  const spread = Math.max(
    ...values.map((list, i) => spreadOf(kinds[i] === 'floorFall' ? [0, ...list] : list)),
  )
  if (times < 2 && !(kinds[0] === 'floorFall' && times === 1))
    return { advice: 'measureInPlace', why: 'readTooSeldom', spread }
  if (spread <= settings.fit) return { advice: 'batch', why: 'readingsAgree', spread }
  return {
    advice: spread > settings.fit * SCRIBE_BEYOND ? 'scribe' : 'measureInPlace',
    why: 'readingsDiffer',
    spread,
  }
}
