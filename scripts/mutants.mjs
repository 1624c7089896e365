// npm run mutants [GROUP... | since COMMIT]: changes the core a little in many places and counts what no test notices. Stryker makes the changes; they are
// tried in one process, since starting Jest anew for each takes an hour more than trying it. The figures go to docs/mutants.json, what was
// missed to reports/mutants/GROUP.json. With a commit only lines that are new since then are changed, and of the changes a sample is tried
// (SAMPLE=240, the same each time); the figures of groups stay. What is left of them the laws over random walls are asked about, which
// `npm test` runs as well: how many those notice is said beside the score.
// Not part of npm test: it takes a while.
import { execFileSync, fork } from 'node:child_process'
import {
  cpSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs'
import { resolve } from 'node:path'
import { Instrumenter } from '@stryker-mutator/instrumenter'
import { plainReason, writeLeft } from './mutantsLeft.mjs'

const CORE = 'app/core'
/** Plans as last looked at are a test of whatever takes part in planning a wall. */
const KEPT = ['tests/drawnPlans.test.ts', 'tests/keptPlans.test.ts']
const group = (places, ...more) => ({ places, tests: [...places, ...more] })
/** Each group is changed with its own tests, and the kept plans where they say most. */
const GROUPS = {
  length: group(['app/length']),
  spacing: group([`${CORE}/spacing`], ...KEPT),
  marks: group([`${CORE}/marks`], ...KEPT),
  cutting: group([`${CORE}/cutting`], ...KEPT),
  asbuilt: group([`${CORE}/asbuilt`], ...KEPT),
  pieces: group([`${CORE}/pieces`], ...KEPT),
  layout: group([`${CORE}/layout`, `${CORE}/strips`], ...KEPT),
  patterns: group([`${CORE}/patterns`], `${CORE}/edits`, ...KEPT),
  findings: group([`${CORE}/findings`], ...KEPT),
  atWall: group([`${CORE}/fit`, `${CORE}/log`, `${CORE}/evenness`, `${CORE}/takedown`]),
}
/** Laws over random walls would notice more, but take seconds a mutant: the score is without them. */
const SLOW = /(meeting|presses|laws|anything)\.test/
/** Those that are asked about what is left, a little each. */
const LAWS = [`${CORE}/layout/meeting.test.ts`, `${CORE}/patterns/anything.test.ts`]
/** Those of what is new: more of them, each tried more often. */
const LAWS_OF_NEW = [...LAWS, `${CORE}/layout/trueAtTheWall.test.ts`, `${CORE}/findings/featuresMeet.test.ts`]
const [LAWS_PART, LAWS_PART_OF_NEW] = ['0.15', '0.5']
/** So long a group's laws are asked; what they were not asked about stays open. */
const LAWS_FOR = Number(process.env.LAWS_MINUTES ?? 20) * 60_000
/** A mutant that takes longer hangs. */
const HANGS_AFTER = 30_000
/** With the tests of all that changed one that nothing notices takes longer. */
const HANGS_AFTER_ALL = 90_000
/** So many of the changes of new lines are tried. */
const SAMPLE = Number(process.env.SAMPLE ?? 240)
const quiet = { debug() {}, info() {}, warn() {}, isDebugEnabled: () => false }

const isSource = (name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && !name.endsWith('/index.ts')
/** All files of a folder, or the one file. */
const inPlace = (place) =>
  place.endsWith('.ts') ? [place] : readdirSync(place, { recursive: true }).map((file) => `${place}/${file}`)

/** The lines of the core that are new since a commit, by their files, as stretches from line to line. */
function newSince(commit) {
  const diff = execFileSync('git', ['diff', '--unified=0', '--no-color', commit, '--', CORE], {
    encoding: 'utf8',
    maxBuffer: 1 << 28,
  })
  const lines = new Map()
  let file = ''
  for (const line of diff.split('\n')) {
    if (line.startsWith('+++ ')) file = line.slice('+++ b/'.length)
    const [, from, count] = /^@@ .* \+(\d+)(?:,(\d+))? @@/.exec(line) ?? []
    if (from === undefined || count === '0' || !isSource(file)) continue
    const start = Number(from) - 1
    const stretch = {
      start: { line: start, column: 0 },
      end: { line: start + Number(count ?? 1) - 1, column: 10_000 },
    }
    lines.set(file, [...(lines.get(file) ?? []), stretch])
  }
  return lines
}

/** What is changed in a group: of each file all of it, or the lines that are new. */
function changedIn({ places, since }) {
  if (since) return [...newSince(since)]
  return places
    .flatMap(inPlace)
    .filter(isSource)
    .map((file) => [file, true])
}

/** A copy of the project with every change of a group built in, each asleep until it is called by its number. */
async function instrumented(name) {
  const files = changedIn(GROUPS[name]).map(([file, mutate]) => ({
    name: file,
    mutate,
    content: readFileSync(file, 'utf8'),
  }))
  const options = { ignorers: [], excludedMutations: [], plugins: null }
  const made = await new Instrumenter(quiet).instrument(files, options)
  const sandbox = `.stryker-tmp/${name}`
  rmSync(sandbox, { recursive: true, force: true })
  mkdirSync(sandbox, { recursive: true })
  for (const each of ['app', 'tests', 'examples', 'docs', 'scripts', 'package.json', 'tsconfig.json'])
    cpSync(each, `${sandbox}/${each}`, { recursive: true })
  symlinkSync(resolve('node_modules'), `${sandbox}/node_modules`)
  for (const { name: file, content } of made.files) writeFileSync(`${sandbox}/${file}`, content)
  return {
    sandbox,
    mutants: made.mutants,
    sources: new Map(files.map(({ name: n, content }) => [n, content])),
  }
}

/** A process with tests, which tries one change after the other. */
function tester(sandbox, tests, active, laws = LAWS_PART) {
  return fork(resolve('scripts/mutantsWorker.ts'), tests, {
    cwd: sandbox,
    execArgv: ['--import', 'tsx'],
    env: {
      ...process.env,
      MUTANTS: '1',
      LAWS: laws,
      TSX_TSCONFIG_PATH: 'tsconfig.json',
      ...(active ? { __STRYKER_ACTIVE_MUTANT__: active } : {}),
    },
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
  })
}

/** Asks a tester, and gives it up when it does not answer. */
function ask(child, question, patience) {
  return new Promise((answered) => {
    const done = (answer) => {
      clearTimeout(timer)
      child.removeAllListeners()
      answered(answer)
    }
    const timer = setTimeout(() => done({ status: 'Timeout' }), patience)
    child.once('message', done)
    child.once('exit', () => done({ status: 'Killed' }))
    child.send(question)
  })
}

/** The folder of the core that a file is in. */
const folderOf = (file) => file.split('/').slice(0, 3).join('/')

/** Every so manieth of a list, from the first: a sample that is the same each time. */
function sampled(list, count) {
  const step = Math.max(1, list.length / count)
  return Array.from({ length: Math.min(count, list.length) }, (_, i) => list[Math.floor(i * step)])
}

async function run(name) {
  const { since } = GROUPS[name]
  const { sandbox, mutants: all, sources } = await instrumented(name)
  const hangsAfter = since ? HANGS_AFTER_ALL : HANGS_AFTER
  // of what is new the tests beside it, where there is more than a comment
  const beside = since ? [...new Set(all.map(({ fileName }) => folderOf(fileName)))] : []
  const tests = [...beside, ...GROUPS[name].tests]
    .flatMap(inPlace)
    .filter((file) => file.endsWith('.test.ts') && !SLOW.test(file))
  const status = new Map()
  let child = tester(sandbox, tests)
  const first = await ask(child, { type: 'learn' }, 600_000)
  if (!first.covered) throw new Error(`${name}: the tests fail without any change: ${first.problem}`)
  const [isStatic, isCovered] = [new Set(first.static), new Set(first.covered)]
  // what is worked out while the code is loaded would need all tests anew for each: not in a sample
  const mutants = since
    ? sampled(
        all.filter(({ id }) => !isStatic.has(id)),
        SAMPLE,
      )
    : all
  const started = Date.now()
  for (const [i, { id }] of mutants.entries()) {
    if (i % (since ? 20 : 100) === (since ? 19 : 99))
      console.log(`${name}: ${i + 1} of ${mutants.length}, ${Math.round((Date.now() - started) / 1000)} s`)
    if (!isCovered.has(id) && !isStatic.has(id)) {
      status.set(id, 'NoCoverage')
      continue
    }
    const answer = isCovered.has(id)
      ? await ask(child, { type: 'try', id }, hangsAfter)
      : { status: 'Survived' }
    status.set(id, answer.status)
    if (answer.status === 'Timeout' || !child.connected) {
      child.kill('SIGKILL')
      child = tester(sandbox, tests)
      await ask(child, { type: 'learn' }, 600_000)
    }
    if (answer.status !== 'Survived' || !isStatic.has(id)) continue
    // what is worked out while the code is loaded is only tried by loading it anew
    const fresh = tester(sandbox, tests, id)
    status.set(id, (await ask(fresh, { type: 'all' }, 120_000)).status)
    fresh.kill('SIGKILL')
  }
  child.kill()
  const left = mutants
    .filter(({ id }) => ['Survived', 'NoCoverage'].includes(status.get(id)))
    .map(({ id, fileName, location: { start, end }, mutatorName, replacement }) => {
      const lines = (sources.get(fileName) ?? '').split('\n')
      const one = start.line === end.line
      const was = (lines[start.line] ?? '').slice(start.column, one ? end.column : undefined)
      const at = `${fileName}:${start.line + 1}`
      return { id, at, was, now: replacement, how: mutatorName, status: status.get(id) }
    })
  await askTheLaws(sandbox, left, since ? LAWS_OF_NEW : LAWS, since ? LAWS_PART_OF_NEW : LAWS_PART)
  rmSync(sandbox, { recursive: true, force: true })
  mkdirSync('reports/mutants', { recursive: true })
  writeFileSync(`reports/mutants/${name}.json`, `${JSON.stringify(left, null, 1)}\n`)
  const noticed = mutants.length - left.length
  const byLaws = left.filter(({ why }) => why === 'law').length
  return {
    ...(since
      ? { of: all.length, byLaws, withLaws: Number(((100 * (noticed + byLaws)) / mutants.length).toFixed(1)) }
      : {}),
    mutants: mutants.length,
    noticed,
    score: Number(((100 * noticed) / mutants.length).toFixed(1)),
  }
}

/** What no test of the score notices: do the laws over random walls, which are too slow to be asked of every change? */
async function askTheLaws(sandbox, left, laws, part) {
  let child = tester(sandbox, laws, undefined, part)
  const learned = await ask(child, { type: 'learn' }, 600_000)
  // laws that fail without any change can notice nothing
  if (!learned.covered) throw new Error(`the laws fail without any change: ${learned.problem}`)
  const covered = new Set(learned.covered)
  const until = Date.now() + LAWS_FOR
  for (const each of left) {
    each.why = plainReason(each)
    if (each.why || !covered.has(each.id) || Date.now() > until) continue
    const { status } = await ask(child, { type: 'try', id: each.id }, 60_000)
    if (status !== 'Survived') each.why = 'law'
    if (status === 'Timeout' || !child.connected) {
      child.kill('SIGKILL')
      child = tester(sandbox, laws, undefined, part)
      await ask(child, { type: 'learn' }, 600_000)
    }
  }
  child.kill()
}

const FIGURES = 'docs/mutants.json'
const wanted = process.argv.slice(2)
if (wanted[0] === 'since') {
  const since = wanted[1] ?? 'HEAD'
  GROUPS.since = { ...group([], ...KEPT), since }
  const result = await run('since')
  console.log('since', since, JSON.stringify(result))
  process.exit(0)
}
for (const name of wanted.length > 0 ? wanted : Object.keys(GROUPS)) {
  const result = { ...(await run(name)), date: new Date().toISOString().slice(0, 10) }
  const figures = existsSync(FIGURES) ? JSON.parse(readFileSync(FIGURES, 'utf8')) : { groups: {} }
  figures.groups[name] = result
  const all = Object.values(figures.groups)
  const total = (key) => all.reduce((sum, each) => sum + each[key], 0)
  figures.all = {
    mutants: total('mutants'),
    noticed: total('noticed'),
    score: Number(((100 * total('noticed')) / total('mutants')).toFixed(1)),
  }
  writeFileSync(FIGURES, `${JSON.stringify(figures, null, 2)}\n`)
  writeLeft(Object.keys(GROUPS))
  console.log(name, JSON.stringify(result))
}
process.exit(0)
