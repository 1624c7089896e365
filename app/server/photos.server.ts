import { and, asc, count, eq, isNull } from 'drizzle-orm'
import sharp from 'sharp'
import { z } from 'zod'
import { fail, ok, type Result } from '~/length'
import { changeRow, LIMITS, type PhotoMarks, photoMarksSchema, type WallPhoto } from '~/model'
import { photos } from './db/agreeSchema.server'
import { type Database, inTransaction } from './db/database.server'
import { FullError } from './full.server'
import { newId } from './ids.server'
import { wallExists } from './walls.server'

interface WallIds {
  readonly jobId: string
  readonly wallId: string
}

/** Why a picture is not taken in. */
export type PhotoProblem =
  | { readonly code: 'noWall' | 'empty' | 'broken' | 'tooLarge' | 'heic' }
  | { readonly code: 'kind'; readonly kind: string }
  | { readonly code: 'tooManyPixels'; readonly megapixels: number }

/** A picture as it is kept: upright, no larger than it is shown, and without where and when it was taken. */
export interface TidyPicture {
  readonly bytes: Buffer
  readonly width: number
  readonly height: number
}

const KINDS = ['jpeg', 'png', 'webp']

/** One picture at a time is unpacked: each takes a hundred megabytes or two. */
let last: Promise<unknown> = Promise.resolve()
function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const mine = last.then(work, work)
  last = mine.catch(() => undefined)
  return mine
}

async function tidied(given: Uint8Array): Promise<Result<TidyPicture, PhotoProblem>> {
  const options = { limitInputPixels: LIMITS.photoPixels, failOn: 'error', sequentialRead: true } as const
  const found = await sharp(given, { ...options, limitInputPixels: false })
    .metadata()
    .catch(() => null)
  // what it is goes by what is in it, not by its name
  if (!found?.format) return fail({ code: 'broken' })
  if (found.format === 'heif' && found.compression !== 'av1') return fail({ code: 'heic' })
  if (!KINDS.includes(found.format)) return fail({ code: 'kind', kind: found.format })
  const pixels = found.width * found.height
  if (pixels > LIMITS.photoPixels)
    return fail({ code: 'tooManyPixels', megapixels: Math.round(pixels / 1e6) })
  try {
    const side = LIMITS.photoSide
    const { data, info } = await sharp(given, options)
      .autoOrient()
      .resize({ width: side, height: side, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .toColorspace('srgb')
      .jpeg({ quality: 85 })
      .toBuffer({ resolveWithObject: true })
    return ok({ bytes: data, width: info.width, height: info.height })
  } catch {
    return fail({ code: 'broken' })
  }
}

/** Makes a picture fit to be kept, or says why it can't be read. */
export async function tidyPicture(given: Uint8Array): Promise<Result<TidyPicture, PhotoProblem>> {
  if (given.byteLength === 0) return fail({ code: 'empty' })
  if (given.byteLength > LIMITS.photoBytes) return fail({ code: 'tooLarge' })
  return inTurn(() => tidied(given))
}

/** Nothing put on a photograph yet; light from above left, as windows often are. Common practice, no source. */
export const NO_MARKS: PhotoMarks = { points: [], lens: false, lightDeg: 135, cutOuts: [] }

/** Keeps a picture with a wall. Throws a FullError where there is no room. */
export function keepPhoto(
  db: Database,
  ids: WallIds,
  name: string,
  { bytes, width, height }: TidyPicture,
  marks: PhotoMarks = NO_MARKS,
): string | null {
  if (!wallExists(db, ids)) return null
  const held = db
    .select({ all: count() })
    .from(photos)
    .where(and(eq(photos.wallId, ids.wallId), isNull(photos.putAwayAt)))
    .get()
  if ((held?.all ?? 0) >= LIMITS.photos) throw new FullError('photos')
  const id = newId()
  db.insert(photos)
    .values({
      id,
      wallId: ids.wallId,
      name,
      width,
      height,
      bytes,
      marks: JSON.stringify(marks),
      revision: 1,
      createdAt: Date.now(),
    })
    .run()
  return id
}

const MARKS = photoMarksSchema()
const shown = {
  id: photos.id,
  name: photos.name,
  width: photos.width,
  height: photos.height,
  revision: photos.revision,
  marks: photos.marks,
}

/** The photographs of a wall, without their pixels. Marks that can't be read any more are none. */
export function photosOf(db: Database, wallId: string): WallPhoto[] {
  return db
    .select(shown)
    .from(photos)
    .where(and(eq(photos.wallId, wallId), isNull(photos.putAwayAt)))
    .orderBy(asc(photos.createdAt))
    .all()
    .map((row) => {
      const marks = MARKS.safeParse(JSON.parse(row.marks))
      return { ...row, marks: marks.success ? marks.data : NO_MARKS }
    })
}

/** A photograph's pixels as JPEG; null where the wall has no such photograph. */
export function photoBytes(db: Database, wallId: string, photoId: string): Buffer | null {
  const row = db
    .select({ bytes: photos.bytes })
    .from(photos)
    .where(and(eq(photos.id, photoId), eq(photos.wallId, wallId)))
    .get()
  return row?.bytes ?? null
}

/**
 * What came of saving what was put on a photograph. `saved` with what is there now, where another window has put something there too;
 * `changed` where both changed the same: nothing is saved, and what the other put there is told.
 */
export type MarksSaved =
  | { readonly kind: 'saved'; readonly revision: number; readonly marks?: PhotoMarks }
  | { readonly kind: 'changed'; readonly revision: number; readonly marks: PhotoMarks }
  | { readonly kind: 'refused' }

const CHANGE = z.strictObject({
  revision: z.number().int().positive(),
  /** What was on it at that revision. */
  was: MARKS,
  marks: MARKS,
})

/** Saves what was put on a photograph since it was read, on top of what others have put there: points and cut-outs go by their names. */
export function saveMarks(db: Database, ids: WallIds, photoId: string, posted: unknown): MarksSaved {
  const read = CHANGE.safeParse(posted)
  if (!read.success || !wallExists(db, ids)) return { kind: 'refused' }
  const { was, marks } = read.data
  return inTransaction(db, (tx): MarksSaved => {
    const found = photosOf(tx, ids.wallId).find(({ id }) => id === photoId)
    if (!found) return { kind: 'refused' }
    const isNewest = read.data.revision === found.revision
    const changed = isNewest ? { row: marks } : changeRow(was, marks, found.marks)
    if ('clash' in changed) return { kind: 'changed', revision: found.revision, marks: found.marks }
    const both = MARKS.safeParse(changed.row)
    // each can be kept, both together can't: too many points
    if (!both.success) return { kind: 'changed', revision: found.revision, marks: found.marks }
    const revision = found.revision + 1
    tx.update(photos)
      .set({ marks: JSON.stringify(both.data), revision })
      .where(eq(photos.id, photoId))
      .run()
    return isNewest ? { kind: 'saved', revision } : { kind: 'saved', revision, marks: both.data }
  })
}

/** Puts a photograph away, or brings it back. False where the wall has none of that id. */
export function putPhotoAway(db: Database, ids: WallIds, photoId: string, away: boolean): boolean {
  if (!wallExists(db, ids)) return false
  const of = and(eq(photos.id, photoId), eq(photos.wallId, ids.wallId))
  return (
    db
      .update(photos)
      .set({ putAwayAt: away ? Date.now() : null })
      .where(of)
      .run().changes > 0
  )
}
