import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import SqliteDatabase from 'better-sqlite3'
import { readJobFile } from '~/core/files/readJobFile'
import { closeDatabase, onDatabase } from './database.server'
import { exportJob, importJob, listJobs } from './jobs.server'
import { loader } from '~/routes/backup'
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

test('whoever asks for the head alone, breaks off, or never reads leaves no copy behind', async () => {
  const folder = machine()
  onDatabase((db) => importJob(db, example))
  const left = () => readdirSync(folder).filter((name) => /sending|half/.test(name))
  const url = 'http://127.0.0.1/backup'
  const asked = (init: RequestInit) =>
    loader({ request: new Request(url, init) } as unknown as Parameters<typeof loader>[0])
  const head = await asked({ method: 'HEAD' })
  expect([head.status, head.headers.get('content-type'), left()]).toEqual([
    200,
    'application/vnd.sqlite3',
    [],
  ])
  // never read
  await wholeBackup()
  expect(left()).toEqual([])
  // broken off in the middle
  const giving = new AbortController()
  const { body } = await wholeBackup(giving.signal)
  const reader = body.getReader()
  await reader.read()
  giving.abort()
  await expect(reader.closed).rejects.toBeDefined()
  // given up before it was made
  const gone = new AbortController()
  gone.abort()
  await expect(wholeBackup(gone.signal)).rejects.toMatchObject({ status: 499 })
  expect(left()).toEqual([])
})
