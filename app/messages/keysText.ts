import { count } from './words'

/** Every key there is, by where it works. */
export const KEYS: readonly {
  readonly where: string
  readonly keys: readonly { readonly press: readonly string[]; readonly does: string }[]
}[] = [
  {
    where: 'Anywhere',
    keys: [
      { press: ['/'], does: 'find a job, room or wall; also Ctrl K' },
      { press: ['?'], does: 'this sheet' },
      { press: ['Esc'], does: 'put away what is open; in a field, what was there before' },
    ],
  },
  {
    where: 'On a wall or a room',
    keys: [
      { press: ['Ctrl', 'Z'], does: 'undo: its button says what it takes back' },
      { press: ['Ctrl', 'Shift', 'Z'], does: 'redo' },
      {
        press: ['1', '2', '3', '4', '5', '6', '7', '8'],
        does: 'measure, lay out, mark, cut, buy, fit, finish, log',
      },
    ],
  },
  {
    where: 'On a grip of the drawing',
    keys: [
      { press: ['←', '→', '↑', '↓'], does: 'move it by a tick of the tape' },
      { press: ['Shift', '→'], does: 'by sixteen ticks; Page Up and Page Down do so too' },
      { press: ['Home', 'End'], does: 'as far as it goes' },
    ],
  },
]

export const keysText = {
  title: 'Keys',
  singlesOff: 'Turn single keys off',
  singlesOn: 'Turn single keys on',
  close: 'Close',
} as const

export const findText = {
  label: 'Find a job, room or wall',
  results: 'Found',
  away: 'The server can’t be reached, so nothing can be looked for now.',
  kind: { job: 'job', room: 'room', wall: 'wall' },
  count: (found: number, words: string) =>
    words.trim() === ''
      ? 'Worked on last.'
      : found === 0
        ? `Nothing is called “${words.trim()}”.`
        : `${count(found, 'place')} found.`,
} as const

export const anywhereText = { opened: 'Opened over the page' } as const
