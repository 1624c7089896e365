import fc from 'fast-check'
import { inches, toInches } from '~/length'
import type { LevelRule, Survey, Thing } from '~/model'
import { ring, shared } from '../../../tests/areas'
import { keptBase, reading, thing, wallOf } from '../../../tests/namedWalls'
import { computePlan, type Plan } from '../computePlan'
import { faceFromCard } from '../pieces'
import { outlineOf } from './obstacles'
import { wallOutline } from './wallShape'

const lengthsOf = (plan: Plan, role: string) =>
  plan.pieces.filter((piece) => piece.role === role).map(({ cutLength }) => toInches(cutLength))
describe('a floor that falls', () => {
  // worked by hand: wall 120, floor falls 1 in to the right, three battens 2 1/2 with gaps of 28 1/8,
  // left edges at 28 1/8, 58 3/4, 89 3/8; the floor under each edge lies x/120 lower
  const survey: Partial<Survey> = {
    width: inches(120),
    height: inches(96),
    readings: [reading('floorFall', 120, 1)],
  }
  const design = {
    spacing: { school: 'equalByCount', strips: 3, ends: 'gap' },
    foot: { kind: 'floor' },
    topRail: null,
    height: { rule: 'typed', value: inches(60) },
  } as const
  const planWith = (levelRule: LevelRule) => computePlan(wallOf(survey, { ...design, levelRule }))

  test('dead level: each batten its own length, longer to the right', () => {
    const expected = [28.125, 58.75, 89.375].map((left) => 60 + (left + 2.5) / 120)
    lengthsOf(planWith('level'), 'batten').forEach((length, i) =>
      expect(length).toBeCloseTo(expected[i] ?? 0, 5),
    )
  })

  test('along the floor: all alike; half way: half the difference', () => {
    const along = lengthsOf(planWith('floor'), 'batten')
    // long point to long point, over 2 1/2 in that lean 1 in 120
    along.forEach((length) => expect(length).toBeCloseTo(60 + 2.5 / 120, 3))
    const [first = 0, , third = 0] = lengthsOf(planWith('split'), 'batten')
    // half of 61 1/4 in of run at 1 in 120
    expect(third - first).toBeCloseTo(61.25 / 240, 4)
  })

  test('the fall is small: ends are square, the caulk takes the rest', () => {
    for (const { start, end } of planWith('level').pieces)
      expect([start.kind, end.kind]).toEqual(['square', 'square'])
  })
})

describe('widths that differ', () => {
  test('rails are cut to the width at their own height; strips keep to the tightest', () => {
    const plan = computePlan(
      wallOf(
        {
          width: inches(130),
          height: inches(96),
          readings: [reading('width', 0, 130), reading('width', 96, 131)],
        },
        {
          height: { rule: 'typed', value: inches(49.75) },
          spacing: { school: 'equalByCount', strips: 5, ends: 'gap' },
        },
      ),
    )
    expect(toInches(plan.closing?.wall ?? 0)).toBe(130)
    // the bottom rail's face runs from 0 to 3 1/2, the top rail's from 46 1/4 to 49 3/4: 1 in wider over 96
    expect(lengthsOf(plan, 'bottomRail')[0]).toBeCloseTo(130 + 3.5 / 96, 4)
    expect(lengthsOf(plan, 'topRail')[0]).toBeCloseTo(130 + 49.75 / 96, 4)
  })

  test('a later reading at the same place is the one that counts', () => {
    const plan = computePlan(wallOf({ readings: [reading('width', 40, 128), reading('width', 40, 127)] }))
    expect(toInches(plan.closing?.wall ?? 0)).toBe(127)
  })
})

describe('things on the wall', () => {
  const design = {
    spacing: { school: 'fromEnd', wish: inches(20), measure: 'pitch', end: 'left', startWith: 'strip' },
    foot: { kind: 'rail', material: 'pine-1x4' },
    height: { rule: 'typed', value: inches(80) },
  } as const

  test('short battens above and below a window, the rails whole', () => {
    // casing 3 round a window from 35 to 65, 30 to 60: outer 32 to 68, 27 to 63; the batten at 40 meets it whole
    const plan = computePlan(
      wallOf({ things: [thing('window', 35, 30, 30, 30, { casing: inches(3) })] }, design),
    )
    const broken = plan.pieces.filter(({ stripId }) => stripId === 'batten-3')
    expect(broken.map(({ id, cutLength }) => [id, toInches(cutLength)])).toEqual([
      ['batten-3-1', 27 - 3.5],
      ['batten-3-2', 76.5 - 63],
    ])
    expect(lengthsOf(plan, 'topRail')).toEqual([131])
  })

  test('a rail breaks at a door', () => {
    const plan = computePlan(
      wallOf({ things: [thing('door', 50, 0, 32, 80, { casing: inches(2.5) })] }, design),
    )
    expect(lengthsOf(plan, 'bottomRail')).toEqual([47.5, 131 - 84.5])
  })

  test('a strip that meets a stub of side trim is cut round it where the design says so', () => {
    const stub = thing('sideTrim', 0, 0, 1, 30)
    const plan = computePlan(
      wallOf({ things: [stub] }, { ...design, foot: { kind: 'floor' }, meets: { [stub.id]: 'notch' } }),
    )
    const [first] = plan.pieces.filter(({ stripId }) => stripId === 'batten-1')
    expect(first?.notches).toEqual([{ from: 0, to: inches(30), depth: inches(1), edge: 'left' }])
    expect(ring(first?.polygon ?? []).area()).toBeCloseTo(2.5 * 76.5 - 30, 6)
  })

  test('what comes off is not in the way', () => {
    const shelf = thing('shelf', 30, 40, 60, 2, { fate: 'remove' })
    expect(
      computePlan(wallOf({ things: [shelf] }, design)).pieces.every(({ id, stripId }) => id === stripId),
    ).toBe(true)
  })

  test('an attic slope cuts battens at its own angle', () => {
    // the upper right corner is missing: from (71, 95) down to (131, 35), 45 degrees
    const attic = thing('cutOff', 71, 35, 60, 60, { slope: 'risesLeft' })
    const plan = computePlan(
      wallOf({ things: [attic] }, { ...design, topRail: null, height: { rule: 'typed', value: inches(94) } }),
    )
    const last = plan.pieces.filter(({ stripId }) => stripId === 'batten-6')[0]
    expect(last?.end.kind === 'miter' && last.end.sawSettingDeg).toBeCloseTo(45, 6)
    // its left edge at 100 ends on the slope at 95 - 29
    expect(toInches(last?.longLength ?? 0)).toBeCloseTo(95 - 29 - 3.5, 4)
  })
})

describe('laws over random surveys', () => {
  const anyThing: fc.Arbitrary<Thing> = fc
    .record({
      kind: fc.constantFrom('window' as const, 'door' as const, 'shelf' as const, 'sideTrim' as const),
      left: fc.integer({ min: 0, max: 100 }),
      bottom: fc.integer({ min: 0, max: 60 }),
      width: fc.integer({ min: 1, max: 50 }),
      height: fc.integer({ min: 1, max: 40 }),
      casing: fc.integer({ min: 0, max: 4 }),
      notch: fc.boolean(),
    })
    .map(({ kind, left, bottom, width, height, casing, notch }) =>
      thing(kind, left, kind === 'door' ? 0 : bottom, width, height, {
        casing: inches(casing),
        fate: notch ? 'cutRound' : 'keep',
      }),
    )
  const sixteenths = (min: number, max: number) =>
    fc.integer({ min: min * 16, max: max * 16 }).map((n) => n / 16)
  const anyWall = fc
    .record({
      widths: fc.tuple(sixteenths(128, 132), sixteenths(128, 132)),
      heights: fc.tuple(sixteenths(93, 97), sixteenths(93, 97)),
      fall: sixteenths(-1, 1),
      lean: sixteenths(-0.5, 0.5),
      things: fc.array(anyThing, { maxLength: 3 }),
      rule: fc.constantFrom('level' as const, 'floor' as const, 'ceiling' as const, 'split' as const),
      strips: fc.integer({ min: 2, max: 9 }),
      base: fc.boolean(),
    })
    .map(({ widths, heights, fall, lean, things, rule, strips, base }) =>
      wallOf(
        {
          width: inches(130),
          height: inches(95),
          baseboard: base ? keptBase(4) : null,
          things: things.map((each, i) => ({ ...each, id: `t${i}` })),
          readings: [
            reading('width', 0, widths[0]),
            reading('width', 90, widths[1]),
            reading('height', 0, heights[0]),
            reading('height', 130, heights[1]),
            reading('floorFall', 130, fall),
            reading('plumbLeft', 90, lean),
          ],
        },
        {
          levelRule: rule,
          foot: base ? { kind: 'baseboard' } : { kind: 'rail', material: 'pine-1x4' },
          spacing: { school: 'equalByCount', strips, ends: 'gap' },
          height: { rule: 'typed', value: inches(70) },
        },
      ),
    )

  test('D1: the closing sum closes; D3: no piece overlaps another, an opening or the world outside', () => {
    fc.assert(
      fc.property(anyWall, (workpiece) => {
        const plan = computePlan(workpiece)
        expect(plan.closing?.difference).toBe(0)
        const shapes = plan.pieces.map(({ polygon }) => ring(polygon))
        const wall = ring(wallOutline(plan.layout.shape, workpiece.wall.survey))
        shapes.forEach((shape, i) => {
          const outside = shape.area() - shared(shape, wall)
          expect(outside).toBeLessThan(shape.area() * 2e-3 + 0.1)
          for (const other of shapes.slice(i + 1)) expect(shared(shape, other)).toBeLessThan(0.06)
          for (const each of workpiece.wall.survey.things)
            expect(shared(shape, ring(outlineOf(each)))).toBeLessThan(0.06)
        })
      }),
      { numRuns: 30 },
    )
  })

  test('D4: the card rebuilds each piece’s area, notches taken out', () => {
    fc.assert(
      fc.property(anyWall, (workpiece) => {
        const { pieces } = computePlan(workpiece)
        const { fit } = workpiece.settings
        for (const piece of pieces) {
          const card = ring(faceFromCard(piece)).area()
          // a lean under the fitting tolerance is cut square: at most that much at each end over the width
          const caulk = 2 * toInches(fit) * toInches(piece.faceWidth)
          expect(Math.abs(card - ring(piece.polygon).area())).toBeLessThan(caulk + 0.01)
        }
      }),
      { numRuns: 30 },
    )
  })
})
