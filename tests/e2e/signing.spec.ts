import { EMPTY_URL } from '../../playwright.config'
import { expect, expectAccessible, expectSaved, newJob, newWall, openStage, test } from './page'

test('a client signs a tick that was not kept; after the crew changed the wall nothing is signed until it was read again', async ({
  page,
  browser,
}) => {
  test.setTimeout(240_000)
  const job = await newJob(page, EMPTY_URL, 'Sorrel barn')
  await newWall(page, job, { room: 'Den', name: 'Long wall', width: '141', height: '97 1/2' })
  const wall = page.url().replace('/measure', '')
  await openStage(page, 'Agree')
  await page.getByRole('button', { name: 'Make another option from Option 1' }).click()
  await expect(page).toHaveURL(/\/options\/[0-9a-f]+\/agree$/)
  await page.goto(`${job}/client`)
  await page.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
  const makeLink = async () => {
    for (const option of ['Option 1', 'Option 2'])
      await page.getByRole('checkbox', { name: `Long wall: ${option}` }).check()
    await page.getByRole('button', { name: 'Make a link' }).click()
    return page.locator('[data-made]').getByLabel('Address of the link').inputValue()
  }
  const first = await makeLink()

  const phone = await (
    await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
  ).newPage()
  await phone.goto(first)
  await phone.getByRole('radio', { name: 'Option 2' }).check()
  await phone.getByLabel('Your name').fill('E. Sorrel')
  await phone.locator('canvas').scrollIntoViewIfNeeded()
  const line = await phone.locator('canvas').boundingBox()
  if (!line) throw new Error('no canvas')
  await phone.mouse.move(line.x + 40, line.y + 80)
  await phone.mouse.down()
  await phone.mouse.move(line.x + 200, line.y + 40, { steps: 6 })
  await phone.mouse.up()
  // the crew changes the wall while the page is read
  await page.goto(`${wall}/layout`)
  await page.getByRole('radio', { name: 'Boxes', exact: true }).click()
  await expectSaved(page)
  await phone.getByRole('button', { name: 'Sign my choice' }).tap()
  await expect(phone.getByRole('alert')).toContainText('Nothing was signed')
  await expect(phone.getByRole('alert')).toContainText('Long wall, Option 1: the drawing')
  await expect(phone.locator('[data-option="Option 1"] [data-changed]')).toContainText('the drawing')
  await expect(phone.locator('[data-option="Option 2"] [data-changed]')).toHaveCount(0)
  await expectAccessible(phone)
  expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  // name, tick and line are there still, and it is read again: now it is signed as it was ticked
  await expect(phone.getByLabel('Your name')).toHaveValue('E. Sorrel')
  await expect(phone.getByRole('radio', { name: 'Option 2' })).toBeChecked()
  await phone.getByRole('button', { name: 'Sign my choice' }).tap()
  await expect(phone.getByText(/^Signed by E\. Sorrel on/)).toBeVisible()
  await expect(phone.locator('polyline')).not.toHaveCount(0)
  await expect(phone.locator('[data-option]')).toHaveCount(1)
  await expect(phone.locator('[data-option="Option 2"]')).toBeVisible()

  // without any script, another link is signed by a tick too; Enter in the name keeps and does not sign
  await page.goto(`${job}/client`)
  await page.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
  const second = await makeLink()
  const plain = await (await browser.newContext({ javaScriptEnabled: false })).newPage()
  await plain.goto(second)
  await plain.getByRole('radio', { name: 'Option 1' }).check()
  await plain.getByLabel('Your name').fill('E. Sorrel')
  await plain.getByLabel('Your name').press('Enter')
  await expect(plain.getByRole('status')).toContainText('Your choice is kept')
  await plain.getByLabel('What would you change?').fill('Lower by a hand')
  await plain.getByRole('button', { name: 'Sign my choice' }).click()
  await expect(plain.getByRole('alert')).toContainText('a remark on Long wall that is not sent')
  await plain.getByLabel('What would you change?').fill('')
  await plain.getByRole('button', { name: 'Sign my choice' }).click()
  await expect(plain.getByText(/^Signed by E\. Sorrel on/)).toBeVisible()
})
