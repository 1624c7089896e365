import { memo } from 'react'
import type { Frame } from './frame'
import type { Palette } from './palette'
import { SvgLength } from './SvgLength'
import { labelWidth, thinLabels } from './spreadLabels'

/** One strip on the long rod: where it lies, its number, and the mark the tape reads. */
export interface RodStrip {
  readonly id: string
  readonly number: number
  readonly left: number
  readonly right: number
  /** Where the pencil line goes, in wall units. */
  readonly markAt: number
  readonly label: string
}

export interface LongRodProps {
  readonly frame: Frame
  readonly palette: Palette
  readonly wallWidth: number
  /** Wall units between two ticks. */
  readonly tick: number
  readonly strips: readonly RodStrip[]
  readonly selected: string | null
  readonly top: number
  readonly caption: string
  readonly onPoint?: (stripId: string | null) => void
  readonly onPick?: (stripId: string) => void
}

const HEIGHT = 34

/** The rod's scale, which stays while the strips move. */
const Ticks = memo(function Ticks({
  frame,
  palette,
  wallWidth,
  tick,
  top,
}: Pick<LongRodProps, 'frame' | 'palette' | 'wallWidth' | 'tick' | 'top'>) {
  const { toX, scale } = frame
  const ticks = Math.floor(wallWidth / tick)
  const everyTick = Math.max(1, Math.ceil(4 / (tick * scale)))
  return Array.from({ length: Math.floor(ticks / everyTick) }, (_, i) => (i + 1) * everyTick).map((n) => (
    <line
      key={n}
      x1={toX(n * tick)}
      x2={toX(n * tick)}
      y1={top + HEIGHT}
      y2={top + HEIGHT - (n % 12 === 0 ? 12 : 6)}
      stroke={palette.rodEdge}
      strokeWidth={0.75}
    />
  ))
})

/** The rod under the wall: every strip's place full width, its number, and its running mark below. */
export function LongRod(props: LongRodProps) {
  const { frame, palette, wallWidth, strips, selected, top, tick } = props
  const { toX, scale } = frame
  const wishes = strips.map(({ markAt, label }) => ({ at: toX(markAt), size: labelWidth(label, 13) + 9 }))
  const must = strips.flatMap(({ id }, i) => (id === selected ? [i] : []))
  const shown = thinLabels(wishes, new Set(must))
  const lower = thinLabels(wishes, new Set(), shown)
  const numbered = thinLabels(
    strips.map(({ left, right, number }) => ({
      at: toX((left + right) / 2),
      size: String(number).length * 7 + 5,
    })),
    new Set(must),
  )
  return (
    <g onPointerLeave={() => props.onPoint?.(null)}>
      <rect
        x={toX(0)}
        y={top}
        width={wallWidth * scale}
        height={HEIGHT}
        fill={palette.rod}
        stroke={palette.rodEdge}
        rx={2}
      />
      <Ticks frame={frame} palette={palette} wallWidth={wallWidth} tick={tick} top={top} />
      {strips.map(({ id, number, left, right, markAt, label }, i) => {
        const lit = id === selected
        const inside = (right - left) * scale > 9 + 5 * String(number).length
        return (
          <g
            key={id}
            data-rod-strip={id}
            data-lit={lit || undefined}
            onPointerEnter={() => props.onPoint?.(id)}
            onClick={() => props.onPick?.(id)}
            cursor={props.onPick ? 'pointer' : undefined}
          >
            <rect
              x={toX(left)}
              y={top}
              width={Math.max(1, (right - left) * scale)}
              height={HEIGHT}
              fill={lit ? palette.chalk : palette.rodEdge}
              fillOpacity={lit ? 1 : 0.35}
            />
            <line
              x1={toX(markAt)}
              x2={toX(markAt)}
              y1={top - 7}
              y2={top + HEIGHT + 5}
              stroke={lit ? palette.chalk : palette.ink}
              strokeWidth={lit ? 2.5 : 1.25}
            />
            {numbered.has(i) ? (
              <text
                x={toX((left + right) / 2)}
                y={inside ? top + HEIGHT / 2 + 4 : top - 10}
                textAnchor="middle"
                fontSize={12}
                fontWeight={650}
                fill={inside ? (lit ? palette.paper : palette.rodInk) : lit ? palette.chalk : palette.soft}
              >
                {number}
              </text>
            ) : null}
            {shown.has(i) || lower.has(i) ? (
              <SvgLength
                text={label}
                x={toX(markAt)}
                y={top + HEIGHT + (shown.has(i) ? 21 : 38)}
                textAnchor="middle"
                fontSize={lit ? 14.5 : 13}
                fontWeight={lit ? 750 : 550}
                fill={lit ? palette.chalk : palette.ink}
              />
            ) : null}
          </g>
        )
      })}
      <text x={toX(0)} y={top + HEIGHT + (lower.size > 0 ? 57 : 40)} fontSize={12} fill={palette.soft}>
        {props.caption}
      </text>
    </g>
  )
}
