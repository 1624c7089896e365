import { readFileSync } from 'node:fs'
import { expect, expectAccessible, expectSaved, openDemoWall, openStage, test } from './page'

test('one strip in hand is lit on the drawing, the rod, the cut list and its board', async ({ page }) => {
  await openDemoWall(page, 'Long wall')
  await page.locator('[data-strip="batten-4"]').click()
  for (const place of ['[data-strip="batten-4"]', '[data-rod-strip="batten-4"]'])
    await expect(page.locator(place)).toHaveAttribute('data-lit', 'true')
  await expect(page.getByRole('region', { name: 'Strip in hand' })).toContainText('63 3/16')
  await openStage(page, 'Cut')
  await expect(page.locator('[data-row][data-lit]')).toHaveCount(1)
  await expect(page.locator('[data-board-piece="batten-4"]')).toHaveAttribute('data-lit', 'true')
  await openStage(page, 'Mark')
  await expect(page.locator('[data-mark="batten-4"]')).toHaveAttribute('data-lit', 'true')
})

test('height and gap are pulled on the drawing, by pointer and by arrow key, and taken back', async ({
  page,
}) => {
  await openDemoWall(page, 'Wall by the door')
  const sum = page.getByTestId('closing-sum')
  const grip = page.getByRole('slider', { name: 'Height of the top rail' })
  await expect(grip).toHaveAttribute('aria-valuetext', '57 1/2 in from the floor')
  await grip.focus()
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('ArrowUp')
  await expect(grip).toHaveAttribute('aria-valuetext', '57 5/8 in from the floor')
  const box = await grip.boundingBox()
  if (!box) throw new Error('no grip')
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 60, { steps: 8 })
  await page.mouse.up()
  await expect(grip).not.toHaveAttribute('aria-valuetext', '57 5/8 in from the floor')

  await expect(sum).toContainText('4 × 2 1/2')
  const gap = page.getByRole('slider', { name: 'Gap between strips' })
  const at = await gap.boundingBox()
  if (!at) throw new Error('no gap grip')
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2)
  await page.mouse.down()
  await page.mouse.move(at.x + at.width / 2 + 70, at.y + at.height / 2, { steps: 10 })
  await page.mouse.up()
  await expect(sum).not.toContainText('4 × 2 1/2')
  await expect(sum).toContainText('closes on the wall')
  await expectSaved(page)
  for (let i = 0; i < 12 && (await page.getByRole('button', { name: 'Undo' }).isEnabled()); i++) {
    await page.getByRole('button', { name: 'Undo' }).click()
    await expectSaved(page)
  }
  await expect(sum).toContainText('4 × 2 1/2')
  await expect(grip).toHaveAttribute('aria-valuetext', '57 1/2 in from the floor')
})

test('every school lays the wall out and closes', async ({ page }) => {
  await openDemoWall(page, 'Bed wall')
  const sum = page.getByTestId('closing-sum')
  const school = page.getByRole('button', { name: /How they are spaced/ })
  for (const name of [/by count/, /near a wish/, /from one end/, /center marks/, /from the center/]) {
    await school.click()
    await page.getByRole('option', { name }).click()
    await expect(sum).toContainText('closes on the wall')
  }
  await school.click()
  await page.getByRole('option', { name: /center marks/ }).click()
  await expect(page.getByText(/Center marks are not even/)).toBeVisible()
  const right = page.getByRole('button', { name: /strips, gaps/ }).first()
  await right.click()
  await expect(page.getByText(/Center marks are not even/)).toBeHidden()
})

test('prices and kerf change the boards; units and tape change only the writing', async ({ page }) => {
  await openDemoWall(page, 'Wall by the door')
  await openStage(page, 'Buy')
  const pine = page.locator('[data-material="pine-1x3"]')
  await expect(pine).toContainText(/proven/i)
  const before = await pine.locator('dl').textContent()
  await page.getByRole('textbox', { name: 'Price of 8 ft' }).first().fill('0.50')
  await page.keyboard.press('Enter')
  await expect(pine.locator('dl')).not.toHaveText(before ?? '')
  await expect(pine).toContainText(/proven/i)
  await page.getByRole('button', { name: /^Units and tape/ }).click()
  await page.getByRole('button', { name: /Lengths in/ }).click()
  await page.getByRole('option', { name: 'millimeters' }).click()
  await page.keyboard.press('Escape')
  await expect(page.getByTestId('closing-sum')).toContainText('4 × 63.5')
  await expect(page.getByTestId('closing-sum')).toContainText('closes on the wall')
  for (let i = 0; i < 2; i++) {
    await page.getByRole('button', { name: 'Undo' }).click()
    await expectSaved(page)
  }
  await expect(pine.locator('dl')).toHaveText(before ?? '')
})

test('a strip of one’s own size joins the job and is cut from its own boards', async ({ page }) => {
  await openDemoWall(page, 'Bed wall')
  await page.getByRole('button', { name: 'A strip of your own size' }).click()
  await page.getByRole('textbox', { name: /^Name: actual width/ }).fill('ripped lath: 1 7/8 x 1/2')
  await page.getByRole('button', { name: 'Use it for the battens' }).click()
  await expect(page.getByTestId('closing-sum')).toContainText('× 1 7/8 strips')
  await openStage(page, 'Buy')
  await expect(page.locator('[data-material="ripped-lath"]')).toContainText('no plan buys less length')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expectSaved(page)
  await expect(page.locator('[data-material="ripped-lath"]')).toHaveCount(0)
})

test('the server’s page and the browser’s show the same plan', async ({ page, browser }) => {
  await openDemoWall(page, 'Long wall')
  await openStage(page, 'Cut')
  await expect(page.locator('[data-row]').first()).toBeVisible()
  const live = await page.locator('[data-row]').allTextContents()
  const sum = await page.getByTestId('closing-sum').textContent()
  const bare = await browser.newContext({ javaScriptEnabled: false })
  const served = await bare.newPage()
  await served.goto(page.url())
  expect(await served.locator('[data-row]').allTextContents()).toEqual(live)
  expect(await served.getByTestId('closing-sum').textContent()).toBe(sum)
  await bare.close()
})

test('a job goes out as a file and comes in again; a broken file is refused whole', async ({ page }) => {
  await page.goto('/jobs/demo')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save as job file' }).click(),
  ])
  const path = await download.path()
  const job = JSON.parse(readFileSync(path, 'utf8'))
  expect(job.rooms[0].walls[0].survey.width).toBe(227.375 * 25_400_000)

  const choose = async (name: string, body: string) => {
    await page.goto('/')
    await page.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Open a job file' }).click(),
    ])
    await chooser.setFiles({ name, mimeType: 'application/json', buffer: Buffer.from(body) })
  }
  await choose('bad.json', JSON.stringify({ ...job, name: '', rooms: [{ ...job.rooms[0], name: 7 }] }))
  await expect(page.getByRole('alert')).toContainText('2 things to mend first')
  await expect(page.getByRole('alert')).toContainText('rooms[0].name')
  await expectAccessible(page)
  await choose('good.json', JSON.stringify({ ...job, name: 'Tern Cottage again' }))
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Tern Cottage again')
  await expect(page.getByText('227 3/8 × 97 3/4')).toBeVisible()
  await expectAccessible(page)

  await page.goto('/')
  await page.getByRole('button', { name: 'Put Tern Cottage again away' }).click()
  await expect(page.getByRole('link', { name: 'Tern Cottage again' })).toBeHidden()
  await page.getByRole('button', { name: 'Bring it back' }).click()
  await expect(page.getByRole('link', { name: 'Tern Cottage again' })).toBeVisible()
  await page.getByRole('button', { name: 'Put Tern Cottage again away' }).click()
  await page.getByRole('link', { name: 'Jobs put away' }).click()
  await page.getByRole('button', { name: 'Bring Tern Cottage again back' }).click()
  await page.getByRole('link', { name: 'Jobs at hand' }).click()
  await expect(page.getByRole('link', { name: 'Tern Cottage again' })).toBeVisible()
})
