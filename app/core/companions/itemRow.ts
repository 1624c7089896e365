import { nearestNanometer, type Length } from '~/length'
import type { ItemRow } from '~/model'
import { boundsOf, outsideOf, type Polygon, rectangle, sharedArea, signedArea, TOUCHING } from '../geometry'
import type { Layout } from '../layout/layout'
import type { Piece } from '../pieces'
import { baseAt } from '../survey/wallLines'
import { middleOf } from './middle'

/** An item in its place: its left edge along the wall, and whether it lies on strips, on the wall between, or bridges both. */
export interface PlacedItem {
  readonly name: string
  readonly left: number
  readonly width: Length
  readonly lies: 'strips' | 'wall' | 'bridges'
}

/** A row on this wall: lengths along it from the left corner. */
export interface PlacedRow {
  readonly row: ItemRow
  readonly items: readonly PlacedItem[]
  readonly left: number
  readonly right: number
  /** The span it hangs in. */
  readonly from: number
  readonly to: number
  /** The gaps between neighbors, exact; negative where they run into one another. */
  readonly gaps: readonly number[]
  readonly line: number
  /** How far strips stand out where items bridge: what is packed behind them on the wall; null where none does. */
  readonly packing: Length | null
}

/** Left edges of items of these widths, from 0 at the row's or the span's left end, and how wide the row is. */
export function spreadItems(
  widths: readonly number[],
  spread: ItemRow['spread'],
  span: number,
): { readonly lefts: readonly number[]; readonly row: number } {
  const total = widths.reduce((sum, width) => sum + width, 0)
  const running = (gap: number, first: number) => {
    let at = first
    return widths.map((width) => {
      const left = at
      at += width + gap
      return left
    })
  }
  switch (spread.by) {
    case 'equal': {
      const gap = (span - total) / (widths.length + 1)
      return { lefts: running(gap, gap), row: span }
    }
    case 'gap':
      return { lefts: running(spread.gap, 0), row: total + spread.gap * (widths.length - 1) }
    case 'pitch': {
      const middles = widths.map((_, i) => i * spread.pitch)
      const first = widths[0] ?? 0
      const last = widths.at(-1) ?? 0
      const reach = spread.pitch * (widths.length - 1)
      // by its first and last middles the row is as if both ended in their middles
      const lead = spread.centered === 'ends' ? first / 2 : 0
      return {
        lefts: middles.map((middle, i) => lead + middle - (widths[i] ?? 0) / 2),
        row: spread.centered === 'ends' ? reach + first / 2 + last / 2 : reach,
      }
    }
  }
}

/** How an item lies on what is behind it, by how much of its back is borne: none, all, or a part. */
function liesOn(outline: Polygon, behind: readonly Polygon[]): PlacedItem['lies'] {
  const area = Math.abs(signedArea(outline))
  const bare = outsideOf(outline, behind).reduce((sum, part) => sum + Math.abs(signedArea(part)), 0)
  const borne = area - bare
  const { left, right, bottom, top } = boundsOf(outline)
  // a strip of the item as thin as paint along its longest side
  const least = Math.max(right - left, top - bottom) * TOUCHING
  return borne <= least ? 'wall' : borne >= area - least ? 'strips' : 'bridges'
}

/** Places a row on a laid out wall; null where what it is centered on is gone. */
export function placeRow(
  row: ItemRow,
  layout: Layout,
  pieces: readonly Piece[],
  thicknessOf: (materialId: string) => number,
): PlacedRow | null {
  const span = middleOf(row.middle, layout, row.line)
  if (!span) return null
  const widths = row.items.map(({ width }) => width)
  const { lefts, row: wide } = spreadItems(widths, row.spread, span.right - span.left)
  const start = row.spread.by === 'equal' ? span.left : span.x - wide / 2
  const line = baseAt(layout.lines, span.x) + row.line
  const flat = pieces.filter(({ role }) => role !== 'cap' && role !== 'shelf' && role !== 'sideTrim')
  const outlines = row.items.map(({ width }, i) => {
    const left = start + (lefts[i] ?? 0)
    return rectangle(left, line, left + width, line + row.height)
  })
  const faces = flat.map(({ face }) => face)
  const items = row.items.map(({ name, width }, i): PlacedItem => ({
    name,
    left: start + (lefts[i] ?? 0),
    width,
    lies: liesOn(outlines[i] ?? [], faces),
  }))
  const bridging = outlines.filter((_, i) => items[i]?.lies === 'bridges')
  const behind = flat.filter(({ polygon }) => bridging.some((outline) => sharedArea(outline, polygon) > 0))
  const ends = items.map(({ left, width }) => left + width)
  return {
    row,
    items,
    left: Math.min(...items.map(({ left }) => left)),
    right: Math.max(...ends),
    from: span.left,
    to: span.right,
    gaps: items.slice(1).map(({ left }, i) => left - (ends[i] ?? 0)),
    line: row.line,
    packing:
      behind.length === 0
        ? null
        : nearestNanometer(Math.max(...behind.map(({ materialId }) => thicknessOf(materialId)))),
  }
}

/** An item as it lies on the wall, in wall units. */
export function itemOutline({ left, width }: PlacedItem, { row }: PlacedRow, base: number): Polygon {
  return rectangle(left, base + row.line, left + width, base + row.line + row.height)
}
