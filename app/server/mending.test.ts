import { inches } from '~/length'
import { noPlans } from '../../tests/noPlans'
import { wallWindow } from '../../tests/windows'
import { openDatabase, sqliteOf } from './db/database.server'
import { createJob, exportJob, jobDetail } from './jobs.server'
import { jobView } from './jobView.server'
import { documentsAsKept, goBackToShown, troublesOf, unreadableWalls } from './mending.server'
import { pageOfRoom, pageOfWall } from './pages.server'
import { wallsBeside } from './rooms.server'
import { createWall, wallPage } from './walls.server'

async function twoWalls() {
  const db = openDatabase(':memory:')
  const jobId = createJob(db, { name: 'J', client: '', units: 'inches', tape: '1/16' })
  const [bad, good] = ['Bad', 'Good'].map((name) => ({
    jobId,
    wallId: createWall(db, { jobId, roomName: 'R', name }),
  }))
  if (!bad || !good) throw new Error('no walls')
  await wallWindow(db, bad).change('survey', (survey) => ({ ...survey, width: inches(140) }))
  const page = () => pageOfWall(db, bad) ?? { key: '', jobId: '', documents: [] }
  /** Overwrites what is kept of the newest survey, as a fault or a later rule would. */
  const spoil = (change: string) =>
    sqliteOf(db)
      .prepare(`update revisions set body = ${change} where id = (select head from documents where id = ?)`)
      .run(page().documents[0]?.id)
  return { db, jobId, bad, good, page, spoil }
}

describe('a wall that can’t be shown', () => {
  test.each([
    ['a width nobody’s wall has', "json_set(body, '$.width', 99000000000000)"],
    ['a field that is gone', "json_remove(body, '$.height')"],
    ['half a text', 'substr(body, 1, 40)'],
  ])('%s: told, kept, gone back from; the other walls go on', async (_, change) => {
    const { db, jobId, bad, good, page, spoil } = await twoWalls()
    spoil(change)
    expect(troublesOf(db, page())[0]).toMatch(/^Bad\.survey/)
    expect(documentsAsKept(db, page())[0]).toMatchObject({
      kind: 'survey',
      kept: expect.any(String) as string,
    })
    // the other wall, its neighbor, the job's page and the room's say so and stand
    expect(wallPage(db, good)).not.toBeNull()
    expect(wallsBeside(db, jobDetail(db, jobId)?.rooms[0]?.id ?? '', good.wallId).left).toBeNull()
    expect(
      jobView(db, jobId, 1, noPlans())?.rooms[0]?.walls.map(({ size, words }) => [size, words?.kind ?? null]),
    ).toEqual([
      [null, 'broken'],
      ['120 × 96', null],
    ])
    expect(unreadableWalls(db, jobId)).toEqual(['Bad'])
    const room = pageOfRoom(db, { jobId, roomId: jobDetail(db, jobId)?.rooms[0]?.id ?? '' })
    expect(room && troublesOf(db, room)).toHaveLength(1)
    // a save that takes a material away looks at all walls of the job
    await wallWindow(db, good).change('settings', (settings) => ({
      ...settings,
      materials: settings.materials.slice(0, -1),
      shop: { ...settings.shop, offers: [] },
    }))
    expect(goBackToShown(db, page())).toBe(true)
    expect(troublesOf(db, page())).toEqual([])
    expect(wallWindow(db, bad).body('survey').width).toBe(inches(120))
    expect(exportJob(db, jobId)?.rooms[0]?.walls).toHaveLength(2)
  })

  test('gone back, undo goes on to what was before that', async () => {
    const { db, bad, page, spoil } = await twoWalls()
    await wallWindow(db, bad).change('survey', (survey) => ({ ...survey, width: inches(150) }))
    spoil("'{}'")
    expect(goBackToShown(db, page())).toBe(true)
    const window = wallWindow(db, bad)
    expect(window.body('survey').width).toBe(inches(140))
    await window.saver.step('undo')
    expect(window.body('survey').width).toBe(inches(120))
  })

  test('nothing can be gone back to: it says so and leaves all as it is', async () => {
    const { db, page, spoil } = await twoWalls()
    spoil("'{}'")
    sqliteOf(db)
      .prepare(`update revisions set body = '{}' where document_id = ?`)
      .run(page().documents[0]?.id)
    expect(goBackToShown(db, page())).toBe(false)
    expect(documentsAsKept(db, page())[0]?.kept).toBe('{}')
  })
})

test('the names of a step whose earlier state can’t be read any more are left out, the wall opens', async () => {
  const { db, bad, page } = await twoWalls()
  sqliteOf(db)
    .prepare(`update revisions set body = '{}' where document_id = ? and parent is null`)
    .run(page().documents[0]?.id)
  expect(troublesOf(db, page())).toEqual([])
  const window = wallWindow(db, bad)
  await window.saver.step('undo')
  expect(window.saver.store.getState().note ?? '').toMatch(/can’t be read any more/)
  expect(window.body('survey').width).toBe(inches(140))
})
