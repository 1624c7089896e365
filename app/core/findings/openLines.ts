import { nearestNanometer } from '~/length'
import type { Workpiece } from '~/model'
import {
  boundsOf,
  clipConvex,
  gathered,
  hullOf,
  leastWidth,
  lineFrom,
  movedFrom,
  outsideOf,
  type Polygon,
  signedArea,
  TOUCHING,
} from '../geometry'
import type { Layout } from '../layout/layout'
import type { Piece } from '../pieces'
import { startAlong } from '../strips/metBy'
import { type Strip, wholePiece } from '../strips/strip'
import type { Finding } from './finding'

/** How wide a hole is at its widest: that of its hull, or of a triangle of its area and its longest reach. */
function widthOf(hole: readonly Polygon[]): number {
  const hull = hullOf(hole.flat())
  const longest = Math.max(...hull.flatMap((a) => hull.map((b) => Math.hypot(a.x - b.x, a.y - b.y))))
  if (longest === 0) return 0
  const area = hole.reduce((sum, part) => sum + signedArea(part), 0)
  return Math.min(leastWidth(hull), (2 * area) / longest)
}

/** What is cut out of a piece of a strip from its edges: rectangles along it, as far as they lie in its face. */
function notchesOf(strip: Strip, piece: Piece): Polygon[] {
  const { center, directionDeg, faceWidth } = strip
  const zero = startAlong(piece, strip)
  const half = faceWidth / 2
  return piece.notches.flatMap(({ from, to, depth, edge }) => {
    const [right, left] = edge === 'left' ? [half - depth, half] : [-half, depth - half]
    const at = (along: number, across: number) => movedFrom(center, directionDeg, zero + along, across)
    const hole = [at(from, right), at(to, right), at(to, left), at(from, left)]
    const inFace = piece.face.reduce<Polygon>((part, a, i) => {
      const b = piece.face[(i + 1) % piece.face.length]
      return b && part.length > 2 ? clipConvex(part, lineFrom(a, b)) : part
    }, hole)
    return inFace.length > 2 ? [inFace] : []
  })
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
    const faces = around.map(({ piece }) => piece.face)
    const outlines = on.map(({ outline }) => outline)
    const ofStrip = around.filter(({ piece }) => piece.stripId === strip.id)
    // a notch round what stands askew to the strip is larger than that
    const notched = ofStrip.flatMap(({ piece }) =>
      notchesOf(strip, piece).flatMap((hole) =>
        outsideOf(hole, [...outlines, ...faces.filter((each) => each !== piece.face)]),
      ),
    )
    const parts = [...outsideOf(face, [...faces, ...outlines]), ...notched].filter(
      (part) => leastWidth(part) > TOUCHING,
    )
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
