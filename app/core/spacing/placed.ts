import { fail, nearestNanometer } from '~/length'
import type { SpacingOf } from '~/model'
import { placementAt, type SchoolOf } from './placement'

/** Strips where they were put. Refused where two overlap or the last runs over the end. */
export const placePlaced: SchoolOf<SpacingOf<'placed'>> = ({ nearEdges }, span, stripWidth) => {
  for (const [i, edge] of nearEdges.entries()) {
    const over = edge + stripWidth - (nearEdges[i + 1] ?? span)
    if (over > 0) return fail({ code: 'stripsOverlap', strip: i + 1, by: nearestNanometer(over) })
  }
  return placementAt(nearEdges, span, stripWidth)
}
