import { type Length, nearestNanometer } from '~/length'

/** A strip (a box) along a section: where it is laid out, and where it truly is if it is up or was read. Nanometers from the wall's left end. */
export interface Standing {
  readonly id: string
  readonly left: number
  readonly right: number
  /** Where it is for good; null while it can still be moved. */
  readonly at: { readonly left: number; readonly right: number } | null
  /** How wide it will be, where that is not as laid out. */
  readonly width?: number
}

const widthNow = ({ left, right, width }: Standing) => width ?? right - left

/** A section as it is built so far: its two ends as they are by now, and as they were laid out. */
export interface BuiltRow {
  readonly left: number
  readonly right: number
  readonly plannedLeft: number
  readonly plannedRight: number
  readonly standing: readonly Standing[]
}

/** Ways of taking up what is left over or lacking between what is fixed. */
export const EVENINGS_OUT = ['even', 'firstBay', 'lastBay', 'endBays', 'middleBay'] as const
export type EveningOut = (typeof EVENINGS_OUT)[number]

/** What can still be moved between two fixed things; a gap of nothing at an end of the wall stays nothing. */
export interface Run {
  /** The indices of what moves, from and past the last. */
  readonly from: number
  readonly to: number
  readonly left: number
  readonly right: number
  /** Gaps as they were laid out, from the fixed thing on the left to that on the right. */
  readonly gaps: readonly number[]
  /** Whether each gap takes part: none of nothing at an end. */
  readonly open: readonly boolean[]
  /** What there is more than was laid out; negative where it lacks. */
  readonly by: number
}

const NOTHING = 2

/** What can still move, run by run. A run without anything to move is a bay that takes what comes. */
export function runsOf(row: BuiltRow): Run[] {
  const { standing } = row
  const runs: Run[] = []
  let from = 0
  for (let i = 0; i <= standing.length; i++) {
    const fixed = standing[i]
    if (i < standing.length && fixed?.at === null) continue
    const before = standing[from - 1]
    const left = before?.at?.right ?? row.left
    const right = fixed?.at?.left ?? row.right
    const planned = [
      before?.right ?? row.plannedLeft,
      ...standing.slice(from, i).flatMap((each) => [each.left, each.right]),
      fixed?.left ?? row.plannedRight,
    ]
    const gaps = Array.from(
      { length: i - from + 1 },
      (_, n) => (planned[2 * n + 1] ?? 0) - (planned[2 * n] ?? 0),
    )
    const open = gaps.map((gap, n) => {
      const atEnd = (n === 0 && before === undefined) || (n === gaps.length - 1 && fixed === undefined)
      return !(atEnd && Math.abs(gap) <= NOTHING)
    })
    const taken = standing.slice(from, i).reduce((sum, each) => sum + widthNow(each), 0)
    const by = right - left - taken - gaps.reduce((sum, gap) => sum + gap, 0)
    if (i > from) runs.push({ from, to: i, left, right, gaps, open, by })
    from = i + 1
  }
  return runs
}

/** How much each gap of a run grows, by the way it is taken up; the sum is what there is more. Exact, may be fractions of a nanometer. */
export function shares({ gaps, open, by }: Run, how: EveningOut): number[] {
  const taking = gaps.flatMap((_, i) => (open[i] ? [i] : []))
  const [first, last] = [taking[0], taking.at(-1)]
  const grow = (share: (gap: number) => number) => gaps.map((_, i) => share(i))
  if (first === undefined || last === undefined) return grow((i) => (i === gaps.length - 1 ? by : 0))
  const middle = taking[Math.floor(taking.length / 2)]
  switch (how) {
    case 'even':
      return grow((i) => (open[i] ? by / taking.length : 0))
    case 'firstBay':
      return grow((i) => (i === first ? by : 0))
    case 'lastBay':
      return grow((i) => (i === last ? by : 0))
    case 'middleBay':
      return grow((i) => (i === middle ? by : 0))
    case 'endBays':
      return grow((i) => (i === first ? by / 2 : 0) + (i === last ? by / 2 : 0))
  }
}

/** Where everything then stands, left to right, to the nanometer: what is fixed where it is, the rest with its gaps grown by `grown`. */
export function placedBy(
  row: BuiltRow,
  grownOf: (run: Run) => readonly number[],
): { readonly id: string; readonly left: Length; readonly right: Length }[] {
  const runs = runsOf(row)
  const places = row.standing.map(({ id, left, right, at }) => ({
    id,
    left: nearestNanometer(at?.left ?? left),
    right: nearestNanometer(at?.right ?? right),
  }))
  for (const run of runs) {
    const grown = grownOf(run)
    let reached = run.left
    for (let i = run.from; i < run.to; i++) {
      const each = row.standing[i]
      if (!each) continue
      reached += (run.gaps[i - run.from] ?? 0) + (grown[i - run.from] ?? 0)
      const left = nearestNanometer(reached)
      places[i] = { id: each.id, left, right: nearestNanometer(left + widthNow(each)) }
      reached += widthNow(each)
    }
  }
  return places
}

/** Why a row can't be evened out. */
export type EvenIssue =
  /** What is left to go up does not fit into what room there is. */
  | { readonly code: 'noRoom'; readonly needed: Length; readonly room: Length; readonly pieces: number }
  /** It fits, but leaves gaps under the least. */
  | { readonly code: 'gapsTooSmall'; readonly gap: Length; readonly least: Length }
  /** A fixed thing lies over another, or off the wall: the reading can't be. */
  | { readonly code: 'cannotBe'; readonly strip: string }
  /** It lies beyond the end of the wall as that was measured. */
  | { readonly code: 'beyondWall'; readonly strip: string; readonly by: Length }

/** What keeps a row from being evened out, the worst first; null where nothing does. */
export function evenIssue(row: BuiltRow, least: number): EvenIssue | null {
  let reached = row.left
  for (const { id, at } of row.standing) {
    if (!at) continue
    if (at.left < reached - NOTHING || at.right > row.right + NOTHING) {
      // what is between them is asked for first: it says how much is lacking
      const run = runsOf(row).find((each) => each.right < each.left + widthOf(row, each))
      if (run) return noRoom(row, run)
      return at.right > row.right + NOTHING
        ? { code: 'beyondWall', strip: id, by: nearestNanometer(at.right - row.right) }
        : { code: 'cannotBe', strip: id }
    }
    reached = at.right
  }
  for (const run of runsOf(row)) {
    const width = widthOf(row, run)
    const room = run.right - run.left
    if (width > room + NOTHING) return noRoom(row, run)
    const bays = run.open.filter(Boolean).length
    const gap = bays > 0 ? (room - width) / bays : 0
    if (bays > 0 && gap < least)
      return { code: 'gapsTooSmall', gap: nearestNanometer(gap), least: nearestNanometer(least) }
  }
  return null
}

function widthOf(row: BuiltRow, { from, to }: Run): number {
  return row.standing.slice(from, to).reduce((sum, each) => sum + widthNow(each), 0)
}

function noRoom(row: BuiltRow, run: Run): EvenIssue {
  return {
    code: 'noRoom',
    needed: nearestNanometer(widthOf(row, run)),
    room: nearestNanometer(run.right - run.left),
    pieces: run.to - run.from,
  }
}

/** How uneven a row is: its gaps beside those laid out, and beside one another. */
export interface Unevenness {
  /** The largest a gap differs from what was laid out. */
  readonly worst: Length
  /** The largest step from one gap's difference to its neighbor's. */
  readonly step: Length
  /** A step that an eye sees. */
  readonly seen: boolean
}

/** Two gaps beside each other differ visibly from an eighth of an inch, or a hundredth of them on. A rule of ours, no source. */
export const SEEN = { least: 3_175_000, part: 0.01 } as const

/** How uneven places are against what was laid out; the gaps beside what is fixed count like all others. */
export function unevenness(
  row: BuiltRow,
  places: readonly { readonly left: number; readonly right: number }[],
): Unevenness {
  const gapsOf = (of: readonly { left: number; right: number }[], left: number, right: number) =>
    [...of, { left: right, right }].map(
      ({ left: to }, i) => to - (i === 0 ? left : (of[i - 1]?.right ?? left)),
    )
  const now = gapsOf(places, row.left, row.right)
  const then = gapsOf(row.standing, row.plannedLeft, row.plannedRight)
  const by = now.map((gap, i) => gap - (then[i] ?? gap))
  const isBay = then.map(
    (gap, i) =>
      !((i === 0 || i === then.length - 1) && Math.abs(gap) <= NOTHING && Math.abs(by[i] ?? 0) <= NOTHING),
  )
  const bays = by.filter((_, i) => isBay[i])
  const sizes = then.filter((_, i) => isBay[i])
  const steps = bays.slice(1).map((each, i) => Math.abs(each - (bays[i] ?? each)))
  const step = Math.max(0, ...steps)
  const typical = sizes.length > 0 ? sizes.reduce((sum, each) => sum + each, 0) / sizes.length : 0
  return {
    worst: nearestNanometer(Math.max(0, ...bays.map(Math.abs))),
    step: nearestNanometer(step),
    seen: step >= Math.max(SEEN.least, typical * SEEN.part),
  }
}
