import { nearestNanometer } from '~/length'
import { FIELD_CORNERS, FIELD_SIDES, type Heading, type LinePoint } from '~/model'
import { crossing, type Point, unitVector } from '../../geometry'
import type { Layout } from '../../layout/layout'
import { type Strip, wholePiece } from '../../strips/strip'
import { sideEnds, stretchOf } from './points'

/** A place a line may start from or go to, near where it was pointed at. */
export interface Snap {
  readonly point: LinePoint
  readonly at: Point
  readonly what: 'corner' | 'crossing' | 'middle' | 'mark' | 'side' | 'strip' | 'free'
}

const PARTS = [2, 3, 4] as const

interface Stretch {
  readonly named: (along: Extract<LinePoint, { along: unknown }>['along']) => LinePoint
  readonly from: Point
  readonly to: Point
  readonly what: 'side' | 'strip'
}

function stretches(layout: Layout, strips: readonly Strip[]): Stretch[] {
  const { moves } = layout
  if (!moves?.field) return []
  const { field } = moves
  return [
    ...FIELD_SIDES.map((side): Stretch => {
      const [from, to] = sideEnds(field, side)
      return { named: (along) => ({ at: 'side', side, along }), from, to, what: 'side' }
    }),
    ...strips.flatMap((strip): Stretch[] => {
      const line = stretchOf(strip, 'center', layout.moves?.field ?? null)
      if (!line) return []
      const u = unitVector(line.directionDeg)
      const to = { x: line.from.x + u.x * line.length, y: line.from.y + u.y * line.length }
      return [
        {
          named: (along) => ({ at: 'strip', strip: strip.id, edge: 'center', along }),
          from: line.from,
          to,
          what: 'strip',
        },
      ]
    }),
  ]
}

const far = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y)
const between = (a: Point, b: Point, part: number) => ({
  x: a.x + (b.x - a.x) * part,
  y: a.y + (b.y - a.y) * part,
})

/** Places with names of their own: corners, crossings, middles and equal parts of sides and strips. */
function namedSnaps(layout: Layout, strips: readonly Strip[]): Snap[] {
  const { moves } = layout
  if (!moves?.field) return []
  const { field } = moves
  const corners = FIELD_CORNERS.map((corner): Snap => ({
    point: { at: 'corner', corner },
    at: field.corners[corner],
    what: 'corner',
  }))
  const crossings = strips.flatMap((a, i) =>
    strips.slice(i + 1).flatMap((b): Snap[] => {
      const met = crossing(
        { through: a.center, directionDeg: a.directionDeg },
        { through: b.center, directionDeg: b.directionDeg },
      )
      return met && isOn(a, met) && isOn(b, met)
        ? [{ point: { at: 'crossing', of: [a.id, b.id] }, at: met, what: 'crossing' }]
        : []
    }),
  )
  const parts = stretches(layout, strips).flatMap(({ named, from, to }) =>
    PARTS.flatMap((of) =>
      Array.from({ length: of - 1 }, (_, i): Snap => {
        const half = of === 2
        return {
          point: named(half ? { by: 'middle' } : { by: 'mark', mark: i + 1, of: of - 1 }),
          at: between(from, to, (i + 1) / of),
          what: half ? 'middle' : 'mark',
        }
      }),
    ),
  )
  return [...corners, ...crossings, ...parts]
}

/** Strips near a point: what lies farther off is not looked at. */
function isOn(strip: Strip, { x, y }: Point): boolean {
  const face = wholePiece(strip)?.face ?? []
  return face.every((a, i) => {
    const b = face[(i + 1) % face.length] ?? a
    return (b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x) >= -1
  })
}

const RANK = { corner: 0, crossing: 0.1, middle: 0.2, mark: 0.3, side: 1, strip: 1, free: 1 } as const

/** So many strips are looked at for their crossings; a press means one that is near. */
const MOST_NEAR = 24

/**
 * The place that was meant by pointing at one, within `reach`: a corner, a crossing, a middle or an equal part before any place on a side
 * or a strip, which lies a whole number of ticks along it; else a free place, read back on ticks from the nearer end and the foot.
 */
export function snapPoint(layout: Layout, at: Point, reach: number, tick: number): Snap | null {
  const field = layout.moves?.field
  if (!field) return null
  const off = (strip: Strip) => {
    const u = unitVector(strip.directionDeg)
    return Math.abs((at.y - strip.center.y) * u.x - (at.x - strip.center.x) * u.y) - strip.faceWidth / 2
  }
  const near = layout.strips
    .filter(
      (strip) =>
        (strip.role === 'line' || strip.role === 'stile' || strip.role === 'rail') && strip.part === '',
    )
    .filter((strip) => off(strip) < reach)
    .slice(0, MOST_NEAR)
  const named = namedSnaps(layout, near)
    .map((snap) => ({ snap, by: far(snap.at, at) }))
    .filter(({ by }) => by <= reach)
    // of places that all but coincide the one with the most to hang on
    .sort((a, b) => a.by + RANK[a.snap.what] * reach - (b.by + RANK[b.snap.what] * reach))
  const [best] = named
  if (best) return best.snap
  const on = stretches(layout, near)
    .map(({ named: name, from, to, what }) => {
      const length = far(from, to)
      const u = { x: (to.x - from.x) / (length || 1), y: (to.y - from.y) / (length || 1) }
      const along = Math.min(length, Math.max(0, (at.x - from.x) * u.x + (at.y - from.y) * u.y))
      const distance = nearestNanometer(Math.min(length, Math.round(along / tick) * tick))
      const place = { x: from.x + u.x * distance, y: from.y + u.y * distance }
      return {
        snap: { point: name({ by: 'distance', from: 'start', distance }), at: place, what } satisfies Snap,
        by: far({ x: from.x + u.x * along, y: from.y + u.y * along }, at),
      }
    })
    .filter(({ by }) => by <= reach)
    .sort((a, b) => a.by - b.by)
  const [onto] = on
  if (onto) return onto.snap
  const { bottomLeft, bottomRight } = field.corners
  const fromLeft = at.x - bottomLeft.x <= bottomRight.x - at.x
  const corner = fromLeft ? bottomLeft : bottomRight
  const across = nearestNanometer(Math.round(Math.abs(at.x - corner.x) / tick) * tick)
  const up = nearestNanometer(Math.round((at.y - corner.y) / tick) * tick)
  return {
    point: { at: 'free', from: fromLeft ? 'left' : 'right', across, up },
    at: { x: corner.x + (fromLeft ? across : -across), y: corner.y + up },
    what: 'free',
  }
}

/** Angles a pull means when it comes near one, besides square to what it starts on. Common practice, no source. */
const USUAL_DEG = [0, 22.5, 30, 45, 60, 67.5, 90]
const NEAR_DEG = 4

/** The heading that was meant by pulling from a place to another: toward a named place, at a usual angle, square to its strip, or as it is. */
export function snapHeading(layout: Layout, from: Snap, to: Point, reach: number, tick: number): Heading {
  const [dx, dy] = [to.x - from.at.x, to.y - from.at.y]
  const target = snapPoint(layout, to, reach, tick)
  if (
    target &&
    target.what !== 'free' &&
    target.what !== 'side' &&
    target.what !== 'strip' &&
    far(target.at, from.at) > 2 * reach
  )
    return { to: 'point', point: target.point, edge: 'same' }
  const deg = ((Math.atan2(dy, dx) * 180) / Math.PI + 360) % 360
  const usual = USUAL_DEG.flatMap((each) => [each, 180 - each, 180 + each, 360 - each])
  const off = (each: number) => Math.abs(((deg - each + 540) % 360) - 180)
  const strip =
    'strip' in from.point
      ? layout.strips.find(({ id }) => 'strip' in from.point && id === from.point.strip)
      : undefined
  if (strip) {
    const along = stretchOf(strip, 'center', layout.moves?.field ?? null)?.directionDeg ?? strip.directionDeg
    for (const side of ['left', 'right'] as const)
      if (off(along + (side === 'left' ? 90 : -90)) < NEAR_DEG) return { to: 'square', strip: strip.id, side }
  }
  const best = usual.reduce((a, b) => (off(b) < off(a) ? b : a))
  return { to: 'angle', deg: off(best) < NEAR_DEG ? best % 360 : Math.round(deg * 2) / 2 }
}
