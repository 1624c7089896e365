import { inches } from '~/length'
import { startingSettings } from '~/model'
import {
  fullSizeText,
  outlineIssueText,
  outlineShapeText,
  outlineText,
  paperPageText,
  paperText,
  type Wording,
} from '.'

const { units, tape, materials } = startingSettings('inches', '1/16')
const w: Wording = { format: { units, tape }, materials }
const plain = (text: string) => text.replaceAll('\u202f', ' ')

test('what stands on sheets', () => {
  expect(paperText.foot('Salt house', 'Fri, Jan 3, 2031', 12)).toBe(
    'Salt house · Fri, Jan 3, 2031 · revision 12',
  )
  expect(paperText.pageOf(3, 9)).toBe('page 3 of 9')
  expect([paperText.toGet(4, 4), paperText.toGet(1, 4)]).toEqual(['4', '1 of 4'])
  expect([paperText.holes(0), paperText.holes(1)]).toEqual([
    'No nail holes.',
    '1 nail hole to fill, sand and touch up.',
  ])
  expect(paperText.torn('96 in', 0)).toContain('along 96 in of beads:')
  expect(paperText.torn(null, 6)).toContain('paper under 6 dabs:')
  expect(paperText.torn('96 in', 1)).toContain('along 96 in of beads and under 1 dab:')
  expect(paperText.earlier('B2', 3, '4, 5')).toBe('B2 was pulled off earlier: 3 holes at 4, 5.')
  expect(paperText.block('13 1/2 in', [3, 6])).toBe(
    'Spacer block 13 1/2 in between strips; the running mark must agree at 3, 6.',
  )
  expect(paperText.broken(['North wall', 'South wall'])).toContain('North wall and South wall')
  expect(paperPageText.picked(2, 1)).toBe('2 parts of 1 wall')
  expect([paperPageText.making(1), paperPageText.making(7)]).toEqual(['Making it…', 'Making it… 7 s'])
})

test('a printer that is off: by how much what is drawn makes up for it', () => {
  // a bar that comes out a hundredth short asks for a drawing a hundredth and a bit larger
  expect(fullSizeText.corrected(0.99)).toBe(
    'drawn 101.01 % for a printer whose 6-in bar comes out 5.940 in; print at 100 %',
  )
})

test('outlines: what they become, and why not', () => {
  expect(plain(outlineText.becomes(inches(131.5), inches(94.625), w))).toBe(
    'The wall becomes 131 1/2 wide along the floor and 94 5/8 in high at the left corner.',
  )
  expect([0, 1, 4].map(outlineText.others)).toEqual([
    '',
    '1 smaller line is left out.',
    '4 smaller lines are left out.',
  ])
  expect([0, 1, 2].map(outlineText.missing)).toEqual([
    '',
    '1 slope or missing part is put on it.',
    '2 slopes or missing parts are put on it.',
  ])
  expect(outlineText.replaces(0)).toBe('')
  expect(outlineIssueText({ code: 'open', lines: 3 })).toContain('(3 open ones)')
  expect(outlineIssueText({ code: 'empty' })).toContain('no closed line')
  expect(outlineIssueText({ code: 'badNumber' })).toContain('numbers')
  expect(plain(outlineShapeText({ code: 'odd', at: { x: inches(20), y: inches(8) } }, w))).toMatch(
    /^Near 20 from the left and 8 up something of the wall is missing/,
  )
  expect(plain(outlineShapeText({ code: 'tooSmall', width: 1e6, height: 2e6 }, w))).toContain(
    'Is the unit right?',
  )
  expect(outlineShapeText({ code: 'tooLarge', width: 1e15, height: 1 }, w)).toContain('larger than any wall')
  expect(outlineShapeText({ code: 'tooManyCorners', corners: 900 }, w)).toContain('900 corners')
})
