import type { Point } from '~/core/geometry'
import { overFloor, takeDown, type TakenDown } from '~/core/takedown/takeDown'
import { fixingName, paperText, pieceName, say, sayWithUnit } from '~/messages'
import type { Flow } from '../pdf/flow'
import type { PlannedWall } from '../paperJob'

/** Places told one by one; more are spread over the same length. */
const TOLD = 24

/** A place as one reads it: from the left corner, and up from the floor below it. */
const place = (at: Point, { plan, wording }: PlannedWall) =>
  `${say(Math.round(at.x), wording)}, ${say(Math.round(overFloor(plan.layout, at)), wording)}`

function places(at: readonly Point[], wall: PlannedWall): string {
  const told = at.slice(0, TOLD).map((point) => place(point, wall))
  return [...told, ...(at.length > TOLD ? [paperText.nailsMore(at.length - TOLD)] : [])].join(' · ')
}

function held({ fixing, beads, dabsAt }: TakenDown, wall: PlannedWall): string {
  return [
    fixingName(fixing),
    ...(beads ? [paperText.beads(beads.count)] : []),
    ...(dabsAt.length > 0 ? [paperText.dabs(places(dabsAt, wall))] : []),
  ].join('; ')
}

/** How the trim comes off again, piece by piece, what it tears and what is patched: for a tenant who leaves, and for later owners. */
export function takeDownSheet(flow: Flow, planned: PlannedWall): void {
  const { plan, workpiece, wording, wall } = planned
  const down = takeDown(plan, workpiece, wall.acts)
  flow.page(paperText.headOf(wall.name, paperText.parts.takeDown), '', true)
  flow.para(paperText.takeDownLead)
  if (down.pieces.length === 0) return flow.para(paperText.noPieces)
  flow.para(paperText.takeDownCaution, { weight: 'bold', size: 9 })
  if (down.cut > 0) flow.para(paperText.cutSeams(sayWithUnit(down.cut, wording)))
  flow.para(paperText.holes(down.holes))
  const { beads, dabs } = down.torn
  if (beads > 0 || dabs > 0) flow.para(paperText.torn(beads > 0 ? sayWithUnit(beads, wording) : null, dabs))
  for (const { piece, at, holes } of down.earlier)
    flow.para(paperText.earlier(piece, holes, places(at, planned)))
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]))
  flow.table(
    paperText.takeDownColumns.map((name, i) => ({
      name,
      share: [1.6, 1.6, 2, 4, 1.6][i] ?? 1,
      bold: i === 0,
    })),
    down.pieces.map((each) => {
      const piece = byId.get(each.pieceId)
      const name = piece ? pieceName(piece, wording) : each.pieceId
      return [
        each.name ? `${each.name}, ${name}` : name,
        paperText.placed(say(each.left, wording), say(each.bottom, wording)),
        held(each, planned),
        places(each.nailsAt, planned),
        paperText.tears[each.tears],
      ]
    }),
    paperText.takeDownOrder,
  )
  if (down.panels) flow.para(paperText.panels(down.panels.count, down.panels.fasteners))
}
