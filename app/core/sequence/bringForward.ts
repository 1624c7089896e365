import type { Work } from '~/model'
import { orderOfWork } from './orderOfWork'
import { planWork } from './planWork'
import type { RoomOfWork } from './roomMaker'
import type { WorkState } from './workState'

/** What would bring the end forward. */
export const FORWARD_WAYS = [
  'paintAhead',
  'secondPerson',
  'quickFiller',
  'saturday',
  'hourMore',
  'sprayer',
] as const
export type ForwardWay = (typeof FORWARD_WAYS)[number]

/** Filler that sets quickly waits so many hours: common practice, no source; the label rules. */
const QUICK_FILLER = 1
const SATURDAY = { from: 540, to: 1_020 }
const MIDNIGHT = 1_440

/** The work as it would be then; null where it is so already. */
export function withWay(work: Work, way: ForwardWay): Work | null {
  const { days } = work
  switch (way) {
    case 'paintAhead':
      return work.paintSchool === 'allAhead' || work.trim === 'stained'
        ? null
        : { ...work, paintSchool: 'allAhead' }
    case 'secondPerson':
      return work.people > 1 ? null : { ...work, people: 2 }
    case 'quickFiller':
      return work.waits.filler <= QUICK_FILLER
        ? null
        : { ...work, waits: { ...work.waits, filler: QUICK_FILLER } }
    case 'saturday':
      return days.week[5]
        ? null
        : { ...work, days: { ...days, week: days.week.map((hours, i) => (i === 5 ? SATURDAY : hours)) } }
    case 'hourMore':
      return days.week.some((hours) => hours && hours.to + 60 > MIDNIGHT)
        ? null
        : {
            ...work,
            days: { ...days, week: days.week.map((hours) => hours && { ...hours, to: hours.to + 60 }) },
          }
    case 'sprayer':
      return work.paintWith === 'sprayer' ? null : { ...work, paintWith: 'sprayer' }
  }
}

/** A way with the end it leads to. */
export interface Forward {
  readonly way: ForwardWay
  readonly end: number
  readonly sooner: number
}

/** The ways that bring the end forward, the most first: each is planned whole, so that its end is the one that comes. */
export function bringForward(
  rooms: readonly RoomOfWork[],
  work: Work,
  state: WorkState,
  now: number,
  end: number,
  over: () => boolean = () => false,
): Forward[] {
  return FORWARD_WAYS.flatMap((way): Forward[] => {
    const then = withWay(work, way)
    if (!then) return []
    const plan = planWork(orderOfWork(rooms, then), then, state, now, over)
    return plan.end !== null && plan.end < end ? [{ way, end: plan.end, sooner: end - plan.end }] : []
  }).sort((a, b) => b.sooner - a.sooner)
}
