import type { Design, SpacingOf } from '~/model'
import { equalGap, isEnough } from '../../spacing'
import { railsOf } from './layGrid'
import type { Length } from '~/length'

/** A grid by its cells: how many, how large, how far from the wished proportion (0 is exact). */
export interface CellChoice {
  readonly columns: number
  readonly rows: number
  readonly width: number
  readonly height: number
  readonly off: number
}

const MOST_ROWS = 12

/**
 * Grids of equal cells ranked by how near their cells come to a proportion, width to height: 1 is square. Widths lie
 * within the limits. `off` is the ratio of the ratios, so that too wide and too tall weigh alike. Lengths are clear.
 */
export function cellChoices(
  span: Length,
  height: Length,
  stripWidth: Length,
  border: Design['border'],
  proportion: number,
  limits: Pick<SpacingOf<'nearWish'>, 'least' | 'most' | 'moreThan'>,
): CellChoice[] {
  const found: CellChoice[] = []
  const bordered = border !== 'none'
  const ends = bordered ? 'strip' : 'gap'
  for (let columns = 1; columns <= 400; columns++) {
    const strips = bordered ? columns + 1 : columns - 1
    const width = strips < 1 ? span : equalGap(span, stripWidth, strips, ends)
    if (!(width > 0) || !isEnough(width, limits)) break
    if (width > limits.most) continue
    for (let rows = 1; rows <= MOST_ROWS; rows++) {
      const cell = (height - railsOf(rows, border) * stripWidth) / rows
      if (cell <= 0) break
      const ratio = width / cell / proportion
      found.push({ columns, rows, width, height: cell, off: Math.max(ratio, 1 / ratio) - 1 })
    }
  }
  return found.sort((a, b) => a.off - b.off || a.columns * a.rows - b.columns * b.rows)
}
