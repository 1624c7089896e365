import { type Page } from '@playwright/test'
import sharp from 'sharp'
import { OWN_PORT } from '../../playwright.config'
import { OwnServer } from './ownServer'
import {
  choosePattern,
  expect,
  expectAccessible,
  expectSaved,
  newJob,
  newWall,
  openFold,
  openStage,
  test,
} from './page'

/** Logs make rates for all jobs of a server: these have one of their own. */
const server = new OwnServer(OWN_PORT, 'away')
test.beforeAll(() => server.start())
test.afterAll(() => server.kill())

interface Kept {
  readonly id: string
  readonly kind: string
  readonly strip?: string
}

/** What the server has of a wall's acts. */
async function actsAt(wall: string): Promise<Kept[]> {
  const answer = await fetch(`${wall}/acts`)
  return ((await answer.json()) as { acts: Kept[] }).acts
}

const count = (acts: readonly Kept[], kind: string) => acts.filter((act) => act.kind === kind).length

async function markSome(page: Page, times: number) {
  const next = page.getByRole('button', { name: /^(Marked, next|Next)/ })
  for (let i = 0; i < times; i++) await next.click()
}

test('a grid wall comes out 7/8 longer after twelve pieces are up: what is up stays, the rest is evened out', async ({
  page,
}) => {
  test.setTimeout(150_000)
  const job = await newJob(page, server.url, 'Alder Row')
  await newWall(page, job, {
    room: 'Den',
    name: 'Sofa wall',
    width: '246 1/8',
    height: '95',
    baseboard: '4 1/2',
  })
  const wall = page.url().replace(/\/measure.*/, '')
  await openStage(page, 'Lay out')
  await choosePattern(page, 'Grid')
  await expectSaved(page)
  await openStage(page, 'Fit')
  const side = page.getByRole('complementary', { name: 'Fit' })
  const all = Number(/of (\d+) up/.exec((await page.getByTestId('fit-count').textContent()) ?? '')?.[1])
  expect(all).toBeGreaterThan(14)
  // each with where it goes, how it is fixed and what to look at
  await expect(page.getByTestId('fit-number')).toHaveText(/\d/)
  await expect(
    side.locator('[data-check=levelFirst]').or(side.locator('[data-check=stands]')).first(),
  ).toBeVisible()
  for (let i = 0; i < 12; i++) await side.getByRole('button', { name: 'Fitted, next' }).click()
  await expect(page.getByTestId('fit-count')).toHaveText(`12 of ${all} up`)
  await expectAccessible(page)

  // a reading that can't be is told, and loses nothing
  await side.getByRole('button', { name: /Which$/ }).click()
  await page.getByRole('option').last().click()
  const reads = side.getByRole('textbox', { name: 'The tape reads' })
  await reads.fill('500')
  await side.getByRole('button', { name: 'That is where it is' }).click()
  await expect(page.getByTestId('built-said')).toContainText('off the wall')
  // the last strip went up 7/8 farther on than laid out
  const planned = /Laid out at (\d+)[\s\u2009\u00a0](\d+)[/⁄](\d+)/.exec(
    (await side.getByRole('region', { name: 'As built' }).textContent()) ?? '',
  )
  if (!planned) throw new Error('nothing says where it is laid out')
  const eighths = Number(planned[1]) * 16 + (Number(planned[2]) * 16) / Number(planned[3]) + 14
  await reads.fill(`${Math.floor(eighths / 16)} ${eighths % 16}/16`)
  await side.getByRole('button', { name: 'That is where it is' }).click()
  await expect(side.getByText(/beyond the end of the wall as it was measured/)).toBeVisible()
  await side.getByText('Wall', { exact: true }).click()
  await side.getByRole('textbox', { name: 'The whole wall reads' }).fill('247')
  await side.getByRole('button', { name: 'That is where it is' }).click()
  await expect(side.locator('[data-off=wall-right]')).toContainText('7/8 in wider')
  const ways = side.getByRole('region', { name: 'Ways on' })
  await expect(ways.locator('[data-way]').first()).toBeVisible()
  expect(await ways.locator('[data-way]').count()).toBeGreaterThan(2)
  const even = ways.locator('[data-way]', { hasText: 'Even out what is left' })
  await expect(even.getByTestId('way-cost')).toContainText(/recut/)
  await even.getByRole('button', { name: 'Go on like this' }).click()
  await expect(page.getByTestId('built-said')).toContainText('Taken')
  await expectSaved(page)
  // marks, cards and boards are the new wall's; what is up still is
  await expect(page.getByTestId('fit-count')).toHaveText(`12 of ${all} up`)
  await expect(side.locator('[data-off]')).toHaveCount(0)
  await openFold(page, /^For the one at the saw/)
  await expect(page.getByTestId('reissued').locator('li').first()).toBeVisible()
  await openStage(page, 'Cut')
  await expect(page.getByText(/closes on the wall/)).toBeVisible()
  await page.reload()
  await openStage(page, 'Fit')
  await expect(page.getByTestId('fit-count')).toHaveText(`12 of ${all} up`)
  // undo takes the decision back, never what happened
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(side.locator('[data-off]').first()).toContainText('7/8 in farther right')
  await expect(page.getByTestId('fit-count')).toHaveText(`12 of ${all} up`)

  // one is pulled off again: its holes go to the finish list
  await page.getByRole('button', { name: 'All pieces' }).click()
  await side.locator('[data-up=true]').first().getByRole('button').click()
  await side.getByRole('button', { name: 'Pull it off again' }).click()
  await expect(page.getByTestId('pulled')).toContainText('nail hole')
  await expect(page.getByTestId('fit-count')).toHaveText(`11 of ${all} up`)
  await openStage(page, 'Finish')
  await expect(page.getByText(/nail holes? where .* was pulled off/).first()).toBeVisible()
  expect(count(await actsAt(wall), 'pulledOff')).toBe(1)
})

test('the log writes itself: clock, note with its place, paint; struck out; the day on the job’s page; tools are proved', async ({
  page,
}) => {
  test.setTimeout(120_000)
  const job = await newJob(page, server.url, 'Teal Cottage')
  await newWall(page, job, {
    room: 'Hall',
    name: 'Coat side',
    width: '121 1/4',
    height: '96',
    baseboard: '5',
  })
  await openStage(page, 'Log')
  await page.getByRole('button', { name: 'Start fitting' }).click()
  await expect(page.getByText(/^Running/)).toBeVisible()
  await page.getByTestId('log-wall').click({ position: { x: 120, y: 90 } })
  await page.getByRole('textbox', { name: 'In a line' }).fill('Level slipped off the ledge')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.locator('[data-note-at]')).toHaveCount(1)
  await page.getByRole('textbox', { name: 'Product' }).fill('Wall paint')
  await page.getByRole('textbox', { name: 'Batch' }).fill('B-114')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await page.getByRole('button', { name: 'Pause' }).click()
  await expect(page.locator('[data-day-line=used]')).toContainText('Wall paint, B-114')
  const picture = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#8a5a3c' } })
    .png()
    .toBuffer()
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'dent.png', mimeType: 'image/png', buffer: picture })
  await expect(page.getByText('Photo added')).toBeVisible()
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.locator('[data-unsent]')).toHaveCount(0)
  await page.reload()
  await expect(page.locator('[data-day-line=noted] img')).toHaveJSProperty('complete', true)
  await expectAccessible(page)
  await page.locator('[data-day-line=used]').getByRole('button', { name: 'Strike out' }).click()
  await expect(page.locator('[data-day-line=used]')).toHaveCount(0)
  await page.setViewportSize({ width: 390, height: 844 })
  await expectAccessible(page)
  await page.setViewportSize({ width: 1280, height: 800 })

  await page.goto(`${job}/log`)
  await expect(page.locator('[data-day-line=noted]').first()).toContainText('Level slipped off the ledge')
  await expectAccessible(page)
  // a time written down makes a rate, and the plan goes by it
  await page.goto(`${job}/work`)
  await page
    .getByRole('row', { name: /^Sand/ })
    .or(page.getByRole('button', { name: /^Sand/ }))
    .first()
    .click()
  const took = page.getByTestId('task').getByRole('textbox', { name: 'Time it took, in minutes' })
  await took.fill('30')
  await took.press('Enter')
  await page.waitForTimeout(600)
  await page.goto(`${job}/log`)
  await expect(page.locator('[data-rate=sandBoard]')).toContainText('from 1 job')
  await page.goto(`${job}/work`)
  await openFold(page, /^How long|^Rates|^Hours/i)
  await expect(page.getByText(/from your log, 1 job/).first()).toBeVisible()

  await page.goto(`${server.url}/tools`)
  const level = page.getByRole('region', { name: 'The level' })
  await level.getByRole('textbox', { name: 'The marks are apart by' }).fill('1/8')
  await level.getByRole('textbox', { name: 'Length between the marks' }).fill('48')
  await level.getByRole('button', { name: 'Keep what was found' }).click()
  await expect(level.getByTestId('tool-found')).toContainText(/Off by 1[/⁄]16/)
  await expectAccessible(page)
  await page.waitForTimeout(400)
  await page.goto(`${job}`)
  await page.getByRole('link', { name: 'Coat side', exact: true }).click()
  await openStage(page, 'Mark')
  await expect(page.locator('[data-tool-advice]')).toContainText('The level')
  await page.getByRole('button', { name: /^How even/ }).click()
  await expect(page.getByTestId('even-ways').locator('[data-way=running]')).toContainText('usually')
  await expectAccessible(page)
})

test.describe('without the network', () => {
  test('the wall opens and works with the server stopped; two phones merge; every act is there once', async ({
    browser,
    page,
  }) => {
    test.setTimeout(180_000)
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
    test.setTimeout(180_000)
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
