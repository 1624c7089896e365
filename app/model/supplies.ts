import { z } from 'zod'
import { inches } from '~/length'
import { type LengthSchema, positive } from './lengthSchema'

/** What a job needs besides boards. */
export const PRODUCTS = [
  'adhesive',
  'hotGlue',
  'mountTape',
  'nails',
  'pins',
  'filler',
  'skim',
  'caulk',
  'primer',
  'paint',
  'stain',
  'varnish',
  'shellac',
  'sandpaper',
  'tape',
  'miterGlue',
  'props',
  'panels',
  'paper',
  'mural',
  'dustSheet',
  'mask',
] as const
export type Product = (typeof PRODUCTS)[number]

/** Where caulk goes: on every seam, only where a seam is open, nowhere. */
export const CAULK_RULES = ['every', 'open', 'none'] as const
export type CaulkRule = (typeof CAULK_RULES)[number]

/** What a bead looks like from its end. */
export const BEAD_SHAPES = ['round', 'fillet', 'square'] as const

const rate = (most: number) => z.number().min(0).max(most)

/** How far things go: the crew's own figures. A rate of 0 is kept and told, as nothing can be worked out with it. */
export function spreadSchema(length: LengthSchema) {
  return z.strictObject({
    /** The bead of caulk, and its end's shape. */
    caulkBead: positive(length).default(inches(3 / 16)),
    caulkShape: z.enum(BEAD_SHAPES).default('fillet'),
    /** A bead of adhesive; a dab of it, across and thick, and how far dabs are apart at most. */
    glueBead: positive(length).default(inches(1 / 4)),
    dab: positive(length).default(inches(1)),
    dabThick: positive(length).default(inches(1 / 8)),
    dabsApart: positive(length).default(inches(12)),
    /** Nails: how far apart at most, and from the ends of a piece. */
    nailsApart: positive(length).default(inches(16)),
    nailFromEnd: positive(length).default(inches(2)),
    /** What is added for what stays in the tube, in parts of it. */
    waste: rate(2).default(0.1),
    /** Square feet that a US gallon covers in one coat. */
    paintCover: rate(2_000).default(375),
    primerCover: rate(2_000).default(300),
    stainCover: rate(2_000).default(500),
    varnishCover: rate(2_000).default(450),
    /** Square feet of wall a US gallon of joint compound skims, all coats. */
    skimCover: rate(1_000).default(90),
    /** Square feet a sheet of sandpaper does. */
    paperSheet: rate(1_000).default(20),
    /** Knots in ten feet of softwood. */
    knots: rate(100).default(3),
  })
}
export type Spread = z.output<ReturnType<typeof spreadSchema>>

/** A pack a product is sold in: how much is in it, in the product's own unit, and its price in hundredths. */
function packSchema() {
  return z.strictObject({
    size: z.number().positive().max(1_000_000),
    price: z.number().int().min(0).max(100_000_000).nullable(),
  })
}
export type Pack = z.output<ReturnType<typeof packSchema>>

/** What a product is sold in here, by its key; a product that is not named is sold in the usual packs. */
export function packsSchema() {
  return z.record(z.string().min(1).max(140), z.array(packSchema()).min(1).max(4))
}

/** Written out for settings of before, and for a job's beginning. */
export const USUAL_SPREAD: Spread = {
  caulkBead: inches(3 / 16),
  caulkShape: 'fillet',
  glueBead: inches(1 / 4),
  dab: inches(1),
  dabThick: inches(1 / 8),
  dabsApart: inches(12),
  nailsApart: inches(16),
  nailFromEnd: inches(2),
  waste: 0.1,
  paintCover: 375,
  primerCover: 300,
  stainCover: 500,
  varnishCover: 450,
  skimCover: 90,
  paperSheet: 20,
  knots: 3,
}
