import { type Line, type Polygon, type Point, unitVector } from './point'
import { TOUCHING } from './tolerance'

/** Where a line runs inside a convex outline: distances along it. */
export interface Span {
  readonly from: number
  readonly to: number
}

/** The same with the edges it enters and leaves by. */
export interface Passage extends Span {
  readonly entry: Line
  readonly exit: Line
}

function edgeLine(a: Point, b: Point): Line {
  return { through: a, directionDeg: (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI }
}

interface Crossed extends Span {
  /** The corners its edges begin at. */
  readonly entryAt: number
  readonly exitAt: number
}

function crossed({ through, directionDeg }: Line, outline: Polygon): Crossed | null {
  const u = unitVector(directionDeg)
  let [from, to] = [-Infinity, Infinity]
  let [entryAt, exitAt] = [-1, -1]
  for (let i = 0; i < outline.length; i++) {
    const [a, b] = [outline[i], outline[i + 1 === outline.length ? 0 : i + 1]]
    if (!a || !b) continue
    // outward normal of a counter-clockwise edge
    const [nx, ny] = [b.y - a.y, a.x - b.x]
    const toward = nx * u.x + ny * u.y
    const gap = nx * (a.x - through.x) + ny * (a.y - through.y)
    if (Math.abs(toward) < 1e-9 * Math.hypot(nx, ny)) {
      if (gap <= 0) return null
      continue
    }
    const t = gap / toward
    if (toward < 0 && t > from) {
      from = t
      entryAt = i
    } else if (toward > 0 && t < to) {
      to = t
      exitAt = i
    }
  }
  return entryAt >= 0 && exitAt >= 0 && to - from > 1 ? { from, to, entryAt, exitAt } : null
}

/**
 * Clips a line with a convex counter-clockwise outline. Distances are measured from the line's point along its
 * direction. Null when it misses, or only touches.
 */
export function spanThrough(line: Line, outline: Polygon): Span | null {
  return crossed(line, outline)
}

/** The same, with the edges it enters and leaves by. */
export function passageThrough(line: Line, outline: Polygon): Passage | null {
  const found = crossed(line, outline)
  const edge = (at: number) => {
    const [a, b] = [outline[at], outline[(at + 1) % outline.length]]
    return a && b ? edgeLine(a, b) : null
  }
  const [entry, exit] = found ? [edge(found.entryAt), edge(found.exitAt)] : [null, null]
  return found && entry && exit ? { from: found.from, to: found.to, entry, exit } : null
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

/** The least width of a convex outline: between the two parallel lines nearest to each other that hold it. */
export function leastWidth(outline: Polygon): number {
  return Math.min(
    ...outline.flatMap((from, i) => {
      const to = outline[(i + 1) % outline.length] ?? from
      const [dx, dy] = [to.x - from.x, to.y - from.y]
      const length = Math.hypot(dx, dy)
      if (length === 0) return []
      return [
        Math.max(...outline.map(({ x, y }) => Math.abs(dx * (y - from.y) - dy * (x - from.x)) / length)),
      ]
    }),
  )
}

/** The distance of a point from a stretch between two others. */
export function fromStretch({ x, y }: Point, a: Point, b: Point): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y]
  const length = dx * dx + dy * dy
  const part = length === 0 ? 0 : Math.min(1, Math.max(0, ((x - a.x) * dx + (y - a.y) * dy) / length))
  return Math.hypot(x - a.x - dx * part, y - a.y - dy * part)
}

/** Whether a point lies inside an outline, of any shape. */
export function isInside({ x, y }: Point, outline: Polygon): boolean {
  let inside = false
  outline.forEach((a, i) => {
    const b = outline[(i + 1) % outline.length] ?? a
    if (a.y > y !== b.y > y && x < a.x + ((b.x - a.x) * (y - a.y)) / (b.y - a.y)) inside = !inside
  })
  return inside
}

/** The least distance between two outlines of any shape, neither of which runs through the other; 0 where a corner lies in the other. */
export function distanceBetween(a: Polygon, b: Polygon): number {
  if (a.some((point) => isInside(point, b)) || b.some((point) => isInside(point, a))) return 0
  const least = (points: Polygon, outline: Polygon) =>
    Math.min(
      ...points.flatMap((point) =>
        outline.map((from, i) => fromStretch(point, from, outline[(i + 1) % outline.length] ?? from)),
      ),
    )
  return Math.min(least(a, b), least(b, a))
}

/** The convex hull of some points, counter-clockwise, without corners on its sides. */
export function hullOf(points: readonly Point[]): Polygon {
  const inOrder = [...points].sort((a, b) => a.x - b.x || a.y - b.y)
  const chain = (list: readonly Point[]): Point[] => {
    const kept: Point[] = []
    for (const point of list) {
      for (;;) {
        const [a, b] = [kept.at(-2), kept.at(-1)]
        if (!a || !b || (b.x - a.x) * (point.y - a.y) - (b.y - a.y) * (point.x - a.x) > 0) break
        kept.pop()
      }
      kept.push(point)
    }
    return kept.slice(0, -1)
  }
  return [...chain(inOrder), ...chain(inOrder.reverse())]
}

/** Corners are rounded to nanometers: edges so near to each other are one. */
export const ONE_EDGE = 20

/** Two outlines with a stretch of an edge in common, longer than a touch. */
export function sharesEdge(a: Polygon, b: Polygon): boolean {
  return a.some((from, i) => {
    const to = a[(i + 1) % a.length] ?? from
    const length = Math.hypot(to.x - from.x, to.y - from.y)
    if (length === 0) return false
    const [ux, uy] = [(to.x - from.x) / length, (to.y - from.y) / length]
    return b.some((c, k) => {
      const d = b[(k + 1) % b.length] ?? c
      const [atC, atD] = [c, d].map(({ x, y }) => (x - from.x) * ux + (y - from.y) * uy) as [number, number]
      const [least, most] = [Math.max(0, Math.min(atC, atD)), Math.min(length, Math.max(atC, atD))]
      if (most - least <= TOUCHING) return false
      const middle = (least + most) / 2
      return fromStretch({ x: from.x + ux * middle, y: from.y + uy * middle }, c, d) <= ONE_EDGE
    })
  })
}

/** Parts that share edges, together. */
export function gathered(parts: readonly Polygon[]): Polygon[][] {
  const wholes: Polygon[][] = []
  for (const part of parts) {
    const touching = wholes.filter((whole) => whole.some((other) => sharesEdge(part, other)))
    const merged = [part, ...touching.flat()]
    for (const whole of touching) wholes.splice(wholes.indexOf(whole), 1)
    wholes.push(merged)
  }
  return wholes
}
