import { z } from 'zod'
import { LIMITS } from './limits'
import { inches, millimeters, type Units } from '~/length'
import { type LengthSchema, notNegative, positive } from './lengthSchema'
import { idSchema } from './material'
import { sawSchema, sheetSchema, TOOLS, USUAL_SAW, USUAL_TOOLS } from './saw'

/** Where most saws stop. Common practice, no source. */
export const USUAL_SWING = 50
/** Pieces are cut this much long before they are shaved to fit: 1/8 in. Common practice, no source. */
export const USUAL_ALLOWANCE = inches(1 / 8)

/** The boards on sale for the job and what the saw takes. Prices in hundredths of the job's money. */
export function shopSchema(length: LengthSchema) {
  return z.strictObject({
    kerf: notNegative(length),
    /** Taken once off each board to square its end, saw cut included. */
    endTrim: notNegative(length),
    /** A piece that is measured in place is first cut longer by this much, and its board must hold that. Common practice, no source. */
    allowance: notNegative(length).default(USUAL_ALLOWANCE),
    /** How far the saw swings from square, in degrees; most stop at 50 or a little past it. Common practice, no source. */
    swing: z.number().min(0).max(80).default(USUAL_SWING),
    offers: z
      .array(
        z.strictObject({
          id: idSchema,
          material: idSchema,
          length: positive(length),
          /** null: price not known yet. */
          price: z.number().int().min(0).max(100_000_000).nullable(),
          /** What such a board truly measures, where it runs over or short of what it is sold as. */
          trueLength: positive(length).optional(),
        }),
      )
      .max(LIMITS.offers),
    saw: sawSchema(length).default(USUAL_SAW),
    /** What the crew has to cut with. */
    tools: z
      .array(z.enum(TOOLS))
      .max(TOOLS.length)
      .default([...USUAL_TOOLS]),
    sheets: z.array(sheetSchema(length)).max(LIMITS.sheets).default([]),
    /** Strips that are ripped from a sheet rather than bought, by their material's id: the sheet's id. */
    ripped: z.record(idSchema, idSchema).default({}),
  })
}

export type Shop = z.output<ReturnType<typeof shopSchema>>
export type Offer = Shop['offers'][number]

/** Usual lengths of boards in the yard (8, 10, 12, 16 ft; 2.4 to 4.8 m): common practice, no source. */
const USUAL_LENGTHS = {
  inch: [96, 120, 144, 192].map(inches),
  metric: [2400, 3000, 3600, 4800].map(millimeters),
} as const

/** The usual board lengths of a material, prices still open. */
export function usualOffers(material: string, units: Units): Offer[] {
  return USUAL_LENGTHS[units === 'mm' ? 'metric' : 'inch'].map((length) => ({
    id: `${material}-${length}`,
    material,
    length,
    price: null,
  }))
}
