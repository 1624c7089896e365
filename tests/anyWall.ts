import fc from 'fast-check'
import { inches, toInches } from '~/length'
import {
  CORNER_ENDS,
  COVERINGS,
  type Design,
  ENDS,
  FLOOR_WHEN,
  inForce,
  LEVEL_RULES,
  LIES,
  type Reading,
  type Spacing,
  type Stand,
  STARTING_BOXES,
  STARTING_JUDGEMENT,
  type Thing,
  withDesign,
  type Workpiece,
} from '~/model'
import { anyLines, inLines } from './anyLines'
import { anyAtSaw, atSaw } from './anyAtSaw'
import { keptBase, reading, thing, wallOf } from './namedWalls'

/** How often a law is tried: `LAWS=10 npx jest ...` tries it ten times as often, for a hard look. */
export function runs(times: number): number {
  return Math.ceil(times * Number(process.env.LAWS ?? 1))
}

/** How many cases a law has met at least, so that it is not passed by trying nothing; none are asked for where it is tried less often. */
export function met(times: number): number {
  return Number(process.env.LAWS ?? 1) < 1 ? -1 : times
}

/** Inches on the eighth. */
export const eighths = (least: number, most: number) =>
  fc.integer({ min: Math.ceil(least * 8), max: Math.floor(most * 8) }).map((n) => n / 8)
const pick = fc.constantFrom

const anySpacing: fc.Arbitrary<Spacing> = fc
  .record({
    school: pick('nearWish', 'equalByCount', 'fromCenter', 'fromEnd', 'centerMarks', 'toStuds'),
    wish: eighths(5, 30).map(inches),
    measure: pick('gap', 'pitch'),
    ends: pick(...ENDS),
    strips: fc.integer({ min: 2, max: 9 }),
    on: pick('strip', 'gap'),
    end: pick('left', 'right'),
    about: pick(null, 'thing-0'),
  })
  .map(({ school, wish, measure, ends, strips, on, end, about }): Spacing => {
    switch (school) {
      case 'nearWish':
        return { school, wish, measure, least: inches(1), most: inches(90), ends, strips: null }
      case 'equalByCount':
        return { school, strips, ends }
      case 'fromCenter':
        return { school, wish, measure, centerOn: on, about }
      case 'fromEnd':
        return { school, wish, measure, end, startWith: on }
      case 'centerMarks':
        return { school, bays: strips }
      case 'toStuds':
        return { school, every: 1 + (strips % 3) }
    }
  })

/** What stands on a wall of so many inches: at most one opening, plates and trim that are kept or cut round, a slope. */
const anyThings = (width: number): fc.Arbitrary<Thing[]> =>
  fc
    .record({
      opening: pick(null, 'window', 'door'),
      openingAt: fc.double({ min: 0.05, max: 0.6, noNaN: true }),
      plates: fc.array(
        fc.record({
          at: eighths(2, width - 5),
          up: eighths(1, 76),
          wide: pick(2.75, 4.5),
          fate: pick('keep', 'cutRound'),
        }),
        { maxLength: 3 },
      ),
      trim: pick(null, 'sideTrim', 'ledge'),
      trimAt: eighths(0, width - 8),
      trimFate: pick('keep', 'cutRound'),
      slope: pick(null, null, 'attic', 'notch'),
    })
    .map(({ opening, openingAt, plates, trim, trimAt, trimFate, slope }) => {
      const at = Math.round(width * openingAt * 8) / 8
      return [
        ...(opening === 'window' ? [thing('window', at, 31, 26, 37, { casing: inches(2.5) })] : []),
        ...(opening === 'door' ? [thing('door', at, 0, 30, 80, { casing: inches(2.5) })] : []),
        ...plates.map(({ at: left, up, wide, fate }) => thing('outlet', left, up, wide, 4.5, { fate })),
        ...(trim === 'sideTrim' ? [thing('sideTrim', trimAt, 8, 1, 47.5, { fate: trimFate })] : []),
        ...(trim === 'ledge' ? [thing('ledge', trimAt, 20, 7, 3, { fate: trimFate })] : []),
        ...(slope === 'attic'
          ? [thing('cutOff', width - 40, 44, 40, 60, { slope: 'risesLeft' as const })]
          : []),
        ...(slope === 'notch' ? [thing('cutOff', 0, 60, 14, 40)] : []),
      ].map((each, i) => ({ ...each, id: `thing-${i}` }))
    })

const anyReadings = (width: number, height: number): fc.Arbitrary<Reading[]> =>
  fc
    .record({
      widths: fc.array(eighths(-0.5, 0.5), { maxLength: 2 }),
      lean: fc.option(eighths(-0.5, 0.5), { nil: null }),
      leanRight: fc.option(eighths(-0.5, 0.5), { nil: null }),
      falls: fc.array(eighths(-0.5, 0.75), { maxLength: 2 }),
      heights: fc.array(eighths(-0.5, 0.5), { maxLength: 2 }),
      ceiling: fc.option(eighths(-0.5, 0.5), { nil: null }),
    })
    .map(({ widths, lean, leanRight, falls, heights, ceiling }) => [
      ...widths.map((off, i) => reading('width', 10 + 60 * i, width + off)),
      ...(lean === null ? [] : [reading('plumbLeft', 80, lean)]),
      ...(leanRight === null ? [] : [reading('plumbRight', 80, leanRight)]),
      ...falls.map((fall, i) => reading('floorFall', Math.round(width * (0.45 + 0.5 * i)), fall)),
      ...heights.map((off, i) => reading('height', Math.round(width * (0.2 + 0.6 * i)), height + off)),
      ...(ceiling === null ? [] : [reading('ceilingFall', width, ceiling)]),
    ])

const anyDesign = (width: number, height: number): fc.Arbitrary<Partial<Design>> =>
  fc
    .record({
      pattern: pick('battens', 'grid', 'boxes', 'slats', 'rails'),
      spacing: anySpacing,
      topRail: fc.boolean(),
      cap: pick(null, 'flat', 'edge'),
      top: fc.oneof(
        eighths(20, height - 6).map((value) => ({ rule: 'typed' as const, value: inches(value) })),
        fc.constant({ rule: 'full' as const }),
      ),
      foot: pick('rail', 'floor'),
      rails: fc.array(fc.record({ top: eighths(3, height - 2), lay: pick('flat', 'edge') }), {
        maxLength: 2,
      }),
      sections: pick('across', 'beside'),
      through: pick('uprights', 'rails', 'byStock'),
      border: pick('none', 'butt', 'miter'),
      rows: fc.array(pick(1, 1.5, 2), { minLength: 1, maxLength: 3 }),
      margin: eighths(2, 6),
      upper: fc.boolean(),
      extent: fc.option(fc.record({ left: eighths(0, width / 3), right: eighths(width / 2, width) }), {
        nil: null,
      }),
      shift: pick(0, 0, 1.25, -2),
      levelRule: pick(...LEVEL_RULES),
      corners: fc.record({ left: pick(...CORNER_ENDS), right: pick(...CORNER_ENDS) }),
      meets: pick({}, {}, { 'thing-0': 'notch' as const }, { 'thing-1': 'clear' as const }),
      proud: pick('leave', 'backBevel', 'ledger'),
      differ: pick(0, 0.5),
    })
    .map(
      ({ topRail, cap, top, foot, rails, margin, upper, extent, shift, pattern, differ, ...same }) =>
        ({
          ...same,
          pattern,
          battenMaterial: 'pine-1x3',
          topRail: topRail && pattern !== 'grid' ? { material: 'pine-1x4' } : null,
          cap: cap && topRail ? { material: 'pine-1x2', lay: cap } : null,
          height: top,
          foot: foot === 'rail' ? { kind: 'rail', material: 'pine-1x4' } : { kind: 'floor' },
          rails: rails.map(({ top: at, lay }, i) => ({
            id: `rail-${i + 1}`,
            use: 'rail',
            material: 'pine-1x3',
            lay,
            top: { rule: 'typed', value: inches(at) },
          })),
          boxes: { ...STARTING_BOXES, margin: inches(margin), upper, least: inches(4), most: inches(90) },
          extent: extent && { left: inches(extent.left), right: inches(extent.right) },
          shift: inches(shift),
          judgement: { ...STARTING_JUDGEMENT, shiftUpTo: inches(1), baysDiffer: inches(differ) },
        }) as Partial<Design>,
    )

/** A wall on which features meet: every pattern and school, readings, plates cut round, borders, extents, shifts. */
export const anyPlainMeeting: fc.Arbitrary<Workpiece> = fc
  .record({
    width: eighths(60, 220),
    height: eighths(86, 104),
    base: fc.option(eighths(3, 6), { nil: null }),
  })
  .chain(({ width, height, base }) =>
    fc
      .record({
        things: anyThings(width),
        readings: anyReadings(width, height),
        design: anyDesign(width, height),
        studs: fc.boolean(),
        keepOut: fc.option(eighths(0, width - 10), { nil: null }),
      })
      .map(({ things, readings, design, studs, keepOut }) =>
        wallOf(
          {
            width: inches(width),
            height: inches(height),
            baseboard: base === null ? null : keptBase(base),
            things,
            readings,
            behind: {
              studs: studs
                ? Array.from({ length: Math.floor(width / 16) }, (_, i) => inches(15 + 16 * i))
                : [],
              wallboard: inches(0.5),
              keepOuts:
                keepOut === null
                  ? []
                  : [
                      {
                        id: 'k',
                        left: inches(keepOut),
                        bottom: inches(20),
                        width: inches(6),
                        height: inches(50),
                      },
                    ],
            },
          },
          {
            ...design,
            foot:
              base !== null && design.foot?.kind === 'floor' ? { kind: 'baseboard' } : (design.foot as never),
          },
        ),
      ),
  )

/** What an old house has besides: hollows, heat, a floor to come, trim that goes back, uprights that lean, shelves on brackets. */
const anyOldHouse = fc.record({
  stand: fc.oneof(
    fc.record({ kind: pick('plumb', 'square', 'left', 'right') }),
    fc.record({
      kind: fc.constant('own'),
      left: eighths(-1, 1).map(inches),
      right: eighths(-1, 1).map(inches),
    }),
  ),
  flatness: fc.array(
    fc.record({
      id: fc.uuid().map((id) => `flat-${id}`),
      x: eighths(5, 150).map(inches),
      y: eighths(5, 90).map(inches),
      lie: pick(...LIES),
      length: eighths(18, 80).map(inches),
      gap: eighths(0.125, 0.75).map(inches),
      shape: pick('hollow', 'belly'),
    }),
    { maxLength: 3 },
  ),
  floorToCome: fc.option(
    fc.record({
      covering: pick(...COVERINGS),
      build: eighths(0.25, 2).map(inches),
      when: pick(...FLOOR_WHEN),
    }),
    { nil: null },
  ),
  heat: pick(null, 'fireplace', 'radiator', 'chimneyBreast'),
  heatAt: fc.double({ min: 0.05, max: 0.5, noNaN: true }),
  back: pick(null, 'sideTrim', 'chairRail'),
  backAt: fc.double({ min: 0, max: 0.8, noNaN: true }),
  ledge: fc.option(
    fc.record({
      depth: pick(null, inches(1.25)),
      past: eighths(0, 1.5).map(inches),
      ends: pick('square', 'returned'),
      brackets: pick(null, { arm: inches(2), every: 2 }),
    }),
    { nil: null },
  ),
  miteredHead: fc.boolean(),
})

/** A wall on which everything stands at once, in an old house. */
export const anyOldWall: fc.Arbitrary<Workpiece> = fc
  .tuple(anyPlainMeeting, anyOldHouse)
  .map(([workpiece, { stand, flatness, floorToCome, heat, heatAt, back, backAt, ledge, miteredHead }]) => {
    const { survey } = workpiece.wall
    const wide = toInches(survey.width)
    const at = (part: number) => Math.round(wide * part * 8) / 8
    const design = inForce(workpiece.wall.design)
    const things: Thing[] = [
      ...survey.things,
      ...(heat === 'chimneyBreast'
        ? [thing('chimneyBreast', at(heatAt), 0, 30, toInches(survey.height))]
        : heat
          ? [thing(heat, at(heatAt), heat === 'radiator' ? 4 : 0, 26, 24)]
          : []),
      ...(back === 'sideTrim' ? [thing('sideTrim', at(backAt), 6, 1.25, 70, { fate: 'goesBack' })] : []),
      ...(back === 'chairRail' ? [thing('chairRail', at(backAt), 33, 20, 2, { fate: 'goesBack' })] : []),
    ]
    const withLedge = ledge && design.cap?.lay === 'flat' ? { cap: { ...design.cap, ledge } } : {}
    return {
      ...workpiece,
      wall: {
        survey: {
          ...survey,
          things: things.map((each, i) => ({ ...each, id: `thing-${i}` })),
          flatness,
          floorToCome,
        },
        design: withDesign(workpiece.wall.design, {
          stand: stand as Stand,
          ...(miteredHead && design.pattern === 'grid' ? { border: 'threeSidedMiter' as const } : {}),
          rails: design.rails.map((rail) => (ledge && rail.lay === 'flat' ? { ...rail, ledge } : rail)),
          ...withLedge,
        }),
      },
    }
  })

/** A wall in lines, on which all of that stands as well. */
export const anyLineWall: fc.Arbitrary<Workpiece> = fc
  .tuple(fc.oneof(anyPlainMeeting, anyOldWall), anyLines)
  .map(([workpiece, lines]) => inLines(workpiece, lines))

/** Any of them, as a law should hold for all. Walls in lines are looked at by laws of their own as well, and take longest. */
export const anyMeetingWall: fc.Arbitrary<Workpiece> = fc.oneof(
  { weight: 5, arbitrary: anyPlainMeeting },
  { weight: 3, arbitrary: anyOldWall },
  {
    weight: 2,
    arbitrary: fc
      .tuple(fc.oneof(anyPlainMeeting, anyOldWall), anyAtSaw)
      .map(([wall, said]) => atSaw(wall, said)),
  },
  { weight: 1, arbitrary: anyLineWall },
)

/** A wall on which everything stands at once, with a grid whose border has no rail at its foot. */
export const anyThreeSidedGrid = anyMeetingWall.map((workpiece) => {
  const { design } = workpiece.wall
  const border = { pattern: 'grid', border: 'threeSided', topRail: null, cap: null } as const
  return { ...workpiece, wall: { ...workpiece.wall, design: withDesign(design, border) } }
})
