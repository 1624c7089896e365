import { and, asc, desc, eq, inArray } from 'drizzle-orm'
import type { z } from 'zod'
import { type Bodies, type DocumentKind, mergeDocuments, parseBody, readBody } from '~/model'
import type { Database } from './db/database.server'
import { type CHANGE_STATES, changes, documents, revisions } from './db/schema.server'
import { newId } from './ids.server'
import { mirrorOptions } from './namedDocuments.server'

/** A document's newest revision. */
export interface Head<K extends DocumentKind = DocumentKind> {
  readonly revision: number
  readonly body: Bodies[K]
}

/** Opens a change: what is saved together carries its number. `page` is empty for what no page made. */
export function newChange(
  db: Database,
  page: string,
  state: (typeof CHANGE_STATES)[number],
  token: string | null = null,
  member: string | null = null,
): number {
  const row = db
    .insert(changes)
    .values({ page, state, token, member, createdAt: Date.now() })
    .returning({ id: changes.id })
    .get()
  return row.id
}

function append(db: Database, documentId: string, parent: number | null, change: number, body: unknown) {
  const row = db
    .insert(revisions)
    .values({ documentId, parent, change, body: JSON.stringify(body), createdAt: Date.now() })
    .returning({ id: revisions.id })
    .get()
  db.update(documents).set({ head: row.id }).where(eq(documents.id, documentId)).run()
}

/** Makes a document and returns its id. Its first revision is no change anybody could take back. */
export function createDocument(db: Database, body: Bodies[DocumentKind], id = newId()): string {
  db.insert(documents).values({ id }).run()
  append(db, id, null, newChange(db, '', 'made'), body)
  return id
}

function headOf(db: Database, documentId: string) {
  const row = db
    .select({ id: revisions.id, body: revisions.body })
    .from(documents)
    .innerJoin(revisions, eq(documents.head, revisions.id))
    .where(eq(documents.id, documentId))
    .get()
  if (!row) throw new Error(`document '${documentId}' has no head`)
  return row
}

export function readDocument<K extends DocumentKind>(db: Database, kind: K, documentId: string): Head<K> {
  const head = headOf(db, documentId)
  return { body: readBody(kind, JSON.parse(head.body)), revision: head.id }
}

/** The number of a document's newest revision, its body unread. */
export function revisionOf(db: Database, documentId: string): number | null {
  return (
    db.select({ head: documents.head }).from(documents).where(eq(documents.id, documentId)).get()?.head ??
    null
  )
}

/** One revision of a document as it was saved; null where the document never had it, or it can't be read any more. */
export function readRevision<K extends DocumentKind>(
  db: Database,
  kind: K,
  documentId: string,
  revision: number,
): Bodies[K] | null {
  const row = db
    .select({ documentId: revisions.documentId, body: revisions.body })
    .from(revisions)
    .where(eq(revisions.id, revision))
    .get()
  if (row?.documentId !== documentId) return null
  const read = parseKept(kind, row.body)
  return read.success ? read.data : null
}

/** A kept text as a body; what is no JSON at all is told as any other thing that can't be read. */
function parseKept<K extends DocumentKind>(kind: K, text: string) {
  try {
    return parseBody(kind, JSON.parse(text))
  } catch {
    return parseBody(kind, null)
  }
}

/** A document as it is kept, whether it can be read or not. */
export interface Kept {
  readonly revision: number
  readonly text: string
  /** What keeps it from being read; null where it can be. */
  readonly problems: readonly z.core.$ZodIssue[] | null
}

/** A document's revisions as they are kept, newest first, at most so many. */
export function keptRevisions(db: Database, kind: DocumentKind, documentId: string, most: number): Kept[] {
  return db
    .select({ revision: revisions.id, text: revisions.body })
    .from(revisions)
    .where(eq(revisions.documentId, documentId))
    .orderBy(desc(revisions.id))
    .limit(most)
    .all()
    .map(({ revision, text }) => {
      const read = parseKept(kind, text)
      return { revision, text, problems: read.success ? null : read.error.issues }
    })
}

/** A document's newest revision where it can be read; else null. */
export function readableDocument<K extends DocumentKind>(
  db: Database,
  kind: K,
  documentId: string,
): Head<K> | null {
  const head = headOf(db, documentId)
  const read = parseKept(kind, head.body)
  return read.success ? { body: read.data, revision: head.id } : null
}

/**
 * What a body was really made from: the revision `base`, and on top of it what saves of the same page wrote whose answers did
 * not reach the page. What others had saved before those is left out of it again. Null where there is no such base.
 */
export function bodyBefore<K extends DocumentKind>(
  db: Database,
  kind: K,
  documentId: string,
  base: number,
  after: readonly string[],
): Bodies[K] | null {
  const start = readRevision(db, kind, documentId, base)
  if (start === null || after.length === 0) return start
  const written = db
    .select({ id: revisions.id, parent: revisions.parent })
    .from(revisions)
    .innerJoin(changes, eq(revisions.change, changes.id))
    .where(and(eq(revisions.documentId, documentId), inArray(changes.token, [...after])))
    .orderBy(asc(revisions.id))
    .all()
  return written.reduce((sent, { id, parent }) => {
    const [before, became] = [
      readRevision(db, kind, documentId, parent ?? base),
      readRevision(db, kind, documentId, id),
    ]
    return before && became ? (mergeDocuments(before, sent, became).merged as Bodies[K]) : sent
  }, start)
}

/** Appends a revision as part of a change; the document's head moves to it. */
export function writeDocument(
  db: Database,
  documentId: string,
  body: Bodies[DocumentKind],
  change: number,
): void {
  append(db, documentId, headOf(db, documentId).id, change, body)
  mirrorOptions(db, documentId, body)
}

/** Leaves the changes behind that made these revisions: they are neither undone nor redone any more. */
export function leaveChanges(db: Database, made: readonly number[]): void {
  const of = db
    .select({ change: revisions.change })
    .from(revisions)
    .where(inArray(revisions.id, [...made]))
  db.update(changes).set({ state: 'left' }).where(inArray(changes.id, of)).run()
}
