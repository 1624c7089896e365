import type { Page } from '@playwright/test'
import { EMPTY_URL } from '../../playwright.config'
import { expect, expectAccessible, expectSaved, newJob, newWall, test } from './page'

/** Every page that is open asks every four seconds. */
const WITHIN = { timeout: 12_000 }

/** Gives a thing another name by its pencil. */
async function rename(page: Page, what: string, name: string) {
  await page.getByRole('button', { name: `Rename ${what}` }).click()
  await page.getByRole('textbox', { name: 'Name' }).fill(name)
  await page.keyboard.press('Enter')
}

test('every open page learns of what another window does; a name both give is asked for', async ({
  page,
  context,
}) => {
  test.setTimeout(270_000)
  const job = await newJob(page, EMPTY_URL, 'Seen by all')
  await newWall(page, job, { room: 'Porch', name: 'Street wall', width: '120', height: '94' })
  const other = await context.newPage()

  // the list of jobs, and a job's page: what is typed there stays
  await page.goto(`${EMPTY_URL}/`)
  await other.goto(job)
  await other.getByRole('textbox', { name: 'Client' }).fill('Somebody')
  await other.getByRole('button', { name: 'Keep these names' }).click()
  await expect(page.getByText('for Somebody')).toBeVisible(WITHIN)
  await page.goto(job)
  await page.getByRole('textbox', { name: 'Job', exact: true }).fill('Typed here')
  await rename(other, 'Street wall', 'Road wall')
  await expect(page.getByRole('link', { name: 'Road wall', exact: true })).toBeVisible(WITHIN)
  await expect(page.getByRole('textbox', { name: 'Job', exact: true })).toHaveValue('Typed here')

  // one field each stands; the same field of both is told, and the next press keeps what is typed
  await other.getByRole('textbox', { name: 'Client' }).fill('Somebody else')
  await other.getByRole('button', { name: 'Keep these names' }).click()
  await expect(page.getByText('for Somebody else')).toBeVisible(WITHIN)
  await page.getByRole('button', { name: 'Keep these names' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Typed here')
  await expect(page.getByText('for Somebody else')).toBeVisible()
  await expect(other.getByRole('heading', { level: 1 })).toHaveText('Typed here', WITHIN)
  await page.getByRole('textbox', { name: 'Job', exact: true }).fill('Mine')
  await other.getByRole('textbox', { name: 'Job', exact: true }).fill('Theirs')
  await other.getByRole('button', { name: 'Keep these names' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Theirs', WITHIN)
  await page.getByRole('button', { name: 'Keep these names' }).click()
  await expect(page.getByRole('alert')).toContainText('Another window also changed the name')
  await page.getByRole('button', { name: 'Keep these names' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Mine')

  // the pencil was opened on a name that was another by the time it was kept
  await page.getByRole('button', { name: 'Rename Road wall' }).click()
  await page.getByRole('textbox', { name: 'Name' }).fill('Lane wall')
  await rename(other, 'Road wall', 'Path wall')
  await expect(other.getByRole('link', { name: 'Path wall', exact: true })).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('Another window named it “Path wall” since')
  await page.getByRole('button', { name: 'Name it “Lane wall”' }).click()
  await expect(page.getByRole('link', { name: 'Lane wall', exact: true })).toBeVisible()

  // the yard
  await page.goto(`${EMPTY_URL}/yard`)
  await other.goto(`${EMPTY_URL}/yard`)
  const price = (of: Page) =>
    of
      .getByRole('table')
      .getByRole('textbox', { name: /^Price/ })
      .first()
  await page.getByRole('textbox', { name: 'Name of a supplier' }).fill('Half typed')
  await price(other).fill('7.77')
  await other.keyboard.press('Tab')
  await expect(price(page)).toHaveValue(/7\.77/, WITHIN)
  await expect(page.getByRole('textbox', { name: 'Name of a supplier' })).toHaveValue('Half typed')
})

test('a tool proved in one window is known in the other', async ({ page, context }) => {
  await page.goto('/yard')
  const other = await context.newPage()
  await other.goto('/tools')
  const level = other.locator('[data-tool=level]')
  await page.goto('/tools')
  await level.getByRole('textbox').first().fill('1/4')
  await level.getByRole('textbox').nth(1).fill('48')
  await level.getByRole('button', { name: /keep/i }).click()
  const said = await level.getByTestId('tool-found').textContent()
  expect(said).toMatch(/48/)
  await expect(page.locator('[data-tool=level]').getByTestId('tool-found')).toHaveText(said ?? '', WITHIN)
})

// before, the second window’s pull was undone, with a sentence that showed for half a second
test('two windows on one photograph: each point stands where it was moved; of one that both moved it is asked', async ({
  page,
  context,
}) => {
  await page.goto('/jobs/demo')
  const wall = await page.getByRole('link', { name: 'Window wall', exact: true }).getAttribute('href')
  const photo = (wall ?? '').replace(/(measure|layout)$/, 'agree/photo')
  await page.goto(photo)
  const other = await context.newPage()
  await other.goto(photo)
  const spot = (of: Page, n: number) => of.locator(`[data-spot="${n}"]`)
  const where = (of: Page, n: number) =>
    spot(of, n)
      .locator('circle')
      .first()
      .evaluate((circle) => {
        const [at, all] = [circle.getBoundingClientRect(), circle.closest('svg')!.getBoundingClientRect()]
        // as a share of the picture, however far the page is scrolled
        return [at.x - all.x, at.y - all.y].map((each) => Math.round((each / all.width) * 500))
      })
  const push = async (of: Page, n: number, key: string) => {
    await spot(of, n).focus()
    for (let i = 0; i < 6; i++) await of.keyboard.press(`Shift+${key}`)
  }
  const [one, three] = [await where(page, 1), await where(page, 3)]
  await push(page, 1, 'ArrowRight')
  await push(other, 3, 'ArrowUp')
  for (const each of [page, other]) {
    await expect.poll(() => where(each, 1), WITHIN).not.toEqual(one)
    await expect.poll(() => where(each, 3), WITHIN).not.toEqual(three)
    await expectSaved(each)
  }
  expect(await where(page, 1)).toEqual(await where(other, 1))
  expect(await where(page, 3)).toEqual(await where(other, 3))

  // on a link that carries no news both move one point
  await context.route('**/news', (route) => route.abort())
  await push(page, 2, 'ArrowUp')
  await expectSaved(page)
  await push(other, 2, 'ArrowDown')
  const asks = other
    .getByRole('alert')
    .filter({ hasText: 'Another window also changed the points on a photograph' })
  await expect(asks).toBeVisible()
  await expectAccessible(other)
  const mine = await where(other, 2)
  await asks.getByRole('button', { name: 'Keep what is here' }).click()
  await expectSaved(other)
  expect(await where(other, 2)).toEqual(mine)
  await page.reload()
  await expect.poll(() => where(page, 2)).toEqual(mine)

  // a step back takes back what was put here; what is put while the server is away goes when it is back
  await page.getByRole('button', { name: 'Undo: points on a photograph' }).click()
  await expect.poll(() => where(page, 2)).not.toEqual(mine)
  await expectSaved(page)
  const before = await where(page, 4)
  await page.context().setOffline(true)
  await push(page, 4, 'ArrowUp')
  await expect(page.getByRole('status').filter({ hasText: /not saved/ })).toBeVisible()
  const put = await where(page, 4)
  expect(put).not.toEqual(before)
  await page.context().setOffline(false)
  await expectSaved(page)
  await page.reload()
  await expect.poll(() => where(page, 4)).toEqual(put)
})

test('an option chosen in one window is in hand in the other; both choosing is asked; undo takes the choice back', async ({
  page,
  context,
}) => {
  test.setTimeout(180_000)
  const job = await newJob(page, EMPTY_URL, 'Chosen by two')
  await newWall(page, job, { room: 'Loft', name: 'Low wall', width: '110', height: '80' })
  const wall = page.url().replace(/\/measure.*$/, '')
  await page.goto(`${wall}/agree`)
  for (const n of [2, 3]) {
    await page.getByRole('button', { name: 'Make another option from Option 1' }).click()
    await expect(page.locator('[data-option-in-hand=other]')).toContainText(`Option ${n}`)
  }
  await page.goto(`${wall}/agree`)
  const other = await context.newPage()
  await other.goto(`${wall}/mark`)
  await other.getByRole('link', { name: 'Agree' }).first().click()
  const inHand = (of: Page) => of.locator('[data-option-in-hand]')
  await page.getByRole('button', { name: 'Choose Option 2' }).click()
  for (const each of [page, other]) {
    await expect(inHand(each)).toHaveAttribute('data-option-in-hand', 'chosen', WITHIN)
    await expect(inHand(each)).toContainText('Option 2', WITHIN)
  }
  // the name goes with the page too
  await page.locator('[data-option="Option 3"]').getByRole('button', { name: 'Rename Option 3' }).click()
  await page.getByRole('textbox', { name: 'Name' }).fill('Rows')
  await page.keyboard.press('Enter')
  await expect(other.locator('[data-option="Rows"]')).toBeVisible(WITHIN)
  await page.getByRole('button', { name: 'Undo: names of options' }).click()
  await expect(page.locator('[data-option="Option 3"]')).toBeVisible()
  await page.getByRole('button', { name: 'Undo: chosen option' }).click()
  for (const each of [page, other]) await expect(inHand(each)).toContainText('Option 1', WITHIN)

  // both choose on a link that carries no news
  await context.route('**/news', (route) => route.abort())
  await page.getByRole('button', { name: 'Choose Option 3' }).click()
  await expect(inHand(page)).toContainText('Option 3')
  await other.getByRole('button', { name: 'Choose Option 2' }).click()
  const asks = other.getByRole('alert').filter({ hasText: 'Another window also changed the chosen option' })
  await expect(asks).toBeVisible()
  await expectAccessible(other)
  await asks.getByRole('button', { name: /^Take/ }).click()
  await expect(inHand(other)).toContainText('Option 3')

  // chosen with the server away: the marks are still those of the option before, and every stage says so
  await expectSaved(page)
  await context.setOffline(true)
  await page.getByRole('button', { name: 'Choose Option 2' }).click()
  const unsaved = page.locator('[data-unsaved-choice]')
  await expect(unsaved).toContainText('Option 2 is chosen on this device', WITHIN)
  await expect(inHand(page)).toContainText('Option 3')
  await page.getByRole('link', { name: 'Mark', exact: true }).click()
  await expect(unsaved).toBeVisible()
  await context.setOffline(false)
  await expect(inHand(page)).toContainText('Option 2', { timeout: 60_000 })
  await expect(unsaved).toHaveCount(0)
})
