import fc from 'fast-check'
import { inches } from '~/length'
import { wallWindow } from '../../../tests/windows'
import { createJob } from '../jobs.server'
import { createWall } from '../walls.server'
import { openDatabase, sqliteOf } from './database.server'
import { thinRevisions } from './thinning.server'

const HOUR = 3_600_000
const DAY = 24 * HOUR
const NOW = 1_900_000_000_000

function wall() {
  const db = openDatabase(':memory:')
  const jobId = createJob(db, { name: 'J', client: '', units: 'inches', tape: '1/16' })
  const ids = { jobId, wallId: createWall(db, { jobId, roomName: 'R', name: 'W' }) }
  const sqlite = sqliteOf(db)
  const window = wallWindow(db, ids)
  const newest = () => (sqlite.prepare('select max(id) id from revisions').get() as { id: number }).id
  /** Dates what was saved last back, as if it had been saved so long before NOW. */
  const age = (since: number, ago: number) => {
    sqlite.prepare('update revisions set created_at = ? where id > ?').run(NOW - ago, since)
    sqlite
      .prepare('update changes set created_at = ? where id in (select change from revisions where id > ?)')
      .run(NOW - ago, since)
  }
  sqlite.prepare('update revisions set created_at = ?').run(NOW - 400 * DAY)
  return {
    db,
    sqlite,
    window,
    async widen(width: number, ago: number) {
      const before = newest()
      await window.change('survey', (survey) => ({ ...survey, width: inches(width) }))
      age(before, ago)
    },
    async step(way: 'undo' | 'redo', ago: number) {
      const before = newest()
      await window.saver.step(way)
      age(before, ago)
    },
    revisions: () => (sqlite.prepare('select count(*) n from revisions').get() as { n: number }).n,
    width: () => window.body('survey').width / 25_400_000,
    /** All widths undo goes back to, one press after the other. */
    async undoAll() {
      const again = wallWindow(db, ids)
      const widths: number[] = []
      for (let i = 0; i < 200 && again.saver.store.getState().history.undo; i++) {
        await again.saver.step('undo')
        widths.push(again.body('survey').width / 25_400_000)
      }
      return widths
    },
  }
}

describe('thinning what was saved', () => {
  test('all of the last day, the last of each hour for a month, then the last of each day', async () => {
    const { db, widen, revisions, undoAll } = wall()
    const start = revisions()
    // three within an hour, fifty days ago; three more the hour after; both hours of one day
    const long = 50 * DAY - (NOW % DAY)
    for (let i = 0; i < 3; i++) await widen(100 + i, long - i)
    for (let i = 0; i < 3; i++) await widen(110 + i, long - HOUR - i)
    // ten days ago: two hours of three saves
    const lately = 10 * DAY - (NOW % HOUR)
    for (let i = 0; i < 3; i++) await widen(120 + i, lately - i)
    for (let i = 0; i < 3; i++) await widen(130 + i, lately - HOUR - i)
    for (let i = 0; i < 4; i++) await widen(140 + i, 2 * HOUR - i)
    expect(revisions() - start).toBe(16)
    expect(await thinRevisions(db, NOW)).toBe(5 + 2 + 2)
    expect(revisions() - start).toBe(7)
    expect(await thinRevisions(db, NOW)).toBe(0)
    expect(await undoAll()).toEqual([142, 141, 140, 132, 122, 112, 120])
  })

  test('more than is looked at in one go comes to the same', async () => {
    const { db, widen, revisions, undoAll } = wall()
    const start = revisions()
    const long = 50 * DAY - (NOW % DAY)
    for (let i = 0; i < 450; i++) await widen(60 + i / 8, long - i * 1000)
    expect(await thinRevisions(db, NOW)).toBe(448)
    expect(revisions() - start).toBe(2)
    expect(await undoAll()).toEqual([60 + 448 / 8, 120])
  })

  test('what can be redone stays', async () => {
    const { db, widen, step, window, width } = wall()
    for (let i = 0; i < 4; i++) await widen(100 + i, 10 * DAY - i)
    await step('undo', 10 * DAY - 5)
    await step('undo', 10 * DAY - 6)
    await thinRevisions(db, NOW)
    await window.saver.step('redo')
    await window.saver.step('redo')
    expect(width()).toBe(103)
  })

  test('law: whatever was saved, undone and redone, the wall is as it was, undo ends at its beginning, and nothing points at nothing', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(
          fc.tuple(
            fc.constantFrom('save', 'save', 'save', 'undo', 'redo'),
            fc.integer({ min: 60, max: 200 }),
            fc.integer({ min: 0, max: 30 }),
          ),
          { minLength: 2, maxLength: 25 },
        ),
        fc.integer({ min: 0, max: 60 }),
        async (acts, daysAgo) => {
          const { db, sqlite, widen, step, width, undoAll } = wall()
          let ago = daysAgo * DAY + 40 * HOUR
          for (const [what, value, minutes] of acts) {
            ago -= minutes * 60_000
            if (what === 'save') await widen(value, ago)
            else await step(what as 'undo' | 'redo', ago)
          }
          const before = width()
          await thinRevisions(db, NOW)
          expect(sqlite.pragma('foreign_key_check')).toEqual([])
          expect(width()).toBe(before)
          const widths = await undoAll()
          // back to the wall as it was made
          expect(widths.at(-1) ?? before).toBe(120)
        },
      ),
      { numRuns: 40 },
    )
  })
})
