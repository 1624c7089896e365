import { inches } from '~/length'
import { startingSettings, type Tool } from '~/model'
import { USUAL_SAW, USUAL_TOOLS } from '~/model'
import { otherWay, sawLimits, settingsOf } from '~/core/cutting/sawSetting'
import {
  alikePieces,
  breakDownText,
  endSettingText,
  findingText,
  flawText,
  groupSettingText,
  kitText,
  labelText,
  numbersText,
  otherWayText,
  runJointName,
  settingText,
  setupsText,
  sinceText,
  spoiledText,
  stopText,
  tripsText,
  visitOfText,
  wayOutText,
  type Wording,
  workText,
} from '.'

const { materials } = startingSettings('inches', '1/16')
const strips = new Map<string, unknown>(
  [1, 2, 3, 4].flatMap((number) => [
    [`box-${number}`, { kind: 'box', number }] as const,
    [`rail-${number}`, { kind: 'gridRail', number }] as const,
  ]),
)
const w = {
  format: { units: 'inches', tape: '1/16' },
  materials,
  strips,
  currency: 'USD',
} as unknown as Wording
const saw = sawLimits({ swing: 50, saw: USUAL_SAW, tools: USUAL_TOOLS as Tool[] })
const setting = (deg: number, isStart = true) =>
  settingsOf({ kind: 'miter', sawSettingDeg: deg, longEdge: 'left' }, isStart, inches(2), saw).map(
    (each) => ({
      ...each,
      detent: deg === 45 ? 45 : null,
      other: otherWay(each, inches(2), saw),
    }),
  )

describe('equal things are said once', () => {
  test('numbers in runs', () => {
    expect([[4], [2, 3], [3, 1, 2, 4], [1, 2, 3, 7], [9, 5]].map(numbersText)).toEqual([
      '4',
      '2 and 3',
      '1 to 4',
      '1 to 3 and 7',
      '5 and 9',
    ])
  })

  test('sides of the same frames, parts of the same rails', () => {
    const boxes = [1, 2, 3].flatMap((n) =>
      ['left', 'right'].map((side) => ({ stripId: `box-${n}`, part: { side, number: null } })),
    )
    expect(alikePieces(boxes, w)).toBe('Boxes 1 to 3, left side and right side')
    const rails = [2, 3].flatMap((n) =>
      [1, 2, 3, 4].map((number) => ({ stripId: `rail-${n}`, part: { side: null, number } })),
    )
    expect(alikePieces(rails, w)).toBe('Rails 2 and 3, parts 1 to 4')
  })
})

describe('the saw’s words', () => {
  test('settings of both ends, between detents where the scale does not click', () => {
    expect(settingText(setting(45)[0] as never)).toBe('45° to the right')
    expect(groupSettingText(setting(45), setting(45, false))).toBe(
      'Saw at 45° to the right, then at 45° to the left',
    )
    expect(groupSettingText(setting(45), setting(45))).toBe('Saw at 45° to the right, both ends')
    expect(endSettingText(setting(33))).toBe('33° to the right (between detents)')
  })

  test('how else: turned over, on a block, guided, by hand, or not at all', () => {
    expect(otherWayText({ way: 'squareBlock', deg: 28 })).toContain('set 28°')
    expect(otherWayText({ way: 'turnOver', hand: 'left' })).toContain('face down and swing to the left')
    expect(otherWayText({ way: 'mate' })).toContain('the ticket')
    expect(workText({ work: 'notch', count: 2, tool: 'jigsaw' })).toBe('2 notches: with the jigsaw')
    expect(workText({ work: 'lap', count: 1, tool: null })).toContain('put it on the ticket')
  })

  test('stops, set-ups, trips', () => {
    expect(stopText({ kind: 'length', length: inches(30.5) }, w)).toBe('stop at 30 1/2 in')
    expect(setupsText({ visits: [], count: 7, bound: 7, proven: true })).toContain('no order needs fewer')
    expect(setupsText({ visits: [], count: 9, bound: 8, proven: false })).toBe(
      '9 set-ups; none needs fewer than 8',
    )
    expect(
      tripsText(
        [
          ['A1', 'A2'],
          ['B1', 'B2'],
        ],
        new Set(['B1', 'B2']),
      ),
    ).toBe('2 trips to the saw: 2 pieces by the list; then B1 and B2, read in one visit')
    expect(visitOfText({ trip: 2, of: 3, names: ['C1'] })).toBe(
      'Trip 2 of 3 to the saw. Its opening is read by itself.',
    )
  })

  test('a list the layout has left behind', () => {
    const nothing = { fits: ['A1'], moves: [], fresh: [], again: [], leftOver: [], dropped: [] }
    expect(sinceText(nothing)).toBeNull()
    expect(
      sinceText({
        fits: ['A1', 'A2'],
        moves: ['A2'],
        fresh: ['x', 'y'],
        again: ['x'],
        leftOver: [{ name: 'B1', serves: 'x' }],
        dropped: ['C1'],
      }),
    ).toBe(
      'The layout has gone on since this list was released. 2 pieces still fit, 1 of them elsewhere. 2 to cut, 1 of them again, 1 from what is left over. Left over: B1. No more wanted, not cut yet: C1.',
    )
    expect(spoiledText(2, 'board')).toBe('Spoiled 2 times, to be cut again from a new board.')
  })

  test('sheets, kits, flaws, joints, labels', () => {
    const part = { strips: 3, strip: inches(3.5), width: inches(10.75) }
    expect(breakDownText([part, part], w)).toBe(
      'On a small saw first into 2 of 10 3/4 in (3 strips of 3 1/2).',
    )
    expect(kitText({ kind: 'angleGauge', id: 'a', deg: 35.3, length: inches(8) }, w)).toBe(
      'angle gauge, 35.3° on its end',
    )
    expect(flawText(3, 'knot', 'middle')).toBe(
      'Board 3: knot in the middle. Seal it with shellac before paint.',
    )
    expect(flawText(3, 'bow', 'middle')).toBe('Board 3: bowed.')
    expect(runJointName('none')).toBe('not joined: one board')
    expect(labelText.ends('0°', '0°')).toBe('both ends 0°')
  })

  test('what the saw has to say, and its ways out', () => {
    expect(
      findingText({ code: 'boxBehindPanel', thickness: inches(0.25), boxes: 2, wide: 0, thingId: 'x' }, w),
    ).toMatch(/2 boxes: .*NFPA 70, 314\.20.*Power off; local code, and a licensed electrician/)
    expect(findingText({ code: 'noTool', stripId: 'box-1', work: 'notch', pieces: 3 }, w)).toContain(
      'has a notch, as have 2 more pieces',
    )
    expect(wayOutText({ code: 'haveTool', tool: 'jigsaw' }, w)).toBe('We have a jigsaw')
    expect(wayOutText({ code: 'coverSeams', strips: 9 }, w)).toBe('9 strips on studs: one over every seam')
  })
})
