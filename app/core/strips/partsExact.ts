import {
  type Line,
  fromStretch,
  gathered,
  hullOf,
  leftOf,
  lineFrom,
  ONE_EDGE,
  outsideOf,
  type Point,
  type Polygon,
  signedArea,
  unitVector,
} from '../geometry'
import type { EndsAt } from '../pieces'
import type { Obstacle } from '../survey/obstacles'
import { faceLine, type Strip } from './strip'

/** Areas that differ by less are the same: what rounding to nanometers makes of a long edge. Square nanometers. */
export const SAME_AREA = 2e10

/** What is left of a strip between what ends it, as the lines it stays within besides the strip's own, and what each end lies on. */
export interface Part {
  readonly alsoStart: readonly Line[]
  readonly alsoEnd: readonly Line[]
  readonly startsAt: EndsAt
  readonly endsAt: EndsAt
}

/** The parts of a convex face that none of some convex outlines covers, those alone that are convex themselves. */
export function convexLeft(face: Polygon, outlines: readonly Polygon[]): Polygon[] {
  return gathered(outsideOf(face, outlines)).flatMap((parts) => {
    const hull = hullOf(parts.flat())
    const area = parts.reduce((sum, part) => sum + signedArea(part), 0)
    return Math.abs(signedArea(hull) - area) <= SAME_AREA ? [hull] : []
  })
}

/** Cuts flatter than this to a strip are drawn out too far for a saw. */
const FLATTEST = Math.cos((80 * Math.PI) / 180)

/** The edge of an outline that a point lies on. */
function edgeAt({ outline }: Obstacle, point: Point): Line | null {
  for (const [i, from] of outline.entries()) {
    const to = outline[(i + 1) % outline.length]
    if (to && fromStretch(point, from, to) <= ONE_EDGE) return lineFrom(from, to)
  }
  return null
}

/**
 * A convex part of a strip's face as the cuts that make it, each along the edge it lies on; null where an edge is none of the strip's
 * nor of what ends it, or runs along the strip flatter than a saw cuts.
 */
export function cutsOf(strip: Strip, left: Polygon, ending: readonly Obstacle[], own: Part): Part | null {
  const u = unitVector(strip.directionDeg)
  const sides = [faceLine(strip, 'left'), faceLine(strip, 'right')]
  const ends = [...strip.start.lines, ...strip.end.lines]
  const [alsoStart, alsoEnd]: [Line[], Line[]] = [[], []]
  let { startsAt, endsAt } = own
  for (const [i, from] of left.entries()) {
    const to = left[(i + 1) % left.length] ?? from
    const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 }
    const isOwn = (line: Line) => Math.abs(leftOf(middle, line)) <= ONE_EDGE
    if (sides.some(isOwn) || ends.some(isOwn)) continue
    const met = ending.map((obstacle) => ({ obstacle, line: edgeAt(obstacle, middle) }))
    const found = met.find(({ line }) => line !== null)
    // how far its outward normal points along the strip
    const facing = ((to.y - from.y) * u.x - (to.x - from.x) * u.y) / Math.hypot(to.x - from.x, to.y - from.y)
    if (!found?.line || !(Math.abs(facing) > FLATTEST)) return null
    const at = found.obstacle.kind === 'strip' ? 'strip' : 'thing'
    if (facing < 0) {
      alsoStart.push(found.line)
      startsAt = at
    } else {
      alsoEnd.push(found.line)
      endsAt = at
    }
  }
  return { alsoStart, alsoEnd, startsAt, endsAt }
}
