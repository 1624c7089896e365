import { fail, type Length, ok, type Result } from '~/length'
import type { SpacingOf } from '~/model'
import { MOST_STRIPS, placementAt, type SchoolOf, type SpacingIssue } from './placement'

/** Center-to-center step of a chosen gap or pitch; refuses one that would overlap the strips. */
function chosenPitch(
  { wish, measure }: { wish: Length; measure: 'gap' | 'pitch' },
  stripWidth: Length,
  span: Length,
): Result<number, SpacingIssue> {
  const pitch = measure === 'gap' ? wish + stripWidth : wish
  if (pitch <= stripWidth) return fail({ code: 'pitchWithinStrip', pitch: wish, stripWidth })
  const roughly = Math.floor(span / pitch)
  return roughly > MOST_STRIPS
    ? fail({ code: 'tooManyStrips', strips: roughly, most: MOST_STRIPS })
    : ok(pitch)
}

/**
 * A chosen gap worked left and right from the middle of the span or of a thing on it, with a strip or a gap on
 * that line; the ends take what is left. A thing that is off the span counts as its nearer end. Common practice,
 * no source.
 */
export const placeFromCenter: SchoolOf<SpacingOf<'fromCenter'>> = (spacing, span, stripWidth, context) => {
  const pitch = chosenPitch(spacing, stripWidth, span)
  if (!pitch.ok) return pitch
  const middle = spacing.about === null ? undefined : context.middles.get(spacing.about)
  const center = middle === undefined ? span / 2 : Math.min(Math.max(middle, 0), span)
  const half = stripWidth / 2
  const offset = spacing.centerOn === 'strip' ? 0 : pitch.value / 2
  const first = Math.ceil((half - center - offset) / pitch.value)
  const last = Math.floor((span - half - center - offset) / pitch.value)
  if (last < first) return fail({ code: 'noStripFits', span, stripWidth })
  return placementAt(
    Array.from({ length: last - first + 1 }, (_, i) => center + offset + (first + i) * pitch.value - half),
    span,
    stripWidth,
  )
}

/**
 * A chosen gap worked from one end, starting with a strip or a gap there; the whole remainder is left at
 * the other end. Common practice, no source.
 */
export const placeFromEnd: SchoolOf<SpacingOf<'fromEnd'>> = (spacing, span, stripWidth) => {
  const pitch = chosenPitch(spacing, stripWidth, span)
  if (!pitch.ok) return pitch
  const start = spacing.startWith === 'strip' ? 0 : pitch.value - stripWidth
  const count = Math.floor((span - stripWidth - start) / pitch.value) + 1
  if (count < 1) return fail({ code: 'noStripFits', span, stripWidth })
  const fromEnd = Array.from({ length: count }, (_, i) => start + i * pitch.value)
  const edges = spacing.end === 'left' ? fromEnd : fromEnd.map((near) => span - near - stripWidth).reverse()
  return placementAt(edges, span, stripWidth)
}
