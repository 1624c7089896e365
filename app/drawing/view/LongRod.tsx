import { memo } from 'react'
import type { RodMark } from '~/core/scene/rods'
import type { Frame } from './frame'
import type { Palette } from './palette'
import { SvgLength } from './SvgLength'
import { labelWidth, thinLabels } from './spreadLabels'

export interface LongRodProps {
  readonly frame: Frame
  readonly palette: Palette
  readonly wallWidth: number
  /** Wall units between two ticks. */
  readonly tick: number
  readonly strips: readonly RodMark[]
  readonly selected: string | null
  readonly top: number
  readonly caption: string
  /** Said where some marks have no room: how to see them. */
  readonly more?: string
  /** On a phone: type a size larger. */
  readonly small?: boolean
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

interface RodStripProps extends Pick<LongRodProps, 'frame' | 'palette' | 'top'> {
  readonly onPoint: LongRodProps['onPoint'] | undefined
  readonly onPick: LongRodProps['onPick'] | undefined
  readonly stripId: string
  readonly number: number
  readonly left: number
  readonly right: number
  readonly markAt: number
  readonly text: string
  readonly lit: boolean
  readonly size: number
  readonly numbered: boolean
  /** The row its reading stands in; null where there is no room for it. */
  readonly row: 'upper' | 'lower' | null
}

/** One strip on the rod, drawn anew only where it lies or reads otherwise. */
const RodStrip = memo(function RodStrip(props: RodStripProps) {
  const { frame, palette, top, stripId, number, left, right, markAt, text, lit, numbered, row } = props
  const { toX, scale } = frame
  const inside = (right - left) * scale > 9 + 5 * String(number).length
  return (
    <g
      data-rod-strip={stripId}
      data-lit={lit || undefined}
      onPointerEnter={() => props.onPoint?.(stripId)}
      onClick={() => props.onPick?.(stripId)}
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
      {numbered ? (
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
      {row ? (
        <SvgLength
          text={text}
          x={toX(markAt)}
          y={top + HEIGHT + (row === 'upper' ? 21 : 38)}
          textAnchor="middle"
          fontSize={lit ? 15 : props.size}
          fontWeight={lit ? 750 : 550}
          fill={lit ? palette.chalk : palette.ink}
        />
      ) : null}
    </g>
  )
})

function sameMarks(a: readonly RodMark[], b: readonly RodMark[]): boolean {
  const same = (p: RodMark, q: RodMark | undefined) =>
    p.stripId === q?.stripId &&
    p.number === q.number &&
    p.left === q.left &&
    p.right === q.right &&
    p.markAt === q.markAt &&
    p.text === q.text
  return a === b || (a.length === b.length && a.every((mark, i) => same(mark, b[i])))
}

/** The rod under the wall: every strip's place full width, its number, and its running mark below. */
export const LongRod = memo(
  function LongRod(props: LongRodProps) {
    const { frame, palette, wallWidth, strips, selected, top, tick } = props
    const { toX, scale } = frame
    const wishes = strips.map(({ markAt, text }) => ({
      at: toX(markAt),
      size: labelWidth(text, props.small ? 14 : 13) + 9,
    }))
    const must = strips.flatMap(({ stripId }, i) => (stripId === selected ? [i] : []))
    const shown = thinLabels(wishes, new Set(must))
    const lower = thinLabels(wishes, new Set(), shown)
    const untold = shown.size + lower.size < strips.length && props.onPick !== undefined
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
        {strips.map(({ stripId, number, left, right, markAt, text }, i) => (
          <RodStrip
            key={stripId}
            {...{ frame, palette, top, stripId, number, left, right, markAt, text }}
            lit={stripId === selected}
            size={props.small ? 14 : 13}
            numbered={numbered.has(i)}
            row={shown.has(i) ? 'upper' : lower.has(i) ? 'lower' : null}
            onPoint={props.onPoint}
            onPick={props.onPick}
          />
        ))}
        <text
          x={toX(0)}
          y={top + HEIGHT + (lower.size > 0 ? 57 : 40)}
          fontSize={props.small ? 14 : 12}
          fill={palette.soft}
        >
          {props.caption}
          {/* what has no room is not lost: a press shows it */}
          {untold ? (
            props.small ? (
              <tspan x={toX(0)} dy={18}>
                {props.more}
              </tspan>
            ) : (
              ` · ${props.more}`
            )
          ) : (
            ''
          )}
        </text>
      </g>
    )
  },
  ({ strips, ...a }, { strips: others, ...b }) =>
    sameMarks(strips, others) &&
    (Object.keys(a) as (keyof typeof a)[]).every((key) => Object.is(a[key], b[key])),
)
