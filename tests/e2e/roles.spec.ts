import { spawnSync } from 'node:child_process'
import type { BrowserContext, Page } from '@playwright/test'
import { newFile, startTarget, type Target } from '../../scripts/attack/target'
import { expect, expectAccessible, newJob, newWall, openStage, test } from './page'

let target: Target | null = null
test.afterEach(async () => {
  await target?.kill('SIGTERM')
  target = null
})

const PASSPHRASE = 'green field ladder'

async function signedIn(browserContext: BrowserContext, home: string, name: string): Promise<Page> {
  const page = await browserContext.newPage()
  await page.goto(`${home}/sign-in`)
  await page.getByRole('textbox', { name: 'Name' }).fill(name)
  await page.getByLabel('Passphrase').fill(PASSPHRASE)
  await page.getByRole('button', { name: 'Come in' }).click()
  await page.waitForURL((url) => url.pathname === '/')
  return page
}

// before, every member could fetch the whole backup, make codes for others, and shut the owner out
test('a helper’s phone works at the wall and shows no price; the owner gives rights, and a device has a token of its own', async ({
  browser,
}) => {
  test.setTimeout(240_000)
  const file = newFile()
  for (const [name, role] of [
    ['Ida', 'owner'],
    ['Ben', 'helper'],
  ] as const)
    spawnSync('npx', ['tsx', 'cli/crew.ts', 'add', name, role], {
      input: `${PASSPHRASE}\n`,
      encoding: 'utf8',
      env: { ...process.env, DB_FILE: file },
    })
  target = await startTarget(file, { REGLA_HOST: '127.0.0.2' })
  const home = `https://127.0.0.2:${target.port}`
  const desk = await browser.newContext({ ignoreHTTPSErrors: true, serviceWorkers: 'block' })
  const owner = await signedIn(desk, home, 'Ida')
  const job = await newJob(owner, home, 'Quince row')
  await newWall(owner, job, { room: 'Hall', name: 'Stair wall', width: '118', height: '95 1/2' })
  const wall = owner.url().replace(/\/\w+$/, '')

  const phone = await browser.newContext({
    ignoreHTTPSErrors: true,
    serviceWorkers: 'block',
    viewport: { width: 390, height: 844 },
    hasTouch: true,
  })
  const helper = await signedIn(phone, home, 'Ben')
  await expect(helper.getByRole('link', { name: 'Quince row' })).toBeVisible()
  for (const gone of ['New job', 'Yard'])
    await expect(helper.getByRole('link', { name: gone })).toHaveCount(0)
  await expect(helper.getByRole('button', { name: /job file|Duplicate|away/ })).toHaveCount(0)
  await expectAccessible(helper)
  await helper.getByRole('link', { name: 'Quince row' }).click()
  await expect(helper.getByRole('heading', { name: 'Quince row' })).toBeVisible()
  for (const gone of [/Client/, /Boards/, /Supplies/, /Save as job file/])
    await expect(helper.getByRole('link', { name: gone })).toHaveCount(0)
  await helper.getByRole('link', { name: 'Stair wall', exact: true }).click()
  await expect(helper).toHaveURL(/\/(mark|measure)$/)
  const stages = helper.getByRole('navigation', { name: 'Stages of the work' }).getByRole('link')
  await expect(stages).toHaveText([/Measure/, /Mark/, /Cut/, /Fit/, /Finish/, /Log/])
  await expectAccessible(helper)
  // the layout leads to where it is marked; what is dear is closed and says so
  await helper.goto(`${wall}/layout`)
  await expect(helper).toHaveURL(`${wall}/mark`)
  await helper.getByRole('button', { name: 'Marked, next' }).click()
  await expect(helper.locator('[data-unsent]')).toHaveCount(0)
  expect((await helper.goto(`${wall}/buy`))?.status()).toBe(403)
  await expect(helper.getByRole('heading', { name: 'Not in your role' })).toBeVisible()
  for (const path of ['/backup', '/yard', '/yard/prices.csv'])
    expect([path, (await phone.request.get(`${home}${path}`)).status()]).toEqual([path, 403])
  expect((await phone.request.get(`${job}/export`)).status()).toBe(403)
  const post = (url: string, form: Record<string, string>) =>
    phone.request.post(url, { form, maxRedirects: 0 }).then((answer) => answer.status())
  expect(await post(job, { intent: 'rename', name: 'Mine', client: '' })).toBe(403)
  expect(await post(`${home}/`, { intent: 'archive', jobId: job.split('/').at(-1) ?? '' })).toBe(403)

  // on the crew page one's own phone alone
  await helper.goto(`${home}/crew`)
  await expect(helper.locator('[data-member=Ida]').getByRole('button')).toHaveCount(0)
  await helper.getByRole('button', { name: 'Code for a phone of Ben' }).click()
  await expect(helper.getByTestId('code')).toBeVisible()
  await expect(helper.getByRole('button', { name: /^Sign Ida out/ })).toHaveCount(0)
  await expectAccessible(helper)
  await owner.goto(`${home}/crew`)
  await owner.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
  const idOf = await owner.locator('[data-member=Ida] input[name=id]').first().inputValue()
  for (const intent of ['code', 'shutOut', 'role', 'prices'])
    expect([intent, await post(`${home}/crew`, { intent, id: idOf, role: 'helper' })]).toEqual([intent, 403])
  for (const intent of ['add', 'device'])
    expect([intent, await post(`${home}/crew`, { intent, name: 'Eve', passphrase: PASSPHRASE })]).toEqual([
      intent,
      403,
    ])

  // the owner stays one, shows Ben prices, and gives a laser a token
  await owner.getByRole('combobox', { name: 'Role of Ida' }).selectOption('helper')
  await expect(owner.getByRole('alert')).toContainText('Someone has to be the owner')
  await owner.locator('[data-member=Ben]').getByRole('button', { name: 'Show prices' }).click()
  await expect(owner.locator('[data-member=Ben]').getByRole('button', { name: 'Hide prices' })).toBeVisible()
  expect((await helper.goto(`${wall}/buy`))?.status()).toBe(200)
  await expect(stages).toHaveCount(7)
  await owner.getByRole('textbox', { name: 'Name of the device' }).fill('Hall laser')
  await owner.getByRole('button', { name: 'Make a token' }).click()
  const token = await owner.getByTestId('token').innerText()
  await expectAccessible(owner)
  const laser = await browser.newContext({ ignoreHTTPSErrors: true })
  const read = (authorization: string) =>
    laser.request
      .post(`${home}/devices/laser/readings`, {
        data: { value: 2_540_000_000 },
        headers: { authorization },
        maxRedirects: 0,
      })
      .then((answer) => answer.status())
  expect(await read(`Bearer ${token}`)).toBe(200)
  expect(await read(`Bearer ${'x'.repeat(32)}`)).toBe(401)
  const elsewhere = await laser.request.get(job, {
    headers: { authorization: `Bearer ${token}` },
    maxRedirects: 0,
  })
  expect(elsewhere.headers().location).toContain('/sign-in')
  await owner.reload()
  await expect(owner.locator('[data-device="Hall laser"]')).toContainText('Last reading')
  await owner.getByRole('button', { name: 'End the token of Hall laser' }).click()
  await expect(owner.locator('[data-device="Hall laser"]')).toHaveCount(0)
  expect(await read(`Bearer ${token}`)).toBe(401)

  // a lead lays out and sees prices, and has no backup
  await owner.getByRole('combobox', { name: 'Role of Ben' }).selectOption('lead')
  await expect(owner.locator('[data-member=Ben]')).toHaveAttribute('data-role', 'lead')
  await helper.goto(`${wall}/layout`)
  await expect(helper).toHaveURL(`${wall}/layout`)
  await openStage(helper, 'Agree')
  expect((await phone.request.get(`${home}/backup`)).status()).toBe(403)
  expect((await desk.request.get(`${home}/backup`)).status()).toBe(200)
})
