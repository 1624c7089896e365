import { copyFileSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs'
import { basename, dirname, extname, join } from 'node:path'
import SqliteDatabase from 'better-sqlite3'
import { claimDatabase } from './claim.server'
import { lookAtDatabase } from './database.server'

/** How many daily copies are kept. */
const DAYS_KEPT = 14

const nameOf = (file: string) => basename(file, extname(file))

/** Where the copies of a database are kept: a folder beside it. */
export function backupFolder(file: string): string {
  return join(dirname(file), `${nameOf(file)}-copies`)
}

/**
 * Copies a database that may be in use, by SQLite's online backup: the copy is whole, as of one moment. It is looked at
 * before it takes its name. Returns the copy's path.
 */
export async function backUp(file: string, to: string): Promise<string> {
  mkdirSync(dirname(to), { recursive: true })
  const half = `${to}.half`
  rmSync(half, { force: true })
  const source = new SqliteDatabase(file, { readonly: true, fileMustExist: true })
  try {
    await source.backup(half)
  } finally {
    source.close()
  }
  // the copy stands alone, without a log beside it
  const copy = new SqliteDatabase(half)
  copy.pragma('journal_mode = DELETE')
  copy.close()
  lookAtDatabase(half)
  renameSync(half, to)
  return to
}

/** Copies a database at once, before it is brought to a newer schema: an older Regla can go on with the copy. Returns where. */
export function copyBeforeUpdate(file: string, moment: string): string {
  const to = join(backupFolder(file), `before-update-${moment.replaceAll(/[:.]/g, '-')}.db`)
  mkdirSync(dirname(to), { recursive: true })
  const sqlite = new SqliteDatabase(file)
  try {
    sqlite.prepare('vacuum into ?').run(to)
  } finally {
    sqlite.close()
  }
  return to
}

/** The copy of a day, made once; the newest fourteen are kept. `day` as 2030-01-31. Null where there is one already. */
export async function backUpDaily(file: string, day: string): Promise<string | null> {
  const folder = backupFolder(file)
  const to = join(folder, `${nameOf(file)}-${day}.db`)
  if (existsSync(to)) return null
  await backUp(file, to)
  const daily = readdirSync(folder)
    .filter((each) => /-\d{4}-\d{2}-\d{2}\.db$/.test(each))
    .sort()
  for (const old of daily.slice(0, -DAYS_KEPT)) rmSync(join(folder, old))
  return to
}

/**
 * Puts a copy in a database's place. The copy is looked at first, the database must not be in use, and what stood there is
 * kept beside it. Returns where; null where nothing stood there.
 */
export function restoreFrom(copy: string, file: string, moment: string): string | null {
  lookAtDatabase(copy)
  const claim = claimDatabase(file)
  try {
    const half = `${file}.half`
    copyFileSync(copy, half)
    lookAtDatabase(half)
    const aside = existsSync(file) ? `${file}.before-${moment.replaceAll(/[:.]/g, '-')}` : null
    for (const part of ['', '-wal', '-shm'])
      if (aside && existsSync(`${file}${part}`)) renameSync(`${file}${part}`, `${aside}${part}`)
    renameSync(half, file)
    return aside
  } finally {
    claim.release()
  }
}
