import { z } from 'zod'
import { storedLength } from './lengthSchema'
import { LIMITS } from './limits'

const degrees = /*@__PURE__*/ z.number().min(0).max(90)
const side = /*@__PURE__*/ z.enum(['left', 'right'])

/** How an end is cut, as it was when the list was released. The same shape as the core's `EndCut`; a test holds them together. */
function endCutSchema() {
  return z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('square') }),
    z.strictObject({ kind: z.literal('miter'), sawSettingDeg: degrees, longEdge: side }),
    z.strictObject({ kind: z.literal('bevel'), bevelDeg: degrees }),
    z.strictObject({ kind: z.literal('scarf'), bevelDeg: degrees, hidden: storedLength }),
    z.strictObject({ kind: z.literal('cope'), sawSettingDeg: degrees }),
    z.strictObject({
      kind: z.literal('cornerMiter'),
      sawSettingDeg: degrees,
      longSide: z.enum(['back', 'face']),
      hidden: storedLength,
      flat: z.literal(true).exactOptional(),
    }),
    z.strictObject({
      kind: z.literal('returned'),
      sawSettingDeg: degrees,
      depth: storedLength,
      hidden: storedLength,
    }),
    z.strictObject({
      kind: z.literal('twoCuts'),
      meetFromLeft: storedLength,
      leftBack: storedLength,
      meetBack: storedLength,
      rightBack: storedLength,
    }),
    z.strictObject({
      kind: z.literal('severalCuts'),
      points: z.array(z.strictObject({ fromLeft: storedLength, back: storedLength })).max(12),
    }),
  ])
}

const name = /*@__PURE__*/ z.string().min(1).max(24)
const id = /*@__PURE__*/ z.string().min(1).max(200)

/** One piece of a released list: its name, which never moves, what it is and how it is cut. */
export function releasedPieceSchema() {
  return z.strictObject({
    name,
    pieceId: id,
    stripId: id,
    role: z.string().max(40),
    number: z.number().int(),
    part: z
      .strictObject({ side: z.string().max(40).nullable(), number: z.number().int().nullable() })
      .nullable(),
    materialId: id,
    directionDeg: z.number(),
    faceWidth: storedLength,
    cutLength: storedLength,
    longLength: storedLength,
    shortLength: storedLength,
    start: endCutSchema(),
    end: endCutSchema(),
    notches: z
      .array(z.strictObject({ from: storedLength, to: storedLength, depth: storedLength, edge: side }))
      .max(LIMITS.things),
    laps: z
      .array(
        z.strictObject({
          from: storedLength,
          to: storedLength,
          lean: storedLength,
          depth: storedLength,
          outOf: z.enum(['face', 'back']),
          with: id,
        }),
      )
      .max(LIMITS.lines),
    /** An outer edge ripped or scribed to an end of the wall. */
    taper: z
      .strictObject({
        edge: side,
        atStart: storedLength,
        atEnd: storedLength,
        by: z.enum(['rip', 'scribe']),
      })
      .optional(),
    /** Cut at one stop with its like, measured at its opening, or held up and scribed; why, and how far the wall differs there. */
    advice: z.strictObject({
      advice: z.enum(['batch', 'measureInPlace', 'scribe']),
      why: z.enum([
        'betweenStrips',
        'readingsAgree',
        'readingsDiffer',
        'readTooSeldom',
        'widthOnce',
        'heightOnce',
        'slantsDiffer',
        'intoCorner',
        'meetsThing',
        'goesBack',
      ]),
      spread: storedLength,
    }),
    /** Ripped from its stuff's width to this first; null where it is as wide as it came. */
    ripTo: storedLength.nullable(),
    /** What it lands on: the names of pieces that must be up before its opening can be read. */
    after: z.array(name).max(60),
  })
}
export type ReleasedPiece = z.output<ReturnType<typeof releasedPieceSchema>>

/** What can be the matter with a board. */
export const FLAWS = ['knot', 'edge', 'bow', 'end', 'stain'] as const
export type Flaw = (typeof FLAWS)[number]
/** Which part of a board it is in, from the end that is cut first. */
export const FLAW_AT = ['first', 'middle', 'last'] as const
export type FlawAt = (typeof FLAW_AT)[number]
