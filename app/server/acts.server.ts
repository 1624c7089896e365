import { and, asc, eq, inArray } from 'drizzle-orm'
import { z } from 'zod'
import { type Act, ACTS_AT_ONCE, actSchema } from '~/model'
import type { Database } from './db/database.server'
import { acts } from './db/schema.server'
import { wallExists } from './walls.server'

const ACT = actSchema()
const ACTS = z.array(ACT).min(1).max(ACTS_AT_ONCE)

/** Keeps acts done at a wall; those it has already are left as they are. False where they can't be read, or there is no such wall. */
export function recordActs(
  db: Database,
  ids: { jobId: string; wallId: string },
  posted: unknown,
  member: string | null = null,
): boolean {
  const parsed = ACTS.safeParse(posted)
  if (!parsed.success || !wallExists(db, ids)) return false
  const createdAt = Date.now()
  const rows = parsed.data.map(({ id, kind, doneAt, ...body }) => ({
    id,
    kind,
    doneAt,
    createdAt,
    wallId: ids.wallId,
    member,
    body: JSON.stringify(body),
  }))
  db.insert(acts).values(rows).onConflictDoNothing().run()
  return true
}

/** What was done at a wall, oldest first. */
export function actsOf(db: Database, wallId: string): Act[] {
  return db
    .select()
    .from(acts)
    .where(eq(acts.wallId, wallId))
    .orderBy(asc(acts.doneAt), asc(acts.createdAt))
    .all()
    .map(({ id, kind, doneAt, body }) => ACT.parse({ id, kind, doneAt, ...JSON.parse(body) }))
}

/** Which of these walls were said to be cut. */
export function cutWalls(db: Database, wallIds: readonly string[]): Set<string> {
  const rows = db
    .select({ wallId: acts.wallId, kind: acts.kind })
    .from(acts)
    .where(and(inArray(acts.wallId, [...wallIds]), inArray(acts.kind, ['cut', 'uncut'])))
    .orderBy(asc(acts.doneAt), asc(acts.createdAt))
    .all()
  const last = new Map(rows.map(({ wallId, kind }) => [wallId, kind]))
  return new Set([...last].flatMap(([wallId, kind]) => (kind === 'cut' ? [wallId] : [])))
}
