import { parse } from 'csv-parse/sync'
import fc from 'fast-check'
import { csvProblemText } from '~/messages'
import { inches, nanometers } from '~/length'
import type { Reading } from '~/model'
import { CSV_COLUMNS, readingsFromCsv, readingsTemplate, readingsToCsv } from './readingsCsv'

const NOW = '2026-04-01T12:00:00.000Z'
const read = (text: string) => readingsFromCsv(text, 'inches', NOW, (line) => `f${line}`)

const anyReading: fc.Arbitrary<Reading> = fc.oneof(
  fc.record({
    id: fc.constant('x'),
    kind: fc.constantFrom('width' as const, 'height' as const, 'floorFall' as const, 'plumbLeft' as const),
    place: fc.integer({ min: 0, max: 1e10 }).map(nanometers),
    value: fc.integer({ min: -1e9, max: 1e10 }).map(nanometers),
    method: fc.constantFrom('tape' as const, 'laser' as const),
    takenAt: fc.constant(NOW),
  }),
  fc.record({
    id: fc.constant('x'),
    kind: fc.constantFrom('cornerLeft' as const, 'cornerRight' as const),
    deg: fc.integer({ min: 200, max: 3400 }).map((n) => n / 10),
    turn: fc.constantFrom('inside' as const, 'outside' as const),
    method: fc.constant('tape' as const),
    takenAt: fc.constant(NOW),
  }),
)

test('what goes out comes in again, to the nanometer', () => {
  fc.assert(
    fc.property(fc.array(anyReading, { maxLength: 20 }), (readings) => {
      const back = read(readingsToCsv(readings))
      expect(back.ok && back.value.map((each) => ({ ...each, id: 'x' }))).toEqual(readings)
    }),
  )
})

test('RFC 4180: an independent reader finds the same columns and cells', () => {
  const text = readingsToCsv([
    { id: 'a', kind: 'width', place: inches(40.5), value: inches(131.0625), method: 'tape', takenAt: NOW },
  ])
  expect(text.endsWith('\r\n')).toBe(true)
  expect(parse(text, { columns: true })).toEqual([
    {
      kind: 'width',
      place: '40 1/2 in',
      value: '131 1/16 in',
      degrees: '',
      turn: '',
      method: 'tape',
      taken_at: NOW,
    },
  ])
  expect(parse(readingsTemplate())[0]).toEqual([...CSV_COLUMNS])
})

test('the template half filled in gives what was filled in', () => {
  const filled = readingsTemplate().replace('width,4 in,,', "width,4 in,10' 11,")
  const back = read(filled)
  expect(back.ok && back.value.map(({ kind }) => kind)).toEqual(['width', 'cornerLeft'])
  expect(back.ok && back.value[0]).toMatchObject({ value: inches(131), takenAt: NOW, method: 'tape' })
})

test('every problem is told with its line, and nothing is taken in', () => {
  const back = read(
    'kind,place,value,method\nwidth,40,12 q,tape\ndepth,1,2,tape\nheight,0,95,pigeon\ncornerLeft,,,tape\n',
  )
  expect(!back.ok && back.issue.map((problem) => csvProblemText(problem, 'inches'))).toEqual([
    "Line 2, value: “12 q” can't be read from “q” on. Write it like 29 3/4.",
    expect.stringMatching(/^Line 3: nobody knows a reading called “depth”/),
    'Line 4, method: “pigeon” can’t be used here.',
    'Line 5, degrees: “” can’t be used here.',
  ])
  expect(read('a,b\n1,2\n')).toMatchObject({
    ok: false,
    issue: [{ code: 'noColumns', missing: ['kind', 'place', 'value'] }],
  })
})

test('a corner no room has is told with what it may be', () => {
  const back = read('kind,place,value,degrees\ncornerLeft,,,0.0001\ncornerRight,,,350\n')
  expect(!back.ok && back.issue.map((problem) => csvProblemText(problem, 'inches'))).toEqual([
    'Line 2, degrees: “0.0001” is no corner of a room. Write 20 to 340.',
    'Line 3, degrees: “350” is no corner of a room. Write 20 to 340.',
  ])
})
