import { and, eq, inArray, notInArray } from 'drizzle-orm'
import { z } from 'zod'
import { wallIsCut } from '~/core/asbuilt/release'
import { type Act, ACTS_AT_ONCE, actSchema } from '~/model'
import { bundleOf, doneAtOf, inOrderDone, whenCame } from './bundles.server'
import type { Database } from './db/database.server'
import { acts } from './db/schema.server'
import { wallExists } from './walls.server'

const ACT = actSchema()
const ACTS = z.array(ACT).min(1).max(ACTS_AT_ONCE)
const BUNDLE = bundleOf(ACTS)

/** Keeps acts done at a wall; those it has already are left as they are. False where they can't be read, or there is no such wall. */
export function recordActs(
  db: Database,
  ids: { jobId: string; wallId: string },
  posted: unknown,
  member: string | null = null,
): boolean {
  const parsed = BUNDLE.safeParse(posted)
  if (!parsed.success || !wallExists(db, ids)) return false
  const came = whenCame(parsed.data)
  const rows = parsed.data.acts.map(({ id, kind, doneAt, ...body }) => ({
    id,
    kind,
    doneAt,
    ...came,
    wallId: ids.wallId,
    member,
    body: JSON.stringify(body),
  }))
  db.insert(acts).values(rows).onConflictDoNothing().run()
  return true
}

/** Keeps acts that Regla itself makes, as those of the demo. Throws where they can't be kept: nobody would see that they are not there. */
export function recordOwnActs(...given: Parameters<typeof recordActs>): void {
  if (!recordActs(...given)) throw new Error('acts of Regla’s own could not be kept')
}

type Row = typeof acts.$inferSelect

function asAct(row: Row): Act {
  const { id, kind, createdAt, member, body } = row
  const act = ACT.parse({ id, kind, doneAt: doneAtOf(row), ...JSON.parse(body) })
  return { ...act, member, keptAt: createdAt }
}

/** What was done at a wall, oldest first. */
export function actsOf(db: Database, wallId: string): Act[] {
  return db
    .select()
    .from(acts)
    .where(eq(acts.wallId, wallId))
    .orderBy(...inOrderDone(acts))
    .all()
    .map(asAct)
}

/** Marks have nothing to do with whether a wall is cut, and there are many of them. */
const MARKS = [
  'marked',
  'unmarked',
  'flawed',
  'finishDone',
  'finishOpen',
  'builtAt',
  'builtHeight',
  'began',
  'ended',
  'noted',
  'used',
]

/** What was done of cutting at these walls, oldest first, by wall. */
export function cuttingActs(db: Database, wallIds: readonly string[]): Map<string, Act[]> {
  const rows = db
    .select()
    .from(acts)
    .where(and(inArray(acts.wallId, [...wallIds]), notInArray(acts.kind, MARKS)))
    .orderBy(...inOrderDone(acts))
    .all()
  const byWall = new Map<string, Act[]>()
  for (const row of rows) byWall.set(row.wallId, [...(byWall.get(row.wallId) ?? []), asAct(row)])
  return byWall
}

/** Which of these walls are cut: said to be, or all of their list ticked. */
export function cutWalls(db: Database, wallIds: readonly string[]): Set<string> {
  return new Set([...cuttingActs(db, wallIds)].flatMap(([wallId, done]) => (wallIsCut(done) ? [wallId] : [])))
}
