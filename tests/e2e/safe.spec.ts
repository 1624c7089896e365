import { spawnSync } from 'node:child_process'
import { existsSync, writeFileSync } from 'node:fs'
import SqliteDatabase from 'better-sqlite3'
import { newFile, newWall, startTarget, type Target } from '../../scripts/attack/target'
import { expect, expectAccessible, expectSaved, test } from './page'

/** Servers of a test's own, ended with it. */
const running: Target[] = []
const start = async (...of: Parameters<typeof startTarget>) => {
  const target = await startTarget(...of)
  running.push(target)
  return target
}
test.afterEach(async () => {
  for (const target of running.splice(0)) await target.kill('SIGTERM')
})
const at = ({ port }: Target, path = '/') => `http://127.0.0.1:${port}${path}`

test('a wall that can’t be read says so, takes nothing with it, and goes back to how it last could be shown', async ({
  page,
}) => {
  const target = await start()
  const { job, wall } = await newWall(target)
  await page.goto(at(target, `${wall}/measure`))
  const width = page.getByRole('textbox', { name: 'Width, corner to corner' })
  await width.fill('143 1/4')
  await width.press('Enter')
  await expectSaved(page)
  const sqlite = new SqliteDatabase(target.file)
  sqlite.exec(
    `update revisions set body = json_set(body, '$.width', 99000000000000) where id = (select head from documents where id = (select survey_id from walls limit 1))`,
  )
  sqlite.close()
  await page.goto(at(target, job))
  await expect(page.getByText('can’t be shown; open it to see why')).toBeVisible()
  await page.getByRole('link', { name: 'Wall', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'This wall can’t be shown as it is kept' })).toBeVisible()
  await expect(page.getByRole('alert')).toContainText('Wall.survey.width')
  await expectAccessible(page)
  const saving = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Save what is kept as a file' }).click()
  expect((await saving).suggestedFilename()).toMatch(/as kept\.json$/)
  await page.getByRole('button', { name: 'Go back to how it last could be shown' }).click()
  await expect(page.getByTestId('closing-sum')).toContainText('= 120')
  // what is still being worked out when the page goes out is there when it is loaded next
  await expect(async () => {
    await page.goto(at(target, job))
    await expect(page.getByText('120 × 96, 6 battens to a rail at 64')).toBeVisible({ timeout: 4_000 })
  }).toPass({ timeout: 40_000 })
})

test('a database that is taken or damaged is a page that says what to do', async ({ page }) => {
  const first = await start()
  const second = await start(first.file)
  await page.goto(at(second))
  await expect(page.getByRole('heading', { name: 'The database can’t be used now' })).toBeVisible()
  await expect(page.getByText(/Another Regla has .* open \(process \d+ on/)).toBeVisible()
  const file = newFile()
  writeFileSync(file, 'This is a letter about a wall, and no database at all.')
  const third = await start(file)
  await page.goto(at(third))
  await expect(page.getByText(/is no Regla database\. It is left as it is/)).toBeVisible()
  expect(third.said()).toContain('is no Regla database')
})

test('an error page drawn in the browser keeps the nonce that styles are let in by', async ({ page }) => {
  const target = await start()
  const { job } = await newWall(target)
  await page.goto(at(target))
  await page.route('**/*.data*', (route) => route.abort())
  await page.getByRole('link', { name: 'Attack' }).click()
  await expect(page.getByRole('heading', { name: 'The server can’t be reached' })).toBeVisible()
  const nonce = await page.evaluate(
    () => document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce,
  )
  expect(nonce).toMatch(/.{10}/)
  expect(job).toMatch(/^\/jobs\//)
})

test('on the network nobody is let in without signing in; a phone comes in by a code; who did what is kept', async ({
  browser,
}) => {
  const file = newFile()
  const crew = (name: string, passphrase = '') =>
    spawnSync('npx', ['tsx', 'cli/crew.ts', 'add', name, 'owner'], {
      input: `${passphrase}\n`,
      encoding: 'utf8',
      env: { ...process.env, DB_FILE: file },
    })
  expect(crew('Ida', 'short').stderr).toContain('10 characters or more')
  expect(crew('Ida', 'green field ladder').stdout).toContain('Ida may come in.')
  // an address of this machine that is not the usual loopback counts as the network
  const target = await start(file, { REGLA_HOST: '127.0.0.2' })
  const home = `https://127.0.0.2:${target.port}`
  const desk = await (await browser.newContext({ ignoreHTTPSErrors: true })).newPage()
  await desk.goto(`${home}/jobs/new`)
  await expect(desk).toHaveURL(/\/sign-in\?to=%2Fjobs%2Fnew/)
  await desk.getByRole('textbox', { name: 'Name' }).fill('Ida')
  await desk.getByLabel('Passphrase').fill('green field latter')
  await desk.getByRole('button', { name: 'Come in' }).click()
  await expect(desk.getByRole('alert')).toContainText('do not go together')
  await desk.getByRole('textbox', { name: 'Name' }).fill('Ida')
  await desk.getByLabel('Passphrase').fill('green field ladder')
  await desk.getByRole('button', { name: 'Come in' }).click()
  await expect(desk).toHaveURL(`${home}/jobs/new`)
  await desk.getByLabel('Job', { exact: true }).fill('Shared job')
  await desk.getByRole('button', { name: 'Start the job' }).click()
  await desk.waitForURL(/\/jobs\/[0-9a-f]+$/)
  await desk.getByRole('textbox', { name: 'Room', exact: true }).fill('Hall')
  await desk.getByLabel('Walls, one a line').fill('North')
  await desk.getByRole('button', { name: 'Measure this wall' }).click()
  await expect(desk).toHaveURL(/\/measure$/)
  const wall = desk.url()

  // what is posted without signing in is refused, not answered with a page
  const stranger = await browser.newContext({ ignoreHTTPSErrors: true })
  const refused = await stranger.request.post(wall.replace('/measure', '/document'), { data: {} })
  expect(refused.status()).toBe(401)
  expect((await stranger.request.get(`${home}/jobs/x/export`, { maxRedirects: 0 })).status()).toBe(302)

  // a client's link opens its own page to a stranger, and nothing else of the crew's
  const job = wall.replace(/\/walls\/.*/, '')
  await desk.goto(`${job}/client`)
  await desk.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
  await desk.getByRole('checkbox', { name: 'North: Option 1' }).check()
  await desk.getByRole('button', { name: 'Make a link' }).click()
  const link = await desk.locator('[data-made]').getByLabel('Address of the link').inputValue()
  const shown = await stranger.request.get(link)
  expect(shown.status()).toBe(200)
  const links = [...(await shown.text()).matchAll(/(?:href|src|action)="([^"]+)"/g)].map(([, to = '']) => to)
  const own = new URL(link).pathname
  expect(
    links.filter((to) => !to.startsWith(own) && !to.startsWith('/assets/') && to !== '/favicon.svg'),
  ).toEqual([])
  for (const path of [
    '/',
    '/yard',
    '/book',
    '/crew',
    '/find?q=a',
    '/saws',
    job,
    `${job}/client`,
    `${job}/export`,
    `${wall}`,
  ]) {
    const reached = await stranger.request.get(new URL(path, home).href, { maxRedirects: 0 })
    expect([path, reached.status(), reached.headers().location?.startsWith('/sign-in')]).toEqual([
      path,
      302,
      true,
    ])
  }
  const wallId = /walls\/(\w+)/.exec(wall)?.[1] ?? ''
  for (const path of [`${own}/photo/${wallId}`, `${own}/../${wallId}`, `${own}x`])
    expect([path, (await stranger.request.get(`${home}${path}`, { maxRedirects: 0 })).status()]).not.toEqual([
      path,
      200,
    ])

  await desk.goto(`${home}/crew`)
  await desk.getByRole('button', { name: 'Code for a phone of Ida' }).click()
  await expectAccessible(desk)
  const code = await desk.getByTestId('code').innerText()
  await expect(desk.getByRole('img', { name: /picture for the phone/ })).toBeVisible()
  const phone = await (
    await browser.newContext({ ignoreHTTPSErrors: true, viewport: { width: 390, height: 844 } })
  ).newPage()
  await phone.goto(`${home}/sign-in?code=${code.replace(' ', '')}`)
  await phone.getByRole('button', { name: 'Let this phone in' }).click()
  await expect(phone.getByRole('link', { name: 'Shared job' })).toBeVisible()
  await phone.goto(wall)
  const width = phone.getByRole('textbox', { name: 'Width, corner to corner' })
  await width.fill('101 1/2')
  await width.press('Enter')
  await expectSaved(phone)
  const sqlite = new SqliteDatabase(file, { readonly: true })
  const made = sqlite
    .prepare("select name from changes join members on members.id = changes.member where state = 'done'")
    .all()
  sqlite.close()
  expect(made).toEqual([{ name: 'Ida' }])

  // a code is good once
  await phone.context().clearCookies()
  await phone.goto(`${home}/sign-in?code=${code.replace(' ', '')}`)
  await phone.getByRole('button', { name: 'Let this phone in' }).click()
  await expect(phone.getByRole('alert')).toContainText('used already')

  // shut out, she is out at once, at the desk too
  await desk.goto(`${home}/crew`)
  // the only owner stays in
  await desk.getByRole('button', { name: 'Shut Ida out' }).click()
  await expect(desk.getByRole('alert')).toContainText('Someone has to be the owner')
  crew('Olga', 'green field ladder')
  await desk.getByRole('button', { name: 'Shut Ida out' }).click()
  await expect(desk).toHaveURL(/\/sign-in/)
  for (let tries = 0; tries < 12; tries++) {
    await desk.getByRole('textbox', { name: 'Name' }).fill('Ida')
    await desk.getByLabel('Passphrase').fill('green field ladder')
    await desk.getByRole('button', { name: 'Come in' }).click()
    await desk.waitForTimeout(120)
  }
  await expect(desk.getByRole('alert')).toContainText('Too many tries')
  expect(existsSync(file.replace('regla.db', 'tls/authority.crt'))).toBe(true)
})
