import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { inches, toInches, nanometers } from '~/length'
import { type CrewErrors, MADE_UP, markErrors, MARKING_WAYS, simulate, variances } from './simulate'

const errors: CrewErrors = {
  ...MADE_UP,
  step: inches(1 / 32),
  running: inches(1 / 32),
  block: inches(1 / 64),
}
const inch = (nm: number) => toInches(nanometers(Math.round(nm)))
/** Normal enough and from elsewhere: the sum of twelve even numbers (central limit theorem). */
function otherNormals(seed: number) {
  const random = xoroshiro128plus(seed)
  return () => Array.from({ length: 12 }, () => uniformFloat64(random)).reduce((sum, each) => sum + each, -6)
}

describe('closed forms (variance of a sum of independent errors)', () => {
  test('K1: stepping adds up', () => {
    const { marks, gaps } = variances('stepping', 17, errors)
    expect([4, 9, 16].map((n) => inch(Math.sqrt(marks[n - 1] ?? 0)))).toEqual([1 / 16, 3 / 32, 1 / 8])
    expect(Math.sqrt(gaps[16] ?? 0)).toBeCloseTo(errors.step * 4, 3)
  })
  test('K2: running marks do not', () => {
    const { marks, gaps } = variances('running', 6, errors)
    for (const each of marks) expect(each).toBe(errors.running ** 2)
    expect(inch(Math.sqrt(gaps[2] ?? 0))).toBeCloseTo(0.044194, 6)
    expect([gaps[0], gaps[5]]).toEqual([errors.running ** 2, errors.running ** 2])
  })
  test('K3: a block with a check mark every four', () => {
    const unit = errors.block ** 2
    const { marks, gaps } = variances('blockChecked', 12, errors)
    expect(marks.map((each) => each / unit)).toEqual([1, 2, 3, 4, 5, 6, 7, 4, 5, 6, 7])
    expect(gaps.map((each) => each / unit)).toEqual([1, 1, 1, 7, 1, 1, 1, 11, 1, 1, 1, 7])
  })
  test.each(MARKING_WAYS)(
    'marks of %s made at random are as spread as that, whoever throws the dice',
    (way) => {
      const bays = 12
      const next = otherNormals(11)
      const of = Array.from({ length: 6_000 }, () => markErrors(way, bays - 1, errors, next))
      const { marks, gaps } = variances(way, bays, errors)
      const variance = (values: number[]) => values.reduce((sum, each) => sum + each ** 2, 0) / values.length
      marks.forEach((expected, k) => {
        expect(variance(of.map((each) => each[k] ?? 0)) / expected).toBeCloseTo(1, 1)
      })
      gaps.forEach((expected, k) => {
        const off = of.map((each) => (each[k] ?? 0) - (k === 0 ? 0 : (each[k - 1] ?? 0)))
        expect(variance(off) / expected).toBeCloseTo(1, 1)
      })
    },
  )
  test('a block too long by a little is off by as often as it was laid', () => {
    const still = { ...errors, block: 0, blockBias: 100 }
    expect(markErrors('block', 5, still, () => 1)).toEqual([100, 200, 300, 400, 500])
    expect(markErrors('blockChecked', 5, { ...still, running: 0, hook: 7 }, () => 1)).toEqual([
      100, 200, 300, 7, 107,
    ])
  })
})

describe('simulated walls', () => {
  const asked = { walls: 6_000, seed: 4, errors: { ...errors, block: errors.step }, gap: inches(20) }
  test.each([
    [4, 1.6926, 1.6547, 0.0009],
    [8, 2.5155, 2.2689, 0.0013],
    [12, 3.0638, 2.5794, 0.0017],
  ])('K4: the worst gap of %i bays (computed elsewhere, a million walls)', (bays, stepping, running, se) => {
    const { ways } = simulate({ ...asked, bays })
    const of = (way: string) => ways.find((each) => each.way === way)?.worst
    for (const [way, expected] of [
      ['stepping', stepping],
      ['running', running],
    ] as const) {
      const { mean = 0, deviation = 0 } = of(way) ?? {}
      const own = deviation / errors.step / Math.sqrt(asked.walls)
      expect(Math.abs(mean / errors.step - expected)).toBeLessThan(4 * Math.hypot(own, se))
    }
  })
  test('the same seed gives the same walls, another others; each wall is in one bin', () => {
    const some = { ...asked, walls: 1_500 }
    const first = simulate({ ...some, bays: 9 })
    expect(simulate({ ...some, bays: 9 })).toEqual(first)
    expect(simulate({ ...some, bays: 9, seed: 5 })).not.toEqual(first)
    for (const { bins } of first.ways) expect(bins.reduce((sum, each) => sum + each, 0)).toBe(some.walls)
  })
  test('what is good enough follows the crew: one that is sure of its block need not check it', () => {
    const asked = { walls: 1_500, seed: 4, gap: inches(20) }
    const sure = simulate({ ...asked, bays: 14, errors: { ...MADE_UP, block: inches(1 / 256) } })
    expect(sure.goodEnough).toBe('block')
    const long = { ...MADE_UP, blockBias: inches(1 / 32), stepBias: inches(1 / 32) }
    const short = simulate({ ...asked, bays: 14, errors: long })
    expect(short.goodEnough).toBe('running')
    const hopeless = { ...long, running: inches(1 / 4) }
    expect(simulate({ ...asked, bays: 14, errors: hopeless }).goodEnough).toBeNull()
  })
  test('no bays and no walls are nothing', () => {
    for (const way of simulate({ ...asked, bays: 0, walls: 3 }).ways) expect(way.worst.mean).toBe(0)
    for (const way of simulate({ ...asked, bays: 5, walls: 0 }).ways) expect(way.worst.mean).toBe(0)
    expect(simulate({ ...asked, bays: 1 }).ways.map(({ last }) => last.mean)).toEqual([0, 0, 0, 0])
  })
})
