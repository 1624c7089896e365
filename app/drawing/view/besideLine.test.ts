import fc from 'fast-check'
import { besideLine } from './besideLine'

const figures = fc.array(
  fc.record({
    at: fc.double({ min: 0, max: 700, noNaN: true }),
    weight: fc.constantFrom('first' as const, 'second' as const),
  }),
  { maxLength: 120 },
)

describe('figures beside a line of dimensions', () => {
  test('none nearer to the next than its size, none outside, in the order of their places', () => {
    fc.assert(
      fc.property(figures, fc.double({ min: 6, max: 30, noNaN: true }), (all, size) => {
        const stood = besideLine(all, size, { from: -10, to: 710 })
        const places = stood.map(({ place }) => place)
        expect(Math.min(...places, 0)).toBeGreaterThanOrEqual(-10 - 1e-6)
        expect(Math.max(...places, 0)).toBeLessThanOrEqual(710 + 1e-6)
        places.slice(1).forEach((place, i) => expect(place - (places[i] ?? 0)).toBeGreaterThan(size - 1e-6))
        const ats = stood.map(({ index }) => all[index]?.at ?? NaN)
        ats.slice(1).forEach((at, i) => expect(at).toBeGreaterThanOrEqual(ats[i] ?? 0))
      }),
      { numRuns: 300 },
    )
  })

  test('where there is room nothing moves; two that are too near part alike', () => {
    const first = (at: number) => ({ at, weight: 'first' as const })
    expect(besideLine([first(10), first(30)], 10, { from: 0, to: 100 }).map(({ place }) => place)).toEqual([
      10, 30,
    ])
    expect(besideLine([first(50), first(52)], 10, { from: 0, to: 100 }).map(({ place }) => place)).toEqual([
      46, 56,
    ])
    expect(besideLine([first(0), first(2)], 10, { from: 0, to: 100 }).map(({ place }) => place)).toEqual([
      0, 10,
    ])
  })

  test('far edges go first where there is no room, and what is left evenly', () => {
    const all = Array.from({ length: 40 }, (_, i) => ({
      at: i * 2,
      weight: i % 2 === 0 ? ('first' as const) : ('second' as const),
    }))
    expect(besideLine(all, 4, { from: 0, to: 80 }).every(({ index }) => index % 2 === 0)).toBe(true)
    expect(besideLine(all, 8, { from: 0, to: 80 }).map(({ index }) => index)).toEqual([
      0, 4, 8, 12, 16, 20, 24, 28, 32, 36,
    ])
  })
})
