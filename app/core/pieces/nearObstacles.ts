import { ByLeft, unitVector } from '../geometry'
import type { Obstacle } from '../survey/obstacles'
import type { PieceSpec } from './piece'

/** Obstacles from left to right, and between which heights they lie. */
interface InOrder {
  readonly byLeft: ByLeft<Obstacle>
  readonly bottom: number
  readonly top: number
}

const orders = new WeakMap<readonly Obstacle[], InOrder>()

function orderOf(obstacles: readonly Obstacle[]): InOrder {
  const known = orders.get(obstacles)
  if (known) return known
  const byLeft = new ByLeft(obstacles, ({ outline }) => outline)
  const order = {
    byLeft,
    bottom: Math.min(...byLeft.boxed.map(({ box }) => box.bottom)),
    top: Math.max(...byLeft.boxed.map(({ box }) => box.top)),
  }
  orders.set(obstacles, order)
  return order
}

/** A list this short is gone through sooner than it is put in order. */
const FEW = 12
/** How steep a strip is at least that stands: the sine of its direction. */
const STANDS = 0.9

/**
 * Of a wall's obstacles those that a strip may come near, however long it is: all of them, unless it stands and they are many. The list
 * is put in order once, so it is one that several strips are asked about.
 */
export function obstaclesNear(
  { center, directionDeg, faceWidth }: Pick<PieceSpec, 'center' | 'directionDeg' | 'faceWidth'>,
  obstacles: readonly Obstacle[],
): readonly Obstacle[] {
  const u = unitVector(directionDeg)
  if (obstacles.length <= FEW || Math.abs(u.y) < STANDS) return obstacles
  const { byLeft, bottom, top } = orderOf(obstacles)
  const at = (y: number) => center.x + ((y - center.y) * u.x) / u.y
  const half = faceWidth / 2 / Math.abs(u.y)
  const [low, high] = [at(bottom), at(top)]
  return byLeft.between(Math.min(low, high) - half, Math.max(low, high) + half).map(({ item }) => item)
}
