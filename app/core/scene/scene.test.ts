import fc from 'fast-check'
import { inches } from '~/length'
import { anyMeetingWall } from '../../../tests/anyWall'
import { computePlan } from '../computePlan'
import { edgesAt } from '../layout/lean'
import { edgesAlong, runningMarks } from '../marks/runningMarks'
import { nodeBounds, sceneBounds } from './bounds'
import { buildScene } from './buildScene'
import { gapDimension, type Marking } from './rods'

const marking = (datum: Marking['datum'], edge: Marking['edge']): Marking => ({
  datum,
  edge,
  hook: 'foot',
  tape: '1/16',
  format: { units: 'inches', tape: '1/16' },
})

describe('a scene', () => {
  test('a law: ids stand once, every node has its bounds, and the scene has room for each', () => {
    fc.assert(
      fc.property(anyMeetingWall, (workpiece) => {
        const { nodes, ...size } = buildScene(
          computePlan(workpiece),
          workpiece.wall.survey,
          marking('left', 'near'),
        )
        const ids = nodes.map(({ kind, id }) => `${kind} ${id}`)
        expect(new Set(ids).size).toBe(ids.length)
        const all = sceneBounds({ nodes, ...size })
        for (const node of nodes) {
          const { left, right, bottom, top } = nodeBounds(node)
          expect(right).toBeGreaterThanOrEqual(left)
          expect(top).toBeGreaterThanOrEqual(bottom)
          expect([all.left <= left, all.right >= right, all.bottom <= bottom, all.top >= top]).toEqual(
            Array(4).fill(true),
          )
        }
      }),
      { numRuns: 120 },
    )
  })

  test('a law: the rod’s marks are the running marks, on the wall, from either corner and of any edge', () => {
    fc.assert(
      fc.property(
        anyMeetingWall,
        fc.constantFrom('left' as const, 'right' as const),
        fc.constantFrom('near' as const, 'center' as const, 'far' as const),
        (workpiece, datum, edge) => {
          const plan = computePlan(workpiece)
          const { layout } = plan
          const nodes = buildScene(plan, workpiece.wall.survey, marking(datum, edge)).nodes
          const rods = nodes.flatMap((node) => (node.kind === 'rodMark' ? [node] : []))
          expect(rods.map(({ stripId }) => stripId).sort()).toEqual(
            runningMarks(layout, datum, '1/16')
              .map(({ stripId }) => stripId)
              .sort(),
          )
          for (const { stripId, markAt, left, right } of rods) {
            const strip = layout.uprights.find(({ id }) => id === stripId)
            expect({ left, right }).toEqual(strip && edgesAlong(layout, strip, 'foot'))
            // near is the edge nearest to the corner the tape is hooked in
            const edges = datum === 'left' ? { near: left, far: right } : { near: right, far: left }
            const wanted = edge === 'center' ? (left + right) / 2 : edges[edge]
            expect(Math.abs(markAt - wanted)).toBeLessThanOrEqual(1)
          }
        },
      ),
      { numRuns: 120 },
    )
  })

  test('without a marking there are no rods', () => {
    const [workpiece] = fc.sample(anyMeetingWall, { numRuns: 1, seed: 4 })
    if (!workpiece) throw new Error('no wall')
    const kinds = buildScene(computePlan(workpiece), workpiece.wall.survey).nodes.map(({ kind }) => kind)
    expect(kinds).not.toContain('rodMark')
    expect(kinds).not.toContain('height')
  })

  test('a law: the gap that is shown lies between two neighbors, or across a box, and is as large as it says', () => {
    fc.assert(
      fc.property(anyMeetingWall, fc.nat(6), (workpiece, pick) => {
        const plan = computePlan(workpiece)
        const { uprights } = plan.layout
        const gap = gapDimension(plan, uprights[pick]?.id ?? null, marking('left', 'near').format)
        if (!gap) return
        expect(gap.right).toBeGreaterThan(gap.left)
        // where strips lean their edges are where they are at that height
        const isBoxes = workpiece.wall.design.pattern === 'boxes'
        const faces = new Set(
          uprights
            .map((each) => (isBoxes ? each : edgesAt(plan.layout, each, gap.y)))
            .flatMap(({ left, right }) => [left, right]),
        )
        expect([faces.has(gap.left as never), faces.has(gap.right as never)]).toEqual([true, true])
        expect(gap.right - gap.left).toBeLessThan(inches(1000))
      }),
      { numRuns: 120 },
    )
  })
})
