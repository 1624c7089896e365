import {
  blankSurvey,
  type DesignDocument,
  freshPaint,
  inForce,
  type Paint,
  startingDesign,
  startingSettings,
  type Workpiece,
} from '~/model'
import { inches } from '~/length'
import { applyEdits } from '../edits/applyEdit'
import { canonicalText, differsFromSigned, inPickedColors, pickOf, remarksOf } from './clientWord'

const paint = (id: string, hex: string, use: Paint['use'] = 'trim') => freshPaint({ id, name: id, hex, use })
const settings = startingSettings('inches', '1/16')
const plain = (): Workpiece => ({
  wall: { survey: { ...blankSurvey(), width: inches(131), height: inches(97) }, design: startingDesign() },
  settings,
})

describe('the client’s word', () => {
  const body = { words: '', parts: [], walls: [{ wallId: 'w', options: ['a', 'b'] }] }
  const act = (id: string, doneAt: number, more: object) => ({ id, doneAt, ...more }) as never

  test('the last word counts; a remark that was answered says so; the only option needs no word', () => {
    const acts = [
      act('1', 1, { kind: 'picked', wall: 'w', option: 'a' }),
      act('2', 2, { kind: 'remark', wall: 'w', option: null, at: null, text: 'higher?' }),
      act('3', 3, { kind: 'color', wall: 'w', use: 'field', paint: 'x' }),
      act('4', 4, { kind: 'picked', wall: 'w', option: 'b' }),
      act('5', 5, { kind: 'answered', remark: '2', text: 'raised' }),
    ]
    expect(pickOf(acts, body, 'w')).toEqual({ option: 'b', colors: { field: 'x' } })
    expect(pickOf([], body, 'w').option).toBeNull()
    expect(pickOf([], { ...body, walls: [{ wallId: 'w', options: ['a'] }] }, 'w').option).toBe('a')
    expect(remarksOf(acts)).toMatchObject([{ text: 'higher?', answer: 'raised' }])
  })

  test('a color the job has not is not put on', () => {
    const design: DesignDocument = startingDesign()
    expect(inPickedColors(design, { colors: { trim: 'gone' } }, { paints: [] })).toBe(design)
    const painted = inPickedColors(design, { colors: { trim: 'oat' } }, { paints: [paint('oat', '#cccccc')] })
    expect(inForce(painted).paint.trim).toBe('oat')
  })

  test('what is as it was signed differs in nothing; a change is told by what it is of', () => {
    const { wall } = plain()
    const signed = { optionId: 'a', survey: wall.survey, design: wall.design }
    const now = { option: { id: 'a', name: 'A' }, wall, settings }
    expect(differsFromSigned(signed, settings, now)).toBeNull()
    const higher = applyEdits(plain(), [{ type: 'setHeight', height: inches(80) }])
    expect(differsFromSigned(signed, settings, { ...now, wall: higher.wall })?.parts).toEqual([
      'design.height',
    ])
    expect(differsFromSigned(signed, settings, { ...now, option: { id: 'b', name: 'B' } })).toEqual({
      option: 'B',
      parts: [],
    })
  })

  test('the text a fingerprint is of hangs on no order of keys', () => {
    expect(canonicalText({ b: [{ d: 1, c: 2 }], a: null })).toBe(
      canonicalText({ a: null, b: [{ c: 2, d: 1 }] }),
    )
    expect(canonicalText({ a: [1, 2] })).not.toBe(canonicalText({ a: [2, 1] }))
  })
})
