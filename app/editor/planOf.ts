import { computePlan, type Plan } from '~/core/computePlan'
import type { Wording } from '~/messages'
import type { Settings, Workpiece } from '~/model'

const plans = new WeakMap<Workpiece, Plan>()
const wordings = new WeakMap<Settings, Wording>()

/** The plan of a wall, computed once however many show it. */
export function planOf(workpiece: Workpiece): Plan {
  const known = plans.get(workpiece)
  if (known) return known
  const plan = computePlan(workpiece)
  plans.set(workpiece, plan)
  return plan
}

/** How a job's lengths and materials are said; the same for the same settings. */
export function wordingOf(settings: Settings): Wording {
  const known = wordings.get(settings)
  if (known) return known
  const { units, tape, materials, currency } = settings
  const wording: Wording = { format: { units, tape }, materials, currency }
  wordings.set(settings, wording)
  return wording
}
