import fc from 'fast-check'
import { anyMeetingWall, anyOldWall, met, runs } from '../../tests/anyWall'
import { anyBoxWall } from '../../tests/anyBoxWall'
import { wallOf } from '../../tests/namedWalls'
import { computePlan } from '~/core/computePlan'
import type { ClosingSum } from '~/core/marks/closingSum'
import { inches, NM_PER_INCH, NM_PER_MM } from '~/length'
import type { Workpiece } from '~/model'
import { findingText } from './findingText'
import { closingText } from './drawingText'
import { sumFigures } from './sumText'
import type { Wording } from './words'

const plain = (text: string) => text.replaceAll('\u202f', ' ')
const wordingOf = ({ settings }: Workpiece): Wording => ({
  format: { units: settings.units, tape: settings.tape },
  materials: settings.materials,
})
/** The number a printed figure means: the exact one that stands beside it, else as printed. */
function meant(printed: string, w: Wording): number {
  const text = plain(printed)
  const [, exact] = /exact (-?[\d.]+)/.exec(text) ?? []
  if (exact !== undefined) return Number(exact)
  if (w.format.units === 'mm') return Number(/-?[\d.]+/.exec(text)?.[0])
  // 4' 7 3/8, 55, 3/8
  const [, n = '0', d = '1'] = /(\d+)\/(\d+)/.exec(text) ?? []
  const [, feet = '0'] = /^(\d+)'/.exec(text) ?? []
  const [whole = '0'] = /\d+(?![\d'/])(?= |$)/.exec(text.replace(/\d+\/\d+.*/, '').trim()) ?? []
  return Number(feet) * 12 + Number(whole) + Number(n) / Number(d)
}
/** All parts of a sum, with how many of each. */
const partsOf = (sum: ClosingSum) => [
  { count: sum.strips.count, size: sum.strips.width as number },
  ...sum.others,
  ...sum.gaps,
  ...sum.openings,
  ...sum.leans,
  ...sum.fillers,
  ...sum.overlaps.map(({ count, size }) => ({ count: -count, size })),
  ...(sum.ends ? [sum.ends.left, sum.ends.right].map((size) => ({ count: 1, size: size as number })) : []),
]
const anyWall = fc.oneof(anyMeetingWall, anyOldWall, anyBoxWall)

describe('sums as printed', () => {
  test('law: the parts of a closing sum and what is missing are the wall, whatever it is made of', () => {
    let sums = 0
    fc.assert(
      fc.property(anyWall, (workpiece) => {
        const { closing } = computePlan(workpiece)
        if (!closing) return
        sums += 1
        const total = partsOf(closing).reduce((sum, { count, size }) => sum + count * size, 0)
        expect(Math.abs(total + closing.difference - closing.wall)).toBeLessThan(partsOf(closing).length * 40)
      }),
      { numRuns: runs(200) },
    )
    expect(sums).toBeGreaterThan(met(100))
  })

  test('law: a sum read off the page adds up, within what each figure is said to be rounded by', () => {
    let sums = 0
    fc.assert(
      fc.property(anyWall, (workpiece) => {
        const w = wordingOf(workpiece)
        const { closing } = computePlan(workpiece)
        if (!closing || closing.difference !== 0) return
        sums += 1
        const { figure, drift } = sumFigures(closing, w)
        const read = (size: number) => meant(`${figure(size)}${drift(size)}`, w)
        const [total, many] = partsOf(closing).reduce<[number, number]>(
          ([sum, n], { count, size }) => [sum + count * read(size), n + Math.abs(count)],
          [0, 0],
        )
        // an exact figure is printed to a thousandth, one without is right to a sixteenth of a tick
        const unit = w.format.units === 'mm' ? NM_PER_MM : NM_PER_INCH
        const each = w.format.units === 'mm' ? 0.05 : 1 / 200
        expect(Math.abs(total - closing.wall / unit)).toBeLessThan((many + 1) * each)
      }),
      { numRuns: runs(200) },
    )
    expect(sums).toBeGreaterThan(met(60))
  })

  test('the sentence says how the gap is rounded', () => {
    const wall = wallOf(
      { width: inches(131.5) },
      { spacing: { school: 'equalByCount', strips: 6, ends: 'gap' }, battenMaterial: 'pine-1x3' },
    )
    // worked by hand: 131 1/2 less 6 x 2 1/2 is 116 1/2, and a seventh of it 16.6429, a little less than 16 11/16
    const text = plain(closingText(computePlan(wall), wordingOf(wall)))
    expect(text).toContain('7 gaps of 16 5/8 (full, exact 16.643)')
  })
})

describe('center marks', () => {
  const textOf = (shift: number) => {
    const wall = wallOf({}, { spacing: { school: 'centerMarks', bays: 4 }, shift: inches(shift) })
    const found = computePlan(wall).findings.find(({ says }) => says.code === 'centerMarksUneven')
    return found && plain(findingText(found.says, wordingOf(wall)))
  }

  // worked by hand: 131 in four bays of strips 2 1/2: 30 1/4 inside and 31 1/2 at both ends, less and more by the shift
  test('each end has its own figure and the right word', () => {
    expect(textOf(0)).toContain('each end bay is 31 1/2. That is half a strip, 1 1/4 in wider, at each end.')
    expect(textOf(2)).toContain(
      'the left end bay is 33 1/2, 3 1/4 in wider, the right end bay is 29 1/2, 3/4 in narrower.',
    )
    expect(textOf(-2)).toContain(
      'the left end bay is 29 1/2, 3/4 in narrower, the right end bay is 33 1/2, 3 1/4 in wider.',
    )
  })
})
