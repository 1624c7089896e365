import type { Page } from '@playwright/test'
import { expect, expectAccessible, expectSaved, openDemoWall, openStage, pickWord, test } from './page'

const STAGES = ['Measure', 'Lay out', 'Agree', 'Mark', 'Cut', 'Buy', 'Finish'] as const
/** Pages and stages looked at in every theme: the colors of the others are made of the same few. */
const EVERY_THEME = ['/', '/yard', 'Lay out', 'Agree', 'Cut']
const YARD = ['/yard', ...['boards', 'boards/list', 'supplies', 'paper'].map((page) => `/jobs/demo/${page}`)]
type Theme = 'light' | 'dark' | 'site' | 'forced'

/** The page as it stands in another theme: the colors change, the elements stay. */
async function wear(page: Page, theme: Theme) {
  await page.emulateMedia({ forcedColors: theme === 'forced' ? 'active' : 'none' })
  await page.evaluate(
    (worn) => {
      document.documentElement.dataset.theme = worn
    },
    theme === 'forced' ? 'light' : theme,
  )
}

/** All of axe's rules in the first theme, what a theme can change in the others. */
async function expectAccessibleIn(page: Page, themes: readonly Theme[]) {
  for (const [i, theme] of themes.entries()) {
    if (i > 0) await wear(page, theme)
    await expectAccessible(page, i === 0 ? 'all' : 'look')
  }
  if (themes[0] && themes.length > 1) await wear(page, themes[0])
}

/** Everything folded is opened, so that it is looked at too. */
async function unfold(page: Page) {
  await page.evaluate(() => {
    for (const fold of document.querySelectorAll<HTMLElement>('main h2 button[aria-expanded=false]'))
      fold.click()
  })
  await page.waitForTimeout(150)
}

for (const { width, height, themes } of [
  { width: 1280, height: 800, themes: ['light', 'dark', 'forced'] },
  { width: 390, height: 844, themes: ['light', 'site'] },
] as const) {
  test(`no axe finding on pages, stages and popovers, ${width} wide: ${themes.join(', ')}`, async ({
    page,
  }) => {
    test.setTimeout(540_000)
    await page.setViewportSize({ width, height })
    for (const path of ['/', '/jobs/new', '/jobs/demo', '/crew', '/devices', '/no/such/page', ...YARD]) {
      await page.goto(path)
      if (path.includes('/boards'))
        await expect(page.locator('[data-state]:not([data-state=working])')).toHaveCount(1, {
          timeout: 60_000,
        })
      await expectAccessibleIn(page, EVERY_THEME.includes(path) ? themes : themes.slice(0, 1))
    }
    await page.goto('/jobs/demo')
    await page.getByRole('link', { name: 'All walls of Dining room together' }).click()
    await expect(page.getByRole('heading', { level: 1 })).toContainText('wall by wall')
    await expectAccessibleIn(page, themes.slice(0, 1))
    await openDemoWall(page, 'Window wall')
    for (const stage of STAGES) {
      await openStage(page, stage)
      await expect(page).toHaveTitle(`${stage} · Window wall · Regla`)
      await unfold(page)
      await expectAccessibleIn(page, EVERY_THEME.includes(stage) ? themes : themes.slice(0, 1))
    }
    await openStage(page, 'Lay out')
    for (const name of [
      /How they are spaced$/,
      /^Height from the finished floor/,
      /^Units and tape/,
      'Rename this wall',
      'Find a job, room or wall',
    ].slice(0, width > 860 ? 5 : 2)) {
      await page.getByRole('button', { name }).first().click()
      await page.waitForTimeout(150)
      // a card over the page has the page's colors: one theme more is enough, and on the desk
      await expectAccessibleIn(page, width > 860 ? themes.slice(0, 2) : themes.slice(0, 1))
      await page.keyboard.press('Escape')
      await page.waitForTimeout(150)
    }
  })
}

/** How far two colors are apart, as WCAG counts it. */
const contrast = (a: number[], b: number[]) => {
  const lum = ([r = 0, g = 0, bl = 0]: number[]) => {
    const part = (v: number) => (v / 255 <= 0.03928 ? v / 255 / 12.92 : ((v / 255 + 0.055) / 1.055) ** 2.4)
    return 0.2126 * part(r) + 0.7152 * part(g) + 0.0722 * part(bl)
  }
  const [high, low] = [lum(a), lum(b)].sort((x, y) => y - x) as [number, number]
  return (high + 0.05) / (low + 0.05)
}

test('what axe does not look at stands out 3 to 1: rod labels, field borders, focus rings', async ({
  page,
}) => {
  await openDemoWall(page, 'Long wall')
  for (const theme of ['light', 'dark', 'site'] as const) {
    await wear(page, theme)
    const color = (name: string) =>
      page.evaluate((token) => {
        const probe = document.createElement('i')
        probe.style.color = `var(${token})`
        document.body.append(probe)
        const rgb = getComputedStyle(probe).color.match(/\d+/g)?.map(Number) ?? []
        probe.remove()
        return rgb
      }, name)
    for (const [over, under] of [
      ['--ink', '--plaster'],
      ['--ink-soft', '--plaster'],
      ['--rod-ink', '--rod'],
      ['--edge', '--raised'],
      ['--edge', '--paper'],
      ['--edge', '--plaster'],
      ['--chalk', '--paper'],
      ['--chalk', '--plaster'],
      ['--bar-ink', '--bar'],
      ['--red', '--red-wash'],
      ['--strip-edge', '--strip'],
    ] as const)
      expect([over, under, contrast(await color(over), await color(under)) >= 3]).toEqual([over, under, true])
    // the ring of a stage on its tape, picked or not
    for (const stage of ['Lay out', 'Cut']) {
      const link = page.getByRole('link', { name: stage })
      await link.focus()
      await page.keyboard.press('Shift+Tab')
      await page.keyboard.press('Tab')
      const { ring, ground } = await link.evaluate((each) => {
        const style = getComputedStyle(each)
        const rgb = (text: string) => text.match(/[\d.]+/g)?.map(Number) ?? []
        const own = rgb(style.backgroundColor)
        const tape = each.parentElement ? rgb(getComputedStyle(each.parentElement).backgroundColor) : []
        return { ring: rgb(style.outlineColor), ground: own[3] === 0 ? tape : own }
      })
      expect([stage, contrast(ring, ground) >= 3]).toEqual([stage, true])
    }
  }
})

test('by the keyboard alone: a school, a way out, a thing, a wall’s name, a proposal; the focus is never lost', async ({
  page,
}) => {
  test.setTimeout(240_000)
  const onPage = () =>
    page.evaluate(() => document.activeElement !== null && document.activeElement !== document.body)
  await openDemoWall(page, 'Window wall')
  // another school: its word is drawn anew, and has the focus again
  await page.getByRole('button', { name: /How they are spaced$/ }).focus()
  await page.keyboard.press('Enter')
  await page.keyboard.type('a chosen gap from one')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-focus="How they are spaced"]')).toContainText('from one end')
  await expect(page.locator('[data-focus="How they are spaced"]')).toBeFocused()
  // what was put aside is told, and one press goes back
  const dropped = page.locator('[data-dropped]')
  await expect(dropped).toContainText('Put aside with')
  await page.locator('[data-focus="school-back"]').focus()
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-focus="How they are spaced"]')).not.toContainText('from one end')
  await expect.poll(onPage).toBe(true)
  // a way out: its button goes with the finding, the focus stays on the page
  const way = page.getByRole('button', { name: /^Shift all by/ }).first()
  await way.focus()
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-kept=shift]')).toBeVisible()
  await expect.poll(onPage).toBe(true)
  await expect(page.getByTestId('announced')).toContainText('close on the wall')
  // and off again from the sentence
  await page.locator('[data-kept=shift]').getByRole('button').focus()
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-kept=shift]')).toHaveCount(0)
  await expect.poll(onPage).toBe(true)
  await expectSaved(page)

  // a thing is put on the wall and moved by the arrow keys, and says where it is
  await page.keyboard.press('1')
  await expect(page).toHaveTitle(/^Measure · /)
  await page.getByRole('button', { name: /^What stands there/ }).focus()
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Put it on the wall' }).focus()
  await page.keyboard.press('Enter')
  await expect.poll(onPage).toBe(true)
  const grip = page.locator('[data-grip][aria-pressed=true]')
  await expect(grip).toHaveAccessibleName(/from the left, .* up from the floor/)
  const name = await grip.getAttribute('aria-label')
  await grip.focus()
  await page.keyboard.press('ArrowRight')
  await expect(grip).not.toHaveAccessibleName(name ?? '')

  await page.keyboard.press('2')
  await page.getByRole('button', { name: 'Rename this wall' }).focus()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Control+a')
  await page.keyboard.type('Glazed wall')
  await page.keyboard.press('Enter')
  await expect(page).toHaveTitle('Lay out · Glazed wall · Regla')
  await page.getByRole('button', { name: 'Rename this wall' }).focus()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Control+a')
  await page.keyboard.type('Window wall')
  await page.keyboard.press('Enter')
  await expect(page).toHaveTitle('Lay out · Window wall · Regla')

  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect.poll(onPage).toBe(true)
  for (let i = 0; i < 12 && (await page.getByRole('button', { name: /^Undo/ }).isEnabled()); i++) {
    await page.getByRole('button', { name: /^Undo/ }).click()
    await expectSaved(page)
  }
})

test('single keys can be turned off, and stay off', async ({ page }) => {
  await openDemoWall(page, 'Long wall')
  await page.keyboard.press('?')
  await page.getByRole('button', { name: 'Turn single keys off' }).click()
  await page.keyboard.press('Escape')
  await page.keyboard.press('4')
  await page.keyboard.press('/')
  await page.waitForTimeout(200)
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(page).toHaveTitle(/^Lay out/)
  await page.keyboard.press('Control+k')
  await expect(page.getByRole('dialog', { name: 'Find a job, room or wall' })).toBeVisible()
})

test('the sentence tells the part covered and what a pattern keeps, and takes each off', async ({ page }) => {
  await openDemoWall(page, 'Long wall')
  const title = page.getByRole('heading', { level: 1 })
  const before = (await title.textContent()) ?? ''
  await page.getByRole('button', { name: /^Sections and extent/ }).click()
  await pickWord(page, 'How much of the wall is covered', /a part of it/)
  await expect(page.locator('[data-kept=extent]')).toContainText('Covered is only the part from')
  await page.locator('[data-kept=extent]').getByRole('button', { name: 'Cover all of it' }).click()
  await expect(page.locator('[data-kept=extent]')).toHaveCount(0)
  await page.getByRole('radio', { name: 'Grid', exact: true }).click()
  await expect(page.locator('[data-patterns-kept]')).toContainText('Kept as left, for the way back: battens')
  await pickWord(page, 'Border', /on three sides, butted/)
  await expect(page.getByTestId('closing-sum')).toContainText('closes on the wall')
  await page.getByRole('radio', { name: 'Battens', exact: true }).click()
  await expect(title).toHaveText(before)
  // more than is not at least
  await pickWord(page, 'Least clear gap, at least or more', /more than/)
  await expect(page.getByRole('button', { name: /Least clear gap, at least or more$/ })).toContainText(
    'more than',
  )
  for (let i = 0; i < 8 && (await page.getByRole('button', { name: /^Undo/ }).isEnabled()); i++) {
    await page.getByRole('button', { name: /^Undo/ }).click()
    await expectSaved(page)
  }
})

for (const size of [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
])
  test(`nothing jumps while a page comes up: layout shift under 0.02 at ${size.width}`, async ({ page }) => {
    test.setTimeout(240_000)
    await page.setViewportSize(size)
    await page.addInitScript(() => {
      const sum = { shift: 0, what: [] as string[] }
      Object.assign(window, { sum })
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries() as (PerformanceEntry & {
          value: number
          hadRecentInput: boolean
          sources: { node?: Node }[]
        })[]) {
          if (entry.hadRecentInput) continue
          sum.shift += entry.value
          sum.what.push(...entry.sources.map(({ node }) => (node as Element)?.outerHTML?.slice(0, 80) ?? ''))
        }
      }).observe({ type: 'layout-shift', buffered: true })
    })
    const jumped = async () => {
      await page.waitForTimeout(900)
      return page.evaluate(() => (window as unknown as { sum: { shift: number; what: string[] } }).sum)
    }
    await page.goto('/jobs/demo')
    await page.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
    const href = await page.getByRole('link', { name: 'Window wall', exact: true }).getAttribute('href')
    const wall = (href ?? '').replace(/\/\w+$/, '')
    const stages = ['measure', 'layout', 'agree', 'agree/photo', 'mark', 'cut', 'buy'].map(
      (stage) => `${wall}/${stage}`,
    )
    for (const path of ['/', '/jobs/new', '/jobs/demo', ...stages, ...YARD]) {
      await page.goto(path)
      const { shift, what } = await jumped()
      expect([path, shift < 0.02 || `${shift}: ${what.join(' | ')}`]).toEqual([path, true])
    }
  })

test('by the keyboard alone: a new job of two walls, laid out alike, its boards typed, its marks walked', async ({
  page,
}) => {
  test.setTimeout(240_000)
  await page.goto('/jobs/new')
  await page.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
  const focused = () =>
    page.evaluate(
      () => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent ?? '',
    )
  /** Goes on by Tab until what has the focus is called so. */
  const tabTo = async (name: RegExp, most = 80) => {
    for (let i = 0; i < most; i++) {
      await page.keyboard.press('Tab')
      if (name.test(await focused())) return
    }
    throw new Error(`no way to ${name} by Tab; at “${await focused()}”`)
  }
  await page.keyboard.type('Keys only')
  await page.getByLabel('Walls, one a line').focus()
  await page.keyboard.type('Left side: 101 x 95, base 4\nRight side: 88 x 95, base 4')
  await tabTo(/^Start the job$/)
  await page.keyboard.press('Enter')
  // the focus is on the new page, not lost with the old one
  await expect(page.getByRole('heading', { level: 1 })).toBeFocused()
  await tabTo(/^Lay all out like Left side$/)
  await page.keyboard.press('Enter')
  await expectSaved(page)
  await page.getByRole('link', { name: 'Left side', exact: true }).focus()
  await page.keyboard.press('Enter')
  await expect(page).toHaveTitle(/^Lay out · Left side/)

  await page.keyboard.press('5')
  await expect(page).toHaveTitle(/^Buy · Left side/)
  await page.getByRole('button', { name: 'Type the whole list' }).first().focus()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Control+a')
  await page.keyboard.type('8 6.40\n10 8.10')
  await tabTo(/^List these 2 lengths$/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('textbox', { name: 'Price of 10 ft' }).first()).toHaveValue('$8.10')
  await expect(page.getByRole('textbox', { name: 'Price of 12 ft' })).toHaveCount(
    (await page.getByRole('region', { name: /^Boards of / }).count()) - 1,
  )
  await expect(page.getByRole('button', { name: 'Type the whole list' }).first()).toBeFocused()

  await page.setViewportSize({ width: 390, height: 844 })
  await page.keyboard.press('3')
  await expect(page).toHaveTitle(/^Mark · Left side/)
  await page.getByRole('button', { name: 'Marked, next' }).focus()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/^2 of \d+ on the wall\.$/).first()).toBeVisible()
  await expect(page.getByRole('button', { name: /^Marked, next/ })).toBeFocused()
})
