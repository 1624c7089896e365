import { createHash } from 'node:crypto'
import { desc, eq } from 'drizzle-orm'
import { z } from 'zod'
import { canonicalText, inPickedColors, pickOf } from '~/core/agree/clientWord'
import { optionFigures } from '~/core/agree/optionFigures'
import {
  type BesideWall,
  type DrawnLine,
  drawnLine,
  LIMITS,
  readBody,
  type Settings,
  type SignedWall,
  storedBesideWall,
} from '~/model'
import { actsOfLink, type ClientLink } from './clientLinks.server'
import { pacedSettings } from './crewLog.server'
import { signatures } from './db/agreeSchema.server'
import { type Database, inTransaction } from './db/database.server'
import { jobs, walls } from './db/schema.server'
import { readableDocument } from './documents.server'
import { newId } from './ids.server'
import { optionsOf } from './options.server'
import { inRoom } from './rooms.server'

/** What was signed: the copy that the fingerprint is of. */
export interface SignedBody {
  readonly job: string
  readonly walls: readonly (SignedWall & {
    /** What its boards came to that day, in hundredths; null where that was not known. */
    readonly price: number | null
    /** What its rails met in the corners of the room. */
    readonly beside?: BesideWall
  })[]
  readonly settings: Settings
}

export interface Signature {
  readonly id: string
  readonly linkId: string
  readonly name: string
  readonly line: DrawnLine
  readonly body: SignedBody
  readonly fingerprint: string
  readonly signedAt: number
  /** Whether the copy is still what the fingerprint was made of. */
  readonly whole: boolean
}

/** SHA-256 of the copy's text, keys sorted: NIST FIPS 180-4. */
export function fingerprintOf(text: string): string {
  return createHash('sha256').update(text).digest('hex')
}

const WALL = z.object({
  wallId: z.string(),
  wall: z.string(),
  optionId: z.string(),
  option: z.string(),
  price: z.number().nullable(),
  survey: z.unknown(),
  design: z.unknown(),
  beside: storedBesideWall.exactOptional(),
})
const SIGNED = z.object({ job: z.string(), walls: z.array(WALL), settings: z.unknown() })

function asSignature(row: typeof signatures.$inferSelect): Signature {
  const { job, walls: signed, settings } = SIGNED.parse(JSON.parse(row.body))
  return {
    id: row.id,
    linkId: row.linkId,
    name: row.name,
    line: drawnLine.parse(JSON.parse(row.line)),
    body: {
      job,
      settings: readBody('settings', settings),
      walls: signed.map((each) => ({
        ...each,
        survey: readBody('survey', each.survey),
        design: readBody('design', each.design),
      })),
    },
    fingerprint: row.fingerprint,
    signedAt: row.signedAt,
    whole: fingerprintOf(row.body) === row.fingerprint,
  }
}

/** What was signed by a link; null where nothing was yet. */
export function signatureOf(db: Database, linkId: string): Signature | null {
  const row = db.select().from(signatures).where(eq(signatures.linkId, linkId)).get()
  return row ? asSignature(row) : null
}

/** What was signed in a job, the newest first. */
export function signaturesOfJob(db: Database, jobId: string): Signature[] {
  return db
    .select()
    .from(signatures)
    .where(eq(signatures.jobId, jobId))
    .orderBy(desc(signatures.signedAt))
    .all()
    .map(asSignature)
}

/** Why something was not signed. */
export type SignProblem =
  | { readonly code: 'noName' | 'longName' | 'unread' | 'line' }
  | { readonly code: 'notPicked'; readonly wall: string }
  | { readonly code: 'already'; readonly name: string; readonly signedAt: number }

function bodyToSign(db: Database, link: ClientLink): SignedBody | SignProblem {
  const job = db
    .select({ name: jobs.name, settingsId: jobs.settingsId })
    .from(jobs)
    .where(eq(jobs.id, link.jobId))
    .get()
  const settings = job && readableDocument(db, 'settings', job.settingsId)?.body
  if (!job || !settings) return { code: 'unread' }
  const acts = actsOfLink(db, link.id)
  const signed: SignedBody['walls'][number][] = []
  for (const { wallId } of link.body.walls) {
    const row = db
      .select({ name: walls.name, roomId: walls.roomId, surveyId: walls.surveyId })
      .from(walls)
      .where(eq(walls.id, wallId))
      .get()
    const survey = row && readableDocument(db, 'survey', row.surveyId)?.body
    const pick = pickOf(acts, link.body, wallId)
    const option = optionsOf(db, wallId).find(({ id }) => id === pick.option)
    if (row && pick.option === null) return { code: 'notPicked', wall: row.name }
    if (!row || !survey || !option?.design) return { code: 'unread' }
    const design = inPickedColors(option.design, pick, settings)
    const workpiece = inRoom(db, { wall: { survey, design }, settings }, row.roomId, wallId)
    const { cost } = optionFigures(workpiece)
    signed.push({
      wallId,
      wall: row.name,
      optionId: option.id,
      option: option.name,
      price: cost?.whole ? cost.sum : null,
      survey,
      design,
      ...(workpiece.beside ? { beside: workpiece.beside } : {}),
    })
  }
  // the hours that were read are those that were signed
  return { job: job.name, walls: signed, settings: pacedSettings(db, settings) }
}

/** Signs what a link shows, as it was picked: once, whoever is first. */
export function sign(
  db: Database,
  link: ClientLink,
  typed: string,
  line: unknown,
  now: number,
): { readonly ok: true } | { readonly ok: false; readonly problem: SignProblem } {
  const name = typed.trim()
  if (name === '') return { ok: false, problem: { code: 'noName' } }
  if (name.length > LIMITS.name) return { ok: false, problem: { code: 'longName' } }
  const drawn = drawnLine.safeParse(line)
  if (!drawn.success) return { ok: false, problem: { code: 'line' } }
  return inTransaction(db, (tx) => {
    const before = signatureOf(tx, link.id)
    if (before)
      return { ok: false, problem: { code: 'already', name: before.name, signedAt: before.signedAt } }
    const body = bodyToSign(tx, link)
    if ('code' in body) return { ok: false, problem: body }
    const text = canonicalText(body)
    tx.insert(signatures)
      .values({
        id: newId(),
        linkId: link.id,
        jobId: link.jobId,
        name,
        line: JSON.stringify(drawn.data),
        body: text,
        fingerprint: fingerprintOf(text),
        signedAt: now,
      })
      .run()
    return { ok: true }
  })
}
