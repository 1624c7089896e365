import { type BoardRequest, firstBoards } from '~/core/stock'
import { inches } from '~/length'
import { betterBoards } from './usePlannedBoards'

const request = (prices: readonly [number, number]): BoardRequest => ({
  materialId: 'stuff',
  kerf: inches(1 / 8),
  endTrim: inches(0),
  offers: [96, 144].map((length, k) => ({ id: `b${k}`, length: inches(length), price: prices[k] ?? 0 })),
  pieces: [60, 60, 40].map((length, i) => ({ id: `p${i}`, label: String(length), length: inches(length) })),
})
const planned = (prices: readonly [number, number]) => {
  const plan = firstBoards(request(prices))
  if (!plan.ok) throw new Error(plan.issue.code)
  return plan.value
}

test('a later turn that begins with a worse plan does not take the place of a better one, and bounds only rise', () => {
  const [cheap, dear] = [planned([500, 700]), planned([900, 1300])]
  const kept = betterBoards(
    { ok: true, value: { ...cheap, bound: 900 } },
    { ok: true, value: { ...dear, bound: 1000 } },
  )
  expect(kept).toEqual({ ok: true, value: { ...cheap, bound: 1000 } })
  expect(betterBoards({ ok: true, value: dear }, { ok: true, value: cheap })).toMatchObject({
    value: { known: cheap.known },
  })
  // what is proven stands whatever was there
  const proven = { ok: true, value: { ...dear, proven: true } } as const
  expect(betterBoards({ ok: true, value: cheap }, proven)).toBe(proven)
  expect(betterBoards(null, proven)).toBe(proven)
})
