import { type Length, nearestNanometer } from '~/length'
import { type Act, type Design, inForce, type Workpiece } from '~/model'
import type { Band, Layout } from '../layout/layout'
import { gridRails } from '../patterns/grid/layGrid'
import type { BuiltRow, Standing } from './evenOut'
import type { Release } from './release'

/** What was read of a horizontal: an edge of it, above the line heights are marked from. */
export interface HeightReading {
  readonly strip: string
  readonly edge: 'bottom' | 'top'
  readonly place: Length
  readonly planned: Length
  readonly doneAt: number
}

/** Of each horizontal the last height that was read, and not taken back; oldest first. */
export function heightReadings(acts: readonly Act[]): HeightReading[] {
  const last = new Map<string, HeightReading | null>()
  for (const act of [...acts].sort((a, b) => a.doneAt - b.doneAt)) {
    if (act.kind !== 'builtHeight') continue
    const { strip, edge, place, planned, doneAt } = act
    last.delete(strip)
    last.set(strip, place === null ? null : { strip, edge, place, planned, doneAt })
  }
  return [...last.values()].flatMap((each) => each ?? [])
}

/**
 * The horizontals of a wall as they are built. Heights in nanometers above the base line; as in any row, `left` is where one begins
 * (its bottom) and `right` where it ends (its top).
 */
export interface BuiltHeights {
  /** The rails between a grid's rows, from the bottom up: what is left of them can be evened out. */
  readonly row: BuiltRow | null
  /** Rails at heights of their own: what is up stays, and what lands on it is cut to it. */
  readonly own: readonly Standing[]
}

const NOTHING = 2

/** Rails whose height the design gives each by itself: the frame's, and its top rail. */
function ownRails({ bands, design }: Layout): Band[] {
  const own = new Set(design.rails.map(({ id }) => id))
  return bands.filter(({ id, role }) => role === 'topRail' || own.has(id))
}

/** Every rail of a grid, those as well of which nothing is left beside what they are cut round. */
function allRails({ bands, design, materials, uprightFoot, uprightHead }: Layout): Band[] {
  const material = materials.get(design.battenMaterial)
  if (!material || !bands.some(({ name }) => name.kind === 'gridRail')) return []
  return gridRails(design.rows, uprightFoot, uprightHead, material, design.border).bands
}

/** What bounds a grid's rows below and above: a border's rails, or the layout's own ends. */
function boundsOfRows(rails: readonly Band[], { uprightFoot, uprightHead }: Layout) {
  const border = rails.filter(({ role }) => role === 'border')
  return {
    left: border.find(({ held }) => held === 'bottom')?.top ?? uprightFoot,
    right: border.find(({ held }) => held === 'top')?.bottom ?? uprightHead,
  }
}

/** The clear heights of a grid's rows from the bottom up; none where nothing of its rails shows. */
export function clearRows(layout: Layout): Length[] {
  const rails = allRails(layout)
  if (rails.length === 0) return []
  const { left, right } = boundsOfRows(rails, layout)
  const inner = rails.filter(({ role }) => role === 'rail')
  return [...inner, { bottom: right, top: right }].map(({ bottom }, i) =>
    nearestNanometer(bottom - (i === 0 ? left : (inner[i - 1]?.top ?? left))),
  )
}

/** Horizontals of which a height can be read, from the bottom up. */
export function readableBands(layout: Layout): Band[] {
  const inner = layout.bands.filter(({ name, role }) => name.kind === 'gridRail' && role === 'rail')
  return [...inner, ...ownRails(layout)].sort((a, b) => a.bottom - b.bottom)
}

/** The horizontals as they are built: what was read is where it was read, what is up and was not is where it was laid out when it went up. */
export function builtHeights(layout: Layout, acts: readonly Act[], release: Release | null): BuiltHeights {
  const readings = new Map(heightReadings(acts).map((reading) => [reading.strip, reading]))
  const up = new Map<string, Length | null>()
  for (const { piece, upAt, upBottom } of release?.pieces ?? [])
    if (upAt !== null) up.set(piece.stripId, up.get(piece.stripId) ?? upBottom)
  const standing = ({ id, bottom, top }: Band): Standing => {
    const reading = readings.get(id)
    const at = reading
      ? reading.place - (reading.edge === 'top' ? top - bottom : 0)
      : up.has(id)
        ? (up.get(id) ?? bottom)
        : null
    return { id, left: bottom, right: top, at: at === null ? null : { left: at, right: at + top - bottom } }
  }
  // all of them: one that lies wholly behind something is in no layout, and still a bound of its rows
  const rails = allRails(layout)
  const inner = rails.filter(({ role }) => role === 'rail')
  const { left, right } = boundsOfRows(rails, layout)
  return {
    row:
      inner.length === 0
        ? null
        : { left, right, plannedLeft: left, plannedRight: right, standing: inner.map(standing) },
    own: ownRails(layout).map(standing),
  }
}

/** How far horizontals that are up or were read are above where they are laid out, by strip; what is on its mark is left out. */
export function offHeights({ row, own }: BuiltHeights, within: number): Map<string, number> {
  return new Map(
    [...(row?.standing ?? []), ...own].flatMap(({ id, left, at }) =>
      at && Math.abs(at.left - left) > within ? [[id, at.left - left] as const] : [],
    ),
  )
}

/** A grid's rows by the clear heights between its rails, as weights about 1: their sum is exact to far below a nanometer. */
export function rowWeights(
  { left, right }: Pick<BuiltRow, 'left' | 'right'>,
  places: readonly { readonly left: number; readonly right: number }[],
): number[] {
  const clear = [...places, { left: right, right }].map(
    (place, i) => place.left - (i === 0 ? left : (places[i - 1]?.right ?? left)),
  )
  const usual = clear.reduce((sum, each) => sum + each, 0) / clear.length
  return clear.map((each) => each / usual)
}

/** A weight that somebody chose, not one that rails came to as they were built: of two places at most, as decimals are kept. */
export const isChosenWeight = (weight: number): boolean =>
  Math.abs(weight * 100 - Math.round(weight * 100)) < 1e-9

/** What the design keeps so that horizontals are where they truly are: rails at their own heights, a grid's rows by their weights. */
export function heightPatch(
  { wall: { design: document } }: Workpiece,
  { row, own }: BuiltHeights,
  places: readonly { readonly left: number; readonly right: number }[] | null,
): Partial<Design> {
  const design = inForce(document)
  const moved = new Map(
    own.flatMap(({ id, right, at }) =>
      at && at.right !== right ? [[id, { rule: 'typed' as const, value: nearestNanometer(at.right) }]] : [],
    ),
  )
  const isRail = new Set(design.rails.map(({ id }) => id))
  const height = [...moved].find(([id]) => !isRail.has(id))?.[1]
  return {
    ...(row && places ? { rows: rowWeights(row, places) } : {}),
    ...(design.rails.some(({ id }) => moved.has(id))
      ? { rails: design.rails.map((rail) => ({ ...rail, top: moved.get(rail.id) ?? rail.top })) }
      : {}),
    ...(height ? { height } : {}),
  }
}

/** A rail that would lie over another where it was read, though none was laid out so; null where none does. */
export function overAnother({ row, own }: BuiltHeights, layout: Layout): string | null {
  const places = new Map(
    [...(row?.standing ?? []), ...own].map((each) => [each.id, each.at ?? each] as const),
  )
  const lies = layout.bands.map(({ id, bottom, top }) => ({
    id,
    bottom,
    top,
    at: places.get(id) ?? { left: bottom, right: top },
  }))
  for (const { id, at } of own) {
    const itself = lies.find((each) => each.id === id)
    if (!at || !itself) continue
    const over = lies.find(
      (other) =>
        other.id !== id &&
        // a cap goes where its rail goes
        Math.abs(other.bottom - itself.top) > NOTHING &&
        Math.min(other.at.right, at.right) - Math.max(other.at.left, at.left) > NOTHING &&
        Math.min(other.top, itself.top) - Math.max(other.bottom, itself.bottom) <= NOTHING,
    )
    if (over) return id
  }
  return null
}
