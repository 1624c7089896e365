import { type Length, nearestNanometer } from '~/length'
import type { LengthReadingKind, Survey, Workpiece } from '~/model'
import { cutWall } from '../layout/cutWall'
import type { Layout } from '../layout/layout'
import type { CutRow, Piece } from '../pieces'
import { latestReadings } from '../survey/latestReadings'
import { bendsWithin, type Profile, profileAt } from '../survey/profile'
import { usualMisses } from '../survey/usualMisses'
import { wallShape } from '../survey/wallShape'
import type { BatchAdvice } from './batchAdvice'
import { isIntoCorner, type LineGroup, lineGroups } from './lineGroups'

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

/** A slanted piece changes by more than the size it hangs on, by so many times at the most. */
const SLANT_MOST = 4

/** The wall's sizes that a plan can hang on as a whole, and the part of the wall whose readings vouch for each. */
const SIZES = [
  { size: 'width', bound: 'width', why: 'widthOnce' },
  { size: 'height', bound: 'ceiling', why: 'heightOnce' },
] as const

/** A piece whose length hangs on a size that was not measured twice: which, and how much a usual misreading changes the piece. */
type Hanging = Pick<BatchAdvice, 'why' | 'spread'>

const known = new WeakMap<Workpiece, ReadonlyMap<string, Hanging>>()

/**
 * Pieces that a usual misreading of the wall's width or height would change by more than fitting takes up, where that size was typed or
 * measured once. Found by planning again with the size larger and smaller; kept for the workpiece. By the ids of the pieces.
 */
function hangingOn(workpiece: Workpiece, pieces: readonly Piece[]): ReadonlyMap<string, Hanging> {
  const before = known.get(workpiece)
  if (before) return before
  const found = new Map<string, Hanging>()
  const { wall, settings } = workpiece
  const { survey } = wall
  const [miss] = usualMisses(settings.units)
  for (const { size, bound, why } of SIZES) {
    const again = survey.readAgain.some(({ key, value }) => key === size && value === survey[size])
    if (again || isRead(survey, bound) || miss === undefined) continue
    for (const off of [miss, -miss]) {
      const more = (value: Length) => nearestNanometer(Math.max(1, value + off))
      const readings = survey.readings.map((each) =>
        each.kind === size ? { ...each, value: more(each.value) } : each,
      )
      const other = { ...survey, [size]: more(survey[size]), readings }
      const wanted = new Map(
        cutWall({ ...workpiece, wall: { ...wall, survey: other } }).pieces.map((piece) => [piece.id, piece]),
      )
      for (const { id, cutLength } of pieces) {
        const other = wanted.get(id)
        // where the layout itself turns out otherwise, what has its name is another piece
        const by = other ? Math.abs(other.cutLength - cutLength) : miss
        const spread = by > SLANT_MOST * miss ? miss : by
        if (spread > settings.fit && spread > (found.get(id)?.spread ?? 0)) found.set(id, { why, spread })
      }
    }
  }
  known.set(workpiece, found)
  return found
}

/** What is said of every row of a plan, and of the slants of its moves, which are rows as well. */
export interface SawAdvice {
  readonly of: (row: Pick<CutRow, 'pieceIds'>) => BatchAdvice
  /** Asked for only where slants are told: it plans the wall again where a size was measured once. */
  readonly groups: () => readonly LineGroup[]
}

/**
 * The one answer to whether equal pieces are cut at one stop, measured in place, or held up and scribed: cards, rows, the fold of slants,
 * set-ups, paper and phone ask here. It goes by what the ends of a row's pieces meet, how that was measured, and how far it differs:
 * what ends at an obstacle is measured; slants that differ are measured, and those that die into a corner are held up; what ends at the
 * wall hangs on how far its readings differ, against the fitting tolerance; what lies between strips hangs on their marks, and through
 * those on a size of the wall that was measured once. Sides of mitered frames can't be scribed: they are measured.
 */
export function sawAdvice(
  { layout, pieces }: { readonly layout: Layout; readonly pieces: readonly Piece[] },
  workpiece: Workpiece,
): SawAdvice {
  const { wall, settings } = workpiece
  const byId = new Map(pieces.map((piece) => [piece.id, piece]))
  const shapes = lineGroups(layout, pieces, settings.fit)
  const shapeOf = new Map(shapes.flatMap((shape) => shape.kin.map((id) => [id, shape] as const)))

  const of = (row: Pick<CutRow, 'pieceIds'>): BatchAdvice => {
    const inRow = row.pieceIds.flatMap((id) => byId.get(id) ?? [])
    // it is cut when all it meets is up
    if (inRow.some(({ role }) => role === 'sideTrim'))
      return { advice: 'measureInPlace', why: 'goesBack', spread: 0 }
    if (inRow.some(({ startsAt, endsAt }) => startsAt === 'thing' || endsAt === 'thing'))
      return { advice: 'measureInPlace', why: 'meetsThing', spread: 0 }
    const slants = row.pieceIds.flatMap((id) => shapeOf.get(id) ?? [])
    if (inRow.some(({ role, start, end }) => role === 'line' && [start, end].some(isIntoCorner)))
      return { advice: 'scribe', why: 'intoCorner', spread: 0 }
    const apart = Math.max(0, ...slants.map(({ differs }) => differs))
    if (apart > 0) return { advice: 'measureInPlace', why: 'slantsDiffer', spread: apart }
    const bounds = [...new Set(inRow.flatMap(boundsOfPiece))]
    const spread = Math.max(0, ...bounds.map((bound) => spreadAt(wall.survey, bound)))
    if (!bounds.every((bound) => isRead(wall.survey, bound)))
      return { advice: 'measureInPlace', why: 'readTooSeldom', spread }
    if (spread > settings.fit) {
      const isFramed = inRow.some(({ start, end }) => start.kind === 'miter' && end.kind === 'miter')
      return {
        advice: spread > settings.fit * SCRIBE_BEYOND && !isFramed ? 'scribe' : 'measureInPlace',
        why: 'readingsDiffer',
        spread,
      }
    }
    const hanging = hangingOn(workpiece, pieces)
    const [worst] = inRow.flatMap(({ id }) => hanging.get(id) ?? []).sort((a, b) => b.spread - a.spread)
    if (worst) return { advice: 'measureInPlace', ...worst }
    return { advice: 'batch', why: bounds.length === 0 ? 'betweenStrips' : 'readingsAgree', spread }
  }

  const groups = () =>
    shapes.flatMap((shape): LineGroup[] => {
      const each = shape.kin.map((id) => of({ pieceIds: [id] }))
      const [advice = each[0]] = each.filter((one) => one.advice !== 'batch')
      return advice ? [{ ...shape, advice }] : []
    })
  return { of, groups }
}
