import { inches } from '~/length'
import { type Settings, startingSettings } from '~/model'
import { firstBoards } from '../stock'
import { priceOf } from './alternatives'
import { jobRequests, NOTHING_IN_HAND } from './jobRequests'
import { USUAL_WISH } from './yardState'

const PINE = 'pine-1x3'
const usual = startingSettings('inches', '1/16')
const offers = [
  { id: 'o8', material: PINE, length: inches(96), price: 640 },
  { id: 'o12', material: PINE, length: inches(144), price: 990 },
]
const settings = { ...usual, shop: { ...usual.shop, offers } }

test('a percent of the pieces to spare, a begun piece whole; what each choice costs is what it then takes', async () => {
  const many = Array.from({ length: 21 }, (_, i) => ({
    id: `w/p${i}`,
    wall: 'w',
    label: 'A',
    material: PINE,
    length: inches(40),
  }))
  const asked = (sparePercent: number | null) =>
    jobRequests(many, settings, {
      wish: { ...USUAL_WISH, sparePercent },
      inHand: NOTHING_IN_HAND,
      out: [],
    })
  const spares = (percent: number | null) =>
    asked(percent)[0]?.pieces.filter(({ id }) => id.startsWith('spare/')).length
  expect([0, 5, 10, 100, null].map(spares)).toEqual([0, 2, 3, 21, 0])
  const price = (percent: number) =>
    priceOf(
      asked(percent),
      () => Promise.resolve({ status: 'unsettled' as const }),
      () => true,
    )
  const [none, ten] = [await price(0), await price(10)]
  const [request] = asked(10)
  const plan = request && firstBoards(request)
  expect(ten).toEqual({
    boards: plan?.ok ? plan.value.boards.length : -1,
    cost: plan?.ok ? plan.value.known.sum : -1,
  })
  expect(ten.boards).toBeGreaterThan(none.boards ?? 0)
})

test('what has no price costs nothing that could be told, and what no board holds has no plan', async () => {
  const piece = (length: number) => [
    { id: 'w/p', wall: 'w', label: 'A', material: PINE, length: inches(length) },
  ]
  const price = (length: number, own: Settings = settings) =>
    priceOf(
      jobRequests(piece(length), own, { wish: USUAL_WISH, inHand: NOTHING_IN_HAND, out: [] }),
      () => Promise.resolve({ status: 'unsettled' as const }),
      () => true,
    )
  expect(await price(40)).toEqual({ boards: 1, cost: 640 })
  expect(await price(400)).toEqual({ boards: null, cost: null })
  const unpriced = {
    ...settings,
    shop: { ...settings.shop, offers: offers.map((each) => ({ ...each, price: null })) },
  }
  expect(await price(40, unpriced)).toEqual({ boards: 1, cost: null })
})
