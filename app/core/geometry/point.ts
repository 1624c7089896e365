/** A point in wall units: nanometers, x right from the wall's left end, y up from the finished floor. */
export interface Point {
  readonly x: number
  readonly y: number
}

/** A closed outline, counter-clockwise, without the first point repeated. */
export type Polygon = readonly Point[]

/** A straight line of no end: a point on it and its direction in degrees, counter-clockwise from +x. */
export interface Line {
  readonly through: Point
  readonly directionDeg: number
}

const RIGHT_ANGLE_UNITS: readonly Point[] = [
  { x: 1, y: 0 },
  { x: 0, y: 1 },
  { x: -1, y: 0 },
  { x: 0, y: -1 },
]

/** Directions asked for lately: a family of strips asks for one a thousand times. */
const lately = new Map<number, Point>()
const MOST_KEPT = 4_000

/** The unit vector of a direction; exact for whole right angles, so upright strips stay on whole nanometers. */
export function unitVector(directionDeg: number): Point {
  const known = lately.get(directionDeg)
  if (known) return known
  if (lately.size >= MOST_KEPT) lately.clear()
  const made = madeUnit(directionDeg)
  lately.set(directionDeg, made)
  return made
}

function madeUnit(directionDeg: number): Point {
  const turned = ((directionDeg % 360) + 360) % 360
  const quarter = RIGHT_ANGLE_UNITS[turned / 90]
  if (quarter) return quarter
  const radians = (turned * Math.PI) / 180
  return { x: Math.cos(radians), y: Math.sin(radians) }
}

/** Where two lines cross; null when they are parallel (sine of the angle between under 1e-9). */
export function crossing(a: Line, b: Line): Point | null {
  const u = unitVector(a.directionDeg)
  const v = unitVector(b.directionDeg)
  const sine = u.x * v.y - u.y * v.x
  if (Math.abs(sine) < 1e-9) return null
  const t = ((b.through.x - a.through.x) * v.y - (b.through.y - a.through.y) * v.x) / sine
  return { x: a.through.x + t * u.x, y: a.through.y + t * u.y }
}

/** A point moved along a direction by a distance, and square to it (to the left) by another. */
export function movedFrom(point: Point, directionDeg: number, along: number, left: number): Point {
  const u = unitVector(directionDeg)
  return { x: point.x + u.x * along - u.y * left, y: point.y + u.y * along + u.x * left }
}

/** A point rounded to whole nanometers. */
export function roundPoint({ x, y }: Point): Point {
  return { x: Math.round(x), y: Math.round(y) }
}

/** Area of a polygon by the shoelace formula, square nanometers; positive counter-clockwise. */
export function signedArea(polygon: Polygon): number {
  let twice = 0
  polygon.forEach((p, i) => {
    const q = polygon[(i + 1) % polygon.length]
    if (q) twice += p.x * q.y - q.x * p.y
  })
  return twice / 2
}

/** The upright rectangle between two corners. */
export function rectangle(left: number, bottom: number, right: number, top: number): Polygon {
  return [
    { x: left, y: bottom },
    { x: right, y: bottom },
    { x: right, y: top },
    { x: left, y: top },
  ]
}

/** The smallest upright rectangle round some points. */
export function boundsOf(points: readonly Point[]): {
  left: number
  right: number
  bottom: number
  top: number
} {
  const bounds = { left: Infinity, right: -Infinity, bottom: Infinity, top: -Infinity }
  for (const { x, y } of points) {
    bounds.left = Math.min(bounds.left, x)
    bounds.right = Math.max(bounds.right, x)
    bounds.bottom = Math.min(bounds.bottom, y)
    bounds.top = Math.max(bounds.top, y)
  }
  return bounds
}
