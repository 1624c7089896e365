import { z } from 'zod'
import { LIMITS } from './limits'
import { inches, tapesFor, TAPES, UNITS } from '~/length'
import { type LengthSchema, notNegative, storedLength } from './lengthSchema'
import { materialSchema } from './material'
import { paintSchema } from './paint'
import { USUAL_SAW, USUAL_TOOLS } from './saw'
import { shopSchema, USUAL_ALLOWANCE, USUAL_SWING, usualOffers } from './shop'
import { STOCK_LIST } from './stockList'
import { USUAL_WORK, workSchema } from './work'

/** What holds for all walls of a job: units, tape, money, strip materials and the shop. */
export function settingsSchema(length: LengthSchema) {
  return z
    .strictObject({
      version: z.literal(1),
      units: z.enum(UNITS),
      tape: z.enum(TAPES),
      currency: z.string().regex(/^[A-Z]{3}$/),
      materials: z.array(materialSchema(length)).min(1).max(LIMITS.materials),
      shop: shopSchema(length),
      /** How far a chain of readings may miss its whole, and how far a piece may miss its place. */
      closure: notNegative(length).default(inches(1 / 8)),
      fit: notNegative(length).default(inches(1 / 16)),
      /** The widest seam caulk is used for: about 1/8 in, common practice, no source. */
      caulk: notNegative(length).default(inches(1 / 8)),
      /** Colors picked, listed and tried. */
      paints: z.array(paintSchema()).max(LIMITS.paints).default([]),
      /** How the work is done, in which order, when, and with what. */
      work: workSchema(length).default(USUAL_WORK),
    })
    .refine((settings) => tapesFor(settings.units).includes(settings.tape), {
      path: ['tape'],
      params: { problem: 'tapeNotInUnits' },
    })
}

export type Settings = z.output<ReturnType<typeof settingsSchema>>

/** The stored form. */
export const storedSettings = /*@__PURE__*/ settingsSchema(storedLength)

/** Settings of a new job: the built-in materials in their usual lengths, no prices. */
export function startingSettings(units: Settings['units'], tape: Settings['tape']): Settings {
  return {
    version: 1,
    units,
    tape,
    currency: 'USD',
    closure: inches(1 / 8),
    fit: inches(1 / 16),
    caulk: inches(1 / 8),
    paints: [],
    work: USUAL_WORK,
    materials: [...STOCK_LIST],
    shop: {
      kerf: inches(1 / 8),
      endTrim: inches(0),
      allowance: USUAL_ALLOWANCE,
      swing: USUAL_SWING,
      offers: STOCK_LIST.flatMap((material) => usualOffers(material.id, units)),
      saw: USUAL_SAW,
      tools: [...USUAL_TOOLS],
      sheets: [],
      ripped: {},
    },
  }
}
