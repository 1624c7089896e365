import AxeBuilder from '@axe-core/playwright'
import { expect, type Page, test as base } from '@playwright/test'

/** A page that fails the test when the browser complains: console errors, failed hydration, thrown errors. */
export const test = base.extend<{ quiet: void }>({
  quiet: [
    async ({ page }, use) => {
      const complaints: string[] = []
      page.on('console', (message) => {
        const expected = /status of (404|422)/.test(message.text())
        if (message.type() === 'error' && !expected) complaints.push(message.text())
      })
      page.on('pageerror', (error) => complaints.push(error.message))
      await use()
      expect(complaints).toEqual([])
    },
    { auto: true },
  ],
})
export { expect }

/** WCAG 2.2 A and AA by axe, with no violation. */
export async function expectAccessible(page: Page) {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
    .analyze()
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 120)).join(' | ')}`),
  ).toEqual([])
}

/** The word beside the undo buttons says that all is saved. */
export async function expectSaved(page: Page) {
  await expect(page.getByRole('status').filter({ hasText: 'saved' })).toHaveText('✓ saved')
}

export async function openStage(page: Page, name: string) {
  await page.getByRole('navigation', { name: 'Stages of the work' }).getByRole('link', { name }).click()
}

/** Opens the demo job's wall of that name at its layout. */
export async function openDemoWall(page: Page, name: string) {
  await page.goto('/jobs/demo')
  await page.getByRole('link', { name, exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('batten')
  // the page answers once the script has taken over
  await expect(page.locator('[data-rod-strip]').first()).toBeVisible()
  await page.waitForFunction(() => document.querySelector('[role=slider]') !== null)
}
