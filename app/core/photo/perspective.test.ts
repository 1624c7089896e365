import fc from 'fast-check'
import PerspT from 'perspective-transform'
import type { Point } from '../geometry'
import { bent, fitWithLens, straightened } from './lens'
import { backward, cornersFault, fitPerspective, type Pair, seenAt } from './perspective'

const INCH = 25_400_000
const UNIT: Point[] = [
  { x: 0, y: 0 },
  { x: 1, y: 0 },
  { x: 1, y: 1 },
  { x: 0, y: 1 },
]
const pairs = (from: readonly Point[], to: readonly Point[]): Pair[] =>
  from.map((each, i) => ({ from: each, to: to[i] ?? each }))
const must = <T>(value: T | null): T => {
  if (value === null) throw new Error('no map')
  return value
}
const near = (a: Point, x: number, y: number, digits = 9) => {
  expect(a.x).toBeCloseTo(x, digits)
  expect(a.y).toBeCloseTo(y, digits)
}
/** (A-C)(B-D) / ((B-C)(A-D)) along a line, by lengths with their signs. */
const crossRatio = ([a, b, c, d]: readonly Point[]) => {
  if (!a || !b || !c || !d) throw new Error('four points')
  const along = (p: Point, q: Point) => (Math.abs(d.x - a.x) > Math.abs(d.y - a.y) ? q.x - p.x : q.y - p.y)
  return (along(c, a) * along(d, b)) / (along(c, b) * along(d, a))
}

/** Convex pictures of a wall: corners moved at will from a rectangle's. */
const pictures = fc
  .array(fc.tuple(fc.integer({ min: -700, max: 700 }), fc.integer({ min: -600, max: 600 })), {
    minLength: 4,
    maxLength: 4,
  })
  .map((moves) =>
    [
      { x: 500, y: 2400 },
      { x: 3500, y: 2400 },
      { x: 3500, y: 500 },
      { x: 500, y: 500 },
    ].map(({ x, y }, i) => ({ x: x + (moves[i]?.[0] ?? 0), y: y + (moves[i]?.[1] ?? 0) })),
  )
  .filter((corners) => cornersFault(corners) === null)
const walls = fc
  .tuple(fc.integer({ min: 20, max: 400 }), fc.integer({ min: 20, max: 160 }))
  .map(([w, h]) => UNIT.map(({ x, y }) => ({ x: x * w * INCH, y: y * h * INCH })))

describe('the perspective map', () => {
  // L1: square to quadrilateral in closed form (Heckbert, Fundamentals of Texture Mapping and Image Warping, 1989, from memory)
  const L1 = must(
    fitPerspective(
      pairs(UNIT, [
        { x: 0, y: 0 },
        { x: 6, y: 0 },
        { x: 5, y: 4 },
        { x: 1, y: 3 },
      ]),
    ),
  )

  test('L1: the unit square has the closed form’s matrix, and its diagonals cross where their pictures do', () => {
    const closed = [66 / 17, 24 / 17, 0, 0, 72 / 17, 0, -6 / 17, 7 / 17, 1]
    closed.forEach((value, i) => expect(L1[i]).toBeCloseTo(value, 10))
    near(seenAt(L1, { x: 0.5, y: 0.5 }), 18 / 7, 72 / 35)
    near(seenAt(L1, { x: 0.25, y: 0.25 }), 30 / 23, 24 / 23)
    near(seenAt(L1, { x: 0.75, y: 0.25 }), 74 / 19, 24 / 19)
    near(seenAt(L1, { x: 1 / 3, y: 2 / 3 }), 114 / 59, 144 / 59)
  })

  test('L2: cross ratios hold along rows and columns', () => {
    const row = [0, 0.25, 0.5, 1].map((x) => ({ x, y: 0.5 }))
    const column = [0, 0.2, 0.6, 1].map((y) => ({ x: 1 / 3, y }))
    expect(crossRatio(row.map((p) => seenAt(L1, p)))).toBeCloseTo(3 / 2, 10)
    expect(crossRatio(column.map((p) => seenAt(L1, p)))).toBeCloseTo(6 / 5, 10)
  })

  test('L3: a wall in nanometers on a picture of 12 megapixels, there and back', () => {
    const corners = [
      { x: 0, y: 0 },
      { x: 150, y: 0 },
      { x: 150, y: 96 },
      { x: 0, y: 96 },
    ].map(({ x, y }) => ({ x: x * INCH, y: y * INCH }))
    const map = must(
      fitPerspective(
        pairs(corners, [
          { x: 310, y: 2510 },
          { x: 3690, y: 2290 },
          { x: 3570, y: 650 },
          { x: 430, y: 410 },
        ]),
      ),
    )
    near(seenAt(map, { x: 75 * INCH, y: 48 * INCH }), 2200.802139, 1431.19878, 5)
    near(seenAt(map, { x: 150 * INCH, y: 48 * INCH }), 3628.033649, 1443.126533, 5)
    const back = backward(map)
    const [a, b] = [seenAt(back, { x: 2000, y: 1500 }), seenAt(back, { x: 1000, y: 1000 })]
    expect(a.x / INCH).toBeCloseTo(65.722467, 5)
    expect(a.y / INCH).toBeCloseTo(44.386939, 5)
    expect(Math.hypot(a.x - b.x, a.y - b.y) / INCH).toBeCloseTo(49.010025, 5)
  })

  test('L4: three in a line, crossed and bent inward are refused, each by name', () => {
    const of = (...list: [number, number][]) => list.map(([x, y]) => ({ x, y }))
    expect(cornersFault(of([0, 0], [100, 0], [200, 0], [50, 80]))).toBe('inLine')
    expect(cornersFault(of([0, 0], [100, 100], [100, 0], [0, 100]))).toBe('crossed')
    expect(cornersFault(of([0, 0], [100, 0], [30, 20], [0, 100]))).toBe('bentInward')
    for (const bad of [
      of([0, 0], [100, 0], [200, 0], [50, 80]),
      of([0, 0], [100, 100], [100, 0], [0, 100]),
      of([0, 0], [100, 0], [30, 20], [0, 100]),
      of([5, 5], [5, 5], [90, 90], [5, 90]),
    ])
      expect(fitPerspective(pairs(UNIT, bad))).toBeNull()
    expect(fitPerspective(pairs(UNIT.slice(0, 3), UNIT))).toBeNull()
  })

  test('L5: a parallelogram is affine', () => {
    const map = must(
      fitPerspective(
        pairs(UNIT, [
          { x: 10, y: 20 },
          { x: 110, y: 40 },
          { x: 130, y: 140 },
          { x: 30, y: 120 },
        ]),
      ),
    )
    expect(map[6]).toBeCloseTo(0, 12)
    expect(map[7]).toBeCloseTo(0, 12)
    near(seenAt(map, { x: 0.25, y: 0.75 }), 50, 100)
  })

  test('any four points map exactly, there and back, and as a second library maps them', () => {
    fc.assert(
      fc.property(walls, pictures, fc.double({ min: 0, max: 1, noNaN: true }), (wall, picture, part) => {
        const map = must(fitPerspective(pairs(wall, picture)))
        wall.forEach((corner, i) => near(seenAt(map, corner), picture[i]?.x ?? 0, picture[i]?.y ?? 0, 6))
        const inside = { x: (wall[1]?.x ?? 0) * part, y: (wall[2]?.y ?? 0) * (1 - part) }
        const at = seenAt(map, inside)
        const home = seenAt(backward(map), at)
        expect(Math.hypot(home.x - inside.x, home.y - inside.y)).toBeLessThan(100) // nanometers
        // perspective-transform 1.1.3 solves the same eight equations by elimination; it wants small figures
        const flat = (list: readonly Point[], by: number) => list.flatMap(({ x, y }) => [x / by, y / by])
        const other = PerspT(flat(wall, INCH), flat(picture, 1)).transform(inside.x / INCH, inside.y / INCH)
        near(at, other[0] ?? 0, other[1] ?? 0, 4)
      }),
      { numRuns: 120 },
    )
  })

  test('lines stay lines, and a grid keeps its cross ratios', () => {
    fc.assert(
      fc.property(
        walls,
        pictures,
        fc.uniqueArray(fc.integer({ min: 0, max: 1000 }), { minLength: 4, maxLength: 4 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (wall, picture, places, height) => {
          const map = must(fitPerspective(pairs(wall, picture)))
          const [w, h] = [wall[2]?.x ?? 1, wall[2]?.y ?? 1]
          const [a, b, c, d] = [...places]
            .sort((p, q) => p - q)
            .map((p) => ({ x: (w * p) / 1000, y: h * height }))
          if (!a || !b || !c || !d) return
          const seen = [a, b, c, d].map((p) => seenAt(map, p))
          const [p, q, r] = seen
          if (!p || !q || !r) return
          const area = (q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x)
          const long = Math.hypot(r.x - p.x, r.y - p.y)
          expect(Math.abs(area) / Math.max(1, long)).toBeLessThan(1e-6)
          const [before, after] = [crossRatio([a, b, c, d]), crossRatio(seen)]
          expect(after / before).toBeCloseTo(1, 5)
        },
      ),
      { numRuns: 120 },
    )
  })
})

describe('the curve of a lens', () => {
  const center = { x: 1500, y: 1125 }
  const radius = Math.hypot(1500, 1125)
  const wall = [0, 0.3, 0.7, 1].flatMap((x) => [0, 0.5, 1].map((y) => ({ x: x * 3e9, y: y * 2.4e9 })))
  const straight = must(
    fitPerspective(
      pairs(
        [
          { x: 0, y: 0 },
          { x: 3e9, y: 0 },
          { x: 3e9, y: 2.4e9 },
          { x: 0, y: 2.4e9 },
        ],
        [
          { x: 200, y: 2050 },
          { x: 2800, y: 1950 },
          { x: 2700, y: 250 },
          { x: 300, y: 150 },
        ],
      ),
    ),
  )

  test('what it bends is straightened again', () => {
    for (const k1 of [-0.12, -0.03, 0, 0.08]) {
      const lens = { k1, center, radius }
      for (const p of [center, { x: 90, y: 40 }, { x: 2900, y: 2100 }]) {
        const back = straightened(bent(p, lens), lens)
        expect(Math.hypot(back.x - p.x, back.y - p.y)).toBeLessThan(1e-3)
      }
    }
  })

  test('from exact points its curve comes back, and a place that was not among them is seen where it is', () => {
    for (const k1 of [-0.1, -0.02, 0.05]) {
      const lens = { k1, center, radius }
      const seen = wall.map((from) => ({ from, to: bent(seenAt(straight, from), lens) }))
      const found = must(fitWithLens(seen, center, radius))
      expect(found.lens.k1).toBeCloseTo(k1, 4)
      const at = { x: 1.1e9, y: 1.9e9 }
      const [want, got] = [bent(seenAt(straight, at), lens), bent(seenAt(found.map, at), found.lens)]
      expect(Math.hypot(want.x - got.x, want.y - got.y)).toBeLessThan(0.05)
    }
  })

  test('below six points there is none', () => {
    expect(
      fitWithLens(
        wall.slice(0, 5).map((from) => ({ from, to: seenAt(straight, from) })),
        center,
        radius,
      ),
    ).toBeNull()
  })
})
