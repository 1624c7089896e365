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
import { actsAt, count } from './actsAt'

/** Logs make rates for all jobs of a server: these have one of their own. */
const server = new OwnServer(OWN_PORT, 'away')
test.beforeAll(() => server.start())
test.afterAll(() => server.kill())

test('a grid wall comes out 7/8 longer after twelve pieces are up: what is up stays, the rest is evened out', async ({
  page,
}) => {
  test.setTimeout(240_000)
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

  // a rail that is not where it should be: the rows above it share what is over, and the layout says so
  await side.getByText('Height', { exact: true }).click()
  await side.getByRole('button', { name: /Which$/ }).click()
  await page.getByRole('option').first().click()
  const level = /line heights are marked from\. Laid out at (\d+)/.exec(
    (await side.getByRole('region', { name: 'As built' }).textContent()) ?? '',
  )
  await side.getByRole('textbox', { name: 'The tape reads' }).fill('900')
  await side.getByRole('button', { name: 'That is where it is' }).click()
  await expect(page.getByTestId('built-said')).toContainText('above the ceiling')
  await side.getByRole('textbox', { name: 'The tape reads' }).fill(`${Number(level?.[1]) + 2}`)
  await side.getByRole('button', { name: 'That is where it is' }).click()
  await expect(side.locator('[data-off^=gridRail]')).toContainText('higher than laid out')
  await ways.locator('[data-way]').first().getByRole('button', { name: 'Go on like this' }).click()
  await expect(side.locator('[data-off^=gridRail]')).toHaveCount(0)
  await expectSaved(page)
  await openStage(page, 'Lay out')
  await expect(page.locator('[data-rows=built]')).toContainText('as they are built')
  await expectAccessible(page)
  await openStage(page, 'Fit')
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
  test.setTimeout(240_000)
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
