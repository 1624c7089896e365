import fc from 'fast-check'
import { inches, nanometers } from '~/length'
import type { Act, YardAct } from '~/model'
import { runs } from '../../../tests/anyWall'
import { driftOf, ENOUGH_READINGS, learnErrors } from './learnErrors'
import { MADE_UP } from './simulate'
import { closureWith, errorOfHook, errorOfTurned, isTrueEnough, offOver, toolsProved } from './tools'

let n = 0
const read = (off: number, strip = `batten-${n}`): Act => ({
  id: `read-${String(++n).padStart(6, '0')}`,
  kind: 'builtAt',
  doneAt: n,
  strip,
  edge: 'left',
  place: nanometers(Math.round(inches(40) + off)),
  planned: inches(40),
  with: 'tape',
})
const tick = inches(1 / 16)

describe('tools turned round (common practice, no source)', () => {
  test('a level errs both ways: half of what its two marks lie apart; over a longer line in proportion', () => {
    expect(errorOfTurned(0, inches(1 / 8))).toBe(inches(1 / 16))
    const proved = { tool: 'level' as const, error: inches(1 / 16), over: inches(48), provedAt: 0 }
    expect(offOver(proved, inches(144))).toBe(inches(3 / 16))
    expect(isTrueEnough(proved, inches(48), inches(1 / 16))).toBe(true)
    expect(isTrueEnough(proved, inches(144), inches(1 / 16))).toBe(false)
  })
  test('a hook that reads otherwise pushed than pulled widens what a chain may miss by', () => {
    const error = errorOfHook(inches(30 + 1 / 16), inches(30))
    const proved = [{ tool: 'tapeHook' as const, error, over: null, provedAt: 0 }]
    expect(closureWith(inches(1 / 8), proved)).toBe(inches(3 / 16))
    expect(learnErrors([], proved).errors.hook).toBe(inches(1 / 16))
  })
  test('the last proof of each tool counts', () => {
    const act = (doneAt: number, error: number): YardAct => ({
      id: `tool-000${doneAt}`,
      kind: 'toolProved',
      doneAt,
      tool: 'level',
      error: inches(error),
      over: inches(48),
    })
    expect(toolsProved([act(2, 0), act(1, 1)])).toMatchObject([{ tool: 'level', error: 0, provedAt: 2 }])
  })
})

describe('a crew’s own errors', () => {
  test('are made up until there are enough readings; then their spread, whatever one of them was', () => {
    expect(learnErrors([read(0), read(tick)]).errors).toEqual(MADE_UP)
    const many = [-3, -2, -1, -1, 0, 1, 1, 2, 3].map((part) => read((part * tick) / 4))
    const plain = learnErrors(many)
    expect(plain.readings).toBeGreaterThanOrEqual(ENOUGH_READINGS)
    expect(plain.errors.running).toBeGreaterThan(0)
    const wild = learnErrors([...many, read(inches(9))])
    expect(wild.errors.running).toBeLessThan(plain.errors.running * 2)
  })
  test('three in a row on one side are told: all alike the tape’s end, more and more the block; two are not, nor three that differ', () => {
    expect(driftOf([read(tick), read(tick)], tick)).toBeNull()
    expect(driftOf([read(2 * tick), read(2 * tick), read(2 * tick)], tick)).toMatchObject({
      side: 'long',
      how: 'same',
    })
    expect(driftOf([read(-2 * tick), read(-4 * tick), read(-6 * tick)], tick)).toMatchObject({
      side: 'short',
      how: 'growing',
      by: -2 * tick,
    })
    expect(driftOf([read(2 * tick), read(-2 * tick), read(2 * tick)], tick)).toBeNull()
    // less than a tick is no drift
    expect(driftOf([read(tick / 2), read(tick / 2), read(tick / 2)], tick)).toBeNull()
  })
  test('law: drift is told of the last three alone, and turns with their sign', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -9, max: 9 }), { minLength: 3, maxLength: 8 }), (offs) => {
        const of = (sign: number) =>
          driftOf(
            offs.map((off) => read(sign * off * tick)),
            tick,
          )
        const [here, there] = [of(1), of(-1)]
        expect(here === null).toBe(there === null)
        if (here && there) {
          expect(here.side).not.toBe(there.side)
          expect(here.by).toBeCloseTo(-there.by, 6)
        }
        const last = offs.slice(-3)
        const oneSide = last.every((off) => off >= 1) || last.every((off) => off <= -1)
        expect(here !== null).toBe(oneSide)
      }),
      { numRuns: runs(80) },
    )
  })
})
