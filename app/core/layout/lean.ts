import type { Design, Survey } from '~/model'
import type { Point } from '../geometry'
import { type Profile, profileAt } from '../survey/profile'
import { baseAt, type RuleLine, type WallLines } from '../survey/wallLines'
import type { WallShape } from '../survey/wallShape'

/**
 * How far uprights go to the right for each length they rise: at the left and at the right end of the wall, shared out
 * between them. Both are 0 where they stand plumb.
 */
export interface Lean {
  readonly left: number
  readonly right: number
}

export const PLUMB: Lean = { left: 0, right: 0 }

/** How an end of the wall leans: its chord from the lowest reading of it to the highest. */
export function cornerLean({ points }: Profile): number {
  const [first, last] = [points[0], points[points.length - 1]]
  return first && last && last.place > first.place
    ? (last.value - first.value) / (last.place - first.place)
    : 0
}

/** The lean a design asks for on this wall. Square to rails that follow a stair would be no upright: there it is plumb. */
export function leanOf(
  { stand }: Pick<Design, 'stand'>,
  survey: Survey,
  shape: WallShape,
  lines: WallLines,
): Lean {
  const all = (by: number): Lean => (by === 0 ? PLUMB : { left: by, right: by })
  switch (stand.kind) {
    case 'plumb':
      return PLUMB
    case 'square':
      return lines.followed.length > 0 ? PLUMB : all(0 - lines.base.slope)
    case 'left':
    case 'right':
      return all(cornerLean(shape[stand.kind]))
    case 'own':
      return { left: stand.left / survey.height, right: stand.right / survey.height }
  }
}

/** Whether any upright is out of plumb. */
export function isLeaning({ left, right }: Lean): boolean {
  return left !== 0 || right !== 0
}

interface Leaning {
  readonly lines: WallLines
  readonly lean: Lean
}

/** The lean at a place along the base line. */
export function leanAt({ lines, lean }: Leaning, x: number): number {
  if (lean.left === lean.right) return lean.left
  const part = lines.right > lines.left ? (x - lines.left) / (lines.right - lines.left) : 0
  return lean.left + (lean.right - lean.left) * Math.min(1, Math.max(0, part))
}

/** Where a place on the base line comes to lie at another height, along an upright through it. Heights are absolute. */
export function leanedTo(field: Leaning, x: number, y: number): number {
  const by = leanAt(field, x)
  return by === 0 ? x : x + by * (y - baseAt(field.lines, x))
}

/** An upright's two edges where a level line at a height crosses it. A strip that leans is a little wider along that line. */
export function edgesAt(
  field: Leaning,
  { left, right }: { readonly left: number; readonly right: number },
  y: number,
): { left: number; right: number } {
  const middle = (left + right) / 2
  const by = leanAt(field, middle)
  if (by === 0) return { left, right }
  const at = middle + by * (y - baseAt(field.lines, middle))
  const half = ((right - left) / 2) * Math.hypot(1, by)
  return { left: at - half, right: at + half }
}

/** The direction of an upright that leans by so much, in degrees. */
export function leanDeg(by: number): number {
  return by === 0 ? 90 : 90 - (Math.atan(by) * 180) / Math.PI
}

/** The line an upright edge through a place on the base line runs along. */
export function leaningLine(
  field: Leaning,
  x: number,
): { readonly through: Point; readonly directionDeg: number } {
  const by = leanAt(field, x)
  return { through: { x, y: by === 0 ? 0 : baseAt(field.lines, x) }, directionDeg: leanDeg(by) }
}

/**
 * The clear span between the ends for uprights that lean, as places on the base line: the tightest over the wall's whole
 * height, so that no edge of a strip leaves the wall anywhere.
 */
export function leanedSpan(
  shape: WallShape,
  lines: WallLines,
  lean: Lean,
  height: number,
): { left: number; right: number } {
  const over = (profile: Profile, by: number, x: number, how: (...values: number[]) => number) => {
    const base = baseAt(lines, x)
    const places = [0, ...profile.points.map(({ place }) => place), height]
    return how(...places.map((y) => profileAt(profile, y) - by * (y - base)))
  }
  return {
    left: over(shape.left, lean.left, lines.left, Math.max),
    right: over(shape.right, lean.right, lines.right, Math.min),
  }
}

/** How far the uprights go aside between two heights at the most, to the left and to the right, from their places on the base line. */
export function sway(
  field: Leaning,
  x: number,
  { bottom, top }: { readonly bottom: number; readonly top: number },
): { left: number; right: number } {
  const at = [bottom, top].map((y) => leanedTo(field, x, y) - x)
  return { left: Math.min(...at), right: Math.max(...at) }
}

/** How much a line across the wall is off square to an upright, over a length of the upright: positive where it opens to the right. */
export function offSquare(by: number, { slope }: Pick<RuleLine, 'slope'>, over: number): number {
  return (by + slope) * over
}
