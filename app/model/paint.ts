import { z } from 'zod'
import { inches, ZERO } from '~/length'
import { type LengthSchema, notNegative, positive } from './lengthSchema'
import { LIMITS } from './limits'
import { idSchema } from './material'

/** What a paint is for. */
export const PAINT_USES = ['trim', 'field', 'above', 'plates'] as const
export type PaintUse = (typeof PAINT_USES)[number]

/** How much it shines, dull first. Common practice, no source. */
export const SHEENS = ['flat', 'matte', 'eggshell', 'satin', 'semigloss', 'gloss'] as const

/** How a color stands: it may be picked, it was tried and dropped. */
export const PAINT_STATES = ['listed', 'dropped'] as const

/** A color as six hexadecimal digits, small letters. */
export const HEX = /^#[0-9a-f]{6}$/

/** A paint of a job: what it is called, what its maker calls it as typed, and its color as near as a screen shows it. */
export function paintSchema() {
  return z.strictObject({
    id: idSchema,
    name: z.string().trim().min(1).max(LIMITS.name),
    code: z.string().trim().max(40).default(''),
    hex: z.string().regex(HEX),
    sheen: z.enum(SHEENS).default('satin'),
    use: z.enum(PAINT_USES),
    state: z.enum(PAINT_STATES).default('listed'),
    /** The day it was tried on the wall, as 2026-11-26; null where it was not. */
    triedOn: z
      .string()
      .regex(/^\d{4}-\d\d-\d\d$/)
      .nullable()
      .default(null),
    /** What was thought of it; why it was dropped. */
    note: z.string().trim().max(LIMITS.note).default(''),
    /** The number on the can, so that the next can matches. */
    batch: z.string().trim().max(40).default(''),
  })
}
export type Paint = z.output<ReturnType<typeof paintSchema>>

/** Paper on the wall above the trim: drops of one width with a repeat, or the numbered panels of a mural. */
export function paperSchema(length: LengthSchema) {
  return z.strictObject({
    kind: z.enum(['repeat', 'mural']),
    name: z.string().trim().max(LIMITS.name).default(''),
    /** One drop or panel; how high a panel of a mural is, how often the pattern of a paper comes again (nothing: it has none). */
    width: positive(length),
    height: notNegative(length),
    /** How many panels a mural has; of drops there are as many as the wall takes. */
    panels: z.number().int().min(1).max(LIMITS.panelsOfPaper).default(1),
    /** Hung from one side, from both sides of a seam in the middle, or of a drop in the middle. */
    from: z.enum(['left', 'right', 'middle', 'middleDrop']).default('left'),
    /** How long a roll is; whether its pattern runs on straight or by half a repeat; what runs over at head and foot, of a mural on all sides. */
    roll: positive(length).default(inches(396)),
    match: z.enum(['straight', 'half']).default('straight'),
    over: notNegative(length).default(inches(2)),
    hex: z.string().regex(HEX).default('#d9d2c0'),
  })
}
export type Paper = z.output<ReturnType<typeof paperSchema>>

/** What of a wall is painted in what, by the paints' ids; null: as it is. */
export function wallPaintSchema(length: LengthSchema) {
  return z.strictObject({
    trim: idSchema.nullable().default(null),
    field: idSchema.nullable().default(null),
    above: idSchema.nullable().default(null),
    plates: idSchema.nullable().default(null),
    /** Whether the baseboard is painted with the trim. */
    base: z.boolean().default(true),
    /** Paper in the place of paint above the trim. */
    paper: paperSchema(length).nullable().default(null),
  })
}
export type WallPaint = z.output<ReturnType<typeof wallPaintSchema>>

/** Nothing painted yet. */
export const NO_PAINT: WallPaint = {
  trim: null,
  field: null,
  above: null,
  plates: null,
  base: true,
  paper: null,
}

/** Where paper starts: drops of a usual width, without a repeat. */
export const USUAL_PAPER: Pick<Paper, 'height' | 'panels' | 'from' | 'hex' | 'roll' | 'match' | 'over'> = {
  height: ZERO,
  panels: 4,
  from: 'left',
  roll: inches(396),
  match: 'straight',
  over: inches(2),
  hex: '#d9d2c0',
}

/** A color put on the list: nothing known of it yet but its name, its color and what it is for. */
export function freshPaint({ id, name, hex, use }: Pick<Paint, 'id' | 'name' | 'hex' | 'use'>): Paint {
  return { id, name, code: '', hex, sheen: 'satin', use, state: 'listed', triedOn: null, note: '', batch: '' }
}
