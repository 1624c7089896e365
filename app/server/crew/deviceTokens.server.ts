import { randomBytes } from 'node:crypto'
import { asc, count, eq } from 'drizzle-orm'
import { type Database, inTransaction } from '../db/database.server'
import { deviceTokens } from '../db/schema.server'
import { keyOf } from './sessions.server'

const MOST_NAME = 40
/** A crew has a handful of lasers. */
export const MOST_DEVICES = 20

/** A device that may post readings. */
export interface Device {
  readonly id: string
  readonly name: string
  readonly createdAt: number
  readonly usedAt: number | null
}

/** Makes a token for a device and returns it: it is shown this once. Null without a name, or where there are as many as there may be. */
export function newDevice(db: Database, typed: string, now: number): string | null {
  const name = typed.trim().slice(0, MOST_NAME)
  if (name === '') return null
  return inTransaction(db, (tx) => {
    const held = tx.select({ all: count() }).from(deviceTokens).get()
    if ((held?.all ?? 0) >= MOST_DEVICES) return null
    const token = randomBytes(24).toString('base64url')
    tx.insert(deviceTokens)
      .values({ id: keyOf(token), name, createdAt: now })
      .run()
    return token
  })
}

/** The devices that may post readings, by name. */
export function devicesOf(db: Database): Device[] {
  return db.select().from(deviceTokens).orderBy(asc(deviceTokens.name)).all()
}

/** Ends a device's token. False where there is none. */
export function endDevice(db: Database, id: string): boolean {
  return db.delete(deviceTokens).where(eq(deviceTokens.id, id)).run().changes > 0
}

/** The token of an Authorization header; null where it has none of ours. */
export function bearerOf(header: string | null): string | null {
  return /^Bearer ([\w-]{32})$/.exec(header ?? '')?.[1] ?? null
}

/** Whether a token is a device's, which is noted as used then. */
export function isDevice(db: Database, token: string, now: number): boolean {
  const of = eq(deviceTokens.id, keyOf(token))
  return db.update(deviceTokens).set({ usedAt: now }).where(of).run().changes > 0
}
