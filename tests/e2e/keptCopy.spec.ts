import type { Page } from '@playwright/test'
import { OWN_PORT } from '../../playwright.config'
import { OwnServer } from './ownServer'
import { expect, expectSaved, newJob, newWall, openStage, test } from './page'
import { SlowLink } from '../../scripts/attack/slowLink'

const server = new OwnServer(OWN_PORT, 'kept-copy')
const link = new SlowLink(OWN_PORT + 60, OWN_PORT)
test.beforeAll(async () => {
  await server.start()
  await link.start()
})
test.afterAll(async () => {
  await link.stop()
  await server.kill()
})

/** What of the page is a figure, and whether it is labeled as kept; looked at from its first paint on. */
interface Seen {
  readonly text: string
  readonly labeled: boolean
  readonly saved: boolean
}

/** Looks at the page ten times a second from before its first paint on. */
const watchFrom = (page: Page) =>
  page.addInitScript(() => {
    const seen: Seen[] = []
    ;(window as unknown as { seen: Seen[] }).seen = seen
    setInterval(() => {
      const main = document.querySelector('main')
      if (!document.body || !main) return
      const word = document.querySelector('[data-saved-word]')
      const labeled =
        document.body.dataset.kept !== undefined || document.querySelector('[data-kept-band]') !== null
      const saved =
        word !== null &&
        getComputedStyle(word).visibility === 'visible' &&
        /✓ saved/.test(word.textContent ?? '')
      const text = document.body.innerText
      seen.push({ text, labeled, saved })
    }, 100)
  })

const seenOn = (page: Page) => page.evaluate(() => (window as unknown as { seen: Seen[] }).seen)

test.describe('a copy that this device kept', () => {
  test('says so from its first paint, is compared as soon as the server answers, and is never called saved before', async ({
    browser,
    page,
  }) => {
    test.setTimeout(600_000)
    // made and kept over a quick link
    const job = await newJob(page, link.url, 'Plover Row')
    await newWall(page, job, {
      room: 'Den',
      name: 'Long side',
      width: '143 1/2',
      height: '94',
      baseboard: '4',
    })
    const path = new URL(page.url()).pathname.replace(/\/measure.*/, '')
    const phone = await browser.newContext({
      viewport: { width: 390, height: 844 },
      serviceWorkers: 'allow',
      locale: 'en-US',
    })
    const wall = await phone.newPage()
    const errors: string[] = []
    wall.on('pageerror', (error) => errors.push(error.message))
    await wall.goto(`${link.url}${path}/mark`)
    await expect
      .poll(() => wall.evaluate(async () => (await (await caches.open('regla pages')).keys()).length), {
        timeout: 60_000,
      })
      .toBeGreaterThanOrEqual(8)
    // and all of its job, by its own button
    await wall.goto(job)
    await wall.getByRole('button', { name: 'Take this job along' }).click()
    await expect(wall.locator('[data-along=done]')).toContainText('All of it is kept', { timeout: 90_000 })
    const room = await wall.getByRole('link', { name: 'All walls of Den together' }).getAttribute('href')
    await wall.close()
    // meanwhile somebody else makes the wall wider
    await page.goto(`${server.url}${path}/measure`)
    const width = page.getByRole('textbox', { name: 'Width, corner to corner' })
    await width.fill('151 3/4')
    await width.press('Enter')
    await expectSaved(page)

    link.delay = 6_000
    const around = [new URL(job).pathname, room ?? ''].map((at) => [at, at] as const)
    const pages: Readonly<Record<string, string>> = {
      ...Object.fromEntries(['mark', 'cut', 'fit', 'measure'].map((stage) => [stage, `${path}/${stage}`])),
      ...Object.fromEntries(around),
      today: `${new URL(job).pathname}/work/today`,
      boards: `${new URL(job).pathname}/boards/list`,
    }
    const atStage = async (stage: string) => {
      const late = await phone.newPage()
      late.on('pageerror', (error) => errors.push(`${stage}: ${error.message}`))
      await watchFrom(late)
      await late.goto(`${link.url}${pages[stage] ?? ''}`, { waitUntil: 'commit', timeout: 60_000 })
      // what was kept is shown, and says that it was
      await expect
        .poll(async () => (await seenOn(late)).some(({ labeled }) => labeled), { timeout: 40_000 })
        .toBe(true)
      // and is what the server has in the end, by itself
      await expect
        .poll(async () => (await seenOn(late)).at(-1)?.labeled ?? true, { timeout: 60_000 })
        .toBe(false)
      const seen = await seenOn(late)
      const fresh = seen.at(-1)?.text ?? ''
      const stale = seen.filter(
        ({ text, labeled }) => !labeled && /143 ?1⁄2|143 ½|143 1\/2/.test(text) && text !== fresh,
      )
      expect([stage, stale.length]).toEqual([stage, 0])
      expect([stage, seen.filter(({ labeled, saved }) => labeled && saved).length]).toEqual([stage, 0])
      // every sample without a label shows what stands there in the end
      if (stage === 'mark') {
        const number = await late.getByTestId('huge-mark').innerText()
        expect(number.length).toBeGreaterThan(0)
      }
      await late.close()
    }
    // two at a time: a browser has six lines to one server, and each page asks on three
    for (const pair of [['mark', 'cut'], ['fit', 'measure'], around.map(([at]) => at), ['today', 'boards']])
      await Promise.all(pair.map(atStage))
    expect(errors).toEqual([])

    // with the server away it stays a copy, and says that too
    link.delay = 0
    const again = await phone.newPage()
    await again.goto(`${link.url}${path}/mark`)
    await expect(again.locator('[data-kept-band]')).toHaveCount(0)
    await server.kill()
    await again.reload()
    await expect(again.locator('[data-kept-band="away"]')).toContainText('the server is away', {
      timeout: 30_000,
    })
    await expect(again.locator('[data-saved-word]')).toContainText('as of')
    await again.screenshot({ path: 'test-results/kept-away.png' })
    await server.start()
    await expect(again.locator('[data-kept-band]')).toHaveCount(0, { timeout: 30_000 })
    await expect(again.locator('[data-saved-word]')).toContainText('✓ saved')
    await phone.close()
  })

  test('an open page takes in what another window saves, by itself; what is in hand here stays', async ({
    browser,
    page,
  }) => {
    test.setTimeout(270_000)
    const job = await newJob(page, server.url, 'Dabchick Lane')
    await newWall(page, job, {
      room: 'Den',
      name: 'Short side',
      width: '121',
      height: '94',
      baseboard: '4',
    })
    const wall = page.url().replace(/\/measure.*/, '')
    const other = await (await browser.newContext({ locale: 'en-US' })).newPage()
    await other.goto(`${wall}/measure`)
    const width = (of: Page) => of.getByRole('textbox', { name: 'Width, corner to corner' })
    await expect(width(other)).toHaveValue(/^121/)
    await width(page).fill('127')
    await width(page).press('Enter')
    await expectSaved(page)
    await expect(width(other)).toHaveValue(/^127/, { timeout: 15_000 })
  })

  // before, it was told at the second full load, on a page that was new already
  test('a page that is open is told of a newer build, once nothing here is unsent, on whichever stage it is', async ({
    page,
  }) => {
    test.setTimeout(240_000)
    const job = await newJob(page, server.url, 'Ouzel Court')
    await newWall(page, job, {
      room: 'Den',
      name: 'Short side',
      width: '121',
      height: '94',
      baseboard: '4',
    })
    const note = page.getByText('A newer Regla is there.')
    await page.waitForTimeout(4_500)
    await expect(note).toHaveCount(0)
    // what is changed now can't be sent
    await page.route('**/document**', (route) => route.abort())
    const width = page.getByRole('textbox', { name: 'Width, corner to corner' })
    await width.fill('127')
    await width.press('Enter')
    await expect(page.locator('[data-saved-word]')).toHaveText('not saved')
    await page.route('**/news', async (route) => {
      const answer = await route.fetch()
      await route.fulfill({ json: { ...((await answer.json()) as object), build: 'another' } })
    })
    await page.waitForTimeout(5_000)
    await expect(note).toHaveCount(0)
    await page.unroute('**/document**')
    await page.evaluate(() => window.dispatchEvent(new Event('online')))
    await expect(page.locator('[data-saved-word]')).toHaveText(/✓ saved/, { timeout: 20_000 })
    await expect(note).toBeVisible({ timeout: 15_000 })
    await openStage(page, 'Mark')
    await expect(note).toBeVisible()
    await page.getByRole('button', { name: 'Take it' }).click()
    await page.unroute('**/news')
    await expect(note).toHaveCount(0)
    await openStage(page, 'Measure')
    await expect(width).toHaveValue(/^127/)
  })
})
