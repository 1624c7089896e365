import { and, desc, eq, inArray, lte } from 'drizzle-orm'
import { changedParts, type Bodies, type ChangedPart, type DocumentKind } from '~/model'
import type { Database } from './db/database.server'
import { changes, members, revisions } from './db/schema.server'
import { readableDocument, readRevision, revisionOf } from './documents.server'
import { newId } from './ids.server'
import { sizeOf } from './jobView.server'
import { changePage } from './pageChanges.server'
import {
  besideDesign,
  type Page,
  pageOfWall,
  pageOfWork,
  type PageDocument,
  wallsOfJob,
} from './pages.server'
import { type LayoutPlanner, planner } from './planning/layoutWords.server'
import { wallVersion } from './wallVersion.server'

/** How many changes are told at most, the newest first. */
const TOLD = 100
/** How many walls are drawn at once as they were. */
const DRAWN = 8

/** A change as it is told: when, by whom, of what. */
export interface ToldChange {
  readonly change: number
  readonly at: number
  /** The member's name; null on the machine itself, where nobody signs in. */
  readonly who: string | null
  readonly parts: readonly ChangedPart[]
  readonly walls: readonly string[]
  /** Undone since, itself a step back or forward, or how the wall was first. */
  readonly how: 'done' | 'undone' | 'step' | 'made'
}

/** All documents of a job: its settings, and each wall's survey, chosen design, options and photographs. */
export function pageOfJob(db: Database, jobId: string): Page | null {
  const page = pageOfWork(db, { jobId })
  if (!page) return null
  const ofWalls = wallsOfJob(db, jobId).flatMap(({ id, name, surveyId, designId }): PageDocument[] => [
    { id: surveyId, kind: 'survey', wall: { id, name } },
    { id: designId, kind: 'design', wall: { id, name } },
    ...besideDesign(db, { id, name }),
  ])
  return { ...page, documents: [...ofWalls, ...page.documents] }
}

/** The page whose history is asked for: a wall's, with one of its options, or the whole job's. */
export function pageOfHistory(
  db: Database,
  {
    jobId,
    wallId,
    optionId,
  }: { readonly jobId: string; readonly wallId?: string | undefined; readonly optionId?: string | undefined },
): Page | null {
  if (wallId === undefined) return pageOfJob(db, jobId)
  return pageOfWall(db, { jobId, wallId, ...(optionId === undefined ? {} : { optionId }) })
}

/** What was changed of a page's documents, the newest first; of one wall the last is how it was first. */
export function changesOf(db: Database, page: Page): ToldChange[] {
  const documents = new Map(page.documents.map((document) => [document.id, document]))
  const rows = db
    .select({
      change: changes.id,
      at: changes.createdAt,
      state: changes.state,
      who: members.name,
      document: revisions.documentId,
      revision: revisions.id,
      before: revisions.parent,
    })
    .from(revisions)
    .innerJoin(changes, eq(revisions.change, changes.id))
    .leftJoin(members, eq(changes.member, members.id))
    .where(inArray(revisions.documentId, [...documents.keys()]))
    .orderBy(desc(changes.id), desc(revisions.id))
    .limit(TOLD * 3)
    .all()
  const told = new Map<number, ToldChange>()
  let first: ToldChange | null = null
  for (const { change, at, state, who, document, revision, before } of rows) {
    const of = documents.get(document)
    if (of?.wall && (before === null || state === 'made'))
      first ??= { change, at, who, how: 'made', parts: [], walls: [of.wall.name] }
    if (!of || before === null || state === 'made') continue
    const [was, became] = [
      readRevision(db, of.kind, of.id, before),
      readRevision(db, of.kind, of.id, revision),
    ]
    const parts = was && became ? changedParts(of.kind, was, became) : []
    const known = told.get(change)
    told.set(change, {
      change,
      at,
      who,
      how: state === 'step' ? 'step' : state === 'undone' ? 'undone' : 'done',
      parts: [...new Set([...(known?.parts ?? []), ...parts])],
      walls: [...new Set([...(known?.walls ?? []), ...(of.wall && parts.length > 0 ? [of.wall.name] : [])])],
    })
  }
  const isOneWall = new Set(page.documents.flatMap(({ wall }) => (wall ? [wall.id] : []))).size === 1
  const changed = [...told.values()].filter(({ parts }) => parts.length > 0).slice(0, TOLD)
  return first && isOneWall && changed.length > 0 ? [...changed, first] : changed
}

/** A document as it was right after a change; null where it was not there yet, or can't be read any more. */
function bodyAt(
  db: Database,
  { id, kind }: PageDocument,
  change: number,
): { revision: number; body: Bodies[DocumentKind] } | null {
  const row = db
    .select({ id: revisions.id })
    .from(revisions)
    .where(and(eq(revisions.documentId, id), lte(revisions.change, change)))
    .orderBy(desc(revisions.id))
    .get()
  const body = row && readRevision(db, kind, id, row.id)
  return row && body ? { revision: row.id, body } : null
}

/** A wall as it was. */
export interface WallThen {
  readonly name: string
  readonly words: string
  /** Its small drawing, an SVG text. */
  readonly picture: string
}

/** What of a page was different right after a change: its walls as they were then, each in a few words and drawn. */
export async function lookAt(
  db: Database,
  page: Page,
  change: number,
  plans: LayoutPlanner = planner(),
): Promise<{ readonly walls: readonly WallThen[]; readonly more: number }> {
  const settings = page.documents.find(({ kind }) => kind === 'settings')
  const rules = settings && readableDocument(db, 'settings', settings.id)
  const surveys = page.documents.filter(({ kind }) => kind === 'survey')
  const then = surveys.flatMap((survey) => {
    const design = page.documents.find(({ kind, wall }) => kind === 'design' && wall?.id === survey.wall?.id)
    const [measured, laidOut] = [bodyAt(db, survey, change), design && bodyAt(db, design, change)]
    if (!design || !survey.wall || !measured || !laidOut || !rules) return []
    const isAsNow =
      measured.revision === revisionOf(db, survey.id) && laidOut.revision === revisionOf(db, design.id)
    // of one wall the page shows how it is; among those of a job what is as it was tells nothing
    if (isAsNow && surveys.length > 1) return []
    return [{ wall: survey.wall, measured, laidOut, rules }]
  })
  const walls: WallThen[] = []
  for (const { wall, measured, laidOut, rules: now } of then.slice(0, DRAWN)) {
    const said = await plans.wordsOf({
      key: wallVersion(wall.id, measured.revision, laidOut.revision, now.revision),
      workpiece: {
        wall: { survey: measured.body as Bodies['survey'], design: laidOut.body as Bodies['design'] },
        settings: now.body,
      },
    })
    const size = sizeOf(measured.body as Bodies['survey'], now.body)
    const told = said.kind === 'said' ? said : { words: '', picture: '' }
    walls.push({
      name: wall.name,
      words: told.words === '' ? size : `${size}, ${told.words}`,
      picture: told.picture,
    })
  }
  return { walls, more: then.length - walls.length }
}

/**
 * Brings a page's walls to how they were right after a change, as a change of its own that can be undone: nothing of what came since is lost.
 * The job's settings stay, since other walls go by them, and so do the choice among options and what is on photographs. What happened at the walls stays what happened. Returns why it can't be; null where
 * it is done.
 */
export function restoreTo(
  db: Database,
  page: Page,
  change: number,
  member: string | null,
): readonly string[] | null {
  const documents = page.documents.flatMap((document) => {
    const base = revisionOf(db, document.id)
    const isOfWall = document.kind === 'survey' || document.kind === 'design'
    const then = isOfWall ? bodyAt(db, document, change) : null
    // what is as it was is left out
    return base === null || then === null || then.revision === base
      ? []
      : [{ id: document.id, base, body: then.body }]
  })
  const request = { intent: 'save', clashing: 'mine', token: newId(), after: [], documents }
  const answer = changePage(db, page, request, member)
  return answer.kind === 'refused' ? answer.problems : null
}
