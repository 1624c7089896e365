import sharp from 'sharp'
import { pickOf, remarksOf } from '~/core/agree/clientWord'
import {
  type BesideWall,
  type DesignDocument,
  NO_MARKS,
  type PhotoMarks,
  type Settings,
  type Survey,
} from '~/model'
import { type ClientLink, actsOfLink, isOpen, linkOfToken } from './clientLinks.server'
import { pacedSettings } from './crewLog.server'
import type { Database } from './db/database.server'
import { jobDetail } from './jobs.server'
import { readableDocument } from './documents.server'
import { optionsOf } from './options.server'
import { wallsOfJob } from './pages.server'
import { marksOf, photoBytes, photosOf } from './photos.server'
import { inRoom } from './rooms.server'
import { type Signature, signatureOf } from './signatures.server'

/** An option as a client sees it, with what it is drawn from. */
export interface ShownOption {
  readonly id: string
  readonly name: string
  readonly design: DesignDocument
  /** What its rails meet in the corners of the room. */
  readonly beside: BesideWall
}

/** A wall as a client sees it: what its link offers of it and nothing else. */
export interface ShownWall {
  readonly id: string
  readonly name: string
  readonly survey: Survey
  readonly options: readonly ShownOption[]
  /** The last photograph with points enough; null where there is none or it is not shown. */
  readonly photo: ShownPhoto | null
}

/** A photograph as the page shows it: with the marks that put a layout on it, or as it was signed. */
export interface ShownPhoto {
  readonly id: string
  readonly width: number
  readonly height: number
  readonly marks: PhotoMarks
}

/** All that a client's page shows. */
export interface ClientPage {
  readonly link: ClientLink
  readonly job: string
  readonly client: string
  readonly settings: Settings
  readonly walls: readonly ShownWall[]
  readonly picks: Readonly<Record<string, ReturnType<typeof pickOf>>>
  readonly remarks: ReturnType<typeof remarksOf>
  readonly signed: Signature | null
}

/** What a token opens: its page, that it is over, or nothing. */
export type Opened =
  | { readonly kind: 'open'; readonly page: ClientPage }
  | { readonly kind: 'over'; readonly job: string }
  | { readonly kind: 'unknown' }

/** The page of a link. Signed, it shows what was signed, whatever was changed since. */
function pageOf(db: Database, link: ClientLink): ClientPage | null {
  const job = jobDetail(db, link.jobId)
  const settings = job && readableDocument(db, 'settings', job.settingsId)?.body
  if (!job || !settings) return null
  const signed = signatureOf(db, link.id)
  const rows = new Map(wallsOfJob(db, link.jobId).map((row) => [row.id, row]))
  const shows = new Set(link.body.parts)
  const photoOf = (wallId: string): ShownWall['photo'] => {
    if (!shows.has('photo')) return null
    const all = photosOf(db, wallId).map((photo) => ({ ...photo, marks: marksOf(db, photo) }))
    const last = all.findLast(({ marks }) => marks.points.length >= 4)
    return last ? { id: last.id, width: last.width, height: last.height, marks: last.marks } : null
  }
  const walls = signed
    ? signed.body.walls.map(
        ({ wallId, wall, optionId, option, survey, design, beside, picture }): ShownWall => ({
          id: wallId,
          name: wall,
          survey,
          // what was signed before corners were looked at was drawn without
          options: [{ id: optionId, name: option, design, beside: beside ?? {} }],
          // what was signed before photographs were kept with it shows the wall's own
          photo: picture === undefined ? photoOf(wallId) : picture && { ...picture, marks: NO_MARKS },
        }),
      )
    : link.body.walls.flatMap(({ wallId, options }): ShownWall[] => {
        const row = rows.get(wallId)
        const survey = row && readableDocument(db, 'survey', row.surveyId)?.body
        const shown = optionsOf(db, wallId).flatMap(({ id, name, design }): ShownOption[] => {
          if (!row || !survey || !design || !options.includes(id)) return []
          const { beside } = inRoom(db, { wall: { survey, design }, settings }, row.roomId, wallId)
          return [{ id, name, design, beside: beside ?? {} }]
        })
        return row && survey && shown.length > 0
          ? [{ id: wallId, name: row.name, survey, options: shown, photo: photoOf(wallId) }]
          : []
      })
  const acts = actsOfLink(db, link.id)
  return {
    link,
    job: job.name,
    client: job.client,
    settings: signed ? signed.body.settings : pacedSettings(db, settings),
    walls,
    picks: Object.fromEntries(walls.map(({ id }) => [id, pickOf(acts, link.body, id)])),
    remarks: remarksOf(acts),
    signed,
  }
}

/** What a token opens now. */
export function openLink(db: Database, token: string, now: number): Opened {
  const link = linkOfToken(db, token)
  if (!link) return { kind: 'unknown' }
  if (!isOpen(link, now)) return { kind: 'over', job: jobDetail(db, link.jobId)?.name ?? '' }
  const page = pageOf(db, link)
  return page ? { kind: 'open', page } : { kind: 'unknown' }
}

/** The pixels of a photograph that a client's page shows; null where the page does not show it. */
export function shownBytes(db: Database, { walls }: Pick<ClientPage, 'walls'>, photoId: string) {
  const wall = walls.find(({ photo }) => photo?.id === photoId)
  const bytes = wall && photoBytes(db, wall.id, photoId)
  return wall?.photo && bytes ? { wall, photo: wall.photo, bytes } : null
}

/** How wide a client's picture is at most, in pixels. */
const SHOWN_WIDTH = 1400

/** A photograph with a drawing on it as one JPEG. */
export async function composited(bytes: Buffer, svg: string): Promise<Buffer> {
  const whole = await sharp(bytes)
    .composite([{ input: Buffer.from(svg) }])
    .toBuffer()
  return sharp(whole)
    .resize({ width: SHOWN_WIDTH, withoutEnlargement: true })
    .jpeg({ quality: 82 })
    .toBuffer()
}
