import { inches, type Length, nearestNanometer, readOnTape, type Tape } from '~/length'
import { boundsOf } from '../geometry'
import type { Layout } from '../layout/layout'
import type { Piece } from '../pieces'
import { type Block, blockCards } from './blocks'
import { spacerBlock } from './runningMarks'

/** A block this wall wants: what carries or gauges something, and how long it is cut. */
export type KitBlock = { readonly id: string; readonly length: Length } & (
  | { readonly kind: 'spacer' }
  | { readonly kind: 'block'; readonly block: Block }
  /** A stick as long as the diagonal of a frame: held both ways it shows whether the frame is square. */
  | { readonly kind: 'checkStick'; readonly row: number }
  /** A piece of scrap with the saw's angle cut on its end. */
  | { readonly kind: 'angleGauge'; readonly deg: number }
)

/** An angle gauge is about as long as a hand and a half. Common practice, no source. */
const GAUGE = inches(8)
/** More gauges than this are no help. */
const MOST_GAUGES = 4

function checkSticks({ frames }: Layout, tape: Tape): KitBlock[] {
  const rows = [...new Set(frames.map(({ row }) => row))]
  return rows.flatMap((row): KitBlock[] => {
    const frame = frames.find((each) => each.row === row && each.outline.length === 4)
    if (!frame) return []
    const { left, right, bottom, top } = boundsOf(frame.outline)
    const length = nearestNanometer(readOnTape(Math.hypot(right - left, top - bottom), tape).tick)
    return [{ kind: 'checkStick', id: `check-${row + 1}`, row: row + 1, length }]
  })
}

/** The angles lines are cut at, the most used first: a gauge for each checks every cut. */
function angleGauges(pieces: readonly Piece[]): KitBlock[] {
  const used = new Map<number, number>()
  for (const { role, start, end } of pieces)
    for (const cut of role === 'line' ? [start, end] : [])
      if (cut.kind === 'miter') {
        const deg = Math.round(cut.sawSettingDeg * 10) / 10
        used.set(deg, (used.get(deg) ?? 0) + 1)
      }
  return [...used]
    .sort(([a, many], [b, more]) => more - many || a - b)
    .slice(0, MOST_GAUGES)
    .map(([deg]) => ({ kind: 'angleGauge', id: `angle-${deg}`, deg, length: GAUGE }))
}

/** Every block a wall wants: the spacer, what carries heights and margins, check sticks, angle gauges. */
export function kitOf(layout: Layout, pieces: readonly Piece[], tape: Tape): KitBlock[] {
  const spacer = spacerBlock(layout, 'left', tape)
  return [
    ...(spacer
      ? [{ kind: 'spacer' as const, id: 'spacer', length: nearestNanometer(spacer.length.tick) }]
      : []),
    ...blockCards(layout, tape).flatMap(({ blocks }) =>
      blocks.map((block) => ({
        kind: 'block' as const,
        id: block.id,
        block,
        length: nearestNanometer(block.length.tick),
      })),
    ),
    ...checkSticks(layout, tape),
    ...angleGauges(pieces),
  ]
}
