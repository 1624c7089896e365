import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import SqliteDatabase from 'better-sqlite3'
import { BUSY_IN_THREAD_MS, closeDatabase, onDatabase, whenFree } from './database.server'
import { createJob, listJobs } from './jobs.server'

const NEW = { name: 'Alder mill', client: '', units: 'inches', tape: '1/16' } as const

describe('another program holds the database', () => {
  const before = process.env.DB_FILE
  let folder = ''
  let other: SqliteDatabase.Database
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'regla-'))
    process.env.DB_FILE = join(folder, 'regla.db')
    onDatabase((db) => createJob(db, NEW))
    other = new SqliteDatabase(process.env.DB_FILE)
  })
  afterEach(() => {
    other.close()
    closeDatabase()
    if (before === undefined) delete process.env.DB_FILE
    else process.env.DB_FILE = before
    rmSync(folder, { recursive: true, force: true })
  })

  // before, the one thread waited five seconds, and every request with it
  test('what writes waits for it beside everything else, and then writes', async () => {
    other.exec('begin immediate')
    let free = false
    const waiting = whenFree(true).then(() => (free = true))
    let [beats, most, last] = [0, 0, performance.now()]
    while (beats < 30) {
      await new Promise((done) => setTimeout(done, 10))
      beats += 1
      most = Math.max(most, performance.now() - last)
      last = performance.now()
      // what only reads goes on meanwhile
      await whenFree(false)
      expect(onDatabase((db) => listJobs(db, { archived: false, search: '' }).jobs)).toHaveLength(1)
    }
    expect(free).toBe(false)
    // the thread was free all the time: far under what a wait in it takes
    expect(most).toBeLessThan(BUSY_IN_THREAD_MS)
    other.exec('rollback')
    await waiting
    onDatabase((db) => createJob(db, NEW))
    expect(onDatabase((db) => listJobs(db, { archived: false, search: '' }).jobs)).toHaveLength(2)
  })

  test('held for longer than a request waits, it is said, nothing is written, and the thread waits a fifth of a second at most', async () => {
    other.exec('begin immediate')
    await whenFree(true, 250)
    const began = performance.now()
    let said: { init?: { status?: number }; data?: unknown } = {}
    try {
      onDatabase((db) => createJob(db, NEW))
    } catch (thrown) {
      said = thrown as typeof said
    }
    expect(performance.now() - began).toBeLessThan(5 * BUSY_IN_THREAD_MS)
    expect(said.init?.status).toBe(503)
    expect(String(said.data)).toContain('Nothing was saved')
    other.exec('rollback')
    expect(onDatabase((db) => listJobs(db, { archived: false, search: '' }).jobs)).toHaveLength(1)
  })
})
