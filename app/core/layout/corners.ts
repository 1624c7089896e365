import { nearestNanometer } from '~/length'
import type { Beside, CornerEnd, Survey, Turn } from '~/model'
import { TOUCHING } from '../geometry'
import type { EndCut } from '../pieces'

/** A corner of the room as read: the angle between the two walls' faces. */
export interface RoomCorner {
  readonly deg: number
  readonly turn: Turn
  /** False where it was never read and 90 degrees is only assumed. */
  readonly measured: boolean
}

/**
 * The newest reading of a corner, read round either side of it and on either of its walls; an unread one counts as a right angle that
 * turns as was said.
 */
export function cornerOf(survey: Survey, side: 'left' | 'right', beside?: Beside): RoomCorner {
  const own = ownCorner(survey, side)
  const mate = beside?.corner
  if (!mate || own.measured || own.turn === 'none' || mate.turn === 'none') return own
  return mate.measured || mate.turn === 'outside' ? mate : own
}

function ownCorner({ readings, turns }: Survey, side: 'left' | 'right'): RoomCorner {
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

/** What a rail meets in the corner: the rail of the next wall at its height, how that ends, and how far it stands out. */
export interface Mate {
  readonly end: CornerEnd
  readonly standsOut: number
}

/** Nearer to square than this over a rail's depth no saw tells: 1/64 in. Common practice, no source. */
const AS_GOOD_AS_SQUARE = 396_875

/** An end cut through the thickness from its back to its face, by how far each stops short of the corner. */
function through(back: number, face: number, thickness: number): CornerCut {
  const over = face - back
  // square, and clear of what it meets at its back and at its face
  if (Math.abs(over) < AS_GOOD_AS_SQUARE) return { cut: null, short: nearestNanometer(Math.max(back, face)) }
  const sawSettingDeg = (Math.atan2(Math.abs(over), thickness) * 180) / Math.PI
  return {
    cut: {
      kind: 'cornerMiter',
      sawSettingDeg,
      longSide: over > 0 ? 'back' : 'face',
      hidden: nearestNanometer(Math.max(0, over)),
    },
    short: nearestNanometer(face),
  }
}

/** Whether the face of a rail that butts against another lands past that one's square end, in a corner wider than a right angle. */
function landsPast(angle: number, thickness: number, other: number): boolean {
  const along = (thickness + other * Math.cos(angle)) / Math.sin(angle)
  return 0 - along * Math.cos(angle) - other * Math.sin(angle) > AS_GOOD_AS_SQUARE
}

/**
 * The cut of a rail at a corner, in plan: the two rails of a corner touch and do not overlap. `thickness` is how far it stands out;
 * `mate` what it meets there, null where no rail of the next wall lies at its height, undefined where nothing is known of that wall: then
 * it meets one like itself. With the room's side of the corner `angle` wide, a rail that ends at a plane parallel to the next wall's and
 * `out` in front of it stops (out + d cos angle) / sin angle short of the corner, at a depth d. Common practice, no source; the geometry
 * is its own proof. The saw reads 90 - A/2 for a miter of two rails of one thickness.
 */
export function cornerCut(
  end: CornerEnd,
  { deg, turn }: RoomCorner,
  thickness: number,
  mate?: Mate | null,
): CornerCut {
  if (turn === 'none') return { cut: null, short: 0 }
  const angle = ((turn === 'inside' ? deg : 360 - deg) * Math.PI) / 180
  const shortAt = (out: number, depth: number) => {
    const at = (out + depth * Math.cos(angle)) / Math.sin(angle)
    // a right angle's cosine is a hair off nothing
    return Math.abs(at) < 1 ? 0 : at
  }
  const toPlane = (out: number) => through(shortAt(out, 0), shortAt(out, thickness), thickness)
  const other = mate === null ? null : (mate?.standsOut ?? thickness)
  switch (end) {
    case 'run': {
      // round an outside corner it covers the end of the one that butts against it
      if (turn === 'outside')
        return mate?.end === 'against' ? toPlane(mate.standsOut) : { cut: null, short: 0 }
      // square leaves a hole where the corner is wide and what butts against it thin: then it is fitted to the next wall
      return deg < 90 || (mate?.end === 'against' && landsPast(angle, thickness, mate.standsOut))
        ? toPlane(0)
        : { cut: null, short: 0 }
    }
    case 'against':
      if (other === null) return cornerCut('run', { deg, turn, measured: true }, thickness, null)
      return toPlane(turn === 'inside' ? other : 0)
    case 'cope':
      return { cut: { kind: 'cope', sawSettingDeg: 90 - deg / 2 }, short: 0 }
    case 'miter': {
      const out = other ?? thickness
      const short = nearestNanometer(shortAt(out, thickness))
      const sawSettingDeg =
        out === thickness ? 90 - deg / 2 : (Math.atan2(Math.abs(short), thickness) * 180) / Math.PI
      return {
        cut: {
          kind: 'cornerMiter',
          sawSettingDeg,
          longSide: short > 0 ? 'back' : 'face',
          hidden: nearestNanometer(Math.max(0, short)),
        },
        short,
      }
    }
  }
}

/** The rail of the next wall that lies at a band's height, the one it meets most of; undefined where nothing is known of that wall. */
export function mateOf(
  { bottom, top }: { readonly bottom: number; readonly top: number },
  beside: Beside | undefined,
): Mate | null | undefined {
  if (!beside) return undefined
  const shared = (band: Beside['bands'][number]) => Math.min(top, band.top) - Math.max(bottom, band.bottom)
  const [most] = [...beside.bands].sort((a, b) => shared(b) - shared(a))
  return most && shared(most) > TOUCHING ? { end: beside.end, standsOut: most.standsOut } : null
}
