import { and, asc, count, eq, max } from 'drizzle-orm'
import { FIRST_OPTION, freeName, LIMITS, type DesignDocument, type WallOption } from '~/model'
import { options } from './db/agreeSchema.server'
import { type Database, inTransaction } from './db/database.server'
import { jobs, rooms, walls } from './db/schema.server'
import { createDocument, readableDocument } from './documents.server'
import { newId } from './ids.server'
import { FullError } from './full.server'

/** An option with its design; a design that can't be read is left out and the option named. */
export interface OptionOfWall extends WallOption {
  readonly designId: string
  readonly design: DesignDocument | null
}

interface WallIds {
  readonly jobId: string
  readonly wallId: string
}

/** The options of a wall in their order, those put away too. */
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
      putAway: putAwayAt !== null,
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

/** Gives a new wall its first option, under the wall's own id. */
export function firstOption(db: Database, wallId: string, designId: string, name = FIRST_OPTION): void {
  db.insert(options).values({ id: wallId, wallId, name, designId, position: 0 }).run()
}

/** One more option of a wall with a design of its own. Throws a FullError where there is no room. */
export function addOption(db: Database, wallId: string, wanted: string, design: DesignDocument): string {
  const held = db
    .select({ all: count(), last: max(options.position) })
    .from(options)
    .where(eq(options.wallId, wallId))
    .get()
  if ((held?.all ?? 0) >= LIMITS.options) throw new FullError('options')
  const names = db.select({ name: options.name }).from(options).where(eq(options.wallId, wallId)).all()
  const id = newId()
  db.insert(options)
    .values({
      id,
      wallId,
      name: freeName(
        wanted,
        names.map(({ name }) => name),
      ),
      designId: createDocument(db, design),
      position: (held?.last ?? -1) + 1,
    })
    .run()
  return id
}

function optionOf(db: Database, { jobId, wallId }: WallIds, optionId: string) {
  return db
    .select({ id: options.id, name: options.name, designId: options.designId, chosen: walls.designId })
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

/** What another window did meanwhile that this one was not shown: it chose another option, or named this one. */
export type OptionMoved = { readonly kind: 'chosen' | 'named'; readonly name: string }

/**
 * Whether what is asked for goes by what is there: `was` is the chosen option's id where one is chosen, the name where one is renamed, as the
 * page showed it. Null where it does, or where the page does not say.
 */
export function movedSince(
  db: Database,
  ids: WallIds,
  optionId: string,
  change: OptionChange,
  was: string | null,
): OptionMoved | null {
  if (was === null) return null
  if (change.kind === 'choose') {
    const chosen = chosenOption(db, ids.wallId)
    if (chosen === was || chosen === optionId || chosen === null) return null
    return { kind: 'chosen', name: optionOf(db, ids, chosen)?.name ?? '' }
  }
  const now = change.kind === 'rename' ? optionOf(db, ids, optionId)?.name : undefined
  if (now === undefined || now === was || (change.kind === 'rename' && now === change.name)) return null
  return { kind: 'named', name: now }
}

/** What is done to an option as a whole. The chosen one is not put away: null says so, as where there is no such option. */
export type OptionChange =
  { readonly kind: 'rename'; readonly name: string } | { readonly kind: 'putAway' | 'bringBack' | 'choose' }

/** Carries a change of an option out. False where it can't be. */
export function changeOption(db: Database, ids: WallIds, optionId: string, change: OptionChange): boolean {
  return inTransaction(db, (tx) => {
    const option = optionOf(tx, ids, optionId)
    if (!option) return false
    const set = (values: Partial<typeof options.$inferInsert>) =>
      tx.update(options).set(values).where(eq(options.id, optionId)).run()
    switch (change.kind) {
      case 'rename': {
        const others = tx
          .select({ id: options.id, name: options.name })
          .from(options)
          .where(eq(options.wallId, ids.wallId))
          .all()
          .flatMap(({ id, name }) => (id === optionId ? [] : [name]))
        set({ name: freeName(change.name, others) })
        return true
      }
      case 'putAway':
        if (option.designId === option.chosen) return false
        set({ putAwayAt: Date.now() })
        return true
      case 'bringBack':
        set({ putAwayAt: null })
        return true
      case 'choose':
        set({ putAwayAt: null })
        tx.update(walls).set({ designId: option.designId }).where(eq(walls.id, ids.wallId)).run()
        tx.update(jobs).set({ updatedAt: Date.now() }).where(eq(jobs.id, ids.jobId)).run()
        return true
    }
  })
}
