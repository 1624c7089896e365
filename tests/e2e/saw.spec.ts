import { actsAt } from './actsAt'
import { expect, expectAccessible, expectSaved, openStage, test } from './page'
import type { Page } from '@playwright/test'

async function openCut(page: Page, name: string) {
  await page.goto('/jobs/demo')
  await page.getByRole('link', { name, exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await openStage(page, 'Cut')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Cut list')
  await page.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
}

const fold = (page: Page, name: RegExp) => page.getByRole('button', { name })
const cutOf = (page: Page) => page.locator('[data-cut-of]')

/** Gives the reason that a list with things to settle asks for. */
async function releaseAnyway(page: Page, reason: string) {
  await page.getByRole('textbox', { name: 'Reason to release now' }).fill(reason)
  await page.getByRole('button', { name: 'Release anyway' }).click()
}

test('at the desk: a list released, ticked and spoiled; a joint moved, the boards follow; a flawed board; undo takes no tick', async ({
  page,
}) => {
  test.setTimeout(240_000)
  await openCut(page, 'Long wall')
  // the wall keeps the larger part of the stage
  const wall = await page.locator('[data-width-in]').boundingBox()
  expect((wall?.width ?? 0) * (wall?.height ?? 0)).toBeGreaterThan(800 * 380)

  // what is still to settle is listed, nothing is released without a reason, and the reason is kept with the list
  await page.getByRole('button', { name: 'Release to the saw' }).first().click()
  const despite = page.locator('[data-despite]')
  await expect(despite.getByRole('listitem').first()).toBeVisible()
  await expect(despite.getByRole('button', { name: 'Release anyway' })).toBeDisabled()
  await expect(despite).toContainText('Enter a reason')
  await expect(cutOf(page)).toHaveCount(0)
  await releaseAnyway(page, 'Measured last week')
  await expect(page.locator('[data-released-despite]')).toContainText('Measured last week')
  await expect(cutOf(page)).toHaveText('17 to cut')
  const battens = page.locator('[data-pieces~="batten-1"]')
  await battens.getByRole('button', { name: 'Cut: one of A' }).click()
  await battens.getByRole('button', { name: 'Cut: one of A' }).click()
  await expect(cutOf(page)).toHaveText('2 of 17 cut')
  // the row, its piece large, its strips on the wall and its board light together
  await battens.getByRole('button', { name: 'Row A' }).click()
  await expect(page.locator('[data-in-hand="A"]')).toContainText('Battens 1 to 13')
  await expect(page.locator('[data-board-piece][data-lit]').first()).toBeVisible()
  await expect(battens.locator('[data-piece="A1"]')).toContainText('✓ cut')
  await battens.locator('[data-piece="A1"]').getByRole('button', { name: 'Spoiled' }).click()
  await expect(battens.locator('[data-piece="A1"] [data-spoiled]')).toContainText(
    'Spoiled once, to be cut again',
  )
  await expect(cutOf(page)).toHaveText('1 of 17 cut')
  // a true length read at the wall counts
  const rail = page.locator('[data-pieces~="topRail-2"]')
  await rail.getByRole('button', { name: /^Row/ }).click()
  const read = rail.getByRole('textbox', { name: /Read on the wall/ })
  await read.fill('36 1/2')
  await read.press('Enter')
  await expect(page.locator('[data-pieces~="topRail-2"]')).toContainText('36 1/2')
  await expectAccessible(page)

  // the joint of the cap is moved by a number, then along by the keys; the layout has gone on since
  await fold(page, /^Joints/).click()
  const joints = page.locator('[data-run-joints="cap"]')
  await expect(joints).toContainText('scarfed at 45° through the thickness')
  await joints.getByRole('textbox', { name: /Joint 1/ }).fill('150')
  await joints.getByRole('textbox', { name: /Joint 1/ }).press('Enter')
  await expect(page.locator('[data-since]')).toContainText('still fit')
  await page.getByRole('slider', { name: 'Joint 1 of Cap' }).focus()
  await page.keyboard.press('ArrowRight')
  await expect(joints.getByRole('textbox', { name: /Joint 1/ })).toHaveValue('150 1/16 in')
  await expectSaved(page)
  await page.getByRole('button', { name: 'Release the list as it is now' }).click()
  await releaseAnyway(page, 'Only the joint has moved')
  await expect(page.locator('[data-since]')).toHaveCount(0)
  await expect(cutOf(page)).toHaveText('1 of 17 cut')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.locator('[data-since]')).toBeVisible()
  await expect(cutOf(page)).toHaveText('1 of 17 cut')

  // a board with a knot: where its pieces go is said, and it is kept
  await page.getByRole('button', { name: 'A board has a flaw' }).first().click()
  await page.getByRole('button', { name: 'Note it' }).click()
  await expect(page.locator('[data-flaw="1"]')).toContainText(
    'Board 1: knot at the end cut first. Seal it with shellac',
  )
  await page.reload()
  await expect(cutOf(page)).toHaveText('1 of 17 cut')
  await expect(page.locator('[data-flaw="1"]')).toBeVisible()
  await expect(page.locator('[data-setups]')).toHaveCount(0)
  await fold(page, /^In fewest set-ups/).click()
  await expect(page.locator('[data-setups]')).toContainText('searched through: no order needs fewer')
})

test('panels with a notch and two holes, strips from a sheet, a saw kept for the crew, labels and a ticket', async ({
  page,
}) => {
  test.setTimeout(240_000)
  await openCut(page, 'Bench wall')
  await fold(page, /^Panels/).click()
  await expect(page.locator('[data-panel]')).toHaveCount(5)
  await expect(page.locator('[data-panel-cut="hole"]')).toHaveCount(2)
  await expect(page.locator('[data-panel-cut="notch"]')).toHaveCount(1)
  const hole = page.locator('[data-panel="P1"] [data-panel-cut="hole"]')
  await expect(hole).toContainText('across 28 11/16 + 2 1/8 + 15')
  await page.getByRole('radio', { name: 'from its back' }).click()
  await expect(hole).toContainText('across 15 + 2 1/8 + 28 11/16')
  await fold(page, /^Blocks/).click()
  await expect(page.locator('[data-kit="spacer"]')).toContainText('board')

  await fold(page, /^Saw and tools/).click()
  await page.getByRole('textbox', { name: 'This saw’s name' }).fill('Loft saw')
  await page.getByRole('button', { name: 'Keep it for the crew' }).click()
  await expect(page.getByRole('button', { name: 'Cut with Loft saw' })).toBeVisible()
  await page.getByText('jigsaw', { exact: true }).click()
  await expectSaved(page)
  await expectAccessible(page)

  await page.getByRole('link', { name: 'Cutting ticket' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Cutting ticket')
  await expect(page.locator('[data-ticket-sheet]')).toContainText('15 strips of 3')
  await expectAccessible(page)
  await page.getByRole('link', { name: 'Cut list' }).click()
  await page.getByRole('link', { name: 'Labels for the pieces' }).click()
  await expect(page.locator('[data-label]')).toHaveCount(30)
  await page.getByRole('radio', { name: 'one by one' }).click()
  await expect(page.locator('[data-label]')).toHaveCount(1)
  await expectAccessible(page)
  // on paper there is the sheet alone
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden()
  await expect(page.getByRole('navigation', { name: 'Stages of the work' })).toBeHidden()
  await page.emulateMedia({ media: 'screen' })

  await openStage(page, 'Buy')
  const sheets = page.locator('[data-sheet-plan]')
  await expect(sheets).toHaveAttribute('data-proven', 'true')
  await expect(sheets).toContainText('2 sheets for 17 strips, $112.80')
  await expect(sheets).toContainText('Bought ready')
  await page.getByRole('button', { name: /3 in MDF strip/ }).click()
  await page.getByRole('option', { name: 'bought as strips' }).click()
  await expect(page.locator('[data-sheet-plan]')).toHaveCount(0)
  // what the strips on sale are too short for is joined of more of them; nothing is lost, and it goes back
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.locator('[data-sheet-plan]')).toHaveCount(1)
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

  test('all pieces of a wall ticked by thumb, the page loaded anew in between', async ({ page }) => {
    test.setTimeout(240_000)
    await openCut(page, 'Wall by the door')
    const walk = page.getByRole('region', { name: 'One piece at a time' })
    const bar = page.locator('[data-thumb-bar]')
    await bar.getByRole('button', { name: 'Release to the saw' }).click()
    await releaseAnyway(page, 'Measured last week')
    await expect(page.getByTestId('cut-walk-saw')).toContainText('Change the saw: Saw at 0°, both ends')
    // readable at two meters: about 80 px and more
    const size = await page
      .getByTestId('cut-walk-length')
      .evaluate((each) => parseFloat(getComputedStyle(each).fontSize))
    expect(size).toBeGreaterThanOrEqual(72)
    const first = await page.getByTestId('cut-walk-where').textContent()
    // measured in place: read, cut, then on to the next opening
    await expect(page.locator('[data-opening]')).toContainText('Trip 1 of')
    await page.getByRole('textbox', { name: /Read on the wall/ }).fill('83 1/2')
    await page.getByRole('textbox', { name: /Read on the wall/ }).press('Enter')
    await expect(page.getByTestId('cut-walk-length')).toContainText('83 1/2')
    await bar.getByRole('button', { name: 'Cut', exact: true }).click()
    await bar.getByRole('button', { name: 'Next' }).click()
    await expect(page.getByTestId('cut-walk-where')).not.toHaveText(first ?? '')
    await page.reload()
    await expect(page.getByTestId('cut-walk-where')).toBeVisible()
    await expect(page.getByTestId('cut-walk-where')).not.toHaveText(first ?? '')
    await walk.getByRole('button', { name: /All that is left/ }).click()
    await expectAccessible(page)
    const done = walk.getByText(/All \d+ pieces are cut\./)
    for (let i = 0; i < 40 && (await done.count()) === 0; i++) {
      await bar.getByRole('button', { name: /^(Cut|Next|Cut, next|All \d+ cut, next)$/ }).click()
      await page.waitForTimeout(40)
    }
    await expect(done).toBeVisible()
    await page.goto('/jobs/demo')
    await expect(page.locator('body')).toContainText('cut')
  })

  test('a double tap does one thing; what was done last is taken back on its card', async ({ page }) => {
    test.setTimeout(240_000)
    await openCut(page, 'Long wall')
    const walk = page.getByRole('region', { name: 'One piece at a time' })
    const bar = page.locator('[data-thumb-bar]')
    await page.waitForTimeout(500)
    await bar.getByRole('button', { name: 'Release to the saw' }).dblclick()
    await page.getByRole('textbox', { name: 'Reason to release now' }).first().fill('Measured last week')
    await page.waitForTimeout(700)
    await page.getByRole('button', { name: 'Release anyway' }).first().dblclick()
    const acts = async () => await actsAt(page.url().replace(/\/cut.*/, ''))
    const cutBy = async () => (await acts()).filter(({ kind }) => kind === 'pieceCut').length
    await expect(cutOf(page).first()).toHaveText(/to cut/)
    expect(await cutBy()).toBe(0)
    const next = bar.getByRole('button', { name: /^(Cut|Cut, next|All \d+ cut, next)$/ })
    await expect(next).toBeVisible()
    await page.waitForTimeout(700)
    await next.dblclick()
    const undo = walk.getByRole('button', { name: /^Undo: .* cut/ })
    await expect(undo).toHaveCount(1)
    await expect.poll(cutBy, { timeout: 15_000 }).toBeGreaterThan(0)
    const said = await undo.innerText()
    const [, many] = /Undo: (\d+) cut/.exec(said) ?? []
    expect(await cutBy()).toBe(Number(many ?? 1))
    await undo.click()
    await expect(undo).toHaveCount(0)
    await expect
      .poll(async () => (await acts()).filter(({ kind }) => kind === 'pieceUncut').length, {
        timeout: 15_000,
      })
      .toBe(Number(many ?? 1))
    // the same at the wall
    await openStage(page, 'Mark')
    const mark = page.getByRole('button', { name: /^Marked, next/ })
    await page.waitForTimeout(700)
    const before = (await marksAt(page)).length
    await mark.dblclick()
    await expect.poll(async () => (await marksAt(page)).length, { timeout: 15_000 }).toBe(before + 1)
    await page.getByRole('button', { name: /^Undo: mark \d+/ }).click()
    await expect(page.getByRole('button', { name: /^Undo: mark \d+/ })).toHaveCount(0)
  })
})

/** Marks made on the wall of this page. */
const marksAt = async (page: Page) =>
  (await actsAt(page.url().replace(/\/mark.*/, ''))).filter(({ kind }) => kind === 'marked')

test('what is cut is not bought again: footer, Buy, the job’s boards and its list say the same', async ({
  page,
}) => {
  test.setTimeout(240_000)
  await openCut(page, 'Long wall')
  const footer = page.getByTestId('board-count').locator('b')
  await expect(page.getByTestId('board-count')).toHaveText(/^\d+ boards? of/)
  const atFirst = Number(await footer.innerText())
  await page.getByRole('button', { name: 'Release to the saw' }).first().click()
  await releaseAnyway(page, 'Measured last week')
  const battens = page.locator('[data-pieces~="batten-1"]')
  for (let i = 0; i < 6; i++) await battens.getByRole('button', { name: 'Cut: one of A' }).click()
  await expect(cutOf(page)).toHaveText('6 of 17 cut')
  await expect(page.getByTestId('board-count')).toHaveText(/^\d+ more boards?/)
  const left = Number(await footer.innerText())
  expect(left).toBeLessThan(atFirst)
  // boards that are open keep their numbers, and what is on them is drawn as cut
  await openStage(page, 'Buy')
  await expect(page.getByTestId('cut-so-far').first()).toContainText(/^6 cut, \d+ to go: /)
  const counts = await page.getByTestId('boards-of-material').allInnerTexts()
  expect(counts.reduce((sum, text) => sum + Number(text), 0)).toBe(left)
  await expect(page.locator('[data-board]').filter({ hasText: '· open' }).first()).toBeVisible()
  const wall = new URL(page.url()).pathname.split('/')[4] ?? ''
  await expectSaved(page)

  await page.goto(`/jobs/demo/boards?for=wall:${wall}`)
  await expect(page.getByTestId('to-buy')).toBeVisible()
  for (const each of await page
    .getByRole('button', { name: /^What is cut from each/, expanded: false })
    .all())
    await each.click()
  const toBuy = page.getByTestId('to-buy')
  await expect(page.locator('[data-from="open"]').first()).toContainText('what is left of board')
  // boards on hand and on the rack serve before new ones
  const fromHand = page.locator('[data-from="hand"], [data-from="rack"], [data-from="bought"]')
  await expect(toBuy).toHaveText(/^\d+$/)
  expect(Number(await toBuy.innerText())).toBeLessThanOrEqual(left)
  expect(Number(await toBuy.innerText()) + (await fromHand.count())).toBeGreaterThan(0)
  // cut there, what is left of an open board is used up, here and at the wall
  const open = page.locator('[data-from="open"]').first()
  const opened = await page.locator('[data-from="open"]').count()
  const kept = page.waitForResponse((each) => each.url().includes('/yard/acts') && each.ok())
  await open.getByRole('button', { name: /^Cut/ }).click()
  await kept
  await expect(page.locator('[data-from="open"]')).toHaveCount(opened - 1)
  await page.goto(`/jobs/demo/walls/${wall}/buy`)
  await expect(page.getByTestId('cut-so-far').first()).toContainText(/^([7-9]|1\d) cut, /)
})
