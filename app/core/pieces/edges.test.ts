import fc from 'fast-check'
import { anyLineWall, anyMeetingWall, anyOldWall, met, runs } from '../../../tests/anyWall'
import { anyBoxWall } from '../../../tests/anyBoxWall'
import { inches } from '~/length'
import { computePlan } from '../computePlan'
import { unitVector } from '../geometry'
import { edgesOf } from './edges'

const card = (start: Parameters<typeof edgesOf>[0]['start'], end: typeof start, long: number) => ({
  longLength: inches(long),
  cutLength: inches(long),
  faceWidth: inches(1.5),
  start,
  end,
})
const miter = (sawSettingDeg: number, longEdge: 'left' | 'right') =>
  ({ kind: 'miter', sawSettingDeg, longEdge }) as const

describe('the lengths one measures', () => {
  // worked by hand: a strip 1 1/2 wide across a bay of 44 1/4 at 35 degrees: 44.25 / cos 35 = 54.0196 along each edge, 1.5 x tan 35 = 1.0503 more
  // from tip to tip
  test('a slant with parallel ends is as long along each edge, and longer from tip to tip', () => {
    const edge = 44.25 / Math.cos((35 * Math.PI) / 180)
    const over = 1.5 * Math.tan((35 * Math.PI) / 180)
    const found = edgesOf(card(miter(35, 'left'), miter(35, 'right'), edge + over))
    for (const side of [found.left, found.right, found.measured])
      expect(Math.abs(side / inches(1) - edge)).toBeLessThan(1e-6)
    expect(found.straight).toBe(false)
  })

  test('the side of a frame is measured along its long edge, a square one along either', () => {
    const side = edgesOf(card(miter(45, 'left'), miter(45, 'left'), 20))
    expect(side).toMatchObject({ left: inches(20), right: inches(17), measured: inches(20), straight: true })
    const square = edgesOf(card({ kind: 'square' }, { kind: 'square' }, 20))
    expect(square).toMatchObject({
      left: inches(20),
      right: inches(20),
      measured: inches(20),
      straight: true,
    })
  })

  test('what an end hides behind its face is part of the length', () => {
    const beveled = {
      ...card({ kind: 'square' }, { kind: 'bevel', bevelDeg: 30 }, 20),
      cutLength: inches(20.4),
    }
    expect(edgesOf(beveled).measured).toBe(inches(20.4))
  })

  test('law: the edges of every piece are as long as its cut face has them, whatever ends it', () => {
    let slanted = 0
    fc.assert(
      fc.property(fc.oneof(anyMeetingWall, anyOldWall, anyLineWall, anyBoxWall), (workpiece) => {
        for (const piece of computePlan(workpiece).pieces) {
          if (piece.taper || piece.notches.length > 0) continue
          const u = unitVector(piece.directionDeg)
          const at = piece.polygon.map(({ x, y }) => ({ along: x * u.x + y * u.y, left: y * u.x - x * u.y }))
          const [low, high] = [
            Math.min(...at.map(({ left }) => left)),
            Math.max(...at.map(({ left }) => left)),
          ]
          const { left, right, measured, straight } = edgesOf(piece)
          if (!straight) slanted += 1
          // a needle may be narrower than its strip: its edges are not both there
          if (high - low < piece.faceWidth - 100) continue
          for (const [side, said] of [
            [high, left],
            [low, right],
          ] as const) {
            const on = at.filter((each) => Math.abs(each.left - side) < 100).map(({ along }) => along)
            // an end that leans less than fitting takes up is cut square
            const slack = [piece.start, piece.end].every(({ kind }) => kind === 'miter')
              ? 1_000
              : workpiece.settings.fit * 2
            expect(Math.abs(Math.max(...on) - Math.min(...on) - said)).toBeLessThanOrEqual(slack)
          }
          expect(measured).toBeLessThanOrEqual(piece.cutLength)
          expect(measured).toBeGreaterThanOrEqual(Math.max(left, right))
        }
      }),
      { numRuns: runs(120) },
    )
    expect(slanted).toBeGreaterThan(met(40))
  })
})
