import { type Length, nearestNanometer } from '~/length'
import { type Edit, type Settings, type ThingKind, type WallDocument, type Workpiece, inForce } from '~/model'
import { boundsOf } from '../geometry'
import { layOutStanding } from '../layout/layOutWall'
import type { Layout, Upright } from '../layout/layout'
import { edgesAt } from '../layout/lean'
import { rulesOf } from '../patterns/rules'

/** A line on the wall that a strip can be brought to. */
export interface AlignTarget {
  readonly kind: ThingKind
  readonly thingId: string
  readonly side: 'left' | 'right'
  readonly x: number
  /** Where on that line a strip that leans is to meet it. */
  readonly y: number
}

/** The strips moved so that an edge of one comes to a line on the wall. */
export interface Alignment {
  readonly target: AlignTarget
  readonly stripId: string
  /** The strip's edge that comes to the line: its outer side lies on the far side of the thing. */
  readonly edge: 'left' | 'right'
  readonly by: Length
  readonly edits: readonly Edit[]
}

/** Edges of openings with their casing, and where slopes and notches of the wall begin. */
function alignTargets(layout: Layout): AlignTarget[] {
  return layout.obstacles
    .filter(({ plate }) => !plate)
    .flatMap(({ id, kind, outline }) => {
      if (kind === 'strip') return []
      const { left, right, bottom, top } = boundsOf(outline)
      const y = (bottom + top) / 2
      return [
        { kind, thingId: id, side: 'left' as const, x: left, y },
        { kind, thingId: id, side: 'right' as const, x: right, y },
      ]
    })
    .filter(({ x }) => x > layout.left && x < layout.right)
}

/** A lean that is shared out changes with the place: so often moved on, what is left of the way is less than a nanometer. */
const STEPS = 8

/** How far a strip has to move for its edge to meet a line. */
function shiftTo(
  layout: Layout,
  { left, right }: Upright,
  edge: 'left' | 'right',
  { x, y }: AlignTarget,
): number {
  let by = 0
  for (let i = 0; i < STEPS; i++) by += x - edgesAt(layout, { left: left + by, right: right + by }, y)[edge]
  return by
}

/**
 * For each line the smallest move of all strips, as far as the ends let them, that brings the nearest strip against it:
 * its right edge to the left side of a thing, its left edge to the right side.
 */
export function alignments(layout: Layout): Alignment[] {
  const { placement, uprights, sections } = layout
  const { places, counts } = rulesOf(layout)
  if (!placement || !counts(layout.design) || places === 'margins' || sections[0]?.id !== 'all') return []
  const now = sections[0].shifted
  return alignTargets(layout).flatMap((target): Alignment[] => {
    const edge = target.side === 'left' ? 'right' : 'left'
    const moves = uprights
      .map((upright) => ({ stripId: upright.id, by: shiftTo(layout, upright, edge, target) }))
      .filter(({ by }) => (by > 0 ? by <= placement.rightEnd : -by <= placement.leftEnd))
      .sort((a, b) => Math.abs(a.by) - Math.abs(b.by))
    const [best] = moves
    if (!best || Math.abs(best.by) < 1) return []
    const by = nearestNanometer(best.by)
    return [
      {
        target,
        stripId: best.stripId,
        edge,
        by,
        edits: [{ type: 'patchDesign', patch: { shift: nearestNanometer(now + by) } }],
      },
    ]
  })
}

/** The gap of the wall beside, carried on from the corner the two share. */
export interface Rhythm {
  readonly side: 'left' | 'right'
  readonly gap: Length
  readonly edits: readonly Edit[]
}

/** The rhythm of the wall on one side; null where that wall has no gaps of its own, or this wall no strips. */
export function rhythmOf(
  side: 'left' | 'right',
  beside: WallDocument,
  settings: Settings,
  { wall }: Workpiece,
): Rhythm | null {
  if (!rulesOf(inForce(wall.design)).standsFree) return null
  const layout = layOutStanding(beside.survey, inForce(beside.design), settings)
  const [section] = layout.sections
  const gap = section?.placement?.gaps[0]
  if (gap === undefined || gap <= 0 || rulesOf(layout).places === 'margins') return null
  return {
    side,
    gap,
    edits: [
      {
        type: 'patchDesign',
        patch: {
          spacing: { school: 'fromEnd', wish: gap, measure: 'gap', end: side, startWith: 'gap' },
          sectionOwn: {},
          shift: nearestNanometer(0),
        },
      },
    ],
  }
}
