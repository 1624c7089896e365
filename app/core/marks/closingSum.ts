import type { Length } from '~/length'
import type { Placement } from '../spacing'

/** The sum that must close: ends + strips + gaps = wall. All lengths in nanometers. */
export interface ClosingSum {
  readonly wall: Length
  readonly strips: { readonly count: number; readonly width: Length }
  /** Equal gaps counted together, in the order in which they first appear; the average of each group. */
  readonly gaps: readonly { readonly count: number; readonly size: number }[]
  /** The spaces at the walls where they are not gaps like the rest. */
  readonly ends: { readonly left: Length; readonly right: Length } | null
  /** What is missing (positive) or too much; zero when it closes. */
  readonly difference: number
}

/** Spaces within this of each other are one size: the rounding of one exact figure. */
const SAME_WITHIN = 2

function grouped(spaces: readonly number[]): { count: number; size: number }[] {
  const groups: { count: number; sum: number; first: number }[] = []
  for (const space of spaces) {
    const group = groups.find(({ first }) => Math.abs(first - space) <= SAME_WITHIN)
    if (group) {
      group.count += 1
      group.sum += space
    } else groups.push({ count: 1, sum: space, first: space })
  }
  return groups.map(({ count, sum }) => ({ count, size: sum / count }))
}

/** Adds up a placement. */
export function closingSum(placement: Placement): ClosingSum {
  const { leftEnd, rightEnd, gaps, nearEdges, stripWidth, span } = placement
  const innerAlike = gaps.every((gap) => Math.abs(gap - (gaps[0] ?? gap)) <= SAME_WITHIN)
  const endsAreGaps =
    innerAlike &&
    Math.abs(leftEnd - (gaps[0] ?? leftEnd)) <= SAME_WITHIN &&
    Math.abs(rightEnd - (gaps[0] ?? leftEnd)) <= SAME_WITHIN
  const sum =
    gaps.reduce<number>((total, gap) => total + gap, 0) + nearEdges.length * stripWidth + leftEnd + rightEnd
  return {
    wall: span,
    strips: { count: nearEdges.length, width: stripWidth },
    gaps: grouped(endsAreGaps ? [leftEnd, ...gaps, rightEnd] : gaps),
    ends: endsAreGaps || (leftEnd === 0 && rightEnd === 0) ? null : { left: leftEnd, right: rightEnd },
    difference: span - sum,
  }
}
