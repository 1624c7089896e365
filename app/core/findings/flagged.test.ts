import fc from 'fast-check'
import { anyMeetingWall, anyOldWall, met, runs } from '../../../tests/anyWall'
import { keptBase, thing, wallOf } from '../../../tests/namedWalls'
import { inches } from '~/length'
import { computePlan } from '../computePlan'
import { flaggedIn } from './flagged'

describe('what is drawn in red dashes', () => {
  test('a note about all battens draws none of them; one that meets a plate is drawn, with the plate', () => {
    const design = {
      foot: { kind: 'baseboard' as const },
      spacing: { school: 'equalByCount' as const, strips: 6, ends: 'strip' as const },
    }
    const thin = { ...keptBase(4), thickness: inches(0.5) }
    const all = computePlan(wallOf({ baseboard: thin }, design))
    const note = all.findings.find(({ says }) => says.code === 'proudOf')
    expect(note?.stripIds.length).toBe(6)
    expect([...flaggedIn(all)]).toEqual([])
    const [, second] = all.layout.uprights
    const met = computePlan(
      wallOf(
        {
          baseboard: thin,
          things: [{ ...thing('outlet', 0, 20, 2.75, 4.5), left: second?.left ?? inches(0) }],
        },
        design,
      ),
    )
    expect(flaggedIn(met)).toEqual(new Set([second?.id, met.layout.obstacles.find(({ plate }) => plate)?.id]))
  })

  test('law: what is wrong with a strip marks it; a note marks some strips of a kind or none', () => {
    let marked = 0
    fc.assert(
      fc.property(fc.oneof(anyMeetingWall, anyOldWall), (workpiece) => {
        const plan = computePlan(workpiece)
        const flagged = flaggedIn(plan)
        marked += flagged.size
        const wrong = plan.findings.filter(
          ({ severity, stage }) => severity === 'wrong' && stage !== 'measure',
        )
        for (const { stripIds } of wrong) for (const id of stripIds) expect(flagged.has(id)).toBe(true)
        const said = plan.findings.filter(({ severity }) => severity === 'wrong' || severity === 'watch')
        for (const id of flagged)
          expect(
            said.some(
              ({ stripIds, says }) => stripIds.includes(id) || ('thingId' in says && says.thingId === id),
            ),
          ).toBe(true)
      }),
      { numRuns: runs(100) },
    )
    expect(marked).toBeGreaterThan(met(50))
  })
})
