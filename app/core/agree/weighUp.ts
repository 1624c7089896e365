import { NM_PER_FOOT } from '~/length'
import type { Workpiece } from '~/model'
import type { Plan } from '../computePlan'
import { baseAt } from '../survey/wallLines'
import { profileAt } from '../survey/profile'

/**
 * Minutes that work takes. Sanding, painting and caulking: common practice, no source. Marking, cutting and fitting:
 * a guess of ours to begin with, no source; rates of one's own take their place once there are any.
 */
export const USUAL_RATES = {
  markOne: 1,
  cutOne: 2,
  setUp: 3,
  fitOne: 6,
  sandBoard: 6,
  coatBoard: 5,
  coats: 2,
  /** Feet of seam an hour. */
  caulkFeet: 180,
  /** Filling and sanding a wall that is covered from foot to head. */
  fillWall: 240,
  /** Hours a person works in a day. */
  day: 8,
} as const
export type Rates = { readonly [K in keyof typeof USUAL_RATES]: number }

/** What can go wrong with a layout on this wall, and how much of it there is. */
export type Risk =
  | { readonly kind: 'wrong' | 'watch' | 'inPlace' | 'cables'; readonly count: number }
  | { readonly kind: 'textured' | 'rented' }
  | { readonly kind: 'floor' | 'lean'; readonly by: number }

/** What a layout needs, as far as the rates know: hours by kind of work, days for one person, and what is risky in it. */
export interface WeighUp {
  readonly minutes: {
    readonly mark: number
    readonly cut: number
    readonly fit: number
    readonly fill: number
    readonly caulk: number
    readonly paint: number
  }
  readonly hours: number
  readonly days: number
  /** Trim's two long edges and its ends, in nanometers: where it meets the wall. */
  readonly seam: number
  readonly risks: readonly Risk[]
}

/** The falls of a floor that are worth a word: a quarter inch. Common practice, no source. */
const FALL = 6_350_000

function floorFall({ layout }: Plan): number {
  const { floor } = layout.shape
  const at = [layout.left, (layout.left + layout.right) / 2, layout.right].map((x) => profileAt(floor, x))
  return Math.max(...at) - Math.min(...at)
}

function risksOf({ wall: { survey } }: Workpiece, plan: Plan, inPlace: number): Risk[] {
  const of = (wanted: 'wrong' | 'watch') => plan.findings.filter(({ severity }) => severity === wanted).length
  const fall = floorFall(plan)
  const counted: Risk[] = (
    [
      ['wrong', of('wrong')],
      ['watch', of('watch')],
      ['inPlace', inPlace],
      ['cables', survey.behind.keepOuts.length],
    ] as const
  ).flatMap(([kind, count]) => (count > 0 ? [{ kind, count }] : []))
  return [
    ...counted,
    ...(survey.walkRound.texture === 'textured' ? [{ kind: 'textured' } as const] : []),
    ...(survey.walkRound.holder === 'renter' ? [{ kind: 'rented' } as const] : []),
    ...(fall > FALL ? [{ kind: 'floor', by: fall } as const] : []),
  ]
}

/** How much of the wall's height is covered. */
function coveredPart({ layout }: Plan): number {
  const x = (layout.left + layout.right) / 2
  const [foot, head] = [baseAt(layout.lines, x), profileAt(layout.shape.ceiling, x)]
  return head > foot ? Math.min(1, Math.max(0, layout.top / (head - foot))) : 0
}

/** What the work of a plan comes to. `boards` and `setUps` of its board plan and its cut list, `inPlace` pieces measured in place. */
export function weighUp(
  workpiece: Workpiece,
  plan: Plan,
  { boards, setUps, inPlace }: { readonly boards: number; readonly setUps: number; readonly inPlace: number },
  rates: Rates = USUAL_RATES,
): WeighUp {
  const pieces = plan.pieces.length
  const seam = plan.pieces.reduce((sum, { longLength, faceWidth }) => sum + 2 * longLength + 2 * faceWidth, 0)
  const minutes = {
    mark: plan.layout.strips.length * rates.markOne,
    cut: pieces * rates.cutOne + setUps * rates.setUp,
    fit: pieces * rates.fitOne,
    fill: pieces === 0 ? 0 : rates.fillWall * coveredPart(plan),
    caulk: (seam / NM_PER_FOOT / rates.caulkFeet) * 60,
    paint: boards * (rates.sandBoard + rates.coats * rates.coatBoard),
  }
  const hours = Object.values(minutes).reduce((sum, each) => sum + each, 0) / 60
  return {
    minutes,
    hours,
    days: Math.ceil(hours / rates.day),
    seam,
    risks: risksOf(workpiece, plan, inPlace),
  }
}
