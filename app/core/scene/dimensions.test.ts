import fc from 'fast-check'
import { formatLength, readOnTape } from '~/length'
import { anyMeetingWall, runs } from '../../../tests/anyWall'
import { computePlan } from '../computePlan'
import { heightMarks, hookedAt, runningMarks } from '../marks/runningMarks'
import { runningDimensions } from './dimensions'
import type { Marking } from './rods'

test('on any wall the figures are what is marked: each place its own reading from one zero, in order, none twice', () => {
  fc.assert(
    fc.property(
      anyMeetingWall,
      fc.constantFrom('left' as const, 'right' as const),
      fc.constantFrom('foot' as const, 'head' as const),
      (workpiece, datum, hook) => {
        const { survey } = workpiece.wall
        const { units, tape } = workpiece.settings
        const marking: Marking = { datum, hook, edge: 'near', tape, format: { units, tape } }
        const plan = computePlan(workpiece)
        const { foot, head, side } = runningDimensions(plan, survey, marking)
        for (const { figures } of [foot, head, side])
          figures.slice(1).forEach(({ at }, i) => expect(at).toBeGreaterThan(figures[i]?.at ?? 0))
        const text = (exact: number) => formatLength(readOnTape(exact, tape).tick, marking.format)
        const marks = runningMarks(plan.layout, datum, tape, hook)
        if (marks.length > 0) {
          expect(foot.zero).toBe(hookedAt(plan.layout, datum, hook))
          // an edge that another strip's edge falls on is one figure
          const told = new Set(foot.figures.map((figure) => figure.text))
          for (const { near, far } of marks)
            for (const { exact } of [near, far]) expect(told).toContain(text(exact))
          for (const { at, text: said } of foot.figures) expect(said).toBe(text(Math.abs(at - foot.zero)))
        }
        const heights = heightMarks(plan.layout, tape)
        expect(side.figures.map((figure) => figure.text)).toEqual(
          expect.arrayContaining(heights.map(({ reading }) => formatLength(reading.tick, marking.format))),
        )
        // the whole wall is told, and every side of what stands on it
        expect(head.figures.some(({ id }) => id === 'whole') || survey.things.length > 0).toBe(true)
      },
    ),
    { numRuns: runs(80) },
  )
})
