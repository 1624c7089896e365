import { type Length, nearestNanometer } from '~/length'
import type { LengthReadingKind, Survey, Thing } from '~/model'
import { latestReadings } from './latestReadings'
import { profileAt } from './profile'
import { wallShape, type WallShape } from './wallShape'

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

/** What an open chain speaks against: the whole it is measured by, how the wall leans or falls, or one of the thing's own three. */
export type Suspect = 'whole' | 'form' | 'part'

const FORMS = {
  across: ['plumbLeft', 'plumbRight'],
  up: ['floorFall', 'ceilingFall'],
} as const

/** How much each chain's whole changes with a reading, by the chain's place in the list. */
function influenceOf(
  survey: Survey,
  readingId: string,
  axis: Chain['axis'],
  before: readonly Chain[],
): number[] {
  const by = 1_000_000
  const readings = survey.readings.map((each) =>
    each.id === readingId && 'place' in each ? { ...each, value: nearestNanometer(each.value + by) } : each,
  )
  const off = { ...survey, readings }
  const after = chainsOf(off, wallShape(off)).filter((each) => each.axis === axis)
  return before.map(({ whole }, i) => ((after[i]?.whole ?? whole) - whole) / by)
}

/** One slip of a reading accounts for all chains: each misses by as much as that slip moves its whole, within what is honest. */
function accounts(influence: readonly number[], chains: readonly Chain[], closure: number): boolean {
  let [least, most] = [-Infinity, Infinity]
  for (const [i, { difference, readings }] of chains.entries()) {
    const limit = closingLimit(readings, closure)
    const share = influence[i] ?? 0
    if (Math.abs(share) < 1e-6) {
      if (Math.abs(difference) > limit) return false
      continue
    }
    const ends = [(difference - limit) / share, (difference + limit) / share]
    least = Math.max(least, Math.min(...ends))
    most = Math.min(most, Math.max(...ends))
  }
  return least <= most
}

/**
 * Which readings an open chain speaks against, if one alone is wrong: every reading that could be wrong by itself is tried, and those whose
 * slip accounts for all chains of its direction, open and closed, are suspects. Several where the readings single none out; none where
 * no one slip does. The readings are tried once for all chains of a direction.
 */
export function suspectsIn(
  all: readonly Chain[],
  closure: number,
  survey: Survey,
): (chain: Chain) => readonly Suspect[] {
  const isOpen = ({ difference, readings }: Chain) => Math.abs(difference) > closingLimit(readings, closure)
  const known = new Map<Chain['axis'], readonly Suspect[]>()
  const sharedBy = (axis: Chain['axis']): readonly Suspect[] => {
    const before = known.get(axis)
    if (before) return before
    const own = all.filter((each) => each.axis === axis)
    const fits = (kind: LengthReadingKind) =>
      latestReadings(survey.readings, kind).some(({ id }) =>
        accounts(influenceOf(survey, id, axis, own), own, closure),
      )
    const whole = axis === 'across' ? 'width' : 'height'
    // a round figure that was typed is the whole of all of them
    const isTyped = latestReadings(survey.readings, whole).length === 0
    const ones = own.map(() => 1)
    const found: Suspect[] = [
      ...((isTyped && accounts(ones, own, closure)) || fits(whole) ? (['whole'] as const) : []),
      ...(FORMS[axis].some(fits) ? (['form'] as const) : []),
    ]
    known.set(axis, found)
    return found
  }
  return (chain) => {
    const isAlone = all.every(
      (other) => other.axis !== chain.axis || other.thing.id === chain.thing.id || !isOpen(other),
    )
    return [...sharedBy(chain.axis), ...(isAlone ? (['part'] as const) : [])]
  }
}
