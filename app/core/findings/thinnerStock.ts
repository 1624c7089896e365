import type { Length } from '~/length'
import { type Design, inForce, type Workpiece } from '~/model'
import type { Role } from '../pieces'
import type { Strip } from '../strips/strip'
import type { WayOut } from './finding'

/** A strip and how far its face stands out from the wall, the skin of sheets under it included. */
export interface Standing {
  readonly strip: Strip
  readonly standsOut: Length
}

export const STANDING_ROLES: readonly Role[] = ['batten', 'slat', 'stile', 'filler']

/** The design with the stock of some strips changed to another; null where one of them has none of its own to change. */
function madeOf(design: Design, strips: readonly Strip[], materialId: string): Partial<Design> | null {
  let patch: Partial<Design> = {}
  for (const { id, role, group } of strips) {
    const now = { ...design, ...patch }
    const move = now.lines.moves.find((each) => each.id === group)
    if (now.rails.some((rail) => rail.id === id))
      patch = {
        ...patch,
        rails: now.rails.map((rail) => (rail.id === id ? { ...rail, material: materialId } : rail)),
      }
    else if (role === 'topRail' && now.topRail)
      patch = { ...patch, topRail: { ...now.topRail, material: materialId } }
    else if (role === 'cap' && now.cap) patch = { ...patch, cap: { ...now.cap, material: materialId } }
    else if (role === 'bottomRail' && now.foot.kind === 'rail')
      patch = { ...patch, foot: { ...now.foot, material: materialId } }
    else if (role === 'boxRail' || role === 'boxStile')
      patch = { ...patch, boxes: { ...now.boxes, moulding: materialId } }
    else if (role === 'line' && move && move.material !== null)
      patch = {
        ...patch,
        lines: {
          ...now.lines,
          moves: now.lines.moves.map((each) => (each === move ? { ...each, material: materialId } : each)),
        },
      }
    else if (STANDING_ROLES.includes(role) || role === 'border' || role === 'rail' || role === 'line')
      patch = { ...patch, battenMaterial: materialId }
    else return null
  }
  return patch
}

/** The same strips of thinner stock, the nearest to them in width. */
export function thinner(
  workpiece: Workpiece,
  thick: readonly Standing[],
  limit: number,
  skin: Length,
): WayOut[] {
  const { settings, wall } = workpiece
  const width = thick[0]?.strip.material.width ?? 0
  const [nearest] = settings.materials
    .filter((material) => material.thickness + skin <= limit)
    .sort((a, b) => Math.abs(a.width - width) - Math.abs(b.width - width))
  const strips = thick.map(({ strip }) => strip)
  // what lies flat stands out by its width: no thinner board changes that
  const onItsFace = thick.every(({ strip, standsOut }) => standsOut <= strip.material.thickness + skin)
  const patch = nearest && onItsFace ? madeOf(inForce(wall.design), strips, nearest.id) : null
  return nearest && patch
    ? [
        {
          says: { code: 'useMaterial', materialId: nearest.id },
          edits: [{ type: 'patchDesign', patch }],
        },
      ]
    : []
}
