import { and, asc, desc, eq, isNull } from 'drizzle-orm'
import type { DocumentKind, StoredDocument, WallDocument } from '~/model'
import { options, photos } from './db/agreeSchema.server'
import type { Database } from './db/database.server'
import { jobs, rooms, walls } from './db/schema.server'
import { readDocument } from './documents.server'
import { optionsDocument, photoDocument } from './namedDocuments.server'

/** A document a page works on: which wall's, or the job's. */
export interface PageDocument {
  readonly id: string
  readonly kind: DocumentKind
  readonly wall: { readonly id: string; readonly name: string } | null
}

/** A page that edits: a wall, or the walls of a room. Its key is kept with every change made on it. */
export interface Page {
  readonly key: string
  readonly jobId: string
  readonly documents: readonly PageDocument[]
}

interface WallRow {
  readonly id: string
  readonly roomId: string
  readonly name: string
  readonly surveyId: string
  readonly designId: string
}

const wallRow = {
  id: walls.id,
  roomId: walls.roomId,
  name: walls.name,
  surveyId: walls.surveyId,
  designId: walls.designId,
}

/** The walls of a room in their order round it, walls put away left out. */
export function wallsOfRoom(db: Database, roomId: string): WallRow[] {
  return db
    .select(wallRow)
    .from(walls)
    .where(and(eq(walls.roomId, roomId), isNull(walls.archivedAt)))
    .orderBy(asc(walls.position))
    .all()
}

/** All walls of a job, those put away too. */
export function wallsOfJob(db: Database, jobId: string): WallRow[] {
  return db
    .select(wallRow)
    .from(walls)
    .innerJoin(rooms, eq(walls.roomId, rooms.id))
    .where(eq(rooms.jobId, jobId))
    .all()
}

/** The rooms and walls of a job by their ids, archived ones left out. */
export function placesOfJob(db: Database, jobId: string): { rooms: string[]; walls: string[] } {
  const all = db
    .select({ room: rooms.id, wall: walls.id })
    .from(rooms)
    .leftJoin(walls, and(eq(walls.roomId, rooms.id), isNull(walls.archivedAt)))
    .where(eq(rooms.jobId, jobId))
    .orderBy(asc(rooms.position), asc(walls.position))
    .all()
  return {
    rooms: [...new Set(all.map(({ room }) => room))],
    walls: all.flatMap(({ wall }) => (wall === null ? [] : [wall])),
  }
}

/** Every design of a job, of its walls and their other options, with the wall's name. */
export function designsOfJob(db: Database, jobId: string): { name: string; designId: string }[] {
  return db
    .select({ name: walls.name, designId: options.designId })
    .from(options)
    .innerJoin(walls, eq(options.wallId, walls.id))
    .innerJoin(rooms, eq(walls.roomId, rooms.id))
    .where(eq(rooms.jobId, jobId))
    .all()
}

/** A wall's two documents as one. */
export function wallDocument(
  db: Database,
  { surveyId, designId }: Pick<WallRow, 'surveyId' | 'designId'>,
): WallDocument {
  return {
    survey: readDocument(db, 'survey', surveyId).body,
    design: readDocument(db, 'design', designId).body,
  }
}

function documentsOf(rows: readonly WallRow[], settingsId: string): PageDocument[] {
  const ofWalls = rows.flatMap(({ id, name, surveyId, designId }): PageDocument[] => [
    { id: surveyId, kind: 'survey', wall: { id, name } },
    { id: designId, kind: 'design', wall: { id, name } },
  ])
  return [...ofWalls, { id: settingsId, kind: 'settings', wall: null }]
}

/** How many photographs of a wall its page holds, those archived too: whoever has one in hand goes on with it. */
const PHOTOS_HELD = 100

/** A wall's options by name, and what is put on its photographs. */
export function besideDesign(
  db: Database,
  wall: { readonly id: string; readonly name: string },
): PageDocument[] {
  const pictures = db
    .select({ id: photos.id })
    .from(photos)
    .where(eq(photos.wallId, wall.id))
    .orderBy(desc(photos.createdAt), desc(photos.id))
    .limit(PHOTOS_HELD)
    .all()
  return [
    { id: optionsDocument(wall.id), kind: 'options', wall },
    ...pictures.map(({ id }): PageDocument => ({ id: photoDocument(id), kind: 'photo', wall })),
  ]
}

/** The page of a wall with one of its options, the chosen one where none is named; null when the job has no such wall. */
export function pageOfWall(
  db: Database,
  ids: { jobId: string; wallId: string; optionId?: string },
): Page | null {
  const found = db
    .select({ ...wallRow, settingsId: jobs.settingsId, option: options.id, optionDesign: options.designId })
    .from(walls)
    .innerJoin(rooms, eq(walls.roomId, rooms.id))
    .innerJoin(jobs, eq(rooms.jobId, jobs.id))
    .innerJoin(options, eq(options.wallId, walls.id))
    .where(
      and(
        eq(walls.id, ids.wallId),
        eq(jobs.id, ids.jobId),
        ids.optionId === undefined ? eq(options.designId, walls.designId) : eq(options.id, ids.optionId),
      ),
    )
    .get()
  if (!found) return null
  const { option, optionDesign, settingsId, ...row } = found
  return {
    key: `wall/${option}`,
    jobId: ids.jobId,
    documents: [...documentsOf([{ ...row, designId: optionDesign }], settingsId), ...besideDesign(db, row)],
  }
}

/** The page of a room; null when the job has no such room. */
export function pageOfRoom(db: Database, ids: { jobId: string; roomId: string }): Page | null {
  const found = db
    .select({ settingsId: jobs.settingsId })
    .from(rooms)
    .innerJoin(jobs, eq(rooms.jobId, jobs.id))
    .where(and(eq(rooms.id, ids.roomId), eq(jobs.id, ids.jobId)))
    .get()
  if (!found) return null
  return {
    key: `room/${ids.roomId}`,
    jobId: ids.jobId,
    documents: documentsOf(wallsOfRoom(db, ids.roomId), found.settingsId),
  }
}

/** The page on which the work of a job is planned: its settings alone; null where there is no such job. */
export function pageOfWork(db: Database, { jobId }: { jobId: string }): Page | null {
  const found = db.select({ settingsId: jobs.settingsId }).from(jobs).where(eq(jobs.id, jobId)).get()
  return found ? { key: `work/${jobId}`, jobId, documents: documentsOf([], found.settingsId) } : null
}

/** A page's documents as they are now. */
export function storedDocuments(db: Database, page: Page): StoredDocument[] {
  return page.documents.map(({ id, kind }) => ({ id, kind, ...readDocument(db, kind, id) }) as StoredDocument)
}
