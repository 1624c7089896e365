import { z } from 'zod'
import { backerSchema } from './backer'
import { companionsSchema, NO_COMPANIONS } from './companions'
import { FLAT_WAYS } from './flatness'
import { LIMITS } from './limits'
import type { Lines } from './lines'
import { ZERO } from '~/length'
import { type LengthSchema, notNegative, positive, storedLength } from './lengthSchema'
import { idSchema } from './material'
import { NO_PAINT, wallPaintSchema } from './paint'
import {
  type Boxes,
  CORNER_ENDS,
  type HEIGHT_RULES,
  judgementSchema,
  type Pattern,
  PATTERNS,
  railSchema,
  STARTING_JUDGEMENT,
} from './pattern'
import { spacingSchema } from './spacing'
import { STOCK_LIST } from './stockList'
import {
  type GridOptions,
  OPTION_KEYS,
  patternsSchema,
  type PlainOptions,
  startingOptions,
  type UprightOptions,
} from './patternOptions'

/** How rails take a floor that falls. */
export const LEVEL_RULES = ['level', 'floor', 'ceiling', 'split'] as const
export type LevelRule = (typeof LEVEL_RULES)[number]

/** Ways of dealing with a batten thicker than its neighbor; those that change other things are edits of their own. */
const PROUD_WAYS = ['leave', 'backBevel', 'ledger'] as const

/** What is done about the space behind a stile at an end of the wall that leans away from it. */
export const SIDE_WAYS = ['caulk', 'scribe', 'rip'] as const
export type SideWay = (typeof SIDE_WAYS)[number]

/** Where full-height uprights end under a ceiling that is not level: each at the ceiling as measured, or all at its lowest. */
export const TOPS = ['ceiling', 'level'] as const

/** How a run longer than the boards is joined: scarfed or butted; mitered across the face at 45 or at 22 1/2 degrees. */
export const RAIL_JOINTS = ['scarf', 'butt', 'miter', 'miterHalf'] as const
export type RailJoint = (typeof RAIL_JOINTS)[number]

/** How one run is joined: as the wall's runs are, in its own way, or not at all. */
const RUN_JOINTS = ['asWall', ...RAIL_JOINTS, 'none'] as const
export type RunJoint = (typeof RUN_JOINTS)[number]

/** Ways of fixing a strip. */
export const FIXINGS = [
  'nails',
  'nailsAndGlue',
  'dabs',
  'crossedNails',
  'pinsAndGlue',
  'adhesiveOnly',
  'hotGlue',
  'removable',
] as const
export type Fixing = (typeof FIXINGS)[number]

/** What holds whatever the pattern: horizontals of their own, what runs through, how things are joined and fixed. */
function frameShape(length: LengthSchema) {
  return {
    /** More horizontals: mid rails, chair rail, picture rail, shelves. */
    rails: z.array(railSchema(length)).max(LIMITS.rails).default([]),
    /** Which members run through where uprights and rails cross; `byStock` lets the longest board decide, `lapped` halves both over one another. */
    through: z.enum(['uprights', 'rails', 'byStock', 'lapped']).default('byStock'),
    /** How a rail longer than the boards is joined. */
    railJoint: z.enum(RAIL_JOINTS),
    /** What is done where battens are thicker than the trim they stand on or end at. */
    proud: z.enum(PROUD_WAYS).default('leave'),
    fixing: z.enum(['proposed', ...FIXINGS]).default('proposed'),
    /** What is done where the wall is not flat behind a strip. */
    unflat: z.enum(['proposed', ...FLAT_WAYS]).default('proposed'),
    /** What is painted in what. */
    paint: wallPaintSchema(length).default(NO_PAINT),
  }
}

/** What was picked by hand in the sections of this wall, for one pattern. */
function placedShape(length: LengthSchema) {
  return {
    /** What one section has of its own, by the section's id: its count of strips (of boxes), its shift. */
    sectionOwn: z
      .record(
        z.string().max(140),
        z.strictObject({
          strips: z.number().int().min(1).max(LIMITS.strips).nullable(),
          shift: length,
          /** Where each strip (each box) stands, from the section's left end, whatever the school says: the wall as it was built. */
          places: z
            .array(z.strictObject({ left: length, right: length }))
            .min(1)
            .max(LIMITS.strips)
            .optional(),
        }),
      )
      .default({}),
    /** All strips moved along the wall from where the school puts them; to the right where positive. */
    shift: length.default(ZERO),
    /** Schools the spacing had before, each as it was left with its shift, the last left first: the way back to them. */
    schools: z
      .array(z.strictObject({ spacing: spacingSchema(length), shift: length }))
      .max(LIMITS.schools)
      .default([]),
    /** Strips ripped to width that take up what is left between the layout and the wall at its two ends; 0 at an end without. */
    fillers: z
      .strictObject({ left: notNegative(length), right: notNegative(length) })
      .nullable()
      .default(null),
  }
}

/** What belongs to this wall alone, and goes to no other with a layout that is copied. */
function ownShape(length: LengthSchema) {
  return {
    /** The part of the wall that is covered, from the left corner; null is all of it. */
    extent: z
      .strictObject({ left: notNegative(length), right: positive(length) })
      .nullable()
      .default(null),
    /** How horizontals end at the two corners of the room. */
    corners: z
      .strictObject({ left: z.enum(CORNER_ENDS), right: z.enum(CORNER_ENDS) })
      .default({ left: 'run', right: 'run' }),
    /** How the strips meet a thing on the wall, by the thing's id; otherwise they end at it. */
    meets: z.record(idSchema, z.enum(['notch', 'clear'])).default({}),
    /** What a falling floor does to the rails: dead level, along the floor, along the ceiling, half way. */
    levelRule: z.enum(LEVEL_RULES).default('level'),
    /** Where uprights of full height end. */
    tops: z.enum(TOPS).default('ceiling'),
    /** What is done behind a stile that stands at an end of the wall. */
    sides: z
      .strictObject({ left: z.enum(SIDE_WAYS), right: z.enum(SIDE_WAYS) })
      .default({ left: 'caulk', right: 'caulk' }),
    /** Pieces shorter than they are wide, or than an inch: cut, or left out. */
    smallPieces: z.enum(['cut', 'leaveOut']).default('cut'),
    /** Its counts stay as they are when the walls of the room are matched. */
    locked: z.boolean().default(false),
    /** Left out of matching and of the order of fitting: the room's other walls are settled without it. */
    apart: z.boolean().default(false),
    judgement: judgementSchema(length).default(STARTING_JUDGEMENT),
    /**
     * What was said of the joints of one run, by its strip's id: its kind, and where its joints lie, along the run's own direction
     * from the wall's origin (for a level run from the left corner). No places: they go by rule.
     */
    joints: z
      .record(
        z.string().min(1).max(140),
        z.strictObject({ joint: z.enum(RUN_JOINTS), at: z.array(length).max(LIMITS.joints) }),
      )
      .default({}),
    /** A skin of sheets under the trim. */
    backer: backerSchema(length).nullable().default(null),
    /** What goes on the wall besides the trim. */
    companions: companionsSchema(length).default(NO_COMPANIONS),
  }
}

/** What the trim on one wall is to be: what each pattern that was ever chosen has, the frame, and the wall's own. */
export function designSchema(length: LengthSchema) {
  const placed = z.strictObject(placedShape(length)).optional()
  return z
    .strictObject({
      version: z.literal(2),
      pattern: z.enum(PATTERNS),
      patterns: patternsSchema(length),
      frame: z.strictObject(frameShape(length)),
      own: z.strictObject({
        ...ownShape(length),
        placed: z
          .strictObject({
            battens: placed,
            grid: placed,
            boxes: placed,
            slats: placed,
            lines: placed,
            rails: placed,
          } satisfies Record<Pattern, typeof placed>)
          .default({}),
      }),
    })
    .refine(({ pattern, patterns }) => patterns[pattern] !== undefined, {
      path: ['patterns'],
      params: { problem: 'noOptions' },
    })
}

/** The stored form. */
export const storedDesign = /*@__PURE__*/ designSchema(storedLength)

/** A design as stored. */
export type DesignDocument = z.output<typeof storedDesign>
type Frame = DesignDocument['frame']
type Own = Omit<DesignDocument['own'], 'placed'>
type Placed = NonNullable<DesignDocument['own']['placed'][Pattern]>

/** The design in force: what the wall's pattern has, the frame and the wall's own, side by side. A view of the document. */
export interface Design extends UprightOptions, Pick<GridOptions, 'border' | 'rows'>, Frame, Own, Placed {
  readonly pattern: Pattern
  readonly boxes: Boxes
  readonly lines: Lines
}
export type HeightRule = (typeof HEIGHT_RULES)[number]

// written out, so that a page that only reads designs needs no schema; a test holds them to it
/** What of a design is the frame's, the wall's own, and placed by hand. */
export const FRAME_KEYS = [
  'rails',
  'through',
  'railJoint',
  'proud',
  'fixing',
  'unflat',
  'paint',
] as const satisfies (keyof Frame)[]
export const OWN_KEYS = [
  'extent',
  'corners',
  'meets',
  'levelRule',
  'tops',
  'sides',
  'smallPieces',
  'locked',
  'apart',
  'judgement',
  'joints',
  'backer',
  'companions',
] as const satisfies (keyof Own)[]
export const PLACED_KEYS = ['sectionOwn', 'shift', 'schools', 'fillers'] as const satisfies (keyof Placed)[]
const NOTHING_PLACED: Placed = { sectionOwn: {}, shift: ZERO, schools: [], fillers: null }

const views = new WeakMap<DesignDocument, Design>()

/** What of a design is in force. The same view for the same document. */
export function inForce(document: DesignDocument): Design {
  const known = views.get(document)
  if (known) return known
  const { pattern, patterns, frame, own } = document
  const { placed, ...others } = own
  const view: Design = {
    ...startingOptions(),
    ...patterns[pattern],
    ...frame,
    ...others,
    ...(placed[pattern] ?? NOTHING_PLACED),
    pattern,
  }
  views.set(document, view)
  return view
}

function picked<K extends keyof Design>(from: Partial<Design>, keys: readonly K[]): Pick<Design, K> {
  const entries = keys.flatMap((key) => (from[key] === undefined ? [] : [[key, from[key]]]))
  return Object.fromEntries(entries) as Pick<Design, K>
}

/**
 * The document with a change of what is in force. A pattern in force for the first time starts from what was; what a
 * patch says of other patterns is left out.
 */
export function withDesign(document: DesignDocument, patch: Partial<Design>): DesignDocument {
  const pattern = patch.pattern ?? document.pattern
  const keys = OPTION_KEYS[pattern]
  const { placed, ...own } = document.own
  const options: PlainOptions = {
    ...(document.patterns[pattern] ?? picked(inForce(document), keys)),
    ...picked(patch, keys),
  }
  const placing = picked(patch, PLACED_KEYS)
  return {
    ...document,
    pattern,
    patterns: { ...document.patterns, [pattern]: options },
    frame: { ...document.frame, ...picked(patch, FRAME_KEYS) },
    own: {
      ...own,
      ...picked(patch, OWN_KEYS),
      placed:
        Object.keys(placing).length === 0
          ? placed
          : { ...placed, [pattern]: { ...NOTHING_PLACED, ...placed[pattern], ...placing } },
    },
  }
}

/** What of a design is no one wall's: its pattern, that pattern's options, the frame. What goes with a copied layout. */
export function sharedOf(design: Design): Partial<Design> {
  const { stand, ...options } = picked(design, OPTION_KEYS[design.pattern])
  return {
    pattern: design.pattern,
    ...options,
    // how far this wall's uprights lean is measured on this wall
    ...(stand && stand.kind !== 'own' ? { stand } : {}),
    ...picked(design, FRAME_KEYS),
  }
}

/**
 * Where a new wall starts: 1x3 battens on 1x4 rails, two thirds up, gaps near 16 in. In a job without that stuff, of the
 * first that it has.
 */
export function startingDesign(materials: readonly { readonly id: string }[] = STOCK_LIST): DesignDocument {
  const { battenMaterial, spacing, sections, stand, foot, topRail, cap, height } = startingOptions((id) =>
    materials.some((each) => each.id === id) ? id : (materials[0]?.id ?? id),
  )
  return {
    version: 2,
    pattern: 'battens',
    patterns: { battens: { battenMaterial, spacing, sections, stand, foot, topRail, cap, height } },
    frame: {
      rails: [],
      through: 'byStock',
      railJoint: 'scarf',
      proud: 'leave',
      fixing: 'proposed',
      unflat: 'proposed',
      paint: NO_PAINT,
    },
    own: {
      extent: null,
      corners: { left: 'run', right: 'run' },
      meets: {},
      levelRule: 'level',
      tops: 'ceiling',
      sides: { left: 'caulk', right: 'caulk' },
      smallPieces: 'cut',
      locked: false,
      apart: false,
      judgement: STARTING_JUDGEMENT,
      joints: {},
      backer: null,
      companions: NO_COMPANIONS,
      placed: {},
    },
  }
}
