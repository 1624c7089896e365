import { z } from 'zod'
import { type LengthSchema, notNegative, positive } from './lengthSchema'
import { idSchema } from './material'

/** What the seams of a backer go by: a stud behind each, or whole sheets and one cut at the end. */
export const SEAM_RULES = ['studs', 'sheets'] as const

/** A smooth skin of thin sheets over a textured or a rented wall; the trim stands on it. */
export function backerSchema(length: LengthSchema) {
  return z.strictObject({
    sheet: idSchema,
    seams: z.enum(SEAM_RULES),
    /** Left between two sheets, and all round. */
    gap: notNegative(length),
    round: notNegative(length),
    /** Where it begins above the floor, and how high it goes; null is up to the ceiling, or under the crown. */
    from: notNegative(length),
    to: positive(length).nullable(),
  })
}
export type Backer = z.output<ReturnType<typeof backerSchema>>
