import { compareMixes, weighMix } from './boardMixes'
import type { CuttingProblem } from './cuttingProblem'
import { fillRoom } from './knapsack'
import type { CutPattern } from './packMix'

function used(problem: CuttingProblem, counts: readonly number[]): number {
  return counts.reduce((sum, n, i) => sum + n * (problem.sizes[i] ?? 0), 0)
}

/** Swaps each board for the cheapest on offer that still holds its pieces. */
function shrink(problem: CuttingProblem, patterns: readonly CutPattern[]): CutPattern[] {
  return patterns.map((pattern) => {
    const needs = used(problem, pattern.counts)
    const room = problem.rooms
      .map((size, k) => ({ k, size, price: problem.prices[k] ?? 0 }))
      .filter(({ size }) => size >= needs)
      .sort((a, b) => a.price - b.price || a.size - b.size)[0]
    return room ? { room: room.k, counts: pattern.counts } : pattern
  })
}

/** First-fit decreasing on one board length. Null when a piece does not fit it. */
export function firstFitDecreasing(problem: CuttingProblem, room: number): CutPattern[] | null {
  const size = problem.rooms[room] ?? 0
  const open: { free: number; counts: number[] }[] = []
  for (const [i, piece] of problem.sizes.entries()) {
    if (piece > size) return null
    for (let n = 0; n < (problem.demands[i] ?? 0); n++) {
      let target = open.find(({ free }) => free >= piece)
      if (!target) {
        target = { free: size, counts: problem.sizes.map(() => 0) }
        open.push(target)
      }
      target.free -= piece
      target.counts[i] = (target.counts[i] ?? 0) + 1
    }
  }
  return open.map(({ counts }) => ({ room, counts }))
}

/** A rule of thumb has no need of the very best filling of each board; this keeps a first plan within a moment. */
const NODES_A_BOARD = 2_000

/** Board by board: the board and filling that cost least per length of piece placed, over all offers. */
function cheapestFilling(problem: CuttingProblem, mustTakeLongest: boolean): CutPattern[] {
  const left = [...problem.demands]
  const patterns: CutPattern[] = []
  for (;;) {
    const longest = left.findIndex((n) => n > 0)
    if (longest < 0) return patterns
    const seed = mustTakeLongest ? 1 : 0
    const options = problem.rooms.flatMap((room, k) => {
      const size = problem.sizes[longest] ?? 0
      if (seed === 1 && size > room) return []
      const rest = left.with(longest, (left[longest] ?? 0) - seed)
      const { counts } = fillRoom(problem.sizes, problem.sizes, rest, room - seed * size, NODES_A_BOARD)
      const all = counts.with(longest, (counts[longest] ?? 0) + seed)
      const length = used(problem, all)
      return length > 0 ? [{ room: k, counts: all, rate: (problem.prices[k] ?? 0) / length }] : []
    })
    const best = options.sort((a, b) => a.rate - b.rate)[0]
    if (!best) return patterns
    best.counts.forEach((n, i) => (left[i] = (left[i] ?? 0) - n))
    patterns.push({ room: best.room, counts: best.counts })
  }
}

/** How many boards of each offer a set of patterns takes. */
export function mixOf(problem: CuttingProblem, patterns: readonly CutPattern[]): number[] {
  return problem.rooms.map((_, k) => patterns.filter((pattern) => pattern.room === k).length)
}

/** A good plan in a moment: the best of several simple rules, never worse than first-fit decreasing. */
export function firstPlan(problem: CuttingProblem): CutPattern[] {
  const tries = [
    cheapestFilling(problem, true),
    cheapestFilling(problem, false),
    ...problem.rooms.map((_, k) => firstFitDecreasing(problem, k)).filter((plan) => plan !== null),
  ]
  const all = [...tries, ...tries.map((plan) => shrink(problem, plan))]
  const weigh = (plan: CutPattern[]) => weighMix(problem, mixOf(problem, plan))
  return all.reduce((best, plan) => (compareMixes(weigh(plan), weigh(best)) < 0 ? plan : best))
}
