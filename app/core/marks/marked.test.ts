import { inches } from '~/length'
import type { Act, MarkAct } from '~/model'
import { isCut, marksOnWall } from './marked'

const act = (kind: MarkAct['kind'], strip: string, left: number, doneAt: number): Act => ({
  id: `act-${strip}-${doneAt}`,
  kind,
  strip,
  left: inches(left),
  doneAt,
})
const strips = [
  { id: 'a', left: inches(10) },
  { id: 'b', left: inches(20) },
]
const within = inches(1 / 16)

test.each([
  ['nothing done', [], {}],
  ['marked', [act('marked', 'a', 10, 1)], { a: true }],
  [
    'marked, then not, whatever the order they come in',
    [act('unmarked', 'a', 10, 2), act('marked', 'a', 10, 1)],
    {},
  ],
  ['not, then marked again', [act('unmarked', 'a', 10, 2), act('marked', 'a', 10, 3)], { a: true }],
  ['moved by a tick', [act('marked', 'b', 20 + 1 / 16, 1)], { b: true }],
  ['moved by more: the mark is there and does not hold', [act('marked', 'b', 20 + 1 / 8, 1)], { b: false }],
  ['of a strip that is gone', [act('marked', 'z', 5, 1)], {}],
])('%s', (_, acts, marks) => {
  const found = [...marksOnWall(acts, strips, within)].map(([id, { holds }]) => [id, holds])
  expect(Object.fromEntries(found)).toEqual(marks)
})

test('a wall is cut once it is said to be, until that is taken back; marks say nothing of it', () => {
  const whole = (kind: 'cut' | 'uncut', doneAt: number): Act => ({ id: `act-${doneAt}-000`, kind, doneAt })
  expect(isCut([])).toBe(false)
  expect(isCut([act('marked', 'a', 10, 5)])).toBe(false)
  expect(isCut([whole('cut', 2), act('marked', 'a', 10, 5)])).toBe(true)
  expect(isCut([whole('uncut', 3), whole('cut', 2)])).toBe(false)
  expect(isCut([whole('cut', 4), whole('uncut', 3), whole('cut', 2)])).toBe(true)
})
