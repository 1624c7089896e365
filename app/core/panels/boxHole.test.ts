import fc from 'fast-check'
import { thing } from '../../../tests/namedWalls'
import { inches } from '~/length'
import { PLATES } from '~/model'
import { gangsOf, holeBounds, holeOf, showsBy, usualHole } from './boxHole'

describe('the hole behind a plate', () => {
  // box 2 by 3 in (NEMA OS 1, from memory) with 1/16 in round it, within the 1/8 in of NFPA 70, 314.21
  test('is as large as its box and what may be open round it, not as its plate', () => {
    expect(holeOf(thing('outlet', 40, 12, 2.75, 4.5))).toEqual({
      width: inches(2.125),
      height: inches(3.125),
    })
    expect(holeOf(thing('window', 40, 12, 30, 30))).toBeNull()
  })

  // plates of 2 3/4, 4 9/16 and 6 3/8 in (NEMA WD 6, from memory)
  test('grows by a gang', () => {
    const plates = [2.75, 4.5625, 6.375].map((width) => thing('switch', 40, 12, width, 4.5))
    expect(plates.map(gangsOf)).toEqual([1, 2, 3])
    expect(plates.map((plate) => usualHole(plate).width)).toEqual([2.125, 3.9375, 5.75].map(inches))
  })

  // common practice, no source: a grille covers the edge of its duct by 3/4 in all round, and the duct's hole is 1/16 larger
  test('of a vent it is as large as its duct', () => {
    const { width, height } = usualHole(thing('vent', 40, 4, 14, 8))
    expect(inches(14) - width).toBe(inches(8) - height)
    expect(width).toBeLessThan(inches(14))
    expect(width).toBeGreaterThan(inches(12))
  })

  test('one of its own is taken; one that its plate does not cover shows', () => {
    const plate = thing('outlet', 40, 12, 2.75, 4.5)
    const hole = { width: inches(2.5), height: inches(3.25) }
    expect(holeOf({ ...plate, hole })).toEqual(hole)
    expect(showsBy({ ...plate, hole })).toBe(0)
    expect(showsBy({ ...plate, hole: { ...hole, width: inches(3) } })).toBe(inches(0.25))
  })

  test('law: a plate of any size covers the edge of its usual hole', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PLATES),
        fc.integer({ min: 24, max: 300 }),
        fc.integer({ min: 24, max: 300 }),
        (kind, w, h) => {
          const plate = thing(kind, 40, 12, w / 16, h / 16)
          expect(showsBy(plate)).toBe(0)
          const { width, height } = usualHole(plate)
          expect(Math.min(width, height)).toBeGreaterThan(0)
        },
      ),
    )
  })
})

test('the hole lies in the middle of its plate', () => {
  const plate = thing('outlet', 30, 12, 2.75, 4.5)
  expect(holeBounds(plate, { width: inches(2), height: inches(3) })).toEqual({
    left: inches(30 + 0.375),
    right: inches(32 + 0.375),
    bottom: inches(12 + 0.75),
    top: inches(15 + 0.75),
  })
})
