import { nearestNanometer } from '~/length'
import type { CornerEnd, Survey, Turn } from '~/model'
import type { EndCut } from '../pieces'

/** A corner of the room as read: the angle between the two walls' faces. */
export interface RoomCorner {
  readonly deg: number
  readonly turn: Turn
  /** False where it was never read and 90 degrees is only assumed. */
  readonly measured: boolean
}

/** The newest reading of a corner, read round either side of it; an unread one counts as a right angle that turns as was said. */
export function cornerOf({ readings, turns }: Survey, side: 'left' | 'right'): RoomCorner {
  // where no wall meets this one there is no corner, whatever was read before
  if (turns[side] === 'none') return { deg: 180, turn: 'none', measured: false }
  const kind = side === 'left' ? 'cornerLeft' : 'cornerRight'
  const found = readings.findLast((reading) => reading.kind === kind)
  return found && 'deg' in found
    ? { deg: found.deg > 180 ? 360 - found.deg : found.deg, turn: found.turn, measured: true }
    : { deg: 90, turn: turns[side], measured: false }
}

/** How a horizontal is cut at a corner, and how far its face stops short of it; negative where it runs over. */
export interface CornerCut {
  readonly cut: EndCut | null
  readonly short: number
}

/**
 * The cut at a corner of included angle A: the saw reads 90 - A/2. The trim lies in front of the wall, so in an
 * inside corner the mitred face is shorter than its back by thickness / tan(A/2), in an outside one longer.
 * Common practice, no source; the geometry is its own proof.
 */
export function cornerCut(end: CornerEnd, { deg, turn }: RoomCorner, thickness: number): CornerCut {
  if (turn === 'none') return { cut: null, short: 0 }
  const sawSettingDeg = 90 - deg / 2
  switch (end) {
    case 'run':
      return { cut: null, short: 0 }
    case 'against':
      return { cut: null, short: turn === 'inside' ? thickness : 0 }
    case 'cope':
      return { cut: { kind: 'cope', sawSettingDeg }, short: 0 }
    case 'miter': {
      const reach = nearestNanometer(thickness / Math.tan((deg * Math.PI) / 360))
      return turn === 'inside'
        ? { cut: { kind: 'cornerMiter', sawSettingDeg, longSide: 'back', hidden: reach }, short: reach }
        : {
            cut: { kind: 'cornerMiter', sawSettingDeg, longSide: 'face', hidden: nearestNanometer(0) },
            short: -reach,
          }
    }
  }
}
