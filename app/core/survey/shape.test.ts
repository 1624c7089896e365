import fc from 'fast-check'
import { inches, toInches, ZERO } from '~/length'
import { reading, thing, wallOf } from '../../../tests/namedWalls'
import { signedArea } from '../geometry'
import { keepOutsOf } from './keepOuts'
import { latestReadings } from './latestReadings'
import { obstaclesOf, outlineOf } from './obstacles'
import { bendsWithin, flatProfile, profileAt } from './profile'
import { baseLine, onLine, spaceUnder, wallLines } from './wallLines'
import { clearSpan, wallOutline, wallShape } from './wallShape'

const surveyOf = (...readings: ReturnType<typeof reading>[]) => wallOf({ readings }).wall.survey

describe('profiles', () => {
  const profile = {
    points: [
      { place: 10, value: 1 },
      { place: 30, value: 5 },
    ],
  }

  test('straight between, level beyond', () => {
    expect([0, 10, 20, 30, 99].map((place) => profileAt(profile, place))).toEqual([1, 1, 3, 5, 5])
    expect(profileAt(flatProfile(7), 123)).toBe(7)
    expect(profileAt({ points: [] }, 5)).toBe(0)
  })

  test('bends are where the points are, within the limits', () => {
    expect(bendsWithin(profile, 0, 20)).toEqual([0, 10, 20])
    expect(bendsWithin(profile, 11, 29)).toEqual([11, 29])
  })

  test('law: never outside the readings', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 100 }), fc.integer({ min: -9, max: 9 })), {
          minLength: 1,
        }),
        fc.integer({ min: -50, max: 150 }),
        (points, at) => {
          const unique = [...new Map(points).entries()].sort((a, b) => a[0] - b[0])
          const value = profileAt({ points: unique.map(([place, value]) => ({ place, value })) }, at)
          const values = unique.map(([, v]) => v)
          expect(value).toBeGreaterThanOrEqual(Math.min(...values) - 1e-9)
          expect(value).toBeLessThanOrEqual(Math.max(...values) + 1e-9)
        },
      ),
    )
  })
})

describe('readings that count', () => {
  test('the last at each place, in order of place; the others are kept in the survey', () => {
    const survey = surveyOf(reading('width', 80, 130), reading('width', 5, 131), reading('width', 80, 129.5))
    expect(latestReadings(survey.readings, 'width').map(({ value }) => toInches(value))).toEqual([131, 129.5])
    expect(survey.readings).toHaveLength(3)
    expect(latestReadings(survey.readings, 'height')).toEqual([])
  })
})

describe('the shape', () => {
  test('without readings it is the true rectangle', () => {
    const { survey } = wallOf().wall
    const outline = wallOutline(wallShape(survey), survey)
    expect(signedArea(outline)).toBe(inches(131) * inches(95))
  })

  test('the floor falls, the ceiling follows floor and heights', () => {
    const shape = wallShape(
      surveyOf(reading('floorFall', 100, 2), reading('height', 0, 95), reading('height', 100, 96)),
    )
    expect(toInches(profileAt(shape.floor, inches(50)))).toBe(-1)
    expect(toInches(profileAt(shape.ceiling, inches(100)))).toBe(94)
  })

  test('ends lean as read; the clear span is the tightest', () => {
    const survey = surveyOf(reading('plumbLeft', 95, 1), reading('width', 0, 131), reading('width', 95, 130))
    const shape = wallShape(survey)
    const span = clearSpan(shape, 0, survey.height)
    // above the only lean reading's place the end is as far in; below it too, for nothing else was read
    expect(toInches(span.left)).toBe(1)
    expect(toInches(span.right)).toBe(131)
  })

  test('ten times the deviation is drawn ten times as far from true', () => {
    const survey = surveyOf(reading('floorFall', 131, 1))
    const lowest = (times: number) =>
      Math.min(...wallOutline(wallShape(survey), survey, times).map(({ y }) => y))
    expect(toInches(lowest(1))).toBe(-1)
    expect(toInches(lowest(10))).toBe(-10)
  })
})

describe('the base line', () => {
  const survey = surveyOf(reading('floorFall', 60, -1), reading('floorFall', 131, 2))
  const shape = wallShape(survey)

  test('dead level it goes through the highest point of the floor', () => {
    expect(toInches(baseLine(shape, 'level', 0, survey.width).at0)).toBe(1)
    expect(toInches(wallLines(survey, shape, 'level').base.at0)).toBe(1)
  })

  test('by every rule it is nowhere below the floor, and touches it somewhere', () => {
    for (const rule of ['level', 'floor', 'ceiling', 'split'] as const) {
      const base = baseLine(shape, rule, 0, survey.width)
      const above = bendsWithin(shape.floor, 0, survey.width).map(
        (x) => onLine(base, x) - profileAt(shape.floor, x),
      )
      expect(Math.min(...above)).toBeCloseTo(0, 3)
      expect(spaceUnder(shape, { base, build: ZERO }, 0, survey.width)).toBeCloseTo(Math.max(...above), 3)
    }
  })
})

describe('things', () => {
  test('casing stands round a window, and not under a door', () => {
    const window = thing('window', 40, 30, 20, 20, { casing: inches(3) })
    const door = thing('door', 40, 0, 30, 80, { casing: inches(3) })
    const ys = (outline: ReturnType<typeof outlineOf>) => outline.map(({ y }) => toInches(y))
    expect([Math.min(...ys(outlineOf(window))), Math.max(...ys(outlineOf(window)))]).toEqual([27, 53])
    expect([Math.min(...ys(outlineOf(door))), Math.max(...ys(outlineOf(door)))]).toEqual([0, 83])
  })

  test('a slope takes half its rectangle, counter-clockwise, attic above and stair below', () => {
    for (const slope of ['risesLeft', 'risesRight'] as const)
      for (const bottom of [0, 40]) {
        const outline = outlineOf(thing('cutOff', 10, bottom, 30, 20, { slope }))
        expect(signedArea(outline)).toBe((inches(30) * inches(20)) / 2)
        const lowCorners = outline.filter(({ y }) => y === inches(bottom)).length
        expect(lowCorners).toBe(bottom === 0 ? 2 : 1)
      }
  })

  test('what comes off is no obstacle', () => {
    const { survey } = wallOf({
      things: [thing('shelf', 10, 40, 30, 1, { fate: 'remove' }), thing('outlet', 60, 12, 3, 5)],
    }).wall
    expect(obstaclesOf(survey).map(({ kind, plate }) => [kind, plate])).toEqual([['outlet', true]])
  })

  test('keep-outs run above and below every wired box, not a vent; drawn ones are added', () => {
    const { survey } = wallOf({
      things: [thing('outlet', 60, 12, 3, 5), thing('vent', 20, 5, 12, 6)],
      behind: {
        studs: [],
        wallboard: inches(0.5),
        keepOuts: [{ id: 'pipe', left: inches(90), bottom: inches(0), width: inches(4), height: inches(50) }],
      },
    }).wall
    const found = keepOutsOf(survey)
    expect(found.map(({ id, box }) => [id, box])).toEqual([
      ['keep-outlet-60', 'outlet-60'],
      ['pipe', null],
    ])
    expect(found[0]?.outline.map(({ y }) => toInches(y))).toEqual([0, 0, 95, 95])
  })
})
