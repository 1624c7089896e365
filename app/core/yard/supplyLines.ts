import type { YardAct } from '~/model'
import { type PackCount, packsFor } from '../takeoff/packs'
import type { Supply } from '../takeoff/supplies'

/** Packs of one supply: how many are on hand, of which size; what is in the cart of a job, and what was paid for it. */
export interface SupplyHeld {
  readonly onHand: number
  readonly onHandSize: number
  readonly cart: readonly {
    readonly size: number
    readonly count: number
    readonly paid: number
    readonly paidFor: number
  }[]
}
const NONE: SupplyHeld = { onHand: 0, onHandSize: 0, cart: [] }

/** What of every supply is on hand and in a job's cart, from what happened in the yard. */
export function suppliesHeld(acts: readonly YardAct[], job: string): Map<string, SupplyHeld> {
  const held = new Map<string, SupplyHeld>()
  for (const act of [...acts].sort((a, b) => a.doneAt - b.doneAt)) {
    if (act.kind === 'supplyCounted')
      held.set(act.product, { ...(held.get(act.product) ?? NONE), onHand: act.count, onHandSize: act.size })
    else if (act.kind === 'supplyBought' && act.job === job) {
      const known = held.get(act.product) ?? NONE
      const own = known.cart.find(({ size }) => size === act.size) ?? {
        size: act.size,
        count: 0,
        paid: 0,
        paidFor: 0,
      }
      // of packs put back the paid ones go with what each of them cost
      const share = act.paid ?? (own.paidFor > 0 && act.count < 0 ? own.paid / own.paidFor : null)
      const paidFor = share === null ? 0 : Math.max(act.count, -own.paidFor)
      const next = {
        size: act.size,
        count: Math.max(0, own.count + act.count),
        paid: Math.max(0, Math.round(own.paid + paidFor * (share ?? 0))),
        paidFor: Math.max(0, own.paidFor + paidFor),
      }
      held.set(act.product, { ...known, cart: [...known.cart.filter(({ size }) => size !== act.size), next] })
    }
  }
  return held
}

/** One line in the shop: packs of one size, how many are wanted and how many are in the cart. */
export interface SupplyLine {
  readonly supply: Supply
  readonly size: number
  readonly need: number
  readonly inCart: number
  readonly price: number | null
  readonly paid: number
  readonly paidFor: number
}

/** What is still to be bought of a supply, with what is on hand and in the cart taken off: by size, the largest first. */
export function supplyLines(
  supplies: readonly Supply[],
  held: ReadonlyMap<string, SupplyHeld>,
): SupplyLine[] {
  return supplies.flatMap((supply): SupplyLine[] => {
    const { onHand, onHandSize, cart } = held.get(supply.key) ?? NONE
    const has = onHand * onHandSize
    const bought = cart.reduce((sum, { size, count }) => sum + size * count, 0)
    const open: readonly PackCount[] = packsFor(supply.amount - has - bought, supply.packs)
    const sizes = [...new Set([...open, ...cart.filter(({ count }) => count > 0)].map(({ size }) => size))]
    return sizes
      .sort((a, b) => b - a)
      .map((size) => {
        const own = cart.find((each) => each.size === size)
        const inCart = own?.count ?? 0
        return {
          supply,
          size,
          inCart,
          need: inCart + (open.find((each) => each.size === size)?.count ?? 0),
          price: supply.packs.find((pack) => pack.size === size)?.price ?? null,
          paid: own?.paid ?? 0,
          paidFor: own?.paidFor ?? 0,
        }
      })
  })
}
