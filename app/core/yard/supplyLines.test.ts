import type { YardAct } from '~/model'
import type { Supply } from '../takeoff/supplies'
import { shoppingSum } from './shoppingList'
import { suppliesHeld, supplyLines } from './supplyLines'

const supply = (key: string, amount: number, packs: [number, number | null][]): Supply => ({
  key,
  product: 'paint',
  of: null,
  amount,
  byWall: {},
  basis: { kind: 'run', feet: 0 },
  packs: packs.map(([size, price]) => ({ size, price })),
  buy: [],
  cost: null,
})
const counted = (product: string, size: number, count: number, doneAt: number): YardAct => ({
  id: `counted-${doneAt}`, kind: 'supplyCounted', doneAt, product, size, count,
}) // prettier-ignore
const bought = (product: string, size: number, count: number, paid: number | null, doneAt: number, job = 'j'): YardAct => ({
  id: `bought-${doneAt}`, kind: 'supplyBought', doneAt, job, product, size, count, paid,
}) // prettier-ignore

test('what is on hand and in the cart is taken off; packs of one size stand in one line', () => {
  const paint = supply('paint/a', 200, [
    [32, 2_000],
    [128, 6_000],
  ])
  const lines = (acts: YardAct[]) =>
    supplyLines([paint], suppliesHeld(acts, 'j')).map(({ size, need, inCart }) => [size, need, inCart])
  // a gallon and three quarts cost as much as two gallons and hold less
  expect(lines([])).toEqual([
    [128, 1, 0],
    [32, 3, 0],
  ])
  expect(lines([counted('paint/a', 32, 2, 1)])).toEqual([
    [128, 1, 0],
    [32, 1, 0],
  ])
  expect(lines([counted('paint/a', 32, 9, 1), counted('paint/a', 32, 2.5, 2)])).toEqual([[128, 1, 0]])
  expect(lines([bought('paint/a', 128, 2, null, 1)])).toEqual([[128, 2, 2]])
  // another job's cart is its own
  expect(lines([bought('paint/a', 128, 2, null, 1, 'other')])).toEqual([
    [128, 1, 0],
    [32, 3, 0],
  ])
})

test('what was paid is kept, goes back with what is put back, and stands beside boards in the sum', () => {
  const paint = supply('paint/a', 128, [[128, 6_000]])
  const acts = [
    bought('paint/a', 128, 1, null, 1),
    bought('paint/a', 128, -1, null, 2),
    bought('paint/a', 128, 1, 5_450, 3),
  ]
  const [line] = supplyLines([paint], suppliesHeld(acts, 'j'))
  expect(line).toMatchObject({ need: 1, inCart: 1, paid: 5_450, paidFor: 1 })
  expect(shoppingSum([], line ? [line] : [])).toEqual({
    spent: 5_450,
    toSpend: 0,
    unpriced: 0,
    unpricedPacks: 0,
    difference: -550,
  })
  const back = [...acts, bought('paint/a', 128, -1, null, 4)]
  expect(supplyLines([paint], suppliesHeld(back, 'j'))).toMatchObject([{ need: 1, inCart: 0, paid: 0 }])
  const open = supply('tube', 3, [[1, null]])
  expect(shoppingSum([], supplyLines([open], new Map()))).toMatchObject({
    toSpend: 0,
    unpriced: 0,
    unpricedPacks: 3,
  })
})
