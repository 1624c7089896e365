import { inches, readOnTape, type Tape, type TapeReading } from '~/length'
import type { FieldSide } from '~/model'
import { type Line, lineFrom, type Point, unitVector } from '../geometry'
import type { Layout } from '../layout/layout'
import type { Region } from '../layout/moves'
import { sideEnds, stretchOf } from '../patterns/lines/points'
import type { Piece } from '../pieces'
import { faceLine, type Strip } from '../strips/strip'

/** What marks are made on: a side of the field, from its left end or its foot; a face of a strip, from its own left end or foot. */
export type MarkedOn =
  | { readonly kind: 'side'; readonly side: FieldSide }
  | { readonly kind: 'middle' }
  | { readonly kind: 'strip'; readonly stripId: string; readonly face: 'left' | 'right' }

/** The two marks of one end of a struck strip, nearer to the datum and farther from it. */
export interface LineMark {
  readonly pieceId: string
  readonly stripId: string
  readonly end: 'start' | 'end'
  readonly near: TapeReading
  readonly far: TapeReading
}

/** All marks on one side or face, running from one datum. */
export interface MarksOn {
  readonly on: MarkedOn
  readonly marks: readonly LineMark[]
  /** The block between two strips, where all gaps are one: laid along the face, and square to the strips. */
  readonly spacer: { readonly along: TapeReading; readonly square: TapeReading } | null
}

/** What is looked at before a strip is fixed for good. */
export interface LineCheck {
  readonly pieceId: string
  readonly stripId: string
  /** Between its two marks on its lower edge: what the tape must read across before it is nailed. */
  readonly diagonal: TapeReading
  /** So long that a straightedge is laid along it before the second nail. */
  readonly straightedge: boolean
  /** It lands square on this strip: a square, or 3-4-5 from the crossing. */
  readonly squareTo: string | null
}

/** Strips this long bow between their ends: a straightedge tells. Common practice, no source. */
const LONG = inches(48)
const ON = 60_000 // 0.06 mm: two roundings and a hair
/** A side flatter to the strip than this, in length across it, is one of its long edges. */
const ALONG = 0.02
const SQUARE_WITHIN_DEG = 0.05
const SAME_GAP = 4

interface Ruled {
  readonly on: MarkedOn
  readonly line: Line
  readonly from: Point
  readonly u: Point
  readonly reach: number
}

function ruled(on: MarkedOn, line: Line, from: Point, to: Point): Ruled {
  const reach = Math.hypot(to.x - from.x, to.y - from.y) || 1
  return { on, line, from, u: { x: (to.x - from.x) / reach, y: (to.y - from.y) / reach }, reach }
}

function facesOf(strip: Strip, field: Region): Ruled[] {
  return (['left', 'right'] as const).flatMap((face) => {
    const along = stretchOf(strip, face, field)
    if (!along) return []
    const u = unitVector(along.directionDeg)
    const to = { x: along.from.x + u.x * along.length, y: along.from.y + u.y * along.length }
    return [ruled({ kind: 'strip', stripId: strip.id, face }, faceLine(strip, face), along.from, to)]
  })
}

function off({ x, y }: Point, { through, directionDeg }: Line): number {
  const u = unitVector(directionDeg)
  return Math.abs((y - through.y) * u.x - (x - through.x) * u.y)
}

/** The sides of a face across the strip, each with the end it is of: those of a face that runs to a point too. */
function endsOf({ face, directionDeg }: Piece): { end: 'start' | 'end'; side: readonly [Point, Point] }[] {
  const u = unitVector(directionDeg)
  return face.flatMap((from, i) => {
    const to = face[(i + 1) % face.length]
    if (!to) return []
    // round the face counter-clockwise its end is passed to the left, its start to the right
    const left = (to.y - from.y) * u.x - (to.x - from.x) * u.y
    const length = Math.hypot(to.x - from.x, to.y - from.y)
    if (length <= ON || Math.abs(left) < length * ALONG) return []
    return [{ end: left > 0 ? ('end' as const) : ('start' as const), side: [from, to] as const }]
  })
}

/** The marks of all struck strips, gathered by what they are made on, each running from one datum; none where nothing was struck. */
export function lineMarks(layout: Layout, pieces: readonly Piece[], tape: Tape): MarksOn[] {
  const { moves } = layout
  if (!moves?.field) return []
  const { field } = moves
  const sides = field.edges.flatMap((edge): Ruled[] => {
    if (typeof edge.of !== 'string' || edge.of === 'middle') return []
    const [from, to] = sideEnds(field, edge.of)
    return [ruled({ kind: 'side', side: edge.of }, edge.line, from, to)]
  })
  const others = layout.strips.filter(
    ({ role, part }) => role !== 'border' && role !== 'sideTrim' && part === '',
  )
  const { middle } = moves
  const up = middle
    ? [ruled({ kind: 'middle' }, lineFrom(middle.from, middle.to), middle.from, middle.to)]
    : []
  const rulers = [...sides, ...up, ...others.flatMap((strip) => facesOf(strip, field))]
  const found = new Map<Ruled, { mark: Omit<LineMark, 'near' | 'far'>; near: number; far: number }[]>()
  for (const piece of pieces.filter(({ role }) => role === 'line'))
    for (const {
      end,
      side: [a, b],
    } of endsOf(piece)) {
      const on = rulers.find(
        (each) =>
          !(each.on.kind === 'strip' && each.on.stripId === piece.stripId) &&
          off(a, each.line) < ON &&
          off(b, each.line) < ON &&
          within(a, each) &&
          within(b, each),
      )
      if (!on) continue
      const at = [a, b].map(({ x, y }) => (x - on.from.x) * on.u.x + (y - on.from.y) * on.u.y)
      const made = { pieceId: piece.id, stripId: piece.stripId, end }
      found.set(on, [...(found.get(on) ?? []), { mark: made, near: Math.min(...at), far: Math.max(...at) }])
    }
  return rulers.flatMap((each): MarksOn[] => {
    const marks = (found.get(each) ?? []).sort((p, q) => p.near - q.near)
    if (marks.length === 0) return []
    return [
      {
        on: each.on,
        marks: marks.map(({ mark, near, far }) => ({
          ...mark,
          near: readOnTape(near, tape),
          far: readOnTape(far, tape),
        })),
        spacer: spacerOf(marks, each, pieces, tape),
      },
    ]
  })
}

function within({ x, y }: Point, { from, u, reach }: Ruled): boolean {
  const at = (x - from.x) * u.x + (y - from.y) * u.y
  return at > -ON && at < reach + ON
}

function spacerOf(
  marks: readonly { mark: { pieceId: string }; near: number; far: number }[],
  { u }: Ruled,
  pieces: readonly Piece[],
  tape: Tape,
): MarksOn['spacer'] {
  const gaps = marks.slice(1).map(({ near }, i) => near - (marks[i]?.far ?? near))
  const [first] = gaps
  if (first === undefined || first <= 0 || gaps.some((gap) => Math.abs(gap - first) > SAME_GAP)) return null
  const directions = new Set(
    marks.map(({ mark }) => {
      const piece = pieces.find(({ id }) => id === mark.pieceId)
      return Math.round(((((piece?.directionDeg ?? 0) % 180) + 180) % 180) * 1000)
    }),
  )
  const [only, ...more] = directions
  if (only === undefined || more.length > 0) return null
  const v = unitVector(only / 1000)
  const sine = Math.abs(u.x * v.y - u.y * v.x)
  return { along: readOnTape(first, tape), square: readOnTape(first * sine, tape) }
}

/** What to check of each struck strip before it is fixed: across its marks, along it, square to what it lands on. */
export function lineChecks(layout: Layout, pieces: readonly Piece[], tape: Tape): LineCheck[] {
  const strips = new Map(layout.strips.map((strip) => [strip.id as string, strip]))
  const landed = lineMarks(layout, pieces, tape)
  return pieces
    .filter(({ role }) => role === 'line')
    .map((piece): LineCheck => {
      const on = landed.flatMap(({ on: what, marks }) =>
        what.kind === 'strip' && marks.some(({ pieceId }) => pieceId === piece.id) ? [what.stripId] : [],
      )
      const squareTo = on.find((id) => {
        const turn = (piece.directionDeg - (strips.get(id)?.directionDeg ?? 0)) % 180
        return Math.abs(Math.abs((turn + 180) % 180) - 90) < SQUARE_WITHIN_DEG
      })
      return {
        pieceId: piece.id,
        stripId: piece.stripId,
        diagonal: readOnTape(lowerEdge(piece), tape),
        straightedge: piece.longLength >= LONG,
        squareTo: squareTo ?? null,
      }
    })
}

/** Along the edge that lies lower, or to the right of an upright one. */
function lowerEdge({ face, directionDeg }: Piece): number {
  const u = unitVector(directionDeg)
  const turned = u.x < 0 ? -1 : 1
  const own = face.map(({ x, y }) => ({ along: x * u.x + y * u.y, left: turned * (y * u.x - x * u.y) }))
  const least = Math.min(...own.map(({ left }) => left))
  const on = own.filter(({ left }) => left < least + 8).map(({ along }) => along)
  return Math.max(...on) - Math.min(...on)
}
