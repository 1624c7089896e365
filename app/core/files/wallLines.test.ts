import fc from 'fast-check'
import { formatLength, inches, millimeters, nanometers, TAPES, tickOf } from '~/length'
import { storedSurvey } from '~/model'
import { readWallLines } from './wallLines'

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
})
