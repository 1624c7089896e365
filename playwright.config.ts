import { defineConfig, devices } from '@playwright/test'

/** As many browsers at once, each with servers of its own: what one test does to the demo job no other one's sees. */
const AT_ONCE = 2
const own = Number(process.env.TEST_PARALLEL_INDEX ?? 0)
const demoUrl = (index: number) => `http://127.0.0.1:${3210 + index * 10}`
const emptyUrl = (index: number) => `http://127.0.0.1:${3211 + index * 10}`

/** One server with the demo job, one with an empty database, as a new user finds it. */
export const DEMO_URL = demoUrl(own)
export const EMPTY_URL = emptyUrl(own)
/** Of this run; the browsers' processes have it from the first one. */
const RUN = (process.env.REGLA_TEST_RUN ??= String(process.pid))
const fileOf = (db: string, index: number) => `test-results/${db}-${index}-${RUN}.db`
/** What the two servers keep their rows in. */
export const OWN_FILES = [fileOf('demo', own), fileOf('empty', own)]
/** Where a test that stops its server starts one. */
export const OWN_PORT = 3290 + own

const server = (url: string, file: string, demo: boolean) => ({
  command: 'node server.js',
  url: `${url}/healthz`,
  timeout: 60_000,
  reuseExistingServer: false,
  env: {
    NODE_ENV: 'production',
    PORT: new URL(url).port,
    DB_FILE: file,
    ...(demo ? { REGLA_DEMO: '1' } : {}),
  },
})

export default defineConfig({
  testDir: 'tests/e2e',
  workers: AT_ONCE,
  // on a machine that stalls a test may miss its moment: it has a second one, from the same start, and the run says which did
  retries: 1,
  timeout: 180_000,
  // a page that is opened by its link is fetched whole: on a slow machine that takes longer than the usual five seconds
  expect: { timeout: 30_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  outputDir: 'test-results/e2e',
  use: {
    ...devices['Desktop Chrome'],
    baseURL: DEMO_URL,
    viewport: { width: 1280, height: 800 },
    locale: 'en-US',
    // what answers is the server; what the worker does without one has a test of its own
    serviceWorkers: 'block',
    // TRACE=1 for a look at what went wrong: taking it costs a quarter of the time
    trace: process.env.TRACE === '1' ? 'retain-on-failure' : 'off',
    actionTimeout: 30_000,
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--disable-dev-shm-usage',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: Array.from({ length: AT_ONCE }, (_, index) => [
    server(demoUrl(index), fileOf('demo', index), true),
    server(emptyUrl(index), fileOf('empty', index), false),
  ]).flat(),
})
