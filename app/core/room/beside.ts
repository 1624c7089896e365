import { type Beside, type BesideWall, inForce, type WallDocument, type Workpiece } from '~/model'
import { cornerOf } from '../layout/corners'
import { layOutStanding } from '../layout/layOutWall'

type Side = 'left' | 'right'
const OTHER = { left: 'right', right: 'left' } as const

/** How the rails of a wall come up to one of its ends, for the wall beside it. */
function besideAt({ wall, settings }: Workpiece, side: Side): Beside {
  const design = inForce(wall.design)
  const layout = layOutStanding(wall.survey, design, settings)
  const reaches = side === 'left' ? layout.left <= layout.lines.left : layout.right >= layout.lines.right
  return {
    end: design.corners[side],
    corner: cornerOf(wall.survey, side),
    bands: reaches ? layout.bands.map(({ bottom, top, standsOut }) => ({ bottom, top, standsOut })) : [],
  }
}

/**
 * What a wall's rails meet in the two corners of the room, from the walls that stand there. A wall that is set apart, or that meets no
 * other at an end, has nothing there.
 */
export function besideOf(
  { wall, settings }: Workpiece,
  next: Readonly<Record<Side, WallDocument | null>>,
): BesideWall {
  const at = (side: Side): Beside | null => {
    const other = next[side]
    if (!other || inForce(wall.design).apart || inForce(other.design).apart) return null
    const turns = [cornerOf(wall.survey, side), cornerOf(other.survey, OTHER[side])]
    return turns.some(({ turn }) => turn === 'none') ? null : besideAt({ wall: other, settings }, OTHER[side])
  }
  const [left, right] = [at('left'), at('right')]
  return { ...(left ? { left } : {}), ...(right ? { right } : {}) }
}

/**
 * The walls of one or several rooms, each with what its rails meet in the corners. The walls of a room stand in its order, all round
 * from three on; of two the second stands to the right of the first.
 */
export function asRooms<T extends { readonly workpiece: Workpiece; readonly room?: string }>(
  walls: readonly T[],
): T[] {
  const rooms = new Map<string, T[]>()
  for (const each of walls) rooms.set(each.room ?? '', [...(rooms.get(each.room ?? '') ?? []), each])
  return walls.map((each) => {
    const own = rooms.get(each.room ?? '') ?? []
    const at = own.indexOf(each)
    const beside = (by: number): WallDocument | null => {
      const isWrap = own.length < 3 && (at + by < 0 || at + by >= own.length)
      return isWrap ? null : (own[(at + by + own.length) % own.length]?.workpiece.wall ?? null)
    }
    const meets = besideOf(each.workpiece, { left: beside(-1), right: beside(1) })
    return { ...each, workpiece: { ...each.workpiece, beside: meets } }
  })
}
