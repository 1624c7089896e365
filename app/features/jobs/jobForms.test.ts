import { newJobForm, newWallForm, renameJobForm } from './jobForms'

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
    expect(read).toEqual({ name: 'Mill house', client: '', units: 'mm', tape: '0.5 mm' })
  })

  test('a tape that does not go with the units is told beside the tape', () => {
    expect(problems(newJobForm.safeParse({ name: 'J', units: 'mm', tape: '1/16' }))).toEqual([
      'tape: That tape does not go with these units.',
    ])
  })

  test('a wall needs a name and a room; no name may be endless', () => {
    expect(newWallForm.safeParse({ name: 'Gable' }).success).toBe(false)
    expect(newWallForm.safeParse({ name: 'Gable', room: 'Attic' }).success).toBe(true)
    expect(renameJobForm.safeParse({ name: 'x'.repeat(81) }).success).toBe(false)
  })
})
