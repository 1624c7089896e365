import { takeDown, type TakenDown } from '~/core/takedown/takeDown'
import type { Point } from '~/core/geometry'
import { fixingName, paperText, pieceName, say, sayWithUnit, type Wording } from '~/messages'
import type { Flow } from '../pdf/flow'
import type { PlannedWall } from '../paperJob'

/** Places told one by one; more are spread over the same length. */
const TOLD = 24

const place = ({ x, y }: Point, w: Wording) => `${say(Math.round(x), w)}, ${say(Math.round(y), w)}`

function places(at: readonly Point[], w: Wording): string {
  const told = at.slice(0, TOLD).map((point) => place(point, w))
  return [...told, ...(at.length > TOLD ? [paperText.nailsMore(at.length - TOLD)] : [])].join(' · ')
}

function held({ fixing, beads, dabsAt }: TakenDown, w: Wording): string {
  return [
    fixingName(fixing),
    ...(beads ? [paperText.beads(beads.count)] : []),
    ...(dabsAt.length > 0 ? [paperText.dabs(places(dabsAt, w))] : []),
  ].join('; ')
}

/** How the trim comes off again, piece by piece, what it tears and what is patched: for a tenant who leaves, and for later owners. */
export function takeDownSheet(flow: Flow, { plan, workpiece, wording, wall }: PlannedWall): void {
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
    flow.para(paperText.earlier(piece, holes, places(at, wording)))
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
        held(each, wording),
        places(each.nailsAt, wording),
        paperText.tears[each.tears],
      ]
    }),
    paperText.takeDownOrder,
  )
  if (down.panels) flow.para(paperText.panels(down.panels.count, down.panels.fasteners))
}
