import { inches, toInches } from '~/length'
import type { Flatness } from '~/model'
import { behindStrip, canPull, flatWayOf, unevenAt, unevennesses } from './flatness'

const at = (x: number, y: number) => ({ x: inches(x), y: inches(y) })

function laid(more: Partial<Flatness> & { gap: Flatness['gap'] }): Flatness {
  return { id: 'f', ...at(60, 40), lie: 'along', length: inches(40), shape: 'hollow', ...more }
}
const TOLERANCES = { fit: inches(1 / 16), caulk: inches(1 / 8) }

describe('a straightedge on the wall', () => {
  test('its gap is what is found under its middle, and nothing at its ends', () => {
    const all = unevennesses([laid({ gap: inches(0.25) })])
    expect(unevenAt(all, 'hollow', at(60, 40))).toBe(inches(0.25))
    expect(unevenAt(all, 'hollow', at(80, 40))).toBeCloseTo(0, 3)
    expect(unevenAt(all, 'hollow', at(40, 40))).toBeCloseTo(0, 3)
    // a parabola: half way out three quarters are left
    expect(toInches(unevenAt(all, 'hollow', at(70, 40)))).toBeCloseTo(0.1875, 9)
    expect(unevenAt(all, 'belly', at(60, 40))).toBe(0)
  })

  test('read one way it is round; one across it says how wide it is, and turns with it', () => {
    const alone = laid({ gap: inches(0.25) })
    const across = laid({ id: 'g', gap: inches(0.25), lie: 'up', length: inches(20) })
    expect(toInches(unevenAt(unevennesses([alone]), 'hollow', at(60, 52)))).toBeCloseTo(0.16, 9)
    expect(unevenAt(unevennesses([alone, across]), 'hollow', at(60, 52))).toBe(0)
    const slanted = laid({ gap: inches(0.25), lie: 'risesRight' })
    const both = unevennesses([
      slanted,
      laid({ id: 'g', gap: inches(0.1), lie: 'risesLeft', length: inches(12) }),
    ])
    expect(unevenAt(both, 'hollow', at(70, 50))).toBeGreaterThan(0)
    expect(unevenAt(both, 'hollow', at(70, 30))).toBe(0)
    // another shape, or one too far away, measures another place
    const far = laid({ id: 'g', ...at(120, 40), gap: inches(0.25), lie: 'up', length: inches(20) })
    expect(unevennesses([alone, far])[0]?.across).toBe(inches(40))
    expect(unevennesses([alone, { ...across, shape: 'belly' }])[0]?.across).toBe(inches(40))
  })
})

describe('what lies behind a strip', () => {
  const hollow = unevennesses([laid({ gap: inches(0.25) })])

  test('right over the middle: the whole gap over the whole hollow', () => {
    const found = behindStrip(hollow, 'hollow', at(60, 10), at(60, 70))
    expect(toInches(found?.depth ?? NaN)).toBeCloseTo(0.25, 2)
    expect(toInches(found?.length ?? NaN)).toBeCloseTo(40, 0)
    expect(toInches(found?.at ?? NaN)).toBeCloseTo(30, 0)
    // a parabola takes two thirds of the rectangle about it
    expect((found?.area ?? NaN) / inches(1) ** 2).toBeCloseTo((2 / 3) * 0.25 * 40, 1)
  })

  test('a strip that ends in the hollow tilts into it; one beside it lies flat', () => {
    const ends = behindStrip(hollow, 'hollow', at(60, 40), at(60, 90))
    expect(toInches(ends?.depth ?? NaN)).toBeLessThan(0.13)
    expect(behindStrip(hollow, 'hollow', at(85, 10), at(85, 70))).toBeNull()
    expect(behindStrip([], 'hollow', at(0, 0), at(0, 90))).toBeNull()
  })

  test('over a belly it would have to bend by as much as the wall stands out', () => {
    const belly = unevennesses([laid({ gap: inches(0.25), shape: 'belly' })])
    expect(toInches(behindStrip(belly, 'belly', at(60, 0), at(60, 90))?.depth ?? NaN)).toBeCloseTo(0.25, 2)
    expect(behindStrip(belly, 'hollow', at(60, 0), at(60, 90))).toBeNull()
  })
})

// common practice, no source: what is done by depth, length and thickness
describe('what is done about it', () => {
  const behind = (depth: number, length: number, shape: Flatness['shape'] = 'hollow') => ({
    shape,
    depth: inches(depth),
    length: inches(length),
    at: inches(0),
    area: 0,
  })

  test.each([
    [behind(1 / 16, 20), 0.75, null],
    [behind(0.25, 48), 0.75, 'pull'],
    [behind(0.25, 20), 0.25, 'pull'],
    [behind(0.25, 20), 0.75, 'shim'],
    [behind(1 / 8, 14), 0.75, 'fill'],
    [behind(0.25, 20, 'belly'), 0.75, 'scribe'],
  ] as const)('%# by depth, length and thickness', (found, thickness, way) => {
    expect(flatWayOf(found, inches(thickness), TOLERANCES)).toBe(way)
  })

  test('a strip twice as long bends four times as deep', () => {
    const deepest = (length: number) =>
      Math.max(
        ...Array.from({ length: 200 }, (_, i) => i / 100).filter((d) =>
          canPull(behind(d, length), inches(0.75)),
        ),
      )
    expect(deepest(60) / deepest(30)).toBeCloseTo(4, 0)
  })
})
