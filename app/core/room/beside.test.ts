import fc from 'fast-check'
import { Polygon as Outline } from '@flatten-js/core'
import { shared } from '../../../tests/areas'
import { reading, wallOf } from '../../../tests/namedWalls'
import { inches, toInches } from '~/length'
import { type CornerEnd, type Design, type JobFile, type Reading, type Workpiece } from '~/model'
import { computePlan } from '../computePlan'
import { saidOfJob } from '../planSupplies'
import { cornerOf } from '../layout/corners'
import { JOINTS } from './fittingOrder'
import { asRooms } from './beside'

const corner = (side: 'Left' | 'Right', deg: number, turn: 'inside' | 'outside'): Reading => ({
  id: `corner-${side}`,
  kind: `corner${side}`,
  deg,
  turn,
  method: 'tape',
  takenAt: '2026-11-02T08:00:00Z',
})

function wall(
  side: 'left' | 'right',
  end: CornerEnd,
  material: string,
  deg: number,
  turn: 'inside' | 'outside',
  design: Partial<Design> = {},
): Workpiece {
  const at = side === 'left' ? ('Left' as const) : ('Right' as const)
  return wallOf(
    {
      width: inches(104),
      height: inches(95),
      readings: [corner(at, deg, turn)],
      turns: { left: side === 'left' ? turn : 'inside', right: side === 'right' ? turn : 'inside' },
    },
    {
      pattern: 'rails',
      topRail: null,
      cap: null,
      foot: { kind: 'floor' },
      rails: [{ id: 'r', use: 'rail', material, lay: 'edge', top: { rule: 'typed', value: inches(36) } }],
      corners: side === 'left' ? { left: end, right: 'run' } : { left: 'run', right: end },
      ...design,
    },
  )
}

/** The two rails of a corner in plan, inches: the corner at 0, the left wall back along -x, the room in front of it. */
function inPlan(a: Workpiece, b: Workpiece, deg: number, turn: 'inside' | 'outside') {
  const met = asRooms([
    { id: 'a', workpiece: a },
    { id: 'b', workpiece: b },
  ])
  const rail = (i: number) => {
    const workpiece = met[i]?.workpiece
    const piece = workpiece && computePlan(workpiece).pieces[0]
    const stuff = workpiece?.settings.materials.find(({ id }) => id === piece?.materialId)
    if (!piece || !workpiece || !stuff) throw new Error('no rail')
    return { piece, thick: toInches(stuff.thickness), width: toInches(workpiece.wall.survey.width) }
  }
  const [left, right] = [rail(0), rail(1)]
  const xs = (polygon: readonly { x: number }[]) => polygon.map(({ x }) => toInches(x as never))
  const faceEnd = Math.max(...xs(left.piece.polygon)) - left.width
  const faceStart = Math.min(...xs(right.piece.polygon))
  // how much farther the back reaches than the face, at each
  const back = (cut: typeof left.piece.start, thick: number) =>
    cut.kind === 'cornerMiter'
      ? (cut.longSide === 'back' ? 1 : -1) * thick * Math.tan((cut.sawSettingDeg * Math.PI) / 180)
      : 0
  const backEnd = faceEnd + back(left.piece.end, left.thick)
  const backStart = faceStart - back(right.piece.start, right.thick)
  const angle = ((turn === 'inside' ? deg : 360 - deg) * Math.PI) / 180
  // along the right wall by so much, and in front of it by so much
  const onRight = (along: number, out: number): [number, number] => {
    const direction = Math.PI - angle
    return [
      along * Math.cos(direction) - out * Math.sin(direction),
      -along * Math.sin(direction) - out * Math.cos(direction),
    ]
  }
  const one: [number, number][] = [
    [-40, 0],
    [backEnd, 0],
    [faceEnd, -left.thick],
    [-40, -left.thick],
  ]
  const other = [
    onRight(backStart, 0),
    onRight(40, 0),
    onRight(40, right.thick),
    onRight(faceStart, right.thick),
  ]
  return { one, other, faceEnd, backEnd, faceStart, backStart }
}

/** The least distance between two outlines that do not overlap. */
function apart(a: readonly [number, number][], b: readonly [number, number][]): number {
  const toSide = ([x, y]: readonly [number, number], ring: readonly (readonly [number, number])[]) =>
    Math.min(
      ...ring.map(([ax, ay], i) => {
        const [bx, by] = ring[(i + 1) % ring.length] ?? [ax, ay]
        const [dx, dy] = [bx - ax, by - ay]
        const t = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)))
        return Math.hypot(x - ax - t * dx, y - ay - t * dy)
      }),
    )
  return Math.min(...a.map((p) => toSide(p, b)), ...b.map((p) => toSide(p, a)))
}

describe('the two rails of a corner', () => {
  // worked by hand from the geometry in plan; common practice, no source
  test('an outside corner: the one that runs goes past by the thickness of the one that butts', () => {
    const { faceEnd, faceStart } = inPlan(
      wall('right', 'run', 'pine-1x4', 90, 'outside'),
      wall('left', 'against', 'pine-1x4', 90, 'outside'),
      90,
      'outside',
    )
    expect([faceEnd, faceStart]).toEqual([0.75, 0])
  })

  test('an inside corner of 135 degrees: the back stops at t / sin, 1.061, and the end is beveled', () => {
    const { faceStart, backStart } = inPlan(
      wall('right', 'run', 'pine-1x4', 135, 'inside'),
      wall('left', 'against', 'pine-1x4', 135, 'inside'),
      135,
      'inside',
    )
    expect(backStart).toBeCloseTo(0.75 / Math.sin(Math.PI / 4), 3)
    expect(faceStart).toBeCloseTo(0.75 / Math.sin(Math.PI / 4) - 0.75, 3)
  })

  test('at 60 degrees its face needs 1.299', () => {
    const { faceStart } = inPlan(
      wall('right', 'run', 'pine-1x4', 60, 'inside'),
      wall('left', 'against', 'pine-1x4', 60, 'inside'),
      60,
      'inside',
    )
    expect(faceStart).toBeCloseTo(1.299, 3)
  })

  test('a thinner rail against a thicker one is shorter by the thicker one', () => {
    const { faceStart } = inPlan(
      wall('right', 'run', 'pine-1x4', 90, 'inside'),
      wall('left', 'against', 'mdf-half', 90, 'inside'),
      90,
      'inside',
    )
    expect(faceStart).toBe(0.75)
  })

  test('with no rail at its height on the next wall it runs to the corner', () => {
    const higher = { rule: 'typed' as const, value: inches(60) }
    const { faceStart } = inPlan(
      wall('right', 'run', 'pine-1x4', 90, 'inside', {
        rails: [{ id: 'r', use: 'rail', material: 'pine-1x4', lay: 'edge', top: higher }],
      }),
      wall('left', 'against', 'pine-1x4', 90, 'inside'),
      90,
      'inside',
    )
    expect(faceStart).toBe(0)
  })

  test('a corner read on one of its walls is read for both', () => {
    const [, b] = asRooms([
      { id: 'a', workpiece: wall('right', 'miter', 'pine-1x4', 100, 'inside') },
      {
        id: 'b',
        workpiece: wallOf(
          { readings: [reading('width', 4, 131)] },
          { corners: { left: 'miter', right: 'run' } },
        ),
      },
    ])
    const rail = b && computePlan(b.workpiece).pieces.find(({ id }) => id === 'topRail')
    expect(rail?.start).toMatchObject({ kind: 'cornerMiter', sawSettingDeg: 40 })
  })

  test('a corner that turns outward on one of its walls does so for both, though it was never read', () => {
    const plain = (left: 'inside' | 'outside', right: 'inside' | 'outside') =>
      wallOf({ turns: { left, right } })
    const met = (a: 'inside' | 'outside', b: 'inside' | 'outside') => {
      const [first, second] = asRooms([
        { id: 'a', workpiece: plain('inside', a) },
        { id: 'b', workpiece: plain(b, 'inside') },
      ])
      if (!first || !second) throw new Error('no walls')
      return [
        cornerOf(first.workpiece.wall.survey, 'right', first.workpiece.beside?.right).turn,
        cornerOf(second.workpiece.wall.survey, 'left', second.workpiece.beside?.left).turn,
      ]
    }
    expect(met('outside', 'inside')).toEqual(['outside', 'outside'])
    expect(met('inside', 'outside')).toEqual(['outside', 'outside'])
    expect(met('inside', 'inside')).toEqual(['inside', 'inside'])
  })

  test('an end at which no wall stands meets nothing, whichever of the two says so', () => {
    const turned = (left: 'inside' | 'none', right: 'inside' | 'none') => wallOf({ turns: { left, right } })
    for (const [a, b] of [
      ['none', 'inside'],
      ['inside', 'none'],
      ['none', 'none'],
    ] as const) {
      const [first, second] = asRooms([
        { id: 'a', workpiece: turned('inside', a) },
        { id: 'b', workpiece: turned(b, 'inside') },
      ])
      expect(first?.workpiece.beside?.right).toBeUndefined()
      expect(second?.workpiece.beside?.left).toBeUndefined()
    }
  })

  test('law: in plan the two touch and do not overlap, at any angle, of any two thicknesses', () => {
    const joints = Object.values(JOINTS).filter(([a, b]) => a !== 'cope' && b !== 'cope')
    fc.assert(
      fc.property(
        fc.constantFrom(...joints),
        fc.constantFrom('pine-1x4', 'mdf-half', 'lattice'),
        fc.constantFrom('pine-1x4', 'mdf-half', 'lattice'),
        fc.integer({ min: 55, max: 150 }),
        fc.constantFrom('inside' as const, 'outside' as const),
        ([a, b], one, other, deg, turn) => {
          // a right angle read on both walls
          const plan = inPlan(wall('right', a, one, deg, turn), wall('left', b, other, deg, turn), deg, turn)
          // 1/64 in over 3/4 in is as good as square
          expect(shared(new Outline(plan.one), new Outline(plan.other))).toBeLessThan(0.75 / 64)
          expect(apart(plan.one, plan.other)).toBeLessThan(1 / 64)
        },
      ),
      { numRuns: 300 },
    )
  })
})

describe('the walls of a room, one beside the other', () => {
  const named = (id: string, room: string, top: number) => ({
    id,
    room,
    workpiece: wallOf({}, { height: { rule: 'typed', value: inches(top) }, foot: { kind: 'floor' } }),
  })
  /** The tops of the rails at both ends of each wall. */
  const tops = (walls: readonly ReturnType<typeof named>[]) =>
    asRooms(walls).map(({ workpiece: { beside } }) =>
      (['left', 'right'] as const).map(
        (side) => beside?.[side]?.bands.map(({ top }) => toInches(top)).at(0) ?? null,
      ),
    )

  test('of two the second stands to the right of the first, and there is no third corner', () => {
    expect(tops([named('a', 'r', 60), named('b', 'r', 40)])).toEqual([
      [null, 40],
      [60, null],
    ])
  })

  test('three go all round, each room by itself; one alone meets nothing', () => {
    expect(
      tops([named('a', 'r', 60), named('x', 's', 70), named('b', 'r', 40), named('c', 'r', 50)]),
    ).toEqual([
      [50, 40],
      [null, null],
      [60, 50],
      [40, 60],
    ])
  })

  test('a wall set apart meets nothing, and nothing meets it', () => {
    const [a, b] = [named('a', 'r', 60), named('b', 'r', 40)]
    const apart = {
      ...b,
      workpiece: wallOf({}, { apart: true, height: { rule: 'typed', value: inches(40) } }),
    }
    expect(tops([a, apart])).toEqual([
      [null, null],
      [null, null],
    ])
  })

  test('what a job takes is worked out of its rooms as they are', () => {
    const at = (top: number, more: Partial<Design> = {}) => {
      const { wall, settings } = wallOf(
        {},
        {
          height: { rule: 'typed', value: inches(top) },
          corners: { left: 'against', right: 'against' },
          ...more,
        },
      )
      return { ...wall, settings }
    }
    const [one, other] = [at(60), at(30)]
    const file = {
      name: 'j',
      settings: one.settings,
      rooms: [
        {
          id: 'r',
          name: 'r',
          walls: [one, other].map(({ survey, design }, i) => ({
            id: `w${i}`,
            name: `w${i}`,
            survey,
            design,
          })),
        },
      ],
    } as unknown as JobFile
    const { supplies, tasks } = saidOfJob(file)
    expect(supplies.length).toBeGreaterThan(0)
    expect(tasks.length).toBeGreaterThan(0)
  })
})
