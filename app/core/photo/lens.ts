import { Matrix, solve } from 'ml-matrix'
import type { Point } from '../geometry'
import { fitPerspective, normalizer, type Pair, type Perspective, seenAt } from './perspective'

/**
 * The curve of a lens in one term: a point so far from the middle (in parts of `radius`) is seen 1 + k1 r² as far away.
 * Brown, Decentering distortion of lenses, Photogrammetric Engineering 32 (1966), first radial term; from memory.
 */
export interface Lens {
  readonly k1: number
  readonly center: Point
  /** Half the picture's diagonal. */
  readonly radius: number
}

/** Where the lens puts what a straight camera would put at a point. */
export function bent({ x, y }: Point, { k1, center, radius }: Lens): Point {
  const [dx, dy] = [x - center.x, y - center.y]
  const by = 1 + k1 * ((dx * dx + dy * dy) / (radius * radius))
  return { x: center.x + dx * by, y: center.y + dy * by }
}

/** Where a straight camera would have put what the lens put at a point. */
export function straightened(point: Point, lens: Lens): Point {
  let q = point
  for (let i = 0; i < 20; i++) {
    const b = bent(q, lens)
    q = { x: q.x + point.x - b.x, y: q.y + point.y - b.y }
  }
  return q
}

/** Below six pairs the curve has too little left over to be worked out from; eight are better. */
export const LENS_NEEDS = 6

/**
 * The map and the curve that miss least in pixels (Levenberg and Marquardt's steps from the straight map). Null below six pairs,
 * where no straight map fits, or where the steps lead to no map.
 */
export function fitWithLens(
  pairs: readonly Pair[],
  center: Point,
  radius: number,
): { readonly map: Perspective; readonly lens: Lens } | null {
  if (pairs.length < LENS_NEEDS || fitPerspective(pairs) === null) return null
  const { there } = normalizer(pairs.map(({ from }) => from))
  const near = pairs.map(({ from, to }) => ({ from: seenAt(there, from), to }))
  const start = fitPerspective(near)
  if (!start) return null
  const asMap = (v: readonly number[]) => [...v.slice(0, 8), 1] as unknown as Perspective
  const seen = (v: readonly number[]) =>
    near.flatMap(({ from }) => {
      const b = bent(seenAt(asMap(v), from), { k1: v[8] ?? 0, center, radius })
      return [b.x, b.y]
    })
  const wanted = near.flatMap(({ to }) => [to.x, to.y])
  const missed = (v: readonly number[]) =>
    seen(v).reduce((sum, value, i) => sum + (value - (wanted[i] ?? 0)) ** 2, 0)
  let q: number[] = [...start.slice(0, 8), 0]
  let damp = 1e-3
  for (let step = 0; step < 60 && damp < 1e9; step++) {
    const at = seen(q)
    const slope = new Matrix(wanted.length, 9)
    for (let c = 0; c < 9; c++) {
      const by = Math.max(1e-7, Math.abs(q[c] ?? 0) * 1e-7)
      const moved = seen(q.map((value, i) => (i === c ? value + by : value)))
      moved.forEach((value, i) => slope.set(i, c, (value - (at[i] ?? 0)) / by))
    }
    const turned = slope.transpose()
    const normal = turned.mmul(slope)
    for (let i = 0; i < 9; i++) normal.set(i, i, normal.get(i, i) * (1 + damp) + 1e-15)
    const left = Matrix.columnVector(wanted.map((value, i) => value - (at[i] ?? 0)))
    const change = solve(normal, turned.mmul(left)).getColumn(0)
    const next = q.map((value, i) => value + (change[i] ?? 0))
    if (missed(next) < missed(q)) {
      q = next
      damp /= 5
      if (Math.hypot(...change) < 1e-13) break
    } else damp *= 5
  }
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0, k1 = 0] = q
  const [s, , tx, , , ty] = there
  // the map of the plane itself: through the normalizer first
  const entries = [
    a * s, b * s, a * tx + b * ty + c,
    d * s, e * s, d * tx + e * ty + f,
    g * s, h * s, g * tx + h * ty + 1,
  ] // prettier-ignore
  const last = entries[8] ?? 1
  const map = entries.map((value) => value / last) as unknown as Perspective
  return map.every(Number.isFinite) && Number.isFinite(k1) ? { map, lens: { k1, center, radius } } : null
}
