import { z } from 'zod'
import { type LengthSchema, positive } from './lengthSchema'

/** Identifiers are short, stable and safe in a URL. */
export const idSchema = /*@__PURE__*/ z
  .string()
  .min(1)
  .max(64)
  .regex(/^[A-Za-z0-9._-]+$/)

/** What a material is, and how it came: what must be primed, sanded, sealed or routed follows. */
function makeSchema() {
  return z.strictObject({
    stuff: z.enum(['softwood', 'hardwood', 'mdf']),
    surface: z.enum(['raw', 'primed', 'finished']),
    profile: z.enum(['square', 'molded']),
    edges: z.enum(['sharp', 'eased']),
    /** Bought to width, or ripped from a wider board or a sheet. */
    came: z.enum(['bought', 'ripped']),
  })
}
export type Make = z.output<ReturnType<typeof makeSchema>>

/** A strip material: what the shop calls it (nominal) and what it measures (actual width, thickness). */
export function materialSchema(length: LengthSchema) {
  return z.strictObject({
    id: idSchema,
    nominal: z.string().max(40),
    name: z.string().max(80),
    width: positive(length),
    thickness: positive(length),
    make: makeSchema().optional(),
  })
}

/** A strip material as stored. */
export type Material = z.output<ReturnType<typeof materialSchema>>
