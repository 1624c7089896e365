import { type Point, isInside, movedFrom } from '../geometry'
import type { Piece } from '../pieces'

/** So far beyond its end lies what a piece comes up to. */
const BEYOND = 1_000_000 // 1 mm

/** Places across an end that are looked at, as parts of the width from the middle. */
const ACROSS = [-0.4, 0, 0.4]

function ends({ face, directionDeg, faceWidth }: Piece): Point[] {
  const turn = (directionDeg * Math.PI) / 180
  const [ux, uy] = [Math.cos(turn), Math.sin(turn)]
  const along = face.map(({ x, y }) => x * ux + y * uy)
  const left = face.map(({ x, y }) => y * ux - x * uy)
  const middle = (Math.min(...left) + Math.max(...left)) / 2
  return [Math.min(...along) - BEYOND, Math.max(...along) + BEYOND].flatMap((at) =>
    ACROSS.map((part) => movedFrom({ x: 0, y: 0 }, directionDeg, at, middle + part * faceWidth)),
  )
}

/** The pieces that each piece comes up to with an end, by their ids: those must be up before its opening can be read. */
export function landsOnPieces(pieces: readonly Piece[]): Map<string, string[]> {
  return new Map(
    pieces.map((piece) => {
      const at = piece.startsAt === 'strip' || piece.endsAt === 'strip' ? ends(piece) : []
      const met = pieces.filter(
        (other) => other.stripId !== piece.stripId && at.some((point) => isInside(point, other.face)),
      )
      return [piece.id, met.map(({ id }) => id)]
    }),
  )
}

/** A piece of a walk: its name, whether its opening is read on the wall, and what must be up before. */
export interface Opening {
  readonly name: string
  readonly open: boolean
  readonly after: readonly string[]
}

/**
 * The trips to the saw that a list takes: what needs no reading is cut in the first; then, time after time, all openings that can be read by
 * then are read in one visit and cut in one trip. Pieces that wait for one another in a circle are read as they come. Names, in list order.
 */
export function sawTrips(pieces: readonly Opening[]): string[][] {
  const known = new Set(pieces.map(({ name }) => name))
  const up = new Set<string>()
  const trips: string[][] = []
  const closed = pieces.filter(({ open }) => !open).map(({ name }) => name)
  if (closed.length > 0) trips.push(closed)
  closed.forEach((name) => up.add(name))
  for (let left = pieces.filter(({ open }) => open); left.length > 0;) {
    const can = left.filter(({ after }) => after.every((name) => !known.has(name) || up.has(name)))
    const now = can.length > 0 ? can : left.slice(0, 1)
    trips.push(now.map(({ name }) => name))
    now.forEach(({ name }) => up.add(name))
    left = left.filter((each) => !now.includes(each))
  }
  return trips
}
