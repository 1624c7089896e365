import fc from 'fast-check'
import { anyBoxWall } from '../../../tests/anyBoxWall'
import { anyMeetingWall, met, runs } from '../../../tests/anyWall'
import { thing, wallOf } from '../../../tests/namedWalls'
import { inches } from '~/length'
import { STARTING_JUDGEMENT } from '~/model'
import { isPlate } from '../survey/obstacles'
import { propose } from './propose'

test('law: the best layout that clears the plates is always among those shown', () => {
  let [clear, tried] = [0, 0]
  fc.assert(
    fc.property(fc.oneof(anyMeetingWall, anyBoxWall), (workpiece) => {
      const found = propose(workpiece)
      if (found.proposals.length === 0) return
      tried += 1
      const plates = new Set(
        workpiece.wall.survey.things.filter((each) => isPlate(each.kind)).map(({ id }) => id),
      )
      const isClear = ({ hits }: (typeof found.proposals)[number]) => !hits.some((id) => plates.has(id))
      // ordered by score, whichever they are
      const scores = found.proposals.map(({ score }) => score)
      expect(scores).toEqual([...scores].sort((a, b) => a - b))
      if (found.clear === 0) return
      clear += 1
      expect(found.proposals.some(isClear)).toBe(true)
    }),
    { numRuns: runs(150) },
  )
  expect(tried).toBeGreaterThan(met(80))
  expect(clear).toBeGreaterThan(met(60))
})

test('law: beside a window, where what clears the plates lies half over casing, it is shown all the same', () => {
  const place = (least: number, most: number) =>
    fc.integer({ min: least * 4, max: most * 4 }).map((n) => n / 4)
  const anyCrowded = fc
    .record({
      window: place(20, 34),
      plates: fc.array(fc.tuple(place(2, 52), fc.boolean()), { minLength: 2, maxLength: 4 }),
    })
    .map(({ window, plates }) =>
      wallOf(
        {
          width: inches(57),
          things: [
            thing('window', window, 40, 15, 30, { casing: inches(2.5) }),
            ...plates.map(([at, low], i) => ({
              ...thing('outlet', at, low ? 11 : 44, 2.75, 4.5),
              id: `p${i}`,
            })),
          ],
        },
        {
          topRail: null,
          foot: { kind: 'floor' },
          height: { rule: 'typed', value: inches(70) },
          spacing: {
            school: 'nearWish',
            wish: inches(11),
            measure: 'gap',
            least: inches(6),
            most: inches(16),
            ends: 'gap',
            strips: null,
          },
          judgement: { ...STARTING_JUDGEMENT, ends: ['strip'], clearance: inches(1), shiftUpTo: inches(1) },
        },
      ),
    )
  let over = 0
  fc.assert(
    fc.property(anyCrowded, (workpiece) => {
      const { proposals, clear } = propose(workpiece)
      if (clear === 0 || proposals.length === 0) return
      const isClear = proposals.map(({ hits }) => !hits.some((id) => id.startsWith('p')))
      expect(isClear).toContain(true)
      over += isClear[0] ? 0 : 1
    }),
    { numRuns: runs(200) },
  )
  expect(over).toBeGreaterThan(met(3))
})
