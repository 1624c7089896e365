import type { ThingKind, Workpiece } from '~/model'
import { FURNITURE } from '~/model'
import type { Plan } from '../computePlan'
import type { Polygon } from '../geometry'
import { outlineOf } from '../survey/obstacles'
import { bendsWithin, profileAt } from '../survey/profile'

/** What stands on the wall and takes its surface, with its casing; of heat the thing itself, not what is kept clear. */
export interface OnWall {
  readonly id: string
  readonly kind: ThingKind
  readonly outline: Polygon
}

/** The wall's surface as it is painted and sealed: between what stays at its foot and at its head. */
export interface Surface {
  readonly outline: Polygon
  /** The lower and the upper end of what can be painted, at a place along the wall. */
  readonly footAt: (x: number) => number
  readonly headAt: (x: number) => number
  readonly things: readonly OnWall[]
  /** A rectangle that lies inside the outline whole. */
  readonly inner: {
    readonly left: number
    readonly right: number
    readonly bottom: number
    readonly top: number
  }
}

/** The surface of a wall, in nanometers from its left end and the finished floor. */
export function surfaceOf({ wall: { survey } }: Workpiece, { layout }: Plan): Surface {
  const { shape, lines } = layout
  const { floor, ceiling } = shape
  const crown = survey.crown?.fate === 'keep' ? survey.crown.height : 0
  // the floor that will be, where it is laid before the trim or under it
  const lift = survey.floorToCome?.when === 'against' ? 0 : lines.build
  const kept = survey.baseboard?.fate === 'keep' ? lines.baseTop : 0
  const footAt = (x: number) => profileAt(floor, x) + lift + kept
  const headAt = (x: number) => profileAt(ceiling, x) - crown
  const sides = (side: typeof shape.left) =>
    bendsWithin(side, 0, survey.height).map((y) => ({ x: profileAt(side, y), y }))
  const [leftSide, rightSide] = [sides(shape.left), sides(shape.right)]
  const left = Math.min(...leftSide.map(({ x }) => x))
  const right = Math.max(...rightSide.map(({ x }) => x))
  const upper = bendsWithin(ceiling, left, right).map((x) => ({ x, y: headAt(x) }))
  const lower = bendsWithin(floor, left, right).map((x) => ({ x, y: footAt(x) }))
  const at = (points: { x: number; y: number }[], low: (x: number) => number, high: (x: number) => number) =>
    points.map((point, i) =>
      i === 0
        ? { x: point.x, y: low(point.x) }
        : i === points.length - 1
          ? { x: point.x, y: high(point.x) }
          : point,
    )
  const outline = [
    ...lower.slice(1, -1),
    ...at(rightSide, footAt, headAt),
    ...upper.slice(1, -1).reverse(),
    ...at(leftSide, footAt, headAt).reverse(),
  ]
  const things = survey.things
    .filter(({ kind, fate }) => fate !== 'remove' && fate !== 'goesBack' && !isFurniture(kind))
    .map((thing) => ({
      id: thing.id,
      kind: thing.kind,
      outline: outlineOf({ ...thing, clear: 0 as typeof thing.clear }),
    }))
  const inner = {
    left: Math.max(...leftSide.map(({ x }) => x)),
    right: Math.min(...rightSide.map(({ x }) => x)),
    bottom: Math.max(...lower.map(({ y }) => y)),
    top: Math.min(...upper.map(({ y }) => y)),
  }
  return { outline, footAt, headAt, things, inner }
}

function isFurniture(kind: ThingKind): boolean {
  return (FURNITURE as readonly string[]).includes(kind)
}
