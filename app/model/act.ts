import { z } from 'zod'
import { storedLength } from './lengthSchema'
import { countedSchema, LOG_STAGES, logShapes } from './log'
import { LIMITS } from './limits'
import { FLAW_AT, FLAWS, releasedPieceSchema } from './release'

/** A board by its number in the wall's plan of that material and how long it is; and the cut piece that it was, where it was one. */
function cutFromSchema() {
  return z.strictObject({
    /** None for a piece that is cut shorter into another. */
    number: z.number().int().min(1).max(10_000).optional(),
    length: storedLength,
    of: z.string().min(1).max(24).optional(),
  })
}

/**
 * What a person did at the wall or at the saw. Never changed and never taken back by undo: what is no longer so is an act of its own.
 * Made when it is wanted: pages need only its type.
 */
export function actSchema() {
  const done = {
    /** Made by the client: an act that is sent twice is kept once. */
    id: z.string().min(8).max(64),
    /** Milliseconds since 1970, by the clock of whoever did it. */
    doneAt: z.number().int().min(0).max(8_640_000_000_000_000),
  }
  /** One piece of a released list, by the release's id and the piece's name. */
  const ofPiece = { ...done, release: z.string().min(8).max(64), piece: z.string().min(1).max(24) }
  return z.discriminatedUnion('kind', [
    z.strictObject({
      ...done,
      kind: z.enum(['marked', 'unmarked']),
      /** The strip that was marked on the wall. */
      strip: z.string().min(1).max(140),
      /** Where its left edge was then, from the wall's left end: what has moved since wants another mark. */
      left: storedLength,
    }),
    /** All pieces of the wall are cut, or are not after all. */
    z.strictObject({ ...done, kind: z.enum(['cut', 'uncut']) }),
    /** An item of the finish list is done, with what was found there; or is not after all. */
    z.strictObject({
      ...done,
      kind: z.literal('finishDone'),
      item: z.string().min(1).max(80),
      note: z.string().trim().max(LIMITS.note).default(''),
    }),
    z.strictObject({ ...done, kind: z.literal('finishOpen'), item: z.string().min(1).max(80) }),
    /** The cut list as it goes to the saw, frozen from the revisions of the survey, the design and the settings. The act's id is the release's. */
    z.strictObject({
      ...done,
      kind: z.literal('released'),
      revisions: z.array(z.number().int().min(0)).max(3),
      pieces: z.array(releasedPieceSchema()).min(1).max(LIMITS.released),
      /** What was still to settle when it was released all the same, by the findings' keys, and why. */
      despite: z
        .strictObject({
          open: z.array(z.string().min(1).max(140)).min(1).max(LIMITS.despite),
          reason: z.string().trim().min(1).max(300),
        })
        .optional(),
    }),
    /** The piece is cut, from which board where that is known. */
    z.strictObject({ ...ofPiece, kind: z.literal('pieceCut'), board: cutFromSchema().optional() }),
    /** It is not cut after all; it is not up on the wall after all. */
    z.strictObject({ ...ofPiece, kind: z.enum(['pieceUncut', 'pieceDown']) }),
    /** It is up: and where its strip was laid out then, an upright's left edge from the wall's left end, a horizontal's bottom above the base line. */
    z.strictObject({
      ...ofPiece,
      kind: z.literal('pieceUp'),
      /** The board it was cut from, where it goes up without having been ticked as cut. */
      board: cutFromSchema().optional(),
      left: storedLength.nullable().optional(),
      bottom: storedLength.nullable().optional(),
    }),
    /** What its opening was read at on the wall; null takes the reading back. */
    z.strictObject({ ...ofPiece, kind: z.literal('readTrue'), length: storedLength.nullable() }),
    /** Left for later. */
    z.strictObject({ ...ofPiece, kind: z.literal('skipped') }),
    /** It was pulled off again: a piece like any that is cut, and so many holes are to be filled where it was. */
    z.strictObject({
      ...ofPiece,
      kind: z.literal('pulledOff'),
      holes: z.number().int().min(0).max(1_000),
      at: z.array(z.strictObject({ x: storedLength, y: storedLength })).max(60),
    }),
    /** How long it truly is, read on the wall; null takes the reading back. */
    z.strictObject({ ...ofPiece, kind: z.literal('builtLength'), length: storedLength.nullable() }),
    /**
     * Where a strip (a box) truly is: its left or right edge on the base line, from the wall's left end, and what was
     * laid out then; null takes the reading back.
     */
    z.strictObject({
      ...done,
      kind: z.literal('builtAt'),
      strip: z.string().min(1).max(140),
      edge: z.enum(['left', 'right']),
      place: storedLength.nullable(),
      planned: storedLength,
      with: z.enum(['tape', 'laser']),
    }),
    /** How high a horizontal truly is: its bottom or top above the base line, and what was laid out then; null takes the reading back. */
    z.strictObject({
      ...done,
      kind: z.literal('builtHeight'),
      strip: z.string().min(1).max(140),
      edge: z.enum(['bottom', 'top']),
      place: storedLength.nullable(),
      planned: storedLength,
      with: z.enum(['tape', 'laser']),
    }),
    /** A stage at the wall is begun, or rested from: the time between is worked. */
    z.strictObject({ ...done, kind: z.literal('began'), stage: z.enum(LOG_STAGES) }),
    z.strictObject({
      ...done,
      kind: z.literal('ended'),
      stage: z.enum(LOG_STAGES),
      counted: countedSchema().nullable().default(null),
    }),
    ...logShapes(done),
    /** It was spoiled: another is cut, from an offcut that holds it or from a new board. */
    z.strictObject({ ...ofPiece, kind: z.literal('spoiled'), from: z.enum(['spare', 'board']) }),
    z.strictObject({ ...ofPiece, kind: z.literal('unspoiled'), spoiled: z.string().min(8).max(64) }),
    /** A board as it came home: what is the matter with it, by its number in the board plan; null where nothing is after all. */
    z.strictObject({
      ...done,
      kind: z.literal('flawed'),
      materialId: z.string().min(1).max(64),
      board: z.number().int().min(1).max(10_000),
      flaw: z.strictObject({ flaw: z.enum(FLAWS), at: z.enum(FLAW_AT) }).nullable(),
    }),
  ])
}
/** An act, with who did it where people sign in, and when it came to the server, by the server's clock. */
export type Act = z.output<ReturnType<typeof actSchema>> & {
  readonly member?: string | null
  readonly keptAt?: number
}
/** What a piece was cut from. */
export type CutFrom = z.output<ReturnType<typeof cutFromSchema>>
export type MarkAct = Extract<Act, { strip: string; left: unknown }>
export type Released = Extract<Act, { kind: 'released' }>

/** How many acts one request brings at most. */
export const ACTS_AT_ONCE = 200
