import polygonClipping from 'polygon-clipping'
import { type Polygon, roundPoint, signedArea } from '../geometry'

/** The face less its notches, by the polygon library. */
export function cutOut(face: Polygon, holes: readonly Polygon[]): Polygon {
  if (holes.length === 0) return face
  const ring = (polygon: Polygon): [number, number][] => polygon.map(({ x, y }) => [x, y])
  const left = polygonClipping.difference([ring(face)], ...holes.map((hole) => [ring(hole)]))
  const [largest] = left
    .map(([outer = []]) => outer.slice(0, -1).map(([x, y]) => roundPoint({ x, y })))
    .sort((a, b) => Math.abs(signedArea(b)) - Math.abs(signedArea(a)))
  return largest ?? []
}
