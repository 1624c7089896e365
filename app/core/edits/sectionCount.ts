import { nearestNanometer } from '~/length'
import type { Design, Spacing } from '~/model'

/** The spacing with a count of its own: schools that take no count become equal gaps by count. */
function counted(spacing: Spacing, strips: number): Spacing {
  if (spacing.school === 'nearWish' || spacing.school === 'equalByCount') return { ...spacing, strips }
  return { school: 'equalByCount', strips, ends: 'gap' }
}

/**
 * Gives a section its count of strips, or of boxes: the wall's own count where it is one section, else the section's
 * own entry. A shift is taken back, since it was chosen for another count.
 */
export function withCount(design: Design, sectionId: string, count: number): Partial<Design> {
  const still = nearestNanometer(0)
  if (sectionId !== 'all')
    return {
      sectionOwn: { ...design.sectionOwn, [sectionId]: { strips: count, shift: still } },
    }
  return design.pattern === 'boxes'
    ? { boxes: { ...design.boxes, count } }
    : { spacing: counted(design.spacing, count), shift: still }
}
