import { asc, sql } from 'drizzle-orm'
import { z } from 'zod'
import { LIMITS, notNegative, sawSchema, storedLength } from '~/model'
import type { Database } from './db/database.server'
import { saws } from './db/schema.server'

/** How many saws a crew keeps. */
const MOST_SAWS = 40

const KEPT = z.strictObject({
  name: z.string().trim().min(1).max(LIMITS.name),
  swing: z.number().min(0).max(80),
  kerf: notNegative(storedLength),
  saw: sawSchema(storedLength),
})
export type KeptSaw = z.output<typeof KEPT>

/** The crew's saws, by name. One that can't be read any more is left out. */
export function keptSaws(db: Database): KeptSaw[] {
  return db
    .select()
    .from(saws)
    .orderBy(asc(saws.name))
    .all()
    .flatMap(({ body }) => {
      const read = KEPT.safeParse(JSON.parse(body))
      return read.success ? [read.data] : []
    })
}

/** Keeps a saw in the place of one of its name; null where it can't be read or there are too many. */
export function keepSaw(db: Database, posted: unknown): KeptSaw[] | null {
  const read = KEPT.safeParse(posted)
  if (!read.success) return null
  const known = keptSaws(db)
  if (known.length >= MOST_SAWS && !known.some(({ name }) => name === read.data.name)) return null
  const row = { name: read.data.name, body: JSON.stringify(read.data), keptAt: Date.now() }
  db.insert(saws)
    .values(row)
    .onConflictDoUpdate({ target: saws.name, set: { body: sql`excluded.body`, keptAt: row.keptAt } })
    .run()
  return keptSaws(db)
}
