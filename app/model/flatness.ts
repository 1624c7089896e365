import { z } from 'zod'
import { type LengthSchema, positive } from './lengthSchema'
import { idSchema } from './material'

/** How a straightedge lay on the wall. */
export const LIES = ['along', 'up', 'risesRight', 'risesLeft'] as const
export type Lie = (typeof LIES)[number]

/**
 * A straightedge held to the wall: its middle from the left corner and from the floor, how it lay, how long it was, and the
 * gap: under its middle where the wall is hollow, under its ends where the wall bellies out.
 */
export function flatnessSchema(length: LengthSchema) {
  return z.strictObject({
    id: idSchema,
    x: length,
    y: length,
    lie: z.enum(LIES),
    length: positive(length),
    gap: positive(length),
    shape: z.enum(['hollow', 'belly']),
  })
}
export type Flatness = z.output<ReturnType<typeof flatnessSchema>>

/** What is done about a strip that does not lie flat. */
export const FLAT_WAYS = ['pull', 'shim', 'scribe', 'fill'] as const
export type FlatWay = (typeof FLAT_WAYS)[number]
