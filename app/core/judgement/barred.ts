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

/** What something takes of the base line, for strips that lean: from where to where an edge would come to lie over it. */
function leanedOver(
  layout: Layout,
  { left, right, bottom, top }: ReturnType<typeof boundsOf>,
  range: { readonly bottom: number; readonly top: number },
): { left: number; right: number } {
  if (!isLeaning(layout.lean)) return { left, right }
  const heights = { bottom: Math.max(bottom, range.bottom), top: Math.min(top, range.top) }
  return {
    left: left - sway(layout, left, heights).right,
    right: right - sway(layout, right, heights).left,
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
    const bounds = boundsOf(obstacle.outline)
    const { bottom, top } = bounds
    const room = obstacle.plate ? clearance : 0
    if (top + room <= range.bottom || bottom - room >= range.top) return []
    const { left, right } = leanedOver(layout, bounds, range)
    const bar = (from: number, to: number): Barred => ({
      thingId: obstacle.id,
      plate: obstacle.plate,
      from,
      to,
    })
    if (obstacle.plate) return [bar(left - stripWidth - clearance, right + clearance)]
    // a strip ends at what covers it from edge to edge; half over it is what looks wrong
    if (right - left < stripWidth) return [bar(left - stripWidth, right)]
    return [bar(left - stripWidth, left), bar(right - stripWidth, right)]
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
