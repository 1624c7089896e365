import { nearestNanometer } from '~/length'
import { type Workpiece, inForce } from '~/model'
import { boundsOf, ByLeft, distanceBetween, type Polygon } from '../geometry'
import type { Layout } from '../layout/layout'
import type { Piece } from '../pieces'
import { isPlate } from '../survey/obstacles'
import type { Finding } from './finding'

type Bounds = ReturnType<typeof boundsOf>

/** The space between two upright rectangles; negative where they overlap. */
function spaceBetween(p: Bounds, q: Bounds): number {
  const across = Math.max(p.left - q.right, q.left - p.right)
  const up = Math.max(p.bottom - q.top, q.bottom - p.top)
  return across > 0 && up > 0 ? Math.hypot(across, up) : Math.max(across, up)
}

/** The space between two outlines of any shape; where they reach over each other what their rectangles say. */
function spaceApart(a: Polygon, b: Polygon, ofBounds: number): number {
  return distanceBetween(a, b) || Math.min(0, ofBounds)
}

/** Touching is the rounding of one figure. */
const ROUNDING = 2

/** Plates that strips come nearer to than was asked for, without lying on them; each plate once, with the nearest. */
export function clearanceFindings({ wall }: Workpiece, layout: Layout, pieces: readonly Piece[]): Finding[] {
  const { meets, judgement } = inForce(wall.design)
  const faces = new ByLeft(pieces, ({ polygon }) => polygon)
  return layout.obstacles.flatMap((obstacle): Finding[] => {
    const { kind } = obstacle
    if (!obstacle.plate || kind === 'strip' || !isPlate(kind)) return []
    // what is cut round or ended at has its answer
    if (obstacle.fate === 'cutRound' || meets[obstacle.id] !== undefined) return []
    const around = boundsOf(obstacle.outline)
    const near = judgement.clearance - ROUNDING
    const spaces = faces
      .between(around.left - near, around.right + near)
      .flatMap(({ item: { stripId, polygon, directionDeg }, box }) => {
        // none is nearer than its rectangle
        const space = spaceBetween(box, around)
        if (space >= near) return []
        // a slanted piece fills no upright rectangle
        return [
          { stripId, space: directionDeg % 90 !== 0 ? spaceApart(polygon, obstacle.outline, space) : space },
        ]
      })
      .filter(({ space }) => space < near)
      .sort((a, b) => a.space - b.space)
    const [nearest] = spaces
    // on the plate it is told as a strip that meets it
    if (!nearest || nearest.space < 0) return []
    return [
      {
        stage: 'layout',
        severity: 'watch',
        says: {
          code: 'plateTooNear',
          thingId: obstacle.id,
          kind,
          stripId: nearest.stripId,
          space: nearestNanometer(nearest.space),
          asked: judgement.clearance,
        },
        stripIds: [...new Set(spaces.map(({ stripId }) => stripId))],
        waysOut: [
          {
            says: { code: 'askForLess', clearance: nearestNanometer(nearest.space) },
            edits: [
              {
                type: 'patchDesign',
                patch: { judgement: { ...judgement, clearance: nearestNanometer(nearest.space) } },
              },
            ],
          },
        ],
      },
    ]
  })
}
