import { and, count, eq, max } from 'drizzle-orm'
import {
  blankSurvey,
  type Counted,
  LIMITS,
  type PageHistory,
  startingDesign,
  type StoredDocument,
  type WallDocument,
} from '~/model'
import { type Database, inTransaction } from './db/database.server'
import { jobs, rooms, walls } from './db/schema.server'
import { createDocument, readDocument } from './documents.server'
import { historyOf } from './history.server'
import { copyName, newId } from './ids.server'
import { pageOfWall, storedDocuments, wallDocument } from './pages.server'

/** All a wall page shows. */
export interface WallPage {
  readonly job: { readonly id: string; readonly name: string }
  readonly room: { readonly id: string; readonly name: string }
  readonly id: string
  readonly name: string
  readonly documents: readonly StoredDocument[]
  readonly history: PageHistory
}

interface WallIds {
  readonly jobId: string
  readonly wallId: string
}

function findWall(db: Database, { jobId, wallId }: WallIds) {
  return db
    .select({
      id: walls.id,
      name: walls.name,
      roomId: rooms.id,
      roomName: rooms.name,
      jobId: jobs.id,
      jobName: jobs.name,
      surveyId: walls.surveyId,
      designId: walls.designId,
    })
    .from(walls)
    .innerJoin(rooms, eq(walls.roomId, rooms.id))
    .innerJoin(jobs, eq(rooms.jobId, jobs.id))
    .where(and(eq(walls.id, wallId), eq(jobs.id, jobId)))
    .get()
}

export function wallExists(db: Database, ids: WallIds): boolean {
  return findWall(db, ids) !== undefined
}

/** A wall's name and where it is, whether it can be read or not. */
export function wallNamed(db: Database, ids: WallIds) {
  const found = findWall(db, ids)
  return found && { id: found.id, name: found.name, job: { id: found.jobId, name: found.jobName } }
}

/** All a wall page shows; null when the job has no such wall. */
export function wallPage(db: Database, ids: WallIds): WallPage | null {
  const [found, page] = [findWall(db, ids), pageOfWall(db, ids)]
  if (!found || !page) return null
  return {
    id: found.id,
    name: found.name,
    room: { id: found.roomId, name: found.roomName },
    job: { id: found.jobId, name: found.jobName },
    documents: storedDocuments(db, page),
    history: historyOf(db, page),
  }
}

function nextPosition(db: Database, roomId: string): number {
  const row = db
    .select({ last: max(walls.position) })
    .from(walls)
    .where(eq(walls.roomId, roomId))
    .get()
  return (row?.last ?? -1) + 1
}

/** Puts a wall last in a room, its survey and its design as documents of their own. */
export function insertWall(
  db: Database,
  roomId: string,
  name: string,
  { survey, design }: WallDocument,
  position = nextPosition(db, roomId),
): string {
  const id = newId()
  const [surveyId, designId] = [createDocument(db, survey), createDocument(db, design)]
  db.insert(walls).values({ id, roomId, name, position, surveyId, designId }).run()
  return id
}

export interface NewWall {
  readonly jobId: string
  readonly roomName: string
  readonly name: string
}

/** Thrown where one more does not go in. */
export class FullError extends Error {
  constructor(readonly what: Extract<Counted, 'rooms' | 'wallsInRoom'>) {
    super(`${what}: ${LIMITS[what]} is the most`)
  }
}

function seeRoom(db: Database, roomId: string): void {
  const held = db.select({ walls: count() }).from(walls).where(eq(walls.roomId, roomId)).get()
  if ((held?.walls ?? 0) >= LIMITS.wallsInRoom) throw new FullError('wallsInRoom')
}

/** A new wall, in the room of that name, which is made when the job has none. Throws a FullError where there is no more room. */
export function createWall(db: Database, { jobId, roomName, name }: NewWall): string {
  return inTransaction(db, (tx) => {
    const known = tx.select().from(rooms).where(eq(rooms.jobId, jobId)).all()
    let roomId = known.find((room) => room.name.toLowerCase() === roomName.toLowerCase())?.id
    if (!roomId) {
      if (known.length >= LIMITS.rooms) throw new FullError('rooms')
      roomId = newId()
      tx.insert(rooms).values({ id: roomId, jobId, name: roomName, position: known.length }).run()
    }
    const job = tx.select({ settingsId: jobs.settingsId }).from(jobs).where(eq(jobs.id, jobId)).get()
    if (!job) throw new Error(`no job '${jobId}' to make a wall in`)
    const { materials } = readDocument(tx, 'settings', job.settingsId).body
    seeRoom(tx, roomId)
    return insertWall(tx, roomId, name, { survey: blankSurvey(), design: startingDesign(materials) })
  })
}

/** A copy of a wall in the same room; null when there is no such wall. Throws a FullError where the room is full. */
export function duplicateWall(db: Database, ids: WallIds): string | null {
  const found = findWall(db, ids)
  if (!found) return null
  return inTransaction(db, (tx) => {
    seeRoom(tx, found.roomId)
    const name = copyName(found.name)
    return insertWall(tx, found.roomId, name, wallDocument(tx, found))
  })
}

/** Puts a wall away, or brings it back. */
export function archiveWall(db: Database, wallId: string, away: boolean): void {
  db.update(walls)
    .set({ archivedAt: away ? Date.now() : null })
    .where(eq(walls.id, wallId))
    .run()
}
