import fc from 'fast-check'
import { inches, type Length, nanometers } from '~/length'
import { type Survey, withDesign, type Workpiece } from '~/model'
import { anyMeetingWall, runs } from '../../../tests/anyWall'
import { keptBase, reading, thing, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { askMatters, figuresReadOnce, readingsThatMatter } from './matters'

const MISSES = [1 / 8, 1 / 4].map(inches)

/** Plans again the slow way and counts, name by name, what no longer fits: by lengths and recesses alone. */
function bruteForce(
  workpiece: Workpiece,
  change: (survey: Survey, by: number) => Partial<Survey>,
  by: Length,
) {
  const { survey } = workpiece.wall
  const { fit } = workpiece.settings
  const cut = computePlan(workpiece).pieces
  const scrapOf = (off: number) => {
    const changed = { ...survey, ...change(survey, off) }
    const wanted = computePlan({ ...workpiece, wall: { ...workpiece.wall, survey: changed } }).pieces
    let scrap = 0
    for (const piece of cut) {
      const other = wanted.find(({ id }) => id === piece.id)
      const far = (a: number, b: number) => Math.abs(a - b) > fit
      const notches =
        other?.notches.length !== piece.notches.length ||
        piece.notches.some((notch, i) => {
          const to = other.notches[i]
          return !to || far(notch.from, to.from) || far(notch.to, to.to) || far(notch.depth, to.depth)
        })
      if (!other || other.cutLength - piece.cutLength > fit || notches) scrap += 1
    }
    return scrap
  }
  return Math.max(scrapOf(by), scrapOf(-by))
}

describe('which reading matters most', () => {
  const wall = wallOf(
    {
      baseboard: keptBase(4),
      readings: [reading('width', 10, 131), reading('width', 70, 131.25)],
      things: [thing('window', 50, 34, 30, 40, { casing: inches(2.5), fromRight: inches(51) })],
    },
    { foot: { kind: 'baseboard' }, spacing: { school: 'equalByCount', strips: 6, ends: 'strip' } },
  )

  test('each is what planning again by brute force gives, and the worst comes first', () => {
    const suspects = readingsThatMatter(wall, MISSES)
    const change = (key: string) => (survey: Survey, by: number) => {
      const more = (value: Length) => nanometers(Math.round(value + by))
      if (key === 'height') return { height: more(survey.height) }
      if (key === 'baseboard')
        return {
          baseboard: survey.baseboard && { ...survey.baseboard, height: more(survey.baseboard.height) },
        }
      const part = key.split('.').at(-1) ?? ''
      if (key.startsWith('thing.'))
        return { things: survey.things.map((each) => ({ ...each, [part]: more(each[part as 'bottom']) })) }
      const place = Number(part)
      return {
        readings: survey.readings.map((each) =>
          'place' in each && each.place === place ? { ...each, value: more(each.value) } : each,
        ),
      }
    }
    expect(suspects.length).toBeGreaterThan(3)
    for (const { key, misses } of suspects)
      for (const { by, scrap } of misses)
        expect([key, scrap]).toEqual([key, bruteForce(wall, change(key), by)])
    const worst = suspects.map(({ misses }) => misses[0]?.scrap ?? 0)
    expect(worst).toEqual([...worst].sort((a, b) => b - a))
  })

  test('what was read again and agreed, or closed as a chain, is none of them', () => {
    const keys = (workpiece: Workpiece) =>
      figuresReadOnce(workpiece).map((figure) => ('thing' in figure ? `thing ${figure.part}` : figure.of))
    // read from the right too, its place and width are known twice
    expect(keys(wall)).not.toContain('thing left')
    expect(keys(wall)).toContain('thing bottom')
    const again = (survey: Partial<Survey>) => ({
      ...wall,
      wall: { ...wall.wall, survey: { ...wall.wall.survey, ...survey } },
    })
    expect(keys(again({ readAgain: [{ key: 'height', value: inches(95) }] }))).not.toContain('height')
    // it holds for the figure that was read again, not for another
    expect(keys(again({ readAgain: [{ key: 'height', value: inches(96) }] }))).toContain('height')
    const twice = [...wall.wall.survey.readings, { ...reading('width', 10, 131), id: 'second' }]
    expect(figuresReadOnce(again({ readings: twice })).filter(({ of }) => of === 'reading')).toHaveLength(1)
  })

  test('a wall on which nothing hangs on a figure has no suspects', () => {
    const bare = wallOf({}, { pattern: 'rails' })
    const empty = { ...bare, wall: { ...bare.wall, design: withDesign(bare.wall.design, { rails: [] }) } }
    expect(
      readingsThatMatter(empty, MISSES).every(({ misses }) =>
        misses.some(({ scrap, trim }) => scrap + trim > 0),
      ),
    ).toBe(true)
  })

  test('law: a larger miss spoils no less, in any house, and no plan is changed by asking', () => {
    fc.assert(
      fc.property(anyMeetingWall, (workpiece) => {
        const before = JSON.stringify(workpiece)
        const total = computePlan(workpiece).pieces.length
        for (const { misses } of readingsThatMatter(workpiece, [inches(1 / 4)]))
          for (const { scrap, trim } of misses) expect(scrap + trim).toBeLessThanOrEqual(total)
        expect(JSON.stringify(workpiece)).toBe(before)
      }),
      { numRuns: runs(15) },
    )
  })
})

test('what there is no time for is counted, and the rest is as it would be with all the time', () => {
  fc.assert(
    fc.property(anyMeetingWall, fc.nat(6), (workpiece, times) => {
      const all = figuresReadOnce(workpiece).length
      let left = times
      const { suspects, unasked } = askMatters(workpiece, [inches(1 / 4)], () => left-- <= 0)
      expect(unasked).toBe(Math.max(0, all - times))
      const whole = readingsThatMatter(workpiece, [inches(1 / 4)])
      for (const suspect of suspects) expect(whole).toContainEqual(suspect)
      if (unasked === 0) expect(suspects).toHaveLength(whole.length)
    }),
    { numRuns: runs(6) },
  )
})
