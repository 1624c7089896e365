import type { Length } from '~/length'
import type { Settings, StockLength, Supplier } from '~/model'
import type { BoardPlan } from '../stock'
import { boughtBoards } from './jobRequests'
import type { BoughtBoards } from './yardState'

/** One line in the shop: boards of one length, how many are wanted and how many are in the cart. */
export interface ShoppingLine {
  readonly material: string
  /** As it is sold. */
  readonly length: Length
  readonly need: number
  readonly inCart: number
  /** In hundredths, as the job has it; null where it is not known. */
  readonly price: number | null
  /** What was paid for those in the cart, and for how many of them it was said. */
  readonly paid: number
  readonly paidFor: number
  readonly code: string
  /** No fewer are sold; more than are needed where that is so. */
  readonly leastOrder: number
  readonly state: StockLength['state']
  readonly there: string | null
}

/** What is bought from one supplier; null for those nobody is known for. */
export interface ShoppingGroup {
  readonly supplier: Supplier | null
  readonly lines: readonly ShoppingLine[]
}

/** What to buy, by supplier and material, shortest first: what the plans still want and what is in the cart already. */
export function shoppingList(
  plans: readonly BoardPlan[],
  bought: readonly BoughtBoards[],
  settings: Settings,
  stock: { readonly lengths: readonly StockLength[]; readonly suppliers: readonly Supplier[] },
): ShoppingGroup[] {
  const wanted = new Map<string, { material: string; length: Length; count: number }>()
  const want = (material: string, length: Length, count: number) => {
    const key = `${material} ${length}`
    const known = wanted.get(key)
    wanted.set(key, { material, length, count: (known?.count ?? 0) + count })
  }
  for (const plan of plans)
    for (const { offerId } of boughtBoards(plan, settings)) {
      const offer = settings.shop.offers.find(({ id }) => `buy:${id}` === offerId)
      if (offer) want(plan.materialId, offer.length, 1)
    }
  for (const { material, length, count } of bought) want(material, length, count)
  const lines = [...wanted.values()].map(({ material, length, count }) => {
    const kept = stock.lengths.find((each) => each.material === material && each.length === length)
    const offer = settings.shop.offers.find((each) => each.material === material && each.length === length)
    const cart = bought.find((each) => each.material === material && each.length === length)
    return {
      supplier: stock.suppliers.find(({ id }) => id === kept?.supplier) ?? null,
      line: {
        material,
        length,
        need: Math.max(count, count > (cart?.count ?? 0) ? (kept?.leastOrder ?? 1) : 0),
        inCart: cart?.count ?? 0,
        price: offer?.price ?? null,
        paid: cart?.paid ?? 0,
        paidFor: cart?.paidFor ?? 0,
        code: kept?.code ?? '',
        leastOrder: kept?.leastOrder ?? 1,
        state: kept?.state ?? ('there' as const),
        there: kept?.there ?? null,
      },
    }
  })
  const order = settings.materials.map(({ id }) => id)
  const bySupplier = new Map<string, ShoppingGroup>()
  for (const { supplier, line } of lines.sort(
    (a, b) =>
      order.indexOf(a.line.material) - order.indexOf(b.line.material) || a.line.length - b.line.length,
  )) {
    const key = supplier?.id ?? ''
    bySupplier.set(key, { supplier, lines: [...(bySupplier.get(key)?.lines ?? []), line] })
  }
  return [...bySupplier.values()].sort((a, b) =>
    (a.supplier?.name ?? '￿').localeCompare(b.supplier?.name ?? '￿'),
  )
}

/** What a list comes to: what is paid (at the list's price where nothing was said), and what the rest will cost. */
export interface ShoppingSum {
  readonly spent: number
  readonly toSpend: number
  /** Boards without a price, bought or not; packs of supplies without one. */
  readonly unpriced: number
  readonly unpricedPacks: number
  /** What was paid more (or less) than the prices the job has. */
  readonly difference: number
}

type Counted = Pick<ShoppingLine, 'need' | 'inCart' | 'price' | 'paid' | 'paidFor'>

/** Sums a list, and supplies beside it. */
export function shoppingSum(
  groups: readonly { readonly lines: readonly Counted[] }[],
  supplies: readonly Counted[] = [],
): ShoppingSum {
  const sum = { spent: 0, toSpend: 0, unpriced: 0, unpricedPacks: 0, difference: 0 }
  const add = (lines: readonly Counted[], unpriced: 'unpriced' | 'unpricedPacks') => {
    for (const { need, inCart, price, paid, paidFor } of lines) {
      const silent = Math.max(0, inCart - paidFor)
      const open = Math.max(0, need - inCart)
      sum.spent += paid + silent * (price ?? 0)
      sum.toSpend += open * (price ?? 0)
      if (price === null) sum[unpriced] += silent + open
      else sum.difference += paid - paidFor * price
    }
  }
  add(
    groups.flatMap(({ lines }) => lines),
    'unpriced',
  )
  add(supplies, 'unpricedPacks')
  return sum
}
