import { and, desc, eq, isNull } from 'drizzle-orm'
import { materialsOf } from '~/core/patterns/materialsOf'
import { designLike, firstDesign } from '~/core/room/habit'
import type { DesignDocument, Settings, Survey } from '~/model'
import type { Database } from './db/database.server'
import { documents, jobs, rooms, walls } from './db/schema.server'
import { readableDocument, readDocument } from './documents.server'

/** The job at hand that was worked on last, with how its lengths are written: its habits are a new job's. */
export function lastJob(db: Database) {
  const job = db
    .select({ id: jobs.id, name: jobs.name, settingsId: jobs.settingsId })
    .from(jobs)
    .where(isNull(jobs.archivedAt))
    .orderBy(desc(jobs.updatedAt), desc(jobs.id))
    .limit(1)
    .get()
  const settings = job && readableDocument(db, 'settings', job.settingsId)
  if (!job || !settings) return null
  const { units, tape } = settings.body
  return { id: job.id, name: job.name, units, tape }
}

/** The settings a job has; null where there is no such job, or they can't be read. */
export function habitSettings(db: Database, jobId: string): Settings | null {
  const job = db.select({ settingsId: jobs.settingsId }).from(jobs).where(eq(jobs.id, jobId)).get()
  return (job && readableDocument(db, 'settings', job.settingsId)?.body) ?? null
}

/** The wall of a job whose layout was changed last; null where it has none that can be read. */
export function lastWall(
  db: Database,
  jobId: string,
): { id: string; name: string; design: DesignDocument } | null {
  const wall = db
    .select({ id: walls.id, name: walls.name, designId: walls.designId })
    .from(walls)
    .innerJoin(rooms, eq(walls.roomId, rooms.id))
    .innerJoin(documents, eq(walls.designId, documents.id))
    .where(and(eq(rooms.jobId, jobId), isNull(walls.archivedAt)))
    .orderBy(desc(documents.head))
    .limit(1)
    .get()
  const design = wall && readableDocument(db, 'design', wall.designId)
  return wall && design ? { id: wall.id, name: wall.name, design: design.body } : null
}

/** The design of one wall of any job; null where it can't be read. */
export function designOfWall(db: Database, wallId: string): DesignDocument | null {
  const wall = db.select({ designId: walls.designId }).from(walls).where(eq(walls.id, wallId)).get()
  return (wall && readableDocument(db, 'design', wall.designId)?.body) ?? null
}

/** Where a new wall of a job starts, laid out like a wall or like nothing yet. Stuff the job lacks is not laid out with. */
export function newDesign(
  db: Database,
  settingsId: string,
  survey: Survey,
  like: DesignDocument | null,
): DesignDocument {
  const { materials } = readDocument(db, 'settings', settingsId).body
  const has = new Set(materials.map(({ id }) => id))
  const wanted = like && designLike(like, survey)
  return wanted && materialsOf(wanted).every(({ material }) => has.has(material))
    ? wanted
    : firstDesign(survey, materials)
}
