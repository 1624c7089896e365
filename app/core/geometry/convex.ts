import { type Line, type Polygon, type Point, unitVector } from './point'

/** Where a line runs inside a convex outline: distances along it, and the edges it enters and leaves by. */
export interface Passage {
  readonly from: number
  readonly to: number
  readonly entry: Line
  readonly exit: Line
}

function edgeLine(a: Point, b: Point): Line {
  return { through: a, directionDeg: (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI }
}

/**
 * Clips a line with a convex counter-clockwise outline. Distances are measured from the line's point along its
 * direction. Null when it misses, or only touches.
 */
export function passageThrough(line: Line, outline: Polygon): Passage | null {
  const u = unitVector(line.directionDeg)
  let [from, to] = [-Infinity, Infinity]
  let entry: Line | null = null
  let exit: Line | null = null
  for (const [i, a] of outline.entries()) {
    const b = outline[(i + 1) % outline.length]
    if (!b) continue
    // outward normal of a counter-clockwise edge
    const n = { x: b.y - a.y, y: a.x - b.x }
    const towards = n.x * u.x + n.y * u.y
    const gap = n.x * (a.x - line.through.x) + n.y * (a.y - line.through.y)
    if (Math.abs(towards) < 1e-9 * Math.hypot(n.x, n.y)) {
      if (gap <= 0) return null
      continue
    }
    const t = gap / towards
    if (towards < 0 && t > from) {
      from = t
      entry = edgeLine(a, b)
    } else if (towards > 0 && t < to) {
      to = t
      exit = edgeLine(a, b)
    }
  }
  return entry && exit && to - from > 1 ? { from, to, entry, exit } : null
}

/** All corners of `b` lie beyond one side of `a`, or over it by no more than `by`. Both counter-clockwise. */
function beyondASide(a: Polygon, b: Polygon, by: number): boolean {
  return a.some((from, i) => {
    const to = a[(i + 1) % a.length] ?? from
    const [dx, dy] = [to.x - from.x, to.y - from.y]
    const length = Math.hypot(dx, dy)
    if (length === 0) return false
    return b.every(({ x, y }) => dx * (y - from.y) - dy * (x - from.x) <= by * length)
  })
}

/** Two convex outlines, counter-clockwise, that lie apart, touch, or reach over each other by no more than `by` nanometers. */
export function liesApart(a: Polygon, b: Polygon, by: number): boolean {
  return beyondASide(a, b, by) || beyondASide(b, a, by)
}
