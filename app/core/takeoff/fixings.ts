import { inches, type Length } from '~/length'
import type { Fixing, Spread, Workpiece } from '~/model'
import { fixingOf, standsUp } from '../cutting/fixing'
import { movedFrom, type Point, spanThrough, unitVector } from '../geometry'
import { stuffOf } from '../layout/returning'
import type { Piece } from '../pieces'

/** Nails of one kind: gauge and length, pins with a gauge of their own. */
export interface Nails {
  readonly kind: 'brad' | 'finish' | 'pin'
  readonly gauge: 16 | 18 | 23
  readonly length: Length
  /** Places something is driven at, and how many holes they leave: two where nails are crossed or a face is wide. */
  readonly places: number
  readonly holes: number
}

/** What holds one piece besides nails, as a volume in cubic nanometers, or a length of it. */
export interface Held {
  readonly pieceId: string
  readonly fixing: Fixing
  readonly glue: number
  /** Beads end to end, or how many dabs. */
  readonly beads: number
  readonly dabs: number
  readonly hotGlue: number
  readonly tape: number
  readonly nails: Nails | null
  /** Where something is driven, on the wall. */
  readonly nailsAt: () => readonly Point[]
}

/**
 * How many are set along a length: the first and the last `end` from its ends, none further apart than `apart`, two at least:
 * max(2, ceil((L - 2 end) / apart) + 1). Common practice, no source.
 */
export function placesAlong(length: number, apart: number, end: number): number {
  if (apart <= 0) return 2
  return Math.max(2, Math.ceil((length - 2 * end) / apart - 1e-9) + 1)
}

/** Faces wider than this take two beads, and two nails at each place. Common practice, no source. */
const WIDE = inches(4.5)
/** Brads up to here, finish nails beyond; pins for what is thin. Common practice, no source. */
const LONGEST_BRAD = inches(2)
/** Dabs begin so far from the ends of a piece. Common practice, no source. */
export const DAB_FROM_END = inches(3)
/** A bead of hot glue. Common practice, no source. */
const HOT_BEAD = inches(3 / 16)

const BEADED: ReadonlySet<Fixing> = new Set(['nailsAndGlue', 'pinsAndGlue', 'adhesiveOnly'])

const discArea = (across: number) => (Math.PI * across * across) / 4

/** The nail a fixing drives, by its length and the stuff. */
function nailKind(fixing: Fixing, length: Length): Pick<Nails, 'kind' | 'gauge'> {
  if (fixing === 'pinsAndGlue') return { kind: 'pin', gauge: 23 }
  return length > LONGEST_BRAD ? { kind: 'finish', gauge: 16 } : { kind: 'brad', gauge: 18 }
}

/** The middle of a piece's face from end to end, as places on the wall; null where it has none. */
export function middleOfFace({ face, directionDeg }: Pick<Piece, 'face' | 'directionDeg'>) {
  const u = unitVector(directionDeg)
  const across = face.map(({ x, y }) => y * u.x - x * u.y)
  const middle = (Math.min(...across) + Math.max(...across)) / 2
  const line = { through: { x: -middle * u.y, y: middle * u.x }, directionDeg }
  const span = spanThrough(line, face)
  if (!span) return null
  return {
    length: span.to - span.from,
    at: (along: number): Point => movedFrom(line.through, directionDeg, span.from + along, 0),
  }
}

/** Places on the middle of a piece's face: as many as a length asks for, shared out over what of the middle there is. */
export function placesOn(piece: Piece, length: number, apart: number, end: number): Point[] {
  const middle = middleOfFace(piece)
  if (!middle) return []
  const from = Math.min(end, middle.length / 3)
  const count = placesAlong(length, apart, end)
  return Array.from({ length: count }, (_, i) =>
    middle.at(from + ((middle.length - 2 * from) * i) / (count - 1)),
  )
}

/** What holds each piece of a wall: nails by the rule of places, adhesive by beads or dabs, tape. Over a keep-out nothing is driven. */
export function heldBy(pieces: readonly Piece[], workpiece: Workpiece, spread: Spread): Held[] {
  return pieces.flatMap((piece): Held[] => {
    const material = stuffOf(piece, workpiece)
    if (!material) return []
    const { fixing, nail, clearOf } = fixingOf(piece, material, workpiece)
    const { longLength: length, faceWidth } = piece
    const wide = faceWidth > WIDE ? 2 : 1
    const isBeaded = BEADED.has(fixing)
    const beads = isBeaded ? length * wide : 0
    const dabs = fixing === 'dabs' ? placesAlong(length, spread.dabsApart, DAB_FROM_END) : 0
    /** Where something is driven: worked out where it is asked for, or where something must be kept clear of. */
    const nailsAt = (): Point[] => {
      if (nail === null) return []
      const up = standsUp(piece)
      return placesOn(piece, length, spread.nailsApart, spread.nailFromEnd).filter(({ x, y }) => {
        const at = up ? y : x
        return !clearOf.some(({ from, to }) => at >= from && at <= to)
      })
    }
    const places =
      nail === null
        ? 0
        : clearOf.length > 0
          ? nailsAt().length
          : placesAlong(length, spread.nailsApart, spread.nailFromEnd)
    const each = (fixing === 'crossedNails' ? 2 : 1) * wide
    return [
      {
        pieceId: piece.id,
        fixing,
        beads,
        dabs,
        glue: beads * discArea(spread.glueBead) + dabs * discArea(spread.dab) * spread.dabThick,
        hotGlue: fixing === 'hotGlue' ? length * discArea(HOT_BEAD) : 0,
        tape: fixing === 'removable' ? length * wide : 0,
        nailsAt,
        nails:
          nail === null || places === 0
            ? null
            : { ...nailKind(fixing, nail), length: nail, places, holes: places * each },
      },
    ]
  })
}
