import { inches } from '~/length'
import type { Act } from '~/model'
import { markedStrips } from './marked'

const act = (kind: Act['kind'], strip: string, left: number, doneAt: number): Act => ({
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
  ['nothing done', [], []],
  ['marked', [act('marked', 'a', 10, 1)], ['a']],
  [
    'marked, then not, whatever the order they come in',
    [act('unmarked', 'a', 10, 2), act('marked', 'a', 10, 1)],
    [],
  ],
  ['not, then marked again', [act('unmarked', 'a', 10, 2), act('marked', 'a', 10, 3)], ['a']],
  ['moved by a tick', [act('marked', 'b', 20 + 1 / 16, 1)], ['b']],
  ['moved by more', [act('marked', 'b', 20 + 1 / 8, 1)], []],
  ['of a strip that is gone', [act('marked', 'z', 5, 1)], []],
])('%s', (_, acts, marked) => {
  expect([...markedStrips(acts, strips, within)]).toEqual(marked)
})
