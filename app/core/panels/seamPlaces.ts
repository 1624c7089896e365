import { inches } from '~/length'
import type { Backer } from '~/model'
import { NOTHING_AROUND, placeJoints } from '../pieces'

/** What a sheet falls short by up to this is filled with a strip rather than by two halves. Common practice, no source. */
const MOST_FILLER = inches(6)
/** The part of a range that is covered by strips' faces, in order. */
function uncovered(
  from: number,
  to: number,
  covers: readonly { readonly from: number; readonly to: number }[],
) {
  const sorted = [...covers].sort((a, b) => a.from - b.from)
  const gaps: { from: number; to: number }[] = []
  let at = from
  for (const cover of sorted) {
    if (cover.from > at) gaps.push({ from: at, to: Math.min(cover.from, to) })
    at = Math.max(at, cover.to)
  }
  if (at < to) gaps.push({ from: at, to })
  return gaps
}

/** Where seams go on one way of the wall, and which part is a filler. */
export function seamPlaces(
  from: number,
  to: number,
  size: number,
  { seams, gap }: Backer,
  studs: readonly number[],
  covers: readonly { readonly from: number; readonly to: number }[],
): { at: number[]; filler: 'first' | 'last' | null } {
  const whole = to - from
  if (whole <= size) return { at: [], filler: null }
  const many = Math.ceil((whole + gap) / (size + gap))
  const short = whole - (many - 1) * (size + gap)
  if (short <= MOST_FILLER) {
    const step = size + gap
    const firsts = Array.from({ length: many - 1 }, (_, i) => from + short + gap / 2 + i * step)
    const lasts = Array.from({ length: many - 1 }, (_, i) => from + size + gap / 2 + i * step)
    const hides = (at: number) => covers.some((cover) => at > cover.from && at < cover.to)
    // under a strip where possible, else at the foot or the far end
    const first = hides(firsts[0] ?? from) && !hides(lasts.at(-1) ?? to)
    return first ? { at: firsts, filler: 'first' } : { at: lasts, filler: 'last' }
  }
  if (seams === 'sheets')
    return {
      at: Array.from({ length: many - 1 }, (_, i) => from + (i + 1) * size + i * gap + gap / 2),
      filler: null,
    }
  const reach = { first: size + gap / 2, middle: size + gap, last: size + gap / 2 }
  const at = placeJoints(from, to, reach, {
    ...NOTHING_AROUND,
    studs,
    // a seam that no strip covers is seen
    seen: covers.length > 0 ? uncovered(from, to, covers) : [],
  })
  return { at, filler: null }
}
