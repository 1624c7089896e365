import { randomInt } from 'node:crypto'
import { and, eq, gt, isNull, lte } from 'drizzle-orm'
import { type Database, inTransaction } from '../db/database.server'
import { members, pairings } from '../db/schema.server'
import { keyOf } from './sessions.server'

/** How long a code shown on the desk is good for. */
export const CODE_MINUTES = 5
/** No 0 or O, 1 or I: read off a screen and typed on a phone. */
const LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789'
const LENGTH = 8

/** A code as it is compared: without the space it is shown with, in capitals. */
export function tidyCode(typed: string): string {
  return typed.toUpperCase().replaceAll(/[\s-]/g, '')
}

/** Makes a code that lets one browser in as a member, once, for a few minutes. 32 to the 8th: tries are limited besides. */
export function newCode(db: Database, memberId: string, now: number): string {
  const code = Array.from({ length: LENGTH }, () => LETTERS[randomInt(LETTERS.length)]).join('')
  db.delete(pairings).where(lte(pairings.expiresAt, now)).run()
  db.insert(pairings)
    .values({ id: keyOf(code), memberId, expiresAt: now + CODE_MINUTES * 60_000 })
    .run()
  return code
}

/** Uses a code up; whom it lets in, or null where it is unknown, used or over. */
export function takeCode(db: Database, typed: string, now: number): string | null {
  const id = keyOf(tidyCode(typed))
  return inTransaction(db, (tx) => {
    const row = tx
      .select({ memberId: pairings.memberId })
      .from(pairings)
      .innerJoin(members, eq(pairings.memberId, members.id))
      .where(
        and(
          eq(pairings.id, id),
          isNull(pairings.usedAt),
          gt(pairings.expiresAt, now),
          isNull(members.shutOutAt),
        ),
      )
      .get()
    if (!row) return null
    tx.update(pairings).set({ usedAt: now }).where(eq(pairings.id, id)).run()
    return row.memberId
  })
}
