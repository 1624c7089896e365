import { inForce } from '~/model'
import fc from 'fast-check'
import { inches, tickOf, toInches } from '~/length'
import { anyMeetingWall } from '../../../tests/anyWall'
import { keptBase, reading, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { layOut } from '../layout/layOutWall'
import { closingSum } from './closingSum'
import { baseAt } from '../survey/wallLines'
import { heightMarks, headLessFoot, laserHeights, runningMarks, spacerBlock } from './runningMarks'

const layoutOf = (...args: Parameters<typeof wallOf>) => {
  const { wall, settings } = wallOf(...args)
  return layOut(wall.survey, inForce(wall.design), settings)
}
const byCount = (strips: number, ends: 'gap' | 'strip' = 'gap') =>
  ({ spacing: { school: 'equalByCount', strips, ends } }) as const

describe('running marks', () => {
  test('from the right the near edge is the right edge of the batten', () => {
    const layout = layoutOf({ width: inches(100) }, byCount(3))
    const [first] = runningMarks(layout, 'right', '1/16')
    expect(first?.number).toBe(3)
    expect(first?.near.exact).toBe(inches(100) - (layout.uprights[2]?.right ?? 0))
    expect((first?.far.exact ?? 0) - (first?.near.exact ?? 0)).toBe(inches(2.5))
  })

  test('measured from the corner as it is, where the end of the wall leans in', () => {
    const layout = layoutOf({ readings: [reading('plumbLeft', 90, 0.75)] }, byCount(3))
    const near = (hook: Parameters<typeof runningMarks>[3]) =>
      toInches(runningMarks(layout, 'left', '1/16', hook)[0]?.near.exact ?? 0)
    const edge = toInches(layout.uprights[0]?.left ?? 0)
    expect(toInches(layout.lines.left)).toBe(0.75)
    expect(near({ height: inches(90) })).toBeCloseTo(edge - 0.75, 6)
    expect(near({ height: inches(0) })).toBeCloseTo(edge, 6)
    // along the foot and the head the corner lies where the lean puts it there
    const lean = (y: number) => (0.75 * toInches(y)) / 90
    expect(near('foot')).toBeCloseTo(edge - lean(layout.uprightFoot), 6)
    expect(near('head')).toBeCloseTo(edge - lean(layout.uprightHead), 6)
    expect(toInches(headLessFoot(layout, 'left'))).toBeCloseTo(
      lean(layout.uprightFoot) - lean(layout.uprightHead),
      6,
    )
    expect(headLessFoot(layout, 'right')).toBe(0)
  })

  test('law: rounding never adds up, however many strips', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 50 }),
        fc.integer({ min: 130 * 64, max: 400 * 64 }),
        (strips, width) => {
          const layout = layoutOf({ width: inches(width / 64) }, byCount(strips))
          for (const datum of ['left', 'right'] as const)
            for (const mark of runningMarks(layout, datum, '1/16'))
              for (const edge of ['near', 'center', 'far'] as const)
                expect(Math.abs(mark[edge].off)).toBeLessThanOrEqual(tickOf('1/16') / 2)
        },
      ),
      { numRuns: 40 },
    )
  })
})

describe('heights', () => {
  test('each line once, from the floor up, with the base and what is under the crown', () => {
    const crown = { height: inches(3), thickness: inches(0.5), fate: 'keep' } as const
    const layout = layoutOf(
      { baseboard: keptBase(4), crown },
      { foot: { kind: 'rail', material: 'pine-1x4' }, height: { rule: 'typed', value: inches(60) } },
    )
    expect(heightMarks(layout, '1/16').map(({ id, reading: r }) => [id, toInches(r.tick)])).toEqual([
      ['baseTop', 4],
      ['bottomRail-top', 7.5],
      ['topRail-bottom', 56.5],
      ['topRail-top', 60],
      ['headLine', 92],
      ['ceiling', 95],
    ])
  })

  test('without a top rail the battens’ own top is marked', () => {
    const layout = layoutOf({}, { topRail: null, height: { rule: 'half' } })
    expect(heightMarks(layout, '1/16').some(({ what }) => what === 'uprightHead')).toBe(true)
  })
})

describe('the spacer block', () => {
  test('there is none where the gaps differ, where there is one strip, or none', () => {
    expect(spacerBlock(layoutOf({}, byCount(1)), 'left', '1/16')).toBeNull()
    expect(spacerBlock(layoutOf({}, byCount(90)), 'left', '1/16')).toBeNull()
  })

  test('center marks have equal inner gaps, so a block holds them all the same', () => {
    const layout = layoutOf({}, { spacing: { school: 'centerMarks', bays: 5 } })
    expect(toInches(spacerBlock(layout, 'left', '1/16')?.length.exact ?? 0)).toBeCloseTo(131 / 5 - 2.5, 6)
  })

  test('the mark of every third strip is where three blocks and three strips should bring you', () => {
    const layout = layoutOf({}, byCount(7))
    const spacer = spacerBlock(layout, 'left', '1/16')
    const gap = spacer?.length.exact ?? 0
    spacer?.checks.forEach(({ number, near }) =>
      expect(near.exact).toBeCloseTo(number * gap + (number - 1) * inches(2.5), -1),
    )
    expect(spacer?.checks.map(({ number }) => number)).toEqual([3, 6])
  })
})

describe('the closing sum', () => {
  const sumOf = (...args: Parameters<typeof wallOf>) => {
    const { placement } = layoutOf(...args)
    if (!placement) throw new Error('no layout')
    return closingSum(placement)
  }

  test('equal gaps are one term; strips at the walls leave no ends', () => {
    expect(sumOf({}, byCount(5))).toMatchObject({ ends: null, strips: { count: 5 }, gaps: [{ count: 6 }] })
    expect(sumOf({}, byCount(5, 'strip'))).toMatchObject({ ends: null, gaps: [{ count: 4 }] })
  })

  test('ends that are not gaps like the rest are told apart', () => {
    const sum = sumOf(
      {},
      { spacing: { school: 'fromCenter', about: null, wish: inches(14), measure: 'gap', centerOn: 'strip' } },
    )
    expect(sum.gaps).toEqual([{ count: sum.strips.count - 1, size: inches(14) }])
    expect(sum.ends && toInches(sum.ends.left)).toBeCloseTo(
      (131 - sum.strips.count * 2.5 - (sum.strips.count - 1) * 14) / 2,
      6,
    )
  })

  test('shifted, it still closes, and says which end took it', () => {
    const sum = sumOf({}, { ...byCount(5), shift: inches(2) })
    expect(sum.difference).toBe(0)
    expect(toInches((sum.ends?.left ?? 0) - (sum.ends?.right ?? 0))).toBeCloseTo(4, 6)
  })

  test('a shift past the wall goes as far as the wall', () => {
    expect(sumOf({}, { ...byCount(5), shift: inches(500) }).ends?.right).toBe(0)
    expect(sumOf({}, { ...byCount(5), shift: inches(-500) }).ends?.left).toBe(0)
  })
})

test('a plan of nothing is a plan: no battens, no pieces of them, nothing thrown', () => {
  const plan = computePlan(wallOf({ width: inches(1), height: inches(1) }))
  expect(plan.layout.uprights).toEqual([])
  expect(plan.closing).toBeNull()
  expect(plan.findings.some(({ severity }) => severity === 'wrong')).toBe(true)
})

test('heights from a laser line add up to those from the floor, and differ from end to end only along a floor that falls', () => {
  fc.assert(
    fc.property(anyMeetingWall, (workpiece) => {
      const { layout } = computePlan(workpiece)
      const { tape } = workpiece.settings
      const laser = inches(40)
      const fromFloor = new Map(heightMarks(layout, tape).map((mark) => [mark.id, mark.reading.exact]))
      for (const { id, left, right } of laserHeights(layout, tape, laser)) {
        const lift = fromFloor.get(id) ?? NaN
        expect(left.exact).toBeCloseTo(baseAt(layout.lines, layout.left) + lift - laser, 3)
        expect(right.exact).toBeCloseTo(baseAt(layout.lines, layout.right) + lift - laser, 3)
        if (layout.lines.base.slope === 0 && layout.lines.followed.length === 0)
          expect(left.exact).toBeCloseTo(right.exact, 3)
      }
    }),
    { numRuns: 60 },
  )
})
