import fc from 'fast-check'
import { costBound, cutFromDuals, lengthCut, obeysCuts, relax, unmetOf } from './boardBound'
import type { CuttingProblem } from './cuttingProblem'
import { firstFitDecreasing, firstPlan, mixOf } from './firstPlan'
import { fillRoom } from './knapsack'
import { fillerOf } from './fillings'
import { compareMixes, mixesLike, nextMix, weighMix } from './nextMix'
import { expand, packQuickly, searchAll } from './packMix'
import { beginSearch, type CutPattern, type CuttingSearch } from './patternPool'
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
    limits: rooms.map(() => Infinity),
  }))

const searchOf = (problem: CuttingProblem): CuttingSearch => beginSearch(problem, { over: () => false })
const relaxBoards = (search: CuttingSearch) =>
  relax(search, {
    demands: search.problem.demands,
    costs: search.problem.prices,
    limits: search.problem.limits,
    unmetCost: 1e6,
  })
const relaxMix = (search: CuttingSearch, limits: readonly number[]) =>
  relax(search, { demands: search.problem.demands, costs: limits.map(() => 0), limits, unmetCost: 1 })

/** A plan by the rules of thumb, which boards without limit always have. */
function planned(problem: CuttingProblem): readonly CutPattern[] {
  const plan = firstPlan(problem)
  if (!plan) throw new Error('no plan though boards have no limit')
  return plan
}

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
          const cut = cutFromDuals(searchOf(problem), duals)
          if (!cut) return
          problem.rooms.forEach((_, k) => {
            const plan = firstFitDecreasing(problem, k)
            if (plan) expect(obeysCuts(mixOf(problem, plan), [cut])).toBe(true)
          })
          const plan = planned(problem)
          expect(obeysCuts(mixOf(problem, plan), [cut])).toBe(true)
          expect(costBound(problem, cut)).toBeLessThanOrEqual(weighMix(problem, mixOf(problem, plan)).cost)
        },
      ),
    )
  })

  test('the relaxation is never above a plan, and finishes', () => {
    fc.assert(
      fc.property(anyProblem, (problem) => {
        const relaxed = relaxBoards(searchOf(problem))
        expect(relaxed.finished).toBe(true)
        expect(relaxed.value).toBeLessThanOrEqual(
          weighMix(problem, mixOf(problem, planned(problem))).cost + 1e-6,
        )
      }),
    )
  })

  test('a mix that holds a plan has no unmet demand; an empty mix has all of it', () => {
    fc.assert(
      fc.property(anyProblem, (problem) => {
        const mix = mixOf(problem, planned(problem))
        const search = searchOf(problem)
        const pieces = problem.demands.reduce((sum, n) => sum + n, 0)
        expect(unmetOf(relaxMix(search, mix), problem.sizes.length)).toBeLessThan(1e-6)
        const none = problem.rooms.map(() => 0)
        expect(unmetOf(relaxMix(search, none), problem.sizes.length)).toBeCloseTo(pieces, 6)
      }),
    )
  })

  test('a grid too fine for a table bounds from both sides: safe fillings fit, bold ones are worth no less than any', () => {
    fc.assert(
      fc.property(
        anyProblem,
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 4, maxLength: 4 }),
        (coarse, values) => {
          // no common measure: every size is off by a nanometer or so
          const fine = {
            ...coarse,
            sizes: coarse.sizes.map((size, i) => size * 25_400_000 + i + 1),
            rooms: coarse.rooms.map((room) => room * 25_400_000 + 3),
          }
          const filler = fillerOf(fine)
          expect(filler.grid.exact).toBe(fine.sizes.length === 1)
          const best = bestByTrying(fine.sizes, values, fine.demands, fine.rooms[0] ?? 0)
          expect(filler.fill('bold', values, fine.demands).worth(0)).toBeGreaterThanOrEqual(best)
          const safe = filler.fill('safe', values, fine.demands)
          const counts = safe.counts(0)
          expect(counts.reduce((sum, n, i) => sum + n * (fine.sizes[i] ?? 0), 0)).toBeLessThanOrEqual(
            fine.rooms[0] ?? 0,
          )
          expect(counts.reduce((sum, n, i) => sum + n * (values[i] ?? 0), 0)).toBe(safe.worth(0))
          expect(safe.worth(0)).toBeLessThanOrEqual(best)
        },
      ),
    )
  })
})

describe('packing', () => {
  test('the first plan packs every piece, and its mix can be packed again', () => {
    fc.assert(
      fc.property(anyProblem, (problem) => {
        const plan = planned(problem)
        expectPacks(problem, plan)
        const mix = mixOf(problem, plan)
        const again = packQuickly(problem, mix) ?? searchAll(problem, problem.demands, expand(mix), 1_000_000)
        if (!again) throw new Error('a mix that holds a plan was called impossible')
        expectPacks(problem, again)
      }),
    )
  })

  test('what cannot be packed is proven so', () => {
    // three of 50 in two rooms of 99: one each
    const problem = { sizes: [50], demands: [3], rooms: [99], prices: [1], lengths: [99], limits: [Infinity] }
    expect(packQuickly(problem, [2])).toBeNull()
    expect(searchAll(problem, [3], [0, 0], 1000)).toBeNull()
  })

  test('a limit of boards is kept, and a plan there is none for is none', () => {
    const problem = { sizes: [50], demands: [3], rooms: [99], prices: [1], lengths: [99], limits: [2] }
    expect(firstPlan(problem, 'all')).toBeNull()
    expect(firstPlan({ ...problem, limits: [3] }, 'all')).toHaveLength(3)
  })
})

describe('mixes', () => {
  const problem: CuttingProblem = {
    sizes: [30],
    demands: [4],
    rooms: [60, 90],
    prices: [10, 14],
    lengths: [60, 90],
    limits: [Infinity, Infinity],
  }
  const anyMixes = fc.record({
    kinds: fc.array(
      fc.record({
        price: fc.integer({ min: 0, max: 9 }),
        length: fc.integer({ min: 1, max: 9 }),
        limit: fc.constantFrom(1, 2, 3, Infinity),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    worths: fc.array(fc.array(fc.integer({ min: 0, max: 7 }), { minLength: 4, maxLength: 4 }), {
      minLength: 1,
      maxLength: 3,
    }),
    needed: fc.array(fc.integer({ min: 1, max: 25 }), { minLength: 3, maxLength: 3 }),
    barred: fc.array(fc.array(fc.integer({ min: 0, max: 4 }), { minLength: 4, maxLength: 4 }), {
      maxLength: 3,
    }),
  })

  test('the next mix is the lightest of all that trying every one finds, prices of nothing too', () => {
    fc.assert(
      fc.property(anyMixes, ({ kinds, worths, needed, barred }) => {
        const asked: CuttingProblem = {
          sizes: [1],
          demands: [1],
          rooms: kinds.map(({ length }) => length),
          prices: kinds.map(({ price }) => price),
          lengths: kinds.map(({ length }) => length),
          limits: kinds.map(({ limit }) => limit),
        }
        const cuts = worths.map((worth, c) => ({
          worth: worth.slice(0, kinds.length),
          needed: needed[c] ?? 1,
        }))
        const bars = barred.map((mix) => mix.slice(0, kinds.length))
        const most = Math.max(...needed) + 5
        let best: ReturnType<typeof weighMix> | null = null
        const boards: number[] = []
        const every = (k: number): void => {
          if (k === kinds.length) {
            if (!obeysCuts(boards, cuts)) return
            if (bars.some((mix) => boards.every((n, j) => n <= (mix[j] ?? 0)))) return
            const mix = weighMix(asked, [...boards])
            if (!best || compareMixes(mix, best) < 0) best = mix
            return
          }
          for (let n = 0; n <= Math.min(most, kinds[k]?.limit ?? 0); n++) {
            boards[k] = n
            every(k + 1)
          }
        }
        if (kinds.filter(({ limit }) => limit === Infinity).length > 2) return
        every(0)
        const found = nextMix(asked, { cuts, barred: bars, below: null }, () => false)
        if (found === undefined) throw new Error('a small search was cut short')
        expect(found && [found.cost, found.count, found.length]).toEqual(
          best && [
            (best as ReturnType<typeof weighMix>).cost,
            (best as ReturnType<typeof weighMix>).count,
            (best as ReturnType<typeof weighMix>).length,
          ],
        )
      }),
    )
  })

  test('mixes that weigh the same are found, those that hold too little are not', () => {
    const even = { ...problem, rooms: [60, 90, 120], prices: [6, 9, 12], lengths: [60, 90, 120] }
    const asked = { ...even, limits: [Infinity, Infinity, Infinity] }
    const own = weighMix(asked, [0, 2, 0])
    expect(mixesLike(asked, own, [lengthCut(asked)], 9).map(({ boards }) => boards)).toEqual([[1, 0, 1]])
    expect(mixesLike(asked, own, [{ worth: [0, 1, 0], needed: 2 }], 9)).toEqual([])
  })

  test('a search of mixes that is stopped says so', () => {
    const stopped = nextMix(problem, { cuts: [lengthCut(problem)], barred: [], below: null }, () => true, 1)
    expect(stopped).toBeUndefined()
  })
})

describe('the integer program', () => {
  const problem = {
    sizes: [40, 30],
    demands: [2, 2],
    rooms: [100],
    prices: [1],
    lengths: [100],
    limits: [Infinity],
  }

  test('lists exactly the patterns that take no further piece', () => {
    expect(maximalPatterns(problem, 0)?.sort()).toEqual([
      [1, 2],
      [2, 0],
    ])
  })

  test('hands on what the solver says: a packing, impossible, or unsettled', async () => {
    const packed = await packByProgram(problem, [2], (program: string) => {
      expect(program).toMatch(/p0: (2 x0 \+ 1 x1|1 x0 \+ 2 x1) >= 2/)
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
    expect(await packByProgram(problem, [2], () => Promise.resolve({ status: 'unsettled' }))).toBeUndefined()
  })

  test('a solver’s answer that leaves a piece over is not believed', async () => {
    const short = await packByProgram(problem, [2], () =>
      Promise.resolve({ status: 'optimal', values: new Map([['x0', 1]]) }),
    )
    expect(short).toBeUndefined()
  })
})
