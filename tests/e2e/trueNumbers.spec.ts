import { expect, expectAccessible, expectSaved, openStage, test } from './page'
import type { Page } from '@playwright/test'

async function openCorner(page: Page, wall: string, stage: string) {
  await page.goto('/jobs/demo')
  const href = await page.getByRole('link', { name: wall, exact: true }).getAttribute('href')
  await page.goto((href ?? '').replace(/\w+$/, stage))
  await expect(page.locator('[data-rod-strip]').first()).toBeVisible()
}

const openFold = (page: Page, name: RegExp) => page.getByRole('button', { name }).click()

test('a leaning alcove: marks along the line the tape is hooked on, cards with their notches, fixing piece by piece', async ({
  page,
}) => {
  await openCorner(page, 'Alcove wall', 'mark')
  // the left end leans 7/16 at 81: along the head the same batten is nearer the corner
  const first = page.locator('[data-mark=batten-2] td')
  await expect(first.nth(0).locator('.number')).toContainText('14 5/16')
  await expect(first.nth(0)).toContainText('head line 14 ')
  await page.getByRole('radio', { name: 'head line' }).click()
  await expect(first.nth(0).locator('.number')).not.toContainText('14 5/16')
  await page.getByRole('radio', { name: 'laser line', exact: true }).click()
  await page.getByRole('textbox', { name: 'Laser line, up from the floor' }).fill('0')
  await expect(page.getByText('the tape hooked along the laser line, 0 up')).toBeVisible()
  // the line picked, and the foot and head lines below it, for both edges
  await expect(page.locator('[data-mark=batten-2] [data-hook]')).toHaveCount(4)
  await expectAccessible(page)

  await openStage(page, 'Cut')
  const notched = page.locator('[data-pieces="rail-1"]')
  await expect(notched.locator('[data-notch]')).toHaveText(
    /notch 1\s3\/4 deep out of the upper edge, from 29\s3\/8 to 32\s1\/8 from the left end/,
  )
  // a notched batten stands in no row with plain ones
  await expect(page.locator('[data-pieces~="batten-1-1"]')).toHaveAttribute('data-pieces', 'batten-1-1')
  // three equal battens, one of them over the switch's cable
  const plain = page.locator('[data-pieces~="batten-3-1"]')
  await expect(plain.locator('[data-fixing=adhesiveOnly]')).toContainText('nothing is driven')
  await notched.getByRole('button', { name: /^Row/ }).click()
  await expect(notched.getByText(/Drive nothing from 29\s5\/8 to 32\s3\/8/).first()).toBeVisible()
  await expectAccessible(page)

  await openStage(page, 'Buy')
  await expect(page.getByTestId('cost-in-all')).toContainText(
    '1 board without a price (10 of 11 lengths priced)',
  )
})

test('a check does not check itself: reading fields are empty, and a lean that contradicts the widths is told', async ({
  page,
}) => {
  await openCorner(page, 'Alcove wall', 'measure')
  await openFold(page, /^Readings/)
  const reads = page.getByRole('textbox', { name: /^Reads:/ })
  const take = page.getByRole('button', { name: 'Take this reading' })
  await expect(reads).toHaveValue('')
  await expect(take).toBeDisabled()
  await page.getByRole('textbox', { name: /^Where:/ }).fill('81')
  await reads.fill('41 1/2')
  await take.click()
  await expect(reads).toHaveValue('')
  await expect(page.getByText(/The widths at 7 and 81 up say another lean than was read/)).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText(/say another lean/)).toHaveCount(0)

  await openFold(page, /^What stands there/)
  await page.locator('[data-thing-row=sideTrim]').getByRole('button').click()
  await page.getByRole('button', { name: 'Read from the right too' }).click()
  await expect(page.getByRole('textbox', { name: 'Its right edge, from the right' })).toHaveValue('')
})

test('fillers, shifts and what goes with a school are said and taken back', async ({ page }) => {
  await openCorner(page, 'Far alcove', 'layout')
  await expect(page.locator('[data-kept=fillers]')).toContainText('A filler of 5/16 in at each end')
  await page.getByRole('button', { name: /^Even everywhere: recut \d+/ }).click()
  await expect(page.locator('[data-kept=fillers]')).toHaveCount(0)
  await expect(page.getByTestId('closing-sum')).toContainText('closes on the wall')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.locator('[data-kept=fillers]')).toBeVisible()
  await page.getByRole('button', { name: 'Without them' }).click()
  await expect(page.getByTestId('closing-sum')).not.toContainText('filler')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expectSaved(page)
})

test('walls beside a chimney breast do not meet, and one is left out of match and order', async ({
  page,
}) => {
  await page.goto('/jobs/demo')
  await page.getByRole('link', { name: 'All walls of Reading corner together' }).click()
  await expect(page.getByText('left out of match and order')).toBeVisible()
  await expect(page.getByText('Nothing runs from one to the other.')).toHaveCount(1)
  await page.getByRole('button', { name: 'Take Chimney breast in again' }).click()
  await expect(page.getByText('Nothing runs from one to the other.')).toHaveCount(3)
  await page.getByRole('button', { name: /turn$/ }).first().click()
  await page.getByRole('option', { name: 'outside corner' }).click()
  await expect(page.getByText('Nothing runs from one to the other.')).toHaveCount(2)
  // round an outside corner nothing is coped
  await page.getByRole('button', { name: /meet$/ }).first().click()
  await expect(page.getByRole('option', { name: /is coped to it/ })).toHaveCount(0)
  await page.keyboard.press('Escape')
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('left out of match and order')).toBeVisible()
})
