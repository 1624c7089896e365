// npm run bench:browser: what a pull on the drawing and a typed key cost in Chromium, on walls with much on them. Wants a build.
import { spawn } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type CDPSession, type Page } from '@playwright/test'
import { inches } from '~/length'
import { blankSurvey, type Design, type JobFile, startingDesign, startingSettings, withDesign } from '~/model'
import { openDatabase } from '~/server/db/database.server'
import { importJob } from '~/server/jobs.server'

const PORT = 3290
const MOVES = 90

const walls: { name: string; width: number; design: Partial<Design>; handles: string[] }[] = [
  {
    name: '60 battens',
    width: 731.5,
    design: { spacing: { school: 'equalByCount', strips: 60, ends: 'gap' } },
    handles: ['Gap between strips', 'Height of the top rail'],
  },
  {
    name: 'grid 12 x 8',
    width: 300,
    design: {
      pattern: 'grid',
      spacing: { school: 'equalByCount', strips: 13, ends: 'strip' },
      rows: Array<number>(8).fill(1),
      foot: { kind: 'floor' },
      topRail: null,
      height: { rule: 'typed', value: inches(90) },
    },
    handles: ['Gap between strips', 'Height of the top rail'],
  },
  {
    name: '30 boxes',
    width: 980,
    design: { pattern: 'boxes', height: { rule: 'typed', value: inches(36) } },
    handles: ['Width of a box', 'Height of the top rail'],
  },
  {
    name: '41 slats',
    width: 130,
    design: {
      pattern: 'slats',
      battenMaterial: 'pine-1x2',
      spacing: { school: 'equalByCount', strips: 41, ends: 'gap' },
      foot: { kind: 'floor' },
      topRail: null,
      height: { rule: 'typed', value: inches(90) },
    },
    handles: ['Gap between strips', 'Height of the top rail'],
  },
]

const job: JobFile = {
  format: 'regla-job',
  version: 2,
  name: 'Bench',
  client: '',
  settings: startingSettings('inches', '1/16'),
  rooms: [
    {
      id: 'room',
      name: 'Room',
      walls: walls.map(({ name, width, design }, i) => ({
        id: `wall-${i}`,
        name,
        survey: { ...blankSurvey(), width: inches(width), height: inches(97) },
        design: withDesign(startingDesign(), design),
      })),
    },
  ],
}

const file = join(mkdtempSync(join(tmpdir(), 'regla-bench-')), 'bench.db')
importJob(openDatabase(file), job, 'bench')

const at = (sorted: readonly number[], part: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * part))] ?? NaN
const say = (name: string, times: readonly number[]) => {
  const sorted = [...times].sort((a, b) => a - b)
  const show = (ms: number) => `${ms.toFixed(1).padStart(6)} ms`
  console.log(`${name.padEnd(58)} median ${show(at(sorted, 0.5))}   p95 ${show(at(sorted, 0.95))}`)
}

async function busy(session: CDPSession): Promise<number> {
  const { metrics } = await session.send('Performance.getMetrics')
  return (metrics.find(({ name }) => name === 'TaskDuration')?.value ?? 0) * 1000
}

/** What the measuring itself takes of the main thread: the same moves over a place that answers to none. */
async function idle(page: Page, session: CDPSession) {
  const times: number[] = []
  for (let i = 0; i < 40; i++) {
    const before = await busy(session)
    await page.mouse.move(640 + i, 75)
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done, 12))))
    times.push((await busy(session)) - before)
  }
  return times
}

/** Types a figure into a length field key by key and takes the time from each key to the frame after it. */
async function keys(page: Page, label: string) {
  const field = page.getByRole('textbox', { name: label })
  await field.click()
  await page.evaluate(() => {
    const kept = window as unknown as { keys: number[] }
    kept.keys = []
    document.addEventListener('keydown', (event) =>
      requestAnimationFrame(() => setTimeout(() => kept.keys.push(performance.now() - event.timeStamp))),
    )
  })
  for (let i = 0; i < 12; i++) {
    await field.fill('')
    await page.keyboard.type(`${700 + i} 1/2`, { delay: 60 })
  }
  await page.keyboard.press('Escape')
  return page.evaluate(() => (window as unknown as { keys: number[] }).keys)
}

/** Script a page has fetched, in kB as it came. */
async function scriptOf(page: Page): Promise<number> {
  return page.evaluate(() =>
    performance
      .getEntriesByType('resource')
      .filter(({ name }) => name.endsWith('.js'))
      .reduce((sum, entry) => sum + (entry as PerformanceResourceTiming).encodedBodySize / 1000, 0),
  )
}

/** Moves the mouse once a frame and takes the main thread's time for each, and the time to the frame after. */
async function pull(page: Page, session: CDPSession, label: string) {
  const handle = page.getByRole('slider', { name: label })
  const box = await handle.boundingBox()
  if (!box) throw new Error(`no handle ${label}`)
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  const times: number[] = []
  for (let i = 1; i <= MOVES; i++) {
    const by = 24 * Math.sin(i / 9)
    const before = await busy(session)
    await page.mouse.move(label.startsWith('Height') ? x : x + by, label.startsWith('Height') ? y + by : y)
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done, 12))))
    times.push((await busy(session)) - before)
  }
  await page.mouse.up()
  return times
}

const server = spawn('node', ['server.js'], {
  env: { ...process.env, NODE_ENV: 'production', PORT: String(PORT), DB_FILE: file },
  stdio: 'ignore',
})
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
})
try {
  for (let tries = 0; tries < 100; tries++) {
    if (
      await fetch(`http://127.0.0.1:${PORT}/healthz`).then(
        ({ ok }) => ok,
        () => false,
      )
    )
      break
    await new Promise((done) => setTimeout(done, 100))
  }
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.addInitScript(() => {
    const kept = window as unknown as { tasks: number[]; shift: number }
    kept.tasks = []
    kept.shift = 0
    new PerformanceObserver((list) =>
      kept.tasks.push(...list.getEntries().map(({ duration }) => duration)),
    ).observe({
      type: 'longtask',
    })
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) kept.shift += (entry as unknown as { value: number }).value
    }).observe({ type: 'layout-shift', buffered: true })
  })
  const session = await page.context().newCDPSession(page)
  await session.send('Performance.enable')
  await page.goto(`http://127.0.0.1:${PORT}/jobs/bench`)
  for (const { name, handles } of walls) {
    await page.getByRole('link', { name, exact: true }).click()
    await page.waitForFunction(() => document.querySelector('[role=slider]') !== null)
    await page.waitForTimeout(1500)
    if (name === walls[0]?.name)
      say('the measuring itself, to be taken off each move', await idle(page, session))
    for (const label of handles) {
      await page.evaluate(() => ((window as unknown as { tasks: number[] }).tasks = []))
      say(`${name}, ${label.toLowerCase()}: main thread a move`, await pull(page, session, label))
      const long = await page.evaluate(() => (window as unknown as { tasks: number[] }).tasks)
      console.log(
        `${''.padEnd(58)} tasks over 50 ms: ${long.length}${long.length > 0 ? `, worst ${Math.max(...long)}` : ''}`,
      )
    }
    const shift = await page.evaluate(() => (window as unknown as { shift: number }).shift)
    console.log(`${`${name}: layout shift`.padEnd(58)} ${shift.toFixed(3)}`)
    await page.goto(`http://127.0.0.1:${PORT}/jobs/bench`)
  }
  await page.getByRole('link', { name: walls[0]?.name ?? '', exact: true }).click()
  await page.getByRole('link', { name: 'Measure' }).click()
  say('60 battens: a key typed in a length to its frame', await keys(page, 'Width, corner to corner'))
  const wall = page.url()
  for (const stage of ['layout', 'measure', 'mark', 'cut', 'buy']) {
    const fresh = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await fresh.goto(wall.replace('measure', stage))
    const script = await scriptOf(fresh)
    console.log(`${`${stage}: script when the page is up`.padEnd(58)} ${script.toFixed(0)} kB`)
    await fresh.close()
  }
} finally {
  await browser.close()
  server.kill()
}
