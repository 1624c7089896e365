import clipping from 'polygon-clipping'
import { type Length, LONGEST, nearestNanometer, ok, fail, type Result } from '~/length'
import { LIMITS, type LengthReadingKind, type Reading, type Survey, type Thing } from '~/model'
import { boundsOf, type Point, type Polygon, signedArea } from '../geometry'
import { isMissing, outlineOf } from '../survey/obstacles'
import { wallOutline, wallShape } from '../survey/wallShape'

/** Why an outline is no wall. */
export type OutlineShapeIssue =
  | { readonly code: 'tooSmall' | 'tooLarge'; readonly width: number; readonly height: number }
  /** What is missing of the wall there is neither a triangle nor a rectangle. */
  | { readonly code: 'odd'; readonly at: Point }
  | { readonly code: 'tooManyCorners'; readonly corners: number }

/** Smaller than this either way nothing is laid out on. */
const LEAST = 25_400_000 // 1 in
/** Off by less than this is a place: a rounding, and a hair. */
const SAME = 2_000
/** What comes out nearer than this to where it was drawn is there: less than a tick of the usual tape. */
const ASTRAY = 793_750 // 1/32 in
/** An end that leans, or a floor that falls, by more than a quarter of its length is none: it is a slope of the wall's shape. */
const SLANT = 0.25

type Edge = readonly [Point, Point]

const edgesOf = (polygon: Polygon): Edge[] =>
  polygon.map((a, i) => [a, polygon[(i + 1) % polygon.length] ?? a])

/** The run of edges that goes one way and lies farthest out, as its points in their order; none where there is none. */
function outermost(polygon: Polygon, goes: (edge: Edge) => boolean, out: (edge: Edge) => number): Point[] {
  const edges = edgesOf(polygon)
  const fits = edges.map(goes)
  const first = edges.reduce(
    (best, edge, i) => (fits[i] && (best < 0 || out(edge) < out(edges[best] ?? edge)) ? i : best),
    -1,
  )
  if (first < 0) return []
  const count = edges.length
  let [from, to] = [first, first]
  while (fits[(from + count - 1) % count] && (from + count - 1) % count !== to)
    from = (from + count - 1) % count
  while (fits[(to + 1) % count] && (to + 1) % count !== from) to = (to + 1) % count
  const points: Point[] = []
  for (let i = from; ; i = (i + 1) % count) {
    const edge = edges[i]
    if (!edge) break
    if (points.length === 0) points.push(edge[0])
    points.push(edge[1])
    if (i === to) break
  }
  return points
}

/** The four sides a wall is measured by: what of the outline is nearly level or nearly plumb, outermost, from left or from the foot. */
function sidesOf(polygon: Polygon) {
  const along = ([a, b]: Edge) => Math.abs(b.y - a.y) <= SLANT * Math.abs(b.x - a.x)
  const up = ([a, b]: Edge) => Math.abs(b.x - a.x) <= SLANT * Math.abs(b.y - a.y)
  const middle = (of: 'x' | 'y') => (edge: Edge) => (edge[0][of] + edge[1][of]) / 2
  // counter-clockwise: the floor runs to the right, the right end up, the ceiling to the left, the left end down
  return {
    floor: outermost(polygon, (edge) => along(edge) && edge[1].x > edge[0].x, middle('y')),
    right: outermost(
      polygon,
      (edge) => up(edge) && edge[1].y > edge[0].y,
      (edge) => -middle('x')(edge),
    ),
    ceiling: outermost(
      polygon,
      (edge) => along(edge) && edge[1].x < edge[0].x,
      (edge) => -middle('y')(edge),
    ).reverse(),
    left: outermost(polygon, (edge) => up(edge) && edge[1].y < edge[0].y, middle('x')).reverse(),
  }
}

/** A side's value at a place: straight between its points, level beyond. */
function valueAt(points: readonly Point[], of: 'x' | 'y', where: number, none: number): number {
  const value = of === 'x' ? 'y' : 'x'
  const after = points.findIndex((point) => point[of] >= where)
  const [first, last] = [points[0], points.at(-1)]
  if (!first || !last) return none
  if (after < 0) return last[value]
  const [a, b] = [points[after - 1], points[after]]
  if (!a || !b) return first[value]
  return a[value] + ((b[value] - a[value]) * (where - a[of])) / (b[of] - a[of])
}

const varies = (points: readonly Point[], of: 'x' | 'y') =>
  points.length > 0 &&
  Math.max(...points.map((point) => point[of])) - Math.min(...points.map((point) => point[of])) > SAME

/** How far a point lies from an outline's sides. */
function distanceTo(outline: Polygon, { x, y }: Point): number {
  return Math.min(
    ...edgesOf(outline).map(([a, b]) => {
      const [dx, dy] = [b.x - a.x, b.y - a.y]
      const whole = dx * dx + dy * dy
      const t = whole === 0 ? 0 : Math.min(1, Math.max(0, ((x - a.x) * dx + (y - a.y) * dy) / whole))
      return Math.hypot(x - a.x - t * dx, y - a.y - t * dy)
    }),
  )
}

/** What of one outline lies outside the other, without slivers. */
function outside(one: Polygon, other: Polygon): Polygon[] {
  const ring = (polygon: Polygon) => [polygon.map(({ x, y }): [number, number] => [x, y])]
  return clipping.difference([ring(one)], [ring(other)]).flatMap(([outer]) => {
    const points = (outer ?? []).slice(0, -1).map(([x, y]) => ({ x, y }))
    const around = edgesOf(points).reduce((sum, [a, b]) => sum + Math.hypot(b.x - a.x, b.y - a.y), 0)
    return Math.abs(signedArea(points)) > (around * ASTRAY) / 2 ? [points] : []
  })
}

const SLOPES = [null, 'risesLeft', 'risesRight'] as const

/** A missing part as it is put on a wall: a rectangle, or a triangle above or below a slope; null where it is neither. */
function cutOffOf(part: Polygon, id: string): Thing | null {
  const { left, right, bottom, top } = boundsOf(part)
  const common = {
    id,
    kind: 'cutOff' as const,
    left: nearestNanometer(left),
    bottom: nearestNanometer(Math.abs(bottom) < ASTRAY ? 0 : bottom),
    width: nearestNanometer(right - left),
    height: nearestNanometer(top - (Math.abs(bottom) < ASTRAY ? 0 : bottom)),
    thickness: 0 as Length,
    casing: 0 as Length,
    fate: 'keep' as const,
    clear: null,
    fromRight: null,
    fromTop: null,
  }
  const near = (a: Polygon, b: Polygon) => a.every((point) => distanceTo(b, point) <= ASTRAY)
  return (
    SLOPES.map((slope): Thing => ({ ...common, slope })).find((thing) => {
      const outline = outlineOf(thing)
      return near(part, outline) && near(outline, part)
    }) ?? null
  )
}

/**
 * A wall's survey from its outline, in nanometers, counter-clockwise: its size, how its ends lean, and how floor and ceiling run, as
 * readings from a file; slopes of an attic or a stair and steps as parts that are missing. What else stands on the wall, its corners and all
 * else of the survey stays. The wall that comes out is the outline, or it is told why it can't be one.
 */
export function surveyFromOutline(
  outline: Polygon,
  survey: Survey,
  now: string,
  newId: () => string,
): Result<Survey, OutlineShapeIssue> {
  const whole = boundsOf(outline)
  const size = { width: whole.right - whole.left, height: whole.top - whole.bottom }
  if (Math.min(size.width, size.height) < LEAST) return fail({ code: 'tooSmall', ...size })
  if (Math.max(size.width, size.height) > LONGEST) return fail({ code: 'tooLarge', ...size })
  const drawn = sidesOf(outline)
  const origin = {
    x: drawn.left[0]?.x ?? whole.left,
    y: valueAt(drawn.floor, 'x', drawn.left[0]?.x ?? whole.left, whole.bottom),
  }
  const placed = (points: readonly Point[]) =>
    points.map(({ x, y }) => ({ x: x - origin.x, y: y - origin.y }))
  const [floor, right, ceiling, left] = [drawn.floor, drawn.right, drawn.ceiling, drawn.left].map(placed) as [
    Point[],
    Point[],
    Point[],
    Point[],
  ]
  const polygon = placed(outline)
  const width = right[0]?.x ?? whole.right - origin.x
  const height = valueAt(ceiling, 'x', 0, whole.top - origin.y)
  const readings: Reading[] = []
  const read = (kind: LengthReadingKind, place: number, value: number) => {
    const common = { id: newId(), method: 'file' as const, takenAt: now }
    readings.push({ ...common, kind, place: nearestNanometer(place), value: nearestNanometer(value) })
  }
  read('width', 0, width)
  read('height', 0, height)
  if (varies(floor, 'y')) for (const { x, y } of floor) if (x > SAME) read('floorFall', x, 0 - y)
  if (varies(ceiling, 'y')) for (const { x, y } of ceiling) if (x > SAME) read('ceilingFall', x, height - y)
  if (varies(left, 'x')) for (const { x, y } of left) if (y > SAME) read('plumbLeft', y, x)
  if (varies(right, 'x')) for (const { x, y } of right) if (y > SAME) read('plumbRight', y, width - x)
  const corners = survey.readings.filter((reading) => 'deg' in reading)
  if (corners.length + readings.length > LIMITS.readings)
    return fail({ code: 'tooManyCorners', corners: outline.length })
  const made: Survey = {
    ...survey,
    width: nearestNanometer(width),
    height: nearestNanometer(height),
    readings: [...corners, ...readings],
  }
  const frame = wallOutline(wallShape(made), made)
  const [beyond] = outside(polygon, frame)
  if (beyond?.[0]) return fail({ code: 'odd', at: beyond[0] })
  const missing: Thing[] = []
  for (const part of outside(frame, polygon)) {
    const cutOff = cutOffOf(part, newId())
    if (!cutOff) return fail({ code: 'odd', at: part[0] ?? { x: 0, y: 0 } })
    missing.push(cutOff)
  }
  const things = [...survey.things.filter(({ kind }) => !isMissing(kind)), ...missing]
  return things.length > LIMITS.things
    ? fail({ code: 'tooManyCorners', corners: outline.length })
    : ok({ ...made, things })
}
