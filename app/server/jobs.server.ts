import { habitOfWork, withPlaces } from '~/core/sequence/workOfJob'
import { and, asc, count, desc, eq, inArray, isNotNull, isNull, like, or } from 'drizzle-orm'
import { alias } from 'drizzle-orm/sqlite-core'
import { freeName, type JobFile, type Settings, startingSettings } from '~/model'
import { type Database, inTransaction } from './db/database.server'
import { documents, jobs, rooms, walls } from './db/schema.server'
import { createDocument, readDocument } from './documents.server'
import { habitSettings } from './habits.server'
import { newId } from './ids.server'
import { addOption, optionsOf } from './options.server'
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
  readonly settingsId: string
  readonly rooms: readonly {
    readonly id: string
    readonly name: string
    readonly walls: readonly WallSummary[]
  }[]
}

/** How many jobs a page shows. */
const JOBS_A_PAGE = 40

/** One page of jobs, newest first; those put away or those at hand, found by name or client. Pages count from 1. */
export function listJobs(
  db: Database,
  { archived, search, page: wanted = 1 }: { archived: boolean; search: string; page?: number },
): { readonly jobs: readonly JobSummary[]; readonly page: number; readonly pages: number } {
  const words = `%${search.replace(/[%_]/g, '')}%`
  const among = and(
    archived ? isNotNull(jobs.archivedAt) : isNull(jobs.archivedAt),
    or(like(jobs.name, words), like(jobs.client, words)),
  )
  const pages = Math.max(
    1,
    Math.ceil((db.select({ jobs: count() }).from(jobs).where(among).get()?.jobs ?? 0) / JOBS_A_PAGE),
  )
  const page = Math.min(pages, Math.max(1, Math.floor(wanted) || 1))
  const rows = db
    .select({
      id: jobs.id,
      name: jobs.name,
      client: jobs.client,
      updatedAt: jobs.updatedAt,
      archivedAt: jobs.archivedAt,
      wallCount: count(walls.id),
    })
    .from(jobs)
    .leftJoin(rooms, eq(rooms.jobId, jobs.id))
    .leftJoin(walls, and(eq(walls.roomId, rooms.id), isNull(walls.archivedAt)))
    .where(among)
    .groupBy(jobs.id)
    .orderBy(desc(jobs.updatedAt), desc(jobs.id))
    .limit(JOBS_A_PAGE)
    .offset((page - 1) * JOBS_A_PAGE)
    .all()
  return {
    page,
    pages,
    jobs: rows.map(({ archivedAt, ...job }) => ({ ...job, archived: archivedAt !== null })),
  }
}

export interface NewJob {
  readonly name: string
  readonly client: string
  readonly units: Settings['units']
  readonly tape: Settings['tape']
  /** The job whose habits it takes; null for none. */
  readonly habits?: string | null
}

/** A new job, with the habits of another (its stuff, boards, prices and tolerances) or Regla's own. */
export function createJob(db: Database, { name, client, units, tape, habits }: NewJob): string {
  const known = habits ? habitSettings(db, habits) : null
  const settings = known
    ? { ...known, units, tape, work: habitOfWork(known.work) }
    : startingSettings(units, tape)
  return inTransaction(db, (tx) => insertJob(tx, newId(), name, client, settings))
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
    settingsId: job.settingsId,
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
    settings: readDocument(db, 'settings', detail.settingsId).body,
    rooms: detail.rooms.map((room) => ({
      id: room.id,
      name: room.name,
      walls: room.walls
        .filter((wall) => !wall.archived)
        .map((wall) => {
          const row = db.select().from(walls).where(eq(walls.id, wall.id)).get()
          if (!row) throw new Error(`wall '${wall.id}' went away while it was exported`)
          const others = optionsOf(db, wall.id)
          const kept = others.flatMap(({ name, chosen, archived, design }) =>
            chosen || archived || !design ? [] : [{ name, design }],
          )
          const option = others.find(({ chosen }) => chosen)?.name
          return {
            id: wall.id,
            name: wall.name,
            ...wallDocument(db, row),
            // a wall of one design says nothing of options
            ...(kept.length > 0 && option !== undefined ? { option, options: kept } : {}),
          }
        }),
    })),
  }
}

/** Takes a job file in as a new job, all of it or nothing. Rooms and walls get identifiers of their own. */
export function importJob(db: Database, file: JobFile, id = newId()): string {
  return inTransaction(db, (tx) => {
    const ids = {
      room: new Map(file.rooms.map((room) => [room.id, newId()])),
      wall: new Map(file.rooms.flatMap(({ walls: own }) => own.map((wall) => [wall.id, newId()]))),
    }
    // what is planned speaks of rooms and walls by the names they get here
    const work = withPlaces(file.settings.work, (scope, of) => ids[scope].get(of) ?? of)
    insertJob(tx, id, file.name, file.client, { ...file.settings, work })
    const used = new Set<string>()
    const given = (scope: 'room' | 'wall', of: string) => {
      const known = ids[scope].get(of)
      const own = known === undefined || used.has(known) ? newId() : known
      used.add(own)
      return own
    }
    file.rooms.forEach((room, roomPosition) => {
      const roomId = given('room', room.id)
      tx.insert(rooms).values({ id: roomId, jobId: id, name: room.name, position: roomPosition }).run()
      room.walls.forEach(({ id: of, name, survey, design, option, options }, position) => {
        const wallId = given('wall', of)
        insertWall(tx, roomId, name, { survey, design }, position, option, wallId)
        for (const other of options ?? []) addOption(tx, wallId, other.name, other.design)
      })
    })
    return id
  })
}

/** A copy of a job under a new name; null when there is no such job. */
export function duplicateJob(db: Database, jobId: string): string | null {
  const file = exportJob(db, jobId)
  const names = db.select({ name: jobs.name }).from(jobs).all()
  return (
    file &&
    importJob(db, {
      ...file,
      name: freeName(
        file.name,
        names.map(({ name }) => name),
      ),
    })
  )
}

/** Walls of a job that a list shows at most. */
const GLIMPSES = 4

/** The first walls at hand of each of these jobs, and by the revisions of their documents which version their drawing is of. */
export function wallGlimpses(
  db: Database,
  jobIds: readonly string[],
): Map<string, { readonly wallIds: readonly string[]; readonly version: string }> {
  const survey = alias(documents, 'survey')
  const design = alias(documents, 'design')
  const settings = alias(documents, 'settings')
  const rows = db
    .select({
      jobId: rooms.jobId,
      id: walls.id,
      survey: survey.head,
      design: design.head,
      settings: settings.head,
    })
    .from(walls)
    .innerJoin(rooms, eq(walls.roomId, rooms.id))
    .innerJoin(jobs, eq(rooms.jobId, jobs.id))
    .innerJoin(survey, eq(walls.surveyId, survey.id))
    .innerJoin(design, eq(walls.designId, design.id))
    .innerJoin(settings, eq(jobs.settingsId, settings.id))
    .where(and(inArray(rooms.jobId, [...jobIds]), isNull(walls.archivedAt)))
    .orderBy(asc(rooms.position), asc(walls.position))
    .all()
  const byJob = new Map<string, typeof rows>()
  for (const row of rows) {
    const shown = byJob.get(row.jobId) ?? []
    if (shown.length < GLIMPSES) byJob.set(row.jobId, [...shown, row])
  }
  return new Map(
    [...byJob].map(([jobId, shown]) => [
      jobId,
      {
        wallIds: shown.map(({ id }) => id),
        // a wall renamed or put away shows others: what is drawn is named by all of it
        version: `${shown[0]?.settings}-${shown.map((wall) => `${wall.survey}.${wall.design}`).join('-')}`,
      },
    ]),
  )
}
