import type { Layout } from '../layout/layout'
import { leanedTo } from '../layout/lean'
import { unevenAt, unevennesses } from '../survey/flatness'
import { baseAt } from '../survey/wallLines'

const STEPS = 24
/** Places nearer to each other than this are one to the eye of a straightedge. */
const ONE_PLACE = 1_000_000 // 1 mm

/**
 * How much of the wall's worst hollow or belly an upright lies over, by its middle on the base line: 1 over the worst of it, 0
 * beside all of them. Null where nothing was read.
 */
export function overHollows(layout: Layout): ((middle: number) => number) | null {
  const all = unevennesses(layout.survey.flatness)
  const worst = Math.max(0, ...all.map(({ reading }) => reading.gap))
  if (worst === 0) return null
  const known = new Map<number, number>()
  return (middle) => {
    const key = Math.round(middle / ONE_PLACE)
    const found = known.get(key)
    if (found !== undefined) return found
    const base = baseAt(layout.lines, middle)
    const [low, high] = [base + layout.uprightFoot, base + layout.uprightHead]
    let most = 0
    for (let i = 0; i <= STEPS; i++) {
      const y = low + ((high - low) * i) / STEPS
      const point = { x: leanedTo(layout, middle, y), y }
      most = Math.max(most, unevenAt(all, 'hollow', point), unevenAt(all, 'belly', point))
    }
    known.set(key, most / worst)
    return most / worst
  }
}
