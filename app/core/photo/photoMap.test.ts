import { computePlan } from '../computePlan'
import { anyMeetingWall, runs } from '../../../tests/anyWall'
import fc from 'fast-check'
import { measureOnPhoto, onPhoto, onWall, photoMap } from './photoMap'
import { boundsOf, signedArea } from '../geometry'
import { knownPlaces, photoScene } from './photoScene'

const INCH = 25_400_000
const width = 4000
const height = 3000
// L3's wall and picture
const corner = (id: string, wall: [number, number], at: [number, number]) => ({
  id,
  wall: { x: wall[0] * INCH, y: wall[1] * INCH },
  at: { x: at[0] / width, y: at[1] / height },
})
const CORNERS = [
  corner('a', [0, 0], [310, 2510]),
  corner('b', [150, 0], [3690, 2290]),
  corner('c', [150, 96], [3570, 650]),
  corner('d', [0, 96], [430, 410]),
]
const seen = { points: CORNERS, lens: false, width, height }

describe('a photograph of a wall', () => {
  test('too few points, points in a line, crossed and bent inward are each told', () => {
    const swapped = [CORNERS[1], CORNERS[0], ...CORNERS.slice(2)].map((point, i) => ({
      ...(CORNERS[i] ?? CORNERS[0]!),
      at: point?.at ?? { x: 0, y: 0 },
    }))
    const at = (x: number, y: number) =>
      CORNERS.map((point, i) => (i === 2 ? { ...point, at: { x, y } } : point))
    expect(photoMap({ ...seen, points: CORNERS.slice(0, 3) })).toBe('fewPoints')
    expect(photoMap({ ...seen, points: swapped })).toBe('crossed')
    expect(photoMap({ ...seen, points: at(0.3, 0.6) })).toBe('bentInward')
    expect(
      photoMap({
        ...seen,
        points: at(310 / width + (3380 / width) * 0.5, 2510 / height - (220 / height) * 0.5),
      }),
    ).toBe('inLine')
  })

  test('four points miss by nothing; a fifth that is off is told by how much', () => {
    const four = photoMap(seen)
    if (typeof four === 'string') throw new Error(four)
    expect(Math.max(...four.misses)).toBeLessThan(1e-6)
    const middle = onPhoto(four, { x: 75 * INCH, y: 48 * INCH })
    const fifth = corner('e', [75, 48], [middle.x + 12, middle.y])
    const five = photoMap({ ...seen, points: [...CORNERS, fifth] })
    if (typeof five === 'string') throw new Error(five)
    expect(five.misses[4]).toBeGreaterThan(4)
    expect(five.misses[4]).toBeLessThan(12)
  })

  test('L3: two places are 49.01 in apart, and both 2 px off make at most 0.2466 in of it', () => {
    const read = measureOnPhoto(seen, { x: 2000, y: 1500 }, { x: 1000, y: 1000 })
    expect((read?.distance ?? 0) / INCH).toBeCloseTo(49.010025, 5)
    expect((read?.ends ?? 0) / INCH).toBeCloseTo(0.2466, 4)
    // the points of the map are put no better than its ends
    expect(read?.likely).toBeGreaterThan(read?.ends ?? Infinity)
  })

  test('what is read back is where it was, for any place on the wall', () => {
    const found = photoMap(seen)
    if (typeof found === 'string') throw new Error(found)
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 150 }), fc.integer({ min: 0, max: 96 }), (x, y) => {
        const back = onWall(found, onPhoto(found, { x: x * INCH, y: y * INCH }))
        expect(Math.hypot(back.x - x * INCH, back.y - y * INCH)).toBeLessThan(100)
      }),
    )
  })
})

describe('a plan on a photograph', () => {
  test('over random walls every piece is drawn where the map puts it, and its shade the other way from the light', () => {
    fc.assert(
      fc.property(anyMeetingWall, fc.constantFrom(null, 0, 45, 90, 135, 180), (workpiece, lightDeg) => {
        const plan = computePlan(workpiece)
        const { survey } = workpiece.wall
        const corners = knownPlaces(plan, survey).filter(({ of }) => of === 'wall')
        expect(corners).toHaveLength(4)
        const points = corners.map(({ at }, i) => ({
          id: String(i),
          wall: at,
          at: CORNERS[i]?.at ?? { x: 0, y: 0 },
        }))
        const found = photoMap({ points, lens: false, width, height })
        if (typeof found === 'string') return
        const nodes = photoScene(plan, survey, found, lightDeg)
        const strips = nodes.filter(({ kind }) => kind === 'strip')
        expect(strips.map(({ id }) => id).sort()).toEqual(plan.pieces.map(({ id }) => id).sort())
        for (const { id, points: drawn } of strips) {
          const piece = plan.pieces.find((each) => each.id === id)
          piece?.polygon.forEach((point, i) => {
            const at = onPhoto(found, point)
            expect(Math.hypot(at.x - (drawn[i]?.x ?? 0), at.y - (drawn[i]?.y ?? 0))).toBeLessThan(1e-6)
          })
        }
        expect(nodes.some(({ kind }) => kind === 'shadow')).toBe(lightDeg !== null && strips.length > 0)
        // the farthest of each shade lies as far from the light as its piece stands out, along where the light comes from
        if (lightDeg === null) return
        const light = (lightDeg * Math.PI) / 180
        for (const { id, polygon, stripId, materialId } of plan.pieces) {
          const by =
            plan.layout.bands.find((band) => band.id === stripId)?.standsOut ??
            plan.layout.materials.get(materialId)?.thickness ??
            0
          const shade = nodes.find((each) => each.id === `${id}-shade-0`)
          expect(shade !== undefined).toBe(by > 0)
          if (!shade) continue
          polygon.forEach((point, i) => {
            const [x, y] = [point.x - Math.cos(light) * by, point.y - Math.sin(light) * by]
            const at = onPhoto(found, { x, y })
            const drawn = shade?.points[i] ?? { x: NaN, y: NaN }
            expect(Math.hypot(at.x - drawn.x, at.y - drawn.y)).toBeLessThan(1e-6)
          })
        }
        // of a square piece the edges turned to the light are lit, those turned away dim
        for (const { id, polygon } of plan.pieces.filter((each) => each.polygon.length === 4)) {
          const box = boundsOf(polygon)
          if (lightDeg % 90 !== 0 || Math.max(box.right - box.left, box.top - box.bottom) > 30 * INCH)
            continue
          if (Math.abs(Math.abs(signedArea(polygon)) - (box.right - box.left) * (box.top - box.bottom)) > 1e9)
            continue
          const center = { x: (box.left + box.right) / 2, y: (box.bottom + box.top) / 2 }
          const lightAt = { x: center.x + Math.cos(light) * INCH, y: center.y + Math.sin(light) * INCH }
          const [from, to] = [onPhoto(found, center), onPhoto(found, lightAt)]
          for (const kind of ['lit', 'dim'] as const)
            for (const node of nodes.filter((each) => each.id.startsWith(`${id}-${kind}-`))) {
              // the outer edge of what is drawn along it comes first
              const [a, b] = node.points
              const at = { x: ((a?.x ?? 0) + (b?.x ?? 0)) / 2, y: ((a?.y ?? 0) + (b?.y ?? 0)) / 2 }
              const toward = (at.x - from.x) * (to.x - from.x) + (at.y - from.y) * (to.y - from.y)
              expect(Math.sign(toward)).toBe(kind === 'lit' ? 1 : -1)
            }
        }
        // an edge is lit or dim, never both, and without a light neither
        const lit = nodes.filter(({ kind }) => kind === 'lit' || kind === 'dim').map(({ id }) => id)
        expect(new Set(lit).size).toBe(lit.length)
      }),
      { numRuns: runs(40) },
    )
  })
})
