import { fail, type Length } from '~/length'
import type { Ends, SpacingOf } from '~/model'
import { placementAt, type SchoolOf } from './placement'

/** How many gaps n strips leave: one more with gaps at both ends, one fewer with strips there. */
export function gapCount(strips: number, ends: Ends): number {
  return ends === 'gap' ? strips + 1 : strips - 1
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
  const gapsBefore = ends === 'gap' ? 1 : 0
  const edges = Array.from({ length: strips }, (_, i) => ((i + gapsBefore) * free) / gaps + i * stripWidth)
  return placementAt(edges, span, stripWidth)
}
