import type { Locator, Page } from '@playwright/test'
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

const move = (page: Page, nth: number) => page.getByRole('listitem', { name: new RegExp(`^Move ${nth}:`) })

async function addMove(page: Page, name: string) {
  await page.getByRole('button', { name: /Add a move/ }).click()
  await page.getByRole('option', { name, exact: true }).click()
}

test('frame, three uprights, chevrons in four bays: an outlet cleared by nudging, a move switched off, marks and cuts, the wall an inch longer', async ({
  page,
}) => {
  test.setTimeout(270_000)
  const job = await newJob(page, EMPTY_URL, 'Weir house')
  await newWall(page, job, {
    room: 'Hall',
    name: 'Slant wall',
    width: '126',
    height: '82',
    things: [
      {
        kind: 'outlet',
        fields: {
          'Middle, from the left': '16 3/8',
          'Up from the floor': '11',
        },
      },
    ],
  })
  await choosePattern(page, 'Lines')
  await expect(move(page, 1)).toContainText('Diagonals')
  await page.getByRole('button', { name: 'Take away: move 1' }).click()
  await expect(page.getByText('No moves yet')).toBeVisible()
  await pickWord(page, 'Uprights', /^uprights that make bays/)
  await pickWord(page, 'How they are spaced', /^equal gaps by count/)
  await page.getByRole('textbox', { name: 'Number of uprights' }).fill('5')
  await page.keyboard.press('Enter')
  await addMove(page, 'Chevron')
  await pickWord(page, 'How the slope is given', /^rising/)
  await typeWord(page, 'Rise across a bay', '21')
  // bays of (126 - 5 * 1 1/2) / 4 = 29 5/8; atan(21 / 29 5/8) = 35.33 degrees; worked by hand
  await expect(page.getByText(/comes|lies over|runs/).first()).toBeVisible()

  // the marks on the second upright's left face: the first band's lower edge 21 up, its upper 1 1/2 / cos 35.33 more
  await openStage(page, 'Mark')
  const face = page.locator('[data-marks-on="stile-2 left"]')
  await expect(face.getByRole('row').nth(2)).toContainText('21')
  await expect(face.getByRole('row').nth(2)).toContainText('22 13/16')
  await expect(face).toContainText('8 in square between strips')
  await expectAccessible(page)

  // the outlet under a band: every place on the tape was tried, and one press clears it
  await openStage(page, 'Lay out')
  await openFold(page, /^Plates under lines/)
  await expect(page.getByText(/^1 under or too near/)).toBeVisible()
  await page
    .getByRole('button', { name: /every plate clear/ })
    .first()
    .click()
  await expect(page.getByText('No plate lies under a line, or nearer than was asked for.')).toBeVisible()

  // a second move, what it costs, and off it goes
  await addMove(page, 'Diamonds')
  await pickWord(page, 'Where', /^in each bay/)
  const withBoth = await page.getByTestId('closing-sum').locator('..').textContent()
  await page.getByRole('button', { name: 'What does each move cost?' }).click()
  await expect(move(page, 2)).toContainText('off saves about')
  await move(page, 2).getByRole('button', { name: /: on$/ }).click()
  await expect(move(page, 2)).toContainText('on costs about')
  await expect(page.getByTestId('before')).toBeVisible()
  expect(await page.getByTestId('closing-sum').locator('..').textContent()).not.toBe(withBoth)
  await expectAccessible(page)

  await openStage(page, 'Cut')
  await expect(page.getByRole('region', { name: 'Slants, move by move' })).toContainText(
    'alike. One setting, one stop',
  )
  // along an edge 36 5/16, and 1 1/2 times tan 35.33 more from long point to long point
  await expect(page.getByRole('complementary', { name: 'Pieces to cut' })).toContainText('37 3/8')
  await expect(page.getByRole('complementary', { name: 'Pieces to cut' })).toContainText('Saw at 35.3°')

  // the wall is an inch longer: struck anew, nothing lost
  await openStage(page, 'Measure')
  await page.getByRole('textbox', { name: 'Width, corner to corner' }).fill('127')
  await page.keyboard.press('Tab')
  await expectSaved(page)
  await openStage(page, 'Lay out')
  await expect(move(page, 1)).toContainText('Chevron')
  await expect(move(page, 2)).toContainText('off')
  await expect(page.getByTestId('closing-sum')).toContainText('= 127')
  await page.reload()
  await expect(move(page, 2)).toContainText('off')
})

test('a free pattern at 45 degrees with a branch and a mirror, by the keyboard alone', async ({ page }) => {
  test.setTimeout(240_000)
  const job = await newJob(page, EMPTY_URL, 'Sluice house')
  await newWall(page, job, { room: 'Study', name: 'Free wall', width: '116', height: '84' })
  await openStage(page, 'Lay out')
  const press = async (target: Locator, key = 'Enter') => {
    await target.focus()
    await page.keyboard.press(key)
  }
  const pick = async (opener: Locator, option: string) => {
    await press(opener)
    await expect(page.getByRole('listbox')).toBeVisible()
    await page.keyboard.type(option)
    await page.keyboard.press('Enter')
  }
  await press(page.getByRole('radio', { name: 'Lines', exact: true }), 'Space')
  await expect(move(page, 1)).toBeVisible()
  await press(page.getByRole('button', { name: 'Take away: move 1' }))
  const add = page.getByRole('button', { name: /Add a move/ })
  await pick(add, 'Strike')
  await expect(move(page, 1)).toContainText('1 line')
  await pick(add, 'Branch')
  await expect(move(page, 2)).toContainText('1 line')
  await pick(add, 'Mirror')
  await expect(move(page, 3)).toContainText('1 line')
  await pick(move(page, 3).getByRole('button', { name: /What is mirrored$/ }), 'all')
  await expect(move(page, 3)).toContainText('2 lines')
  // what it hangs on moved below it: kept, and told
  await press(page.getByRole('button', { name: 'Later: move 1' }))
  await expect(page.getByText(/it refers to a move that comes after it/).first()).toBeVisible()
  await press(page.getByRole('button', { name: 'Earlier: move 2' }))
  await expect(page.getByText(/it refers to a move that comes after it/)).toHaveCount(0)
  // the same commands stand in the table of lines
  await press(page.getByRole('button', { name: /^Lines, one by one/ }))
  await press(page.getByRole('button', { name: 'Line 2: on' }))
  await press(page.getByRole('button', { name: /^Bring back the line left out/ }))
  await expect(page.getByRole('button', { name: /^Bring back/ })).toHaveCount(0)
  await press(move(page, 3).getByRole('button', { name: 'Break up into lines' }))
  await expect(page.getByRole('listitem', { name: /^Move \d+:/ })).toHaveCount(4)
  await expectAccessible(page)
  await expectSaved(page)
})

test('a line struck on the drawing; an arch and a row of letters, struck and hung by numbers', async ({
  page,
}) => {
  test.setTimeout(240_000)
  const job = await newJob(page, EMPTY_URL, 'Lade house')
  await newWall(page, job, { room: 'Nursery', name: 'Arch wall', width: '110', height: '96' })
  await choosePattern(page, 'Lines')
  await page.getByRole('button', { name: 'Take away: move 1' }).click()
  await page.getByRole('button', { name: 'Strike on the drawing' }).click()
  const box = await page.locator('[data-strike]').boundingBox()
  if (!box) throw new Error('nothing to strike on')
  const at = (x: number, y: number) => [box.x + box.width * x, box.y + box.height * (1 - y)] as const
  await page.mouse.move(...at(0.018, 0.02))
  await page.mouse.down()
  await page.mouse.move(...at(0.2, 0.2), { steps: 5 })
  await page.mouse.move(...at(0.35, 0.38), { steps: 5 })
  await page.mouse.up()
  await expect(move(page, 1)).toContainText('the bottom left corner')
  await expect(move(page, 1)).toContainText('1 line')
  await page.getByRole('button', { name: 'Done striking' }).click()

  await choosePattern(page, 'Battens')
  await openFold(page, /^Arches, letters/)
  await page.getByRole('button', { name: 'Add an arch' }).click()
  // the one it starts with: 48 wide, rising 12: a radius of 30, worked by hand
  await expect(page.getByRole('region', { name: 'Arch 1' })).toContainText('string 30')
  await typeWord(page, 'Arch 1, spring line', '90')
  await expect(page.getByText(/The arch rises over the ceiling by 6 in/)).toBeVisible()
  await page.getByRole('button', { name: 'Spring line at 84' }).click()
  await expect(page.getByText(/The arch rises over the ceiling/)).toHaveCount(0)
  await page.getByRole('button', { name: 'Add a row of letters or hooks' }).click()
  await pickWord(page, 'Row 1, over a bed', /^a bed/)
  await expect(page.getByText(/Nothing heavy over a bed or a crib/)).toBeVisible()
  await expect(page.locator('[data-item]')).toHaveCount(3)
  await expect(page.locator('[data-arch]')).toHaveCount(1)
  await expectAccessible(page)
  await openStage(page, 'Mark')
  await expect(page.getByRole('region', { name: 'Arch 1' })).toContainText('From the middle')
  await expect(page.getByRole('region', { name: 'Row 1' })).toContainText('A')
  await expectAccessible(page)
})
