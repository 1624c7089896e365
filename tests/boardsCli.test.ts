import { spawnSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Ajv2020 } from 'ajv/dist/2020'
import { answerOf, readCuttingFile } from '~/core/files/cuttingFile'
import { planBoardsQuickly } from '~/core/stock'
import { boardsSchemaText } from '../scripts/jobSchemaText'

const folder = mkdtempSync(join(tmpdir(), 'regla-boards-'))

function boards(...files: readonly [name: string, body: unknown][]) {
  const paths = files.map(([name, body]) => {
    const path = join(folder, `${name}.json`)
    writeFileSync(path, typeof body === 'string' ? body : JSON.stringify(body))
    return path
  })
  const { status, stdout, stderr } = spawnSync('npx', ['tsx', 'cli/boards.ts', ...paths], {
    encoding: 'utf8',
  })
  return {
    status,
    answers: stdout
      .split('\n')
      .filter((line) => line !== '')
      .map((line) => JSON.parse(line) as ReturnType<typeof answerOf>),
    stderr: stderr.split('\n').filter((line) => line !== '' && !line.startsWith('npm ')),
  }
}

const problem = {
  kerf: '1/8',
  endTrim: 0,
  pieces: [
    { label: 'A', length: '44 1/2', count: 4 },
    { label: 'B', length: '15', count: 3 },
  ],
  stock: [
    { length: '8 ft', price: 7.2 },
    { length: '120', price: 9.1 },
    { length: '63', price: 0, onHand: 1 },
  ],
  timeLimitMs: 3000,
}

describe('npm run boards', () => {
  test('answers each file in a line, the free offcut first; what can’t be served is an answer with its pieces', () => {
    const short = {
      ...problem,
      pieces: [{ label: 'L', length: '70', count: 3 }],
      stock: [{ length: '96', price: 7, onHand: 2 }],
    }
    const { status, answers, stderr } = boards(['one', problem], ['two', short])
    expect([status, stderr]).toEqual([0, []])
    const [first, second] = answers
    expect(first).toMatchObject({ status: 'proven', cost: 14.4, costBound: 14.4, boardCount: 3, reasons: [] })
    expect(first?.boards.reduce((sum, { times }) => sum + times, 0)).toBe(3)
    expect(first?.boards.find(({ stockIndex }) => stockIndex === 2)?.times).toBe(1)
    expect(second).toMatchObject({ status: 'infeasible', boards: [] })
    expect(second?.reasons).toEqual(['1 of L: up to 70 in long, no board is left for 1 piece.'])
  })

  test('a bad file: a line each problem, nothing on standard output, exit 2', () => {
    const bad = {
      ...problem,
      endTrim: -1,
      pieces: [{ label: 'A', length: 'long', count: 1.5 }],
      stock: [{ length: '96' }, { length: '96', price: -2 }],
    }
    const { status, answers, stderr } = boards(['bad', bad])
    expect([status, answers]).toEqual([2, []])
    expect(stderr).toEqual([
      'endTrim: must not be less than zero.',
      expect.stringMatching(/^pieces\[0\]\.length: “long” can't be read/),
      'pieces[0].count: expected int.',
      'stock[0].price: expected number, but nothing is there.',
      'stock[1].price: is too small or too short; the least is 0.',
    ])
  })
})

describe('the file of a cutting problem', () => {
  const read = (body: unknown) => readCuttingFile(JSON.stringify(body))
  const validate = new Ajv2020({ strict: false }).compile(JSON.parse(boardsSchemaText()) as object)

  test('what the schema in docs takes is read, and the other way round', () => {
    expect(validate(problem)).toBe(true)
    expect(read(problem).ok).toBe(true)
    for (const bad of [
      { ...problem, kerf: null },
      { ...problem, more: 1 },
      { ...problem, stock: 7 },
    ]) {
      expect(validate(bad)).toBe(false)
      expect(read(bad).ok).toBe(false)
    }
  })

  test('20 000 pieces are planned; one more is refused with the limit', () => {
    const many = (count: number) => ({
      ...problem,
      pieces: [
        { label: 'A', length: '30', count: 10_000 },
        { label: 'B', length: '17', count },
      ],
    })
    const whole = read(many(10_000))
    if (!whole.ok) throw new Error('refused')
    const plan = planBoardsQuickly(whole.value.request)
    if (!plan.ok) throw new Error(plan.issue.code)
    const answer = answerOf(plan.value, 0)
    const cut = answer.boards.reduce((sum, { times, cuts }) => sum + times * cuts.length, 0)
    expect(cut).toBe(20_000)
    expect(read(many(10_001))).toMatchObject({
      ok: false,
      issue: [{ code: 'tooManyPieces', count: 20_001, most: 20_000 }],
    })
  })

  test('prices are counted as they are typed, nothing lost by rounding', () => {
    const odd = read({
      ...problem,
      stock: [
        { length: '96', price: 0.1 },
        { length: '120', price: 0.3 },
      ],
    })
    if (!odd.ok) throw new Error('refused')
    const plan = planBoardsQuickly(odd.value.request)
    if (!plan.ok) throw new Error(plan.issue.code)
    expect(answerOf(plan.value, 0).cost).toBe(Math.round((plan.value.cost ?? 0) / 100_000) / 10)
  })

  test('nothing to cut is a plan of nothing', () => {
    const none = read({ ...problem, pieces: [] })
    if (!none.ok) throw new Error('refused')
    expect(planBoardsQuickly(none.value.request)).toMatchObject({ ok: true, value: { boards: [], cost: 0 } })
  })
})
