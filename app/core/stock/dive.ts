import { relax, type RelaxAsk } from './boardBound'
import type { LpOptimum } from './columnSimplex'
import { wholeParts } from './packMix'
import { type CutPattern, type CuttingSearch, usedRoom } from './patternPool'

/** What a dive came to: boards cut, what no board was found for, and the boards not taken. */
export interface Dive {
  readonly patterns: readonly CutPattern[]
  readonly left: readonly number[]
  readonly boardsLeft: readonly number[]
}

/** After each fixed board the relaxation is filled anew no more often than this. */
const FILLINGS_A_STEP = 12

/** What decides which board of a fractional plan is fixed next: the one it wants most, the fullest, or that of the longest piece. */
export const DIVES = ['mostWanted', 'fullest', 'longest'] as const
type DiveBy = (typeof DIVES)[number]

/** A board the plan wants less of than this is fixed only when it is the one it wants most. */
const WANTED = 0.25

function chosen({ problem }: CuttingSearch, { basis }: LpOptimum, by: DiveBy): CutPattern | null {
  let best: CutPattern | null = null
  let most = -Infinity
  const value = (pattern: CutPattern, amount: number): number => {
    if (by === 'mostWanted' || amount < WANTED) return amount
    if (by === 'fullest') return 2 + usedRoom(problem, pattern.counts) / (problem.rooms[pattern.room] ?? 1)
    return 2 + problem.sizes.length - pattern.counts.findIndex((n) => n > 0) + amount
  }
  for (const { column, amount } of basis) {
    if (!column.pattern || !(amount > 1e-6)) continue
    const worth = value(column.pattern, amount)
    if (worth <= most + 1e-9) continue
    most = worth
    best = column.pattern
  }
  return best
}

/**
 * Boards fixed one after another from the fractional plan: its whole parts first, then one board at a time, the
 * rest relaxed again, until nothing is left or nothing more is to be had.
 */
export function dive(
  search: CuttingSearch,
  ask: RelaxAsk,
  first: LpOptimum,
  by: DiveBy = 'mostWanted',
): Dive {
  const patterns: CutPattern[] = []
  let left: readonly number[] = ask.demands
  let boardsLeft: readonly number[] = ask.limits
  let relaxed: LpOptimum | undefined = first
  while (left.some((n) => n > 0) && !search.over()) {
    relaxed ??= relax(search, { ...ask, demands: left, limits: boardsLeft, mostFillings: FILLINGS_A_STEP })
    const whole = wholeParts(relaxed, left, boardsLeft)
    if (whole.patterns.length > 0) {
      patterns.push(...whole.patterns)
      left = whole.left
      boardsLeft = whole.boardsLeft
    } else {
      const wanted = chosen(search, relaxed, by)
      if (!wanted || !((boardsLeft[wanted.room] ?? 0) >= 1)) break
      const now = left
      const counts = wanted.counts.map((count, i) => Math.min(count, now[i] ?? 0))
      if (counts.every((count) => count === 0)) break
      patterns.push({ room: wanted.room, counts })
      left = left.map((n, i) => n - (counts[i] ?? 0))
      boardsLeft = boardsLeft.map((n, k) => (k === wanted.room ? n - 1 : n))
    }
    relaxed = undefined
  }
  return { patterns, left, boardsLeft }
}
