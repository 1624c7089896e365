import { z } from 'zod'
import { inches, ZERO } from '~/length'
import { type LengthSchema, notNegative, positive } from './lengthSchema'
import { LIMITS } from './limits'
import { idSchema } from './material'

/** The sides and corners of what lies inside the frame, and so of the wall where there is none. */
export const FIELD_SIDES = ['left', 'right', 'bottom', 'top'] as const
export type FieldSide = (typeof FIELD_SIDES)[number]
export const FIELD_CORNERS = ['bottomLeft', 'bottomRight', 'topLeft', 'topRight'] as const
export type FieldCorner = (typeof FIELD_CORNERS)[number]

/** A strip that was struck, by its id; or a side of the field. What it names may be gone: then the move says what it misses. */
const lineRef = /*@__PURE__*/ z.string().min(1).max(80)
const degrees = /*@__PURE__*/ z.number().min(-360).max(360)

/** A place along a side or a strip, from its left end (upright: its foot): so far from an end, the middle, the k-th of n marks. */
function alongSchema(length: LengthSchema) {
  return z.discriminatedUnion('by', [
    z.strictObject({
      by: z.literal('distance'),
      from: z.enum(['start', 'end']),
      distance: notNegative(length),
    }),
    z.strictObject({ by: z.literal('middle') }),
    z.strictObject({
      by: z.literal('mark'),
      mark: z.number().int().min(1).max(LIMITS.marksOnStrip),
      of: z.number().int().min(1).max(LIMITS.marksOnStrip),
    }),
  ])
}
export type Along = z.output<ReturnType<typeof alongSchema>>

/** Where a line starts or goes to, by what it hangs on. */
function pointSchema(length: LengthSchema) {
  return z.discriminatedUnion('at', [
    z.strictObject({ at: z.literal('corner'), corner: z.enum(FIELD_CORNERS) }),
    z.strictObject({ at: z.literal('side'), side: z.enum(FIELD_SIDES), along: alongSchema(length) }),
    z.strictObject({
      at: z.literal('strip'),
      strip: lineRef,
      edge: z.enum(['center', 'left', 'right']),
      along: alongSchema(length),
    }),
    z.strictObject({ at: z.literal('crossing'), of: z.tuple([lineRef, lineRef]) }),
    z.strictObject({ at: z.literal('middle') }),
    /** Placed by eye and read back: from the field's left or right end, and up from its foot. */
    z.strictObject({ at: z.literal('free'), from: z.enum(['left', 'right']), across: length, up: length }),
  ])
}
export type LinePoint = z.output<ReturnType<typeof pointSchema>>

/** Which way a line goes: at an angle from level, toward a point (its other edge there, if so asked), square to a strip. */
function headingSchema(length: LengthSchema) {
  return z.discriminatedUnion('to', [
    z.strictObject({ to: z.literal('angle'), deg: degrees }),
    z.strictObject({
      to: z.literal('point'),
      point: pointSchema(length),
      edge: z.enum(['same', 'other']).default('same'),
    }),
    z.strictObject({ to: z.literal('square'), strip: lineRef, side: z.enum(['left', 'right']) }),
  ])
}
export type Heading = z.output<ReturnType<typeof headingSchema>>

/** How far it runs: until it hits a strip or the frame; to the frame across what it meets; to the point; so long. */
function untilSchema(length: LengthSchema) {
  return z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.enum(['hit', 'frame', 'point']) }),
    z.strictObject({ kind: z.literal('length'), length: positive(length) }),
  ])
}
export type Until = z.output<ReturnType<typeof untilSchema>>

const LIES_ON = ['center', 'left', 'right'] as const
/** Where a maker's field is: all of it, or each bay between two uprights. */
const WHERE = ['field', 'bays'] as const

/** The moves, each by its kind. `material` null is the pattern's own stuff. */
function moveShapes(length: LengthSchema) {
  const base = { id: idSchema, on: z.boolean().default(true), material: idSchema.nullable().default(null) }
  const clear = notNegative(length)
  return [
    z.strictObject({
      ...base,
      kind: z.literal('strike'),
      from: pointSchema(length),
      heading: headingSchema(length),
      until: untilSchema(length),
      lies: z.enum(LIES_ON).default('center'),
    }),
    /** Parallel to all strips of another move, so far clear square to them; null is to the edge. */
    z.strictObject({
      ...base,
      kind: z.literal('repeat'),
      of: idSchema,
      clear,
      side: z.enum(['left', 'right', 'both']),
      times: z.number().int().min(1).max(LIMITS.lines).nullable(),
    }),
    z.strictObject({
      ...base,
      kind: z.literal('mirror'),
      of: z.array(idSchema).min(1).max(LIMITS.moves),
      about: z.discriminatedUnion('line', [
        z.strictObject({ line: z.enum(['upright', 'level']) }),
        z.strictObject({ line: z.literal('strip'), strip: lineRef }),
      ]),
    }),
    z.strictObject({
      ...base,
      kind: z.literal('fan'),
      from: pointSchema(length),
      firstDeg: degrees,
      stepDeg: degrees,
      rays: z.number().int().min(1).max(180),
      /** Their ends stay so far from the point, square; where it is nothing they run into one another. */
      inner: clear,
    }),
    z.strictObject({
      ...base,
      kind: z.literal('branch'),
      off: lineRef,
      along: alongSchema(length),
      side: z.enum(['left', 'right', 'both']),
      /** From the strip's own direction, turned to the side it goes off: 90 is square. */
      deg: z.number().gt(0).lt(180),
      until: untilSchema(length),
    }),
    z.strictObject({
      ...base,
      kind: z.literal('divide'),
      of: lineRef,
      by: z.discriminatedUnion('how', [
        z.strictObject({ how: z.literal('parts'), parts: z.number().int().min(2).max(LIMITS.marksOnStrip) }),
        z.strictObject({ how: z.literal('wish'), wish: positive(length) }),
      ]),
      side: z.enum(['left', 'right', 'both']),
      deg: z.number().gt(0).lt(180),
      until: untilSchema(length),
    }),
    z.strictObject({
      ...base,
      kind: z.literal('diagonals'),
      deg: degrees,
      clear,
      /** The first one's center line or lower edge runs from the lower corner; or the corner lies half way between two. */
      start: z.enum(['center', 'edge', 'half']),
      where: z.enum(WHERE).default('field'),
    }),
    z.strictObject({
      ...base,
      kind: z.literal('chevron'),
      slope: z.discriminatedUnion('by', [
        z.strictObject({ by: z.literal('rise'), rise: positive(length) }),
        z.strictObject({ by: z.literal('angle'), deg: z.number().gt(0).lt(90) }),
      ]),
      clear,
      hand: z.enum(['alternating', 'same']),
      /** Which way the first bay rises. */
      first: z.enum(['up', 'down']).default('up'),
      /** A band's lower edge starts in the corner, or the corner lies half a band off. */
      start: z.enum(['edge', 'half']),
      /** So many from the corner up; null fills the bay. */
      bands: z.number().int().min(1).max(LIMITS.lines).nullable(),
    }),
    z.strictObject({
      ...base,
      kind: z.literal('corners'),
      corners: z.array(z.enum(FIELD_CORNERS)).min(1).max(4),
      /** The first stands so far off the sides. */
      first: clear,
      clear,
      count: z.number().int().min(1).max(200),
      where: z.enum(WHERE).default('field'),
    }),
    z.strictObject({
      ...base,
      kind: z.literal('diamonds'),
      clear,
      count: z.number().int().min(1).max(200).nullable(),
      where: z.enum(WHERE).default('field'),
    }),
    z.strictObject({
      ...base,
      kind: z.literal('lattice'),
      deg: z.number().gt(0).lt(90),
      clear,
      start: z.enum(['center', 'edge', 'half']),
      where: z.enum(WHERE).default('field'),
    }),
    z.strictObject({
      ...base,
      kind: z.literal('herringbone'),
      length: positive(length),
      clear,
      deg: z.number().min(0).lt(90).default(45),
      where: z.enum(WHERE).default('field'),
    }),
    z.strictObject({
      ...base,
      kind: z.literal('sunburst'),
      side: z.enum(FIELD_SIDES),
      rays: z.number().int().min(1).max(90),
      inner: clear,
      where: z.enum(WHERE).default('field'),
    }),
  ] as const
}

/** A design in lines: frame and uprights stand in the pattern's other options; here what is struck between them, in order. */
export function linesSchema(length: LengthSchema) {
  return z.strictObject({
    /** Uprights by the pattern's spacing, before all moves. */
    uprights: z.boolean(),
    moves: z.array(z.discriminatedUnion('kind', moveShapes(length))).max(LIMITS.moves),
    /** Where two strips cross otherwise than that the earlier runs through: by the ids of both. */
    crossings: z
      .array(
        z.strictObject({ a: lineRef, b: lineRef, through: z.enum(['a', 'b', 'miter', 'aOver', 'bOver']) }),
      )
      .max(LIMITS.lines)
      .default([]),
    /** Strips left out, by their ids. */
    off: z.array(lineRef).max(LIMITS.lines).default([]),
    /** All that does not hang on a strip moved along the foot of the field, and up. */
    nudge: z.strictObject({ along: length, up: length }).default({ along: ZERO, up: ZERO }),
  })
}
export type Lines = z.output<ReturnType<typeof linesSchema>>
export type Move = Lines['moves'][number]
export type MoveKind = Move['kind']
export type MoveOf<K extends MoveKind> = Extract<Move, { readonly kind: K }>

/** Written out, as a page that only reads designs needs no schema; a test holds it to the schema. */
export const MOVE_KINDS = [
  'strike',
  'repeat',
  'mirror',
  'fan',
  'branch',
  'divide',
  'diagonals',
  'chevron',
  'corners',
  'diamonds',
  'lattice',
  'herringbone',
  'sunburst',
] as const satisfies readonly MoveKind[]

/** What a wall that is turned to lines starts with: diagonals that can be changed. Common practice, no source. */
export const STARTING_LINES: Lines = {
  uprights: false,
  moves: [
    {
      id: 'm1',
      on: true,
      material: null,
      kind: 'diagonals',
      deg: 45,
      clear: inches(10),
      start: 'center',
      where: 'field',
    },
  ],
  crossings: [],
  off: [],
  nudge: { along: ZERO, up: ZERO },
}
