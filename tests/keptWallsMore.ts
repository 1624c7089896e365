import { inches } from '~/length'
import { type Boxes, type Design, type Reading, STARTING_BOXES, type Workpiece } from '~/model'
import { keptBase, reading, thing, wallOf } from './namedWalls'

const typed = (value: number) => ({ rule: 'typed' as const, value: inches(value) })
const count = (strips: number, ends: 'gap' | 'strip' | 'half' = 'gap') =>
  ({ school: 'equalByCount', strips, ends }) as const
const corner = (side: 'Left' | 'Right', deg: number, turn: 'inside' | 'outside'): Reading => ({
  id: `corner${side}-${deg}`,
  method: 'tape',
  takenAt: '2026-03-02T09:00:00Z',
  kind: `corner${side}`,
  deg,
  turn,
})
const boxesOf = (boxes: Partial<Boxes>, more: Partial<Design> = {}): Partial<Design> => ({
  pattern: 'boxes',
  topRail: { material: 'chair-rail' },
  height: typed(34),
  boxes: { ...STARTING_BOXES, ...boxes },
  ...more,
})
const gridOf = (more: Partial<Design> = {}): Partial<Design> => ({
  pattern: 'grid',
  foot: { kind: 'floor' },
  topRail: null,
  height: typed(90),
  rows: [1, 1, 1],
  spacing: count(6, 'strip'),
  ...more,
})
const attic = thing('cutOff', 78, 40, 53, 55, { slope: 'risesLeft' })
const atticLeft = thing('cutOff', 0, 48, 50, 47, { slope: 'risesRight' })
const stair = thing('cutOff', 50, 0, 81, 52, { slope: 'risesRight' })
const stairDown = thing('cutOff', 0, 0, 70, 44, { slope: 'risesLeft' })
const midRail: Design['rails'] = [
  { id: 'rail-1', use: 'rail', material: 'pine-1x3', lay: 'edge', top: typed(31) },
]
const small = { margin: inches(1.5), wish: inches(9), least: inches(4), most: inches(30) }

/** Walls at the edges of what the core does: corners that turn out, the longest board, boxes that hardly find room. */
export const MORE_KEPT_WALLS: Readonly<Record<string, Workpiece>> = {
  outsideCorners: wallOf(
    {
      readings: [corner('Left', 266, 'outside'), corner('Right', 92.5, 'inside')],
      turns: { left: 'outside', right: 'inside' },
    },
    { corners: { left: 'miter', right: 'miter' }, cap: { material: 'pine-1x2', lay: 'flat' } },
  ),
  outsideButted: wallOf(
    { turns: { left: 'outside', right: 'none' }, readings: [corner('Right', 88, 'inside')] },
    { corners: { left: 'against', right: 'miter' }, rails: midRail },
  ),
  insideButted: wallOf(
    { readings: [corner('Left', 93, 'inside'), corner('Left', 89, 'inside')] },
    { corners: { left: 'against', right: 'cope' }, rails: midRail },
  ),
  gridByStock: wallOf({ width: inches(260) }, gridOf({ spacing: count(9, 'strip') })),
  gridByStockShort: wallOf({ width: inches(192) }, gridOf()),
  gridJustLonger: wallOf({ width: inches(192.5) }, gridOf({ border: 'miter' })),
  gridNoBoards: wallOf({ width: inches(260) }, gridOf(), {
    shop: { ...wallOf().settings.shop, endTrim: inches(1), offers: [] },
  }),
  endTrimmed: wallOf(
    { width: inches(191) },
    { rails: midRail },
    { shop: { ...wallOf().settings.shop, endTrim: inches(1) } },
  ),
  gridSlim: wallOf({ width: inches(7) }, gridOf({ spacing: count(2, 'strip') })),
  gridTooSlim: wallOf({ width: inches(4) }, gridOf({ spacing: { school: 'toStuds', every: 1 } })),
  gridFromEndOpen: wallOf(
    {},
    gridOf({
      border: 'none',
      spacing: { school: 'fromEnd', wish: inches(21), measure: 'gap', end: 'left', startWith: 'gap' },
    }),
  ),
  gridFromEndStrip: wallOf(
    {},
    gridOf({
      spacing: { school: 'fromEnd', wish: inches(21), measure: 'gap', end: 'right', startWith: 'gap' },
    }),
  ),
  gridNoStuds: wallOf({}, gridOf({ spacing: { school: 'toStuds', every: 1 } })),
  gridOneRow: wallOf({}, gridOf({ rows: [1], border: 'miter' })),
  gridRowsTooMany: wallOf({}, gridOf({ rows: Array<number>(38).fill(1) })),
  fillersTooWide: wallOf({}, { fillers: { left: inches(40), right: inches(30) } }),
  fillersHalf: wallOf({}, { fillers: { left: inches(20), right: inches(13) }, spacing: count(4) }),
  fillersUnderBoxes: wallOf({}, boxesOf({}, { fillers: { left: inches(1), right: inches(1) } })),
  noHeight: wallOf({}, { height: typed(6) }),
  railAtHead: wallOf(
    {},
    { topRail: null, height: typed(60), rails: [{ ...midRail[0], top: typed(60) }] as Design['rails'] },
  ),
  railUnderFoot: wallOf(
    {},
    {
      rails: [{ ...midRail[0], top: typed(3) }] as Design['rails'],
      foot: { kind: 'rail', material: 'pine-1x4' },
    },
  ),
  stairWithExtent: wallOf(
    { things: [stair], readings: [reading('floorFall', 131, 0.5)] },
    {
      levelRule: 'floor',
      height: typed(36),
      extent: { left: inches(60), right: inches(126) },
      rails: midRail,
    },
  ),
  stairStart: wallOf(
    { things: [stair] },
    { levelRule: 'floor', height: typed(36), extent: { left: inches(10), right: inches(50) } },
  ),
  stairsDown: wallOf(
    { things: [stairDown] },
    { levelRule: 'floor', height: typed(32), corners: { left: 'miter', right: 'miter' }, rails: midRail },
  ),
  stairBoxes: wallOf({ things: [stair] }, boxesOf(small, { levelRule: 'floor', height: typed(30) })),
  stairBoxesDown: wallOf({ things: [stairDown] }, boxesOf({ wish: inches(16) }, { levelRule: 'floor' })),
  atticBoxes: wallOf({ things: [attic] }, boxesOf(small, { height: typed(88) })),
  atticBoxesBoth: wallOf(
    { things: [attic, atticLeft] },
    boxesOf({ ...small, upper: true }, { height: typed(60), rails: midRail }),
  ),
  atticBoxesWide: wallOf({ things: [atticLeft] }, boxesOf({ margin: inches(3) }, { height: typed(80) })),
  levelStairBoxes: wallOf({ things: [stair] }, boxesOf(small, { height: typed(70) })),
  boxesAroundOpenings: wallOf(
    {
      things: [
        thing('window', 60, 30, 30, 40, { casing: inches(2.5) }),
        thing('door', 100, 0, 28, 80, { casing: inches(2.5) }),
      ],
      crown: keptBase(3),
    },
    boxesOf({ ...small, upper: true, above: inches(2), below: inches(3) }, { height: typed(40) }),
  ),
  boxesNoRail: wallOf({ crown: keptBase(4) }, boxesOf({ upper: true }, { topRail: null, height: typed(50) })),
  boxesToCeiling: wallOf({}, boxesOf({ upper: true }, { height: { rule: 'full' }, rails: midRail })),
  boxesOffLimits: wallOf({}, boxesOf({ wish: inches(50), least: inches(49), most: inches(51) })),
  boxesCounted: wallOf({}, boxesOf({ count: 3 })),
  boxesCountedTooMany: wallOf({}, boxesOf({ count: 60 })),
  boxesSectionCount: wallOf(
    { things: [thing('door', 50, 0, 30, 80, { casing: inches(2) })] },
    boxesOf({}, { sectionOwn: { first: { strips: 2, shift: inches(0) } } }),
  ),
  boxesOneRow: wallOf({}, boxesOf({ margin: inches(13), wish: inches(20), least: inches(5) })),
  boxesFlat: wallOf({}, boxesOf({ margin: inches(3) }, { height: typed(15) })),
  sectionsCounted: wallOf(
    { things: [thing('door', 50, 0, 30, 80, { casing: inches(2) })], behind: studs() },
    {
      sections: 'beside',
      spacing: { school: 'fromCenter', wish: inches(12), measure: 'gap', centerOn: 'strip', about: null },
      sectionOwn: { first: { strips: 3, shift: inches(0) } },
    },
  ),
  sectionsOnStuds: wallOf(
    { things: [thing('door', 50, 0, 30, 80, { casing: inches(2) })], behind: studs() },
    { sections: 'beside', spacing: { school: 'toStuds', every: 1 } },
  ),
  sectionsAbout: wallOf(
    { things: [thing('door', 20, 0, 30, 80, { casing: inches(2) }), thing('bed', 70, 0, 54, 40)] },
    {
      sections: 'beside',
      spacing: { school: 'fromCenter', wish: inches(9), measure: 'pitch', centerOn: 'gap', about: 'bed-70' },
    },
  ),
  overWindow: wallOf(
    { things: [thing('window', 50, 10, 30, 84), thing('window', 95, 40, 20, 20)] },
    { sections: 'beside', height: { rule: 'full' } },
  ),
}

function studs() {
  return { studs: [14, 30, 46, 62, 78, 94, 110, 126].map(inches), wallboard: inches(0.5), keepOuts: [] }
}
