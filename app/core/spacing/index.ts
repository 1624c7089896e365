import type { Length, Result } from '~/length'
import type { Spacing } from '~/model'
import { placeCenterMarks } from './centerMarks'
import { placeEqualByCount } from './equalGaps'
import { placeFromCenter, placeFromEnd } from './fixedGap'
import { placeNearWish } from './nearWish'
import { placePlaced } from './placed'
import { BARE_SPAN, type Placement, type SpacingIssue, type SpanContext } from './placement'
import { placeToStuds } from './toStuds'

export { placePlaced } from './placed'
export { END_PARTS, equalGap, fewestStrips, gapCount } from './equalGaps'
export { choicesAround, clearWish, type CountChoice, countChoices, isEnough, nearestChoice } from './nearWish'
export {
  BARE_SPAN,
  type Placement,
  placementAt,
  shiftPlacement,
  type SpacingIssue,
  type SpanContext,
} from './placement'

/** Places strips of a width on a span by the chosen school. Positions from the span's left end. */
export function placeStrips(
  spacing: Spacing,
  span: Length,
  stripWidth: Length,
  context: SpanContext = BARE_SPAN,
): Result<Placement, SpacingIssue> {
  switch (spacing.school) {
    case 'equalByCount':
      return placeEqualByCount(spacing, span, stripWidth, context)
    case 'nearWish':
      return placeNearWish(spacing, span, stripWidth, context)
    case 'fromCenter':
      return placeFromCenter(spacing, span, stripWidth, context)
    case 'fromEnd':
      return placeFromEnd(spacing, span, stripWidth, context)
    case 'centerMarks':
      return placeCenterMarks(spacing, span, stripWidth, context)
    case 'toStuds':
      return placeToStuds(spacing, span, stripWidth, context)
    case 'placed':
      return placePlaced(spacing, span, stripWidth, context)
  }
}
