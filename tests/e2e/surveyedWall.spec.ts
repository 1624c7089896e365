import { readFileSync } from 'node:fs'
import { DEMO_URL } from '../../playwright.config'
import { expect, expectAccessible, expectSaved, openDemoWall, openStage, test } from './page'
import type { Page } from '@playwright/test'

async function openFold(page: Page, name: RegExp) {
  const fold = page.getByRole('button', { name })
  if ((await fold.getAttribute('aria-expanded')) !== 'true') await fold.click()
}

/** Takes one reading by hand on the Measure stage. */
async function read(page: Page, kind: string, where: string, value: string) {
  await page.getByRole('button', { name: /Read$/ }).click()
  await page.getByRole('option', { name: new RegExp(`^${kind}`) }).click()
  await page.getByRole('textbox', { name: /^Where:/ }).fill(where)
  await page.getByRole('textbox', { name: /^Reads:/ }).fill(value)
  await page.getByRole('button', { name: 'Take this reading' }).click()
}

test('a wall out by half an inch: closure refuses, is mended; every batten its own length', async ({
  page,
}) => {
  await openDemoWall(page, 'Window wall')
  await openStage(page, 'Measure')
  // 56 left, 33 wide and 53 3/4 right make 142 3/4; the wall reads about 142 1/4 there
  await expect(page.getByText('Window: 56 left of it').first()).toBeVisible()
  await expectAccessible(page)

  await openStage(page, 'Cut')
  const refused = page.getByRole('region', { name: 'Not ready to cut' })
  // one line with its count; the window is circled on the drawing
  await expect(refused.getByRole('button', { name: /^Not ready to cut: \d+ things/ })).toBeVisible()
  await expect(page.locator('[data-wrong] [data-thing^=window]')).toHaveCount(1)
  await refused.getByRole('button', { name: /^Not ready/ }).click()
  await expect(refused).toContainText('is too much')
  await expect(refused).toContainText('question')
  await expectAccessible(page)

  await openStage(page, 'Measure')
  await page.locator('[data-grip="window"]').click()
  await page.getByRole('textbox', { name: 'Its right edge, from the right' }).fill('53 1/4')
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByText('Window: 56 left of it')).toHaveCount(0)

  // side trim and the rest of the walk round
  await openFold(page, /^Walk round the room/)
  for (const [question, answer] of [
    ['Ledges', 'none here'],
    ['The building dates from', 'before 1978'],
    ['Fireplace', 'none here'],
    ['The floor', 'stays as it is'],
    ['Furniture', 'stays'],
    ['A bed or crib', 'yes'],
  ] as const)
    await page
      .getByRole('radiogroup', { name: new RegExp(question) })
      .getByRole('radio', { name: answer })
      .click()
  await expect(page.getByText(/Paint from before 1978 may hold lead/)).toBeVisible()
  await expect(page.getByText(/Work in two halves/)).toBeVisible()
  await expect(page.getByText(/Nothing loose or heavy over a bed or crib/)).toBeVisible()
  await expect(page.getByText(/Cables run up and down from every box/)).toBeVisible()
  await expectAccessible(page)

  // the outlet in the way: looked at on the drawing, then shifted clear
  await openStage(page, 'Lay out')
  await expect(page.getByText(/overlaps by .* the right outlet/).first()).toBeVisible()
  const shift = page.getByRole('button', { name: /^Shift all by/ }).last()
  await shift.hover()
  await expect(page.locator('svg polygon[stroke-dasharray="7 4"]').first()).toBeVisible()
  await shift.click()
  await expect(page.getByText(/the right outlet/)).toHaveCount(0)

  await openStage(page, 'Cut')
  await expect(page.getByText('Ready to cut: the readings close')).toBeVisible()
  // worked by hand: base 3 1/4 on a floor that falls 3/4 over 142 1/4, rail's underside level at 59 1/2, so a batten
  // is 56 1/4 + 3/4 * (its right edge) / 142 1/4 long. Gap (142 3/16 - 16) / 9 = 14.0208, shifted by 1 5/8:
  // right edges of battens 2 and 8 at 33.667 and 129.792, lengths 56.428 and 56.934
  await expect(page.locator('[data-pieces="batten-2"]')).toContainText('56 7/16')
  await expect(page.locator('[data-pieces="batten-8"]')).toContainText('56 15/16')
  await openStage(page, 'Lay out')
  await openStage(page, 'Cut')
  await expectSaved(page)
  await page.reload()
  await expect(page.getByText('Ready to cut: the readings close')).toBeVisible()
})

test('overruled with a reason, and the reason is kept', async ({ page }) => {
  await openDemoWall(page, 'Wall by the door')
  await openStage(page, 'Cut')
  const refused = page.getByRole('region', { name: 'Not ready to cut' })
  await refused.getByRole('button', { name: /^Not ready/ }).click()
  const before = await refused.getByRole('listitem').count()
  await refused.getByRole('button', { name: 'Go on all the same' }).first().click()
  await refused
    .getByRole('textbox', { name: 'Why, for the record' })
    .fill('one narrow wall, held up to scribe')
  await refused.getByRole('button', { name: 'Keep the reason and go on' }).click()
  await expect(refused.getByRole('listitem')).toHaveCount(before - 1)
  await expectSaved(page)
  await page.reload()
  await expect(page.getByText('Overruled: one narrow wall, held up to scribe')).toBeVisible()
})

test('readings by hand, from the laser and from a file; studs from the finder', async ({ page, context }) => {
  await openDemoWall(page, 'Long wall')
  await openStage(page, 'Measure')
  await openFold(page, /^Readings/)
  await read(page, 'Width', '6', '227 3/8')
  await page.getByRole('textbox', { name: /^Reads:/ }).fill('40000 ft')
  await expect(page.getByText(/longer than any room/).first()).toBeVisible()
  await expect(page.getByRole('button', { name: 'Take this reading' })).toBeDisabled()
  await read(page, 'Width', '80', '300')
  await expect(page.getByText(/That can’t be: check the unit/)).toBeVisible()
  await page.getByRole('button', { name: 'Strike the width at 80 up' }).click()
  await expect(page.getByText(/That can’t be: check the unit/)).toHaveCount(0)

  await page.getByRole('textbox', { name: /^Where:/ }).fill('80')
  await page.getByRole('button', { name: 'Wait for the laser' }).click()
  await expect(page.getByText('Waiting: press measure on the laser.')).toBeVisible()
  await page.waitForTimeout(700)
  const devices = await context.newPage()
  await devices.goto(`${DEMO_URL}/devices`)
  await devices.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
  await devices.getByRole('textbox', { name: 'It is aimed at, truly' }).fill('227 1/4')
  await devices.getByRole('button', { name: 'Measure' }).click()
  await expect(devices.getByText(/^Read 227/)).toBeVisible()
  await expect(page.getByText(/^The laser reads 227/)).toBeVisible()
  await page.getByRole('button', { name: 'Take this reading' }).click()
  await expect(page.locator('[data-reading="width"]').last()).toContainText('laser')

  await openFold(page, /^Studs and nails/)
  await page.getByRole('button', { name: 'Wait for the stud finder' }).click()
  await page.waitForTimeout(700)
  await devices.getByRole('textbox', { name: 'Swept from the left corner to' }).fill('227')
  await devices.getByRole('button', { name: 'Sweep along the wall' }).click()
  await expect(page.getByText(/Studs every 16 in, the first at/)).toBeVisible()
  await page.getByRole('button', { name: 'Mark these studs' }).click()
  await expect(page.getByRole('group', { name: 'Studs marked' }).getByRole('button')).toHaveCount(14)
  await expect(page.getByTestId('longest-nail')).toContainText('Longest safe nail 2 1/2 in')
  await expectAccessible(page)
  await devices.close()

  await expectSaved(page)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Readings to a file' }).click(),
  ])
  const csv = readFileSync(await download.path(), 'utf8')
  expect(csv.split('\r\n')[0]).toBe('kind,place,value,degrees,turn,method,taken_at')
  const choose = async (body: string) => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Readings from a file' }).click(),
    ])
    await chooser.setFiles({ name: 'r.csv', mimeType: 'text/csv', buffer: Buffer.from(body) })
  }
  await choose('kind,place,value\nwidth,40,12 q\n')
  await expect(page.getByText('No reading was taken in.')).toBeVisible()
  const before = await page.locator('[data-reading]').count()
  await choose(csv)
  await expect(page.locator('[data-reading]')).toHaveCount(before * 2)
})

test('things are put on the wall, pushed by arrow key and by hand', async ({ page }) => {
  await openDemoWall(page, 'Bed wall')
  await openStage(page, 'Measure')
  await openFold(page, /^What stands there/)
  await page.getByRole('button', { name: 'Put it on the wall' }).click()
  const grip = page.locator('[data-grip="outlet"]')
  const middle = page.getByRole('textbox', { name: 'Middle, from the left' })
  const before = await middle.inputValue()
  await grip.focus()
  for (let i = 0; i < 16; i++) await page.keyboard.press('ArrowRight')
  await expect(middle).not.toHaveValue(before)
  const box = await grip.boundingBox()
  if (!box) throw new Error('no grip')
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + 120, box.y - 60, { steps: 8 })
  await page.mouse.up()
  await expectSaved(page)
  await page.getByRole('radio', { name: 'keep clear' }).click()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'It is not there' }).click()
  await expect(grip).toHaveCount(0)
})
