import { and, desc, eq, gt } from 'drizzle-orm'
import type { Database } from './db/database.server'
import { documents, revisions } from './db/schema.server'
import { newId } from './ids.server'

/** A document with the revision it was read at. */
export interface StoredDocument {
  readonly body: unknown
  readonly revision: number
}

/** What undo and redo would do to a set of documents edited together. */
export interface History {
  readonly canUndo: boolean
  readonly canRedo: boolean
}

function append(db: Database, documentId: string, parent: number | null, body: unknown): number {
  const row = db
    .insert(revisions)
    .values({ documentId, parent, body: JSON.stringify(body), createdAt: Date.now() })
    .returning({ id: revisions.id })
    .get()
  db.update(documents).set({ head: row.id }).where(eq(documents.id, documentId)).run()
  return row.id
}

export function createDocument(db: Database, body: unknown): string {
  const id = newId()
  db.insert(documents).values({ id }).run()
  append(db, id, null, body)
  return id
}

function headOf(db: Database, documentId: string) {
  const row = db
    .select({ id: revisions.id, parent: revisions.parent, body: revisions.body })
    .from(documents)
    .innerJoin(revisions, eq(documents.head, revisions.id))
    .where(eq(documents.id, documentId))
    .get()
  if (!row) throw new Error(`document '${documentId}' has no head`)
  return row
}

export function readDocument(db: Database, documentId: string): StoredDocument {
  const head = headOf(db, documentId)
  return { body: JSON.parse(head.body), revision: head.id }
}

/** Appends a revision; the document's head moves to it. */
export function writeDocument(db: Database, documentId: string, body: unknown): number {
  return append(db, documentId, headOf(db, documentId).id, body)
}

function undoTarget(db: Database, ids: readonly string[]) {
  return ids
    .map((id) => ({ id, head: headOf(db, id) }))
    .filter(({ head }) => head.parent !== null)
    .sort((a, b) => b.head.id - a.head.id)[0]
}

/** The next revision forward: a child of a head, made after every other document's head. */
function redoTarget(db: Database, ids: readonly string[]) {
  const heads = ids.map((id) => ({ id, head: headOf(db, id).id }))
  const newest = Math.max(...heads.map(({ head }) => head))
  return heads
    .flatMap(({ id, head }) => {
      const child = db
        .select({ id: revisions.id })
        .from(revisions)
        .where(and(eq(revisions.documentId, id), eq(revisions.parent, head), gt(revisions.id, newest)))
        .orderBy(desc(revisions.id))
        .get()
      return child ? [{ id, child: child.id }] : []
    })
    .sort((a, b) => a.child - b.child)[0]
}

/** Whether the documents, taken as one history, can go back or forward. */
export function historyOf(db: Database, ids: readonly string[]): History {
  return { canUndo: undoTarget(db, ids) !== undefined, canRedo: redoTarget(db, ids) !== undefined }
}

/** Takes back the newest change among the documents. False when there is none. */
export function undoNewest(db: Database, ids: readonly string[]): boolean {
  const target = undoTarget(db, ids)
  if (!target) return false
  db.update(documents).set({ head: target.head.parent }).where(eq(documents.id, target.id)).run()
  return true
}

/** Brings the next change forward again. False when there is none, or something new was done since. */
export function redoNext(db: Database, ids: readonly string[]): boolean {
  const target = redoTarget(db, ids)
  if (!target) return false
  db.update(documents).set({ head: target.child }).where(eq(documents.id, target.id)).run()
  return true
}
