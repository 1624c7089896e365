import { and, eq } from 'drizzle-orm'
import { changeRow, type JobNames, type NameClash } from '~/model'
import { patternBook } from './db/agreeSchema.server'
import { type Database, inTransaction } from './db/database.server'
import { jobs, rooms, walls } from './db/schema.server'

/** Another name, and the one it had where it was typed: null of a page that does not say. */
export interface Naming {
  readonly was: string | null
  readonly name: string
}

/** What came of it: named, called something else meanwhile by another window, or there is no such thing. */
export type Named =
  { readonly kind: 'named' | 'missing' } | { readonly kind: 'clash'; readonly clash: NameClash }

/** Gives what is called `now` another name, where nobody gave it a third one since. */
function named(now: string | undefined, { was, name }: Naming, set: (name: string) => void): Named {
  if (now === undefined) return { kind: 'missing' }
  const changed = changeRow({ name: was ?? now }, { name }, { name: now })
  if ('clash' in changed) return { kind: 'clash', clash: changed.clash }
  set(changed.row.name)
  return { kind: 'named' }
}

export function renameWall(db: Database, wallId: string, naming: Naming): Named {
  return inTransaction(db, (tx) => {
    const own = eq(walls.id, wallId)
    const row = tx.select({ name: walls.name }).from(walls).where(own).get()
    return named(row?.name, naming, (name) => void tx.update(walls).set({ name }).where(own).run())
  })
}

export function renameRoom(db: Database, jobId: string, roomId: string, naming: Naming): Named {
  return inTransaction(db, (tx) => {
    const own = and(eq(rooms.id, roomId), eq(rooms.jobId, jobId))
    const row = tx.select({ name: rooms.name }).from(rooms).where(own).get()
    return named(row?.name, naming, (name) => void tx.update(rooms).set({ name }).where(own).run())
  })
}

/** Gives an entry of the pattern book another name. */
export function renameLayout(db: Database, id: string, naming: Naming): Named {
  return inTransaction(db, (tx) => {
    const own = eq(patternBook.id, id)
    const row = tx.select({ name: patternBook.name }).from(patternBook).where(own).get()
    return named(row?.name, naming, (name) => void tx.update(patternBook).set({ name }).where(own).run())
  })
}

/** Changes what a job is called or whom it is for; what a page did not change of it stays as others left it. Null where it is done. */
export function renameJob(
  db: Database,
  jobId: string,
  was: JobNames | null,
  mine: JobNames,
): (keyof JobNames)[] | null {
  return inTransaction(db, (tx) => {
    const now = tx.select({ name: jobs.name, client: jobs.client }).from(jobs).where(eq(jobs.id, jobId)).get()
    if (!now) return null
    const changed = changeRow(was ?? now, mine, now)
    if ('clash' in changed) return [...changed.clash.fields]
    tx.update(jobs)
      .set({ ...changed.row, updatedAt: Date.now() })
      .where(eq(jobs.id, jobId))
      .run()
    return null
  })
}
