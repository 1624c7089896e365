import { mkdirSync } from 'node:fs'
import { dirname } from 'node:path'
import SqliteDatabase from 'better-sqlite3'
import { type BetterSQLite3Database, drizzle } from 'drizzle-orm/better-sqlite3'
import { migrate } from 'drizzle-orm/better-sqlite3/migrator'
import * as schema from './schema.server'

const MIGRATIONS = 'app/server/db/migrations'

/** Opens the database file, makes it safe against power cuts, and brings it to the newest schema. */
export function openDatabase(file: string): Database {
  if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true })
  const sqlite = new SqliteDatabase(file)
  sqlite.pragma('journal_mode = WAL')
  sqlite.pragma('synchronous = FULL')
  sqlite.pragma('busy_timeout = 5000')
  const database = drizzle(sqlite, { schema })
  // tables are rebuilt while nothing watches over their references; they are looked at right after
  sqlite.pragma('foreign_keys = OFF')
  migrate(database, { migrationsFolder: MIGRATIONS })
  const broken = sqlite.pragma('foreign_key_check') as unknown[]
  if (broken.length > 0)
    throw new Error(`${file}: ${broken.length} rows point at nothing: ${JSON.stringify(broken[0])}`)
  sqlite.pragma('foreign_keys = ON')
  return database
}

/** The open database, or a transaction on it. */
export type Database = BetterSQLite3Database<typeof schema>

// hot reload makes this module anew; the open handle must live on
const kept = globalThis as { reglaDatabase?: Database }

/** The application's database, opened at first use. The file is DB_FILE or data/regla.db. */
export function database(): Database {
  kept.reglaDatabase ??= openDatabase(process.env.DB_FILE ?? 'data/regla.db')
  return kept.reglaDatabase
}
