import { type Length, nearestNanometer } from '~/length'
import { crossing, type Line, movedFrom, type Point, type Polygon, roundPoint, unitVector } from '../geometry'
import { type EndCut, SQUARE } from './endCut'

export const ROLES = ['batten', 'topRail', 'bottomRail', 'cap'] as const
export type Role = (typeof ROLES)[number]

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
  readonly startScarf?: EndCut
  readonly endScarf?: EndCut
}

function along(point: Point, from: Point, directionDeg: number): number {
  const u = unitVector(directionDeg)
  return (point.x - from.x) * u.x + (point.y - from.y) * u.y
}

/** Differences of edge ends below a hundredth of a millimeter are a square cut. */
const SQUARE_WITHIN = 10_000

function faceCut(leftAt: number, rightAt: number, width: number, isStart: boolean): EndCut {
  const lean = leftAt - rightAt
  if (Math.abs(lean) < SQUARE_WITHIN) return SQUARE
  const leftIsLong = isStart ? lean < 0 : lean > 0
  return {
    kind: 'miter',
    sawSettingDeg: (Math.atan(Math.abs(lean) / width) * 180) / Math.PI,
    longEdge: leftIsLong ? 'left' : 'right',
  }
}

function hiddenBy(cut: EndCut): number {
  return cut.kind === 'scarf' ? cut.hidden : 0
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
  const start = spec.startScarf ?? faceCut(at(leftStart), at(rightStart), faceWidth, true)
  const end = spec.endScarf ?? faceCut(at(leftEnd), at(rightEnd), faceWidth, false)
  return {
    id: spec.id,
    stripId: spec.stripId,
    role: spec.role,
    number: spec.number,
    materialId: spec.materialId,
    faceWidth,
    directionDeg,
    polygon: [rightStart, rightEnd, leftEnd, leftStart],
    start,
    end,
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
