import type { Page } from '@playwright/test'
import { expect, expectAccessible, openDemoWall, openStage, test } from './page'

const STAGES = ['Measure', 'Lay out', 'Agree', 'Mark', 'Cut', 'Buy'] as const
const SIZES = [
  { width: 390, height: 844 },
  { width: 360, height: 640 },
  { width: 844, height: 390 },
]

async function sideways(page: Page): Promise<number> {
  return page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)
}

/** What can be pressed and is smaller than so many pixels either way; links within a sentence are let be, as WCAG 2.5.8 does. */
async function smallTargets(page: Page, least: number): Promise<string[]> {
  return page.evaluate((size) => {
    const inText = (each: Element) =>
      each.matches('a') && (each.parentElement?.textContent ?? '').trim() !== (each.textContent ?? '').trim()
    return [
      ...document.querySelectorAll(
        'button, a[href], [role=button], [role=slider], [role=radio], input:not([type=hidden]), textarea',
      ),
    ]
      .filter((each) => {
        const box = each.getBoundingClientRect()
        const style = getComputedStyle(each)
        const seen =
          box.width > 1 &&
          box.height > 1 &&
          style.visibility !== 'hidden' &&
          !each.closest('[hidden], [aria-hidden=true]')
        // what is pressed through a larger label, or stands in running text
        if (!seen || inText(each) || each.closest('label')) return false
        return box.height < size - 0.5 || (box.width < size - 0.5 && !each.matches('a'))
      })
      .map((each) => {
        const { width, height } = each.getBoundingClientRect()
        return `${each.getAttribute('aria-label') ?? each.textContent?.slice(0, 30)} ${Math.round(width)}x${Math.round(height)}`
      })
  }, least)
}

/** Text a person reads that is smaller than so many pixels. */
async function smallText(page: Page, least: number): Promise<string[]> {
  return page.evaluate((size) => {
    const walker = document.createTreeWalker(
      document.querySelector('main') ?? document.body,
      NodeFilter.SHOW_TEXT,
    )
    const found = new Set<string>()
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const parent = node.parentElement
      // the figures of a fraction are read with their number
      if (
        !parent ||
        !node.textContent?.trim() ||
        parent.closest('desc, [data-fraction], [aria-hidden=true], svg')
      )
        continue
      if (parent.getBoundingClientRect().width <= 1) continue
      if (parseFloat(getComputedStyle(parent).fontSize) < size - 0.01)
        found.add(node.textContent.slice(0, 30))
    }
    return [...found]
  }, least)
}

test.describe('on a phone', () => {
  test.use({ viewport: SIZES[0] ?? null, hasTouch: true })

  test('nothing lies beside the page and nothing is too small for a thumb, on every stage and size', async ({
    page,
  }) => {
    test.setTimeout(240_000)
    await page.goto('/jobs/demo')
    expect(await sideways(page)).toBeLessThanOrEqual(0)
    expect(await smallTargets(page, 44)).toEqual([])
    for (const path of [
      '/',
      '/yard',
      '/book',
      '/jobs/demo/client',
      '/jobs/demo/boards',
      '/jobs/demo/boards/list',
      '/jobs/demo/paper',
    ]) {
      await page.goto(path)
      if (path.includes('boards'))
        await expect(page.locator('[data-state=working]')).toHaveCount(0, { timeout: 60_000 })
      expect([path, await sideways(page)]).toEqual([path, 0])
      expect([path, await smallTargets(page, 44)]).toEqual([path, []])
    }
    await page.goto('/jobs/demo')
    await page.getByRole('link', { name: 'All walls of Dining room together' }).click()
    await expect(page.getByRole('heading', { level: 1 })).toContainText('wall by wall')
    for (const size of SIZES) {
      await page.setViewportSize(size)
      await expect.poll(() => sideways(page)).toBeLessThanOrEqual(0)
      expect(await smallTargets(page, 44)).toEqual([])
    }
    await page.setViewportSize({ width: 390, height: 844 })
    await openDemoWall(page, 'Window wall')
    const found: string[] = []
    for (const size of SIZES) {
      await page.setViewportSize(size)
      for (const stage of STAGES) {
        await openStage(page, stage)
        const atWall = stage === 'Mark' || stage === 'Cut'
        const look = async () => [
          ...(await smallTargets(page, atWall ? 48 : 44)),
          ...(atWall ? await smallText(page, 14) : []),
          ...((await sideways(page)) > 0 ? ['lies beside the page'] : []),
        ]
        await page.waitForTimeout(150)
        let small = await look()
        if (small.length > 0) {
          // a drawing that has not found its size yet is looked at again
          await page.waitForTimeout(800)
          small = await look()
        }
        if (small.length > 0) found.push(`${stage} at ${size.width}: ${small.join(', ')}`)
      }
    }
    expect(found).toEqual([])
  })

  test('one mark at a time: in reach, readable, never jumping; ticked, kept, and its end told', async ({
    page,
  }) => {
    test.setTimeout(240_000)
    await openDemoWall(page, 'Bed wall')
    await openStage(page, 'Mark')
    const next = page.getByRole('button', { name: /^(Marked, next|Next)/ })
    const number = page.getByTestId('huge-mark')
    for (const size of SIZES) {
      await page.setViewportSize(size)
      await expect(number).toBeVisible()
      // from the top of the page, without scrolling
      await page.evaluate(() => scrollTo(0, 0))
      for (const seen of [
        next,
        number,
        page.getByTestId('walk-where'),
        page.getByTestId('walk-edge'),
        page.getByTestId('walk-side'),
      ]) {
        const box = await seen.boundingBox()
        expect(box && box.y >= 0 && box.y + box.height <= size.height + 0.5).toBe(true)
      }
      // two meters away: 24 px and more
      for (const id of ['walk-where', 'walk-edge', 'walk-side'])
        expect(
          await page.getByTestId(id).evaluate((each) => parseFloat(getComputedStyle(each).fontSize)),
        ).toBeGreaterThanOrEqual(24)
    }
    await page.setViewportSize({ width: 390, height: 844 })
    await page.getByRole('radio', { name: 'right corner' }).click()
    await page.evaluate(() => scrollTo(0, 0))
    const at = async () => [(await next.boundingBox())?.y, (await number.boundingBox())?.y]
    const first = await at()
    // level line and heights first, then strips from the corner the tape is hooked in
    await expect(page.getByTestId('walk-where')).toContainText('Level line')
    let before = 0
    while (!/From the right corner/.test((await page.getByTestId('walk-where').textContent()) ?? '')) {
      await next.click()
      before += 1
      expect(await at()).toEqual(first)
      expect(before).toBeLessThan(12)
    }
    const strips = Number(/of (\d+)/.exec((await page.getByTestId('walk-where').textContent()) ?? '')?.[1])
    for (let i = 0; i < 4; i++) {
      await next.click()
      expect(await at()).toEqual(first)
    }
    const reached = await page.getByTestId('walk-where').textContent()
    // from stage to stage and after a reload: the same corner, the same place, the same ticks
    await openStage(page, 'Cut')
    await openStage(page, 'Mark')
    await expect(page.getByTestId('walk-where')).toHaveText(reached ?? '')
    await expect(page.getByText('✓ saved')).toBeVisible()
    await page.waitForTimeout(500)
    await page.reload()
    await expect(page.getByTestId('walk-where')).toHaveText(reached ?? '')
    await expect(page.getByText(`${before + 4} of ${strips} on the wall.`).first()).toBeVisible()
    // another wall has its own
    for (let i = before + 4; i < strips; i++) await next.click()
    await expect(page.getByText(`✓ All ${strips} are on the wall`, { exact: true })).toBeVisible()
    await expect(page.getByRole('link', { name: 'Cut list' })).toBeVisible()
    await expectAccessible(page)
    await openDemoWall(page, 'Long wall')
    await openStage(page, 'Mark')
    await expect(page.getByTestId('walk-where')).toContainText('1 of')
    await expect(page.getByRole('radio', { name: 'left corner' })).toBeChecked()
  })

  test('a thumb that comes near a handle scrolls the page; a press takes it in hand, a pull moves it, one press puts it back', async ({
    page,
  }) => {
    await openDemoWall(page, 'Bed wall')
    const grip = page.getByRole('slider', { name: 'Height of the top rail' })
    await grip.scrollIntoViewIfNeeded()
    const was = await grip.getAttribute('aria-valuetext')
    const client = await page.context().newCDPSession(page)
    const drag = async (by: number) => {
      const box = await grip.boundingBox()
      if (!box) throw new Error('no grip')
      const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
      const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', dy = 0) =>
        client.send('Input.dispatchTouchEvent', {
          type,
          touchPoints: type === 'touchEnd' ? [] : [{ x, y: y + dy }],
        })
      await touch('touchStart')
      for (let i = 1; i <= 6; i++) await touch('touchMove', (by * i) / 6)
      await touch('touchEnd')
      await page.waitForTimeout(200)
    }
    await drag(60)
    await expect(grip).toHaveAttribute('aria-valuetext', was ?? '')
    await grip.tap()
    await expect(grip).toHaveAttribute('data-in-hand', 'true')
    await expect(grip).toHaveAttribute('aria-valuetext', was ?? '')
    await drag(40)
    await expect(grip).not.toHaveAttribute('aria-valuetext', was ?? '')
    await page.getByRole('button', { name: /^Put back / }).tap()
    await expect(grip).toHaveAttribute('aria-valuetext', was ?? '')
    await expect(page.getByRole('button', { name: /^Put back / })).toHaveCount(0)
  })
})

test('the screen is kept awake at the wall, and where it can’t be it is said', async ({ page }) => {
  await page.addInitScript(() => {
    const asked: string[] = []
    Object.assign(window, { asked })
    Object.defineProperty(navigator, 'wakeLock', {
      value: { request: (kind: string) => (asked.push(kind), Promise.reject(new Error('not now'))) },
    })
  })
  await page.setViewportSize({ width: 390, height: 844 })
  await openDemoWall(page, 'Long wall')
  await openStage(page, 'Mark')
  await expect(page.getByText('can’t keep the screen awake')).toBeVisible()
  expect(await page.evaluate(() => (window as unknown as { asked: string[] }).asked)).toContain('screen')
})

test('a pull that comes to nothing leaves nothing to put back, whatever is changed next', async ({
  page,
}) => {
  await openDemoWall(page, 'Bed wall')
  const grip = page.getByRole('slider', { name: 'Height of the top rail' })
  const putBack = page.getByRole('button', { name: /^Put back / })
  await grip.focus()
  await page.keyboard.press('End')
  await expect(putBack).toHaveCount(1)
  await page.keyboard.press('End')
  await expect(putBack).toHaveCount(0)
  await page.getByRole('radio', { name: 'Grid', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('A grid of')
  await expect(putBack).toHaveCount(0)
  for (let i = 0; i < 2; i++) await page.getByRole('button', { name: /^Undo/ }).click()
})
