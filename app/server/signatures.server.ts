import { createHash } from 'node:crypto'
import { and, desc, eq } from 'drizzle-orm'
import { z } from 'zod'
import { canonicalText, inPickedColors, pickOf } from '~/core/agree/clientWord'
import { optionFigures } from '~/core/agree/optionFigures'
import {
  type BesideWall,
  type clientActSchema,
  type DrawnLine,
  drawnLine,
  LIMITS,
  readBody,
  type Settings,
  type SignedWall,
  storedBesideWall,
} from '~/model'
import { actsOfLink, type ClientLink, recordClientAct } from './clientLinks.server'
import { pacedSettings } from './crewLog.server'
import { signatures, signedPictures } from './db/agreeSchema.server'
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
    /** Its photograph as the page showed it; null where it showed none, missing of what was signed before photographs were kept. */
    readonly picture?: SignedPicture | null
  })[]
  readonly settings: Settings
}

/** A photograph of a signed page, by the fingerprint of its pixels. */
export interface SignedPicture {
  readonly id: string
  readonly width: number
  readonly height: number
  readonly fingerprint: string
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
export function fingerprintOf(text: string | Buffer): string {
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
  picture: z
    .object({ id: z.string(), width: z.number(), height: z.number(), fingerprint: z.string() })
    .nullable()
    .exactOptional(),
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
  | { readonly code: 'noName' | 'longName' | 'unread' | 'line' | 'notOffered' }
  | { readonly code: 'notPicked'; readonly wall: string }
  | { readonly code: 'already'; readonly name: string; readonly signedAt: number }

/** What a client signs with: the name, the line drawn under it, and the choice that was ticked, kept before or not. */
export interface Signing {
  readonly name: string
  readonly line: unknown
  readonly ticks: readonly Ticked[]
}

/** What the page's form says of a choice. */
export type Ticked = Extract<z.input<ReturnType<typeof clientActSchema>>, { kind: 'picked' | 'color' }>

/** What a page showed whoever signs, as the one who signs proves it. */
export interface Witness<Problem> {
  /** What of the page differs from what stands, asked in the moment of signing; null where all is as it was read. */
  readonly differs: (tx: Database) => Problem | null
  /** The photographs as the page shows them, by wall. */
  readonly pictures: Pictures
}

type Pictures = ReadonlyMap<string, Omit<SignedPicture, 'fingerprint'> & { readonly bytes: Buffer }>

/** Ends the transaction: nothing of it stays. */
class NotSigned extends Error {
  constructor(readonly problem: unknown) {
    super('not signed')
  }
}

function bodyToSign(db: Database, link: ClientLink, pictures: Pictures): SignedBody | SignProblem {
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
    const shown = pictures.get(wallId)
    signed.push({
      wallId,
      wall: row.name,
      optionId: option.id,
      option: option.name,
      price: cost?.whole ? cost.sum : null,
      survey,
      design,
      ...(workpiece.beside ? { beside: workpiece.beside } : {}),
      picture: shown
        ? { id: shown.id, width: shown.width, height: shown.height, fingerprint: fingerprintOf(shown.bytes) }
        : null,
    })
  }
  // the hours that were read are those that were signed
  return { job: job.name, walls: signed, settings: pacedSettings(db, settings) }
}

const UNSEEN: Witness<never> = { differs: () => null, pictures: new Map() }

/**
 * Signs what a link shows, as it was ticked: once, whoever is first. Where `witness` finds that what stands is not what was read, or
 * anything else is wrong, nothing is signed and no tick is kept.
 */
export function sign<Problem = never>(
  db: Database,
  link: ClientLink,
  { name: typed, line, ticks }: Signing,
  now: number,
  witness: Witness<Problem> = UNSEEN,
): { readonly ok: true } | { readonly ok: false; readonly problem: SignProblem | Problem } {
  const name = typed.trim()
  if (name === '') return { ok: false, problem: { code: 'noName' } }
  if (name.length > LIMITS.name) return { ok: false, problem: { code: 'longName' } }
  const drawn = drawnLine.safeParse(line)
  if (!drawn.success) return { ok: false, problem: { code: 'line' } }
  const refuse = (problem: SignProblem | Problem): never => {
    throw new NotSigned(problem)
  }
  try {
    inTransaction(db, (tx) => {
      const before = signatureOf(tx, link.id)
      if (before) refuse({ code: 'already', name: before.name, signedAt: before.signedAt })
      const problem = witness.differs(tx)
      if (problem !== null) refuse(problem)
      for (const tick of ticks)
        if (recordClientAct(tx, link, tick, now) !== 'kept') refuse({ code: 'notOffered' })
      const body = bodyToSign(tx, link, witness.pictures)
      if ('code' in body) return refuse(body)
      const text = canonicalText(body)
      const id = newId()
      tx.insert(signatures)
        .values({
          id,
          linkId: link.id,
          jobId: link.jobId,
          name,
          line: JSON.stringify(drawn.data),
          body: text,
          fingerprint: fingerprintOf(text),
          signedAt: now,
        })
        .run()
      for (const [wallId, { bytes }] of witness.pictures)
        tx.insert(signedPictures).values({ signatureId: id, wallId, bytes }).run()
    })
    return { ok: true }
  } catch (thrown) {
    if (thrown instanceof NotSigned) return { ok: false, problem: thrown.problem as SignProblem | Problem }
    throw thrown
  }
}

/** A wall's photograph as it was signed; null where the signed page showed none. */
export function signedPicture(db: Database, signatureId: string, wallId: string): Buffer | null {
  const of = and(eq(signedPictures.signatureId, signatureId), eq(signedPictures.wallId, wallId))
  return db.select({ bytes: signedPictures.bytes }).from(signedPictures).where(of).get()?.bytes ?? null
}
