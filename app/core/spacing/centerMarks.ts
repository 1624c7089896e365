import { fail } from '~/length'
import type { SpacingOf } from '~/model'
import { placementAt, type SchoolOf } from './placement'

/**
 * Center marks: the span divided by the bays, a strip centered on each mark. Quick and common, and not even:
 * with three bays or more each end bay is w/2 wider than an inner one. Common practice, no source.
 */
export const placeCenterMarks: SchoolOf<SpacingOf<'centerMarks'>> = ({ bays }, span, stripWidth) => {
  const strips = bays - 1
  if (span / bays < stripWidth)
    return fail({
      code: 'stripsWiderThanSpan',
      strips,
      stripWidth,
      span,
      mostStrips: Math.max(0, Math.floor(span / stripWidth) - 1),
    })
  const edges = Array.from({ length: strips }, (_, i) => ((i + 1) * span) / bays - stripWidth / 2)
  return placementAt(edges, span, stripWidth)
}
