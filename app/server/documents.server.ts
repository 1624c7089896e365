import { and, desc, eq, gt, max } from 'drizzle-orm'
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

/** The number of the next change; taken once for all documents saved together. */
export function nextChange(db: Database): number {
  const row = db
    .select({ last: max(revisions.id) })
    .from(revisions)
    .get()
  return (row?.last ?? 0) + 1
}

function append(
  db: Database,
  documentId: string,
  parent: number | null,
  change: number,
  body: unknown,
): number {
  const row = db
    .insert(revisions)
    .values({ documentId, parent, change, body: JSON.stringify(body), createdAt: Date.now() })
    .returning({ id: revisions.id })
    .get()
  db.update(documents).set({ head: row.id }).where(eq(documents.id, documentId)).run()
  return row.id
}

export function createDocument(db: Database, body: unknown): string {
  const id = newId()
  db.insert(documents).values({ id }).run()
  append(db, id, null, nextChange(db), body)
  return id
}

function headOf(db: Database, documentId: string) {
  const row = db
    .select({ id: revisions.id, parent: revisions.parent, change: revisions.change, body: revisions.body })
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

/** Appends a revision as part of a change; the document's head moves to it. */
export function writeDocument(
  db: Database,
  documentId: string,
  body: unknown,
  change = nextChange(db),
): number {
  return append(db, documentId, headOf(db, documentId).id, change, body)
}

/** Where heads would move: one entry a document that takes part in the change. */
type Step = readonly { readonly id: string; readonly to: number }[]

/** The newest change among the documents, with all that was saved together in it, of other documents too. */
function undoStep(db: Database, ids: readonly string[]): Step {
  const heads = ids.map((id) => headOf(db, id)).filter(({ parent }) => parent !== null)
  if (heads.length === 0) return []
  const newest = Math.max(...heads.map(({ change }) => change))
  return db
    .select({ id: documents.id, to: revisions.parent })
    .from(documents)
    .innerJoin(revisions, eq(documents.head, revisions.id))
    .where(eq(revisions.change, newest))
    .all()
    .flatMap(({ id, to }) => (to === null ? [] : [{ id, to }]))
}

/** The next change forward: children of heads, made after every document's head, saved together. */
function redoStep(db: Database, ids: readonly string[]): Step {
  const heads = ids.map((id) => ({ id, head: headOf(db, id).id }))
  const newest = Math.max(...heads.map(({ head }) => head))
  const children = heads.flatMap(({ id, head }) => {
    const child = db
      .select({ id: revisions.id, change: revisions.change })
      .from(revisions)
      .where(and(eq(revisions.documentId, id), eq(revisions.parent, head), gt(revisions.id, newest)))
      .orderBy(desc(revisions.id))
      .get()
    return child ? [{ id, child }] : []
  })
  if (children.length === 0) return []
  const next = Math.min(...children.map(({ child }) => child.change))
  // what was saved together comes forward together, where it still follows from what its document holds
  return db
    .select({ id: documents.id, to: revisions.id })
    .from(revisions)
    .innerJoin(documents, eq(revisions.documentId, documents.id))
    .where(and(eq(revisions.change, next), eq(revisions.parent, documents.head)))
    .all()
}

/** Whether the documents, taken as one history, can go back or forward. */
export function historyOf(db: Database, ids: readonly string[]): History {
  return { canUndo: undoStep(db, ids).length > 0, canRedo: redoStep(db, ids).length > 0 }
}

function take(db: Database, step: Step): boolean {
  for (const { id, to } of step) db.update(documents).set({ head: to }).where(eq(documents.id, id)).run()
  return step.length > 0
}

/** Takes back the newest change among the documents, whole. False when there is none. */
export function undoNewest(db: Database, ids: readonly string[]): boolean {
  return take(db, undoStep(db, ids))
}

/** Brings the next change forward again. False when there is none, or something new was done since. */
export function redoNext(db: Database, ids: readonly string[]): boolean {
  return take(db, redoStep(db, ids))
}
