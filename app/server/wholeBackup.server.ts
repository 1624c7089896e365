import { closeSync, createReadStream, fstatSync, openSync, rmSync, writeFileSync } from 'node:fs'
import { Readable } from 'node:stream'
import SqliteDatabase from 'better-sqlite3'
import type { BackupProblem } from '~/messages'
import { closeDatabase, databaseFile, onDatabase } from './database.server'
import { backUp } from './db/backups.server'
import { checkpoint, type Database, openDatabase, sqliteOf } from './db/database.server'
import { restoreFrom } from './db/restore.server'
import { jobs } from './db/schema.server'
import { DatabaseError, troubleOf } from './db/trouble.server'

/** No job was ever made here: nothing can be lost. */
export function isEmptyHouse(db: Database): boolean {
  return db.select({ id: jobs.id }).from(jobs).limit(1).get() === undefined
}

let backups = 0

/** Takes out of a copy what lets somebody in here: browsers that are signed in, codes, tokens of devices. Their bytes are overwritten. */
export function withoutSecrets(copy: string): void {
  const sqlite = new SqliteDatabase(copy, { fileMustExist: true })
  try {
    sqlite.pragma('journal_mode = DELETE')
    sqlite.pragma('secure_delete = ON')
    sqlite.exec('delete from sessions; delete from pairings; delete from device_tokens')
  } finally {
    sqlite.close()
  }
}

/**
 * Everything as one file, as of one moment. The file has no name any more as soon as it is open, so that nothing of it is left however this
 * ends; where the system keeps the name of an open file it goes when it was sent or given up. `signal` ends with whoever asked.
 */
export async function wholeBackup(
  signal?: AbortSignal,
): Promise<{ readonly body: ReadableStream; readonly size: number }> {
  const file = databaseFile()
  // opened first, so that there is something to copy, brought to the newest schema
  onDatabase(() => undefined)
  const to = await backUp(file, `${file}.sending-${process.pid}-${(backups += 1)}`)
  withoutSecrets(to)
  const handle = openSync(to, 'r')
  const drop = () => {
    try {
      rmSync(to, { force: true })
    } catch {
      // it goes as it is closed
    }
  }
  drop()
  if (signal?.aborted) {
    closeSync(handle)
    drop()
    throw new Response(null, { status: 499 })
  }
  const { size } = fstatSync(handle)
  const stream = createReadStream(to, { fd: handle })
  stream.on('close', drop)
  signal?.addEventListener('abort', () => stream.destroy(), { once: true })
  return { body: Readable.toWeb(stream) as ReadableStream, size }
}

/** Looks whether a file holds a Regla's jobs, and brings it to the newest schema. Throws a DatabaseError where not. */
function ready(file: string): void {
  const sqlite = new SqliteDatabase(file, { readonly: true, fileMustExist: true })
  try {
    sqlite.prepare('select count(*) from jobs').get()
  } catch (error) {
    const trouble = troubleOf(error, file)
    throw trouble
      ? new DatabaseError(trouble, error)
      : new DatabaseError({ code: 'notADatabase', file }, error)
  } finally {
    sqlite.close()
  }
  const db = openDatabase(file)
  checkpoint(db)
  sqliteOf(db).pragma('journal_mode = DELETE')
  sqliteOf(db).close()
}

/**
 * Puts a file with everything in the place of a database in which there is no job yet. It is looked at whole before anything is touched, and
 * what stood there is kept beside it. Null where it is done; else why not, and nothing has changed.
 */
export function takeBackupIn(bytes: Uint8Array, moment: string): BackupProblem | 'notEmpty' | null {
  if (!onDatabase(isEmptyHouse)) return 'notEmpty'
  const file = databaseFile()
  const coming = `${file}.coming-${process.pid}`
  try {
    writeFileSync(coming, bytes)
    ready(coming)
    withoutSecrets(coming)
    closeDatabase()
    restoreFrom(coming, file, moment)
    return null
  } catch (error) {
    const code = troubleOf(error, coming)?.code
    return code === 'newer' || code === 'damaged' || code === 'notADatabase' || code === 'full'
      ? code
      : 'other'
  } finally {
    for (const part of ['', '-wal', '-shm', '-journal']) rmSync(`${coming}${part}`, { force: true })
  }
}
