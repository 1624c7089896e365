import fc from 'fast-check'
import { inches } from '~/length'
import { cellChoices } from './cellShape'

const choices = (span: number, height: number, proportion: number, border = true, least = 6, most = 60) =>
  cellChoices(inches(span), inches(height), inches(3.5), border ? 'butt' : 'none', proportion, {
    least: inches(least),
    most: inches(most),
  })

describe('cells by their shape', () => {
  // five by three with strips 3 1/2 and square cells of 24 is 141 by 86: arithmetic checked by hand
  test('a wall that takes square cells exactly offers them first', () => {
    const [best] = choices(141, 86, 1, true, 20, 30)
    expect(best).toMatchObject({ columns: 5, rows: 3, off: 0 })
    expect(best?.width).toBe(inches(24))
    expect(best?.height).toBe(inches(24))
  })

  test('a wished proportion: cells half as wide as high', () => {
    // four by two of 12 x 24 with a border: 65 1/2 by 58 1/2
    const [best] = choices(65.5, 58.5, 0.5, true, 10, 14)
    expect(best).toMatchObject({ columns: 4, rows: 2, off: 0 })
  })

  test('without a border the walls bound the cells', () => {
    // three by two of 20 without a border: two stiles and a rail of 3 1/2
    const [best] = choices(67, 43.5, 1, false, 18, 22)
    expect(best).toMatchObject({ columns: 3, rows: 2, off: 0 })
  })

  test('law: best first, widths within the limits, strips and cells make the whole', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 40, max: 280 }),
        fc.integer({ min: 30, max: 110 }),
        fc.constantFrom(0.5, 1, 1.5),
        fc.boolean(),
        (span, height, proportion, border) => {
          const found = choices(span, height, proportion, border, 8, 50)
          found.forEach(({ columns, rows, width, height: cell, off }, i) => {
            expect(off).toBeGreaterThanOrEqual(found[i - 1]?.off ?? 0)
            expect(width).toBeGreaterThanOrEqual(inches(8))
            expect(width).toBeLessThanOrEqual(inches(50))
            const more = border ? 1 : -1
            expect(columns * width + (columns + more) * inches(3.5)).toBeCloseTo(inches(span), -1)
            expect(rows * cell + (rows + more) * inches(3.5)).toBeCloseTo(inches(height), -1)
          })
        },
      ),
    )
  })
})
