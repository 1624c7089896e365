import type { Workpiece } from '~/model'
import { boundsOf, isInside, type Point, type Polygon } from '../geometry'
import type { Plan } from '../computePlan'
import type { Piece } from '../pieces'
import { isPlate } from '../survey/obstacles'
import { profileAt } from '../survey/profile'
import { surfaceOf } from './surface'

/** What an edge of trim lies against. `thing` is casing, a ledge, trim that stays; `floor` is never caulked. */
export const AGAINST = ['wall', 'sideWall', 'base', 'ceiling', 'thing', 'floor'] as const
export type Against = (typeof AGAINST)[number]

/** A stretch of an edge, on the wall: a seam between trim and what it lies on or beside. */
export interface Seam {
  readonly pieceId: string
  readonly against: Against
  readonly from: Point
  readonly to: Point
  readonly length: number
}

/** Where two pieces of trim meet; how much thicker one is than the other. */
export interface TrimJoint {
  readonly pieceIds: readonly [string, string]
  readonly from: Point
  readonly to: Point
  readonly length: number
  /** An end cut on a slant meets the end of another: a miter. */
  readonly miter: boolean
}

export interface Seams {
  readonly seams: readonly Seam[]
  readonly joints: readonly TrimJoint[]
}

interface Edge {
  readonly piece: Piece
  readonly a: Point
  readonly u: Point
  readonly length: number
}

interface Stretch {
  readonly from: number
  readonly to: number
}

/** What is no longer than this is rounding, in nanometers. */
const HAIR = 100_000
/** Edges further from parallel than this, as a sine, don't lie on each other. */
const PARALLEL = 0.02

function edgesOf(piece: Piece): Edge[] {
  const { polygon } = piece
  return polygon.flatMap((a, i) => {
    const b = polygon[(i + 1) % polygon.length] ?? a
    const length = Math.hypot(b.x - a.x, b.y - a.y)
    if (length < 1) return []
    return [{ piece, a, u: { x: (b.x - a.x) / length, y: (b.y - a.y) / length }, length }]
  })
}

function at({ a, u }: Edge, along: number): Point {
  return { x: a.x + u.x * along, y: a.y + u.y * along }
}

/** The stretch of an edge that another one, running the other way, lies on within `within`. */
function covered(edge: Edge, other: Edge, within: number): Stretch | null {
  const cross = edge.u.x * other.u.y - edge.u.y * other.u.x
  const dot = edge.u.x * other.u.x + edge.u.y * other.u.y
  if (dot > 0 || Math.abs(cross) > PARALLEL) return null
  const place = (p: Point) => {
    const [dx, dy] = [p.x - edge.a.x, p.y - edge.a.y]
    return { along: dx * edge.u.x + dy * edge.u.y, off: dx * edge.u.y - dy * edge.u.x }
  }
  const [start, end] = [place(at(other, other.length)), place(other.a)]
  const from = Math.max(0, start.along)
  const to = Math.min(edge.length, end.along)
  if (to - from < HAIR) return null
  // how far apart they are in the middle of what they share
  const part = (along: number) =>
    start.off + ((end.off - start.off) * (along - start.along)) / (end.along - start.along || 1)
  return Math.abs(part((from + to) / 2)) <= within ? { from, to } : null
}

function coveredBy(edge: Edge, others: readonly Edge[], within: number): Stretch[] {
  const found: Stretch[] = []
  for (const other of others) {
    const stretch = covered(edge, other, within)
    if (stretch) found.push(stretch)
  }
  return found
}

/** The stretch of an edge that lies inside an outline of any shape. */
function insides(edge: Edge, outline: Polygon): Stretch[] {
  const cuts = [0, edge.length, ...crossingsAlong(edge, outline)].sort((a, b) => a - b)
  return cuts.flatMap((from, i) => {
    const to = cuts[i + 1]
    if (to === undefined || to - from < HAIR) return []
    return isInside(at(edge, (from + to) / 2), outline) ? [{ from, to }] : []
  })
}

/** Where an edge crosses the sides of an outline, along it. */
function crossingsAlong({ a, u, length }: Edge, outline: Polygon): number[] {
  const found: number[] = []
  let p = outline[outline.length - 1] ?? a
  for (const q of outline) {
    const [vx, vy] = [q.x - p.x, q.y - p.y]
    const [dx, dy] = [p.x - a.x, p.y - a.y]
    const sine = u.x * vy - u.y * vx
    if (Math.abs(sine) >= 1e-9) {
      const t = (dx * vy - dy * vx) / sine
      const s = (dx * u.y - dy * u.x) / sine
      if (t > 0 && t < length && s >= 0 && s <= 1) found.push(t)
    }
    p = q
  }
  return found
}

/** What is left of a whole when stretches are taken out of it. */
function without(length: number, taken: readonly Stretch[]): Stretch[] {
  const left: Stretch[] = []
  let from = 0
  for (const each of [...taken].sort((p, q) => p.from - q.from)) {
    if (each.from - from > HAIR) left.push({ from, to: each.from })
    from = Math.max(from, each.to)
  }
  if (length - from > HAIR) left.push({ from, to: length })
  return left
}

const near = (a: ReturnType<typeof boundsOf>, b: ReturnType<typeof boundsOf>, by: number) =>
  a.left <= b.right + by && b.left <= a.right + by && a.bottom <= b.top + by && b.bottom <= a.top + by

/**
 * Every edge of the trim, told apart by what it lies against: another piece (a joint, once for the two) or the wall and what
 * stands on it (a seam). The outlines of all pieces are seams and twice the joints. Two edges are a joint where they are no
 * further apart than the fitting tolerance. Lengths in nanometers.
 */
export function seamsOf(workpiece: Workpiece, plan: Plan): Seams {
  const { pieces, layout } = plan
  const within = workpiece.settings.fit + HAIR
  const bounds = new Map(pieces.map((piece) => [piece.id, boundsOf(piece.polygon)]))
  const edges = new Map(pieces.map((piece) => [piece.id, edgesOf(piece)]))
  const surface = surfaceOf(workpiece, plan)
  const blocks = surface.things
    .filter(({ kind }) => !isPlate(kind))
    .map(({ outline }) => ({ outline, bounds: boundsOf(outline) }))
  const seams: Seam[] = []
  const joints: TrimJoint[] = []
  const { lines, shape } = layout

  /** What lies just outside an edge at a place. */
  const against = (point: Point): Against => {
    if (blocks.some((block) => isInside(point, block.outline))) return 'thing'
    if (point.x <= profileAt(shape.left, point.y) || point.x >= profileAt(shape.right, point.y))
      return 'sideWall'
    if (point.y >= surface.headAt(point.x)) return 'ceiling'
    if (point.y <= surface.footAt(point.x)) return lines.baseTop > 0 ? 'base' : 'floor'
    return 'wall'
  }

  for (const piece of pieces) {
    const box = bounds.get(piece.id)
    if (!box) continue
    const beside = pieces.filter((other) => {
      const own = bounds.get(other.id)
      return other !== piece && own && near(box, own, within)
    })
    const blocked = blocks.some((block) => near(box, block.bounds, within * 2))
    // of two that cross in a half lap the one on top shows its edges, the other's are under it
    const lapped = new Map(piece.laps.map((lap) => [lap.with, lap.outOf]))
    for (const edge of edges.get(piece.id) ?? []) {
      const taken: Stretch[] = []
      const end = at(edge, edge.length)
      const reach = {
        left: Math.min(edge.a.x, end.x),
        right: Math.max(edge.a.x, end.x),
        bottom: Math.min(edge.a.y, end.y),
        top: Math.max(edge.a.y, end.y),
      }
      for (const other of beside) {
        const own = bounds.get(other.id)
        if (!own || !near(reach, own, within)) continue
        const over = lapped.get(other.stripId)
        const met =
          over === undefined
            ? coveredBy(edge, edges.get(other.id) ?? [], within)
            : insides(edge, other.polygon)
        for (const stretch of met) {
          taken.push(stretch)
          // told once for the two: by the one of the smaller name, or the one on top
          const isTold = over === undefined ? piece.id < other.id : over === 'back'
          if (isTold)
            joints.push({
              pieceIds: [piece.id, other.id],
              from: at(edge, stretch.from),
              to: at(edge, stretch.to),
              length: stretch.to - stretch.from,
              miter: over === undefined && isMiter(piece, other, edge),
            })
        }
      }
      // well inside the wall, with nothing near that stays on it, an edge lies on the wall and on nothing else
      const { inner } = surface
      const isFree =
        !blocked &&
        reach.left > inner.left + 2 * within &&
        reach.right < inner.right - 2 * within &&
        reach.bottom > inner.bottom + 2 * within &&
        reach.top < inner.top - 2 * within
      for (const free of without(edge.length, taken)) {
        if (isFree) {
          seams.push({
            pieceId: piece.id,
            against: 'wall',
            from: at(edge, free.from),
            to: at(edge, free.to),
            length: free.to - free.from,
          })
          continue
        }
        const out = { x: edge.u.y * within * 1.2, y: -edge.u.x * within * 1.2 }
        const moved: Edge = { ...edge, a: { x: edge.a.x + out.x, y: edge.a.y + out.y } }
        const cuts = [
          free.from,
          free.to,
          ...blocks
            .filter((block) => near(box, block.bounds, within * 2))
            .flatMap(({ outline }) => crossingsAlong(moved, outline)),
          ...crossingsAlong(moved, surface.outline),
        ]
          .filter((along) => along >= free.from && along <= free.to)
          .sort((p, q) => p - q)
        cuts.forEach((from, i) => {
          const to = cuts[i + 1]
          if (to === undefined || to - from < 1) return
          seams.push({
            pieceId: piece.id,
            against: against(at(moved, (from + to) / 2)),
            from: at(edge, from),
            to: at(edge, to),
            length: to - from,
          })
        })
      }
    }
  }
  return { seams, joints }
}

/** An edge that is neither along nor square to either of the two pieces. */
function isMiter(one: Piece, other: Piece, { u }: Edge): boolean {
  const slanted = ({ directionDeg }: Piece) => {
    const along = ((directionDeg * Math.PI) / 180 - Math.atan2(u.y, u.x)) * 2
    return Math.abs(Math.sin(along)) > 0.05
  }
  return slanted(one) && slanted(other)
}
