import { nearestNanometer } from '~/length'
import { inForce, SIDE_WAYS, type Workpiece } from '~/model'
import { movedFrom, TOUCHING } from '../geometry'
import type { Layout } from '../layout/layout'
import { fittedStile, gapBehind } from '../layout/sideStile'
import { isSmall, isUpright, type Piece } from '../pieces'
import type { Strip } from '../strips/strip'
import { SHORT_TO_NAIL } from './lineFindings'
import type { Finding } from './finding'

/** Pieces too small to be held at the saw, gathered, the shortest named; slivers of struck lines are told as such. */
export function smallFindings(pieces: readonly Piece[]): Finding[] {
  const small = pieces
    .filter((piece) => isSmall(piece) && !(piece.role === 'line' && piece.shortLength < SHORT_TO_NAIL))
    .sort((a, b) => a.longLength - b.longLength)
  const [shortest] = small
  if (!shortest) return []
  return [
    {
      stage: 'layout',
      severity: 'watch',
      says: {
        code: 'smallPieces',
        stripId: shortest.stripId,
        pieceIds: small.map(({ id }) => id),
        length: shortest.longLength,
      },
      stripIds: [...new Set(small.map(({ stripId }) => stripId))],
      waysOut: [
        {
          says: { code: 'leaveOutShort', pieces: small.length },
          edits: [{ type: 'patchDesign', patch: { smallPieces: 'leaveOut' } }],
        },
      ],
    },
  ]
}

/** The upright strips that stand at the two ends of the wall. */
function atEnd(layout: Layout, side: 'left' | 'right'): Strip | undefined {
  const own = [...layout.uprights, ...layout.fillers].find((upright) =>
    side === 'left' ? upright.left <= layout.left + TOUCHING : upright.right >= layout.right - TOUCHING,
  )
  return layout.strips.find(
    ({ id, role, part }) => (own && isUpright(role) && id === own.id) || (role === 'border' && part === side),
  )
}

/** Behind a stile at an end of the wall that leans away from it: how much is open, and what can be done about it. */
export function sideFindings(
  { wall, settings }: Workpiece,
  layout: Layout,
  pieces: readonly Piece[],
): Finding[] {
  const { sides } = inForce(wall.design)
  return (['left', 'right'] as const).flatMap((side): Finding[] => {
    const strip = atEnd(layout, side)
    if (!strip || !pieces.some(({ stripId }) => stripId === strip.id)) return []
    // as it would stand without being fitted
    const plain = strip.taper ? plainOf(strip, side, layout) : strip
    const gap = gapBehind(plain, side, layout)
    const open = gap ? Math.max(gap.foot, gap.head) : 0
    if (!gap || open <= settings.fit) return []
    const way = strip.taper?.by ?? 'caulk'
    const others = SIDE_WAYS.filter((each) => each !== way).filter(
      (each) =>
        each === 'caulk' ||
        fittedStile(plain, side, {
          ...layout,
          design: { ...layout.design, sides: { ...sides, [side]: each } },
        }).taper !== undefined,
    )
    return [
      {
        stage: 'layout',
        severity: way === 'caulk' && open > settings.caulk ? 'watch' : 'note',
        says: {
          code: 'sideGap',
          side,
          gap: nearestNanometer(open),
          at: gap.foot > gap.head ? 'foot' : 'head',
          way,
          caulk: settings.caulk,
        },
        stripIds: [strip.id],
        waysOut: others.map((each) => ({
          says: { code: 'sideWay' as const, side, way: each },
          edits: [{ type: 'patchDesign' as const, patch: { sides: { ...sides, [side]: each } } }],
        })),
      },
    ]
  })
}

/** A fitted stile as wide as the layout’s own stock, its inner edge where it is. */
function plainOf(strip: Strip, side: 'left' | 'right', { battenMaterial }: Layout): Strip {
  const inwards = side === 'left' ? -1 : 1
  const by = (strip.faceWidth - battenMaterial.width) / 2
  const { taper: _taper, ...rest } = strip
  return {
    ...rest,
    material: battenMaterial,
    faceWidth: battenMaterial.width,
    center: movedFrom(strip.center, strip.directionDeg, 0, inwards * by),
  }
}
