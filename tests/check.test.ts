import { inches } from '~/length'
import type { Survey } from '~/model'
import { openDatabase, sqliteOf } from '~/server/db/database.server'
import { createJob } from '~/server/jobs.server'
import { createWall } from '~/server/walls.server'
import { buildNow, newsOf } from '~/server/news.server'
import { NoAnswer } from '~/editor/saving/sendChange'
import { wallWindow } from './windows'

function freshWall() {
  const db = openDatabase(':memory:')
  const jobId = createJob(db, { name: 'Loft', client: '', units: 'inches', tape: '1/16' })
  const ids = { jobId, wallId: createWall(db, { jobId, roomName: 'Loft', name: 'Knee wall' }) }
  return { db, open: (more?: Parameters<typeof wallWindow>[2]) => wallWindow(db, ids, more) }
}
const wide = (width: number) => (survey: Survey) => ({ ...survey, width: inches(width) })
const high = (height: number) => (survey: Survey) => ({ ...survey, height: inches(height) })

beforeEach(() => Object.assign(globalThis, { window: new EventTarget() }))

describe('a page that is brought up to what others saved', () => {
  test('has it, and has saved nothing itself; asked again nothing changes', async () => {
    const { db, open } = freshWall()
    const [mine, theirs] = [open(), open()]
    await theirs.change('survey', wide(150))
    const changes = () => (sqliteOf(db).prepare('select count(*) n from changes').get() as { n: number }).n
    const before = changes()
    expect(await mine.saver.check()).toBe(true)
    expect([mine.body('survey').width, mine.status()]).toEqual([inches(150), 'saved'])
    const { held } = mine.saver.store.getState()
    expect(await mine.saver.check()).toBe(true)
    expect(mine.saver.store.getState().held.map(({ body }) => body)).toEqual(held.map(({ body }) => body))
    expect(changes()).toBe(before)
    // its undo is the other's change, by name
    expect(mine.saver.store.getState().history.undo?.parts).toEqual(['survey.width'])
  })

  // a width is typed digit by digit: what stands there halfway is nobody else's
  test('what is being typed here is neither sent nor touched by it; once it is saved both stand', async () => {
    const { open } = freshWall()
    const [mine, theirs] = [open(), open()]
    await theirs.change('survey', wide(150))
    mine.put('survey', high(9))
    expect(await mine.saver.check()).toBe(false)
    expect(open().body('survey').height).not.toBe(inches(9))
    expect(mine.body('survey').height).toBe(inches(9))
    mine.put('survey', high(97))
    await mine.saver.flush()
    expect(mine.body('survey')).toMatchObject({ width: inches(150), height: inches(97) })
    expect(await mine.saver.check()).toBe(true)
  })

  test('where the server does not answer it says so, and nothing is lost', async () => {
    const { open } = freshWall()
    const mine = open({ wire: () => Promise.reject(new NoAnswer('unreachable')) })
    expect(await mine.saver.check()).toBe(false)
    expect(mine.status()).toBe('saved')
    mine.put('survey', wide(140))
    expect(await mine.saver.check()).toBe(false)
    expect(mine.body('survey').width).toBe(inches(140))
  })
})

test('the news are other ones as soon as anything was saved, and the same while nothing was', async () => {
  const { db, open } = freshWall()
  const first = newsOf(db)
  expect(newsOf(db)).toBe(first)
  await open().change('survey', wide(150))
  const second = newsOf(db)
  expect(second).not.toBe(first)
  expect(newsOf(db)).toBe(second)
  expect(buildNow()).toBe(buildNow())
})
