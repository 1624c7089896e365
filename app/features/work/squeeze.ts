import { DAY } from '~/core/sequence/dates'

/** A stretch of a task on the chart: at work, or waiting for something to dry. */
export interface ChartRow {
  readonly name: string
  readonly work: readonly (readonly [number, number])[]
  readonly dry: readonly [number, number] | null
  readonly tight: boolean
}

/** Time as the chart draws it: hours of work in full, what lies between them drawn together. */
export interface Squeezed {
  /** Where a minute lies on the chart. */
  readonly at: (minute: number) => number
  readonly to: number
  /** The days somebody works on, by where they begin. */
  readonly days: readonly { readonly at: number; readonly minute: number }[]
}

/** An hour in which nobody works takes this part of one in which somebody does. */
const IDLE = 1 / 9

/** Draws the time between stretches of work together, so that evenings can be seen beside nights. */
export function squeeze(rows: readonly ChartRow[]): Squeezed {
  const busy: { from: number; to: number }[] = []
  for (const [from, to] of rows.flatMap(({ work }) => work).sort((a, b) => a[0] - b[0])) {
    const last = busy.at(-1)
    // short breaks of a day stay as they are
    if (last && from - last.to < 60) last.to = Math.max(last.to, to)
    else busy.push({ from, to })
  }
  const bends: { minute: number; at: number }[] = []
  let at = 0
  for (const { from, to } of busy) {
    const before = bends.at(-1)
    if (before) at += (from - before.minute) * IDLE
    bends.push({ minute: from, at })
    at += to - from
    bends.push({ minute: to, at })
  }
  const place = (minute: number): number => {
    const [first, last] = [bends[0], bends.at(-1)]
    if (!first || !last) return 0
    if (minute <= first.minute) return first.at - (first.minute - minute) * IDLE
    if (minute >= last.minute) return last.at + (minute - last.minute) * IDLE
    const next = bends.findIndex((bend) => bend.minute >= minute)
    const [a, b] = [bends[next - 1] ?? first, bends[next] ?? last]
    const part = b.minute === a.minute ? 0 : (minute - a.minute) / (b.minute - a.minute)
    return a.at + (b.at - a.at) * part
  }
  const days = new Map<number, number>()
  for (const { from } of busy) if (!days.has(Math.floor(from / DAY))) days.set(Math.floor(from / DAY), from)
  const ends = rows.flatMap(({ work, dry }) => [...work.map(([, to]) => to), ...(dry ? [dry[1]] : [])])
  return {
    at: place,
    to: Math.max(1, ...ends.map(place)),
    days: [...days.values()].map((minute) => ({ at: place(minute), minute })),
  }
}
