import { inches, millimeters, type Units } from '~/length'
import { readMaterialLines, readOfferLines } from './stockLines'

const offers = (text: string, units: Units = 'inches') => {
  const read = readOfferLines(text, units)
  return read.ok
    ? read.value.map(({ length, price }) => [length, price])
    : read.issue.map(({ code, line }) => `${line} ${code}`)
}
const materials = (text: string, units: Units = 'inches') => {
  const read = readMaterialLines(text, units)
  return read.ok ? read.value : read.issue.map(({ code, line }) => `${line} ${code}`)
}

test('boards one a line, with and without a price, in the units boards are sold in', () => {
  expect(offers("8 7.35\n10 ft $9.20\n12'\n 16 ft: 17\n\n14")).toEqual([
    [inches(96), 735],
    [inches(120), 920],
    [inches(144), null],
    [inches(192), 1700],
    [inches(168), null],
  ])
  expect(offers('2400 11\n3000 mm 13,5', 'mm')).toEqual([
    [millimeters(2400), 1100],
    [millimeters(3000), 1350],
  ])
})

test.each([
  ['8\nx 4', ['2 badLength']],
  ['8 5\n8 6', ['2 twice']],
  ['1/16 in 5', ['1 outOfRange']],
  ['8 99999999999', ['1 badPrice']],
])('%j is told as %j', (text, told) => expect(offers(text)).toEqual(told))

test('a material by its name, actual width and thickness', () => {
  expect(materials('ripped lath: 1 7/8 x 1/2\ncove: 35mm x 12mm')).toEqual([
    { name: 'ripped lath', width: inches(1.875), thickness: inches(0.5) },
    { name: 'cove', width: millimeters(35), thickness: millimeters(12) },
  ])
  expect(materials('lath 2 x 1')).toEqual(['1 noName'])
  expect(materials('lath: 2\nlath: 2 x q\nlath: 90 x 1')).toEqual(['1 noSize', '2 badLength', '3 outOfRange'])
})
