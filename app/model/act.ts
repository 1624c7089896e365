import { z } from 'zod'
import { storedLength } from './lengthSchema'

/**
 * What a person did at the wall. Never changed and never taken back by undo: what is no longer so is an act of its own. Made
 * when it is wanted: pages need only its type.
 */
export function actSchema() {
  const done = {
    /** Made by the client: an act that is sent twice is kept once. */
    id: z.string().min(8).max(64),
    /** Milliseconds since 1970, by the clock of whoever did it. */
    doneAt: z.number().int().min(0).max(8_640_000_000_000_000),
  }
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
  ])
}
export type Act = z.output<ReturnType<typeof actSchema>>
export type MarkAct = Extract<Act, { strip: string }>

/** How many acts one request brings at most. */
export const ACTS_AT_ONCE = 200
