import { readFileSync } from 'node:fs'
import ICAL from 'ical.js'
import { EMPTY_URL } from '../../playwright.config'
import { expect, expectAccessible, expectSaved, newJob, newWall, openStage, test } from './page'

/** The first Monday that is at least a week away: whatever the clock says, five evenings lie ahead of it. */
function comingMonday(): Date {
  const day = new Date()
  day.setDate(day.getDate() + 7)
  while (day.getDay() !== 1) day.setDate(day.getDate() + 1)
  return day
}
const asDay = (day: Date) =>
  `${day.getFullYear()}-${String(day.getMonth() + 1).padStart(2, '0')}-${String(day.getDate()).padStart(2, '0')}`

test('a wall is taken off, bought for, planned into evenings; a task slips and the new end is told; it is finished', async ({
  page,
}) => {
  test.setTimeout(240_000)
  const job = await newJob(page, EMPTY_URL, 'Osier house')
  await newWall(page, job, {
    room: 'Pantry',
    name: 'Shelf wall',
    width: '139 1/2',
    height: '97',
    baseboard: '4 1/4',
  })
  const wall = page.url().replace('/measure', '')

  // what it takes, on what that rests, with what is on hand
  await page.goto(`${job}/supplies`)
  await expect(page.getByTestId('supplies-sum')).toHaveAttribute('data-state', 'known')
  const caulk = page.locator('[data-supply=caulk]')
  await expect(caulk).toContainText(/\d+ ft of seam, 3⁄16 in bead, one pack does 86 ft|\d+ ft of seam/)
  const price = caulk.getByRole('textbox', { name: /^Price of Paintable caulk/ })
  await price.fill('4.10')
  await price.press('Enter')
  await expectSaved(page)
  await expect(caulk).toContainText('$')
  await expectAccessible(page)
  const bead = page.getByRole('button', { name: 'How far things go' })
  await bead.click()
  const paint = page.getByRole('textbox', { name: /^Paint covers/ })
  await paint.fill('0')
  await paint.press('Enter')
  await expect(page.getByRole('alert')).toContainText('is 0')
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(page.getByRole('alert')).toHaveCount(0)
  const before = await caulk.getByTestId('buy').innerText()

  // the shopping list has it; a tube goes in the cart
  await page.goto(`${job}/boards/list`)
  await expect(page.getByTestId('sum')).not.toHaveAttribute('data-state', 'working')
  const line = page.locator('[data-line^="Paintable caulk"]')
  const need = Number(/(\d+) ×/.exec(before)?.[1])
  await expect(line.getByTestId('in-cart')).toHaveText(`0 of ${need}`)
  await line
    .getByRole('button', { name: /in the cart$|cart/ })
    .first()
    .click()
  await expect(line.getByTestId('in-cart')).toHaveText(`1 of ${need}`)

  // five evenings from a Monday on
  await page.goto(`${job}/work`)
  await expect(page.getByTestId('ends')).toBeVisible({ timeout: 20_000 })
  await page.getByLabel('First day').fill(asDay(comingMonday()))
  const monday = new Intl.DateTimeFormat('en-US', { month: 'long', day: 'numeric' }).format(comingMonday())
  await expect(page.getByRole('grid', { name: 'Order of work' })).toContainText(`Monday, ${monday}`)
  await expect(page.getByTestId('work-end')).toHaveAttribute('data-state', 'known')
  await expectSaved(page)
  const ends = page.getByTestId('ends')
  const first = await ends.innerText()
  await expect(page.getByTestId('work-end')).toContainText('No plan ends sooner.')
  await expect(page.locator('canvas')).toBeVisible()
  const row = (name: string) => page.getByRole('row', { name })
  await expectAccessible(page)

  // a move against what must come first says why not; one that can be is kept and can be taken back
  await row('Fit: Shelf wall').click()
  const task = page.getByTestId('task')
  await expect(task).toContainText('border and rails')
  for (let i = 0; i < 4; i++) await task.getByRole('button', { name: 'Earlier' }).click()
  await expect(page.getByTestId('moved')).toContainText(/can’t come before .*: /)
  await row('Buy boards and supplies').click()
  await task.getByRole('button', { name: 'Earlier' }).click()
  await expect(page.getByTestId('moved')).toHaveText(/^Buy boards and supplies comes before .* now\.$/)
  await task.getByRole('button', { name: 'Put this task away' }).click()
  await expect(page.getByRole('button', { name: /^Take back: Buy boards and supplies before/ })).toBeVisible()
  await expect(page.getByTestId('work-end')).toHaveAttribute('data-state', 'known')
  // by the keys alone: grip, up, dropped
  await row('Mark out: Shelf wall').click()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Enter')
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('moved')).toContainText(/^Mark out: Shelf wall (comes|can’t come) before/)

  await task.getByRole('button', { name: 'Put this task away' }).click()

  // it takes longer: the rest is planned anew and told
  await row('Set nails, fill holes and joints: Pantry').click()
  const takes = task.getByRole('textbox', { name: 'It takes, in all' })
  await takes.fill('600')
  await takes.press('Enter')
  await expect(page.getByTestId('slip')).toContainText(/The end moves from .* to /, { timeout: 20_000 })
  await expect(ends).not.toHaveText(first)
  const slipped = await ends.innerText()

  // not before its cautions were seen
  await task.getByRole('button', { name: 'Put this task away' }).click()
  await row('Clear and protect: Pantry').click()
  const tick = task.getByRole('button', { name: 'Done: Clear and protect: Pantry' })
  await expect(tick).toBeDisabled()
  await expect(task.getByRole('note')).toContainText('two people')
  await task.getByRole('button', { name: 'Seen' }).click()
  await tick.click()
  await expect(row('Clear and protect: Pantry')).toHaveAttribute('data-done', 'true')
  // what happened outlives a reload, and no undo of the plan takes it back
  await page.reload()
  await expect(row('Clear and protect: Pantry')).toHaveAttribute('data-done', 'true', { timeout: 20_000 })
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(row('Clear and protect: Pantry')).toHaveAttribute('data-done', 'true')
  await expect(ends).toBeVisible()
  void slipped

  // what a button says is what comes
  const way = page.locator('[data-way]').first()
  await expect(way).toBeVisible({ timeout: 30_000 })
  const says = (await way.innerText()).match(/\w{3}, (\w{3} \d+), (\d+:\d\d\s?[AP]M)/)
  await way.getByRole('button').click()
  await expect(page.getByTestId('work-end')).toHaveAttribute('data-state', 'known')
  const [, day = '', time = ''] = says ?? []
  await expect(ends).toContainText(day.slice(0, 3))
  await expect(ends).toContainText(` ${day.split(' ')[1]}, ${time.replace(/\s/g, ' ')}`)

  // the calendar, read by another library
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Calendar file' }).click(),
  ])
  const calendar = new ICAL.Component(ICAL.parse(readFileSync(await file.path(), 'utf8')) as never[])
  const events = calendar.getAllSubcomponents('vevent').map((event) => new ICAL.Event(event))
  expect(events.length).toBeGreaterThan(10)
  expect(events.some(({ summary }) => summary === 'Fit: Shelf wall')).toBe(true)
  expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length)

  // bad days are told, and nothing is lost
  await page.getByLabel('Wished end').fill('2020-01-06')
  await expect(page.locator('[data-issue=endBeforeStart]')).toBeVisible()
  for (const name of ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'])
    // what is told above comes and goes as the plan does, and the page moves with it: a press may miss
    await expect(async () => {
      const day = page.getByRole('button', { name: `Work on ${name}` })
      if ((await day.getAttribute('aria-pressed')) === 'true') await day.click()
      await expect(day).toHaveAttribute('aria-pressed', 'false', { timeout: 2_000 })
    }).toPass({ timeout: 30_000 })
  await expect(page.locator('[data-issue=noDays]')).toBeVisible()
  await expect(page.getByTestId('work-end')).toContainText('There are no hours')
  await page.getByRole('button', { name: 'evenings' }).click()
  await expect(ends).toBeVisible()

  // on a phone: today, and the finish list at the wall with the server away
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${job}/work/today`)
  await expect(page.getByTestId('today')).toHaveAttribute('data-state', 'known', { timeout: 20_000 })
  await expect(page.locator('[data-task]').first()).toBeVisible()
  await expectAccessible(page)
  await page.goto(`${wall}/layout`)
  await openStage(page, 'Finish')
  await expect(page.getByTestId('finish-count')).toContainText('0 of')
  await page.context().setOffline(true)
  await page.getByRole('button', { name: /^Done: Nailer/ }).click()
  await page.getByRole('button', { name: /^Show on the wall: Nailer/ }).click()
  await page.getByRole('textbox', { name: 'What was found' }).fill('two proud at the foot')
  await page.getByRole('textbox', { name: 'What was found' }).press('Enter')
  await page.context().setOffline(false)
  await page.getByRole('button', { name: /^Show on the wall: Caulk trim to wall/ }).click()
  await expect(page.locator('[data-finish-shown=seam-wall] line').first()).toBeAttached()
  await expectAccessible(page)
  await page.waitForTimeout(2_500)
  await page.reload()
  await expect(page.locator('[data-finish=nailer]')).toContainText('two proud at the foot', {
    timeout: 20_000,
  })
})
