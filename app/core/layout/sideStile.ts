import { nearestNanometer } from '~/length'
import { boundsOf, crossing, type Line, movedFrom } from '../geometry'
import { faceLine, type Strip, wholePiece } from '../strips/strip'
import { endLine } from './bandStrips'
import type { LaidOut } from './layout'

/** How far an end of the wall stands off the outer edge of an upright strip: at its foot and at its head. */
export interface SideGap {
  readonly foot: number
  readonly head: number
  /** The end of the wall along it, clear of its bends. */
  readonly line: Line
}

/** The space behind an upright strip that stands at an end of the wall, square to it; null where it does not reach that end. */
export function gapBehind(strip: Strip, side: 'left' | 'right', layout: LaidOut): SideGap | null {
  const { lines } = layout
  const reaches = side === 'left' ? layout.left <= lines.left : layout.right >= lines.right
  const face = wholePiece(strip)?.face
  if (!reaches || !face) return null
  const { bottom, top } = boundsOf(face)
  const line = endLine(layout, side, bottom, top, 0)
  const { directionDeg } = strip
  const outer = faceLine(strip, side)
  const at = (y: number): number => {
    const met = crossing(outer, { through: { x: 0, y }, directionDeg: 0 })
    const wall = met && crossing({ through: met, directionDeg: directionDeg + 90 }, line)
    if (!met || !wall) return 0
    const out = movedFrom({ x: 0, y: 0 }, directionDeg, 0, side === 'left' ? 1 : -1)
    return (wall.x - met.x) * out.x + (wall.y - met.y) * out.y
  }
  return { foot: at(bottom), head: at(top), line }
}

/**
 * A stile at an end of the wall, made wider by the space behind it and ripped or scribed to the wall, where the design says so and the
 * job has stock wide enough of its thickness; else as it was. Its inner edge stays where it is laid out.
 */
export function fittedStile(strip: Strip, side: 'left' | 'right', layout: LaidOut): Strip {
  const way = layout.design.sides[side]
  const gap = way === 'caulk' ? null : gapBehind(strip, side, layout)
  const more = gap ? Math.max(gap.foot, gap.head) : 0
  if (!gap || way === 'caulk' || more <= layout.settings.fit) return strip
  const faceWidth = nearestNanometer(strip.faceWidth + more)
  const [material] = [...layout.materials.values()]
    .filter(({ width, thickness }) => width >= faceWidth && thickness === strip.material.thickness)
    .sort((a, b) => a.width - b.width)
  if (!material) return strip
  const out = side === 'left' ? 1 : -1
  return {
    ...strip,
    material,
    faceWidth,
    center: movedFrom(strip.center, strip.directionDeg, 0, (out * (faceWidth - strip.faceWidth)) / 2),
    taper: { edge: side, line: gap.line, by: way },
  }
}
