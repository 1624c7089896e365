import type { askedText, yardText } from '~/messages'
import type { PriceProblem, PriceRow } from '~/core/yard/priceList'
import type { Tape, Units } from '~/length'
import type { StockLength, StockMaterial, Supplier, YardAct } from '~/model'

/** What the yard's page is given. */
export interface YardPageProps {
  readonly stock: {
    readonly materials: readonly StockMaterial[]
    readonly lengths: readonly StockLength[]
    readonly suppliers: readonly Supplier[]
  }
  readonly acts: readonly YardAct[]
  readonly units: Units
  readonly tape: Tape
  readonly currency: string
  readonly lists: readonly {
    readonly id: string
    readonly supplier: string
    readonly rows: readonly PriceRow[]
    readonly problems: readonly PriceProblem[]
  }[]
  readonly mood: keyof typeof yardText.moods
  readonly asked: (Parameters<typeof askedText>[0] & { readonly supplier: string }) | null
  readonly refused: string | null
}
