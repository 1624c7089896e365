import type { Plan } from '~/core/computePlan'
import { patternWords } from './patternWords'
import { say, sayWithUnit, type Wording } from './words'

/** The layout in a line: 11 battens to a rail at 62. */
export function layoutTitle({ layout }: Pick<Plan, 'layout'>, w: Wording): string {
  return patternWords(layout).title(layout, w)
}

/** All moved 1 1/4 to the right; or as far as the ends let them. */
export function shiftText(asked: number, moved: number, w: Wording): string {
  const side = asked > 0 ? 'right' : 'left'
  if (Math.abs(asked - moved) < 2) return `All moved ${sayWithUnit(Math.abs(asked), w)} to the ${side}.`
  return moved === 0
    ? `To be moved ${sayWithUnit(Math.abs(asked), w)} to the ${side}, but the ends leave no room for it.`
    : `All moved ${sayWithUnit(Math.abs(moved), w)} to the ${side}, of ${say(Math.abs(asked), w)} asked for: the end leaves no more.`
}

/** A filler of 1/2 at each end. */
export function fillersText(
  { left, right }: { readonly left: number; readonly right: number },
  w: Wording,
): string {
  if (left === 0 || right === 0)
    return `A filler of ${sayWithUnit(left + right, w)} at the ${left === 0 ? 'right' : 'left'} end.`
  return Math.abs(left - right) < 2
    ? `A filler of ${sayWithUnit(left, w)} at each end.`
    : `Fillers of ${say(left, w)} at the left and ${sayWithUnit(right, w)} at the right.`
}
