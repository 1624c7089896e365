import type { Pack, Product } from '~/model'

/** What a product's amounts are counted in. Volumes are US fluid ounces, lengths feet. */
export type SupplyUnit = 'ounces' | 'feet' | 'pieces'

const unpriced = (...sizes: number[]): Pack[] => sizes.map((size) => ({ size, price: null }))

/** The unit and the usual packs of each product: common practice, no source. Prices are the crew's own. */
export const PRODUCT_RULES: Readonly<
  Record<Product, { readonly unit: SupplyUnit; readonly packs: readonly Pack[] }>
> = {
  adhesive: { unit: 'ounces', packs: unpriced(10.1) },
  hotGlue: { unit: 'pieces', packs: unpriced(24) },
  mountTape: { unit: 'feet', packs: unpriced(15) },
  nails: { unit: 'pieces', packs: unpriced(1_000) },
  pins: { unit: 'pieces', packs: unpriced(2_000) },
  filler: { unit: 'ounces', packs: unpriced(8, 32) },
  skim: { unit: 'ounces', packs: unpriced(128, 576) },
  caulk: { unit: 'ounces', packs: unpriced(10.1) },
  primer: { unit: 'ounces', packs: unpriced(32, 128) },
  paint: { unit: 'ounces', packs: unpriced(32, 128) },
  stain: { unit: 'ounces', packs: unpriced(8, 32) },
  varnish: { unit: 'ounces', packs: unpriced(8, 32) },
  shellac: { unit: 'ounces', packs: unpriced(16, 32) },
  sandpaper: { unit: 'pieces', packs: unpriced(5, 25) },
  tape: { unit: 'feet', packs: unpriced(180) },
  miterGlue: { unit: 'ounces', packs: unpriced(2) },
  props: { unit: 'pieces', packs: [{ size: 1, price: 0 }] },
  panels: { unit: 'pieces', packs: unpriced(1) },
  paper: { unit: 'pieces', packs: unpriced(1) },
  mural: { unit: 'pieces', packs: unpriced(1) },
  dustSheet: { unit: 'pieces', packs: unpriced(1) },
  mask: { unit: 'pieces', packs: unpriced(1, 5) },
}

/** The product a supply's key begins with: nails/18/50800000 is nails. */
export function productOf(key: string): Product {
  const [product = ''] = key.split('/')
  if (product in PRODUCT_RULES) return product as Product
  throw new Error(`no product '${key}'`)
}
