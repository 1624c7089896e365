import type { Length, Result } from '~/length'
import type { Spacing } from '~/model'
import { placeCenterMarks } from './centerMarks'
import { placeEqualByCount } from './equalGaps'
import { placeFromCenter, placeFromEnd } from './fixedGap'
import { placeNearWish } from './nearWish'
import type { Placement, SpacingIssue } from './placement'

export { equalGap } from './equalGaps'
export { choicesAround, clearWish, type CountChoice, countChoices, nearestChoice } from './nearWish'
export { type Placement, shiftPlacement, type SpacingIssue } from './placement'

/** Places strips of a width on a span by the chosen school. Positions from the span's left end. */
export function placeStrips(
  spacing: Spacing,
  span: Length,
  stripWidth: Length,
): Result<Placement, SpacingIssue> {
  switch (spacing.school) {
    case 'equalByCount':
      return placeEqualByCount(spacing, span, stripWidth)
    case 'nearWish':
      return placeNearWish(spacing, span, stripWidth)
    case 'fromCenter':
      return placeFromCenter(spacing, span, stripWidth)
    case 'fromEnd':
      return placeFromEnd(spacing, span, stripWidth)
    case 'centerMarks':
      return placeCenterMarks(spacing, span, stripWidth)
  }
}
