import type { HistoryStep } from '~/model'
import { clashText, refusalText, savingWord, stepName } from '.'

const step = (parts: HistoryStep['parts'], walls: string[] = ['East']): HistoryStep => ({
  change: 1,
  parts,
  walls,
})

test.each([
  ['nothing to take back', null, 'Undo'],
  ['one thing', step(['design.spacing']), 'Undo: spacing'],
  ['two', step(['design.spacing', 'design.height']), 'Undo: spacing and height'],
  [
    'many',
    step(['survey.width', 'survey.height', 'design.foot', 'design.cap', 'design.rails']),
    'Undo: wall width, wall height, foot and 2 more',
  ],
  ['nothing that has a name', step([]), 'Undo: a change'],
  ['of other walls too', step(['design.boxes'], ['East', 'South']), 'Undo: boxes on East and South'],
  ['of settings alone', step(['settings.units'], []), 'Undo: units'],
])('a step of %s', (_, of, said) => {
  expect(stepName('undo', of, 'East')).toBe(said)
  expect(stepName('redo', of, 'East')).toBe(said.replace('Undo', 'Redo'))
})

test('how saving stands, after a step with what it did', () => {
  const stepped = { way: 'undo', step: step(['design.cap']) } as const
  expect(savingWord('saved', null, 'East')).toBe('✓ saved')
  expect(savingWord('saved', stepped, 'East')).toBe('✓ saved, taken back: cap')
  expect(savingWord('saved', { ...stepped, way: 'redo' }, null)).toBe('✓ saved, done again: cap on East')
  expect(
    (['waiting', 'saving', 'failed', 'clash'] as const).map((kind) => savingWord(kind, stepped, null)),
  ).toEqual(['saving…', 'saving…', 'not saved', 'not saved'])
})

test('what two windows both changed, and why a step is refused', () => {
  expect(clashText([{ wall: 'East', parts: ['survey.width'] }], 'East')).toBe(
    'Another window also changed the wall width.',
  )
  expect(
    clashText(
      [
        { wall: 'East', parts: ['survey.width'] },
        { wall: null, parts: ['settings.shop'] },
      ],
      null,
    ),
  ).toBe('Another window also changed the wall width and boards on sale on East.')
  expect(refusalText.inUse(['East', 'South'])).toContain('in use on: East, South')
  expect(refusalText.changedSince(['East'])).toContain('on East')
  expect(refusalText.changedSince([])).toContain('settings')
})
