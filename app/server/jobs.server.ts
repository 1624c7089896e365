import { and, asc, desc, eq, isNotNull, isNull, like, or } from 'drizzle-orm'
import { type JobFile, type Settings, startingSettings } from '~/model'
import { type Database } from './db/database.server'
import { jobs, rooms, walls } from './db/schema.server'
import { createDocument, readDocument } from './documents.server'
import { newId } from './ids.server'
import { wallDocument } from './pages.server'
import { insertWall } from './walls.server'

export interface JobSummary {
  readonly id: string
  readonly name: string
  readonly client: string
  readonly wallCount: number
  readonly updatedAt: number
  readonly archived: boolean
}

export interface WallSummary {
  readonly id: string
  readonly name: string
  readonly archived: boolean
}

export interface JobDetail {
  readonly id: string
  readonly name: string
  readonly client: string
  readonly archived: boolean
  readonly settings: Settings
  readonly rooms: readonly {
    readonly id: string
    readonly name: string
    readonly walls: readonly WallSummary[]
  }[]
}

/** Jobs, newest first; those put away or those at hand, found by name or client. */
export function listJobs(
  db: Database,
  { archived, search }: { archived: boolean; search: string },
): JobSummary[] {
  const words = `%${search.replace(/[%_]/g, '')}%`
  const rows = db
    .select()
    .from(jobs)
    .where(
      and(
        archived ? isNotNull(jobs.archivedAt) : isNull(jobs.archivedAt),
        or(like(jobs.name, words), like(jobs.client, words)),
      ),
    )
    .orderBy(desc(jobs.updatedAt))
    .all()
  return rows.map((job) => ({
    id: job.id,
    name: job.name,
    client: job.client,
    updatedAt: job.updatedAt,
    archived: job.archivedAt !== null,
    wallCount: db
      .select({ id: walls.id })
      .from(walls)
      .innerJoin(rooms, eq(walls.roomId, rooms.id))
      .where(and(eq(rooms.jobId, job.id), isNull(walls.archivedAt)))
      .all().length,
  }))
}

export interface NewJob {
  readonly name: string
  readonly client: string
  readonly units: Settings['units']
  readonly tape: Settings['tape']
}

export function createJob(db: Database, { name, client, units, tape }: NewJob): string {
  return db.transaction((tx) => insertJob(tx, newId(), name, client, startingSettings(units, tape)))
}

function insertJob(db: Database, id: string, name: string, client: string, settings: Settings): string {
  const now = Date.now()
  const settingsId = createDocument(db, settings)
  db.insert(jobs).values({ id, name, client, settingsId, createdAt: now, updatedAt: now }).run()
  return id
}

/** A job with its rooms and walls; null when there is no such job. */
export function jobDetail(db: Database, jobId: string): JobDetail | null {
  const job = db.select().from(jobs).where(eq(jobs.id, jobId)).get()
  if (!job) return null
  return {
    id: job.id,
    name: job.name,
    client: job.client,
    archived: job.archivedAt !== null,
    settings: readDocument(db, 'settings', job.settingsId).body,
    rooms: db
      .select()
      .from(rooms)
      .where(eq(rooms.jobId, jobId))
      .orderBy(asc(rooms.position))
      .all()
      .map((room) => ({
        id: room.id,
        name: room.name,
        walls: db
          .select()
          .from(walls)
          .where(eq(walls.roomId, room.id))
          .orderBy(asc(walls.position))
          .all()
          .map((wall) => ({ id: wall.id, name: wall.name, archived: wall.archivedAt !== null })),
      })),
  }
}

export function jobExists(db: Database, jobId: string): boolean {
  return db.select({ id: jobs.id }).from(jobs).where(eq(jobs.id, jobId)).get() !== undefined
}

export function renameJob(db: Database, jobId: string, name: string, client: string): void {
  db.update(jobs).set({ name, client, updatedAt: Date.now() }).where(eq(jobs.id, jobId)).run()
}

/** Puts a job away, or brings it back. Nothing is ever deleted. */
export function archiveJob(db: Database, jobId: string, away: boolean): void {
  db.update(jobs)
    .set({ archivedAt: away ? Date.now() : null })
    .where(eq(jobs.id, jobId))
    .run()
}

/** The whole job as one document, walls put away left out; null when there is no such job. */
export function exportJob(db: Database, jobId: string): JobFile | null {
  const detail = jobDetail(db, jobId)
  if (!detail) return null
  return {
    format: 'regla-job',
    version: 2,
    name: detail.name,
    client: detail.client,
    settings: detail.settings,
    rooms: detail.rooms.map((room) => ({
      id: room.id,
      name: room.name,
      walls: room.walls
        .filter((wall) => !wall.archived)
        .map((wall) => {
          const row = db.select().from(walls).where(eq(walls.id, wall.id)).get()
          if (!row) throw new Error(`wall '${wall.id}' went away while it was exported`)
          return {
            id: wall.id,
            name: wall.name,
            ...wallDocument(db, row),
          }
        }),
    })),
  }
}

/** Takes a job file in as a new job, all of it or nothing. Rooms and walls get identifiers of their own. */
export function importJob(db: Database, file: JobFile, id = newId()): string {
  return db.transaction((tx) => {
    insertJob(tx, id, file.name, file.client, file.settings)
    file.rooms.forEach((room, roomPosition) => {
      const roomId = newId()
      tx.insert(rooms).values({ id: roomId, jobId: id, name: room.name, position: roomPosition }).run()
      room.walls.forEach(({ name, survey, design }, position) => {
        insertWall(tx, roomId, name, { survey, design }, position)
      })
    })
    return id
  })
}

/** A copy of a job under a new name; null when there is no such job. */
export function duplicateJob(db: Database, jobId: string): string | null {
  const file = exportJob(db, jobId)
  return file && importJob(db, { ...file, name: `${file.name} (copy)`.slice(0, 80) })
}
