import { computePlan } from '~/core/computePlan'
import { droppedSchool } from '~/core/edits/changeSchool'
import type { ClosingSum } from '~/core/marks/closingSum'
import { inches, millimeters, nanometers, readOnTape } from '~/length'
import {
  blankSurvey,
  startingDesign,
  startingSettings,
  type Survey,
  type ThingKind,
  withDesign,
} from '~/model'
import { usualThing } from '~/core/survey/usualThings'
import {
  boardsNamed,
  closingText,
  drawingText,
  droppedText,
  gripName,
  laserHeightText,
  layoutTitle,
  markMovedText,
  newWallsWord,
  patternsKeptText,
  restText,
  sumFigures,
  thingNames,
  typedWallText,
  wallStanding,
  type Wording,
} from '.'

const plain = (text: string) => text.replaceAll('\u202f', ' ')
const { materials } = startingSettings('inches', '1/16')
const w: Wording = { format: { units: 'inches', tape: '1/16' }, materials }
const mm: Wording = { format: { units: 'mm', tape: '1 mm' }, materials }

const survey = (things: readonly (readonly [ThingKind, number, number])[]): Survey => {
  const wall = { ...blankSurvey(), width: inches(200) }
  return {
    ...wall,
    things: things.map(([kind, left, bottom], i) => ({
      ...usualThing(kind, wall, `t${i}`),
      left: inches(left),
      bottom: inches(bottom),
    })),
  }
}
const named = (...things: Parameters<typeof survey>[0]) => [...thingNames(survey(things).things).values()]

test('things of one kind are told apart by where they stand', () => {
  expect(named(['window', 20, 30])).toEqual(['window'])
  expect(named(['window', 90, 30], ['window', 20, 30])).toEqual(['left window', 'right window'])
  expect(named(['outlet', 20, 60], ['outlet', 20.5, 14])).toEqual(['lower outlet', 'upper outlet'])
  expect(named(['outlet', 90, 14], ['door', 5, 0], ['outlet', 20, 14], ['outlet', 50, 14])).toEqual([
    'first outlet from the left',
    'second outlet from the left',
    'third outlet from the left',
    'door',
  ])
})

const sum = (wall: number, count: number, width: number, gaps: number): ClosingSum => ({
  wall: nanometers(wall),
  strips: { count, width: nanometers(width) },
  gaps: [{ count: gaps, size: (wall - count * width) / gaps }],
  ends: null,
  others: [],
  openings: [],
  leans: [],
  fillers: [],
  overlaps: [],
  difference: 0,
})

test('a sum in millimeters adds up as it is printed, with as few digits as that takes', () => {
  for (const [wall, count, width, gaps] of [
    [2443, 5, 63.5, 6],
    [3000, 4, 64, 5],
    [1234, 7, 38, 8],
    [4001, 11, 19, 12],
  ] as const) {
    const closing = sum(millimeters(wall), count, millimeters(width), gaps)
    const { figure } = sumFigures(closing, mm)
    const printed =
      count * Number(figure(closing.strips.width)) + gaps * Number(figure(closing.gaps[0]?.size ?? 0))
    expect(Math.round(printed * 10) / 10).toBeCloseTo(Number(figure(closing.wall)), 1)
  }
  const even = sumFigures(sum(millimeters(1000), 4, millimeters(50), 5), mm)
  expect(even.figure(millimeters(160))).toBe('160')
  const odd = sum(inches(100), 3, inches(2.5), 4)
  expect(sumFigures(odd, w).drift(odd.gaps[0]?.size ?? 0)).toBe('')
  expect(sumFigures(odd, w).drift(inches(23 + 1 / 50))).toBe(' (full, exact 23.020)')
})

test('heights from a laser line: above, below, on it, and at both ends where they differ', () => {
  const at = (size: number) => readOnTape(inches(size), '1/16')
  expect(plain(laserHeightText({ left: at(12.5), right: at(12.5) }, w))).toBe('12 1/2 above')
  expect(plain(laserHeightText({ left: at(-3), right: at(-3) }, w))).toBe('3 below')
  expect(laserHeightText({ left: at(0), right: at(0) }, w)).toBe('on the line')
  // 30.02 below is a little more than 30, and the tape runs down
  expect(plain(laserHeightText({ left: at(-30.02), right: at(-30.02) }, w))).toBe('30 below, a little over')
  expect(plain(laserHeightText({ left: at(-3), right: at(-2.5) }, w))).toBe(
    '3 below at the left end; 2 1/2 below at the right',
  )
})

test('where a wall stands', () => {
  const wall = { toMeasure: false, cut: false }
  expect(wallStanding({ ...wall, toMeasure: true, planned: null })?.text).toBe('to be measured')
  expect(wallStanding({ ...wall, planned: null })).toBeNull()
  expect(wallStanding({ ...wall, planned: { wrong: 2, open: 5 } })?.text).toBe(
    'measured; 2 things to mend in the layout',
  )
  expect(wallStanding({ ...wall, planned: { wrong: 0, open: 1 } })?.text).toBe(
    'laid out; 1 thing to settle before cutting',
  )
  expect(wallStanding({ ...wall, planned: { wrong: 0, open: 0 } })).toEqual({
    text: 'ready to cut',
    done: true,
  })
  expect(wallStanding({ toMeasure: false, cut: true, planned: { wrong: 9, open: 9 } })?.text).toBe('cut')
})

test('boards alike, walls typed, marks that moved, in words', () => {
  expect([boardsNamed([3]), boardsNamed([3, 4, 5]), boardsNamed([1, 4, 5])]).toEqual([
    'board 3',
    '3 × alike, 3 to 5',
    '3 × alike, 1, 4 and 5',
  ])
  expect([newWallsWord(0, 0), newWallsWord(1, 0), newWallsWord(1, 1), newWallsWord(4, 4)]).toEqual([
    'Measure this wall',
    'Measure this wall',
    'Add this wall and lay it out',
    'Add 4 walls',
  ])
  expect(
    plain(
      typedWallText(
        {
          name: null,
          survey: survey([
            ['door', 5, 0],
            ['outlet', 60, 14],
            ['outlet', 90, 14],
          ]),
        },
        'Wall 1',
        w,
      ),
    ),
  ).toBe('Wall 1: 200 in wide, 96 in high, door, 2 × outlet')
  expect(plain(markMovedText(inches(44.5), w))).toBe('marked at 44 1/2 before it moved: mark it again')
  expect(patternsKeptText(['battens', 'boxes'])).toBe(
    'Kept as left, for the way back: battens, boxes of molding.',
  )
})

test('what was put aside with a school is told whole', () => {
  const dropped = droppedSchool({
    spacing: { school: 'toStuds', every: 1 },
    shift: inches(0),
    schools: [
      {
        spacing: {
          school: 'nearWish',
          wish: inches(16),
          measure: 'gap',
          least: inches(12),
          moreThan: true,
          most: inches(20),
          ends: 'half',
          strips: null,
        },
        shift: inches(-2),
      },
    ],
  })
  if (!dropped) throw new Error('nothing dropped')
  expect(plain(droppedText(dropped, w))).toBe(
    'Put aside with equal gaps near a wish: the wish of 16 clear, more than 12 and no more than 20, half a gap at each wall, a shift of 2 in to the left.',
  )
})

test('the drawing, the sum and a grip are told to whoever does not see them', () => {
  const wall = survey([['outlet', 62, 14]])
  const plan = computePlan({
    wall: { survey: wall, design: startingDesign(materials) },
    settings: startingSettings('inches', '1/16'),
  })
  const told = plain(drawingText.describe(plan, wall, w))
  expect(told).toContain('Outlet 62 from the left, 14 up from the floor')
  expect(told).toMatch(/Battens from the left corner: .*\. Strip from .* up/)
  expect(plain(closingText(plan, w))).toMatch(/^\d+ strips and \d+ gaps of .* close on the wall\.$/)
  expect(plain(gripName(wall.things[0] ?? usualThing('outlet', wall, 'x'), w))).toMatch(
    /^Outlet, 62 from the left, 14 up from the floor, .*; arrow keys move it$/,
  )
  expect(restText('It closes.', [])).toBe('It closes.')
  expect(restText('It closes.', ['a', 'b'])).toBe('It closes. 2 things wrong: a')
})

test.each([
  ['none', 'A grid of 4 by 3'],
  ['butt', 'A grid of 2 by 3'],
  ['miter', 'A grid of 2 by 3'],
  ['threeSided', 'A grid of 2 by 3'],
] as const)('a grid of three rows is told as three rows, whatever its border: %s', (border, title) => {
  const spacing = { school: 'equalByCount', strips: 3, ends: 'gap' } as const
  const design = withDesign(startingDesign(materials), {
    pattern: 'grid',
    border,
    rows: [1, 1, 1],
    spacing,
    topRail: null,
    foot: { kind: 'floor' },
    height: { rule: 'full' },
  })
  const plan = computePlan({
    wall: { survey: survey([]), design },
    settings: startingSettings('inches', '1/16'),
  })
  expect(layoutTitle(plan, w)).toContain(title)
})
