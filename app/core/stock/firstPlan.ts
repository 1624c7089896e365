import type { CuttingProblem } from './cuttingProblem'
import { compareMixes, weighMix } from './nextMix'
import { type CutPattern, usedRoom } from './patternPool'

/** How many boards of each kind a set of patterns takes. */
export function mixOf(problem: CuttingProblem, patterns: readonly CutPattern[]): number[] {
  const mix = problem.rooms.map(() => 0)
  for (const { room } of patterns) mix[room] = (mix[room] ?? 0) + 1
  return mix
}

/** The lighter of two plans; the first where they weigh the same or there is no second. */
export function lighter(
  problem: CuttingProblem,
  a: readonly CutPattern[] | null,
  b: readonly CutPattern[] | null,
): readonly CutPattern[] | null {
  if (!a || !b) return a ?? b
  const weigh = (plan: readonly CutPattern[]) => weighMix(problem, mixOf(problem, plan))
  return compareMixes(weigh(b), weigh(a)) < 0 ? b : a
}

/** Swaps each board for the cheapest there still is that holds its pieces; those that hold the most choose first. */
export function shrink(problem: CuttingProblem, patterns: readonly CutPattern[]): CutPattern[] {
  const left = [...problem.limits]
  return patterns
    .map(({ counts }) => ({ counts, needs: usedRoom(problem, counts) }))
    .filter(({ needs }) => needs > 0)
    .sort((a, b) => b.needs - a.needs)
    .flatMap(({ counts, needs }) => {
      const kind = problem.rooms
        .map((size, k) => ({ k, size, price: problem.prices[k] ?? 0 }))
        .filter(({ k, size }) => size >= needs && (left[k] ?? 0) > 0)
        .sort((a, b) => a.price - b.price || a.size - b.size)[0]
      if (!kind) return []
      left[kind.k] = (left[kind.k] ?? 0) - 1
      return [{ room: kind.k, counts }]
    })
}

/** Which board is opened for a piece that fits none that is open: the kind, or -1 where none is left that holds it. */
type Opening = (size: number, left: readonly number[], demand: number) => number

/** The kind of least `by` among those that hold a piece. */
function leastBy(
  problem: CuttingProblem,
  kinds: readonly number[],
  by: (kind: number, size: number, demand: number) => number,
): Opening {
  return (size, left, demand) => {
    let best = -1
    let least = Infinity
    for (const k of kinds) {
      if ((problem.rooms[k] ?? 0) < size || !((left[k] ?? 0) > 0)) continue
      const value = by(k, size, demand)
      if (value < least) [best, least] = [k, value]
    }
    return best
  }
}

/** Longest piece first, into the first or the fullest open board that takes it, else into a new one; null when boards run out. */
export function fitDecreasing(
  problem: CuttingProblem,
  fit: 'first' | 'best',
  open: Opening,
  demands: readonly number[] = problem.demands,
  limits: readonly number[] = problem.limits,
): CutPattern[] | null {
  const boards: { room: number; free: number; counts: number[] }[] = []
  const left = [...limits]
  for (const [i, size] of problem.sizes.entries()) {
    let rest = demands[i] ?? 0
    if (rest === 0) continue
    const order = fit === 'first' ? boards : [...boards].sort((a, b) => a.free - b.free)
    // a board that takes one piece takes the next of the same length too: it is still first, and fuller
    const fill = (board: (typeof boards)[number]) => {
      const n = Math.min(rest, Math.floor(board.free / size))
      board.free -= n * size
      board.counts[i] = (board.counts[i] ?? 0) + n
      rest -= n
    }
    for (const board of order) {
      if (rest === 0) break
      fill(board)
    }
    while (rest > 0) {
      const room = open(size, left, rest)
      if (room < 0) return null
      left[room] = (left[room] ?? 0) - 1
      const board = { room, free: problem.rooms[room] ?? 0, counts: problem.sizes.map(() => 0) }
      boards.push(board)
      fill(board)
    }
  }
  return boards.map(({ room, counts }) => ({ room, counts }))
}

/** First-fit decreasing on one kind of board. Null when a piece does not fit it, or there are too few. */
export function firstFitDecreasing(problem: CuttingProblem, room: number): CutPattern[] | null {
  return fitDecreasing(
    problem,
    'first',
    leastBy(problem, [room], () => 0),
  )
}

/** Sets of kinds a rule of thumb may be held to: every one where there are few, else each alone and all. */
function kindSets({ rooms }: CuttingProblem, thorough: boolean): number[][] {
  const all = [...rooms.keys()]
  if (!thorough || all.length > 5) return [all, ...all.map((k) => [k])]
  return Array.from({ length: 2 ** all.length - 1 }, (_, bits) => all.filter((k) => ((bits + 1) >> k) & 1))
}

/** Ways to choose the next board: cheapest, cheapest by length, cheapest by piece of the run, shortest, longest. */
function openings(problem: CuttingProblem, kinds: readonly number[]): Opening[] {
  const price = (k: number) => problem.prices[k] ?? 0
  const room = (k: number) => problem.rooms[k] ?? 0
  const by = (rule: (k: number, size: number, demand: number) => number) => leastBy(problem, kinds, rule)
  return [
    by(price),
    by((k) => price(k) / Math.max(1, room(k))),
    by((k, size, demand) => price(k) / Math.max(1, Math.min(demand, Math.floor(room(k) / size)))),
    by(room),
    by((k) => -room(k)),
  ]
}

/** How hard the rules of thumb are tried: a few for whoever is waiting, or every one. */
export type Effort = 'few' | 'all'
/** Beyond so many pieces times lengths: `few` of them take a moment, `all` of them take seconds. */
const MOST_WORK = { few: 8_000, all: 100_000 } as const

/**
 * The best of the rules of thumb: first- and best-fit decreasing over ways to open boards, each board then swapped
 * for the cheapest that still does. Null where boards are limited and no rule places every piece.
 */
export function firstPlan(
  problem: CuttingProblem,
  effort: Effort = 'few',
  over: () => boolean = () => false,
): readonly CutPattern[] | null {
  const work = problem.sizes.length * problem.demands.reduce((sum, n) => sum + n, 0)
  const all = [...problem.rooms.keys()]
  // of very many one rule has to do for whoever is waiting
  const [, byLength] = openings(problem, all)
  if (effort === 'few' && work > MOST_WORK.all && byLength) {
    const plan = fitDecreasing(problem, 'first', byLength)
    if (plan) return shrink(problem, plan)
  }
  let best: readonly CutPattern[] | null = null
  for (const kinds of kindSets(problem, effort === 'all' && work <= MOST_WORK.all))
    for (const open of kinds.length === 1 ? openings(problem, kinds).slice(0, 1) : openings(problem, kinds))
      for (const fit of work > MOST_WORK.all ? FITS.slice(0, 1) : FITS) {
        if (best && over()) return best
        const plan = fitDecreasing(problem, fit, open)
        if (!plan) continue
        best = lighter(problem, best, plan)
        best = lighter(problem, best, shrink(problem, plan))
      }
  return best
}
const FITS = ['first', 'best'] as const

/** True where trying every rule of thumb takes but a moment. */
export function isSmall({ sizes, demands }: CuttingProblem): boolean {
  return sizes.length * demands.reduce((sum, n) => sum + n, 0) <= MOST_WORK.few
}
