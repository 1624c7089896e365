import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { type Database, sqliteOf } from './db/database.server'
import { newId } from './ids.server'

/** Of this start of the server: its counts begin anew with each. */
const START = newId()

/**
 * A word that is another one as soon as anything was saved, by anybody, on any page: what is open asks for it every few seconds, and looks at
 * what it shows only when it has changed. SQLite counts what the server's one connection writes.
 */
export function newsOf(db: Database): string {
  const { n } = sqliteOf(db).prepare('select total_changes() n').get() as { n: number }
  return `${START}-${n}`
}

let build: string | null = null

/** The build that this server serves: of what its service worker lists, which is another with each. Empty while developing. */
export function buildNow(): string {
  try {
    return (build ??= createHash('sha256')
      .update(readFileSync('build/client/sw.js'))
      .digest('hex')
      .slice(0, 16))
  } catch {
    return ''
  }
}
