import { asc, type SQL, sql } from 'drizzle-orm'
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core'
import { z } from 'zod'

/** A device's clock off by less than this is right. */
const CLOCK_SLACK_MS = 120_000

/** Acts as they come: alone, or with what the device's clock showed as they were sent. */
export function bundleOf<Of>(acts: z.ZodType<Of[]>) {
  return z.union([
    acts.transform((all) => ({ sentAt: null, acts: all })),
    z.strictObject({ sentAt: z.number().int().min(0).max(8_640_000_000_000_000), acts }),
  ])
}

/** How far behind the server's clock a device's is, as it says what it shows; 0 where it is right or says nothing. */
function clockOff(sentAt: number | null, now: number): number {
  const off = sentAt === null ? 0 : now - sentAt
  return Math.abs(off) < CLOCK_SLACK_MS ? 0 : off
}

/** What every kept act has of when it came, and of the clock that it was done by. */
export function whenCame({ sentAt }: { readonly sentAt: number | null }, now = Date.now()) {
  return { createdAt: now, clockOff: clockOff(sentAt, now) }
}

/** When an act was done by a clock that is right: a device's that was off is set by how far. Every reader of acts asks here. */
export function doneAtOf({ doneAt, clockOff: off }: { readonly doneAt: number; readonly clockOff: number }) {
  return Math.max(0, doneAt + off)
}

/** Acts in the order in which they were done, by that clock; of the same instant as they came. */
export function inOrderDone(table: {
  readonly doneAt: SQLiteColumn
  readonly clockOff: SQLiteColumn
  readonly createdAt: SQLiteColumn
}): [SQL, SQL] {
  return [asc(sql`max(0, ${table.doneAt} + ${table.clockOff})`), asc(table.createdAt)]
}
