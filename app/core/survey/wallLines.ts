import { type Length, nearestNanometer, ZERO } from '~/length'
import type { LevelRule, Survey } from '~/model'
import { bendsWithin, type Profile, profileAt } from './profile'
import { clearSpan, type WallShape } from './wallShape'

/** A straight line across the wall: its height over the left corner's foot, and its rise per length. */
export interface RuleLine {
  readonly at0: number
  readonly slope: number
}

/** The line's height at a distance from the left corner. */
export function onLine({ at0, slope }: RuleLine, x: number): number {
  return at0 + slope * x
}

/**
 * The lines of the wall that bound a layout. Heights are above the base line: a level line through the highest
 * point of the floor, or one that falls with floor or ceiling, as the rule has it.
 */
export interface WallLines {
  readonly base: RuleLine
  readonly left: Length
  readonly right: Length
  readonly floor: Length
  /** Top of what stays at the foot: the kept baseboard, else the floor. */
  readonly baseTop: Length
  /** The lowest underside of what stays at the head: the kept crown, else the ceiling. */
  readonly headLine: Length
  readonly ceiling: Length
}

function chordSlope(profile: Profile, left: number, right: number): number {
  return right > left ? (profileAt(profile, right) - profileAt(profile, left)) / (right - left) : 0
}

/** The base line by a rule: it rests on the floor's high points, at the rule's slope. */
export function baseLine(shape: WallShape, rule: LevelRule, left: number, right: number): RuleLine {
  const floorSlope = chordSlope(shape.floor, left, right)
  const slope = {
    level: 0,
    floor: floorSlope,
    ceiling: chordSlope(shape.ceiling, left, right),
    split: floorSlope / 2,
  }[rule]
  const at0 = Math.max(
    ...bendsWithin(shape.floor, left, right).map((x) => profileAt(shape.floor, x) - slope * x),
  )
  return { at0, slope }
}

/** The greatest space under the base line: what is left to caulk or scribe where a rail stands on the floor. */
export function spaceUnder(shape: WallShape, base: RuleLine, left: number, right: number): number {
  return Math.max(
    ...bendsWithin(shape.floor, left, right).map((x) => onLine(base, x) - profileAt(shape.floor, x)),
  )
}

/** Reads the bounding lines off a survey, for strips that go between two heights. */
export function wallLines(survey: Survey, shape: WallShape, rule: LevelRule): WallLines {
  const baseHeight = survey.baseboard?.fate === 'keep' ? survey.baseboard.height : ZERO
  const crown = survey.crown?.fate === 'keep' ? survey.crown.height : ZERO
  const span = clearSpan(shape, 0, survey.height)
  // the rails reach to the widest place, so the base line rests on the floor that far
  const widest = Math.max(...shape.right.points.map(({ value }) => value))
  const base = baseLine(shape, rule, span.left, Math.max(span.left + 1, widest))
  const ceiling = Math.min(
    ...bendsWithin(shape.ceiling, span.left, span.right).map(
      (x) => profileAt(shape.ceiling, x) - onLine(base, x),
    ),
  )
  return {
    base,
    left: nearestNanometer(span.left),
    right: nearestNanometer(span.right),
    floor: ZERO,
    baseTop: baseHeight,
    headLine: nearestNanometer(ceiling - crown),
    ceiling: nearestNanometer(ceiling),
  }
}

/** A part of the wall's height, floor to ceiling, to the nearest nanometer. */
export function partOfHeight(survey: Survey, rule: 'third' | 'half' | 'twoThirds'): Length {
  const part = { third: 1 / 3, half: 1 / 2, twoThirds: 2 / 3 }[rule]
  return nearestNanometer(survey.height * part)
}
