import polygonClipping from 'polygon-clipping'
import { Line as FlattenLine, point, Polygon as FlattenPolygon } from '@flatten-js/core'
import fc from 'fast-check'
import {
  boundsOf,
  liesApart,
  crossing,
  movedFrom,
  passageThrough,
  type Polygon,
  rectangle,
  signedArea,
  unitVector,
} from '.'

describe('directions', () => {
  test('right angles are exact, so upright and level strips stay on whole nanometers', () => {
    expect([0, 90, 180, 270, 360, -90].map(unitVector)).toEqual([
      { x: 1, y: 0 },
      { x: 0, y: 1 },
      { x: -1, y: 0 },
      { x: 0, y: -1 },
      { x: 1, y: 0 },
      { x: 0, y: -1 },
    ])
  })

  test('a point moved along and to the left', () => {
    expect(movedFrom({ x: 10, y: 20 }, 90, 5, 2)).toEqual({ x: 8, y: 25 })
    const slanted = movedFrom({ x: 0, y: 0 }, 45, Math.SQRT2, 0)
    expect(slanted.x).toBeCloseTo(1, 12)
    expect(slanted.y).toBeCloseTo(1, 12)
  })

  test('C4, regular polygons (any joiner’s handbook): the miter of n sides is 180/n', () => {
    const miters = { 3: 60, 4: 45, 5: 36, 6: 30, 8: 22.5, 12: 15 }
    for (const [sides, miter] of Object.entries(miters)) {
      const corners = Array.from({ length: Number(sides) }, (_, i) => unitVector((360 * i) / Number(sides)))
      const [a, b, c] = [corners[0], corners[1], corners[2 % corners.length]]
      if (!a || !b || !c) throw new Error('no polygon')
      const turn = Math.atan2(c.y - b.y, c.x - b.x) - Math.atan2(b.y - a.y, b.x - a.x)
      const turnDeg = (((turn * 180) / Math.PI + 360) % 360) / 2
      expect(turnDeg).toBeCloseTo(miter, 9)
    }
  })
})

describe('lines', () => {
  test('cross where they should; parallel ones do not', () => {
    const upright = { through: { x: 4, y: 0 }, directionDeg: 90 }
    const rising = { through: { x: 0, y: 0 }, directionDeg: 45 }
    const met = crossing(upright, rising)
    expect(met?.x).toBeCloseTo(4, 9)
    expect(met?.y).toBeCloseTo(4, 9)
    expect(crossing(rising, { through: { x: 3, y: 0 }, directionDeg: 225 })).toBeNull()
  })

  const convex = fc
    .record({
      corners: fc.integer({ min: 3, max: 8 }),
      radius: fc.integer({ min: 1000, max: 90_000 }),
      turn: fc.integer({ min: 0, max: 359 }),
    })
    .map(({ corners, radius, turn }): Polygon =>
      Array.from({ length: corners }, (_, i) => {
        const u = unitVector(turn + (360 * i) / corners)
        return { x: u.x * radius, y: u.y * radius }
      }),
    )

  test('a passage through a convex outline agrees with an independent library', () => {
    let passed = 0
    fc.assert(
      fc.property(
        convex,
        fc.integer({ min: -80_000, max: 80_000 }),
        fc.integer({ min: 1, max: 178 }),
        (outline, offset, deg) => {
          const through = { x: offset, y: 100 }
          const found = passageThrough({ through, directionDeg: deg }, outline)
          const u = unitVector(deg)
          const line = new FlattenLine(
            point(through.x, through.y),
            point(through.x + u.x * 1e5, through.y + u.y * 1e5),
          )
          const polygon = new FlattenPolygon(outline.map(({ x, y }) => [x, y] as [number, number]))
          const along = line
            .intersect(polygon)
            .map(({ x, y }) => (x - through.x) * u.x + (y - through.y) * u.y)
            .sort((a, b) => a - b)
          const [first, last] = [along[0], along[along.length - 1]]
          if (!found || first === undefined || last === undefined) {
            expect(last === undefined || first === undefined ? 0 : last - first).toBeLessThan(2)
            return
          }
          passed++
          expect(found.from).toBeCloseTo(first, 2)
          expect(found.to).toBeCloseTo(last, 2)
        },
      ),
      { numRuns: 300 },
    )
    expect(passed).toBeGreaterThan(60)
  })

  test('a line that only touches an edge does not pass through', () => {
    const square = rectangle(0, 0, 100, 100)
    expect(passageThrough({ through: { x: 0, y: -50 }, directionDeg: 90 }, square)).toBeNull()
    expect(passageThrough({ through: { x: 50, y: -50 }, directionDeg: 90 }, square)).toMatchObject({
      from: 50,
      to: 150,
    })
  })
})

test('areas have a sign, bounds hold every point', () => {
  const square = rectangle(2, 3, 12, 8)
  expect(signedArea(square)).toBe(50)
  expect(signedArea([...square].reverse())).toBe(-50)
  expect(boundsOf([{ x: 5, y: -1 }, ...square])).toEqual({ left: 2, right: 12, bottom: -1, top: 8 })
})

test('a law: convex outlines lie apart just where another library finds that they share nothing', () => {
  const triangle = fc
    .array(fc.record({ x: fc.integer({ min: 0, max: 40 }), y: fc.integer({ min: 0, max: 40 }) }), {
      minLength: 3,
      maxLength: 3,
    })
    .filter((points) => Math.abs(signedArea(points)) > 1)
    .map((points) => (signedArea(points) > 0 ? points : [...points].reverse()))
  fc.assert(
    fc.property(triangle, triangle, (a, b) => {
      const ring = (polygon: Polygon): [number, number][][] => [polygon.map(({ x, y }) => [x, y])]
      const shared = polygonClipping
        .intersection(ring(a), ring(b))
        .flat()
        .reduce((sum, outer) => sum + Math.abs(signedArea(outer.map(([x, y]) => ({ x, y })))), 0)
      expect(liesApart(a, b, 0)).toBe(shared < 1e-9)
    }),
    { numRuns: 400 },
  )
  expect(liesApart(rectangle(0, 0, 10, 10), rectangle(9, 0, 20, 10), 1)).toBe(true)
  expect(liesApart(rectangle(0, 0, 10, 10), rectangle(8.9, 0, 20, 10), 1)).toBe(false)
})
