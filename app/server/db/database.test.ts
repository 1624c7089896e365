import {
  copyFileSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  truncateSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import SqliteDatabase from 'better-sqlite3'
import { createJob, listJobs } from '../jobs.server'
import { backUp, backUpDaily, backupFolder, copyBeforeUpdate } from './backups.server'
import { claimDatabase } from './claim.server'
import { checkpoint, openDatabase, sqliteOf, wantsUpdate } from './database.server'
import { restoreFrom } from './restore.server'
import { DatabaseError, troubleOf } from './trouble.server'

const newFile = () => join(mkdtempSync(join(tmpdir(), 'regla-')), 'regla.db')
const job = (name: string) => ({ name, client: '', units: 'inches', tape: '1/16' }) as const
const names = (file: string) => {
  const db = openDatabase(file)
  const found = listJobs(db, { archived: false, search: '' }).jobs.map(({ name }) => name)
  sqliteOf(db).close()
  return found.sort()
}
function made(...jobs: string[]) {
  const file = newFile()
  const db = openDatabase(file)
  for (const each of jobs) createJob(db, job(each))
  return { file, db }
}
function trouble(work: () => unknown) {
  try {
    work()
  } catch (error) {
    if (error instanceof DatabaseError) return error.trouble.code
    throw error
  }
  return null
}

describe('opening a database', () => {
  test('one that a newer Regla wrote is left as it is, to the byte', () => {
    const { file, db } = made('Barn')
    sqliteOf(db)
      .prepare('insert into __drizzle_migrations (hash, created_at) values (?, ?)')
      .run('later', 9e12)
    checkpoint(db)
    sqliteOf(db).close()
    const before = readFileSync(file)
    expect(trouble(() => openDatabase(file))).toBe('newer')
    expect(readFileSync(file).equals(before)).toBe(true)
  })

  test('what is damaged, or no database, or may not be opened is told and left alone', () => {
    const { file, db } = made('Barn')
    for (let i = 0; i < 60; i++) createJob(db, job(`Job ${i}`))
    checkpoint(db)
    sqliteOf(db).close()
    const cut = newFile()
    copyFileSync(file, cut)
    truncateSync(cut, 60_000)
    expect(trouble(() => openDatabase(cut))).toBe('damaged')
    const other = newFile()
    writeFileSync(other, 'a shopping list, long enough to be taken for a header of something else')
    expect(trouble(() => openDatabase(other))).toBe('notADatabase')
    expect(readFileSync(other, 'utf8')).toMatch(/^a shopping list/)
    const folder = mkdtempSync(join(tmpdir(), 'regla-'))
    expect(trouble(() => openDatabase(folder))).toBe('notAllowed')
  })

  test('an empty file is a new database', () => {
    const file = newFile()
    writeFileSync(file, '')
    expect(names(file)).toEqual([])
  })

  test('errors of the disk are told from faults of the program', () => {
    const of = (code: string) => troubleOf(new SqliteDatabase.SqliteError('x', code), 'f')?.code ?? null
    expect(
      ['SQLITE_FULL', 'SQLITE_CORRUPT_INDEX', 'SQLITE_BUSY_SNAPSHOT', 'SQLITE_IOERR_WRITE'].map(of),
    ).toEqual(['full', 'damaged', 'busy', 'notAllowed'])
    expect(of('SQLITE_CONSTRAINT_FOREIGNKEY')).toBeNull()
    expect(troubleOf(new TypeError('x is undefined'), 'f')).toBeNull()
    // as Drizzle hands it on
    expect(
      troubleOf(new Error('query', { cause: new SqliteDatabase.SqliteError('x', 'SQLITE_FULL') }), 'f')?.code,
    ).toBe('full')
  })
})

describe('who has a database', () => {
  test('the second is told who, and has it when the first lets go', () => {
    const { file } = made()
    const claim = claimDatabase(file)
    expect(trouble(() => claimDatabase(file))).toBe('taken')
    try {
      claimDatabase(file)
    } catch (error) {
      expect((error as DatabaseError).trouble).toMatchObject({
        by: expect.stringContaining(String(process.pid)) as string,
      })
    }
    claim.release()
    claimDatabase(file).release()
  })
})

describe('copies', () => {
  test('a copy made while it is written to is whole; restored, what stood there is kept', async () => {
    const { file, db } = made('Barn', 'Mill')
    const copy = await backUp(file, join(backupFolder(file), 'one.db'))
    createJob(db, job('Shed'))
    sqliteOf(db).close()
    expect(names(copy)).toEqual(['Barn', 'Mill'])
    const aside = restoreFrom(copy, file, '2030-01-31T10:00:00.000Z')
    expect(names(file)).toEqual(['Barn', 'Mill'])
    expect(names(aside ?? '')).toEqual(['Barn', 'Mill', 'Shed'])
  })

  test('nothing is restored over a database in use, nor from a broken copy', async () => {
    const { file } = made('Barn')
    const copy = await backUp(file, join(backupFolder(file), 'one.db'))
    const claim = claimDatabase(file)
    expect(trouble(() => restoreFrom(copy, file, 'now'))).toBe('taken')
    claim.release()
    truncateSync(copy, 5_000)
    expect(() => restoreFrom(copy, file, 'now')).toThrow()
    expect(names(file)).toEqual(['Barn'])
  })

  test('before an update a copy is put aside that an older Regla can go on with', () => {
    const file = newFile()
    copyFileSync('tests/versions/database-1.sqlite', file)
    expect(wantsUpdate(file)).toBe(true)
    const copy = copyBeforeUpdate(file, '2030-01-31T10:00:00.000Z')
    sqliteOf(openDatabase(file)).close()
    expect([wantsUpdate(file), wantsUpdate(copy)]).toEqual([false, true])
    expect(names(copy)).toEqual(names(file))
  })

  test('one a day, the newest fourteen kept', async () => {
    const { file } = made('Barn')
    for (let day = 1; day <= 16; day++) await backUpDaily(file, `2030-01-${String(day).padStart(2, '0')}`)
    expect(await backUpDaily(file, '2030-01-16')).toBeNull()
    const held = readdirSync(backupFolder(file)).sort()
    expect([held.length, held[0], held.at(-1)]).toEqual([14, 'regla-2030-01-03.db', 'regla-2030-01-16.db'])
    expect(existsSync(`${backupFolder(file)}/regla-2030-01-16.db.half`)).toBe(false)
  })
})
