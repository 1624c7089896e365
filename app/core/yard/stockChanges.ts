import type { Length } from '~/length'
import type { Offer, Settings, StockLength } from '~/model'

/** How the crew's stock differs from what a job took of it: a price, a true length, or a length the job does not have. */
export interface StockChange {
  readonly material: string
  readonly length: Length
  readonly job: { readonly price: number | null; readonly trueLength: Length | null } | null
  readonly now: { readonly price: number | null; readonly trueLength: Length | null }
}

/** What taking the crew's prices of today would change in a job, for the materials named. A price nobody knows changes nothing. */
export function stockChanges(
  materials: readonly string[],
  { shop }: Settings,
  lengths: readonly StockLength[],
): StockChange[] {
  return lengths.flatMap(({ material, length, price, trueLength }): StockChange[] => {
    if (!materials.includes(material)) return []
    const offer = shop.offers.find((each) => each.material === material && each.length === length)
    if (!offer) return price === null ? [] : [{ material, length, job: null, now: { price, trueLength } }]
    const same = (price === null || price === offer.price) && trueLength === (offer.trueLength ?? null)
    if (same) return []
    return [
      {
        material,
        length,
        job: { price: offer.price, trueLength: offer.trueLength ?? null },
        now: { price: price ?? offer.price, trueLength },
      },
    ]
  })
}

/** The offers of a job with these changes taken: each at the price of today, new lengths among them. */
export function takeChanges(offers: readonly Offer[], changes: readonly StockChange[]): Offer[] {
  const taken = offers.map((offer): Offer => {
    const change = changes.find((each) => each.material === offer.material && each.length === offer.length)
    return change ? offerOf(offer.id, change) : offer
  })
  const fresh = changes.filter(({ job }) => job === null)
  const ids = new Set(offers.map(({ id }) => id))
  return [
    ...taken,
    ...fresh.map((change) => {
      const id = `${change.material}-${change.length}`
      return offerOf(ids.has(id) ? `${id}-2` : id, change)
    }),
  ]
}

function offerOf(id: string, { material, length, now }: StockChange): Offer {
  const { price, trueLength } = now
  return { id, material, length, price, ...(trueLength === null ? {} : { trueLength }) }
}
