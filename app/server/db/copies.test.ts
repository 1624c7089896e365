import { spawnSync } from 'node:child_process'
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { basename, dirname, join } from 'node:path'
import { gunzipSync } from 'node:zlib'
import SqliteDatabase from 'better-sqlite3'
import { databaseText } from '~/messages'
import { COPIES_KEPT } from '~/model'
import { createJob, exportJob, listJobs } from '../jobs.server'
import { closeDatabase, onDatabase } from '../database.server'
import { backUp, backupFolder, copiesOf, copyBeforeUpdate, keepNewest } from './backups.server'
import { checkpoint, openDatabase, sqliteOf, wantsUpdate } from './database.server'
import { eraOf } from './eras.server'
import { sweepHalves } from './halves.server'
import { holdingsOf } from './holdings.server'
import { restoreFrom } from './restore.server'
import { DatabaseError } from './trouble.server'

const newFile = () => join(mkdtempSync(join(tmpdir(), 'regla-')), 'regla.db')
const job = (name: string) => ({ name, client: '', units: 'inches', tape: '1/16' }) as const
function made(...jobs: string[]): string {
  const file = newFile()
  const db = openDatabase(file)
  for (const each of jobs) createJob(db, job(each))
  // its newest changes are in the log beside it, as when a server is killed: nothing is brought into the file
  const aside = newFile()
  for (const part of ['', '-wal', '-shm'])
    if (existsSync(`${file}${part}`)) copyFileSync(`${file}${part}`, `${aside}${part}`)
  sqliteOf(db).close()
  return aside
}
function names(file: string): string[] {
  const db = openDatabase(file)
  const found = listJobs(db, { archived: false, search: '' }).jobs.map(({ name }) => name)
  sqliteOf(db).close()
  return found.sort()
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
const halvesIn = (folder: string) =>
  existsSync(folder) ? readdirSync(folder).filter((name) => /half|sending|coming/.test(name)) : []

/** The server's own database for a while. */
function serving<T>(file: string, work: () => T): T {
  const before = process.env.DB_FILE
  process.env.DB_FILE = file
  try {
    return work()
  } finally {
    closeDatabase()
    if (before === undefined) delete process.env.DB_FILE
    else process.env.DB_FILE = before
  }
}
function said(work: () => unknown): string {
  try {
    work()
  } catch (thrown) {
    return String((thrown as { data?: unknown }).data)
  }
  return ''
}

function endedAt(what: string, file: string, step: string, copy = '') {
  const ended = spawnSync(process.execPath, ['--import', 'tsx', 'tests/endedAt.ts', what, file, step, copy], {
    env: { ...process.env, TSX_TSCONFIG_PATH: 'tsconfig.json', NODE_OPTIONS: '' },
  })
  expect([ended.signal, String(ended.stderr)]).toEqual(['SIGKILL', ''])
}

const ERAS = readdirSync('tests/versions').flatMap(
  (name) => /^schema-(\w+)\.sqlite\.gz$/.exec(name)?.[1] ?? [],
)

describe('a database of every schema that ever landed', () => {
  const ofEra = (era: string) => {
    const file = newFile()
    writeFileSync(file, gunzipSync(readFileSync(`tests/versions/schema-${era}.sqlite.gz`)))
    return file
  }
  test('there is one of each', () =>
    expect(ERAS).toEqual(['0a', '0b', '1', '2a', '2b', '3', '4', '5', '6', '7', '8']))

  // before, those of 0a and 2a failed with a raw "table already exists" and left a copy at each start
  test.each(ERAS)(
    'of schema %s opens: its jobs and walls are there, and one copy is left from before',
    (era) => {
      const file = ofEra(era)
      const before = holdingsOf(file)
      expect([wantsUpdate(file), before.jobs > 0, before.walls > 0]).toEqual([true, true, true])
      serving(file, () => {
        expect(onDatabase((db) => listJobs(db, { archived: false, search: '' }).jobs)).toHaveLength(
          before.jobs,
        )
        expect(onDatabase((db) => exportJob(db, 'job-before'))).toMatchObject({ version: 2 })
      })
      // opened again nothing is done twice
      serving(file, () => onDatabase(() => undefined))
      const copies = readdirSync(backupFolder(file)).filter((name) => name.startsWith('before-update'))
      expect(copies).toHaveLength(1)
      expect(holdingsOf(join(backupFolder(file), copies[0] ?? ''))).toEqual(before)
      const sqlite = new SqliteDatabase(file, { readonly: true })
      expect([eraOf(sqlite), sqlite.pragma('integrity_check', { simple: true })]).toEqual(['same', 'ok'])
      expect(sqlite.pragma('foreign_key_check')).toEqual([])
      const schemaOf = (of: SqliteDatabase.Database) =>
        (
          of
            .prepare("select name, sql from sqlite_master where name not like 'sqlite_%' order by name")
            .all() as { name: string; sql: string | null }[]
        )
          .map(({ name, sql }) => [
            name,
            (sql ?? '').replaceAll(/\s+/g, ' ').replaceAll('"', '`').toLowerCase().replaceAll('`', ''),
          ])
          .filter(([name]) => name !== '__drizzle_migrations')
          .map(([name, sql]) => `${name}: ${sql?.split('(')[0] ?? ''}`)
      const fresh = newFile()
      sqliteOf(openDatabase(fresh)).close()
      const now = new SqliteDatabase(fresh, { readonly: true })
      expect(schemaOf(sqlite)).toEqual(schemaOf(now))
      for (const each of [sqlite, now]) each.close()
    },
  )

  test('one that no Regla that landed wrote is told in a sentence, left as it is, and no copy of it is made', () => {
    const file = ofEra('3')
    const sqlite = new SqliteDatabase(file)
    sqlite.prepare("update __drizzle_migrations set hash = 'other' where created_at = 1795625321053").run()
    sqlite.close()
    const before = readFileSync(file)
    serving(file, () => expect(said(() => onDatabase(() => undefined))).toMatch(/never handed out/))
    expect(readFileSync(file).equals(before)).toBe(true)
    expect(existsSync(backupFolder(file)) ? readdirSync(backupFolder(file)) : []).toEqual([])
  })

  test('one that is found wrong after it was brought up keeps its copy of before', () => {
    const file = ofEra('6')
    const sqlite = new SqliteDatabase(file)
    sqlite.pragma('foreign_keys = OFF')
    sqlite.exec("update rooms set job_id = 'nobody'")
    sqlite.close()
    for (let start = 0; start < 2; start++)
      serving(file, () => expect(said(() => onDatabase(() => undefined))).toMatch(/rows point at nothing/))
    expect(wantsUpdate(file)).toBe(false)
    expect(copiesOf(file).map(({ kind }) => kind)).toEqual(['update'])
  })

  test('where bringing it up fails it is as it was, and no copy is left', () => {
    const file = ofEra('6')
    const sqlite = new SqliteDatabase(file)
    // what the next migration makes is there already
    sqlite.exec('create table log_photos (id text)')
    sqlite.close()
    for (let start = 0; start < 3; start++)
      serving(file, () => expect(() => onDatabase(() => undefined)).toThrow())
    expect(readdirSync(backupFolder(file))).toEqual([])
    expect(holdingsOf(file).jobs).toBeGreaterThan(0)
  })
})

describe('a copy has its name only when it is whole', () => {
  test.each([
    ['backup', 'made'],
    ['backup', 'rename'],
    ['update', 'made'],
    ['update', 'rename'],
  ])(
    'killed while a %s is at “%s” nothing is left under its name, and the next start takes the half away',
    (what, step) => {
      const file = made('Barn')
      endedAt(what, file, step)
      expect(copiesOf(file)).toEqual([])
      expect(halvesIn(backupFolder(file))).not.toEqual([])
      serving(file, () =>
        expect(onDatabase((db) => listJobs(db, { archived: false, search: '' }).jobs)).toHaveLength(1),
      )
      expect(halvesIn(backupFolder(file))).toEqual([])
    },
  )

  test('a half that somebody is still making is left alone', () => {
    const folder = dirname(newFile())
    const [own, gone, old, fresh] = [
      `a.db.half-${process.pid}-1`,
      'a.db.half-999999999-1',
      'a.db.sending-999999999-2',
      'a.db.half',
    ]
    for (const name of [own, gone, old, fresh, 'half.db', 'regla.db.half-day'])
      writeFileSync(join(folder, name), 'x')
    expect(sweepHalves(folder)).toBe(2)
    expect(readdirSync(folder).sort()).toEqual([fresh, own, 'half.db', 'regla.db.half-day'].sort())
  })

  test('what is empty, cut short, or no Regla’s is never put back', async () => {
    const file = made('Barn')
    const good = await backUp(file, join(backupFolder(file), 'copy-good.db'))
    const [empty, cut, other, text] = ['empty', 'cut', 'other', 'text'].map((name) =>
      join(backupFolder(file), `${name}.db`),
    ) as [string, string, string, string]
    writeFileSync(empty, '')
    writeFileSync(cut, readFileSync(good).subarray(0, 20_000))
    const foreign = new SqliteDatabase(other)
    foreign.exec('create table birds (name text)')
    foreign.close()
    writeFileSync(text, 'a list of nails, long enough to be taken for something else')
    expect([empty, cut, other, text].map((copy) => trouble(() => restoreFrom(copy, file, 'now')))).toEqual([
      'empty',
      'damaged',
      'notADatabase',
      'notADatabase',
    ])
    expect(names(file)).toEqual(['Barn'])
    const listed = copiesOf(file)
    expect(listed.map(({ path, holds }) => [basename(path), holds?.jobs ?? null])).toEqual([
      ['copy-good.db', 1],
      ['cut.db', null],
      ['empty.db', null],
      ['other.db', null],
      ['text.db', null],
    ])
    expect(listed[0]?.holds).toMatchObject({ walls: 0 })
    expect(Math.abs((listed[0]?.holds?.newest ?? 0) - Date.now())).toBeLessThan(60_000)
  })

  test('of each kind the newest are kept, as it is said', () => {
    const file = made('Barn')
    mkdirSync(backupFolder(file), { recursive: true })
    const name = {
      daily: (n: string) => `regla-2030-01-${n}`,
      update: (n: string) => `before-update-${n}`,
      restore: (n: string) => `before-restore-${n}`,
      hand: (n: string) => `copy-${n}`,
    }
    for (const of of Object.values(name))
      for (let n = 1; n <= 25; n++)
        writeFileSync(join(backupFolder(file), `${of(String(n).padStart(2, '0'))}.db`), '')
    for (let n = 1; n <= 25; n++) writeFileSync(join(backupFolder(file), `attic-${n}.db`), '')
    keepNewest(file)
    expect(readdirSync(backupFolder(file)).filter((each) => each.startsWith('attic'))).toHaveLength(25)
    for (const [kind, most] of Object.entries(COPIES_KEPT)) {
      const of = name[kind as keyof typeof name]
      const left = readdirSync(backupFolder(file)).filter((each) =>
        each.startsWith(of('').replace(/01-$/, '01')),
      )
      expect([kind, left.length, left.sort().at(-1)]).toEqual([kind, most, `${of('25')}.db`])
    }
  })
})

describe('a copy is put back by one rename', () => {
  // before, a kill between two renames left no database, and the next start an empty one
  test.each(['look', 'copy', 'keep', 'clear', 'rename', 'done'])(
    'killed at “%s” everything is there as before, or as in the copy; what stood there is kept',
    async (step) => {
      const file = made('Barn')
      const copy = await backUp(file, join(dirname(newFile()), 'elsewhere.db'))
      const db = openDatabase(file)
      createJob(db, job('Shed'))
      sqliteOf(db).close()
      endedAt('restore', file, step, copy)
      serving(file, () => {
        const found = onDatabase((of) => listJobs(of, { archived: false, search: '' }).jobs).map(
          ({ name }) => name,
        )
        expect(found.sort()).toEqual(step === 'done' ? ['Barn'] : ['Barn', 'Shed'])
      })
      if (step === 'done') expect(copiesOf(file).map(({ holds }) => holds?.jobs)).toContain(2)
      expect([...halvesIn(dirname(file)), ...halvesIn(backupFolder(file))]).toEqual([])
    },
  )

  test('a database that can’t be read any more is kept part by part', () => {
    const [file, copy] = [made('Barn'), made('Mill')]
    const whole = openDatabase(copy)
    checkpoint(whole)
    sqliteOf(whole).close()
    // its log with it: SQLite mends a broken head from a log that is whole
    for (const part of ['', '-wal'])
      writeFileSync(`${file}${part}`, 'not what it was, and long enough to be looked at as a header')
    const aside = restoreFrom(copy, file, '2030-01-31T10:00:00.000Z')
    expect(names(file)).toEqual(['Mill'])
    expect(
      readFileSync(aside ?? '')
        .subarray(0, 15)
        .toString(),
    ).toBe('not what it was')
    // SQLite takes a log away that is none; one that stood there still is never taken for one of the copy's
    expect(existsSync(`${file}-wal`)).toBe(false)
  })

  test('Regla never begins empty beside copies: it says what to do, and begins anew where they are gone', () => {
    const file = made('Barn')
    copyBeforeUpdate(file, '2030-01-31T10:00:00.000Z')
    for (const part of ['', '-wal', '-shm']) rmSync(`${file}${part}`, { force: true })
    serving(file, () =>
      expect(said(() => onDatabase(() => undefined))).toMatch(/copies of it are: .*npm run restore/),
    )
    expect(existsSync(file)).toBe(false)
    rmSync(backupFolder(file), { recursive: true })
    serving(file, () =>
      expect(onDatabase((db) => listJobs(db, { archived: false, search: '' }).jobs)).toEqual([]),
    )
    expect(databaseText({ code: 'gone', file: 'f', copies: ['a', 'b', 'c', 'd'] })).toContain(
      'a, b, c and 1 more',
    )
  })
})
