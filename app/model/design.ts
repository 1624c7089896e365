import { z } from 'zod'
import { inches, ZERO } from '~/length'
import { type LengthSchema, notNegative, positive, storedLength } from './lengthSchema'
import { idSchema } from './material'
import {
  boxesSchema,
  CORNER_ENDS,
  type HEIGHT_RULES,
  heightSchema,
  judgementSchema,
  PATTERNS,
  railSchema,
  STARTING_BOXES,
  STARTING_JUDGEMENT,
} from './pattern'
import { spacingSchema } from './spacing'

/** How rails take a floor that falls. */
export const LEVEL_RULES = ['level', 'floor', 'ceiling', 'split'] as const
export type LevelRule = (typeof LEVEL_RULES)[number]

/** Ways of dealing with a batten thicker than its neighbor; those that change other things are edits of their own. */
export const PROUD_WAYS = ['leave', 'backBevel', 'ledger'] as const

/** Ways of fixing a strip. */
export const FIXINGS = [
  'nails',
  'nailsAndGlue',
  'dabs',
  'crossedNails',
  'pinsAndGlue',
  'adhesiveOnly',
  'hotGlue',
  'removable',
] as const
export type Fixing = (typeof FIXINGS)[number]

/** What the trim on one wall is to be. */
export function designSchema(length: LengthSchema) {
  return z.strictObject({
    version: z.literal(1),
    pattern: z.enum(PATTERNS),
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
    height: heightSchema(length),
    /** More horizontals: mid rails, chair rail, picture rail, shelves. */
    rails: z.array(railSchema(length)).max(12).default([]),
    /** Which members run through where uprights and rails cross; `byStock` lets the longest board decide. */
    through: z.enum(['uprights', 'rails', 'byStock']).default('byStock'),
    /** One layout right across the wall, or one between and beside its openings each. */
    sections: z.enum(['across', 'beside']).default('across'),
    /** What one section has of its own, by the section's id: its count of strips (of boxes), its shift. */
    sectionOwn: z
      .record(
        z.string().max(140),
        z.strictObject({ strips: z.number().int().min(1).max(400).nullable(), shift: length }),
      )
      .default({}),
    /** The part of the wall that is covered, from the left corner; null is all of it. */
    extent: z
      .strictObject({ left: notNegative(length), right: positive(length) })
      .nullable()
      .default(null),
    /** Strips ripped to width that take up what is left between the layout and the wall at its two ends. */
    fillers: z
      .strictObject({ left: positive(length), right: positive(length) })
      .nullable()
      .default(null),
    /** The grid's perimeter, and the weights its rows' heights go by, from the bottom up. */
    border: z.enum(['none', 'butt', 'miter']).default('butt'),
    rows: z.array(z.number().positive().max(100)).min(1).max(40).default([1, 1]),
    boxes: boxesSchema(length).default(STARTING_BOXES),
    /** How horizontals end at the two corners of the room. */
    corners: z
      .strictObject({ left: z.enum(CORNER_ENDS), right: z.enum(CORNER_ENDS) })
      .default({ left: 'run', right: 'run' }),
    judgement: judgementSchema(length).default(STARTING_JUDGEMENT),
    /** Its counts stay as they are when the walls of the room are matched. */
    locked: z.boolean().default(false),
    /** Left out of matching and of the order of fitting: the room's other walls are settled without it. */
    apart: z.boolean().default(false),
    /** How a rail longer than the boards is joined. */
    railJoint: z.enum(['scarf', 'butt']),
    /** What a falling floor does to the rails: dead level, along the floor, along the ceiling, half way. */
    levelRule: z.enum(LEVEL_RULES).default('level'),
    /** All strips moved along the wall from where the school puts them; to the right where positive. */
    shift: length.default(ZERO),
    /** How the strips meet a thing on the wall, by the thing's id; otherwise they end at it. */
    meets: z.record(idSchema, z.enum(['notch', 'clear'])).default({}),
    /** What is done where battens are thicker than the trim they stand on or end at. */
    proud: z.enum(PROUD_WAYS).default('leave'),
    fixing: z.enum(['proposed', ...FIXINGS]).default('proposed'),
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
    rails: [],
    through: 'byStock',
    sections: 'across',
    sectionOwn: {},
    extent: null,
    fillers: null,
    border: 'butt',
    rows: [1, 1],
    boxes: STARTING_BOXES,
    corners: { left: 'run', right: 'run' },
    judgement: STARTING_JUDGEMENT,
    locked: false,
    apart: false,
    railJoint: 'scarf',
    levelRule: 'level',
    shift: ZERO,
    meets: {},
    proud: 'leave',
    fixing: 'proposed',
  }
}
