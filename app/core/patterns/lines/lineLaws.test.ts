import fc from 'fast-check'
import polygonClipping from 'polygon-clipping'
import { inches } from '~/length'
import { type Design, type Lines, LIMITS, type Move, withDesign } from '~/model'
import { anyLines, inLines } from '../../../../tests/anyLines'
import { met, runs } from '../../../../tests/anyWall'
import { lineWall, STRIP } from '../../../../tests/lineWalls'
import { thing } from '../../../../tests/namedWalls'
import { computePlan } from '../../computePlan'
import type { Polygon } from '../../geometry'
import type { Piece } from '../../pieces'

type Ring = [number, number][]
const ring = (polygon: Polygon): [Ring] => [
  polygon.map(({ x, y }): [number, number] => [x / inches(1), y / inches(1)]),
]
const areaOf = (shapes: Ring[][]) =>
  shapes.flat().reduce((sum, points, i) => sum + (i >= 0 ? signed(points) : 0), 0)
const signed = (points: Ring) =>
  points.reduce((sum, [x, y], i) => {
    const [nextX, nextY] = points[(i + 1) % points.length] ?? [x, y]
    return sum + (x * nextY - nextX * y) / 2
  }, 0)
const base = { on: true, material: STRIP } as const

/** A wall nothing stands on, in any list of moves. */
const anyBare = fc
  .tuple(
    anyLines,
    fc.constantFrom<Design['border']>('none', 'butt', 'miter'),
    fc.integer({ min: 70, max: 180 }),
  )
  .map(([lines, border, width]) => {
    const wall = inLines(lineWall(width, 84, []), { ...lines, crossings: [] })
    return { ...wall, wall: { ...wall.wall, design: withDesign(wall.wall.design, { border }) } }
  })

describe('laws of struck lines', () => {
  test('D3: the pieces cover what their union covers: nothing twice, and nothing beside the field', () => {
    let struck = 0
    fc.assert(
      fc.property(anyBare, (workpiece) => {
        const { pieces, findings } = computePlan(workpiece)
        // strips that all but lie along one another are told, not cut
        if (findings.some(({ says }) => says.code === 'stripsShareWall')) return
        struck += pieces.filter(({ role }) => role === 'line').length
        const [first, ...more] = pieces.map(({ polygon }) => ring(polygon))
        if (!first) return
        let union: number
        try {
          union = areaOf(polygonClipping.union(first, ...more) as Ring[][])
        } catch {
          // the library gives up on edges that all but coincide
          return
        }
        const sum = pieces.reduce((total, { polygon }) => total + Math.abs(signed(ring(polygon)[0])), 0)
        expect(sum - union).toBeLessThan(0.05 + 0.002 * pieces.length)
      }),
      { numRuns: runs(80) },
    )
    expect(struck).toBeGreaterThan(met(300))
  })

  const makers: Move[] = [
    {
      ...base,
      id: 'm1',
      kind: 'chevron',
      slope: { by: 'angle', deg: 37 },
      clear: inches(9),
      hand: 'alternating',
      first: 'up',
      start: 'edge',
      bands: null,
    },
    { ...base, id: 'm1', kind: 'diamonds', clear: inches(4), count: null, where: 'field' },
    { ...base, id: 'm1', kind: 'lattice', deg: 45, clear: inches(14), start: 'center', where: 'field' },
    { ...base, id: 'm1', kind: 'sunburst', side: 'bottom', rays: 5, inner: inches(5), where: 'field' },
    {
      ...base,
      id: 'm1',
      kind: 'corners',
      corners: ['bottomLeft', 'bottomRight'],
      first: inches(3),
      clear: inches(5),
      count: 3,
      where: 'field',
    },
  ]
  const lengths = (pieces: readonly Piece[]) =>
    pieces.filter(({ role }) => role === 'line').map(({ longLength }) => longLength)

  test('D6: scaled, a wall has scaled lines; inches or millimeters, it has the same', () => {
    for (const move of makers) {
      const wall = lineWall(133, 77, [move], { uprights: 3, border: 'miter' })
      const now = lengths(computePlan(wall).pieces)
      const inMm = { ...wall, settings: { ...wall.settings, units: 'mm' as const, tape: '1 mm' as const } }
      expect(lengths(computePlan(inMm).pieces)).toEqual(now)
    }
  })

  test('D6: symmetrical moves on a symmetrical wall are their own mirror image', () => {
    for (const move of makers.filter(({ kind }) => kind !== 'lattice')) {
      const { pieces, layout } = computePlan(lineWall(133, 77, [move], { uprights: 3, border: 'miter' }))
      const about = (layout.left + layout.right) / 2
      const middles = pieces
        .filter(({ role }) => role === 'line')
        .map(({ polygon }) => {
          const mean = (key: 'x' | 'y') =>
            polygon.reduce((sum, point) => sum + point[key], 0) / polygon.length
          return { x: mean('x'), y: mean('y') }
        })
      for (const { x, y } of middles)
        expect([
          move.kind,
          middles.some((other) => Math.hypot(other.x - (2 * about - x), other.y - y) < 2000),
        ]).toEqual([move.kind, true])
    }
  })

  test('a wall found an inch longer: all is struck anew, nothing lost, no move changed', () => {
    for (const move of makers) {
      const before = lineWall(133, 77, [move], { uprights: 3, border: 'miter' })
      const after = {
        ...before,
        wall: { ...before.wall, survey: { ...before.wall.survey, width: inches(134) } },
      }
      const [was, now] = [computePlan(before), computePlan(after)]
      expect(now.layout.moves?.moves[0]?.stripIds).toEqual(was.layout.moves?.moves[0]?.stripIds)
      expect(now.layout.moves?.moves[0]?.issues).toEqual([])
      const right = Math.max(...now.pieces.flatMap(({ polygon }) => polygon.map(({ x }) => x)))
      expect(right).toBe(inches(134))
    }
  })

  test('copies are of the stuff of what they copy; of other stuff they still lie as clear as was said', () => {
    const strike: Move = {
      ...base,
      id: 'm1',
      kind: 'strike',
      from: { at: 'side', side: 'bottom', along: { by: 'middle' } },
      heading: { to: 'angle', deg: 90 },
      until: { kind: 'frame' },
      lies: 'center',
    }
    const repeat = (material: string | null): Move => ({
      on: true,
      material,
      id: 'm2',
      kind: 'repeat',
      of: 'm1',
      clear: inches(6),
      side: 'right',
      times: 2,
    })
    const mirror: Move = {
      on: true,
      material: null,
      id: 'm3',
      kind: 'mirror',
      of: ['m2'],
      about: { line: 'upright' },
    }
    for (const [material, width] of [
      [null, 2],
      ['three', 3],
    ] as const) {
      const { pieces } = computePlan(
        lineWall(100, 60, [strike, repeat(material), mirror], { battenMaterial: 'pine-1x2' }),
      )
      const spans = pieces
        .map(({ polygon }) => polygon.map(({ x }) => x / inches(1)))
        .map((xs) => [Math.min(...xs), Math.max(...xs)])
      const [first = [], second = [], third = []] = spans
      expect((second[0] ?? 0) - (first[1] ?? 0)).toBeCloseTo(6, 6)
      expect((third[0] ?? 0) - (second[1] ?? 0)).toBeCloseTo(6, 6)
      expect(spans.slice(1).map(([from = 0, to = 0]) => to - from)).toEqual(
        [1, 2, 3, 4].map(() => expect.closeTo(width, 6)),
      )
    }
  })

  test('C3: a framing square’s table (carpenter’s handbook): length per foot of run for each inch of rise', () => {
    const table = [
      12.04, 12.17, 12.37, 12.65, 13, 13.42, 13.89, 14.42, 15, 15.62, 16.28, 16.97, 17.69, 18.44, 19.21, 20,
      20.81, 21.63,
    ]
    table.forEach((expected, i) => {
      const deg = (Math.atan((i + 1) / 12) * 180) / Math.PI
      const [piece] = computePlan(
        lineWall(12, 60, [
          {
            ...base,
            id: 'm1',
            kind: 'strike',
            from: { at: 'corner', corner: 'bottomLeft' },
            heading: { to: 'angle', deg },
            until: { kind: 'frame' },
            lies: 'left',
          },
        ]),
      ).pieces
      // from face to face along its lower edge, which is its whole length less one slanted end
      const slant = inches(2) * Math.tan((deg * Math.PI) / 180)
      expect(((piece?.longLength ?? 0) - slant) / inches(1)).toBeCloseTo(expected, 2)
    })
  })

  test('nested corners by hand: legs of a right angle, mitered at 45, each longer by strip and clearance', () => {
    const found = computePlan(
      lineWall(90, 70, [
        {
          ...base,
          id: 'm1',
          kind: 'corners',
          corners: ['bottomLeft'],
          first: inches(4),
          clear: inches(5),
          count: 3,
          where: 'field',
        },
      ]),
    ).pieces.filter(({ role }) => role === 'line')
    // from the side to the outer corner: 4 + 2, 11 + 2, 18 + 2
    expect(found.map(({ longLength }) => longLength / inches(1))).toEqual(
      [6, 6, 13, 13, 20, 20].map((each) => expect.closeTo(each, 6)),
    )
    expect(
      found.every(({ start, end }) =>
        [start, end].some((cut) => cut.kind === 'miter' && Math.abs(cut.sawSettingDeg - 45) < 1e-6),
      ),
    ).toBe(true)
  })
})

describe('bad input is told, with ways out, and never breaks the drawing', () => {
  const strike = (more: Partial<Extract<Move, { kind: 'strike' }>> = {}): Move => ({
    ...base,
    id: 'm1',
    kind: 'strike',
    from: { at: 'corner', corner: 'bottomLeft' },
    heading: { to: 'angle', deg: 45 },
    until: { kind: 'hit' },
    lies: 'center',
    ...more,
  })
  const tells = (moves: Move[], more: Parameters<typeof lineWall>[3] = {}) =>
    computePlan(lineWall(100, 70, moves, more)).findings.flatMap(({ says, waysOut }) =>
      says.code === 'moveTells' ? [[says.nth, says.issue.code, waysOut.length]] : [],
    )

  test.each([
    ['a line along an edge', [strike({ heading: { to: 'angle', deg: 0 } })], [[1, 'alongEdge', 2]]],
    [
      'the same the other way',
      [strike({ from: { at: 'corner', corner: 'bottomRight' }, heading: { to: 'angle', deg: 180 } })],
      [[1, 'alongEdge', 2]],
    ],
    [
      'a line that leads out of the field',
      [
        strike({
          heading: { to: 'angle', deg: 225 },
          until: { kind: 'length', length: inches(10) },
          from: { at: 'free', from: 'left', across: inches(-20), up: inches(-20) },
        }),
      ],
      [[1, 'missesField', 2]],
    ],
    [
      'a line to where it starts',
      [strike({ heading: { to: 'point', point: { at: 'corner', corner: 'bottomLeft' }, edge: 'same' } })],
      [[1, 'noLength', 2]],
    ],
    [
      'the crossing of parallel lines',
      [
        strike(),
        { ...base, id: 'm2', kind: 'repeat', of: 'm1', clear: inches(8), side: 'right', times: 1 },
        strike({ id: 'm3', from: { at: 'crossing', of: ['m1.1', 'm2.1'] } }),
      ],
      [[3, 'neverHits', 2]],
    ],
    [
      'a mirror that doubles a strip',
      [
        strike({
          from: { at: 'side', side: 'bottom', along: { by: 'middle' } },
          heading: { to: 'angle', deg: 90 },
        }),
        { ...base, id: 'm2', kind: 'mirror', of: ['m1'], about: { line: 'upright' } },
      ],
      [[2, 'doubles', 2]],
    ],
    [
      'a move that refers to itself',
      [{ ...base, id: 'm1', kind: 'repeat', of: 'm1', clear: inches(5), side: 'left', times: null }],
      [[1, 'refersLater', 2]],
    ],
    [
      'a move that refers to what was taken away',
      [strike({ from: { at: 'strip', strip: 'm9.1', edge: 'center', along: { by: 'middle' } } })],
      [[1, 'missing', 2]],
    ],
    [
      'chevrons higher than any bay takes',
      [{ ...base, id: 'm1', kind: 'diamonds', clear: inches(3), count: null, where: 'bays' }],
      [],
    ],
  ] as [string, Move[], unknown[]][])('%s', (_, moves, expected) => {
    expect(tells(moves)).toEqual(expected)
  })

  test('two thousand strips are refused with the number, and the rest is drawn', () => {
    const plan = computePlan(
      lineWall(200, 96, [
        {
          ...base,
          id: 'm1',
          kind: 'herringbone',
          length: inches(3),
          clear: inches(0),
          deg: 45,
          where: 'field',
        },
      ]),
    )
    const says = plan.findings.flatMap((finding) => (finding.says.code === 'moveTells' ? [finding] : []))
    expect(says[0]?.severity).toBe('wrong')
    expect(says[0]?.says).toMatchObject({ issue: { code: 'tooMany', most: LIMITS.lines } })
    expect(plan.pieces.length).toBeLessThanOrEqual(LIMITS.lines)
  })

  test('a strip wholly over an opening is told, and left out in one press', () => {
    const wall = lineWall(100, 90, [
      strike({
        from: { at: 'free', from: 'left', across: inches(45), up: inches(30) },
        until: { kind: 'length', length: inches(10) },
      }),
    ])
    const survey = { ...wall.wall.survey, things: [thing('window', 35, 20, 40, 50)] }
    const plan = computePlan({ ...wall, wall: { ...wall.wall, survey } })
    const found = plan.findings.find(({ says }) => says.code === 'linesVanish')
    expect(found?.waysOut[0]?.edits[0]).toMatchObject({
      patch: { lines: { off: ['m1.1'] } satisfies Partial<Lines> },
    })
  })
})
