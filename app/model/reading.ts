import { z } from 'zod'
import { LIMITS } from './limits'
import type { LengthSchema } from './lengthSchema'
import { notNegative, positive } from './lengthSchema'
import { idSchema } from './material'

/** How a reading came about. */
export const METHODS = ['tape', 'laser', 'finder', 'file'] as const

const when = /*@__PURE__*/ z.iso.datetime()

/**
 * One reading of the wall. `place` is a height from the floor for a width or a plumb reading, a distance from
 * the left corner for a height or a fall. A later reading of the same kind and place is the one that counts;
 * the earlier ones are kept.
 */
export function readingSchema(length: LengthSchema) {
  const common = { id: idSchema, method: z.enum(METHODS), takenAt: when }
  return z.discriminatedUnion('kind', [
    /** Corner to corner at a height. */
    z.strictObject({ ...common, kind: z.literal('width'), place: notNegative(length), value: length }),
    /** Floor to ceiling at a distance from the left corner. */
    z.strictObject({ ...common, kind: z.literal('height'), place: notNegative(length), value: length }),
    /** How far the floor lies below a level line through the floor at the left corner; negative where it rises. */
    z.strictObject({ ...common, kind: z.literal('floorFall'), place: notNegative(length), value: length }),
    /** The same for the ceiling, against a level line through the ceiling at the left corner. */
    z.strictObject({ ...common, kind: z.literal('ceilingFall'), place: notNegative(length), value: length }),
    /** How far an end leans into the wall at a height, against a plumb line from its foot; negative outwards. */
    z.strictObject({ ...common, kind: z.literal('plumbLeft'), place: notNegative(length), value: length }),
    z.strictObject({ ...common, kind: z.literal('plumbRight'), place: notNegative(length), value: length }),
    /** The angle of a corner, with the wall beside it, in degrees. */
    z.strictObject({
      ...common,
      kind: z.enum(['cornerLeft', 'cornerRight']),
      turn: z.enum(['inside', 'outside']),
      deg: z.number().min(LIMITS.cornerDeg.least).max(LIMITS.cornerDeg.most),
    }),
  ])
}

export type Reading = z.output<ReturnType<typeof readingSchema>>
export type LengthReading = Extract<Reading, { place: unknown }>
export type LengthReadingKind = LengthReading['kind']

/** What can stand on a wall. Openings carry casing; plates are the covers of electrical boxes and vents. */
export const OPENINGS = ['window', 'door'] as const
export const PLATES = ['outlet', 'switch', 'thermostat', 'vent', 'sconce'] as const
const TRIMS = ['sideTrim', 'chairRail', 'ledge', 'stool', 'shelf', 'chimneyBreast'] as const
/** Parts of the wall that are not there: a notch or a slope, a stair and what is under it, a landing. */
export const MISSING = ['cutOff', 'stair', 'landing'] as const
/** What gives heat: trim that burns keeps clear of it. */
export const HEATS = ['fireplace', 'stove', 'radiator', 'heater'] as const
export type Heat = (typeof HEATS)[number]
/**
 * What is built on or into the wall and stays in front of it: an electrical panel has to open, a cabinet hides what is behind. An `obstacle`
 * is anything else that strips end at.
 */
export const FIXTURES = ['cabinet', 'panel', 'mirror', 'television', 'tile', 'obstacle'] as const
/** What stands before the wall: strips run on behind it unless it is kept clear; a layout may be centered on it or line up with it. */
export const FURNITURE = ['bed', 'sofa', 'table'] as const
export const THING_KINDS = [
  ...OPENINGS,
  ...PLATES,
  ...TRIMS,
  ...MISSING,
  ...HEATS,
  ...FIXTURES,
  ...FURNITURE,
] as const
export type ThingKind = (typeof THING_KINDS)[number]

/**
 * Something on the wall: the rectangle it takes, from the left corner and the floor, casing not counted.
 * A `cutOff` is a part of the wall that is not there: a rectangle, or with `slope` the triangle above or below
 * its diagonal (attic or stair). A `stair` takes all below the line of its nosings, which starts at `bottom` and rises by `height`
 * over its width; its skirt board stands so high above that line, plumb. A `landing` is the square part at an end of it. A `chimneyBreast` stands out by its thickness: the walls beside it do not meet. `fromRight` and `fromTop` are second readings that must close on the whole.
 */
export function thingSchema(length: LengthSchema) {
  return z.strictObject({
    id: idSchema,
    kind: z.enum(THING_KINDS),
    left: length,
    bottom: length,
    width: positive(length),
    height: positive(length),
    thickness: notNegative(length),
    casing: notNegative(length),
    /**
     * Trim that `goesBack` comes off, and goes back on over what was laid out, cut to what is left for it. Furniture that is
     * `keptClear` has no strip behind it.
     */
    fate: z.enum(['keep', 'remove', 'cutRound', 'goesBack', 'keptClear']),
    /** How far strips keep clear of heat; null is as far as is usual for its kind. */
    clear: notNegative(length).nullable().default(null),
    slope: z.enum(['risesLeft', 'risesRight']).nullable(),
    /** Of a stair: the board along it, plumb above the nosings. */
    skirt: z
      .strictObject({ height: positive(length), thickness: notNegative(length) })
      .nullable()
      .optional(),
    /** Of a plate: the hole for its box in sheets that cover the wall; null is as large as is usual for its plate. */
    hole: z
      .strictObject({ width: positive(length), height: positive(length) })
      .nullable()
      .optional(),
    fromRight: length.nullable(),
    fromTop: length.nullable(),
  })
}

export type Thing = z.output<ReturnType<typeof thingSchema>>

/** Studs by their centers, the board on them, and strips where nothing may be driven. */
export function behindSchema(length: LengthSchema) {
  return z.strictObject({
    studs: z.array(notNegative(length)).max(LIMITS.studs),
    wallboard: notNegative(length),
    keepOuts: z
      .array(
        z.strictObject({
          id: idSchema,
          left: length,
          bottom: length,
          width: positive(length),
          height: positive(length),
        }),
      )
      .max(LIMITS.keepOuts),
  })
}

export type Behind = z.output<ReturnType<typeof behindSchema>>

/** The walk round the room before the first design: null is not asked yet. */
export function walkRoundSchema() {
  return z.strictObject({
    plates: z.enum(['none', 'placed']).nullable(),
    sideTrim: z.enum(['none', 'placed']).nullable(),
    ledges: z.enum(['none', 'placed']).nullable(),
    texture: z.enum(['smooth', 'textured']).nullable(),
    age: z.enum(['before1978', 'later', 'unknown']).nullable(),
    heat: z.enum(['none', 'placed']).nullable().default(null),
    floor: z.enum(['stays', 'toCome']).nullable().default(null),
    holder: z.enum(['owner', 'renter']).nullable(),
    furniture: z.enum(['none', 'stays']).nullable(),
    child: z.enum(['no', 'yes']).nullable(),
  })
}

export type WalkRound = z.output<ReturnType<typeof walkRoundSchema>>
export type WalkQuestion = keyof WalkRound

/** Nothing asked yet. */
export const NOT_WALKED: WalkRound = {
  plates: null,
  sideTrim: null,
  ledges: null,
  texture: null,
  age: null,
  heat: null,
  floor: null,
  holder: null,
  furniture: null,
  child: null,
}

/**
 * A finding that stops the work, overruled with a reason. `key` names the finding, `figure` is what the reason was given
 * for: a finding that has grown away from it asks again.
 */
export function overruledSchema(length: LengthSchema) {
  return z.strictObject({
    key: z.string().min(1).max(200),
    reason: z.string().trim().min(1).max(300),
    figure: length.nullable().default(null),
  })
}
