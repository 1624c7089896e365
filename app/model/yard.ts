import { z } from 'zod'
import { type LengthSchema, notNegative, positive, storedLength } from './lengthSchema'
import { LIMITS } from './limits'
import { idSchema, materialSchema } from './material'
import type { RowClash } from './merge'

/** What stuff is, as a yard sorts it. */
export const STOCK_KINDS = ['square', 'eased', 'molding', 'sheet'] as const
export type StockKind = (typeof STOCK_KINDS)[number]

/** Whether a supplier has it: there, not to be had, or there on a later day. */
export const STOCK_STATES = ['there', 'out', 'later'] as const
export type StockState = (typeof STOCK_STATES)[number]

const price = () => z.number().int().min(0).max(100_000_000)

/** A material as the crew keeps it. */
export function stockMaterialSchema(length: LengthSchema) {
  return z.strictObject({ material: materialSchema(length), kind: z.enum(STOCK_KINDS) })
}
export type StockMaterial = z.output<ReturnType<typeof stockMaterialSchema>>

/** One length of a material as it is sold. Prices in hundredths of money. */
export function stockLengthSchema(length: LengthSchema) {
  return z.strictObject({
    id: idSchema,
    material: idSchema,
    length: positive(length),
    /** What such boards truly measure; null where they are as long as they are sold. */
    trueLength: positive(length).nullable(),
    price: price().nullable(),
    /** No fewer are sold at once. */
    leastOrder: z.number().int().min(1).max(1_000),
    supplier: idSchema.nullable(),
    /** What the supplier calls it. */
    code: z.string().max(LIMITS.name),
    state: z.enum(STOCK_STATES),
    /** The day it is there again, as YYYY-MM-DD. */
    there: z.string().max(10).nullable(),
  })
}
export type StockLength = z.output<ReturnType<typeof stockLengthSchema>>

export interface Supplier {
  readonly id: string
  readonly name: string
  /** Where its prices are asked for on this machine; null for one that sends lists. */
  readonly address: string | null
}

/** Tools whose error turning them round shows. */
export const TOOLS_PROVED = ['level', 'laser', 'tapeHook'] as const
export type ToolProved = (typeof TOOLS_PROVED)[number]

/**
 * What happened to boards: counted, bought, cut, racked, taken. Never changed and never taken back; what is no longer so is an
 * act of its own.
 */
export function yardActSchema() {
  const done = {
    id: z.string().min(8).max(64),
    doneAt: z.number().int().min(0).max(8_640_000_000_000_000),
  }
  const job = idSchema
  const board = { material: idSchema, length: positive(storedLength) }
  const offcut = z.string().min(8).max(64)
  /** A supply by its key: caulk, nails/18/50800000, paint/ID. */
  const supply = z.string().min(1).max(140)
  return z.discriminatedUnion('kind', [
    /** So many whole boards of a length are on hand. */
    z.strictObject({
      ...done,
      kind: z.literal('counted'),
      ...board,
      count: z.number().int().min(0).max(10_000),
    }),
    /** An offcut goes on the rack: as the job is cut, or found there. The act's id is the offcut's. */
    z.strictObject({
      ...done,
      kind: z.literal('racked'),
      ...board,
      label: z.string().min(1).max(12),
      job: job.nullable(),
      /** The act of the board it is left of; null for one found by itself. */
      of: z.string().min(8).max(64).nullable(),
    }),
    /** It is not there any more, or it measures otherwise. */
    z.strictObject({ ...done, kind: z.literal('gone'), offcut }),
    z.strictObject({ ...done, kind: z.literal('measured'), offcut, length: positive(storedLength) }),
    /** So many boards of an offer are in the cart, or are put back; what each truly cost, where it was said. */
    z.strictObject({
      ...done,
      kind: z.literal('bought'),
      job,
      ...board,
      count: z.number().int().min(-10_000).max(10_000),
      paid: price().nullable(),
    }),
    /** A board is cut: from where it came, the pieces on it and what is left. */
    z.strictObject({
      ...done,
      kind: z.literal('boardCut'),
      job,
      ...board,
      from: z.enum(['bought', 'hand', 'rack', 'open']),
      offcut: offcut.nullable(),
      /** Of what is left of a board that is open at a wall, by its number there, or of a piece cut for nothing, by its name. */
      open: z
        .strictObject({
          wall: idSchema,
          number: z.number().int().min(1).max(10_000).optional(),
          piece: z.string().min(1).max(24).optional(),
        })
        .optional(),
      /** Pieces by wall and name (wall/piece), each as long as it was cut: the layout may go on afterwards. */
      pieces: z
        .array(z.strictObject({ id: z.string().min(3).max(220), length: positive(storedLength) }))
        .min(1)
        .max(400),
      left: notNegative(storedLength),
    }),
    z.strictObject({ ...done, kind: z.literal('boardUncut'), job, cut: z.string().min(8).max(64) }),
    /** So many packs of a supply are on hand, parts of a pack too. */
    z.strictObject({
      ...done,
      kind: z.literal('supplyCounted'),
      product: supply,
      size: z.number().positive().max(1_000_000),
      count: z.number().min(0).max(10_000),
    }),
    /** So many packs of a supply are in the cart, or are put back; what each truly cost, where it was said. */
    z.strictObject({
      ...done,
      kind: z.literal('supplyBought'),
      job,
      product: supply,
      size: z.number().positive().max(1_000_000),
      count: z.number().int().min(-1_000).max(1_000),
      paid: price().nullable(),
    }),
    /**
     * A tool was proved by turning it round. `error` is what it is off by (a level, over `over`; a laser, over `over`; a tape's hook,
     * read pushed less read pulled).
     */
    z.strictObject({
      ...done,
      kind: z.literal('toolProved'),
      tool: z.enum(TOOLS_PROVED),
      error: storedLength,
      over: positive(storedLength).nullable(),
    }),
    /** What a job or one wall of it may cost; null lifts it. */
    z.strictObject({
      ...done,
      kind: z.literal('budget'),
      job,
      wall: idSchema.nullable(),
      sum: price().nullable(),
    }),
    /** How a job's boards are wished: none longer than goes in the car, spare pieces, offcuts kept from a length on. */
    z.strictObject({
      ...done,
      kind: z.literal('wished'),
      job,
      longest: positive(storedLength).nullable(),
      spares: z.record(idSchema, z.number().int().min(0).max(50)),
      /** So many percent of each material's pieces in the place of those counts. */
      sparePercent: z.number().min(0).max(100).nullable().default(null),
      rackFrom: notNegative(storedLength),
    }),
  ])
}
export type YardAct = z.output<ReturnType<typeof yardActSchema>>

/** What two windows both changed of a length. */
export type LengthClash = RowClash<StockLength>
