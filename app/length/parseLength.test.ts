import fc from 'fast-check'
import { formatExact, formatLength, formatLengthWithUnit, formatStockLength } from './formatLength'
import { inches, millimeters, nanometers } from './length'
import { parseLength } from './parseLength'
import { readOnTape, tapesFor, tickOf, UNITS, type Units } from './tape'

function read(text: string, bare: Units = 'inches') {
  const result = parseLength(text, bare)
  return result.ok ? result.value : result.issue.code
}

describe('reading what people type', () => {
  test.each([
    ['29 3/4', 29.75],
    ['29-3/4"', 29.75],
    ['29 - 3/4', 29.75],
    ["2' 5 3/4", 29.75],
    ['2\'-5 3/4"', 29.75],
    ['2ft 5.75in', 29.75],
    ['2 feet 5 3/4 inches', 29.75],
    ['29.75', 29.75],
    ['29,75', 29.75],
    ['29¾', 29.75],
    ['⅝', 0.625],
    ['.5', 0.5],
    ["12'", 144],
    ['1/2', 0.5],
    ['-3', -3],
  ])('%s is %d inches', (text, expected) => expect(read(text)).toBe(inches(expected)))

  test.each([
    ['756 mm', 756],
    ['75.6cm', 756],
    ['0.756m', 756],
    ['1m 20cm', 1200],
  ])('%s is %d mm', (text, expected) => expect(read(text)).toBe(millimeters(expected)))

  test('a bare number follows the job, inches after feet do not', () => {
    expect(read('756', 'mm')).toBe(millimeters(756))
    expect(read("2' 6", 'mm')).toBe(inches(30))
  })

  test.each([
    ['2 745', 2745],
    ['2,745', 2745],
    ['2\u202f745', 2745],
    ['12 345.5', 12345.5],
    ['2,745 mm', 2745],
    ['2,74', 2.74],
    ['0,745', 0.745],
    ['2,745 m', 2745],
  ])('thousands of millimeters: %s is %d mm', (text, expected) =>
    expect(read(text, 'mm')).toBe(millimeters(expected)),
  )

  test('what looks like thousands in inches is a decimal comma, or refused', () => {
    expect(read('2,745')).toBe(inches(2.745))
    expect(read('2 745')).toBe('lengthUnitTwice')
    expect(read('2 745', 'mm')).toBe(read('2745', 'mm'))
    expect(read('2,745 mm')).toBe(millimeters(2745))
  })

  test('a third of an inch goes to the nearest nanometer', () => {
    expect(read('1/3')).toBe(8_466_667)
  })

  test.each([
    ['', 'lengthEmpty'],
    ['   ', 'lengthEmpty'],
    ['12 q', 'lengthUnreadable'],
    ['twelve', 'lengthUnreadable'],
    ['1/0', 'lengthZeroDenominator'],
    ['12 13', 'lengthUnitTwice'],
    ["2' 3'", 'lengthUnitTwice'],
    ['5/', 'lengthUnreadable'],
    ['99999999999999 ft', 'lengthTooLarge'],
    ['--4', 'lengthUnreadable'],
  ])('%p is refused as %s', (text, code) => expect(read(text)).toBe(code))
})

describe('exactness', () => {
  test('NIST SP 811 App. B (1 in = 25.4 mm): every 1/64 in and every 0.001 mm is whole', () => {
    for (let n = 0; n <= 64 * 12; n++) expect(Number(read(`${n}/64`))).toBe((n * 25_400_000) / 64)
    for (let n = 0; n <= 3000; n++) expect(Number(read(`${(n / 1000).toFixed(3)} mm`))).toBe(n * 1000)
    expect(inches(1)).toBe(millimeters(25.4))
  })

  test('law: parse(format(x)) = x on the grid of every tape', () => {
    for (const units of UNITS) {
      for (const tape of tapesFor(units)) {
        fc.assert(
          fc.property(fc.integer({ min: -20_000, max: 20_000 }), (ticks) => {
            const x = nanometers(ticks * tickOf(tape))
            expect(read(formatLength(x, { units, tape }), units)).toBe(x)
            expect(read(formatLengthWithUnit(x, { units, tape }), units)).toBe(x)
          }),
        )
      }
    }
  })

  test('law: the tape reading is never more than half a tick off', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1e10, noNaN: true }), (exact) => {
        const reading = readOnTape(exact, '1/16')
        expect(Math.abs(reading.off)).toBeLessThanOrEqual(tickOf('1/16') / 2 + 1e-3)
        expect(reading.tick + reading.off).toBeCloseTo(exact, 3)
      }),
    )
  })
})

describe('printing', () => {
  const sixteenths = { units: 'inches', tape: '1/16' } as const
  test.each([
    [inches(28.625), '28 5/8'],
    [inches(0.75), '3/4'],
    [inches(0), '0'],
    [inches(12), '12'],
    [inches(-0.5), '-1/2'],
    [inches(39.2), '39 3/16'],
  ])('%d prints %s', (length, text) => expect(formatLength(length, sixteenths)).toBe(text))

  test('feet and millimeters', () => {
    expect(formatLength(inches(29.75), { units: 'feet-inches', tape: '1/16' })).toBe("2' 5 3/4")
    expect(formatLengthWithUnit(inches(24), { units: 'feet-inches', tape: '1/16' })).toBe('2\' 0"')
    expect(formatLengthWithUnit(millimeters(756.5), { units: 'mm', tape: '0.5 mm' })).toBe('756.5 mm')
  })

  test('exact values keep what the tape cannot show', () => {
    expect(formatExact(inches(39.2), 'inches')).toBe('39.2')
    expect(formatExact(inches(39 + 3 / 64), 'inches')).toBe('39 3/64')
    expect(formatExact(millimeters(10.125), 'mm')).toBe('10.125')
  })

  test('stock is named as the shop names it', () => {
    expect(formatStockLength(inches(96), sixteenths)).toBe('8 ft')
    expect(formatStockLength(inches(97), sixteenths)).toBe('97 in')
    expect(formatStockLength(millimeters(2400), { units: 'mm', tape: '1 mm' })).toBe('2400 mm')
  })

  test('a little over, a little under, on', () => {
    expect(readOnTape(inches(39.2), '1/16').side).toBe('over')
    expect(readOnTape(inches(39.17), '1/16').side).toBe('under')
    expect(readOnTape(inches(39.25), '1/16').side).toBe('on')
  })
})
