import { existsSync, statSync } from 'node:fs'
import SqliteDatabase from 'better-sqlite3'
import { lookAtDatabase } from './database.server'
import { DatabaseError, troubleOf } from './trouble.server'

/** What a copy of a database holds. */
export interface Holdings {
  readonly jobs: number
  readonly walls: number
  /** When the newest change in it was made; null where there is none. */
  readonly newest: number | null
}

function counted(sqlite: SqliteDatabase.Database): Holdings {
  const one = (query: string) => (sqlite.prepare(query).get() as { n: number | null }).n
  const has = (table: string) =>
    one(`select count(*) n from sqlite_master where type = 'table' and name = '${table}'`) === 1
  const latest = (['revisions', 'acts', 'yard_acts', 'work_acts'] as const).flatMap((table) =>
    has(table) ? [one(`select max(created_at) n from ${table}`) ?? 0] : [],
  )
  const newest = Math.max(0, ...latest)
  return {
    jobs: one('select count(*) n from jobs') ?? 0,
    walls: one('select count(*) n from walls') ?? 0,
    newest: newest === 0 ? null : newest,
  }
}

/**
 * What a copy holds, of any schema a Regla ever had, read whole and without writing to it. Throws a DatabaseError where it is empty, damaged,
 * newer than this program, or no Regla's: such a file is never put in the place of another.
 */
export function holdingsOf(file: string): Holdings {
  if (!existsSync(file) || statSync(file).size === 0) throw new DatabaseError({ code: 'empty', file })
  try {
    lookAtDatabase(file)
    const sqlite = new SqliteDatabase(file, { readonly: true, fileMustExist: true })
    try {
      return counted(sqlite)
    } finally {
      sqlite.close()
    }
  } catch (error) {
    const trouble = troubleOf(error, file)
    throw trouble
      ? new DatabaseError(trouble, error)
      : new DatabaseError({ code: 'notADatabase', file }, error)
  }
}
