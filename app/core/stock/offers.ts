import { type Length, nearestNanometer } from '~/length'
import type { Settings } from '~/model'

/** What stuff is cut from: a board on sale, or a strip as long as the sheet it is ripped from, which has no price of its own. */
export interface StockOffer {
  readonly id: string
  readonly length: Length
  readonly price: number | null
}

/** What a material comes in: ripped strips as long as their sheet, else the boards on sale. */
export function offersOf(materialId: string, { shop }: Settings): StockOffer[] {
  const sheetId = shop.ripped[materialId]
  if (sheetId === undefined)
    return shop.offers
      .filter(({ material }) => material === materialId)
      .map(({ id, length, trueLength, price }) => ({ id, length: trueLength ?? length, price }))
  return shop.sheets.filter(({ id }) => id === sheetId).map(({ id, length }) => ({ id, length, price: null }))
}

/** The longest piece each material gives, by its id; none where nothing is listed that it comes in. */
export function longestOf(settings: Settings): Map<string, Length> {
  const { endTrim } = settings.shop
  return new Map(
    settings.materials.flatMap(({ id }) => {
      const lengths = offersOf(id, settings).map(({ length }) => length - endTrim)
      return lengths.length > 0 ? [[id, nearestNanometer(Math.max(...lengths))] as const] : []
    }),
  )
}
