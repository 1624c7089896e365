import polygonClipping from 'polygon-clipping'
import { type Polygon, roundPoint, signedArea } from './point'

type Ring = [number, number][]

function ringOf(polygon: Polygon): Ring {
  return polygon.map(({ x, y }) => [x, y])
}

function areaOf(ring: readonly (readonly [number, number])[]): number {
  return Math.abs(signedArea(ring.slice(0, -1).map(([x, y]) => ({ x, y }))))
}

/** Square nanometers of a result of the clipping library: each outer ring less its holes. */
function totalOf(polygons: readonly (readonly Ring[])[]): number {
  return polygons.reduce(
    (sum, rings) => sum + rings.reduce((part, ring, i) => part + (i === 0 ? 1 : -1) * areaOf(ring), 0),
    0,
  )
}

/** The area that an outline shares with all of some others together, each place counted once. Square nanometers; outlines of any shape. */
export function sharedArea(outline: Polygon, others: readonly Polygon[]): number {
  const [first, ...more] = others.map((other) => [ringOf(other)])
  if (!first) return 0
  const all = more.length === 0 ? [first] : polygonClipping.union(first, ...more)
  return totalOf(polygonClipping.intersection([ringOf(outline)], all))
}

/** The parts of an outline that none of some others covers, holes left out of account. Corners are rounded once; outlines of any shape. */
export function uncoveredParts(outline: Polygon, others: readonly Polygon[]): Polygon[] {
  if (others.length === 0) return [outline]
  return polygonClipping
    .difference([ringOf(outline)], ...others.map((other) => [ringOf(other)]))
    .map(([outer = []]) => outer.slice(0, -1).map(([x, y]) => roundPoint({ x, y })))
}
