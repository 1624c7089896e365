import { parseLength } from '~/length'
import { fileProblemText, fullText, lengthIssueText, tooManyText } from '~/messages'
import { schemaProblems } from '~/core/files/readJobFile'
import { blankSurvey, LIMITS, parseBody, type Reading } from '~/model'

const reading = (i: number): Reading => ({
  id: `r${i}`,
  kind: 'width',
  place: blankSurvey().height,
  value: blankSurvey().width,
  method: 'tape',
  takenAt: '2030-01-01T00:00:00.000Z',
})
const problems = (survey: object) => {
  const read = parseBody('survey', { ...blankSurvey(), ...survey })
  return read.success
    ? []
    : schemaProblems(read.error.issues, ['survey']).map((each) => fileProblemText(each))
}
const readings = (count: number) => Array.from({ length: count }, (_, i) => reading(i))

describe('how much there may be', () => {
  test('a length is as long as a room may be, and no longer', () => {
    expect(problems({ width: LIMITS.length })).toEqual([])
    expect(problems({ width: LIMITS.length + 1 })).toEqual([
      'survey.width: is longer than anything here may be: 100 m (328 ft) is the most.',
    ])
    expect(parseLength('100 m', 'inches')).toEqual({ ok: true, value: LIMITS.length })
    const over = parseLength('100.001 m', 'inches')
    expect(!over.ok && lengthIssueText(over.issue, 'inches')).toMatch(/100 m \(328 ft\) is the most/)
  })

  test('what is a megabyte long is no length, and is refused before it is read', () => {
    const long = parseLength('1'.repeat(1_000_000), 'inches')
    expect(long).toEqual({
      ok: false,
      issue: { code: 'lengthTooLong', read: '1'.repeat(24), characters: 1_000_000 },
    })
    expect(!long.ok && lengthIssueText(long.issue, 'inches')).toMatch(/goes on for 1000000 characters/)
  })

  test('corners from 20 to 340 degrees', () => {
    const corner = (deg: number) =>
      problems({
        readings: [
          { id: 'c', kind: 'cornerLeft', deg, turn: 'inside', method: 'tape', takenAt: reading(0).takenAt },
        ],
      })
    expect([20, 340].map(corner)).toEqual([[], []])
    for (const deg of [19.9, 340.1, 0.0001]) expect(corner(deg)).toHaveLength(1)
  })

  test('what a schema takes is what adding one more is told', () => {
    expect(problems({ readings: readings(LIMITS.readings) })).toEqual([])
    expect(problems({ readings: readings(LIMITS.readings + 1) })).toHaveLength(1)
    expect(fullText('readings')).toBe('400 is the most readings a wall keeps. Take one away to make room.')
    expect(tooManyText('readings', 380, 30)).toBe(
      '400 is the most readings a wall keeps. There are 380 already, and this would bring 30 more.',
    )
  })
})
