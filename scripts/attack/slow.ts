import { chromium, type Page } from '@playwright/test'
import { inches } from '~/length'
import { blankSurvey, startingDesign, startingSettings } from '~/model'
import { checkpoint, openDatabase, sqliteOf } from '~/server/db/database.server'
import { importJob, jobDetail } from '~/server/jobs.server'
import { AT_WALL } from '~/offline/kept'
import config from '../../playwright.config'
import { SlowLink } from './slowLink'
import { newFile, openWall, startTarget } from './target'

const JOB = '/jobs/slow'
/** What the wall is wide as it is kept, and afterwards. */
const [OLD, NEW] = [143.5, 151.75]
const OLD_SAID = /143 ?1⁄2|143 ½|143 1\/2/
const DELAY_MS = 6_000
const WITHIN_MS = 90_000

interface Seen {
  readonly text: string
  readonly labeled: boolean
}

/** Looks at a page ten times a second from before its first paint on, until it says no more that it is a kept copy. */
async function samples(page: Page, url: string): Promise<readonly Seen[]> {
  await page.addInitScript('globalThis.__name = (named) => named')
  await page.addInitScript(() => {
    const seen: Seen[] = []
    ;(window as unknown as { seen: Seen[] }).seen = seen
    setInterval(() => {
      if (!document.body || !document.querySelector('main')) return
      const labeled =
        document.body.dataset.kept !== undefined || document.querySelector('[data-kept-band]') !== null
      seen.push({ text: document.body.innerText, labeled })
    }, 100)
  })
  await page.goto(url, { waitUntil: 'commit', timeout: WITHIN_MS })
  const seenNow = () => page.evaluate(() => (window as unknown as { seen: Seen[] }).seen)
  for (let waited = 0; waited < WITHIN_MS; waited += 1_000) {
    await page.waitForTimeout(1_000)
    const seen = await seenNow()
    if (seen.some(({ labeled }) => labeled) && seen.at(-1)?.labeled === false) break
  }
  return seenNow()
}

/** Opens every page of a job that a phone has kept, over a link that takes six seconds, after somebody made the wall wider. */
export async function slowPages() {
  const file = newFile()
  const db = openDatabase(file)
  const wall = {
    id: 'w',
    name: 'Wall',
    survey: { ...blankSurvey(), width: inches(OLD) },
    design: startingDesign(),
  }
  const settings = startingSettings('inches', '1/16')
  importJob(
    db,
    {
      format: 'regla-job',
      version: 2,
      name: 'Slow',
      client: '',
      settings,
      rooms: [{ id: 'r', name: 'Room', walls: [wall] }],
    },
    'slow',
  )
  const room = jobDetail(db, 'slow')?.rooms[0]
  checkpoint(db)
  sqliteOf(db).close()
  const own = `${JOB}/walls/${room?.walls[0]?.id ?? ''}`
  const target = await startTarget(file)
  const link = new SlowLink(18_000 + (process.pid % 900), target.port)
  await link.start()
  const browser = await chromium.launch(config.use?.launchOptions)
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, locale: 'en-US' })
  const found = { pages: 0, samples: 0, unlabeled: 0, neverFresh: 0, where: [] as string[] }
  try {
    const page = await phone.newPage()
    await page.goto(`${link.url}${JOB}`)
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
    await page.reload()
    await page.getByRole('button', { name: 'Take this job along' }).click()
    await page.locator('[data-along=done]').waitFor({ timeout: WITHIN_MS })
    await page.close()
    const client = await openWall(target, own)
    await client.send((survey) => ({ ...survey, width: inches(NEW) }))
    link.delay = DELAY_MS
    const stages = AT_WALL.map((stage) => `${own}/${stage}`)
    const pages = [
      ...stages,
      JOB,
      `${JOB}/rooms/${room?.id ?? ''}`,
      `${JOB}/boards/list`,
      `${JOB}/work/today`,
    ]
    for (const path of pages) {
      const late = await phone.newPage()
      const seen = await samples(late, `${link.url}${path}`)
      await late.close()
      const stale = seen.filter(({ text, labeled }) => !labeled && OLD_SAID.test(text))
      found.pages += 1
      found.samples += seen.length
      found.unlabeled += stale.length
      const last = seen.at(-1)
      if (!last || last.labeled || OLD_SAID.test(last.text)) found.neverFresh += 1
      if (stale.length > 0) found.where.push(path)
    }
  } finally {
    await browser.close()
    await link.stop()
    await target.kill('SIGTERM')
  }
  return found
}
