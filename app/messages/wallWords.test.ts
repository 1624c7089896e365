import { FIT_GROUPS } from '~/core/sequence/fitSteps'
import { BUILT_WAYS } from '~/core/asbuilt/waysOut'
import { EVENINGS_OUT } from '~/core/asbuilt/evenOut'
import { MARKING_WAYS } from '~/core/evenness/simulate'
import { inches, type Length, nearestNanometer, readOnTape } from '~/length'
import { LEARNED, LOG_STAGES, NOTES, TOOLS_PROVED } from '~/model'
import {
  actClashText,
  builtText,
  builtWayName,
  builtWayNames,
  driftText,
  evenIssueText,
  evenText,
  fineSaid,
  fitCheckText,
  groupName,
  heldText,
  learnedName,
  logText,
  markingWayName,
  noteName,
  provedName,
  rateSaid,
  seenPart,
  stepText,
  toolsText,
  type Wording,
} from '.'

const w: Wording = { format: { units: 'inches', tape: '1/16' }, materials: [], currency: 'USD' }
const mm: Wording = { ...w, format: { units: 'mm', tape: '1 mm' } }
const plain = (text: string) => text.replace(/[\u2009\u00a0]/g, ' ').replace(/⁄/g, '/')
const each = <T>(all: readonly T[], say: (of: T) => string) => {
  const said = all.map(say)
  for (const text of said) expect(text).toMatch(/^[A-Z“‘]|^Square|^Minutes|^Feet/)
  // no two things go by one name
  expect(new Set(said).size).toBe(said.length)
}

test('every code has a name of its own', () => {
  each(FIT_GROUPS, groupName)
  each(BUILT_WAYS, (way) => builtWayName(way))
  each(MARKING_WAYS, markingWayName)
  each(NOTES, noteName)
  each(LEARNED, learnedName)
  each(TOOLS_PROVED, provedName)
  each(LOG_STAGES, (stage) => logText.start(stage))
  each(['prop', 'nailUnder', 'tape', 'hand'] as const, heldText)
})

describe('what is looked at before a piece is nailed', () => {
  test.each([
    [
      { kind: 'gapBlock', length: readOnTape(inches(17.25), '1/16') },
      'Block of 17 1/4 in between it and the last, at foot and head.',
    ],
    [
      { kind: 'runningMark', near: readOnTape(inches(40.5), '1/16') },
      'Its near edge on the running mark at 40 1/2 in: trust the mark, not the block.',
    ],
    [
      { kind: 'diagonal', reads: readOnTape(inches(33), '1/16') },
      'Across its two marks the tape reads 33 in.',
    ],
    [{ kind: 'stands', stand: 'plumb' }, 'Plumb, both edges.'],
    [
      { kind: 'levelFirst' },
      'Level, with the long level turned round once, before the second piece goes on.',
    ],
  ] as const)('%j', (check, said) => {
    expect(plain(fitCheckText(check, w))).toBe(said)
  })
})

describe('as built', () => {
  test('a reading that can’t be says what is lacking and what to do', () => {
    const needed = inches(5)
    expect(plain(evenIssueText({ code: 'noRoom', needed, room: inches(-0.25), pieces: 2 }, w))).toContain(
      'no room for it at all',
    )
    expect(plain(evenIssueText({ code: 'noRoom', needed, room: inches(4), pieces: 2 }, w))).toContain(
      'needs 5 in, and there is 4 in',
    )
    expect(plain(evenIssueText({ code: 'gapsTooSmall', gap: inches(0.5), least: inches(2) }, w))).toContain(
      'would be 1/2 in, less than the 2 in',
    )
    expect(plain(evenIssueText({ code: 'beyondWall', strip: 'x', by: inches(0.375) }, w))).toContain(
      '3/8 in beyond the end of the wall',
    )
    for (const code of ['cannotBe', 'beyondWall'] as const)
      expect(evenIssueText({ code, strip: 'x', by: 0 as Length }, w)).toMatch(
        /Read (it again|the whole wall too)/,
      )
  })
  test('what comes to the same is one name; where nothing can move that is said', () => {
    expect(builtWayNames({ ways: ['lastBay', 'fewestRecuts'] }, false)).toBe(
      'The last bay takes it · Fewest pieces to recut',
    )
    expect(builtWayNames({ ways: [...EVENINGS_OUT] }, false)).toBe(builtText.asIs)
    expect(builtWayName('even', true)).toContain('margins')
  })
  test('recuts, boards and time as one counts them', () => {
    expect(builtText.recuts(0, 0)).toBe('nothing to recut')
    expect(builtText.recuts(1, 1)).toBe('1 to recut, all from itself')
    expect(builtText.recuts(5, 2)).toBe('5 to recut, 2 from themselves')
    expect(builtText.recuts(4, 0)).toBe('4 to recut')
    expect([builtText.boards(0), builtText.boards(1), builtText.boards(3)]).toEqual([
      'no more boards',
      '1 board more',
      '3 boards more',
    ])
    expect(builtText.boards(null)).toContain('no board on sale')
    expect([builtText.minutes(0), builtText.minutes(7)]).toEqual(['', 'about 7 min'])
  })
  test('a drift says what it points at', () => {
    expect(plain(driftText({ side: 'long', how: 'same', by: inches(1 / 8) }, w))).toContain(
      'about 1/8 in long: the end of the tape',
    )
    expect(driftText({ side: 'short', how: 'growing', by: -inches(1 / 8) }, w)).toContain(
      'the block is too short',
    )
  })
})

describe('how even, and tools', () => {
  test.each([
    [1 / 64, '1/64 in'],
    [3 / 32, '3/32 in'],
    [0.5, '1/2 in'],
    [1, '1 in'],
    [1.25, '1 1/4 in'],
    [0, '0'],
    [1 / 1000, 'under 1/64 in'],
  ])('%d in is said as %s', (value, said) => {
    expect(fineSaid(value * 25_400_000, w)).toBe(said)
  })
  test('in millimeters to a tenth', () => {
    expect(fineSaid(nearestNanometer(2.44e6), mm)).toBe('2.4 mm')
  })
  test('parts of walls, none of them rounded to nothing', () => {
    expect([seenPart({ seen: 0 }), seenPart({ seen: 0.004 }), seenPart({ seen: 0.126 })]).toEqual([
      '0% of walls',
      'under 1% of walls',
      '13% of walls',
    ])
    expect(evenText.lead(10_000, 7)).toContain('10,000 walls of 7 bays')
  })
  test('what turning a tool round found', () => {
    const level = { tool: 'level' as const, error: inches(1 / 16), over: inches(48), provedAt: 0 }
    expect(plain(toolsText.found(level, w))).toBe('Off by 1/16 in over 48 in.')
    expect(toolsText.found({ ...level, error: 0 as Length }, w)).toBe('True.')
    expect(toolsText.found({ ...level, tool: 'tapeHook', over: null }, w)).toContain(
      'pushed it reads more than pulled',
    )
    for (const tool of TOOLS_PROVED) expect(toolsText.how(tool)).toHaveLength(3)
  })
  test('the level line says how the floor lies from where it is struck', () => {
    expect(stepText.levelHow(null, null)).toContain('level as read')
    expect(stepText.levelHow('1/2 in', null)).toContain('falls 1/2 in from here')
    expect(stepText.levelHow(null, '3/8 in')).toContain('rises 3/8 in')
  })
})

describe('the log', () => {
  test('rates to a digit where they are small', () => {
    expect([rateSaid(5.237), rateSaid(19.96), rateSaid(161.4)]).toEqual(['5.2', '20', '161'])
    expect(logText.rateIs('5', '4', '6', 1)).toBe('5, mostly 4 to 6, from 1 job')
    expect(learnedName('coatBoard.roller')).toBe('Minutes a board, one coat, roller')
  })
  test('two acts that can’t both hold are told with who and when', () => {
    const acts = [
      { id: 'a', member: 'ann', at: 1 },
      { id: 'b', member: null, at: 2 },
    ]
    const said = actClashText(
      { kind: 'upTwice', piece: 'A3', acts },
      (member) => member ?? 'one phone',
      (at) => `at ${at}`,
    )
    expect(said).toBe('A3 was fitted twice: ann at 1; one phone at 2. One of them is another piece.')
    const kinds = (['upTwice', 'spoiledUp', 'readTwice'] as const).map((kind) =>
      actClashText(
        { kind, piece: 'B1', acts },
        () => 'x',
        () => 'y',
      ),
    )
    expect(new Set(kinds).size).toBe(3)
  })
  test('one and several are counted as one says them', () => {
    expect([logText.waiting(1), logText.waiting(4)]).toEqual([
      '1 thing done here is not sent yet.',
      '4 things done here are not sent yet.',
    ])
    expect([logText.samples(1), logText.samples(2)]).toEqual(['1 time', '2 times'])
    expect(builtText.pulled('A1', 1)).toContain('1 nail hole is on')
  })
})
