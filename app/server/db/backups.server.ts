import {
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
} from 'node:fs'
import { basename, dirname, extname, join } from 'node:path'
import SqliteDatabase from 'better-sqlite3'
import { COPIES_KEPT } from '~/model'
import { type Holdings, holdingsOf } from './holdings.server'
import { sweepHalves } from './halves.server'

/** `own`: put there under a name of somebody’s own; never taken away. */
type CopyKind = keyof typeof COPIES_KEPT | 'own'

const nameOf = (file: string) => basename(file, extname(file))

/** Where the copies of a database are kept: a folder beside it. */
export function backupFolder(file: string): string {
  return join(dirname(file), `${nameOf(file)}-copies`)
}

function kindOf(name: string): CopyKind {
  if (name.startsWith('before-update-')) return 'update'
  if (name.startsWith('before-restore-')) return 'restore'
  if (name.startsWith('copy-')) return 'hand'
  return /-\d{4}-\d{2}-\d{2}\.db$/.test(name) ? 'daily' : 'own'
}

const forName = (moment: string) => moment.replaceAll(/[:.]/g, '-')

/** What is written to the disk is there when this returns, its name too. */
function flush(path: string): void {
  const handle = openSync(path, 'r')
  try {
    fsyncSync(handle)
  } catch {
    // a folder can't be flushed everywhere
  } finally {
    closeSync(handle)
  }
}

/** Called before each step, so that a test can end it there. */
type Step = (name: string) => void
const NO_STEP: Step = () => undefined

let halves = 0
const halfOf = (to: string) => `${to}.half-${process.pid}-${(halves += 1)}`

/** A finished copy stands alone, without a log beside it; it is looked at whole, and only then has its name: whoever finds the name finds it whole. */
function asWhole(half: string, to: string, step: Step): string {
  step('made')
  const copy = new SqliteDatabase(half)
  copy.pragma('journal_mode = DELETE')
  copy.close()
  holdingsOf(half)
  flush(half)
  step('rename')
  renameSync(half, to)
  step('done')
  flush(dirname(to))
  return to
}

/**
 * Copies a database that may be in use, by SQLite's online backup: the copy is whole, as of one moment. Returns the copy's path. Killed at
 * any moment it leaves nothing under that name.
 */
export async function backUp(file: string, to: string, step = NO_STEP): Promise<string> {
  mkdirSync(dirname(to), { recursive: true })
  const half = halfOf(to)
  try {
    const source = new SqliteDatabase(file, { readonly: true, fileMustExist: true })
    try {
      await source.backup(half)
    } finally {
      source.close()
    }
    return asWhole(half, to, step)
  } catch (error) {
    sweepHalves(dirname(to), basename(half))
    throw error
  }
}

/** The same at once, of a database that nobody else writes to. */
function copyNow(file: string, to: string, step: Step): string {
  mkdirSync(dirname(to), { recursive: true })
  const half = halfOf(to)
  try {
    const sqlite = new SqliteDatabase(file)
    try {
      sqlite.prepare('vacuum into ?').run(half)
    } finally {
      sqlite.close()
    }
    return asWhole(half, to, step)
  } catch (error) {
    sweepHalves(dirname(to), basename(half))
    throw error
  }
}

/** Copies a database before it is brought to a newer schema: an older Regla can go on with the copy. Returns where. */
export function copyBeforeUpdate(file: string, moment: string, step = NO_STEP): string {
  const to = copyNow(file, join(backupFolder(file), `before-update-${forName(moment)}.db`), step)
  keepNewest(file)
  return to
}

/** Copies what stands where something is put back. Returns where. */
export function copyBeforeRestore(file: string, moment: string, step = NO_STEP): string {
  const to = copyNow(file, join(backupFolder(file), `before-restore-${forName(moment)}.db`), step)
  keepNewest(file)
  return to
}

/** The copy of a day, made once. `day` as 2030-01-31. Null where there is one already. */
export async function backUpDaily(file: string, day: string): Promise<string | null> {
  const to = join(backupFolder(file), `${nameOf(file)}-${day}.db`)
  if (existsSync(to)) return null
  await backUp(file, to)
  keepNewest(file)
  return to
}

const copyNames = (folder: string) =>
  existsSync(folder) ? readdirSync(folder).filter((name) => name.endsWith('.db')) : []

/** Takes away the oldest copies beyond what is kept of each kind: their names begin with what they are and go on with when. */
export function keepNewest(file: string): void {
  const folder = backupFolder(file)
  const names = copyNames(folder).sort()
  for (const [kind, most] of Object.entries(COPIES_KEPT))
    for (const old of names.filter((name) => kindOf(name) === kind).slice(0, -most)) rmSync(join(folder, old))
}

/** A copy there is, and what it holds; null where it can't be read. */
export interface KeptCopy {
  readonly path: string
  readonly kind: CopyKind
  readonly holds: Holdings | null
}

/** The copies of a database by their newest change, the newest first; those that can't be read last. */
export function copiesOf(file: string): KeptCopy[] {
  const folder = backupFolder(file)
  return copyNames(folder)
    .map((name): KeptCopy => {
      const path = join(folder, name)
      try {
        return { path, kind: kindOf(name), holds: holdingsOf(path) }
      } catch {
        return { path, kind: kindOf(name), holds: null }
      }
    })
    .sort((a, b) => (b.holds?.newest ?? 0) - (a.holds?.newest ?? 0) || a.path.localeCompare(b.path))
}

/** What is left where a database was: copies of it, and what an older Regla put aside. Empty where none ever was. */
export function leftOf(file: string): string[] {
  const folder = backupFolder(file)
  const beside = existsSync(dirname(file)) ? readdirSync(dirname(file)) : []
  const own = basename(file)
  return [
    ...copyNames(folder).map((name) => join(folder, name)),
    ...beside
      .filter((name) => name.startsWith(`${own}.before-`) && !/-(wal|shm)$/.test(name))
      .map((name) => join(dirname(file), name)),
  ]
}
