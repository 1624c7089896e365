import { inches } from '~/length'
import { lineStripId } from '~/core/strips/stripId'
import { startingSettings } from '~/model'
import type { Wording } from './words'
import {
  archText,
  degreesText,
  endCutBrief,
  endCutName,
  findingText,
  groupText,
  lookText,
  markedOnText,
  moveCostText,
  nudgeText,
  refName,
  rowText,
  wayOutText,
} from '.'

const { materials } = startingSettings('inches', '1/16')
const w: Wording = {
  format: { units: 'inches', tape: '1/16' },
  materials,
  strips: new Map([[lineStripId('m1', 3), { kind: 'line', number: 3 }]]),
} as unknown as Wording

describe('how lines are spoken of', () => {
  test('what a move refers to: a side, a strip that is there, one of a move that is, what was taken away', () => {
    const moves = [{ id: 'm1' }, { id: 'm4' }]
    expect(['bottom', 'm1.3', 'm4', 'm4.2', 'm9.1'].map((ref) => refName(ref, moves, w))).toEqual([
      'the foot',
      'Line 3',
      'move 2',
      'strip 2 of move 2',
      'what was taken away',
    ])
  })

  test('a move that strikes less than it says, and the presses out of it', () => {
    expect(
      findingText(
        { code: 'moveTells', nth: 2, kind: 'mirror', issue: { code: 'doubles', strips: ['m2.1'] } },
        w,
      ),
    ).toBe('Move 2, mirror: 1 line of it would lie on a line already struck: struck once.')
    expect(
      findingText(
        { code: 'moveTells', nth: 1, kind: 'herringbone', issue: { code: 'tooMany', made: 2000, most: 800 } },
        w,
      ),
    ).toContain('it makes 2000 strips; the most Regla strikes on a wall is 800')
    expect(wayOutText({ code: 'moveOff', nth: 2 }, w)).toBe('Switch move 2 off')
    expect(wayOutText({ code: 'linesOff', lines: 3 }, w)).toBe('Leave 3 out')
  })

  test('a cut past the saw’s swing says what to set instead, and a spike that it has no short edge', () => {
    const setting = { swingDeg: 62.5, hand: 'left', tiltDeg: 0, tilt: null } as const
    const other = { way: 'squareBlock', deg: 27.5 } as const
    const steep = findingText({ code: 'pastSaw', stripId: 'm1.3', setting, other, ends: 3 }, w)
    expect(steep).toContain('Line 3 is cut at 62.5° to the left, past the saw')
    expect(steep).toContain(
      'set 27.5°, fingers well away; or let the other strip land instead. So are 2 more ends.',
    )
    expect(
      findingText(
        {
          code: 'lineSliver',
          pieceId: 'm1.3',
          stripId: 'm1.3',
          short: inches(-1),
          long: inches(2),
          pieces: 1,
        },
        w,
      ),
    ).toContain('a point, with no short edge at all')
  })

  test('ends in a word and in full, of one cut, two and several', () => {
    const two = {
      kind: 'twoCuts',
      meetFromLeft: inches(1),
      leftBack: inches(1),
      meetBack: inches(0),
      rightBack: inches(1),
    } as const
    expect(endCutBrief({ kind: 'miter', sawSettingDeg: 38.66, longEdge: 'left' }, inches(2))).toBe('38.66°')
    expect(endCutBrief(two, inches(2))).toBe('45° and 45°')
    const several = {
      kind: 'severalCuts',
      points: [
        { fromLeft: inches(0), back: inches(0.5) },
        { fromLeft: inches(0.5), back: inches(0) },
        { fromLeft: inches(1.5), back: inches(0) },
        { fromLeft: inches(2), back: inches(0.5) },
      ],
    } as const
    expect(endCutBrief(several, inches(2))).toBe('45° and 0° and 45°')
    expect(endCutName(several, inches(2), w)).toBe(
      '3 cuts: 45°, 0°, 45° from the left edge on, meeting 1/2 and 1 1/2 from it',
    )
    expect(degreesText(45.0000001)).toBe('45°')
  })

  test('slants: a batch, each its own, held up', () => {
    const group = {
      moveId: 'm1',
      nth: 1,
      kind: 'chevron',
      pieces: 8,
      alike: 8,
      short: 0,
      differs: inches(0),
      kin: [],
      advice: { advice: 'batch', why: 'betweenStrips', spread: 0 },
    } as const
    expect(groupText(group, w)).toContain('all 8 alike')
    expect(
      groupText(
        {
          ...group,
          alike: 3,
          short: 2,
          advice: { advice: 'measureInPlace', why: 'slantsDiffer', spread: inches(0.25) },
        },
        w,
      ),
    ).toContain(
      'measure each of 6 in its place, the bays differ, and these slants with them by up to 1/4 in. Never batch them',
    )
    expect(groupText({ ...group, advice: { advice: 'scribe', why: 'intoCorner', spread: 0 } }, w)).toContain(
      'hold the strip up and mark',
    )
  })

  test('what a move costs or saves, what a nudge does, how it looks against before', () => {
    const cost = { moveId: 'm1', pieces: 4, boards: 1, cost: 725 }
    expect(moveCostText(cost, true, 'USD')).toBe('off saves about 4 pieces, 1 board, $7.25')
    expect(moveCostText({ ...cost, boards: 0, cost: null }, false, 'USD')).toBe('on costs about 4 pieces')
    expect(nudgeText('up', inches(-1.5), 0, w)).toBe('All lines 1 1/2 down: every plate clear')
    const look = { left: 3, right: 1, field: 144 * 25_400_000 ** 2, pieces: 5, joints: 2, covered: 0.25 }
    expect(lookText(look, { ...look, left: 2, right: 2 }, 'inch')).toEqual([
      'About the middle line: left 75 %, right 25 % (was: left and right weigh the same).',
      '5.00 pieces and 2.00 joints a sq ft, 25 % of the field under trim.',
    ])
    expect(markedOnText({ kind: 'side', side: 'left' }, w)).toBe('Left side, up from its foot')
  })

  test('arches and rows in a sentence', () => {
    const arch = {
      centers: [{ x: inches(50), y: inches(-3), string: inches(30), outer: null }],
      apex: inches(72),
      struck: { arcs: [], rise: inches(12), length: inches(55.5) },
      band: null,
    }
    expect(archText(arch as unknown as Parameters<typeof archText>[0], w)).toBe(
      'Struck from 50 from the left corner and 3 below the floor, string 30. Apex 72 in up, 55 1/2 along the curve.',
    )
    const row = {
      items: [
        { name: 'A', lies: 'bridges' },
        { name: 'B', lies: 'wall' },
      ],
      gaps: [inches(2)],
      left: inches(20),
      right: inches(40),
      from: inches(0),
      to: inches(60),
      packing: inches(0.75),
    }
    expect(rowText(row as unknown as Parameters<typeof rowText>[0], w)).toBe(
      '2 items: 20 left over at the left, 20 at the right, gaps 2. A bridges open wall: packing 3/4 thick, 1 piece.',
    )
  })
})
