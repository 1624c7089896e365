import { nearestNanometer } from '~/length'
import type { Workpiece } from '~/model'
import {
  boundsOf,
  clipConvex,
  distanceBetween,
  lineFrom,
  outsideOf,
  type Polygon,
  signedArea,
  TOUCHING,
} from '../geometry'
import type { Layout } from '../layout/layout'
import type { Piece } from '../pieces'
import { wholePiece } from '../strips/strip'
import type { Finding } from './finding'

/** What two convex faces have in common, in square nanometers. */
function overlap(a: Polygon, b: Polygon): number {
  const left = b.reduce<Polygon>((part, from, i) => {
    const to = b[(i + 1) % b.length]
    return to && part.length > 2 ? clipConvex(part, lineFrom(from, to)) : part
  }, a)
  return left.length > 2 ? Math.abs(signedArea(left)) : 0
}

/** Convex parts that touch, together: one hole is found in several. */
function holesOf(parts: readonly Polygon[]): Polygon[][] {
  const holes: Polygon[][] = []
  for (const part of parts) {
    const touching = holes.filter((hole) => hole.some((other) => distanceBetween(part, other) <= TOUCHING))
    const merged = [part, ...touching.flat()]
    for (const hole of touching) holes.splice(holes.indexOf(hole), 1)
    holes.push(merged)
  }
  return holes
}

/** About how wide a hole is: its area over its longest reach. */
function widthOf(hole: readonly Polygon[]): number {
  const points = hole.flat()
  const longest = Math.max(...points.flatMap((a) => points.map((b) => Math.hypot(a.x - b.x, a.y - b.y))))
  return longest > 0 ? hole.reduce((sum, part) => sum + Math.abs(signedArea(part)), 0) / longest : 0
}

/**
 * Struck lines that leave more open than fitting takes up: where a corner of another strip points into them, or what is left between
 * two strips no saw cuts. Faces are compared by area first; only where some is missing it is looked for.
 */
export function openLineFindings(
  { settings }: Workpiece,
  layout: Layout,
  pieces: readonly Piece[],
): Finding[] {
  if (!layout.moves) return []
  const boxed = pieces.map((piece) => ({ piece, box: boundsOf(piece.face) }))
  const things = layout.obstacles.map(({ outline }) => ({ outline, box: boundsOf(outline) }))
  // a seam as long as it is wide, at the tolerance: less than that is missing of nothing
  const least = settings.fit * settings.fit
  const open: { stripId: string; gap: number; places: number }[] = []
  for (const strip of layout.strips) {
    const face = strip.role === 'line' ? wholePiece(strip)?.face : undefined
    if (!face) continue
    const own = boundsOf(face)
    const near = <T extends { box: ReturnType<typeof boundsOf> }>(all: readonly T[]) =>
      all.filter(
        ({ box }) =>
          box.left < own.right && box.right > own.left && box.bottom < own.top && box.top > own.bottom,
      )
    const [around, on] = [near(boxed), near(things)]
    const taken =
      around.reduce((sum, { piece }) => sum + overlap(face, piece.face), 0) +
      on.reduce((sum, { outline }) => sum + overlap(face, outline), 0)
    if (Math.abs(signedArea(face)) - taken < least) continue
    const parts = outsideOf(face, [
      ...around.map(({ piece }) => piece.face),
      ...on.map(({ outline }) => outline),
    ])
    const gaps = holesOf(parts)
      .map(widthOf)
      .filter((gap) => gap > settings.fit)
    if (gaps.length > 0) open.push({ stripId: strip.id, gap: Math.max(...gaps), places: gaps.length })
  }
  const [worst] = [...open].sort((a, b) => b.gap - a.gap)
  if (!worst) return []
  return [
    {
      stage: 'layout',
      severity: 'watch',
      says: {
        code: 'lineOpen',
        stripId: worst.stripId,
        gap: nearestNanometer(worst.gap),
        places: open.reduce((sum, { places }) => sum + places, 0),
      },
      stripIds: open.map(({ stripId }) => stripId),
      waysOut: [],
    },
  ]
}
