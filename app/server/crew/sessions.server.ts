import { createHash, randomBytes } from 'node:crypto'
import Bowser from 'bowser'
import { and, desc, eq, gt, isNull, lte } from 'drizzle-orm'
import type { Database } from '../db/database.server'
import { members, sessions } from '../db/schema.server'
import type { Member } from './members.server'

/** How long a browser stays in before it has to sign in again. */
export const SESSION_DAYS = 14
const DAY = 86_400_000

/** The row's key is a hash: who reads the file can't use what is in it as a cookie. */
export function keyOf(secret: string): string {
  return createHash('sha256').update(secret).digest('base64url')
}

/** Lets a browser in and returns what its cookie is to hold. Sessions whose time is over are swept away. */
export function startSession(
  db: Database,
  memberId: string,
  by: 'passphrase' | 'code',
  browser: string,
  now: number,
): string {
  const token = randomBytes(32).toString('base64url')
  db.delete(sessions).where(lte(sessions.expiresAt, now)).run()
  db.insert(sessions)
    .values({
      id: keyOf(token),
      memberId,
      by,
      browser: browser.slice(0, 120),
      createdAt: now,
      expiresAt: now + SESSION_DAYS * DAY,
    })
    .run()
  return token
}

/** Who a cookie lets in; null where it is unknown, its time is over, or the member is shut out. */
export function memberOf(db: Database, token: string, now: number): Member | null {
  const row = db
    .select({ id: members.id, name: members.name, role: members.role, seesPrices: members.seesPrices })
    .from(sessions)
    .innerJoin(members, eq(sessions.memberId, members.id))
    .where(and(eq(sessions.id, keyOf(token)), gt(sessions.expiresAt, now), isNull(members.shutOutAt)))
    .get()
  return row ? { ...row, shutOut: false } : null
}

/** Ends the session of a cookie. */
export function endSession(db: Database, token: string): void {
  db.delete(sessions)
    .where(eq(sessions.id, keyOf(token)))
    .run()
}

/** A browser that is in. */
export interface Presence {
  readonly id: string
  readonly memberId: string
  readonly name: string
  readonly by: 'passphrase' | 'code'
  readonly browser: string
  readonly since: number
  readonly until: number
}

/** What a browser calls itself, in words people use: Firefox on Android. */
export function browserName(agent: string): string {
  const parsed = Bowser.getParser(agent === '' ? ' ' : agent)
  const [name, system] = [parsed.getBrowserName(), parsed.getOSName()]
  return name && system ? `${name} on ${system}` : name || 'a browser'
}

/** Every browser that is in, newest first. */
export function whoIsIn(db: Database, now: number): Presence[] {
  return db
    .select({
      id: sessions.id,
      memberId: sessions.memberId,
      name: members.name,
      by: sessions.by,
      browser: sessions.browser,
      since: sessions.createdAt,
      until: sessions.expiresAt,
    })
    .from(sessions)
    .innerJoin(members, eq(sessions.memberId, members.id))
    .where(gt(sessions.expiresAt, now))
    .orderBy(desc(sessions.createdAt))
    .all()
}

/** Puts one browser out, by the id `whoIsIn` gives. */
export function putOut(db: Database, id: string): void {
  db.delete(sessions).where(eq(sessions.id, id)).run()
}
