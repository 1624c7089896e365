import { inches } from '~/length'
import {
  type Material,
  QUARTER_ROUND,
  STOCK_LIST,
  type StockKind,
  type StockLength,
  type StockMaterial,
} from '~/model'

/** What a board costs at the start, in hundredths a foot: invented, by how wide and how thick it is. */
function centsAFoot({ width, thickness, make }: Material): number {
  const area = (width / inches(1)) * (thickness / inches(1))
  const worked = make?.profile === 'molded' ? 60 : 0
  const stuff = make?.stuff === 'hardwood' ? 1.5 : make?.stuff === 'mdf' ? 0.75 : 1
  return Math.round(24 + worked + 26 * area * stuff)
}

function kindOf({ make }: Material): StockKind {
  if (make?.profile === 'molded') return 'molding'
  return make?.edges === 'eased' ? 'eased' : 'square'
}

/** Usual lengths of boards in the yard, in feet. Common practice, no source. */
const FEET = [8, 10, 12, 16] as const

/** A crew's first stock: dressed sizes and usual moldings in their usual lengths, at invented prices. */
export function startStock(): { readonly materials: StockMaterial[]; readonly lengths: StockLength[] } {
  const all = [...STOCK_LIST, QUARTER_ROUND]
  return {
    materials: all.map((material) => ({ material, kind: kindOf(material) })),
    lengths: all.flatMap((material) =>
      FEET.map((feet): StockLength => {
        // long boards cost a little more by the foot
        const price = Math.round(centsAFoot(material) * feet * (feet > 12 ? 1.08 : 1))
        return {
          id: `${material.id}-${feet}`,
          material: material.id,
          length: inches(feet * 12),
          trueLength: null,
          price,
          leastOrder: 1,
          supplier: null,
          code: '',
          state: 'there',
          there: null,
        }
      }),
    ),
  }
}
