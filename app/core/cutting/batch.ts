import type { LengthReadingKind, Survey, Workpiece } from '~/model'
import type { CutRow, Piece } from '../pieces'
import { latestReadings } from '../survey/latestReadings'
import { bendsWithin, type Profile, profileAt } from '../survey/profile'
import { wallShape } from '../survey/wallShape'

/** May equal pieces be cut at one stop, and why. `spread` is how far the wall differs from true there, nanometers. */
export interface BatchAdvice {
  readonly advice: 'batch' | 'measureInPlace' | 'scribe'
  readonly why:
    'betweenStrips' | 'readingsAgree' | 'readingsDiffer' | 'readTooSeldom' | 'meetsThing' | 'goesBack'
  readonly spread: number
}

/** Beyond so many fitting tolerances a piece is held up and scribed. Common practice, no source. */
const SCRIBE_BEYOND = 8

/** A part of the wall that the length of a piece hangs on. */
type Bound = 'floor' | 'ceiling' | 'width'

/** What of the wall a piece ends at: an upright at floor and ceiling, a level piece at the two ends. */
function boundsOfPiece({ directionDeg, startsAt, endsAt }: Piece): Bound[] {
  const rise = Math.sin((directionDeg * Math.PI) / 180)
  if (Math.abs(rise) < Math.SQRT1_2) return startsAt === 'wall' || endsAt === 'wall' ? ['width'] : []
  const [foot, head] = rise > 0 ? [startsAt, endsAt] : [endsAt, startsAt]
  return [
    ...(foot === 'wall' ? (['floor'] as const) : []),
    ...(head === 'wall' ? (['ceiling'] as const) : []),
  ]
}

function spreadOf(profile: Profile, from: number, to: number, less?: Profile): number {
  const values = [...bendsWithin(profile, from, to), ...(less ? bendsWithin(less, from, to) : [])].map(
    (at) => profileAt(profile, at) - (less ? profileAt(less, at) : 0),
  )
  return Math.max(...values) - Math.min(...values)
}

/** How far the wall differs there from place to place, by all its readings. */
function spreadAt(survey: Survey, bound: Bound): number {
  const { floor, ceiling, left, right } = wallShape(survey)
  switch (bound) {
    case 'floor':
      return spreadOf(floor, 0, survey.width)
    case 'ceiling':
      return Math.max(spreadOf(ceiling, 0, survey.width), spreadOf(ceiling, 0, survey.width, floor))
    case 'width':
      return spreadOf(right, 0, survey.height, left)
  }
}

/** Whether readings at two places say anything of it; a fall or a lean is itself read against a second place. */
function isRead({ readings }: Survey, bound: Bound): boolean {
  const times = (kind: LengthReadingKind) => latestReadings(readings, kind).length
  switch (bound) {
    case 'floor':
      return times('floorFall') > 0
    case 'ceiling':
      return times('height') > 1 || (times('height') > 0 && times('ceilingFall') > 0)
    case 'width':
      return times('width') > 1 || (times('width') > 0 && times('plumbLeft') > 0 && times('plumbRight') > 0)
  }
}

/**
 * May this row be batch-cut? It goes by what its pieces really end at. Pieces between other strips hang on marks alone; one
 * that ends at a thing is measured; one whose length hangs on the wall hangs on how far the readings of it differ, against
 * the fitting tolerance. Sides of mitered frames can't be scribed: they are measured.
 */
export function batchAdvice(
  row: Pick<CutRow, 'pieceIds'>,
  pieces: readonly Piece[],
  { wall, settings }: Workpiece,
): BatchAdvice {
  const inRow = pieces.filter(({ id }) => row.pieceIds.includes(id))
  // it is cut when all it meets is up
  if (inRow.some(({ role }) => role === 'sideTrim'))
    return { advice: 'measureInPlace', why: 'goesBack', spread: 0 }
  if (inRow.some(({ startsAt, endsAt }) => startsAt === 'thing' || endsAt === 'thing'))
    return { advice: 'measureInPlace', why: 'meetsThing', spread: 0 }
  const bounds = [...new Set(inRow.flatMap(boundsOfPiece))]
  if (bounds.length === 0) return { advice: 'batch', why: 'betweenStrips', spread: 0 }
  const spread = Math.max(...bounds.map((bound) => spreadAt(wall.survey, bound)))
  if (!bounds.every((bound) => isRead(wall.survey, bound)))
    return { advice: 'measureInPlace', why: 'readTooSeldom', spread }
  if (spread <= settings.fit) return { advice: 'batch', why: 'readingsAgree', spread }
  const isFramed = inRow.some(({ start, end }) => start.kind === 'miter' && end.kind === 'miter')
  return {
    advice: spread > settings.fit * SCRIBE_BEYOND && !isFramed ? 'scribe' : 'measureInPlace',
    why: 'readingsDiffer',
    spread,
  }
}
