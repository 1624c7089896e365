import { readOnTape, type Tape, type TapeReading } from '~/length'
import { boundsOf } from '../geometry'
import type { Band, Layout } from '../layout/layout'
import { rulesOf } from '../patterns/rules'
import { bendsWithin, profileAt } from '../survey/profile'

/** What a block stands on while it is used. */
export type BlockDatum =
  { readonly kind: 'floor' | 'baseboard' } | { readonly kind: 'band'; readonly bandId: string }

/**
 * A block cut from scrap that does half the measuring. A prop block carries a horizontal while it is nailed; a margin block sets a box
 * off from the rail under it; a leg is a side of the box itself, stood on the margin block as a gauge for what comes above.
 */
export interface Block {
  readonly id: string
  readonly kind: 'prop' | 'margin' | 'leg'
  /** What it carries: the horizontal over it, or the row of boxes. */
  readonly bandId: string | null
  readonly row: number | null
  readonly length: TapeReading
  /** How much the floor falls along it: from the floor the block is right at the highest place alone. */
  readonly falls: number
}

/** The blocks that stand on one thing: a card has one datum. */
export interface BlockCard {
  readonly datum: BlockDatum
  readonly blocks: readonly Block[]
}

/** The horizontals one above another, those that share a height taken once; what lies in the way of none. */
function stacked(layout: Layout): Band[] {
  return [...layout.bands].sort((a, b) => a.bottom - b.bottom || a.top - b.top)
}

function floorFall({ shape, lines, left, right }: Layout): number {
  if (lines.followed.length > 0) return 0
  const above = bendsWithin(shape.floor, left, right).map(
    (x) => lines.base.at0 + lines.base.slope * x - lines.build - profileAt(shape.floor, x),
  )
  return Math.max(...above) - Math.min(...above)
}

/** Blocks less than this are no blocks: what lies on what needs none. */
const LEAST = 6_350_000 // 1/4 in

/** The prop block for each horizontal, from what lies next below it. Heights are along the base line, so each is one exact length. */
function propBlocks(layout: Layout, tape: Tape): { datum: BlockDatum; block: Block }[] {
  const bands = stacked(layout)
  const { lines } = layout
  return bands.flatMap((band, i) => {
    const below = bands.slice(0, i).filter(({ top }) => top <= band.bottom + 1)
    const under = below.sort((a, b) => b.top - a.top)[0]
    const foot = lines.baseTop > 0 ? ('baseboard' as const) : ('floor' as const)
    const from = under?.top ?? lines.baseTop
    if (band.bottom - from < LEAST) return []
    const datum: BlockDatum = under ? { kind: 'band', bandId: under.id } : { kind: foot }
    const block: Block = {
      id: `prop-${band.id}`,
      kind: 'prop',
      bandId: band.id,
      row: null,
      length: readOnTape(band.bottom - from, tape),
      falls: under ? 0 : floorFall(layout),
    }
    return [{ datum, block }]
  })
}

/** Of each row of boxes the block of its lower margin, and its side as a gauge on it. */
function boxBlocks(layout: Layout, tape: Tape): { datum: BlockDatum; block: Block }[] {
  if (rulesOf(layout).places !== 'margins') return []
  const { lines } = layout
  const rows = [...new Set(layout.frames.map(({ row }) => row))]
  return rows.flatMap((row) => {
    const frame = layout.frames.find((each) => each.row === row && each.outline.length === 4)
    // along a slope a box has no one height
    if (!frame || lines.followed.length > 0 || lines.base.slope !== 0) return []
    const { bottom, top } = boundsOf(frame.outline)
    const low = bottom - lines.base.at0
    const under = stacked(layout)
      .filter((band) => band.top <= low + 1)
      .sort((a, b) => b.top - a.top)[0]
    const datum: BlockDatum = under
      ? { kind: 'band', bandId: under.id }
      : { kind: lines.baseTop > 0 ? 'baseboard' : 'floor' }
    const made = (kind: Block['kind'], length: number): Block => ({
      id: `${kind}-row-${row + 1}`,
      kind,
      bandId: null,
      row: row + 1,
      length: readOnTape(length, tape),
      falls: under ? 0 : floorFall(layout),
    })
    return [
      { datum, block: made('margin', low - (under?.top ?? lines.baseTop)) },
      { datum, block: made('leg', top - bottom) },
    ]
  })
}

/** The blocks of a layout, those that stand on one thing on one card, from the floor up. */
export function blockCards(layout: Layout, tape: Tape): BlockCard[] {
  const cards = new Map<string, { datum: BlockDatum; blocks: Block[] }>()
  for (const { datum, block } of [...propBlocks(layout, tape), ...boxBlocks(layout, tape)]) {
    const key = datum.kind === 'band' ? datum.bandId : datum.kind
    const card = cards.get(key) ?? { datum, blocks: [] }
    cards.set(key, { datum, blocks: [...card.blocks, block] })
  }
  return [...cards.values()]
}
