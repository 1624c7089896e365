import { z } from 'zod'
import { type LengthSchema, positive } from './lengthSchema'

/** Identifiers are short, stable and safe in a URL. */
export const idSchema = /*@__PURE__*/ z
  .string()
  .min(1)
  .max(64)
  .regex(/^[A-Za-z0-9._-]+$/)

/** A strip material: what the shop calls it (nominal) and what it measures (actual width, thickness). */
export function materialSchema(length: LengthSchema) {
  return z.strictObject({
    id: idSchema,
    nominal: z.string().max(40),
    name: z.string().max(80),
    width: positive(length),
    thickness: positive(length),
  })
}

/** A strip material as stored. */
export type Material = z.output<ReturnType<typeof materialSchema>>
