import type { Ends } from '~/model'
import { END_PARTS, gapCount } from '../spacing'

interface Range {
  readonly from: number
  readonly to: number
}

/** Open intervals joined where they overlap, in order. */
function joined(ranges: readonly Range[]): Range[] {
  const out: Range[] = []
  for (const range of [...ranges].sort((a, b) => a.from - b.from)) {
    const last = out[out.length - 1]
    if (last && range.from < last.to)
      out[out.length - 1] = { from: last.from, to: Math.max(last.to, range.to) }
    else out.push(range)
  }
  return out
}

/** What is left of ordered ranges, each moved by `least` and widened to `most`, outside of ordered bars. */
function freed(ranges: readonly Range[], low: number, high: number, bars: readonly Range[]): Range[] {
  const out: Range[] = []
  let bar = 0
  let reached = -Infinity
  for (const range of ranges) {
    let from = Math.max(range.from + low, reached)
    const to = range.to + high
    reached = Math.max(reached, to)
    while (bar < bars.length && (bars[bar] as Range).to <= from) bar += 1
    for (let k = bar; from <= to && k < bars.length; k++) {
      const { from: barFrom, to: barTo } = bars[k] as Range
      if (barFrom >= to) break
      if (barFrom >= from) out.push({ from, to: barFrom })
      from = barTo
    }
    if (from <= to) out.push({ from, to })
  }
  return out
}

/** The place nearest to the wanted one, in the ranges and between two limits; null when there is none. */
function nearestIn(ranges: readonly Range[], low: number, high: number, wanted: number): number | null {
  let best: number | null = null
  for (const range of ranges) {
    const from = Math.max(range.from, low)
    const to = Math.min(range.to, high)
    if (to < from) continue
    const at = Math.min(Math.max(wanted, from), to)
    if (best === null || Math.abs(at - wanted) < Math.abs(best - wanted)) best = at
  }
  return best
}

/** Strips whose bays lie between `least` and `most`, all clear of what is barred; null when there are none. */
function placeWithin(
  span: number,
  width: number,
  strips: number,
  ends: Ends,
  least: number,
  most: number,
  bars: readonly Range[],
): number[] | null {
  const [leftPart, rightPart] = END_PARTS[ends]
  const gap = (span - strips * width) / gapCount(strips, ends)
  // from the right end back: where each strip may stand so that the rest still fits
  const last = span - width
  let allowed = freed([{ from: last, to: last }], -rightPart * most, -rightPart * least, bars)
  const byStrip = [allowed]
  for (let i = strips - 2; i >= 0; i--) {
    if (allowed.length === 0) return null
    allowed = freed(allowed, -width - most, -width - least, bars)
    byStrip.push(allowed)
  }
  const lefts: number[] = []
  let low = leftPart * least
  let high = leftPart * most
  for (let i = 0; i < strips; i++) {
    const at = nearestIn(byStrip[strips - 1 - i] ?? [], low, high, (leftPart + i) * gap + i * width)
    if (at === null) return null
    lefts.push(at)
    low = at + width + least
    high = at + width + most
  }
  return lefts
}

/**
 * Strips that step aside from what is barred, with bays that differ by as little as will do, at most `differ`, to the
 * tick. For a difference every least bay is tried, tick by tick, and what does for one difference does for a
 * larger one: so null means that there is none. From the span's left.
 */
export function unevenBays(
  span: number,
  width: number,
  strips: number,
  ends: Ends,
  differ: number,
  barred: readonly Range[],
  tick: number,
): number[] | null {
  const gap = (span - strips * width) / gapCount(strips, ends)
  const bars = joined(barred)
  const within = (ticks: number): number[] | null => {
    for (let below = 0; below <= ticks; below++) {
      const least = Math.max(0, gap - below * tick)
      const found = placeWithin(span, width, strips, ends, least, least + ticks * tick, bars)
      if (found) return found
    }
    return null
  }
  let most = Math.floor(differ / tick)
  let found = most < 1 ? null : within(most)
  if (!found) return null
  let least = 1
  while (least < most) {
    const middle = Math.floor((least + most) / 2)
    const better = within(middle)
    if (better) {
      found = better
      most = middle
    } else least = middle + 1
  }
  return found
}
