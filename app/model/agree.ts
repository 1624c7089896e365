import { z } from 'zod'
import type { DesignDocument } from './design'
import { LIMITS } from './limits'
import { idSchema, type Material } from './material'
import { type Paint, paintSchema } from './paint'
import type { Survey } from './survey'

/** A place on a photograph, in parts of its width and height from its upper left corner. */
const spot = z.strictObject({ x: z.number().min(-1).max(2), y: z.number().min(-1).max(2) })
export type Spot = z.output<typeof spot>

/** What was said of a photograph: points with known places on the wall, where light comes from, what stands before the wall. */
export function photoMarksSchema() {
  return z.strictObject({
    points: z
      .array(
        z.strictObject({
          id: idSchema,
          at: spot,
          /** Its place on the wall, in nanometers from the left end and the finished floor. */
          wall: z.strictObject({
            x: z.number().int().min(-LIMITS.length).max(LIMITS.length),
            y: z.number().int().min(-LIMITS.length).max(LIMITS.length),
          }),
        }),
      )
      .max(LIMITS.photoPoints),
    /** Whether the curve of the lens is worked out where there are points enough. */
    lens: z.boolean(),
    /** Where light comes from, in degrees counterclockwise from the right; null: no shadows. */
    lightDeg: z.number().min(0).lt(360).nullable(),
    cutOuts: z
      .array(
        z.strictObject({
          id: idSchema,
          name: z.string().trim().max(LIMITS.name),
          corners: z.array(spot).min(3).max(LIMITS.cutOutCorners),
        }),
      )
      .max(LIMITS.cutOuts),
  })
}
export type PhotoMarks = z.output<ReturnType<typeof photoMarksSchema>>

/** A photograph of a wall, its pixels asked for by its id. */
export interface WallPhoto {
  readonly id: string
  readonly name: string
  readonly width: number
  readonly height: number
  /** The document that holds what is put on it. */
  readonly document: string
}

/** Nothing put on a photograph yet; light from above left, as windows often are. Common practice, no source. */
export const NO_MARKS: PhotoMarks = { points: [], lens: false, lightDeg: 135, cutOuts: [] }

/** What a client's page can show besides the drawings. */
export const SHOWN_PARTS = ['photo', 'colors', 'price', 'hours', 'notes'] as const
export type ShownPart = (typeof SHOWN_PARTS)[number]

/** What a client's link shows. */
export function linkSchema() {
  return z.strictObject({
    /** Said at the head of the page. */
    words: z.string().trim().max(LIMITS.note),
    parts: z.array(z.enum(SHOWN_PARTS)).max(SHOWN_PARTS.length),
    walls: z
      .array(
        z.strictObject({
          wallId: z.string().min(1).max(64),
          options: z.array(z.string().min(1).max(64)).min(1).max(LIMITS.options),
        }),
      )
      .min(1)
      .max(LIMITS.wallsInRoom),
  })
}
export type ClientLinkBody = z.output<ReturnType<typeof linkSchema>>

/** A line drawn with a finger, as points in parts of its box, stroke by stroke. */
export const drawnLine = /*@__PURE__*/ z
  .array(
    z
      .array(z.tuple([z.number().min(0).max(1), z.number().min(0).max(1)]))
      .min(1)
      .max(600),
  )
  .max(40)
export type DrawnLine = z.output<typeof drawnLine>

/** What a client did on the page of a link, and what the crew answered: rows that are only ever added to. */
export function clientActSchema() {
  const wall = z.string().min(1).max(64)
  return z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('picked'), wall, option: z.string().min(1).max(64) }),
    z.strictObject({
      kind: z.literal('color'),
      wall,
      use: z.enum(['trim', 'field', 'above', 'plates']),
      paint: idSchema,
    }),
    z.strictObject({
      kind: z.literal('remark'),
      wall,
      option: z.string().min(1).max(64).nullable(),
      /** Where on the drawing, in nanometers on the wall; null: of the wall as a whole. */
      at: z.strictObject({ x: z.number().int(), y: z.number().int() }).nullable(),
      text: z.string().trim().min(1).max(LIMITS.note),
    }),
    z.strictObject({
      kind: z.literal('answered'),
      remark: z.string().min(1).max(64),
      text: z.string().trim().max(LIMITS.note),
    }),
  ])
}
export type ClientAct = z.output<ReturnType<typeof clientActSchema>> & {
  readonly id: string
  readonly doneAt: number
}

/** A layout of the crew's pattern book: what is no one wall's of a design, with the stuff and the colors it names. */
export interface BookLayout {
  readonly design: DesignDocument
  readonly materials: readonly Material[]
  readonly paints: readonly Paint[]
}

/** What a house has already and its next room begins with. */
export const HOUSE_KINDS = ['height', 'gap', 'width', 'paint'] as const
export type HouseKind = (typeof HOUSE_KINDS)[number]
export function houseNoteSchema() {
  return z.strictObject({
    name: z.string().trim().min(1).max(LIMITS.name),
    note: z.string().trim().max(LIMITS.note).default(''),
    what: z.discriminatedUnion('kind', [
      z.strictObject({
        kind: z.enum(['height', 'gap', 'width']),
        /** In nanometers; a height from the finished floor. */
        length: z.number().int().min(1).max(LIMITS.length),
      }),
      z.strictObject({ kind: z.literal('paint'), paint: paintSchema() }),
    ]),
  })
}

/** What was signed: the design of each wall, and the job's settings with their prices, as they were that day. */
export interface SignedWall {
  readonly wallId: string
  readonly wall: string
  readonly optionId: string
  readonly option: string
  readonly survey: Survey
  readonly design: DesignDocument
}
