import { OWN_PORT } from '../../playwright.config'
import { OwnServer } from './ownServer'
import { expect, expectAccessible, newJob, newWall, test } from './page'

/** A server that is stopped and comes back. */
const server = new OwnServer(OWN_PORT, 'along')
test.beforeAll(() => server.start())
test.afterAll(() => server.kill())

test('a job taken along opens without the server, from a start that lists it; every page says how old it is until it was compared', async ({
  browser,
  page,
}) => {
  test.setTimeout(270_000)
  const job = await newJob(page, server.url, 'Plover Rise')
  await newWall(page, job, { room: 'Landing', name: 'North wall', width: '131', height: '95' })
  await newWall(page, job, { room: 'Landing', name: 'South wall', width: '127', height: '95' })
  const phone = await browser.newContext({
    viewport: { width: 390, height: 844 },
    serviceWorkers: 'allow',
    locale: 'en-US',
  })
  const along = await phone.newPage()
  await along.goto(job)
  // its first visit: the worker comes up
  await along.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await along.reload()
  await along.getByRole('button', { name: 'Take this job along' }).click()
  await expect(along.locator('[data-along=done]')).toContainText(
    /All of it is kept on this device, \d+\.\d MB/,
    {
      timeout: 90_000,
    },
  )
  await expectAccessible(along)
  const room = await along.getByRole('link', { name: 'All walls of Landing together' }).getAttribute('href')

  // started cold, with the server away
  await server.kill()
  const cold = await phone.newPage()
  await cold.goto(server.url)
  await expect(cold.getByRole('heading', { level: 1 })).toHaveText('Kept on this device')
  await expect(cold.getByRole('heading', { level: 2 })).toHaveText('Plover Rise')
  await expect(cold.getByRole('heading', { level: 3 })).toHaveText([
    /North wall as of \d/,
    /South wall as of \d/,
  ])
  expect(await cold.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await expectAccessible(cold)
  await cold.getByRole('link', { name: 'Mark', exact: true }).last().click()
  await expect(cold.getByTestId('huge-mark')).toBeVisible()
  await expect(
    cold.getByRole('heading', { level: 1 }).or(cold.locator('header strong')).first(),
  ).toBeVisible()
  await expect(cold.locator('[data-kept-band=away]')).toContainText('the server is away')
  for (const path of ['', '/boards/list', '/work/today']) {
    await cold.goto(`${job}${path}`)
    await expect(cold.locator('[data-kept-band=away]')).toContainText('Kept on this device as of')
  }
  await cold.goto(`${server.url}${room}`)
  await expect(cold.getByRole('heading', { level: 1 })).toHaveText('Landing, wall by wall')
  await expect(cold.locator('[data-kept-band=away]')).toBeVisible()
  // what is not kept says so, and leads to what is
  await cold.goto(`${server.url}/yard`)
  await expect(cold.getByText('The page you asked for is not kept on this device')).toBeVisible()
  await cold.getByRole('link', { name: /^Plover Rise/ }).click()
  await expect(cold.getByRole('heading', { level: 1 })).toHaveText('Plover Rise')
  await expect(cold.locator('[data-kept-band=away]')).toBeVisible()

  // it is back, and the page is compared: its label goes, and what was changed meanwhile is there
  await server.start()
  await page.goto(job)
  await page.getByRole('textbox', { name: 'Client' }).fill('Somebody')
  await page.getByRole('button', { name: 'Keep these names' }).click()
  await expect(cold.getByText('for Somebody')).toBeVisible({ timeout: 20_000 })
  await expect(cold.locator('[data-kept-band]')).toHaveCount(0)
  await cold.goto(`${server.url}${room}`)
  await expect(cold.locator('[data-kept-band]')).toHaveCount(0, { timeout: 20_000 })
  // it can be put beside the phone's other programs
  const manifest = await (await phone.request.get(`${server.url}/manifest.webmanifest`)).json()
  expect(manifest).toMatchObject({ name: 'Regla', start_url: '/', display: 'standalone' })
  await phone.close()
})
