import { ZERO } from '~/length'
import type { Act, Workpiece } from '~/model'
import { sinceRelease } from '../asbuilt/freeze'
import { releaseOf } from '../asbuilt/release'
import { computePlan } from '../computePlan'
import { toRelease } from '../cutting/toRelease'

/** What another choice costs after pieces were cut: how many still do, how many are for nothing, how much of them can be cut again. */
export interface ChoiceCost {
  readonly cut: number
  readonly fits: number
  /** Cut and wanted no more; of those, the ones that something shorter can be cut from. */
  readonly wasted: number
  readonly serves: number
  /** The wasted pieces' lengths together, in nanometers, and what that much of their boards costs, in hundredths; null without prices. */
  readonly length: number
  readonly money: number | null
}

/** The dearest price a length of a material is sold at, per nanometer; null without prices. */
function priceOf(material: string, { shop }: Workpiece['settings']): number | null {
  const prices = shop.offers.flatMap(({ material: of, price, length }) =>
    of === material && price !== null ? [price / length] : [],
  )
  return prices.length === 0 ? null : Math.max(...prices)
}

/** What choosing this design costs, by what was ticked as cut of the list at the saw; null where nothing was cut. */
export function choiceCost(acts: readonly Act[], option: Workpiece): ChoiceCost | null {
  const release = releaseOf(acts)
  const cut = release?.pieces.filter(({ cutAt }) => cutAt !== null) ?? []
  if (!release || cut.length === 0) return null
  const since = sinceRelease(release, toRelease(computePlan(option), option))
  const over = new Set(since.leftOver.map(({ name }) => name))
  const wasted = cut.filter(({ piece }) => over.has(piece.name))
  const prices = wasted.map(({ piece }) => {
    const price = priceOf(piece.materialId, option.settings)
    return price === null ? null : price * piece.longLength
  })
  return {
    cut: cut.length,
    fits: cut.length - wasted.length,
    wasted: wasted.length,
    serves: since.leftOver.filter(({ serves }) => serves !== null).length,
    length: wasted.reduce((sum, { piece }) => sum + piece.longLength, ZERO as number),
    money: prices.some((price) => price === null)
      ? null
      : Math.round(prices.reduce((sum: number, price) => sum + (price ?? 0), 0)),
  }
}
