import { eq } from 'drizzle-orm'
import { schemaProblems } from '~/core/files/readJobFile'
import { materialsOf } from '~/core/patterns/materialsOf'
import { fileProblemText, refusalText, roleText } from '~/messages'
import {
  type Bodies,
  changedParts,
  type Clash,
  type DocumentKind,
  mayChange,
  mergeDocuments,
  type Newest,
  ON_THE_MACHINE,
  type PageAnswer,
  type PageRequest,
  pageRequestSchema,
  parseBody,
  sameValue,
  type Standing,
} from '~/model'
import { type Database, inTransaction } from './db/database.server'
import { jobs } from './db/schema.server'
import {
  bodyBefore,
  newChange,
  readableDocument,
  readDocument,
  revisionOf,
  writeDocument,
} from './documents.server'
import { historyOf, leaveRedo, stepChange, wallNames, type Write } from './history.server'
import { knowsOptions } from './options.server'
import { type Page, type PageDocument, designsOfJob } from './pages.server'

class Refused extends Error {
  constructor(readonly problems: readonly string[]) {
    super(problems.join(' '))
  }
}

const REQUEST = pageRequestSchema()

type Sent = Extract<PageRequest, { intent: 'save' }>['documents'][number]

/** A body a page sent, with the document it is of and what that holds now. */
interface Coming {
  readonly document: PageDocument
  readonly body: Bodies[DocumentKind]
  readonly now: Bodies[DocumentKind]
  readonly clashes: readonly string[]
}

function read(db: Database, document: PageDocument, raw: unknown): Bodies[DocumentKind] {
  const { kind, wall } = document
  const parsed = parseBody(kind, raw)
  if (parsed.success) {
    if (kind === 'options' && !knowsOptions(db, wall?.id ?? '', parsed.data as Bodies['options']))
      throw new Refused([refusalText.notUnderstood])
    return parsed.data
  }
  const above = wall ? [wall.name, kind] : [kind]
  throw new Refused(schemaProblems(parsed.error.issues, above).map((problem) => fileProblemText(problem)))
}

/** What a sent body comes to beside what was saved since: merged where the two do not touch. */
function coming(db: Database, document: PageDocument, sent: Sent, after: readonly string[]): Coming {
  const { kind, id } = document
  const mine = read(db, document, sent.body)
  const { body: now, revision } = readDocument(db, kind, id)
  if (revision === sent.base) return { document, body: mine, now, clashes: [] }
  const common = bodyBefore(db, kind, id, sent.base, after)
  if (common === null) return { document, body: mine, now, clashes: ['all'] }
  const { merged, clashes } = mergeDocuments(common, mine, now)
  const parsed = parseBody(kind, merged)
  // each of the two can be read; if both together can't, they touch after all
  return parsed.success
    ? { document, body: parsed.data, now, clashes }
    : { document, body: mine, now, clashes: ['all'] }
}

function clashOf({ document: { kind, wall }, body, now }: Coming): Clash {
  return { wall: wall?.name ?? null, parts: changedParts(kind, now, body) }
}

/** Walls that a change leaves without a material: what was missing before is not the change's doing. */
function madeMissing(
  db: Database,
  page: Page,
  writes: readonly Write[],
): { wall: string; material: string }[] {
  const settings = page.documents.find(({ kind }) => kind === 'settings')
  const changed = writes.find(({ document }) => document.kind === 'settings')
  const designs = writes.filter(({ document }) => document.kind === 'design')
  if (!settings || (!changed && designs.length === 0)) return []
  const known = new Set(readDocument(db, 'settings', settings.id).body.materials.map(({ id }) => id))
  const used = (body: Bodies[DocumentKind]) =>
    materialsOf(body as Bodies['design']).map(({ material }) => material)
  const chosen = designs.flatMap(({ document, before, after }) => {
    const had = new Set(used(before))
    return used(after)
      .filter((material) => !known.has(material) && !had.has(material))
      .map((material) => ({ wall: document.wall?.name ?? '', material }))
  })
  const had = (changed?.before as Bodies['settings'] | undefined)?.materials ?? []
  const gone = new Set(had.map(({ id }) => id).filter((id) => !known.has(id)))
  if (gone.size === 0) return chosen
  const left = designsOfJob(db, page.jobId).flatMap(({ name, designId }) => {
    // a wall that can't be read keeps no other from being saved
    const design = readableDocument(db, 'design', designId)
    return (design ? used(design.body) : [])
      .filter((material) => gone.has(material))
      .map((material) => ({ wall: name, material }))
  })
  return [...chosen, ...left]
}

function newest(
  db: Database,
  page: Page,
  has: (id: string) => { revision: number | null; body: unknown },
): Newest[] {
  return page.documents.map(({ id, kind }) => {
    const known = has(id)
    const revision = revisionOf(db, id)
    if (revision === null) throw new Error(`document '${id}' has no head`)
    if (revision === known.revision) return { id, kind, revision } as Newest
    const { body } = readDocument(db, kind, id)
    return (
      known.body !== undefined && sameValue(body, known.body)
        ? { id, kind, revision }
        : { id, kind, revision, body }
    ) as Newest
  })
}

/** Throws where somebody changes what their role may not: nothing of it stays. */
function notForRole(documents: readonly { readonly kind: DocumentKind }[], standing: Standing): void {
  if (!documents.every(({ kind }) => mayChange(standing, kind))) throw new Refused([roleText.layout])
}

function save(
  db: Database,
  page: Page,
  request: Extract<PageRequest, { intent: 'save' }>,
  member: string | null,
  standing: Standing,
): PageAnswer {
  const sent = new Map(request.documents.map((each) => [each.id, each]))
  const stranger = request.documents.find(({ id }) => !page.documents.some((document) => document.id === id))
  if (stranger) throw new Refused([refusalText.otherPage])
  const all = page.documents.flatMap((document) => {
    const own = sent.get(document.id)
    return own && own.body !== undefined ? [coming(db, document, own, request.after)] : []
  })
  const clashing = all.filter(({ clashes }) => clashes.length > 0)
  const has = (id: string) => ({ revision: sent.get(id)?.base ?? null, body: sent.get(id)?.body })
  if (clashing.length > 0 && request.clashing === 'ask') {
    // the page is told what the others saved, whole: its own bodies stand beside it
    const theirs = newest(db, page, (id) => ({ revision: has(id).revision, body: undefined }))
    return { kind: 'clash', documents: theirs, history: historyOf(db, page), clashes: clashing.map(clashOf) }
  }
  const changed = all.filter(({ body, now }) => !sameValue(body, now))
  notForRole(
    changed.map(({ document }) => document),
    standing,
  )
  if (changed.length > 0) {
    leaveRedo(db, page)
    const change = newChange(db, page.key, 'done', request.token, member)
    for (const { document, body } of changed) writeDocument(db, document.id, body, change)
    const missing = madeMissing(
      db,
      page,
      changed.map(({ document, body, now }) => ({ document, before: now, after: body })),
    )
    if (missing.length > 0)
      throw new Refused(missing.map(({ wall, material }) => refusalText.noMaterial(wall, material)))
    db.update(jobs).set({ updatedAt: Date.now() }).where(eq(jobs.id, page.jobId)).run()
  }
  return { kind: 'done', documents: newest(db, page, has), history: historyOf(db, page) }
}

function step(
  db: Database,
  page: Page,
  request: Exclude<PageRequest, { intent: 'save' }>,
  member: string | null,
  standing: Standing,
): PageAnswer {
  const stepped = stepChange(db, page, request.intent, request.change, member)
  if (stepped.kind === 'unreadable') throw new Refused([refusalText.unreadable])
  if (stepped.kind === 'changedSince')
    throw new Refused([refusalText.changedSince(wallNames(stepped.documents))])
  if (stepped.kind === 'done')
    notForRole(
      stepped.writes.map(({ document }) => document),
      standing,
    )
  const missing = stepped.kind === 'done' ? madeMissing(db, page, stepped.writes) : []
  if (missing.length > 0)
    throw new Refused([refusalText.inUse([...new Set(missing.map(({ wall }) => wall))])])
  const bases = new Map(request.documents.map(({ id, base }) => [id, base]))
  return {
    kind: stepped.kind,
    documents: newest(db, page, (id) => ({ revision: bases.get(id) ?? null, body: undefined })),
    history: historyOf(db, page),
    ...(stepped.kind === 'done' && stepped.settingsStay ? { settingsStay: true } : {}),
  }
}

/**
 * Carries out one posted change of a page, whole or not at all. What other windows saved meanwhile is kept: documents are
 * merged where the changes do not touch, and the page is told where they do.
 */
export function changePage(
  db: Database,
  page: Page,
  posted: unknown,
  member: string | null = null,
  standing: Standing = ON_THE_MACHINE,
): PageAnswer {
  const parsed = REQUEST.safeParse(posted)
  if (!parsed.success) return { kind: 'refused', problems: [refusalText.notUnderstood] }
  const request = parsed.data
  try {
    return inTransaction(db, (tx) =>
      request.intent === 'save'
        ? save(tx, page, request, member, standing)
        : step(tx, page, request, member, standing),
    )
  } catch (error) {
    if (error instanceof Refused) return { kind: 'refused', problems: error.problems }
    throw error
  }
}
