import { readFileSync } from 'node:fs'
import Ajv2020 from 'ajv/dist/2020.js'
import { readJobFile } from '~/core/files/readJobFile'
import { inches, toInches } from '~/length'
import { boardsSchemaText, jobSchemaText } from '../../scripts/jobSchemaText'
import { STOCK_LIST, startingSettings, storedSettings } from '.'

const EXAMPLES = [
  'examples/tern-cottage.regla.json',
  'examples/metric-study.regla.json',
  'examples/lines-sampler.regla.json',
]

test('C2, Voluntary Product Standard PS 20, dry dressed sizes: 1x is 3/4 thick; widths by nominal', () => {
  const widths = { 2: 1.5, 3: 2.5, 4: 3.5, 5: 4.5, 6: 5.5, 8: 7.25, 10: 9.25, 12: 11.25 }
  for (const [nominal, actual] of Object.entries(widths)) {
    const board = STOCK_LIST.find((material) => material.nominal === `1x${nominal}`)
    expect(board && [toInches(board.width), toInches(board.thickness)]).toEqual([actual, 0.75])
  }
})

test('the schemas in docs are what the Zod schemas give', () => {
  expect(readFileSync('docs/job.schema.json', 'utf8')).toBe(jobSchemaText())
  expect(readFileSync('docs/boards.schema.json', 'utf8')).toBe(boardsSchemaText())
})

describe('job files', () => {
  const validate = new Ajv2020({ strict: false, validateFormats: false }).compile(
    JSON.parse(jobSchemaText()) as object,
  )

  test.each(EXAMPLES)('%s is read, and an independent validator agrees (JSON Schema 2020-12)', (path) => {
    const text = readFileSync(path, 'utf8')
    expect(readJobFile(text).ok).toBe(true)
    expect(validate(JSON.parse(text))).toBe(true)
  })

  test('a key nobody knows, a wrong unit of tape and a wall twice are problems with their paths', () => {
    const job = JSON.parse(readFileSync(EXAMPLES[0] ?? '', 'utf8'))
    job.settings.shop.kerff = 3
    job.settings.tape = '1 mm'
    const result = readJobFile(JSON.stringify(job))
    expect(!result.ok && result.issue.map(({ path }) => path).sort()).toEqual([
      'settings.shop',
      'settings.tape',
    ])
    expect(validate(job)).toBe(false)
    delete job.settings.shop.kerff
    job.settings.tape = '1/16'
    job.rooms[1].walls[0].id = 'long-wall'
    const twice = readJobFile(JSON.stringify(job))
    expect(twice).toMatchObject({ ok: false, issue: [{ code: 'sameId', path: 'rooms[1].walls[0].id' }] })
  })

  test('bare numbers in strings follow the file’s units', () => {
    const metric = readJobFile(readFileSync(EXAMPLES[1] ?? '', 'utf8'))
    expect(metric.ok && metric.value.rooms[0]?.walls[0]?.survey.height).toBe(2_515_000_000)
  })
})

test('stored settings take whole nanometers only', () => {
  const settings = startingSettings('inches', '1/16')
  expect(storedSettings.safeParse(settings).success).toBe(true)
  expect(storedSettings.safeParse({ ...settings, shop: { ...settings.shop, kerf: '1/8' } }).success).toBe(
    false,
  )
  expect(
    storedSettings.safeParse({ ...settings, shop: { ...settings.shop, kerf: inches(1 / 8) + 0.5 } }).success,
  ).toBe(false)
})
