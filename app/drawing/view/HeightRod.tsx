import { memo } from 'react'
import type { HeightNode } from '~/core/scene/rods'
import type { Frame } from './frame'
import type { Palette } from './palette'
import { spreadLabels } from './spreadLabels'
import { SvgLength } from './SvgLength'

export interface HeightRodProps {
  readonly frame: Frame
  readonly palette: Palette
  readonly wallHeight: number
  readonly tick: number
  readonly heights: readonly HeightNode[]
  /** The horizontal that is lit. */
  readonly selected: string | null
  /** Left edge of the rod, in pixels. */
  readonly left: number
  /** On a phone: type a size larger. */
  readonly small?: boolean
}

export const HEIGHT_ROD_WIDTH = 28

/** The rod's scale, which stays while heights move. */
const Ticks = memo(function Ticks({
  frame,
  palette,
  wallHeight,
  tick,
  left,
}: Pick<HeightRodProps, 'frame' | 'palette' | 'wallHeight' | 'tick' | 'left'>) {
  const { toY, scale } = frame
  const everyTick = Math.max(1, Math.ceil(5 / (tick * scale)))
  const ticks = Math.floor(wallHeight / tick / everyTick)
  return Array.from({ length: ticks }, (_, i) => (i + 1) * everyTick).map((n) => (
    <line
      key={n}
      x1={left + HEIGHT_ROD_WIDTH}
      x2={left + HEIGHT_ROD_WIDTH - (n % 12 === 0 ? 11 : 5)}
      y1={toY(n * tick)}
      y2={toY(n * tick)}
      stroke={palette.rodEdge}
      strokeWidth={0.75}
    />
  ))
})

/** The rod beside the wall: every height to mark, from the finished floor. */
export function HeightRod({
  frame,
  palette,
  wallHeight,
  tick,
  heights,
  selected,
  left,
  small = false,
}: HeightRodProps) {
  const { toY, scale } = frame
  const marks = heights.map((mark) => ({ ...mark, lit: mark.bandId !== null && mark.bandId === selected }))
  const places = spreadLabels(heights.map(({ at }) => ({ at: toY(at), size: small ? 19 : 17 })))
  return (
    <g>
      <rect
        x={left}
        y={toY(wallHeight)}
        width={HEIGHT_ROD_WIDTH}
        height={wallHeight * scale}
        fill={palette.rod}
        stroke={palette.rodEdge}
        rx={2}
      />
      <Ticks frame={frame} palette={palette} wallHeight={wallHeight} tick={tick} left={left} />
      {marks.map(({ id, at, text, lit }, i) => (
        <g key={id} data-rod-height={id}>
          <line
            x1={left - 5}
            x2={left + HEIGHT_ROD_WIDTH + 6}
            y1={toY(at)}
            y2={toY(at)}
            stroke={lit ? palette.chalk : palette.ink}
            strokeWidth={lit ? 2.5 : 1.25}
          />
          <SvgLength
            text={text}
            x={left - 9}
            y={(places[i] ?? toY(at)) + 4.5}
            textAnchor="end"
            fontSize={small ? 14 : 13}
            fontWeight={lit ? 750 : 550}
            fill={lit ? palette.chalk : palette.ink}
          />
        </g>
      ))}
    </g>
  )
}
