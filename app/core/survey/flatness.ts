import { type Length, nearestNanometer } from '~/length'
import type { Flatness, FlatWay, Lie, Settings } from '~/model'
import type { Point } from '../geometry'
import { fromStretch, unitVector } from '../geometry'

/** Which way a straightedge lay, in degrees. */
const LIE_DEG: Readonly<Record<Lie, number>> = { along: 0, up: 90, risesRight: 45, risesLeft: 135 }

/** What a straightedge found, spread over the wall: how long it is along its lie and across it. */
export interface Unevenness {
  readonly reading: Flatness
  readonly directionDeg: number
  readonly along: number
  readonly across: number
}

/** Straightedges that lie across one another measure one hollow between them. */
function lieAcross(a: Flatness, b: Flatness): boolean {
  const turn = Math.abs(LIE_DEG[a.lie] - LIE_DEG[b.lie])
  const apart = Math.hypot(a.x - b.x, a.y - b.y)
  return a.shape === b.shape && turn >= 45 && apart <= Math.min(a.length, b.length) / 2
}

/**
 * The hollows and bellies a survey says there are. One that was read one way only is taken as round; where another straightedge
 * lay across it, that one says how wide it is.
 */
export function unevennesses(flatness: readonly Flatness[]): Unevenness[] {
  return flatness.map((reading) => {
    const other = flatness.find((each) => each.id !== reading.id && lieAcross(each, reading))
    return {
      reading,
      directionDeg: LIE_DEG[reading.lie],
      along: reading.length,
      across: other?.length ?? reading.length,
    }
  })
}

/** How deep one of them is at a place, in nanometers: all of the gap in its middle, nothing at its rim, a parabola between. */
function depthAt({ reading, directionDeg, along, across }: Unevenness, { x, y }: Point): number {
  const u = unitVector(directionDeg)
  const [dx, dy] = [x - reading.x, y - reading.y]
  const s = (2 * (dx * u.x + dy * u.y)) / along
  const t = (2 * (dy * u.x - dx * u.y)) / across
  return reading.gap * Math.max(0, 1 - s * s - t * t)
}

/** How deep the wall lies at a place (of a belly how far out it stands), by the deepest that was read there. */
export function unevenAt(all: readonly Unevenness[], shape: Flatness['shape'], point: Point): number {
  return Math.max(
    0,
    ...all.filter(({ reading }) => reading.shape === shape).map((each) => depthAt(each, point)),
  )
}

/** What lies behind a strip that is straight: a gap it bridges, or a belly it rides on. Lengths in nanometers. */
export interface Behind {
  readonly shape: Flatness['shape']
  /** The gap at its widest, and how long the stretch is that it belongs to. */
  readonly depth: Length
  readonly length: Length
  /** Where along the strip it is widest, from its start. */
  readonly at: Length
  /** The open area seen from one side of the strip, in square nanometers: what a seam there has to fill. */
  readonly area: number
}

const STEPS = 96

/** Whether a hollow or belly comes up to a stretch at all: most lie elsewhere on the wall. */
function reaches({ reading, along, across }: Unevenness, start: Point, end: Point): boolean {
  return fromStretch(reading, start, end) < Math.max(along, across) / 2
}

/** Rests a straight strip on heights taken at even steps: the upper hull's corners, by their numbers. */
function restsOn(heights: readonly number[]): number[] {
  const hull: number[] = []
  heights.forEach((height, i) => {
    for (;;) {
      const [a, b] = [hull[hull.length - 2], hull[hull.length - 1]]
      if (a === undefined || b === undefined) break
      const [from, mid] = [heights[a] ?? 0, heights[b] ?? 0]
      // what it touches on the way is kept: a hollow ends where it does
      if ((mid - from) * (i - a) >= (height - from) * (b - a)) break
      hull.pop()
    }
    hull.push(i)
  })
  return hull
}

/**
 * What a straight strip between two places lies over. In a hollow it rests on what stands out beside it; a strip that ends in one
 * tilts into it. Over a belly it rides: what it would have to bend to lie on at both ends. Null where the wall is flat there.
 */
export function behindStrip(
  all: readonly Unevenness[],
  shape: Flatness['shape'],
  start: Point,
  end: Point,
): Behind | null {
  const long = Math.hypot(end.x - start.x, end.y - start.y)
  const near = all.filter((each) => each.reading.shape === shape && reaches(each, start, end))
  if (near.length === 0) return null
  const sign = shape === 'hollow' ? -1 : 1
  const heights = Array.from({ length: STEPS + 1 }, (_, i) => {
    const part = i / STEPS
    return (
      sign *
      unevenAt(near, shape, { x: start.x + (end.x - start.x) * part, y: start.y + (end.y - start.y) * part })
    )
  })
  const touching = shape === 'hollow' ? restsOn(heights) : [0, STEPS]
  let found: { depth: number; at: number; from: number; to: number } | null = null
  let area = 0
  const flat: number[] = []
  for (const [n, a] of touching.entries()) {
    const b = touching[n + 1]
    if (b === undefined) break
    for (let i = a; i <= b; i++) {
      const chord = (heights[a] ?? 0) + (((heights[b] ?? 0) - (heights[a] ?? 0)) * (i - a)) / (b - a)
      const depth = Math.abs(chord - (heights[i] ?? 0))
      if (i < b) area += (depth * long) / STEPS
      if (depth > (found?.depth ?? 0)) found = { depth, at: i, from: a, to: b }
      if (shape === 'belly' && heights[i] === 0) flat.push(i)
    }
  }
  if (!found || found.depth < 1) return null
  // over a belly it bends from where the wall begins to stand out to where it ends
  const { at } = found
  const from = Math.max(found.from, ...flat.filter((i) => i < at))
  const to = Math.min(found.to, ...flat.filter((i) => i > at))
  const place = (step: number) => nearestNanometer((long * step) / STEPS)
  return {
    shape,
    depth: nearestNanometer(found.depth),
    length: nearestNanometer(place(to) - place(from)),
    at: place(at),
    area,
  }
}

/** A strip may be pulled into a bend whose radius is so many times its thickness. Common practice, no source. */
const BENDS_TO = 600

/** Whether nails pull a strip of that thickness into a bend so deep over so long a stretch. */
export function canPull({ depth, length }: Pick<Behind, 'depth' | 'length'>, thickness: number): boolean {
  return length * length >= BENDS_TO * thickness * 8 * depth
}

/** Deeper than this the wall is skimmed before anything goes on it. Common practice, no source. */
export const SKIM_BEYOND = 12_700_000 // 1/2 in

/**
 * What is usually done about it, null where it lies within the fitting tolerance: pulled in with more nails where it bends so far; else
 * a narrow gap is filled, a deeper hollow shimmed, a belly scribed. Common practice, no source.
 */
export function flatWayOf(
  behind: Behind,
  thickness: number,
  { fit, caulk }: Pick<Settings, 'fit' | 'caulk'>,
): FlatWay | null {
  if (behind.depth <= fit) return null
  if (canPull(behind, thickness)) return 'pull'
  if (behind.depth <= caulk) return 'fill'
  return behind.shape === 'hollow' ? 'shim' : 'scribe'
}
