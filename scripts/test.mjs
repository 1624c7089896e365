import { spawn, spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { prepare, run } from './prepare.mjs'

const CHROMIUM = '/usr/bin/chromium'
const results = { passed: 0, failed: 0 }
/** What failed, said once more at the end: the rest may scroll away. */
const failures = []
/** Browser tests that failed once and passed then. */
const secondTry = []

/** Checks that either hold or not, side by side; what each said is told when it ends. */
async function checks(list) {
  const ended = await Promise.all(
    list.map(
      ([name, command, args, env = {}]) =>
        new Promise((resolve) => {
          const child = spawn(command, args, { env: { ...process.env, ...env } })
          let said = ''
          for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (said += text))
          child.on('error', (error) => (said += String(error)))
          child.on('close', (status) => {
            console.log(`\n== ${name}\n${said}`)
            if (status === 0) results.passed++
            else {
              results.failed++
              // its last lines come again at the end: they are what a log that is cut short still holds
              failures.push(`${name}:\n${said.trimEnd().split('\n').slice(-30).join('\n')}`)
            }
            resolve([name, status === 0])
          })
        }),
    ),
  )
  return new Map(ended)
}

/** A runner with a report of its own: its tests are counted; one that made no report counts as failed. */
function suite(name, command, args, report, count, env = {}) {
  console.log(`\n== ${name}`)
  rmSync(report, { force: true })
  const { status } = spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } })
  const {
    passed,
    failed,
    names,
    again = [],
  } = existsSync(report)
    ? count(JSON.parse(readFileSync(report, 'utf8')))
    : { passed: 0, failed: 1, names: [`${name}: no report`] }
  failures.push(...names)
  secondTry.push(...again)
  results.passed += passed
  results.failed += failed === 0 && status !== 0 ? 1 : failed
}

/** The specs of a report that a test of which came out so, by file and title. */
function specsThat(cameOut, { specs = [], suites = [] }) {
  const own = specs.filter(({ tests }) => tests.some(({ status }) => status === cameOut))
  return [
    ...own.map(({ file, title }) => `${file} › ${title}`),
    ...suites.flatMap((each) => specsThat(cameOut, each)),
  ]
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
const held = await checks([['build', 'npx', ['react-router', 'build'], { NODE_ENV: 'production' }]])
// the attack waits for servers and disks more than it works: what works goes on beside it
await checks([
  ['lint', 'npm', ['run', '--silent', 'lint']],
  ['types', 'npm', ['run', '--silent', 'types']],
  ...(held.get('build') ? [['attack', 'npx', ['tsx', 'scripts/attack/index.ts', '--small']]] : []),
])
suite(
  'unit tests',
  'npx',
  ['jest', '--json', '--outputFile=test-results/unit.json'],
  'test-results/unit.json',
  ({ numPassedTests, numFailedTests, numRuntimeErrorTestSuites, testResults }) => ({
    passed: numPassedTests,
    failed: numFailedTests + numRuntimeErrorTestSuites,
    names: testResults.flatMap(({ name: file, status, assertionResults, message }) => {
      const bad = assertionResults.filter((each) => each.status === 'failed')
      const said = bad.map(
        (each) => `${file} › ${each.fullName}: ${String(each.failureMessages[0]).slice(0, 600)}`,
      )
      return status === 'failed' && bad.length === 0 ? [`${file}: ${String(message).slice(0, 600)}`] : said
    }),
  }),
)
if (held.get('build')) {
  suite('browser tests', 'npx', ['playwright', 'test'], 'test-results/e2e.json', ({ stats, suites }) => ({
    passed: stats.expected + stats.flaky,
    failed: stats.unexpected,
    names: suites.flatMap((each) => specsThat('unexpected', each)),
    again: suites.flatMap((each) => specsThat('flaky', each)),
  }))
}

if (secondTry.length > 0)
  console.log(`\nPassed only on a second try:\n${secondTry.map((each) => `  ${each}`).join('\n')}`)

if (failures.length > 0) console.log(`\nFailed:\n${failures.map((each) => `  ${each}`).join('\n')}`)

console.log(`\n${results.passed} passed, ${results.failed} failed`)
process.exit(results.failed === 0 ? 0 : 1)
