import { inches, toInches } from '~/length'
import type { Move } from '~/model'
import { lineWall } from '../../../../tests/lineWalls'
import { area, base, edges, lines, long, saw, short, strike } from '../../../../tests/linePieces'
import { computePlan } from '../../computePlan'
import type { Piece } from '../../pieces'

// E and A15 to A18: trigonometry, checked by polygon clipping
describe('worked lines', () => {
  test('A18: 90 1/2 of rise at 45 degrees is 127.99 along; A17: 96 along rises 67.88', () => {
    const [piece] = lines(200, 90.5, [strike({})])
    expect(piece ? edges(piece).lower : 0).toBeCloseTo(127.99, 2)
    const [short] = lines(200, 90.5, [strike({ until: { kind: 'length', length: inches(96) } })])
    const top = Math.max(...(short?.polygon ?? []).map(({ y }) => y)) / inches(1)
    expect(top).toBeCloseTo(67.88 + Math.SQRT1_2, 2)
  })

  test('A15: rise 22 1/2 across a bay is its angle and its length along the edge', () => {
    for (const [bay, angle, along] of [
      [28.625, 38.168, 36.409],
      [29, 37.807, 36.705],
      [28.25, 38.536, 36.115],
    ] as const) {
      const [piece] = lines(bay, 60, [chevronOf(22.5, 6, { bands: 1, hand: 'same' })])
      expect(saw(piece?.start ?? { kind: 'square' })).toBeCloseTo(angle, 3)
      expect(piece ? edges(piece).lower : 0).toBeCloseTo(along, 3)
    }
  })

  const chevronOf = (
    rise: number,
    clear: number,
    more: Partial<Extract<Move, { kind: 'chevron' }>> = {},
  ): Move => ({
    ...base,
    id: 'm1',
    kind: 'chevron',
    slope: { by: 'rise', rise: inches(rise) },
    clear: inches(clear),
    hand: 'alternating',
    first: 'up',
    start: 'edge',
    bands: null,
    ...more,
  })

  test('E1: four true equal bays, one band in each: all slants alike', () => {
    const plan = computePlan(
      lineWall(137, 92, [chevronOf(26.5, 6, { bands: 1 })], { uprights: 3, battenMaterial: 'pine-1x2' }),
    )
    expect(plan.layout.uprights.map(({ left }) => toInches(left))).toEqual([33.125, 67.75, 102.375])
    const bands = plan.pieces.filter(({ role }) => role === 'line')
    expect(bands).toHaveLength(4)
    for (const band of bands) {
      expect(saw(band.start)).toBeCloseTo(38.659808, 5)
      expect(saw(band.end)).toBeCloseTo(38.659808, 5)
      expect(edges(band).lower).toBeCloseTo(42.420698, 5)
      expect(long(band)).toBeCloseTo(44.020698, 5)
      expect(area([band])).toBeCloseTo(84.841396, 4)
    }
    // alternating: two rows of two hands
    const labels = plan.cutList.filter(({ role }) => role === 'line').map(({ pieceIds }) => pieceIds.length)
    expect(labels).toEqual([2, 2])
  })

  test('E2: a bay filled with bands, those at its ends cut by the rails', () => {
    const found = lines(33.125, 92, [chevronOf(26.5, 6, { hand: 'same' })])
    expect(found).toHaveLength(11)
    const byFoot = found.map((piece) => edges(piece))
    const expected = [
      [9.620698, 13.720698],
      [26.020698, 30.120698],
      ...Array.from({ length: 7 }, () => [42.420698, 42.420698]),
      [32.471857, 28.371857],
      [16.071857, 11.971857],
    ]
    byFoot.forEach(({ lower, upper }, i) => {
      expect(lower).toBeCloseTo(expected[i]?.[0] ?? 0, 5)
      expect(upper).toBeCloseTo(expected[i]?.[1] ?? 0, 5)
    })
    expect(saw(found[0]?.start ?? { kind: 'square' })).toBeCloseTo(51.34, 2)
    expect(area(found)).toBeCloseTo(762.259995, 3)
  })

  test('E3: corner to corner, by its center line, by both edges, by one edge', () => {
    const to = { at: 'corner', corner: 'topRight' } as const
    const [a] = lines(30, 40, [strike({ heading: { to: 'point', point: to, edge: 'same' } })])
    expect(a?.directionDeg).toBeCloseTo(53.130102, 5)
    expect(a?.start.kind).toBe('twoCuts')
    expect(long(a as Piece)).toBeCloseTo(50, 5)
    expect(area([a as Piece])).toBeCloseTo(97 + 11 / 12, 4)
    const [b] = lines(30, 40, [strike({ heading: { to: 'point', point: to, edge: 'other' }, lies: 'left' })])
    expect(b?.directionDeg).toBeCloseTo(50.83766, 5)
    expect(saw((b as Piece).start)).toBeCloseTo(50.84, 2)
    expect(edges(b as Piece).lower).toBeCloseTo(47.504448, 5)
    expect(long(b as Piece)).toBeCloseTo(49.959984, 5)
    const [c] = lines(30, 40, [strike({ heading: { to: 'point', point: to, edge: 'same' }, lies: 'left' })])
    expect(edges(c as Piece)).toEqual({
      lower: expect.closeTo(50, 5),
      upper: expect.closeTo(45 + 5 / 6, 5),
      overall: expect.closeTo(50, 5),
    })
    expect([saw((c as Piece).start), saw((c as Piece).end)]).toEqual([
      expect.closeTo(53.13, 2),
      expect.closeTo(36.87, 2),
    ])
  })

  test('E4, A16: diagonals 8 clear square from a corner', () => {
    const found = lines(60, 40, [
      { ...base, id: 'm1', kind: 'diagonals', deg: 45, clear: inches(8), start: 'center', where: 'field' },
    ])
    const said = found.map((piece) => edges(piece))
    const expected = [
      [14.5685, 18.5685, 18.5685],
      [34.5685, 38.5685, 38.5685],
      [54.5685, 56.5685, 57.5685],
      [56.5685, 56.5685, 58.5685],
      [46.8528, 42.8528, 46.8528],
      [26.8528, 22.8528, 26.8528],
      [6.8528, 2.8528, 6.8528],
    ]
    expect(said).toHaveLength(7)
    // counted from the lower right here; the upper and lower edge change places with the corner they are cut by
    said.forEach(({ upper, lower, overall }, i) => {
      const row = expected.find(([, , each]) => Math.abs((each ?? 0) - overall) < 1e-3)
      expect([i, row !== undefined]).toEqual([i, true])
      expect([upper, lower].sort((p, q) => p - q)).toEqual(
        [row?.[0] ?? 0, row?.[1] ?? 0].sort((p, q) => p - q).map((each) => expect.closeTo(each, 3)),
      )
    })
    expect(area(found)).toBeCloseTo(480.665222, 3)
    expect(found.filter(({ start }) => start.kind === 'twoCuts')).toHaveLength(1)
  })

  test('a lattice by hand: both diagonals of a square, the first through, the second in two', () => {
    // tip to tip 40 sqrt 2, each tip 1 past its edges: 2 (40 sqrt 2 - 2) + 2 of area each, and 4 where they cross
    const found = lines(40, 40, [
      { ...base, id: 'm1', kind: 'lattice', deg: 45, clear: inches(60), start: 'center', where: 'field' },
    ])
    expect(found).toHaveLength(3)
    const each = 2 * (40 * Math.SQRT2 - 2) + 2
    expect(area(found.slice(0, 1))).toBeCloseTo(each, 4)
    expect(area(found)).toBeCloseTo(2 * each - 4, 4)
    expect(long(found[0] as Piece)).toBeCloseTo(40 * Math.SQRT2, 5)
  })

  test('E5: diamonds on the middles of the sides, mitered', () => {
    const found = lines(48, 64, [
      { ...base, id: 'm1', kind: 'diamonds', clear: inches(4), count: 2, where: 'field' },
    ])
    expect(found).toHaveLength(8)
    const [first, second] = [found.slice(0, 4), found.slice(4)]
    for (const piece of first)
      expect([long(piece), short(piece)]).toEqual([expect.closeTo(40, 5), expect.closeTo(35 + 5 / 6, 5)])
    for (const piece of second)
      expect([long(piece), short(piece)]).toEqual([expect.closeTo(27.5, 5), expect.closeTo(23 + 1 / 3, 5)])
    expect(area(first)).toBeCloseTo(303 + 1 / 3, 3)
    expect(area(second)).toBeCloseTo(203 + 1 / 3, 3)
    const settings = new Set(
      found.flatMap(({ start, end }) => [start, end].map((cut) => Number(saw(cut)).toFixed(4))),
    )
    expect([...settings].sort()).toEqual(['36.8699', '53.1301'])
  })

  test('E6: a herringbone panel, with clearance and without', () => {
    const of = (width: string, length: number, clear: number): Move => ({
      on: true,
      material: width,
      id: 'm1',
      kind: 'herringbone',
      length: inches(length),
      clear: inches(clear),
      deg: 45,
      where: 'field',
    })
    const found = lines(48, 36, [of('pine-1x3', 11.5, 0.5)])
    expect(found).toHaveLength(63)
    expect(found.filter((piece) => Math.abs(area([piece]) - 28.75) < 1e-4)).toHaveLength(26)
    expect(area(found)).toBeCloseTo(1386.912223, 2)
    const tight = lines(48, 36, [of('wide', 12, 0)])
    expect(tight).toHaveLength(63)
    expect(tight.filter((piece) => Math.abs(area([piece]) - 36) < 1e-4)).toHaveLength(24)
    expect(area(tight)).toBeCloseTo(1728, 2)
  })

  test('E7: seven rays from the middle of the foot, square ends 6 from it', () => {
    const found = lines(72, 40, [
      { ...base, id: 'm1', kind: 'sunburst', side: 'bottom', rays: 7, inner: inches(6), where: 'field' },
    ])
    expect(found.map((piece) => [short(piece), long(piece), saw(piece.end)])).toEqual(
      [
        [32.551906, 33.380333, 22.5],
        [43.911688, 45.911688, 45],
        [36.881474, 37.709902, 22.5],
        [34, 34, 0],
        [36.881474, 37.709902, 22.5],
        [43.911688, 45.911688, 45],
        [32.551906, 33.380333, 22.5],
      ].map((row) => row.map((each) => expect.closeTo(each, 4))),
    )
    expect(found.every(({ start }) => start.kind === 'square')).toBe(true)
  })

  test('E8: 45s from the foot to a center strip, repeated and mirrored', () => {
    const plan = computePlan(
      lineWall(94, 58, [
        strike({
          id: 'm1',
          from: { at: 'side', side: 'bottom', along: { by: 'middle' } },
          heading: { to: 'angle', deg: 90 },
        }),
        strike({
          id: 'm2',
          from: { at: 'side', side: 'bottom', along: { by: 'distance', from: 'start', distance: inches(4) } },
          lies: 'right',
          until: { kind: 'hit' },
        }),
        { ...base, id: 'm3', kind: 'repeat', of: 'm2', clear: inches(7), side: 'right', times: 3 },
        { ...base, id: 'm4', kind: 'mirror', of: ['m2', 'm3'], about: { line: 'upright' } },
      ]),
    )
    const found = plan.pieces.filter(({ role }) => role === 'line')
    expect(found).toHaveLength(9)
    const expected = [
      [59.397, 55.397],
      [41.397, 37.397],
      [23.397, 19.397],
      [5.397, 1.397],
    ]
    for (const side of [found.slice(1, 5), found.slice(5)])
      side.forEach((piece, i) => {
        expect(long(piece)).toBeCloseTo(expected[i]?.[0] ?? 0, 3)
        expect(short(piece)).toBeCloseTo(expected[i]?.[1] ?? 0, 3)
        expect([saw(piece.start), saw(piece.end)]).toEqual([expect.closeTo(45, 5), expect.closeTo(45, 5)])
      })
    // the outer edge of the first lands 42 up on the center strip
    expect(Math.max(...(found[1]?.polygon ?? []).map(({ y }) => y)) / inches(1)).toBeCloseTo(42, 5)
  })
})
