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
 * The real wall, from all readings of it. An end leans as it was read, from nothing at its foot; the ceiling falls as
 * it was read, from nothing at the left corner; each is then moved, and bent where several say so, to the widths and
 * heights read. Where those do not agree with the leans and falls `readingConflicts` tells. Without readings it is the
 * true rectangle of the round width and height.
 */
export function wallShape(survey: Survey): WallShape {
  const { readings } = survey
  const minus = (profile: Profile) => combine(profile, flatProfile(0), (value) => 0 - value)
  const floor = minus(fromCorner(profileOf(readings, 'floorFall')))
  const left = fromCorner(profileOf(readings, 'plumbLeft'))
  const right = through(minus(fromCorner(profileOf(readings, 'plumbRight'))), offsetsOf(survey, 'width'))
  const ceiling = through(minus(fromCorner(profileOf(readings, 'ceilingFall'))), offsetsOf(survey, 'height'))
  return { floor, ceiling, left, right }
}

/** A form, moved by what was read at some places. */
function through(form: Profile, offsets: Profile): Profile {
  return combine(form, offsets, (value, by) => value + by)
}

/**
 * How far each width (height) reading puts the right end (ceiling) from its form by lean (fall) alone. Where none was
 * read the round figure counts. Readings that agree with the form all give one figure.
 */
function offsetsOf({ readings, width, height }: Survey, kind: 'width' | 'height'): Profile {
  const wholes = profileOf(readings, kind)
  if (!wholes) return flatProfile(kind === 'width' ? width : height)
  const from =
    kind === 'width'
      ? fromCorner(profileOf(readings, 'plumbLeft'))
      : combine(fromCorner(profileOf(readings, 'floorFall')), flatProfile(0), (fall) => 0 - fall)
  const form = fromCorner(profileOf(readings, kind === 'width' ? 'plumbRight' : 'ceilingFall'))
  return {
    points: wholes.points.map(({ place, value }) => ({
      place,
      value: profileAt(from, place) + value + profileAt(form, place),
    })),
  }
}

/** Widths that say another lean than was read, or heights that say another fall of the ceiling. */
export interface ReadingConflict {
  readonly kind: 'width' | 'height'
  /** The two places whose readings lie farthest apart from what the leans (falls) say. */
  readonly places: readonly [number, number]
  readonly difference: number
  /** How many readings it takes to know: the two, and those of the leans or falls. */
  readonly readings: number
}

/** Where widths and leans, or heights and falls, contradict each other; by whatever little. */
export function readingConflicts(survey: Survey): ReadingConflict[] {
  return (['width', 'height'] as const).flatMap((kind): ReadingConflict[] => {
    const forms =
      kind === 'width' ? (['plumbRight', 'plumbLeft'] as const) : (['ceilingFall', 'floorFall'] as const)
    // what was never read bends to the widths and heights, and contradicts nothing
    if (!profileOf(survey.readings, forms[0])) return []
    const { points } = offsetsOf(survey, kind)
    const ordered = [...points].sort((a, b) => a.value - b.value)
    const [least, most] = [ordered[0], ordered[ordered.length - 1]]
    if (!least || !most || most.value === least.value) return []
    return [
      {
        kind,
        places: least.place < most.place ? [least.place, most.place] : [most.place, least.place],
        difference: most.value - least.value,
        readings: 2 + forms.filter((form) => profileOf(survey.readings, form) !== null).length,
      },
    ]
  })
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
  const top = survey.height
  const [footLeft, footRight] = [profileAt(shape.left, 0), profileAt(shape.right, 0)]
  const [headLeft, headRight] = [profileAt(shape.left, top), profileAt(shape.right, top)]
  const along = (profile: Profile, from: number, to: number, ideal: number) =>
    bendsWithin(profile, from, to).map((x) => ({ x, y: more(profileAt(profile, x), ideal) }))
  const floor = along(shape.floor, footLeft, footRight, 0)
  const ceiling = along(shape.ceiling, headLeft, headRight, top)
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
