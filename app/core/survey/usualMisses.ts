import { inches, millimeters } from '~/length'
import type { Settings } from '~/model'

/** How far a tape is usually misread, smallest first: the misses that are planned for. Common practice, no source. */
export function usualMisses(units: Settings['units']) {
  return units === 'mm' ? [millimeters(3), millimeters(6)] : [inches(1 / 8), inches(1 / 4)]
}
