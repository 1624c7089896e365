import highs from 'highs'
import fc from 'fast-check'
import { inches, type Length, nanometers } from '~/length'
import { highsSolver } from '~/workers/highsSolver'
import {
  type BoardPlan,
  type BoardRequest,
  firstFitDecreasing,
  planBoards,
  planBoardsQuickly,
  toProblem,
} from '.'
import { relax } from './boardBound'
import { beginSearch } from './patternPool'

const solve = highsSolver(() => highs())

interface Cut {
  readonly length: Length
  readonly count: number
}

function request(
  cuts: readonly Cut[],
  boards: readonly (readonly [Length, number])[],
  kerf: Length,
  endTrim = inches(0),
): BoardRequest {
  return {
    materialId: 'pine',
    kerf,
    endTrim,
    offers: boards.map(([length, price], k) => ({ id: `b${k}`, length, price })),
    pieces: cuts.flatMap(({ length, count }, row) =>
      Array.from({ length: count }, (_, i) => ({
        id: `p${row}-${i}`,
        label: String.fromCharCode(65 + row),
        length,
      })),
    ),
  }
}

const cut = (length: number, count: number): Cut => ({ length: inches(length), count })
const eighth = inches(1 / 8)

async function plan(asked: BoardRequest): Promise<BoardPlan> {
  const result = await planBoards(asked, solve)
  if (!result.ok) throw new Error(`no plan: ${result.issue.code}`)
  return result.value
}

/** Law D5, checked from the plan alone. */
function expectSound(asked: BoardRequest, found: BoardPlan) {
  const ids = found.boards.flatMap((board) => board.pieces.map((piece) => piece.pieceId))
  expect([...ids].sort()).toEqual(asked.pieces.map((piece) => piece.id).sort())
  for (const board of found.boards) {
    const pieces = board.pieces.reduce((sum, piece) => sum + piece.length, 0)
    const cuts = Math.max(0, board.pieces.length - 1) * asked.kerf
    expect(pieces + cuts + asked.endTrim).toBeLessThanOrEqual(board.length)
  }
  const problem = toProblem(asked)
  const cost = found.boards.reduce((sum, board) => sum + (board.price ?? 0), 0)
  expect(cost).toBeGreaterThanOrEqual(found.bound)
  problem.rooms.forEach((_, room) => {
    const simple = firstFitDecreasing(problem, room)
    if (simple) expect(cost).toBeLessThanOrEqual(simple.length * (problem.prices[room] ?? 0))
  })
}

// B1 to B5: common practice, no source; counts rechecked here by the exact solver.
describe('worked boards', () => {
  test.each([
    [96, 9],
    [144, 6],
    [192, 4],
  ])('B1: seven boxes 32 x 16 3/4 from %d take %d', async (length, boards) => {
    const asked = request([cut(32, 14), cut(16.75, 14)], [[inches(length), 1000]], eighth)
    const found = await plan(asked)
    expect(found.boards).toHaveLength(boards)
    expect(found.proven).toBe(true)
    expectSound(asked, found)
  })

  test('B2: two of 48 do not come from one 96 with kerf 1/8; two of 47 15/16 do', async () => {
    const board = [[inches(96), 500]] as const
    expect((await plan(request([cut(48, 2)], board, eighth))).boards).toHaveLength(2)
    const found = await plan(request([cut(47.9375, 2)], board, eighth))
    expect(found.boards).toHaveLength(1)
    expect(found.boards[0]?.offcut).toBe(0)
  })

  test('B3: 6 of 86 and 20 of 34 from 8-ft boards: 16, and no spare', async () => {
    const found = await plan(request([cut(86, 6), cut(34, 20)], [[inches(96), 700]], eighth))
    expect(found.boards).toHaveLength(16)
    expect(found.spares).toEqual([])
  })

  test('B4 and B5: 20 of 39 from 96 are 10, from 120 are 7; six of 113 with them from 120 are 13', async () => {
    const boards = async (cuts: Cut[], length: number) =>
      (await plan(request(cuts, [[inches(length), 1]], eighth))).boards.length
    expect(await boards([cut(39, 20)], 96)).toBe(10)
    expect(await boards([cut(39, 20)], 120)).toBe(7)
    expect(await boards([cut(113, 6), cut(39, 20)], 120)).toBe(13)
  })

  test('a spare is an offcut that would replace a spoiled piece', async () => {
    const found = await plan(request([cut(60, 1), cut(20, 1)], [[inches(120), 1]], eighth))
    expect(found.spares).toEqual([{ labels: ['B'], boardNumber: 1 }])
  })
})

describe('money first, then boards, then length', () => {
  test('two short boards beat one long one that costs more; at equal cost the one board wins', async () => {
    const cuts = [cut(90, 2)]
    const cheapShort = await plan(
      request(
        cuts,
        [
          [inches(96), 500],
          [inches(192), 1100],
        ],
        eighth,
      ),
    )
    expect(cheapShort.boards.map((board) => board.offerId)).toEqual(['b0', 'b0'])
    const same = await plan(
      request(
        cuts,
        [
          [inches(96), 500],
          [inches(192), 1000],
        ],
        eighth,
      ),
    )
    expect(same.boards.map((board) => board.offerId)).toEqual(['b1'])
    const waste = await plan(
      request(
        [cut(90, 1)],
        [
          [inches(120), 500],
          [inches(96), 500],
        ],
        eighth,
      ),
    )
    expect(waste.boards.map((board) => board.offerId)).toEqual(['b1'])
  })

  test('without prices the least length is bought and no cost is claimed', async () => {
    const asked = request(
      [cut(90, 2)],
      [
        [inches(96), 1],
        [inches(192), 1],
      ],
      eighth,
    )
    const unpriced = { ...asked, offers: asked.offers.map((offer) => ({ ...offer, price: null })) }
    const found = await plan(unpriced)
    expect(found.cost).toBeNull()
    expect(found.boards).toHaveLength(1)
  })

  test('no boards, or a piece too long, is its own answer with the piece named', async () => {
    expect(await planBoards(request([cut(90, 1)], [], eighth), solve)).toMatchObject({
      ok: false,
      issue: { code: 'noBoardsListed' },
    })
    expect(await planBoards(request([cut(100, 1)], [[inches(96), 1]], eighth), solve)).toMatchObject({
      ok: false,
      issue: { code: 'pieceTooLong', pieceIds: ['p0-0'], longest: inches(96) },
    })
    expect(planBoardsQuickly(request([cut(96, 1)], [[inches(96), 1]], eighth, inches(1))).ok).toBe(false)
  })
})

test('C5 (Gilmore & Gomory 1961/1963, the paper-machine example): 73 rolls of 5600, 0.401 % waste', async () => {
  const widths: [number, number][] = [
    [1380, 22], [1520, 25], [1560, 12], [1710, 14], [1820, 18], [1880, 18], [1930, 20],
    [2000, 10], [2050, 12], [2100, 14], [2140, 16], [2150, 18], [2200, 20],
  ] // prettier-ignore
  const asked = request(
    widths.map(([width, count]) => ({ length: nanometers(width), count })),
    [[nanometers(5600), 1]],
    inches(0),
  )
  const found = await plan(asked)
  expect(found.boards).toHaveLength(73)
  expect(found.proven).toBe(true)
  expect(Number((found.waste * 100).toFixed(3))).toBe(0.401)
  expectSound(asked, found)
})

/** Slow and sure: every way to put pieces on boards, cheapest total. */
function oracleCost(asked: BoardRequest): number {
  const pieces = asked.pieces.map((piece) => piece.length).sort((a, b) => b - a)
  let best = Infinity
  function place(k: number, boards: { free: number }[], cost: number): void {
    if (cost >= best) return
    const length = pieces[k]
    if (length === undefined) {
      best = cost
      return
    }
    for (const board of boards) {
      if (board.free < length) continue
      board.free -= length + asked.kerf
      place(k + 1, boards, cost)
      board.free += length + asked.kerf
    }
    for (const offer of asked.offers) {
      if (offer.length < length) continue
      place(k + 1, [...boards, { free: offer.length - length - asked.kerf }], cost + (offer.price ?? 0))
    }
  }
  place(0, [], 0)
  return best
}

describe('laws', () => {
  const anyCuts = fc.array(
    fc.record({
      length: fc.integer({ min: 10 * 16, max: 95 * 16 }).map((n) => inches(n / 16)),
      count: fc.integer({ min: 1, max: 3 }),
    }),
    { minLength: 1, maxLength: 3 },
  )
  const anyBoards = fc
    .uniqueArray(fc.constantFrom(96, 120, 144, 192), { minLength: 1, maxLength: 3 })
    .chain((lengths) =>
      fc.tuple(
        ...lengths.map((length) =>
          fc.integer({ min: length * 4, max: length * 9 }).map((price) => [inches(length), price] as const),
        ),
      ),
    )

  test('D5: sound, and the money equals what trying everything finds', async () => {
    await fc.assert(
      fc.asyncProperty(anyCuts, anyBoards, async (cuts, boards) => {
        const asked = request(cuts, boards, eighth)
        const found = await plan(asked)
        expectSound(asked, found)
        expect(found.proven).toBe(true)
        expect(found.cost).toBe(oracleCost(asked))
        const quick = planBoardsQuickly(asked)
        if (quick.ok) {
          expect(quick.value.cost).toBeGreaterThanOrEqual(found.cost ?? 0)
          expect(quick.value.bound).toBeLessThanOrEqual(found.cost ?? 0)
        }
      }),
      { numRuns: 120 },
    )
  })

  test('D5 on walls of many different lengths: sound and proven', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.integer({ min: 20 * 32, max: 94 * 32 }), { minLength: 12, maxLength: 30 }),
        async (lengths) => {
          const asked = request(
            lengths.map((n) => cut(n / 32, 1)),
            [
              [inches(96), 612],
              [inches(120), 810],
              [inches(144), 985],
              [inches(192), 1420],
            ],
            eighth,
          )
          const found = await plan(asked)
          expectSound(asked, found)
          expect(found.proven).toBe(true)
        },
      ),
      { numRuns: 25 },
    )
  })

  test('the relaxation of one size is its total over the fullest board', () => {
    const problem = toProblem(request([cut(30, 10)], [[inches(96), 900]], eighth))
    const { demands, limits, prices: costs } = problem
    const relaxed = relax(beginSearch(problem, { over: () => false }), {
      demands,
      limits,
      costs,
      unmetCost: 9000,
    })
    expect(relaxed.value).toBeCloseTo((10 / 3) * 900, 6)
  })
})
