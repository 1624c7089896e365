import fc from 'fast-check'
import { met, runs } from '../../../../tests/anyWall'
import { bandAreas } from '../../../../tests/lineGaps'
import { lineWall, STRIP } from '../../../../tests/lineWalls'
import { computePlan } from '~/core/computePlan'
import { inches } from '~/length'
import type { Move } from '~/model'

const base = { on: true, material: STRIP, id: 'm1' } as const
const quarters = (least: number, most: number) =>
  fc.integer({ min: least * 4, max: most * 4 }).map((n) => n / 4)

function chevron(deg: number, clear: number): Move {
  return {
    ...base,
    kind: 'chevron',
    slope: { by: 'angle', deg },
    clear: inches(clear),
    hand: 'alternating',
    first: 'up',
    start: 'edge',
    bands: null,
  }
}

describe('families of lines', () => {
  test('law: their pieces are their bands less what is already there, to 0.1 mm²; a gap past the tolerance is told', () => {
    const anyFamily = fc.record({
      width: quarters(24, 110),
      height: quarters(24, 80),
      deg: fc.integer({ min: 20, max: 70 }),
      clear: quarters(4, 14),
      kind: fc.constantFrom('diagonals' as const, 'lattice' as const, 'chevron' as const, 'both' as const),
      start: fc.constantFrom('center' as const, 'edge' as const, 'half' as const),
      where: fc.constantFrom('field' as const, 'bays' as const),
      uprights: fc.constantFrom(undefined, 2, 3, 4),
      border: fc.constantFrom('miter' as const, 'butt' as const, 'none' as const),
    })
    let [bands, exact] = [0, 0]
    fc.assert(
      fc.property(anyFamily, ({ width, height, deg, clear, kind, start, where, uprights, border }) => {
        const family = (of: 'diagonals' | 'lattice', at: number): Move => {
          return { ...base, kind: of, deg: at, clear: inches(clear), start, where }
        }
        const moves: Move[] =
          kind === 'chevron'
            ? [chevron(deg, clear)]
            : kind === 'both'
              ? // two families that cross at a slight angle
                [family('diagonals', deg), { ...family('lattice', Math.min(80, deg + 13)), id: 'm2' }]
              : [family(kind, deg)]
        const workpiece = lineWall(width, height, moves, { border, ...(uprights ? { uprights } : {}) })
        const plan = computePlan(workpiece)
        const told = new Set(
          plan.findings.flatMap(({ says, stripIds }) => {
            if (says.code === 'linesVanish') return says.lines
            return says.code === 'lineOpen' || says.code === 'lineSliver' ? stripIds : []
          }),
        )
        const areas = bandAreas(plan, workpiece.settings.fit)
        bands += areas.length
        exact += areas.filter(({ open }) => open === 0).length
        expect(areas.filter(({ over }) => over > 0)).toEqual([])
        expect(areas.filter(({ wide, stripId }) => wide && !told.has(stripId))).toEqual([])
        // and nothing is told of a band that is filled
        const filled = new Set(areas.filter(({ open }) => open === 0).map(({ stripId }) => stripId))
        for (const { says, stripIds } of plan.findings) {
          if (says.code !== 'lineOpen') continue
          expect(stripIds.filter((id) => filled.has(id))).toEqual([])
          expect(says.gap).toBeGreaterThan(workpiece.settings.fit)
          expect(says.gap).toBeLessThanOrEqual(inches(2))
        }
      }),
      { numRuns: runs(24) },
    )
    expect(bands).toBeGreaterThan(met(250))
    // what is left open otherwise is a needle, or where a corner points into a strip
    expect(exact / bands).toBeGreaterThan(0.95)
  })

  test('under ends that lean the middle of a chevron leans half as much as both together', () => {
    const leaning = (left: number, right: number) => {
      const stand = { kind: 'own' as const, left: inches(left), right: inches(right) }
      return computePlan(lineWall(80, 60, [chevron(40, 8)], { border: 'miter', stand })).layout.moves?.middle
    }
    const plumb = leaning(0, 0)
    expect(plumb?.from.x).toBeCloseTo(inches(40), -3)
    expect(Math.abs((plumb?.to.x ?? 0) - (plumb?.from.x ?? 0))).toBeLessThan(10)
    const slopeOf = (left: number, right: number) => {
      const middle = leaning(left, right)
      const rise = (middle?.to.y ?? 0) - (middle?.from.y ?? 0)
      expect(rise).toBeGreaterThan(inches(50))
      return ((middle?.to.x ?? 0) - (middle?.from.x ?? 0)) / rise
    }
    // worked by hand: ends that lean as much to one side take the middle along, one alone takes it half as far
    const whole = slopeOf(1, 1)
    expect(Math.abs(whole)).toBeGreaterThan(0.01)
    expect(slopeOf(1, 0)).toBeCloseTo(whole / 2, 4)
    expect(slopeOf(0, 1)).toBeCloseTo(whole / 2, 4)
    expect(slopeOf(1, -1)).toBeCloseTo(0, 6)
  })

  test('law: a chevron without an upright meets itself in the middle, at equal steps', () => {
    let pairs = 0
    fc.assert(
      fc.property(
        quarters(40, 120),
        quarters(40, 90),
        fc.integer({ min: 25, max: 55 }),
        quarters(5, 12),
        (width, height, deg, clear) => {
          const { pieces, layout } = computePlan(
            lineWall(width, height, [chevron(deg, clear)], { border: 'miter' }),
          )
          const middle = (layout.left + layout.right) / 2
          const lines = pieces.filter(({ role }) => role === 'line')
          for (const { polygon } of lines) {
            const xs = polygon.map(({ x }) => x - middle)
            // none goes through the middle
            expect(Math.max(...xs) <= 100 || Math.min(...xs) >= -100).toBe(true)
          }
          const cut = inches(2) / Math.cos((deg * Math.PI) / 180)
          const apexes = (side: number) =>
            lines
              .filter(({ polygon }) => polygon.some(({ x }) => (x - middle) * side > inches(1)))
              .map(({ polygon }) => polygon.filter(({ x }) => Math.abs(x - middle) <= 100))
              // a whole cut in the middle, not one that the frame takes a corner of
              .filter(
                (at) => at.length === 2 && Math.abs(Math.abs((at[0]?.y ?? 0) - (at[1]?.y ?? 0)) - cut) < 100,
              )
              .map((at) => at.reduce((sum, { y }) => sum + y, 0) / 2)
              .sort((a, b) => a - b)
          const [left, right] = [apexes(-1), apexes(1)]
          expect(left).toHaveLength(right.length)
          left.forEach((y, i) => expect(Math.abs(y - (right[i] ?? 0))).toBeLessThan(100))
          const steps = left.slice(1).map((y, i) => y - (left[i] ?? 0))
          for (const step of steps) expect(Math.abs(step - (steps[0] ?? 0))).toBeLessThan(100)
          pairs += left.length
        },
      ),
      { numRuns: runs(40) },
    )
    expect(pairs).toBeGreaterThan(met(60))
  })
})
