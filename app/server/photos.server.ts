import { and, asc, count, eq, isNull } from 'drizzle-orm'
import sharp from 'sharp'
import { computePlan } from '~/core/computePlan'
import { withFirstPoints } from '~/core/photo/firstPoints'
import { fail, ok, type Result } from '~/length'
import { LIMITS, NO_MARKS, type PhotoMarks, type WallPhoto, workpieceOf } from '~/model'
import { photos } from './db/agreeSchema.server'
import type { Database } from './db/database.server'
import { createDocument, readableDocument } from './documents.server'
import { FullError } from './full.server'
import { newId } from './ids.server'
import { photoDocument } from './namedDocuments.server'
import { troublesOf } from './mending.server'
import { pageOfWall, storedDocuments } from './pages.server'
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

/** What is put on a photograph as it is taken in: the wall's corners; nothing where the wall can't be planned. */
function firstMarks(db: Database, ids: WallIds): PhotoMarks {
  const page = pageOfWall(db, ids)
  if (!page || troublesOf(db, page).length > 0) return NO_MARKS
  const workpiece = workpieceOf(storedDocuments(db, page))
  return withFirstPoints(NO_MARKS, computePlan(workpiece), workpiece.wall.survey)
}

/** Keeps a picture with a wall. Throws a FullError where there is no room. */
export function keepPhoto(
  db: Database,
  ids: WallIds,
  name: string,
  { bytes, width, height }: TidyPicture,
  marks: PhotoMarks = firstMarks(db, ids),
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
      createdAt: Date.now(),
    })
    .run()
  createDocument(db, marks, photoDocument(id))
  return id
}

const shown = { id: photos.id, name: photos.name, width: photos.width, height: photos.height }

/** The photographs of a wall, without their pixels. */
export function photosOf(db: Database, wallId: string): WallPhoto[] {
  return db
    .select(shown)
    .from(photos)
    .where(and(eq(photos.wallId, wallId), isNull(photos.putAwayAt)))
    .orderBy(asc(photos.createdAt))
    .all()
    .map((row) => ({ ...row, document: photoDocument(row.id) }))
}

/** What is put on a photograph; nothing where it can't be read any more. */
export function marksOf(db: Database, { document }: Pick<WallPhoto, 'document'>): PhotoMarks {
  return readableDocument(db, 'photo', document)?.body ?? NO_MARKS
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
