import type { MixCut } from './boardBound'
import type { CuttingProblem } from './cuttingProblem'

/** How many boards of each kind, with what decides between plans: money, then boards, then length bought. */
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

type Weight = Pick<BoardMix, 'cost' | 'count' | 'length'>

/** Fewest money, then fewest boards, then least length bought (least waste, as the pieces are given). */
export function compareMixes(a: Weight, b: Weight): number {
  return a.cost - b.cost || a.count - b.count || a.length - b.length
}

/** What a mix must be: inside all cuts, none of the mixes that do not pack nor fewer boards than one of them, and lighter than `below`. */
export interface MixAsk {
  readonly cuts: readonly MixCut[]
  readonly barred: readonly (readonly number[])[]
  readonly below: Weight | null
}

const MOST_NODES = 8_000_000
/** The clock is looked at after so many. */
const NODES_A_LOOK = 8_192

/** Rounds up, and never above the true value by its own roundings. */
function safeCeil(value: number): number {
  return Math.ceil(value - Math.abs(value) * 1e-13 - 1e-12)
}

/** The least of `costs[j] / worth[j]` over the kinds from each one on. */
function rates(costs: readonly number[], worth: readonly number[]): number[] {
  const least: number[] = []
  let rate = Infinity
  for (let k = costs.length - 1; k >= 0; k--) {
    if ((worth[k] ?? 0) > 0) rate = Math.min(rate, (costs[k] ?? 0) / (worth[k] ?? 1))
    least[k] = rate
  }
  return [...least, Infinity]
}

/** How much all boards from each kind on can add to a cut. */
function reaches(limits: readonly number[], worth: readonly number[]): number[] {
  const most: number[] = []
  let sum = 0
  for (let k = limits.length - 1; k >= 0; k--) {
    if ((worth[k] ?? 0) > 0) sum += (limits[k] ?? 0) * (worth[k] ?? 0)
    most[k] = sum
  }
  return [...most, 0]
}

/**
 * The lightest mix of boards that is still to be tried, found by branching on the kinds with whole-number bounds
 * from every cut; null when there is none, undefined when the search of it was cut short.
 */
export function nextMix(
  problem: CuttingProblem,
  { cuts, barred, below }: MixAsk,
  over: () => boolean,
  mostNodes = MOST_NODES,
): BoardMix | null | undefined {
  const { prices, lengths, limits } = problem
  const kinds = prices.length
  const ones = prices.map(() => 1)
  const all = cuts.length
  // one row a cut, one column a kind: read millions of times
  const table = (by: (cut: MixCut) => number[]) =>
    Float64Array.from(cuts.flatMap((cut) => by(cut).slice(0, kinds + 1)))
  const worths = table(({ worth }) => [...worth, 0])
  const costRates = table(({ worth }) => rates(prices, worth))
  const countRates = table(({ worth }) => rates(ones, worth))
  const lengthRates = table(({ worth }) => rates(lengths, worth))
  const reach = table(({ worth }) => reaches(limits, worth))
  const wide = kinds + 1
  /** What each cut still asks, depth by depth. */
  const rest = new Float64Array(wide * all)
  cuts.forEach(({ needed }, c) => (rest[c] = needed))
  const boards = prices.map(() => 0)
  let best: BoardMix | null = null
  let bar: Weight | null = below
  let nodes = 0
  let cutShort = false

  function choose(k: number, cost: number, count: number, length: number): void {
    if (cutShort) return
    if (++nodes > mostNodes || (nodes % NODES_A_LOOK === 0 && over())) {
      cutShort = true
      return
    }
    let moreCost = 0
    let moreCount = 0
    let moreLength = 0
    for (let c = 0; c < all; c++) {
      const need = rest[k * all + c] ?? 0
      if (need <= 0) continue
      const at = c * wide + k
      if (need > (reach[at] ?? 0)) return
      moreCost = Math.max(moreCost, need * (costRates[at] ?? 0))
      moreCount = Math.max(moreCount, need * (countRates[at] ?? 0))
      moreLength = Math.max(moreLength, need * (lengthRates[at] ?? 0))
    }
    if (bar) {
      const byCost = cost + safeCeil(moreCost) - bar.cost
      if (byCost > 0) return
      if (byCost === 0) {
        const byCount = count + safeCeil(moreCount) - bar.count
        if (byCount > 0 || (byCount === 0 && length + safeCeil(moreLength) >= bar.length)) return
      }
    }
    if (k === kinds) {
      if (barred.some((mix) => boards.every((n, j) => n <= (mix[j] ?? 0)))) return
      best = { boards: [...boards], cost, count, length }
      bar = best
      return
    }
    const price = prices[k] ?? 0
    const last = k === kinds - 1
    // of the last kind as few as do: fewer break a cut or are barred
    let from = 0
    let most = limits[k] ?? 0
    if (last) {
      for (let c = 0; c < all; c++) {
        const need = rest[k * all + c] ?? 0
        const worth = worths[c * wide + k] ?? 0
        if (need > 0) from = Math.max(from, worth > 0 ? Math.ceil(need / worth) : Infinity)
      }
      for (const mix of barred)
        if (boards.every((n, j) => j === k || n <= (mix[j] ?? 0))) from = Math.max(from, (mix[k] ?? 0) + 1)
      if (from > most) return
      most = from
    } else most = Math.min(most, enough(k))
    if (bar && price > 0) most = Math.min(most, Math.floor((bar.cost - cost) / price))
    for (let n = from; n <= most; n++) {
      boards[k] = n
      for (let c = 0; c < all; c++)
        rest[(k + 1) * all + c] = (rest[k * all + c] ?? 0) - n * (worths[c * wide + k] ?? 0)
      choose(k + 1, cost + n * price, count + n, length + n * (lengths[k] ?? 0))
    }
    boards[k] = 0
  }

  /** More of one kind than meets every cut alone, and gets past every barred mix, is never lighter. */
  function enough(k: number): number {
    let most = 0
    for (let c = 0; c < all; c++) {
      const need = rest[k * all + c] ?? 0
      const worth = worths[c * wide + k] ?? 0
      if (need > 0 && worth > 0) most = Math.max(most, Math.ceil(need / worth))
    }
    for (const mix of barred) most = Math.max(most, (mix[k] ?? 0) + 1)
    return most
  }

  choose(0, 0, 0, 0)
  return cutShort ? undefined : best
}

/** Every other mix that weighs the same and obeys the cuts, at most `most`. */
export function mixesLike(
  problem: CuttingProblem,
  mix: BoardMix,
  cuts: readonly MixCut[],
  most: number,
): BoardMix[] {
  const found: BoardMix[] = []
  const boards = problem.prices.map(() => 0)
  let nodes = 0
  function choose(k: number, left: Weight): void {
    if (++nodes > 20_000 || found.length >= most || left.cost < 0 || left.count < 0 || left.length < 0) return
    if (k === boards.length) {
      if (left.cost === 0 && left.count === 0 && left.length === 0 && obeys())
        if (boards.some((n, j) => n !== mix.boards[j])) found.push({ ...mix, boards: [...boards] })
      return
    }
    for (let n = 0; n <= Math.min(left.count, problem.limits[k] ?? 0); n++) {
      boards[k] = n
      choose(k + 1, {
        cost: left.cost - n * (problem.prices[k] ?? 0),
        count: left.count - n,
        length: left.length - n * (problem.lengths[k] ?? 0),
      })
    }
    boards[k] = 0
  }
  const obeys = () =>
    cuts.every((cut) => cut.worth.reduce((sum, w, k) => sum + w * (boards[k] ?? 0), 0) >= cut.needed)
  choose(0, mix)
  return found
}
