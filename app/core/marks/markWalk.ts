import { nearestNanometer, type Length, readOnTape, type TapeReading, tickOf } from '~/length'
import { inForce, type Workpiece } from '~/model'
import { placeRow } from '../companions/itemRow'
import type { Plan } from '../computePlan'
import { boundsOf } from '../geometry'
import { bendsWithin, profileAt } from '../survey/profile'
import { type LineMark, lineMarks, type MarkedOn } from './lineMarks'
import {
  type Datum,
  headLessFoot,
  type HeightMark,
  heightMarks,
  type Hook,
  type LaserHeight,
  laserHeights,
  runningMarks,
  spacerBlock,
  type StripMarks,
} from './runningMarks'

/** One thing to mark, in walking order. */
export type MarkWhat =
  /** The level line: from the highest point of the floor or a datum of one's choice, so far from the left corner. */
  | {
      readonly kind: 'level'
      readonly place: TapeReading
      readonly falls: TapeReading
      /** How much higher the floor is elsewhere: nothing where it is struck from the highest point. */
      readonly rises: TapeReading
      /** How high a laser line stands over the floor at the left corner; null without one. */
      readonly laser: TapeReading | null
    }
  /** A height all along the wall: over the floor, or from a laser line at its two ends. */
  | { readonly kind: 'height'; readonly mark: HeightMark; readonly laser: LaserHeight | null }
  /** One box along a stair: its corners over the floor there, at its left and its right side. */
  | {
      readonly kind: 'boxHeights'
      readonly number: number
      readonly stripId: string
      readonly bottom: readonly [TapeReading, TapeReading]
      readonly top: readonly [TapeReading, TapeReading]
    }
  /** A strip's edges along the line the tape is hooked on, and along the other line where it leans; whether the block should agree there. */
  | {
      readonly kind: 'upright'
      readonly marks: StripMarks
      readonly other: StripMarks | null
      readonly check: boolean
    }
  /** Where a struck strip meets a side of the field or another's face: nearer and farther edge. */
  | { readonly kind: 'line'; readonly on: MarkedOn; readonly mark: LineMark }
  /** An item of a row that hangs on the wall. */
  | {
      readonly kind: 'item'
      readonly row: number
      readonly name: string
      readonly near: TapeReading
      readonly far: TapeReading
      readonly line: TapeReading
    }

export interface MarkStep {
  readonly id: string
  readonly what: MarkWhat
  /** The strip that is lit; null where none is. */
  readonly stripId: string | null
  /** Where it is by now: a mark made at another value does not hold. For strips their left edge. */
  readonly value: Length
}

/** Where the level line is struck from: the floor's highest point, an end of the layout, or its middle. */
export const LEVEL_FROM = ['highest', 'left', 'middle', 'right'] as const
export type LevelFrom = (typeof LEVEL_FROM)[number]

export interface WalkAsked {
  readonly datum: Datum
  readonly hook: Hook
  /** The laser's height; null where heights go by the floor. */
  readonly laser: number | null
  /** The level line's datum; the floor's highest point where nothing is said. */
  readonly from?: LevelFrom
  /** How far below the floor that will be heights are measured from. */
  readonly above?: number
}

/** The level line's place along the layout, how far the floor falls from there at the most, and how far it rises. */
function floorOf(
  { shape, left, right }: Plan['layout'],
  from: LevelFrom,
): { place: number; falls: number; rises: number } {
  const places = bendsWithin(shape.floor, left, right)
  const heights = places.map((x) => profileAt(shape.floor, x))
  const most = Math.max(...heights)
  const place = {
    highest: places[heights.indexOf(most)] ?? left,
    left,
    middle: (left + right) / 2,
    right,
  }[from]
  const here = profileAt(shape.floor, place)
  return { place, falls: here - Math.min(...heights), rises: most - here }
}

/** The heights of each box along a stair, over the base line under its sides. */
function boxSteps({ layout }: Plan, tape: Workpiece['settings']['tape']): MarkStep[] {
  if (layout.lines.followed.length === 0) return []
  const { lines } = layout
  return layout.frames.map(({ id, number, outline }) => {
    const { left, right } = boundsOf(outline)
    const floor = (x: number) => profileAt(layout.shape.floor, x) + lines.build
    const at = (x: number, how: (...ys: number[]) => number) => {
      const own = outline.filter((point) => Math.abs(point.x - x) < 1_000).map(({ y }) => y)
      const ys = own.length > 0 ? own : outline.map(({ y }) => y)
      return readOnTape(how(...ys) - floor(x), tape)
    }
    const bottom = [at(left, Math.min), at(right, Math.min)] as const
    const top = [at(left, Math.max), at(right, Math.max)] as const
    return {
      id: `heights/${id}`,
      stripId: id,
      value: nearestNanometer(bottom[0].exact),
      what: { kind: 'boxHeights', number, stripId: id, bottom, top },
    }
  })
}

/** Everything that is marked on a wall of any pattern: level line, heights, strips from the hook on, struck strips where they meet something, rows. */
export function markWalk(
  plan: Plan,
  workpiece: Workpiece,
  { datum, hook, laser, from = 'highest', above = 0 }: WalkAsked,
): MarkStep[] {
  const { layout, pieces } = plan
  if (layout.right <= layout.left || (pieces.length === 0 && layout.uprights.length === 0)) return []
  const { tape } = workpiece.settings
  const { place, falls, rises } = floorOf(layout, from)
  const steps: MarkStep[] = [
    {
      id: 'level',
      stripId: null,
      value: nearestNanometer(place),
      what: {
        kind: 'level',
        place: readOnTape(place, tape),
        falls: readOnTape(falls, tape),
        rises: readOnTape(rises, tape),
        laser: laser === null ? null : readOnTape(laser, tape),
      },
    },
  ]
  const byLaser = laser === null ? [] : laserHeights(layout, tape, laser)
  for (const mark of heightMarks(layout, tape, above)) {
    if (mark.what === 'ceiling' || mark.what === 'headLine' || mark.what === 'baseTop') continue
    const fromLaser = laser === null ? null : (byLaser.find(({ id }) => id === mark.id) ?? null)
    steps.push({
      id: `height/${mark.id}`,
      stripId: mark.bandId ?? null,
      value: nearestNanometer(mark.reading.exact),
      what: { kind: 'height', mark, laser: fromLaser },
    })
  }
  steps.push(...boxSteps(plan, tape))

  const otherHook: Hook = hook === 'head' ? 'foot' : 'head'
  const leans = Math.abs(headLessFoot(layout, datum)) > tickOf(tape)
  const others = leans ? runningMarks(layout, datum, tape, otherHook) : []
  const checks = new Set(spacerBlock(layout, datum, tape, hook)?.checks.map(({ stripId }) => stripId))
  const uprights = new Map(layout.uprights.map((each) => [each.id as string, each]))
  runningMarks(layout, datum, tape, hook).forEach((marks, i) => {
    const upright = uprights.get(marks.stripId)
    steps.push({
      id: marks.stripId,
      stripId: marks.stripId,
      value: nearestNanometer(upright?.left ?? 0),
      what: { kind: 'upright', marks, other: others[i] ?? null, check: checks.has(marks.stripId) },
    })
  })
  for (const { on, marks } of lineMarks(layout, pieces, tape))
    for (const mark of marks)
      steps.push({
        id: `line/${on.kind === 'side' ? on.side : on.kind === 'middle' ? 'middle' : `${on.stripId}.${on.face}`}/${mark.pieceId}/${mark.end}`,
        stripId: mark.stripId,
        value: nearestNanometer(mark.near.exact),
        what: { kind: 'line', on, mark },
      })
  const { rows } = inForce(workpiece.wall.design).companions
  rows.forEach((row, r) => {
    const placed = placeRow(row, layout, pieces, (id) => layout.materials.get(id)?.thickness ?? 0)
    placed?.items.forEach(({ name, left, width }, i) => {
      const from = (x: number) => readOnTape(datum === 'left' ? x : workpiece.wall.survey.width - x, tape)
      const [near, far] = datum === 'left' ? [left, left + width] : [left + width, left]
      steps.push({
        id: `item/${row.id}/${i}`,
        stripId: null,
        value: nearestNanometer(left),
        what: {
          kind: 'item',
          row: r + 1,
          name,
          near: from(near),
          far: from(far),
          line: readOnTape(placed.line, tape),
        },
      })
    })
  })
  return steps
}
