import { spawnSync } from 'node:child_process'
import type { Page } from '@playwright/test'
import SqliteDatabase from 'better-sqlite3'
import { newFile, startTarget, type Target } from '../../scripts/attack/target'
import { expect, expectAccessible, expectSaved, newJob, newWall, openFold, openStage, test } from './page'

let target: Target | null = null
test.afterEach(async () => {
  await target?.kill('SIGTERM')
  target = null
})

const PASSPHRASE = 'green field ladder'

async function signIn(page: Page, home: string, name: string) {
  await page.goto(`${home}/crew`)
  // whoever was in goes out first
  if (!page.url().includes('/sign-in')) await page.getByRole('button', { name: /^Sign .* out here$/ }).click()
  await page.waitForURL(/sign-in/)
  await page.goto(`${home}/sign-in`)
  await page.getByRole('textbox', { name: 'Name' }).fill(name)
  await page.getByLabel('Passphrase').fill(PASSPHRASE)
  await page.getByRole('button', { name: 'Come in' }).click()
  await page.waitForURL((url) => url.pathname === '/')
}

// before, what Ida marked with the server away was logged as done by Ben, who signed in next on that phone
test('what is done on one phone belongs to whoever did it, whoever signs in next', async ({ browser }) => {
  test.setTimeout(240_000)
  const file = newFile()
  for (const name of ['Ida', 'Ben'])
    spawnSync('npx', ['tsx', 'cli/crew.ts', 'add', name, 'lead'], {
      input: `${PASSPHRASE}\n`,
      encoding: 'utf8',
      env: { ...process.env, DB_FILE: file },
    })
  target = await startTarget(file, { REGLA_HOST: '127.0.0.2' })
  const home = `https://127.0.0.2:${target.port}`
  const phone = await browser.newContext({
    ignoreHTTPSErrors: true,
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    serviceWorkers: 'block',
  })
  const page = await phone.newPage()
  await signIn(page, home, 'Ida')
  const job = await newJob(page, home, 'Two members')
  await newWall(page, job, { room: 'Hall', name: 'North', width: '126', height: '96' })
  await expectSaved(page)
  const wall = page.url()
  await openStage(page, 'Mark')
  const marks = () => {
    const sqlite = new SqliteDatabase(file, { readonly: true })
    const made = sqlite
      .prepare(
        "select name, count(*) n from acts join members on members.id = acts.member where kind = 'marked' group by name",
      )
      .all()
    sqlite.close()
    return made
  }

  // the link is gone: two marks wait on the phone
  const away = (route: { abort: () => Promise<void> }) => route.abort()
  await phone.route(/\/acts$/, away)
  const next = page.getByRole('button', { name: 'Marked, next' })
  await next.click()
  await next.click()
  await expect(page.locator('[data-unsent="2"]')).toBeVisible()

  // the same phone is in Ben's hand as it comes back
  await signIn(page, home, 'Ben')
  await phone.unroute(/\/acts$/, away)
  const band = page.locator('[data-others-waiting]')
  await expect(band).toContainText('2 things that Ida did on this device wait until Ida signs in here.')
  await expect(band.getByRole('button', { name: 'Send as Ben' })).toBeVisible()
  await expectAccessible(page)
  await page.goto(wall.replace(/measure$|layout$/, 'mark'))
  await next.click()
  await expect.poll(marks).toEqual([{ name: 'Ben', n: 1 }])
  await page.waitForTimeout(1_500)
  expect(marks()).toEqual([{ name: 'Ben', n: 1 }])

  // who changed the wall is told where it is logged; looked at as it was, and brought back as a step of its own
  await openStage(page, 'Measure')
  const width = page.getByRole('textbox', { name: 'Width, corner to corner' })
  await width.fill('131')
  await width.press('Enter')
  await expectSaved(page)
  await openStage(page, 'Log')
  await openFold(page, /^History/)
  const changes = page.getByRole('list', { name: 'History' }).getByRole('listitem')
  await expect(changes.first()).toContainText(/wall width.*Ben/)
  await expect(changes.nth(1)).toContainText('Ida')
  await changes
    .nth(1)
    .getByRole('button', { name: /^Look at it as it was/ })
    .click()
  await expect(page.locator('[data-looked]')).toContainText('batten')
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Restore this version' }).click()
  await expect(page.getByText('Restored. You can undo this')).toBeVisible()
  await expect(changes.first()).toContainText(/wall width.*Ben/)
  await openStage(page, 'Measure')
  await expect(width).toHaveValue('126 in')
  await page.getByRole('button', { name: 'Undo: wall width', exact: true }).click()
  await expect(width).toHaveValue('131 in')
  await openStage(page, 'Mark')

  // a page of Ida's that is still open beside it sends nothing in his name
  const beside = await phone.newPage()
  await signIn(beside, home, 'Ida')
  await expect.poll(marks, { timeout: 20_000 }).toEqual([
    { name: 'Ben', n: 1 },
    { name: 'Ida', n: 2 },
  ])
  await next.click()
  await expect(page.locator('[data-unsent="1"]')).toBeVisible()
  await page.waitForTimeout(3_000)
  expect(marks()).toEqual([
    { name: 'Ben', n: 1 },
    { name: 'Ida', n: 2 },
  ])

  // Ida says the one that is left is hers after all
  await beside.goto(`${home}/yard`)
  await beside.getByRole('button', { name: 'Send as Ida' }).click()
  await expect.poll(marks, { timeout: 20_000 }).toEqual([
    { name: 'Ben', n: 1 },
    { name: 'Ida', n: 3 },
  ])
  await expect(beside.locator('[data-others-waiting]')).toHaveCount(0)
  await phone.close()
})
