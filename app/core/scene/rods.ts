import { formatLength, type LengthFormat, type Tape } from '~/length'
import type { Plan } from '../computePlan'
import {
  type Datum,
  type Edge,
  edgesAlong,
  heightMarks,
  type Hook,
  hookedAt,
  runningMarks,
} from '../marks/runningMarks'
import { rulesOf } from '../patterns/rules'
import { edgesAt } from '../layout/lean'
import { baseAt } from '../survey/wallLines'

/** How the marks on the rods are taken: from where, of which edge, along which line, and how they are written. */
export interface Marking {
  readonly datum: Datum
  readonly edge: Edge
  readonly hook: Hook
  readonly tape: Tape
  readonly format: LengthFormat
}

/** A strip's place on the rod under the wall, with its running mark. Wall units from the wall's left end. */
export interface RodMark {
  readonly kind: 'rodMark'
  readonly id: string
  readonly stripId: string
  readonly number: number
  readonly left: number
  readonly right: number
  readonly markAt: number
  readonly text: string
}

/** A height on the rod beside the wall. Wall units from the finished floor at the wall's left end. */
export interface HeightNode {
  readonly kind: 'height'
  readonly id: string
  /** The horizontal it is of, where it is of one. */
  readonly bandId: string | null
  readonly at: number
  readonly text: string
}

/** A size between two places at one height. Wall units. */
export interface DimensionNode {
  readonly kind: 'dimension'
  readonly id: string
  readonly left: number
  readonly right: number
  readonly y: number
  readonly text: string
}

/** The marks on both rods, as nodes of the scene. Strips that get no mark are left out. */
export function rodNodes({ layout }: Plan, marking: Marking): (RodMark | HeightNode)[] {
  const { datum, edge, hook, tape, format } = marking
  const marks = new Map(runningMarks(layout, datum, tape, hook).map((mark) => [mark.stripId, mark]))
  const zero = hookedAt(layout, datum, hook)
  const strips = layout.uprights.flatMap((upright): RodMark[] => {
    const { id, number } = upright
    const { left, right } = edgesAlong(layout, upright, hook)
    const mark = marks.get(id)?.[edge]
    if (!mark) return []
    const markAt = datum === 'left' ? zero + mark.exact : zero - mark.exact
    const text = formatLength(mark.tick, format)
    return [{ kind: 'rodMark', id: `rod-${id}`, stripId: id, number, left, right, markAt, text }]
  })
  const heights = heightMarks(layout, tape).map(({ id, bandId = null, reading }): HeightNode => ({
    kind: 'height',
    id,
    bandId,
    at: layout.lines.base.at0 + reading.exact,
    text: formatLength(reading.tick, format),
  }))
  return [...strips, ...heights]
}

/** A gap in the middle of the wall, or beside the strip that is lit, as a dimension; null where there is none. */
export function gapDimension(
  { layout }: Plan,
  lit: string | null,
  format: LengthFormat,
): DimensionNode | null {
  const { uprights, lines, uprightFoot, uprightHead } = layout
  const ofBoxes = rulesOf(layout).places === 'margins'
  const picked = uprights.findIndex(({ id }) => id === lit)
  // of boxes one is enough, of strips a gap takes two
  const last = uprights.length - (ofBoxes ? 1 : 2)
  const index = Math.min(picked >= 0 ? picked : Math.floor(last / 2), last)
  const [before, after] = [uprights[index], uprights[ofBoxes ? index : index + 1]]
  if (!before || !after) return null
  // of boxes it is the box itself that is sized, by its right side
  const middle = ofBoxes ? (before.left + before.right) / 2 : (before.right + after.left) / 2
  const y = baseAt(lines, middle) + uprightFoot + (uprightHead - uprightFoot) * 0.58
  const [left, right] = ofBoxes
    ? [before.left, before.right]
    : [edgesAt(layout, before, y).right, edgesAt(layout, after, y).left]
  if (right <= left) return null
  return { kind: 'dimension', id: 'gap', left, right, y, text: formatLength(right - left, format) }
}
