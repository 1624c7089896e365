import { eq } from 'drizzle-orm'
import { z } from 'zod'
import { cautionsOfKind } from '~/core/sequence/kindRules'
import { unseen, workState } from '~/core/sequence/workState'
import { type WorkAct, workActSchema } from '~/model'
import { bundleOf, doneAtOf, inOrderDone, whenCame } from './bundles.server'
import type { Database } from './db/database.server'
import { workActs } from './db/workSchema.server'
import { historyOf } from './history.server'
import { jobBoards } from './jobBoards.server'
import { jobExists } from './jobs.server'
import { pageOfWork, storedDocuments } from './pages.server'

const ACT = workActSchema()
const ACTS = z.array(ACT).min(1).max(200)
const BUNDLE = bundleOf(ACTS)

type Row = typeof workActs.$inferSelect

function asAct(row: Row): WorkAct {
  const { id, kind, createdAt, member, body } = row
  const act = ACT.parse({ id, kind, doneAt: doneAtOf(row), ...JSON.parse(body) })
  return { ...act, member, keptAt: createdAt }
}

/** What happened with the work of a job, oldest first, with who did it. */
export function workActsOf(db: Database, jobId: string): WorkAct[] {
  return db
    .select()
    .from(workActs)
    .where(eq(workActs.jobId, jobId))
    .orderBy(...inOrderDone(workActs))
    .all()
    .map(asAct)
}

/**
 * Keeps what happened with the work of a job; what it has already is left as it is. False where it can't be read, there is no such job, or a
 * task is ticked of a kind whose cautions this member has not seen on this job.
 */
export function recordWork(
  db: Database,
  jobId: string,
  posted: unknown,
  member: string | null = null,
): boolean {
  const parsed = BUNDLE.safeParse(posted)
  if (!parsed.success || !jobExists(db, jobId)) return false
  const { acts: posting } = parsed.data
  const ticked = posting.flatMap((act) => (act.kind === 'taskDone' ? [act.task] : []))
  if (ticked.length > 0) {
    const coming = posting.map((act) => ({ ...act, member }))
    const state = workState([...workActsOf(db, jobId), ...coming])
    if (ticked.some((task) => unseen(state, cautionsOfKind(task), member).length > 0)) return false
  }
  const came = whenCame(parsed.data)
  const rows = posting.map(({ id, kind, doneAt, ...body }) => ({
    id,
    kind,
    doneAt,
    ...came,
    jobId,
    member,
    body: JSON.stringify(body),
  }))
  db.insert(workActs).values(rows).onConflictDoNothing().run()
  return true
}

/** All the page of a job's work shows: its walls, the settings as a document to be saved, what happened; null where there is no such job. */
export function jobWork(db: Database, jobId: string, member: string | null) {
  const job = jobBoards(db, jobId)
  const page = pageOfWork(db, { jobId })
  if (!job || !page) return null
  if (!job.settings) return { id: job.id, name: job.name, settings: null }
  return {
    ...job,
    settings: job.settings,
    documents: storedDocuments(db, page),
    history: historyOf(db, page),
    workActs: workActsOf(db, jobId),
    member,
  }
}
export type JobWork = NonNullable<ReturnType<typeof jobWork>>

/** The minute a clock shows where it hangs, since the first day: what plans of work count in. */
export function localMinute(at: Date): number {
  return Math.floor(at.getTime() / 60_000) - at.getTimezoneOffset()
}
