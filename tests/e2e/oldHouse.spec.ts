import { EMPTY_URL } from '../../playwright.config'
import {
  expect,
  expectAccessible,
  expectSaved,
  newJob,
  newWall,
  openFold,
  openStage,
  pickWord,
  test,
  typeWord,
} from './page'

test('a fireplace wall with unequal sides: kept clear of the fire, a floor to come, read again before it is cut', async ({
  page,
}) => {
  test.setTimeout(270_000)
  const job = await newJob(page, EMPTY_URL, 'Ferry house')
  await newWall(page, job, {
    room: 'Parlor',
    name: 'Fire wall',
    width: '171 1/2',
    height: '93',
    baseboard: '5',
    things: [
      {
        kind: 'fireplace',
        fields: { 'From the left': '49', 'Up from the floor': '0', 'Its width': '38', 'Its height': '31' },
      },
    ],
  })
  await openStage(page, 'Lay out')
  await openFold(page, /^Sections/)
  await page.getByRole('button', { name: /How openings divide the wall$/ }).click()
  await page.getByRole('option', { name: /^a layout of its own/ }).click()
  // 6 in clear leaves 43 at the left, 78 1/2 at the right: two gaps of their own nearest to 16, worked by hand
  // (43 - 2 * 2 1/2) / 3 = 12 2/3; (78 1/2 - 3 * 2 1/2) / 4 = 17 3/4, so the fifth starts at 93 + 17 3/4
  await expect(page.locator('[data-rod-strip="batten-1"]')).toContainText('12 11/16')
  await expect(page.locator('[data-rod-strip="batten-5"]')).toContainText('110 3/4')
  await expect(page.getByText(/Strips keep 6 in clear of the fireplace/)).toBeVisible()
  await expect(page.getByText(/Local code comes first/).first()).toBeVisible()

  // nearer than it may be: told, and mended by its way out
  await openStage(page, 'Measure')
  await page.locator('[data-grip=fireplace]').click()
  const clear = page.getByRole('textbox', { name: 'Strips keep clear of the opening by' })
  await expect(clear).toHaveValue(/^6/)
  await clear.fill('3')
  await page.getByRole('button', { name: 'Done' }).click()
  await openStage(page, 'Lay out')
  const told = page.getByText(/comes within .* of the fireplace; 6 is to be kept clear/).first()
  await expect(told).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Keep 6 clear' }).click()
  await expect(told).toHaveCount(0)

  // a floor of 3/4 to come: the base shows less, and both floors are said, each on its own card
  await openStage(page, 'Measure')
  await openFold(page, /^The wall/)
  await page.getByRole('button', { name: /A floor still to come$/ }).click()
  await page.getByRole('option', { name: 'tile is to come' }).click()
  await page.getByRole('textbox', { name: 'It builds up by' }).fill('3/4')
  await page.keyboard.press('Tab')
  await expect(
    page.getByText(/Heights are from the floor that will be; from the floor there is they are 3\/4 more/),
  ).toBeVisible()
  await openStage(page, 'Mark')
  const heights = page.getByRole('region', { name: 'Heights' })
  await expect(heights.locator('[data-height=baseTop]')).toContainText('4 1/4')
  await heights.getByRole('radio', { name: 'from the floor there is' }).click()
  await expect(heights.locator('[data-height=baseTop]')).toContainText('5')
  await expect(heights.getByText('Heights from the floor there is')).toBeVisible()
  // a prop block stands on the bottom rail
  await expect(page.locator('[data-block-card=band] [data-block=prop]')).toBeVisible()
  await expectAccessible(page)

  // a build-up higher than the base leaves nothing of it
  await openStage(page, 'Measure')
  await page.getByRole('textbox', { name: 'It builds up by' }).fill('6')
  await page.keyboard.press('Tab')
  await openStage(page, 'Lay out')
  await expect(page.getByText(/leaves nothing to see of what stands at the foot/).first()).toBeVisible()
  await page.getByRole('button', { name: /^The floor is 2 1\/2 high/ }).click()
  await expect(page.getByRole('list', { name: 'Findings' }).getByText(/leaves nothing to see/)).toHaveCount(0)

  // which reading matters most: read again, it is off the list; read otherwise, it is told
  await openStage(page, 'Measure')
  const again = page.locator('[data-matters]')
  const base = again.locator('[data-suspect=baseboard]')
  await expect(base).toContainText(/off by 1\/8, \d+ pieces (are scrap|have to be trimmed)/)
  await base.getByRole('button', { name: 'Read it again' }).click()
  const field = base.getByRole('textbox')
  await expect(field).toHaveValue('')
  await field.fill('5 1/2')
  await expect(base).toContainText('It read 5 before and 5 1/2 in now')
  await base.getByRole('button', { name: 'Go by 5 1/2' }).click()
  // gone by, it is still read but once: a third reading settles it
  await base.getByRole('button', { name: 'Read it again' }).click()
  await expect(field).toHaveValue('')
  await field.fill('5 1/2')
  await base.getByRole('button', { name: /They agree/ }).click()
  await expect(base).toHaveCount(0)
  await expectAccessible(page)
  await openStage(page, 'Cut')
  await expect(
    page.getByRole('region', { name: 'Read again before you cut' }).locator('[data-suspect]'),
  ).toHaveCount(1)
  await expectSaved(page)
})

test('an old wall with a hollow and a leaning corner: marks at head and foot, straightedges on the drawing', async ({
  page,
}) => {
  test.setTimeout(270_000)
  const job = await newJob(page, EMPTY_URL, 'Lock house')
  await newWall(page, job, { room: 'Den', name: 'Back wall', width: '133', height: '92', baseboard: '4' })
  await openFold(page, /^Readings/)
  await page.getByRole('button', { name: /Read$/ }).click()
  await page.getByRole('option', { name: /^lean of the left/i }).click()
  await page.getByRole('textbox', { name: /^Where:/ }).fill('78')
  await page.getByRole('textbox', { name: /^Reads:/ }).fill('3/8')
  await page.getByRole('button', { name: 'Take this reading' }).click()

  // parallel to the corner, told with what the eye sees; a lean of one's own is shared out
  await openStage(page, 'Lay out')
  await openFold(page, /^What the eye sees/)
  const school = (kind: string) => page.locator(`[data-stand=${kind}]`)
  await expect(school('plumb')).toContainText(/Left corner .* narrower at the head/)
  await expect(school('left')).toContainText('Left corner parallel')
  await expectAccessible(page)
  await school('left').getByRole('button').click()
  await expect(page.locator('[data-kept=stand]')).toContainText('parallel to the left corner')
  // hooked in the plumb corner a strip's head is marked elsewhere than its foot
  await openStage(page, 'Mark')
  await page.getByRole('radio', { name: 'right corner' }).click()
  await expect(page.locator('[data-mark] [data-hook="head line"]').first()).toBeVisible()
  await page.getByRole('radio', { name: 'left corner' }).click()
  await expect(page.locator('[data-mark] [data-hook="head line"]')).toHaveCount(0)

  // a straightedge laid by a press on the drawing, and read
  await openStage(page, 'Measure')
  await page.getByRole('radio', { name: 'how flat' }).click()
  const wall = await page.locator('[data-lay-straightedge]').boundingBox()
  if (!wall) throw new Error('no wall')
  await page.mouse.click(wall.x + wall.width * 0.5, wall.y + wall.height * 0.7)
  const card = page.getByRole('group', { name: 'Lay a straightedge' })
  await card.getByRole('textbox', { name: 'The gap at its widest' }).fill('5/16')
  await card.getByRole('button', { name: /How it lies$/ }).click()
  await page.getByRole('option', { name: 'upright' }).click()
  await card.getByRole('textbox', { name: 'Length of the straightedge' }).fill('40')
  await card.getByRole('button', { name: 'Done' }).click()
  await expect(page.locator('[data-hollow]').first()).toBeAttached()
  await expect(page.getByRole('button', { name: /^Hollow of 5\/16 under 40/ }).first()).toBeVisible()
  await expectAccessible(page)

  // strips over it say what is done; more than they bend to is told with other ways
  await openStage(page, 'Lay out')
  await expect(page.getByText(/lies? over a hollow of up to/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Shim behind it' }).first().click()
  await expect(page.locator('[data-kept=unflat]')).toContainText('shim behind it')
  await page.locator('[data-kept=unflat]').getByRole('button').click()
  await openStage(page, 'Cut')
  await page
    .locator('[data-row]')
    .filter({ has: page.locator('[data-flat-way]') })
    .first()
    .getByRole('button', { name: /^Row/ })
    .click()
  await expect(page.locator('[data-row][data-lit] [data-flat-way]').first()).toContainText('behind it over')

  // a lean of one's own; a cap with returned ends that is undone in one step
  await openStage(page, 'Lay out')
  await pickWord(page, 'How the uprights stand', /^leaning as you say/)
  await typeWord(page, 'Lean at the right end, in the wall’s height', '1/4')
  await expect(page.locator('[data-kept=stand]')).toContainText('leaning as you say')
  await pickWord(page, 'Cap', /^a cap of 1x4 pine laid flat/)
  await page.getByRole('button', { name: 'Cap: Depth, ends, brackets' }).click()
  await typeWord(page, 'Cap: Depth, from the wall', '3')
  await expect(page.getByText(/Cap is 3 in deep, 2 1\/4 past what it lies on/)).toBeVisible()
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(page.getByText(/Cap is 3 1\/2 in deep/)).toBeVisible()
  await expectAccessible(page)
  await expectSaved(page)
  // what stuff needs before paint
  await openStage(page, 'Buy')
  await openFold(page, /^Before paint/)
  await expect(page.locator('[data-prepare=pine-1x3] [data-step=sealKnots]')).toBeVisible()
  await page
    .locator('[data-prepare=pine-1x3]')
    .getByRole('button', { name: /Surface$/ })
    .click()
  await page.getByRole('option', { name: 'primed' }).click()
  await expect(page.locator('[data-prepare=pine-1x3] [data-step=primeCuts]')).toBeVisible()
  await expectAccessible(page)
})
