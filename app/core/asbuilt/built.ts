import { type Length, nearestNanometer, readOnTape } from '~/length'
import type { Act, Workpiece } from '~/model'
import { inForce } from '~/model'
import { boundsOf } from '../geometry'
import type { Layout, SectionPlace } from '../layout/layout'
import { edgesAlong, hookedAt } from '../marks/runningMarks'
import { rulesOf } from '../patterns/rules'
import type { Release } from './release'
import type { BuiltRow, Standing } from './evenOut'

/** The ends of the wall as what can be read like a strip. */
export const WALL_ENDS = ['wall-left', 'wall-right'] as const
export type WallEnd = (typeof WALL_ENDS)[number]

/** What was read of one strip, or of an end of the wall. */
export interface BuiltReading {
  readonly strip: string
  readonly edge: 'left' | 'right'
  readonly place: Length
  readonly planned: Length
  readonly doneAt: number
}

/** Of each strip the last that was read, and not taken back; oldest first. */
export function builtReadings(acts: readonly Act[]): BuiltReading[] {
  const last = new Map<string, BuiltReading | null>()
  for (const act of [...acts].sort((a, b) => a.doneAt - b.doneAt)) {
    if (act.kind !== 'builtAt') continue
    const { strip, edge, place, planned, doneAt } = act
    last.delete(strip)
    last.set(strip, place === null ? null : { strip, edge, place, planned, doneAt })
  }
  return [...last.values()].flatMap((each) => each ?? [])
}

/** A section of the layout with what is known of it as it is built. */
export interface BuiltSection {
  readonly section: SectionPlace
  readonly row: BuiltRow
}

/** The same place, but for roundings. */
const isNear = (a: number, b: number) => Math.abs(a - b) < 2_000

/** What is placed in each section, left to right: uprights, or boxes by the sides they are marked by. */
function placedIn(layout: Layout): { section: SectionPlace; items: Omit<Standing, 'at'>[] }[] {
  const { uprights } = layout
  const rules = rulesOf(layout)
  // what is not spaced stands where it must
  if (!rules.counts(layout.design)) return []
  const margins = rules.places === 'margins'
  let next = 0
  return layout.sections.flatMap((section) => {
    const { placement } = section
    if (!placement) return []
    if (!margins) {
      const items = placement.nearEdges.flatMap(() => {
        const upright = uprights[next++]
        return upright ? [{ id: upright.id as string, left: upright.left, right: upright.right }] : []
      })
      return [{ section, items }]
    }
    const items = placement.gaps.flatMap((gap, i) => {
      const left =
        section.left + (placement.nearEdges[i] ?? 0) + (placement.widths?.[i] ?? placement.stripWidth)
      const frame = layout.frames.find(({ row, outline }) => {
        const bounds = boundsOf(outline)
        return row === section.row && isNear(bounds.left, left) && isNear(bounds.right, left + gap)
      })
      const marked = uprights.find((each) => isNear(each.left, left) && isNear(each.right, left + gap))
      const id = marked?.id ?? frame?.id
      return id === undefined
        ? []
        : [{ id: id as string, left: nearestNanometer(left), right: nearestNanometer(left + gap) }]
    })
    return [{ section, items }]
  })
}

/** The strips of which a piece is up, and where each was laid out then. */
function upStrips(release: Release | null): Map<string, Length | null> {
  const up = new Map<string, Length | null>()
  for (const { piece, upAt, upLeft } of release?.pieces ?? [])
    if (upAt !== null) up.set(piece.stripId, up.get(piece.stripId) ?? upLeft)
  return up
}

/** Boxes that are marked by another of their own size above or below them. */
function markedBy(layout: Layout): Map<string, string> {
  const found = new Map<string, string>()
  for (const { id, outline } of layout.frames) {
    const { left, right } = boundsOf(outline)
    const marked = layout.uprights.find((each) => isNear(each.left, left) && isNear(each.right, right))
    if (marked) found.set(id, marked.id)
  }
  return found
}

/**
 * The wall as it is built, section by section: what is up or was read is fixed where it truly is, the rest stands where it is laid out. What
 * is up and was not read is where it was laid out when it went up.
 */
export function builtWall(
  workpiece: Workpiece,
  layout: Layout,
  acts: readonly Act[],
  release: Release | null,
): BuiltSection[] {
  const readings = new Map(builtReadings(acts).map((reading) => [reading.strip, reading]))
  const marked = markedBy(layout)
  const up = new Map([...upStrips(release)].map(([strip, left]) => [marked.get(strip) ?? strip, left]))
  const margins = rulesOf(layout).places === 'margins'
  const { tape } = workpiece.settings
  const ends = new Set<string>(
    release?.pieces.flatMap(({ piece, cutAt }) => (cutAt === null ? [] : [piece.stripId])),
  )
  return placedIn(layout).map(({ section, items }) => {
    const standing = items.map(({ id, left, right }): Standing => {
      const reading = readings.get(id)
      // a box that is cut is as wide as the saw made it
      const wide = margins && ends.has(id) ? readOnTape(right - left, tape).tick : right - left
      const at = reading
        ? reading.edge === 'left'
          ? reading.place
          : reading.place - wide
        : up.has(id)
          ? (up.get(id) ?? left)
          : null
      return { id, left, right, at: at === null ? null : { left: at, right: at + wide } }
    })
    const end = (side: WallEnd, planned: number, isWall: boolean) =>
      isWall ? (readings.get(side)?.place ?? planned) : planned
    const row: BuiltRow = {
      left: end('wall-left', section.left, isNear(section.left, layout.left)),
      right: end('wall-right', section.right, isNear(section.right, layout.right)),
      plannedLeft: section.left,
      plannedRight: section.right,
      standing,
    }
    return { section, row }
  })
}

/** How far what is up is from where it is laid out, by strip; what is on its mark is left out. */
export function offPlan(built: readonly BuiltSection[], within: number): Map<string, number> {
  const off = new Map<string, number>()
  for (const { row } of built) {
    for (const { id, left, at } of row.standing)
      if (at && Math.abs(at.left - left) > within) off.set(id, at.left - left)
    if (Math.abs(row.right - row.plannedRight) > within) off.set('wall-right', row.right - row.plannedRight)
    if (Math.abs(row.left - row.plannedLeft) > within) off.set('wall-left', row.left - row.plannedLeft)
  }
  return off
}

/** Gaps less than this are asked about: the design's least, else a tick. */
export function leastGap(workpiece: Workpiece, tick: number): number {
  const { spacing } = inForce(workpiece.wall.design)
  return spacing.school === 'nearWish' ? Math.max(tick, spacing.least) : tick
}

/** Why a reading can't be: off the wall, or nowhere near what was laid out. */
export function readingIssue(
  place: number,
  { left, right }: Pick<Layout, 'left' | 'right'>,
): 'offWall' | null {
  const slack = 25_400_000
  return place < left - slack || place > right + slack ? 'offWall' : null
}

/**
 * What the tape reads at an edge of a strip (a box) as it is laid out, hooked in the left corner along the foot line: the corner and the strip may lean.
 * A reading differs from it by as much as the strip is elsewhere.
 */
export function plannedReading(
  layout: Layout,
  { id, left, right }: Omit<Standing, 'at'>,
  edge: 'left' | 'right',
): number {
  const upright = layout.uprights.find((each) => each.id === id)
  const along = upright ? edgesAlong(layout, upright, 'foot') : { left, right }
  return along[edge] - hookedAt(layout, 'left', 'foot')
}

/** What the tape reads from corner to corner along the foot line; null where the layout does not reach both ends, and their place moves nothing of it. */
export function plannedWidth(layout: Layout): number | null {
  const reaches = layout.sections.some(({ placement, right }) => placement && isNear(right, layout.right))
  if (layout.design.extent !== null || !reaches || !rulesOf(layout).counts(layout.design)) return null
  return hookedAt(layout, 'right', 'foot') - hookedAt(layout, 'left', 'foot')
}
