import type { Work } from '~/model'
import { DAY, dayNumber, weekdayOf } from './dates'

/** Hours in which somebody works: minutes since the first day. */
export interface Hours {
  readonly from: number
  readonly to: number
}

export interface WorkHours {
  /** All hours, and those in which noise may be made; in order, none overlapping. */
  readonly all: readonly Hours[]
  readonly loud: readonly Hours[]
}

/** What is wrong with the days that were said. */
export type DayIssue =
  /** A day whose work ends before it begins, or at once; Monday 0. */
  | { readonly kind: 'noHours'; readonly weekday: number }
  /** Nobody works on any day. */
  | { readonly kind: 'noDays' }
  | { readonly kind: 'endBeforeStart'; readonly start: string; readonly end: string }
  | { readonly kind: 'noSuchDay'; readonly day: string }

/** What is wrong with them; where no first day was said work begins today. */
export function dayIssues({ days }: Pick<Work, 'days'>, today: string): DayIssue[] {
  const { week, wishedEnd, off } = days
  const start = days.start ?? today
  const empty = week.flatMap((hours, weekday): DayIssue[] =>
    hours && hours.to <= hours.from ? [{ kind: 'noHours', weekday }] : [],
  )
  const isNone = week.every((hours) => !hours || hours.to <= hours.from)
  const wrong = [start, wishedEnd, ...off].flatMap((day): DayIssue[] =>
    day !== null && dayNumber(day) === null ? [{ kind: 'noSuchDay', day }] : [],
  )
  return [
    ...wrong,
    ...empty,
    ...(isNone ? [{ kind: 'noDays' } as const] : []),
    ...(wishedEnd !== null && wishedEnd < start
      ? [{ kind: 'endBeforeStart', start, end: wishedEnd } as const]
      : []),
  ]
}

/** The hours of so many days from a minute on. Days off and days without hours have none. */
export function workHours({ week, off, quietFrom }: Work['days'], from: number, days: number): WorkHours {
  const free = new Set(off.map(dayNumber))
  const first = Math.floor(from / DAY)
  const all: Hours[] = []
  for (let day = first; day < first + days; day++) {
    const hours = week[weekdayOf(day)]
    if (!hours || free.has(day) || hours.to <= hours.from) continue
    const begin = Math.max(from, day * DAY + hours.from)
    if (day * DAY + hours.to > begin) all.push({ from: begin, to: day * DAY + hours.to })
  }
  const loud = all.flatMap((hours) => {
    const quiet = Math.floor(hours.from / DAY) * DAY + quietFrom
    const to = Math.min(hours.to, quiet)
    return to > hours.from ? [{ from: hours.from, to }] : []
  })
  return { all, loud }
}
