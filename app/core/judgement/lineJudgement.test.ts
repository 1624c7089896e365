import fc from 'fast-check'
import { inches, nearestNanometer } from '~/length'
import { inForce, type Move } from '~/model'
import { lineWall, STRIP } from '../../../tests/lineWalls'
import { thing } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import { cutWall } from '../layout/cutWall'
import { lineLook } from './lineLook'
import { moveCosts } from './moveCosts'
import { nudgesFor, platesHit } from './nudges'

const diagonals = (more: Partial<Extract<Move, { kind: 'diagonals' }>> = {}): Move => ({
  id: 'm1',
  on: true,
  material: STRIP,
  kind: 'diagonals',
  deg: 45,
  clear: inches(9),
  start: 'center',
  where: 'field',
  ...more,
})
function withOutlets(workpiece: ReturnType<typeof lineWall>, at: readonly (readonly [number, number])[]) {
  const things = at.map(([left, bottom], i) => ({
    ...thing('outlet', left, bottom, 2.75, 4.5),
    id: `outlet-${i}`,
  }))
  return { ...workpiece, wall: { ...workpiece.wall, survey: { ...workpiece.wall.survey, things } } }
}

describe('nudging a field of lines', () => {
  test('an outlet under a line is cleared in one press, as near as may be', () => {
    const wall = withOutlets(lineWall(120, 80, [diagonals()]), [[45, 44]])
    const { now, found, whole } = nudgesFor(wall)
    expect([now, whole]).toEqual([1, true])
    const [best] = found
    expect(best?.hits).toBe(0)
    const after = applyEdits(wall, best?.edits ?? [])
    expect(platesHit(cutWall(after))).toBe(0)
    expect(computePlan(after).findings.some(({ says }) => says.code === 'stripMeets')).toBe(false)
    // nothing nearer on the tape clears it along that axis
    const { lines } = inForce(wall.wall.design)
    for (let by: number = inches(1 / 16); by < Math.abs(best?.by ?? 0); by += inches(1 / 16))
      for (const sign of [1, -1]) {
        const nudge = { ...lines.nudge, [best?.axis ?? 'up']: nearestNanometer(sign * by) }
        const tried = applyEdits(wall, [{ type: 'patchDesign', patch: { lines: { ...lines, nudge } } }])
        expect(platesHit(cutWall(tried))).toBeGreaterThan(0)
      }
  })

  test('law: what its button says is what comes, wherever the plates are', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 5, max: 110 }), fc.integer({ min: 5, max: 70 })), {
          minLength: 1,
          maxLength: 3,
        }),
        fc.constantFrom(30, 45, 60),
        (plates, deg) => {
          const wall = withOutlets(lineWall(120, 80, [diagonals({ deg })]), plates)
          const { now, found } = nudgesFor(wall)
          for (const { hits, edits, pieces } of found) {
            const cut = cutWall(applyEdits(wall, edits))
            expect(platesHit(cut)).toBe(hits)
            expect(hits).toBeLessThan(now)
            expect(cut.pieces).toHaveLength(pieces)
          }
        },
      ),
      { numRuns: 12 },
    )
  })
})

describe('how it looks, in numbers', () => {
  test('a mirrored pair weighs the same on both sides; without one of them it does not', () => {
    const strike: Move = {
      id: 'm1',
      on: true,
      material: STRIP,
      kind: 'strike',
      from: { at: 'corner', corner: 'bottomLeft' },
      heading: { to: 'angle', deg: 60 },
      until: { kind: 'length', length: inches(40) },
      lies: 'center',
    }
    const pair = computePlan(
      lineWall(120, 80, [
        strike,
        { id: 'm2', on: true, material: STRIP, kind: 'mirror', of: ['m1'], about: { line: 'upright' } },
      ]),
    )
    const look = lineLook(pair.layout, pair.pieces)
    expect((look?.left ?? 0) / (look?.right ?? 1)).toBeCloseTo(1, 6)
    const alone = computePlan(lineWall(120, 80, [strike]))
    expect(lineLook(alone.layout, alone.pieces)?.right).toBeCloseTo(0, -8)
    expect(lineLook(alone.layout, alone.pieces)?.pieces).toBe(1)
  })
})

describe('what a move costs', () => {
  test('is what the plan has less without it, and what it would have more with one that is off', () => {
    const wall = lineWall(120, 80, [diagonals(), { ...diagonals({ deg: 135 }), id: 'm2', on: false }])
    const [first, second] = moveCosts(wall)
    expect(first?.pieces).toBe(computePlan(wall).pieces.length)
    expect(first?.boards).toBeGreaterThan(0)
    expect(first?.cost).toBe((first?.boards ?? 0) * 700)
    const { lines } = inForce(wall.wall.design)
    const both = applyEdits(wall, [
      {
        type: 'patchDesign',
        patch: { lines: { ...lines, moves: lines.moves.map((move) => ({ ...move, on: true })) } },
      },
    ])
    expect(second?.pieces).toBe(computePlan(both).pieces.length - computePlan(wall).pieces.length)
  })
})
