import type { Page } from '@playwright/test'
import { EMPTY_URL } from '../../playwright.config'
import { expect, test } from './page'

/** What is seen of a button by whoever presses it. */
interface Seen {
  readonly name: string
  readonly off: boolean
  readonly why: string
  /** A choice that is made already: pressing it again changes nothing. */
  readonly chosen: boolean
}

/** So many of a page's buttons are pressed, and for so long: the rest has its turn where it is on a page of its own. */
const MOST = 30
const PAGE_MS = 9_000

/** Counts whatever a press sets off: a change of the page, a request, a file, a print. */
async function listen(page: Page) {
  await page.addInitScript(() => {
    const counted = window as unknown as { happened: number }
    counted.happened = 0
    const note = () => {
      counted.happened++
    }
    new MutationObserver(note).observe(document, {
      subtree: true,
      childList: true,
      attributes: true,
      characterData: true,
    })
    window.print = note
    window.open = () => {
      note()
      return null
    }
    const asked = window.fetch
    window.fetch = (...args) => {
      // what every page asks by itself every few seconds comes of no press
      if (!/\/news$/.test(String(args[0]))) note()
      return asked(...args)
    }
    HTMLInputElement.prototype.click = note
    const follow = HTMLAnchorElement.prototype.click
    HTMLAnchorElement.prototype.click = function (this: HTMLAnchorElement) {
      note()
      if (!this.download) follow.call(this)
    }
  })
  page.on('dialog', (dialog) => void dialog.dismiss())
}

const seenOn = (page: Page) =>
  page.evaluate((): Seen[] =>
    [...document.querySelectorAll<HTMLElement>('button, [role=button]')]
      .filter((each) => each.offsetParent !== null && !each.closest('[aria-hidden=true]'))
      .map((each) => {
        const said = (each.getAttribute('aria-describedby') ?? '').split(' ')
        return {
          name: (each.getAttribute('aria-label') ?? each.innerText).replace(/\s+/g, ' ').trim(),
          off: (each as HTMLButtonElement).disabled || each.getAttribute('aria-disabled') === 'true',
          why: said.map((id) => document.getElementById(id)?.innerText ?? '').join(' '),
          chosen: ['aria-pressed', 'aria-checked', 'aria-selected', 'aria-current'].some(
            (key) => each.hasAttribute(key) && each.getAttribute(key) !== 'false',
          ),
        }
      }),
  )

/** Presses the one at this place, and says how much came of it within two seconds. */
const pressed = (page: Page, index: number) =>
  page
    .evaluate(async (at) => {
      const counted = window as unknown as { happened: number }
      const all = [...document.querySelectorAll<HTMLElement>('button, [role=button]')].filter(
        (each) => each.offsetParent !== null && !each.closest('[aria-hidden=true]'),
      )
      const before = counted.happened
      all[at]?.click()
      for (let i = 0; i < 50 && counted.happened === before; i++)
        await new Promise((done) => setTimeout(done, 40))
      return counted.happened - before
    }, index)
    // it led to another page
    .catch(() => 1)

/** Presses every button of a page once, those of one name once; what did nothing, and what can't act and says nothing. */
async function deadOn(page: Page, path: string): Promise<string[]> {
  const open = async () => {
    await page.goto(path)
    await page.waitForTimeout(700)
  }
  await open()
  const url = page.url()
  const done = new Set<string>()
  const dead: string[] = []
  const keyOf = ({ name }: Seen) => name.replace(/\d+/g, '#')
  for (const end = Date.now() + PAGE_MS; Date.now() < end && done.size < MOST;) {
    const seen = await seenOn(page)
    for (const each of seen) {
      if (!each.off || done.has(`off ${each.name}`)) continue
      done.add(`off ${each.name}`)
      // what can't be undone says so in its name; a file says it beside its row
      if (each.why.trim() === '' && !/: nothing to /i.test(each.name))
        dead.push(`${path}: “${each.name}” can’t act and says nothing`)
    }
    const index = seen.findIndex((each) => !each.off && !each.chosen && !done.has(keyOf(each)))
    const one = seen[index]
    if (!one) break
    done.add(keyOf(one))
    // a step that has no name yet waits for what is being saved: it has its turn under its name
    if (/^(Undo|Redo)$/.test(one.name)) {
      await page.waitForTimeout(800)
      continue
    }
    if ((await pressed(page, index)) === 0) dead.push(`${path}: “${one.name}” does nothing`)
    await page.keyboard.press('Escape')
    if (page.url() !== url) await open()
  }
  return dead
}

/** The paths of a demo wall's stages, its room and its job's pages. */
async function demoPaths(page: Page) {
  await page.goto('/jobs/demo')
  const wall = await page.getByRole('link', { name: 'Window wall', exact: true }).getAttribute('href')
  const room = await page
    .getByRole('link', { name: /^All walls of/ })
    .first()
    .getAttribute('href')
  const own = (wall ?? '').replace(/\/\w+$/, '')
  const stages = ['measure', 'layout', 'agree', 'agree/colors', 'mark', 'cut', 'buy', 'fit', 'finish', 'log']
  return { stages: stages.map((stage) => `${own}/${stage}`), room: room ?? '' }
}

async function expectNoDead(page: Page, paths: readonly string[]) {
  const dead: string[] = []
  for (const path of paths) dead.push(...(await deadOn(page, path)))
  expect(dead).toEqual([])
}

test('every button of a demo wall’s stages changes, opens or says something, and one that can’t act says why', async ({
  page,
}) => {
  test.setTimeout(450_000)
  await listen(page)
  await expectNoDead(page, (await demoPaths(page)).stages)
})

test('so do those of the demo’s job, room, yard and crew', async ({ page }) => {
  test.setTimeout(450_000)
  await listen(page)
  const { room } = await demoPaths(page)
  const job = ['boards', 'boards/list', 'supplies', 'work', 'work/today', 'log', 'paper', 'client']
  await expectNoDead(page, [
    ...['/', '/jobs/demo', room],
    ...job.map((each) => `/jobs/demo/${each}`),
    ...['/book', '/yard', '/tools', '/crew', '/devices'],
  ])
})

test('and so on a new user’s pages: an empty list of jobs, a first form, a job of one bare wall', async ({
  page,
}) => {
  test.setTimeout(420_000)
  await listen(page)
  await expectNoDead(
    page,
    ['/', '/jobs/new', '/yard'].map((path) => `${EMPTY_URL}${path}`),
  )
  await page.goto(`${EMPTY_URL}/jobs/new`)
  await page.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
  await page.getByLabel('Job', { exact: true }).fill('Quay shed')
  await page.getByRole('button', { name: 'Start the job' }).click()
  await page.waitForURL(/\/jobs\/[0-9a-f]+$/)
  await page.getByRole('textbox', { name: 'Room', exact: true }).fill('Store')
  await page.getByLabel('Walls, one a line').fill('Back wall')
  await page.getByRole('button', { name: 'Measure this wall' }).click()
  await page.waitForURL(/\/walls\//)
  const own = new URL(page.url()).pathname.replace(/\/\w+$/, '')
  const job = own.replace(/\/walls\/.*/, '')
  await expectNoDead(
    page,
    [
      ...['measure', 'layout', 'cut', 'buy', 'fit', 'log'].map((stage) => `${own}/${stage}`),
      job,
      ...['boards', 'work'].map((each) => `${job}/${each}`),
    ].map((path) => `${EMPTY_URL}${path}`),
  )
})
