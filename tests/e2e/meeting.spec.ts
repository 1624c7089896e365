import { EMPTY_URL } from '../../playwright.config'
import {
  choosePattern,
  expect,
  expectAccessible,
  expectSaved,
  newJob,
  newWall,
  openFold,
  openStage,
  test,
} from './page'

test('a radiator among boxes: boxes that would be cut are left out, and all others stay whole', async ({
  page,
}) => {
  const job = await newJob(page, EMPTY_URL, 'Heron Lane')
  await newWall(page, job, {
    room: 'Study',
    name: 'Window wall',
    width: '163 3/8',
    height: '94 1/2',
    baseboard: '5 1/4',
    things: [
      {
        kind: 'radiator',
        fields: { 'From the left': '69', 'Up from the floor': '4', 'Its width': '38', 'Its height': '22' },
      },
    ],
  })
  await choosePattern(page, 'Boxes')
  await expectSaved(page)
  const told = page.getByText(/left out: the radiator would cut/)
  const beside = page.getByRole('button', { name: 'Boxes beside the radiator' })
  if ((await told.count()) > 0) await beside.first().click()
  await expect(told).toHaveCount(0)
  await expectAccessible(page)
})

test('an outlet typed past the end of the wall is told while measuring, and put back on it', async ({
  page,
}) => {
  const job = await newJob(page, EMPTY_URL, 'Heron Lane')
  await newWall(page, job, {
    room: 'Study',
    name: 'Desk wall',
    width: '121',
    height: '94 1/2',
    things: [{ kind: 'outlet', fields: { 'Middle, from the left': '212' } }],
  })
  const said = page.getByText(/The outlet reaches .* past the right end of the wall/)
  await expect(said).toBeVisible()
  await page.getByRole('button', { name: /^Move it .* onto the wall$/ }).click()
  await expect(said).toHaveCount(0)
  await expectSaved(page)
})

test('a stair is measured by one step, and what is laid out stands above it', async ({ page }) => {
  const job = await newJob(page, EMPTY_URL, 'Heron Lane')
  await newWall(page, job, { room: 'Hall', name: 'Stair wall', width: '149', height: '129' })
  await page.getByRole('button', { name: /^Stair/ }).click()
  await page.getByRole('textbox', { name: 'Begins, from the left corner' }).fill('36')
  await page.getByRole('textbox', { name: 'Ends, from the left corner' }).fill('20')
  await page.getByRole('button', { name: 'Add the stair' }).click()
  await expect(page.getByText('The stair ends before it begins.')).toBeVisible()
  await page.getByRole('textbox', { name: 'Ends, from the left corner' }).fill('120')
  await page.getByRole('button', { name: 'Add the stair' }).click()
  await expect(page.locator('[data-stair]')).toContainText('rising right, 35.5°')
  await expectSaved(page)
  await expectAccessible(page)
  await openStage(page, 'Lay out')
  await expect(page.locator('[data-rod-strip]').first()).toBeVisible()
  await openStage(page, 'Measure')
  await openFold(page, /^Stair \d/)
  await page.getByRole('button', { name: 'Remove the stair' }).click()
  await expect(page.locator('[data-stair]')).toHaveCount(0)
})
