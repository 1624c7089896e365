import fc from 'fast-check'
import { inches, nearestNanometer, toInches } from '~/length'
import type { LengthReadingKind, Reading, Survey, Thing } from '~/model'
import { runs } from '../../../tests/anyWall'
import { reading, thing, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { chainsOf, closingLimit, suspectsIn } from './closure'
import { profileAt } from './profile'
import { readingConflicts, wallShape } from './wallShape'

const at = (readings: readonly Reading[], side: 'left' | 'right' | 'floor' | 'ceiling', place: number) =>
  toInches(profileAt(wallShape(wallOf({ readings: [...readings] }).wall.survey)[side], inches(place)))

describe('every reading counts', () => {
  test('a width read beside a lean: the right end goes through the width and leans as it was read', () => {
    const readings = [reading('width', 0, 130), reading('plumbRight', 95, 0.5)]
    expect([0, 47.5, 95].map((y) => at(readings, 'right', y))).toEqual([130, 129.75, 129.5])
  })

  test('one lean read counts at its height, is nothing at the foot, and goes straight between', () => {
    const readings = [reading('plumbLeft', 80, 0.5)]
    expect([0, 40, 80].map((y) => at(readings, 'left', y))).toEqual([0, 0.25, 0.5])
    // unless it was read at the foot
    expect(at([...readings, reading('plumbLeft', 0, 0.25)], 'left', 0)).toBe(0.25)
  })

  test('a height read beside a fall of the ceiling: it goes through the height and falls as it was read', () => {
    const readings = [reading('height', 0, 96), reading('ceilingFall', 131, 0.5)]
    expect([0, 131].map((x) => at(readings, 'ceiling', x))).toEqual([96, 95.5])
    const onFallingFloor = [...readings, reading('floorFall', 131, 1), reading('height', 131, 96.5)]
    expect([0, 131].map((x) => at(onFallingFloor, 'ceiling', x))).toEqual([96, 95.5])
    expect(readingConflicts(wallOf({ readings: onFallingFloor }).wall.survey)).toEqual([])
  })

  test('widths that say another lean than was read are told with their difference', () => {
    const workpiece = wallOf({
      readings: [reading('width', 0, 131), reading('width', 80, 129), reading('plumbRight', 80, 0)],
    })
    expect(readingConflicts(workpiece.wall.survey)).toEqual([
      { kind: 'width', places: [0, inches(80)], difference: inches(2), readings: 3 },
    ])
    const told = computePlan(workpiece).findings.find(({ says }) => says.code === 'readingsContradict')
    expect(told?.blocks).toEqual({ key: 'contradict.width', figure: inches(2) })
    expect(told?.says).toMatchObject({ kind: 'width', difference: inches(2), limit: inches(3 / 16) })
  })

  test('heights that say another fall are told; without a fall read the ceiling bends to them', () => {
    const heights = [reading('height', 0, 95), reading('height', 131, 96)]
    expect(readingConflicts(wallOf({ readings: heights }).wall.survey)).toEqual([])
    const [told] = readingConflicts(
      wallOf({ readings: [...heights, reading('ceilingFall', 131, 0.5)] }).wall.survey,
    )
    expect(told).toMatchObject({ kind: 'height', difference: inches(1.5), readings: 3 })
  })

  const kinds: LengthReadingKind[] = [
    'width',
    'height',
    'floorFall',
    'ceilingFall',
    'plumbLeft',
    'plumbRight',
  ]
  test('law: every reading moves something or contradicts something', () => {
    const value = fc.integer({ min: -16, max: 16 }).map((n) => n / 8)
    const others = fc.array(
      fc.record({ kind: fc.constantFrom(...kinds), place: fc.constantFrom(10, 40, 70, 90), off: value }),
      { maxLength: 6 },
    )
    const made = (kind: LengthReadingKind, place: number, off: number) =>
      reading(kind, place, (kind === 'width' ? 131 : kind === 'height' ? 95 : 0) + off)
    fc.assert(
      fc.property(
        others,
        fc.constantFrom(...kinds),
        fc.constantFrom(20, 50, 85),
        value,
        (rest, kind, place, off) => {
          const readings = rest.map((each) => made(each.kind, each.place, each.off))
          const survey = wallOf({ readings }).wall.survey
          const said = (of: Survey) => JSON.stringify([wallShape(of), readingConflicts(of)])
          const now = { ...survey, readings: [...readings, made(kind, place, off)] }
          const more = { ...survey, readings: [...readings, made(kind, place, off + 0.5)] }
          expect(said(more)).not.toBe(said(now))
        },
      ),
      { numRuns: runs(300) },
    )
  })
})

/** A leaning wall read at two heights, three things on it, every reading off by up to a sixteenth. */
const HONEST = inches(1 / 16)
interface Read {
  readonly lean: number
  readonly leanRight: number
  readonly errors: readonly number[]
}
const anyRead: fc.Arbitrary<Read> = fc.record({
  lean: fc.integer({ min: -8, max: 8 }),
  leanRight: fc.integer({ min: -8, max: 8 }),
  errors: fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 20, maxLength: 20 }),
})

function surveyed({ lean, leanRight, errors }: Read, slip: { where: number; by: number } | null): Survey {
  let n = 0
  const read = (truth: number) => {
    const error = (errors[n % errors.length] ?? 0) * HONEST + (slip?.where === n ? slip.by : 0)
    n += 1
    return nearestNanometer(inches(truth) + error)
  }
  // leans in sixteenths over 80 in, straight from the foot up
  const left = (y: number) => ((lean / 16) * y) / 80
  const right = (y: number) => 150 - ((leanRight / 16) * y) / 80
  const whole = (y: number) => ({ ...reading('width', y, 0), value: read(right(y) - left(y)) }) as Reading
  const readings = [whole(10), whole(80)]
  const things = [30, 70, 110].map((place, i): Thing => {
    const y = [10, 45, 80][i] ?? 10
    const width = read(12)
    return {
      ...thing('window', place, y - 5, 12, 10),
      id: `w${i}`,
      left: read(place - left(y)),
      width,
      fromRight: read(right(y) - place - 12),
    }
  })
  return wallOf({ width: inches(150), readings, things }).wall.survey
}

describe('closure', () => {
  test('each reading may be off by half the tolerance: the limit grows with their number', () => {
    expect(closingLimit(4, inches(1 / 8))).toBe(inches(1 / 4))
    expect(closingLimit(2, inches(1 / 8))).toBe(inches(1 / 8))
  })

  test('law: honest readings within half the tolerance each never keep the pieces from the saw', () => {
    fc.assert(
      fc.property(anyRead, (read) => {
        const survey = surveyed(read, null)
        for (const { difference, readings } of chainsOf(survey, wallShape(survey)))
          expect(Math.abs(difference)).toBeLessThanOrEqual(closingLimit(readings, inches(1 / 8)))
      }),
      { numRuns: runs(300) },
    )
  })

  test('law: of one slip the named suspect is right, always', () => {
    let named = 0
    fc.assert(
      fc.property(
        anyRead,
        fc.integer({ min: 0, max: 10 }),
        fc.constantFrom(-3, -1, -0.5, -0.375, 0.3125, 0.5, 1, 2),
        (read, where, by) => {
          const survey = surveyed(read, { where, by: inches(by) })
          const chains = chainsOf(survey, wallShape(survey))
          // readings 0 and 1 are the widths, then size, left and right of each thing in turn
          const slipped = where < 2 ? 'whole' : `w${Math.floor((where - 2) / 3)}`
          for (const chain of chains) {
            if (Math.abs(chain.difference) <= closingLimit(chain.readings, inches(1 / 8))) continue
            const suspects = suspectsIn(chains, inches(1 / 8), survey)(chain)
            named += 1
            // the reading that slipped is always among them; where it is alone nothing else could have
            expect(suspects.map((each) => (each === 'part' ? chain.thing.id : each))).toContain(slipped)
          }
        },
      ),
      { numRuns: runs(600) },
    )
    expect(named).toBeGreaterThanOrEqual(0)
  })

  const twoWindows = (first: number, second: number) => {
    const at = (left: number, fromRight: number) =>
      thing('window', left, 30, 20, 20, { fromRight: inches(fromRight) })
    const survey = wallOf({
      readings: [reading('width', 40, 131)],
      things: [at(20, first), at(80, second)],
    }).wall.survey
    const chains = chainsOf(survey, wallShape(survey))
    return chains.map((chain) =>
      Math.abs(chain.difference) > inches(1 / 4)
        ? suspectsIn(chains, inches(1 / 8), survey)(chain).join(' or ')
        : 'closed',
    )
  }

  test('two chains of one whole open alike: the whole; one open, one closed and far from it: its own readings', () => {
    expect(twoWindows(90, 30)).toEqual(['whole', 'whole'])
    expect(twoWindows(90, 31)).toEqual(['part', 'closed'])
    // open by a hair more than the limit beside one that closes by a hair less: nobody can tell
    expect(twoWindows(90.7, 30.8)).toEqual(['whole or part', 'closed'])
    // both open but by different slips: two are wrong, and none is singled out
    expect(twoWindows(90, 33)).toEqual(['', ''])
  })
})
