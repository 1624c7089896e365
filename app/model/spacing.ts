import { z } from 'zod'
import { LIMITS } from './limits'
import { type LengthSchema, notNegative, positive } from './lengthSchema'
import { idSchema } from './material'

/**
 * What stands at the two ends of a span, left then right: a gap like the rest, a strip hard against it, or half a
 * gap. `stripGap` and `gapStrip` have a strip at one end only.
 */
export const ENDS = ['gap', 'strip', 'half', 'stripGap', 'gapStrip'] as const
/** What a wished number means: clear between strips, or center to center. */
const MEASURES = ['gap', 'pitch'] as const

const count = /*@__PURE__*/ z.number().int().min(1).max(LIMITS.strips)
const ends = /*@__PURE__*/ z.enum(ENDS)
const measure = /*@__PURE__*/ z.enum(MEASURES)

/** The spacing schools: one tagged option each, one file each in core/spacing. */
export function spacingSchema(length: LengthSchema) {
  return z.discriminatedUnion('school', [
    z.strictObject({ school: z.literal('equalByCount'), strips: count, ends }),
    z.strictObject({
      school: z.literal('nearWish'),
      wish: positive(length),
      measure,
      least: notNegative(length),
      /** The gap has to be more than `least`; otherwise that much will do. */
      moreThan: z.boolean().optional(),
      most: positive(length),
      ends,
      /** A count picked by hand; null takes the nearest. */
      strips: count.nullable(),
    }),
    z.strictObject({
      school: z.literal('fromCenter'),
      wish: positive(length),
      measure,
      centerOn: z.enum(['strip', 'gap']),
      /** The thing on the wall it is centered about, such as a window or a bed; null is the middle of the span. */
      about: idSchema.nullable().default(null),
    }),
    z.strictObject({
      school: z.literal('fromEnd'),
      wish: positive(length),
      measure,
      end: z.enum(['left', 'right']),
      startWith: z.enum(['strip', 'gap']),
    }),
    z.strictObject({ school: z.literal('centerMarks'), bays: count.min(2) }),
    /** A strip centered on every stud, or on every second, third ... */
    z.strictObject({ school: z.literal('toStuds'), every: z.number().int().min(1).max(8) }),
    /** Each strip where it was put: left edges from the span's left end, in order. */
    z.strictObject({
      school: z.literal('placed'),
      nearEdges: z.array(notNegative(length)).min(1).max(LIMITS.strips),
    }),
  ])
}

/** A spacing school with its options. */
export type Spacing = z.output<ReturnType<typeof spacingSchema>>
export type School = Spacing['school']
export type SpacingOf<S extends School> = Extract<Spacing, { school: S }>
export type Ends = (typeof ENDS)[number]
export type Measure = (typeof MEASURES)[number]
