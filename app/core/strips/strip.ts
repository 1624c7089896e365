import type { Length } from '~/length'
import type { Material } from '~/model'
import { crossing, type Line, movedFrom, type Point, unitVector } from '../geometry'
import type { StripId, StripName } from './stripId'
import { type EndCut, type EndsAt, type Piece, type PieceSpec, placePiece, type Role } from '../pieces'

/** An end of a strip: the lines it stays within (two where it points into a corner), what they are, how it is cut through. */
export interface End {
  readonly lines: readonly [Line, ...Line[]]
  readonly against: EndsAt
  readonly cut?: EndCut
}

/** A straight strip as it is wanted, before it meets anything: all a pattern has to say of it. */
export interface Strip {
  readonly id: StripId
  readonly name: StripName
  /** Tells the straight parts of one strip apart, such as the four sides of a box; empty where there is but one. */
  readonly part: string
  readonly role: Role
  /** Counted from the left within its role, from 1. */
  readonly number: number
  readonly material: Material
  readonly faceWidth: Length
  /** A point on the center line of the face. */
  readonly center: Point
  readonly directionDeg: number
  readonly start: End
  readonly end: End
  /** Joined of several boards where it is longer than one. */
  readonly joins: boolean
  /** Of two that cross the one of the lower tier runs through; null crosses nothing. */
  readonly tier: number | null
  /** It ends at every other strip it meets, whichever way that lies. */
  readonly yields?: true
  /** An edge it is ripped or scribed to, along an end of the wall. */
  readonly taper?: NonNullable<PieceSpec['taper']>
  /** It may run to a point where a corner leaves less than its width. */
  readonly mayPoint?: true
  /** What it was made with, in one act; and what was said of its crossings with others, by their ids or that of their group. */
  readonly group?: string
  readonly crosses?: Readonly<Record<string, OwnMeets>>
}

/** What a strip does where it crosses another, seen from itself. */
export type OwnMeets = 'through' | 'lands' | 'miter' | 'over' | 'under'

/** Where a strip lies and how wide it is. */
export type Lie = Pick<Strip, 'center' | 'directionDeg' | 'faceWidth'>

/** How far a strip reaches along its own direction from its center point, at the most, before it meets anything. */
export function reachOf(strip: Lie & Pick<Strip, 'start' | 'end'>): { from: number; to: number } {
  const { center, directionDeg, faceWidth } = strip
  const u = unitVector(directionDeg)
  const at = (line: Line, side: number): number | null => {
    const edge: Line = { through: movedFrom(center, directionDeg, 0, (side * faceWidth) / 2), directionDeg }
    const met = crossing(edge, line)
    return met ? (met.x - center.x) * u.x + (met.y - center.y) * u.y : null
  }
  const [start, end] = [strip.start.lines[0], strip.end.lines[0]]
  return {
    from: Math.min(at(start, -1) ?? -Infinity, at(start, 1) ?? -Infinity),
    to: Math.max(at(end, -1) ?? Infinity, at(end, 1) ?? Infinity),
  }
}

/** The edge of a strip on a side of its direction, directed so that what lies beyond it is to the left. */
export function faceLine({ center, directionDeg, faceWidth }: Lie, side: 'left' | 'right'): Line {
  const by = ((side === 'left' ? 1 : -1) * faceWidth) / 2
  const turned = side === 'left' ? directionDeg : directionDeg + 180
  return { through: movedFrom(center, directionDeg, 0, by), directionDeg: turned }
}

const whole = new WeakMap<Strip, { readonly within: number; readonly piece: Piece | null }>()

/**
 * The strip placed whole, before it meets anything; null where its ends leave nothing of it. Worked out once for each. Its face is the
 * same whatever lean of an end is cut square; who asks for its cuts says within how much.
 */
export function wholePiece(strip: Strip, squareWithin?: number): Piece | null {
  const known = whole.get(strip)
  if (known && (squareWithin === undefined || known.within === squareWithin)) return known.piece
  const piece = placePiece(specOf(strip, squareWithin))
  whole.set(strip, { within: squareWithin ?? 0, piece })
  return piece
}

/** The strip as a piece to be placed, whole. */
export function specOf(strip: Strip, squareWithin = 0): PieceSpec {
  const { start, end } = strip
  return {
    id: strip.id,
    stripId: strip.id,
    role: strip.role,
    number: strip.number,
    materialId: strip.material.id,
    faceWidth: strip.faceWidth,
    center: strip.center,
    directionDeg: strip.directionDeg,
    startLine: start.lines[0],
    endLine: end.lines[0],
    alsoStart: start.lines.slice(1),
    alsoEnd: end.lines.slice(1),
    startsAt: start.against,
    endsAt: end.against,
    squareWithin,
    ...(strip.mayPoint ? { mayPoint: true } : {}),
    ...(strip.taper ? { taper: strip.taper } : {}),
  }
}
