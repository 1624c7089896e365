import { EMPTY_URL } from '../../playwright.config'
import { choosePattern, expect, expectSaved, newJob, newWall, openStage, test } from './page'

const WALL = { room: 'Porch', width: '130', height: '94' }
const widthField = 'Width, corner to corner'
const heightField = 'Height, finished floor to ceiling'

test('two windows: what does not touch is kept of both, what does is asked in one press; undo says what it takes back', async ({
  page,
  context,
}) => {
  // as on a link that carries no news: neither window hears of the other by itself
  await context.route('**/news', (route) => route.abort())
  const job = await newJob(page, EMPTY_URL, 'Two windows')
  await newWall(page, job, { ...WALL, name: 'Street wall' })
  const other = await context.newPage()
  await other.goto(page.url())
  await page.getByRole('textbox', { name: widthField }).fill('131 1/2')
  await page.keyboard.press('Tab')
  await expectSaved(page)
  await expect(page.getByRole('button', { name: 'Undo: wall width', exact: true })).toBeEnabled()

  await other.getByRole('textbox', { name: heightField }).fill('95')
  await other.keyboard.press('Tab')
  await expectSaved(other)
  await expect(other.getByRole('textbox', { name: widthField })).toHaveValue('131 1/2 in')

  // both change the width: the first press settles it, though a field has just been edited
  await page.getByRole('textbox', { name: widthField }).fill('140')
  await page.keyboard.press('Tab')
  await expectSaved(page)
  await other.getByRole('textbox', { name: widthField }).fill('150')
  await other.keyboard.press('Tab')
  const clash = other.getByRole('alert')
  await expect(clash).toContainText('Another window also changed the wall width')
  await expect(other.getByRole('button', { name: /^Undo/ })).toBeDisabled()
  await other.getByRole('textbox', { name: heightField }).fill('96')
  await other.getByRole('button', { name: 'Keep what is here' }).click()
  await expectSaved(other)
  await page.reload()
  await expect(page.getByRole('textbox', { name: widthField })).toHaveValue('150 in')
  await expect(page.getByRole('textbox', { name: heightField })).toHaveValue('96 in')

  // undo in a window that has not seen the other's save takes nothing of it back
  await other.getByRole('textbox', { name: heightField }).fill('97')
  await other.keyboard.press('Tab')
  await expectSaved(other)
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(page.getByRole('alert')).toContainText('Another window changed this meanwhile')
  await expect(page.getByRole('textbox', { name: heightField })).toHaveValue('97 in')
  await page.getByRole('button', { name: 'Undo: wall height', exact: true }).click()
  await expect(page.getByText('taken back: wall height')).toBeVisible()
  await expect(page.getByRole('textbox', { name: heightField })).toHaveValue('96 in')
})

test('settings are taken back where they were changed, and on no other wall', async ({ page }) => {
  const job = await newJob(page, EMPTY_URL, 'Two walls')
  await newWall(page, job, { ...WALL, name: 'Street wall' })
  const first = page.url()
  await newWall(page, job, { ...WALL, name: 'Yard wall' })
  const second = page.url()
  await page.goto(first)
  await page.getByRole('button', { name: /^Units and tape/ }).click()
  await page.getByRole('button', { name: /Lengths in/ }).click()
  await page.getByRole('option', { name: 'millimeters' }).click()
  await page.keyboard.press('Escape')
  await expectSaved(page)
  await page.goto(second)
  await expect(page.getByRole('button', { name: /^Undo/ })).not.toHaveAccessibleName(/units/)
  await page.goto(first)
  await page.getByRole('button', { name: /^Undo: units/ }).click()
  await expect(page.getByRole('button', { name: /^Units and tape: in/ })).toBeVisible()
})

test('a reload right after typing, and a server that is away: nothing typed is lost, and it is said', async ({
  page,
  context,
}) => {
  const job = await newJob(page, EMPTY_URL, 'Away')
  await newWall(page, job, { ...WALL, name: 'Street wall' })
  const width = page.getByRole('textbox', { name: widthField })
  for (const typed of ['133', '134', '135']) {
    await width.fill(typed)
    await page.reload()
    await expect(width).toHaveValue(`${typed} in`)
  }
  await expectSaved(page)
  await expect(page.getByText(/had not reached the server/)).toBeVisible()
  await page.getByRole('button', { name: 'Close this note' }).click()
  // soon after a wall is opened the scripts of all its stages are there
  await page.waitForFunction(() =>
    performance.getEntriesByType('resource').some(({ name }) => name.includes('wall-layout')),
  )
  await page.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
  await context.setOffline(true)
  await width.fill('137 1/4')
  await page.keyboard.press('Tab')
  await expect(page.getByText(/can’t be reached.*kept in this browser/)).toBeVisible()
  await openStage(page, 'Lay out')
  await choosePattern(page, 'Grid')
  await context.setOffline(false)
  await expectSaved(page)
  await page.reload()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('A grid of')
  await openStage(page, 'Measure')
  await expect(width).toHaveValue('137 1/4 in')
})

test('a mark once made stays ticked: after undo, after a reload, until its strip moves', async ({ page }) => {
  const job = await newJob(page, EMPTY_URL, 'Marks')
  await newWall(page, job, { ...WALL, name: 'Street wall' })
  await openStage(page, 'Mark')
  const tick = page.getByRole('button', { name: /^Batten 2 is marked/ })
  await tick.click()
  await expect(tick).toHaveAttribute('aria-pressed', 'true')
  await page.reload()
  await expect(tick).toHaveAttribute('aria-pressed', 'true')
  // the height is taken back, the mark is not; the width is, and the strip is elsewhere
  await page.getByRole('button', { name: 'Undo: wall height', exact: true }).click()
  await expect(page.getByText('taken back: wall height')).toBeVisible()
  await expect(tick).toHaveAttribute('aria-pressed', 'true')
  await page.getByRole('button', { name: 'Undo: wall width', exact: true }).click()
  await expect(tick).toHaveAttribute('aria-pressed', 'false')
  await page.getByRole('button', { name: /^Redo/ }).click()
  await expect(tick).toHaveAttribute('aria-pressed', 'true')
})
