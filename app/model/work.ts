import { z } from 'zod'
import type { LengthSchema } from './lengthSchema'
import { LIMITS } from './limits'
import { countedSchema, LEARNED, logShapes } from './log'
import { idSchema } from './material'
import { CAULK_RULES, packsSchema, spreadSchema, USUAL_SPREAD } from './supplies'

/** What goes on the wall first: the border, the uprights, the horizontals, or from the bottom up. Common practice, no source. */
export const FIT_ORDERS = ['borderFirst', 'uprightsFirst', 'horizontalsFirst', 'bottomUp'] as const
export type FitOrder = (typeof FIT_ORDERS)[number]

/** When it is painted: everything after fitting; the wall once and the perimeter's strips before; the wall once and all strips before. */
export const PAINT_SCHOOLS = ['after', 'edgesAhead', 'allAhead'] as const
/** What is done to the trim's face; and what paint is put on with. */
export const TRIM_FINISHES = ['painted', 'stained'] as const
export const APPLIERS = ['brush', 'roller', 'sprayer'] as const
export type Applier = (typeof APPLIERS)[number]
/** Sanded at 120 or 150 and left, or finished at 220. */
export const SAND_SCHOOLS = ['keep', 'fine'] as const
export const WALL_PREPS = ['holes', 'skim', 'none'] as const

/** Things that need time to dry, set or come. */
export const WAITS = [
  'paint',
  'primer',
  'filler',
  'caulk',
  'adhesive',
  'shellac',
  'skim',
  'stain',
  'varnish',
  'floor',
] as const
export type Wait = (typeof WAITS)[number]

const minutes = (most: number) => z.number().min(0).max(most)
const hours = z.number().min(0).max(LIMITS.waitHours)
const day = z.string().regex(/^\d{4}-\d\d-\d\d$/)
const minuteOfDay = z.number().int().min(0).max(1_440)
const windowSchema = z.strictObject({ from: minuteOfDay, to: minuteOfDay })
export type WorkWindow = z.output<typeof windowSchema>

/** Minutes that work takes; where it says an hour, how much is done in one. 0 is kept, and told. */
function ratesSchema() {
  return z.strictObject({
    markOne: minutes(600),
    cutOne: minutes(600),
    setUp: minutes(600),
    fitOne: minutes(600),
    sandBoard: minutes(600),
    coatBoard: z.strictObject({ brush: minutes(600), roller: minutes(600), sprayer: minutes(600) }),
    /** Square feet of wall an hour, one coat; square feet of skim an hour. */
    wallFeet: z.strictObject({ brush: minutes(10_000), roller: minutes(10_000), sprayer: minutes(10_000) }),
    skimFeet: minutes(10_000),
    /** Feet of seam an hour; holes and joints filled an hour. */
    caulkFeet: minutes(10_000),
    fillOne: minutes(10_000),
    /** Feet of running trim taken off an hour; a drop of paper; a sheet of backer. */
    removeFeet: minutes(10_000),
    dropOne: minutes(600),
    sheetOne: minutes(600),
    /** Hours a person works in a day, where no days were said. */
    day: minutes(24),
  })
}
export type WorkRates = z.output<ReturnType<typeof ratesSchema>>

/**
 * Where rates start. Sanding, painting and caulking: common practice, no source. All others: a guess of ours, no source;
 * rates of one's own take their place.
 */
export const USUAL_RATES: WorkRates = {
  markOne: 1,
  cutOne: 2,
  setUp: 3,
  fitOne: 6,
  sandBoard: 6,
  coatBoard: { brush: 7, roller: 5, sprayer: 2 },
  wallFeet: { brush: 90, roller: 200, sprayer: 450 },
  skimFeet: 60,
  caulkFeet: 180,
  fillOne: 120,
  removeFeet: 40,
  dropOne: 20,
  sheetOne: 25,
  day: 8,
}

/** Hours that things wait: common practice, no source; the product's label rules. */
export const USUAL_WAITS: Readonly<Record<Wait, number>> = {
  paint: 3,
  primer: 2,
  filler: 4,
  caulk: 2,
  adhesive: 12,
  shellac: 1,
  skim: 12,
  stain: 8,
  varnish: 6,
  floor: 48,
}

/** Evenings of a working week, the weekend off. */
export const EVENINGS: readonly (WorkWindow | null)[] = [
  ...Array.from({ length: 5 }, () => ({ from: 1_080, to: 1_260 })),
  null,
  null,
]

/** A task of one's own: of another trade, or what no plan can know. */
function ownTaskSchema() {
  return z.strictObject({
    id: idSchema,
    name: z.string().trim().min(1).max(LIMITS.name),
    /** The room it is done in; null: the whole job. */
    room: idSchema.nullable(),
    /** Another trade does it: nobody of the crew is busy with it. */
    trade: z.boolean(),
    minutes: minutes(100_000),
    /** Tasks that have to be done before it, and that wait for it, by their ids. */
    after: z.array(z.string().min(1).max(160)).max(20),
    before: z.array(z.string().min(1).max(160)).max(20),
    /** What follows waits so long. */
    wait: hours,
  })
}
export type OwnTask = z.output<ReturnType<typeof ownTaskSchema>>

/** How the work of a job is done, in which order, when, and with what. */
export function workSchema(length: LengthSchema) {
  return z.strictObject({
    fitOrder: z.enum(FIT_ORDERS).default('borderFirst'),
    paintSchool: z.enum(PAINT_SCHOOLS).default('after'),
    trim: z.enum(TRIM_FINISHES).default('painted'),
    paintWith: z.enum(APPLIERS).default('roller'),
    sanding: z.enum(SAND_SCHOOLS).default('keep'),
    caulk: z.enum(CAULK_RULES).default('every'),
    prepare: z.enum(WALL_PREPS).default('holes'),
    /** Old holes of a wall, to be filled before. */
    oldHoles: z.number().int().min(0).max(1_000).default(6),
    coats: z
      .strictObject({
        trim: z.number().int().min(0).max(6),
        field: z.number().int().min(0).max(6),
        above: z.number().int().min(0).max(6),
      })
      .default({ trim: 2, field: 2, above: 2 }),
    /** A room with one door: its wall is the last, so that the way out stays free. */
    wayOut: z.boolean().default(true),
    people: z.number().int().min(1).max(2).default(1),
    rates: ratesSchema().default(USUAL_RATES),
    waits: z
      .strictObject(Object.fromEntries(WAITS.map((wait) => [wait, hours])) as Record<Wait, typeof hours>)
      .default({ ...USUAL_WAITS }),
    spread: spreadSchema(length).default(USUAL_SPREAD),
    packs: packsSchema().default({}),
    /** What of a task is otherwise than worked out, by its id. */
    own: z
      .record(
        z.string().min(1).max(160),
        z.strictObject({ minutes: minutes(100_000).nullable(), skip: z.boolean() }),
      )
      .default({}),
    /** Tasks of one's own. */
    tasks: z.array(ownTaskSchema()).max(LIMITS.ownTasks).default([]),
    /** Moves by hand: the first is done before the other begins. */
    pins: z
      .array(z.strictObject({ first: z.string().min(1).max(160), then: z.string().min(1).max(160) }))
      .max(LIMITS.pins)
      .default([]),
    /** What comes on a day, and what waits for it. */
    deliveries: z
      .array(
        z.strictObject({
          id: idSchema,
          name: z.string().trim().min(1).max(LIMITS.name),
          on: day,
          for: z.string().min(1).max(160),
        }),
      )
      .max(LIMITS.deliveries)
      .default([]),
    days: z
      .strictObject({
        /** The first day; null: today. */
        start: day.nullable(),
        /** Monday to Sunday; null: nobody works. */
        week: z.array(windowSchema.nullable()).length(7),
        off: z.array(day).max(LIMITS.daysOff),
        /** No noise after this minute of the day. */
        quietFrom: minuteOfDay,
        wishedEnd: day.nullable(),
      })
      .default({ start: null, week: [...EVENINGS], off: [], quietFrom: 1_260, wishedEnd: null }),
  })
}
export type Work = z.output<ReturnType<typeof workSchema>>

/** Work as it is before anybody said anything. */
export const USUAL_WORK: Work = {
  fitOrder: 'borderFirst',
  paintSchool: 'after',
  trim: 'painted',
  paintWith: 'roller',
  sanding: 'keep',
  caulk: 'every',
  prepare: 'holes',
  oldHoles: 6,
  coats: { trim: 2, field: 2, above: 2 },
  wayOut: true,
  people: 1,
  rates: USUAL_RATES,
  waits: { ...USUAL_WAITS },
  spread: USUAL_SPREAD,
  packs: {},
  own: {},
  tasks: [],
  pins: [],
  deliveries: [],
  days: { start: null, week: [...EVENINGS], off: [], quietFrom: 1_260, wishedEnd: null },
}

/**
 * What happened with the work of a job: tasks begun, done, found to take longer; cautions seen. Never changed and never taken back by
 * undo: what is no longer so is an act of its own.
 */
export function workActSchema() {
  const done = {
    id: z.string().min(8).max(64),
    doneAt: z.number().int().min(0).max(8_640_000_000_000_000),
  }
  const task = z.string().min(1).max(160)
  /** A minute by the clock on the wall of the job, as 2026-11-26T19:40. */
  const at = z.string().regex(/^\d{4}-\d\d-\d\dT\d\d:\d\d$/)
  return z.discriminatedUnion('kind', [
    z.strictObject({
      ...done,
      kind: z.literal('taskDone'),
      task,
      at,
      counted: countedSchema().nullable().optional(),
    }),
    /** Work on a task is begun, or rested from: the time between is worked. */
    z.strictObject({ ...done, kind: z.literal('taskBegan'), task }),
    z.strictObject({
      ...done,
      kind: z.literal('taskEnded'),
      task,
      counted: countedSchema().nullable().default(null),
    }),
    /** Time written down afterwards. */
    z
      .strictObject({
        ...done,
        kind: z.literal('timed'),
        task,
        from: z.number().int().min(0).max(8_640_000_000_000_000),
        to: z.number().int().min(0).max(8_640_000_000_000_000),
        counted: countedSchema().nullable().default(null),
      })
      .refine(({ from, to }) => to > from, { path: ['to'], params: { problem: 'endsBeforeItStarts' } }),
    /** A time is left out of a rate by hand, or taken in again: by the wall or task it is of. */
    z.strictObject({
      ...done,
      kind: z.enum(['sampleOut', 'sampleIn']),
      rate: z.enum(LEARNED),
      sample: z.string().min(1).max(240),
    }),
    ...logShapes(done),
    z.strictObject({ ...done, kind: z.literal('taskOpen'), task }),
    /** It takes so long in all, from what is known by now. */
    z.strictObject({ ...done, kind: z.literal('takesLonger'), task, minutes: minutes(100_000) }),
    z.strictObject({ ...done, kind: z.literal('cautionSeen'), caution: z.string().min(1).max(40) }),
  ])
}
export type WorkAct = z.output<ReturnType<typeof workActSchema>> & {
  /** Who did it; null where nobody signs in. */
  readonly member?: string | null
  /** When it came to the server, by the server's clock. */
  readonly keptAt?: number
}
