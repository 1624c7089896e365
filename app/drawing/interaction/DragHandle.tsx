import { useRef, useState } from 'react'
import { mergeProps, useFocusRing, useKeyboard, useMove } from 'react-aria'
import type { Palette } from '../view/palette'

export interface DragHandleProps {
  readonly label: string
  /** What the handle stands at, in words, for a screen reader. */
  readonly valueText: string
  readonly value: number
  readonly least: number
  readonly most: number
  readonly x: number
  readonly y: number
  readonly axis: 'x' | 'y'
  readonly palette: Palette
  /** Moved by so many pixels since the grip, by so many steps of the keys, or to one of its ends. */
  readonly onMove: (moved: { pixels: number } | { steps: number } | { to: 'least' | 'most' }) => void
  readonly onGrip: () => void
  readonly onRelease: () => void
}

/** Steps at a time with Shift, or with the page keys. */
const LEAP = 16
/** A pull begins after so many pixels: a press that trembles moves nothing. */
const PULL_AFTER = 5

/** What a slider does at the keys that are no arrows. */
const KEYS: Readonly<Record<string, Parameters<DragHandleProps['onMove']>[0]>> = {
  Home: { to: 'least' },
  End: { to: 'most' },
  PageUp: { steps: LEAP },
  PageDown: { steps: -LEAP },
}

/**
 * A grip on the drawing: pointer, touch and arrow keys move it alike; a screen reader finds a slider. A thumb that comes near
 * it scrolls the page: under touch a press takes it in hand first, and a pull then moves it.
 */
export function DragHandle(props: DragHandleProps) {
  const { x, y, axis, palette } = props
  const traveled = useRef(0)
  const pulling = useRef<'no' | 'pending' | 'yes'>('no')
  // under touch it is in hand once it was pressed, and until something else is
  const [inHand, setInHand] = useState(false)
  const { focusProps, isFocusVisible } = useFocusRing()
  const { moveProps } = useMove({
    onMoveStart: ({ pointerType }) => {
      traveled.current = 0
      pulling.current = pointerType === 'touch' && !inHand ? 'no' : 'pending'
      if (pointerType === 'keyboard') {
        pulling.current = 'yes'
        props.onGrip()
      }
    },
    onMove: ({ deltaX, deltaY, pointerType, shiftKey }) => {
      // either pair of arrows moves a slider; on the screen y runs down, on the wall up
      if (pointerType === 'keyboard')
        return props.onMove({ steps: Math.sign(deltaX - deltaY) * (shiftKey ? LEAP : 1) })
      if (pulling.current === 'no') return
      traveled.current += axis === 'x' ? deltaX : -deltaY
      if (pulling.current === 'pending') {
        if (Math.abs(traveled.current) < PULL_AFTER) return
        pulling.current = 'yes'
        props.onGrip()
      }
      props.onMove({ pixels: traveled.current })
    },
    onMoveEnd: () => {
      if (pulling.current === 'yes') props.onRelease()
      pulling.current = 'no'
    },
  })
  const { keyboardProps } = useKeyboard({
    onKeyDown: (event) => {
      const moved = KEYS[event.key]
      if (!moved) return event.continuePropagation()
      event.preventDefault()
      props.onGrip()
      props.onMove(moved)
      props.onRelease()
    },
  })
  return (
    <g
      {...mergeProps(moveProps, focusProps, keyboardProps, {
        onClick: (event: React.MouseEvent<SVGGElement>) => {
          event.currentTarget.focus({ preventScroll: true })
          setInHand(true)
        },
        onBlur: () => setInHand(false),
      })}
      role="slider"
      tabIndex={0}
      aria-label={props.label}
      aria-orientation={axis === 'x' ? 'horizontal' : 'vertical'}
      aria-valuemin={props.least}
      aria-valuemax={props.most}
      aria-valuenow={props.value}
      aria-valuetext={props.valueText}
      data-in-hand={inHand || undefined}
      style={{
        outline: 'none',
        touchAction: inHand ? 'none' : 'manipulation',
        cursor: axis === 'x' ? 'ew-resize' : 'ns-resize',
      }}
    >
      <circle cx={x} cy={y} r={24} fill="transparent" />
      {isFocusVisible || inHand ? (
        <circle cx={x} cy={y} r={16} fill="none" stroke={palette.chalk} strokeWidth={3} />
      ) : null}
      <circle
        cx={x}
        cy={y}
        r={9}
        fill={inHand ? palette.chalk : palette.paper}
        stroke={palette.chalk}
        strokeWidth={3.5}
      />
    </g>
  )
}
