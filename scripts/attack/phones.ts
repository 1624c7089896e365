import { spawnSync } from 'node:child_process'
import { appendFileSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type BrowserContext, chromium, type Page } from '@playwright/test'
import SqliteDatabase from 'better-sqlite3'
import { inches } from '~/length'
import { blankSurvey, startingDesign, startingSettings } from '~/model'
import { checkpoint, openDatabase, sqliteOf } from '~/server/db/database.server'
import { importJob, jobDetail } from '~/server/jobs.server'
import config from '../../playwright.config'
import { SlowLink } from './slowLink'
import { newFile, startTarget, type Target } from './target'

const PASSPHRASE = 'green field ladder'
const MEMBERS = ['Ida', 'Ben'] as const
type Member = (typeof MEMBERS)[number]
const WORKER = 'build/client/sw.js'
/** The server hears of what was done on a path that ends so. */
const ACTS = /^POST .*\/acts$/
const DAY_MS = 86_400_000
/** How long a phone gets for what it has to show or send. */
const WITHIN_MS = 90_000

function house(file: string): string {
  const db = openDatabase(file)
  const survey = { ...blankSurvey(), width: inches(180), height: inches(96) }
  const file1 = { id: 'w', name: 'Wall', survey, design: startingDesign() }
  importJob(
    db,
    {
      format: 'regla-job',
      version: 2,
      name: 'Two phones',
      client: '',
      settings: startingSettings('inches', '1/16'),
      rooms: [{ id: 'r', name: 'Room', walls: [file1] }],
    },
    'phones',
  )
  const wall = jobDetail(db, 'phones')?.rooms[0]?.walls[0]?.id ?? ''
  checkpoint(db)
  sqliteOf(db).close()
  for (const name of MEMBERS)
    spawnSync('npx', ['tsx', 'cli/crew.ts', 'add', name], {
      input: `${PASSPHRASE}\n`,
      env: { ...process.env, DB_FILE: file, NODE_OPTIONS: '' },
    })
  return `/jobs/phones/walls/${wall}/mark`
}

/** A phone: a browser with a folder of its own, which is closed and started again. */
class Phone {
  readonly #folder = mkdtempSync(join(tmpdir(), 'regla-phone-'))
  #context: BrowserContext | null = null
  page!: Page
  /** What was ticked on it, by whom. */
  readonly ticked: Record<Member, number> = { Ida: 0, Ben: 0 }

  constructor(
    readonly home: string,
    readonly path: string,
    readonly clockAhead: number,
  ) {}

  async start(): Promise<void> {
    const { launchOptions } = config.use ?? {}
    const viewport = { width: 820, height: 1180 }
    this.#context = await chromium.launchPersistentContext(this.#folder, { ...launchOptions, viewport })
    // what runs this script names functions by a helper that no page has
    await this.#context.addInitScript('globalThis.__name = (named) => named')
    await this.#context.addInitScript((ahead) => {
      const now = Date.now.bind(Date)
      Date.now = () => now() + ahead
    }, this.clockAhead)
    this.page = this.#context.pages()[0] ?? (await this.#context.newPage())
    this.page.setDefaultTimeout(WITHIN_MS)
  }

  async restart(): Promise<void> {
    await this.#context?.close()
    await this.start()
    await this.open()
  }

  stop = () => this.#context?.close()

  async open(): Promise<void> {
    await this.page.goto(`${this.home}${this.path}`)
    await this.page.locator('tr[data-mark] td button').first().waitFor()
  }

  async signIn(name: Member): Promise<void> {
    const { page, home } = this
    await page.goto(`${home}/crew`)
    await page.waitForLoadState('networkidle').catch(() => undefined)
    if (!page.url().includes('/sign-in')) {
      await page.getByRole('button', { name: /^Sign .* out here$/ }).click()
      await page.waitForURL(/sign-in/)
    }
    await page.goto(`${home}/sign-in`)
    await page.waitForLoadState('networkidle').catch(() => undefined)
    await page.getByRole('textbox', { name: 'Name' }).fill(name)
    await page.getByLabel('Passphrase').fill(PASSPHRASE)
    await page.getByRole('button', { name: 'Come in' }).click()
    await page.waitForURL((url) => url.pathname === '/')
    await this.open()
  }

  /** Waits until the worker serves this page and has the wall. */
  async keep(): Promise<void> {
    await this.page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
    await this.page.reload()
    await this.page.waitForFunction(
      async () => (await (await caches.open('regla pages')).keys()).length >= 6,
      null,
      { timeout: WITHIN_MS },
    )
  }

  /** Ticks marks and takes ticks back, so many in all; each is one act. */
  async tick(who: Member, count: number): Promise<void> {
    const done = await this.page.evaluate(async (wanted) => {
      const buttons = () => [...document.querySelectorAll<HTMLElement>('tr[data-mark] td button')]
      const pause = (ms: number) => new Promise((over) => setTimeout(over, ms))
      let made = 0
      for (let n = 0; made < wanted && n < 3 * wanted; n++) {
        const at = n % buttons().length
        const before = buttons()[at]?.getAttribute('aria-pressed')
        buttons()[at]?.click()
        // a tick that is drawn is one that was recorded
        for (
          let waited = 0;
          waited < 3_000 && buttons()[at]?.getAttribute('aria-pressed') === before;
          waited += 5
        )
          await pause(5)
        if (buttons()[at]?.getAttribute('aria-pressed') !== before) made += 1
      }
      return made
    }, count)
    this.ticked[who] += done
    // nobody closes a browser within milliseconds of a tick: it takes some 20 ms until the last is in the browser's database
    await this.page.waitForTimeout(300)
  }

  /** Takes the newer build, as a press on its band does. */
  async takeNewer(): Promise<boolean> {
    await this.page.evaluate(async () => void (await (await navigator.serviceWorker.ready).update()))
    const waiting = () =>
      this.page.evaluate(async () => (await navigator.serviceWorker.ready).waiting !== null)
    for (let waited = 0; waited < WITHIN_MS && !(await waiting()); waited += 250)
      await this.page.waitForTimeout(250)
    await this.page.evaluate(async () =>
      (await navigator.serviceWorker.ready).waiting?.postMessage({ type: 'SKIP_WAITING' }),
    )
    for (let waited = 0; waited < WITHIN_MS; waited += 250) {
      await this.page.waitForTimeout(250)
      const isTaken = await this.page
        .evaluate(async () => (await navigator.serviceWorker.ready).waiting === null)
        .catch(() => false)
      if (isTaken) return true
    }
    return false
  }
}

interface Row {
  readonly name: string | null
  readonly n: number
  readonly latest: number
}

function actsIn(file: string): Row[] {
  const sqlite = new SqliteDatabase(file, { readonly: true })
  const rows = sqlite
    .prepare(
      "select members.name as name, count(*) as n, max(done_at + clock_off) as latest from acts left join members on members.id = acts.member where kind in ('marked', 'unmarked') group by members.name",
    )
    .all() as Row[]
  sqlite.close()
  return rows
}

/**
 * Two phones without a server, each closed and started again, the worker changed under them: what each member ticked has to be there once,
 * and by that member. The second phone's clock is a day ahead; on the first another member signs in while the first one's ticks wait.
 */
export async function twoPhones(acts: number, restarts: number, updates: number) {
  const file = newFile()
  const path = house(file)
  const link = new SlowLink(19_000 + (process.pid % 900), 0)
  await link.start()
  const env = { REGLA_PUBLIC: link.url }
  let target: Target | null = null
  const up = async () => {
    target = await startTarget(file, env)
    link.to = target.port
  }
  const worker = readFileSync(WORKER, 'utf8')
  const [first, second] = [new Phone(link.url, path, 0), new Phone(link.url, path, DAY_MS)]
  const both = <T>(what: (phone: Phone) => Promise<T>) => Promise.all([first, second].map(what))
  const found = { phones: 2, ticked: 0, restarts: 0, updates: 0, kept: 0, otherwise: 0, late: 0 }
  const each = Math.ceil(acts / (2 * (restarts + 1)))
  try {
    await up()
    await both((phone) => phone.start())
    await first.signIn('Ida')
    await second.signIn('Ben')
    await both((phone) => phone.keep())
    for (let round = 0; round <= restarts; round++) {
      await target!.kill('SIGKILL')
      await Promise.all([first.tick('Ida', each), second.tick('Ben', each)])
      if (round < restarts) {
        await both((phone) => phone.restart())
        found.restarts += 1
      }
      if (round % 2 === 0 && found.updates < updates) {
        // the server is back with a newer worker, but what was done does not get through yet
        appendFileSync(WORKER, `\n// build ${found.updates + 2}\n`)
        link.drops = ACTS
        await up()
        await both((phone) => phone.open())
        const taken = await both((phone) => phone.takeNewer())
        if (taken.every(Boolean)) found.updates += 1
        if (found.updates === 2) {
          // the first phone is in another hand while Ida's ticks wait on it
          await first.signIn('Ben')
          await first.tick('Ben', 8)
          link.drops = null
          await arrived(file, { Ida: 0, Ben: first.ticked.Ben })
          link.drops = ACTS
          await first.signIn('Ida')
        }
        await both((phone) => phone.open())
        if (found.updates === updates) link.drops = null
      } else await up()
      await both((phone) => phone.open())
    }
    link.drops = null
    const wanted = {
      Ida: first.ticked.Ida + second.ticked.Ida,
      Ben: first.ticked.Ben + second.ticked.Ben,
    }
    await both((phone) => phone.open())
    await arrived(file, wanted)
    const rows = actsIn(file)
    found.ticked = wanted.Ida + wanted.Ben
    found.kept = rows.reduce((sum, { n }) => sum + n, 0)
    found.otherwise = MEMBERS.reduce(
      (sum, name) => sum + Math.abs(wanted[name] - (rows.find((row) => row.name === name)?.n ?? 0)),
      rows.filter(({ name }) => name === null).reduce((sum, { n }) => sum + n, 0),
    )
    found.late = rows.filter(({ latest }) => latest > Date.now() + 60_000).length
  } finally {
    writeFileSync(WORKER, worker)
    await both(async (phone) => phone.stop())
    await (target as Target | null)?.kill('SIGTERM')
    await link.stop()
  }
  return found
}

/** Waits until the server has at least what it should have. */
async function arrived(file: string, wanted: Readonly<Record<Member, number>>): Promise<void> {
  for (let waited = 0; waited < WITHIN_MS; waited += 500) {
    const rows = actsIn(file)
    if (MEMBERS.every((name) => (rows.find((row) => row.name === name)?.n ?? 0) >= wanted[name])) return
    await new Promise((done) => setTimeout(done, 500))
  }
}
