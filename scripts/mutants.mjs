// npm run mutants [GROUP...]: changes the core a little in many places and counts what no test notices. The figures go to
// docs/mutants.json, the report of what was missed to reports/mutants/GROUP.json. Not part of npm test: it takes a while.
import { spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'

const CORE = 'app/core'
/** The kept plans are a test of whatever takes part in planning a wall. */
const KEPT = ['tests/drawnPlans.test.ts', 'tests/keptPlans.test.ts']
const group = (place, ...more) => ({ mutate: [place], tests: [place, ...more] })
/** Each group is changed with its own tests, and the kept plans where they say most: with all of them a mutant takes seconds. */
const GROUPS = {
  length: group('app/length'),
  spacing: group(`${CORE}/spacing`, ...KEPT),
  marks: group(`${CORE}/marks`, ...KEPT),
  cutting: group(`${CORE}/cutting`),
  asbuilt: group(`${CORE}/asbuilt`),
  pieces: group(`${CORE}/pieces`, ...KEPT),
  layout: group(`${CORE}/layout`, ...KEPT),
  patterns: group(`${CORE}/patterns`, ...KEPT),
  findings: group(`${CORE}/findings`, ...KEPT),
}
const DETECTED = new Set(['Killed', 'Timeout'])
const COUNTED = new Set(['Killed', 'Timeout', 'Survived', 'NoCoverage'])

function run(name) {
  const { mutate, tests } = GROUPS[name]
  mkdirSync('reports/mutants', { recursive: true })
  const report = `reports/mutants/${name}.json`
  const config = `reports/mutants/${name}.config.json`
  writeFileSync(
    config,
    JSON.stringify({
      testRunner: 'jest',
      plugins: ['@stryker-mutator/jest-runner'],
      jest: { projectType: 'custom', configFile: 'jest.mutants.config.js', enableFindRelatedTests: true },
      coverageAnalysis: 'perTest',
      mutate: mutate.flatMap((place) => [
        `${place}/**/*.ts`,
        `!${place}/**/*.test.ts`,
        `!${place}/**/index.ts`,
      ]),
      ignorePatterns: ['build', 'data', 'docs', 'test-results', '.react-router', 'reports', 'tests/e2e'],
      tempDirName: `.stryker-tmp/${name}`,
      reporters: ['progress-append-only', 'json'],
      jsonReporter: { fileName: report },
      concurrency: 2,
      // a busy machine must not make a slow mutant a noticed one
      timeoutMS: 15_000,
      // what was tried before is tried again only where its code or its tests changed
      incremental: true,
      incrementalFile: `reports/mutants/${name}.tried.json`,
    }),
  )
  spawnSync('npx', ['stryker', 'run', config], {
    stdio: 'inherit',
    env: { ...process.env, MUTANT_TESTS: tests.join(','), MUTANTS: '1' },
  })
  const { files } = JSON.parse(readFileSync(report, 'utf8'))
  const mutants = Object.values(files).flatMap((file) => file.mutants)
  const counted = mutants.filter(({ status }) => COUNTED.has(status))
  const noticed = counted.filter(({ status }) => DETECTED.has(status)).length
  return { mutants: counted.length, noticed, score: Number(((100 * noticed) / counted.length).toFixed(1)) }
}

const FIGURES = 'docs/mutants.json'
const wanted = process.argv.slice(2)
const figures = existsSync(FIGURES) ? JSON.parse(readFileSync(FIGURES, 'utf8')) : { groups: {} }
for (const name of wanted.length > 0 ? wanted : Object.keys(GROUPS)) {
  figures.groups[name] = { ...run(name), date: new Date().toISOString().slice(0, 10) }
  const all = Object.values(figures.groups)
  const total = (key) => all.reduce((sum, group) => sum + group[key], 0)
  figures.all = {
    mutants: total('mutants'),
    noticed: total('noticed'),
    score: Number(((100 * total('noticed')) / total('mutants')).toFixed(1)),
  }
  writeFileSync(FIGURES, `${JSON.stringify(figures, null, 2)}\n`)
}
console.log(JSON.stringify(figures, null, 2))
