import { and, asc, eq, isNull } from 'drizzle-orm'
import { z } from 'zod'
import { materialsOf } from '~/core/files/readJobFile'
import {
  type Settings,
  storedWallDocument,
  type WallDocument,
  readWall,
  readSettings,
  upgradeWall,
} from '~/model'
import type { Database } from './db/database.server'
import { jobs, rooms, walls } from './db/schema.server'
import { type History, historyOf, nextChange, readDocument, writeDocument } from './documents.server'
import { stepDocuments, stepRefusal } from './steps.server'
import { wallsWithoutMaterial } from './walls.server'

interface RoomIds {
  readonly jobId: string
  readonly roomId: string
}

/** A wall of a room with the revision it was read at. */
export interface RoomWallState {
  readonly id: string
  readonly name: string
  readonly wall: WallDocument
  readonly revision: number
}

/** A room with its walls in their order round it, walls put away left out. */
export interface RoomState {
  readonly walls: readonly RoomWallState[]
  readonly settings: Settings
  readonly history: History
}

export interface RoomPageData extends RoomState {
  readonly id: string
  readonly name: string
  readonly job: { readonly id: string; readonly name: string }
}

function rowsOf(db: Database, roomId: string) {
  return db
    .select({ id: walls.id, name: walls.name, documentId: walls.documentId })
    .from(walls)
    .where(and(eq(walls.roomId, roomId), isNull(walls.archivedAt)))
    .orderBy(asc(walls.position))
    .all()
}

function findRoom(db: Database, { jobId, roomId }: RoomIds) {
  return db
    .select({
      id: rooms.id,
      name: rooms.name,
      jobId: jobs.id,
      jobName: jobs.name,
      settingsId: jobs.settingsId,
    })
    .from(rooms)
    .innerJoin(jobs, eq(rooms.jobId, jobs.id))
    .where(and(eq(rooms.id, roomId), eq(jobs.id, jobId)))
    .get()
}

function stateOf(db: Database, roomId: string, settingsId: string): RoomState {
  const rows = rowsOf(db, roomId)
  return {
    walls: rows.map(({ id, name, documentId }) => {
      const { body, revision } = readDocument(db, documentId)
      return { id, name, wall: readWall(body), revision }
    }),
    settings: readSettings(readDocument(db, settingsId).body),
    history: historyOf(
      db,
      rows.map(({ documentId }) => documentId),
    ),
  }
}

/** All a room page shows; null when the job has no such room. */
export function roomPage(db: Database, ids: RoomIds): RoomPageData | null {
  const found = findRoom(db, ids)
  if (!found) return null
  return {
    id: found.id,
    name: found.name,
    job: { id: found.jobId, name: found.jobName },
    ...stateOf(db, found.id, found.settingsId),
  }
}

const change = z.discriminatedUnion('intent', [
  z.object({
    intent: z.literal('save'),
    walls: z
      .array(
        z.object({
          id: z.string(),
          base: z.number().int().positive(),
          wall: z.preprocess(upgradeWall, storedWallDocument),
        }),
      )
      .max(60),
  }),
  z.object({ intent: z.literal('undo') }),
  z.object({ intent: z.literal('redo') }),
])

export type RoomAnswer =
  | { readonly kind: 'saved' | 'conflict'; readonly state: RoomState }
  | { readonly kind: 'refused'; readonly problems: readonly string[] }

/** Steps the room's walls back or forward by one change, unless that takes away a material in use. */
function stepRoom(
  db: Database,
  { id, jobId, settingsId }: { id: string; jobId: string; settingsId: string },
  way: 'undo' | 'redo',
): RoomAnswer {
  const outcome = stepDocuments(
    db,
    rowsOf(db, id).map(({ documentId }) => documentId),
    way,
    (tx) => stateOf(tx, id, settingsId),
    (tx, settings) => wallsWithoutMaterial(tx, jobId, settings),
  )
  return outcome.kind === 'saved' ? outcome : { kind: 'refused', problems: [stepRefusal(outcome.wallNames)] }
}

/** Saves several walls of a room as one change, or steps back or forward by one. Null when there is no such room. */
export function changeRoom(db: Database, ids: RoomIds, posted: unknown): RoomAnswer | null {
  const found = findRoom(db, ids)
  if (!found) return null
  const parsed = change.safeParse(posted)
  if (!parsed.success)
    return {
      kind: 'refused',
      problems: parsed.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`),
    }
  const request = parsed.data
  if (request.intent !== 'save') return stepRoom(db, found, request.intent)
  const { materials } = readSettings(readDocument(db, found.settingsId).body)
  const known = new Set(materials.map(({ id }) => id))
  const missing = request.walls.flatMap(({ wall }) =>
    materialsOf(wall.design).filter(({ material }) => !known.has(material)),
  )
  if (missing.length > 0)
    return {
      kind: 'refused',
      problems: missing.map(
        ({ at, material }) => `design.${at}: there is no material "${material}" in the job.`,
      ),
    }
  return db.transaction((tx): RoomAnswer => {
    const rows = rowsOf(tx, found.id)
    const moved = request.walls.some(({ id, base }) => {
      const row = rows.find((each) => each.id === id)
      return !row || readDocument(tx, row.documentId).revision !== base
    })
    if (moved) return { kind: 'conflict', state: stateOf(tx, found.id, found.settingsId) }
    const number = nextChange(tx)
    for (const { id, wall } of request.walls) {
      const row = rows.find((each) => each.id === id)
      if (!row || JSON.stringify(readDocument(tx, row.documentId).body) === JSON.stringify(wall)) continue
      writeDocument(tx, row.documentId, wall, number)
    }
    tx.update(jobs).set({ updatedAt: Date.now() }).where(eq(jobs.id, found.jobId)).run()
    return { kind: 'saved', state: stateOf(tx, found.id, found.settingsId) }
  })
}

/** The walls beside a wall round the room; the only other wall is on both sides. */
export function wallsBeside(db: Database, roomId: string, wallId: string) {
  const rows = rowsOf(db, roomId)
  const at = rows.findIndex(({ id }) => id === wallId)
  const beside = (by: number) => {
    const row = rows.length < 2 || at < 0 ? undefined : rows[(at + by + rows.length) % rows.length]
    // of two walls in a row there is one corner, between the first and the second
    const isWrap = rows.length === 2 && (at + by < 0 || at + by >= rows.length)
    return row && !isWrap ? { name: row.name, wall: readWall(readDocument(db, row.documentId).body) } : null
  }
  return { left: beside(-1), right: beside(1) }
}
