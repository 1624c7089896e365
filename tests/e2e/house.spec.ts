import { choosePattern, expect, expectSaved, openDemoWall, test } from './page'

test('turned to a grid and back, battens have the spacing they had; the grid keeps its own', async ({
  page,
}) => {
  await openDemoWall(page, 'Long wall')
  const sum = page.getByTestId('closing-sum')
  const before = (await sum.textContent()) ?? ''
  await choosePattern(page, 'Grid')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('A grid of')
  await page.getByRole('button', { name: /Border$/ }).click()
  await page.getByRole('option', { name: 'a border mitered at the corners' }).click()
  await choosePattern(page, 'Battens')
  await expect(sum).toHaveText(before)
  await choosePattern(page, 'Grid')
  await expect(page.getByRole('button', { name: /Border$/ })).toContainText('mitered')
  await choosePattern(page, 'Battens')
  await expect(sum).toHaveText(before)
  await expectSaved(page)
  await page.reload()
  await expect(sum).toHaveText(before)
})

test('what is typed is drawn while it is typed, and gone with Esc; Enter keeps it', async ({ page }) => {
  await openDemoWall(page, 'Long wall')
  const title = page.getByRole('heading', { level: 1 })
  const before = (await title.textContent()) ?? ''
  const word = page.getByRole('button', { name: /^Height from the finished floor:/ })
  await word.click()
  await page.getByRole('textbox', { name: 'Height from the finished floor' }).fill('44 1/2')
  await expect(title).toContainText('44 1/2')
  await page.keyboard.press('Escape')
  await expect(title).toHaveText(before)
  await expectSaved(page)
  await page.reload()
  await expect(title).toHaveText(before)
  await word.click()
  await page.getByRole('textbox', { name: 'Height from the finished floor' }).fill('45 1/4')
  await page.keyboard.press('Enter')
  await expectSaved(page)
  await page.reload()
  await expect(title).toContainText('45 1/4')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(title).toHaveText(before)
})

test('a handle stays in hand where the pull leaves no gap, and nothing is saved until it is let go', async ({
  page,
}) => {
  await openDemoWall(page, 'Long wall')
  const sum = page.getByTestId('closing-sum')
  const before = (await sum.textContent()) ?? ''
  const saves: string[] = []
  page.on('request', (request) => {
    if (request.method() === 'POST') saves.push(request.url())
  })
  const gap = page.getByRole('slider', { name: 'Gap between strips' })
  const at = await gap.boundingBox()
  if (!at) throw new Error('no gap grip')
  const [x, y] = [at.x + at.width / 2, at.y + at.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x + 4000, y, { steps: 12 })
  await expect(sum).not.toHaveText(before)
  await expect(gap).toBeVisible()
  // the boards of before the pull do not pass for those of the wall that is drawn
  await expect(page.getByTestId('board-count')).toHaveText(/^… boards/)
  await page.waitForTimeout(1500)
  expect(saves).toEqual([])
  await page.mouse.move(x, y, { steps: 12 })
  await page.mouse.up()
  await expectSaved(page)
  await expect(page.getByTestId('board-count')).toHaveText(/^\d+ boards?/)
  await expect(gap).toBeVisible()
  expect(saves.length).toBeLessThanOrEqual(1)

  // the keys of a slider: either pair of arrows, pages, and its ends
  const height = page.getByRole('slider', { name: 'Height of the top rail' })
  await height.focus()
  const now = async () => Number(await height.getAttribute('aria-valuenow'))
  const start = await now()
  await page.keyboard.press('ArrowRight')
  await expect.poll(now).toBeCloseTo(start + 1 / 16, 6)
  await page.keyboard.press('PageDown')
  await expect.poll(now).toBeCloseTo(start - 15 / 16, 6)
  await page.keyboard.press('End')
  await expect.poll(now).toBe(Number(await height.getAttribute('aria-valuemax')))
})
