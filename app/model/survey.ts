import { z } from 'zod'
import { flatnessSchema } from './flatness'
import { LIMITS } from './limits'
import { inches } from '~/length'
import { type LengthSchema, notNegative, positive, storedLength } from './lengthSchema'
import {
  behindSchema,
  NOT_WALKED,
  overruledSchema,
  readingSchema,
  thingSchema,
  walkRoundSchema,
} from './reading'

/** What runs along the wall's foot or head: how high, how thick, and whether it stays. */
function runningTrim(length: LengthSchema) {
  return z.strictObject({
    height: positive(length),
    thickness: notNegative(length),
    fate: z.enum(['keep', 'remove']),
  })
}

/** How the next wall turns at an end: toward the room, away from it, or not at all. */
export const TURNS = ['inside', 'outside', 'none'] as const
export type Turn = (typeof TURNS)[number]

/** When a floor that is still to come is laid: before the trim, afterwards under it, or afterwards up against it. */
export const FLOOR_WHEN = ['before', 'under', 'against'] as const
export const COVERINGS = ['tile', 'wood', 'carpet'] as const

function floorToComeSchema(length: LengthSchema) {
  return z.strictObject({
    covering: z.enum(COVERINGS),
    /** From the floor there is to the one that will be. */
    build: positive(length),
    when: z.enum(FLOOR_WHEN),
  })
}
export type FloorToCome = z.output<ReturnType<typeof floorToComeSchema>>

/** How many earlier widths a survey keeps. */
export const WIDTHS_KEPT = 12

/**
 * The wall as measured. `width` and `height` are the wall's in round terms: along the floor from the left
 * corner, and from the finished floor there. Readings say how it really is; without any it is true and square.
 */
export function surveySchema(length: LengthSchema) {
  return z.strictObject({
    version: z.literal(1),
    width: positive(length),
    height: positive(length),
    baseboard: runningTrim(length).nullable(),
    crown: runningTrim(length).nullable(),
    readings: z.array(readingSchema(length)).max(LIMITS.readings).default([]),
    things: z.array(thingSchema(length)).max(LIMITS.things).default([]),
    behind: behindSchema(length).default({ studs: [], wallboard: inches(0.5), keepOuts: [] }),
    walkRound: walkRoundSchema().default(NOT_WALKED),
    /** What the wall does at its two ends: another wall turns in or out there, or none meets it. */
    turns: z
      .strictObject({ left: z.enum(TURNS), right: z.enum(TURNS) })
      .default({ left: 'inside', right: 'inside' }),
    /** Widths the wall was taken for before, oldest first: pieces may have been cut to them. */
    widthsBefore: z.array(positive(length)).max(WIDTHS_KEPT).default([]),
    /** How flat the wall is, by a straightedge. */
    flatness: z.array(flatnessSchema(length)).max(LIMITS.flatness).default([]),
    /** A floor that is still to come; heights go by it, readings by the one there is. */
    floorToCome: floorToComeSchema(length).nullable().default(null),
    /** Figures that were read a second time and agreed; each holds as long as the figure is the same. */
    readAgain: z
      .array(z.strictObject({ key: z.string().min(1).max(200), value: length }))
      .max(LIMITS.readings)
      .default([]),
    overruled: z.array(overruledSchema(length)).max(LIMITS.overruled).default([]),
  })
}

/** A survey as stored. */
export type Survey = z.output<ReturnType<typeof surveySchema>>

/** Baseboard or crown. */
export type RunningTrim = NonNullable<Survey['baseboard']>

/** The stored form. */
export const storedSurvey = /*@__PURE__*/ surveySchema(storedLength)

/** A wall nobody has measured yet: round figures, to be overwritten. */
export function blankSurvey(): Survey {
  return {
    version: 1,
    width: inches(120),
    height: inches(96),
    baseboard: null,
    crown: null,
    readings: [],
    things: [],
    behind: { studs: [], wallboard: inches(0.5), keepOuts: [] },
    walkRound: NOT_WALKED,
    turns: { left: 'inside', right: 'inside' },
    widthsBefore: [],
    flatness: [],
    floorToCome: null,
    readAgain: [],
    overruled: [],
  }
}
