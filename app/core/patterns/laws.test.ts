import fc from 'fast-check'
import { inches, millimeters, nearestNanometer, nanometers, readOnTape, tickOf } from '~/length'
import {
  type Design,
  PATTERNS,
  STARTING_BOXES,
  type Survey,
  type Thing,
  type Workpiece,
  inForce,
} from '~/model'
import { ring, shared } from '../../../tests/areas'
import { keptBase, thing, wallOf } from '../../../tests/namedWalls'
import { endsOf } from './rules'
import { computePlan } from '../computePlan'
import { faceFromCard } from '../pieces'
import { runningMarks } from '../marks/runningMarks'
import { outlineOf } from '../survey/obstacles'
import { wallOutline } from '../survey/wallShape'

const eighths = (least: number, most: number) =>
  fc.integer({ min: least * 8, max: most * 8 }).map((n) => n / 8)

const anyDesign: fc.Arbitrary<Partial<Design>> = fc
  .record({
    pattern: fc.constantFrom(...PATTERNS),
    wish: eighths(6, 30),
    ends: fc.constantFrom('gap' as const, 'strip' as const, 'half' as const, 'stripGap' as const),
    sections: fc.constantFrom('across' as const, 'beside' as const),
    through: fc.constantFrom('uprights' as const, 'rails' as const, 'byStock' as const),
    border: fc.constantFrom('none' as const, 'butt' as const, 'miter' as const, 'threeSided' as const),
    rows: fc.array(fc.constantFrom(1, 1.5, 2), { minLength: 1, maxLength: 3 }),
    margin: eighths(2, 6),
    upper: fc.boolean(),
    midRail: fc.boolean(),
  })
  .map(({ pattern, wish, ends, sections, through, border, rows, margin, upper, midRail }) => ({
    pattern,
    battenMaterial: 'pine-1x3',
    spacing: {
      school: 'nearWish',
      wish: inches(wish),
      measure: 'gap',
      least: inches(1),
      most: inches(80),
      ends,
      strips: null,
    },
    topRail: pattern === 'grid' ? null : { material: 'pine-1x4' },
    height: { rule: 'typed', value: inches(58) },
    sections,
    through,
    border,
    rows,
    rails:
      midRail && pattern !== 'grid'
        ? [
            {
              id: 'rail-1',
              use: 'rail',
              material: 'pine-1x3',
              lay: 'edge',
              top: { rule: 'typed', value: inches(34) },
            },
          ]
        : [],
    boxes: { ...STARTING_BOXES, margin: inches(margin), upper, least: inches(4), most: inches(90) },
  }))

const anyThings = (width: number): fc.Arbitrary<Thing[]> =>
  fc.constantFrom<Thing[]>(
    [],
    [thing('window', width * 0.35, 30, 34, 40, { casing: inches(2.5) })],
    [thing('door', width * 0.55, 0, 30, 80, { casing: inches(2.5) })],
    [
      thing('window', width * 0.1, 28, 24, 44, { casing: inches(3) }),
      thing('door', width * 0.6, 0, 32, 80, { casing: inches(3) }),
    ],
  )

const anyWall: fc.Arbitrary<Workpiece> = fc
  .record({ width: eighths(110, 260), base: fc.boolean(), design: anyDesign })
  .chain(({ width, base, design }) =>
    anyThings(width).map((things) => {
      const survey: Partial<Survey> = {
        width: inches(width),
        height: inches(99),
        baseboard: base ? keptBase(4) : null,
        things,
      }
      return wallOf(survey, {
        ...design,
        foot: base ? { kind: 'baseboard' } : { kind: 'rail', material: 'pine-1x4' },
      })
    }),
  )

describe('laws of every pattern, on walls with and without openings', () => {
  test('D1: gaps, strips, ends and openings make the wall, to the nanometer', () => {
    fc.assert(
      fc.property(anyWall, (workpiece) => {
        const { closing, layout } = computePlan(workpiece)
        for (const { placement } of layout.sections) {
          if (!placement) continue
          const { leftEnd, rightEnd, gaps, nearEdges, stripWidth, span } = placement
          const sum = gaps.reduce<number>((total, gap) => total + gap, leftEnd + rightEnd)
          expect(sum + nearEdges.length * stripWidth).toBe(span)
        }
        expect(Math.abs(closing?.difference ?? 0)).toBeLessThanOrEqual(2)
      }),
      { numRuns: 150 },
    )
  })

  test('D2: equal gaps are equal, and every running mark is within half a tick of the exact one', () => {
    fc.assert(
      fc.property(anyWall, fc.constantFrom('1/16' as const, '1 mm' as const), (workpiece, tape) => {
        const { layout } = computePlan(workpiece)
        for (const { placement } of layout.sections)
          if (placement && placement.gaps.length > 0)
            expect(Math.max(...placement.gaps) - Math.min(...placement.gaps)).toBeLessThanOrEqual(2)
        for (const { near, far } of runningMarks(layout, 'left', tape))
          for (const mark of [near, far]) {
            expect(Math.abs(mark.tick - mark.exact)).toBeLessThanOrEqual(tickOf(tape) / 2)
            expect(readOnTape(mark.exact, tape).tick).toBe(mark.tick)
          }
      }),
      { numRuns: 80 },
    )
  })

  test('D3: no two pieces overlap, none leaves the wall or covers an opening', () => {
    fc.assert(
      fc.property(anyWall, (workpiece) => {
        const { pieces, layout } = computePlan(workpiece)
        // crossing members of a batten or slat wall at one height are told by a finding, not cut apart
        const shapes = pieces.map(({ polygon }) => ring(polygon))
        const wall = ring(wallOutline(layout.shape, workpiece.wall.survey))
        shapes.forEach((shape, i) => {
          expect(shape.area() - shared(shape, wall)).toBeLessThan(0.01)
          for (const [k, other] of shapes.slice(i + 1).entries()) {
            if (!shape.box.intersect(other.box)) continue
            const area = shared(shape, other)
            if (area >= 0.01)
              throw new Error(`${pieces[i]?.id} and ${pieces[i + 1 + k]?.id} share ${area} square inches`)
          }
          for (const each of workpiece.wall.survey.things)
            expect(shared(shape, ring(outlineOf(each)))).toBeLessThan(0.01)
        })
      }),
      { numRuns: 60 },
    )
  })

  test('D4: the card of every piece rebuilds its face', () => {
    fc.assert(
      fc.property(anyWall, (workpiece) => {
        for (const piece of computePlan(workpiece).pieces)
          expect(Math.abs(ring(faceFromCard(piece)).area() - ring(piece.polygon).area())).toBeLessThan(0.01)
      }),
      { numRuns: 60 },
    )
  })

  test('D6: a wall mirrored is laid out mirrored', () => {
    fc.assert(
      fc.property(anyWall, (workpiece) => {
        const { survey } = workpiece.wall
        const { design } = workpiece.wall
        if (!['gap', 'strip', 'half'].includes(endsOf(inForce(design)))) return
        const mirrored: Workpiece = {
          ...workpiece,
          wall: {
            design,
            survey: {
              ...survey,
              things: survey.things.map((each) => ({
                ...each,
                left: nearestNanometer(survey.width - each.left - each.width),
              })),
            },
          },
        }
        const lefts = computePlan(workpiece).layout.uprights.map(({ left, right }) => [left, right])
        const turned = computePlan(mirrored)
          .layout.uprights.map(({ left, right }) => [survey.width - right, survey.width - left])
          .sort(([a = 0], [b = 0]) => a - b)
        expect(turned).toHaveLength(lefts.length)
        lefts.forEach(([left = 0, right = 0], i) => {
          expect(Math.abs(left - (turned[i]?.[0] ?? 0))).toBeLessThanOrEqual(2)
          expect(Math.abs(right - (turned[i]?.[1] ?? 0))).toBeLessThanOrEqual(2)
        })
      }),
      { numRuns: 80 },
    )
  })

  test('D6: all lengths twice as long give a layout twice as large', () => {
    fc.assert(
      fc.property(eighths(100, 250), eighths(3, 6), (width, margin) => {
        const boxes = (times: number) =>
          wallOf(
            { width: inches(width * times), height: inches(99 * times) },
            {
              pattern: 'boxes',
              foot: { kind: 'floor' },
              topRail: null,
              height: { rule: 'typed', value: inches(36 * times) },
              boxes: {
                ...STARTING_BOXES,
                margin: inches(margin * times),
                wish: inches(28 * times),
                least: inches(10 * times),
                most: inches(60 * times),
              },
            },
          )
        const once = computePlan(boxes(1)).layout.uprights
        const twice = computePlan(boxes(2)).layout.uprights
        expect(twice).toHaveLength(once.length)
        once.forEach(({ left, right }, i) => {
          expect(Math.abs((twice[i]?.left ?? 0) - 2 * left)).toBeLessThanOrEqual(3)
          expect(Math.abs((twice[i]?.right ?? 0) - 2 * right)).toBeLessThanOrEqual(3)
        })
      }),
    )
  })

  test('D6: inches and millimeters give the same layout', () => {
    const wall = (width: ReturnType<typeof inches>, margin: ReturnType<typeof inches>) =>
      computePlan(
        wallOf(
          { width, height: nanometers(2_600_000_000) },
          { pattern: 'boxes', foot: { kind: 'floor' }, boxes: { ...STARTING_BOXES, margin } },
        ),
      ).layout.uprights
    // 1 in = 25.4 mm exactly (NIST SP 811, Appendix B)
    expect(wall(millimeters(3810), millimeters(101.6))).toEqual(wall(inches(150), inches(4)))
  })
})
