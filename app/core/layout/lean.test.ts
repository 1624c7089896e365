import fc from 'fast-check'
import { inches, toInches } from '~/length'
import { type Stand, withDesign, type Workpiece } from '~/model'
import { anyOldWall, met, runs } from '../../../tests/anyWall'
import { reading, thing, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { edgesAlong, hookedAt, runningMarks, spacerBlock } from '../marks/runningMarks'
import { isUpright } from '../pieces'
import { profileAt } from '../survey/profile'
import { edgesAt, isLeaning } from './lean'
import { cornersShared, sightOf, sightsOf } from './sight'

function stood({ wall, settings }: Workpiece, stand: Stand): Workpiece {
  return { settings, wall: { ...wall, design: withDesign(wall.design, { stand }) } }
}

/** A wall of 143 by 94 whose left corner leans in by 1/2 in 80, its floor falling by 3/4 over it. */
const old = wallOf(
  {
    width: inches(143),
    height: inches(94),
    readings: [reading('plumbLeft', 80, 0.5), reading('floorFall', 143, 0.75)],
  },
  {
    spacing: { school: 'equalByCount', strips: 5, ends: 'strip' },
    foot: { kind: 'floor' },
    topRail: null,
    height: { rule: 'typed', value: inches(80) },
    levelRule: 'floor',
  },
)

describe('how uprights stand', () => {
  test('parallel to a corner the first strip lies hard along it, foot and head', () => {
    const { layout } = computePlan(stood(old, { kind: 'left' }))
    const [first] = layout.uprights
    if (!first) throw new Error('no strip')
    for (const y of [0, 20, 60, 80].map(inches))
      expect(edgesAt(layout, first, y).left - profileAt(layout.shape.left, y)).toBeCloseTo(0, -3)
    expect(toInches(sightOf(layout)?.offPlumb ?? NaN)).toBeCloseTo(0.5, 2)
    expect(sightOf(layout)?.leftCorner).toBeCloseTo(0, -3)
  })

  test('square to rails that follow the floor it is off plumb by as much as they fall', () => {
    const { layout } = computePlan(stood(old, { kind: 'square' }))
    const sight = sightOf(layout)
    // over 80 of height a floor of 3/4 in 143
    expect(toInches(sight?.offPlumb ?? NaN)).toBeCloseTo((0.75 / 143) * 80, 3)
    expect(sight?.offFloor).toBeCloseTo(0, -3)
  })

  test('a lean of its own is shared out: whole at the two ends, half way between in the middle', () => {
    const { layout } = computePlan(stood(old, { kind: 'own', left: inches(0.5), right: inches(-0.25) }))
    const heads = layout.uprights.map((each) => {
      const [low, high] = [edgesAt(layout, each, inches(0)), edgesAt(layout, each, inches(94))]
      return toInches(high.left - low.left)
    })
    expect(heads[0]).toBeCloseTo(0.5, 1)
    expect(heads[2]).toBeCloseTo(0.125, 1)
    expect(heads[4]).toBeCloseTo(-0.25, 1)
  })

  test('the schools are told side by side, with what the eye sees of each', () => {
    const sights = sightsOf(stood(old, { kind: 'own', left: inches(1), right: inches(0) }))
    expect(sights.map(({ stand }) => stand.kind)).toEqual(['plumb', 'square', 'left', 'right', 'own'])
    expect(sights[0]?.offPlumb).toBe(0)
    expect(toInches(sights[0]?.leftCorner ?? NaN)).toBeCloseTo(-0.5, 2)
    const shared = cornersShared(computePlan(old).layout)
    expect(toInches(shared.left)).toBeCloseTo((0.5 / 80) * 94, 3)
    expect(shared.right).toBe(0)
  })

  test('along a stair square uprights would be none: they stay plumb', () => {
    const { layout } = computePlan(
      wallOf(
        { things: [thing('cutOff', 20, 0, 80, 50, { slope: 'risesRight' })] },
        { stand: { kind: 'square' }, levelRule: 'floor' },
      ),
    )
    expect(isLeaning(layout.lean)).toBe(false)
  })

  test('one that anyone sees is told, with the way back', () => {
    const plan = computePlan(stood(old, { kind: 'own', left: inches(3), right: inches(3) }))
    const told = plan.findings.find(({ says }) => says.code === 'leansFar')
    expect(told?.waysOut.map(({ says }) => says.code)).toEqual(['standPlumb'])
    expect(computePlan(old).findings.some(({ says }) => says.code === 'leansFar')).toBe(false)
  })
})

describe('laws of leaning uprights', () => {
  const leaning = (workpiece: Workpiece) => {
    const plan = computePlan(workpiece)
    return isLeaning(plan.layout.lean) && plan.layout.uprights.length > 0 ? plan : null
  }

  test('a mark at foot and head is where the piece’s own edge is', () => {
    let seen = 0
    fc.assert(
      fc.property(anyOldWall, (workpiece) => {
        const plan = leaning(workpiece)
        if (!plan) return
        const { layout, pieces } = plan
        for (const hook of ['foot', 'head'] as const) {
          const zero = hookedAt(layout, 'left', hook)
          const marks = runningMarks(layout, 'left', '1/32', hook)
          for (const upright of layout.uprights) {
            const mark = marks.find(({ stripId }) => stripId === upright.id)
            const own = pieces.filter(
              ({ stripId, role, notches }) =>
                stripId === upright.id && isUpright(role) && notches.length === 0,
            )
            for (const { face } of own) {
              // the left edge of the face as a line, taken to the height the tape lies at
              const [top, bottom] = [...face].sort((a, b) => a.x - b.x || b.y - a.y)
              if (!top || !bottom || face.length !== 4) continue
              const edges = edgesAlong(layout, upright, hook)
              const lean = Math.tan((90 - (own[0]?.directionDeg ?? 90)) * (Math.PI / 180))
              const anchor = face.reduce((best, p) => (p.x - lean * p.y < best.x - lean * best.y ? p : best))
              const y = layout.lines.base.at0 + layout.lines.base.slope * ((upright.left + upright.right) / 2)
              const at = y + (hook === 'foot' ? layout.uprightFoot : layout.uprightHead)
              if (layout.lines.followed.length > 0) continue
              expect(Math.abs(anchor.x + lean * (at - anchor.y) - edges.left)).toBeLessThan(2_000)
              expect(Math.abs((mark?.near.exact ?? NaN) + zero - edges.left)).toBeLessThan(2)
              seen += 1
            }
          }
        }
      }),
      { numRuns: runs(120) },
    )
    expect(seen).toBeGreaterThan(met(50))
  })

  test('gaps and strips close along the base line, and a block holds the gap only where it is one', () => {
    fc.assert(
      fc.property(anyOldWall, (workpiece) => {
        const plan = leaning(workpiece)
        if (!plan) return
        expect(Math.abs(plan.closing?.difference ?? 0)).toBe(0)
        const { layout } = plan
        const block = spacerBlock(layout, 'left', '1/16')
        if (!block || layout.sections.length > 1) return
        layout.uprights.slice(1).forEach((next, i) => {
          const before = layout.uprights[i]
          if (!before) return
          const gap = edgesAlong(layout, next, 'foot').left - edgesAlong(layout, before, 'foot').right
          expect(Math.abs(gap - block.length.exact)).toBeLessThan(inches(1 / 64))
        })
      }),
      { numRuns: runs(120) },
    )
  })

  test('leaning the other way mirrors the wall', () => {
    fc.assert(
      fc.property(fc.integer({ min: -16, max: 16 }), fc.integer({ min: -16, max: 16 }), (left, right) => {
        const plain = wallOf({}, { spacing: { school: 'equalByCount', strips: 5, ends: 'gap' } })
        const one = computePlan(
          stood(plain, { kind: 'own', left: inches(left / 16), right: inches(right / 16) }),
        )
        const other = computePlan(
          stood(plain, { kind: 'own', left: inches(-right / 16), right: inches(-left / 16) }),
        )
        const width = plain.wall.survey.width
        const mirrored = [...other.layout.uprights].reverse()
        one.layout.uprights.forEach((each, i) => {
          expect(Math.abs(each.left - (width - (mirrored[i]?.right ?? NaN)))).toBeLessThan(3)
        })
        expect(one.pieces.map(({ longLength }) => longLength).sort()).toEqual(
          other.pieces.map(({ longLength }) => longLength).sort(),
        )
      }),
      { numRuns: 60 },
    )
  })
})
