import { newJobForm, newWallsForm, renameForm, renameJobForm } from './jobForms'

const problems = (result: ReturnType<typeof newJobForm.safeParse>) =>
  result.success ? [] : result.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`)

describe('forms of the jobs pages', () => {
  test('a job needs a name; a client it may do without; spaces are trimmed', () => {
    expect(problems(newJobForm.safeParse({ units: 'inches', tape: '1/16' }))).toEqual([
      'name: Give the job a name.',
    ])
    expect(problems(newJobForm.safeParse({ name: '   ', units: 'inches', tape: '1/16' }))).toEqual([
      'name: Give the job a name.',
    ])
    const read = newJobForm.parse({ name: '  Mill house ', units: 'mm', tape: '0.5 mm' })
    expect(read).toEqual({
      name: 'Mill house',
      client: '',
      units: 'mm',
      tape: '0.5 mm',
      habits: null,
      room: '',
      walls: [],
    })
  })

  test('a tape that does not go with the units is told beside the tape', () => {
    expect(problems(newJobForm.safeParse({ name: 'J', units: 'mm', tape: '1/16' }))).toEqual([
      'tape: That tape does not go with these units.',
    ])
  })

  test('walls are typed one a line, in the units of the job; a line that can’t be read is told', () => {
    const job = { name: 'J', units: 'mm', tape: '1 mm', lines: 'North: 2,745 x 2440\nSouth: 2745 x' }
    expect(problems(newJobForm.safeParse(job))).toEqual([
      'lines: Line 2: “2745 x” gives one size where width x height is wanted. Write it like “Bay wall: 3537 x 2464, base 133, outlet at 1575”.',
    ])
    const read = newWallsForm('inches').parse({ room: ' Attic ', lines: 'Gable: 120 x 96', like: 'abc' })
    expect(read).toMatchObject({ room: 'Attic', like: 'abc', walls: [{ name: 'Gable' }] })
  })

  test('nothing typed is one wall to be measured; no name may be endless, and no room takes too many', () => {
    expect(newWallsForm('inches').parse({}).walls).toEqual([{ name: null, survey: null }])
    expect(renameJobForm.safeParse({ name: 'x'.repeat(81) }).success).toBe(false)
    expect(renameForm('wall').safeParse({ name: ' ' }).success).toBe(false)
    const many = Array.from({ length: 61 }, (_, i) => `W${i}:`).join('\n')
    expect(newWallsForm('inches').safeParse({ lines: many }).success).toBe(false)
  })
})
