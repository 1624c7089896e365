import fc from 'fast-check'
import { inches, nanometers } from '~/length'
import { blankSurvey } from '~/model'
import { beyondWidth, endCasings, widthFrom, withWidthRead } from './widthRead'

const wall = (width: number) => ({ ...blankSurvey(), width: inches(width) })

test('between casings the wall is wider by both, and they stand at its ends', () => {
  const survey = widthFrom(wall(100), 'casings', inches(3.5))
  expect(survey.width).toBe(inches(107))
  const { left, right } = endCasings(survey)
  expect([left?.left, right?.left]).toEqual([0, inches(103.5)])
  expect(beyondWidth(survey, 'casings')).toEqual({ left: inches(3.5), right: inches(3.5) })
  expect(beyondWidth(survey, 'corners')).toEqual({ left: 0, right: 0 })
  expect(beyondWidth(survey, 'border', inches(2))).toEqual({ left: inches(2), right: inches(2) })
})

test('a wall without casings has none between it and its corners', () => {
  expect(endCasings(wall(100))).toEqual({ left: null, right: null })
  expect(beyondWidth(wall(100), 'casings')).toEqual({ left: 0, right: 0 })
})

test('law: what is typed as the width comes back as the width, however it was read; the right casing stays at the right end', () => {
  const eighths = (most: number) => fc.integer({ min: 8, max: most * 8 }).map((n) => inches(n / 8))
  fc.assert(
    fc.property(
      eighths(300),
      eighths(6),
      eighths(300),
      fc.constantFrom('corners', 'casings', 'border' as const),
      (first, casing, next, read) => {
        const survey = widthFrom(wall(first / inches(1)), 'casings', casing)
        const after = withWidthRead(survey, read, next, casing)
        const { left, right } = beyondWidth(after, read, casing)
        expect(nanometers(after.width - left - right)).toBe(next)
        if (read === 'casings') {
          const end = endCasings(after).right
          expect(end && end.left + end.width).toBe(after.width)
        }
      },
    ),
  )
})
