import { nearestNanometer } from '~/length'
import type { Workpiece } from '~/model'
import { boundsOf, gathered, hullOf, leastWidth, outsideOf, type Polygon, signedArea } from '../geometry'
import type { Layout } from '../layout/layout'
import type { Piece } from '../pieces'
import { wholePiece } from '../strips/strip'
import type { Finding } from './finding'

/** Between faces whose corners are rounded to nanometers: no gap. */
const SEAM = 1_000

/** How wide a hole is at its widest: that of its hull, or of a triangle of its area and its longest reach. */
function widthOf(hole: readonly Polygon[]): number {
  const hull = hullOf(hole.flat())
  const longest = Math.max(...hull.flatMap((a) => hull.map((b) => Math.hypot(a.x - b.x, a.y - b.y))))
  if (longest === 0) return 0
  const area = hole.reduce((sum, part) => sum + signedArea(part), 0)
  return Math.min(leastWidth(hull), (2 * area) / longest)
}

/**
 * Struck lines that leave more open than fitting takes up: where a corner of another strip points into them, or what is left between
 * two strips no saw cuts.
 */
export function openLineFindings(
  { settings }: Workpiece,
  layout: Layout,
  pieces: readonly Piece[],
): Finding[] {
  if (!layout.moves) return []
  const boxed = pieces.map((piece) => ({ piece, box: boundsOf(piece.face) }))
  const things = layout.obstacles.map(({ outline }) => ({ outline, box: boundsOf(outline) }))
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
    const parts = outsideOf(face, [
      ...around.map(({ piece }) => piece.face),
      ...on.map(({ outline }) => outline),
    ]).filter((part) => leastWidth(part) > SEAM)
    const gaps = gathered(parts)
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
