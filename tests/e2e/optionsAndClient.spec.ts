import { EMPTY_URL } from '../../playwright.config'
import {
  expect,
  expectAccessible,
  expectSaved,
  newJob,
  newWall,
  openDemoWall,
  openFold,
  openStage,
  test,
} from './page'

const PICTURE = 'examples/pictures/tern-cottage-window-wall.jpg'
const CORNERS = [
  [176, 1006],
  [1446, 912],
  [1434, 262],
  [196, 132],
] as const

test('two options and three colors, on a photograph; a link on a phone: remark, pick, sign; a change is told as differing', async ({
  page,
  browser,
}) => {
  test.setTimeout(270_000)
  const job = await newJob(page, EMPTY_URL, 'Larch house')
  await newWall(page, job, { room: 'Studio', name: 'Easel wall', width: '133', height: '98' })
  const wall = page.url().replace('/measure', '')

  // one option made from another, named, worked on
  await openStage(page, 'Agree')
  const card = (name: string) => page.getByRole('article', { name, exact: true })
  await expect(card('Option 1').locator('[data-figures=known]')).toBeVisible()
  await page.getByRole('button', { name: 'Make another option from Option 1' }).click()
  await expect(page).toHaveURL(/\/options\/[0-9a-f]+\/agree$/)
  await card('Option 2').getByRole('button', { name: 'Rename Option 2' }).click()
  await page.getByRole('textbox', { name: 'Name' }).fill('Grid')
  await page.getByRole('button', { name: 'Keep this name' }).click()
  await card('Grid').getByRole('link', { name: 'Work on Grid' }).click()
  await expect(page.locator('[data-option-in-hand=other]')).toContainText('Grid, not the chosen option')
  await page.getByRole('radio', { name: 'Grid', exact: true }).click()
  await expectSaved(page)
  await openStage(page, 'Agree')
  await expect(card('Grid').locator('[data-figures=known]')).toBeVisible()
  await expect(card('Grid').locator('[data-figure=pieces] small')).toHaveText(/^[+−]\d+$/)
  await expect(card('Option 1').locator('[data-figure=pieces] small')).toHaveCount(0)
  await expectAccessible(page)
  // colors of the option in hand
  await page.getByRole('link', { name: 'Colors' }).click()
  for (const use of ['trim', 'wall between the trim', 'wall above'])
    await page.getByRole('button', { name: `Add a color for: ${use}` }).click()
  await expect(page.locator('[data-paint]')).toHaveCount(3)
  await expect(page.locator('[data-contrast]').first()).toContainText('Trim and wall between the trim')
  const first = page.locator('[data-paint="New color"]')
  await first.getByRole('button', { name: /^New color/ }).click()
  const hex = first.getByRole('textbox', { name: 'Color, as #rrggbb' })
  await hex.fill('dusk')
  await hex.press('Enter')
  await expect(first).toContainText('That is no color')
  await hex.fill('#c9d2c4')
  await hex.press('Enter')
  await first.getByRole('textbox', { name: 'Name' }).fill('Reed')
  await first.getByRole('textbox', { name: 'Name' }).press('Enter')
  await expectSaved(page)
  await expect(page.locator('svg [fill="#c9d2c4"]').first()).toBeAttached()
  await expectAccessible(page)

  // the photograph: what is none is told; its corners put to their places; measured; light turned
  await page.getByRole('link', { name: 'On the photograph' }).click()
  const input = page.locator('input[type=file]')
  await input.setInputFiles({
    name: 'wall.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('%PDF-1.7 no picture'),
  })
  await expect(page.getByRole('alert')).toContainText('no picture that can be read')
  await input.setInputFiles(PICTURE)
  const photo = page.locator('[data-photo]')
  await expect(photo).toHaveAttribute('data-photo', 'mapped')
  const box = await photo.boundingBox()
  if (!box) throw new Error('no picture')
  // the picture stands in the middle of its box, as large as it fits
  const by = Math.min(box.width / 1600, box.height / 1200)
  const [left, top] = [box.x + (box.width - 1600 * by) / 2, box.y + (box.height - 1200 * by) / 2]
  for (const [i, [x, y]] of CORNERS.entries()) {
    const spot = page.locator(`[data-spot="${i + 1}"] circle`).first()
    const at = await spot.boundingBox()
    if (!at) throw new Error('no point')
    await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2)
    await page.mouse.down()
    await page.mouse.move(left + x * by, top + y * by, { steps: 4 })
    await page.mouse.up()
  }
  await expectSaved(page)
  await expect(photo.locator('mask')).not.toHaveCount(0)
  await page.getByRole('button', { name: 'Measure between two places' }).click()
  await expect(page.locator('[data-measured]')).toContainText(/about .* give or take/)
  // pushed on one another the corners are crossed, and that is told
  await page.locator('[data-spot="1"]').focus()
  for (let i = 0; i < 90; i++) await page.keyboard.press('Shift+ArrowRight')
  await expect(photo).not.toHaveAttribute('data-photo', 'mapped')
  await expect(page.getByRole('alert')).toContainText(/crossed|inside|line/)
  for (let i = 0; i < 90; i++) await page.keyboard.press('Shift+ArrowLeft')
  await expect(photo).toHaveAttribute('data-photo', 'mapped')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as a PNG picture' }).click(),
  ])
  expect(download.suggestedFilename()).toMatch(/\.png$/)
  await page.reload()
  await expect(photo).toHaveAttribute('data-photo', 'mapped')
  await expectAccessible(page)

  // a link for the client
  await page.getByRole('link', { name: 'Client’s page' }).click()
  await page.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
  await page.getByRole('button', { name: 'Make a link' }).click()
  await expect(page.getByRole('alert')).toContainText('Tick at least one option')
  for (const option of ['Option 1', 'Grid'])
    await page.getByRole('checkbox', { name: `Easel wall: ${option}` }).check()
  await page.getByRole('checkbox', { name: 'what the boards cost' }).check()
  await page.getByRole('button', { name: 'Make a link' }).click()
  const link = await page.locator('[data-made]').getByLabel('Address of the link').inputValue()
  await expectAccessible(page)

  // opened on a phone by somebody else: readable without any script, nothing of the editor comes along
  const plain = await (await browser.newContext({ javaScriptEnabled: false })).newPage()
  await plain.goto(link)
  await expect(plain.getByRole('heading', { name: 'Easel wall', exact: true })).toBeVisible()
  const phone = await (
    await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
  ).newPage()
  const scripts = new Map<string, number>()
  phone.on('response', async (response) => {
    if (response.request().resourceType() !== 'script') return
    scripts.set(new URL(response.url()).pathname, (await response.body()).length)
  })
  await phone.goto(link)
  await expect(phone.getByRole('img', { name: /Easel wall, Grid/ })).toBeVisible()
  expect(await phone.content()).not.toMatch(/\/jobs\//)
  expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await phone.getByRole('img', { name: /Easel wall, Grid/ }).tap()
  await phone.getByLabel('What would you change?').fill('Could it stop lower?')
  await phone.getByRole('button', { name: 'Send it' }).tap()
  await expect(phone.getByText('Could it stop lower?')).toBeVisible()
  await phone.getByLabel('Your name').fill('M. Larchwood')
  await phone.getByRole('button', { name: 'Sign my choice' }).tap()
  await expect(phone.getByRole('alert')).toContainText('Pick an option for Easel wall first')
  await expect(phone.getByLabel('Your name')).toHaveValue('M. Larchwood')
  await phone.getByRole('radio', { name: 'Grid' }).check()
  await phone.getByLabel('Color for: trim').selectOption({ index: 1 })
  await phone.getByRole('button', { name: 'Keep my choice' }).tap()
  await expect(phone.getByRole('status')).toContainText('Your choice is kept')
  await expectAccessible(phone)
  // what was typed came back with the page
  await expect(phone.getByLabel('Your name')).toHaveValue('M. Larchwood')
  const canvas = await phone.locator('canvas').boundingBox()
  if (!canvas) throw new Error('no canvas')
  await phone.locator('canvas').scrollIntoViewIfNeeded()
  const line = (await phone.locator('canvas').boundingBox()) ?? canvas
  await phone.mouse.move(line.x + 40, line.y + 80)
  await phone.mouse.down()
  await phone.mouse.move(line.x + 200, line.y + 40, { steps: 6 })
  await phone.mouse.up()
  await phone.getByRole('button', { name: 'Sign my choice' }).tap()
  await expect(phone.getByText(/^Signed by M\. Larchwood on/)).toBeVisible()
  await expect(phone.locator('polyline')).not.toHaveCount(0)
  await expectAccessible(phone)
  expect([...scripts.keys()]).toEqual(['/assets/client-page.js'])
  expect(Math.max(...scripts.values())).toBeLessThan(80_000)

  // the crew sees it: the picked option is chosen, the remark stands on the wall, a change differs from what was signed
  await page.goto(`${job}/client`)
  await expect(page.locator('[data-signed]')).toContainText('Signed by M. Larchwood')
  await page.getByRole('button', { name: 'Choose “Grid” for Easel wall' }).click()
  // to leave before the answer is there would take the choice back
  await expect(page).toHaveURL(/\/agree$/)
  await page.goto(`${wall}/layout`)
  await expect(page.locator('[data-asked]')).toContainText('Could it stop lower?')
  await expect(page.locator('[data-option-in-hand=chosen]')).toContainText('Grid')
  await page.getByRole('radio', { name: 'Battens', exact: true }).click()
  await expect(page.locator('[data-differs-from-signed]')).toContainText('changed since: pattern')
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expectSaved(page)

  // kept in the book, and solved anew on another wall
  await openFold(page, /^Pattern book/)
  await page.getByRole('textbox', { name: 'Name in the book' }).fill('Studio grid')
  await page.getByRole('button', { name: 'Keep this layout' }).click()
  await expect(page.getByText('“Studio grid” is in the pattern book.')).toBeVisible()
  await newWall(page, job, { room: 'Studio', name: 'Press wall', width: '88 1/2', height: '98' })
  await openStage(page, 'Lay out')
  await openFold(page, /^Pattern book/)
  await page.getByRole('button', { name: 'Lay out as “Studio grid”' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('A grid of')

  // answered, it is a finding no more; ended, the link says so plainly and keeps what was typed
  await page.goto(`${job}/client`)
  await page.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
  await page.getByRole('textbox', { name: 'Your answer' }).fill('Lowered by a hand')
  await page.getByRole('button', { name: 'It is done: answer' }).click()
  await expect(page.locator('[data-remark=answered]')).toContainText('Lowered by a hand')
  await phone.reload()
  await expect(phone.getByText('answer: Lowered by a hand')).toBeVisible()
  await page.getByRole('button', { name: 'End this link' }).click()
  await expect(page.locator('[data-link=closed]')).toHaveCount(1)
  expect((await phone.reload())?.status()).toBe(410)
  await expect(phone.getByRole('heading', { name: 'This page is closed' })).toBeVisible()
  const late = await phone.request.post(link, {
    form: { do: 'remark-x', 'text-x': 'too late, but kept' },
  })
  expect(late.status()).toBe(410)
  expect(await late.text()).toContain('too late, but kept')
})

test('the fewest pieces to tape up are cut from offcuts first, and count as in hand', async ({ page }) => {
  await openDemoWall(page, 'Window wall')
  await openStage(page, 'Agree')
  await expect(page.locator('[data-try] li').first()).toContainText('from the left corner')
  await page.getByRole('button', { name: 'They are cut: count them as in hand' }).click()
  const said = await page.getByText(/^On the rack as R\d+/).innerText()
  const label = /R\d+/.exec(said)?.[0] ?? ''
  await page.waitForTimeout(300)
  await page.goto('/yard')
  await expect(page.locator(`[data-offcut="${label}"]`)).toBeVisible()
})
