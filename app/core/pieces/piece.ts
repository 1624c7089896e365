import { type Length, nearestNanometer } from '~/length'
import {
  clipConvex,
  crossing,
  leftOf,
  type Line,
  movedFrom,
  type Point,
  type Polygon,
  roundPoint,
} from '../geometry'
import { cutOut } from './cutOut'
import type { EndCut } from './endCut'
import { endsOf, type EndShape, faceCut, ownOf, SQUARE_WITHIN } from './endShape'

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
  'filler',
  'line',
  'sideTrim',
] as const
export type Role = (typeof ROLES)[number]

const UPRIGHTS: readonly Role[] = ['batten', 'slat', 'stile', 'filler']

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

/**
 * A part of the thickness taken out where another strip crosses, so that the two lie flush: from where to where from the
 * start's long point along the left edge, over the whole width, out of the face or out of the back. `lean` is how much further
 * on both lie along the right edge, where the two do not cross square.
 */
export interface Lap {
  readonly from: Length
  readonly to: Length
  readonly lean: Length
  readonly depth: Length
  readonly outOf: 'face' | 'back'
  /** The strip that crosses there. */
  readonly with: string
}

/**
 * A long edge that is not parallel to the other: how much is off it at the start's long point and at the end's, straight between the
 * two. Ripped by the card, or scribed where it is fitted.
 */
export interface Taper {
  readonly edge: 'left' | 'right'
  readonly atStart: Length
  readonly atEnd: Length
  readonly by: 'rip' | 'scribe'
}

/** One piece of trim where it sits on the wall. The polygon is its visible face in wall units. */
export interface Piece {
  readonly id: string
  /** The strip it belongs to: a rail made of two pieces is one strip. */
  readonly stripId: string
  /** Which part of its strip: the side of a frame, the how-manieth along it. Left out where it is all of it. */
  readonly part?: { readonly side: string | null; readonly number: number | null }
  readonly role: Role
  /** Counted from the left within its role, from 1. */
  readonly number: number
  readonly materialId: string
  /** Width of the visible face. */
  readonly faceWidth: Length
  readonly directionDeg: number
  readonly polygon: Polygon
  /** The face before anything was cut out of its edges: convex, and what other strips land on. */
  readonly face: Polygon
  readonly start: EndCut
  readonly end: EndCut
  readonly startsAt: EndsAt
  readonly endsAt: EndsAt
  /** Cut out of an edge, to go round something. */
  readonly notches: readonly Notch[]
  /** Taken out of its thickness, to lie flush with what crosses it. */
  readonly laps: readonly Lap[]
  /** Its outer edge, where it follows an end of the wall; left out where both edges are straight and parallel. */
  readonly taper?: Taper
  /** Visible face, long point to long point. */
  readonly longLength: Length
  /** Visible face, short point to short point. */
  readonly shortLength: Length
  /** What comes off the board: the long length and what a scarf hides. */
  readonly cutLength: Length
}

/** Shorter than this the saw can't hold a piece. Common practice, no source. */
const LEAST_HELD = 25_400_000 // 1 in

/** Whether a piece is shorter than it is wide, or under an inch: hard to hold at the saw and to fix. */
export function isSmall({ longLength, faceWidth }: Pick<Piece, 'longLength' | 'faceWidth'>): boolean {
  return longLength < Math.max(LEAST_HELD, faceWidth)
}

/** What it takes to place a piece: its center line and the lines that end it. */
export interface PieceSpec {
  readonly id: string
  readonly stripId: string
  readonly role: Role
  readonly number: number
  readonly materialId: string
  readonly faceWidth: Length
  /** A point on the center line of the face. */
  readonly center: Point
  readonly directionDeg: number
  readonly startLine: Line
  readonly endLine: Line
  /** Further lines that end it: of all at one end the piece stays within each. */
  readonly alsoStart?: readonly Line[]
  readonly alsoEnd?: readonly Line[]
  /** Cuts through the thickness, which the face does not show. */
  readonly startCut?: EndCut
  readonly endCut?: EndCut
  readonly startsAt?: EndsAt
  readonly endsAt?: EndsAt
  /** In distances along the strip from its center point. */
  readonly notches?: readonly { from: number; to: number; depth: number; edge: 'left' | 'right' }[]
  /** A lean of an end smaller than this is cut square and left to the caulk. */
  readonly squareWithin?: number
  /** An edge it is ripped or scribed to, along its length, in place of its own. */
  readonly taper?: { readonly edge: 'left' | 'right'; readonly line: Line; readonly by: Taper['by'] }
  /** It may run to a point: its two ends may meet inside its width, where a corner leaves less than all of it. */
  readonly mayPoint?: boolean
}

/** The face between its two edges and the lines that end it; null where nothing of both edges is left. */
function faceOf(spec: PieceSpec): Polygon | null {
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
  ].map((c) => (c ? roundPoint(c) : null))
  const [rightStart, rightEnd, leftEnd, leftStart] = corners
  if (!rightStart || !rightEnd || !leftEnd || !leftStart) return null
  const at = (point: Point) => ownOf(point, spec).along
  const crossed = at(leftEnd) < at(leftStart) || at(rightEnd) < at(rightStart)
  if (crossed && !spec.mayPoint) return null
  const whole = crossed
    ? bandFrom(spec, Math.min(at(leftStart), at(rightStart)), Math.max(at(leftEnd), at(rightEnd)))
    : [rightStart, rightEnd, leftEnd, leftStart]
  const clipped = (face: Polygon, line: Line, isStart: boolean): Polygon => {
    const far = movedFrom(line.through, directionDeg, isStart ? 1e9 : -1e9, 0)
    const kept = leftOf(far, line) > 0 ? line : { ...line, directionDeg: line.directionDeg + 180 }
    // a cut along the strip would take its width, not its length
    return crossing(edge(0), line) ? clipConvex(face, kept) : face
  }
  const [ownStart, ownEnd] = crossed ? [[spec.startLine], [spec.endLine]] : [[], []]
  const started = [...ownStart, ...(spec.alsoStart ?? [])].reduce(
    (face, line) => clipped(face, line, true),
    whole as Polygon,
  )
  return [...ownEnd, ...(spec.alsoEnd ?? [])].reduce((face, line) => clipped(face, line, false), started)
}

/** The strip between two places along it, cut square. */
function bandFrom({ center, directionDeg, faceWidth }: PieceSpec, from: number, to: number): Polygon {
  const half = faceWidth / 2
  return [
    [from, -half],
    [to, -half],
    [to, half],
    [from, half],
  ].map(([along = 0, left = 0]) => movedFrom(center, directionDeg, along, left))
}

function isOneLine({ kind }: EndCut): boolean {
  return kind !== 'twoCuts' && kind !== 'severalCuts'
}

function hiddenBy(cut: EndCut): number {
  return cut.kind === 'scarf' || cut.kind === 'cornerMiter' || cut.kind === 'returned' ? cut.hidden : 0
}

/** The same piece with an end of too many lines cut square at its short point: nothing is run over. */
function squaredOff(spec: PieceSpec, shape: EndShape, isStart: boolean): PieceSpec {
  const all = [shape.left, shape.right, ...shape.between.map(({ along }) => along)]
  const at = isStart ? Math.max(...all) : Math.min(...all)
  const line: Line = {
    through: movedFrom(spec.center, spec.directionDeg, at, 0),
    directionDeg: spec.directionDeg + 90,
  }
  return isStart ? { ...spec, startLine: line, alsoStart: [] } : { ...spec, endLine: line, alsoEnd: [] }
}

/** What a line along an edge takes off a piece at its two ends, and the line with the piece to its left; null where it takes nothing. */
function taperOf(
  { edge, line, by }: NonNullable<PieceSpec['taper']>,
  { center, directionDeg, faceWidth }: PieceSpec,
  zero: number,
  longLength: number,
): { taper: Taper; line: Line } | null {
  const side = edge === 'left' ? 1 : -1
  const at = (along: number): number => {
    const across = {
      through: movedFrom(center, directionDeg, along, 0),
      directionDeg: directionDeg + 90,
    }
    const met = crossing(across, line)
    const left = met ? ownOf(met, { center, directionDeg, faceWidth }).left : (side * faceWidth) / 2
    return Math.min(faceWidth, Math.max(0, faceWidth / 2 - side * left))
  }
  const [atStart, atEnd] = [nearestNanometer(at(zero)), nearestNanometer(at(zero + longLength))]
  if (Math.max(atStart, atEnd) < SQUARE_WITHIN) return null
  const inside = leftOf(center, line) > 0 ? line : { ...line, directionDeg: line.directionDeg + 180 }
  return { taper: { edge, atStart, atEnd, by }, line: inside }
}

/**
 * Places a piece: its face is the strip of `faceWidth` about the center line, cut off by the lines that end it.
 * Lengths in nanometers. Returns null when an end line runs along the strip, when the ends have crossed, or when an
 * edge is cut away whole.
 */
export function placePiece(spec: PieceSpec): Piece | null {
  const { directionDeg, faceWidth, center } = spec
  const face = faceOf(spec)
  const ends = face && endsOf(face, spec)
  if (!ends) return null
  const within = Math.max(SQUARE_WITHIN, spec.squareWithin ?? 0)
  const startCut = faceCut(ends.start, faceWidth, true, within)
  const endCut = faceCut(ends.end, faceWidth, false, within)
  // of what runs between uprights and walls nobody cuts an end in three: it stops short, square
  if (startCut.kind === 'severalCuts' && !spec.mayPoint) return placePiece(squaredOff(spec, ends.start, true))
  if (endCut.kind === 'severalCuts' && !spec.mayPoint) return placePiece(squaredOff(spec, ends.end, false))
  const reach = (shape: EndShape) => [shape.left, shape.right, ...shape.between.map(({ along }) => along)]
  const zero = Math.min(...reach(ends.start))
  const longLength = Math.max(...reach(ends.end)) - zero
  const shortLength = Math.min(...reach(ends.end)) - Math.max(...reach(ends.start))
  if (longLength <= 0) return null
  // a cut through the thickness needs one line across the face
  const start = spec.startCut && isOneLine(startCut) ? spec.startCut : startCut
  const end = spec.endCut && isOneLine(endCut) ? spec.endCut : endCut
  const notches = (spec.notches ?? []).map(({ from, to, depth, edge }) => ({
    from: nearestNanometer(Math.max(0, from - zero)),
    to: nearestNanometer(Math.min(longLength, to - zero)),
    depth: nearestNanometer(depth),
    edge,
  }))
  const taper = spec.taper && taperOf(spec.taper, spec, zero, longLength)
  const onWall = (along: number, left: number) => movedFrom(center, directionDeg, zero + along, left)
  const holes = notches.map(({ from, to, depth, edge }) => {
    const outer = edge === 'left' ? faceWidth : -faceWidth
    const inner = edge === 'left' ? faceWidth / 2 - depth : depth - faceWidth / 2
    return [onWall(from, inner), onWall(to, inner), onWall(to, outer), onWall(from, outer)]
  })
  return {
    id: spec.id,
    stripId: spec.stripId,
    role: spec.role,
    number: spec.number,
    materialId: spec.materialId,
    faceWidth,
    directionDeg,
    polygon: cutOut(taper ? clipConvex(face, taper.line) : face, holes),
    face,
    notches,
    laps: [],
    ...(taper ? { taper: taper.taper } : {}),
    start,
    end,
    startsAt: spec.startsAt ?? 'open',
    endsAt: spec.endsAt ?? 'open',
    longLength: nearestNanometer(longLength),
    shortLength: nearestNanometer(shortLength),
    cutLength: nearestNanometer(longLength + hiddenBy(start) + hiddenBy(end)),
  }
}
