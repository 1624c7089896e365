import { computePlan, type Plan } from '~/core/computePlan'
import { stripNames } from '~/core/layout/stripNames'
import { thingNames, type Wording } from '~/messages'
import type { Workpiece } from '~/model'

const plans = new WeakMap<Workpiece, Plan>()
const wordings = new WeakMap<Workpiece, Wording>()

/** The plan of a wall, computed once however many show it. */
export function planOf(workpiece: Workpiece): Plan {
  const known = plans.get(workpiece)
  if (known) return known
  const plan = computePlan(workpiece)
  plans.set(workpiece, plan)
  return plan
}

/** How a job's lengths and materials and a wall's strips are said; the same for the same wall. */
export function wordingOf(workpiece: Workpiece): Wording {
  const known = wordings.get(workpiece)
  if (known) return known
  const { units, tape, materials, currency } = workpiece.settings
  const strips = stripNames(planOf(workpiece).layout)
  const things = thingNames(workpiece.wall.survey.things)
  const wording: Wording = { format: { units, tape }, materials, currency, strips, things }
  wordings.set(workpiece, wording)
  return wording
}
