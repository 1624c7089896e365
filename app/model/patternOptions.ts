import { z } from 'zod'
import { LIMITS } from './limits'
import { inches } from '~/length'
import { ledgeSchema } from './ledge'
import { type Lines, linesSchema, STARTING_LINES } from './lines'
import { type LengthSchema } from './lengthSchema'
import { idSchema } from './material'
import { type Boxes, boxesSchema, heightSchema, type Pattern, STARTING_BOXES } from './pattern'
import { spacingSchema } from './spacing'

/** What every pattern has: its stuff, and what it stands on and runs up to. */
function plainShape(length: LengthSchema) {
  return {
    battenMaterial: idSchema,
    /** What the layout stands on: the kept baseboard, a bottom rail of its own, or the floor. */
    foot: z.discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('baseboard') }),
      z.strictObject({ kind: z.literal('rail'), material: idSchema }),
      z.strictObject({ kind: z.literal('floor') }),
    ]),
    /** Top rail; without one the battens run to the height. */
    topRail: z.strictObject({ material: idSchema }).nullable(),
    /** Cap on the top rail: laid flat as a little shelf, or standing on edge. */
    cap: z
      .strictObject({
        material: idSchema,
        lay: z.enum(['flat', 'edge']),
        ledge: ledgeSchema(length).optional(),
      })
      .nullable(),
    /** Top of the top rail (of the battens without one), from the floor; a cap comes on top of it. */
    height: heightSchema(length),
  }
}

/** The most a lean of one's own may be, in the wall's height: more is a slanted strip, not an upright. Common practice, no source. */
const MOST_LEAN = inches(12)

/**
 * How uprights stand: plumb; square to the rails; parallel to a corner of the room; or leaning by so much in the wall's
 * height, to the right where positive, at the left and the right end, shared out between them.
 */
function standSchema(length: LengthSchema) {
  const lean = length.refine((value) => Math.abs(value) <= MOST_LEAN, { params: { problem: 'leansTooFar' } })
  return z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.enum(['plumb', 'square', 'left', 'right']) }),
    z.strictObject({ kind: z.literal('own'), left: lean, right: lean }),
  ])
}
export type Stand = z.output<ReturnType<typeof standSchema>>

/** What patterns of uprights have as well. */
function uprightShape(length: LengthSchema) {
  return {
    ...plainShape(length),
    spacing: spacingSchema(length),
    /** One layout right across the wall, or one between and beside its openings each. */
    sections: z.enum(['across', 'beside']).default('across'),
    stand: standSchema(length).default({ kind: 'plumb' }),
  }
}

/** The perimeter of a pattern that frames itself. */
const BORDERS = ['none', 'butt', 'miter', 'threeSided', 'threeSidedMiter'] as const

/** The options of each pattern. Adding a pattern adds its line here. */
function optionShapes(length: LengthSchema) {
  return {
    battens: uprightShape(length),
    slats: uprightShape(length),
    grid: {
      ...uprightShape(length),
      /** The perimeter (three-sided it has no rail at its foot and stands on what stays there; its head butted or mitered), and the weights its rows' heights go by, from the bottom up. */
      border: z.enum(BORDERS).default('butt'),
      rows: z.array(z.number().positive().max(100)).min(1).max(LIMITS.rows).default([1, 1]),
    },
    lines: {
      ...uprightShape(length),
      border: z.enum(BORDERS).default('miter'),
      lines: linesSchema(length).default(STARTING_LINES),
    },
    boxes: { ...plainShape(length), boxes: boxesSchema(length).default(STARTING_BOXES) },
    rails: plainShape(length),
  } satisfies Record<Pattern, z.ZodRawShape>
}

/** What each pattern that was ever chosen on a wall has: turning back to it brings it back as it was. */
export function patternsSchema(length: LengthSchema) {
  const { battens, slats, grid, boxes, lines, rails } = optionShapes(length)
  return z.strictObject({
    battens: z.strictObject(battens).optional(),
    grid: z.strictObject(grid).optional(),
    boxes: z.strictObject(boxes).optional(),
    slats: z.strictObject(slats).optional(),
    lines: z.strictObject(lines).optional(),
    rails: z.strictObject(rails).optional(),
  })
}

type Patterns = z.output<ReturnType<typeof patternsSchema>>
export type PlainOptions = NonNullable<Patterns['rails']>
export type UprightOptions = NonNullable<Patterns['battens']>
export type GridOptions = NonNullable<Patterns['grid']>
type AnyOptions = GridOptions & NonNullable<Patterns['boxes']> & NonNullable<Patterns['lines']>

const PLAIN = ['battenMaterial', 'foot', 'topRail', 'cap', 'height'] as const satisfies (keyof AnyOptions)[]
const UPRIGHT = [...PLAIN, 'spacing', 'sections', 'stand'] as const satisfies (keyof AnyOptions)[]

/** The names of each pattern's options: written out, as a page that only reads designs needs no schema. */
export const OPTION_KEYS: Readonly<Record<Pattern, readonly (keyof AnyOptions)[]>> = {
  battens: UPRIGHT,
  grid: [...UPRIGHT, 'border', 'rows'],
  boxes: [...PLAIN, 'boxes'],
  slats: UPRIGHT,
  lines: [...UPRIGHT, 'border', 'lines'],
  rails: PLAIN,
}

/** What stands where nothing was chosen yet, of stuff there is: common practice, no source. */
export function startingOptions(had = (id: string) => id): GridOptions & { boxes: Boxes; lines: Lines } {
  return {
    battenMaterial: had('pine-1x3'),
    spacing: {
      school: 'nearWish',
      wish: inches(16),
      measure: 'gap',
      least: inches(10),
      most: inches(24),
      ends: 'gap',
      strips: null,
    },
    sections: 'across',
    stand: { kind: 'plumb' },
    foot: { kind: 'rail', material: had('pine-1x4') },
    topRail: { material: had('pine-1x4') },
    cap: null,
    height: { rule: 'twoThirds' },
    border: 'butt',
    rows: [1, 1],
    boxes: STARTING_BOXES,
    lines: STARTING_LINES,
  }
}
