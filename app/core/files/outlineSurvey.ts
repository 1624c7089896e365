import { fail, type Length, LONGEST, nearestNanometer, ok, type Result } from '~/length'
import { LIMITS, type LengthReadingKind, type Reading, type Survey } from '~/model'
import type { Point, Polygon } from '../geometry'
import { wallOutline, wallShape } from '../survey/wallShape'

/** Why an outline is no wall. */
export type OutlineShapeIssue =
  | { readonly code: 'tooSmall' | 'tooLarge'; readonly width: number; readonly height: number }
  /** It turns back on itself there: steps and missing parts are put on the wall as such. */
  | { readonly code: 'turnsBack'; readonly at: Point }
  | { readonly code: 'tooManyCorners'; readonly corners: number }

/** Smaller than this either way nothing is laid out on. */
const LEAST = 25_400_000 // 1 in
/**
 * A corner that comes out farther off than this is not where it was. Where floor and end both run off, the corner they make is kept a hair
 * beside its place; all other corners come out to the nanometer.
 */
const ASTRAY = 793_750 // 1/32 in
/** A rounding, and a hair. */
const SAME = 2_000

/** The chain from one corner to another, counter-clockwise. */
function chain(polygon: Polygon, from: number, to: number): Point[] {
  const points: Point[] = []
  for (let i = from; ; i = (i + 1) % polygon.length) {
    const point = polygon[i]
    if (point) points.push(point)
    if (i === to) return points
  }
}

function extreme(polygon: Polygon, of: (point: Point) => number): number {
  return polygon.reduce((best, point, i) => (of(point) < of(polygon[best] ?? point) ? i : best), 0)
}

/** Where a chain runs back, by what should only rise along it. */
function turnsBack(points: readonly Point[], of: (point: Point) => number): Point | null {
  return points.find((point, i) => i > 0 && of(point) - of(points[i - 1] ?? point) < -SAME) ?? null
}

/** A chain's value at a place, straight between its points and level beyond. */
function at(
  points: readonly Point[],
  place: (p: Point) => number,
  value: (p: Point) => number,
  where: number,
) {
  const after = points.findIndex((point) => place(point) >= where)
  const [a, b] = [points[after - 1], points[after]]
  if (after < 0) return value(points.at(-1) ?? { x: 0, y: 0 })
  if (!a || !b) return value(points[0] ?? { x: 0, y: 0 })
  const span = place(b) - place(a)
  return span === 0 ? value(b) : value(a) + ((value(b) - value(a)) * (where - place(a))) / span
}

/** How far a point lies from an outline's sides. */
function distanceTo(outline: Polygon, { x, y }: Point): number {
  return Math.min(
    ...outline.map((a, i) => {
      const b = outline[(i + 1) % outline.length] ?? a
      const [dx, dy] = [b.x - a.x, b.y - a.y]
      const whole = dx * dx + dy * dy
      const t = whole === 0 ? 0 : Math.min(1, Math.max(0, ((x - a.x) * dx + (y - a.y) * dy) / whole))
      return Math.hypot(x - a.x - t * dx, y - a.y - t * dy)
    }),
  )
}

/**
 * A wall's survey from its outline, in nanometers, counter-clockwise: its size, how its ends lean, and how floor and ceiling run, as
 * readings from a file. What stands on the wall, its corners and all else of the survey stays. Every corner of the outline comes out where it
 * was, or it is told why it can't be a wall.
 */
export function surveyFromOutline(
  outline: Polygon,
  survey: Survey,
  now: string,
  newId: () => string,
): Result<Survey, OutlineShapeIssue> {
  const low = extreme(outline, ({ x, y }) => x + y)
  const origin = outline[low] ?? { x: 0, y: 0 }
  const polygon = outline.map(({ x, y }) => ({ x: x - origin.x, y: y - origin.y }))
  const [footRight, headRight, headLeft] = [
    extreme(polygon, ({ x, y }) => y - x),
    extreme(polygon, ({ x, y }) => -x - y),
    extreme(polygon, ({ x, y }) => x - y),
  ]
  const floor = chain(polygon, low, footRight)
  const right = chain(polygon, footRight, headRight)
  const ceiling = chain(polygon, headRight, headLeft).reverse()
  const left = chain(polygon, headLeft, low).reverse()
  const width = at(
    right,
    ({ y }) => y,
    ({ x }) => x,
    0,
  )
  const height = at(
    ceiling,
    ({ x }) => x,
    ({ y }) => y,
    0,
  )
  if (Math.min(width, height) < LEAST) return fail({ code: 'tooSmall', width, height })
  if (Math.max(width, height) > LONGEST) return fail({ code: 'tooLarge', width, height })
  const back =
    turnsBack(floor, ({ x }) => x) ??
    turnsBack(ceiling, ({ x }) => x) ??
    turnsBack(left, ({ y }) => y) ??
    turnsBack(right, ({ y }) => y)
  if (back) return fail({ code: 'turnsBack', at: back })

  const readings: Reading[] = []
  const read = (kind: LengthReadingKind, place: number, value: number) => {
    const common = { id: newId(), method: 'file' as const, takenAt: now }
    readings.push({ ...common, kind, place: nearestNanometer(place), value: nearestNanometer(value) })
  }
  read('width', 0, width)
  read('height', 0, height)
  for (const { x, y } of floor) if (x > SAME && varies(floor, ({ y: up }) => up)) read('floorFall', x, 0 - y)
  for (const { x, y } of ceiling)
    if (x > SAME && varies(ceiling, ({ y: up }) => up)) read('ceilingFall', x, height - y)
  for (const { x, y } of left) if (y > SAME && varies(left, ({ x: along }) => along)) read('plumbLeft', y, x)
  for (const { x, y } of right)
    if (y > SAME && varies(right, ({ x: along }) => along)) read('plumbRight', y, width - x)
  if (readings.length > LIMITS.readings) return fail({ code: 'tooManyCorners', corners: polygon.length })
  const corners = survey.readings.filter((reading) => 'deg' in reading)
  const made: Survey = {
    ...survey,
    width: nearestNanometer(width) as Length,
    height: nearestNanometer(height) as Length,
    readings: [...corners, ...readings],
  }
  const drawn = wallOutline(wallShape(made), made)
  const astray = polygon.find((point) => distanceTo(drawn, point) > ASTRAY)
  return astray ? fail({ code: 'turnsBack', at: astray }) : ok(made)

  function varies(points: readonly Point[], of: (point: Point) => number): boolean {
    const values = points.map(of)
    return Math.max(...values) - Math.min(...values) > SAME
  }
}
