// Worked by hand, figure by figure: what spreads and drifts come to.
import { inches } from '~/length'
import type { Act } from '~/model'
import { driftOf, learnErrors } from './learnErrors'
import { MADE_UP, markErrors, simulate } from './simulate'

const read = (strip: string, off: number | null, doneAt: number, kind = 'builtAt'): Act =>
  ({
    id: `read-${strip}-${doneAt}`,
    doneAt,
    kind,
    strip,
    edge: 'left',
    place: off === null ? null : inches(30) + off,
    planned: inches(30),
    with: 'tape',
  }) as Act
const reads = (...offs: readonly number[]) => offs.map((off, i) => read(`s${i}`, off, i))

describe('a crew’s errors in numbers', () => {
  test('the spread is the median deviation from the median, times 1.4826; steps and blocks go by it in proportion', () => {
    // about 30: deviations 30 20 10 0 0 10 20 30, middle of 10 and 20
    const even = learnErrors(reads(0, 10, 20, 30, 30, 40, 50, 60).map((act) => act))
    expect(even.errors.running).toBe(Math.round(1.4826 * 15))
    // nine of them, about 40: deviations 0 10 10 20 20 30 30 40 960, the fifth
    const odd = learnErrors(reads(40, 30, 50, 20, 60, 10, 70, 0, 1_000))
    const spread = 1.4826 * 20
    expect(odd.readings).toBe(9)
    expect(odd.errors.running).toBe(Math.round(spread))
    const part = spread / MADE_UP.running
    expect(odd.errors.step).toBe(Math.round(MADE_UP.step * part))
    expect(odd.errors.block).toBe(Math.round(MADE_UP.block * part))
    expect(odd.errors.hook).toBe(0)
  })

  test('heights, readings taken back and other acts are none of its readings; eight are enough, seven are not', () => {
    const eight = reads(1, 2, 3, 4, 5, 6, 7, 8)
    const beside = [read('h', 9_000_000, 50, 'builtHeight'), read('x', null, 51)]
    expect(learnErrors([...eight, ...beside])).toEqual(learnErrors(eight))
    expect(learnErrors(eight).readings).toBe(8)
    expect(learnErrors(eight.slice(1)).errors).toEqual({ ...MADE_UP, hook: 0 })
    const level = [{ tool: 'level' as const, error: 77, over: null, at: 1 }]
    expect(learnErrors(eight, level as never).errors.hook).toBe(0)
  })

  test('drift by its middle where it is the same, by its step where it grows; in order of time, each strip once', () => {
    expect(driftOf(reads(100, 110, 105), 50)).toEqual({ side: 'long', how: 'same', by: 105 })
    expect(driftOf(reads(-100, -200, -300), 50)).toEqual({ side: 'short', how: 'growing', by: -100 })
    // a fourth before them has no say; the newest come last however they arrive
    expect(driftOf([...reads(5_000, 100, 200, 300)].reverse(), 50)).toEqual({
      side: 'long',
      how: 'growing',
      by: 100,
    })
    // read again a strip counts once, where it was read last
    expect(driftOf([...reads(100, 100), read('s0', 100, 9)], 50)).toBeNull()
    expect(driftOf([...reads(100, 100, 100), read('s2', null, 9)], 50)).toBeNull()
    expect(driftOf(reads(100, 49, 100), 50)).toBeNull()
    expect(driftOf(reads(100, 50, 100), 50)).not.toBeNull()
    expect(driftOf(reads(100, 100, 100, -100), 50)).toBeNull()
  })
})

describe('marks in numbers', () => {
  const errors = { ...MADE_UP, step: 3, stepBias: 10, running: 5, hook: 7, block: 2, blockBias: 20, every: 3 }
  const ones = () => 1
  test('each way adds up what it adds up', () => {
    expect(markErrors('stepping', 4, errors, ones)).toEqual([13, 26, 39, 52])
    expect(markErrors('running', 3, errors, ones)).toEqual([12, 12, 12])
    expect(markErrors('block', 3, errors, ones)).toEqual([22, 44, 66])
    // at every third mark the tape tells anew
    expect(markErrors('blockChecked', 5, errors, ones)).toEqual([22, 44, 12, 34, 56])
  })

  test('without any spread every wall is the same: worst bay, last bay and what an eye sees by hand', () => {
    const still = {
      ...MADE_UP,
      step: 0,
      stepBias: 1_000_000,
      running: 0,
      hook: 0,
      block: 0,
      blockBias: 2_000_000,
    }
    const { ways, bin } = simulate({ bays: 4, walls: 50, seed: 3, errors: still, gap: inches(10) })
    const of = (way: string) => ways.find((each) => each.way === way)
    // three steps long by 1: each of three bays 1 more, the last 3 less: a step of 4, over an eighth
    expect(of('stepping')).toMatchObject({ seen: 1 })
    expect(of('stepping')?.worst).toEqual({
      mean: 3_000_000,
      deviation: 0,
      median: 3_000_000,
      nineOfTen: 3_000_000,
    })
    expect(of('stepping')?.last.mean).toBe(3_000_000)
    expect(of('running')).toMatchObject({ seen: 0 })
    expect(of('running')?.worst.mean).toBe(0)
    expect(of('block')?.worst.median).toBe(6_000_000)
    // bins reach half as far again as the widest nine of ten
    expect(bin).toBeCloseTo((6_000_000 * 1.5) / 24, 6)
    expect(of('block')?.bins.indexOf(50)).toBe(16)
    expect(of('running')?.bins[0]).toBe(50)
    const just = { ...still, stepBias: 793_750 }
    const near = simulate({ bays: 4, walls: 5, seed: 3, errors: just, gap: inches(10) })
    // a step of exactly an eighth is seen
    expect(near.ways.find(({ way }) => way === 'stepping')?.seen).toBe(1)
  })

  test('spread in numbers: half of the walls lie below the median, one in ten above nine of ten; the deviation is that of a sample', () => {
    const only = { ...MADE_UP, step: 1_000, stepBias: 0, running: 1_000, hook: 0, block: 0, blockBias: 0 }
    const { ways } = simulate({ bays: 2, walls: 20_000, seed: 11, errors: only, gap: inches(10) })
    // one mark: the worst is a half-normal's, mean sqrt(2 / pi), median 0.6745, nine of ten 1.6449, deviation sqrt(1 - 2 / pi)
    for (const way of ['running', 'stepping']) {
      const worst = ways.find((each) => each.way === way)?.worst
      expect(Math.abs((worst?.mean ?? 0) - 797.9)).toBeLessThan(20)
      expect(Math.abs((worst?.median ?? 0) - 674.5)).toBeLessThan(20)
      expect(Math.abs((worst?.nineOfTen ?? 0) - 1_644.9)).toBeLessThan(40)
      expect(Math.abs((worst?.deviation ?? 0) - 602.8)).toBeLessThan(20)
    }
  })
})
