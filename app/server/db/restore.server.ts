import { copyFileSync, existsSync, fsyncSync, openSync, closeSync, renameSync, rmSync } from 'node:fs'
import { dirname, basename } from 'node:path'
import SqliteDatabase from 'better-sqlite3'
import { copyBeforeRestore } from './backups.server'
import { claimDatabase } from './claim.server'
import { sweepHalves } from './halves.server'
import { holdingsOf } from './holdings.server'

const PARTS = ['', '-wal', '-shm'] as const

/** What of a file is in memory only is on the disk then. */
function flush(path: string): void {
  const handle = openSync(path, 'r+')
  try {
    fsyncSync(handle)
  } finally {
    closeSync(handle)
  }
}

/** All of a database in one file, without a log beside it; false where it can't be read any more. */
function isAlone(file: string): boolean {
  try {
    const sqlite = new SqliteDatabase(file)
    try {
      sqlite.pragma('wal_checkpoint(TRUNCATE)')
      sqlite.pragma('journal_mode = DELETE')
    } finally {
      sqlite.close()
    }
    return !existsSync(`${file}-wal`)
  } catch {
    return false
  }
}

/** Keeps what stands in a database's place: as a copy, or, where it can't be read, part by part as it is. Returns where. */
function keepWhatStands(file: string, moment: string): string {
  if (isAlone(file))
    try {
      return copyBeforeRestore(file, moment)
    } catch {
      // what can't be copied whole is kept as it is
    }
  const aside = `${file}.before-${moment.replaceAll(/[:.]/g, '-')}`
  for (const part of PARTS)
    if (existsSync(`${file}${part}`)) {
      copyFileSync(`${file}${part}`, `${aside}${part}`)
      flush(`${aside}${part}`)
    }
  return aside
}

/**
 * Puts a copy in a database's place, by one rename: killed before it what stood there stands there, after it the copy does. The copy is
 * looked at first, the database must not be in use, and what stood there is kept. `step` is called before each step, so that a test can end
 * it there. Returns where what stood there is kept; null where nothing did.
 */
export function restoreFrom(
  copy: string,
  file: string,
  moment: string,
  step: (name: string) => void = () => undefined,
): string | null {
  step('look')
  holdingsOf(copy)
  const claim = claimDatabase(file)
  const half = `${file}.half-${process.pid}`
  try {
    step('copy')
    copyFileSync(copy, half)
    flush(half)
    holdingsOf(half)
    step('keep')
    const aside = existsSync(file) ? keepWhatStands(file, moment) : null
    step('clear')
    // a log that stays would be taken for the copy's own; what was in it is in the file, or kept aside
    for (const part of ['-wal', '-shm']) rmSync(`${file}${part}`, { force: true })
    step('rename')
    renameSync(half, file)
    step('done')
    return aside
  } finally {
    sweepHalves(dirname(file), basename(half))
    claim.release()
  }
}
