import { formatLength, readOnTape } from '~/length'
import type { Survey } from '~/model'
import type { Plan } from '../computePlan'
import { lineMarks } from '../marks/lineMarks'
import { heightMarks, hookedAt, runningMarks } from '../marks/runningMarks'
import { boundsOf } from '../geometry'
import { outlineOf } from '../survey/obstacles'
import { profileAt } from '../survey/profile'
import type { Marking } from './rods'

/** One figure of a running dimension: where it is in wall units, and what the tape reads there. */
export interface RunningFigure {
  readonly id: string
  readonly at: number
  readonly text: string
  /** Left out last where there is no room for all. */
  readonly weight: 'first' | 'second'
}

/** Running dimensions, each from one zero: along the foot, over the head, up the left side. */
export interface RunningDimensions {
  readonly foot: { readonly zero: number; readonly figures: readonly RunningFigure[] }
  readonly head: { readonly zero: number; readonly figures: readonly RunningFigure[] }
  readonly side: { readonly zero: number; readonly figures: readonly RunningFigure[] }
}

/** Places nearer than this are one figure. */
const SAME = 50_000 // 0.05 mm

function ordered(figures: readonly RunningFigure[]): RunningFigure[] {
  const kept: RunningFigure[] = []
  for (const figure of [...figures].sort((a, b) => a.at - b.at)) {
    const last = kept.at(-1)
    if (!last || figure.at - last.at > SAME) kept.push(figure)
    else if (last.weight === 'second' && figure.weight === 'first') kept[kept.length - 1] = figure
  }
  return kept
}

/**
 * The figures a drawing of the wall is dimensioned with, as one marks them: both edges of every strip (near edges first) or where struck
 * strips meet the foot; the edges of what stands on the wall, and its whole width; heights. Wall units; texts as on the tape.
 */
export function runningDimensions(plan: Plan, survey: Survey, marking: Marking): RunningDimensions {
  const { layout, pieces } = plan
  const { datum, hook, tape, format } = marking
  const text = (exact: number) => formatLength(readOnTape(exact, tape).tick, format)
  const along = (zero: number) => (exact: number) => (datum === 'left' ? zero + exact : zero - exact)
  const zero = hookedAt(layout, datum, hook)
  const place = along(zero)
  const strips = runningMarks(layout, datum, tape, hook).flatMap(
    ({ stripId, near, far }): RunningFigure[] => [
      { id: `${stripId}-near`, at: place(near.exact), text: text(near.exact), weight: 'first' },
      { id: `${stripId}-far`, at: place(far.exact), text: text(far.exact), weight: 'second' },
    ],
  )
  // where only lines were struck, marks run along the field's lower side, from its left end
  const field = layout.moves?.field
  const [corner, other] = field ? [field.corners.bottomLeft, field.corners.bottomRight] : []
  const onFoot = strips.length > 0 || !corner || !other ? [] : lineMarks(layout, pieces, tape)
  const slope = corner && other ? Math.atan2(other.y - corner.y, other.x - corner.x) : 0
  const struck = onFoot
    .flatMap(({ on, marks }) => (on.kind === 'side' && on.side === 'bottom' ? marks : []))
    .flatMap(({ pieceId, end, near, far }) =>
      [near, far].map(({ exact }, i): RunningFigure => ({
        id: `${pieceId}-${end}-${i}`,
        at: (corner?.x ?? 0) + exact * Math.cos(slope),
        text: text(exact),
        weight: i === 0 ? 'first' : 'second',
      })),
    )
  const wallZero = profileAt(layout.shape[datum], layout.lines.base.at0)
  const fromEnd = (x: number) => Math.abs(x - wallZero)
  const things = survey.things
    .filter(({ fate }) => fate !== 'remove')
    .flatMap((thing): RunningFigure[] => {
      const { left, right } = boundsOf(outlineOf(thing))
      return [left, right].map((x, i) => ({
        id: `${thing.id}-${i}`,
        at: x,
        text: text(fromEnd(x)),
        weight: i === 0 ? 'first' : 'second',
      }))
    })
  // as it was read along the floor, which need not be the round figure
  const end = profileAt(layout.shape[datum === 'left' ? 'right' : 'left'], layout.lines.base.at0)
  const whole: RunningFigure = { id: 'whole', at: end, text: text(fromEnd(end)), weight: 'first' }
  const heights = heightMarks(layout, tape).map(({ id, reading }): RunningFigure => ({
    id: `height-${id}`,
    at: layout.lines.base.at0 + reading.exact,
    text: formatLength(reading.tick, format),
    weight: 'first',
  }))
  return {
    foot:
      strips.length > 0
        ? { zero, figures: ordered(strips) }
        : { zero: corner?.x ?? zero, figures: ordered(struck) },
    head: { zero: wallZero, figures: ordered([...things, whole]) },
    side: { zero: layout.lines.base.at0, figures: ordered(heights) },
  }
}
