import { OWN_PORT } from '../../playwright.config'
import { OwnServer } from './ownServer'
import { expect, expectAccessible, expectSaved, openStage, test } from './page'

/** Nobody was here before. */
const server = new OwnServer(OWN_PORT, 'new-user')
test.beforeAll(() => server.start())
test.afterAll(() => server.kill())

test('a new user: new job, wall, change the gap, marks, cut list, boards, reload, the same', async ({
  page,
}) => {
  await page.goto(server.url)
  await expect(page.getByText('No jobs yet.')).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('link', { name: 'New job' }).click()
  await page.getByRole('button', { name: 'Start the job' }).click()
  await expect(page.getByText('Give the job a name.')).toBeVisible()
  await page.getByLabel('Job', { exact: true }).fill('Harbor loft')
  await page.getByLabel('Client').fill('A. Quillfeather')
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Start the job' }).click()
  await page.waitForURL(/\/jobs\/[0-9a-f]+$/)

  await page.getByRole('textbox', { name: 'Room', exact: true }).fill('Landing')
  await page.getByLabel('Walls, one a line').fill('Over the stairs')
  await page.getByRole('button', { name: 'Measure this wall' }).click()

  await page.getByRole('textbox', { name: 'Width, corner to corner' }).fill("12' 9 1/4")
  await page.getByRole('textbox', { name: 'Height, finished floor to ceiling' }).fill('101 3/8')
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('closing-sum')).toContainText('= 153 1/4')
  await expectSaved(page)
  await expectAccessible(page)

  await openStage(page, 'Lay out')
  await page.getByRole('button', { name: /^Gap, clear between strips/ }).click()
  await page.getByRole('textbox', { name: 'Gap, clear between strips' }).fill('19')
  await page.keyboard.press('Enter')
  const sum = page.getByTestId('closing-sum')
  // (153 1/4 - 6 * 2 1/2) / 7 = 19 3/4
  await expect(sum).toContainText('6 × 2 1/2 strips + 7 × 19 3/4 gaps = 153 1/4')
  await expect(sum).toContainText('closes on the wall')
  await page.getByRole('radio', { name: /^7 battens/ }).click()
  await expect(sum).toContainText('7 × 2 1/2')
  await expectSaved(page)
  await expectAccessible(page)

  await openStage(page, 'Mark')
  // gap (153 1/4 - 17 1/2) / 8 = 16 31/32: first near edge a tape of 1/16 shows as 16 15/16 or 17
  await expect(page.locator('[data-mark="batten-1"]')).toContainText('16 31/32')
  await page.getByRole('radio', { name: 'right corner' }).click()
  await expect(page.locator('[data-mark]').first()).toHaveAttribute('data-mark', 'batten-7')

  await openStage(page, 'Cut')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Cut list, 9 pieces')
  const cutRows = await page.locator('[data-row]').allTextContents()

  await openStage(page, 'Buy')
  await expect(page.locator('[data-material="pine-1x3"]')).toContainText(/proven/i)
  const boards = await page.getByTestId('boards-of-material').allTextContents()

  await page.reload()
  await expect(page.getByTestId('boards-of-material')).toHaveText(boards)
  await openStage(page, 'Cut')
  await expect(page.locator('[data-row]')).toHaveText(cutRows)
  await openStage(page, 'Lay out')
  await expect(sum).toContainText('7 × 2 1/2')

  // undo outlives the reload
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(sum).toContainText('6 × 2 1/2 strips + 7 × 19 3/4 gaps')
  await page.reload()
  await expect(sum).toContainText('6 × 2 1/2')
  await page.getByRole('button', { name: 'Redo' }).click()
  await expect(sum).toContainText('7 × 2 1/2')
})

test('walls typed with a word nobody knows: the line says so while it is typed, and one press makes it an obstacle', async ({
  page,
}) => {
  await page.goto(`${server.url}/jobs/new`)
  await page.getByLabel('Job', { exact: true }).fill('Typed')
  if (await page.getByText('from the start').isVisible()) await page.getByText('from the start').click()
  const lines = page.getByLabel('Walls, one a line')
  await lines.fill('North: 150 x 96, mirror 30 x 40 at 48, shelf at 30\nSouth: 120 x 96, piano 58 x 48 at 20')
  await expect(page.getByText(/Line 2: “piano 58 x 48 at 20” is not a word Regla knows/)).toBeVisible()
  // a press says it as well, and loses nothing
  await page.getByRole('button', { name: 'Start the job' }).click()
  await expect(page.getByText(/Line 2: “piano 58 x 48 at 20” is not a word Regla knows/)).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Add “piano” as an obstacle' }).click()
  await expect(lines).toHaveValue(/South: 120 x 96, obstacle 58 x 48 at 20$/)
  await page.getByRole('button', { name: 'Start the job' }).click()
  // two walls of a room are seen together
  await page.waitForURL(/\/jobs\/[0-9a-f]+\/rooms\/[0-9a-f]+$/)
  for (const name of ['North', 'South'])
    await expect(page.getByRole('main').getByRole('link', { name, exact: true })).toBeVisible()
})

test('bad input: said beside the field, kept, the drawing greyed; an impossible wall has ways out', async ({
  page,
}) => {
  await page.goto(`${server.url}/jobs/new`)
  await page.getByLabel('Job', { exact: true }).fill('Trouble')
  await page.getByText('feet and inches').click()
  if (await page.getByText('from the start').isVisible()) await page.getByText('from the start').click()
  await page.getByRole('button', { name: 'Start the job' }).click()
  await page.waitForURL(/\/jobs\/[0-9a-f]+$/)
  await page.getByRole('textbox', { name: 'Room', exact: true }).fill('Attic')
  await page.getByLabel('Walls, one a line').fill('Knee wall')
  await page.getByRole('button', { name: 'Measure this wall' }).click()

  const width = page.getByRole('textbox', { name: 'Width, corner to corner' })
  await width.fill('12 q')
  await expect(page.getByText("“12 q” can't be read from “q” on.").first()).toBeVisible()
  await expect(page.getByText('This is the last wall that could be drawn.')).toBeVisible()
  await openStage(page, 'Lay out')
  await openStage(page, 'Measure')
  await expect(width).toHaveValue('12 q')
  await width.fill('40000 ft')
  await expect(page.getByText(/longer than any room/).first()).toBeVisible()
  await width.fill('8 ft')
  await expect(page.getByText('This is the last wall that could be drawn.')).toBeHidden()

  await openStage(page, 'Lay out')
  await page.getByRole('button', { name: /How they are spaced/ }).click()
  await page.getByRole('option', { name: /equal gaps by count/ }).click()
  await page.getByRole('textbox', { name: 'Number of battens' }).fill('60')
  await page.keyboard.press('Enter')
  await expect(page.getByText('60 strips of 2 1/2 need').first()).toBeVisible()
  await expectAccessible(page)
  const way = page.getByRole('button', { name: /strips, gaps/ })
  await way.hover()
  await way.click()
  await expect(page.getByTestId('closing-sum')).toContainText('closes on the wall')
})

test('addresses that lead nowhere are friendly', async ({ page }) => {
  for (const path of ['/jobs/nowhere', '/jobs/nowhere/walls/x/layout', '/nothing/here']) {
    const response = await page.goto(`${server.url}${path}`)
    expect(response?.status()).toBe(404)
    await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible()
  }
  await expectAccessible(page)
})
