import { z } from 'zod'
import { LABEL_SHEETS, PAPERS } from './labels'
import { LIMITS } from './limits'

/** The parts of a booklet, in its order. */
export const BOOKLET_PARTS = [
  'wall',
  'marks',
  'cut',
  'boards',
  'shopping',
  'work',
  'finish',
  'takeDown',
  'client',
] as const
export type BookletPart = (typeof BOOKLET_PARTS)[number]

/** What is printed at full size: rods along the layout's foot, its head and up from the floor, and along the sides of a field that lines are struck in. */
export const RODS = ['foot', 'head', 'height', 'bottom', 'top', 'left', 'right'] as const
export type Rod = (typeof RODS)[number]
export const TEMPLATES = ['ends', 'gauges', 'plates', 'arches', 'rows'] as const
export type TemplateKind = (typeof TEMPLATES)[number]

/** What a wall's drawing is written as. */
export const DRAWINGS = ['wall', 'pieces', 'boards', 'panels'] as const
export type Drawing = (typeof DRAWINGS)[number]
/** The tables of a wall. */
export const TABLES = ['marks', 'cuts', 'boards', 'takeoff', 'log'] as const
export type TableKind = (typeof TABLES)[number]

/** How long a booklet's boards and days are looked for. */
export const LOOKS = ['moment', 'proven'] as const
export type Look = (typeof LOOKS)[number]

const FILES_OF_WALL = ['svg', 'dxf', 'png'] as const
const paper = z.enum(PAPERS).default('letter')
/** Which end of the wall marks run from. */
const datum = z.enum(['left', 'right']).default('left')
/** What the 6-in bar came out as, in inches; a printer that is farther off is set wrong, not off. */
const bar = z.coerce.number().min(5.4).max(6.6).default(6)
const wall = z.string().min(1).max(LIMITS.name)
const listOf = <const Of extends readonly [string, ...string[]]>(all: Of) =>
  z
    .string()
    .transform((text) => text.split(',').filter((each) => each !== ''))
    .pipe(z.array(z.enum(all)).max(all.length))

/** What is asked for on paper or as a file, as an address says it. */
export const paperAskedSchema = () =>
  z.discriminatedUnion('file', [
    z.object({
      file: z.literal('booklet.pdf'),
      paper,
      datum,
      /** How long boards and the order of the work are looked for: a moment, or until they are proven or time is up. */
      look: z.enum(LOOKS).default('moment'),
      parts: listOf(BOOKLET_PARTS).default([...BOOKLET_PARTS]),
      walls: z
        .string()
        .max(20_000)
        .transform((text) => text.split(',').filter((each) => each !== ''))
        .default([]),
    }),
    z.object({
      file: z.literal('rod.pdf'),
      wall,
      datum,
      rods: listOf(RODS).default([...RODS]),
      on: z.enum([...PAPERS, 'roll']).default('letter'),
      bar,
    }),
    z.object({
      file: z.literal('templates.pdf'),
      wall,
      kinds: listOf(TEMPLATES).default([...TEMPLATES]),
      paper,
      bar,
    }),
    z.object({
      file: z.literal('labels.pdf'),
      wall,
      sheet: z.enum(LABEL_SHEETS.map(({ id }) => id) as [string, ...string[]]),
      skip: z.coerce.number().int().min(0).max(100).default(0),
      /** How far a printer shifts, in millimeters. */
      right: z.coerce.number().min(-10).max(10).default(0),
      down: z.coerce.number().min(-10).max(10).default(0),
    }),
    ...FILES_OF_WALL.map((kind) =>
      z.object({
        file: z.literal(`drawing.${kind}`),
        wall,
        datum,
        drawing: z.enum(DRAWINGS).default('wall'),
        piece: z.string().max(20).optional(),
        version: z.enum(['2007', 'r12']).default('2007'),
      }),
    ),
    z.object({ file: z.literal('table.csv'), wall, datum, table: z.enum(TABLES) }),
    z.object({ file: z.literal('work.ics') }),
    // what there is of a wall, to be offered
    z.object({ file: z.literal('offers.json'), wall }),
  ])
export type PaperAsked = z.output<ReturnType<typeof paperAskedSchema>>

/** What of a wall can be had: kinds it has nothing of are not offered. */
export const paperOffersSchema = () =>
  z.object({
    rods: z.array(z.enum(RODS)),
    templates: z.array(z.enum(TEMPLATES)),
    drawings: z.array(z.enum(DRAWINGS)),
    labels: z.number(),
  })
export type PaperOffers = z.output<ReturnType<typeof paperOffersSchema>>
