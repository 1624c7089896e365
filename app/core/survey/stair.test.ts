import fc from 'fast-check'
import { keptBase, thing, wallOf } from '../../../tests/namedWalls'
import { inches, toInches, ZERO } from '~/length'
import type { Thing } from '~/model'
import { computePlan } from '../computePlan'
import { boundsOf } from '../geometry'
import { obstaclesOf } from './obstacles'
import { isOfStair, type Stair, stairOf, pitchOf, stairThings } from './stair'

const stair = (more: Partial<Stair> = {}): Stair => ({
  from: inches(24),
  to: inches(108),
  rises: 'right',
  rise: { by: 'step', rise: inches(7), run: inches(10.5) },
  landing: { low: false, high: false },
  skirt: null,
  ...more,
})
const size = { width: inches(131), height: inches(120) }
const made = (more: Partial<Stair> = {}) => {
  const things = stairThings(stair(more), size)
  if (!things.ok) throw new Error(things.issue.code)
  return things.value
}

describe('a stair', () => {
  // arithmetic by hand: 84 of run at 7 in 10 1/2 is 56; its pitch is that of two in three
  test('by a step, by two heights and by its pitch it is the same', () => {
    const [byStep] = made()
    expect(toInches(byStep?.height ?? ZERO)).toBe(56)
    expect(made({ rise: { by: 'heights', low: ZERO, high: inches(56) } })).toEqual([byStep])
    const deg = (Math.atan(2 / 3) * 180) / Math.PI
    expect(pitchOf(stair())).toBeCloseTo(deg, 9)
    expect(toInches(made({ rise: { by: 'pitch', deg } })[0]?.height ?? ZERO)).toBeCloseTo(56, 6)
  })

  test('landings go on to the ends of the wall', () => {
    const heights = { by: 'heights' as const, low: inches(9), high: inches(50) }
    const things = made({ rise: heights, landing: { low: true, high: true } })
    expect(
      things.map(({ kind, left, width, height }) => [kind, ...[left, width, height].map(toInches)]),
    ).toEqual([
      ['stair', 24, 84, 41],
      ['landing', 0, 24, 9],
      ['landing', 108, 23, 50],
    ])
    expect(stairOf({ things })).toMatchObject({ rise: heights, landing: { low: true, high: true } })
  })

  test('rising left its low end is at the right, and landings change sides', () => {
    const heights = { by: 'heights' as const, low: inches(9), high: inches(50) }
    const things = made({ rises: 'left', rise: heights, landing: { low: true, high: true } })
    expect(
      things.map(({ kind, slope, left, bottom, width, height }) => [
        kind,
        slope,
        ...[left, bottom, width, height].map(toInches),
      ]),
    ).toEqual([
      ['stair', 'risesLeft', 24, 9, 84, 41],
      ['landing', null, 108, 0, 23, 9],
      ['landing', null, 0, 0, 24, 50],
    ])
    expect(stairOf({ things })).toMatchObject({ rises: 'left', rise: heights })
    expect(things.every(isOfStair)).toBe(true)
    expect(isOfStair({ kind: 'cutOff' })).toBe(false)
    expect(stairOf({ things: [] })).toBeNull()
  })

  test('one that starts above the floor at the very end of the wall needs no landing, and one at its end has none', () => {
    const rise = { by: 'heights' as const, low: inches(9), high: inches(50) }
    for (const more of [
      { rises: 'left' as const, to: size.width },
      { rises: 'right' as const, from: ZERO },
    ]) {
      const things = made({ rise, landing: { low: true, high: false }, ...more })
      expect(things.map(({ kind }) => kind)).toEqual(['stair'])
      expect(stairThings(stair({ rise, ...more }), size).ok).toBe(true)
    }
    // the other end of the wall is no help
    expect(stairThings(stair({ rise, rises: 'left', from: ZERO }), size).ok).toBe(false)
    const atTop = made({
      to: size.width,
      rise: { by: 'step', rise: inches(7), run: inches(10.5) },
      landing: { low: true, high: true },
    })
    expect(atTop.map(({ kind }) => kind)).toEqual(['stair'])
  })

  test('a step without a run is no stair', () => {
    const rise = { by: 'step' as const, rise: inches(7), run: ZERO }
    expect(stairThings(stair({ rise }), size)).toEqual({ ok: false, issue: { code: 'noRise' } })
  })

  test.each([
    ['noRun', { to: inches(20) }],
    ['noRise', { rise: { by: 'heights', low: inches(9), high: inches(9) } }],
    ['pastWall', { to: inches(140) }],
    ['aboveWall', { rise: { by: 'pitch', deg: 60 } }],
    ['needsLanding', { rise: { by: 'heights', low: inches(9), high: inches(50) } }],
  ] as [string, Partial<Stair>][])('%s', (code, more) => {
    expect(stairThings(stair(more), size)).toEqual({ ok: false, issue: { code } })
  })

  test('a layout that follows it stands on its skirt board, and on the baseboard beside it', () => {
    const skirt = { height: inches(3), thickness: inches(0.75) }
    const plan = computePlan(
      wallOf(
        { ...size, baseboard: keptBase(5), things: made({ skirt, landing: { low: false, high: true } }) },
        {
          levelRule: 'floor',
          foot: { kind: 'baseboard' },
          topRail: null,
          height: { rule: 'typed', value: inches(40) },
          spacing: { school: 'equalByCount', strips: 6, ends: 'gap' },
        },
      ),
    )
    const lows = plan.pieces
      .map(({ polygon }) => boundsOf(polygon))
      .map(({ left, bottom }) => ({
        x: toInches(left as never),
        y: toInches(bottom as never),
      }))
    for (const { x, y } of lows) {
      const nosing = x < 24 ? 0 : x > 108 ? 56 : ((x - 24) * 2) / 3
      const over = x >= 24 && x + 2.5 <= 108 ? 3 : 5
      if (x + 2.5 > 24 && x < 24) continue
      if (x + 2.5 > 108 && x < 108) continue
      expect(y - nosing).toBeCloseTo(over, 2)
    }
  })

  test('law: boxes along a stair are parallelograms that keep their margin', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 45 }),
        fc.constantFrom('left' as const, 'right' as const),
        (deg, rises) => {
          const things = stairThings(
            stair({ from: ZERO, to: inches(100), rises, rise: { by: 'pitch', deg } }),
            { width: inches(100), height: inches(200) },
          )
          if (!things.ok) throw new Error(things.issue.code)
          const { layout } = computePlan(
            wallOf(
              { width: inches(100), height: inches(200), things: things.value },
              {
                pattern: 'boxes',
                levelRule: 'floor',
                topRail: { material: 'chair-rail' },
                height: { rule: 'typed', value: inches(36) },
              },
            ),
          )
          expect(layout.frames.length).toBeGreaterThan(1)
          const slope = Math.tan((deg * Math.PI) / 180) * (rises === 'right' ? 1 : -1)
          for (const { outline } of layout.frames) {
            expect(outline).toHaveLength(4)
            const sides = outline.map((a, i) => {
              const b = outline[(i + 1) % 4] ?? a
              return b.x === a.x ? Infinity : (b.y - a.y) / (b.x - a.x)
            })
            const raked = sides.filter((each) => Number.isFinite(each) && Math.abs(each) < 10)
            expect(raked).toHaveLength(2)
            for (const each of raked) expect(each).toBeCloseTo(slope, 4)
          }
        },
      ),
      { numRuns: 40 },
    )
  })

  test('on the wall it takes all below its nosings and its skirt board; taken off the wall it takes nothing', () => {
    const skirt = { height: inches(3), thickness: inches(0.75) }
    const outlineOfStair = (more: Partial<Stair>) => {
      const { survey } = wallOf({ ...size, things: made({ skirt, ...more }) }).wall
      return obstaclesOf(survey).map(({ outline }) =>
        outline.map(({ x, y }) => [x, y].map((at) => toInches(at as never))),
      )
    }
    expect(outlineOfStair({})).toEqual([
      [
        [24, 0],
        [108, 0],
        [108, 59],
        [24, 3],
      ],
    ])
    expect(outlineOfStair({ rises: 'left' })).toEqual([
      [
        [24, 0],
        [108, 0],
        [108, 3],
        [24, 59],
      ],
    ])
    const gone = made({ skirt }).map((each) => ({ ...each, fate: 'remove' as const }))
    const planned = (things: Thing[]) =>
      computePlan(wallOf({ ...size, things }, { levelRule: 'floor', foot: { kind: 'floor' } })).pieces
    expect(planned(gone)).toEqual(planned([]))
  })

  test('is told from a survey by itself, whatever stands before it in the list', () => {
    const things = made({
      rise: { by: 'heights', low: inches(9), high: inches(50) },
      landing: { low: true, high: true },
    })
    const other = thing('outlet', 4, 100, 2.75, 4.5)
    const found = stairOf({ things: [other, ...[...things].reverse()] })
    expect(found).toMatchObject({ from: inches(24), to: inches(108), skirt: null })
    expect(found?.landing).toEqual({ low: true, high: true })
    expect(stairOf({ things: [other] })).toBeNull()
    // other obstacles are no landings
    expect(stairOf({ things: [other, ...made()] })?.landing).toEqual({ low: false, high: false })
    const skirt = { height: inches(9), thickness: inches(0.75) }
    expect(stairOf({ things: made({ skirt }) })?.skirt).toEqual(skirt)
  })
})
