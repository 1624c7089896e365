import polygonClipping from 'polygon-clipping'
import { type Length, nearestNanometer } from '~/length'
import { crossing, type Line, movedFrom, type Point, type Polygon, roundPoint, unitVector } from '../geometry'
import { type EndCut, SQUARE } from './endCut'

export const ROLES = [
  'batten',
  'slat',
  'stile',
  'topRail',
  'bottomRail',
  'ledger',
  'cap',
  'rail',
  'chairRail',
  'pictureRail',
  'shelf',
  'border',
  'boxStile',
  'boxRail',
] as const
export type Role = (typeof ROLES)[number]

const UPRIGHTS: readonly Role[] = ['batten', 'slat', 'stile']

/** Stands upright and is marked from the corner. */
export function isUpright(role: Role): boolean {
  return UPRIGHTS.includes(role)
}

/** What an end of a piece comes up to: the wall's own edge, another strip, a thing on the wall, the next board of a joined run, or nothing. */
export type EndsAt = 'wall' | 'strip' | 'thing' | 'joint' | 'open'

/** A rectangle cut out of an edge: from where to where from the piece's start, how deep, from which edge. */
export interface Notch {
  readonly from: Length
  readonly to: Length
  readonly depth: Length
  readonly edge: 'left' | 'right'
}

/** One piece of trim where it sits on the wall. The polygon is its visible face in wall units. */
export interface Piece {
  readonly id: string
  /** The strip it belongs to: a rail made of two pieces is one strip. */
  readonly stripId: string
  readonly role: Role
  /** Counted from the left within its role, from 1. */
  readonly number: number
  readonly materialId: string
  /** Width of the visible face. */
  readonly faceWidth: Length
  readonly directionDeg: number
  readonly polygon: Polygon
  readonly start: EndCut
  readonly end: EndCut
  readonly startsAt: EndsAt
  readonly endsAt: EndsAt
  /** Cut out of an edge, to go round something. */
  readonly notches: readonly Notch[]
  /** Visible face, long point to long point. */
  readonly longLength: Length
  /** Visible face, short point to short point. */
  readonly shortLength: Length
  /** What comes off the board: the long length and what a scarf hides. */
  readonly cutLength: Length
}

/** What it takes to place a piece: its centre line and the two lines that end it. */
export interface PieceSpec {
  readonly id: string
  readonly stripId: string
  readonly role: Role
  readonly number: number
  readonly materialId: string
  readonly faceWidth: Length
  /** A point on the centre line of the face. */
  readonly center: Point
  readonly directionDeg: number
  readonly startLine: Line
  readonly endLine: Line
  /** Cuts through the thickness, which the face does not show. */
  readonly startCut?: EndCut
  readonly endCut?: EndCut
  readonly startsAt?: EndsAt
  readonly endsAt?: EndsAt
  /** In distances along the strip from its centre point. */
  readonly notches?: readonly { from: number; to: number; depth: number; edge: 'left' | 'right' }[]
  /** A lean of an end smaller than this is cut square and left to the caulk. */
  readonly squareWithin?: number
}

function along(point: Point, from: Point, directionDeg: number): number {
  const u = unitVector(directionDeg)
  return (point.x - from.x) * u.x + (point.y - from.y) * u.y
}

/** Differences of edge ends below a hundredth of a millimeter are a square cut. */
const SQUARE_WITHIN = 10_000

function faceCut(
  leftAt: number,
  rightAt: number,
  width: number,
  isStart: boolean,
  squareWithin: number,
): EndCut {
  const lean = leftAt - rightAt
  if (Math.abs(lean) < squareWithin) return SQUARE
  const leftIsLong = isStart ? lean < 0 : lean > 0
  return {
    kind: 'miter',
    sawSettingDeg: (Math.atan(Math.abs(lean) / width) * 180) / Math.PI,
    longEdge: leftIsLong ? 'left' : 'right',
  }
}

/** The face less its notches, by the polygon library. */
function cutOut(face: Polygon, { center, directionDeg, faceWidth, notches = [] }: PieceSpec): Polygon {
  const ring = (polygon: Polygon): [number, number][] => polygon.map(({ x, y }) => [x, y])
  const holes = notches.map(({ from, to, depth, edge }) => {
    const outer = edge === 'left' ? faceWidth : -faceWidth
    const inner = edge === 'left' ? faceWidth / 2 - depth : depth - faceWidth / 2
    const corner = (along: number, left: number) => movedFrom(center, directionDeg, along, left)
    return [ring([corner(from, inner), corner(to, inner), corner(to, outer), corner(from, outer)])]
  })
  if (holes.length === 0) return face
  const [left] = polygonClipping.difference([ring(face)], ...holes)
  return (left?.[0] ?? []).slice(0, -1).map(([x, y]) => roundPoint({ x, y }))
}

function hiddenBy(cut: EndCut): number {
  return cut.kind === 'scarf' || cut.kind === 'cornerMiter' ? cut.hidden : 0
}

/**
 * Places a piece: its face is the strip of `faceWidth` about the centre line, cut off by the two end lines.
 * Lengths in nanometers. Returns null when an end line runs along the strip or the ends have crossed.
 */
export function placePiece(spec: PieceSpec): Piece | null {
  const { directionDeg, faceWidth, center } = spec
  const edge = (side: number): Line => ({
    through: movedFrom(center, directionDeg, 0, (side * faceWidth) / 2),
    directionDeg,
  })
  const corners = [
    crossing(edge(-1), spec.startLine),
    crossing(edge(-1), spec.endLine),
    crossing(edge(1), spec.endLine),
    crossing(edge(1), spec.startLine),
  ]
  const [rightStart, rightEnd, leftEnd, leftStart] = corners.map((c) => (c ? roundPoint(c) : null))
  if (!rightStart || !rightEnd || !leftEnd || !leftStart) return null
  const at = (point: Point) => along(point, center, directionDeg)
  const shortLength = Math.min(at(leftEnd), at(rightEnd)) - Math.max(at(leftStart), at(rightStart))
  const longLength = Math.max(at(leftEnd), at(rightEnd)) - Math.min(at(leftStart), at(rightStart))
  if (at(leftEnd) < at(leftStart) || at(rightEnd) < at(rightStart) || longLength <= 0) return null
  const within = Math.max(SQUARE_WITHIN, spec.squareWithin ?? 0)
  const start = spec.startCut ?? faceCut(at(leftStart), at(rightStart), faceWidth, true, within)
  const end = spec.endCut ?? faceCut(at(leftEnd), at(rightEnd), faceWidth, false, within)
  return {
    id: spec.id,
    stripId: spec.stripId,
    role: spec.role,
    number: spec.number,
    materialId: spec.materialId,
    faceWidth,
    directionDeg,
    polygon: cutOut([rightStart, rightEnd, leftEnd, leftStart], spec),
    notches: (spec.notches ?? []).map(({ from, to, depth, edge: side }) => {
      const zero = Math.min(at(leftStart), at(rightStart))
      return {
        from: nearestNanometer(Math.max(0, from - zero)),
        to: nearestNanometer(Math.min(longLength, to - zero)),
        depth: nearestNanometer(depth),
        edge: side,
      }
    }),
    start,
    end,
    startsAt: spec.startsAt ?? 'open',
    endsAt: spec.endsAt ?? 'open',
    longLength: nearestNanometer(longLength),
    shortLength: nearestNanometer(shortLength),
    cutLength: nearestNanometer(longLength + hiddenBy(start) + hiddenBy(end)),
  }
}

function setBack(cut: EndCut, edge: 'left' | 'right', width: number): number {
  if (cut.kind !== 'miter' || cut.longEdge === edge) return 0
  return width * Math.tan((cut.sawSettingDeg * Math.PI) / 180)
}

/**
 * The face a sawyer gets from the card alone: long length, width and the two cuts, with the start's long
 * point at x = 0 and the strip lying along +x. The proof that the card says all there is to say.
 */
export function faceFromCard(piece: Pick<Piece, 'longLength' | 'faceWidth' | 'start' | 'end'>): Polygon {
  const { longLength, faceWidth, start, end } = piece
  const x = (edge: 'left' | 'right', which: 'start' | 'end') =>
    which === 'start' ? setBack(start, edge, faceWidth) : longLength - setBack(end, edge, faceWidth)
  return [
    { x: x('right', 'start'), y: 0 },
    { x: x('right', 'end'), y: 0 },
    { x: x('left', 'end'), y: faceWidth },
    { x: x('left', 'start'), y: faceWidth },
  ]
}
