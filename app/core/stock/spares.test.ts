import { inches } from '~/length'
import { addKnownCosts, type BoardPlan, type BoardRequest, planBoardsQuickly, tightBoards } from '.'

const request = (pieces: [string, number][], offers: [number, number | null][]): BoardRequest => ({
  materialId: 'pine',
  kerf: inches(1 / 8),
  endTrim: inches(0),
  offers: offers.map(([length, price], i) => ({ id: `o${i}`, length: inches(length), price })),
  pieces: pieces.map(([label, length], i) => ({ id: `p${i}`, label, length: inches(length) })),
})
const planOf = (...args: Parameters<typeof request>): BoardPlan => {
  const plan = planBoardsQuickly(request(...args))
  if (!plan.ok) throw new Error(plan.issue.code)
  return plan.value
}

test('an offcut is one spare, of the one piece or the other', () => {
  // 60 + 30 and two kerfs leave 29 3/4 of 120
  const plan = planOf(
    [
      ['A', 60],
      ['B', 29],
      ['C', 20],
    ],
    [[144, 1]],
  )
  const [spare] = plan.spares
  expect(plan.boards).toHaveLength(1)
  expect(spare).toEqual({ boardNumber: 1, labels: ['B', 'C'] })
  expect(planOf([['A', 95]], [[96, 1]]).spares).toEqual([])
})

test('the cost is of the boards that have a price, and says of how many', () => {
  const all = planOf([['A', 90]], [[96, 700]])
  expect([all.cost, all.known]).toEqual([700, { sum: 700, unpricedBoards: 0, lengths: 1, pricedLengths: 1 }])
  const some = planOf(
    [
      ['A', 90],
      ['B', 110],
    ],
    [
      [96, 700],
      [120, null],
      [192, null],
    ],
  )
  expect([some.cost, some.known]).toEqual([
    null,
    { sum: 700, unpricedBoards: 1, lengths: 3, pricedLengths: 1 },
  ])
  expect(addKnownCosts([all.known, some.known])).toEqual({
    sum: 1400,
    unpricedBoards: 1,
    lengths: 4,
    pricedLengths: 2,
  })
})

test('a board filled to the last sixteenth is a risk where a piece of it is only measured in place', () => {
  const tight = planOf(
    [
      ['A', 47.9],
      ['B', 47.9],
    ],
    [[96, 1]],
  )
  expect(tightBoards(tight, (label) => label === 'B', inches(1 / 8))).toMatchObject([
    { boardNumber: 1, labels: ['B'] },
  ])
  expect(tightBoards(tight, () => false, inches(1 / 8))).toEqual([])
  expect(tightBoards(planOf([['A', 90]], [[96, 1]]), () => true, inches(1 / 16))).toEqual([])
  // a board that holds what its piece is cut long by is not short of it, whatever else is left
  const { pieces, ...asked } = request([['A', 95.875]], [[96, 1]])
  const kept = planBoardsQuickly({
    ...asked,
    pieces: pieces.map((each) => ({ ...each, long: inches(1 / 8) })),
  })
  const bare = planBoardsQuickly({
    ...asked,
    pieces: pieces.map((each) => ({ ...each, length: inches(96) })),
  })
  if (!kept.ok || !bare.ok) throw new Error('no plan')
  expect([kept, bare].map(({ value }) => value.boards[0]?.offcut)).toEqual([0, 0])
  expect(tightBoards(kept.value, () => true, inches(1 / 16))).toEqual([])
  expect(tightBoards(bare.value, () => true, inches(1 / 16))).toHaveLength(1)
})
