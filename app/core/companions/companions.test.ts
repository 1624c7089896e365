import { inches } from '~/length'
import type { Arch, ItemRow } from '~/model'
import { lineWall } from '../../../tests/lineWalls'
import { computePlan } from '../computePlan'
import { placeArch, strikeArch } from './arch'
import { placeRow } from './itemRow'

const arch = (more: Partial<Arch>): Arch => ({
  id: 'a1',
  kind: 'segment',
  width: inches(48),
  rise: inches(12),
  spring: inches(60),
  middle: { on: 'wall' },
  band: null,
  every: inches(6),
  ...more,
})
const inch = (length: number) => length / inches(1)

describe('arches', () => {
  // C8, segment of a circle (handbook): r = (h^2 + (w/2)^2) / 2h
  test('C8: w 48 h 12: 30; w 36 h 6: 30; w 48 h 24: 24', () => {
    const radius = (width: number, rise: number) =>
      strikeArch(arch({ width: inches(width), rise: inches(rise) }))?.arcs[0]?.radius ?? 0
    expect([radius(48, 12), radius(36, 6), radius(48, 24)].map(inch)).toEqual([30, 30, 24])
  })

  test('F1, F2: a segment by its center, string, apex and offsets; the band of a cased one', () => {
    const { layout } = computePlan(lineWall(100, 96, []))
    const f1 = placeArch(
      arch({ width: inches(52), rise: inches(13), spring: inches(70), every: inches(6.5) }),
      layout,
    )
    expect(f1?.centers.map(({ y, string }) => [inch(y), inch(string)])).toEqual([[50.5, 32.5]])
    expect(inch(f1?.apex ?? 0)).toBe(83)
    expect(f1?.offsets.map(({ height }) => inch(height))).toEqual(
      [13, 12.343367, 10.286742, 6.5, 0].map((each) => expect.closeTo(each, 5)),
    )
    expect(inch(f1?.struck.length ?? 0)).toBeCloseTo(60.274189, 5)
    const f2 = placeArch(
      arch({ width: inches(63), rise: inches(9), band: inches(3.5), every: inches(7.875) }),
      layout,
    )
    expect(f2?.offsets.map(({ height }) => inch(height))).toEqual(
      [9, 8.477665, 6.882201, 4.119863, 0].map((each) => expect.closeTo(each, 5)),
    )
    expect([inch(f2?.centers[0]?.outer ?? 0), inch(f2?.band?.foot ?? 0), inch(f2?.band?.apex ?? 0)]).toEqual([
      63.125,
      expect.closeTo(37.707758, 5),
      12.5,
    ])
  })

  test('F3: half a circle', () => {
    const { layout } = computePlan(lineWall(100, 96, []))
    const placed = placeArch(arch({ kind: 'half', width: inches(45), every: inches(5) }), layout)
    expect(placed?.offsets.map(({ height }) => inch(height))).toEqual(
      [22.5, 21.937411, 20.155644, 16.77051, 10.307764, 0].map((each) => expect.closeTo(each, 5)),
    )
    expect(inch(placed?.struck.length ?? 0)).toBeCloseTo(70.685835, 5)
  })

  // constructions from memory of drawing handbooks; arithmetic computed
  test('F4, F5: three-centered by the bisector, and of three arcs of 60 degrees', () => {
    const { layout } = computePlan(lineWall(100, 96, []))
    const f4 = placeArch(
      arch({ kind: 'threeCentered', width: inches(48), rise: inches(18), every: inches(6) }),
      layout,
    )
    expect(f4?.struck.arcs.map(({ x, y, radius }) => [x, y, radius].map(inch))).toEqual([
      [9, 0, 15],
      [0, -12, 30],
      [-9, 0, 15],
    ])
    expect(f4?.offsets.map(({ height }) => inch(height))).toEqual(
      [18, 17.393877, 15.495454, 12, 0].map((each) => expect.closeTo(each, 5)),
    )
    expect(inch(f4?.struck.length ?? 0)).toBeCloseTo(66.428923, 5)
    const f5 = (kind: Arch['kind']) =>
      placeArch(arch({ kind, width: inches(60), rise: inches(20), every: inches(10) }), layout)
    const [a, b] = [f5('threeCentered'), f5('threeEqual')]
    expect(a?.struck.arcs.slice(0, 2).map(({ radius }) => inch(radius))).toEqual([
      expect.closeTo(15.657415, 5),
      expect.closeTo(41.513878, 5),
    ])
    expect(inch(a?.struck.length ?? 0)).toBeCloseTo(79.596554, 5)
    expect(b?.struck.arcs.slice(0, 2).map(({ radius, toDeg }) => [inch(radius), toDeg])).toEqual([
      [expect.closeTo(16.339746, 5), expect.closeTo(60, 6)],
      [expect.closeTo(43.660254, 5), expect.closeTo(120, 6)],
    ])
    expect(b?.offsets.slice(0, 3).map(({ height }) => inch(height))).toEqual(
      [20, 18.839367, 15.149768].map((each) => expect.closeTo(each, 5)),
    )
    expect(inch(b?.struck.length ?? 0)).toBeCloseTo(79.942795, 5)
  })

  test('an arch under the ceiling it would pierce, over the end of the wall, with a rise it can’t have: told with ways out', () => {
    const codes = (more: Partial<Arch>, width = 100) =>
      computePlan(
        lineWall(width, 96, [], { companions: { arches: [arch(more)], rows: [] } }),
      ).findings.flatMap(({ says, waysOut }) =>
        says.code === 'archOver' || says.code === 'middleGone'
          ? [[says.code === 'archOver' ? says.what : says.code, waysOut.length]]
          : [],
      )
    expect(codes({ spring: inches(90) })).toEqual([['ceiling', 2]])
    expect(codes({}, 40)).toEqual([['wall', 1]])
    expect(codes({ kind: 'threeCentered', rise: inches(30) })).toEqual([['tooHigh', 2]])
    expect(codes({ middle: { on: 'strip', strip: 'm9.1' } })).toEqual([['middleGone', 1]])
    expect(codes({})).toEqual([])
  })
})

describe('letters in a row', () => {
  const row = (spread: ItemRow['spread'], more: Partial<ItemRow> = {}): ItemRow => ({
    id: 'r1',
    kind: 'letters',
    items: [7.25, 5, 6.5, 2.25, 6.75, 5.5].map((width, i) => ({
      name: 'ABCDEF'[i] ?? '',
      width: inches(width),
    })),
    line: inches(60),
    height: inches(8),
    thickness: inches(0.75),
    spread,
    middle: { on: 'wall' },
    overBed: false,
    ...more,
  })
  const placed = (spread: ItemRow['spread'], more?: Partial<ItemRow>) => {
    const { layout, pieces } = computePlan(lineWall(96, 96, []))
    return placeRow(row(spread, more), layout, pieces, () => 0)
  }
  const lefts = (spread: ItemRow['spread']) => placed(spread)?.items.map(({ left }) => inch(left))

  test('F6: seven equal gaps', () => {
    expect(lefts({ by: 'equal' })).toEqual(
      [8 + 27 / 28, 25 + 5 / 28, 39 + 1 / 7, 54 + 17 / 28, 65 + 23 / 28, 81 + 15 / 28].map((each) =>
        expect.closeTo(each, 6),
      ),
    )
  })

  test('F7: gaps of three; one pitch by the outer edges; one pitch by the middles', () => {
    expect(lefts({ by: 'gap', gap: inches(3) })).toEqual([23.875, 34.125, 42.125, 51.625, 56.875, 66.625])
    expect(lefts({ by: 'pitch', pitch: inches(9), centered: 'ends' })).toEqual([
      22.3125, 32.4375, 40.6875, 51.8125, 58.5625, 68.1875,
    ])
    expect(lefts({ by: 'pitch', pitch: inches(9), centered: 'middles' })).toEqual([
      21.875, 32, 40.25, 51.375, 58.125, 67.75,
    ])
  })

  test('what lies half on a strip bridges, and is packed by the strip’s thickness; heavy things over a bed are told', () => {
    const plan = computePlan(
      lineWall(96, 96, [], {
        uprights: 3,
        companions: { arches: [], rows: [row({ by: 'equal' }, { overBed: true })] },
      }),
    )
    const codes = plan.findings.map(({ says }) => says.code)
    expect(codes).toContain('rowBridges')
    expect(codes).toContain('heavyOverBed')
    const bridges = plan.findings.flatMap(({ says }) => (says.code === 'rowBridges' ? [says] : []))
    expect(bridges[0]?.packing).toBe(inches(0.75))
  })

  test('letters too wide for their span run into one another, and it is said', () => {
    const plan = computePlan(
      lineWall(30, 96, [], { companions: { arches: [], rows: [row({ by: 'equal' })] } }),
    )
    expect(plan.findings.flatMap(({ says }) => (says.code === 'rowOver' ? [says.what] : []))).toEqual([
      'items',
    ])
  })
})
