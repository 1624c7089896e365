import fc from 'fast-check'
import { computePlan } from '~/core/computePlan'
import { buildScene } from '~/core/scene/buildScene'
import { sceneBounds } from '~/core/scene/bounds'
import { wordingOf } from '~/editor/planOf'
import { findingText, layoutTitle } from '~/messages'
import { runs } from './anyWall'
import { anyExtremeWall } from './extremes'

test('law: no wall that documents can hold breaks the plan, the drawing or the words', () => {
  fc.assert(
    fc.property(anyExtremeWall, (workpiece) => {
      const plan = computePlan(workpiece)
      const words = wordingOf(workpiece)
      expect(layoutTitle(plan, words)).not.toBe('')
      for (const finding of plan.findings) findingText(finding.says, words)
      const { left, right } = sceneBounds(buildScene(plan, workpiece.wall.survey))
      expect(Number.isFinite(left) && Number.isFinite(right)).toBe(true)
    }),
    { numRuns: runs(250) },
  )
})
