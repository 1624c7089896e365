import type { Length } from '~/length'
import type { Material } from '~/model'
import { type Line, miteredSides, movedFrom, type Polygon } from '../geometry'
import type { EndsAt, Role } from '../pieces'
import type { Strip } from './strip'
import type { StripId, StripName } from './stripId'

/** What a side of a frame is called, by where it lies: its direction runs counter-clockwise round the frame. */
const SIDE_NAMES = ['bottom', 'right', 'top', 'left']

function sideNames(sides: readonly { readonly side: Line }[]): string[] {
  const names = sides.map(
    ({ side }) => SIDE_NAMES[Math.round((((side.directionDeg % 360) + 360) % 360) / 90) % 4] ?? '',
  )
  // where a slope takes a corner off there are more sides than names
  return new Set(names).size === 4 && names.length === 4 ? names : names.map((_, i) => `side${i + 1}`)
}

/** What a frame is made of and what it lies between. */
export interface FrameOf {
  readonly id: StripId
  readonly name: StripName
  readonly number: number
  readonly material: Material
  readonly faceWidth: Length
  readonly tier: Strip['tier']
  readonly roleOf: (isLevel: boolean) => Role
  /** What bounds the frame on each of its sides, and so what the length of the sides between hangs on. */
  readonly bounds: Readonly<Record<'left' | 'right' | 'below' | 'above', EndsAt>>
}

/**
 * The sides of a mitered frame inside a convex outline, counter-clockwise, each named by where it lies. Lengths of the sides
 * hang on what bounds the frame at their ends.
 */
export function miteredFrame(outline: Polygon, frame: FrameOf): Strip[] {
  const { bounds } = frame
  const sides = miteredSides(outline)
  const names = sideNames(sides)
  return sides.map(({ side, from, to }, i) => {
    const radians = (side.directionDeg * Math.PI) / 180
    const isLevel = Math.abs(Math.cos(radians)) > 0.5
    const forward = isLevel ? Math.cos(radians) > 0 : Math.sin(radians) > 0
    const [first, last] = isLevel ? [bounds.left, bounds.right] : [bounds.below, bounds.above]
    return {
      id: frame.id,
      name: frame.name,
      part: names[i] ?? '',
      role: frame.roleOf(isLevel),
      number: frame.number,
      material: frame.material,
      faceWidth: frame.faceWidth,
      center: movedFrom(side.through, side.directionDeg, 0, frame.faceWidth / 2),
      directionDeg: side.directionDeg,
      start: { lines: [from], against: forward ? first : last },
      end: { lines: [to], against: forward ? last : first },
      joins: isLevel,
      tier: frame.tier,
    }
  })
}
