import polygonClipping from 'polygon-clipping'
import type { Workpiece } from '~/model'
import type { Plan } from '../computePlan'
import { type Line, type Point, type Polygon, signedArea } from '../geometry'
import { leftOf } from '../geometry/halfPlane'
import { stuffOf } from '../layout/returning'
import { rulesOf } from '../patterns/rules'
import { isPlate } from '../survey/obstacles'
import { onLine } from '../survey/wallLines'
import type { Seams } from './seams'
import { surfaceOf } from './surface'

/** The areas of a wall that are painted, in square nanometers. */
export interface Areas {
  /** Trim: its faces, and its edges where they stand free. */
  readonly faces: number
  readonly edges: number
  /** The wall between the trim and below its top, and the wall above; what stands on it left out. */
  readonly field: number
  readonly above: number
  /** Windows, doors with their casing and whatever else takes the wall's surface. */
  readonly openings: number
  /** Between what stays at the foot and at the head: faces, field, above and openings together. */
  readonly whole: number
}

/** The area of an outline of any shape that lies to the left of all these lines. What is cut away leaves no area. */
function areaLeft(outline: Polygon, lines: readonly Line[]): number {
  let points: readonly Point[] = outline
  for (const line of lines) {
    const kept: Point[] = []
    points.forEach((a, i) => {
      const b = points[(i + 1) % points.length] ?? a
      const [atA, atB] = [leftOf(a, line), leftOf(b, line)]
      if (atA >= 0) kept.push(a)
      if (atA >= 0 === atB >= 0) return
      const part = atA / (atA - atB)
      kept.push({ x: a.x + (b.x - a.x) * part, y: a.y + (b.y - a.y) * part })
    })
    points = kept
  }
  return Math.abs(signedArea(points))
}

const ring = (polygon: Polygon): [number, number][] => polygon.map(({ x, y }) => [x, y])
const polygonsArea = (rings: ReturnType<typeof polygonClipping.union>) =>
  rings
    .flatMap((polygon) => polygon.map((each, i) => ({ each, sign: i === 0 ? 1 : -1 })))
    .reduce(
      (sum, { each, sign }) =>
        sum + sign * Math.abs(signedArea(each.slice(0, -1).map(([x, y]) => ({ x, y })))),
      0,
    )

/**
 * What of a wall is painted: trim's faces, its free edges by their thickness, the field below the top of the layout, the wall
 * above it. Where the layout goes all the way up, or has no top of its own, everything is field.
 */
export function areasOf(workpiece: Workpiece, plan: Plan, { seams, joints }: Seams): Areas {
  const { layout, pieces } = plan
  const surface = surfaceOf(workpiece, plan)
  const taken = surface.things.filter(({ kind }) => !isPlate(kind)).map(({ outline }) => outline)
  const open =
    taken.length === 0
      ? []
      : polygonClipping.intersection(
          [ring(surface.outline)],
          polygonClipping.union(...(taken.map((each) => [ring(each)]) as [[[number, number][]]])),
        )
  const openOutlines = open.map(([outer = []]) => outer.slice(0, -1).map(([x, y]) => ({ x, y })))
  const isCovered = rulesOf(layout).places !== null && layout.right > layout.left
  const top = Math.min(layout.top, layout.lines.headLine)
  // where only a part of the wall is covered no more of it is painted
  const part: Line[] =
    layout.design.extent === null
      ? []
      : [
          { through: { x: layout.left, y: 0 }, directionDeg: 270 },
          { through: { x: layout.right, y: 0 }, directionDeg: 90 },
        ]
  /** What of an outline lies over the top of the layout, course by course. */
  const over = (outline: Polygon): number => {
    if (!isCovered) return 0
    const { courses } = layout.lines
    return courses.reduce((sum, { left, right, line }, i) => {
      const slope = (Math.atan(line.slope) * 180) / Math.PI
      const sides: Line[] = [
        ...part,
        { through: { x: 0, y: onLine(line, 0) + top }, directionDeg: slope },
        ...(i === 0 ? [] : [{ through: { x: left, y: 0 }, directionDeg: 270 }]),
        ...(i === courses.length - 1 ? [] : [{ through: { x: right, y: 0 }, directionDeg: 90 }]),
      ]
      return sum + areaLeft(outline, sides)
    }, 0)
  }
  const whole = areaLeft(surface.outline, part)
  const openings =
    part.length === 0 ? polygonsArea(open) : openOutlines.reduce((sum, each) => sum + areaLeft(each, part), 0)
  // where two strips are lapped their faces lie over one another
  const lapped = pieces.reduce(
    (sum, { laps, faceWidth }) =>
      sum +
      laps.reduce((own, { from, to, outOf }) => own + (outOf === 'face' ? (to - from) * faceWidth : 0), 0),
    0,
  )
  const faces = pieces.reduce((sum, { polygon }) => sum + Math.abs(signedArea(polygon)), 0) - lapped
  const facesOver = pieces.reduce((sum, { polygon }) => sum + over(polygon), 0)
  const above = Math.max(
    0,
    over(surface.outline) - openOutlines.reduce((sum, each) => sum + over(each), 0) - facesOver,
  )
  const thick = new Map(pieces.map((piece) => [piece.id, stuffOf(piece, workpiece)?.thickness ?? 0]))
  const free = seams.reduce(
    (sum, { pieceId, against, length }) =>
      sum + (against === 'wall' ? length * (thick.get(pieceId) ?? 0) : 0),
    0,
  )
  // where a thicker piece meets a thinner one the rest of its edge shows
  const steps = joints.reduce(
    (sum, { pieceIds: [a, b], length }) => sum + length * Math.abs((thick.get(a) ?? 0) - (thick.get(b) ?? 0)),
    0,
  )
  return {
    faces,
    edges: free + steps,
    field: Math.max(0, whole - openings - above - faces),
    above,
    openings,
    whole,
  }
}
