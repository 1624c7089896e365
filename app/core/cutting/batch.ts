import type { Workpiece } from '~/model'
import { type CutRow, isUpright, type Piece } from '../pieces'
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

/**
 * May this row be batch-cut? Pieces between other strips hang on marks alone; a piece that ends at a thing is
 * measured; one that ends at the wall hangs on the spread of the readings, against the fitting tolerance.
 */
export function batchAdvice(
  row: CutRow,
  pieces: readonly Piece[],
  { wall, settings }: Workpiece,
): BatchAdvice {
  const { readings } = wall.survey
  const inRow = pieces.filter(({ id }) => row.pieceIds.includes(id))
  const ends = new Set(inRow.flatMap(({ startsAt, endsAt }) => [startsAt, endsAt]))
  if (ends.has('thing')) return { advice: 'measureInPlace', why: 'meetsThing', spread: 0 }
  if (!ends.has('wall')) return { advice: 'batch', why: 'betweenRails', spread: 0 }
  const upright = isUpright(row.role)
  const kinds = upright ? (['floorFall', 'height'] as const) : (['width'] as const)
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
