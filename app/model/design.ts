import { z } from 'zod'
import { inches } from '~/length'
import { type LengthSchema, positive, storedLength } from './lengthSchema'
import { idSchema } from './material'
import { spacingSchema } from './spacing'

/** The usual heights of a part-height layout, as parts of the wall's height. */
export const HEIGHT_RULES = ['typed', 'third', 'half', 'twoThirds', 'full'] as const

/** What the trim on one wall is to be. */
export function designSchema(length: LengthSchema) {
  return z.strictObject({
    version: z.literal(1),
    pattern: z.literal('battens'),
    battenMaterial: idSchema,
    spacing: spacingSchema(length),
    /** What the battens stand on: the kept baseboard, a bottom rail of their own, or the floor. */
    foot: z.discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('baseboard') }),
      z.strictObject({ kind: z.literal('rail'), material: idSchema }),
      z.strictObject({ kind: z.literal('floor') }),
    ]),
    /** Top rail; without one the battens run to the height. */
    topRail: z.strictObject({ material: idSchema }).nullable(),
    /** Cap on the top rail: laid flat as a little shelf, or standing on edge. */
    cap: z.strictObject({ material: idSchema, lay: z.enum(['flat', 'edge']) }).nullable(),
    /** Top of the top rail (of the battens without one), from the floor; a cap comes on top of it. */
    height: z.discriminatedUnion('rule', [
      z.strictObject({ rule: z.literal('typed'), value: positive(length) }),
      z.strictObject({ rule: z.enum(['third', 'half', 'twoThirds', 'full']) }),
    ]),
    /** How a rail longer than the boards is joined. */
    railJoint: z.enum(['scarf', 'butt']),
  })
}

/** A design as stored. */
export type Design = z.output<ReturnType<typeof designSchema>>
export type Foot = Design['foot']
export type HeightRule = (typeof HEIGHT_RULES)[number]

/** The stored form. */
export const storedDesign = designSchema(storedLength)

/** Where a new wall starts: 1x3 battens on 1x4 rails, two thirds up, gaps near 16 in. */
export function startingDesign(): Design {
  return {
    version: 1,
    pattern: 'battens',
    battenMaterial: 'pine-1x3',
    spacing: {
      school: 'nearWish',
      wish: inches(16),
      measure: 'gap',
      least: inches(10),
      most: inches(24),
      ends: 'gap',
      strips: null,
    },
    foot: { kind: 'rail', material: 'pine-1x4' },
    topRail: { material: 'pine-1x4' },
    cap: null,
    height: { rule: 'twoThirds' },
    railJoint: 'scarf',
  }
}
