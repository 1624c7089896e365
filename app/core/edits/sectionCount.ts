import { ZERO } from '~/length'
import type { Design } from '~/model'
import { rulesOf } from '../patterns/rules'

/**
 * Gives a section its count of strips, or of boxes: the wall's own count where it is one section, else the section's
 * own entry. A shift is taken back, since it was chosen for another count.
 */
export function withCount(design: Design, sectionId: string, count: number): Partial<Design> {
  if (sectionId !== 'all')
    return {
      sectionOwn: { ...design.sectionOwn, [sectionId]: { strips: count, shift: ZERO } },
    }
  return rulesOf(design).withCount(design, count)
}

/** Some count was picked by hand, so that the wish no longer decides it. */
export function isPicked(design: Design): boolean {
  const spacing = rulesOf(design).spacing(design)
  const own = spacing.school === 'nearWish' && spacing.strips !== null
  return own || Object.keys(design.sectionOwn).length > 0
}

/** All counts left to the wish again. */
export function unpicked(design: Design): Partial<Design> {
  return { sectionOwn: {}, ...rulesOf(design).withoutCount(design) }
}
