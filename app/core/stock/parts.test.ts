import fc from 'fast-check'
import { cutFromDuals, costBound, obeysCuts, relaxBoards, relaxMix } from './boardBound'
import { compareMixes, mixesWithin, weighMix } from './boardMixes'
import type { CuttingProblem } from './cuttingProblem'
import { firstFitDecreasing, firstPlan, mixOf } from './firstPlan'
import { fillRoom } from './knapsack'
import { type CutPattern, packQuickly, packThoroughly } from './packMix'
import { maximalPatterns, packByProgram } from './patternProgram'

const anyProblem: fc.Arbitrary<CuttingProblem> = fc
  .record({
    sizes: fc.uniqueArray(fc.integer({ min: 15, max: 80 }), { minLength: 1, maxLength: 4 }),
    demands: fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 4, maxLength: 4 }),
    rooms: fc.uniqueArray(fc.integer({ min: 80, max: 160 }), { minLength: 1, maxLength: 3 }),
    prices: fc.array(fc.integer({ min: 50, max: 200 }), { minLength: 3, maxLength: 3 }),
  })
  .map(({ sizes, demands, rooms, prices }) => ({
    sizes: [...sizes].sort((a, b) => b - a),
    demands: demands.slice(0, sizes.length),
    rooms,
    prices: prices.slice(0, rooms.length),
    lengths: rooms,
  }))

/** Every filling of a room, worth the most: slow and sure. */
function bestByTrying(
  sizes: readonly number[],
  values: readonly number[],
  limits: readonly number[],
  room: number,
): number {
  let best = 0
  const extend = (i: number, left: number, value: number) => {
    best = Math.max(best, value)
    const size = sizes[i]
    if (size === undefined) return
    for (let n = 0; n <= (limits[i] ?? 0) && n * size <= left; n++)
      extend(i + 1, left - n * size, value + n * (values[i] ?? 0))
  }
  extend(0, room, 0)
  return best
}

function expectPacks(problem: CuttingProblem, patterns: readonly CutPattern[]) {
  problem.demands.forEach((demand, i) =>
    expect(patterns.reduce((sum, { counts }) => sum + (counts[i] ?? 0), 0)).toBe(demand),
  )
  for (const { room, counts } of patterns)
    expect(counts.reduce((sum, n, i) => sum + n * (problem.sizes[i] ?? 0), 0)).toBeLessThanOrEqual(
      problem.rooms[room] ?? 0,
    )
}

test('the fullest room is what trying everything finds', () => {
  fc.assert(
    fc.property(
      anyProblem,
      fc.array(fc.integer({ min: 0, max: 50 }), { minLength: 4, maxLength: 4 }),
      (problem, values) => {
        const room = problem.rooms[0] ?? 0
        const found = fillRoom(problem.sizes, values, problem.demands, room)
        expect(found.value).toBe(bestByTrying(problem.sizes, values, problem.demands, room))
        expect(found.atMost).toBe(found.value)
        expect(found.counts.reduce((sum, n, i) => sum + n * (problem.sizes[i] ?? 0), 0)).toBeLessThanOrEqual(
          room,
        )
      },
    ),
  )
})

describe('bounds', () => {
  test('a cut from any values at all is obeyed by every plan there is', () => {
    fc.assert(
      fc.property(
        anyProblem,
        fc.array(fc.double({ min: 0, max: 9, noNaN: true }), { minLength: 4, maxLength: 4 }),
        (problem, duals) => {
          const cut = cutFromDuals(problem, duals)
          if (!cut) return
          problem.rooms.forEach((_, k) => {
            const plan = firstFitDecreasing(problem, k)
            if (plan) expect(obeysCuts(mixOf(problem, plan), [cut])).toBe(true)
          })
          const plan = firstPlan(problem)
          expect(obeysCuts(mixOf(problem, plan), [cut])).toBe(true)
          expect(costBound(problem, cut)).toBeLessThanOrEqual(weighMix(problem, mixOf(problem, plan)).cost)
        },
      ),
    )
  })

  test('the relaxation is never above a plan, and finishes', () => {
    fc.assert(
      fc.property(anyProblem, (problem) => {
        const relaxed = relaxBoards(problem, problem.prices)
        expect(relaxed.finished).toBe(true)
        expect(relaxed.value).toBeLessThanOrEqual(
          weighMix(problem, mixOf(problem, firstPlan(problem))).cost + 1e-6,
        )
      }),
    )
  })

  test('a mix that holds a plan has no unmet demand; an empty mix has all of it', () => {
    fc.assert(
      fc.property(anyProblem, (problem) => {
        const mix = mixOf(problem, firstPlan(problem))
        expect(relaxMix(problem, mix).value).toBeLessThan(1e-6)
        const none = relaxMix(
          problem,
          problem.rooms.map(() => 0),
        )
        expect(none.value).toBeCloseTo(
          problem.demands.reduce((sum, n) => sum + n, 0),
          6,
        )
      }),
    )
  })
})

describe('packing', () => {
  test('the first plan packs every piece, and its mix can be packed again', () => {
    fc.assert(
      fc.property(anyProblem, (problem) => {
        const plan = firstPlan(problem)
        expectPacks(problem, plan)
        const mix = mixOf(problem, plan)
        const again = packQuickly(problem, mix) ?? packThoroughly(problem, mix, relaxMix(problem, mix))
        if (!again) throw new Error('a mix that holds a plan was called impossible')
        expectPacks(problem, again)
      }),
    )
  })

  test('what cannot be packed is proven so', () => {
    // three of 50 in two rooms of 99: one each
    const problem = { sizes: [50], demands: [3], rooms: [99], prices: [1], lengths: [99] }
    expect(packQuickly(problem, [2])).toBeNull()
    expect(packThoroughly(problem, [2], relaxMix(problem, [2]))).toBeNull()
  })
})

describe('mixes', () => {
  const problem = { sizes: [30], demands: [4], rooms: [60, 90], prices: [10, 14], lengths: [60, 90] }

  test('come cheapest first, then fewest boards, within the budget', () => {
    const mixes = mixesWithin(problem, [], 28, 1000) ?? []
    expect(mixes.every(({ cost }) => cost <= 28)).toBe(true)
    expect([...mixes].sort(compareMixes)).toEqual(mixes)
    expect(mixes.at(-1)).toMatchObject({ boards: [0, 2], cost: 28 })
  })

  test('more than the limit is null, not a list cut short', () => {
    expect(mixesWithin(problem, [], 1000, 3)).toBeNull()
  })

  test('free boards are bought no more often than there are pieces', () => {
    const free = { ...problem, prices: [0, 14] }
    expect(Math.max(...(mixesWithin(free, [], 0, 1000) ?? []).map(({ count }) => count))).toBe(4)
  })
})

describe('the integer program', () => {
  const problem = { sizes: [40, 30], demands: [2, 2], rooms: [100], prices: [1], lengths: [100] }

  test('lists exactly the patterns that take no further piece', () => {
    expect(maximalPatterns(problem, 0)?.sort()).toEqual([
      [1, 2],
      [2, 0],
    ])
  })

  test('hands on what the solver says: a packing, impossible, or unsettled', async () => {
    const packed = await packByProgram(problem, [2], (program) => {
      expect(program).toContain('p0: 2 x0 + 1 x1 >= 2')
      expect(program).toContain('b0: x0 + x1 <= 2')
      return Promise.resolve({
        status: 'optimal',
        values: new Map([
          ['x0', 1],
          ['x1', 1],
        ]),
      })
    })
    if (!packed) throw new Error('not packed')
    expectPacks(problem, packed)
    expect(await packByProgram(problem, [1], () => Promise.resolve({ status: 'infeasible' }))).toBeNull()
    expect(await packByProgram(problem, [1], () => Promise.resolve({ status: 'unsettled' }))).toBeUndefined()
  })

  test('a solver’s answer that leaves a piece over is not believed', async () => {
    const short = await packByProgram(problem, [2], () =>
      Promise.resolve({ status: 'optimal', values: new Map([['x0', 1]]) }),
    )
    expect(short).toBeUndefined()
  })
})
