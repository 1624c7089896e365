import { someStrips } from '../../tests/namedStrips'
import { computePlan } from '~/core/computePlan'
import { inches, nearestNanometer, type Length } from '~/length'
import { startingSettings } from '~/model'
import { KEPT_WALLS } from '../../tests/keptWalls'
import {
  batchText,
  beforeText,
  endCutName,
  fillersText,
  findingText,
  fixingName,
  fixingText,
  heightReason,
  hookName,
  jointTroubleText,
  knownCostText,
  lapTexts,
  notchText,
  pieceName,
  shiftText,
  sparesText,
  stripName,
  tightBoardText,
  turnName,
  wayOutText,
  type Wording,
} from '.'

const { units, tape, materials, currency } = startingSettings('inches', '1/16')
const w: Wording = { format: { units, tape }, materials, currency, strips: someStrips }
const plain = (text: string) => text.replaceAll('\u202f', ' ')

test('a notch is told from the end and the edge as they are on the wall', () => {
  const notch = { from: inches(12), to: inches(59.5), depth: inches(1), edge: 'left' } as const
  const told = (directionDeg: number) => plain(notchText(notch, directionDeg, w))
  expect(told(90)).toBe('notch 1 deep out of the left edge, from 12 to 59 1/2 from the foot’s long point')
  expect(told(0)).toBe('notch 1 deep out of the upper edge, from 12 to 59 1/2 from the left end’s long point')
  expect(told(180)).toContain('out of the lower edge, from 12 to 59 1/2 from the right end')
  expect(told(270)).toContain('out of the right edge, from 12 to 59 1/2 from the head')
  expect(told(359)).toBe(told(0))
})

test('two cuts of one end are told with where they meet', () => {
  const cut = {
    kind: 'twoCuts',
    meetFromLeft: inches(1.5),
    leftBack: inches(1.5),
    meetBack: inches(0),
    rightBack: inches(0),
  } as const
  expect(plain(endCutName(cut, inches(2.5), w))).toBe(
    'two cuts that meet 1 1/2 from the left edge: 45° to it, 0° to the right edge',
  )
})

test('spares, costs, tight boards and what was before', () => {
  expect(sparesText([])).toBe('none. A spoiled piece takes another board.')
  expect(
    sparesText([
      { boardNumber: 2, labels: ['B', 'C'] },
      { boardNumber: 4, labels: ['C'] },
    ]),
  ).toBe('one B or one C from board 2; one C from board 4.')
  const known = { sum: 700, unpricedBoards: 0, lengths: 5, pricedLengths: 3 }
  expect(knownCostText(known)).toBe('to pay (3 of 5 lengths priced)')
  expect(knownCostText({ ...known, unpricedBoards: 2 })).toBe(
    'and 2 boards without a price (3 of 5 lengths priced)',
  )
  expect(knownCostText({ ...known, pricedLengths: 5 })).toBe('to pay')
  expect(knownCostText({ ...known, pricedLengths: 0 })).toBe('no price known yet')
  const tight = (offcut: number, labels: string[]) =>
    plain(tightBoardText({ boardNumber: 3, labels, offcut: inches(offcut) }, w))
  expect(tight(0, ['B'])).toContain('board 3 has nothing left, and B is measured in place')
  expect(tight(1 / 16, ['B', 'C'])).toContain('only 1/16 in left, and B and C are measured')
  expect(beforeText({ pieces: 11, boards: 1, cost: 8020 }, 'USD')).toBe('before: 11 pieces, 1 board, $80.20')
  expect(beforeText({ pieces: 1, boards: 2, cost: null }, 'USD')).toBe('before: 1 piece, 2 boards')
})

test('a shift says how much of it came to pass; fillers say their widths', () => {
  const told = (asked: number, moved: number) => plain(shiftText(inches(asked), inches(moved), w))
  expect(told(1.25, 1.25)).toBe('All moved 1 1/4 in to the right.')
  expect(told(-2, -2)).toBe('All moved 2 in to the left.')
  expect(told(3, 1)).toContain('All moved 1 in to the right, of 3 asked for')
  expect(told(3, 0)).toContain('but the ends leave no room for it')
  expect(plain(fillersText({ left: inches(0.5), right: inches(0.5) }, w))).toBe(
    'A filler of 1/2 in at each end.',
  )
  expect(plain(fillersText({ left: inches(0.5), right: inches(1) }, w))).toBe(
    'Fillers of 1/2 at the left and 1 in at the right.',
  )
})

test('fixing says why, with what, and where nothing is driven', () => {
  const advice = {
    fixing: 'nails',
    why: 'onStuds',
    studs: 2,
    nail: inches(2),
    longestNail: inches(2.5),
    clearOf: [{ from: inches(12), to: inches(15) }],
    clearAlong: 'wall',
  } as const
  expect(plain(fixingText({ advice, studs: [2, 2] }, w))).toBe(
    'nails only, 2 in long (never over 2 1/2 in): it crosses 2 studs. Drive nothing from 12 to 15 from the left corner: a cable may run there',
  )
  expect(plain(fixingText({ advice: { ...advice, clearAlong: 'up' }, studs: [2, 2] }, w))).toContain(
    'from 12 to 15 up the wall: a cable',
  )
  expect(plain(fixingText({ advice: { ...advice, clearOf: [] }, studs: [1, 3] }, w))).toContain(
    'it crosses 1 to 3 studs',
  )
  expect(
    fixingText(
      { advice: { ...advice, fixing: 'adhesiveOnly', why: 'keepOut', nail: null }, studs: [0, 0] },
      w,
    ),
  ).toBe('adhesive only, propped or taped until it sets: a cable may run behind it, so nothing is driven')
  expect([fixingName('pinsAndGlue'), fixingName('hotGlue')]).toEqual([
    'pins and adhesive',
    'hot glue on a backer panel',
  ])
  expect(
    plain(batchText({ advice: 'measureInPlace', why: 'readingsDiffer', spread: inches(0.5) }, w).why),
  ).toBe('the wall is out by 1/2 in')
})

test('names of hooks, fillers, turns and heights', () => {
  expect(plain(hookName('foot', { height: inches(3.5), from: 'floor' }, w))).toBe('the foot line, 3 1/2 up')
  expect(plain(hookName({ height: 1 }, { height: inches(48), from: 'floor' }, w))).toBe(
    'the laser line, 48 up',
  )
  expect(plain(hookName('head', { height: inches(60), from: 'coming' }, w))).toBe(
    'the head line, 60 up from the floor that will be',
  )
  expect([
    stripName('filler-left', w),
    pieceName({ stripId: 'filler-right' }, w),
    stripName('gone', w),
  ]).toEqual(['Left filler', 'Right filler', 'Strip'])
  expect([turnName('inside'), turnName('none')]).toEqual(['inside corner', 'do not meet'])
  expect(jointTroubleText('copedOutside')).toMatch(/outside corner there is no profile/)
  const reason = { code: 'perBoard', pieces: 3, board: inches(96), piece: inches(31.875) } as const
  expect(
    plain(heightReason({ reason, height: inches(40), edits: [], pieces: 1, boards: 1, waste: 0 }, w)),
  ).toBe('three from an 8 ft board: up to 31 7/8 each, the kerfs counted')
})

test('every finding and way out of the kept walls has its sentence, with the numbers it is about', () => {
  const texts = new Set<string>()
  for (const workpiece of Object.values(KEPT_WALLS))
    for (const { says, waysOut } of computePlan(workpiece).findings)
      for (const text of [findingText(says, w), ...waysOut.map((way) => wayOutText(way.says, w))]) {
        expect(text).not.toMatch(/undefined|NaN|null|\[object/)
        texts.add(plain(text))
      }
  const said = [...texts]
  const some = (pattern: RegExp) => expect(said.some((text) => pattern.test(text))).toBe(true)
  some(/^Even everywhere: recut \d+, \d+ new boards?$/)
  some(/^Fillers at both ends: recut none, /)
  some(
    /^The ceiling is out of level by 1\/2 in over what is covered: up to 1\/2 above the trim: more than caulk fills \(1\/8\), so scribe it or cover it\.$/,
  )
  some(/^Nothing is covered: from 90 to 30 leaves no part of a wall that ends at 131 in\.$/)
  some(/comes within 3\/8 of the outlet; 1\/2 in was asked for\.$/)
  some(/ honest readings miss by 1\/4 at most\./)
  some(/^Take the shift of 11 back$/)
  const length: Length = nearestNanometer(inches(0.1))
  expect(
    findingText(
      { code: 'stripsShareWall', stripId: 'rail-1', otherIds: ['batten-1', 'batten-2', 'batten-3'] },
      w,
    ),
  ).toBe('Mid rail 1 lies over batten 1, batten 2 and 1 more: they can’t both be cut as drawn.')
  expect(findingText({ code: 'stripsShareWall', stripId: 'box-3', otherIds: ['box-3'] }, w)).toContain(
    'The sides of box 3',
  )
  expect(
    plain(
      findingText(
        {
          code: 'floorFalls',
          fall: inches(0.5),
          rule: 'level',
          gap: length,
          outOfLevel: 0,
          caulk: inches(0.125),
        },
        w,
      ),
    ),
  ).toContain('which caulk fills')
})

test('half-laps are told from the end, by side and depth, each with its place', () => {
  const at = (from: number, outOf: 'face' | 'back') =>
    ({
      from: inches(from),
      to: inches(from + 3.5),
      lean: inches(0),
      depth: inches(3 / 8),
      outOf,
      with: 'x',
    }) as const
  expect(lapTexts([at(24, 'face'), at(40, 'back'), at(51.5, 'face')], 90, w).map(plain)).toEqual([
    '2 half-laps 3/8 deep out of the face, over the whole width, from the foot’s long point: 24 to 27 1/2, 51 1/2 to 55',
    'half-lap 3/8 deep out of the back, over the whole width, from the foot’s long point: 40 to 43 1/2',
  ])
  const slanted = { ...at(24, 'face'), lean: inches(-1 / 8) }
  expect(lapTexts([slanted], 0, w).map(plain)).toEqual([
    'half-lap 3/8 deep out of the face, over the whole width, from the left end’s long point along the upper edge, 1/8 further back along the lower: 24 to 27 1/2',
  ])
})
