import type { Length } from '~/length'
import type { LengthReadingKind, Survey, Thing } from '~/model'
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
  /** How many readings it is made of. */
  readonly readings: number
  /** The readings the whole is taken from: chains of one whole speak about each other. */
  readonly wholeFrom: string
}

/**
 * How far a chain of so many readings may miss and still be honest. The closing tolerance is what two readings of one
 * thing may differ by, so each may be off by half of it, and n of them by n halves.
 */
export function closingLimit(readings: number, closure: number): number {
  return (closure / 2) * readings
}

/** The readings of a kind that the value at a place hangs on: the one there, or those to either side. */
function readAround(survey: Survey, kind: LengthReadingKind, place: number): string[] {
  const readings = latestReadings(survey.readings, kind)
  const at = readings.find((reading) => reading.place === place)
  if (at) return [at.id]
  const before = readings.filter((reading) => reading.place < place).at(-1)
  const after = readings.find((reading) => reading.place > place)
  return [before, after].flatMap((reading) => (reading ? [reading.id] : []))
}

const PARTS = 3

/** Every chain whose second reading was taken. Widths are taken at the thing's middle height, heights at its middle. */
export function chainsOf(survey: Survey, shape: WallShape): Chain[] {
  return survey.things.flatMap((thing) => {
    const chains: Chain[] = []
    const middle = { x: thing.left + thing.width / 2, y: thing.bottom + thing.height / 2 }
    const add = (axis: Chain['axis'], first: Length, size: Length, second: Length, whole: number) => {
      const across = axis === 'across'
      const place = across ? middle.y : middle.x
      const wholes = readAround(survey, across ? 'width' : 'height', place)
      // between two widths the leans say how the end runs
      const forms = across ? (['plumbLeft', 'plumbRight'] as const) : (['floorFall', 'ceilingFall'] as const)
      const isRead = latestReadings(survey.readings, across ? 'width' : 'height').some(
        (reading) => reading.place === place,
      )
      const formed = isRead
        ? 0
        : forms.filter((form) => latestReadings(survey.readings, form).length > 0).length
      chains.push({
        thing,
        axis,
        first,
        size,
        second,
        whole,
        difference: whole - first - size - second,
        readings: PARTS + 1 + formed,
        wholeFrom: wholes.join(' '),
      })
    }
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

/** What an open chain speaks against, where the readings single it out: the whole, or one of the thing's own three. */
export type Suspect = 'whole' | 'part'

/**
 * Which reading an open chain speaks against, if one alone is wrong; null where the readings do not single it out.
 * Another open chain of the same whole can share nothing but the whole. One that closes clears the whole, but only if
 * the two differ by more than honest readings of their six parts could.
 */
export function suspectOf(chain: Chain, all: readonly Chain[], closure: number): Suspect | null {
  const others = all.filter(
    ({ axis, thing, wholeFrom }) =>
      axis === chain.axis && thing.id !== chain.thing.id && wholeFrom === chain.wholeFrom,
  )
  const apart = (other: Chain) => Math.abs(other.difference - chain.difference)
  const both = closingLimit(2 * PARTS, closure)
  const isOpen = (other: Chain) => Math.abs(other.difference) > closingLimit(other.readings, closure)
  if (others.some((other) => !isOpen(other) && apart(other) > both)) return 'part'
  const open = others.filter(isOpen)
  return open.length > 0 && open.every((other) => apart(other) <= both) ? 'whole' : null
}
