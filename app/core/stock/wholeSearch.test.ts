import fc from 'fast-check'
import highs from 'highs'
import { inches, nanometers } from '~/length'
import { highsSolver } from '~/workers/highsSolver'
import { type BoardOffer, type BoardPlan, type BoardRequest, planBoards, planBoardsQuickly } from '.'

const solve = highsSolver(() => highs())

type Offered = readonly [length: number, price: number, limit?: number]

/** A request in plain whole units, as small numbers are easy to try every way. */
function asking(pieces: readonly number[], boards: readonly Offered[], kerf = 0, endTrim = 0): BoardRequest {
  return {
    materialId: 'stuff',
    kerf: nanometers(kerf),
    endTrim: nanometers(endTrim),
    offers: boards.map(([length, price, limit], k): BoardOffer => ({
      id: `b${k}`,
      length: nanometers(length),
      price,
      ...(limit === undefined ? {} : { limit }),
    })),
    pieces: pieces.map((length, i) => ({ id: `p${i}`, label: `L${length}`, length: nanometers(length) })),
  }
}

type Weight = readonly [cost: number, boards: number, bought: number]
const lighter = (a: Weight, b: Weight) => a[0] - b[0] || a[1] - b[1] || a[2] - b[2]

/** A saw that tries everything: every way to share the pieces out on boards that can be had. Null where none does. */
function byEveryWay({ pieces, offers, kerf, endTrim }: BoardRequest): Weight | null {
  const lengths = pieces.map(({ length }) => length).sort((a, b) => b - a)
  let best: Weight | null = null
  const taken = offers.map(() => 0)
  function place(k: number, open: { free: number }[], weight: Weight): void {
    if (best && lighter(weight, best) >= 0) return
    const length = lengths[k]
    if (length === undefined) {
      best = weight
      return
    }
    for (const board of open) {
      // n pieces of a board take n - 1 kerfs: the first one has none before it
      if (board.free < length + kerf) continue
      board.free -= length + kerf
      place(k + 1, open, weight)
      board.free += length + kerf
    }
    offers.forEach((offer, j) => {
      if ((taken[j] ?? 0) >= (offer.limit ?? Infinity) || offer.length - endTrim < length) return
      taken[j] = (taken[j] ?? 0) + 1
      const [cost, boards, bought] = weight
      const free = offer.length - endTrim - length
      place(k + 1, [...open, { free }], [cost + (offer.price ?? 0), boards + 1, bought + offer.length])
      taken[j] = (taken[j] ?? 0) - 1
    })
  }
  place(0, [], [0, 0, 0])
  return best
}

const weightOf = ({ boards }: BoardPlan): Weight => [
  boards.reduce((sum, { price }) => sum + (price ?? 0), 0),
  boards.length,
  boards.reduce((sum, { length }) => sum + length, 0),
]

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

const anySmall = fc
  .record({
    lengths: fc.array(fc.integer({ min: 5, max: 60 }), { minLength: 1, maxLength: 3 }),
    picks: fc.array(fc.nat(2), { minLength: 1, maxLength: 8 }),
    boards: fc.array(
      fc.tuple(
        fc.integer({ min: 40, max: 130 }),
        fc.oneof(fc.constant(0), fc.integer({ min: 1, max: 30 })),
        fc.constantFrom(undefined, undefined, 1, 2, 3),
      ),
      { minLength: 1, maxLength: 4 },
    ),
    kerf: fc.nat(3),
    endTrim: fc.nat(4),
  })
  .map(({ lengths, picks, boards, kerf, endTrim }) =>
    asking(
      picks.map((pick) => lengths[pick % lengths.length] ?? 5),
      boards.map(([length, price, limit]): Offered =>
        limit === undefined ? [length, price] : [length, price, limit],
      ),
      kerf,
      endTrim,
    ),
  )

describe('D5: against a saw that tries everything', () => {
  test('the least money, then boards, then length; prices of nothing, limits and boards too few among them', async () => {
    await fc.assert(
      fc.asyncProperty(anySmall, async (asked) => {
        const found = await planBoards(asked, solve)
        const sure = byEveryWay(asked)
        const quick = planBoardsQuickly(asked)
        if (!sure) {
          expect(found.ok).toBe(false)
          expect(quick.ok).toBe(false)
          if (!found.ok && found.issue.code === 'shortOfStock') {
            expect(found.issue.proven).toBe(true)
            expect(found.issue.pieceIds.length).toBeGreaterThan(0)
          }
          return
        }
        if (!found.ok) throw new Error(`no plan though there is one: ${found.issue.code}`)
        expectSound(asked, found.value)
        expect(found.value.proven).toBe(true)
        expect(weightOf(found.value)).toEqual(sure)
        if (quick.ok) expect(quick.value.bound).toBeLessThanOrEqual(sure[0])
      }),
      { numRuns: 400 },
    )
  })

  test('the same answer whatever the order of pieces and of boards', async () => {
    await fc.assert(
      fc.asyncProperty(anySmall, fc.integer(), async (asked, seed) => {
        const shuffled = <T>(all: readonly T[]) =>
          all
            .map((one, i) => ({ one, key: ((i + 1) * 7919 + seed * 104_729) % 1009 }))
            .sort((a, b) => a.key - b.key)
            .map(({ one }) => one)
        const other = { ...asked, pieces: shuffled(asked.pieces), offers: shuffled(asked.offers) }
        const [a, b] = [await planBoards(asked, solve), await planBoards(other, solve)]
        expect(b).toEqual(a)
      }),
      { numRuns: 80 },
    )
  })
})

/** A second exact formulation: which piece lies on which board, each a yes or no, by the integer solver alone. */
async function byAssignment(asked: BoardRequest): Promise<number | null> {
  const { pieces, offers, kerf, endTrim } = asked
  const boards = offers.flatMap((offer, k) =>
    Array.from({ length: Math.min(pieces.length, offer.limit ?? pieces.length) }, (_, n) => ({
      name: `y${k}_${n}`,
      room: offer.length - endTrim + kerf,
      price: offer.price ?? 0,
    })),
  )
  const names = pieces.flatMap((_, i) => boards.map(({ name }) => `x${i}${name}`))
  const program = [
    'Minimize',
    ` obj: ${boards.map(({ price, name }) => `${price} ${name}`).join(' + ')}`,
    'Subject To',
    ...pieces.map((_, i) => ` p${i}: ${boards.map(({ name }) => `x${i}${name}`).join(' + ')} = 1`),
    ...boards.map(
      ({ name, room }) =>
        ` c${name}: ${pieces.map(({ length }, i) => `${length + kerf} x${i}${name}`).join(' + ')} - ${room} ${name} <= 0`,
    ),
    'Binary',
    ` ${[...names, ...boards.map(({ name }) => name)].join(' ')}`,
    'End',
  ].join('\n')
  const answer = await solve(program)
  if (answer.status !== 'optimal') return null
  const [prices, values] = [new Map(boards.map(({ name, price }) => [name, price])), answer.values]
  return [...values.keys()].reduce((sum, name) => sum + (prices.get(name) ?? 0), 0)
}

test('D5: the money equals what a second formulation of the whole finds', async () => {
  const anyMedium = fc
    .record({
      pieces: fc.array(fc.integer({ min: 12, max: 90 }), { minLength: 4, maxLength: 9 }),
      prices: fc.tuple(fc.integer({ min: 30, max: 60 }), fc.integer({ min: 45, max: 90 })),
      limit: fc.constantFrom(1, 2, 9),
    })
    .map(({ pieces, prices, limit }) =>
      asking(
        pieces,
        [
          [96, prices[0]],
          [144, prices[1], limit],
        ],
        2,
        1,
      ),
    )
  await fc.assert(
    fc.asyncProperty(anyMedium, async (asked) => {
      const found = await planBoards(asked, solve)
      if (!found.ok) throw new Error(found.issue.code)
      expect(found.value.proven).toBe(true)
      expect(found.value.cost).toBe(await byAssignment(asked))
    }),
    { numRuns: 25 },
  )
})

const inchOffers = (boards: readonly Offered[]): BoardRequest['offers'] =>
  boards.map(([length, price, limit], k) => ({
    id: `b${k}`,
    length: inches(length),
    price,
    ...(limit === undefined ? {} : { limit }),
  }))
const inchPieces = (cuts: readonly (readonly [number, number])[]): BoardRequest['pieces'] =>
  cuts.flatMap(([length, count]) =>
    Array.from({ length: count }, (_, i) => ({
      id: `${length}-${i}`,
      label: String(length),
      length: inches(length),
    })),
  )

// The yard: each division of the pieces tried by hand-written search; common practice, no source.
describe('the yard', () => {
  test.each<
    [string, readonly (readonly [number, number])[], readonly Offered[], number, number, number, number, number, number]
  >([
    ['M1, a free offcut', [[47, 4], [16.5, 3]], [[96, 720], [120, 910], [67, 0, 1]], 1 / 8, 0, 1440, 3, 21.5, 17.125],
    ['M2, the cheap ones few', [[46.5, 5], [23, 4]], [[96, 640, 2], [96, 790]], 1 / 8, 0, 2860, 4, 59.5, 49.75],
    ['M3, over length, end trim', [[48, 4], [23.75, 3]], [[96.25, 700], [144.75, 1090]], 1 / 8, 1 / 4, 2180, 2, 26.25, 24.75],
    ['M4, cheaper with more boards', [[57, 3], [38, 3]], [[96, 500], [192, 1120], [120, 830]], 1 / 8, 0, 1500, 3, 3, 0.75],
    ['M5, limits on all', [[60, 3], [45, 3], [30, 2]], [[144, 1150, 2], [96, 800, 1], [120, 1010, 2]], 1 / 8, 1 / 2, 3310, 3, 33, 14.25],
    ['M6, all for nothing', [[11, 1], [8, 2], [29, 2], [19, 2]], [[54, 0], [65, 0]], 0, 1, 0, 2, 7, 5],
    ['M7, with a spare', [[38, 5]], [[96, 700], [120, 900]], 1 / 8, 0, 1600, 2, 26, 19.75],
  ])('%s', async (_, cuts, boards, kerf, endTrim, cost, count, over, longest) => {
    const asked: BoardRequest = {
      materialId: 'stuff',
      kerf: inches(kerf),
      endTrim: inches(endTrim),
      offers: inchOffers(boards),
      pieces: inchPieces(cuts),
    }
    const found = await planBoards(asked, solve)
    if (!found.ok) throw new Error(found.issue.code)
    const plan = found.value
    expectSound(asked, plan)
    expect(plan.proven).toBe(true)
    expect([plan.cost, plan.boards.length, plan.bought - plan.used]).toEqual([cost, count, inches(over)])
    expect(Math.max(...plan.boards.map(({ offcut }) => offcut))).toBe(inches(longest))
  }) // prettier-ignore

  test('M8: three of 70, boards for two: short by one board, the piece named', async () => {
    const asked: BoardRequest = {
      materialId: 'stuff',
      kerf: inches(1 / 8),
      endTrim: inches(0),
      offers: inchOffers([[96, 700, 2], [69, 100]]), // prettier-ignore
      pieces: inchPieces([[70, 3]]),
    }
    expect(await planBoards(asked, solve)).toEqual({
      ok: false,
      issue: {
        code: 'shortOfStock',
        materialId: 'stuff',
        pieceIds: ['70-2'],
        length: inches(70),
        proven: true,
      },
    })
  })
})
