import { and, asc, count, eq, max } from 'drizzle-orm'
import {
  changedOptions,
  type DesignDocument,
  FIRST_OPTION,
  LIMITS,
  type OptionChange,
  type WallOption,
  type WallOptions,
  withOption,
} from '~/model'
import { options } from './db/agreeSchema.server'
import { type Database, inTransaction } from './db/database.server'
import { jobs, rooms, walls } from './db/schema.server'
import { createDocument, newChange, readableDocument, readDocument, writeDocument } from './documents.server'
import { newId } from './ids.server'
import { FullError } from './full.server'
import { optionsDocument } from './namedDocuments.server'

/** An option with its design; a design that can't be read is left out and the option named. */
export interface OptionOfWall extends WallOption {
  readonly designId: string
  readonly design: DesignDocument | null
}

interface WallIds {
  readonly jobId: string
  readonly wallId: string
}

/** The options of a wall in their order, those archived too. */
export function optionsOf(db: Database, wallId: string): OptionOfWall[] {
  return db
    .select({
      id: options.id,
      name: options.name,
      designId: options.designId,
      putAwayAt: options.putAwayAt,
      chosen: walls.designId,
    })
    .from(options)
    .innerJoin(walls, eq(options.wallId, walls.id))
    .where(eq(options.wallId, wallId))
    .orderBy(asc(options.position))
    .all()
    .map(({ id, name, designId, putAwayAt, chosen }) => ({
      id,
      name,
      designId,
      chosen: chosen === designId,
      archived: putAwayAt !== null,
      design: readableDocument(db, 'design', designId)?.body ?? null,
    }))
}

/** The option that marks, cuts and buys. */
export function chosenOption(db: Database, wallId: string): string | null {
  const row = db
    .select({ id: options.id })
    .from(options)
    .innerJoin(walls, eq(options.designId, walls.designId))
    .where(eq(walls.id, wallId))
    .get()
  return row?.id ?? null
}

/** Whether a list of options names none but the wall's own, and one of them is chosen. */
export function knowsOptions(db: Database, wallId: string, { chosen, list }: WallOptions): boolean {
  const own = new Set(optionsOf(db, wallId).map(({ id }) => id))
  return list.every(({ id }) => own.has(id)) && list.some(({ id }) => id === chosen)
}

/** Gives a new wall its first option, under the wall's own id. */
export function firstOption(db: Database, wallId: string, designId: string, name = FIRST_OPTION): void {
  db.insert(options).values({ id: wallId, wallId, name, designId, position: 0 }).run()
  const list = [{ id: wallId, name, archived: false }]
  createDocument(db, { version: 1, chosen: wallId, list }, optionsDocument(wallId))
}

/** One more option of a wall with a design of its own. Throws a FullError where there is no room. */
export function addOption(db: Database, wallId: string, wanted: string, design: DesignDocument): string {
  const held = db
    .select({ all: count(), last: max(options.position) })
    .from(options)
    .where(eq(options.wallId, wallId))
    .get()
  if ((held?.all ?? 0) >= LIMITS.options) throw new FullError('options')
  const id = newId()
  const named = optionsDocument(wallId)
  const next = withOption(readDocument(db, 'options', named).body, id, wanted)
  const name = next.list.at(-1)?.name ?? wanted
  const designId = createDocument(db, design)
  const position = (held?.last ?? -1) + 1
  db.insert(options).values({ id, wallId, name, designId, position }).run()
  // nobody takes an option back by undo: it is archived
  writeDocument(db, named, next, newChange(db, '', 'made'))
  return id
}

function optionOf(db: Database, { jobId, wallId }: WallIds, optionId: string) {
  return db
    .select({ name: options.name, designId: options.designId })
    .from(options)
    .innerJoin(walls, eq(options.wallId, walls.id))
    .innerJoin(rooms, eq(walls.roomId, rooms.id))
    .where(and(eq(options.id, optionId), eq(walls.id, wallId), eq(rooms.jobId, jobId)))
    .get()
}

/** Makes an option from another one; its id, or null where there is no such option or it can't be read. */
export function copyOption(db: Database, ids: WallIds, optionId: string, name: string): string | null {
  return inTransaction(db, (tx) => {
    const from = optionOf(tx, ids, optionId)
    const design = from && readableDocument(tx, 'design', from.designId)
    return from && design ? addOption(tx, ids.wallId, name || from.name, design.body) : null
  })
}

/** Carries a change of an option out, as a change that can be undone. False where it can't be. */
export function changeOption(
  db: Database,
  ids: WallIds,
  optionId: string,
  change: OptionChange,
  made: (db: Database) => number = (tx) => newChange(tx, `wall/${optionId}`, 'done'),
): boolean {
  return inTransaction(db, (tx) => {
    if (!optionOf(tx, ids, optionId)) return false
    const named = optionsDocument(ids.wallId)
    const next = changedOptions(readDocument(tx, 'options', named).body, optionId, change)
    if (!next) return false
    writeDocument(tx, named, next, made(tx))
    tx.update(jobs).set({ updatedAt: Date.now() }).where(eq(jobs.id, ids.jobId)).run()
    return true
  })
}
