import type { Page } from '@playwright/test'
import { OWN_PORT } from '../../playwright.config'
import { actsAt, count } from './actsAt'
import { OwnServer } from './ownServer'
import { expect, newJob, newWall, openStage, test } from './page'

/** A server that is stopped and comes back. */
const server = new OwnServer(OWN_PORT, 'gone')
test.beforeAll(() => server.start())
test.afterAll(() => server.kill())

async function markSome(page: Page, times: number) {
  const next = page.getByRole('button', { name: /^(Marked, next|Next)/ })
  for (let i = 0; i < times; i++) await next.click()
}

test.describe('without the network', () => {
  test('the wall opens and works with the server stopped; two phones merge; every act is there once', async ({
    browser,
    page,
  }) => {
    test.setTimeout(270_000)
    const job = await newJob(page, server.url, 'Siskin Lane')
    await newWall(page, job, {
      room: 'Loft',
      name: 'Knee wall',
      width: '133 3/8',
      height: '94',
      baseboard: '4',
    })
    const wall = page.url().replace(/\/measure.*/, '')
    const phone = { viewport: { width: 390, height: 844 }, serviceWorkers: 'allow' as const, locale: 'en-US' }
    const [one, two] = await Promise.all([browser.newContext(phone), browser.newContext(phone)])
    const [marks, fits] = await Promise.all([one.newPage(), two.newPage()])
    const errors: string[] = []
    for (const each of [marks, fits]) {
      // from another page, left while the worker is still being installed: the wall is kept all the same
      await each.goto(job)
      await each.goto(`${wall}/mark`)
      each.on('pageerror', (error) => errors.push(error.message))
      // all stages of the wall are kept once the worker has them
      await expect
        .poll(() => each.evaluate(async () => (await (await caches.open('regla pages')).keys()).length), {
          timeout: 40_000,
        })
        .toBeGreaterThanOrEqual(8)
    }
    // sent already, and not in the page that was kept: it is known all the same
    await markSome(marks, 2)
    await expect.poll(async () => count(await actsAt(wall), 'marked'), { timeout: 20_000 }).toBe(2)
    await server.kill()
    await marks.reload()
    await expect(marks.getByTestId('huge-mark')).toBeVisible()
    await expect(marks.getByText(/^2 of \d+ on the wall/).first()).toBeVisible()
    await markSome(marks, 4)
    await expect(marks.locator('[data-unsent]')).toContainText('not sent yet')
    await fits.goto(`${wall}/fit`)
    await expect(fits.getByTestId('huge-fit')).toBeVisible()
    for (let i = 0; i < 3; i++)
      await fits
        .getByRole('button', { name: /^Fitted, next/ })
        .last()
        .click()
    await openStage(fits, 'Log')
    await fits.getByRole('button', { name: 'Start fitting' }).click()
    // what was done outlives the page, server or not
    await marks.reload()
    await expect(marks.getByText(/^6 of \d+ on the wall/).first()).toBeVisible()
    await expect(marks.locator('[data-unsent]')).toContainText('4 things done here are not sent yet')
    expect(
      await marks.evaluate(() =>
        fetch('/healthz').then(
          () => 'there',
          () => 'away',
        ),
      ),
    ).toBe('away')

    await server.start()
    await Promise.all(
      [marks, fits].map((each) => each.evaluate(() => window.dispatchEvent(new Event('online')))),
    )
    await expect.poll(async () => count(await actsAt(wall), 'marked'), { timeout: 40_000 }).toBe(6)
    await expect.poll(async () => count(await actsAt(wall), 'pieceUp'), { timeout: 40_000 }).toBe(3)
    const acts = await actsAt(wall)
    expect(new Set(acts.map(({ id }) => id)).size).toBe(acts.length)
    expect(count(acts, 'began')).toBe(1)
    // each sees what the other did
    await openStage(fits, 'Mark')
    await expect(fits.getByText(/^6 of \d+ on the wall/).first()).toBeVisible({ timeout: 20_000 })
    await expect(fits.locator('[data-unsent]')).toHaveCount(0)
    expect(errors).toEqual([])
    await Promise.all([one.close(), two.close()])
  })

  test('killed while acts are on their way, requests dropped, doubled and late: nothing is lost, nothing is there twice', async ({
    page,
  }) => {
    test.setTimeout(270_000)
    const job = await newJob(page, server.url, 'Dunlin Yard')
    await newWall(page, job, {
      room: 'Back',
      name: 'Pipe wall',
      width: '147 5/8',
      height: '92',
      baseboard: '4',
    })
    const wall = page.url().replace(/\/measure.*/, '')
    let n = 0
    await page.route('**/acts', async (route) => {
      if (route.request().method() !== 'POST') return route.continue()
      n += 1
      // never there; there, but the answer is lost; there twice; late
      if (n % 4 === 1) return route.abort()
      if (n % 4 === 2) {
        await route.fetch().catch(() => null)
        return route.abort()
      }
      if (n % 4 === 3) await route.fetch().catch(() => null)
      await new Promise((done) => setTimeout(done, 120))
      return route.continue().catch(() => undefined)
    })
    await page.setViewportSize({ width: 390, height: 844 })
    await openStage(page, 'Mark')
    await markSome(page, 5)
    await server.kill()
    await markSome(page, 3)
    await server.start()
    await openStage(page, 'Fit')
    for (let i = 0; i < 4; i++)
      await page
        .getByRole('button', { name: /^Fitted, next/ })
        .last()
        .click()
    await expect
      .poll(async () => [count(await actsAt(wall), 'marked'), count(await actsAt(wall), 'pieceUp')], {
        timeout: 60_000,
      })
      .toEqual([8, 4])
    const acts = await actsAt(wall)
    expect([count(acts, 'marked'), count(acts, 'pieceUp'), count(acts, 'released')]).toEqual([8, 4, 1])
    expect(new Set(acts.map(({ id }) => id)).size).toBe(acts.length)
    // a piece fitted from another phone too: both are kept, and both are shown
    const up = acts.find(({ kind }) => kind === 'pieceUp')
    await fetch(`${wall}/acts`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify([
        { ...up, member: undefined, keptAt: undefined, id: 'other-phone-1', doneAt: Date.now() },
      ]),
    })
    await page.reload()
    await expect(page.locator('[data-clash=upTwice]')).toContainText('fitted twice')
  })
})
