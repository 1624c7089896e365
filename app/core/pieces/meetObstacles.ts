import type { Design } from '~/model'
import {
  boundsOf,
  crossing,
  type Line,
  lineFrom,
  movedFrom,
  passageThrough,
  type Point,
  type Polygon,
  type Span,
  spanThrough,
  TOUCHING,
  unitVector,
} from '../geometry'
import type { Obstacle } from '../survey/obstacles'
import type { PieceSpec } from './piece'

/** Where a strip lies and how wide it is. */
type Lie = Pick<PieceSpec, 'center' | 'directionDeg' | 'faceWidth'>

/** How an obstacle lies in a strip's way: distances along the strip from its center point. */
export interface Meeting {
  readonly obstacle: Obstacle
  readonly from: number
  readonly to: number
  /** It covers the strip from edge to edge. */
  readonly whole: boolean
  /** How deep it reaches in from an edge, where it does not cover it whole. */
  readonly depth: number
  readonly side: 'left' | 'right'
  readonly entry: Line
  readonly exit: Line
  /** It meets a corner of the obstacle: one cut may leave a wedge open there. */
  readonly corner: boolean
}

function squareAcross(strip: Lie, at: number): Line {
  return {
    through: movedFrom(strip.center, strip.directionDeg, at, 0),
    directionDeg: strip.directionDeg + 90,
  }
}

/** Cuts flatter than this to the strip are drawn out too far for a saw. */
const FLATTEST = Math.tan((80 * Math.PI) / 180)

/**
 * The line that ends a strip at a corner of an outline with the least loss: of the sides that face it, and square across, the one that
 * lets its center line run farthest. Whichever it is, all of a convex outline lies beyond it.
 */
function cornerLine(strip: Lie, outline: Polygon, at: number, entering: boolean): Line {
  const { center, directionDeg } = strip
  const u = unitVector(directionDeg)
  const sign = entering ? 1 : -1
  let best = { line: squareAcross(strip, at), reach: sign * at }
  outline.forEach((from, i) => {
    const to = outline[(i + 1) % outline.length]
    if (!to) return
    const [dx, dy] = [to.x - from.x, to.y - from.y]
    // the outward normal of a counter-clockwise side
    const facing = dy * u.x - dx * u.y
    const along = dx * u.x + dy * u.y
    if (sign * facing >= 0 || Math.abs(along) > Math.abs(facing) * FLATTEST) return
    const line = lineFrom(from, to)
    const met = crossing({ through: center, directionDeg }, line)
    if (!met) return
    const reach = sign * ((met.x - center.x) * u.x + (met.y - center.y) * u.y)
    if (reach > best.reach) best = { line, reach }
  })
  return best.line
}

/** A disc that holds an outline, worked out once for each. */
interface Disc extends Point {
  readonly radius: number
}

const discs = new WeakMap<Polygon, Disc>()

function discOf(outline: Polygon): Disc {
  const known = discs.get(outline)
  if (known) return known
  const { left, right, bottom, top } = boundsOf(outline)
  const disc = {
    x: (left + right) / 2,
    y: (bottom + top) / 2,
    radius: Math.hypot(right - left, top - bottom) / 2,
  }
  discs.set(outline, disc)
  return disc
}

/** All obstacles in a strip's way, in order along it. */
export function meetings(strip: Lie, obstacles: readonly Obstacle[]): Meeting[] {
  const { center, directionDeg } = strip
  const half = strip.faceWidth / 2
  const limit = half - TOUCHING
  const u = unitVector(directionDeg)
  const lineAt = (left: number): Line => ({ through: movedFrom(center, directionDeg, 0, left), directionDeg })
  const met: Meeting[] = []
  for (const obstacle of obstacles) {
    // of many most lie far off: told by one figure each
    const { x, y, radius } = discOf(obstacle.outline)
    if (Math.abs((y - center.y) * u.x - (x - center.x) * u.y) > half + radius) continue
    // most lie to one side of the strip, and are left alone after one look at their corners
    let [least, most] = [Infinity, -Infinity]
    for (const { x, y } of obstacle.outline) {
      const offset = (y - center.y) * u.x - (x - center.x) * u.y
      least = Math.min(least, offset)
      most = Math.max(most, offset)
    }
    if (most < TOUCHING - half || least > half - TOUCHING) continue
    const left = passageThrough(lineAt(limit), obstacle.outline)
    const right = passageThrough(lineAt(-limit), obstacle.outline)
    let [from, to] = [Infinity, -Infinity]
    const reach = (span: Span | null) => {
      if (!span) return
      from = Math.min(from, span.from)
      to = Math.max(to, span.to)
    }
    // the farthest it reaches along the strip is at an edge, at a corner, or where it reaches deepest in
    const offsets = obstacle.outline.map(({ x, y }) => (y - center.y) * u.x - (x - center.x) * u.y)
    const across = [least + TOUCHING, most - TOUCHING, 0, ...offsets].map((at) =>
      Math.min(Math.max(at, -limit), limit),
    )
    for (const at of new Set(across))
      reach(at === limit ? left : at === -limit ? right : spanThrough(lineAt(at), obstacle.outline))
    if (from === Infinity) continue
    const whole = left !== null && right !== null
    // what reaches neither edge is cut out from the nearer one
    const [fromLeft, fromRight] = [half - least, most + half]
    const isLeft = left !== null || (right === null && fromLeft < fromRight)
    const sameEntry = whole && left.entry.directionDeg === right.entry.directionDeg
    const sameExit = whole && left.exit.directionDeg === right.exit.directionDeg
    met.push({
      obstacle,
      from,
      to,
      whole,
      depth: whole ? strip.faceWidth : Math.round(isLeft ? fromLeft : fromRight),
      side: isLeft ? 'left' : 'right',
      entry: sameEntry ? left.entry : cornerLine(strip, obstacle.outline, from, true),
      exit: sameExit ? left.exit : cornerLine(strip, obstacle.outline, to, false),
      corner: !sameEntry || !sameExit,
    })
  }
  return met.sort((a, b) => a.from - b.from)
}

/** What becomes of a strip where it meets something. */
export type Treatment = 'end' | 'notch' | 'run'

/**
 * A strip ends at what it can't pass; it is notched round what the survey or the design says; over a plate it
 * runs on until somebody decides, and a finding says so.
 */
export function treatmentOf(meeting: Meeting, meets: Design['meets']): Treatment {
  const { obstacle, whole } = meeting
  const chosen = meets[obstacle.id]
  if (chosen === 'clear') return 'end'
  const wantsNotch = chosen === 'notch' || obstacle.fate === 'cutRound'
  if (wantsNotch && !whole) return 'notch'
  if (obstacle.plate) return wantsNotch ? 'end' : 'run'
  return 'end'
}
