import { defineConfig, devices } from '@playwright/test'

/** One server with the demo job, one with an empty database, as a new user finds it. */
export const DEMO_URL = 'http://127.0.0.1:3210'
export const EMPTY_URL = 'http://127.0.0.1:3211'

const server = (url: string, db: string, demo: boolean) => ({
  command: 'node server.js',
  url: `${url}/healthz`,
  timeout: 60_000,
  reuseExistingServer: false,
  env: {
    NODE_ENV: 'production',
    PORT: new URL(url).port,
    DB_FILE: `test-results/${db}-${process.pid}.db`,
    ...(demo ? { REGLA_DEMO: '1' } : {}),
  },
})

export default defineConfig({
  testDir: 'tests/e2e',
  workers: 1,
  retries: 0,
  timeout: 90_000,
  // a page that is opened by its link is fetched whole: on a slow machine that takes longer than the usual five seconds
  expect: { timeout: 15_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  outputDir: 'test-results/e2e',
  use: {
    ...devices['Desktop Chrome'],
    baseURL: DEMO_URL,
    viewport: { width: 1280, height: 800 },
    locale: 'en-US',
    trace: 'retain-on-failure',
    actionTimeout: 20_000,
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
  webServer: [server(DEMO_URL, 'demo', true), server(EMPTY_URL, 'empty', false)],
})
