import { readFileSync, writeFileSync } from 'node:fs'
import { hostname } from 'node:os'
import SqliteDatabase from 'better-sqlite3'
import { DatabaseError, troubleOf } from './trouble.server'

/** A database file held for one server. */
export interface Claim {
  readonly release: () => void
}

/** Who has a database, in words that find the process. */
function whoIAm(): string {
  return `process ${process.pid} on ${hostname()}, since ${new Date().toISOString()}`
}

function whoHas(file: string): string {
  try {
    return readFileSync(`${file}.owner`, 'utf8').trim()
  } catch {
    return 'another process'
  }
}

/**
 * Claims a database file for this server. The claim is a lock on a small file beside it that the system itself lets go when
 * the process ends, however it ends. Throws a DatabaseError that says who has it where it is taken.
 */
export function claimDatabase(file: string): Claim {
  let lock: SqliteDatabase.Database | null = null
  try {
    lock = new SqliteDatabase(`${file}.lock`, { timeout: 0 })
    lock.pragma('journal_mode = DELETE')
    lock.exec('begin exclusive')
    writeFileSync(`${file}.owner`, `${whoIAm()}\n`)
  } catch (error) {
    lock?.close()
    const trouble = troubleOf(error, file)
    if (trouble?.code === 'busy') throw new DatabaseError({ code: 'taken', file, by: whoHas(file) }, error)
    throw trouble ? new DatabaseError(trouble, error) : error
  }
  const held = lock
  return { release: () => held.close() }
}
