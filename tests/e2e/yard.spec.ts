import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { EMPTY_URL } from '../../playwright.config'
import { expect, test } from './page'

interface JobFileLike {
  name: string
  rooms: { name: string }[]
}

/** A job of its own kept under a name: rooms of the example. */
async function openJobFile(page: Page, name: string, rooms: readonly string[]): Promise<string> {
  const file = JSON.parse(readFileSync('examples/tern-cottage.regla.json', 'utf8')) as JobFileLike
  const body = { ...file, name, rooms: file.rooms.filter((room) => rooms.includes(room.name)) }
  await page.goto(EMPTY_URL)
  await page.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Open a job file' }).click(),
  ])
  await chooser.setFiles({
    name: 'job.regla.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(body)),
  })
  await page.waitForURL(/\/jobs\/[0-9a-z]+$/)
  return page.url()
}

const settled = (page: Page) =>
  expect(page.locator('[data-state]').first()).toHaveAttribute('data-state', 'known', { timeout: 60_000 })
const number = async (page: Page, id: string) => Number(await page.getByTestId(id).textContent())
const fold = (page: Page, material: string, name: RegExp) =>
  page.locator(`[data-material="${material}"]`).getByRole('button', { name })

async function choose(page: Page, label: string, option: string | RegExp) {
  await page.getByRole('button', { name: new RegExp(`${label}$`) }).click()
  await page.getByRole('option', { name: option }).click()
}

test('a job of two rooms: a list taken in, the supplier away and back, planned, bought on a phone, cut, racked; the next job uses the rack', async ({
  page,
  browser,
}) => {
  test.setTimeout(360_000)
  const job = await openJobFile(page, 'Boat shed', ['Stair hall', 'Landing'])

  // the yard: a supplier's list with bad rows among good ones waits to be looked at
  await page.goto(`${EMPTY_URL}/yard`)
  await page.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
  await page.getByLabel('Name of a supplier').fill('Pier Lumber')
  await page.getByRole('button', { name: 'Add supplier' }).click()
  await expect(page.locator('[data-supplier]')).toContainText('Pier Lumber')
  await page
    .getByLabel('The list, pasted or from a file')
    .fill('material,length,price,code\n1x3 pine,8,7.90,PL8\n1x3 pine,10,-4,PL10\n9x9 pine,8,1,\n')
  await page.getByRole('button', { name: 'Look at the list' }).click()
  const list = page.getByTestId('waiting-list')
  await expect(list).toContainText('1x3 pine 8 ft: $7.90')
  await expect(list).toContainText('Line 3: a price can’t be less than nothing')
  await expect(list).toContainText('Line 4: the crew keeps no “9x9 pine”')
  await page.reload()
  await list.getByRole('button', { name: 'Take in 1 row' }).click()
  await expect(list).toHaveCount(0)
  await choose(page, 'Stuff', '1x3 pine')
  await expect(page.getByLabel('Price of 1x3 pine 8 ft')).toHaveValue('$7.90')

  // an offcut found on the rack
  await choose(page, 'Put an offcut on the rack', '1x3 pine')
  await page.getByRole('textbox', { name: 'Length', exact: true }).fill('58 1/2')
  await page.getByRole('textbox', { name: 'Length', exact: true }).press('Enter')
  await page.getByRole('button', { name: 'Put it on as R1' }).click()
  await expect(page.locator('[data-offcut="R1"]')).toContainText('58')

  // the stand-in can't be reached, answers rubbish, is sold out of some, and is itself again
  await page.getByRole('button', { name: 'Add the stand-in supplier' }).click()
  const mood = async (text: RegExp) => {
    await choose(page, 'The stand-in', text)
    await expect(page.getByRole('button', { name: /The stand-in$/ })).toContainText(text)
    await page.getByRole('button', { name: /^Ask Stand-in/ }).click()
  }
  await mood(/can’t be reached/)
  await expect(page.getByTestId('asked')).toContainText('can’t be reached. The prices of last time stand')
  await mood(/answers rubbish/)
  await expect(page.getByTestId('asked')).toContainText('can’t be read. Nothing was taken in')
  await mood(/out of some/)
  await expect(page.getByTestId('asked')).toContainText(/out of stock/)
  await page.goto(`${job}/boards`)
  await settled(page)
  await expect(page.getByTestId('out-of-stock')).toContainText('left out of the plan')
  await page.goto(`${EMPTY_URL}/yard`)
  await page.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
  await mood(/usual prices/)
  await expect(page.getByTestId('asked')).toContainText('answered')

  // the plan: proven, the rack first, prices of today offered and taken
  await page.goto(`${job}/boards`)
  await settled(page)
  await expect(page.locator('[data-material]')).not.toHaveCount(0)
  expect(await page.locator('[data-material]').count()).toBeGreaterThanOrEqual(3)
  await expect(page.locator('[data-material="pine-1x3"]')).toHaveAttribute('data-proven', 'true')
  await expect(page.getByTestId('price-changes')).toContainText('1x3 pine 8 ft')
  const before = await page.getByTestId('to-pay').textContent()
  await page.getByRole('button', { name: /^Take \d+ prices of today/ }).click()
  await expect(page.getByTestId('price-changes')).toHaveCount(0)
  await settled(page)
  await expect(page.getByTestId('to-pay')).not.toHaveText(before ?? '')
  await fold(page, 'pine-1x3', /^What is cut/).click()
  await expect(page.locator('[data-material="pine-1x3"] [data-from="rack"]')).toContainText(
    'R1 from the rack',
  )
  await expect(page.getByTestId('one-more').first()).toContainText('One more spare of', { timeout: 30_000 })
  await fold(page, 'pine-1x3', /^The same pieces/).click()
  await expect(page.getByRole('table', { name: /The same pieces/ }).first()).toContainText('✓ best')
  await expect(page.locator('canvas').first()).toBeVisible()

  // only what goes in the car, and a spare; then as before
  const boards = await number(page, 'to-buy')
  await choose(page, 'Longest board that goes in the car', '10 ft')
  await settled(page)
  await expect(page.locator('[data-material="pine-1x4"]')).toContainText('the longest board listed gives')
  await choose(page, 'Longest board that goes in the car', 'any length')
  await settled(page)
  expect(await number(page, 'to-buy')).toBe(boards)

  // a budget it is over, and what would help
  await page.getByLabel(/^What the boards of the whole job may cost/).fill('300')
  await page.getByLabel(/^What the boards of the whole job may cost/).press('Enter')
  await expect(page.getByTestId('budget-left')).toContainText('over it')
  const way = page.locator('[data-way]').first()
  await expect(way).toContainText('saves about', { timeout: 60_000 })

  // in the shop, on a phone
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })
  const shop = await phone.newPage()
  await shop.goto(`${job}/boards/list`)
  await settled(shop)
  const line = shop.locator('[data-line^="1x3 pine"]').first()
  const name = (await line.getAttribute('data-line')) ?? ''
  await line.getByRole('button', { name: `One more ${name}` }).click()
  await expect(line.getByTestId('in-cart')).toHaveText(/^1 of/)
  await line.getByLabel(`Paid for each ${name}`).fill('8.40')
  await line.getByLabel(`Paid for each ${name}`).press('Enter')
  await expect(shop.getByTestId('sum')).toContainText('$8.40 in the cart')
  await expect(shop.getByTestId('sum')).toContainText(/Paid \$[\d.]+ (more|less) than the prices/)
  // without the server ticks wait on the phone and are sent when it is back
  await phone.setOffline(true)
  await line.getByRole('button', { name: `One more ${name}` }).click()
  await expect(shop.getByTestId('waiting')).toContainText('not sent yet')
  await phone.setOffline(false)
  await expect(shop.getByTestId('waiting')).toHaveCount(0, { timeout: 30_000 })
  await shop.reload()
  await settled(shop)
  await expect(shop.locator(`[data-line="${name}"]`).getByTestId('in-cart')).toHaveText(/^2 of/)
  await phone.close()

  // boards are cut: what is left goes on the rack, and not after all it does not
  await page.reload()
  await settled(page)
  await expect(page.getByTestId('in-hand')).not.toHaveText('0')
  await fold(page, 'pine-1x2', /^What is cut/).click()
  const cuts = page.locator('[data-material="pine-1x2"] [data-board]')
  const first = cuts.last()
  await first.getByRole('button', { name: /^Cut: / }).click()
  await expect(page.locator('[data-cut]')).toHaveCount(1)
  await page.getByRole('button', { name: /not cut after all/ }).click()
  await expect(page.locator('[data-cut]')).toHaveCount(0)
  await settled(page)
  const ofRack = page
    .locator('[data-material="pine-1x3"] [data-from="rack"]')
    .getByRole('button', { name: /^Cut: / })
  // boards that are planned anew, after what was just taken back, are shown folded
  await expect(async () => {
    const opener = fold(page, 'pine-1x3', /^What is cut/)
    if ((await opener.getAttribute('aria-expanded')) !== 'true') await opener.click()
    await expect(ofRack).toBeVisible({ timeout: 3_000 })
  }).toPass({ timeout: 60_000 })
  await ofRack.click()
  await expect(page.locator('[data-cut]')).toHaveCount(1)
  await settled(page)
  await expect(page.locator('[data-from="rack"]')).toHaveCount(0)

  // the next job of the crew uses what lies there
  await page.goto(`${EMPTY_URL}/yard`)
  await page.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
  await choose(page, 'Put an offcut on the rack', '1x3 pine')
  await page.getByRole('textbox', { name: 'Length', exact: true }).fill('90')
  await page.getByRole('textbox', { name: 'Length', exact: true }).press('Enter')
  await page.getByRole('button', { name: 'Put it on as R2' }).click()
  await expect(page.locator('[data-offcut="R1"]')).toHaveCount(0)
  await expect(page.locator('[data-offcut="R2"]')).toBeVisible()
  const next = await openJobFile(page, 'Net loft', ['Stair hall'])
  await page.goto(`${next}/boards`)
  await settled(page)
  await fold(page, 'pine-1x3', /^What is cut/).click()
  await expect(page.locator('[data-from="rack"]')).toContainText('R2 from the rack')
  await expect(page.getByTestId('in-hand')).toHaveText('1')
})
