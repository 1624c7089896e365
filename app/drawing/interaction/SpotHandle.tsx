import { mergeProps, useFocusRing, useMove } from 'react-aria'

export interface SpotHandleProps {
  readonly label: string
  /** Written beside it. */
  readonly name: string
  readonly x: number
  readonly y: number
  /** How large a pixel of the screen is in the drawing's own units. */
  readonly unit: number
  readonly color: string
  readonly isSquare?: boolean
  /** Moved by so much, in the drawing's own units. */
  readonly onMove: (by: { x: number; y: number }) => void
  readonly onDone?: () => void
}

/** Steps of the keys with Shift, in pixels of the screen. */
const LEAP = 12

/** A point on a picture that is put to its place: pulled by pointer and touch, pushed by the arrow keys. */
export function SpotHandle({ label, name, x, y, unit, color, isSquare, onMove, onDone }: SpotHandleProps) {
  const { focusProps, isFocusVisible } = useFocusRing()
  const { moveProps } = useMove({
    onMove: ({ deltaX, deltaY, pointerType, shiftKey }) => {
      const by = pointerType === 'keyboard' && shiftKey ? LEAP : 1
      onMove({ x: deltaX * by * unit, y: deltaY * by * unit })
    },
    onMoveEnd: () => onDone?.(),
  })
  const r = 11 * unit
  return (
    <g
      {...mergeProps(moveProps, focusProps)}
      role="button"
      tabIndex={0}
      aria-label={label}
      data-spot={name}
      style={{ outline: 'none', touchAction: 'none', cursor: 'grab' }}
    >
      <circle cx={x} cy={y} r={24 * unit} fill="transparent" />
      {isFocusVisible ? (
        <circle cx={x} cy={y} r={17 * unit} fill="none" stroke="#fff" strokeWidth={4 * unit} />
      ) : null}
      {isSquare ? (
        <rect
          x={x - r * 0.7}
          y={y - r * 0.7}
          width={r * 1.4}
          height={r * 1.4}
          fill="#fff"
          fillOpacity={0.6}
          stroke={color}
          strokeWidth={2.5 * unit}
        />
      ) : (
        <circle cx={x} cy={y} r={r} fill="#fff" fillOpacity={0.35} stroke={color} strokeWidth={2.5 * unit} />
      )}
      <path
        d={`M${x - r * 1.5} ${y}H${x + r * 1.5}M${x} ${y - r * 1.5}V${y + r * 1.5}`}
        stroke={color}
        strokeWidth={1.2 * unit}
      />
      <text
        x={x + r * 1.4}
        y={y - r * 1.2}
        fontSize={15 * unit}
        fontWeight={700}
        fill="#fff"
        stroke="#111"
        strokeWidth={3 * unit}
        paintOrder="stroke"
      >
        {name}
      </text>
    </g>
  )
}
