import fc from 'fast-check'
import { inches } from '~/length'
import {
  CORNER_ENDS,
  ENDS,
  LEVEL_RULES,
  PATTERNS,
  STARTING_BOXES,
  STARTING_JUDGEMENT,
  storedWallDocument,
  type Thing,
} from '~/model'
import { reading, thing, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { heightProposals } from '../judgement/heights'
import { propose } from '../judgement/propose'
import { runningMarks, spacerBlock } from '../marks/runningMarks'
import { buildScene } from '../scene/buildScene'

const length = (least: number, most: number) =>
  fc.integer({ min: least * 16, max: most * 16 }).map((n) => inches(n / 16))

const anyThing: fc.Arbitrary<Thing> = fc
  .record({
    kind: fc.constantFrom(
      'window' as const,
      'door' as const,
      'outlet' as const,
      'cutOff' as const,
      'bed' as const,
    ),
    left: fc.integer({ min: -20, max: 300 }),
    bottom: fc.integer({ min: -5, max: 120 }),
    width: fc.integer({ min: 1, max: 200 }),
    height: fc.integer({ min: 1, max: 150 }),
    slope: fc.constantFrom(null, 'risesLeft' as const, 'risesRight' as const),
    fate: fc.constantFrom('keep' as const, 'remove' as const, 'cutRound' as const),
  })
  .map(({ kind, left, bottom, width, height, slope, fate }) => ({
    ...thing(kind, left, bottom, width, height, { slope: kind === 'cutOff' ? slope : null, fate }),
  }))

const anySpacing = fc.oneof(
  fc.record({
    school: fc.constant('equalByCount' as const),
    strips: fc.integer({ min: 1, max: 60 }),
    ends: fc.constantFrom(...ENDS),
  }),
  fc.record({
    school: fc.constant('nearWish' as const),
    wish: length(1, 60),
    measure: fc.constantFrom('gap' as const, 'pitch' as const),
    least: length(0, 20),
    most: length(1, 90),
    ends: fc.constantFrom(...ENDS),
    strips: fc.constantFrom(null, 3, 90),
  }),
  fc.record({
    school: fc.constant('fromCenter' as const),
    wish: length(1, 60),
    measure: fc.constant('gap' as const),
    centerOn: fc.constantFrom('strip' as const, 'gap' as const),
    about: fc.constantFrom(null, 'window-40'),
  }),
  fc.record({ school: fc.constant('toStuds' as const), every: fc.integer({ min: 1, max: 4 }) }),
  fc.record({
    school: fc.constant('placed' as const),
    nearEdges: fc.array(length(0, 300), { minLength: 1, maxLength: 9 }),
  }),
)

const height = fc.oneof(
  length(1, 200).map((value) => ({ rule: 'typed' as const, value })),
  fc.constantFrom({ rule: 'third' as const }, { rule: 'full' as const }),
)

const anything = fc
  .record({
    width: length(1, 400),
    wallHeight: length(1, 200),
    base: fc.option(length(1, 30), { nil: null }),
    things: fc.array(anyThing, { maxLength: 4 }),
    fall: fc.integer({ min: -6, max: 6 }),
    pattern: fc.constantFrom(...PATTERNS),
    spacing: anySpacing,
    height,
    margin: length(1, 60),
    rows: fc.array(fc.constantFrom(0.5, 1, 3), { minLength: 1, maxLength: 12 }),
    border: fc.constantFrom('none' as const, 'butt' as const, 'miter' as const, 'threeSided' as const),
    levelRule: fc.constantFrom(...LEVEL_RULES),
    corners: fc.record({ left: fc.constantFrom(...CORNER_ENDS), right: fc.constantFrom(...CORNER_ENDS) }),
    sections: fc.constantFrom('across' as const, 'beside' as const),
    extent: fc.option(fc.record({ left: length(0, 300), right: length(1, 400) }), { nil: null }),
    shift: length(0, 40),
    upper: fc.boolean(),
    through: fc.constantFrom('uprights' as const, 'rails' as const, 'byStock' as const),
    railTops: fc.array(height, { maxLength: 3 }),
    topRail: fc.boolean(),
  })
  .map((any) =>
    wallOf(
      {
        width: any.width,
        height: any.wallHeight,
        baseboard: any.base === null ? null : { height: any.base, thickness: inches(0.5), fate: 'keep' },
        things: any.things.map((each, i) => ({ ...each, id: `thing-${i}` })),
        readings: [reading('floorFall', 100, any.fall)],
        behind: { studs: [16, 32, 48].map(inches), wallboard: inches(0.5), keepOuts: [] },
      },
      {
        pattern: any.pattern,
        spacing: any.spacing,
        height: any.height,
        boxes: { ...STARTING_BOXES, margin: any.margin, upper: any.upper },
        rows: any.rows,
        border: any.border,
        levelRule: any.levelRule,
        corners: any.corners,
        sections: any.sections,
        extent: any.extent,
        shift: any.shift,
        through: any.through,
        topRail: any.topRail ? { material: 'pine-1x4' } : null,
        foot: any.base === null ? { kind: 'floor' } : { kind: 'baseboard' },
        rails: any.railTops.map((top, i) => ({
          id: `rail-${i + 1}`,
          use: 'rail',
          material: 'pine-1x2',
          lay: 'edge',
          top,
        })),
        judgement: { ...STARTING_JUDGEMENT, baysDiffer: inches(0.5), shiftUpTo: inches(0.5) },
      },
    ),
  )

test('whatever is on the wall and whatever is asked for, there is a plan, with findings where it is wrong', () => {
  fc.assert(
    fc.property(anything, (workpiece) => {
      // what a page can hold can be stored
      expect(storedWallDocument.safeParse(workpiece.wall).success).toBe(true)
      const plan = computePlan(workpiece)
      const scene = buildScene(plan, workpiece.wall.survey)
      runningMarks(plan.layout, 'right', '1/16')
      spacerBlock(plan.layout, 'left', '1 mm')
      for (const { polygon, longLength } of plan.pieces) {
        expect(longLength).toBeGreaterThan(0)
        for (const { x, y } of polygon) expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true)
      }
      expect(JSON.stringify(scene)).not.toContain('null,"y"')
      const ids = plan.pieces.map(({ id }) => id)
      expect(new Set(ids).size).toBe(ids.length)
    }),
    { numRuns: 200, endOnFailure: true },
  )
})

test('the searches answer for every wall as well', () => {
  fc.assert(
    fc.property(anything, (workpiece) => {
      for (const { score, edits } of propose(workpiece).proposals) {
        expect(Number.isFinite(score)).toBe(true)
        expect(edits.length).toBeGreaterThan(0)
      }
      for (const { height: at } of heightProposals(workpiece)) expect(at).toBeGreaterThan(0)
    }),
    { numRuns: 30, endOnFailure: true },
  )
})
