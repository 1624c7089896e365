import { spawnSync } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { computePlan } from '~/core/computePlan'
import { readJobFile } from '~/core/files/readJobFile'

function plan(...args: string[]) {
  const { status, stdout, stderr } = spawnSync('npx', ['tsx', 'cli/plan.ts', ...args], {
    encoding: 'utf8',
    maxBuffer: 64_000_000,
  })
  return {
    status,
    stdout,
    stderr: stderr.split('\n').filter((line) => line !== '' && !line.startsWith('npm ')),
  }
}

const demo = 'examples/tern-cottage.regla.json'

describe('npm run plan', () => {
  test('gives the plan that the core gives, exact and printed', () => {
    const { status, stdout } = plan(demo)
    expect(status).toBe(0)
    const printed = JSON.parse(stdout)
    const file = readJobFile(readFileSync(demo, 'utf8'))
    if (!file.ok) throw new Error('demo is broken')
    const wall = file.value.rooms[0]?.walls[0]
    if (!wall) throw new Error('no wall')
    const core = computePlan({ wall, settings: file.value.settings })
    const said = printed.rooms[0].walls[0]
    expect(said.pieces.map((p: { cutLength: { nm: number } }) => p.cutLength.nm)).toEqual(
      core.pieces.map((p) => p.cutLength),
    )
    expect(said.marks[0].near).toEqual({
      nm: core.layout.uprights[0]?.left,
      text: '13 15/16 in',
      tick: 353_218_750 + 793_750,
      side: 'under',
    })
    expect(said.closing.difference).toBe(0)
    expect(said.boards.every((b: { proven: boolean }) => b.proven)).toBe(true)
  })

  test('a bad file: one line per problem with its path, nothing on standard output, exit 2', () => {
    const job = JSON.parse(readFileSync(demo, 'utf8'))
    job.rooms[0].walls[0].survey.width = '12 q'
    job.rooms[1].walls[0].survey.height = -5
    const path = join(mkdtempSync(join(tmpdir(), 'regla-')), 'bad.json')
    writeFileSync(path, JSON.stringify(job))
    const { status, stdout, stderr } = plan(path)
    expect([status, stdout]).toEqual([2, ''])
    expect(stderr).toEqual([
      expect.stringMatching(/^rooms\[0\]\.walls\[0\]\.survey\.width: “12 q” can't be read from “q” on/),
      'rooms[1].walls[0].survey.height: must be more than zero.',
    ])
    expect(plan('/nowhere.json')).toMatchObject({
      status: 2,
      stderr: ['/nowhere.json: there is no such file.'],
    })
    expect(plan()).toMatchObject({ status: 2 })
  })
  test('several files: a line each with its file, and one that is bad stops none of the others', () => {
    const { status, stdout, stderr } = plan(demo, '/nowhere.json', 'examples/metric-study.regla.json')
    const lines = stdout.trim().split('\n')
    expect(lines.map((line) => JSON.parse(line).file)).toEqual([demo, 'examples/metric-study.regla.json'])
    expect(JSON.parse(lines[0] ?? '').format).toBe('regla-plan')
    expect(status).toBe(2)
    expect(stderr).toEqual(['/nowhere.json: there is no such file.'])
  })

  test('drawings, tables and the booklet go where they are wanted; the plan is printed as ever', () => {
    const folder = mkdtempSync(join(tmpdir(), 'regla-'))
    const at = (name: string) => join(folder, name)
    const { status, stdout, stderr } = plan(
      'examples/metric-study.regla.json',
      ...['--svg', at('svg'), '--dxf', at('dxf'), '--csv', at('csv'), '--pdf', at('made/booklet.pdf')],
    )
    expect([status, JSON.parse(stdout).format]).toEqual([0, 'regla-plan'])
    const made = (kind: string) => readdirSync(at(kind)).sort()
    expect(made('dxf')).toEqual(['Study, Desk wall.dxf'])
    expect(made('svg')).toContain('Study, Desk wall.svg')
    expect(made('csv')).toEqual(
      ['boards', 'cuts', 'marks', 'takeoff'].map((table) => `Study, Desk wall, ${table}.csv`),
    )
    expect(readFileSync(at('made/booklet.pdf')).subarray(0, 5).toString()).toBe('%PDF-')
    // each that was written is named
    expect(stderr).toHaveLength(made('svg').length + made('csv').length + 2)
    expect(plan('a.json', 'b.json', '--pdf', at('x.pdf'))).toMatchObject({
      status: 2,
      stderr: ['--pdf takes one job file: name each booklet by itself.'],
    })
    expect(plan(demo, '--nonsense')).toMatchObject({ status: 2 })
  })
})
