const day = new Intl.DateTimeFormat('en-US', {
  weekday: 'short',
  month: 'short',
  day: 'numeric',
  year: 'numeric',
  timeZone: 'UTC',
})

/** A day by the clock of whoever prints: Fri, Nov 27, 2026. `clock` in minutes off UTC, as the printer's own. */
export function dayOfTime(time: number, clock: number): string {
  return day.format(new Date(time + clock * 60_000))
}
