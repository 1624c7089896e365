import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import SqliteDatabase from 'better-sqlite3'
import { readJobFile } from '~/core/files/readJobFile'
import { closeDatabase, onDatabase } from './database.server'
import { exportJob, importJob, listJobs } from './jobs.server'
import { isEmptyHouse, takeBackupIn, wholeBackup } from './wholeBackup.server'

const read = readJobFile(readFileSync('examples/metric-study.regla.json', 'utf8'))
if (!read.ok) throw new Error('the example is broken')
const example = read.value
const MOMENT = '2031-01-02T03:04:05.000Z'

/** A machine of its own: another folder, another database. */
function machine(): string {
  closeDatabase()
  const folder = mkdtempSync(join(tmpdir(), 'regla-whole-'))
  process.env.DB_FILE = join(folder, 'regla.db')
  return folder
}
const bytesOf = async ({ body }: Awaited<ReturnType<typeof wholeBackup>>) =>
  new Uint8Array(await new Response(body).arrayBuffer())

// a database that is closed at once misses its day's copy, and says so
jest.spyOn(console, 'error').mockImplementation(() => undefined)

const before = process.env.DB_FILE
afterAll(() => {
  closeDatabase()
  if (before === undefined) delete process.env.DB_FILE
  else process.env.DB_FILE = before
})

test('everything goes out in one file and is all there again on an empty machine', async () => {
  const first = machine()
  const id = onDatabase((db) => importJob(db, example))
  const sent = await wholeBackup()
  const bytes = await bytesOf(sent)
  expect(bytes.byteLength).toBe(sent.size)
  const out = onDatabase((db) => exportJob(db, id))
  // what it was read from is gone once it was sent
  await new Promise((done) => setTimeout(done, 20))
  expect(readdirSync(first).filter((name) => name.includes('sending'))).toEqual([])

  machine()
  expect(onDatabase(isEmptyHouse)).toBe(true)
  expect(takeBackupIn(bytes, MOMENT)).toBeNull()
  expect(onDatabase((db) => exportJob(db, id))).toEqual(out)
  expect(onDatabase((db) => listJobs(db, { archived: false, search: '', page: 1 }).jobs)).toHaveLength(1)
  // and never over what is there
  expect(takeBackupIn(bytes, MOMENT)).toBe('notEmpty')
})

test('what is damaged, or none of Regla’s, is refused, and the machine goes on as it was', async () => {
  machine()
  onDatabase((db) => importJob(db, example))
  const bytes = await bytesOf(await wholeBackup())
  const folder = machine()
  expect(takeBackupIn(bytes.slice(0, 5_000), MOMENT)).toBe('damaged')
  expect(takeBackupIn(new TextEncoder().encode('%PDF-1.7 nothing of ours'), MOMENT)).toBe('notADatabase')
  expect(takeBackupIn(new Uint8Array(), MOMENT)).toBe('notADatabase')
  const strange = join(folder, 'strange.db')
  const other = new SqliteDatabase(strange)
  other.exec('create table notes (text)')
  other.close()
  expect(takeBackupIn(new Uint8Array(readFileSync(strange)), MOMENT)).toBe('notADatabase')
  expect(onDatabase(isEmptyHouse)).toBe(true)
  expect(readdirSync(folder).filter((name) => name.includes('coming'))).toEqual([])
  writeFileSync(strange, '')
})
