import { nearestNanometer } from '~/length'
import {
  type Edit,
  FIELD_SIDES,
  inForce,
  LIMITS,
  type Lines,
  type LinePoint,
  type Move,
  type MoveOf,
  type Workpiece,
} from '~/model'
import { crossing, movedFrom, type Point, unitVector } from '../geometry'
import { layOut } from '../layout/layOutWall'
import type { LineField } from '../layout/moves'
import { sideEnds, stretchOf } from '../patterns/lines/points'
import { type Strip, wholePiece } from '../strips/strip'
import { linesEdit, nextMoveId } from './lineMoves'

/** A point this near a side or a face lies on it. */
const ON = 2_000

/** How far a point lies along a stretch, where it lies on it. */
function alongStretch({ x, y }: Point, from: Point, to: Point): number | null {
  const length = Math.hypot(to.x - from.x, to.y - from.y)
  if (length === 0) return null
  const [ux, uy] = [(to.x - from.x) / length, (to.y - from.y) / length]
  const off = Math.abs((y - from.y) * ux - (x - from.x) * uy)
  const at = (x - from.x) * ux + (y - from.y) * uy
  return off < ON && at > -ON && at < length + ON ? Math.max(0, Math.min(length, at)) : null
}

/** A place on the wall as a move would name it: on a side, on an upright's face, else free; before any nudge. */
export function namedPlace(
  point: Point,
  field: LineField,
  base: readonly Strip[],
  nudge: Lines['nudge'],
): LinePoint {
  const distance = (at: number) =>
    ({ by: 'distance', from: 'start', distance: nearestNanometer(at) }) as const
  for (const side of FIELD_SIDES) {
    const [from, to] = sideEnds(field, side)
    const at = alongStretch(point, from, to)
    const moved = side === 'bottom' || side === 'top' ? nudge.along : nudge.up
    if (at !== null && at - moved >= 0) return { at: 'side', side, along: distance(at - moved) }
  }
  for (const strip of base)
    for (const edge of ['left', 'right'] as const) {
      const face = stretchOf(strip, edge, field)
      if (!face) continue
      const u = unitVector(face.directionDeg)
      const to = { x: face.from.x + u.x * face.length, y: face.from.y + u.y * face.length }
      const at = alongStretch(point, face.from, to)
      if (at !== null) return { at: 'strip', strip: strip.id, edge, along: distance(at) }
    }
  const corner = field.corners.bottomLeft
  return {
    at: 'free',
    from: 'left',
    across: nearestNanometer(point.x - corner.x - nudge.along),
    up: nearestNanometer(point.y - corner.y - nudge.up),
  }
}

/** Strips with given ends meet in miters: which of them, by their places among those the move struck. */
function mitered(kind: Move['kind'], count: number, overMiddle: boolean): [number, number][] {
  // two hands that meet up the middle were struck one from the left end on, the other to the right end
  if (overMiddle)
    return Array.from({ length: Math.floor(count / 2) }, (_, i) => [i, count - 1 - i] as [number, number])
  if (kind === 'diamonds')
    return Array.from({ length: count }, (_, i) => [i, i % 4 === 3 ? i - 3 : i + 1] as [number, number])
  if (kind === 'corners') return Array.from({ length: Math.floor(count / 2) }, (_, i) => [2 * i, 2 * i + 1])
  return []
}

/** One strip as a line struck by itself. */
function asStrike(
  strip: Strip,
  id: string,
  move: Move,
  field: LineField,
  base: readonly Strip[],
  nudge: Lines['nudge'],
  overMiddle: boolean,
): MoveOf<'strike'> | null {
  const piece = wholePiece(strip)
  if (!piece) return null
  const { center, directionDeg, faceWidth } = strip
  const u = unitVector(directionDeg)
  const own = piece.face.map(({ x, y }) => ({
    along: (x - center.x) * u.x + (y - center.y) * u.y,
    left: (y - center.y) * u.x - (x - center.x) * u.y,
  }))
  const lefts = own.map(({ left }) => left)
  // where the center line itself is not there the line is an edge that is
  const lies = Math.min(...lefts) > -1 ? 'right' : Math.max(...lefts) < 1 ? 'left' : 'center'
  const by = lies === 'center' ? 0 : ((lies === 'left' ? -1 : 1) * faceWidth) / 2
  const line = { through: movedFrom(center, directionDeg, 0, by), directionDeg }
  const at = (end: Strip['start']) => {
    const met = end.lines.flatMap((each) => crossing(line, each) ?? [])
    return met.map((point) => (point.x - line.through.x) * u.x + (point.y - line.through.y) * u.y)
  }
  const joined = move.kind === 'diamonds' || move.kind === 'corners' || overMiddle
  const alongs = own.map(({ along }) => along)
  const endsOn = (end: Strip['start']) => end.against !== 'open' && !(joined && isMiter(end, field))
  const from = endsOn(strip.start)
    ? Math.max(...at(strip.start))
    : joined
      ? Math.min(...alongs)
      : (at(strip.start)[0] ?? 0)
  const to = endsOn(strip.end)
    ? Math.min(...at(strip.end))
    : joined
      ? Math.max(...alongs)
      : (at(strip.end)[0] ?? 0)
  const start = movedFrom(line.through, directionDeg, from, 0)
  const inBays = (move.kind === 'chevron' && !overMiddle) || ('where' in move && move.where === 'bays')
  const length = nearestNanometer(to - from)
  if (length <= 0) return null
  // a free end is no place of the frame's, wherever it happens to lie
  const place = endsOn(strip.start) ? namedPlace(start, field, base, nudge) : freePlace(start, field, nudge)
  return {
    id,
    on: true,
    // a copy is of the stuff of what it copied, which may be gone with it
    material: move.kind === 'repeat' || move.kind === 'mirror' ? strip.material.id : move.material,
    kind: 'strike',
    from: place,
    heading: { to: 'angle', deg: directionDeg },
    until: endsOn(strip.end) ? { kind: inBays ? 'hit' : 'frame' } : { kind: 'length', length },
    lies,
  }
}

function freePlace(point: Point, { corners }: LineField, nudge: Lines['nudge']): LinePoint {
  const corner = corners.bottomLeft
  return {
    at: 'free',
    from: 'left',
    across: nearestNanometer(point.x - corner.x - nudge.along),
    up: nearestNanometer(point.y - corner.y - nudge.up),
  }
}

function isMiter(end: Strip['start'], field: LineField): boolean {
  return !end.lines.some((line) => field.edges.some((edge) => edge.line === line)) && end.against === 'strip'
}

/**
 * Breaks a maker, or any move that strikes several, up into lines struck one by one, each by its own place: what is cut stays the same,
 * and each can then be changed by itself. None where that would make more moves than a list takes, or where it strikes nothing.
 */
export function breakUp(workpiece: Workpiece, id: string): Edit[] {
  const { survey, design: document } = workpiece.wall
  const design = inForce(document)
  const { lines } = design
  const move = lines.moves.find((each) => each.id === id)
  const layout = layOut(survey, design, workpiece.settings)
  const field = layout.moves?.field
  if (!move || !field) return []
  const own = layout.strips.filter(({ group }) => group === id)
  const overMiddle = move.kind === 'chevron' && layout.moves?.middle !== null
  if (own.length === 0 || lines.moves.length - 1 + own.length > LIMITS.moves) return []
  const base = layout.strips.filter(({ role }) => role === 'stile')
  const first = Number(nextMoveId(lines).slice(1))
  const made = own.flatMap(
    (strip, i) => asStrike(strip, `m${first + i}`, move, field, base, lines.nudge, overMiddle) ?? [],
  )
  if (made.length !== own.length) return []
  const names = new Map(own.map((strip, i) => [strip.id as string, `m${first + i}.1`]))
  const renamed = (ref: string) => names.get(ref) ?? ref
  const moves = lines.moves.flatMap((each): Move[] => (each.id === id ? made : [withRefs(each, renamed)]))
  const corners = mitered(move.kind, own.length, overMiddle).flatMap(([a, b]) => {
    const [one, other] = [own[a], own[b]]
    return one && other ? [{ a: renamed(one.id), b: renamed(other.id), through: 'miter' as const }] : []
  })
  return linesEdit(workpiece, {
    moves,
    crossings: [
      ...lines.crossings.map((each) => ({ ...each, a: renamed(each.a), b: renamed(each.b) })),
      ...corners,
    ],
    off: lines.off.map(renamed),
  })
}

/** A move with the strips it refers to under other names. */
function withRefs(move: Move, renamed: (ref: string) => string): Move {
  const turned = (value: unknown): unknown => {
    if (typeof value === 'string') return renamed(value)
    if (Array.isArray(value)) return value.map(turned)
    if (value && typeof value === 'object')
      return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, turned(each)]))
    return value
  }
  return turned(move) as Move
}
