import { type Length, nearestNanometer } from '~/length'
import type { Arch } from '~/model'
import type { Point } from '../geometry'
import type { Layout } from '../layout/layout'
import { baseAt } from '../survey/wallLines'
import { middleOf } from './middle'

/** An arc of an arch: its center from the middle of the spring line (x to the right, y up), its radius, the angles it runs between. */
export interface Arc {
  readonly x: number
  readonly y: number
  readonly radius: number
  readonly fromDeg: number
  readonly toDeg: number
}

/** How an arch is struck, about the middle of its spring line. Lengths in nanometers. */
export interface Struck {
  readonly arcs: readonly Arc[]
  readonly rise: number
  /** Along the curve from springing to springing. */
  readonly length: number
}

const deg = (radians: number) => (radians * 180) / Math.PI
const arcLength = ({ radius, fromDeg, toDeg }: Arc) => (radius * (toDeg - fromDeg) * Math.PI) / 180

/**
 * A segment of a circle by width and rise: radius (rise^2 + (width/2)^2) / 2 rise, its center on the middle line. Source of the formula:
 * any handbook of drawing.
 */
export function segmentArc(width: number, rise: number): Arc {
  const half = width / 2
  const radius = (rise * rise + half * half) / (2 * rise)
  const from = deg(Math.atan2(radius - rise, half))
  return { x: 0, y: rise - radius, radius, fromDeg: from, toDeg: 180 - from }
}

/** Three arcs: two small ones on the spring line, a large one over them, that run into each other at `joinDeg`. */
function threeArcs(half: number, rise: number, small: number, large: number): Arc[] {
  const across = half - small
  const below = large - rise
  const joinDeg = deg(Math.atan2(below, across))
  return [
    { x: across, y: 0, radius: small, fromDeg: 0, toDeg: joinDeg },
    { x: 0, y: -below, radius: large, fromDeg: joinDeg, toDeg: 180 - joinDeg },
    { x: -across, y: 0, radius: small, fromDeg: 180 - joinDeg, toDeg: 180 },
  ]
}

/**
 * Strikes an arch; null where its kind can't have that rise. Three-centered by the bisector: small radius (c - a + b) c / 2a, large
 * (c + a - b) c / 2b, of half span a, rise b, c their hypotenuse. Of three arcs of 60 degrees: small (b - (2 - sqrt 3) a) / (sqrt 3 - 1),
 * large 2a - small. Both constructions from memory of drawing handbooks.
 */
export function strikeArch({ kind, width, rise }: Pick<Arch, 'kind' | 'width' | 'rise'>): Struck | null {
  const half = width / 2
  const made = (arcs: readonly Arc[], height: number): Struck => ({
    arcs,
    rise: height,
    length: arcs.reduce((sum, arc) => sum + arcLength(arc), 0),
  })
  switch (kind) {
    case 'segment':
      // higher than half its width it would turn in again, a horseshoe, and be wider than its own springing
      return rise > half ? null : made([segmentArc(width, rise)], rise)
    case 'half':
      return made([{ x: 0, y: 0, radius: half, fromDeg: 0, toDeg: 180 }], half)
    case 'threeCentered': {
      if (rise >= half) return null
      const c = Math.hypot(half, rise)
      return made(
        threeArcs(half, rise, ((c - half + rise) * c) / (2 * half), ((c + half - rise) * c) / (2 * rise)),
        rise,
      )
    }
    case 'threeEqual': {
      const small = (rise - (2 - Math.sqrt(3)) * half) / (Math.sqrt(3) - 1)
      if (small <= 0 || rise >= half) return null
      return made(threeArcs(half, rise, small, 2 * half - small), rise)
    }
  }
}

/** How high the curve, or one outside it by so much, stands over the spring line so far from the middle; null beside it. */
export function heightOver({ arcs }: Struck, across: number, outside = 0): number | null {
  const heights = arcs.flatMap(({ x, y, radius, fromDeg, toDeg }) => {
    const r = radius + outside
    const dx = across - x
    if (Math.abs(dx) > r) return []
    const up = y + Math.sqrt(r * r - dx * dx)
    const at = deg(Math.atan2(up - y, dx))
    return at >= fromDeg - 1e-6 && at <= toDeg + 1e-6 && up >= -1 ? [up] : []
  })
  return heights.length === 0 ? null : Math.max(...heights)
}

/** Where a curve outside the arch by so much meets the spring line, from the middle. */
export function footOutside({ arcs }: Struck, outside: number): number {
  const [first] = arcs
  if (!first) return 0
  const r = first.radius + outside
  return first.x + Math.sqrt(Math.max(0, r * r - first.y * first.y))
}

/** An arch on this wall: all that is marked to strike it. Heights from the floor that heights go by, along from the left corner. */
export interface PlacedArch {
  readonly arch: Arch
  readonly struck: Struck
  readonly middle: number
  readonly spring: number
  /** Height of the base line at its middle, in wall units: what heights are above. */
  readonly base: number
  readonly apex: Length
  readonly left: number
  readonly right: number
  /** Each center, with the string's length to the curve and to the band's outer edge. */
  readonly centers: readonly {
    readonly x: number
    readonly y: number
    readonly string: number
    readonly outer: number | null
  }[]
  /** Heights over the spring line at every such distance from the middle, one side, the foot last. */
  readonly offsets: readonly { readonly from: number; readonly height: number }[]
  /** Of the band: how far from the middle its outer edge meets the spring line, its apex above the spring line. */
  readonly band: { readonly foot: number; readonly apex: number; readonly length: number } | null
}

/** Places an arch on a laid out wall; null where what it is centered on is gone, or it can't be struck. */
export function placeArch(arch: Arch, layout: Layout): PlacedArch | null {
  const middle = middleOf(arch.middle, layout, arch.spring)
  const struck = strikeArch(arch)
  if (!middle || !struck) return null
  const base = baseAt(layout.lines, middle.x)
  const half = arch.width / 2
  const steps = Math.min(400, Math.ceil(half / arch.every))
  const places = [...Array.from({ length: steps }, (_, i) => i * arch.every), half]
  const arcs = struck.arcs.length === 3 ? [struck.arcs[1], struck.arcs[0], struck.arcs[2]] : struck.arcs
  const band = arch.band
  return {
    arch,
    struck,
    middle: middle.x,
    spring: arch.spring,
    base,
    apex: nearestNanometer(arch.spring + struck.rise),
    left: middle.x - half,
    right: middle.x + half,
    centers: arcs.flatMap((arc) =>
      arc
        ? [
            {
              x: middle.x + arc.x,
              y: arch.spring + arc.y,
              string: arc.radius,
              outer: band === null ? null : arc.radius + band,
            },
          ]
        : [],
    ),
    offsets: places.map((from) => ({ from, height: from === half ? 0 : (heightOver(struck, from) ?? 0) })),
    band:
      band === null
        ? null
        : {
            foot: footOutside(struck, band),
            apex: struck.rise + band,
            length: struck.arcs.reduce(
              (sum, arc) => sum + (arcLength(arc) / arc.radius) * (arc.radius + band),
              0,
            ),
          },
  }
}

/** Points along the curve, in wall units, from its left foot to its right one; outside it by so much. */
export function curveOf({ struck, middle, base, spring }: PlacedArch, outside = 0, pieces = 64): Point[] {
  return [...struck.arcs].reverse().flatMap(({ x, y, radius, fromDeg, toDeg }, i, all) => {
    const r = radius + outside
    // outside, the outer arcs run on down to the spring line
    const down = (at: number) =>
      outside > 0 && y < 0
        ? deg(Math.asin(Math.min(1, -y / r))) * (at < 90 ? 1 : -1) + (at < 90 ? 0 : 180)
        : at
    const from = i === all.length - 1 ? down(fromDeg) : fromDeg
    const to = i === 0 ? down(toDeg) : toDeg
    return Array.from({ length: pieces + 1 }, (_, k) => {
      const turn = ((to + ((from - to) * k) / pieces) * Math.PI) / 180
      return { x: middle + x + r * Math.cos(turn), y: base + spring + y + r * Math.sin(turn) }
    })
  })
}
