import type { ClosingSum } from '~/core/marks/closingSum'
import { NM_PER_MM, readOnTape } from '~/length'
import { say, type Wording } from './words'

/** Digits behind the point a sum is printed with at most. */
const MOST_DIGITS = 3

function termsOf({
  strips,
  others,
  gaps,
  ends,
  openings,
  leans,
  fillers,
}: ClosingSum): { count: number; size: number }[] {
  return [
    { count: strips.count, size: strips.width },
    ...others,
    ...gaps,
    ...openings,
    ...leans,
    ...fillers,
    ...(ends ? [ends.left, ends.right].map((size) => ({ count: 1, size })) : []),
  ]
}

/**
 * How the terms of a sum are printed so that it closes as printed. In millimeters with as few digits as make the printed
 * terms add up to the printed wall; in inches as the tape shows them, with what is a little over or under told beside.
 */
export function sumFigures(
  closing: ClosingSum,
  w: Wording,
): {
  readonly figure: (size: number) => string
  /** Printed beside a term that the tape can't show. */
  readonly drift: (size: number) => string
} {
  if (w.format.units !== 'mm')
    return {
      figure: (size) => say(size, w),
      drift: (size) =>
        ({ on: '', over: ' (a little over)', under: ' (a little under)' })[
          readOnTape(size, w.format.tape).side
        ],
    }
  const printed = (size: number, digits: number) => Number((size / NM_PER_MM).toFixed(digits))
  const wall = Number(say(closing.wall - closing.difference, w))
  const closes = (digits: number) => {
    const sum = termsOf(closing).reduce((total, { count, size }) => total + count * printed(size, digits), 0)
    return Math.abs(sum - wall) < 0.5 * 10 ** -Math.min(digits, 1)
  }
  const digits = Array.from({ length: MOST_DIGITS }, (_, i) => i).find(closes) ?? MOST_DIGITS
  return { figure: (size) => String(printed(size, digits)), drift: () => '' }
}
