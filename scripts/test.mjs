import { spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { prepare, run } from './prepare.mjs'

const CHROMIUM = '/usr/bin/chromium'
const results = { passed: 0, failed: 0 }

/** One check that either holds or not. */
function check(name, command, args, env = {}) {
  console.log(`\n== ${name}`)
  const { status } = spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } })
  if (status === 0) results.passed++
  else results.failed++
  return status === 0
}

/** A runner with a report of its own: its tests are counted; one that made no report counts as failed. */
function suite(name, command, args, report, count, env = {}) {
  console.log(`\n== ${name}`)
  rmSync(report, { force: true })
  const { status } = spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } })
  const { passed, failed } = existsSync(report)
    ? count(JSON.parse(readFileSync(report, 'utf8')))
    : { passed: 0, failed: 1 }
  results.passed += passed
  results.failed += failed === 0 && status !== 0 ? 1 : failed
}

function ensureChromium() {
  if (existsSync(CHROMIUM)) return
  if (process.getuid?.() !== 0) {
    console.error(
      `The browser tests need Chromium at ${CHROMIUM}: install Debian's package "chromium" and run again.`,
    )
    return
  }
  run('apt-get', ['update', '-qq'])
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'])
}

prepare({ build: false })
ensureChromium()
mkdirSync('test-results', { recursive: true })
check('lint', 'npm', ['run', '--silent', 'lint'])
check('types', 'npm', ['run', '--silent', 'types'])
suite(
  'unit tests',
  'npx',
  ['jest', '--json', '--outputFile=test-results/unit.json'],
  'test-results/unit.json',
  ({ numPassedTests, numFailedTests, numRuntimeErrorTestSuites }) => ({
    passed: numPassedTests,
    failed: numFailedTests + numRuntimeErrorTestSuites,
  }),
)
if (check('build', 'npx', ['react-router', 'build'], { NODE_ENV: 'production' })) {
  check('attack', 'npx', ['tsx', 'scripts/attack/index.ts', '--small'])
  suite('browser tests', 'npx', ['playwright', 'test'], 'test-results/e2e.json', ({ stats }) => ({
    passed: stats.expected,
    failed: stats.unexpected + stats.flaky,
  }))
} else results.failed++

console.log(`\n${results.passed} passed, ${results.failed} failed`)
process.exit(results.failed === 0 ? 0 : 1)
