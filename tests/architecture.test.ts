import { spawnSync } from 'node:child_process'
import { existsSync, readFileSync } from 'node:fs'
import { createRequire } from 'node:module'

const { layers } = createRequire(`${process.cwd()}/tests/architecture.test.ts`)('./layers.cjs') as {
  layers: Record<string, string[]>
}

interface Cruise {
  readonly summary: {
    readonly violations: { from: string; to: string; rule: { name: string } }[]
    readonly totalCruised: number
  }
}

test('nobody imports whom they may not, and nothing runs in circles', () => {
  const { stdout } = spawnSync(
    'npx',
    ['depcruise', 'app', '--config', '.dependency-cruiser.cjs', '-T', 'json'],
    {
      encoding: 'utf8',
      maxBuffer: 64 * 2 ** 20,
    },
  )
  const { summary } = JSON.parse(stdout) as Cruise
  expect(summary.violations.map(({ from, to, rule }) => `${rule.name}: ${from} -> ${to}`)).toEqual([])
  expect(summary.totalCruised).toBeGreaterThan(150)
})

test('every layer of the table is a folder', () => {
  for (const layer of Object.keys(layers)) expect(existsSync(`app/${layer}`)).toBe(true)
})

test('no registry is named in the lock file', () => {
  expect(readFileSync('package-lock.json', 'utf8')).not.toMatch(/"resolved":\s*"https?:/)
})
