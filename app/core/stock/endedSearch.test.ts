import fc from 'fast-check'
import highs from 'highs'
import { nanometers } from '~/length'
import { highsSolver } from '~/workers/highsSolver'
import { type BoardOffer, type BoardPlan, type BoardRequest, planBoards, toProblem } from '.'
import { fitDecreasing } from './firstPlan'
import { searchMixes } from './searchMixes'

const solve = highsSolver(() => highs())

type Offered = readonly [length: number, price: number]

/** A request in plain whole units, as small numbers are easy to try every way. */
function asking(pieces: readonly number[], boards: readonly Offered[], kerf = 0, endTrim = 0): BoardRequest {
  return {
    materialId: 'stuff',
    kerf: nanometers(kerf),
    endTrim: nanometers(endTrim),
    offers: boards.map(([length, price], k): BoardOffer => ({
      id: `b${k}`,
      length: nanometers(length),
      price,
    })),
    pieces: pieces.map((length, i) => ({ id: `p${i}`, label: `L${length}`, length: nanometers(length) })),
  }
}

function expectSound({ pieces, offers, kerf, endTrim }: BoardRequest, plan: BoardPlan) {
  expect(plan.boards.flatMap((board) => board.pieces.map(({ pieceId }) => pieceId)).sort()).toEqual(
    pieces.map(({ id }) => id).sort(),
  )
  for (const board of plan.boards) {
    const cut = board.pieces.reduce((sum, { length }) => sum + length, 0)
    expect(endTrim + cut + (board.pieces.length - 1) * kerf).toBeLessThanOrEqual(board.length)
  }
  for (const { id, limit } of offers)
    expect(plan.boards.filter(({ offerId }) => offerId === id).length).toBeLessThanOrEqual(limit ?? Infinity)
}

describe('a search that is ended or broken', () => {
  const many = asking(
    Array.from({ length: 60 }, (_, i) => 300 + ((i * 7919) % 449)),
    [[1100, 61], [1500, 80], [2100, 118]], // prettier-ignore
    3,
  )

  test('at once: the first plan stands with a bound', async () => {
    const found = await planBoards(many, solve, { over: () => true })
    if (!found.ok) throw new Error(found.issue.code)
    expectSound(many, found.value)
    expect(found.value.proven).toBe(false)
    expect(found.value.bound).toBeGreaterThan(0)
    expect(found.value.bound).toBeLessThanOrEqual(found.value.cost ?? 0)
  })

  test('better plans are told as they come, each cheaper than the one before', async () => {
    const costs: number[] = []
    const found = await planBoards(many, solve, {
      over: () => false,
      better: ({ cost }) => costs.push(cost ?? 0),
    })
    if (!found.ok) throw new Error(found.issue.code)
    expect(costs.length).toBeGreaterThan(0)
    expect([...costs].sort((a, b) => b - a)).toEqual(costs)
    expect(found.value.cost).toBeLessThanOrEqual(costs.at(-1) ?? 0)
  })

  test('a solver that fails to load leaves the plan so far, and is asked again the next time', async () => {
    let asked = 0
    const broken = highsSolver(() => {
      asked += 1
      return Promise.reject(new Error('not to be had'))
    })
    await expect(broken('Minimize')).rejects.toThrow('not to be had')
    await expect(broken('Minimize')).rejects.toThrow('not to be had')
    expect(asked).toBe(2)
    const problem = toProblem(many)
    const searched = await searchMixes(problem, broken, { over: () => false })
    expect(searched.patterns).not.toBeNull()
  })
})

test('never worse than first-fit or best-fit decreasing, whichever board they open', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.integer({ min: 200, max: 940 }), { minLength: 8, maxLength: 26 }),
      fc.array(fc.integer({ min: 40, max: 90 }), { minLength: 3, maxLength: 3 }),
      async (pieces, prices) => {
        const asked = asking(pieces, [[960, prices[0] ?? 1], [1200, prices[1] ?? 1], [1920, (prices[2] ?? 1) * 2]], 3) // prettier-ignore
        const problem = toProblem(asked)
        const found = await planBoards(asked, solve)
        if (!found.ok) throw new Error(found.issue.code)
        for (const fit of ['first', 'best'] as const)
          for (const rule of [
            (k: number) => problem.prices[k] ?? 0,
            (k: number) => (problem.prices[k] ?? 0) / (problem.rooms[k] ?? 1),
            (k: number) => problem.rooms[k] ?? 0,
          ]) {
            const kinds = [...problem.rooms.keys()].sort((a, b) => rule(a) - rule(b))
            const open = (size: number) => kinds.find((k) => (problem.rooms[k] ?? 0) >= size) ?? -1
            const plan = fitDecreasing(problem, fit, open)
            const cost = plan?.reduce((sum, { room }) => sum + (problem.prices[room] ?? 0), 0) ?? Infinity
            expect(found.value.cost).toBeLessThanOrEqual(cost)
          }
      },
    ),
    { numRuns: 25 },
  )
})

// C6 (Falkenauer 1996, J. Heuristics 2): triplets of a sum of 1000, three to a bin and none to spare; made here by the published recipe.
test.each([60, 120])(
  'C6: %d pieces in threes of exactly one board each: a third as many boards',
  async (n) => {
    let seed = n
    const random = () => (seed = (seed * 48_271) % 2_147_483_647) / 2_147_483_647
    const pieces = Array.from({ length: n / 3 }, () => {
      const first = 380 + Math.floor(random() * 111)
      const second = 250 + Math.floor(random() * Math.max(1, (1000 - first) / 2 - 250))
      return [first, second, 1000 - first - second]
    }).flat()
    const found = await planBoards(asking(pieces, [[1000, 1]]), solve)
    if (!found.ok) throw new Error(found.issue.code)
    expect(found.value.boards).toHaveLength(n / 3)
    expect(found.value.proven).toBe(true)
  },
)
