import fc from 'fast-check'
import { runs } from '../../../tests/anyWall'
import { type Cutting, sheetCount } from './sheetCount'

const sheet = { width: 48, height: 96 }

describe('how many sheets panels take', () => {
  // worked by hand on sheets of 48 by 96, without a kerf where none is said
  test('two halves share a sheet, with a kerf between them they do not; a strip lies across', () => {
    const halves = [
      { width: 48, height: 48 },
      { width: 48, height: 48 },
    ]
    expect(sheetCount(halves, sheet, 0)).toBe(1)
    expect(sheetCount(halves, sheet, 0.125)).toBe(2)
    // one of 48 by 80 leaves 16 by 48, which holds one of 40 by 15 turned
    const strip = [
      { width: 48, height: 80 },
      { width: 15, height: 40 },
    ]
    expect(sheetCount(strip, sheet, 0.125)).toBe(1)
    expect(sheetCount([], sheet, 0.125)).toBe(0)
  })

  test('rows by height alone would take three where two do', () => {
    // 30 x 60, 30 x 60, 18 x 60 and 48 x 36, 48 x 36, by rows: the first two do not lie side by side
    const panels = [
      { width: 30, height: 60 },
      { width: 30, height: 60 },
      { width: 18, height: 60 },
      { width: 18, height: 60 },
      { width: 48, height: 36 },
      { width: 48, height: 36 },
    ]
    expect(sheetCount(panels, sheet, 0)).toBe(2)
  })

  test('law: never fewer than their area takes, nor more than one each; fewer panels take no more', () => {
    const size = fc.integer({ min: 4, max: 48 })
    fc.assert(
      fc.property(fc.array(fc.tuple(size, size), { minLength: 1, maxLength: 7 }), (sizes) => {
        const panels = sizes.map(([width, height]): Cutting => ({ width, height }))
        const count = sheetCount(panels, sheet, 0.125)
        const area = panels.reduce((sum, { width, height }) => sum + width * height, 0)
        expect(count).toBeGreaterThanOrEqual(Math.ceil(area / (48 * 96) - 1e-9))
        expect(count).toBeLessThanOrEqual(panels.length)
        expect(sheetCount(panels.slice(1), sheet, 0.125)).toBeLessThanOrEqual(count)
        // in whatever order they come, and turned
        expect(sheetCount([...panels].reverse(), sheet, 0.125)).toBe(count)
        const over = panels.map(({ width, height }) => ({ width: height, height: width }))
        expect(sheetCount(over, sheet, 0.125)).toBe(count)
      }),
      { numRuns: runs(60) },
    )
  })

  test('many panels take a count that holds', () => {
    const panels = Array.from({ length: 24 }, () => ({ width: 23, height: 31 }))
    // two side by side in three rows: six to a sheet
    expect(sheetCount(panels, sheet, 0.125)).toBe(4)
  })
})
