import { readOnTape, type Tape, type TapeReading, tickOf } from '~/length'
import { boundsOf } from '../geometry'
import type { Layout, Upright } from '../layout/layout'
import { edgesAt, isLeaning } from '../layout/lean'
import { topsFollow } from '../layout/uprightStrip'
import { rulesOf } from '../patterns/rules'
import { profileAt } from '../survey/profile'
import { baseAt } from '../survey/wallLines'

export type Edge = 'near' | 'center' | 'far'
export type Datum = 'left' | 'right'

/** One upright's marks (a box's outer edges), measured from the datum end with the tape hooked there. */
export interface StripMarks {
  readonly stripId: string
  readonly number: number
  readonly near: TapeReading
  readonly center: TapeReading
  readonly far: TapeReading
}

/** Where the tape is hooked: along the foot line of the layout, its head line, or a laser line at a height. */
export type Hook = 'foot' | 'head' | { readonly height: number }

/** The absolute height of a hook at one end of the wall, from the floor at the left corner. */
export function hookHeight(
  { lines, left, right, uprightFoot, uprightHead }: Layout,
  datum: Datum,
  hook: Hook,
): number {
  if (typeof hook === 'object') return hook.height
  return baseAt(lines, datum === 'left' ? left : right) + (hook === 'foot' ? uprightFoot : uprightHead)
}

/**
 * The hook's height as it is said, and from which floor: foot and head line go by the floor that will be, as all heights of a layout;
 * a laser stands on the floor there is.
 */
export function hookSaid(
  layout: Layout,
  datum: Datum,
  hook: Hook,
): { readonly height: number; readonly from: 'floor' | 'present' | 'coming' } {
  const { build } = layout.lines
  if (build === 0) return { height: hookHeight(layout, datum, hook), from: 'floor' }
  if (typeof hook === 'object') return { height: hook.height, from: 'present' }
  return { height: hookHeight(layout, datum, hook) - build, from: 'coming' }
}

/** Where along the wall the tape's hook is: the end of the wall at that height, which need not be plumb. */
export function hookedAt(layout: Layout, datum: Datum, hook: Hook): number {
  return profileAt(layout.shape[datum], hookHeight(layout, datum, hook))
}

/** An upright's two edges along the line the tape is hooked on, as places along the wall. */
export function edgesAlong(layout: Layout, upright: Upright, hook: Hook): { left: number; right: number } {
  const { left, right } = upright
  if (rulesOf(layout).places !== 'uprights') return { left, right }
  const middle = (left + right) / 2
  const lift = hook === 'foot' ? layout.uprightFoot : layout.uprightHead
  const y = typeof hook === 'object' ? hook.height : baseAt(layout.lines, middle) + lift
  return edgesAt(layout, upright, y)
}

/**
 * How much farther marks are from the hook at the head than at the foot, of the strip of which it is most; 0 where the end
 * of the wall and all strips are plumb. The end may lean, and so may the strips.
 */
export function headLessFoot(layout: Layout, datum: Datum): number {
  const hooks = hookedAt(layout, datum, 'head') - hookedAt(layout, datum, 'foot')
  const sign = datum === 'left' ? -1 : 1
  const by = (upright: Upright) =>
    sign * (hooks - edgesAlong(layout, upright, 'head').left + edgesAlong(layout, upright, 'foot').left)
  if (!isLeaning(layout.lean)) return datum === 'left' ? 0 - hooks : hooks
  return layout.uprights.map(by).reduce((most, each) => (Math.abs(each) > Math.abs(most) ? each : most), 0)
}

/**
 * Running marks of all uprights, or boxes, from one end of the wall, in the order the tape meets them. The near edge is
 * the one nearer the datum. The tape is hooked against the end of the wall at the hook's height, and the marks are right
 * along that line. Each is rounded from its own exact running value, so rounding never adds up.
 */
export function runningMarks(layout: Layout, datum: Datum, tape: Tape, hook: Hook = 'foot'): StripMarks[] {
  const zero = hookedAt(layout, datum, hook)
  const from = (x: number) => (datum === 'left' ? x - zero : zero - x)
  const marks = layout.uprights.map((batten) => {
    const { left, right } = edgesAlong(layout, batten, hook)
    const near = from(datum === 'left' ? left : right)
    const far = from(datum === 'left' ? right : left)
    return {
      stripId: batten.id,
      number: batten.number,
      near: readOnTape(near, tape),
      center: readOnTape((near + far) / 2, tape),
      far: readOnTape(far, tape),
    }
  })
  return datum === 'left' ? marks : marks.reverse()
}

/** A height to mark from the finished floor. */
export interface HeightMark {
  readonly id: string
  readonly what:
    'baseTop' | 'bandBottom' | 'bandTop' | 'boxBottom' | 'boxTop' | 'uprightHead' | 'headLine' | 'ceiling'
  readonly bandId?: string
  /** The row of boxes it is of, from 1 at the bottom. */
  readonly row?: number
  readonly reading: TapeReading
}

/** The heights on the height rod, from the floor up; each line once. `above` is how far below that floor they are measured from. */
export function heightMarks(layout: Layout, tape: Tape, above = 0): HeightMark[] {
  const { lines } = layout
  const found: { id: string; what: HeightMark['what']; bandId?: string; row?: number; y: number }[] = []
  if (lines.baseTop > lines.floor) found.push({ id: 'baseTop', what: 'baseTop', y: lines.baseTop })
  for (const band of layout.bands) {
    found.push({ id: `${band.id}-bottom`, what: 'bandBottom', bandId: band.id, y: band.bottom })
    found.push({ id: `${band.id}-top`, what: 'bandTop', bandId: band.id, y: band.top })
  }
  for (const row of new Set(layout.frames.map((frame) => frame.row))) {
    // a row's usual box; one under a window has marks of its own on its card
    const [frame] = layout.frames.filter((each) => each.row === row && each.outline.length === 4)
    if (!frame) continue
    const { bottom, top } = boundsOf(frame.outline)
    found.push({ id: `row${row + 1}-bottom`, what: 'boxBottom', row: row + 1, y: bottom - lines.base.at0 })
    found.push({ id: `row${row + 1}-top`, what: 'boxTop', row: row + 1, y: top - lines.base.at0 })
  }
  const reachesHead = layout.bands.some((band) => band.top === layout.height)
  // what ends at the ceiling as measured has no one height
  const ownTops = rulesOf(layout).standsFree && topsFollow(layout)
  if (layout.uprights.length > 0 && rulesOf(layout).places === 'uprights' && !reachesHead && !ownTops)
    found.push({ id: 'uprightHead', what: 'uprightHead', y: layout.uprightHead })
  if (lines.headLine < lines.ceiling && lines.followed.length === 0)
    found.push({ id: 'headLine', what: 'headLine', y: lines.headLine })
  // along a stair the ceiling has no one height above the base line
  if (lines.followed.length === 0) found.push({ id: 'ceiling', what: 'ceiling', y: lines.ceiling })
  const seen = new Set<number>()
  return found
    .sort((a, b) => a.y - b.y)
    .filter(({ y }) => (seen.has(y) ? false : seen.add(y)))
    .map(({ id, what, bandId, row, y }) => ({
      id,
      what,
      ...(bandId ? { bandId } : {}),
      ...(row ? { row } : {}),
      reading: readOnTape(y + above, tape),
    }))
}

/** A height read from a laser line: how far above it (below where negative) at the layout's two ends. */
export interface LaserHeight extends Omit<HeightMark, 'reading'> {
  readonly left: TapeReading
  readonly right: TapeReading
}

/**
 * The heights to mark, from a level laser line that stands so high above the floor at the left corner. Where the layout
 * follows a floor or a stair they differ from end to end; else both readings are one.
 */
export function laserHeights(layout: Layout, tape: Tape, laser: number): LaserHeight[] {
  const { lines, left, right } = layout
  const at = (x: number, lift: number) => readOnTape(baseAt(lines, x) + lift - laser, tape)
  return heightMarks(layout, tape)
    .filter(({ what }) => what !== 'ceiling' && what !== 'headLine')
    .map(({ reading, ...mark }) => {
      return { ...mark, left: at(left, reading.exact), right: at(right, reading.exact) }
    })
}

/** The spacer block that holds the gap, and the running marks that must agree after every third one. */
export interface Spacer {
  readonly length: TapeReading
  readonly checks: readonly {
    readonly stripId: string
    readonly number: number
    readonly near: TapeReading
  }[]
}

/** Gaps that differ by no more than two nanometers are one gap. */
const SAME_GAP_WITHIN = 2

/** The gaps between uprights that lean, where the tape's line crosses them; those over an opening are none. */
function gapsAlong(layout: Layout, hook: Hook): number[] {
  const { uprights, sections } = layout
  const sectionOf = ({ left, right }: Upright) =>
    sections.findIndex((each) => left >= each.left - 1 && right <= each.right + 1)
  return uprights.slice(1).flatMap((next, i) => {
    const before = uprights[i]
    if (!before || sectionOf(before) !== sectionOf(next)) return []
    return [edgesAlong(layout, next, hook).left - edgesAlong(layout, before, hook).right]
  })
}

/**
 * The spacer block for a layout whose inner gaps (of boxes the margins) are all alike, with the near-edge mark every third strip
 * must agree with; null when the gaps differ or there is none.
 */
export function spacerBlock(layout: Layout, datum: Datum, tape: Tape, hook: Hook = 'foot'): Spacer | null {
  // between boxes the block is as long as the margin, which the layout's strips stand for
  const gaps = isLeaning(layout.lean)
    ? gapsAlong(layout, hook)
    : layout.sections.flatMap(({ placement }) => placement?.gaps ?? [])
  const margins = layout.frames.length > 1 ? [layout.stripWidth] : []
  const spaces = rulesOf(layout).places === 'margins' ? margins : gaps
  if (spaces.length === 0) return null
  const least = Math.min(...spaces)
  const most = Math.max(...spaces)
  const within = isLeaning(layout.lean) ? tickOf(tape) / 8 : SAME_GAP_WITHIN
  if (most - least > within || least <= 0) return null
  const total = spaces.reduce<number>((sum, gap) => sum + gap, 0)
  const marks = runningMarks(layout, datum, tape, hook)
  return {
    length: readOnTape(total / spaces.length, tape),
    checks: marks
      .filter((_, i) => (i + 1) % 3 === 0)
      .map(({ stripId, number, near }) => ({ stripId, number, near })),
  }
}
