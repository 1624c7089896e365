import type { Length } from '~/length'
import type { Survey, Thing } from '~/model'
import { latestReadings } from './latestReadings'
import { profileAt } from './profile'
import type { WallShape } from './wallShape'

/** Left part + thing + right part against the whole width there; or up the wall against the whole height. */
export interface Chain {
  readonly thing: Thing
  readonly axis: 'across' | 'up'
  readonly first: Length
  readonly size: Length
  readonly second: Length
  readonly whole: number
  /** The whole less the parts: positive where something is missing. */
  readonly difference: number
}

/** Every chain whose second reading was taken. Heights are measured at the thing's middle. */
export function chainsOf(survey: Survey, shape: WallShape): Chain[] {
  return survey.things.flatMap((thing) => {
    const chains: Chain[] = []
    const middle = { x: thing.left + thing.width / 2, y: thing.bottom + thing.height / 2 }
    const add = (axis: Chain['axis'], first: Length, size: Length, second: Length, whole: number) =>
      chains.push({ thing, axis, first, size, second, whole, difference: whole - first - size - second })
    if (thing.fromRight !== null) {
      const whole = profileAt(shape.right, middle.y) - profileAt(shape.left, middle.y)
      add('across', thing.left, thing.width, thing.fromRight, whole)
    }
    if (thing.fromTop !== null) {
      const whole = profileAt(shape.ceiling, middle.x) - profileAt(shape.floor, middle.x)
      add('up', thing.bottom, thing.height, thing.fromTop, whole)
    }
    return chains
  })
}

/**
 * Which reading an open chain speaks against, where that can be known: the whole when every chain along the
 * same axis is open by the same amount or another reading of the whole differs by it; a part when other chains
 * along the axis close.
 */
export function suspectOf(
  chain: Chain,
  all: readonly Chain[],
  survey: Survey,
  tolerance: number,
): 'whole' | 'part' | null {
  const others = all.filter((other) => other.axis === chain.axis && other.thing.id !== chain.thing.id)
  const same = (difference: number) => Math.abs(difference - chain.difference) <= tolerance
  const readings = latestReadings(survey.readings, chain.axis === 'across' ? 'width' : 'height')
  if (readings.some(({ value }) => same(chain.whole - value))) return 'whole'
  if (others.length === 0) return null
  if (others.every(({ difference }) => same(difference))) return 'whole'
  return others.some(({ difference }) => Math.abs(difference) <= tolerance) ? 'part' : null
}
