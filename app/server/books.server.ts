import { and, asc, count, eq, isNull } from 'drizzle-orm'
import { z } from 'zod'
import { materialsOf } from '~/core/patterns/materialsOf'
import {
  type BookLayout,
  type DesignDocument,
  houseNoteSchema,
  inForce,
  LIMITS,
  materialSchema,
  PAINT_USES,
  paintSchema,
  readBody,
  type Settings,
  storedLength,
} from '~/model'
import { houseBook, patternBook } from './db/agreeSchema.server'
import type { Database } from './db/database.server'
import { FullError } from './full.server'
import { newId } from './ids.server'

const LAYOUT = z.object({
  design: z.unknown(),
  materials: z.array(materialSchema(storedLength)),
  paints: z.array(paintSchema()),
})

/** An entry of the pattern book. */
export interface KeptLayout extends BookLayout {
  readonly id: string
  readonly name: string
  readonly keptAt: number
}

/** The crew's pattern book by name. What can't be read any more is left out. */
export function patternBookOf(db: Database): KeptLayout[] {
  return db
    .select()
    .from(patternBook)
    .where(isNull(patternBook.putAwayAt))
    .orderBy(asc(patternBook.name))
    .all()
    .flatMap(({ id, name, body, keptAt }) => {
      const read = LAYOUT.safeParse(JSON.parse(body))
      if (!read.success) return []
      try {
        return [{ ...read.data, id, name, keptAt, design: readBody('design', read.data.design) }]
      } catch {
        return []
      }
    })
}

/** Keeps a design by name for the crew, with the stuff and the colors it names. Throws a FullError where the book is full. */
export function keepLayout(
  db: Database,
  name: string,
  design: DesignDocument,
  settings: Settings,
  now: number,
): string {
  const held = db.select({ all: count() }).from(patternBook).where(isNull(patternBook.putAwayAt)).get()
  if ((held?.all ?? 0) >= LIMITS.book) throw new FullError('book')
  const named = new Set(materialsOf(design).map(({ material }) => material))
  const { paint } = inForce(design)
  const painted = new Set(PAINT_USES.map((use) => paint[use]))
  const body: BookLayout = {
    design,
    materials: settings.materials.filter(({ id }) => named.has(id)),
    paints: settings.paints.filter(({ id }) => painted.has(id)),
  }
  const id = newId()
  db.insert(patternBook)
    .values({ id, name, body: JSON.stringify(body), keptAt: now })
    .run()
  return id
}

/** Puts an entry away, or brings it back. False where there is none. */
export function putLayoutAway(db: Database, id: string, away: boolean, now: number): boolean {
  return (
    db
      .update(patternBook)
      .set({ putAwayAt: away ? now : null })
      .where(eq(patternBook.id, id))
      .run().changes > 0
  )
}

const NOTE = houseNoteSchema()
export type HouseNote = z.output<typeof NOTE> & { readonly id: string; readonly keptAt: number }

/** What a house has already, by kind and name. */
export function houseBookOf(db: Database, jobId: string): HouseNote[] {
  return db
    .select()
    .from(houseBook)
    .where(and(eq(houseBook.jobId, jobId), isNull(houseBook.putAwayAt)))
    .orderBy(asc(houseBook.kind), asc(houseBook.keptAt))
    .all()
    .flatMap(({ id, body, keptAt }) => {
      const note = NOTE.safeParse(JSON.parse(body))
      return note.success ? [{ ...note.data, id, keptAt }] : []
    })
}

/** Writes something into a house's book. False where it can't be read. Throws a FullError where the book is full. */
export function keepHouseNote(db: Database, jobId: string, posted: unknown, now: number): boolean {
  const note = NOTE.safeParse(posted)
  if (!note.success) return false
  const held = db.select({ all: count() }).from(houseBook).where(eq(houseBook.jobId, jobId)).get()
  if ((held?.all ?? 0) >= LIMITS.book) throw new FullError('book')
  db.insert(houseBook)
    .values({ id: newId(), jobId, kind: note.data.what.kind, body: JSON.stringify(note.data), keptAt: now })
    .run()
  return true
}

/** Takes something out of a house's book. */
export function putHouseNoteAway(db: Database, jobId: string, id: string, now: number): boolean {
  const of = and(eq(houseBook.id, id), eq(houseBook.jobId, jobId))
  return db.update(houseBook).set({ putAwayAt: now }).where(of).run().changes > 0
}
