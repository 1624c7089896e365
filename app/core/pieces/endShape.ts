import { type Length, nearestNanometer } from '~/length'
import { type Point, type Polygon, unitVector } from '../geometry'
import { type EndCut, SQUARE } from './endCut'

/** Differences of edge ends below a hundredth of a millimeter are a square cut. */
export const SQUARE_WITHIN = 10_000

/** Where a strip lies, how wide it is, and whether it may run to a point. */
interface Lying {
  readonly center: Point
  readonly directionDeg: number
  readonly faceWidth: Length
  readonly mayPoint?: boolean
}

/** A point in the strip's own terms: along it from its center point, and to the left of its center line. */
interface Own {
  readonly along: number
  readonly left: number
}

export function ownOf(point: Point, { center, directionDeg }: Lying): Own {
  const u = unitVector(directionDeg)
  const [dx, dy] = [point.x - center.x, point.y - center.y]
  return { along: dx * u.x + dy * u.y, left: dy * u.x - dx * u.y }
}

/** How one end of a face runs: where each edge stops, and the points between, from the left edge to the right. */
export interface EndShape {
  readonly left: number
  readonly right: number
  readonly between: readonly Own[]
}

/** Corners this near an edge lie on it: the rounding of a slanted strip. */
const ON_EDGE = 4

/** The two ends of a face; null when one of its edges is cut away whole. */
export function endsOf(face: Polygon, spec: Lying): { start: EndShape; end: EndShape } | null {
  const half = spec.faceWidth / 2
  const points = face.map((point) => ownOf(point, spec))
  const leftAt = points.filter(({ left }) => left > half - ON_EDGE).map(({ along }) => along)
  const rightAt = points.filter(({ left }) => left < ON_EDGE - half).map(({ along }) => along)
  if (leftAt.length === 0 || rightAt.length === 0) return spec.mayPoint ? pointedEnds(points, half) : null
  const between = points
    .filter(({ left }) => Math.abs(left) <= half - ON_EDGE)
    .sort((a, b) => b.left - a.left)
  const [leftFrom, leftTo] = [Math.min(...leftAt), Math.max(...leftAt)]
  const [rightFrom, rightTo] = [Math.min(...rightAt), Math.max(...rightAt)]
  // a convex end bulges out past the line between its two edges
  const chord = ({ left }: Own, a: number, b: number) => b + ((a - b) * (left + half)) / spec.faceWidth
  const nearStart = (own: Own) =>
    own.along - chord(own, leftFrom, rightFrom) < chord(own, leftTo, rightTo) - own.along
  return {
    start: { left: leftFrom, right: rightFrom, between: between.filter(nearStart) },
    end: { left: leftTo, right: rightTo, between: between.filter((own) => !nearStart(own)) },
  }
}

/** How far a cut may be drawn out, in half widths: about 85 degrees on the saw. */
const FLATTEST = 24

/**
 * The ends of a face that lacks an edge, or both: the cuts of its two ends meet inside the strip's width, at the point that lies
 * farthest over. Each is drawn out to where it would cross the edge that is not there.
 */
function pointedEnds(points: readonly Own[], half: number): { start: EndShape; end: EndShape } | null {
  const count = points.length
  if (count < 3) return null
  const at = (i: number): Own => points[((i % count) + count) % count] ?? { along: 0, left: 0 }
  const tips = (side: 1 | -1) => {
    const most = Math.max(...points.map(({ left }) => side * left))
    const all = points.flatMap(({ left }, i) => (side * left > most - ON_EDGE ? [i] : []))
    const along = (i: number) => at(i).along
    // where an edge is left it has two ends, else both ends are the one point
    return {
      start: all.reduce((best, i) => (along(i) < along(best) ? i : best)),
      end: all.reduce((best, i) => (along(i) > along(best) ? i : best)),
    }
  }
  const [left, right] = [tips(1), tips(-1)]
  // counter-clockwise: the start's chain runs from the left edge down to the right one, the end's back up
  const chain = (from: number, to: number): Own[] => {
    const found = [at(from)]
    for (let i = from; (((i - to) % count) + count) % count !== 0 && found.length <= count; i++)
      found.push(at(i + 1))
    return found
  }
  const startChain = chain(left.start, right.start)
  const endChain = chain(right.end, left.end).reverse()
  const shape = (own: readonly Own[]): EndShape | null => {
    const [first, second] = own
    const [before, last] = [own[own.length - 2], own[own.length - 1]]
    if (!first || !second || !before || !last) return null
    const drawn = (a: Own, b: Own, to: number) =>
      Math.abs(a.left - b.left) < 1
        ? a.along
        : a.along + ((b.along - a.along) * (to - a.left)) / (b.left - a.left)
    const [atLeft, atRight] = [drawn(first, second, half), drawn(last, before, -half)]
    // a cut that runs along the strip: no saw makes it
    if (Math.max(Math.abs(atLeft - first.along), Math.abs(atRight - last.along)) > half * FLATTEST)
      return null
    return { left: atLeft, right: atRight, between: own.slice(1, -1) }
  }
  const [start, end] = [shape(startChain), shape(endChain)]
  return start && end ? { start, end } : null
}

/** The cut a face shows at one end. */
export function faceCut(
  { left, right, between }: EndShape,
  width: number,
  isStart: boolean,
  squareWithin: number,
): EndCut {
  const all = [left, right, ...between.map(({ along }) => along)]
  const [least, most] = [Math.min(...all), Math.max(...all)]
  if (most - least < squareWithin) return SQUARE
  const back = (at: number) => nearestNanometer(isStart ? at - least : most - at)
  const [point, ...more] = between
  if (more.length > 0)
    return {
      kind: 'severalCuts',
      points: [{ along: left, left: width / 2 }, ...between, { along: right, left: -width / 2 }].map(
        (at) => ({
          fromLeft: nearestNanometer(width / 2 - at.left),
          back: back(at.along),
        }),
      ),
    }
  if (point)
    return {
      kind: 'twoCuts',
      meetFromLeft: nearestNanometer(width / 2 - point.left),
      leftBack: back(left),
      meetBack: back(point.along),
      rightBack: back(right),
    }
  const lean = left - right
  return {
    kind: 'miter',
    sawSettingDeg: (Math.atan(Math.abs(lean) / width) * 180) / Math.PI,
    longEdge: (isStart ? lean < 0 : lean > 0) ? 'left' : 'right',
  }
}
