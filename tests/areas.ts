import { BooleanOperations, Polygon as FlattenPolygon, Vector } from '@flatten-js/core'
import { toInches } from '~/length'

/** A polygon in inches, for a geometry library that the core does not use. */
export function ring(polygon: readonly { readonly x: number; readonly y: number }[]): FlattenPolygon {
  return new FlattenPolygon(polygon.map(({ x, y }) => [toInches(x), toInches(y)] as [number, number]))
}

const HAIRS = [
  [0, 0],
  [1.3e-5, 0.7e-5],
  [-1.3e-5, -0.7e-5],
  [0.9e-5, -1.7e-5],
  [-0.9e-5, 1.7e-5],
].map(([x, y]) => new Vector(x, y))

/**
 * The area two polygons share, in square inches. Where edges coincide the library may lose its way, or say so: moved by
 * a hair they don't, and the middle of what it then says is taken.
 */
export function shared(a: FlattenPolygon, b: FlattenPolygon): number {
  if (!a.box.intersect(b.box)) return 0
  const least = Math.min(Math.abs(a.area()), Math.abs(b.area()))
  const areas = HAIRS.flatMap((hair) => {
    try {
      const area = Math.abs(BooleanOperations.intersect(a.translate(hair), b).area())
      return area <= least + 1e-3 ? [area] : []
    } catch {
      return []
    }
  }).sort((p, q) => p - q)
  return areas[Math.floor(areas.length / 2)] ?? least
}
