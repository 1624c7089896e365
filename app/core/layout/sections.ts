import { type Design, FIXTURES, FURNITURE, HEATS } from '~/model'
import { boundsOf } from '../geometry'
import { isMissing, isOpening, isSloped, type Obstacle } from '../survey/obstacles'
import type { Section } from './layout'

/** Sections narrower than this are no place for trim. Common practice, no source. */
const NARROWEST = 25_400_000 // 1 in

/** Square parts of the wall that are not there; a slope is followed or ended at. */
function isSquarePart({ kind, outline }: Obstacle): boolean {
  return isMissing(kind) && !isSloped(outline)
}

const DIVIDING: readonly Obstacle['kind'][] = ['chimneyBreast', ...HEATS, ...FIXTURES, ...FURNITURE]

/** What divides a row of uprights: openings, missing parts, heat, what is built on the wall, furniture that is kept clear. */
export function dividesUprights(obstacle: Obstacle): boolean {
  return isOpening(obstacle.kind) || DIVIDING.includes(obstacle.kind) || isSquarePart(obstacle)
}

/**
 * What divides a row of boxes: all that ends a strip, since a frame that is ended lacks a side. Neither what strips are cut round,
 * nor a plate over which they run until somebody decides.
 */
export function dividesBoxes(meets: Design['meets']): (obstacle: Obstacle) => boolean {
  return (obstacle) => {
    if (isMissing(obstacle.kind) || obstacle.kind === 'strip') return isSquarePart(obstacle)
    if (meets[obstacle.id] === 'clear') return true
    return !(meets[obstacle.id] === 'notch' || obstacle.fate === 'cutRound' || obstacle.plate)
  }
}

function spanBetween(left: number, right: number): Section {
  return {
    id: 'all',
    from: { kind: 'wall' },
    left,
    right,
    opening: null,
    free: [{ bottom: -Infinity, top: Infinity }],
  }
}

/** The whole span as one section, whatever stands on it. */
export function oneSection(left: number, right: number): Section[] {
  return right > left ? [spanBetween(left, right)] : []
}

/**
 * The span cut at the sides of all that divides it within a range of heights: sections beside each thing, and over and
 * under it. Ids name the opening to the left, so that they outlive a change of another part of the wall.
 */
export function sectionsBeside(
  left: number,
  right: number,
  range: { readonly bottom: number; readonly top: number },
  obstacles: readonly Obstacle[],
  divides: (obstacle: Obstacle) => boolean,
): Section[] {
  const openings = obstacles
    .filter(divides)
    .map((obstacle) => ({ id: obstacle.id, ...boundsOf(obstacle.outline) }))
    .filter((o) => o.top > range.bottom && o.bottom < range.top && o.right > left && o.left < right)
    .sort((a, b) => a.left - b.left)
  if (openings.length === 0) return oneSection(left, right)
  const cuts = [...new Set([left, right, ...openings.flatMap((o) => [o.left, o.right])])]
    .filter((x) => x >= left && x <= right)
    .sort((a, b) => a - b)
  const sections: Section[] = []
  for (const [i, from] of cuts.entries()) {
    const to = cuts[i + 1]
    if (to === undefined || to - from < NARROWEST) continue
    const covering = openings
      .filter((o) => o.left <= from && o.right >= to)
      .sort((a, b) => a.bottom - b.bottom)
    const [first] = covering
    const before = openings.filter((o) => o.right <= from).at(-1)
    const free: { bottom: number; top: number }[] = []
    let reached = -Infinity
    for (const { bottom, top } of covering) {
      if (bottom > reached && bottom > range.bottom) free.push({ bottom: reached, top: bottom })
      reached = Math.max(reached, top)
    }
    if (reached < range.top) free.push({ bottom: reached, top: Infinity })
    sections.push({
      id: first ? `at-${first.id}` : before ? `after-${before.id}` : 'first',
      from: before ? { kind: 'after', thingId: before.id } : { kind: 'corner' },
      left: from,
      right: to,
      opening: first?.id ?? null,
      free,
    })
  }
  return sections
}
