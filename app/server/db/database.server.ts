import { existsSync, mkdirSync, statSync } from 'node:fs'
import { dirname } from 'node:path'
import SqliteDatabase from 'better-sqlite3'
import { type BetterSQLite3Database, drizzle } from 'drizzle-orm/better-sqlite3'
import { migrate } from 'drizzle-orm/better-sqlite3/migrator'
import * as agreeing from './agreeSchema.server'
import { eraOf, mendEra, MIGRATIONS } from './eras.server'
import * as main from './schema.server'
import * as working from './workSchema.server'
import { DatabaseError, troubleOf } from './trouble.server'

const schema = { ...main, ...agreeing, ...working }

/** The open database, or a transaction on it. */
export type Database = BetterSQLite3Database<typeof schema>

/** SQLite's own handle of an open database. */
export function sqliteOf(db: Database): SqliteDatabase.Database {
  return (db as unknown as { $client: SqliteDatabase.Database }).$client
}

/** Whether opening a file will bring it to a newer schema, after which an older Regla can't read it any more. */
export function wantsUpdate(file: string): boolean {
  if (!existsSync(file) || statSync(file).size === 0) return false
  const sqlite = new SqliteDatabase(file, { readonly: true })
  try {
    return eraOf(sqlite) === 'older'
  } finally {
    sqlite.close()
  }
}

/** Looks at a database file without writing to it: throws where this program can't go on with it, or it is damaged. An empty one is a new one. */
export function lookAtDatabase(file: string): void {
  if (!existsSync(file) || statSync(file).size === 0) return
  const sqlite = new SqliteDatabase(file, { readonly: true })
  try {
    const era = eraOf(sqlite)
    if (era === 'newer') throw new DatabaseError({ code: 'newer', file })
    if (era === 'unknown') throw new DatabaseError({ code: 'otherSchema', file })
    if (era === 'foreign') throw new DatabaseError({ code: 'notADatabase', file })
    const found = sqlite.pragma('quick_check(1)', { simple: true }) as string
    if (found !== 'ok') throw new DatabaseError({ code: 'damaged', file, detail: found })
  } finally {
    sqlite.close()
  }
}

/**
 * Opens the database file, makes it safe against power cuts, and brings it to the newest schema. Throws a DatabaseError
 * where a person has to do something first; a file that is newer than this program, or damaged, is not written to.
 */
export function openDatabase(file: string): Database {
  let sqlite: SqliteDatabase.Database | null = null
  try {
    if (file !== ':memory:') {
      mkdirSync(dirname(file), { recursive: true })
      lookAtDatabase(file)
    }
    sqlite = new SqliteDatabase(file)
    sqlite.pragma('busy_timeout = 5000')
    sqlite.pragma('journal_mode = WAL')
    sqlite.pragma('synchronous = FULL')
    const database = drizzle(sqlite, { schema })
    // tables are rebuilt while nothing watches over their references; they are looked at right after
    sqlite.pragma('foreign_keys = OFF')
    mendEra(sqlite)
    migrate(database, { migrationsFolder: MIGRATIONS })
    const broken = sqlite.pragma('foreign_key_check') as unknown[]
    if (broken.length > 0)
      throw new DatabaseError({
        code: 'damaged',
        file,
        detail: `${broken.length} rows point at nothing: ${JSON.stringify(broken[0])}`,
      })
    sqlite.pragma('foreign_keys = ON')
    return database
  } catch (error) {
    sqlite?.close()
    const trouble = troubleOf(error, file)
    throw trouble && !(error instanceof DatabaseError) ? new DatabaseError(trouble, error) : error
  }
}

/** Carries out what belongs together, whole or not at all; a second server waits its turn instead of failing halfway. */
export function inTransaction<T>(db: Database, work: (tx: Database) => T): T {
  return db.transaction(work, { behavior: 'immediate' })
}

/** Less than this many bytes are kept for what comes next. */
const ROOM_KEPT = 20_000_000

/** Gives back to the disk what thinning left empty, where that is more than half of the file. */
export function giveBackRoom(db: Database): void {
  const sqlite = sqliteOf(db)
  const of = (what: string) => sqlite.pragma(what, { simple: true }) as number
  const [empty, all] = [of('freelist_count'), of('page_count')]
  if (empty * 2 > all && empty * of('page_size') > ROOM_KEPT) sqlite.exec('vacuum')
}

/** Brings what stands in the write-ahead log into the main file. */
export function checkpoint(db: Database): void {
  sqliteOf(db).pragma('wal_checkpoint(TRUNCATE)')
}
