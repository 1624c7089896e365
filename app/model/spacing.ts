import { z } from 'zod'
import { type LengthSchema, notNegative, positive } from './lengthSchema'

/** Where the layout ends: a gap against the wall, or a strip against it. */
export const ENDS = ['gap', 'strip'] as const
/** What a wished number means: clear between strips, or centre to centre. */
export const MEASURES = ['gap', 'pitch'] as const

const count = z.number().int().min(1).max(400)
const ends = z.enum(ENDS)
const measure = z.enum(MEASURES)

/** The spacing schools: one tagged option each, one file each in core/spacing. */
export function spacingSchema(length: LengthSchema) {
  return z.discriminatedUnion('school', [
    z.strictObject({ school: z.literal('equalByCount'), strips: count, ends }),
    z.strictObject({
      school: z.literal('nearWish'),
      wish: positive(length),
      measure,
      least: notNegative(length),
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
    }),
    z.strictObject({
      school: z.literal('fromEnd'),
      wish: positive(length),
      measure,
      end: z.enum(['left', 'right']),
      startWith: z.enum(['strip', 'gap']),
    }),
    z.strictObject({ school: z.literal('centerMarks'), bays: count.min(2) }),
  ])
}

/** A spacing school with its options. */
export type Spacing = z.output<ReturnType<typeof spacingSchema>>
export type School = Spacing['school']
export type SpacingOf<S extends School> = Extract<Spacing, { school: S }>
export type Ends = (typeof ENDS)[number]
export type Measure = (typeof MEASURES)[number]
