import { inForce } from '~/model'
import { useRef } from 'react'
import { rulesOf } from '~/core/patterns/rules'
import { type DimensionNode, gapDimension } from '~/core/scene/rods'
import { DragHandle } from '~/drawing/interaction/DragHandle'
import type { Frame } from '~/drawing/view/frame'
import { GapDimension } from '~/drawing/view/GapDimension'
import { SCREEN } from '~/drawing/view/palette'
import { patternWords } from '~/messages'
import { formatLength, formatLengthWithUnit, nearestNanometer, tickOf, toInches } from '~/length'
import { PutBackButton, usePutBack } from './PutBack'
import { type Pace, useSelected, useWallNow } from './WallEditor'

/** The grip on the height rod: the top of the rail, or of the battens where there is none. */
export function HeightHandle({ frame, x }: { frame: Frame; x: number }) {
  const { plan, workpiece, wording, pull, hold, release } = useWallNow()
  const gripped = useRef(0)
  const put = usePutBack()
  const { height, lines, bands } = plan.layout
  const tick = tickOf(workpiece.settings.tape)
  // a pulled handle moves once a frame, an arrow key at once: the next press starts from where this one came to
  const move = (to: number, pace: Pace) => {
    const height = nearestNanometer(Math.min(Math.max(to, tick), lines.ceiling))
    pull([{ type: 'setHeight', height }], pace)
  }
  const y = frame.toY(lines.base.at0 + height)
  const rail = bands.some(({ id }) => id === 'topRail')
  return (
    <>
      <DragHandle
        label={rail ? 'Height of the top rail' : 'Height of the layout'}
        valueText={`${formatLengthWithUnit(height, wording.format)} from the floor`}
        value={toInches(height)}
        least={0}
        most={toInches(lines.ceiling)}
        x={x}
        y={y}
        axis="y"
        palette={SCREEN}
        onGrip={() => {
          gripped.current = height
          put.grip(formatLength(height, wording.format))
          hold()
        }}
        onMove={(moved) => {
          if ('to' in moved) return move(moved.to === 'least' ? 0 : lines.ceiling, 'typed')
          if ('steps' in moved) return move(height + moved.steps * tick, 'typed')
          move(gripped.current + moved.pixels / frame.scale, 'live')
        }}
        onRelease={() => {
          release()
          put.letGo()
        }}
      />
      <PutBackButton x={x + 26} y={y} put={put} />
    </>
  )
}

/** The grip on a gap in the middle of the wall: its dimension, and its right edge to pull. */
export function GapHandle({ frame }: { frame: Frame }) {
  const { plan, workpiece, wording, pull, hold, release } = useWallNow()
  const selected = useSelected()
  const gripped = useRef<(DimensionNode & { readonly gap: number }) | null>(null)
  const put = usePutBack()
  const { layout } = plan
  const { uprights } = layout
  const words = patternWords(layout)
  // a handle in hand stays, even where the pull leaves no gap: it can be pulled back
  const place = gapDimension(plan, selected, wording.format) ?? gripped.current
  if (!place || !rulesOf(layout).counts(layout.design)) return null
  const gap = place.right - place.left
  const tick = tickOf(workpiece.settings.tape)
  const stepCount = (strips: number) => {
    const { spacing } = inForce(workpiece.wall.design)
    const count = uprights.length - strips
    const isBoxes = rulesOf(layout).places === 'margins'
    if (isBoxes || spacing.school === 'fromCenter' || spacing.school === 'fromEnd')
      return pull([{ type: 'setGap', gap: nearestNanometer(gap + strips * tick) }], 'typed')
    if (count < 2) return
    const ends = 'ends' in spacing ? spacing.ends : 'gap'
    pull(
      [{ type: 'patchDesign', patch: { spacing: { school: 'equalByCount', strips: count, ends } } }],
      'typed',
    )
  }
  return (
    <>
      <GapDimension
        left={frame.toX(place.left)}
        right={frame.toX(place.right)}
        y={frame.toY(place.y)}
        label={place.text}
        palette={SCREEN}
      />
      <DragHandle
        label={words.size}
        valueText={`${formatLengthWithUnit(gap, wording.format)} ${words.sized}`}
        value={toInches(gap)}
        least={0}
        most={toInches(layout.right - layout.left)}
        x={frame.toX(place.right)}
        y={frame.toY(place.y)}
        axis="x"
        palette={SCREEN}
        onGrip={() => {
          gripped.current = { ...place, gap }
          put.grip(place.text)
          hold()
        }}
        onMove={(moved) => {
          if ('steps' in moved) return stepCount(Math.sign(moved.steps))
          if ('to' in moved) {
            const limits = rulesOf(layout).spacing(layout.design)
            if (limits.school === 'nearWish') pull([{ type: 'setGap', gap: limits[moved.to] }], 'typed')
            return
          }
          const wanted = (gripped.current?.gap ?? gap) + moved.pixels / frame.scale
          pull([{ type: 'setGap', gap: nearestNanometer(Math.max(wanted, tick)) }], 'live')
        }}
        onRelease={() => {
          gripped.current = null
          release()
          put.letGo()
        }}
      />
      <PutBackButton x={frame.toX(place.right) + 22} y={frame.toY(place.y)} put={put} />
    </>
  )
}
