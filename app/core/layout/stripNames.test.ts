import fc from 'fast-check'
import { anyMeetingWall } from '../../../tests/anyWall'
import { inForce, withDesign } from '~/model'
import { wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { stripNames } from './stripNames'

test('a law: every strip a plan speaks of has a name, and no two have the same', () => {
  fc.assert(
    fc.property(anyMeetingWall, (workpiece) => {
      const plan = computePlan(workpiece)
      const names = stripNames(plan.layout)
      const spoken = [
        ...plan.pieces.map(({ stripId }) => stripId),
        ...plan.findings.flatMap(({ stripIds }) => stripIds),
      ]
      expect(spoken.filter((id) => !names.has(id))).toEqual([])
      const said = [...names.values()].map(({ kind, number }) => `${kind} ${number}`)
      expect(new Set(said).size).toBe(said.length)
    }),
    { numRuns: 150 },
  )
})

test('a horizontal is called by its use and its place among those, whatever its id', () => {
  const start = wallOf()
  const [rail] = inForce(
    withDesign(start.wall.design, {
      rails: [
        { id: 'shelf-9', use: 'chairRail', material: 'chair-rail', lay: 'edge', top: { rule: 'third' } },
      ],
    }),
  ).rails
  if (!rail) throw new Error('no rail')
  const named = (...uses: (typeof rail)['use'][]) => {
    const rails = uses.map((use, i) => ({ ...rail, id: `mine.${i}`, use }))
    const design = withDesign(start.wall.design, { rails })
    const names = stripNames(computePlan({ ...start, wall: { ...start.wall, design } }).layout)
    return rails.map(({ id }) => names.get(id))
  }
  expect(named('chairRail')).toEqual([{ kind: 'chairRail', number: null }])
  expect(named('chairRail', 'rail', 'chairRail')).toEqual([
    { kind: 'chairRail', number: 1 },
    { kind: 'rail', number: 1 },
    { kind: 'chairRail', number: 2 },
  ])
})
