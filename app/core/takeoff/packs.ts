import type { Pack } from '~/model'

/** So many packs of one size. */
export interface PackCount extends Pack {
  readonly count: number
}

/** More packs of one size than this are not weighed against others. */
const MOST_OF_ONE = 60

/**
 * The packs that hold an amount: at the least cost where all prices are known, else with the least left over, then the fewest. Sizes
 * and amount in one unit; nothing for no amount.
 */
export function packsFor(amount: number, packs: readonly Pack[]): PackCount[] {
  const sizes = [...packs].sort((a, b) => b.size - a.size)
  const [largest] = sizes
  if (amount <= 1e-9 || !largest) return []
  const isPriced = sizes.every(({ price }) => price !== null)
  let best: { counts: number[]; cost: number; held: number; many: number } | null = null
  const better = (cost: number, held: number, many: number) =>
    best === null ||
    (isPriced && cost !== best.cost
      ? cost < best.cost
      : Math.abs(held - best.held) > 1e-9
        ? held < best.held
        : many < best.many)
  const look = (i: number, left: number, counts: number[], cost: number): void => {
    const pack = sizes[i]
    if (!pack) return
    const enough = Math.max(0, Math.ceil(left / pack.size - 1e-9))
    if (i === sizes.length - 1) {
      const all = [...counts, enough]
      const held = all.reduce((sum, count, at) => sum + count * (sizes[at]?.size ?? 0), 0)
      const many = all.reduce((sum, count) => sum + count, 0)
      const sum = cost + enough * (pack.price ?? 0)
      if (better(sum, held, many)) best = { counts: all, cost: sum, held, many }
      return
    }
    // beyond so many packs the others only fill up what is left
    for (let count = Math.max(0, enough - MOST_OF_ONE); count <= enough; count++)
      look(i + 1, left - count * pack.size, [...counts, count], cost + count * (pack.price ?? 0))
  }
  look(0, amount, [], 0)
  const counts: readonly number[] = (best as { counts: number[] } | null)?.counts ?? []
  return sizes.flatMap((pack, i) => {
    const count = counts[i] ?? 0
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
