import { inches } from '~/length'
import {
  type Design,
  type Move,
  QUARTER_ROUND,
  STARTING_BOXES,
  type Survey,
  type Thing,
  usualSheets,
  type Workpiece,
} from '~/model'
import { stairThings } from '~/core/survey/stair'
import { lineWall, STRIP } from './lineWalls'
import { keptBase, reading, thing, wallOf } from './namedWalls'

const typed = (value: number) => ({ rule: 'typed' as const, value: inches(value) })
const count = (strips: number, ends: 'gap' | 'strip' | 'half' = 'gap') =>
  ({ school: 'equalByCount', strips, ends }) as const
const boxes = (more: Partial<Design> = {}): Partial<Design> => ({
  pattern: 'boxes',
  topRail: { material: 'chair-rail' },
  height: typed(35),
  boxes: { ...STARTING_BOXES, wish: inches(22), least: inches(10), most: inches(40) },
  ...more,
})
const grid = (more: Partial<Design> = {}): Partial<Design> => ({
  pattern: 'grid',
  foot: { kind: 'floor' },
  topRail: null,
  height: typed(70),
  rows: [1, 1],
  border: 'butt',
  spacing: count(5, 'strip'),
  ...more,
})
const stairUp = (
  rises: 'left' | 'right',
  more: Partial<Parameters<typeof stairThings>[0]> = {},
): Partial<Survey> => {
  const size = { width: inches(171), height: inches(151) }
  const made = stairThings(
    {
      from: inches(29),
      to: inches(134),
      rises,
      rise: { by: 'heights', low: inches(0), high: inches(77) },
      landing: { low: false, high: true },
      skirt: { height: inches(2.75), thickness: inches(0.625) },
      ...more,
    },
    size,
  )
  if (!made.ok) throw new Error(made.issue.code)
  return { ...size, things: made.value }
}
const chevron: Extract<Move, { kind: 'chevron' }> = {
  id: 'm1',
  on: true,
  material: STRIP,
  kind: 'chevron',
  slope: { by: 'angle', deg: 37 },
  clear: inches(8),
  hand: 'alternating',
  first: 'down',
  start: 'edge',
  bands: null,
}
const leaning = (left: number, right: number): Partial<Survey> => ({
  readings: [
    reading('width', 0, 131),
    reading('plumbLeft', 80, left),
    reading('plumbRight', 80, right),
    reading('height', 3, 95),
    reading('height', 128, 95),
  ],
})
const heat = (kind: 'radiator' | 'stove', more: Partial<Thing> = {}) =>
  thing(kind, 47, 7, 38, 21, { clear: inches(2), ...more })
const outlets = Array.from({ length: 15 }, (_, i) =>
  thing('outlet', 4 + i * 8.25, 13 + (i % 3) * 9, 2.75, 4.5),
)
const railAt = (top: number, material: string): Design['rails'][number] => ({
  id: `rail-${top}`,
  use: 'rail',
  material,
  lay: 'edge',
  top: typed(top),
})
const plies = usualSheets(inches(1 / 4))
const [ply] = plies

/** Walls on which two features meet: stairs, leaning ends with stiles, boxes beside what is kept clear, slips of measuring. */
export const MEETING_WALLS: Readonly<Record<string, Workpiece>> = {
  stairRisesLeft: wallOf(stairUp('left'), boxes({ levelRule: 'floor' })),
  stairWithLandings: wallOf(
    stairUp('right', {
      rise: { by: 'heights', low: inches(9), high: inches(80) },
      landing: { low: true, high: true },
      skirt: null,
    }),
    { height: typed(33), rails: [railAt(20, 'pine-1x3')], spacing: count(8) },
  ),
  stairSkirtThin: wallOf(
    { ...stairUp('right', { landing: { low: false, high: false } }), baseboard: keptBase(4.5) },
    boxes({ levelRule: 'floor', foot: { kind: 'baseboard' }, boxes: { ...STARTING_BOXES, upper: true } }),
  ),
  stilesRipped: wallOf(leaning(0.5, 0.375), grid({ sides: { left: 'rip', right: 'rip' } })),
  stilesScribed: wallOf(leaning(-0.5, -0.25), grid({ sides: { left: 'scribe', right: 'scribe' } })),
  stilesCaulked: wallOf(leaning(0.1875, 0.75), grid({ sides: { left: 'caulk', right: 'caulk' } })),
  // no board of the job is wide enough for it
  stilesNoStock: wallOf(
    leaning(0.75, 1),
    grid({ battenMaterial: 'pine-1x6', sides: { left: 'rip', right: 'scribe' }, spacing: count(4, 'strip') }),
  ),
  fillersLean: wallOf(leaning(0.25, 0.5), {
    fillers: { left: inches(3), right: inches(2.5) },
    height: { rule: 'full' },
    foot: { kind: 'floor' },
    topRail: null,
    spacing: count(6),
  }),
  boxesByHeat: wallOf(
    { baseboard: keptBase(5), things: [heat('radiator')] },
    boxes({ foot: { kind: 'baseboard' } }),
  ),
  boxesByStove: wallOf({ things: [heat('stove', { bottom: inches(0) })] }, boxes({ height: typed(60) })),
  boxesByCabinet: wallOf(
    {
      things: [
        thing('cabinet', 58, 0, 33, 31, { fate: 'keptClear' }),
        thing('panel', 12, 44, 15, 24),
        thing('switch', 30, 47, 4.5625, 4.5),
      ],
    },
    boxes({ height: typed(52), boxes: { ...STARTING_BOXES, upper: true, wish: inches(19) } }),
  ),
  boxesNoRoom: wallOf(
    { width: inches(61), things: [thing('bed', 6, 0, 47, 40, { fate: 'keptClear' })] },
    boxes({ height: typed(36) }),
  ),
  boxesAsCounted: wallOf(
    { things: [thing('cabinet', 50, 10, 20, 14, { fate: 'keptClear' })] },
    boxes({ boxes: { ...STARTING_BOXES, count: 4 } }),
  ),
  offTheWall: wallOf({
    things: [
      thing('outlet', 137, 12, 2.75, 4.5),
      thing('window', 110, 33, 40, 44, { casing: inches(3) }),
      thing('vent', 20, 90, 12, 8),
      thing('switch', 150, 40, 2.75, 4.5, { fate: 'remove' }),
      thing('door', 0, 0, 31, 80, { casing: inches(2.25) }),
    ],
  }),
  typedOverBoth: wallOf({
    width: inches(119),
    height: inches(90),
    readings: [
      reading('width', 4, 131.25),
      reading('width', 84, 130.75),
      reading('height', 6, 95),
      reading('height', 120, 95.5),
    ],
  }),
  typedSlip: wallOf({ width: inches(31), readings: [reading('width', 20, 131)] }),
  manyOutlets: wallOf(
    {
      ...leaning(0.5, 0.25),
      things: outlets.map((each, i) => (i === 6 ? { ...each, fate: 'cutRound' as const } : each)),
    },
    { spacing: count(11), meets: { 'outlet-12_25': 'notch', 'outlet-28_75': 'clear' }, height: typed(80) },
  ),
  manySlats: wallOf(
    { things: outlets },
    {
      pattern: 'slats',
      battenMaterial: 'pine-1x2',
      spacing: count(30),
      height: { rule: 'full' },
      topRail: null,
    },
  ),
  onAxis: wallOf(
    { things: [thing('window', 50, 40, 30, 30), thing('outlet', 64, 10, 2.75, 4.5)] },
    {
      spacing: {
        school: 'fromCenter',
        wish: inches(15),
        measure: 'gap',
        centerOn: 'strip',
        about: 'outlet-64',
      },
    },
  ),
  railsOfTwoDepths: wallOf(
    { baseboard: keptBase(4), crown: keptBase(3), ...leaning(0, 0) },
    {
      height: { rule: 'full' },
      battenMaterial: QUARTER_ROUND.id,
      topRail: { material: 'pine-1x4' },
      rails: [railAt(40, 'pine-1x3')],
      spacing: count(6),
    },
    { materials: [...wallOf().settings.materials, QUARTER_ROUND] },
  ),
  borderOverThinBase: wallOf(
    {
      baseboard: { ...keptBase(4), thickness: inches(0.375) },
      crown: { ...keptBase(3), thickness: inches(0.25) },
    },
    grid({ foot: { kind: 'baseboard' }, height: { rule: 'full' } }),
  ),
  levelTops: wallOf(
    {
      readings: [reading('ceilingFall', 131, 2.5), reading('height', 0, 95)],
      turns: { left: 'inside', right: 'none' },
    },
    { height: { rule: 'full' }, tops: 'level', topRail: null, spacing: count(7) },
  ),
  topsFollow: wallOf(
    {
      readings: [
        reading('ceilingFall', 60, 0.75),
        reading('ceilingFall', 131, 0.25),
        reading('height', 0, 95),
      ],
    },
    { height: { rule: 'full' }, topRail: null, spacing: count(7) },
  ),
  smallBits: wallOf(
    { things: [thing('window', 10, 20, 24, 50), thing('window', 36.25, 20, 24, 50)] },
    grid({ border: 'none', rows: [1, 1, 1], spacing: count(6), smallPieces: 'leaveOut' } as Partial<Design>),
  ),
  smallBitsKept: wallOf(
    { things: [thing('window', 10, 20, 24, 50), thing('window', 36.25, 20, 24, 50)] },
    grid({ border: 'none', rows: [1, 1, 1], spacing: count(6) } as Partial<Design>),
  ),
  holesThatShow: wallOf(
    {
      things: [
        thing('outlet', 20, 12, 2.75, 4.5, { hole: { width: inches(3), height: inches(3.5) } }),
        thing('outlet', 50, 12, 4.5625, 4.5),
        thing('switch', 80, 44, 6.375, 4.5),
        thing('vent', 100, 10, 14, 8),
        thing('sconce', 64, 66, 5, 5),
        thing('outlet', 115, 12, 2.75, 4.5, {
          hole: { width: inches(4), height: inches(6) },
          fate: 'remove',
        }),
      ],
      behind: { studs: [], wallboard: inches(0.5), keepOuts: [] },
    },
    {
      height: { rule: 'full' },
      backer: ply
        ? {
            sheet: ply.id,
            seams: 'studs',
            gap: inches(0.125),
            round: inches(0.125),
            from: inches(0),
            to: null,
          }
        : null,
    } as Partial<Design>,
    { shop: { ...wallOf().settings.shop, sheets: plies } },
  ),
  cornersAsPairs: {
    ...wallOf(
      {},
      {
        corners: { left: 'against', right: 'miter' },
        foot: { kind: 'floor' },
        rails: [railAt(30, 'pine-1x3')],
      },
    ),
    beside: {
      left: {
        end: 'run',
        corner: { deg: 131, turn: 'inside', measured: true },
        bands: [{ bottom: inches(58), top: inches(66), standsOut: inches(0.5) }],
      },
      right: {
        end: 'miter',
        corner: { deg: 88, turn: 'inside', measured: true },
        bands: [{ bottom: inches(20), top: inches(70), standsOut: inches(1.25) }],
      },
    },
  },
  cornersOutside: {
    ...wallOf(
      { turns: { left: 'outside', right: 'inside' } },
      { corners: { left: 'run', right: 'run' }, foot: { kind: 'floor' } },
    ),
    beside: {
      left: {
        end: 'against',
        corner: { deg: 90, turn: 'outside', measured: false },
        bands: [{ bottom: inches(50), top: inches(70), standsOut: inches(0.75) }],
      },
      right: {
        end: 'against',
        corner: { deg: 140, turn: 'inside', measured: true },
        bands: [{ bottom: inches(50), top: inches(70), standsOut: inches(0.25) }],
      },
    },
  },
  chevronAlone: lineWall(76, 61, [chevron], { border: 'miter' }),
  chevronInBays: lineWall(97, 52, [{ ...chevron, first: 'up' }], { border: 'butt', uprights: 3 }),
  chevronBare: lineWall(58, 66, [{ ...chevron, hand: 'same' }]),
}
