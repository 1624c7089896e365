import type { Along, FieldSide, LinePoint } from '~/model'
import { crossing, movedFrom, type Point, spanThrough, unitVector } from '../../geometry'
import { type Strip, wholePiece } from '../../strips/strip'
import type { LineField, Region } from '../../layout/moves'
import type { MoveIssue } from '../../layout/moves'
import type { Striking } from './made'

/** A point, or what it misses. */
export type Found<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly issue: MoveIssue }

const found = <T>(value: T): Found<T> => ({ ok: true, value })
const missing = (ref: string, { comesLater }: Striking): { ok: false; issue: MoveIssue } => ({
  ok: false,
  issue: comesLater(ref) ? { code: 'refersLater', move: ref } : { code: 'missing', ref },
})

/** A side from its left end or its foot to its other end. */
export function sideEnds({ corners }: LineField, side: FieldSide): [Point, Point] {
  const { bottomLeft, bottomRight, topLeft, topRight } = corners
  switch (side) {
    case 'bottom':
      return [bottomLeft, bottomRight]
    case 'top':
      return [topLeft, topRight]
    case 'left':
      return [bottomLeft, topLeft]
    case 'right':
      return [bottomRight, topRight]
  }
}

/** Whether a name is that of a side of the field. */
export function asSide(ref: string): FieldSide | null {
  return ref === 'left' || ref === 'right' || ref === 'bottom' || ref === 'top' ? ref : null
}

/** How far a place is along a stretch of so long. */
export function distanceAlong(along: Along, length: number): number {
  switch (along.by) {
    case 'middle':
      return length / 2
    case 'mark':
      return (length * along.mark) / (along.of + 1)
    case 'distance':
      return along.from === 'start' ? along.distance : length - along.distance
  }
}

/**
 * A strip's stretch along its center line or an edge, from its left end (of an upright: its foot) to the other. Of what stands in the
 * field before the lines it is the part within the field: what lies under the frame can't be measured from.
 */
export function stretchOf(
  strip: Strip,
  edge: 'center' | 'left' | 'right',
  field: Region | null,
): { from: Point; length: number; directionDeg: number } | null {
  const piece = wholePiece(strip)
  if (!piece) return null
  const { center, directionDeg, faceWidth } = strip
  const u = unitVector(directionDeg)
  const half = faceWidth / 2
  const own = piece.face.map(({ x, y }) => ({
    along: (x - center.x) * u.x + (y - center.y) * u.y,
    left: (y - center.y) * u.x - (x - center.x) * u.y,
  }))
  const by = edge === 'center' ? 0 : edge === 'left' ? half : -half
  // an edge is measured from corner to corner of its own, the center line from where it enters the face to where it leaves it
  const at = own.filter(({ left }) => Math.abs(left - by) < 8).map(({ along }) => along)
  const through = edge === 'center' ? spanThrough({ through: center, directionDeg }, piece.face) : null
  const [from0, to0] = edge === 'center' ? [through?.from, through?.to] : [Math.min(...at), Math.max(...at)]
  const line = { through: movedFrom(center, directionDeg, 0, by), directionDeg }
  const within = field && strip.role !== 'line' ? spanThrough(line, field.outline) : null
  const [a, b] = [
    Math.max(from0 ?? Infinity, within?.from ?? -Infinity),
    Math.min(to0 ?? -Infinity, within?.to ?? Infinity),
  ]
  if (!(b - a > 0)) return null
  // a direction to the left or down is turned, so that "from the start" means the same on all
  const turned = u.x < -1e-9 || (Math.abs(u.x) <= 1e-9 && u.y < 0)
  const from = movedFrom(center, directionDeg, turned ? b : a, by)
  return { from, length: b - a, directionDeg: turned ? directionDeg + 180 : directionDeg }
}

/** A stretch by the name of a side or a strip. */
export function stretch(
  ref: string,
  striking: Striking,
  edge: 'center' | 'left' | 'right' = 'center',
): Found<{ from: Point; length: number; directionDeg: number }> {
  const side = asSide(ref)
  if (side) {
    const [a, b] = sideEnds(striking.field, side)
    const length = Math.hypot(b.x - a.x, b.y - a.y)
    const directionDeg = (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI
    return found({ from: a, length, directionDeg: length === 0 ? 0 : directionDeg })
  }
  const strip = striking.stripOf(ref)
  const made = strip ? stretchOf(strip, edge, striking.field) : null
  return made ? found(made) : missing(ref, striking)
}

/** How far all that does not hang on a strip is moved. */
export function nudged({ lines, field }: Striking, { x, y }: Point, how: 'along' | 'up' | 'both'): Point {
  const { along, up } = lines.nudge
  if (along === 0 && up === 0) return { x, y }
  const [a, b] = sideEnds(field, 'bottom')
  const length = Math.hypot(b.x - a.x, b.y - a.y) || 1
  const by = how === 'up' ? 0 : along / length
  return { x: x + (b.x - a.x) * by, y: y + (b.y - a.y) * by + (how === 'along' ? 0 : up) }
}

/** Where a point of a move lies on this wall, and whether what is struck from it starts at the frame, on a strip, or there. */
export function pointAt(
  point: LinePoint,
  striking: Striking,
): Found<{ readonly point: Point; readonly on: 'frame' | 'strip' | 'wall' }> {
  const { field } = striking
  switch (point.at) {
    case 'corner':
      return found({ point: nudged(striking, field.corners[point.corner], 'both'), on: 'frame' })
    case 'side': {
      const [a, b] = sideEnds(field, point.side)
      const length = Math.hypot(b.x - a.x, b.y - a.y)
      const part = length === 0 ? 0 : distanceAlong(point.along, length) / length
      const at = { x: a.x + (b.x - a.x) * part, y: a.y + (b.y - a.y) * part }
      const slides = point.side === 'bottom' || point.side === 'top' ? 'along' : 'up'
      return found({ point: nudged(striking, at, slides), on: 'frame' })
    }
    case 'strip': {
      const along = stretch(point.strip, striking, point.edge)
      if (!along.ok) return along
      const { from, length, directionDeg } = along.value
      return found({
        point: movedFrom(from, directionDeg, distanceAlong(point.along, length), 0),
        on: 'strip',
      })
    }
    case 'crossing': {
      const [a, b] = point.of.map((ref) => striking.stripOf(ref))
      if (!a) return missing(point.of[0], striking)
      if (!b) return missing(point.of[1], striking)
      const met = crossing(
        { through: a.center, directionDeg: a.directionDeg },
        { through: b.center, directionDeg: b.directionDeg },
      )
      return met ? found({ point: met, on: 'strip' }) : { ok: false, issue: { code: 'neverHits' } }
    }
    case 'middle': {
      const { bottomLeft, bottomRight, topLeft, topRight } = field.corners
      const middle = (key: 'x' | 'y') =>
        (bottomLeft[key] + bottomRight[key] + topLeft[key] + topRight[key]) / 4
      return found({ point: nudged(striking, { x: middle('x'), y: middle('y') }, 'both'), on: 'wall' })
    }
    case 'free': {
      const corner = field.corners[point.from === 'left' ? 'bottomLeft' : 'bottomRight']
      const x = corner.x + (point.from === 'left' ? point.across : -point.across)
      return found({ point: nudged(striking, { x, y: corner.y + point.up }, 'both'), on: 'wall' })
    }
  }
}
