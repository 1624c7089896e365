import { costBound, cutFromDuals, lengthCut, type MixCut, obeysCuts, relax, unmetOf } from './boardBound'
import type { CuttingProblem } from './cuttingProblem'
import { type Dive, dive, DIVES } from './dive'
import { firstPlan, lighter, mixOf, shrink } from './firstPlan'
import { longestOffcut } from './longestOffcut'
import { type BoardMix, compareMixes, mixesLike, nextMix, weighMix } from './nextMix'
import { expand, packQuickly, searchAll } from './packMix'
import { beginSearch, type CutPattern, type CuttingSearch, type SearchControl } from './patternPool'
import { packByProgram, type SolveInteger } from './patternProgram'

/** How a search ended: proven, with a bound and a gap, or that the boards there are can't hold everything. */
export interface Searched {
  readonly status: 'proven' | 'bounded' | 'infeasible'
  /** The best plan found; none where it is infeasible, or none was found in the time there was. */
  readonly patterns: readonly CutPattern[] | null
  /** No plan costs less. */
  readonly bound: number
}

const NODES = 60_000
const MOST_LIKE = 12
const FILLINGS = 120
const MOST_ROWS = 700

/** What boards cost so that money, their number or their length counts, and how many of each a relaxation may take. */
function criteria(
  problem: CuttingProblem,
): { readonly costs: readonly number[]; readonly limits: readonly number[] }[] {
  const { prices, lengths, rooms, limits } = problem
  const ones = prices.map(() => 1)
  const all = prices.some((price) => price > 0) ? [prices, ones, lengths] : [ones, lengths]
  return all.map((costs) => ({
    costs,
    // a kind that a longer one without limit stands in for at no more is not asked about: many ways to say the same
    limits: limits.map((limit, k) =>
      rooms.some((room, j) => {
        const [own, other] = [costs[k] ?? 0, costs[j] ?? 0]
        return limits[j] === Infinity && room > (rooms[k] ?? 0) && other <= own
      })
        ? 0
        : limit,
    ),
  }))
}

/** An unmet piece costs more than any board, so that the relaxation leaves none unmet that boards can hold. */
function unmetCostOf(costs: readonly number[]): number {
  return 10 * Math.max(1, ...costs)
}

/** No plan costs less: the lightest mix inside all cuts where it is found at once, else what each cut alone asks. */
function boundOf(problem: CuttingProblem, cuts: readonly MixCut[]): number {
  const mix = nextMix(problem, { cuts, barred: [], below: null }, () => false, NODES_A_BOUND)
  return Math.max(mix?.cost ?? 0, ...cuts.map((cut) => costBound(problem, cut)))
}
const NODES_A_BOUND = 20_000

/** A bound in a moment, from length alone and from no more than a few fillings. */
export function quickBound(problem: CuttingProblem): number {
  const cuts = [lengthCut(problem)]
  if (problem.sizes.length > FEW_LENGTHS) return boundOf(problem, cuts)
  const search = beginSearch(problem, { over: () => false })
  for (const { costs, limits } of criteria(problem)) {
    const { demands } = problem
    const relaxed = relax(search, { demands, costs, limits, unmetCost: unmetCostOf(costs) })
    const cut = cutFromDuals(search, relaxed.duals)
    if (cut) cuts.push(cut)
  }
  return boundOf(problem, cuts)
}

/** Up to so many different lengths the relaxation itself takes but a moment. */
const FEW_LENGTHS = 16

/** Boards of a dive, and what it left placed by rules of thumb; null where boards run out. */
function completed(
  search: CuttingSearch,
  patterns: readonly CutPattern[],
  left: readonly number[],
): readonly CutPattern[] | null {
  const { problem } = search
  if (left.every((n) => n === 0)) return shrink(problem, patterns)
  const taken = mixOf(problem, patterns)
  const limits = problem.limits.map((limit, k) => limit - (taken[k] ?? 0))
  const rest = { ...problem, demands: left, limits }
  const placed = firstPlan(rest, 'few', search.over)
  if (!placed) return null
  const whole = shrink(problem, [...patterns, ...placed])
  return whole.length > 0 ? whole : null
}

/** How many of the last boards of a dive are cut anew where it left something, one attempt after the other. */
const LAST_BOARDS = [0, 4, 9, 15] as const
const NODES_A_REPACK = 20_000

/** A dive that left something, its last boards packed anew with it; null where that is of no use. */
function repacked(
  { problem }: CuttingSearch,
  { patterns, left, boardsLeft }: Dive,
): readonly CutPattern[] | null {
  for (const last of LAST_BOARDS) {
    const kept = patterns.slice(0, Math.max(0, patterns.length - last))
    const undone = patterns.slice(kept.length)
    const demands = left.map((n, i) => n + undone.reduce((sum, { counts }) => sum + (counts[i] ?? 0), 0))
    const boards = [...expand(boardsLeft), ...undone.map(({ room }) => room)]
    const rest = searchAll(problem, demands, boards, NODES_A_REPACK)
    if (rest) return [...kept, ...rest]
    if (kept.length === 0) break
  }
  return null
}

type Packed = readonly CutPattern[] | null | undefined

/** Tries to pack a mix: a packing, null when proven impossible (a cut is then kept where it has one), undefined when unsettled. */
async function packMix(
  search: CuttingSearch,
  mix: readonly number[],
  cuts: MixCut[],
  solve: SolveInteger,
  offer: (patterns: readonly CutPattern[] | null) => void,
): Promise<Packed> {
  const { problem } = search
  const quick = packQuickly(problem, mix)
  if (quick) return quick
  const ask = { demands: problem.demands, costs: problem.rooms.map(() => 0), limits: mix, unmetCost: 1 }
  const relaxed = relax(search, ask)
  const cut = cutFromDuals(search, relaxed.duals)
  if (cut && !obeysCuts(mix, [cut])) {
    cuts.push(cut)
    return null
  }
  if (search.over()) return undefined
  if (unmetOf(relaxed, problem.sizes.length) < 1e-6)
    for (const by of DIVES) {
      const dived = dive(search, ask, relaxed, by)
      if (dived.left.every((n) => n === 0)) return dived.patterns
      offer(completed(search, dived.patterns, dived.left))
      const mended = repacked(search, dived)
      if (mended) return mended
      if (search.over()) return undefined
    }
  if (search.over()) return undefined
  const searched = searchAll(problem, problem.demands, expand(mix), NODES)
  if (searched !== undefined || search.over()) return searched
  return packByProgram(problem, mix, solve, search.secondsLeft?.()).catch(() => undefined)
}

/**
 * The plan of least money, then fewest boards, then least length, with proof where the limits allow it. Mixes of
 * boards are taken lightest first; each is packed, or ruled out by a cut from its fractional plan (Gilmore & Gomory
 * 1961, 1963), by full search, or by the integer solver. Better plans are told as they come, with the bound.
 */
export async function searchMixes(
  problem: CuttingProblem,
  solve: SolveInteger,
  control: SearchControl,
  better: (patterns: readonly CutPattern[], bound: number) => void = () => undefined,
): Promise<Searched> {
  const { demands } = problem
  // so many lengths that their relaxation is more than memory or patience hold: the rules of thumb and length have to do
  if (problem.sizes.length > MOST_ROWS)
    return {
      status: 'bounded',
      patterns: firstPlan(problem, 'few', control.over),
      bound: boundOf(problem, [lengthCut(problem)]),
    }
  const search = beginSearch(problem, control)
  const weigh = (plan: readonly CutPattern[]) => weighMix(problem, mixOf(problem, plan))
  let best: readonly CutPattern[] | null = null
  let bound = 0
  const cuts: MixCut[] = [lengthCut(problem)]
  const offer = (patterns: readonly CutPattern[] | null) => {
    const chosen = lighter(problem, best, patterns)
    if (!chosen || chosen === best) return
    best = chosen
    chosen.forEach(search.keep)
    better(chosen, bound)
  }
  offer(firstPlan(problem, 'all', control.over))

  for (const [n, { costs, limits }] of criteria(problem).entries()) {
    const ask = { demands, costs, limits, unmetCost: unmetCostOf(costs) }
    // money decides; what comes after it is looked at for a moment, as duals make a cut whether finished or not
    const relaxed = relax(search, n > 0 ? { ...ask, mostFillings: FILLINGS } : ask)
    const cut = cutFromDuals(search, relaxed.duals)
    if (cut) cuts.push(cut)
    bound = boundOf(problem, cuts)
    if (control.over()) break
    if (n > 0) continue
    const dived = dive(search, ask, relaxed)
    offer(completed(search, dived.patterns, dived.left))
  }

  const barred: (readonly number[])[] = []
  let unsettled: number | null = null
  for (;;) {
    const below: BoardMix | null = best ? weigh(best) : null
    const mix = nextMix(problem, { cuts, barred, below }, control.over)
    if (mix === undefined) break
    if (mix === null) {
      if (!best)
        return {
          status: unsettled === null ? 'infeasible' : 'bounded',
          patterns: null,
          bound: unsettled ?? bound,
        }
      const proven = unsettled === null
      const patterns = proven ? longestAmongLike(search, best, cuts) : best
      return { status: proven ? 'proven' : 'bounded', patterns, bound: unsettled ?? weigh(best).cost }
    }
    if (unsettled === null) bound = Math.max(bound, mix.cost)
    if (control.over()) break
    const packed: Packed = await packMix(search, mix.boards, cuts, solve, offer)
    if (packed) offer(packed)
    else {
      if (packed === undefined) unsettled ??= mix.cost
      // a mix that its own cut rules out needs no second bar, and fewer boards never hold more
      if (packed === undefined || obeysCuts(mix.boards, cuts)) barred.push(mix.boards)
    }
  }
  return { status: 'bounded', patterns: best, bound: unsettled ?? bound }
}

/** Of the packings that weigh the same the one with the longest offcut, as far as a short look finds. */
function longestAmongLike(
  search: CuttingSearch,
  patterns: readonly CutPattern[],
  cuts: readonly MixCut[],
): readonly CutPattern[] {
  const { problem } = search
  const own = weighMix(problem, mixOf(problem, patterns))
  const others = mixesLike(problem, own, cuts, MOST_LIKE).flatMap(({ boards }) => {
    const packed = packQuickly(problem, boards) ?? searchAll(problem, problem.demands, expand(boards), 20_000)
    return packed && compareMixes(weighMix(problem, mixOf(problem, packed)), own) === 0 ? [packed] : []
  })
  return longestOffcut(search, [patterns, ...others])
}
