import { z } from 'zod'
import { type Length, type LengthIssue, LONGEST, nanometers, parseLength, type Units } from '~/length'

/** Any schema whose output is a Length: one for stored documents, one for files that people write. */
export type LengthSchema = z.ZodType<Length, unknown>

/** Lengths in stored documents: whole nanometers only. */
export const storedLength: LengthSchema = /*@__PURE__*/ z
  .number()
  .int()
  .min(-LONGEST)
  .max(LONGEST)
  .transform((value) => nanometers(value))

/** The parameters a custom Zod issue carries so that messages/ can make the sentence. */
export interface LengthIssueParams {
  readonly length: LengthIssue
}

/**
 * Lengths in files: whole nanometers, or a string as people type it. A number without a unit inside a
 * string is read in `units`. The issue carries the LengthIssue as `params.length`.
 */
export function typedLength(units: Units): LengthSchema {
  const typed = z.string().transform((text, context) => {
    const result = parseLength(text, units)
    if (result.ok) return result.value
    context.addIssue({ code: 'custom', params: { length: result.issue } satisfies LengthIssueParams })
    return z.NEVER
  })
  return z.union([storedLength, typed])
}

/** Narrows a length schema to lengths above zero. */
export function positive(length: LengthSchema): LengthSchema {
  return length.refine((value) => value > 0, { params: { problem: 'notPositive' } })
}

/** Narrows a length schema to lengths of zero or more. */
export function notNegative(length: LengthSchema): LengthSchema {
  return length.refine((value) => value >= 0, { params: { problem: 'negative' } })
}
