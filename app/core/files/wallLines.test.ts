import fc from 'fast-check'
import { formatLength, inches, millimeters, nanometers, TAPES, tickOf } from '~/length'
import { blankSurvey, type LengthReading, storedSurvey, type Survey, THING_KINDS } from '~/model'
import { reading } from '../../../tests/namedWalls'
import { isOpening } from '../survey/obstacles'
import { usualThing } from '../survey/usualThings'
import { wallLineOf } from './wallLineOf'
import { asObstacle, LINE_WORDS, readWallLines } from './wallLines'

function one(text: string, units: 'inches' | 'mm' = 'inches') {
  const read = readWallLines(text, units)
  if (!read.ok) throw new Error(JSON.stringify(read.issue))
  const [wall] = read.value
  if (!wall?.survey) throw new Error('no wall')
  return { ...wall, survey: wall.survey }
}
function wrong(text: string, units: 'inches' | 'mm' = 'inches') {
  const read = readWallLines(text, units)
  return read.ok ? [] : read.issue.map(({ code, line }) => `${line} ${code}`)
}

describe('walls typed one a line', () => {
  test('a notch is square, a slope slopes, and a base 1x6 is the board of that name', () => {
    const { survey, nominal } = one('Gable wall: 151 x 103, base 1x6, notch 22 x 31 at 0 up 0')
    expect(survey.things[0]).toMatchObject({ kind: 'cutOff', slope: null })
    expect(survey.baseboard).toEqual({ height: inches(5.5), thickness: inches(0.75), fate: 'keep' })
    expect(nominal).toEqual([{ trim: 'baseboard', board: '1x6' }])
    // 3/4 x 9 1/4 (American Softwood Lumber Standard PS 20, from memory)
    const wide = one('Gable wall: 151 x 103, base 1x10')
    expect(wide.nominal).toEqual([{ trim: 'baseboard', board: '1x10' }])
    expect(wide.survey.baseboard?.height).toBe(inches(9.25))
    expect(one('Gable wall: 151 x 103, base 6').nominal).toEqual([])
    const off = one('Gable wall: 151 x 103, base 1x4 off')
    expect(off.survey.baseboard).toEqual({ height: inches(3.5), thickness: inches(0.75), fate: 'remove' })
    // no board is bought by that name in millimeters, nor with more after it
    const metric = one('Giebel: 3800 x 2600, base 14 x 95', 'mm')
    expect(metric.nominal).toEqual([])
    expect(metric.survey.baseboard).toMatchObject({ height: millimeters(14), thickness: millimeters(95) })
    expect(one('Gable wall: 151 x 103, base 6 x 1').nominal).toEqual([])
  })

  test('width by height, and what stands there', () => {
    const { name, survey } = one(
      "Bay wall: 139 1/4 x 8' 1, base 5 1/4 x 3/4, crown 3 off, door 30 x 80 at 104, casing 3 1/2, window 34x46 at 40, 30 up, outlet at 22 up 14, switch at 99",
    )
    expect(name).toBe('Bay wall')
    expect([survey.width, survey.height]).toEqual([inches(139.25), inches(97)])
    expect(survey.baseboard).toEqual({ height: inches(5.25), thickness: inches(0.75), fate: 'keep' })
    expect(survey.crown).toMatchObject({ height: inches(3), fate: 'remove' })
    const [door, window, outlet, light] = survey.things
    expect(door).toMatchObject({ kind: 'door', left: inches(104), width: inches(30), casing: inches(3.5) })
    expect(window).toMatchObject({ left: inches(40), bottom: inches(30), height: inches(46) })
    // plates go by their middle
    expect((outlet?.left ?? 0) + (outlet?.width ?? 0) / 2).toBe(inches(22))
    expect(outlet?.bottom).toBe(inches(14))
    expect(light?.kind).toBe('switch')
    expect(storedSurvey.safeParse(survey).success).toBe(true)
  })

  test('commas, crosses and units as people type them', () => {
    expect(one('2,745 × 2 440, base 90', 'mm').survey).toMatchObject({
      width: millimeters(2745),
      height: millimeters(2440),
    })
    expect(one('141 3/8 by 93 3/4').survey.width).toBe(inches(141.375))
    expect(one('141,5 x 93,25; base 4').survey.width).toBe(inches(141.5))
    expect(one('Stair 150 x 97').name).toBe('Stair')
    expect(one('window wall: 100 x 97').name).toBe('window wall')
  })

  test('a width read between casings or inside a border: the wall is wider, and all on the line moves with it', () => {
    const between = one('131 1/2 x 96, between casings 3 1/2, outlet at 20').survey
    expect(between.width).toBe(inches(138.5))
    const ends = between.things.filter(({ kind }) => kind === 'sideTrim')
    expect(ends.map(({ left, width }) => [left, left + width])).toEqual([
      [0, inches(3.5)],
      [inches(135), inches(138.5)],
    ])
    const outlet = between.things.find(({ kind }) => kind === 'outlet')
    expect((outlet?.left ?? 0) + (outlet?.width ?? 0) / 2).toBe(inches(23.5))
    const inside = one('100 x 80, inside the border 3 1/2').survey
    expect(inside.width).toBe(inches(107))
    expect(inside.things).toEqual([])
  })

  test('what gives heat, and a breast that stands out, are placed as openings are', () => {
    const { things } = one(
      '163 x 94, fireplace 35 x 29 at 61, chimney breast 52 x 94 at 52 1/2, radiator at 120',
    ).survey
    expect(things.map(({ kind, left }) => [kind, left])).toEqual([
      ['fireplace', inches(61)],
      ['chimneyBreast', inches(52.5)],
      ['radiator', inches(120)],
    ])
  })

  test('a name alone is a wall to measure; empty lines are none', () => {
    expect(readWallLines('Long wall\n\n  \nShort wall:', 'inches')).toEqual({
      ok: true,
      value: [
        { name: 'Long wall', survey: null },
        { name: 'Short wall', survey: null },
      ],
    })
  })

  test.each([
    ['120', ['1 noHeight']],
    ['120 x 96 x 4', ['1 noSize']],
    ['120 q x 96', ['1 badLength']],
    ['120 x 96, hatch 30 x 30', ['1 unknownPart']],
    ['120 x 96, casing 3', ['1 unknownPart']],
    ['0 x 96', ['1 outOfRange']],
    ['120 x 96, base', ['1 badLength']],
    ['120 x 96\n: x\n100 x 90 mm q', ['2 noSize', '3 badLength']],
    [`${'w'.repeat(90)}: 100 x 90`, ['1 longName']],
  ])('%j is told as %j', (text, problems) => expect(wrong(text)).toEqual(problems))

  test('law: sizes on any tape come back as they were written, whatever the units', () => {
    const tape = fc.constantFrom(...TAPES)
    const ticks = fc.integer({ min: 20, max: 2000 })
    fc.assert(
      fc.property(tape, ticks, ticks, ticks, (tape, w, h, b) => {
        const units = tape.endsWith('mm') ? 'mm' : 'inches'
        const size = (n: number) => nanometers(n * tickOf(tape))
        const say = (n: number) => formatLength(size(n), { units, tape })
        const least = inches(1 / 16)
        fc.pre([w, h, b].every((n) => size(n) >= least && size(n) <= inches(2400)))
        const { survey } = one(`${say(w)} x ${say(h)}, base ${say(b)}`, units)
        expect([survey.width, survey.height, survey.baseboard?.height]).toEqual([size(w), size(h), size(b)])
      }),
    )
  })

  test('law: no text breaks the reader', () => {
    fc.assert(
      fc.property(
        fc.string({ maxLength: 200 }),
        fc.constantFrom('inches', 'mm', 'feet-inches' as const),
        (text, units) => {
          const read = readWallLines(text, units)
          if (read.ok)
            for (const { survey } of read.value)
              if (survey) expect(storedSurvey.safeParse(survey).success).toBe(true)
        },
      ),
      { numRuns: 400 },
    )
  })

  test('every kind that Measure adds has a word, and each word is read as its kind', () => {
    // a landing comes with its stair
    const kinds = new Set(LINE_WORDS.map(([, kind]) => kind))
    expect(THING_KINDS.filter((kind) => !kinds.has(kind))).toEqual(['landing'])
    for (const [word, kind] of LINE_WORDS) {
      const { survey } = one(`Wall: 150 x 96, ${word} 20 x 12 at 48 up 30`)
      expect(survey.things).toMatchObject([
        { kind, width: inches(20), height: inches(12), bottom: inches(30) },
      ])
    }
    expect(one('150 x 96, shelf at 30').survey.things).toMatchObject([{ kind: 'shelf', left: inches(30) }])
    expect(one('150 x 96, stair 90 x 60 at 20 rises left').survey.things[0]?.slope).toBe('risesLeft')
    // by one of its steps: six of 7 1/2 on 10 are 45 high over 60
    const stair = one('150 x 96, stair steps 7 1/2 x 10 from 20 to 80 rises left, outlet at 130').survey
      .things
    expect(stair).toMatchObject([
      { kind: 'stair', left: inches(20), width: inches(60), height: inches(45), slope: 'risesLeft' },
      { kind: 'outlet' },
    ])
    // another stair takes its place, what else stands there stays
    expect(
      one('150 x 96, outlet at 130, stair steps 8 x 10 from 0 to 40, stair steps 7 x 10 from 0 to 60').survey
        .things,
    ).toMatchObject([{ kind: 'outlet' }, { kind: 'stair', width: inches(60), height: inches(42) }])
    expect(one('100 x 96, stair step 8 x 10').survey.things[0]).toMatchObject({
      width: inches(100),
      height: inches(80),
    })
    expect(wrong('150 x 96, stair steps 7 x 5 from 0 to 140')).toEqual(['1 outOfRange'])
  })

  test('floors and ceilings that rise or fall, ends that lean', () => {
    const { readings } = one(
      '150 x 96, floor rises 1/2, ceiling falls 3/8, plumb 1/4, plumb right 1/8',
    ).survey
    expect(readings.map((each) => ('place' in each ? [each.kind, each.place, each.value] : []))).toEqual([
      ['floorFall', inches(150), inches(-1 / 2)],
      ['ceilingFall', inches(150), inches(3 / 8)],
      ['plumbLeft', inches(96), inches(1 / 4)],
      ['plumbRight', inches(96), inches(1 / 8)],
    ])
    expect(one('150 x 96, rise 1/2').survey.readings[0]).toMatchObject({
      kind: 'floorFall',
      value: inches(-0.5),
    })
    // said twice the second counts
    expect(one('150 x 96, rise 1/2, rise 3/4').survey.readings).toHaveLength(1)
    expect(wrong('150 x 96, rise quickly')).toEqual(['1 badLength'])
  })

  test('what nobody knows becomes an obstacle, and the rest of the text stays', () => {
    const text = 'A: 120 x 96\nB: 150 x 96, piano 58 x 48 at 20, outlet at 40\nC: 90 x 96'
    const read = readWallLines(text, 'inches')
    const [problem] = read.ok ? [] : read.issue
    expect(problem).toMatchObject({ code: 'unknownPart', line: 2 })
    const next = problem ? asObstacle(text, problem) : text
    expect(next.split('\n').filter((_, i) => i !== 1)).toEqual(['A: 120 x 96', 'C: 90 x 96'])
    const [, wall] = [...(readWallLines(next, 'inches').ok ? next.split('\n').map((each) => one(each)) : [])]
    expect(wall?.survey.things).toMatchObject([
      { kind: 'obstacle', width: inches(58), height: inches(48), left: inches(20) },
      { kind: 'outlet' },
    ])
    // without a size or a place it has the usual one
    const bare = '150 x 96, piano'
    const found = readWallLines(bare, 'inches')
    const [unknown] = found.ok ? [] : found.issue
    expect(one(unknown ? asObstacle(bare, unknown) : bare).survey.things[0]?.kind).toBe('obstacle')
  })

  // 1000 walls with trim, things of all kinds but landings, falls and leans
  test('law: the text written from a wall reads back to the same wall, in inches and millimeters', () => {
    const eighth = (least: number, most: number) => fc.integer({ min: least * 8, max: most * 8 })
    const trim = fc.option(
      fc.record({
        height: fc.oneof(eighth(1, 9), fc.constant(8)),
        thickness: fc.oneof(eighth(0, 2), fc.constant(16)),
        fate: fc.constantFrom('keep', 'remove'),
      }),
    )
    const anyWall = fc.record({
      width: eighth(60, 300),
      height: eighth(60, 130),
      baseboard: trim,
      crown: trim,
      things: fc.array(
        fc.record({
          kind: fc.constantFrom(...THING_KINDS.filter((kind) => kind !== 'landing')),
          width: eighth(1, 40),
          height: eighth(1, 40),
          left: eighth(20, 200),
          bottom: eighth(0, 60),
          casing: eighth(0, 5),
          slope: fc.constantFrom('risesRight', 'risesLeft'),
        }),
        { maxLength: 6 },
      ),
      floorFall: fc.option(eighth(-1, 1)),
      ceilingFall: fc.option(eighth(-1, 1)),
      plumbLeft: fc.option(eighth(0, 1)),
      plumbRight: fc.option(eighth(0, 1)),
    })
    fc.assert(
      fc.property(anyWall, fc.constantFrom('inches', 'mm' as const), (drawn, units) => {
        const size = (n: number) => nanometers(n * (units === 'mm' ? millimeters(1) : inches(1 / 8)))
        const { width, height, baseboard, crown, things, ...falls } = drawn
        const trimOf = (of: typeof baseboard) =>
          of && ({ ...of, height: size(of.height), thickness: size(of.thickness) } as Survey['baseboard'])
        const blank = { ...blankSurvey(), width: size(width), height: size(height) }
        const survey: Survey = {
          ...blank,
          baseboard: trimOf(baseboard),
          crown: trimOf(crown),
          readings: Object.entries(falls).flatMap(([kind, by]) =>
            by === null
              ? []
              : [
                  {
                    id: kind,
                    kind: kind as 'floorFall',
                    place: kind.startsWith('plumb') ? blank.height : blank.width,
                    value: size(by),
                    method: 'tape' as const,
                    takenAt: '2026-03-02T08:00:00.000Z',
                  },
                ],
          ),
          things: things.map((each, i) => ({
            ...usualThing(each.kind, blank, `t${i}`),
            width: size(each.width),
            height: size(each.height),
            left: size(each.left),
            bottom: size(each.bottom),
            ...(isOpening(each.kind) ? { casing: size(each.casing) } : {}),
            slope: each.kind === 'stair' ? (each.slope as 'risesLeft') : null,
          })),
        }
        const { line, unsaid } = wallLineOf('The wall', survey, units)
        expect(unsaid).toEqual([])
        const back = one(line, units)
        expect(back.name).toBe('The wall')
        const bare = (of: Survey) => ({
          ...of,
          readings: (of.readings as LengthReading[]).map(({ kind, value, ...rest }) => ({
            kind,
            // a fall of nothing has no way
            value: value === 0 ? 0 : value,
            place: 'place' in rest ? rest.place : null,
          })),
          things: of.things.map((each) => ({ ...each, id: '' })),
        })
        expect(bare(back.survey)).toEqual(bare(survey))
      }),
      { numRuns: 1000 },
    )
  })

  test('what a line has no words for is not said otherwise', () => {
    const { survey } = one('150 x 96, notch 22 x 31 at 128 up 65, outlet at 40, plumb left 1/4')
    const [notch, outlet] = survey.things
    const odd: Survey = {
      ...survey,
      things: [
        ...(notch ? [{ ...notch, slope: 'risesLeft' as const }] : []),
        ...(outlet ? [outlet, { ...outlet, id: 'old', fate: 'remove' as const }] : []),
      ],
      readings: [reading('plumbLeft', 96, -1 / 4), reading('width', 150, 149), reading('floorFall', 80, 1)],
    }
    const { line, unsaid } = wallLineOf('Odd wall', odd, 'inches')
    expect(line).toBe('Odd wall: 150 x 96, outlet 2 3/4 x 4 1/2 at 40 up 13 3/4')
    expect(unsaid.map(({ id }) => id)).toEqual([notch?.id, 'old'])
  })
})
