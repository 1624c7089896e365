import { railId } from './stripId'
import fc from 'fast-check'
import { inches, nearestNanometer } from '~/length'
import { blankSurvey, inForce, type Material, startingDesign, startingSettings, STOCK_LIST } from '~/model'
import { movedFrom, signedArea } from '../geometry'
import { fieldOf } from '../layout/field'
import { meetings } from '../pieces'
import { crossingsOf, landsOn, type ThroughRule } from './crossings'
import { cutStrips } from './cutStrips'
import { reachOf, type Strip } from './strip'

function pine(): Material {
  const [material] = STOCK_LIST
  if (!material) throw new Error('no stock')
  return material
}

/** A strip from its middle, square at both ends, in inches. */
function strip(id: string, x: number, y: number, deg: number, length: number, tier: number | null): Strip {
  const center = { x: inches(x), y: inches(y) }
  const across = (along: number) => ({
    through: movedFrom(center, deg, inches(along), 0),
    directionDeg: deg + 90,
  })
  return {
    id: railId(id),
    name: { kind: 'batten', number: 1 },
    part: '',
    role: 'batten',
    number: 1,
    material: pine(),
    faceWidth: inches(1.5),
    center,
    directionDeg: deg,
    start: { lines: [across(-length / 2)], against: 'open' },
    end: { lines: [across(length / 2)], against: 'open' },
    joins: false,
    tier,
  }
}
const field = fieldOf(
  { ...blankSurvey(), width: inches(200), height: inches(100) },
  inForce(startingDesign()),
  startingSettings('inches', '1/16'),
)
const shuffled = <T>(list: readonly T[], turn: number) => [...list.slice(turn), ...list.slice(0, turn)]

describe('who runs through', () => {
  const level = strip('level', 50, 40, 0, 60, 1)
  const upright = strip('upright', 55, 40, 90, 50, 2)

  test('the lower tier does, whichever stands first in the list', () => {
    for (const list of [
      [level, upright],
      [upright, level],
    ]) {
      const pieces = cutStrips(list, field)
      expect(pieces.filter(({ stripId }) => stripId === 'level')).toHaveLength(1)
      expect(
        pieces.filter(({ stripId }) => stripId === 'upright').map(({ longLength }) => longLength),
      ).toEqual([inches(24.25), inches(24.25)])
    }
  })

  test('strips of one tier, of none, or side by side are not cut at each other', () => {
    const same = { ...upright, tier: 1 }
    const none = { ...upright, tier: null }
    const beside = strip('beside', 50, 40.5, 8, 60, 3)
    expect(crossingsOf([level, same])).toEqual([])
    expect(crossingsOf([level, none])).toEqual([])
    expect(crossingsOf([level, beside])).toEqual([])
    expect(crossingsOf([level, strip('short', 55, 80, 90, 20, 2)])).toEqual([])
  })

  test('a weave has no order: over and under by the place, each strip lands on those that run over it', () => {
    const weave: ThroughRule = (_, __, { x, y }) =>
      (Math.round(x / inches(20)) + Math.round(y / inches(20))) % 2 === 0 ? 'a' : 'b'
    const levels = [20, 40, 60].map((y) => strip(`level-${y}`, 40, y, 0, 70, 0))
    const uprights = [20, 40, 60].map((x) => strip(`upright-${x}`, x, 40, 90, 70, 0))
    const strips = [...levels, ...uprights]
    const pieces = cutStrips(strips, field, weave)
    // nine crossings, each cuts one strip in two
    expect(pieces).toHaveLength(6 + 9)
    const lengths = (id: string) => pieces.filter(({ stripId }) => stripId === id).length
    expect(strips.map(({ id }) => lengths(id))).toEqual([2, 3, 2, 3, 2, 3])
  })
})

describe('a miter', () => {
  const miter: ThroughRule = () => 'miter'
  const area = (polygon: readonly { x: number; y: number }[]) => Math.abs(signedArea(polygon))

  test('two strips of a corner are cut on the line that halves it, long points outside', () => {
    const pieces = cutStrips([strip('low', 50, 20, 0, 60, 0), strip('side', 20, 45, 90, 50, 0)], field, miter)
    expect(pieces.map(({ start, end }) => [start.kind, end.kind])).toEqual([
      ['miter', 'square'],
      ['miter', 'square'],
    ])
    for (const { start } of pieces) expect(start.kind === 'miter' && start.sawSettingDeg).toBeCloseTo(45, 6)
    // the outer corner lies half a width beyond the center lines
    expect(pieces.map(({ longLength }) => longLength)).toEqual([inches(60.75), inches(50.75)])
  })

  test('a law: whatever the corner and the widths, the two share one line, lie over nothing and leave nothing open', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 30, max: 150 }),
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 1, max: 4 }),
        fc.boolean(),
        (corner, turn, widthA, widthB, reversed) => {
          const at = { x: inches(100), y: inches(50) }
          const arm = (id: string, deg: number, width: number): Strip => {
            const turned = reversed ? deg + 180 : deg
            const far = movedFrom(at, deg, inches(15), 0)
            return {
              ...strip(id, far.x / inches(1), far.y / inches(1), turned, 30, 0),
              faceWidth: inches(width),
            }
          }
          const [a, b] = [arm('a', turn, widthA), arm('b', turn + corner, widthB)]
          const [one, other] = cutStrips([a, b], field, miter)
          if (!one || !other) throw new Error('no pieces')
          const shared = one.polygon.filter((p) =>
            other.polygon.some((q) => Math.hypot(p.x - q.x, p.y - q.y) < 100),
          )
          expect(shared).toHaveLength(2)
          // as much face as both have up to the corner of their center lines: what one gains on the outside it loses inside
          const whole = inches(30) * inches(widthA) + inches(30) * inches(widthB)
          const both = area(one.polygon) + area(other.polygon)
          expect(Math.abs(both / whole - 1)).toBeLessThan(1e-6)
        },
      ),
      { numRuns: 200 },
    )
  })
})

test('law: what lies in the way of a strip is in the table of crossings, whatever the directions', () => {
  const any = fc.array(
    fc.record({
      x: fc.integer({ min: 20, max: 180 }),
      y: fc.integer({ min: 10, max: 90 }),
      deg: fc.constantFrom(0, 90, 30, 45, 60, 120, 135, 150),
      length: fc.integer({ min: 4, max: 80 }),
    }),
    { minLength: 2, maxLength: 12 },
  )
  fc.assert(
    fc.property(any, fc.integer({ min: 0, max: 11 }), (list, turn) => {
      const strips = list.map(({ x, y, deg, length }, i) => strip(`s${i}`, x, y, deg, length, i))
      const lands = landsOn(strips.length, crossingsOf(strips))
      strips.forEach((over, i) => {
        const [face] = cutStrips([over], field)
        strips.forEach((under, j) => {
          const sine = Math.abs(Math.sin(((over.directionDeg - under.directionDeg) * Math.PI) / 180))
          if (i >= j || !face || sine < 0.18) return
          const { from, to } = reachOf(under)
          const obstacle = {
            id: over.id,
            kind: 'strip',
            outline: face.face,
            thickness: 0,
            fate: 'keep',
          } as const
          const inTheWay = meetings(under, [{ ...obstacle, plate: false }]).some(
            (met) => met.to > from + 1000 && met.from < to - 1000,
          )
          if (inTheWay) expect(lands[j]).toContain(i)
        })
      })
      // and the order of the list decides nothing
      const lengths = (of: readonly Strip[]) =>
        cutStrips(of, field)
          .map(({ stripId, longLength }) => `${stripId} ${nearestNanometer(longLength / 100)}`)
          .sort()
      expect(lengths(shuffled(strips, turn % strips.length))).toEqual(lengths(strips))
    }),
    { numRuns: 120 },
  )
})
