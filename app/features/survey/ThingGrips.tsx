import { useRef } from 'react'
import { mergeProps, useFocusRing, useMove } from 'react-aria'
import { outlineOf } from '~/core/survey/obstacles'
import { boundsOf } from '~/core/geometry'
import type { Frame } from '~/drawing/view/frame'
import { PutBackButton, usePutBack } from '~/editor/PutBack'
import { useWallNow } from '~/editor/WallEditor'
import { nanometers, tickOf } from '~/length'
import { gripName, say } from '~/messages'
import type { Thing } from '~/model'

/** A pull begins after so many pixels: a press that trembles moves nothing. */
const PULL_AFTER = 5

interface GripProps {
  readonly thing: Thing
  readonly frame: Frame
  readonly picked: boolean
  readonly pick: (id: string) => void
}

/** Takes hold of one thing on the drawing and pushes it to its place; arrow keys move it tick by tick. */
function ThingGrip({ thing, frame, picked, pick }: GripProps) {
  const { workpiece, wording, pull, hold, release } = useWallNow()
  const put = usePutBack()
  const pulling = useRef<'no' | 'pending' | 'yes'>('no')
  const { things } = workpiece.wall.survey
  const tick = tickOf(workpiece.settings.tape)
  const start = useRef({ left: 0, bottom: 0, x: 0, y: 0 })
  const { focusProps, isFocusVisible } = useFocusRing()
  const moveTo = (left: number, bottom: number, pace: 'live' | 'typed') => {
    const snap = (value: number) => nanometers(Math.round(value / tick) * tick)
    const moved = things.map((each) =>
      each.id === thing.id ? { ...each, left: snap(left), bottom: snap(Math.max(0, bottom)) } : each,
    )
    pull([{ type: 'patchSurvey', patch: { things: moved } }], pace)
  }
  const begin = () => {
    pulling.current = 'yes'
    pick(thing.id)
    put.grip(say(thing.left, wording))
    hold()
  }
  const { moveProps } = useMove({
    onMoveStart: ({ pointerType }) => {
      start.current = { left: thing.left, bottom: thing.bottom, x: 0, y: 0 }
      // under touch a thing is picked by a press, and only what is picked is pulled
      pulling.current = pointerType === 'touch' && !picked ? 'no' : 'pending'
      if (pointerType === 'keyboard') begin()
    },
    onMove: ({ deltaX, deltaY, pointerType, shiftKey }) => {
      if (pointerType === 'keyboard') {
        const step = tick * (shiftKey ? 16 : 1)
        return moveTo(thing.left + Math.sign(deltaX) * step, thing.bottom - Math.sign(deltaY) * step, 'typed')
      }
      if (pulling.current === 'no') return
      const from = start.current
      from.x += deltaX
      from.y += deltaY
      if (pulling.current === 'pending') {
        if (Math.hypot(from.x, from.y) < PULL_AFTER) return
        begin()
      }
      moveTo(from.left + from.x / frame.scale, from.bottom - from.y / frame.scale, 'live')
    },
    onMoveEnd: () => {
      if (pulling.current === 'yes') {
        release()
        put.letGo()
      }
      pulling.current = 'no'
    },
  })
  const { left, right, bottom, top } = boundsOf(outlineOf(thing))
  // small plates get a grip a finger can hit
  const grow = Math.max(0, (48 - (right - left) * frame.scale) / 2)
  return (
    <>
      <g
        {...mergeProps(moveProps, focusProps, {
          onKeyDown: ({ key }: { key: string }) => {
            if (key === 'Enter' || key === ' ') pick(thing.id)
          },
          onClick: () => pick(thing.id),
        })}
        role="button"
        tabIndex={0}
        aria-pressed={picked}
        aria-label={gripName(thing, wording)}
        data-grip={thing.kind}
        style={{ outline: 'none', touchAction: picked ? 'none' : 'manipulation', cursor: 'move' }}
      >
        <rect
          x={frame.toX(left) - grow}
          y={frame.toY(top) - grow}
          width={(right - left) * frame.scale + 2 * grow}
          height={(top - bottom) * frame.scale + 2 * grow}
          fill="transparent"
          stroke={picked || isFocusVisible ? 'var(--chalk)' : 'none'}
          strokeWidth={isFocusVisible ? 4 : 2.5}
          strokeDasharray={picked && !isFocusVisible ? '6 4' : undefined}
        />
      </g>
      <PutBackButton x={frame.toX(right) + grow + 8} y={frame.toY((bottom + top) / 2)} put={put} />
    </>
  )
}

/** A grip on everything that stands on the wall. */
export function ThingGrips({
  frame,
  picked,
  pick,
}: {
  frame: Frame
  picked: string | null
  pick: (id: string) => void
}) {
  const { workpiece } = useWallNow()
  return (
    <>
      {workpiece.wall.survey.things.map((thing) => (
        <ThingGrip key={thing.id} thing={thing} frame={frame} picked={thing.id === picked} pick={pick} />
      ))}
    </>
  )
}
