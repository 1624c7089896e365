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
