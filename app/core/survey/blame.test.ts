import fc from 'fast-check'
import { inches, nearestNanometer } from '~/length'
import type { Survey } from '~/model'
import { met, runs } from '../../../tests/anyWall'
import { reading, thing, wallOf } from '../../../tests/namedWalls'
import { chainsOf, closingLimit, suspectsIn } from './closure'
import { wallShape } from './wallShape'

const CLOSURE = inches(1 / 8)

/** A wall that leans and falls, read in whole: widths, heights, leans, falls, and every thing from all four sides. */
function readInWhole(leans: number, falls: number, lefts: readonly number[]): Survey {
  const [width, height] = [150, 96]
  const plumb = (y: number) => (leans * y) / height
  const fall = (x: number) => (falls * x) / width
  const things = lefts.map((left, i) => {
    const [wide, high, bottom] = i % 2 === 0 ? [24, 30, 40] : [2.75, 4.5, 14]
    const y = bottom + high / 2
    return thing(i % 2 === 0 ? 'window' : 'outlet', left, bottom, wide, high, {
      id: `t${i}`,
      fromRight: inches(width - plumb(y) - left - wide),
    })
  })
  return wallOf({
    width: inches(width),
    height: inches(height),
    readings: [
      reading('width', 6, width - plumb(6)),
      reading('width', 90, width - plumb(90)),
      reading('plumbLeft', 96, plumb(96) / 2),
      reading('plumbRight', 96, plumb(96) / 2),
      reading('height', 0, height),
      reading('height', 150, height + fall(150)),
      reading('floorFall', 150, fall(150)),
    ],
    things,
  }).wall.survey
}

// 400 walls that lean, one slip each; before, an innocent part was blamed where a lean or the far width had slipped
test('law: of one slip the reading that slipped is always among those that are blamed, and an honest wall blames none', () => {
  let blamed = 0
  fc.assert(
    fc.property(
      fc.constantFrom(0, 1 / 4, 1 / 2, 1),
      fc.constantFrom(0, 1 / 2),
      fc.constantFrom([20, 70], [20, 60, 110], [10, 50, 80, 130]),
      fc.nat(6),
      fc.constantFrom('reading' as const, 'left' as const, 'width' as const, 'fromRight' as const),
      fc.constantFrom(-10, -2, -1, 1, 1.5, 12),
      (leans, falls, lefts, which, part, by) => {
        const honest = readInWhole(leans, falls, lefts)
        const open = (survey: Survey) => {
          const chains = chainsOf(survey, wallShape(survey))
          return chains
            .filter(({ difference, readings }) => Math.abs(difference) > closingLimit(readings, CLOSURE))
            .map((chain) => ({ chain, suspects: suspectsIn(chains, CLOSURE, survey)(chain) }))
        }
        expect(open(honest)).toEqual([])
        const at = which % (part === 'reading' ? 4 : lefts.length)
        const off = (value: number) => nearestNanometer(value + inches(by))
        const slipped: Survey =
          part === 'reading'
            ? {
                ...honest,
                readings: honest.readings.map((each, i) =>
                  i === at && 'place' in each ? { ...each, value: off(each.value) } : each,
                ),
              }
            : {
                ...honest,
                things: honest.things.map((each, i) =>
                  i === at ? { ...each, [part]: off(each[part] ?? 0) } : each,
                ),
              }
        for (const { chain, suspects } of open(slipped)) {
          blamed++
          const is = part !== 'reading' ? 'part' : at < 2 ? 'whole' : 'form'
          if (part !== 'reading') expect(chain.thing.id).toBe(`t${at}`)
          expect(suspects).toContain(is)
        }
      },
    ),
    { numRuns: runs(400) },
  )
  expect(blamed).toBeGreaterThan(met(100))
})

describe('where the width was typed and read nowhere', () => {
  const typed = (width: number, rights: readonly number[]): Survey => ({
    ...readInWhole(0, 0, [20, 60, 110].slice(0, rights.length)),
    width: inches(width),
    readings: [],
    things: readInWhole(0, 0, [20, 60, 110].slice(0, rights.length)).things.map((each, i) => ({
      ...each,
      fromRight: each.fromRight === null ? null : nearestNanometer(each.fromRight + inches(rights[i] ?? 0)),
    })),
  })
  const blamed = (survey: Survey) => {
    const chains = chainsOf(survey, wallShape(survey))
    return chains
      .filter(({ difference, readings }) => Math.abs(difference) > closingLimit(readings, CLOSURE))
      .map((chain) => suspectsIn(chains, CLOSURE, survey)(chain))
  }
  test('all chains off alike speak against it; one alone against it or its thing; two that differ against no one reading', () => {
    expect(blamed(typed(152, [0, 0, 0]))).toEqual([['whole'], ['whole'], ['whole']])
    expect(blamed(typed(150, [2]))).toEqual([['whole', 'part']])
    expect(blamed(typed(150, [0, 2, 0]))).toEqual([['part']])
    expect(blamed(typed(150, [2, 4, 0]))).toEqual([[], []])
    expect(blamed(typed(150, [0, 0, 0]))).toEqual([])
  })
})
