import { CalendarDate, parseDate } from '@internationalized/date'

/** Days since 1970-01-01, in the calendar of the wall: no zones, no clock. */
const FIRST = new CalendarDate(1970, 1, 1)
export const DAY = 1_440

/** The number of a day such as 2026-11-26; null where there is no such day. */
export function dayNumber(day: string): number | null {
  try {
    return julian(parseDate(day)) - julian(FIRST)
  } catch {
    return null
  }
}

function julian(date: CalendarDate): number {
  return date.calendar.toJulianDay(date)
}

/** The day of a number, as 2026-11-26. */
export function dayOf(number: number): string {
  return FIRST.add({ days: number }).toString()
}

/** Monday 0 to Sunday 6. 1970-01-01 was a Thursday. */
export function weekdayOf(number: number): number {
  return (((number + 3) % 7) + 7) % 7
}

/** Minutes since the first day, of a minute such as 2026-11-26T19:40; null where there is none. */
export function minuteOf(at: string): number | null {
  const day = dayNumber(at.slice(0, 10))
  const [hour, minute] = at.slice(11).split(':').map(Number)
  return day === null || hour === undefined || minute === undefined || Number.isNaN(hour + minute)
    ? null
    : day * DAY + hour * 60 + minute
}

/** A minute as 2026-11-26T19:40. */
export function atMinute(minute: number): string {
  const day = Math.floor(minute / DAY)
  const of = minute - day * DAY
  const two = (n: number) => String(Math.floor(n)).padStart(2, '0')
  return `${dayOf(day)}T${two(of / 60)}:${two(of % 60)}`
}
