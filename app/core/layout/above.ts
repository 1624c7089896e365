import type { Plan } from '../computePlan'
import type { Polygon } from '../geometry'
import { bendsWithin, profileAt } from '../survey/profile'
import { onLine } from '../survey/wallLines'

/** Less than an inch over the trim is no wall to be painted by itself. Common practice, no source. */
const ABOVE_LEAST = 25_400_000

/** The wall above what a layout covers, up to the ceiling; null where a layout goes all the way up. */
export function aboveOutline({ layout }: Pick<Plan, 'layout'>): Polygon | null {
  const { lines, shape } = layout
  const lift = Math.min(layout.top, lines.headLine)
  if (layout.right <= layout.left) return null
  const covered = lines.courses.filter((course) => course.right > layout.left && course.left < layout.right)
  const low = covered.flatMap(({ line, left, right }) =>
    [Math.max(left, layout.left), Math.min(right, layout.right)].map((x) => ({
      x,
      y: onLine(line, x) + lift,
    })),
  )
  const high = bendsWithin(shape.ceiling, layout.left, layout.right)
    .map((x) => ({ x, y: profileAt(shape.ceiling, x) }))
    .reverse()
  if (low.length < 2 || low.some(({ x, y }) => profileAt(shape.ceiling, x) - y < ABOVE_LEAST)) return null
  return [...low, ...high]
}
