import { type Length, nearestNanometer, subtractLengths, ZERO } from '~/length'
import type { LevelRule, Survey, Thing } from '~/model'
import { bendsWithin, type Profile, profileAt } from './profile'
import { isMissing } from './obstacles'
import { clearSpan, type WallShape } from './wallShape'

/** A straight line across the wall: its height over the left corner's foot, and its rise per length. */
export interface RuleLine {
  readonly at0: number
  readonly slope: number
  /** How much higher what a layout stands on is here than elsewhere: a stair's skirt board over the baseboard. */
  readonly lift?: number
}

/** The line's height at a distance from the left corner. */
export function onLine({ at0, slope }: RuleLine, x: number): number {
  return at0 + slope * x
}

/** A straight part of the base line, from one place along the wall to another. */
export interface Course {
  readonly left: number
  readonly right: number
  readonly line: RuleLine
}

/** The course a place lies on; beyond the ends the nearest. */
export function courseAt({ courses, base }: Pick<WallLines, 'courses' | 'base'>, x: number): RuleLine {
  return (courses.find(({ right }) => x <= right) ?? courses[courses.length - 1])?.line ?? base
}

/** The base line's height at a distance from the left corner. */
export function baseAt(lines: Pick<WallLines, 'courses' | 'base'>, x: number): number {
  return onLine(courseAt(lines, x), x)
}

/**
 * The lines of the wall that bound a layout. Heights are above the base line: a level line through the highest
 * point of the floor, or one that falls with floor or ceiling, as the rule has it.
 */
export interface WallLines {
  readonly base: RuleLine
  /** The base line from left to right: one straight course, or several where it follows a stair. */
  readonly courses: readonly Course[]
  /** Parts of the wall that the base line follows: they stand in nobody's way. */
  readonly followed: readonly string[]
  readonly left: Length
  readonly right: Length
  readonly floor: Length
  /** How far the floor that heights go by will lie above the one there is; 0 where none is to come. */
  readonly build: Length
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
export function spaceUnder(
  shape: WallShape,
  { base, build }: Pick<WallLines, 'base' | 'build'>,
  left: number,
  right: number,
): number {
  return Math.max(
    ...bendsWithin(shape.floor, left, right).map((x) => onLine(base, x) - build - profileAt(shape.floor, x)),
  )
}

/** What of a missing part's upper edge the floor is made of: its diagonal, or its top. */
function topOf({ left, bottom, width, height, slope, skirt }: Thing, baseTop: number): RuleLine {
  const top = bottom + height
  const lift = skirt ? { lift: skirt.height - baseTop } : {}
  if (slope === null) return { at0: top, slope: 0 }
  const rise = (slope === 'risesRight' ? height : -height) / width
  return { at0: (slope === 'risesRight' ? bottom : top) - rise * left, slope: rise, ...lift }
}

/** The base line along floor, stairs and landings, in straight courses from left to right. */
function stairCourses(
  shape: WallShape,
  steps: readonly Thing[],
  left: number,
  right: number,
  baseTop: number,
): Course[] {
  const bends = [left, right, ...steps.flatMap((step) => [step.left, step.left + step.width])]
    .filter((x) => x >= left && x <= right)
    .sort((a, b) => a - b)
  const courses: Course[] = []
  for (const [i, from] of bends.entries()) {
    const to = bends[i + 1]
    if (to === undefined || to - from < 1) continue
    const middle = (from + to) / 2
    const lines = steps
      .filter((step) => step.left <= from && step.left + step.width >= to)
      .map((step) => topOf(step, baseTop))
    const line = [baseLine(shape, 'floor', from, to), ...lines].reduce((best, each) =>
      onLine(each, middle) > onLine(best, middle) ? each : best,
    )
    courses.push({ left: from, right: to, line })
  }
  return courses
}

/**
 * What a layout stands on, above the floor that will be: what shows of the kept baseboard, else that floor; else the floor there is,
 * below it, where the floor is laid up against the trim.
 */
function footOf({ baseboard, floorToCome }: Survey): Length {
  const base = baseboard?.fate === 'keep' ? baseboard.height : ZERO
  if (!floorToCome) return base
  const shows = subtractLengths(base, floorToCome.build)
  return shows > 0 || floorToCome.when === 'against' ? shows : ZERO
}

/** Reads the bounding lines off a survey, for strips that go between two heights. */
export function wallLines(survey: Survey, shape: WallShape, rule: LevelRule): WallLines {
  const build = survey.floorToCome?.build ?? ZERO
  const crown = survey.crown?.fate === 'keep' ? survey.crown.height : ZERO
  const span = clearSpan(shape, 0, survey.height)
  // the rails reach to the widest places, so the lines rest on floor and ceiling that far
  const widest = Math.max(span.left + 1, ...shape.right.points.map(({ value }) => value))
  const farLeft = Math.min(span.left, ...shape.left.points.map(({ value }) => value))
  const steps = survey.things.filter(
    ({ kind, fate, bottom }) => isMissing(kind) && fate !== 'remove' && (kind !== 'cutOff' || bottom <= 0),
  )
  const follows = rule === 'floor' && steps.some(({ slope }) => slope !== null)
  const present = follows
    ? stairCourses(shape, steps, farLeft, widest, footOf(survey))
    : [{ left: farLeft, right: widest, line: baseLine(shape, rule, farLeft, widest) }]
  // heights go by the floor that will be
  const courses = present.map((course) => ({
    ...course,
    line: build === 0 ? course.line : { ...course.line, at0: course.line.at0 + build },
  }))
  const base = courses[0]?.line ?? { at0: 0, slope: 0 }
  const ceiling = Math.min(
    ...courses.flatMap(({ left, right, line }) =>
      bendsWithin(shape.ceiling, left, right).map((x) => profileAt(shape.ceiling, x) - onLine(line, x)),
    ),
  )
  return {
    base,
    courses,
    followed: follows ? steps.map(({ id }) => id) : [],
    left: nearestNanometer(span.left),
    right: nearestNanometer(span.right),
    floor: ZERO,
    build,
    baseTop: footOf(survey),
    headLine: nearestNanometer(ceiling - crown),
    ceiling: nearestNanometer(ceiling),
  }
}

/** A part of the wall's height, from the floor that will be to the ceiling, to the nearest nanometer. */
export function partOfHeight(survey: Survey, rule: 'third' | 'half' | 'twoThirds'): Length {
  const part = { third: 1 / 3, half: 1 / 2, twoThirds: 2 / 3 }[rule]
  return nearestNanometer((survey.height - (survey.floorToCome?.build ?? 0)) * part)
}
