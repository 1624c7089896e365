import { EMPTY_URL } from '../../playwright.config'
import {
  choosePattern,
  expect,
  expectAccessible,
  expectSaved,
  newJob,
  newWall,
  openFold,
  openStage,
  pickWord,
  test,
  typeWord,
} from './page'

test('a dining room of four walls: chair rail and matched boxes, one wall with a door, one with a window', async ({
  page,
}) => {
  test.setTimeout(450_000)
  const job = await newJob(page, EMPTY_URL, 'Bramble Row')
  const room = 'Dining room'
  const common = { room, height: '101 1/4', baseboard: '5 1/8' }
  await newWall(page, job, { ...common, name: 'Fire wall', width: '183 3/8' })
  await newWall(page, job, {
    ...common,
    name: 'Yard wall',
    width: '157 7/8',
    things: [
      {
        kind: 'window',
        fields: { 'From the left': '58', 'Up from the floor': '29', 'Its width': '42', 'Its height': '50' },
      },
    ],
  })
  await newWall(page, job, { ...common, name: 'Long wall', width: '183 1/8' })
  await newWall(page, job, {
    ...common,
    name: 'Door wall',
    width: '158',
    things: [
      {
        kind: 'door',
        fields: { 'From the left': '104', 'Up from the floor': '0', 'Its width': '30', 'Its height': '80' },
      },
    ],
  })

  // the first wall is laid out, the others after it
  await page.goto(job)
  await page.getByRole('link', { name: 'Fire wall', exact: true }).click()
  await choosePattern(page, 'Boxes')
  await typeWord(page, 'Margin between boxes', '3 7/8')
  await typeWord(page, 'Wished width of a box', '26')
  await typeWord(page, 'Height from the finished floor', '35 1/2')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('boxes under a rail at 35 1/2')
  // (183 3/8 - 7 * 3 7/8) / 6 = 26 1/24
  await expect(page.getByTestId('closing-sum')).toContainText('7 × 3 7/8 margins + 6 × 26 1/16')
  await expect(page.getByTestId('closing-sum')).toContainText('closes on the wall')
  await expectAccessible(page)
  await expectSaved(page)

  await page.getByRole('link', { name: room }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Dining room, wall by wall')
  await page.getByRole('button', { name: 'Lay all out like Fire wall' }).click()
  await expect(page.getByRole('region', { name: 'Yard wall' })).toContainText('boxes under a rail at 35 1/2')
  await expect(page.getByRole('region', { name: 'Door wall' })).toContainText('boxes under a rail at 35 1/2')
  await expectAccessible(page)

  // the match is looked at, taken, taken back, and taken again with a wall locked
  const matches = page.getByRole('list', { name: 'Matches' }).getByRole('button')
  await expect(matches).toHaveCount(5)
  const unrolled = page.getByRole('group', { name: 'The walls, unrolled' })
  const before = (await unrolled.textContent()) ?? ''
  await matches.first().hover()
  await expect(page.locator('svg polygon[stroke-dasharray="7 4"]').first()).toBeVisible()
  const taken = (await matches.first().textContent()) ?? ''
  await matches.first().click()
  const fireGap = /Fire wall \d+ of ([^,]+),/.exec(taken)?.[1] ?? 'nothing'
  await expect(page.getByRole('region', { name: 'Fire wall' })).toContainText(`boxes ${fireGap}`)
  await expect(unrolled).not.toHaveText(before)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(unrolled).toHaveText(before)
  await page.getByRole('button', { name: 'Redo' }).click()
  await expect(unrolled).not.toHaveText(before)
  await page.getByRole('button', { name: 'Lock Fire wall' }).click()
  await expect(page.getByRole('button', { name: 'Unlock Fire wall' })).toBeVisible()
  for (const text of await matches.allTextContents()) expect(text).toContain(`of ${fireGap},`)

  // corners: all run at first, which can't be; coped all round there is an order
  await expect(page.getByText(/Both run to the corner/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Cope all round' }).click()
  await expect(page.getByRole('list', { name: 'Order of fitting' })).toContainText(
    'Then the horizontals of Door wall: after Long wall and Fire wall, cut to it.',
  )
  await pickWord(page, 'Fire wall and Yard wall meet', /^mitered/)
  await expect(page.getByRole('button', { name: /^mitered, each at half the corner/ })).toBeVisible()
  await expectAccessible(page)

  // on the wall: the rail is mitered, the corner asks to be read, half of it is on the card
  await page.getByRole('link', { name: 'Yard wall', exact: true }).click()
  await openStage(page, 'Cut')
  await page.getByRole('button', { name: /^Not ready to cut/ }).click()
  await expect(page.getByRole('region', { name: 'Not ready to cut' })).toContainText(
    'its angle was never read',
  )
  await openStage(page, 'Measure')
  await openFold(page, /^Readings/)
  await page.getByRole('textbox', { name: 'Left corner, degrees' }).fill('91')
  await page.keyboard.press('Tab')
  await openStage(page, 'Cut')
  await expect(page.getByText(/angle was never read/)).toHaveCount(0)
  await expect(page.getByRole('complementary', { name: 'Pieces to cut' })).toContainText(
    /bevel at 44\.5°, back long/i,
  )
  // boxes keep their margin to the window's casing, and the one under it is lower than those beside it
  await expect(page.getByRole('complementary', { name: 'Pieces to cut' })).toContainText('saw at 45°')
  await openStage(page, 'Lay out')
  await openFold(page, /^Sections and extent/)
  await expect(page.locator('[data-section]')).toHaveCount(3)
  await expectAccessible(page)

  // the boxes are all there on the phone, one mark at a time
  await page.setViewportSize({ width: 390, height: 844 })
  await openStage(page, 'Mark')
  for (let i = 0; i < 12 && !/of box 1/.test((await page.getByTestId('walk-edge').textContent()) ?? ''); i++)
    await page.getByRole('button', { name: /^(Marked, next|Next)/ }).click()
  await expect(page.getByTestId('walk-edge')).toContainText('of box 1')
  await expectAccessible(page)
})

test('worked boxes and boards in the browser: A7, A8, A9, B1', async ({ page }) => {
  test.setTimeout(240_000)
  const job = await newJob(page, EMPTY_URL, 'Worked boxes')
  await newWall(page, job, {
    room: 'Test',
    name: 'Twenty-two feet',
    width: '264',
    height: '108',
    baseboard: '6 3/4',
  })
  await choosePattern(page, 'Boxes')
  await typeWord(page, 'Margin between boxes', '5')
  await typeWord(page, 'Wished width of a box', '32')
  const sum = page.getByTestId('closing-sum')
  // A7, A8 (common practice, no source): seven boxes of 32 x 16 3/4, rail top at one third
  await expect(sum).toContainText('8 × 5 margins + 7 × 32 boxes = 264')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('7 boxes under a rail at 36')
  await openFold(page, /^Sections and extent/)
  const count = page.getByRole('textbox', { name: 'Number of boxes, the whole wall' })
  for (const [boxes, width] of [
    ['5', '46 13/16'],
    ['6', '38 3/16'],
    ['8', '27 3/8'],
    ['9', '23 3/4'],
    ['7', '32'],
  ] as const) {
    await count.fill(boxes)
    await page.keyboard.press('Tab')
    await expect(sum).toContainText(`${boxes} × ${width}`)
  }
  await openStage(page, 'Cut')
  const rows = page.locator('[data-row]')
  await expect(rows.filter({ hasText: '16 3/4' })).toContainText('× 14')
  await expect(rows.filter({ has: page.locator('.number', { hasText: /^32$/ }) })).toContainText('× 14')

  // B1: 9 sticks of 96, 6 of 144, 4 of 192: other lengths are struck one after the other
  await openStage(page, 'Buy')
  const moulding = page.locator('[data-material="panel-moulding"]')
  const onSale = page.getByRole('region', { name: /^Boards of .*panel molding/ })
  const strike = (length: string) =>
    onSale.getByRole('button', { name: `Take ${length} off the list`, exact: true }).click()
  const list = async (inches: string) => {
    await onSale.getByRole('textbox', { name: 'Another length' }).fill(inches)
    await onSale.getByRole('button', { name: 'List it' }).click()
  }
  for (const length of ['10 ft', '12 ft', '16 ft']) await strike(length)
  await expect(moulding).toContainText('9 of 8 ft')
  await expect(moulding).toContainText(/proven/i)
  await list('144')
  await strike('8 ft')
  await expect(moulding).toContainText('6 of 12 ft')
  await expect(moulding).toContainText(/proven/i)
  await list('192')
  await strike('12 ft')
  await expect(moulding).toContainText('4 of 16 ft')
  await expect(moulding).toContainText(/proven/i)

  // A9: wall 144, margin 5, near 32: four of 29 3/4
  await openStage(page, 'Measure')
  await page.getByRole('textbox', { name: 'Width, corner to corner' }).fill('144')
  await openStage(page, 'Lay out')
  await openFold(page, /^Sections and extent/)
  await page.getByRole('button', { name: 'Let the wish decide again' }).click()
  await expect(sum).toContainText('5 × 5 margins + 4 × 29 3/4 boxes = 144')
})
