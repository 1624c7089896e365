import { and, eq, max } from 'drizzle-orm'
import { materialsOf } from '~/core/files/readJobFile'
import {
  blankSurvey,
  type Settings,
  startingDesign,
  type WallDocument,
  readWall,
  readSettings,
} from '~/model'
import type { Database } from './db/database.server'
import { jobs, rooms, walls } from './db/schema.server'
import {
  createDocument,
  type History,
  historyOf,
  nextChange,
  readDocument,
  writeDocument,
} from './documents.server'
import { newId } from './ids.server'
import { stepDocuments, type Stepped } from './steps.server'

/** The two documents a wall page edits, with the revisions they were read at. */
export interface WallState {
  readonly wall: WallDocument
  readonly settings: Settings
  readonly revisions: { readonly wall: number; readonly settings: number }
  readonly history: History
}

export interface WallPage extends WallState {
  readonly job: { readonly id: string; readonly name: string }
  readonly room: { readonly id: string; readonly name: string }
  readonly id: string
  readonly name: string
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
      documentId: walls.documentId,
      settingsId: jobs.settingsId,
    })
    .from(walls)
    .innerJoin(rooms, eq(walls.roomId, rooms.id))
    .innerJoin(jobs, eq(rooms.jobId, jobs.id))
    .where(and(eq(walls.id, wallId), eq(jobs.id, jobId)))
    .get()
}

function stateOf(db: Database, documentId: string, settingsId: string): WallState {
  const wall = readDocument(db, documentId)
  const settings = readDocument(db, settingsId)
  return {
    wall: readWall(wall.body),
    settings: readSettings(settings.body),
    revisions: { wall: wall.revision, settings: settings.revision },
    history: historyOf(db, [documentId, settingsId]),
  }
}

/** All a wall page shows; null when the job has no such wall. */
export function wallPage(db: Database, ids: WallIds): WallPage | null {
  const found = findWall(db, ids)
  if (!found) return null
  return {
    id: found.id,
    name: found.name,
    room: { id: found.roomId, name: found.roomName },
    job: { id: found.jobId, name: found.jobName },
    ...stateOf(db, found.documentId, found.settingsId),
  }
}

export interface Save {
  readonly base: { readonly wall: number; readonly settings: number }
  readonly wall: WallDocument
  readonly settings: Settings
  /** Save although somebody else saved since `base`. */
  readonly overwrite: boolean
}

export type SaveOutcome = { readonly kind: 'saved' | 'conflict'; readonly state: WallState }

/** Appends what changed; refuses when another window saved in between. Null when there is no such wall. */
export function saveWall(db: Database, ids: WallIds, save: Save): SaveOutcome | null {
  const found = findWall(db, ids)
  if (!found) return null
  return db.transaction((tx) => {
    const before = stateOf(tx, found.documentId, found.settingsId)
    const moved = before.revisions.wall !== save.base.wall || before.revisions.settings !== save.base.settings
    if (moved && !save.overwrite) return { kind: 'conflict' as const, state: before }
    const change = nextChange(tx)
    if (JSON.stringify(before.wall) !== JSON.stringify(save.wall))
      writeDocument(tx, found.documentId, save.wall, change)
    if (JSON.stringify(before.settings) !== JSON.stringify(save.settings))
      writeDocument(tx, found.settingsId, save.settings, change)
    tx.update(jobs).set({ updatedAt: Date.now() }).where(eq(jobs.id, found.jobId)).run()
    return { kind: 'saved' as const, state: stateOf(tx, found.documentId, found.settingsId) }
  })
}

/** Walls of the job that name a material its settings do not have. */
export function wallsWithoutMaterial(db: Database, jobId: string, settings: Settings): string[] {
  const known = new Set(settings.materials.map(({ id }) => id))
  return db
    .select({ name: walls.name, documentId: walls.documentId })
    .from(walls)
    .innerJoin(rooms, eq(walls.roomId, rooms.id))
    .where(eq(rooms.jobId, jobId))
    .all()
    .filter(({ documentId }) => {
      const { design } = readWall(readDocument(db, documentId).body)
      return materialsOf(design).some(({ material }) => !known.has(material))
    })
    .map(({ name }) => name)
}

/**
 * Steps the wall's and the job's documents back or forward by one change. Not done where it would take away a
 * material another wall is made of. Null when there is no such wall.
 */
export function stepWall(db: Database, ids: WallIds, way: 'undo' | 'redo'): Stepped<WallState> | null {
  const found = findWall(db, ids)
  if (!found) return null
  const { documentId, settingsId, jobId } = found
  return stepDocuments(
    db,
    [documentId, settingsId],
    way,
    (tx) => stateOf(tx, documentId, settingsId),
    (tx, settings) => wallsWithoutMaterial(tx, jobId, settings),
  )
}

function nextPosition(db: Database, roomId: string): number {
  const row = db
    .select({ last: max(walls.position) })
    .from(walls)
    .where(eq(walls.roomId, roomId))
    .get()
  return (row?.last ?? -1) + 1
}

export interface NewWall {
  readonly jobId: string
  readonly roomName: string
  readonly name: string
}

/** A new wall, in the room of that name, which is made when the job has none. */
export function createWall(db: Database, { jobId, roomName, name }: NewWall): string {
  return db.transaction((tx) => {
    const known = tx.select().from(rooms).where(eq(rooms.jobId, jobId)).all()
    let roomId = known.find((room) => room.name.toLowerCase() === roomName.toLowerCase())?.id
    if (!roomId) {
      roomId = newId()
      tx.insert(rooms).values({ id: roomId, jobId, name: roomName, position: known.length }).run()
    }
    const job = tx.select({ settingsId: jobs.settingsId }).from(jobs).where(eq(jobs.id, jobId)).get()
    if (!job) throw new Error(`no job '${jobId}' to make a wall in`)
    const { materials } = readSettings(readDocument(tx, job.settingsId).body)
    const documentId = createDocument(tx, { survey: blankSurvey(), design: startingDesign(materials) })
    const id = newId()
    tx.insert(walls)
      .values({ id, roomId, name, position: nextPosition(tx, roomId), documentId })
      .run()
    return id
  })
}

/** A copy of a wall in the same room; null when there is no such wall. */
export function duplicateWall(db: Database, ids: WallIds): string | null {
  const found = findWall(db, ids)
  if (!found) return null
  return db.transaction((tx) => {
    const documentId = createDocument(tx, readDocument(tx, found.documentId).body)
    const id = newId()
    const name = `${found.name} (copy)`.slice(0, 80)
    tx.insert(walls)
      .values({ id, roomId: found.roomId, name, position: nextPosition(tx, found.roomId), documentId })
      .run()
    return id
  })
}

export function renameWall(db: Database, wallId: string, name: string): void {
  db.update(walls).set({ name }).where(eq(walls.id, wallId)).run()
}

/** Puts a wall away, or brings it back. */
export function archiveWall(db: Database, wallId: string, away: boolean): void {
  db.update(walls)
    .set({ archivedAt: away ? Date.now() : null })
    .where(eq(walls.id, wallId))
    .run()
}
