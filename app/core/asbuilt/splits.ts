/** Bays that take up a number of ticks between them. */
export interface SplitProblem {
  /** Rails already cut in each bay: what is recut where it changes by more than the tolerance. */
  readonly rails: readonly number[]
  /** Ticks to take up: too much room where positive. */
  readonly ticks: number
  /** A rail off by up to so many ticks counts as fitting. */
  readonly tolerance: number
  /** A bay before the first that stays as it is: its neighbor. */
  readonly neighbor: boolean
}

export type SplitAim = 'fewestRecuts' | 'smallestWorst' | 'smallestStep'

/** What a split comes to, in ticks. */
export interface Split {
  readonly by: readonly number[]
  readonly recuts: number
  readonly worst: number
  readonly step: number
}

/** More than this is not tried whole. */
const MOST_STATES = 200_000

interface Caps {
  readonly recuts: number
  readonly worst: number
  readonly step: number
}

/** The least of one figure under caps on the others, or Infinity; by the sum that is left and what the bay before took. */
function search({ rails, ticks, tolerance, neighbor }: SplitProblem) {
  const all = Math.abs(ticks)
  const bays = rails.length
  const recut = (bay: number, by: number) => (by > tolerance ? (rails[bay] ?? 0) : 0)
  /** The fewest recuts from a bay on; `first` is free where there is no neighbor. */
  function fewest(caps: Caps): (bay: number, left: number, before: number | null) => number {
    const known = new Map<number, number>()
    const free = caps.step >= all
    const from = (bay: number, left: number, before: number | null): number => {
      if (bay === bays) return left === 0 ? 0 : Infinity
      if (left > (bays - bay) * caps.worst) return Infinity
      const key = (bay * (all + 1) + left) * (all + 2) + (free || before === null ? all + 1 : before)
      const found = known.get(key)
      if (found !== undefined) return found
      let least = Infinity
      const low = before === null ? 0 : Math.max(0, before - caps.step)
      const high = Math.min(left, caps.worst, before === null ? all : before + caps.step)
      for (let by = low; by <= high; by++) {
        const rest = from(bay + 1, left - by, by) + recut(bay, by)
        if (rest < least) least = rest
      }
      known.set(key, least)
      return least
    }
    return from
  }
  const start = neighbor ? 0 : null
  const possible = (caps: Caps) => {
    const recuts = fewest(caps)(0, all, start)
    return Number.isFinite(recuts) && recuts <= caps.recuts
  }
  return { all, bays, recut, fewest, start, possible }
}

/** The least cap for which it is possible; `most` always is. */
function least(most: number, possible: (cap: number) => boolean): number {
  let [low, high] = [0, most]
  while (low < high) {
    const middle = Math.floor((low + high) / 2)
    if (possible(middle)) high = middle
    else low = middle + 1
  }
  return low
}

/**
 * How bays best share a number of ticks, by what matters first: fewest rails to recut, the smallest change of any bay, or the smallest step
 * from a bay to its neighbor; then by the others, then with the change as far from the fixed end as can be. Null where it is too much to try.
 */
export function bestSplit(problem: SplitProblem, aim: SplitAim): Split | null {
  const { rails, ticks } = problem
  const bays = rails.length
  const all = Math.abs(ticks)
  if (bays === 0 || all === 0 || bays * (all + 1) * (all + 1) > MOST_STATES) return null
  const { possible, fewest, start, recut } = search(problem)
  const none = { recuts: Infinity, worst: all, step: all }
  const caps: { recuts: number; worst: number; step: number } = { ...none }
  const lower = {
    recuts: () => {
      caps.recuts = fewest({ ...caps, recuts: Infinity })(0, all, start)
    },
    worst: () => {
      caps.worst = least(all, (worst) => possible({ ...caps, worst }))
    },
    step: () => {
      caps.step = least(all, (step) => possible({ ...caps, step }))
    },
  }
  const order = {
    fewestRecuts: ['recuts', 'worst', 'step'],
    smallestWorst: ['worst', 'recuts', 'step'],
    smallestStep: ['step', 'worst', 'recuts'],
  } as const
  for (const figure of order[aim]) lower[figure]()
  if (!Number.isFinite(caps.recuts)) return null
  const of = fewest(caps)
  const by: number[] = []
  let [left, before, spent] = [all, start, 0]
  for (let bay = 0; bay < bays; bay++) {
    const low = before === null ? 0 : Math.max(0, before - caps.step)
    let taken: number | null = null
    for (let each = low; each <= Math.min(left, caps.worst) && taken === null; each++) {
      if (before !== null && each > before + caps.step) break
      if (spent + recut(bay, each) + of(bay + 1, left - each, each) <= caps.recuts) taken = each
    }
    if (taken === null) return null
    by.push(taken)
    spent += recut(bay, taken)
    left -= taken
    before = taken
  }
  return { by: by.map((each) => (ticks < 0 ? 0 - each : each)), ...figures(problem, by) }
}

/** What a split comes to. */
export function figures(
  { rails, tolerance, neighbor }: SplitProblem,
  by: readonly number[],
): Pick<Split, 'recuts' | 'worst' | 'step'> {
  const steps = by.map((each, i) => (i === 0 ? (neighbor ? each : 0) : each - (by[i - 1] ?? 0)))
  return {
    recuts: by.reduce((sum, each, i) => sum + (Math.abs(each) > tolerance ? (rails[i] ?? 0) : 0), 0),
    worst: Math.max(0, ...by.map(Math.abs)),
    step: Math.max(0, ...steps.map(Math.abs)),
  }
}
