import { type Length, nearestNanometer, tickOf } from '~/length'
import { type Design, type Edit, type ThingKind, type Workpiece, inForce } from '~/model'
import { computePlan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import { cutWall } from '../layout/cutWall'
import { layOutStanding } from '../layout/layOutWall'
import { capHeight, type Layout } from '../layout/layout'
import { rulesOf } from '../patterns/rules'
import { isUpright } from '../pieces'
import { type CutFacts, NOTHING_CUT } from '../asbuilt/cutFacts'
import { sawAdvice } from '../cutting/batch'
import { cutLongBy } from '../cutting/cutCards'
import { boardsNear } from '../cutting/leftToCut'
import { baseAt, partOfHeight } from '../survey/wallLines'

/** Why a height is proposed. */
export type HeightReason =
  | { readonly code: 'rule'; readonly rule: 'third' | 'half' | 'twoThirds' | 'full' }
  | {
      readonly code: 'linesUp'
      readonly kind: ThingKind
      readonly thingId: string
      readonly edge: 'top' | 'bottom'
    }
  /** `piece` is how long the longest of so many from one board is then. */
  | { readonly code: 'perBoard'; readonly pieces: number; readonly board: Length; readonly piece: Length }

/** A height for the main rail (the top of the uprights without one), and what it takes. */
export interface HeightProposal {
  readonly reason: HeightReason
  readonly height: Length
  readonly edits: readonly Edit[]
  readonly pieces: number
  /** Boards and the part of what is bought that ends as offcuts and dust; null where a piece has no board. */
  readonly boards: number | null
  readonly waste: number | null
}

/** What trim is usually lined up with, and by which edge of its outline: common practice, no source. */
const LINES: Readonly<Partial<Record<ThingKind, 'top' | 'bottom'>>> = {
  window: 'bottom',
  stool: 'top',
  switch: 'top',
  bed: 'top',
  sofa: 'top',
  door: 'top',
  ledge: 'top',
}

/** Fewer than this and the pieces are rails, more and they are sticks. */
const PER_BOARD = [2, 3]

/**
 * Heights at which so many uprights come from one board, the longest of them cut long where it is measured, and its kerfs counted: on a floor that
 * falls it is longer than from the base line to the head. Rounded down to the tape, since what is marked is what is cut.
 */
function perBoard(workpiece: Workpiece, layout: Layout): { reason: HeightReason; height: Length }[] {
  const { wall, settings } = workpiece
  const { shop } = settings
  const tick = tickOf(settings.tape)
  const longestAt = (height: Length) => {
    const next = applyEdits(workpiece, [edit(inForce(wall.design), null, height)])
    const cut = cutWall(next)
    const { of } = sawAdvice(cut, next)
    const uprights = cut.pieces.filter(({ role }) => isUpright(role))
    return {
      cut: Math.max(0, ...uprights.map(({ cutLength }) => cutLength)),
      // what is measured in place is cut long, and its board has to hold that
      taken: Math.max(
        0,
        ...uprights.map(({ id, cutLength }) => cutLength + cutLongBy(of({ pieceIds: [id] }), settings)),
      ),
    }
  }
  return shop.offers
    .filter(({ material }) => material === layout.battenMaterial.id)
    .flatMap(({ length }) =>
      PER_BOARD.flatMap((pieces) => {
        // n pieces of a squared board take n - 1 kerfs
        const room = (length - shop.endTrim - (pieces - 1) * shop.kerf) / pieces
        const most = nearestNanometer(Math.floor(room / tick) * tick)
        const above = layout.height - layout.uprightHead
        let height = nearestNanometer(layout.uprightFoot + most + above)
        const over = longestAt(height).taken - most
        if (over > 0) height = nearestNanometer(height - Math.ceil(over / tick) * tick)
        const { cut, taken } = longestAt(height)
        if (cut <= 0 || taken > most) return []
        const piece = nearestNanometer(Math.min(most, Math.ceil(cut / tick - 1e-9) * tick))
        return [{ reason: { code: 'perBoard' as const, pieces, board: length, piece }, height }]
      }),
    )
}

function candidates(workpiece: Workpiece): { reason: HeightReason; height: Length }[] {
  const { wall, settings } = workpiece
  const { survey } = wall
  const design = inForce(wall.design)
  const layout = layOutStanding(survey, design, settings)
  const { lines } = layout
  const rules = (['third', 'half', 'twoThirds'] as const).map((rule) => ({
    reason: { code: 'rule', rule } as const,
    height: partOfHeight(survey, rule),
  }))
  const full = {
    reason: { code: 'rule', rule: 'full' } as const,
    height: nearestNanometer(lines.headLine - capHeight(layout)),
  }
  const things = survey.things.flatMap((thing) => {
    const edge = LINES[thing.kind]
    if (!edge || thing.fate === 'remove') return []
    const { kind, id, bottom, height, casing } = thing
    const at = edge === 'top' ? bottom + height + casing : bottom - casing
    return [
      {
        reason: { code: 'linesUp', kind, thingId: id, edge } as const,
        height: nearestNanometer(at - baseAt(lines, thing.left + thing.width / 2)),
      },
    ]
  })
  const above = layout.height - layout.uprightHead
  const boards = rulesOf(design).standsFree ? perBoard(workpiece, layout) : []
  return [...rules, full, ...things, ...boards].filter(
    ({ height }) => height > layout.uprightFoot + above && height <= lines.headLine,
  )
}

function edit(design: Design, reason: HeightReason | null, height: Length): Edit {
  const rule: Design['height'] =
    reason?.code === 'rule' ? { rule: reason.rule } : { rule: 'typed', value: height }
  return { type: 'patchDesign', patch: rulesOf(design).withHeight(design, rule) }
}

/** Usual heights, heights that line up with something, and heights that waste no stock, each with what it takes. */
export function heightProposals(workpiece: Workpiece, facts: CutFacts = NOTHING_CUT): HeightProposal[] {
  return candidates(workpiece)
    .map(({ reason, height }): HeightProposal => {
      const edits = [edit(inForce(workpiece.wall.design), reason, height)]
      const next = applyEdits(workpiece, edits)
      const plan = computePlan(next)
      const { whole: known, plans, count } = boardsNear(plan, next, facts)
      const bought = plans.reduce((sum, { bought: each }) => sum + each, 0)
      const used = plans.reduce((sum, { used: each }) => sum + each, 0)
      return {
        reason,
        height,
        edits,
        pieces: plan.pieces.length,
        boards: known ? count : null,
        waste: known && bought > 0 ? 1 - used / bought : null,
      }
    })
    .sort((a, b) => a.height - b.height)
}
