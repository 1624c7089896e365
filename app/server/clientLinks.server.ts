import { randomBytes } from 'node:crypto'
import { and, asc, count, desc, eq, sql } from 'drizzle-orm'
import type { z } from 'zod'
import { type ClientAct, clientActSchema, type ClientLinkBody, LIMITS, linkSchema } from '~/model'
import { clientActs, clientLinks } from './db/agreeSchema.server'
import { type Database, inTransaction } from './db/database.server'
import { jobs } from './db/schema.server'
import { readableDocument } from './documents.server'
import { FullError } from './full.server'
import { newId } from './ids.server'

const BODY = linkSchema()
const ACT = clientActSchema()
const DAY = 86_400_000

/** For how many days a link may be open. */
export const LINK_DAYS = [7, 30, 90] as const

/** A link for a client, and how it stands. */
export interface ClientLink {
  readonly id: string
  readonly token: string
  readonly jobId: string
  readonly body: ClientLinkBody
  readonly createdAt: number
  readonly expiresAt: number
  readonly endedAt: number | null
}

type Row = typeof clientLinks.$inferSelect

function asLink({ id, token, jobId, body, createdAt, expiresAt, endedAt }: Row): ClientLink {
  return { id, token, jobId, body: BODY.parse(JSON.parse(body)), createdAt, expiresAt, endedAt }
}

/** Makes a link that nobody can guess: 256 bits. Throws a FullError where a job has too many. */
export function makeLink(
  db: Database,
  jobId: string,
  body: ClientLinkBody,
  days: number,
  now: number,
  member: string | null = null,
): ClientLink {
  const held = db.select({ all: count() }).from(clientLinks).where(eq(clientLinks.jobId, jobId)).get()
  if ((held?.all ?? 0) >= LIMITS.links) throw new FullError('links')
  const row = {
    id: newId(),
    token: randomBytes(32).toString('base64url'),
    jobId,
    body: JSON.stringify(BODY.parse(body)),
    member,
    createdAt: now,
    expiresAt: now + days * DAY,
    endedAt: null,
  }
  db.insert(clientLinks).values(row).run()
  return asLink(row)
}

/** The links of a job, the newest first. */
export function linksOf(db: Database, jobId: string): ClientLink[] {
  return db
    .select()
    .from(clientLinks)
    .where(eq(clientLinks.jobId, jobId))
    .orderBy(desc(clientLinks.createdAt), desc(clientLinks.id))
    .all()
    .map(asLink)
}

/** Ends a link; what came by it stays. False where the job has no such link. */
export function endLink(db: Database, jobId: string, id: string, now: number): boolean {
  const of = and(eq(clientLinks.id, id), eq(clientLinks.jobId, jobId))
  return db.update(clientLinks).set({ endedAt: now }).where(of).run().changes > 0
}

/** Whether a link still opens. */
export function isOpen(
  { endedAt, expiresAt }: Pick<ClientLink, 'endedAt' | 'expiresAt'>,
  now: number,
): boolean {
  return endedAt === null && now < expiresAt
}

/** The link of a token, open or not; null where there is none. */
export function linkOfToken(db: Database, token: string): ClientLink | null {
  if (!/^[\w-]{43}$/.test(token)) return null
  const row = db.select().from(clientLinks).where(eq(clientLinks.token, token)).get()
  return row ? asLink(row) : null
}

/** What was done by a link, oldest first. What can't be read any more is left out. */
export function actsOfLink(db: Database, linkId: string): ClientAct[] {
  return db
    .select()
    .from(clientActs)
    .where(eq(clientActs.linkId, linkId))
    .orderBy(asc(clientActs.doneAt), asc(clientActs.id))
    .all()
    .flatMap(({ id, body, doneAt }) => {
      const act = ACT.safeParse(JSON.parse(body))
      return act.success ? [{ ...act.data, id, doneAt }] : []
    })
}

/** What came of something a client did. */
export type Recorded = 'kept' | 'unread' | 'full'

/** Whether what was done speaks of what the link offers: its walls, their options, and colors that the job has on its list. */
function isOffered(db: Database, link: ClientLink, act: Posted): boolean {
  if (act.kind === 'answered') return true
  const offered = link.body.walls.find(({ wallId }) => wallId === act.wall)
  if (!offered) return false
  if (act.kind !== 'color') return act.option === null || offered.options.includes(act.option)
  const job = db.select({ settings: jobs.settingsId }).from(jobs).where(eq(jobs.id, link.jobId)).get()
  const paints = job && readableDocument(db, 'settings', job.settings)?.body.paints
  return paints?.some(({ id, state }) => id === act.paint && state === 'listed') ?? false
}

type Posted = z.output<typeof ACT>

/** What a new pick takes the place of: the pick of the same wall, the color of the same wall and use. Remarks and answers only come on. */
function replaced(db: Database, link: ClientLink, act: Posted): void {
  if (act.kind !== 'picked' && act.kind !== 'color') return
  const part = (name: string) => sql`json_extract(${clientActs.body}, ${`$.${name}`})`
  const same = [eq(part('wall'), act.wall), ...(act.kind === 'color' ? [eq(part('use'), act.use)] : [])]
  db.delete(clientActs)
    .where(and(eq(clientActs.linkId, link.id), eq(clientActs.kind, act.kind), ...same))
    .run()
}

/** Keeps what was done by a link: by the client, or by a member of the crew who answers. */
export function recordClientAct(
  db: Database,
  link: ClientLink,
  posted: unknown,
  now: number,
  member: string | null = null,
): Recorded {
  const read = ACT.safeParse(posted)
  if (!read.success) return 'unread'
  const act = read.data
  return inTransaction(db, (tx): Recorded => {
    if (!isOffered(tx, link, act)) return 'unread'
    const body = JSON.stringify(act)
    // a page that is loaded again sends its remark again
    const same = and(eq(clientActs.linkId, link.id), eq(clientActs.kind, 'remark'), eq(clientActs.body, body))
    if (act.kind === 'remark' && tx.select({ id: clientActs.id }).from(clientActs).where(same).get())
      return 'kept'
    const remarks = and(eq(clientActs.linkId, link.id), eq(clientActs.kind, 'remark'))
    const held = tx.select({ all: count() }).from(clientActs).where(remarks).get()
    // picks and colors take the place of earlier ones, and answers are to remarks that are there: none of them runs out of room
    if (act.kind === 'remark' && (held?.all ?? 0) >= LIMITS.remarks) return 'full'
    replaced(tx, link, act)
    tx.insert(clientActs)
      .values({ id: newId(), linkId: link.id, kind: act.kind, body, member, doneAt: now })
      .run()
    return 'kept'
  })
}
