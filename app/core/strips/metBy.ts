import { liesApart, type Line, movedFrom, TOUCHING, unitVector } from '../geometry'
import type { Field } from '../layout/field'
import { type Meeting, meetings, type Piece, placePiece, treatmentOf } from '../pieces'
import type { Obstacle } from '../survey/obstacles'
import { type Lie, specOf, type Strip, wholePiece } from './strip'

/** A notch deeper than this part of the width leaves no strip to speak of: it ends there instead. */
const MOST_NOTCH = 0.75

/** Where a piece begins along a strip, from the strip's center point. */
export function startAlong(piece: Piece, strip: Lie): number {
  const along = unitVector(strip.directionDeg)
  return Math.min(
    ...piece.face.map(({ x, y }) => (x - strip.center.x) * along.x + (y - strip.center.y) * along.y),
  )
}

/** What a strip meets within its own length: what ends it, and what is cut out of its edges. */
export interface Met {
  readonly ending: readonly Meeting[]
  readonly notched: readonly Meeting[]
  /** Where it begins along itself, from its center point. */
  readonly start: number
}

/**
 * A meeting at a corner of what it meets, cut square to the strip where the parts before and after it would else reach over each other:
 * where the corner points in from one side and the strip goes on at the other.
 */
function apart(strip: Strip, meeting: Meeting, squareWithin: number): Meeting {
  if (!meeting.corner) return meeting
  const spec = specOf(strip, squareWithin)
  const before = placePiece({ ...spec, alsoEnd: [...(spec.alsoEnd ?? []), meeting.entry] })
  const after = placePiece({ ...spec, alsoStart: [...(spec.alsoStart ?? []), meeting.exit] })
  if (!before || !after || liesApart(before.face, after.face, TOUCHING)) return meeting
  const across = (at: number): Line => ({
    through: movedFrom(strip.center, strip.directionDeg, at, 0),
    directionDeg: strip.directionDeg + 90,
  })
  return { ...meeting, entry: across(meeting.from), exit: across(meeting.to) }
}

/** What a strip meets; null where its own ends leave nothing of it. */
export function metBy(
  strip: Strip,
  obstacles: readonly Obstacle[],
  { design, settings }: Pick<Field, 'design' | 'settings'>,
): Met | null {
  const inTheWay = meetings(strip, obstacles)
  if (inTheWay.length === 0) return { ending: [], notched: [], start: 0 }
  const whole = wholePiece(strip, settings.fit)
  if (!whole) return null
  const start = startAlong(whole, strip)
  const found = inTheWay.filter(({ from, to }) => to > start && from < start + whole.longLength)
  const wanted = found.map((meeting) => ({ meeting, treatment: treatmentOf(meeting, design.meets) }))
  const notched = wanted.filter(({ treatment }) => treatment === 'notch').map(({ meeting }) => meeting)
  const holds = (meeting: Meeting) =>
    meeting.depth <= strip.faceWidth * MOST_NOTCH &&
    !notched.some((other) => other !== meeting && other.from < meeting.to && other.to > meeting.from)
  const ending = wanted
    .filter(({ meeting, treatment }) => treatment === 'end' || (treatment === 'notch' && !holds(meeting)))
    .map(({ meeting }) => meeting)
  return {
    ending: ending.map((meeting) => apart(strip, meeting, settings.fit)),
    notched: notched.filter(holds),
    start,
  }
}

/** The things that end a strip short of its own ends, or part it: by their ids. */
export function endedBy(
  strip: Strip,
  obstacles: readonly Obstacle[],
  field: Pick<Field, 'design' | 'settings'>,
): string[] {
  return (metBy(strip, obstacles, field)?.ending ?? []).map(({ obstacle }) => obstacle.id)
}
