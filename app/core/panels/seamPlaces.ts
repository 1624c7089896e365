import { inches } from '~/length'
import type { Backer } from '~/model'
import { type Around, jointFaults, NOTHING_AROUND, offMiddleOf, placeJoints } from '../pieces'

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

/** What speaks against seams at some places: how many have no stud behind them, and the rest in the order it counts. */
function faultsOf(at: readonly number[], around: Around): { offStud: number; other: number } {
  const faults = at.map((place) => jointFaults(place, around))
  const offMiddle = at.reduce((sum, place) => sum + offMiddleOf(place, around), 0)
  const inSight = faults.filter((each) => each.inSight).length
  return {
    offStud: faults.filter(({ offStud }) => offStud).length,
    // covered by a strip before whole bearing, which is less than an inch each
    other: inSight + offMiddle / (inches(1) * (at.length + 1)),
  }
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
  // a seam that no strip covers is seen
  const around: Around = {
    ...NOTHING_AROUND,
    studs,
    seen: covers.length > 0 ? uncovered(from, to, covers) : [],
  }
  const many = Math.ceil((whole + gap) / (size + gap))
  const short = whole - (many - 1) * (size + gap)
  if (short <= MOST_FILLER) {
    const step = size + gap
    const firsts = Array.from({ length: many - 1 }, (_, i) => from + short + gap / 2 + i * step)
    const lasts = Array.from({ length: many - 1 }, (_, i) => from + size + gap / 2 + i * step)
    const ways = [
      { at: lasts, filler: 'last' as const },
      { at: firsts, filler: 'first' as const },
    ].map((way) => ({ way, faults: faultsOf(way.at, around) }))
    const [best] = ways.sort((a, b) => a.faults.offStud - b.faults.offStud || a.faults.other - b.faults.other)
    // a strip with nothing behind its seam is worse than two halves that meet on a stud
    if (best && (seams === 'sheets' || best.faults.offStud === 0)) return best.way
  }
  if (seams === 'sheets')
    return {
      at: Array.from({ length: many - 1 }, (_, i) => from + (i + 1) * size + i * gap + gap / 2),
      filler: null,
    }
  const reach = { first: size + gap / 2, middle: size + gap, last: size + gap / 2 }
  return { at: placeJoints(from, to, reach, around), filler: null }
}
