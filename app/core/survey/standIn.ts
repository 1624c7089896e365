import { inches, type Length, millimeters, nearestNanometer } from '~/length'
import type { StudEdge } from './studEstimate'

/** Numbers from 0 up to, not including, 1; the caller brings the chance. */
export type Chance = () => number

/** A normally spread number of mean 0 and deviation 1 (Box and Muller). */
function normal(chance: Chance): number {
  return Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance())
}

/** Two standard deviations of the stand-in laser: 1.5 mm, a figure made up for the stand-in. */
const LASER_SPREAD = millimeters(0.75)
/** The same of the stand-in finder's edges: 1/4 in, made up. */
const FINDER_SPREAD = inches(1 / 8)
/** How often the stand-in finder misses a stud, made up. */
const MISSES = 0.06

/** What the stand-in laser reads of a true distance, to the tenth of a millimeter it shows. */
export function laserReading(truth: Length, chance: Chance): Length {
  const shown = millimeters(0.1)
  return nearestNanometer(Math.round((truth + normal(chance) * LASER_SPREAD) / shown) * shown)
}

/** The edges the stand-in finder calls out in one sweep over true studs. */
export function finderSweep(studs: readonly Length[], chance: Chance): StudEdge[] {
  const half = inches(0.75)
  return studs.flatMap((center): StudEdge[] => {
    if (chance() < MISSES) return []
    const edge = (side: number) => nearestNanometer(center + side * half + normal(chance) * FINDER_SPREAD)
    return [
      { at: edge(-1), edge: 'begins' },
      { at: edge(1), edge: 'ends' },
    ]
  })
}
