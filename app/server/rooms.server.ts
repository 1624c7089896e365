import { and, eq } from 'drizzle-orm'
import { besideOf } from '~/core/room/beside'
import {
  type PageHistory,
  type StoredDocument,
  type WallDocument,
  workpieceOf,
  type Workpiece,
} from '~/model'
import type { Database } from './db/database.server'
import { jobs, rooms } from './db/schema.server'
import { historyOf } from './history.server'
import { readableDocument } from './documents.server'
import { pageOfRoom, storedDocuments, wallsOfRoom } from './pages.server'

interface RoomIds {
  readonly jobId: string
  readonly roomId: string
}

/** All a room page shows: its walls in their order round it, walls put away left out. */
export interface RoomPage {
  readonly id: string
  readonly name: string
  readonly job: { readonly id: string; readonly name: string }
  readonly walls: readonly {
    readonly id: string
    readonly name: string
    readonly surveyId: string
    readonly designId: string
  }[]
  readonly documents: readonly StoredDocument[]
  readonly history: PageHistory
}

/** All a room page shows; null when the job has no such room. */
export function roomPage(db: Database, ids: RoomIds): RoomPage | null {
  const page = pageOfRoom(db, ids)
  const found = db
    .select({ id: rooms.id, name: rooms.name, jobId: jobs.id, jobName: jobs.name })
    .from(rooms)
    .innerJoin(jobs, eq(rooms.jobId, jobs.id))
    .where(and(eq(rooms.id, ids.roomId), eq(jobs.id, ids.jobId)))
    .get()
  if (!found || !page) return null
  return {
    id: found.id,
    name: found.name,
    job: { id: found.jobId, name: found.jobName },
    walls: wallsOfRoom(db, found.id),
    documents: storedDocuments(db, page),
    history: historyOf(db, page),
  }
}

/** A wall with what its rails meet in the corners of the room. */
export function inRoom(db: Database, own: Workpiece, roomId: string, wallId: string): Workpiece {
  const { left, right } = wallsBeside(db, roomId, wallId)
  return { ...own, beside: besideOf(own, { left: left?.wall ?? null, right: right?.wall ?? null }) }
}

/** What is planned of a wall: its documents, and what its rails meet in the corners of the room. */
export function workpieceInRoom(
  db: Database,
  documents: readonly StoredDocument[],
  roomId: string,
  wallId: string,
): Workpiece {
  return inRoom(db, workpieceOf(documents), roomId, wallId)
}

/** The walls beside a wall round the room; the only other wall is on both sides. */
export function wallsBeside(
  db: Database,
  roomId: string,
  wallId: string,
): Record<'left' | 'right', { name: string; wall: WallDocument } | null> {
  const rows = wallsOfRoom(db, roomId)
  const at = rows.findIndex(({ id }) => id === wallId)
  const beside = (by: number) => {
    const row = rows.length < 2 || at < 0 ? undefined : rows[(at + by + rows.length) % rows.length]
    // of two walls in a row there is one corner, between the first and the second
    const isWrap = rows.length === 2 && (at + by < 0 || at + by >= rows.length)
    if (!row || isWrap) return null
    // a wall beside it that can't be read keeps this one from nothing
    const [survey, design] = [
      readableDocument(db, 'survey', row.surveyId),
      readableDocument(db, 'design', row.designId),
    ]
    return survey && design ? { name: row.name, wall: { survey: survey.body, design: design.body } } : null
  }
  return { left: beside(-1), right: beside(1) }
}
