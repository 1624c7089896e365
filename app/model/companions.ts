import { z } from 'zod'
import { type LengthSchema, notNegative, positive } from './lengthSchema'
import { LIMITS } from './limits'
import { idSchema } from './material'

/** What a thing on the wall is centered about: the covered part, a strip by its id, or the bay between two uprights, from 1. */
function middleSchema() {
  return z.discriminatedUnion('on', [
    z.strictObject({ on: z.literal('wall') }),
    z.strictObject({ on: z.literal('strip'), strip: z.string().min(1).max(80) }),
    z.strictObject({ on: z.literal('bay'), bay: z.number().int().min(1).max(LIMITS.strips) }),
  ])
}
export type Middle = z.output<ReturnType<typeof middleSchema>>

/** How an arch is struck. `threeCentered` by the bisector, `threeEqual` of three arcs of 60 degrees. */
export const ARCH_KINDS = ['segment', 'half', 'threeCentered', 'threeEqual'] as const

/** An arch on the wall, painted or cased: struck with a string from its centers. */
function archSchema(length: LengthSchema) {
  return z.strictObject({
    id: idSchema,
    kind: z.enum(ARCH_KINDS),
    width: positive(length),
    /** Of a half circle it is half the width, whatever stands here. */
    rise: positive(length),
    /** The line its ends stand on, above the floor that heights go by. */
    spring: notNegative(length),
    middle: middleSchema(),
    /** A band bent round it outside, so wide on the face; null is painted. */
    band: positive(length).nullable(),
    /** Heights are given at every such distance from the middle, for a bent batten or a template. */
    every: positive(length),
  })
}
export type Arch = z.output<ReturnType<typeof archSchema>>

/** Letters, signs, hooks or frames in a row on a level line. */
function itemRowSchema(length: LengthSchema) {
  return z.strictObject({
    id: idSchema,
    kind: z.enum(['letters', 'signs', 'hooks', 'frames']),
    items: z
      .array(
        z.strictObject({
          name: z.string().trim().min(1).max(20),
          width: positive(length),
        }),
      )
      .min(1)
      .max(LIMITS.items),
    /** The level line their feet (of hooks: their screws) stand on, above the floor that heights go by. */
    line: positive(length),
    height: positive(length),
    thickness: positive(length),
    /** Equal gaps to the ends of the row's span as well; gaps of one width; one pitch, by the row's ends or by its first and last middle. */
    spread: z.discriminatedUnion('by', [
      z.strictObject({ by: z.literal('equal') }),
      z.strictObject({ by: z.literal('gap'), gap: notNegative(length) }),
      z.strictObject({
        by: z.literal('pitch'),
        pitch: positive(length),
        centered: z.enum(['ends', 'middles']),
      }),
    ]),
    middle: middleSchema(),
    /** It hangs over where somebody sleeps. */
    overBed: z.boolean().default(false),
  })
}
export type ItemRow = z.output<ReturnType<typeof itemRowSchema>>

/** What goes on the wall besides the trim: arches and rows. */
export function companionsSchema(length: LengthSchema) {
  return z.strictObject({
    arches: z.array(archSchema(length)).max(LIMITS.arches).default([]),
    rows: z.array(itemRowSchema(length)).max(LIMITS.itemRows).default([]),
  })
}
export type Companions = z.output<ReturnType<typeof companionsSchema>>

export const NO_COMPANIONS: Companions = { arches: [], rows: [] }
