import fc from 'fast-check'
import { inches, millimeters, nanometers } from '~/length'
import { runs } from '../../../tests/anyWall'
import { reading, thing, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import { blocking } from '../findings/surveyFindings'
import { digitsTurned, unusualOf } from './unusual'

const nothing = { things: [] }

describe('a figure that is hardly ever so', () => {
  test.each<[string, Parameters<typeof thing>, string[]]>([
    ['a sill at 63', ['window', 20, 63, 34, 24], ['bottom 63 36']],
    ['a sill at 36', ['window', 20, 36, 34, 24], []],
    ['an outlet with its middle at 61', ['outlet', 20, 58.75, 2.75, 4.5], ['middle 61 16']],
    ['a switch with its middle at 84', ['switch', 20, 81.75, 2.75, 4.5], ['middle 84 48']],
    ['a switch as low as an outlet', ['switch', 20, 14, 2.75, 4.5], ['middle 16.25 -']],
    ['a door of 08', ['door', 20, 0, 32, 8], ['height 8 -']],
    ['a door that starts at 30', ['door', 20, 30, 32, 80], ['bottom 30 3']],
    ['a plate of 27 1/2', ['outlet', 20, 14, 27.5, 4.5], ['width 27.5 -']],
    ['a thermostat at the ceiling', ['thermostat', 20, 80, 4, 4], ['middle 82 -']],
    ['a mirror of any size anywhere', ['mirror', 20, 1, 3, 90], []],
  ])('%s', (_, args, found) => {
    const said = unusualOf(thing(...args), nothing, 'inches').map(
      ({ part, value, turned }) =>
        `${part} ${value / inches(1)} ${turned === null ? '-' : turned / inches(1)}`,
    )
    expect(said).toEqual(found)
  })

  test('is not asked about where it was measured from the other side too, comes off, or hangs behind a screen', () => {
    const sill = thing('window', 20, 63, 34, 24)
    const count = (each: typeof sill, on: Parameters<typeof unusualOf>[1] = nothing) =>
      unusualOf(each, on, 'inches').length
    expect(count({ ...sill, fromTop: inches(9) })).toBe(0)
    expect(count({ ...sill, fromRight: inches(9) })).toBe(1)
    expect(count({ ...sill, fate: 'remove' })).toBe(0)
    const outlet = thing('outlet', 20, 58.75, 2.75, 4.5)
    const screen = { things: [thing('television', 10, 40, 57, 33)] }
    expect([count(outlet), count(outlet, screen), count(sill, screen)]).toEqual([1, 0, 1])
    const wide = thing('outlet', 20, 14, 30, 4.5)
    expect([count(wide), count({ ...wide, fromRight: inches(9) }), count(wide, screen)]).toEqual([1, 0, 1])
    const dial = thing('thermostat', 20, 80, 4, 4)
    expect(count(dial, screen)).toBe(1)
  })

  test('both ends of what is usual are usual', () => {
    const at = (bottom: number) =>
      unusualOf({ ...thing('window', 20, 36, 34, 24), bottom: nanometers(bottom) }, nothing, 'inches').length
    const [least, most] = [inches(4), inches(60)]
    expect([at(least - 1), at(least), at(most), at(most + 1)]).toEqual([1, 0, 0, 1])
  })

  test('two neighboring digits the other way round, fractions kept', () => {
    expect(digitsTurned(inches(63.25), 'inches')).toEqual([inches(36.25)])
    expect(digitsTurned(millimeters(1905.5), 'mm')).toEqual([9105.5, 1095.5, 1950.5].map(millimeters))
    expect(digitsTurned(inches(66), 'inches')).toEqual([])
    expect(digitsTurned(inches(7), 'inches')).toEqual([])
    expect(digitsTurned(-inches(63), 'inches')).toEqual([])
  })

  // 200 windows; before, nothing was said of any of them
  test('law: a sill with its digits turned to where hardly any is says so, one press puts it right, and it is settled by a reason', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 59 }),
        fc.constantFrom('inches', 'mm' as const),
        (sill, units) => {
          const turned = Number([...String(sill)].reverse().join(''))
          const at = (bottom: number) =>
            wallOf(
              {
                height: inches(120),
                readings: [reading('width', 6, 131), reading('width', 80, 131)],
                things: [thing('window', 40, bottom, 34, 20, { fromRight: inches(57) })],
              },
              {},
              { units },
            )
          const find = (workpiece: ReturnType<typeof at>) =>
            computePlan(workpiece).findings.filter(({ says }) => says.code === 'thingUnusual')
          expect(find(at(sill))).toEqual([])
          const slipped = at(turned)
          const [finding, ...more] = find(slipped)
          expect(more).toEqual([])
          expect(finding !== undefined).toBe(turned > 60 || turned < 4)
          if (!finding) return
          const { survey } = slipped.wall
          const key = finding.blocks?.key ?? ''
          const figure = finding.blocks?.figure ?? null
          expect(blocking([finding], survey, inches(1 / 8))).toHaveLength(1)
          const overruled = [{ key, figure, reason: 'clerestory', at: '2026-03-02T09:00:00Z' }]
          expect(blocking([finding], { ...survey, overruled } as typeof survey, inches(1 / 8))).toEqual([])
          // digits are turned in the units of the job: 63 in is 1600.2 mm
          if (units === 'mm') return
          const [way] = finding.waysOut
          if (turned >= 10) expect(way).toBeDefined()
          if (way) expect(find(applyEdits(slipped, way.edits) as typeof slipped)).toEqual([])
        },
      ),
      { numRuns: runs(200) },
    )
  })
})
