import { OWN_FILES } from '../../playwright.config'
import { putBackFirst } from './asAtFirst'
import AxeBuilder from '@axe-core/playwright'
import { expect, type Locator, type Page, test as base } from '@playwright/test'

/**
 * A page that fails the test when the browser complains: console errors, failed hydration, thrown errors. The servers
 * hold what they held at first whenever a test begins, whatever the one before it left or had not yet taken back.
 */
export const test = base.extend<{ quiet: void; asAtFirst: void; person: void }>({
  person: [
    async ({ page }, use) => {
      pressesAsAPerson(page)
      await use()
    },
    { auto: true },
  ],
  asAtFirst: [
    async ({ baseURL }, use) => {
      expect(baseURL).toBeTruthy()
      for (const file of OWN_FILES) await putBackFirst(file)
      await use()
    },
    { auto: true },
  ],
  quiet: [
    async ({ page }, use) => {
      const complaints: string[] = []
      page.on('console', (message) => {
        const expected =
          /status of (404|409|422|429|503)|ERR_INTERNET_DISCONNECTED|ERR_FAILED|ERR_CONNECTION_(?:REFUSED|RESET)/.test(
            message.text(),
          )
        if (message.type() === 'error' && !expected) complaints.push(message.text())
      })
      page.on('pageerror', (error) => {
        // what is still being streamed to a page that is left is given up, and nobody waits for it
        if (!/^signal is aborted/.test(error.message)) complaints.push(error.message)
      })
      await use()
      expect(complaints).toEqual([])
    },
    { auto: true },
  ],
})
export { expect }

/** So long a person takes between two presses: a second one within 600 ms is the half of a double tap, and does nothing. */
const BETWEEN_MS = 700
let asAPerson = false

/** Buttons for what happens at the wall are pressed one after the other, as by a hand: a test is quicker than any. */
function pressesAsAPerson(page: Page): void {
  if (asAPerson) return
  asAPerson = true
  const proto = Object.getPrototypeOf(page.locator('body')) as Locator
  for (const how of ['click', 'tap'] as const) {
    const press = proto[how]
    proto[how] = async function (this: Locator, ...args: Parameters<Locator['click']>) {
      const timeout = args[0]?.timeout
      const steady = await this.first().getAttribute('data-steady', timeout === undefined ? {} : { timeout })
      if (steady !== null) await this.page().waitForTimeout(BETWEEN_MS)
      return press.apply(this, args)
    }
  }
}

/** WCAG 2.2 A and AA and best practice by axe, with no violation and no finding; or only what a look can change. */
export async function expectAccessible(page: Page, what: 'all' | 'look' = 'all') {
  const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] })
  // another theme draws the same elements in other colors
  const asked =
    what === 'look'
      ? axe.withRules(['color-contrast', 'link-in-text-block'])
      : axe.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'])
  const { violations } = await asked.analyze()
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 120)).join(' | ')}`),
  ).toEqual([])
}

/** The word beside the undo buttons says that all is saved. */
export async function expectSaved(page: Page) {
  await expect(page.getByRole('status').filter({ hasText: 'saved' })).toHaveText(/^✓ saved/)
}

export async function openStage(page: Page, name: string) {
  await page.getByRole('navigation', { name: 'Stages of the work' }).getByRole('link', { name }).click()
}

/** Opens the demo job's wall of that name at its layout. */
export async function openDemoWall(page: Page, name: string) {
  await page.goto('/jobs/demo')
  await page.getByRole('link', { name, exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('batten', { timeout: 60_000 })
  // the page answers once the script has taken over
  await expect(page.locator('[data-rod-strip]').first()).toBeVisible()
  await page.waitForFunction(() => document.querySelector('[role=slider]') !== null)
}

/** A new job for a new user, with the page at its rooms. Gives the job's address. */
export async function newJob(page: Page, url: string, name: string): Promise<string> {
  await page.goto(`${url}/jobs/new`)
  await page.getByLabel('Job', { exact: true }).fill(name)
  // habits of jobs that other tests made would be another start each time
  const plain = page.getByRole('radio', { name: 'from the start' })
  if (await plain.isVisible()) await page.getByText('from the start').click()
  await page.getByRole('button', { name: 'Start the job' }).click()
  await page.waitForURL(/\/jobs\/[0-9a-f]+$/)
  return page.url()
}

/** A thing put on the wall, by its numbers. */
export interface PutThing {
  readonly kind: string
  readonly fields: Readonly<Record<string, string>>
}

/** A wall measured on the Measure stage; the page is left there. */
export async function newWall(
  page: Page,
  job: string,
  wall: {
    room: string
    name: string
    width: string
    height: string
    baseboard?: string
    things?: readonly PutThing[]
  },
) {
  await page.goto(job)
  await page.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
  await page.getByRole('textbox', { name: 'Room', exact: true }).fill(wall.room)
  await page.getByLabel('Walls, one a line').fill(`${wall.name}:`)
  if (await page.getByText('from the start').isVisible()) await page.getByText('from the start').click()
  await page.getByRole('button', { name: 'Measure this wall' }).click()
  await page.getByRole('textbox', { name: 'Width, corner to corner' }).fill(wall.width)
  await page.getByRole('textbox', { name: 'Height, finished floor to ceiling' }).fill(wall.height)
  if (wall.baseboard) {
    await page.getByRole('button', { name: /Baseboard$/ }).click()
    await page.getByRole('option', { name: /^Stays/ }).click()
    await page.getByRole('textbox', { name: 'Height', exact: true }).fill(wall.baseboard)
  }
  for (const { kind, fields } of wall.things ?? []) {
    await openFold(page, /^What stands there/)
    await page.getByRole('button', { name: /Something stands here$/ }).click()
    await page.getByRole('option', { name: kind, exact: true }).click()
    await page.getByRole('button', { name: 'Put it on the wall' }).click()
    for (const [label, value] of Object.entries(fields))
      await page.getByRole('textbox', { name: label, exact: true }).fill(value)
    await page.getByRole('button', { name: 'Done' }).click()
  }
  await page.keyboard.press('Tab')
  await expectSaved(page)
}

/** Opens a folded part of the side panel. */
export async function openFold(page: Page, name: RegExp) {
  const fold = page.getByRole('button', { name })
  if ((await fold.getAttribute('aria-expanded')) !== 'true') await fold.click()
}

/** Turns the wall to a pattern, at its layout. */
export async function choosePattern(page: Page, name: string) {
  await openStage(page, 'Lay out')
  await page.getByRole('radio', { name, exact: true }).click()
}

/** Types a length into a word of the layout's sentence. */
export async function typeWord(page: Page, label: string, value: string) {
  await page.getByRole('button', { name: new RegExp(`^${label}:`) }).click()
  await page.getByRole('textbox', { name: label }).fill(value)
  await page.keyboard.press('Enter')
}

/** Picks another choice for a word of the layout's sentence. */
export async function pickWord(page: Page, label: string, option: RegExp) {
  await page.getByRole('button', { name: new RegExp(`${label}$`) }).click()
  await page.getByRole('option', { name: option }).click()
}
