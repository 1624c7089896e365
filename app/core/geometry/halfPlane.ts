import { crossing, type Line, type Point, type Polygon, roundPoint, unitVector } from './point'

/** How far a point lies to the left of a line; negative to its right. */
export function leftOf({ x, y }: Point, { through, directionDeg }: Line): number {
  const u = unitVector(directionDeg)
  return (y - through.y) * u.x - (x - through.x) * u.y
}

/** Corners nearer to each other than this are one. */
const ONE_POINT = 2

/** The part of a convex outline that lies to the left of a line; empty when none does. Corners are rounded once. */
export function clipConvex(outline: Polygon, line: Line): Polygon {
  const kept: Point[] = []
  outline.forEach((a, i) => {
    const b = outline[(i + 1) % outline.length]
    if (!b) return
    const [atA, atB] = [leftOf(a, line), leftOf(b, line)]
    if (atA >= 0) kept.push(a)
    if (atA >= 0 === atB >= 0) return
    const part = atA / (atA - atB)
    kept.push({ x: a.x + (b.x - a.x) * part, y: a.y + (b.y - a.y) * part })
  })
  const rounded = kept.map(roundPoint)
  const distinct = rounded.filter((p, i) => {
    const before = rounded[(i + rounded.length - 1) % rounded.length]
    return !before || Math.hypot(p.x - before.x, p.y - before.y) > ONE_POINT
  })
  return distinct.length < 3 ? [] : distinct
}

/** A line moved square to itself, to its left. */
export function shiftedLeft({ through, directionDeg }: Line, by: number): Line {
  const u = unitVector(directionDeg)
  return { through: { x: through.x - u.y * by, y: through.y + u.x * by }, directionDeg }
}

/** The line from one point to another, kept exact where it is upright or level. */
export function lineFrom(a: Point, b: Point): Line {
  if (a.y === b.y) return { through: a, directionDeg: b.x >= a.x ? 0 : 180 }
  if (a.x === b.x) return { through: a, directionDeg: b.y >= a.y ? 90 : 270 }
  return { through: a, directionDeg: (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI }
}

/** The sides of a convex counter-clockwise outline, each with the lines that halve its two corners. */
export function miteredSides(outline: Polygon): { side: Line; from: Line; to: Line }[] {
  const count = outline.length
  const corner = (i: number) => outline[((i % count) + count) % count] ?? { x: 0, y: 0 }
  const sideAt = (i: number) => lineFrom(corner(i), corner(i + 1))
  const halving = (i: number): Line => {
    // the two sides moved in by as much cross on the line that halves the corner
    const inner = crossing(shiftedLeft(sideAt(i - 1), 1e9), shiftedLeft(sideAt(i), 1e9))
    return inner ? lineFrom(corner(i), inner) : { ...sideAt(i), directionDeg: sideAt(i).directionDeg + 90 }
  }
  return outline.map((_, i) => ({ side: sideAt(i), from: halving(i), to: halving(i + 1) }))
}
