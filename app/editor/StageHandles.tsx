import { inForce } from '~/model'
import { rulesOf } from '~/core/patterns/rules'
import { useRef } from 'react'
import { baseAt } from '~/core/survey/wallLines'
import { DragHandle } from '~/drawing/interaction/DragHandle'
import type { Frame } from '~/drawing/view/frame'
import { GapDimension } from '~/drawing/view/GapDimension'
import { SCREEN } from '~/drawing/view/palette'
import { patternWords } from '~/messages'
import { formatLength, formatLengthWithUnit, nearestNanometer, tickOf, toInches } from '~/length'
import { useWallEditor } from './WallEditor'

/** The grip on the height rod: the top of the rail, or of the battens where there is none. */
export function HeightHandle({ frame, x }: { frame: Frame; x: number }) {
  const { plan, workpiece, wording, edit, saveNow } = useWallEditor()
  const gripped = useRef(0)
  const { height, lines } = plan.layout
  const tick = tickOf(workpiece.settings.tape)
  const move = (to: number) => {
    const height = nearestNanometer(Math.min(Math.max(to, tick), lines.ceiling))
    edit([{ type: 'setHeight', height }], 'live')
  }
  return (
    <DragHandle
      label="Height of the top rail"
      valueText={`${formatLengthWithUnit(height, wording.format)} from the floor`}
      value={toInches(height)}
      least={0}
      most={toInches(lines.ceiling)}
      x={x}
      y={frame.toY(lines.base.at0 + height)}
      axis="y"
      palette={SCREEN}
      onGrip={() => (gripped.current = height)}
      onMove={(moved) =>
        'steps' in moved
          ? move(height + moved.steps * tick)
          : move(gripped.current + moved.pixels / frame.scale)
      }
      onRelease={() => void saveNow()}
    />
  )
}

/** The grip on a gap in the middle of the wall: its dimension, and its right edge to pull. */
export function GapHandle({ frame }: { frame: Frame }) {
  const { plan, workpiece, wording, edit, saveNow, selected } = useWallEditor()
  const gripped = useRef({ gap: 0, index: 0 })
  const { layout } = plan
  const { uprights } = layout
  const isBoxes = rulesOf(layout).places === 'margins'
  const words = patternWords(layout)
  const picked = uprights.findIndex(({ id }) => id === selected)
  // of boxes one is enough, of strips a gap takes two
  const last = uprights.length - (isBoxes ? 1 : 2)
  const middle = Math.floor(last / 2)
  const index = Math.min(picked >= 0 ? picked : middle, last)
  const [before, after] = [uprights[index], uprights[isBoxes ? index : index + 1]]
  if (!before || !after) return null
  // of boxes it is the box itself that is sized, by its right side
  const sized = isBoxes
    ? { left: before.left, right: before.right }
    : { left: before.right, right: after.left }
  const gap = sized.right - sized.left
  if (gap <= 0) return null
  const y = frame.toY(
    baseAt(layout.lines, (sized.left + sized.right) / 2) +
      layout.uprightFoot +
      (layout.uprightHead - layout.uprightFoot) * 0.58,
  )
  const tick = tickOf(workpiece.settings.tape)
  const stepCount = (strips: number) => {
    const { spacing } = inForce(workpiece.wall.design)
    const count = uprights.length - strips
    if (isBoxes || spacing.school === 'fromCenter' || spacing.school === 'fromEnd')
      return edit([{ type: 'setGap', gap: nearestNanometer(gap + strips * tick) }], 'live')
    if (count < 2) return
    const ends = 'ends' in spacing ? spacing.ends : 'gap'
    edit(
      [{ type: 'patchDesign', patch: { spacing: { school: 'equalByCount', strips: count, ends } } }],
      'live',
    )
  }
  return (
    <>
      <GapDimension
        left={frame.toX(sized.left)}
        right={frame.toX(sized.right)}
        y={y}
        label={formatLength(gap, wording.format)}
        palette={SCREEN}
      />
      <DragHandle
        label={words.size}
        valueText={`${formatLengthWithUnit(gap, wording.format)} ${words.sized}`}
        value={toInches(gap)}
        least={0}
        most={toInches(layout.right - layout.left)}
        x={frame.toX(sized.right)}
        y={y}
        axis="x"
        palette={SCREEN}
        onGrip={() => (gripped.current = { gap, index })}
        onMove={(moved) => {
          if ('steps' in moved) return stepCount(Math.sign(moved.steps))
          const wanted = gripped.current.gap + moved.pixels / frame.scale
          edit([{ type: 'setGap', gap: nearestNanometer(Math.max(wanted, tick)) }], 'live')
        }}
        onRelease={() => void saveNow()}
      />
    </>
  )
}
