import { signedArea } from '../geometry'
import type { Layout } from '../layout/layout'
import type { Piece } from '../pieces'

/** How a design in lines looks, in numbers to compare with another version of it: no verdict. Areas in square nanometers. */
export interface LineLook {
  /** Trim left and right of the field's middle line. */
  readonly left: number
  readonly right: number
  readonly field: number
  readonly pieces: number
  /** Ends of pieces that meet another strip. */
  readonly joints: number
  /** Part of the field under trim. */
  readonly covered: number
}

/** The part of an outline's area left of an upright line, by the trapezoids under its edges. */
export function areaLeftOf(polygon: Piece['polygon'], x: number): number {
  const cut = polygon.flatMap((a, i) => {
    const b = polygon[(i + 1) % polygon.length] ?? a
    const crosses = (a.x - x) * (b.x - x) < 0
    const at = crosses ? [{ x, y: a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x) }] : []
    return [...(a.x <= x ? [a] : []), ...at]
  })
  return Math.abs(signedArea(cut))
}

/** Weighs the struck strips of a layout about the middle of its field; null where nothing is struck in. */
export function lineLook({ moves }: Layout, pieces: readonly Piece[]): LineLook | null {
  if (!moves?.field) return null
  const { bottomLeft, bottomRight, topLeft, topRight } = moves.field.corners
  const middle = (bottomLeft.x + bottomRight.x + topLeft.x + topRight.x) / 4
  const field = Math.abs(signedArea(moves.field.outline))
  const of = pieces.filter(({ role }) => role === 'line')
  let [left, all, joints] = [0, 0, 0]
  for (const { polygon, startsAt, endsAt } of of) {
    left += areaLeftOf(polygon, middle)
    all += Math.abs(signedArea(polygon))
    joints += (startsAt === 'strip' ? 1 : 0) + (endsAt === 'strip' ? 1 : 0)
  }
  return { left, right: all - left, field, pieces: of.length, joints, covered: field > 0 ? all / field : 0 }
}
