import { boundsOf } from '../geometry'
import { isLeaning, sway } from '../layout/lean'
import type { Layout } from '../layout/layout'
import type { Design } from '~/model'

/** Where the left edge of a strip may not be: an open interval along the wall, and what stands there. */
export interface Barred {
  readonly thingId: string
  readonly plate: boolean
  readonly from: number
  readonly to: number
}

/** Places on the base line where a strip's left edge makes it lie over a line up the wall, at any of these heights. */
function overLine(
  layout: Layout,
  x: number,
  stripWidth: number,
  heights: { readonly bottom: number; readonly top: number },
): { from: number; to: number } {
  if (!isLeaning(layout.lean)) return { from: x - stripWidth, to: x }
  // by the lean of strips to either side of the line: shared out it differs from one to the next
  const sways = [x - stripWidth, x + stripWidth].map((at) => sway(layout, at, heights))
  return {
    from: x - stripWidth - Math.max(...sways.map(({ right }) => right)),
    to: x - Math.min(...sways.map(({ left }) => left)),
  }
}

/** What is in a strip's way between two absolute heights, seen as places its left edge may not take. */
export function barredFor(
  layout: Layout,
  design: Design,
  stripWidth: number,
  range: { readonly bottom: number; readonly top: number },
): Barred[] {
  const { clearance } = design.judgement
  return layout.obstacles.flatMap((obstacle): Barred[] => {
    if (design.meets[obstacle.id] !== undefined || obstacle.fate === 'cutRound') return []
    const { left, right, bottom, top } = boundsOf(obstacle.outline)
    const room = obstacle.plate ? clearance : 0
    if (top + room <= range.bottom || bottom - room >= range.top) return []
    const heights = { bottom: Math.max(bottom, range.bottom), top: Math.min(top, range.top) }
    const [low, high] = [left, right].map((x) => overLine(layout, x, stripWidth, heights))
    if (!low || !high) return []
    const bar = (from: number, to: number): Barred => ({
      thingId: obstacle.id,
      plate: obstacle.plate,
      from,
      to,
    })
    if (obstacle.plate) return [bar(low.from - clearance, high.to + clearance)]
    // a strip ends at what covers it from edge to edge; half over it is what looks wrong
    if (right - left < stripWidth) return [bar(low.from, high.to)]
    return [bar(low.from, low.to), bar(high.from, high.to)]
  })
}

/** What strips at these left edges meet: each thing once a strip. */
export function hitsOf(
  lefts: readonly number[],
  barred: readonly Barred[],
): { plates: number; things: number } {
  let plates = 0
  let things = 0
  for (const bar of barred)
    for (const left of lefts)
      if (left > bar.from && left < bar.to) {
        if (bar.plate) plates += 1
        else things += 1
      }
  return { plates, things }
}

/** The ids of what strips at these left edges meet. */
export function thingsHit(lefts: readonly number[], barred: readonly Barred[]): string[] {
  const hit = barred.filter(({ from, to }) => lefts.some((left) => left > from && left < to))
  return [...new Set(hit.map(({ thingId }) => thingId))]
}

/** The least space between any strip and any plate; null without plates. The asked clearance is not counted. */
export function leastClearance(
  lefts: readonly number[],
  barred: readonly Barred[],
  clearance: number,
): number | null {
  let least = Infinity
  for (const { from, to, plate } of barred)
    if (plate)
      for (const left of lefts)
        least = Math.min(least, Math.max(from + clearance - left, left - (to - clearance)))
  return Number.isFinite(least) ? least : null
}
