import fc from 'fast-check'
import { inches, ZERO } from '~/length'
import type { School, Spacing } from '~/model'
import { changeSchool, droppedSchool } from './changeSchool'

const near: Spacing = {
  school: 'nearWish',
  wish: inches(15),
  measure: 'gap',
  least: inches(11),
  most: inches(19),
  ends: 'strip',
  strips: 7,
}
const start = { spacing: near, shift: inches(1.25), schools: [] }

test('a switch puts aside what the next school has no place for, and says so', () => {
  const next = changeSchool(start, 'equalByCount', inches(14), [inches(10), inches(30)])
  expect(next).toMatchObject({ spacing: { school: 'equalByCount', strips: 2 }, shift: 0 })
  expect(droppedSchool(next)).toEqual({
    school: 'nearWish',
    shift: inches(1.25),
    wish: { wish: inches(15), measure: 'gap' },
    limits: { least: inches(11), most: inches(19), moreThan: undefined },
    ends: 'strip',
    strips: 7,
  })
  expect(droppedSchool(start)).toBeNull()
})

test('law: the way back brings a school back as it was left, with its shift, whatever came between', () => {
  const schools: School[] = [
    'equalByCount',
    'nearWish',
    'fromCenter',
    'fromEnd',
    'centerMarks',
    'toStuds',
    'placed',
  ]
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...schools), { maxLength: 12 }), (way) => {
      let design: Parameters<typeof changeSchool>[0] = start
      for (const school of way.filter((each) => each !== design.spacing.school))
        if (school !== design.spacing.school) design = changeSchool(design, school, inches(14), [inches(10)])
      if (design.spacing.school !== 'nearWish') design = changeSchool(design, 'nearWish', ZERO, [])
      expect([design.spacing, design.shift]).toEqual([near, inches(1.25)])
      const kept = design.schools.map(({ spacing }) => spacing.school)
      expect(new Set(kept).size).toBe(kept.length)
      expect(kept).not.toContain(design.spacing.school)
      expect(kept.length).toBeLessThanOrEqual(7)
    }),
  )
})
