import { type Edit, type Workpiece, inForce } from '~/model'
import { layOutStanding, placesOf } from '../layout/layOutWall'
import type { LaidOut, Layout } from '../layout/layout'
import { applyEdits } from './applyEdit'

/** The layout that edits make: what a button says of it is read off this, so that what it says is what comes. */
export function laidOut(workpiece: Workpiece, edits: readonly Edit[]): Layout {
  const { wall, settings } = applyEdits(workpiece, edits)
  return layOutStanding(wall.survey, inForce(wall.design), settings)
}

/** The same without its strips: where uprights and horizontals would go, for whoever tries many. */
export function placesAfter(workpiece: Workpiece, edits: readonly Edit[]): LaidOut {
  const { wall, settings } = applyEdits(workpiece, edits)
  return placesOf(wall.survey, inForce(wall.design), settings)
}

/** The gap a layout is spoken of by: its first section's first gap, or the space beside a single strip. */
export function gapOf({ sections }: Pick<LaidOut, 'sections'>): number | null {
  const placement = sections.find((section) => section.placement !== null)?.placement
  return placement?.gaps[0] ?? placement?.leftEnd ?? null
}
