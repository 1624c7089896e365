import type { Pack } from '~/model'

/** So many packs of one size. */
export interface PackCount extends Pack {
  readonly count: number
}

/** Sizes and amounts are weighed to a thousandth of their unit. */
const PARTS = 1000
/** More cells than this are not filled: of sizes with so many different parts the end of a large amount is weighed, and not all of it. */
const MOST_CELLS = 4_000_000

function commonDivisor(a: number, b: number): number {
  return b === 0 ? a : commonDivisor(b, a % b)
}

interface Kind {
  readonly pack: Pack
  /** In whole parts that all sizes have in common. */
  readonly units: number
  readonly cost: number
}

/** The least cost and, at that, the fewest packs for each whole amount; `last` is the pack that was added last. */
function table(kinds: readonly Kind[], upTo: number, unpriced: boolean) {
  const cost = new Float64Array(upTo + 1).fill(Infinity)
  const many = new Float64Array(upTo + 1).fill(Infinity)
  const last = new Int32Array(upTo + 1).fill(-1)
  cost[0] = 0
  many[0] = 0
  for (let at = 1; at <= upTo; at++)
    for (const [k, { units, cost: price }] of kinds.entries()) {
      const from = at - units
      if (from < 0 || many[from] === Infinity) continue
      const sum = (cost[from] ?? 0) + (unpriced ? 0 : price)
      const count = (many[from] ?? 0) + 1
      if (sum < (cost[at] ?? 0) || (sum === cost[at] && count < (many[at] ?? 0))) {
        cost[at] = sum
        many[at] = count
        last[at] = k
      }
    }
  return { cost, many, last }
}

/**
 * The packs that hold an amount: at the least cost where all prices are known, else with the least left over, then the fewest. Exact,
 * however large the amount: as many packs of the others as the best pack has parts always hold some that are whole packs of the best, which
 * are no dearer, so that beyond a number of parts only the best is taken. Sizes and amount in one unit; nothing for no amount.
 */
export function packsFor(amount: number, packs: readonly Pack[]): PackCount[] {
  const sizes = [...packs].filter(({ size }) => size > 0).sort((a, b) => b.size - a.size)
  if (amount <= 1e-9 || sizes.length === 0) return []
  const unpriced = sizes.some(({ price }) => price === null)
  const whole = sizes.map(({ size }) => Math.max(1, Math.round(size * PARTS)))
  const divisor = whole.reduce(commonDivisor)
  const kinds = sizes.map((pack, i): Kind => ({
    pack,
    units: (whole[i] ?? 1) / divisor,
    cost: pack.price ?? 0,
  }))
  const wanted = Math.ceil((amount * PARTS) / divisor - 1e-6)
  // the one of least cost a part, or the largest: none other does more for less
  const [best] = [...kinds].sort((a, b) =>
    unpriced ? b.units - a.units : a.cost / a.units - b.cost / b.units || b.units - a.units,
  )
  if (!best) return []
  const largest = Math.max(...kinds.map(({ units }) => units))
  const others = Math.min(best.units * largest, MOST_CELLS)
  const first = Math.max(0, Math.floor((wanted - others) / best.units))
  const left = wanted - first * best.units
  const upTo = left + largest
  const { cost, many, last } = table(kinds, upTo, unpriced)
  let at = left
  for (let i = left; i <= upTo; i++) {
    if (many[i] === Infinity) continue
    const isBetter = many[at] === Infinity || (unpriced ? false : (cost[i] ?? 0) < (cost[at] ?? 0))
    if (isBetter) at = i
  }
  const counts = new Map<Pack, number>(first > 0 ? [[best.pack, first]] : [])
  while (at > 0) {
    const kind = kinds[last[at] ?? -1]
    if (!kind) break
    counts.set(kind.pack, (counts.get(kind.pack) ?? 0) + 1)
    at -= kind.units
  }
  return sizes.flatMap((pack) => {
    const count = counts.get(pack) ?? 0
    return count > 0 ? [{ ...pack, count }] : []
  })
}

/** What packs cost, in hundredths; null where one has no price. */
export function costOf(packs: readonly PackCount[]): number | null {
  return packs.reduce<number | null>(
    (sum, { count, price }) => (sum === null || price === null ? null : sum + count * price),
    0,
  )
}
