import { type Length, nearestNanometer } from '~/length'
import type { Design, Edit, ThingKind, Workpiece } from '~/model'
import { computePlan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import { layOut } from '../layout/layOutWall'
import { capHeight } from '../layout/layout'
import { boardRequests, planBoardsQuickly } from '../stock'
import { partOfHeight } from '../survey/wallLines'

/** Why a height is proposed. */
export type HeightReason =
  | { readonly code: 'rule'; readonly rule: 'third' | 'half' | 'twoThirds' | 'full' }
  | {
      readonly code: 'linesUp'
      readonly kind: ThingKind
      readonly thingId: string
      readonly edge: 'top' | 'bottom'
    }
  | { readonly code: 'perBoard'; readonly pieces: number; readonly board: Length }

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

function candidates(workpiece: Workpiece): { reason: HeightReason; height: Length }[] {
  const { wall, settings } = workpiece
  const { survey, design } = wall
  const layout = layOut(survey, design, settings)
  const { lines } = layout
  const rules = (['third', 'half', 'twoThirds'] as const).map((rule) => ({
    reason: { code: 'rule', rule } as const,
    height: partOfHeight(survey, rule),
  }))
  const full = {
    reason: { code: 'rule', rule: 'full' } as const,
    height: nearestNanometer(lines.headLine - capHeight(design, settings)),
  }
  const things = survey.things.flatMap((thing) => {
    const edge = LINES[thing.kind]
    if (!edge || thing.fate === 'remove') return []
    const { kind, id, bottom, height, casing } = thing
    const at = edge === 'top' ? bottom + height + casing : bottom - casing
    return [
      {
        reason: { code: 'linesUp', kind, thingId: id, edge } as const,
        height: nearestNanometer(at - lines.base.at0),
      },
    ]
  })
  const above = layout.height - layout.uprightHead
  const isUpright = design.pattern === 'battens' || design.pattern === 'slats'
  const offers = settings.shop.offers.filter(({ material }) => material === layout.battenMaterial.id)
  const boards = isUpright
    ? offers.flatMap(({ length }) =>
        PER_BOARD.map((pieces) => ({
          reason: { code: 'perBoard', pieces, board: length } as const,
          // n pieces of a squared board take n - 1 kerfs
          height: nearestNanometer(
            layout.uprightFoot +
              (length - settings.shop.endTrim - (pieces - 1) * settings.shop.kerf) / pieces +
              above,
          ),
        })),
      )
    : []
  return [...rules, full, ...things, ...boards].filter(
    ({ height }) => height > layout.uprightFoot + above && height <= lines.headLine,
  )
}

function edit({ pattern, rails }: Design, reason: HeightReason, height: Length): Edit {
  const rule: Design['height'] =
    reason.code === 'rule' ? { rule: reason.rule } : { rule: 'typed', value: height }
  const [first, ...others] = rails
  // of rails alone the first is the one whose height is asked for
  return pattern === 'rails' && first
    ? { type: 'patchDesign', patch: { rails: [{ ...first, top: rule }, ...others] } }
    : { type: 'patchDesign', patch: { height: rule } }
}

/** Usual heights, heights that line up with something, and heights that waste no stock, each with what it takes. */
export function heightProposals(workpiece: Workpiece): HeightProposal[] {
  return candidates(workpiece)
    .map(({ reason, height }): HeightProposal => {
      const edits = [edit(workpiece.wall.design, reason, height)]
      const next = applyEdits(workpiece, edits)
      const { cutList, pieces } = computePlan(next)
      const results = boardRequests(cutList, next.settings).map(planBoardsQuickly)
      const plans = results.flatMap((result) => (result.ok ? [result.value] : []))
      const known = plans.length === results.length
      const bought = plans.reduce((sum, plan) => sum + plan.bought, 0)
      const used = plans.reduce((sum, plan) => sum + plan.used, 0)
      return {
        reason,
        height,
        edits,
        pieces: pieces.length,
        boards: known ? plans.reduce((sum, plan) => sum + plan.boards.length, 0) : null,
        waste: known && bought > 0 ? 1 - used / bought : null,
      }
    })
    .sort((a, b) => a.height - b.height)
}
