import type { MixCut } from './boardBound'
import { obeysCuts } from './boardBound'
import type { CuttingProblem } from './cuttingProblem'

/** How many boards of each offer, with what decides between plans: money, then boards, then length bought. */
export interface BoardMix {
  readonly boards: readonly number[]
  readonly cost: number
  readonly count: number
  readonly length: number
}

/** Adds a mix up. */
export function weighMix(problem: CuttingProblem, boards: readonly number[]): BoardMix {
  const total = (by: readonly number[]) => boards.reduce((sum, n, k) => sum + n * (by[k] ?? 0), 0)
  return {
    boards,
    cost: total(problem.prices),
    count: boards.reduce((sum, n) => sum + n, 0),
    length: total(problem.lengths),
  }
}

/** Fewest money, then fewest boards, then least length bought (least waste, as the pieces are given). */
export function compareMixes(a: BoardMix, b: BoardMix): number {
  return a.cost - b.cost || a.count - b.count || a.length - b.length
}

/**
 * All mixes that obey the cuts and cost at most `budget`, best first; null when there are more than `most`.
 * No mix needs more boards of one offer than there are pieces.
 */
export function mixesWithin(
  problem: CuttingProblem,
  cuts: readonly MixCut[],
  budget: number,
  most: number,
): BoardMix[] | null {
  const { prices } = problem
  const pieces = problem.demands.reduce((sum, n) => sum + n, 0)
  const found: BoardMix[] = []
  const boards = prices.map(() => 0)
  const reach = cuts.map((cut) =>
    prices.map((_, from) =>
      Math.max(
        0,
        ...prices.slice(from).map((price, j) => (cut.worth[from + j] ?? 0) / Math.max(price, 1e-9)),
      ),
    ),
  )
  let visited = 0
  function choose(k: number, left: number, worths: readonly number[]): boolean {
    if (++visited > most * 20 || found.length > most) return false
    if (cuts.some((cut, c) => (worths[c] ?? 0) + (reach[c]?.[k] ?? 0) * left < cut.needed * (1 - 1e-9)))
      return true
    if (k === prices.length) {
      if (obeysCuts(boards, cuts)) found.push(weighMix(problem, [...boards]))
      return true
    }
    const price = prices[k] ?? 0
    const limit = price === 0 ? pieces : Math.min(pieces, Math.floor(left / price))
    for (let n = 0; n <= limit; n++) {
      boards[k] = n
      const next = worths.map((w, c) => w + n * (cuts[c]?.worth[k] ?? 0))
      if (!choose(k + 1, left - n * price, next)) return false
    }
    boards[k] = 0
    return true
  }
  if (
    !choose(
      0,
      budget,
      cuts.map(() => 0),
    )
  )
    return null
  return found.sort(compareMixes)
}
