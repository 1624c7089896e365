import { existsSync, mkdirSync, rmSync } from 'node:fs'
import { dirname } from 'node:path'
import { data } from 'react-router'
import { databaseText } from '~/messages'
import { backUpDaily, backupFolder, copyBeforeUpdate, leftOf } from './db/backups.server'
import { type Claim, claimDatabase } from './db/claim.server'
import {
  checkpoint,
  type Database,
  giveBackRoom,
  openDatabase,
  sqliteOf,
  wantsUpdate,
} from './db/database.server'
import { thinRevisions } from './db/thinning.server'
import { sweepHalves } from './db/halves.server'
import { DatabaseError, troubleOf } from './db/trouble.server'

const CHECKPOINT_EVERY = 5 * 60_000
const CARE_EVERY = 60 * 60_000

/** The application's database file. */
export const databaseFile = (): string => process.env.DB_FILE ?? 'data/regla.db'

interface Open {
  readonly db: Database
  readonly claim: Claim
  readonly timers: readonly NodeJS.Timeout[]
}

// hot reload makes this module anew; the open handle must live on
const kept = globalThis as { reglaDatabase?: Open | null }

/** What is done beside the work must not end it: a miss is said on the console, and tried again the next time. */
function beside(what: string, work: () => unknown): void {
  const missed = (error: unknown) =>
    console.error(`${databaseFile()}: ${what} was missed:`, error instanceof Error ? error.message : error)
  try {
    void Promise.resolve(work()).catch(missed)
  } catch (error) {
    missed(error)
  }
}

/** What is done now and then: the day's copy, and then, with that in hand, thinning. */
async function care(db: Database): Promise<void> {
  await backUpDaily(databaseFile(), new Date().toISOString().slice(0, 10))
  if (kept.reglaDatabase?.db !== db) return
  await thinRevisions(db, Date.now())
  giveBackRoom(db)
}

function every(ms: number, work: () => void): NodeJS.Timeout {
  const timer = setInterval(work, ms)
  timer.unref()
  return timer
}

/** Opens a database and brings it to the newest schema, a copy put aside before; where that fails it is as it was, and needs no copy. */
function brought(file: string): Database {
  const copy = wantsUpdate(file) ? copyBeforeUpdate(file, new Date().toISOString()) : null
  try {
    return openDatabase(file)
  } catch (error) {
    // what was brought up and is found wrong then still has its copy
    if (copy !== null && wantsUpdate(file)) rmSync(copy, { force: true })
    throw error
  }
}

function open(): Database {
  if (kept.reglaDatabase) return kept.reglaDatabase.db
  const file = databaseFile()
  mkdirSync(dirname(file), { recursive: true })
  const claim = claimDatabase(file)
  try {
    for (const folder of [dirname(file), backupFolder(file)]) sweepHalves(folder)
    const left = existsSync(file) ? [] : leftOf(file)
    if (left.length > 0) throw new DatabaseError({ code: 'gone', file, copies: left })
    const db = brought(file)
    const timers = [
      every(CHECKPOINT_EVERY, () => beside('writing into the main file', () => checkpoint(db))),
      every(CARE_EVERY, () => beside('the day’s copy', () => care(db))),
    ]
    // here a wait holds up everybody: what takes longer is waited for beside the other requests (whenFree)
    sqliteOf(db).pragma(`busy_timeout = ${BUSY_IN_THREAD_MS}`)
    kept.reglaDatabase = { db, claim, timers }
    beside('the day’s copy', () => care(db))
    return db
  } catch (error) {
    claim.release()
    throw error
  }
}

/** For how long a request waits for another program's lock with the thread held: longer waits are `whenFree`'s. */
export const BUSY_IN_THREAD_MS = 200
/** How often a lock is looked at, and for how long a request waits for it. */
const LOOK_EVERY_MS = 100
const BUSY_DEADLINE_MS = 10_000

/**
 * Waits until no other program holds the database from a request that reads, or one that writes, without holding up other requests.
 * After `deadline`, in milliseconds, it goes on all the same: whatever is asked of the database then says that it is busy.
 */
export async function whenFree(writes: boolean, deadline = BUSY_DEADLINE_MS): Promise<void> {
  const until = performance.now() + deadline
  for (;;) {
    try {
      onDatabase((db) => {
        const sqlite = sqliteOf(db)
        sqlite.pragma('busy_timeout = 0')
        try {
          if (writes) sqlite.exec('begin immediate; rollback')
          else sqlite.prepare('select 1 from jobs limit 1').get()
        } finally {
          sqlite.pragma(`busy_timeout = ${BUSY_IN_THREAD_MS}`)
        }
      })
      return
    } catch (thrown) {
      // what else is wrong is said by whoever asks the database for something
      if (performance.now() > until || !isBusy(thrown)) return
      await new Promise((done) => setTimeout(done, LOOK_EVERY_MS))
    }
  }
}

const BUSY = Symbol('busy')
function isBusy(thrown: unknown): boolean {
  return typeof thrown === 'object' && thrown !== null && BUSY in thrown
}

/**
 * Works on the application's database, opened at first use and tried again as long as it can't be. What a person has to mend
 * first is thrown as an answer that says so.
 */
export function onDatabase<T>(work: (db: Database) => T): T {
  try {
    return work(open())
  } catch (error) {
    const trouble = troubleOf(error, databaseFile())
    if (!trouble) throw error
    const answer = data(databaseText(trouble), { status: trouble.code === 'full' ? 507 : 503 })
    throw trouble.code === 'busy' ? Object.assign(answer, { [BUSY]: true }) : answer
  }
}

/** Opens the database at the start of the server, and says on the console what keeps it shut. */
export function openAtStart(then: (db: Database) => void): void {
  try {
    then(open())
  } catch (error) {
    const trouble = troubleOf(error, databaseFile())
    if (!trouble) throw error
    console.error(databaseText(trouble))
  }
}

/** Brings all into the main file and lets go of it. */
export function closeDatabase(): void {
  const held = kept.reglaDatabase
  if (!held) return
  kept.reglaDatabase = null
  for (const timer of held.timers) clearInterval(timer)
  checkpoint(held.db)
  sqliteOf(held.db).close()
  held.claim.release()
}
