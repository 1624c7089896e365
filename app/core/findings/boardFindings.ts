import { inches, millimeters, nearestNanometer, tickOf } from '~/length'
import {
  type Edit,
  RAIL_JOINTS,
  type Settings,
  TAKEN_OFF,
  usualOffers,
  type Workpiece,
  inForce,
} from '~/model'
import type { Layout } from '../layout/layout'
import { isUpright, type Piece } from '../pieces'
import { joinRunWith } from '../cutting/joints'
import type { Finding, WayOut } from './finding'

/** What the design calls the run by that a piece is of. */
function runOf({ stripId, part }: Piece): string {
  return part?.side ? `${stripId}:${part.side}` : stripId
}

/** Strips that were to be ripped from sheets are bought after all. */
function buyStrips(materialId: string, { shop }: Settings): Edit[] {
  const { [materialId]: _, ...others } = shop.ripped
  return [{ type: 'patchSettings', patch: { shop: { ...shop, ripped: others } } }]
}

/** What the boards on sale have to say: none listed, a batten too long for them, a rail joined of several. */
export function boardFindings(
  { wall, settings }: Workpiece,
  layout: Layout,
  pieces: readonly Piece[],
): Finding[] {
  const findings: Finding[] = []
  for (const materialId of new Set(pieces.map((piece) => piece.materialId))) {
    if (materialId === TAKEN_OFF) continue
    const longestNow = layout.longest.get(materialId) ?? null
    const ripped = settings.shop.ripped[materialId] !== undefined
    // a sheet that is gone is told by itself
    if (longestNow === null && ripped) continue
    if (longestNow === null) {
      findings.push({
        stage: 'buy',
        severity: 'wrong',
        says: { code: 'noBoardsListed', materialId },
        stripIds: [],
        waysOut: [
          {
            says: { code: 'listUsualBoards' },
            edits: usualOffers(materialId, settings.units).map((offer) => ({ type: 'setOffer', offer })),
          },
        ],
      })
      continue
    }
    const longest = nearestNanometer(longestNow)
    const tooLong = pieces.filter((piece) => piece.materialId === materialId && piece.cutLength > longest)
    const [worst] = [...tooLong].sort((a, b) => b.cutLength - a.cutLength)
    if (!worst) continue
    const step = settings.units === 'mm' ? millimeters(300) : inches(24)
    const needed = nearestNanometer(Math.ceil((worst.cutLength + settings.shop.endTrim) / step) * step)
    const waysOut: WayOut[] = [
      ...(inForce(wall.design).joints[runOf(worst)]?.joint === 'none'
        ? [
            {
              says: { code: 'joinAgain' as const },
              edits: joinRunWith(runOf(worst), 'asWall', { wall, settings }),
            },
          ]
        : []),
      {
        says: { code: 'addBoard', length: needed },
        edits: [
          // no sheet is so long: the strips are bought
          ...(ripped ? buyStrips(materialId, settings) : []),
          {
            type: 'setOffer',
            offer: { id: `${materialId}-${needed}`, material: materialId, length: needed, price: null },
          },
        ],
      },
    ]
    if (isUpright(worst.role)) {
      // on a floor that falls the longest is longer than from the base line to the head
      const tick = tickOf(settings.tape)
      const height = nearestNanometer(Math.floor((layout.height - (worst.cutLength - longest)) / tick) * tick)
      waysOut.push({
        says: { code: 'lowerTo', height },
        edits: [{ type: 'patchDesign', patch: { height: { rule: 'typed', value: height } } }],
      })
    }
    findings.push({
      stage: 'buy',
      severity: 'wrong',
      says: { code: 'pieceLongerThanBoards', stripId: worst.stripId, length: worst.cutLength, longest },
      stripIds: [...new Set(tooLong.map((piece) => piece.stripId))],
      waysOut,
    })
  }
  const joint = inForce(wall.design).railJoint
  // a miter across the face is for what slants: on a rail it would show as a step
  const others = (role: string | undefined) =>
    (role === 'line' ? RAIL_JOINTS : (['scarf', 'butt'] as const)).filter((each) => each !== joint)
  const joined = new Set(pieces.flatMap(({ stripId, endsAt }) => (endsAt === 'joint' ? [stripId] : [])))
  const told = [
    ...layout.bands.map(({ id }) => id as string),
    ...layout.strips.filter(({ role }) => role === 'line').map(({ id }) => id as string),
  ]
  for (const id of told.filter((each) => joined.has(each))) {
    const parts = pieces.filter((piece) => piece.stripId === id).length
    findings.push({
      stage: 'buy',
      severity: 'note',
      says: { code: 'bandJoined', bandId: id, parts, joint },
      stripIds: [id],
      waysOut: others(pieces.find((piece) => piece.stripId === id)?.role).map((each) => ({
        says: { code: 'joinWith', joint: each },
        edits: [{ type: 'patchDesign', patch: { railJoint: each } }],
      })),
    })
  }
  return findings
}
