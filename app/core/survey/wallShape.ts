import type { Survey } from '~/model'
import { type Polygon, roundPoint } from '../geometry'
import { profileOf } from './latestReadings'
import { bendsWithin, flatProfile, type Profile, profileAt } from './profile'

/** The wall as the readings make it. Wall units: x from the left corner's foot, y from the floor there. */
export interface WallShape {
  readonly floor: Profile
  readonly ceiling: Profile
  readonly left: Profile
  readonly right: Profile
}

function combine(a: Profile, b: Profile, how: (a: number, b: number) => number): Profile {
  const places = [...new Set([...a.points, ...b.points].map(({ place }) => place))].sort((p, q) => p - q)
  return { points: places.map((place) => ({ place, value: how(profileAt(a, place), profileAt(b, place)) })) }
}

/** Adds the level start at the left corner that a fall is measured from. */
function fromCorner(falls: Profile | null): Profile {
  const points = falls?.points ?? []
  return points[0]?.place === 0 ? { points } : { points: [{ place: 0, value: 0 }, ...points] }
}

/**
 * The real wall: floor from its falls, ceiling from heights (else its own falls), ends from plumb and widths.
 * Without readings it is the true rectangle of the round width and height.
 */
export function wallShape(survey: Survey): WallShape {
  const { readings } = survey
  const floor = combine(fromCorner(profileOf(readings, 'floorFall')), flatProfile(0), (fall) => 0 - fall)
  const heights = profileOf(readings, 'height')
  const ceiling = heights
    ? combine(floor, heights, (y, height) => y + height)
    : combine(
        fromCorner(profileOf(readings, 'ceilingFall')),
        flatProfile(survey.height),
        (fall, h) => h - fall,
      )
  const left = profileOf(readings, 'plumbLeft') ?? flatProfile(0)
  const widths = profileOf(readings, 'width')
  const leanRight = profileOf(readings, 'plumbRight')
  const right = widths
    ? combine(left, widths, (x, width) => x + width)
    : combine(leanRight ?? flatProfile(0), flatProfile(survey.width), (lean, width) => width - lean)
  return { floor, ceiling, left, right }
}

/** The clear span between the ends over a range of heights: the tightest, so that strips fit everywhere. */
export function clearSpan(
  { left, right }: WallShape,
  bottom: number,
  top: number,
): { left: number; right: number } {
  return {
    left: Math.max(...bendsWithin(left, bottom, top).map((y) => profileAt(left, y))),
    right: Math.min(...bendsWithin(right, bottom, top).map((y) => profileAt(right, y))),
  }
}

/** The wall's outline, its deviations from true made `times` as large for the eye. */
export function wallOutline(shape: WallShape, survey: Survey, times = 1): Polygon {
  const more = (value: number, ideal: number) => ideal + (value - ideal) * times
  const floor = bendsWithin(shape.floor, 0, survey.width).map((x) => ({
    x,
    y: more(profileAt(shape.floor, x), 0),
  }))
  const ceiling = bendsWithin(shape.ceiling, 0, survey.width).map((x) => ({
    x,
    y: more(profileAt(shape.ceiling, x), survey.height),
  }))
  const side = (profile: Profile, ideal: number) =>
    bendsWithin(profile, 0, survey.height).map((y) => ({ x: more(profileAt(profile, y), ideal), y }))
  const right = side(shape.right, survey.width)
  const left = side(shape.left, 0)
  const [floorLeft, floorRight] = [floor[0]?.y ?? 0, floor[floor.length - 1]?.y ?? 0]
  const [topLeft, topRight] = [ceiling[0]?.y ?? 0, ceiling[ceiling.length - 1]?.y ?? 0]
  const ends = <T extends { x: number; y: number }>(points: T[], bottom: number, top: number) =>
    points.map((p, i) => (i === 0 ? { ...p, y: bottom } : i === points.length - 1 ? { ...p, y: top } : p))
  return [
    ...floor.slice(1, -1),
    ...ends(right, floorRight, topRight),
    ...ceiling.slice(1, -1).reverse(),
    ...ends(left, floorLeft, topLeft).reverse(),
  ].map(roundPoint)
}
