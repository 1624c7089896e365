import type { Column } from './columnSimplex'
import type { CuttingProblem } from './cuttingProblem'
import { type Filler, fillerOf } from './fillings'

/** One board cut: which kind of board, and how many of each size. */
export interface CutPattern {
  readonly room: number
  readonly counts: readonly number[]
}

/** A pattern as it is kept: with what it holds, size by size. */
export interface PooledPattern extends CutPattern {
  readonly held: Column['entries']
}

/** When to stop, and whom to tell of a better plan. The core has no clock: whoever asks has one. */
export interface SearchControl {
  readonly over: () => boolean
  /** How long the integer solver may take, where there is a deadline: it looks at no clock of ours. */
  readonly secondsLeft?: () => number
}

/** What a search over one problem keeps from step to step: its grid, and every pattern found worth a look. */
export interface CuttingSearch extends SearchControl {
  readonly problem: CuttingProblem
  readonly filler: Filler
  readonly pool: PooledPattern[]
  /** Each size alone on each kind of board. */
  readonly alone: readonly (readonly PooledPattern[])[]
  /** Keeps a pattern once. */
  readonly keep: (pattern: CutPattern) => PooledPattern
}

/** Sum of the sizes a pattern holds. */
export function usedRoom({ sizes }: CuttingProblem, counts: readonly number[]): number {
  let sum = 0
  for (let i = 0; i < counts.length; i++) sum += (counts[i] ?? 0) * (sizes[i] ?? 0)
  return sum
}

/** True where a room holds the pattern, to the nanometer. */
export function fitsRoom(problem: CuttingProblem, room: number, counts: readonly number[]): boolean {
  return usedRoom(problem, counts) <= (problem.rooms[room] ?? 0)
}

/** A search begun: its pool holds each size alone on each kind of board. */
export function beginSearch(problem: CuttingProblem, control: SearchControl): CuttingSearch {
  const pool: PooledPattern[] = []
  const known = new Map<string, PooledPattern>()
  const keep = ({ room, counts }: CutPattern): PooledPattern => {
    const key = `${room}:${counts.join()}`
    const old = known.get(key)
    if (old) return old
    const held = counts.flatMap((count, i) => (count > 0 ? [[i, count] as const] : []))
    const pattern = { room, counts, held }
    known.set(key, pattern)
    pool.push(pattern)
    return pattern
  }
  const alone = problem.sizes.map((size, i) =>
    problem.rooms.flatMap((room, k) => {
      const fits = Math.min(problem.demands[i] ?? 0, Math.floor(room / size))
      return fits > 0 ? [keep({ room: k, counts: problem.sizes.map((_, j) => (j === i ? fits : 0)) })] : []
    }),
  )
  return { ...control, problem, filler: fillerOf(problem), pool, alone, keep }
}
