import fc from 'fast-check'
import { inches } from '~/length'
import type { Move } from '~/model'
import { anyLineWall, met, runs } from '../../../tests/anyWall'
import { lineWall, STRIP } from '../../../tests/lineWalls'
import { reading } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { sawAdvice } from '../cutting/batch'
import { lineOrder } from '../cutting/lineOrder'
import { lineChecks, lineMarks } from './lineMarks'
import { markWalk } from './markWalk'

const base = { on: true, material: STRIP } as const
const diagonals = (deg: number, clear: number): Move => ({
  ...base,
  id: 'm1',
  kind: 'diagonals',
  deg,
  clear: inches(clear),
  start: 'edge',
  where: 'field',
})
const chevron = (more: Partial<Extract<Move, { kind: 'chevron' }>> = {}): Move => ({
  ...base,
  id: 'm1',
  kind: 'chevron',
  slope: { by: 'rise', rise: inches(20) },
  clear: inches(7),
  hand: 'alternating',
  first: 'up',
  start: 'edge',
  bands: 2,
  ...more,
})

describe('marks of struck lines', () => {
  // E12: trigonometry; common practice, no source for the rest
  test('E12, A16: strip, gap and spacer along foot and side, square and along, at 30, 45 and 60 degrees', () => {
    for (const [deg, bottomStrip, bottomGap, sideStrip, sideGap] of [
      [30, 4, 12, 2.309401, 6.928203],
      [45, 2.828427, 8.485281, 2.828427, 8.485281],
      [60, 2.309401, 6.928203, 4, 12],
    ] as const) {
      const plan = computePlan(lineWall(110, 90, [diagonals(deg, 6)]))
      const on = (side: string) =>
        lineMarks(plan.layout, plan.pieces, '1/16').find(
          (each) => each.on.kind === 'side' && each.on.side === side,
        )
      for (const [side, strip, gap] of [
        ['bottom', bottomStrip, bottomGap],
        ['left', sideStrip, sideGap],
      ] as const) {
        const group = on(side)
        const first = group?.marks[1]
        expect(((first?.far.exact ?? 0) - (first?.near.exact ?? 0)) / inches(1)).toBeCloseTo(strip, 5)
        expect((group?.spacer?.along.exact ?? 0) / inches(1)).toBeCloseTo(gap, 5)
        expect((group?.spacer?.square.exact ?? 0) / inches(1)).toBeCloseTo(6, 5)
      }
    }
  })

  test('A16: a spacer of the square gap laid along the frame leaves too little: both are said', () => {
    const plan = computePlan(lineWall(110, 90, [diagonals(45, 8)]))
    const [group] = lineMarks(plan.layout, plan.pieces, '1/16').filter(({ spacer }) => spacer !== null)
    expect((group?.spacer?.along.exact ?? 0) / inches(1)).toBeCloseTo(11.314, 3)
    expect(8 * Math.SQRT1_2).toBeCloseTo(5.657, 3)
  })

  test('chevrons are marked on both faces of every upright, running from its foot', () => {
    const plan = computePlan(lineWall(110, 80, [chevron()], { uprights: 2, border: 'none' }))
    const faces = lineMarks(plan.layout, plan.pieces, '1/16').flatMap(({ on, marks }) =>
      on.kind === 'strip' ? [[on.stripId, on.face, marks.length]] : [],
    )
    expect(faces).toEqual([
      ['stile-1', 'left', 2],
      ['stile-1', 'right', 2],
      ['stile-2', 'left', 2],
      ['stile-2', 'right', 2],
    ])
  })

  test('what to check: across the marks, a straightedge on long strips, a square on branches', () => {
    const plan = computePlan(
      lineWall(110, 90, [
        {
          ...base,
          id: 'm1',
          kind: 'strike',
          from: { at: 'corner', corner: 'bottomLeft' },
          heading: { to: 'angle', deg: 40 },
          until: { kind: 'frame' },
          lies: 'center',
        },
        {
          ...base,
          id: 'm2',
          kind: 'branch',
          off: 'm1.1',
          along: { by: 'middle' },
          side: 'left',
          deg: 90,
          until: { kind: 'hit' },
        },
      ]),
    )
    const checks = lineChecks(plan.layout, plan.pieces, '1/16')
    expect(checks.map(({ straightedge, squareTo }) => [straightedge, squareTo])).toEqual([
      [true, null],
      [true, 'm1.1'],
    ])
  })

  test('law: marks lie on what they are made on, in order, and their ends are ends of the piece', () => {
    let marked = 0
    fc.assert(
      fc.property(anyLineWall, ({ wall, settings }) => {
        const plan = computePlan({ wall, settings })
        for (const { marks } of lineMarks(plan.layout, plan.pieces, settings.tape)) {
          marks.forEach(({ near, far, pieceId }, i) => {
            marked += 1
            expect(near.exact).toBeGreaterThanOrEqual(-100_000)
            expect(far.exact).toBeGreaterThanOrEqual(near.exact)
            expect(near.exact).toBeGreaterThanOrEqual((marks[i - 1]?.near.exact ?? -Infinity) - 1)
            const piece = plan.pieces.find(({ id }) => id === pieceId)
            // no mark of an end is wider than the piece is long
            expect(far.exact - near.exact).toBeLessThanOrEqual(
              (piece?.longLength ?? 0) + (piece?.faceWidth ?? 0) * 2,
            )
          })
        }
      }),
      { numRuns: runs(60) },
    )
    expect(marked).toBeGreaterThan(met(100))
  })
})

describe('the order they go on in', () => {
  test('longest first, then what lands on it, whatever stands first in the list', () => {
    const strike = (id: string, deg: number, from: number): Move => ({
      ...base,
      id,
      kind: 'strike',
      from: { at: 'side', side: 'bottom', along: { by: 'distance', from: 'start', distance: inches(from) } },
      heading: { to: 'angle', deg },
      until: { kind: 'hit' },
      lies: 'center',
    })
    const plan = computePlan(
      lineWall(120, 80, [
        strike('m1', 90, 100),
        strike('m2', 45, 4),
        {
          ...base,
          id: 'm3',
          kind: 'branch',
          off: 'm2.1',
          along: { by: 'middle' },
          side: 'left',
          deg: 90,
          until: { kind: 'hit' },
        },
        strike('m4', 135, 96),
      ]),
    )
    const order = lineOrder(plan.layout, plan.pieces, lineMarks(plan.layout, plan.pieces, '1/16'))

    expect(order.indexOf('m2.1')).toBeLessThan(order.indexOf('m3.1'))
    expect(order.indexOf('m2.1')).toBeLessThan(order.indexOf('m4.1'))
    expect(order[0]).toBe('m2.1')
  })

  test('law: every struck strip goes on, and goes on once', () => {
    fc.assert(
      fc.property(anyLineWall, ({ wall, settings }) => {
        const plan = computePlan({ wall, settings })
        const marks = lineMarks(plan.layout, plan.pieces, settings.tape)
        const order = lineOrder(plan.layout, plan.pieces, marks)
        expect(new Set(order).size).toBe(order.length)
        expect([...order].sort()).toEqual(
          [
            ...new Set(plan.pieces.filter(({ role }) => role === 'line').map(({ stripId }) => stripId)),
          ].sort(),
        )
      }),
      { numRuns: runs(40) },
    )
  })
})

describe('slants, move by move', () => {
  const groupsOf = (...of: Parameters<typeof lineWall>) => {
    const { wall, settings } = lineWall(...of)
    // both sizes measured twice, on a true wall
    const [width, height] = of
    const readings = [
      reading('width', 4, width),
      reading('width', 70, width),
      reading('height', 4, height),
      reading('height', 90, height),
      reading('floorFall', 90, 0),
    ].map((each, i) => ({ ...each, id: `r${i}` }))
    const workpiece = { wall: { ...wall, survey: { ...wall.survey, readings } }, settings }
    return sawAdvice(computePlan(workpiece), workpiece).groups()
  }

  test('true equal bays: all slants of a chevron are one batch', () => {
    expect(groupsOf(110, 80, [chevron()], { uprights: 2 })).toMatchObject([
      { pieces: 6, alike: 6, short: 0, differs: 0, advice: { advice: 'batch' } },
    ])
  })

  test('bays that differ make slants that differ, and it says by how much', () => {
    const [group] = groupsOf(110, 80, [chevron()], {
      uprights: 2,
      spacing: { school: 'fromEnd', wish: inches(30), measure: 'gap', end: 'left', startWith: 'gap' },
    })
    expect(group?.advice).toMatchObject({ advice: 'measureInPlace', why: 'slantsDiffer' })
    expect(group?.differs).toBeGreaterThan(inches(1))
  })

  test('ends that die into a corner are held up and marked', () => {
    const strike: Move = {
      ...base,
      id: 'm1',
      kind: 'strike',
      from: { at: 'corner', corner: 'bottomLeft' },
      heading: { to: 'point', point: { at: 'corner', corner: 'topRight' }, edge: 'same' },
      until: { kind: 'hit' },
      lies: 'center',
    }
    expect(groupsOf(90, 60, [strike])).toMatchObject([{ advice: { advice: 'scribe', why: 'intoCorner' } }])
  })

  test('bands cut short by the frame are told apart from those that run from upright to upright', () => {
    expect(groupsOf(110, 80, [chevron({ bands: null })], { uprights: 2 })[0]).toMatchObject({
      advice: { advice: 'batch' },
      differs: 0,
    })
  })
})

// by hand: bands 2 in wide and 8 clear at 37 degrees come every 10 / cos 37 = 12.5214 up the line they meet on
test('a chevron without an upright has its marks on the middle line, at equal steps, each to be ticked by itself', () => {
  const chevron: Move = {
    on: true,
    material: STRIP,
    id: 'm1',
    kind: 'chevron',
    slope: { by: 'angle', deg: 37 },
    clear: inches(8),
    hand: 'alternating',
    first: 'up',
    start: 'edge',
    bands: null,
  }
  const workpiece = lineWall(76, 61, [chevron], { border: 'miter' })
  const plan = computePlan(workpiece)
  const marks = lineMarks(plan.layout, plan.pieces, workpiece.settings.tape)
  const middle = marks.filter(({ on }) => on.kind === 'middle')
  expect(middle).toHaveLength(1)
  const nears = [
    ...new Set(middle.flatMap(({ marks: on }) => on.map(({ near }) => near.exact / 25.4e6))),
  ].sort((a, b) => a - b)
  expect(nears.length).toBeGreaterThan(2)
  const steps = nears.slice(1).map((at, i) => at - (nears[i] ?? 0))
  for (const step of steps.slice(1, -1)) expect(step).toBeCloseTo(10 / Math.cos((37 * Math.PI) / 180), 3)
  const ids = markWalk(plan, workpiece, { datum: 'left', hook: 'foot', laser: null }).map(({ id }) => id)
  expect(new Set(ids).size).toBe(ids.length)
  expect(ids.some((id) => id.startsWith('line/middle/'))).toBe(true)
})
