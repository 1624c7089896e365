import { nearestNanometer } from '~/length'
import { clipConvex, lineFrom, type Polygon, unitVector } from '../geometry'
import type { Lap, Piece } from '../pieces'
import type { Crossing } from './crossings'
import type { Strip } from './strip'

/** A lap shorter than this along a piece is a corner that touches. */
const LEAST = 100_000

/** What two convex faces have in common. */
function shared(a: Polygon, b: Polygon): Polygon {
  return b.reduce<Polygon>((left, from, i) => {
    const to = b[(i + 1) % b.length]
    return to && left.length > 2 ? clipConvex(left, lineFrom(from, to)) : left
  }, a)
}

/** How far points lie along a piece from its start's long point. */
function reachAlong(piece: Piece, points: Polygon): { from: number; to: number } {
  const u = unitVector(piece.directionDeg)
  const along = ({ x, y }: { x: number; y: number }) => x * u.x + y * u.y
  const zero = Math.min(...piece.face.map(along))
  const all = points.map((point) => along(point) - zero)
  return { from: Math.min(...all), to: Math.max(...all) }
}

/** How much further on what crosses a piece lies at its right edge than at its left; zero where they cross square. */
function leanOf({ directionDeg, faceWidth }: Piece, other: Strip): number {
  const [u, v] = [unitVector(directionDeg), unitVector(other.directionDeg)]
  const [cosine, sine] = [u.x * v.x + u.y * v.y, u.x * v.y - u.y * v.x]
  const lean = (-faceWidth * cosine) / sine
  return Math.abs(lean) < LEAST ? 0 : lean
}

/** A piece of a strip, where it stands in the list of all pieces. */
interface Placed {
  readonly at: number
  readonly piece: Piece
}

/**
 * Laps pieces where their strips cross with one over the other: the one that lies over loses half of the thinner's thickness
 * from its back, the one under from its face as much as lets the two faces lie flush, each over the other's width. Neither is
 * ended there. Lengths in nanometers from the start's long point.
 */
export function lapPieces(
  strips: readonly Strip[],
  crossings: readonly Crossing[],
  pieces: readonly Piece[],
): readonly Piece[] {
  const laps = crossings.filter(({ through }) => through === 'aOver' || through === 'bOver')
  if (laps.length === 0) return pieces
  const found = new Map<number, Lap[]>()
  const byStrip = new Map<string, Placed[]>()
  pieces.forEach((piece, at) => {
    const others = byStrip.get(piece.stripId)
    if (others) others.push({ piece, at })
    else byStrip.set(piece.stripId, [{ piece, at }])
  })
  const lap = ({ at, piece }: Placed, points: Polygon, depth: number, other: Strip, outOf: Lap['outOf']) => {
    const reach = reachAlong(piece, points)
    if (reach.to - reach.from < LEAST) return
    const slant = leanOf(piece, other)
    // at an end that is met in part there is only the corner that both have
    const lean = reach.to - reach.from - Math.abs(slant) < LEAST ? 0 : slant
    const made: Lap = {
      from: nearestNanometer(reach.from + Math.max(0, -lean)),
      to: nearestNanometer(reach.to - Math.max(0, lean)),
      lean: nearestNanometer(lean),
      depth: nearestNanometer(depth),
      outOf,
      with: other.id,
    }
    found.set(at, [...(found.get(at) ?? []), made])
  }
  for (const { a, b, through } of laps) {
    const [over, under] = through === 'aOver' ? [strips[a], strips[b]] : [strips[b], strips[a]]
    if (!over || !under) continue
    const fromBack = Math.round(Math.min(over.material.thickness, under.material.thickness) / 2)
    for (const upper of byStrip.get(over.id) ?? [])
      for (const lower of byStrip.get(under.id) ?? []) {
        const points = shared(upper.piece.face, lower.piece.face)
        if (points.length < 3) continue
        lap(upper, points, fromBack, under, 'back')
        lap(lower, points, under.material.thickness - fromBack, over, 'face')
      }
  }
  return pieces.map((piece, at) => {
    const own = found.get(at)
    return own ? { ...piece, laps: own.sort((p, q) => p.from - q.from) } : piece
  })
}
