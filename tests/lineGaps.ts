import type { Plan } from '~/core/computePlan'
import {
  boundsOf,
  fromStretch,
  isInside,
  movedFrom,
  type Point,
  type Polygon,
  unitVector,
} from '~/core/geometry'
import { wholePiece } from '~/core/strips/strip'

/** Moves that fill all of their field with parallel bands. */
const FILLING = ['diagonals', 'lattice', 'chevron']
/** Points are tried so far apart along a band, and on so many lines across it. */
const EVERY = 3_175_000 // 1/8 in
const ACROSS = 5

function nearOf(point: Point, outline: Polygon): number {
  if (isInside(point, outline)) return 0
  return Math.min(
    ...outline.map((from, i) => fromStretch(point, from, outline[(i + 1) % outline.length] ?? from)),
  )
}

/**
 * Bands with a place inside them, and inside their field, that lies farther than `within` from every piece and from all that stands on
 * the wall. Points are tried one by one: nothing of how pieces are cut is taken for granted.
 */
export function bandsOpen({ layout, pieces }: Plan, within: number): string[] {
  const { moves, obstacles } = layout
  if (!moves?.field) return []
  const { field } = moves
  const solid = [
    ...pieces.map(({ polygon }) => polygon),
    ...obstacles.filter(({ kind }) => kind !== 'strip').map(({ outline }) => outline),
  ].map((outline) => ({ outline, box: boundsOf(outline) }))
  const open: string[] = []
  for (const made of moves.moves.filter(({ kind }) => FILLING.includes(kind)))
    for (const stripId of made.stripIds) {
      const strip = layout.strips.find(({ id }) => id === stripId)
      const face = strip && wholePiece(strip)?.face
      if (!strip || !face) continue
      const middle = {
        x: face.reduce((sum, { x }) => sum + x, 0) / face.length,
        y: face.reduce((sum, { y }) => sum + y, 0) / face.length,
      }
      const move = layout.design.lines.moves.find(({ id }) => id === made.id)
      const byBay = made.kind === 'chevron' || (move && 'where' in move && move.where === 'bays')
      const region = byBay
        ? field.bays.find(({ outline }) => isInside(middle, outline))?.outline
        : field.outline
      if (!region) continue
      const u = unitVector(strip.directionDeg)
      const along = region.map(({ x, y }) => (x - strip.center.x) * u.x + (y - strip.center.y) * u.y)
      const [from, to] = [Math.min(...along), Math.max(...along)]
      const half = strip.faceWidth / 2 - within
      const near = solid.filter(({ box }) => {
        const b = boundsOf(region)
        return box.left < b.right && box.right > b.left && box.bottom < b.top && box.top > b.bottom
      })
      // a chevron in one bay turns in its middle: a band is one of its halves
      const box = boundsOf(region)
      const turn = made.kind === 'chevron' && field.bays.length === 1 ? (box.left + box.right) / 2 : null
      const isOpen = (point: Point) =>
        isInside(point, region) &&
        (turn === null || point.x < turn === middle.x < turn) &&
        region.every(
          (corner, i) => fromStretch(point, corner, region[(i + 1) % region.length] ?? corner) > within,
        ) &&
        near.every(({ outline }) => nearOf(point, outline) > within)
      search: for (let at = from; at < to; at += EVERY)
        for (let k = 0; k < ACROSS; k++) {
          const left = -half + (2 * half * k) / (ACROSS - 1)
          if (!isOpen(movedFrom(strip.center, strip.directionDeg, at, left))) continue
          open.push(stripId)
          break search
        }
    }
  return open
}
