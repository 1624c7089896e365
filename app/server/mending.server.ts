import { schemaProblems } from '~/core/files/readJobFile'
import { computePlan } from '~/core/computePlan'
import { fileProblemText, mendingText } from '~/messages'
import { type Bodies, type DocumentKind, parseBody, type StoredDocument, workpieceOf } from '~/model'
import { type Database, inTransaction } from './db/database.server'
import {
  type Kept,
  keptRevisions,
  leaveChanges,
  newChange,
  readableDocument,
  writeDocument,
} from './documents.server'
import { type Page, type PageDocument, pageOfWall, wallsOfJob } from './pages.server'

/** How many revisions back it is looked for one that can be shown. */
const LOOKED_BACK = 200

function kept(db: Database, { kind, id }: PageDocument, most = 1): Kept[] {
  return keptRevisions(db, kind, id, most)
}

/** Why a plan of these can't be made; null where it can. */
function planTrouble(documents: readonly StoredDocument[]): string | null {
  try {
    computePlan(workpieceOf(documents))
    return null
  } catch (error) {
    return mendingText.noPlan(error instanceof Error ? error.message : String(error))
  }
}

/** What keeps the walls of a page from being shown, in lines a person can read; none where nothing does. */
export function troublesOf(db: Database, page: Page): string[] {
  const unreadable = page.documents.flatMap((document) => {
    const [head] = kept(db, document)
    const above = document.wall ? [document.wall.name, document.kind] : [document.kind]
    return schemaProblems(head?.problems ?? [], above).map((problem) => fileProblemText(problem))
  })
  if (unreadable.length > 0) return unreadable
  const settings = page.documents.filter(({ wall }) => wall === null)
  const walls = new Set(page.documents.flatMap(({ wall }) => (wall ? [wall.id] : [])))
  return [...walls].flatMap((wallId) => {
    const own = page.documents.filter(({ wall }) => wall?.id === wallId)
    const documents = [...own, ...settings].flatMap(({ id, kind }): StoredDocument[] => {
      const head = readableDocument(db, kind, id)
      return head ? [{ id, kind, ...head } as StoredDocument] : []
    })
    const trouble = planTrouble(documents)
    return trouble === null ? [] : [`${own[0]?.wall?.name ?? ''}: ${trouble}`]
  })
}

/** Walls of a job, put away or not, whose documents can't be read, by name; the job itself where its settings can't. */
export function unreadableWalls(db: Database, jobId: string): string[] {
  const bad = ({ wall, ...document }: PageDocument) =>
    readableDocument(db, document.kind, document.id) ? [] : [wall?.name ?? mendingText.settings]
  return [
    ...new Set(
      wallsOfJob(db, jobId).flatMap(({ id: wallId }) =>
        (pageOfWall(db, { jobId, wallId })?.documents ?? []).flatMap(bad),
      ),
    ),
  ]
}

/** A wall's documents as they are kept, readable or not, for a person to save. */
export function documentsAsKept(db: Database, page: Page) {
  return page.documents.map((document) => {
    const [head] = kept(db, document)
    return {
      id: document.id,
      kind: document.kind,
      revision: head?.revision ?? null,
      kept: head?.text ?? null,
    }
  })
}

/** The newest of a document's revisions that can be read, from a place in its history on. */
function readableFrom(list: readonly Kept[], from: number): number {
  return list.findIndex(({ problems }, i) => i >= from && problems === null)
}

/**
 * Goes back to how a wall last could be shown: of its survey, its design and the job's settings the newest that can be read,
 * and where no plan comes of them, step by step further back, the newest first. Written as revisions of their own: nothing is
 * lost. False where nothing of the kind is kept.
 */
export function goBackToShown(db: Database, page: Page, member: string | null = null): boolean {
  return inTransaction(db, (tx) => {
    const lists = page.documents.map((document) => kept(tx, document, LOOKED_BACK))
    const at = lists.map((list) => readableFrom(list, 0))
    const held = () =>
      page.documents.flatMap(({ id, kind }, i): StoredDocument[] => {
        const each = lists[i]?.[at[i] ?? -1]
        const read = each ? parseBody(kind, JSON.parse(each.text)) : null
        return each && read?.success
          ? [{ id, kind, revision: each.revision, body: read.data } as StoredDocument]
          : []
      })
    for (let tries = 0; tries < LOOKED_BACK; tries++) {
      const documents = held()
      if (documents.length < page.documents.length) return false
      if (planTrouble(documents) === null) {
        const change = newChange(tx, page.key, 'step', null, member)
        documents.forEach(({ id, body }, i) => {
          if (at[i] === 0) return
          // what is gone back over is nothing to undo any more
          leaveChanges(
            tx,
            (lists[i] ?? []).slice(0, at[i]).map(({ revision }) => revision),
          )
          writeDocument(tx, id, body as Bodies[DocumentKind], change)
        })
        return true
      }
      const back = documents
        .map(({ revision, kind }, i) => ({
          i,
          kind,
          revision,
          to: readableFrom(lists[i] ?? [], (at[i] ?? 0) + 1),
        }))
        .filter(({ kind, to }) => (kind === 'survey' || kind === 'design') && to >= 0)
        .sort((a, b) => b.revision - a.revision)[0]
      if (!back) return false
      at[back.i] = back.to
    }
    return false
  })
}
