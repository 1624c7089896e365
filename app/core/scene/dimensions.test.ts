import fc from 'fast-check'
import { formatLength, readOnTape } from '~/length'
import { anyMeetingWall, runs } from '../../../tests/anyWall'
import { computePlan } from '../computePlan'
import { heightMarks, hookedAt, runningMarks } from '../marks/runningMarks'
import { profileAt } from '../survey/profile'
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
        // the whole wall is told as it is along its floor, whatever its round figure
        const { shape, lines } = plan.layout
        const ends = [shape.left, shape.right].map((end) => profileAt(end, lines.base.at0))
        const wide = (ends[1] ?? 0) - (ends[0] ?? 0)
        const far = datum === 'left' ? head.figures.at(-1) : head.figures[0]
        const whole = head.figures.find(({ id }) => id === 'whole')
        expect((whole ?? far)?.text).toBe(text(wide))
      },
    ),
    { numRuns: runs(80) },
  )
})
