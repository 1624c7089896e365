import fc from 'fast-check'
import { anyBoxWall } from '../../../tests/anyBoxWall'
import { anyMeetingWall, anyOldWall, anyPlainMeeting, met, runs } from '../../../tests/anyWall'
import { boxesWhole, brokenTold, type Law, mirrors, noStubs, nothingBehindStiles } from '../../../tests/laws'
import { mirrorable } from '../../../tests/mirror'
import type { Workpiece } from '~/model'
import { computePlan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'

function holds(walls: fc.Arbitrary<Workpiece>, laws: readonly Law[], times: number) {
  fc.assert(
    fc.property(walls, (workpiece) => {
      const plan = computePlan(workpiece)
      for (const law of laws) {
        const broken = law(workpiece, plan)
        if (broken) throw new Error(broken)
      }
    }),
    { numRuns: runs(times) },
  )
}

describe('laws of what is cut and where it goes', () => {
  test('a box is whole or it is told: no mark without its piece, no piece without its mark, no side missing', () => {
    holds(anyBoxWall, [boxesWhole, brokenTold], 200)
  })

  test('what is offered about a broken box leaves no box broken by it', () => {
    let offered = 0
    fc.assert(
      fc.property(anyBoxWall, (workpiece) => {
        for (const { says, waysOut } of computePlan(workpiece).findings) {
          if (says.code !== 'boxBroken') continue
          for (const { edits } of waysOut) {
            offered += 1
            const next = applyEdits(workpiece, edits)
            const plan = computePlan(next)
            if (plan.layout.broken.some(({ thingIds }) => thingIds.includes(says.thingId)))
              throw new Error(`${says.thingId} still breaks a box`)
            const broken = boxesWhole(next, plan)
            if (broken) throw new Error(broken)
          }
        }
      }),
      { numRuns: runs(120) },
    )
    expect(offered).toBeGreaterThan(met(10))
  })

  test('no stubs: what is small is named, and nothing lies behind a stile at an end of the wall', () => {
    holds(anyMeetingWall, [noStubs, nothingBehindStiles], 200)
  })

  test('small pieces that are left out are gone, and nothing else is', () => {
    let left = 0
    fc.assert(
      fc.property(anyMeetingWall, (workpiece) => {
        const plan = computePlan(workpiece)
        const small = plan.findings.find(({ says }) => says.code === 'smallPieces')
        const [way] = small?.waysOut ?? []
        if (!way || small?.says.code !== 'smallPieces') return
        left += 1
        const after = computePlan(applyEdits(workpiece, way.edits))
        expect(after.findings.some(({ says }) => says.code === 'smallPieces')).toBe(false)
        // slivers of struck lines are small as well
        if (plan.pieces.some(({ role }) => role === 'line')) return
        expect(after.pieces).toHaveLength(plan.pieces.length - small.says.pieceIds.length)
      }),
      { numRuns: runs(120) },
    )
    expect(left).toBeGreaterThan(met(5))
  })

  test('a wall in the mirror has the plan in the mirror', () => {
    holds(fc.oneof(anyPlainMeeting, anyOldWall).map(mirrorable), [mirrors], 250)
  })
})
