// Takes the pictures in docs/screenshots from the demo data, with a server and a database of its own.
import { spawn, spawnSync } from 'node:child_process'
import { mkdtempSync, readdirSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { chromium } from '@playwright/test'
import sharp from 'sharp'
import { prepare } from './prepare.mjs'

const PORT = 3219
const BASE = `http://127.0.0.1:${PORT}`
const DESK = { width: 1280, height: 800 }
const PHONE = { width: 390, height: 844 }

const press = (selector) => (page) => page.locator(selector).first().click()
const pickWall = (wall) => async (page) => {
  await page.getByRole('button', { name: /Wall$/ }).click()
  await page.getByRole('option', { name: wall }).click()
  await page.waitForLoadState('networkidle')
}
const PICTURES = [
  { name: 'job', path: '/jobs/demo', size: DESK },
  { name: 'layout', wall: 'Long wall', stage: 'layout', size: DESK, then: press('[data-strip="batten-5"]') },
  { name: 'room', link: 'All walls of Dining room together', size: DESK },
  {
    name: 'boards',
    path: '/jobs/demo/boards',
    size: DESK,
    then: async (page) => {
      await page.locator('[data-material="pine-1x3"][data-proven=true]').waitFor({ timeout: 60_000 })
      const fold = page.locator('[data-material="pine-1x3"]').getByRole('button', { name: /^What is cut/ })
      await fold.click()
      await fold.evaluate((node) => node.scrollIntoView({ block: 'center' }))
    },
  },
  { name: 'yard', path: '/yard', size: DESK },
  {
    name: 'options',
    wall: 'Window wall',
    stage: 'agree',
    size: DESK,
    then: (page) => page.locator('[data-figures=known]').nth(2).waitFor(),
  },
  { name: 'photo', wall: 'Window wall', stage: 'agree/photo', size: DESK },
  {
    name: 'phone-client',
    path: '/jobs/demo/client',
    size: PHONE,
    then: async (page) => {
      await page.goto(await page.getByLabel('Address of the link').first().inputValue())
      await page
        .locator('img')
        .first()
        .evaluate((image) => image.decode())
    },
  },
  {
    name: 'supplies',
    path: '/jobs/demo/supplies',
    size: DESK,
    then: (page) => page.locator('[data-supply=caulk]').waitFor({ timeout: 60_000 }),
  },
  {
    name: 'work',
    path: '/jobs/demo/work',
    size: DESK,
    then: async (page) => {
      await page.getByRole('button', { name: /Plan for$/ }).click()
      await page.getByRole('option', { name: 'Back bedroom' }).click()
      await page.locator('[data-testid=work-end][data-state=known]').waitFor({ timeout: 60_000 })
      await page.locator('[data-way]').first().waitFor({ timeout: 60_000 })
    },
  },
  {
    name: 'fit',
    wall: 'Scullery wall',
    stage: 'fit',
    size: DESK,
    then: (page) =>
      page
        .locator('[data-way]')
        .first()
        .evaluate((node) => node.scrollIntoView({ block: 'center' })),
  },
  { name: 'paper', path: '/jobs/demo/paper', size: DESK, then: pickWall('Scullery wall') },
  {
    name: 'log',
    path: '/jobs/demo/log',
    size: DESK,
    then: (page) => page.locator('[data-testid=estimates] [data-kind=fit]').waitFor({ timeout: 60_000 }),
  },
  {
    name: 'finish',
    wall: 'Hearth wall',
    stage: 'finish',
    size: DESK,
    then: press('[data-finish="seam-wall"] div button'),
  },
  { name: 'mark', wall: 'Bed wall', stage: 'mark', size: DESK, then: press('[data-rod-strip="batten-3"]') },
  { name: 'cut', wall: 'Desk wall', stage: 'cut', size: DESK, then: press('[data-row="D"] button') },
  { name: 'phone-mark', wall: 'Long wall', stage: 'mark', size: PHONE },
  {
    name: 'phone-cut',
    wall: 'Desk wall',
    stage: 'cut',
    size: PHONE,
    then: press('button[aria-label="Card before"]'),
  },
]

/** Four sheets of the booklet side by side; Debian's poppler-utils turns them into pictures. */
async function bookletPicture() {
  const job = await (await fetch(`${BASE}/jobs/demo/export`)).json()
  const page = await (await fetch(`${BASE}/jobs/demo`)).text()
  const name = 'Desk wall'
  const [, wall] = new RegExp(`/walls/([0-9a-z]+)[^>]*>${name}<`).exec(page) ?? []
  if (!wall || !job.name) throw new Error(`no ${name} in the demo job`)
  const query = new URLSearchParams({ walls: wall, parts: 'wall,marks,cut,boards' })
  const folder = mkdtempSync(join(tmpdir(), 'regla-booklet-'))
  const pdf = join(folder, 'booklet.pdf')
  writeFileSync(
    pdf,
    Buffer.from(await (await fetch(`${BASE}/jobs/demo/paper/booklet.pdf?${query}`)).arrayBuffer()),
  )
  const made = spawnSync('pdftoppm', ['-r', '72', '-png', pdf, join(folder, 'sheet')])
  if (made.status !== 0)
    return console.error('No picture of the booklet: install Debian’s package “poppler-utils”.')
  const sheets = readdirSync(folder).filter((each) => each.endsWith('.png'))
  const shown = [sheets[0], sheets[1], sheets.at(-3), sheets.at(-1)].flatMap((each) => each ?? [])
  const pictures = await Promise.all(
    shown.map((each) =>
      sharp(join(folder, each))
        .resize({ width: 620, height: 480, fit: 'contain', background: '#e9e5da' })
        .toBuffer(),
    ),
  )
  await sharp({ create: { width: 1280, height: 1000, channels: 3, background: '#e9e5da' } })
    .composite(
      pictures.map((input, i) => ({ input, left: 13 + (i % 2) * 634, top: 13 + Math.floor(i / 2) * 494 })),
    )
    .png()
    .toFile('docs/screenshots/booklet.png')
}

prepare({ build: true })
const server = spawn('node', ['server.js'], {
  stdio: 'inherit',
  env: {
    ...process.env,
    NODE_ENV: 'production',
    PORT: String(PORT),
    REGLA_DEMO: '1',
    DB_FILE: join(mkdtempSync(join(tmpdir(), 'regla-shots-')), 'shots.db'),
  },
})
try {
  for (let i = 0; i < 120; i++) {
    const up = await fetch(`${BASE}/healthz`).then(
      ({ ok }) => ok,
      () => false,
    )
    if (up) break
    await sleep(250)
  }
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
    ],
  })
  // all of them, or those that are named
  const named = process.argv.slice(2)
  const wanted = PICTURES.filter(({ name }) => named.length === 0 || named.includes(name))
  for (const { name, path, link, wall, stage, size, then } of wanted) {
    const page = await browser.newPage({ viewport: size, serviceWorkers: 'block' })
    await page.goto(`${BASE}${path ?? '/jobs/demo'}`, { waitUntil: 'networkidle' })
    if (link) await page.getByRole('link', { name: link }).click()
    if (wall) {
      const href = await page.getByRole('link', { name: wall, exact: true }).getAttribute('href')
      await page.goto(`${BASE}${href.replace(/\w+$/, stage)}`, { waitUntil: 'networkidle' })
    }
    await then?.(page)
    await sleep(900)
    await page.screenshot({ path: `docs/screenshots/${name}.png` })
    await page.close()
  }
  await browser.close()
  if (named.length === 0 || named.includes('booklet')) await bookletPicture()
} finally {
  server.kill()
}
