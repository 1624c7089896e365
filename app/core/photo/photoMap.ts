import type { PhotoMarks } from '~/model'
import type { Point } from '../geometry'
import { bent, fitWithLens, type Lens, LENS_NEEDS, straightened } from './lens'
import { backward, cornersFault, fitPerspective, type Pair, type Perspective, seenAt } from './perspective'

/** How a photograph sees the wall: wall units to pixels of the picture and back. */
export interface PhotoMap {
  readonly map: Perspective
  readonly back: Perspective
  readonly lens: Lens | null
  /** How far each point misses its place, in pixels, in the order of the points. */
  readonly misses: readonly number[]
}

/** Why a photograph can't be laid over a wall yet. */
export type PhotoFault = 'fewPoints' | 'inLine' | 'crossed' | 'bentInward' | 'noMap'

interface Seen extends Pick<PhotoMarks, 'points' | 'lens'> {
  readonly width: number
  readonly height: number
}

function pairsOf({ points, width, height }: Seen): Pair[] {
  return points.map(({ at, wall }) => ({ from: wall, to: { x: at.x * width, y: at.y * height } }))
}

function mapOf(pairs: readonly Pair[], { lens, width, height }: Omit<Seen, 'points'>) {
  const center = { x: width / 2, y: height / 2 }
  const curved =
    lens && pairs.length >= LENS_NEEDS ? fitWithLens(pairs, center, Math.hypot(width, height) / 2) : null
  const straight = curved ? null : fitPerspective(pairs)
  return curved ?? (straight && { map: straight, lens: null })
}

/** Four points in turn about their middle on the wall, so that crossing is told as such. */
function inTurn(pairs: readonly Pair[]): Pair[] {
  const [cx, cy] = [
    pairs.reduce((sum, { from }) => sum + from.x, 0) / pairs.length,
    pairs.reduce((sum, { from }) => sum + from.y, 0) / pairs.length,
  ]
  const angle = ({ from }: Pair) => Math.atan2(from.y - cy, from.x - cx)
  return [...pairs].sort((a, b) => angle(a) - angle(b))
}

/** The map of a photograph from its points, or why there is none. */
export function photoMap(seen: Seen): PhotoMap | PhotoFault {
  const pairs = pairsOf(seen)
  if (pairs.length < 4) return 'fewPoints'
  if (pairs.length === 4) {
    const turned = inTurn(pairs)
    if (cornersFault(turned.map(({ from }) => from)) !== null) return 'inLine'
    const fault = cornersFault(turned.map(({ to }) => to))
    if (fault) return fault
  }
  const found = mapOf(pairs, seen)
  if (!found) return 'noMap'
  const { map, lens } = found
  const misses = pairs.map(({ from, to }) => {
    const at = onPhoto(found, from)
    return Math.hypot(at.x - to.x, at.y - to.y)
  })
  return { map, back: backward(map), lens, misses }
}

/** Where a place on the wall is seen, in pixels. */
export function onPhoto({ map, lens }: Pick<PhotoMap, 'map' | 'lens'>, at: Point): Point {
  const straight = seenAt(map, at)
  return lens ? bent(straight, lens) : straight
}

/** The place on the wall that is seen at a pixel. */
export function onWall({ back, lens }: Pick<PhotoMap, 'back' | 'lens'>, at: Point): Point {
  return seenAt(back, lens ? straightened(at, lens) : at)
}

/** How near a finger or a mouse puts a point, in pixels of the picture. Common practice, no source. */
export const PUT_WITHIN = 2

/** A distance read off a photograph, in nanometers: a reading to be confirmed, never one that counts. */
export interface PhotoDistance {
  readonly distance: number
  /** Give or take: what the two ends and the points of the map come to where each is put so many pixels off. */
  readonly likely: number
  /** The part of it that the two ends alone make, at worst. */
  readonly ends: number
}

function between(a: Point, b: Point): number {
  return Math.hypot(a.x - b.x, a.y - b.y)
}

/** The greatest change of a distance where both ends are off by so many pixels in x and y. */
function endsOff(found: PhotoMap, a: Point, b: Point, by: number): number {
  const distance = between(onWall(found, a), onWall(found, b))
  const off = [-by, by]
  const all = off.flatMap((ax) =>
    off.flatMap((ay) =>
      off.flatMap((bx) =>
        off.map((dy) =>
          between(onWall(found, { x: a.x + ax, y: a.y + ay }), onWall(found, { x: b.x + bx, y: b.y + dy })),
        ),
      ),
    ),
  )
  return Math.max(...all.map((each) => Math.abs(each - distance)))
}

/** Reads the distance of two pixels on the wall. Null where the photograph has no map. */
export function measureOnPhoto(seen: Seen, a: Point, b: Point, putWithin = PUT_WITHIN): PhotoDistance | null {
  const found = photoMap(seen)
  if (typeof found === 'string') return null
  const distance = between(onWall(found, a), onWall(found, b))
  // what the points miss by tells how well they were put, where there are more than four
  const rms = Math.sqrt(found.misses.reduce((sum, miss) => sum + miss * miss, 0) / found.misses.length)
  const by = Math.max(putWithin, rms)
  const ends = endsOff(found, a, b, by)
  const pairs = pairsOf(seen)
  let squares = ends * ends
  pairs.forEach(({ to }, i) => {
    for (const axis of ['x', 'y'] as const) {
      const moved = pairs.map((pair, k) =>
        k === i ? { ...pair, to: { ...to, [axis]: to[axis] + by } } : pair,
      )
      const other = mapOf(moved, seen)
      if (!other) continue
      const back = backward(other.map)
      const read = between(onWall({ back, lens: other.lens }, a), onWall({ back, lens: other.lens }, b))
      squares += (read - distance) ** 2
    }
  })
  return { distance, ends, likely: Math.sqrt(squares) }
}
