import { and, asc, desc, eq, gt, inArray, or } from 'drizzle-orm'
import {
  type Bodies,
  changedParts,
  type DocumentKind,
  type HistoryStep,
  mergeDocuments,
  type PageHistory,
  parseBody,
} from '~/model'
import { options, photos } from './db/agreeSchema.server'
import type { Database } from './db/database.server'
import { changes, revisions, walls } from './db/schema.server'
import { newChange, readDocument, readRevision, writeDocument } from './documents.server'
import { ownerOf } from './namedDocuments.server'
import type { Page, PageDocument } from './pages.server'

/** What belongs to a page's history: what was made on it, and what touched its walls from elsewhere. */
function belongsTo(db: Database, page: Page) {
  const ofWalls = page.documents.flatMap(({ id, wall }) => (wall ? [id] : []))
  const touched = db
    .select({ change: revisions.change })
    .from(revisions)
    .where(inArray(revisions.documentId, ofWalls))
  return or(eq(changes.page, page.key), inArray(changes.id, touched))
}

function nextUndo(db: Database, page: Page): number | null {
  const row = db
    .select({ id: changes.id })
    .from(changes)
    .where(and(eq(changes.state, 'done'), belongsTo(db, page)))
    .orderBy(desc(changes.id))
    .get()
  return row?.id ?? null
}

function nextRedo(db: Database, page: Page): number | null {
  const row = db
    .select({ id: changes.id })
    .from(changes)
    .where(and(eq(changes.state, 'undone'), gt(changes.id, nextUndo(db, page) ?? 0), belongsTo(db, page)))
    .orderBy(asc(changes.id))
    .get()
  return row?.id ?? null
}

interface Touched extends PageDocument {
  readonly revision: number
  readonly before: number
}

/** The documents a change wrote, with their revisions after and before it; those made with it are left out. */
function touchedBy(db: Database, change: number): Touched[] {
  return db
    .select({
      id: revisions.documentId,
      revision: revisions.id,
      before: revisions.parent,
      wallId: walls.id,
      wallName: walls.name,
      surveyId: walls.surveyId,
    })
    .from(revisions)
    .leftJoin(options, eq(options.designId, revisions.documentId))
    .leftJoin(walls, or(eq(walls.surveyId, revisions.documentId), eq(walls.id, options.wallId)))
    .where(eq(revisions.change, change))
    .all()
    .flatMap(({ id, revision, before, wallId, wallName, surveyId }): Touched[] => {
      if (before === null) return []
      const of = { id, revision, before }
      const owner = ownerOf(id)
      if (owner) return [{ ...of, kind: owner.kind, wall: wallOf(db, owner) }]
      const wall = wallId === null || wallName === null ? null : { id: wallId, name: wallName }
      return [{ ...of, kind: wall === null ? 'settings' : surveyId === id ? 'survey' : 'design', wall }]
    })
}

/** The wall whose options, or a photograph of which, a document is of. */
function wallOf(db: Database, { kind, of }: NonNullable<ReturnType<typeof ownerOf>>) {
  const wall = { id: walls.id, name: walls.name }
  const found =
    kind === 'options'
      ? db.select(wall).from(walls).where(eq(walls.id, of)).get()
      : db
          .select(wall)
          .from(photos)
          .innerJoin(walls, eq(photos.wallId, walls.id))
          .where(eq(photos.id, of))
          .get()
  return found ?? null
}

function described(db: Database, change: number | null): HistoryStep | null {
  if (change === null) return null
  const touched = touchedBy(db, change)
  const changed = touched.map(({ kind, id, revision, before, wall }) => {
    const [was, became] = [readRevision(db, kind, id, before), readRevision(db, kind, id, revision)]
    return { wall, parts: was && became ? changedParts(kind, was, became) : [] }
  })
  const names = changed.flatMap(({ wall, parts }) => (wall && parts.length > 0 ? [wall.name] : []))
  return {
    change,
    parts: [...new Set(changed.flatMap(({ parts }) => parts))],
    walls: [...new Set(names)],
  }
}

/** What undo and redo would do on a page, by name. */
export function historyOf(db: Database, page: Page): PageHistory {
  return { undo: described(db, nextUndo(db, page)), redo: described(db, nextRedo(db, page)) }
}

/** Leaves behind what could have been redone on a page: something new was done there. */
export function leaveRedo(db: Database, page: Page): void {
  db.update(changes)
    .set({ state: 'left' })
    .where(and(eq(changes.state, 'undone'), belongsTo(db, page)))
    .run()
}

/** A document as it was and as it is written. */
export interface Write {
  readonly document: PageDocument
  readonly before: Bodies[DocumentKind]
  readonly after: Bodies[DocumentKind]
}

/** How a step went: `moved` where it is not the next one any more, or the documents it would leave changed again elsewhere. */
export type Stepped =
  | { readonly kind: 'done'; readonly writes: readonly Write[]; readonly settingsStay: boolean }
  | { readonly kind: 'moved' }
  /** What it would bring back can't be read any more. */
  | { readonly kind: 'unreadable' }
  | { readonly kind: 'changedSince'; readonly documents: readonly PageDocument[] }

/**
 * Takes a change of a page's history back, or brings it again, as a revision of its own: what else was changed since stays
 * as it is. Not done where the same thing of a wall was changed again since. Inside a transaction.
 */
export function stepChange(
  db: Database,
  page: Page,
  way: 'undo' | 'redo',
  change: number,
  member: string | null = null,
): Stepped {
  const next = way === 'undo' ? nextUndo(db, page) : nextRedo(db, page)
  if (next !== change) return { kind: 'moved' }
  const touched = touchedBy(db, change)
  const stepped = touched.map((document) => {
    const { kind, id } = document
    const [before, after] = [
      readRevision(db, kind, id, document.before),
      readRevision(db, kind, id, document.revision),
    ]
    if (before === null || after === null) return { document, now: null, body: null }
    const now = readDocument(db, kind, id).body
    const { merged, clashes } =
      way === 'undo' ? mergeDocuments(after, before, now) : mergeDocuments(before, after, now)
    const read = parseBody(kind, merged)
    return { document, now, body: read.success && clashes.length === 0 ? read.data : null }
  })
  if (stepped.some(({ now }) => now === null)) return { kind: 'unreadable' }
  const clashing = stepped.flatMap(({ document, body }) => (body === null ? [document] : []))
  // settings that were changed again since stay as they are; they do not keep the walls from being stepped
  const settingsStay = clashing.length > 0 && clashing.every(({ wall }) => wall === null)
  const walls = stepped.some(({ document }) => document.wall !== null)
  if (clashing.length > 0 && !(settingsStay && walls)) return { kind: 'changedSince', documents: clashing }
  const step = newChange(db, page.key, 'step', null, member)
  const writes = stepped.flatMap(({ document, now, body }) =>
    body && now ? [{ document, before: now, after: body }] : [],
  )
  for (const { document, after } of writes) writeDocument(db, document.id, after, step)
  db.update(changes)
    .set({ state: way === 'undo' ? 'undone' : 'done' })
    .where(eq(changes.id, change))
    .run()
  return { kind: 'done', writes, settingsStay }
}

/** Names of walls whose documents are among these. */
export function wallNames(touched: readonly PageDocument[]): string[] {
  return [...new Set(touched.flatMap(({ wall }) => (wall ? [wall.name] : [])))]
}
