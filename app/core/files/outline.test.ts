import { DxfWriter, LWPolylineFlags, point2d, Units } from '@tarikjabiri/dxf'
import { BooleanOperations, point, Polygon as Flat, segment } from '@flatten-js/core'
import fc from 'fast-check'
import { inches, nanometers } from '~/length'
import { blankSurvey, startingDesign, startingSettings, type Survey } from '~/model'
import { computePlan } from '../computePlan'
import { outlineOf } from '../survey/obstacles'
import type { Polygon } from '../geometry'
import { wallOutline, wallShape } from '../survey/wallShape'
import { NM_PER_UNIT, readOutline } from './outline'
import { surveyFromOutline } from './outlineSurvey'

const NOW = '2031-05-02T08:00:00.000Z'
const ids = () => {
  let n = 0
  return () => `o${(n += 1)}`
}
const svg = (inner: string, more = 'width="4000mm" viewBox="0 0 4000 2500"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${more}>${inner}</svg>`
const mm = (points: Polygon) => points.map(({ x, y }) => ({ x: x * 1e6, y: y * 1e6 }))
function lineIn(text: string, kind: 'svg' | 'dxf' = 'svg') {
  const read = readOutline(text, kind)
  if (!read.ok) throw new Error(read.issue.code)
  return read.value
}

describe('an outline from SVG', () => {
  test('polygon, rect and path give the same wall, in true units, whatever they are moved by', () => {
    const four = [
      svg('<polygon points="0,0 4000,0 4000,2500 0,2500"/>'),
      svg('<rect width="4000" height="2500"/>'),
      svg('<path d="M0 0h4000v2500H0z"/>'),
      svg(
        '<g transform="translate(10 20)"><g transform="scale(2)"><path d="m0 0l2000 0 0 1250-2000 0Z"/></g></g>',
      ),
    ].map((text) => lineIn(text))
    for (const { points, nmPer, others } of four) {
      expect(nmPer).toBe(1e6)
      expect(others).toBe(0)
      const xs = points.map(({ x }) => x)
      const ys = points.map(({ y }) => y)
      expect([Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)]).toEqual([4000, 2500])
    }
  })

  test('the largest closed line counts, what is drawn nowhere does not, and units that are not said are asked for', () => {
    const read = lineIn(
      svg(
        '<defs><rect width="9000" height="9000"/></defs><rect width="40" height="20"/><rect width="400" height="200"/><path d="M0 0L10 10"/>',
        'width="400" viewBox="0 0 400 200"',
      ),
    )
    expect(read.others).toBe(1)
    expect(read.nmPer).toBeNull()
    expect(Math.max(...read.points.map(({ x }) => x))).toBe(400)
  })

  test('an arc comes as straight bits on its circle', () => {
    const { points } = lineIn(svg('<path d="M0 1000 A1000 1000 0 0 1 2000 1000 Z"/>'))
    for (const { x, y } of points) expect(Math.hypot(x - 1000, y + 1000)).toBeCloseTo(1000, -1)
  })

  test.each([
    ['', 'unreadable'],
    ['hello', 'unreadable'],
    ['<svg', 'unreadable'],
    ['<html></html>', 'unreadable'],
    [svg(''), 'empty'],
    [svg('<text>4000</text>'), 'empty'],
    [svg('<path d="M0 0L10 0L10 10"/>'), 'open'],
    [svg('<polygon points="0,0 1e400,0 10,10"/>'), 'badNumber'],
    [svg('<polygon points="0,0 a,b 10,10"/>'), 'empty'],
  ])('bad input is told: %s', (text, code) => {
    expect(readOutline(text, 'svg')).toMatchObject({ ok: false, issue: { code } })
  })
})

describe('an outline from DXF', () => {
  const dxf = (points: readonly [number, number][], unit: Units, bulge = 0) => {
    const writer = new DxfWriter()
    writer.setUnits(unit)
    writer.addLWPolyline(
      points.map(([x, y], i) => ({ point: point2d(x, y), ...(bulge && i === 2 ? { bulge } : {}) })),
      { flags: LWPolylineFlags.Closed },
    )
    return writer.stringify()
  }
  test('a closed polyline in its unit', () => {
    const read = lineIn(
      dxf(
        [
          [0, 0],
          [157.5, 0],
          [157.5, 98.25],
          [0, 98.25],
        ],
        Units.Inches,
      ),
      'dxf',
    )
    expect(read.nmPer).toBe(NM_PER_UNIT.in)
    expect(read.points).toHaveLength(4)
    expect(
      lineIn(
        dxf(
          [
            [0, 0],
            [4, 0],
            [4, 2],
          ],
          Units.Unitless,
        ),
        'dxf',
      ).nmPer,
    ).toBeNull()
  })
  test('a bulge is an arc: of half a circle every bit lies on it', () => {
    // from the upper right corner to the upper left one, over the top
    const { points } = lineIn(
      dxf(
        [
          [0, 0],
          [20, 0],
          [20, 10],
          [0, 10],
        ],
        Units.Millimeters,
        1,
      ),
      'dxf',
    )
    const arc = points.filter(({ y }) => y > 10.01)
    expect(arc.length).toBeGreaterThan(20)
    for (const { x, y } of arc) expect(Math.hypot(x - 10, y - 10)).toBeCloseTo(10, 6)
  })
  test.each(['', 'no drawing', '0\nSECTION\n2\nENTITIES\n0\nLWPOLY', '%PDF-1.7'])(
    'bad input is told: %j',
    (text) => {
      expect(readOutline(text, 'dxf')).toMatchObject({ ok: false })
    },
  )
})

describe('a survey from an outline', () => {
  const near = (a: Polygon, b: Polygon, within: number) => {
    const sides = b.map((from, i) => {
      const to = b[(i + 1) % b.length] ?? from
      return segment(point(from.x, from.y), point(to.x, to.y))
    })
    for (const { x, y } of a)
      expect(Math.min(...sides.map((side) => side.distanceTo(point(x, y))[0]))).toBeLessThan(within)
  }
  const taken = (outline: Polygon, before: Survey = blankSurvey()) =>
    surveyFromOutline(outline, before, NOW, ids())

  /** What is left of a survey's wall once its missing parts are off, as area, by an independent library. */
  const areaOf = (survey: Survey) => {
    const flat = (polygon: Polygon) =>
      new Flat(polygon.map(({ x, y }) => [x / 1e6, y / 1e6] as [number, number]))
    const cutOffs = survey.things.filter(({ kind }) => kind === 'cutOff')
    return cutOffs
      .reduce(
        (left, thing) => BooleanOperations.subtract(left, flat(outlineOf(thing))),
        flat(wallOutline(wallShape(survey), survey)),
      )
      .area()
  }

  test('an attic: knee wall, slope, ceiling; the slope is a missing part, as one puts it there by hand', () => {
    const attic = mm([
      { x: 0, y: 0 },
      { x: 4200, y: 0 },
      { x: 4200, y: 2400 },
      { x: 1500, y: 2400 },
      { x: 0, y: 1100 },
    ])
    const made = taken(attic)
    if (!made.ok) throw new Error(made.issue.code)
    expect([made.value.width, made.value.height]).toEqual([4200e6, 2400e6])
    expect(made.value.readings.map(({ kind }) => kind)).toEqual(['width', 'height'])
    expect(made.value.things).toMatchObject([
      { kind: 'cutOff', slope: 'risesRight', left: 0, bottom: 1100e6, width: 1500e6, height: 1300e6 },
    ])
    const plan = computePlan({
      wall: { survey: made.value, design: startingDesign() },
      settings: startingSettings('mm', '1 mm'),
    })
    expect(
      plan.findings.filter(({ stage, severity }) => stage === 'measure' && severity === 'wrong'),
    ).toEqual([])
  })

  test('gables, stairs, steps and bulkheads: rectangles and slopes at any corner come back as what is missing', () => {
    const corner = fc.record({
      x: fc.integer({ min: 0, max: 900 }),
      y: fc.integer({ min: 0, max: 800 }),
      how: fc.constantFrom('slope' as const, 'notch' as const),
    })
    fc.assert(
      fc.property(
        fc.array(corner, { minLength: 4, maxLength: 4 }),
        fc.integer({ min: 2000, max: 6000 }),
        fc.integer({ min: 1800, max: 3000 }),
        (four, width, height) => {
          // counter-clockwise from the lower left: what each corner of the rectangle becomes
          const at = [
            { x: 0, y: 0, first: 'y' },
            { x: width, y: 0, first: 'x' },
            { x: width, y: height, first: 'y' },
            { x: 0, y: height, first: 'x' },
          ] as const
          const points = at.flatMap(({ x, y, first }, i) => {
            const { x: by = 0, y: up = 0, how } = four[i] ?? { how: 'notch' as const }
            // less than a hand is nothing, and a slope at the foot has to be one of a stair
            if (by < 100 || up < 100) return [{ x, y }]
            const [inX, inY] = [x === 0 ? by : width - by, y === 0 ? up : height - up]
            const [alongX, alongY] = [
              { x: inX, y },
              { x, y: inY },
            ]
            const ends = first === 'x' ? [alongX, alongY] : [alongY, alongX]
            return how === 'slope' ? ends : [ends[0] ?? alongX, { x: inX, y: inY }, ends[1] ?? alongY]
          })
          const outline = mm(points)
          const made = taken(outline)
          if (!made.ok) throw new Error(JSON.stringify(made.issue))
          const flat = new Flat(points.map(({ x, y }) => [x, y] as [number, number]))
          expect(Math.abs(areaOf(made.value) - flat.area())).toBeLessThan(50)
        },
      ),
      { numRuns: 200 },
    )
  })

  test('the outline of any surveyed wall, moved anywhere, makes that wall again', () => {
    const lean = fc.integer({ min: -15, max: 15 })
    fc.assert(
      fc.property(
        fc.record({
          width: fc.integer({ min: 40, max: 400 }),
          height: fc.integer({ min: 60, max: 130 }),
          left: lean,
          right: lean,
          floor: fc.array(lean, { maxLength: 4 }),
          ceiling: fc.array(lean, { maxLength: 4 }),
          x: fc.integer({ min: -500, max: 500 }),
          y: fc.integer({ min: -500, max: 500 }),
        }),
        ({ width, height, left, right, floor, ceiling, x, y }) => {
          const reading = (
            kind: 'plumbLeft' | 'plumbRight' | 'floorFall' | 'ceilingFall',
            place: number,
            by: number,
          ) => ({
            id: `${kind}${place}`,
            method: 'tape' as const,
            takenAt: NOW,
            kind,
            place: nanometers(Math.round(place * 25_400_000)),
            value: nanometers(Math.round((by / 16) * 25_400_000)),
          })
          const survey: Survey = {
            ...blankSurvey(),
            width: inches(width),
            height: inches(height),
            readings: [
              ...(left === 0 ? [] : [reading('plumbLeft', height, left)]),
              ...(right === 0 ? [] : [reading('plumbRight', height, right)]),
              ...floor.map((by, i) => reading('floorFall', ((i + 1) * width) / 4, by)),
              ...ceiling.map((by, i) => reading('ceilingFall', ((i + 1) * width) / 4, by)),
            ],
          }
          const outline = wallOutline(wallShape(survey), survey)
          const moved = outline.map((point) => ({ x: point.x + x * 1e6, y: point.y + y * 1e6 }))
          const made = taken(moved)
          if (!made.ok) throw new Error(JSON.stringify(made.issue))
          near(outline, wallOutline(wallShape(made.value), made.value), 800_000)
        },
      ),
      { numRuns: 200 },
    )
  })

  test('what stands on the wall and its corners stay; what was read of its shape gives way', () => {
    const before: Survey = {
      ...blankSurvey(),
      readings: [
        { id: 'c', method: 'tape', takenAt: NOW, kind: 'cornerLeft', turn: 'inside', deg: 91 },
        { id: 'w', method: 'tape', takenAt: NOW, kind: 'width', place: nanometers(0), value: inches(99) },
      ],
      behind: { studs: [inches(16)], wallboard: inches(0.5), keepOuts: [] },
    }
    const made = taken(
      mm([
        { x: 0, y: 0 },
        { x: 3000, y: 0 },
        { x: 3000, y: 2400 },
        { x: 0, y: 2400 },
      ]),
      before,
    )
    if (!made.ok) throw new Error(made.issue.code)
    expect(made.value.behind).toEqual(before.behind)
    expect(made.value.readings.map(({ kind }) => kind)).toEqual(['cornerLeft', 'width', 'height'])
  })

  test('what is neither, and a wall of no size, are told', () => {
    const odd = mm([
      { x: 0, y: 0 },
      { x: 4000, y: 0 },
      { x: 4000, y: 2400 },
      { x: 2600, y: 2400 },
      { x: 2200, y: 1500 },
      { x: 1700, y: 2000 },
      { x: 1400, y: 2400 },
      { x: 0, y: 2400 },
    ])
    expect(taken(odd)).toMatchObject({ ok: false, issue: { code: 'odd' } })
    const dot = mm([
      { x: 0, y: 0 },
      { x: 10, y: 0 },
      { x: 10, y: 10 },
    ])
    expect(taken(dot)).toMatchObject({ ok: false, issue: { code: 'tooSmall' } })
  })
})
