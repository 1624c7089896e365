import { inches, ZERO } from '~/length'
import {
  type Design,
  NOT_WALKED,
  QUARTER_ROUND,
  STARTING_BOXES,
  STARTING_JUDGEMENT,
  type Survey,
  usualOffers,
  type Workpiece,
} from '~/model'
import { keptBase, reading, thing, wallOf } from './namedWalls'

const behind = { studs: [14, 30, 46, 62, 78, 94, 110, 126].map(inches), wallboard: inches(0.5), keepOuts: [] }
const typed = (value: number) => ({ rule: 'typed' as const, value: inches(value) })
const rail = (
  id: string,
  top: number,
  more: Partial<Design['rails'][number]> = {},
): Design['rails'][number] => ({
  id,
  use: 'rail',
  material: 'pine-1x3',
  lay: 'edge',
  top: typed(top),
  ...more,
})
const near = (wish: number, more: Partial<Extract<Design['spacing'], { school: 'nearWish' }>> = {}) => ({
  school: 'nearWish' as const,
  wish: inches(wish),
  measure: 'gap' as const,
  least: inches(8),
  most: inches(40),
  ends: 'gap' as const,
  strips: null,
  ...more,
})
const grid = (more: Partial<Design> = {}): Partial<Design> => ({
  pattern: 'grid',
  topRail: null,
  foot: { kind: 'floor' },
  height: { rule: 'full' },
  rows: [1, 1, 1.5],
  spacing: near(22),
  ...more,
})
const boxes = (more: Partial<Design> = {}): Partial<Design> => ({
  pattern: 'boxes',
  topRail: { material: 'chair-rail' },
  height: typed(34),
  boxes: { ...STARTING_BOXES, wish: inches(24), least: inches(10), most: inches(44) },
  ...more,
})
const window_ = thing('window', 44, 30, 31, 38, { casing: inches(2.5), fromRight: inches(56) })
const outlet = (left: number, more = {}) => thing('outlet', left, 12, 2.75, 4.5, more)
const falling = [reading('floorFall', 60, 0.5), reading('floorFall', 131, 1.125)]
const untrue = [
  ...falling,
  reading('width', 6, 131.25),
  reading('width', 88, 131.125),
  reading('height', 4, 95),
  reading('height', 120, 95.75),
  reading('plumbLeft', 88, 0.375),
  reading('plumbRight', 88, -0.25),
]
const attic = thing('cutOff', 88, 50, 43, 45, { slope: 'risesLeft' })
const stair = thing('cutOff', 60, 0, 71, 40, { slope: 'risesRight' })
const w = (survey: Partial<Survey> = {}, design: Partial<Design> = {}, settings = {}): Workpiece =>
  wallOf(survey, design, settings)

/** Walls whose plans are kept: every pattern, every school, every finding, and what happens where they meet. */
export const KEPT_WALLS: Readonly<Record<string, Workpiece>> = {
  plain: w({ behind }, { cap: { material: 'pine-1x2', lay: 'flat' } }),
  onBase: w(
    { baseboard: keptBase(5.25), crown: keptBase(3.5) },
    { foot: { kind: 'baseboard' }, height: { rule: 'full' } },
  ),
  bevelled: w(
    { baseboard: keptBase(5.25) },
    { foot: { kind: 'baseboard' }, proud: 'backBevel', pattern: 'slats', spacing: near(9) },
  ),
  ledger: w(
    { baseboard: keptBase(5.25) },
    { foot: { kind: 'baseboard' }, proud: 'ledger' },
    {
      materials: [...w().settings.materials, QUARTER_ROUND],
      shop: {
        ...w().settings.shop,
        offers: [...w().settings.shop.offers, ...usualOffers('quarter-round', 'inches')],
      },
    },
  ),
  noBase: w({}, { foot: { kind: 'baseboard' } }),
  untrue: w({ readings: untrue, behind }, { foot: { kind: 'floor' }, rails: [rail('rail-1', 30)] }),
  alongFloor: w(
    { readings: untrue },
    { levelRule: 'floor', rails: [rail('rail-1', 30)], corners: { left: 'miter', right: 'cope' } },
  ),
  alongCeiling: w(
    { readings: [reading('ceilingFall', 131, 0.75)] },
    { levelRule: 'ceiling', height: { rule: 'full' } },
  ),
  risingCeiling: w(
    { readings: [reading('height', 0, 95), reading('height', 131, 95.5)] },
    { height: { rule: 'full' } },
  ),
  halfWay: w({ readings: falling }, { levelRule: 'split', foot: { kind: 'floor' } }),
  plates: w(
    { things: [outlet(36.5), thing('switch', 90, 44, 2.75, 4.5), outlet(118)] },
    { rails: [rail('rail-1', 47)] },
  ),
  notched: w(
    { things: [outlet(36.5, { fate: 'cutRound' }), thing('switch', 90, 45, 2.75, 4.5)] },
    { rails: [rail('rail-1', 47)], meets: { 'switch-90': 'notch', 'outlet-36.5': 'notch' } },
  ),
  ended: w(
    { things: [outlet(36.5), thing('sideTrim', 0.5, 8, 1, 47.5, { fate: 'cutRound' })] },
    { meets: { 'outlet-36.5': 'clear' }, spacing: { school: 'equalByCount', strips: 6, ends: 'strip' } },
  ),
  nearPlate: w({ things: [outlet(32.5)] }, { spacing: { school: 'equalByCount', strips: 6, ends: 'gap' } }),
  windowAcross: w(
    { things: [window_, thing('door', 88, 0, 30, 80, { casing: inches(2.5) })] },
    { height: typed(70) },
  ),
  windowBeside: w(
    { things: [window_] },
    { sections: 'beside', height: typed(70), sectionOwn: { first: { strips: 2, shift: inches(1) } } },
  ),
  shifted: w({}, { spacing: { school: 'equalByCount', strips: 6, ends: 'gap' }, shift: inches(11) }),
  fromCenter: w(
    {},
    { spacing: { school: 'fromCenter', wish: inches(18), measure: 'pitch', centerOn: 'strip', about: null } },
  ),
  aboutWindow: w(
    { things: [window_] },
    {
      spacing: {
        school: 'fromCenter',
        wish: inches(14),
        measure: 'gap',
        centerOn: 'gap',
        about: 'window-44',
      },
    },
  ),
  fromEnd: w(
    {},
    { spacing: { school: 'fromEnd', wish: inches(15), measure: 'gap', end: 'right', startWith: 'strip' } },
  ),
  fromLeft: w(
    {},
    { spacing: { school: 'fromEnd', wish: inches(13), measure: 'gap', end: 'left', startWith: 'gap' } },
  ),
  centerMarks: w({}, { spacing: { school: 'centerMarks', bays: 5 } }),
  onStuds: w({ behind }, { spacing: { school: 'toStuds', every: 2 } }),
  noStuds: w({}, { spacing: { school: 'toStuds', every: 1 } }),
  placed: w({}, { spacing: { school: 'placed', nearEdges: [0, 20, 50, 51].map(inches) } }),
  tooMany: w({}, { spacing: { school: 'equalByCount', strips: 80, ends: 'half' } }),
  tooManyWished: w({}, { spacing: near(0.25, { least: ZERO, most: inches(0.5), strips: 60 }) }),
  offLimits: w({}, { spacing: near(16, { strips: 2 }) }),
  noCount: w({}, { spacing: near(60, { least: inches(58), most: inches(62) }) }),
  pitchInStrip: w(
    {},
    { spacing: { school: 'fromEnd', wish: inches(2), measure: 'pitch', end: 'left', startWith: 'gap' } },
  ),
  oneAtEach: w({}, { spacing: { school: 'equalByCount', strips: 1, ends: 'strip' } }),
  narrow: w({ width: inches(2) }, {}),
  extent: w(
    { readings: untrue },
    { extent: { left: inches(20), right: inches(96) }, corners: { left: 'miter', right: 'against' } },
  ),
  extentBeyond: w({}, { extent: { left: inches(20), right: inches(150) } }),
  extentTurned: w({}, { extent: { left: inches(90), right: inches(30) } }),
  extentOff: w({}, { extent: { left: inches(140), right: inches(190) } }),
  tooHigh: w({ crown: keptBase(4) }, { height: typed(96) }),
  noRoom: w({ baseboard: keptBase(8) }, { foot: { kind: 'baseboard' }, height: typed(9) }),
  ontoRail: w(
    {},
    {
      rails: [
        rail('rail-1', 62),
        rail('shelf-1', 70, { use: 'shelf', lay: 'flat' }),
        rail('chairRail-1', 33, { use: 'chairRail', material: 'chair-rail' }),
      ],
    },
  ),
  offWall: w({ baseboard: keptBase(5) }, { rails: [rail('rail-1', 97), rail('rail-2', 3)] }),
  longWall: w({ width: inches(228) }, { railJoint: 'scarf', corners: { left: 'against', right: 'miter' } }),
  longButted: w({ width: inches(228) }, { railJoint: 'butt', height: { rule: 'full' } }),
  tooLong: w(
    { height: inches(110), width: inches(60) },
    { height: { rule: 'full' }, battenMaterial: 'lattice' },
    {
      shop: {
        ...w().settings.shop,
        offers: w().settings.shop.offers.filter(({ length }) => length < inches(100)),
      },
    },
  ),
  noBoards: w({}, {}, { shop: { ...w().settings.shop, offers: [] } }),
  gridButt: w({ things: [outlet(60, { fate: 'cutRound' })] }, grid({ through: 'uprights' })),
  gridRails: w({}, grid({ through: 'rails', rails: [rail('rail-1', 90)] })),
  gridMitred: w(
    { readings: untrue },
    grid({ border: 'miter', rails: [rail('rail-1', 2.5), rail('rail-2', 55)] }),
  ),
  gridBare: w({ behind }, grid({ border: 'none', height: typed(80) })),
  gridStuds: w({ behind }, grid({ spacing: { school: 'toStuds', every: 1 } })),
  gridFromEnd: w(
    {},
    grid({
      spacing: { school: 'fromEnd', wish: inches(17), measure: 'gap', end: 'right', startWith: 'gap' },
    }),
  ),
  gridMarks: w({}, grid({ spacing: { school: 'centerMarks', bays: 5 } })),
  gridRows: w({ height: inches(60) }, grid({ rows: Array<number>(24).fill(1) })),
  gridWider: w(
    { width: inches(132), widthsBefore: [inches(131)] },
    grid({
      battenMaterial: 'pine-1x4',
      spacing: { school: 'equalByCount', strips: 5, ends: 'strip' },
      through: 'uprights',
    }),
  ),
  gridReread: w(
    { readings: [reading('width', 5, 131), reading('width', 5, 130.5)] },
    grid({ spacing: near(22, { ends: 'strip' }), through: 'uprights' }),
  ),
  gridFillers: w(
    { width: inches(132), widthsBefore: [inches(131)] },
    grid({
      fillers: { left: inches(0.5), right: inches(0.5) },
      spacing: { school: 'equalByCount', strips: 5, ends: 'strip' },
      through: 'rails',
    }),
  ),
  boxes: w({ behind }, boxes()),
  boxesUpper: w(
    { things: [window_], baseboard: keptBase(5) },
    boxes({
      boxes: { ...STARTING_BOXES, upper: true, above: inches(3), below: inches(5) },
      foot: { kind: 'baseboard' },
    }),
  ),
  boxesAttic: w({ things: [attic] }, boxes({ height: typed(80) })),
  boxesStair: w({ things: [stair] }, boxes({ levelRule: 'floor', height: typed(36) })),
  boxesLevelStair: w({ things: [stair] }, boxes({})),
  boxesTight: w({}, boxes({ boxes: { ...STARTING_BOXES, margin: inches(16) } })),
  boxesNarrow: w({ things: [thing('door', 10, 0, 30, 80, { casing: inches(2) })] }, boxes()),
  boxesFalling: w({ readings: untrue }, boxes({ levelRule: 'floor', sectionOwn: {} })),
  boxesRented: w(
    { walkRound: { ...NOT_WALKED, holder: 'renter', texture: 'smooth' } },
    boxes({ topRail: null, cap: null }),
  ),
  atticBattens: w({ things: [attic] }, { height: typed(78), rails: [rail('rail-1', 66)] }),
  railsAlone: w(
    { readings: untrue },
    {
      pattern: 'rails',
      topRail: null,
      foot: { kind: 'floor' },
      rails: [
        rail('chairRail-1', 33, { use: 'chairRail', material: 'chair-rail' }),
        rail('pictureRail-1', 80, { use: 'pictureRail', material: 'pine-1x2' }),
      ],
    },
  ),
  proudOfDoor: w(
    {
      things: [thing('door', 88, 0, 30, 80, { casing: inches(2.5), thickness: inches(0.5) })],
      crown: keptBase(3),
    },
    { height: { rule: 'full' } },
  ),
  gridOnBase: w({ baseboard: keptBase(4) }, grid({ foot: { kind: 'baseboard' }, proud: 'backBevel' })),
  chainOpen: w({
    readings: [reading('width', 40, 131), reading('height', 60, 95)],
    things: [
      { ...window_, fromRight: inches(57), fromTop: inches(25) },
      outlet(100, { fromRight: inches(28.25) }),
    ],
  }),
  contradicting: w({
    readings: [
      reading('width', 0, 131),
      reading('width', 90, 129.5),
      reading('plumbRight', 90, 0),
      reading('ceilingFall', 131, 1),
      reading('height', 0, 95),
      reading('height', 131, 95),
    ],
  }),
  absurd: w({
    readings: [
      reading('width', 10, 13.1),
      reading('plumbLeft', 80, 14),
      reading('height', 10, 95),
      reading('height', 10, 95.5),
      reading('height', 90, 95),
    ],
  }),
  keptOut: w({
    behind: {
      ...behind,
      keepOuts: [{ id: 'k', left: inches(10), bottom: inches(0), width: inches(15), height: inches(95) }],
    },
    things: [thing('switch', 90, 70, 2.75, 4.5)],
  }),
  spare: w({ width: inches(90) }, { judgement: { ...STARTING_JUDGEMENT, clearance: ZERO } }),
  metric: w({}, {}, { units: 'mm', tape: '1 mm' }),
}
