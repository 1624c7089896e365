import { and, count, eq } from 'drizzle-orm'
import { z } from 'zod'
import type { Database } from './db/database.server'
import { logPhotos } from './db/workSchema.server'
import { bundleOf } from './bundles.server'
import { LIMITS } from '~/model'
import { tidyPicture } from './photos.server'
import { wallExists } from './walls.server'

interface WallIds {
  readonly jobId: string
  readonly wallId: string
}

const PHOTO = z.strictObject({
  id: z.string().min(8).max(64),
  kind: z.literal('logPhoto'),
  /** The picture as base64. */
  data: z.string().min(1).max(3_500_000),
})
const BUNDLE = bundleOf(z.array(PHOTO).min(1).max(20))

/** Keeps photographs of a wall's log; one it has already is left as it is. False where they can't be read, or there are too many. */
export async function keepLogPhotos(
  onDatabase: <T>(work: (db: Database) => T) => T,
  ids: WallIds,
  posted: unknown,
  member: string | null = null,
): Promise<boolean> {
  const parsed = BUNDLE.safeParse(posted)
  if (!parsed.success || !onDatabase((db) => wallExists(db, ids))) return false
  for (const { id, data } of parsed.data.acts) {
    const tidy = await tidyPicture(Buffer.from(data, 'base64'))
    if (!tidy.ok) return false
    const kept = onDatabase((db) => {
      const held = db.select({ all: count() }).from(logPhotos).where(eq(logPhotos.wallId, ids.wallId)).get()
      if ((held?.all ?? 0) >= LIMITS.logPhotos) return false
      db.insert(logPhotos)
        .values({ id, wallId: ids.wallId, bytes: tidy.value.bytes, member, createdAt: Date.now() })
        .onConflictDoNothing()
        .run()
      return true
    })
    if (!kept) return false
  }
  return true
}

/** A photograph's bytes; null where this wall's log has none of that name. */
export function logPhotoBytes(db: Database, wallId: string, id: string): Buffer | null {
  const found = db
    .select({ bytes: logPhotos.bytes })
    .from(logPhotos)
    .where(and(eq(logPhotos.wallId, wallId), eq(logPhotos.id, id)))
    .get()
  return found?.bytes ?? null
}
