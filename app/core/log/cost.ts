import type { Settings, YardAct } from '~/model'

/** What one thing cost a job so far, in hundredths of money. */
export interface Spent {
  /** The board's material and length, or the supply's key. */
  readonly key: string
  readonly count: number
  readonly sum: number
  /** How many of them have no price, neither paid nor on the list. */
  readonly unpriced: number
}

/**
 * What was bought for a job, to the cent: what was paid, else what the list says. What was put back counts back at the price it was taken at;
 * a board or pack without any price is counted, and told.
 */
export function spentOn(
  acts: readonly YardAct[],
  job: string,
  { shop, work }: Pick<Settings, 'shop' | 'work'>,
): Spent[] {
  const prices = new Map<string, number>()
  for (const { material, length, price } of shop.offers)
    if (price !== null) prices.set(`${material} ${length}`, price)
  for (const [product, packs] of Object.entries(work.packs))
    for (const pack of packs) if (pack.price !== null) prices.set(`${product} ${pack.size}`, pack.price)
  const sums = new Map<string, { count: number; sum: number; unpriced: number }>()
  for (const act of [...acts].sort((a, b) => a.doneAt - b.doneAt)) {
    if ((act.kind !== 'bought' && act.kind !== 'supplyBought') || act.job !== job) continue
    const key = act.kind === 'bought' ? `${act.material} ${act.length}` : `${act.product} ${act.size}`
    const known = sums.get(key) ?? { count: 0, sum: 0, unpriced: 0 }
    // put back it takes along what each cost on the mean
    const each =
      act.paid ??
      (act.count < 0 && known.count > known.unpriced
        ? known.sum / (known.count - known.unpriced)
        : prices.get(key)) ??
      null
    sums.set(key, {
      count: known.count + act.count,
      sum: known.sum + (each === null ? 0 : Math.round(each * act.count)),
      unpriced: Math.max(0, known.unpriced + (each === null ? act.count : 0)),
    })
  }
  return [...sums].flatMap(([key, each]) => (each.count > 0 ? [{ key, ...each }] : []))
}
