import { type Column, type LpOptimum, minimizeByColumns } from './columnSimplex'
import type { CuttingProblem } from './cuttingProblem'
import { type CuttingSearch, fitsRoom, type PooledPattern } from './patternPool'

/**
 * A rule every workable mix of boards obeys: sum of worth[k] * boards[k] >= needed. All whole numbers, so it
 * holds whatever the tolerance of the linear program it came from.
 */
export interface MixCut {
  readonly worth: readonly number[]
  readonly needed: number
}

const EPS = 1e-9
const SCALE = 1e7
const SHORTLIST = 24

/**
 * Turns duals into a cut: item values rounded down to whole numbers, each board worth the most valuable
 * filling it can hold. Valid for any values at all.
 */
export function cutFromDuals({ problem, filler }: CuttingSearch, duals: readonly number[]): MixCut | null {
  const top = Math.max(...problem.sizes.map((_, i) => duals[i] ?? 0))
  if (!(top > 0)) return null
  const values = problem.sizes.map((_, i) => Math.max(0, Math.floor(((duals[i] ?? 0) / top) * SCALE + EPS)))
  const filled = filler.fill('bold', values, problem.demands)
  return {
    worth: problem.rooms.map((_, room) => filled.worth(room)),
    needed: values.reduce((sum, value, i) => sum + value * (problem.demands[i] ?? 0), 0),
  }
}

/** The rule of length alone: boards hold no more than their room. */
export function lengthCut({ sizes, demands, rooms }: CuttingProblem): MixCut {
  return { worth: rooms, needed: sizes.reduce((sum, size, i) => sum + size * (demands[i] ?? 0), 0) }
}

/** True when a mix of boards breaks no cut. */
export function obeysCuts(mix: readonly number[], cuts: readonly MixCut[]): boolean {
  return cuts.every((cut) => cut.worth.reduce((sum, w, k) => sum + w * (mix[k] ?? 0), 0) >= cut.needed)
}

/** What is asked of the linear relaxation: demands to be met, what boards cost, how many there are, what an unmet piece costs. */
export interface RelaxAsk {
  readonly demands: readonly number[]
  readonly costs: readonly number[]
  readonly limits: readonly number[]
  readonly unmetCost: number
  /** Boards are filled anew no more often than this: enough for a plan, not for a bound. */
  readonly mostFillings?: number
}

/**
 * The linear relaxation: least total of costs over fractional numbers of patterns (Gilmore & Gomory 1961), and
 * pieces that are not met at a cost of their own. Patterns come from the pool first; what one filling of all
 * boards finds goes into it. Its duals make a cut whether it was finished or not.
 */
export function relax(search: CuttingSearch, ask: RelaxAsk): LpOptimum {
  const { problem, filler, pool, keep, over } = search
  const { demands, costs, limits, unmetCost } = ask
  const m = problem.sizes.length
  const limited = problem.rooms.flatMap((_, k) => (Number.isFinite(limits[k] ?? Infinity) ? [k] : []))
  const rowOf = problem.rooms.map((_, k) => (limited.includes(k) ? m + limited.indexOf(k) : -1))
  const columnOf = (pattern: PooledPattern): Column => {
    const row = rowOf[pattern.room] ?? -1
    const entries = row < 0 ? pattern.held : [...pattern.held, [row, 1] as const]
    return { cost: costs[pattern.room] ?? 0, entries, pattern }
  }
  const alone = (i: number): Column => {
    const unmet: Column = { cost: unmetCost, entries: [[i, 1]] }
    if (limited.length > 0) return unmet
    // boards without limit: each size begins on the kind that holds it cheapest
    return (search.alone[i] ?? []).reduce((best: Column, pattern) => {
      const [first] = pattern.held
      if (!first || !mayUse(pattern)) return best
      const before = best.entries[0]?.[1] ?? 1
      const cost = costs[pattern.room] ?? 0
      return cost / first[1] < best.cost / before ? { cost, entries: pattern.held, pattern } : best
    }, unmet)
  }
  const mayUse = ({ room, held }: PooledPattern) =>
    (limits[room] ?? 0) > 0 && held.every(([i, n]) => n <= (demands[i] ?? 0))
  const start: Column[] = [
    ...demands.map((_, i) => alone(i)),
    ...limited.map((_, row): Column => ({ cost: 0, entries: [[m + row, 1]] })),
  ]
  const usable: PooledPattern[] = []
  // read in every round: what each usable pattern holds, one after the other in plain numbers
  const begins: number[] = [0]
  const sizes: number[] = []
  const counts: number[] = []
  const add = (pattern: PooledPattern) => {
    usable.push(pattern)
    for (const [i, n] of pattern.held) {
      sizes.push(i)
      counts.push(n)
    }
    begins.push(sizes.length)
  }
  for (const pattern of pool) if (mayUse(pattern)) add(pattern)
  const gainAt = (p: number, room: number, duals: readonly number[]) => {
    const row = rowOf[room] ?? -1
    let gain = (row < 0 ? 0 : (duals[row] ?? 0)) - (costs[room] ?? 0)
    const end = begins[p + 1] ?? 0
    for (let e = begins[p] ?? 0; e < end; e++) gain += (counts[e] ?? 0) * (duals[sizes[e] ?? 0] ?? 0)
    return gain
  }
  const scale = Math.max(1, ...costs.filter(Number.isFinite))
  const least = 1e-8 * (costs.some((cost) => cost > 0) ? scale : 1)
  /** The patterns that would help most when all were last looked at: looked at first until none of them helps. */
  let shortlist: number[] = []
  const improving = (duals: readonly number[]) => {
    const gains: { p: number; gain: number }[] = []
    for (let p = 0; p < usable.length; p++) {
      const gain = gainAt(p, usable[p]?.room ?? 0, duals)
      if (gain > least) gains.push({ p, gain })
    }
    shortlist = gains
      .sort((a, b) => b.gain - a.gain)
      .slice(0, SHORTLIST)
      .map(({ p }) => p)
    return shortlist
  }
  const bestOf = (among: readonly number[], duals: readonly number[]): PooledPattern | null => {
    let best: PooledPattern | null = null
    let most = least
    for (const p of among) {
      const gain = gainAt(p, usable[p]?.room ?? 0, duals)
      if (gain <= most) continue
      most = gain
      best = usable[p] ?? null
    }
    return best
  }
  let fillings = 0
  const optimum = minimizeByColumns(
    [...demands, ...limited.map((k) => limits[k] ?? 0)],
    start,
    (duals) => {
      for (let i = 0; i < m; i++) {
        const dual = duals[i] ?? 0
        if (dual < -EPS * scale) return { cost: 0, entries: [[i, -1]] }
        if (dual > unmetCost * (1 + EPS)) return { cost: unmetCost, entries: [[i, 1]] }
      }
      for (let row = 0; row < limited.length; row++)
        if ((duals[m + row] ?? 0) > EPS * scale) return { cost: 0, entries: [[m + row, 1]] }
      const known = bestOf(shortlist, duals) ?? bestOf(improving(duals), duals)
      if (known !== null) return columnOf(known)
      if (++fillings > (ask.mostFillings ?? Infinity)) return null
      const promising = (by: 'bold' | 'safe') => {
        const filled = filler.fill(by, duals, demands)
        return problem.rooms.flatMap((_, room) => {
          if (!((limits[room] ?? 0) > 0)) return []
          const row = rowOf[room] ?? -1
          const gain = filled.worth(room) + (row < 0 ? 0 : (duals[row] ?? 0)) - (costs[room] ?? 0)
          return gain > least ? [{ room, counts: filled.counts(room) }] : []
        })
      }
      const bold = promising('bold')
      const fitting = bold.filter(({ room, counts }) => fitsRoom(problem, room, counts))
      // on a grid that is not exact the best may be a hair too long; then what surely fits is taken
      const found = fitting.length === bold.length ? fitting : [...fitting, ...promising('safe')]
      shortlist = found.map((pattern) => {
        add(keep(pattern))
        return usable.length - 1
      })
      const fresh = bestOf(shortlist, duals)
      return fresh ? columnOf(fresh) : null
    },
    over,
  )
  return fillings > (ask.mostFillings ?? Infinity) ? { ...optimum, finished: false } : optimum
}

/** The least any plan inside one cut costs, in whole numbers, however many boards there are. */
export function costBound({ prices }: CuttingProblem, { worth, needed }: MixCut): number {
  const rates = worth.flatMap((w, k) => (w > 0 ? [(prices[k] ?? 0) / w] : []))
  if (rates.length === 0) return 0
  const bound = needed * Math.min(...rates)
  return Math.max(0, Math.ceil(bound - bound * 1e-13 - 1e-12))
}

/** How much of the demand a relaxation leaves unmet. */
export function unmetOf({ basis }: LpOptimum, sizes: number): number {
  return basis.reduce((sum, { column, amount }) => {
    const [entry] = column.entries
    const isUnmet = !column.pattern && entry && entry[0] < sizes && entry[1] === 1
    return sum + (isUnmet ? Math.max(0, amount) : 0)
  }, 0)
}
