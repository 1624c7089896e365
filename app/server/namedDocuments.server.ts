import { and, eq } from 'drizzle-orm'
import type { Bodies, WallOptions } from '~/model'
import { options } from './db/agreeSchema.server'
import type { Database } from './db/database.server'
import { walls } from './db/schema.server'

const [OPTIONS, PHOTO] = ['options-', 'photo-'] as const

/** The document that holds a wall's options by name and which is chosen. */
export const optionsDocument = (wallId: string) => `${OPTIONS}${wallId}`

/** The document that holds what is put on a photograph. */
export const photoDocument = (photoId: string) => `${PHOTO}${photoId}`

/** What a document is of that goes by another's id: whose options, or which photograph. Null of any other document. */
export function ownerOf(documentId: string): { kind: 'options' | 'photo'; of: string } | null {
  if (documentId.startsWith(OPTIONS)) return { kind: 'options', of: documentId.slice(OPTIONS.length) }
  if (documentId.startsWith(PHOTO)) return { kind: 'photo', of: documentId.slice(PHOTO.length) }
  return null
}

/** Brings the rows up to what a document of options says: all else of the server goes by the rows. */
export function mirrorOptions(db: Database, documentId: string, body: Bodies[keyof Bodies]): void {
  const owner = ownerOf(documentId)
  if (owner?.kind !== 'options') return
  const { chosen, list } = body as WallOptions
  for (const { id, name, archived } of list) {
    const of = and(eq(options.id, id), eq(options.wallId, owner.of))
    const row = db.select().from(options).where(of).get()
    if (!row) continue
    const putAwayAt = archived ? (row.putAwayAt ?? Date.now()) : null
    db.update(options).set({ name, putAwayAt }).where(of).run()
    if (id === chosen) db.update(walls).set({ designId: row.designId }).where(eq(walls.id, owner.of)).run()
  }
}
