import { type Line, movedFrom, passageThrough, type Point, type Polygon, unitVector } from '../../geometry'
import type { EndsAt } from '../../pieces'
import type { End } from '../../strips/strip'
import { acrossOf } from './region'
import type { Region } from '../../layout/moves'

/** How a struck line ends one way: at the first it hits; at the edge of its region, across what it meets; square, so far off. */
export type Stop = { readonly kind: 'hit' | 'frame' } | { readonly kind: 'at'; readonly distance: number }

/** A line struck from a point, both ways: its center line, its width, and how it ends. */
export interface Ray {
  /** On the center line. */
  readonly center: Point
  readonly directionDeg: number
  readonly faceWidth: number
  readonly back: Stop
  readonly front: Stop
}

/** A strip that others may hit, by its face. */
export interface Solid {
  readonly id: string
  readonly outline: Polygon
}

/** What one track along a line meets at one end: how far off, the edge, what it is. */
interface Met {
  readonly at: number
  readonly line: Line
  readonly against: EndsAt
}

/** Tracks run this far inside the strip's edges, so that what only touches is not hit. */
const INSIDE = 100_000 // 0.1 mm
/** The point a line starts from may lie this far off the face it starts from. */
const ON_FACE = 50_000

/** The center line, both edges, and the middle of what the region leaves of the width, where a corner of it is all there is. */
function tracksOf({ center, directionDeg, faceWidth }: Ray, region: Region): Line[] {
  const half = faceWidth / 2 - Math.min(INSIDE, faceWidth / 4)
  const { least, most } = acrossOf(region, center, directionDeg)
  const [from, to] = [Math.max(-half, least), Math.min(half, most)]
  const within = from < to && (from > -half || to < half) ? [(from + to) / 2] : []
  return [0, half, -half, ...within].map((left) => ({
    through: movedFrom(center, directionDeg, 0, left),
    directionDeg,
  }))
}

/** Where a track enters and leaves a region, and by which edges. */
function within(track: Line, { outline, edges }: Region): { from: Met; to: Met } | null {
  const passage = passageThrough(track, outline)
  if (!passage) return null
  const u = unitVector(track.directionDeg)
  // the edge as it was given, not as the rounded outline has it
  const nearest = (at: number, entering: boolean) => {
    const point = { x: track.through.x + u.x * at, y: track.through.y + u.y * at }
    let best: { off: number; edge: Region['edges'][number] } | null = null
    for (const edge of edges) {
      const v = unitVector(edge.line.directionDeg)
      const toward = v.x * u.y - v.y * u.x
      // an edge is entered from its right to its left
      if (entering ? toward <= 1e-9 : toward >= -1e-9) continue
      const off = Math.abs((point.y - edge.line.through.y) * v.x - (point.x - edge.line.through.x) * v.y)
      if (!best || off < best.off) best = { off, edge }
    }
    return best?.edge
  }
  const [entry, exit] = [nearest(passage.from, true), nearest(passage.to, false)]
  if (!entry || !exit) return null
  return {
    from: { at: passage.from, line: entry.line, against: entry.against },
    to: { at: passage.to, line: exit.line, against: exit.against },
  }
}

/** The lines of one end, that of the center line first, each once. */
function endOf(met: readonly (Met | null)[], square: Line | null): End | null {
  const found = met.filter((each) => each !== null)
  const distinct = found.filter(
    ({ line }, i) =>
      found.findIndex(
        (other) =>
          other.line === line ||
          (Math.abs(other.line.directionDeg - line.directionDeg) < 1e-9 &&
            other.line.through.x === line.through.x &&
            other.line.through.y === line.through.y),
      ) === i,
  )
  const lines = [...(square ? [square] : []), ...distinct.map(({ line }) => line)]
  const [first, ...more] = lines
  if (!first) return null
  return { lines: [first, ...more], against: square ? 'open' : (distinct[0]?.against ?? 'open') }
}

/** Both ends of a struck line in its region, among the strips struck before it; null where it misses the region. */
export function endsOfRay(
  ray: Ray,
  region: Region,
  solids: readonly Solid[],
): { start: End; end: End } | null {
  const tracks = tracksOf(ray, region)
  const chords = tracks.map((track) => within(track, region))
  if (chords.every((chord) => chord === null)) return null
  const hits = ray.back.kind === 'hit' || ray.front.kind === 'hit'
  const met = tracks.map((track, i) => {
    const chord = chords[i]
    if (!chord) return { back: null, front: null }
    let [back, front] = [chord.from, chord.to]
    if (!hits) return { back, front }
    // a line that was moved off the field starts where it comes into it
    const anchor = Math.min(Math.max(0, chord.from.at), chord.to.at)
    for (const { outline } of solids) {
      const passage = passageThrough(track, outline)
      if (!passage || passage.to < chord.from.at || passage.from > chord.to.at) continue
      // what it starts on the face of and leads through is left behind first
      const ahead = passage.from > anchor + ON_FACE
      if (ahead && ray.front.kind === 'hit' && passage.from < front.at)
        front = { at: passage.from, line: passage.entry, against: 'strip' }
      if (!ahead && ray.back.kind === 'hit' && passage.to > back.at)
        back = { at: passage.to, line: passage.exit, against: 'strip' }
    }
    return { back, front }
  })
  const square = (at: number): Line => ({
    through: movedFrom(ray.center, ray.directionDeg, at, 0),
    directionDeg: ray.directionDeg + 90,
  })
  const ended = (stop: Stop, side: 'back' | 'front') => {
    const all = met.map((each) => each[side])
    if (stop.kind !== 'at') return endOf(all, null)
    const at = side === 'back' ? -stop.distance : stop.distance
    // only what comes before the end it was given
    const before = all.filter((each) => each !== null && (side === 'back' ? each.at > at : each.at < at))
    return endOf(before, square(at))
  }
  const [start, end] = [ended(ray.back, 'back'), ended(ray.front, 'front')]
  return start && end ? { start, end } : null
}
