import { z } from 'zod'
import { LIMITS } from './limits'
import { inches, ZERO } from '~/length'
import { ledgeSchema } from './ledge'
import { type LengthSchema, notNegative, positive } from './lengthSchema'
import { idSchema } from './material'
import { ENDS } from './spacing'

/** What the trim makes of the wall. */
export const PATTERNS = ['battens', 'grid', 'boxes', 'slats', 'lines', 'rails'] as const
export type Pattern = (typeof PATTERNS)[number]

/** The usual heights of a part-height layout, as parts of the wall's height. */
export const HEIGHT_RULES = ['typed', 'third', 'half', 'twoThirds', 'full'] as const

/** A height from the floor: typed, or by a rule. */
export function heightSchema(length: LengthSchema) {
  return z.discriminatedUnion('rule', [
    z.strictObject({ rule: z.literal('typed'), value: positive(length) }),
    z.strictObject({ rule: z.enum(['third', 'half', 'twoThirds', 'full']) }),
  ])
}

/** What a horizontal member besides the top and bottom rail is. */
export const RAIL_USES = ['rail', 'chairRail', 'pictureRail', 'shelf'] as const
export type RailUse = (typeof RAIL_USES)[number]

/** A horizontal member at its own height, given by its top. On edge it shows its width, flat its thickness. */
export function railSchema(length: LengthSchema) {
  return z.strictObject({
    id: idSchema,
    use: z.enum(RAIL_USES),
    material: idSchema,
    lay: z.enum(['flat', 'edge']),
    top: heightSchema(length),
    ledge: ledgeSchema(length).optional(),
  })
}
export type Rail = z.output<ReturnType<typeof railSchema>>

/**
 * How horizontals end at a corner of the room. `run`: square, hard against the wall beside; `against`: square,
 * against the face of the trim on that wall; `cope`: cut to the profile of that trim; `miter`: half the corner's
 * measured angle, through the thickness.
 */
export const CORNER_ENDS = ['run', 'against', 'cope', 'miter'] as const
export type CornerEnd = (typeof CORNER_ENDS)[number]

/** Frames of moulding with one margin between them and to all that bounds them. */
export function boxesSchema(length: LengthSchema) {
  return z.strictObject({
    moulding: idSchema,
    margin: positive(length),
    /** Another margin to the trim above or below; null is the same all round. */
    above: positive(length).nullable(),
    below: positive(length).nullable(),
    /** Boxes above the chair rail as well. */
    upper: z.boolean(),
    /** Wished width of a box, outside to outside, and its limits. */
    wish: positive(length),
    least: positive(length),
    /** A box has to be wider than `least`; otherwise that much will do. */
    moreThan: z.boolean().optional(),
    most: positive(length),
    /** A count picked by hand for a wall without openings; null takes the nearest to the wish. */
    count: z.number().int().min(1).max(LIMITS.boxes).nullable(),
  })
}
export type Boxes = z.output<ReturnType<typeof boxesSchema>>

/** What a proposal is judged by, and how much each counts: 0 is nothing, 10 is most. */
export const CRITERIA = [
  'plates',
  'slivers',
  'wish',
  'symmetry',
  'studs',
  'boards',
  'pieces',
  'hollows',
] as const
export type Criterion = (typeof CRITERIA)[number]
const weight = /*@__PURE__*/ z.number().min(0).max(10)

/** Within what limits proposals are searched and how they are judged. */
export function judgementSchema(length: LengthSchema) {
  return z.strictObject({
    /** Asked for between a strip and a plate. */
    clearance: notNegative(length),
    ends: z.array(z.enum(ENDS)).min(1),
    /** All strips may be moved so far either way. */
    shiftUpTo: notNegative(length),
    /** Bays may differ by so much, to let single strips step aside; 0 keeps them even. */
    baysDiffer: notNegative(length),
    /** The thing the layout should be symmetrical about; null is the middle of the span. */
    about: idSchema.nullable(),
    weights: z.strictObject({
      plates: weight,
      slivers: weight,
      wish: weight,
      symmetry: weight,
      studs: weight,
      boards: weight,
      pieces: weight,
      hollows: weight.default(3),
    } satisfies Record<Criterion, z.ZodType<number>>),
  })
}
export type Judgement = z.output<ReturnType<typeof judgementSchema>>

/** Where the search starts: half an inch round plates, plates before all else. */
export const STARTING_JUDGEMENT: Judgement = {
  clearance: inches(0.5),
  ends: ['gap', 'strip', 'half'],
  shiftUpTo: inches(3),
  baysDiffer: ZERO,
  about: null,
  weights: { plates: 10, slivers: 6, wish: 5, symmetry: 4, studs: 2, boards: 2, pieces: 1, hollows: 3 },
}

/** Boxes as a new wall has them: common practice, no source. */
export const STARTING_BOXES: Boxes = {
  moulding: 'panel-moulding',
  margin: inches(4),
  above: null,
  below: null,
  upper: false,
  wish: inches(28),
  least: inches(14),
  most: inches(48),
  count: null,
}
