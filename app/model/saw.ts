import { z } from 'zod'
import { inches } from '~/length'
import { LIMITS } from './limits'
import { type LengthSchema, notNegative, positive } from './lengthSchema'
import { idSchema } from './material'

/** What the crew cuts with. A hand saw in its box has the box's own angles, and no stop. */
export const TOOLS = [
  'miterSaw',
  'handBox',
  'ripGuide',
  'tableSaw',
  'jigsaw',
  'rotary',
  'handSaw',
  'router',
] as const
export type Tool = (typeof TOOLS)[number]

/** What most vans hold. Common practice, no source. */
export const USUAL_TOOLS: readonly Tool[] = [
  'miterSaw',
  'ripGuide',
  'tableSaw',
  'jigsaw',
  'handSaw',
  'router',
]

const degrees = /*@__PURE__*/ z.number().min(0).max(80)

/** A miter saw as it stands on the bench. How far it swings to the left is the shop's `swing`; angles are in degrees from square. */
export function sawSchema(length: LengthSchema) {
  return z.strictObject({
    name: z.string().max(LIMITS.name),
    /** null: as far as to the left. */
    swingRight: degrees.nullable(),
    tiltLeft: degrees,
    tiltRight: degrees,
    /** Where the scale clicks in. */
    detents: z.array(degrees).max(20),
    /** The widest board it cuts through square. */
    crosscut: positive(length),
    /** How high its fence is: what stands against it. */
    fence: notNegative(length),
  })
}
export type Saw = z.output<ReturnType<typeof sawSchema>>

/** A usual 10-inch sliding saw: where it clicks in, how far it tilts, how wide it cuts. Common practice, no source. */
export const USUAL_SAW: Saw = {
  name: '',
  swingRight: null,
  tiltLeft: 45,
  tiltRight: 0,
  detents: [0, 15, 22.5, 31.6, 45],
  crosscut: inches(12),
  fence: inches(4),
}

/** Stuff that comes in sheets. */
export const SHEET_STUFF = ['mdf', 'plywood', 'softwood', 'hardwood'] as const

/** A sheet on sale: its true size, `length` along its long way. Prices in hundredths of the job's money. */
export function sheetSchema(length: LengthSchema) {
  return z.strictObject({
    id: idSchema,
    stuff: z.enum(SHEET_STUFF),
    thickness: positive(length),
    width: positive(length),
    length: positive(length),
    /** Taken off each long edge before the first strip; 0 keeps the factory's edge. */
    edge: notNegative(length),
    price: z.number().int().min(0).max(100_000_000).nullable(),
  })
}
export type Sheet = z.output<ReturnType<typeof sheetSchema>>

/** The sheet a built-in strip of MDF is ripped from: 49 by 97 in, as MDF often comes. Common practice, no source. */
export function usualSheets(thickness: Sheet['thickness']): Sheet[] {
  return [
    { width: inches(49), length: inches(97) },
    { width: inches(48), length: inches(96) },
  ].map(({ width, length }) => ({
    id: `mdf-${thickness}-${width}x${length}`,
    stuff: 'mdf',
    thickness,
    width,
    length,
    edge: inches(0),
    price: null,
  }))
}
