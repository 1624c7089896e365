import { USUAL_RATES, type Workpiece } from '~/model'
import type { Plan } from '../computePlan'
import { profileAt } from '../survey/profile'
import { minutesOf } from '../takeoff/minutes'
import type { WallFacts } from '../takeoff/wallFacts'

/** What can go wrong with a layout on this wall, and how much of it there is. */
export type Risk =
  | { readonly kind: 'wrong' | 'watch' | 'inPlace' | 'cables'; readonly count: number }
  | { readonly kind: 'textured' | 'rented' }
  | { readonly kind: 'floor' | 'lean'; readonly by: number }

/** What a layout needs, as far as the rates know: hours by kind of work, days for one person, and what is risky in it. */
export interface WeighUp {
  readonly minutes: {
    readonly prepare: number
    readonly mark: number
    readonly cut: number
    readonly fit: number
    readonly fill: number
    readonly caulk: number
    readonly paint: number
  }
  readonly hours: number
  readonly days: number
  /** Where trim meets the wall and what stands on it, in nanometers. */
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

/** What the work of a plan comes to, by the crew's rates. */
export function weighUp(workpiece: Workpiece, plan: Plan, facts: WallFacts): WeighUp {
  const { work } = workpiece.settings
  const of = minutesOf(facts, work)
  const minutes = {
    prepare: of.remove + of.fillOld + of.skim + of.sandWall + of.panels + of.prepare,
    mark: of.mark,
    cut: of.cut,
    fit: of.fit + of.trimBack,
    fill: of.fill + of.sandFill,
    caulk: of.caulk,
    paint:
      of.trimCoat * work.coats.trim +
      of.fieldCoat * work.coats.field +
      of.aboveCoat * work.coats.above +
      of.paper +
      of.plates,
  }
  const hours = Object.values(minutes).reduce((sum, each) => sum + each, 0) / 60
  return {
    minutes,
    hours,
    // with no hours a day said the usual ones count
    days: Math.ceil(hours / (work.rates.day > 0 ? work.rates.day : USUAL_RATES.day)),
    seam: Object.values(facts.seams).reduce((sum, each) => sum + each, 0),
    risks: risksOf(workpiece, plan, facts.inPlace),
  }
}
