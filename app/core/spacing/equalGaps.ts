import { fail, type Length } from '~/length'
import type { Ends, SpacingOf } from '~/model'
import { placementAt, type SchoolOf } from './placement'

/** How much of a gap stands at the left and at the right end. */
export const END_PARTS: Readonly<Record<Ends, readonly [number, number]>> = {
  gap: [1, 1],
  strip: [0, 0],
  half: [0.5, 0.5],
  stripGap: [0, 1],
  gapStrip: [1, 0],
}

/** How many gaps n strips leave, end parts counted as what they are: n + 1 with gaps at both ends. */
export function gapCount(strips: number, ends: Ends): number {
  const [left, right] = END_PARTS[ends]
  return strips - 1 + left + right
}

/** The fewest strips that leave a gap to speak of. */
export function fewestStrips(ends: Ends): number {
  return gapCount(1, ends) >= 1 ? 1 : 2
}

/** The exact equal gap in nanometers, (S - n*w) / b; NaN where there is no gap to speak of. */
export function equalGap(span: Length, stripWidth: Length, strips: number, ends: Ends): number {
  const gaps = gapCount(strips, ends)
  return gaps < 1 ? NaN : (span - strips * stripWidth) / gaps
}

/** Equal gaps by count. Common practice, no source: gap = (S - n*w) / b. */
export const placeEqualByCount: SchoolOf<SpacingOf<'equalByCount'>> = (
  { strips, ends },
  span,
  stripWidth,
) => {
  const gaps = gapCount(strips, ends)
  if (gaps < 1) return fail({ code: 'needTwoStrips' })
  const free = span - strips * stripWidth
  if (free < 0)
    return fail({
      code: 'stripsWiderThanSpan',
      strips,
      stripWidth,
      span,
      mostStrips: Math.max(0, Math.floor(span / stripWidth)),
    })
  const [before] = END_PARTS[ends]
  const edges = Array.from({ length: strips }, (_, i) => ((i + before) * free) / gaps + i * stripWidth)
  return placementAt(edges, span, stripWidth)
}
