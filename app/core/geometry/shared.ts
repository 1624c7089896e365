import polygonClipping from 'polygon-clipping'
import { clipConvex, lineFrom } from './halfPlane'
import { type Line, type Polygon, signedArea } from './point'

type Ring = [number, number][]

function ringOf(polygon: Polygon): Ring {
  return polygon.map(({ x, y }) => [x, y])
}

/** The area two outlines of any shape share, in square nanometers. */
export function sharedArea(a: Polygon, b: Polygon): number {
  return polygonClipping
    .intersection([ringOf(a)], [ringOf(b)])
    .flat()
    .reduce((sum, ring) => sum + Math.abs(signedArea(ring.slice(0, -1).map(([x, y]) => ({ x, y })))), 0)
}

const turned = (line: Line): Line => ({ ...line, directionDeg: line.directionDeg + 180 })

/** The parts of a convex outline that none of some other convex ones covers, each part convex. Counter-clockwise; corners are rounded. */
export function outsideOf(outline: Polygon, others: readonly Polygon[]): Polygon[] {
  return others.reduce<Polygon[]>(
    (parts, other) =>
      parts.flatMap((part) => {
        const outside: Polygon[] = []
        let inside = part
        other.forEach((from, i) => {
          const to = other[(i + 1) % other.length]
          if (!to || inside.length < 3) return
          const line = lineFrom(from, to)
          const beyond = clipConvex(inside, turned(line))
          if (beyond.length > 2) outside.push(beyond)
          inside = clipConvex(inside, line)
        })
        return outside
      }),
    [outline],
  )
}
