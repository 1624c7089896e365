import { and, count, eq, max } from 'drizzle-orm'
import { startInHouse } from '~/core/agree/house'
import type { TypedWall } from '~/core/files/wallLines'
import {
  blankSurvey,
  type DesignDocument,
  freeName,
  LIMITS,
  type PageHistory,
  nextName,
  type StoredDocument,
  type WallDocument,
} from '~/model'
import { type Database, inTransaction } from './db/database.server'
import { jobs, rooms, walls } from './db/schema.server'
import { createDocument, readableDocument } from './documents.server'
import { houseBookOf } from './books.server'
import { FullError } from './full.server'
import { historyOf } from './history.server'
import { designOfWall, newDesign } from './habits.server'
import { newId } from './ids.server'
import { firstOption, type OptionOfWall, optionsOf } from './options.server'
import { pageOfWall, storedDocuments, wallDocument } from './pages.server'

export { FullError }

/** All a wall page shows. */
export interface WallPage {
  readonly job: { readonly id: string; readonly name: string }
  readonly room: { readonly id: string; readonly name: string }
  readonly id: string
  readonly name: string
  readonly documents: readonly StoredDocument[]
  /** The one that is worked on, and all the wall has. */
  readonly option: string
  readonly options: readonly OptionOfWall[]
  readonly history: PageHistory
}

interface WallIds {
  readonly jobId: string
  readonly wallId: string
  /** One of the wall's options; left out, the chosen one. */
  readonly optionId?: string
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
  const all = optionsOf(db, found.id)
  const option = ids.optionId ?? all.find(({ chosen }) => chosen)?.id
  if (option === undefined) return null
  return {
    option,
    options: all,
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
  option?: string,
  id = newId(),
): string {
  const [surveyId, designId] = [createDocument(db, survey), createDocument(db, design)]
  db.insert(walls).values({ id, roomId, name, position, surveyId, designId }).run()
  firstOption(db, id, designId, option)
  return id
}

export interface NewWalls {
  readonly jobId: string
  readonly roomName: string
  /** As they were typed; those without a name get the next free one, those without a size are measured later. */
  readonly walls: readonly TypedWall[]
  /** The wall they are laid out like, of this job or another; null for none. */
  readonly like: string | null
}

function seeRoom(db: Database, roomId: string, more: number): void {
  const held = db.select({ walls: count() }).from(walls).where(eq(walls.roomId, roomId)).get()
  if ((held?.walls ?? 0) + more > LIMITS.wallsInRoom) throw new FullError('wallsInRoom')
}

function namesIn(db: Database, roomId: string): string[] {
  const rows = db.select({ name: walls.name }).from(walls).where(eq(walls.roomId, roomId)).all()
  return rows.map(({ name }) => name)
}

/** The room of that name, which is made when the job has none. Throws a FullError where there is no more room. */
function roomNamed(db: Database, jobId: string, name: string): string {
  const known = db.select().from(rooms).where(eq(rooms.jobId, jobId)).all()
  const found = known.find((room) => room.name.toLowerCase() === name.toLowerCase())
  if (found) return found.id
  if (known.length >= LIMITS.rooms) throw new FullError('rooms')
  const id = newId()
  db.insert(rooms).values({ id, jobId, name, position: known.length }).run()
  return id
}

/** New walls in a room, all of them or none. Throws a FullError where they do not all go in. */
export function createWalls(
  db: Database,
  { jobId, roomName, walls: typed, like }: NewWalls,
): { readonly roomId: string; readonly wallIds: readonly string[] } {
  return inTransaction(db, (tx) => {
    const job = tx.select({ settingsId: jobs.settingsId }).from(jobs).where(eq(jobs.id, jobId)).get()
    if (!job) throw new Error(`no job '${jobId}' to make a wall in`)
    const roomId = roomNamed(tx, jobId, roomName)
    seeRoom(tx, roomId, typed.length)
    const likeDesign = like === null ? null : designOfWall(tx, like)
    const names = namesIn(tx, roomId)
    // a wall laid out like no other begins with what the house has
    const house = likeDesign === null ? houseBookOf(tx, jobId) : []
    const settings = readableDocument(tx, 'settings', job.settingsId)?.body
    const startOf = (design: DesignDocument) =>
      house.length > 0 && settings ? startInHouse(design, house, settings) : design
    const wallIds = typed.map((wall) => {
      const name = wall.name === null ? nextName('Wall', names) : freeName(wall.name, names)
      names.push(name)
      const survey = wall.survey ?? blankSurvey()
      return insertWall(tx, roomId, name, {
        survey,
        design: startOf(newDesign(tx, job.settingsId, survey, likeDesign)),
      })
    })
    return { roomId, wallIds }
  })
}

/** The page that goes on with new walls: one to be measured, one to be laid out, or all of them together. */
export function pathAfter(
  jobId: string,
  { roomId, wallIds }: ReturnType<typeof createWalls>,
  typed: readonly TypedWall[],
): string {
  const [wallId, ...more] = wallIds
  if (more.length > 0) return `/jobs/${jobId}/rooms/${roomId}`
  return `/jobs/${jobId}/walls/${wallId}/${typed[0]?.survey ? 'layout' : 'measure'}`
}

/** A new wall, to be measured. */
export function createWall(
  db: Database,
  { jobId, roomName, name }: { jobId: string; roomName: string; name: string },
): string {
  const walls = [{ name, survey: null }]
  const [id] = createWalls(db, { jobId, roomName, walls, like: null }).wallIds
  if (id === undefined) throw new Error('one wall makes one')
  return id
}

/** A copy of a wall in the same room; null when there is no such wall. Throws a FullError where the room is full. */
export function duplicateWall(db: Database, ids: WallIds): string | null {
  const found = findWall(db, ids)
  if (!found) return null
  return inTransaction(db, (tx) => {
    seeRoom(tx, found.roomId, 1)
    const name = freeName(found.name, namesIn(tx, found.roomId))
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
