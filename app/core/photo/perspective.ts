import { inverse, Matrix, SingularValueDecomposition } from 'ml-matrix'
import type { Point } from '../geometry'

/** A place on the wall plane and where it is seen on the picture. */
export interface Pair {
  readonly from: Point
  readonly to: Point
}

/** A map of a plane onto a picture of it, row by row; its last entry is 1. */
export type Perspective = readonly [number, number, number, number, number, number, number, number, number]

/** Where a point of the plane is seen. Behind the camera the answer means nothing: `fitPerspective` lets no such map through. */
export function seenAt(map: Perspective, { x, y }: Point): Point {
  const w = map[6] * x + map[7] * y + map[8]
  return { x: (map[0] * x + map[1] * y + map[2]) / w, y: (map[3] * x + map[4] * y + map[5]) / w }
}

function asMap(entries: readonly number[]): Perspective {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0, i = 1] = entries
  return [a / i, b / i, c / i, d / i, e / i, f / i, g / i, h / i, 1]
}

function product(a: readonly number[], b: readonly number[]): number[] {
  const at = (m: readonly number[], row: number, column: number) => m[row * 3 + column] ?? 0
  return [0, 1, 2].flatMap((row) =>
    [0, 1, 2].map(
      (column) =>
        at(a, row, 0) * at(b, 0, column) +
        at(a, row, 1) * at(b, 1, column) +
        at(a, row, 2) * at(b, 2, column),
    ),
  )
}

/** The map back from the picture to the plane. */
export function backward(map: Perspective): Perspective {
  const rows = [map.slice(0, 3), map.slice(3, 6), map.slice(6, 9)]
  return asMap(inverse(new Matrix(rows)).to1DArray())
}

/**
 * Moves the middle of points to nothing and their mean distance to the root of 2, and back: without it nanometers drown the
 * figures. Hartley, In defense of the eight-point algorithm, IEEE TPAMI 19 (1997), isotropic scaling; from memory.
 */
export function normalizer(points: readonly Point[]): { there: Perspective; back: readonly number[] } {
  const middle = (of: (point: Point) => number) =>
    points.reduce((sum, point) => sum + of(point), 0) / Math.max(1, points.length)
  const [cx, cy] = [middle(({ x }) => x), middle(({ y }) => y)]
  const distance = middle(({ x, y }) => Math.hypot(x - cx, y - cy))
  const s = Math.SQRT2 / (distance || 1)
  return { there: [s, 0, -s * cx, 0, s, -s * cy, 0, 0, 1], back: [1 / s, 0, cx, 0, 1 / s, cy, 0, 0, 1] }
}

/** Below this a map squashes the plane to a line: three of four points lie in a line. */
const FLAT = 1e-6
/** Below this part of the greatest, the eighth singular value leaves more than one map. */
const OPEN = 1e-12

/**
 * The map that four pairs fix, or of more that which misses least in a sum over the pairs (direct linear transformation by
 * singular values; Hartley and Zisserman, Multiple View Geometry, 2nd ed., algorithm 4.2, from memory). Null where there are
 * fewer than four, three of four lie in a line, or a point would lie behind the camera: crossed or bent inward.
 */
export function fitPerspective(pairs: readonly Pair[]): Perspective | null {
  if (pairs.length < 4) return null
  const plane = normalizer(pairs.map(({ from }) => from))
  const picture = normalizer(pairs.map(({ to }) => to))
  const rows = pairs.flatMap(({ from, to }) => {
    const { x, y } = seenAt(plane.there, from)
    const { x: u, y: v } = seenAt(picture.there, to)
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y, -u],
      [0, 0, 0, x, y, 1, -v * x, -v * y, -v],
    ]
  })
  // the nine by nine form: of eight rows the ninth vector, the one wanted, would be left out
  const a = new Matrix(rows)
  const { diagonal, rightSingularVectors } = new SingularValueDecomposition(a.transpose().mmul(a))
  if ((diagonal[7] ?? 0) < OPEN * (diagonal[0] ?? 1)) return null
  const h = rightSingularVectors.getColumn(8)
  const [p = 0, q = 0, r = 0, s = 0, t = 0, u = 0, v = 0, w = 0, z = 0] = h
  const determinant = p * (t * z - u * w) - q * (s * z - u * v) + r * (s * w - t * v)
  if (Math.abs(determinant) < FLAT) return null
  const map = asMap(product(picture.back, product(h, plane.there)))
  if (!map.every(Number.isFinite)) return null
  return pairs.every(({ from }) => map[6] * from.x + map[7] * from.y + 1 > 0) ? map : null
}

/** Why four points on a picture are none of a wall's: its corners in turn must all turn the same way. */
export function cornersFault(corners: readonly Point[]): 'inLine' | 'crossed' | 'bentInward' | null {
  const turns = corners.map((a, i) => {
    const [b, c] = [corners[(i + 1) % corners.length] ?? a, corners[(i + 2) % corners.length] ?? a]
    return (b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x)
  })
  const size = Math.max(...corners.map(({ x, y }) => Math.hypot(x, y)), 1)
  if (turns.some((turn) => Math.abs(turn) < 1e-9 * size * size)) return 'inLine'
  const left = turns.filter((turn) => turn > 0).length
  if (left === 0 || left === turns.length) return null
  return left * 2 === turns.length ? 'crossed' : 'bentInward'
}
