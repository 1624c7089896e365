import type { ClosingSum } from '~/core/marks/closingSum'
import { NM_PER_INCH, NM_PER_MM, readOnTape } from '~/length'
import { say, type Wording } from './words'

/** How a figure that the tape can't show is said beside the nearest it can: scant of it or full, and exact to a thousandth. */
function scantOrFull(size: number, w: Wording): string {
  const { side } = readOnTape(size, w.format.tape)
  if (side === 'on') return ''
  return ` (${side === 'under' ? 'scant' : 'full'}, exact ${(size / NM_PER_INCH).toFixed(3)})`
}

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
  overlaps,
}: ClosingSum): { count: number; size: number }[] {
  return [
    { count: strips.count, size: strips.width },
    ...others,
    ...gaps,
    ...openings,
    ...leans,
    ...fillers,
    ...overlaps.map(({ count, size }) => ({ count: -count, size })),
    ...(ends ? [ends.left, ends.right].map((size) => ({ count: 1, size })) : []),
  ]
}

/**
 * How the terms of a sum are printed so that it closes as printed. In millimeters with as few digits as make the printed
 * terms add up to the printed wall; in inches as the tape shows them, each with how
 * it was rounded beside it, so that the exact figures add up.
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
      drift: (size) => scantOrFull(size, w),
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
