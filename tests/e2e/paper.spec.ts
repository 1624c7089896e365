import { spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import type { Download, Page } from '@playwright/test'
import { EMPTY_URL, OWN_PORT } from '../../playwright.config'
import { OwnServer } from './ownServer'
import { expect, expectAccessible, newJob, newWall, test } from './page'

interface PdfRead {
  readonly title: string
  readonly pages: readonly { readonly words: readonly { readonly text: string }[] }[]
}
function pdfRead(path: string): PdfRead {
  const { status, stdout, stderr } = spawnSync('node', ['tests/readPdf.mjs', path], {
    encoding: 'utf8',
    maxBuffer: 512 * 2 ** 20,
  })
  if (status !== 0) throw new Error(stderr)
  return (JSON.parse(stdout) as PdfRead[])[0] as PdfRead
}
const said = ({ pages }: PdfRead) => pages.map(({ words }) => words.map(({ text }) => text).join(' '))

async function got(page: Page, name: string | RegExp): Promise<{ file: Download; path: string }> {
  const [file] = await Promise.all([
    page.waitForEvent('download', { timeout: 60_000 }),
    page.getByRole('button', { name, exact: typeof name === 'string' }).click(),
  ])
  return { file, path: await file.path() }
}
async function take(page: Page, button: string, file: string) {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: button }).click(),
  ])
  await chooser.setFiles(file)
}

test('the booklet of the demo job: made, given up, made of the parts and walls one picks; rods, labels, drawings, tables', async ({
  page,
}) => {
  test.setTimeout(360_000)
  await page.goto('/jobs/demo')
  await page.getByRole('link', { name: 'Paper and files' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Paper and files' })).toBeVisible()
  await page.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
  const booklet = page.getByRole('region', { name: 'Booklet' })
  await expect(booklet).toContainText('9 parts of 19 walls')

  // all of it: how many pages it says it has
  const whole = await got(page, 'Make the booklet')
  expect(whole.file.suggestedFilename()).toBe('Tern Cottage, booklet.pdf')
  const pages = said(pdfRead(whole.path))
  expect(pages.length).toBeGreaterThan(100)
  expect(pages.at(-1)).toContain(`page ${pages.length} of ${pages.length}`)
  await expect(booklet.getByTestId('file-state')).toContainText('is in your downloads')

  // given up while it is made, and then less of it
  await page.getByRole('button', { name: 'Make the booklet' }).click()
  await booklet.getByRole('button', { name: 'Cancel' }).click()
  await expect(booklet.getByTestId('file-state')).toHaveText('')
  for (const part of ['Order of work', 'Finish list', 'Taking it down', 'For the client', 'Shopping list'])
    await booklet.getByRole('button', { name: part, exact: true }).click()
  await booklet.getByRole('button', { name: 'No walls' }).click()
  await expect(booklet).toContainText('Pick at least one part and one wall.')
  await expect(booklet.getByRole('button', { name: 'Make the booklet' })).toBeDisabled()
  await booklet.getByRole('button', { name: 'Scullery wall' }).click()
  await booklet.getByRole('radio', { name: 'A4' }).click()
  await booklet.getByRole('radio', { name: /^until proven/ }).click()
  const one = await got(page, 'Make the booklet')
  const few = said(pdfRead(one.path))
  expect(few.length).toBeLessThan(10)
  // its pieces have the names they went to the saw with
  expect(few.join(' ')).toContain('As released to the saw on')
  // all of it is cut: nothing is bought for it
  expect(few.join(' ')).toContain('There is nothing left to cut')
  expect(few.join(' ')).not.toContain('not proven')
  expect(few.every((text) => !text.includes('Long wall'))).toBe(true)

  // at full size: what there is nothing of can't be pressed
  await page.getByRole('button', { name: /Wall$/ }).click()
  await page.getByRole('option', { name: 'Bunk wall' }).click()
  await expect(page).toHaveURL(/wall=/)
  await expect(page.getByRole('button', { name: 'Arch halves' })).toBeEnabled()
  await expect(page.getByRole('button', { name: 'Plate holes of panels' })).toBeDisabled()
  const full = page.getByRole('region', { name: 'At full size' })
  await full.getByLabel('The 6-in bar measures, in').fill('5.98')
  await full.getByLabel('The 6-in bar measures, in').press('Enter')
  const rods = await got(page, 'Rods')
  expect(said(pdfRead(rods.path))[0]).toContain('5.980 in')
  await full.getByRole('radio', { name: 'a roll, 4 in wide' }).click()
  expect(said(pdfRead((await got(page, 'Rods')).path)).length).toBeLessThan(6)
  const labels = await got(page, 'Labels')
  expect(said(pdfRead(labels.path)).join(' ')).toContain('Bunk wall')

  // drawings and tables
  const svg = await got(page, 'Wall: SVG')
  expect(readFileSync(svg.path, 'utf8')).toMatch(/^<\?xml.*<svg xmlns/s)
  expect(svg.file.suggestedFilename()).toBe('Bunk wall.svg')
  expect(readFileSync((await got(page, 'DXF, R12')).path, 'utf8')).toContain('AC1009')
  expect(readFileSync((await got(page, 'Cut list: CSV')).path, 'utf8')).toMatch(/^\uFEFFrow,name,piece/)
  expect(readFileSync((await got(page, 'Calendar of the work')).path, 'utf8')).toMatch(/^BEGIN:VCALENDAR/)
  await expectAccessible(page)

  // what went wrong is told in words, and the next file is made all the same
  await page.route('**/paper/rod.pdf*', (route) =>
    route.fulfill({ status: 503, body: 'Many files are being made.' }),
  )
  await page.getByRole('button', { name: 'Rods', exact: true }).click()
  await expect(full.getByTestId('file-state')).toHaveText('Many files are being made.')
  const nothing = await page.request.get('/jobs/demo/paper/rod.pdf?wall=gone')
  expect([nothing.status(), await nothing.text()]).toEqual([
    404,
    'There is no such wall in this job, or it can’t be read: its page says what to do.',
  ])
})

test('a wall’s outline from a drawing becomes its survey; what can’t be one is told; undo brings back what was', async ({
  page,
}) => {
  test.setTimeout(240_000)
  const job = await newJob(page, EMPTY_URL, 'Loft conversion')
  await newWall(page, job, { room: 'Loft', name: 'Gable', width: '120', height: '90' })
  const readings = page.getByRole('button', { name: /^Readings/ }).first()
  if (!(await page.getByRole('button', { name: 'Outline from a drawing' }).isVisible()))
    await readings.click()
  await take(page, 'Outline from a drawing', 'README.md')
  await expect(page.getByText('This file can’t be read')).toBeVisible()
  await take(page, 'Outline from a drawing', 'examples/outlines/pantry.dxf')
  const read = page.getByTestId('outline')
  await expect(read).toContainText('131 1/2')
  await read.getByRole('button', { name: 'Put it away' }).click()
  await take(page, 'Outline from a drawing', 'examples/outlines/gable.svg')
  await expect(read.getByRole('img', { name: 'The outline that was read' })).toBeVisible()
  await read.getByRole('button', { name: 'Take it as this wall' }).click()
  await expect(page.getByRole('textbox', { name: /^Width/ }).first()).toHaveValue(/^162/)
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(page.getByRole('textbox', { name: /^Width/ }).first()).toHaveValue('120 in')
})

test('everything goes out in one file and comes in on an empty machine; where there is a job already it is not taken', async ({
  page,
}) => {
  test.setTimeout(240_000)
  const [first, second] = [new OwnServer(OWN_PORT, 'whole-a'), new OwnServer(OWN_PORT + 4, 'whole-b')]
  await Promise.all([first.start(), second.start()])
  try {
    const job = await newJob(page, first.url, 'Salt house')
    await newWall(page, job, { room: 'Hall', name: 'Long wall', width: '140', height: '96' })
    await page.goto(first.url)
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Save everything in one file' }).click(),
    ])
    const path = await file.path()
    await page.goto(second.url)
    await page.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
    await expect(page.getByText('No jobs yet')).toBeVisible()
    await take(page, 'Take everything in from a file', 'README.md')
    await expect(page.getByRole('alert')).toContainText('none that Regla saved everything in')
    await take(page, 'Take everything in from a file', path)
    await expect(page.getByRole('link', { name: 'Salt house' })).toBeVisible()
    await page.getByRole('link', { name: 'Salt house' }).click()
    await expect(page.getByRole('link', { name: 'Long wall' })).toBeVisible()
  } finally {
    // a page that still loads would complain of the power cut
    await page.goto('about:blank')
    await Promise.all([first.kill(), second.kill()])
  }
})

test('what the browser prints is the page without its frame, black on white whatever the screen was, numbered', async ({
  page,
}) => {
  await page.goto('/jobs/demo')
  const wall = await page.getByRole('link', { name: 'Desk wall', exact: true }).getAttribute('href')
  await page.emulateMedia({ colorScheme: 'dark' })
  for (const stage of ['cut/labels', 'mark', 'finish']) {
    await page.goto(`${wall?.replace(/\w+$/, stage)}`)
    await page.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined)
    await page.evaluate(() => document.documentElement.setAttribute('data-theme', 'dark'))
    const path = test.info().outputPath(`${stage.replace('/', '-')}.pdf`)
    await page.pdf({ path, preferCSSPageSize: true, format: 'Letter' })
    const pages = said(pdfRead(path))
    pages.forEach((words, i) => expect(words).toContain(`${i + 1} of ${pages.length}`))
    expect(pages.join(' ')).not.toMatch(/Lay out Agree|✓ saved/)
    await page.emulateMedia({ media: 'print' })
    const ink = await page.evaluate(() => getComputedStyle(document.body).color)
    expect(ink).toBe('rgb(0, 0, 0)')
    await page.emulateMedia({ media: null })
  }
})
