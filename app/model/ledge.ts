import { z } from 'zod'
import { type LengthSchema, notNegative, positive } from './lengthSchema'

/** How the end of a cap or a shelf is made where it is seen: cut square, or with a mitered piece that returns to the wall. */
export const LEDGE_ENDS = ['square', 'returned'] as const

/** What a cap or a shelf that lies flat has besides its stuff. */
export function ledgeSchema(length: LengthSchema) {
  return z.strictObject({
    /** From the wall to its front edge, ripped to that; null is the stuff's whole width. */
    depth: positive(length).nullable(),
    /** How far it runs past what is under it, where it ends free. */
    past: notNegative(length),
    ends: z.enum(LEDGE_ENDS),
    /** Brackets under it, on every stud or every second; their arm reaches so far from the wall. */
    brackets: z.strictObject({ arm: positive(length), every: z.number().int().min(1).max(4) }).nullable(),
  })
}
export type Ledge = z.output<ReturnType<typeof ledgeSchema>>
