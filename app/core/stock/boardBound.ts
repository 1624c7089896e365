import { type Column, type LpOptimum, minimizeByColumns } from './columnSimplex'
import type { CuttingProblem } from './cuttingProblem'
import { fillRoom } from './knapsack'

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

function patternColumn(room: number, counts: readonly number[], cost: number, roomRow?: number): Column {
  const entries: [number, number][] = counts.flatMap((count, i) =>
    count > 0 ? [[i, count] as [number, number]] : [],
  )
  if (roomRow !== undefined) entries.push([roomRow, 1])
  return { cost, entries, pattern: { room, counts } }
}

/**
 * Turns duals into a cut: item values rounded down to whole numbers, each board worth the most valuable
 * filling it can hold. Valid for any values at all, and weaker where the search of a filling is cut short.
 */
export function cutFromDuals(
  problem: CuttingProblem,
  duals: readonly number[],
  mostNodes?: number,
): MixCut | null {
  const top = Math.max(...problem.sizes.map((_, i) => duals[i] ?? 0))
  if (!(top > 0)) return null
  const values = problem.sizes.map((_, i) => Math.max(0, Math.floor(((duals[i] ?? 0) / top) * SCALE)))
  return {
    worth: problem.rooms.map((room) =>
      Math.floor(fillRoom(problem.sizes, values, problem.demands, room, mostNodes).atMost + EPS),
    ),
    needed: values.reduce((sum, value, i) => sum + value * (problem.demands[i] ?? 0), 0),
  }
}

/** True when a mix of boards breaks no cut. */
export function obeysCuts(mix: readonly number[], cuts: readonly MixCut[]): boolean {
  return cuts.every((cut) => cut.worth.reduce((sum, w, k) => sum + w * (mix[k] ?? 0), 0) >= cut.needed)
}

/**
 * The linear relaxation: least total of `costs` over fractional numbers of patterns (Gilmore & Gomory 1961).
 * Needs every size to fit some room.
 */
export function relaxBoards(problem: CuttingProblem, costs: readonly number[]): LpOptimum {
  const { sizes, demands, rooms } = problem
  const start = sizes.map((size, i): Column => {
    const options = rooms
      .map((room, k) => ({ k, fits: Math.min(demands[i] ?? 0, Math.floor(room / size)) }))
      .filter(({ fits }) => fits > 0)
      .sort((a, b) => (costs[a.k] ?? 0) / a.fits - (costs[b.k] ?? 0) / b.fits)
    const { k, fits } = options[0] ?? { k: 0, fits: 1 }
    return patternColumn(
      k,
      sizes.map((_, j) => (j === i ? fits : 0)),
      costs[k] ?? 0,
    )
  })
  return minimizeByColumns(demands, start, (duals) => {
    const surplus = duals.findIndex((dual) => dual < -EPS)
    if (surplus >= 0) return { cost: 0, entries: [[surplus, -1]] }
    let best: Column | null = null
    let gain = 1e-7
    rooms.forEach((room, k) => {
      const filling = fillRoom(sizes, duals, demands, room)
      const cost = costs[k] ?? 0
      if ((filling.value - cost) / Math.max(1, cost) > gain) {
        gain = (filling.value - cost) / Math.max(1, cost)
        best = patternColumn(k, filling.counts, cost)
      }
    })
    return best
  })
}

/**
 * Can this mix of boards hold all pieces, fractions of patterns allowed? The value is the unmet demand: zero
 * means maybe; above zero its duals make a cut that rules the mix out for good.
 */
export function relaxMix(problem: CuttingProblem, mix: readonly number[]): LpOptimum {
  const { sizes, demands, rooms } = problem
  const m = sizes.length
  const start: Column[] = [
    ...sizes.map((_, i): Column => ({ cost: 1, entries: [[i, 1]] })),
    ...rooms.map((_, k): Column => ({ cost: 0, entries: [[m + k, 1]] })),
  ]
  return minimizeByColumns([...demands, ...rooms.map((_, k) => mix[k] ?? 0)], start, (duals) => {
    const surplus = sizes.findIndex((_, i) => (duals[i] ?? 0) < -EPS)
    if (surplus >= 0) return { cost: 0, entries: [[surplus, -1]] }
    const unmet = sizes.findIndex((_, i) => (duals[i] ?? 0) > 1 + EPS)
    if (unmet >= 0) return { cost: 1, entries: [[unmet, 1]] }
    const slack = rooms.findIndex((_, k) => (duals[m + k] ?? 0) > EPS)
    if (slack >= 0) return { cost: 0, entries: [[m + slack, 1]] }
    let best: Column | null = null
    let gain = 1e-7
    rooms.forEach((room, k) => {
      if ((mix[k] ?? 0) === 0) return
      const filling = fillRoom(sizes, duals.slice(0, m), demands, room)
      const reduced = filling.value + (duals[m + k] ?? 0)
      if (reduced > gain) {
        gain = reduced
        best = patternColumn(k, filling.counts, 0, m + k)
      }
    })
    return best
  })
}

/**
 * A lower bound on the cost of any plan, from one cut, in whole numbers: no plan costs less than what the
 * board with the most worth per money asks for all that is needed.
 */
export function costBound(problem: CuttingProblem, cut: MixCut): number {
  const bounds = cut.worth.flatMap((worth, k) => {
    if (worth <= 0) return []
    const cost = BigInt(cut.needed) * BigInt(problem.prices[k] ?? 0)
    return [Number((cost + BigInt(worth) - 1n) / BigInt(worth))]
  })
  return bounds.length === 0 ? 0 : Math.min(...bounds)
}
