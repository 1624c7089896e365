import { inches, nanometers, toInches } from '~/length'
import type { Design, Settings } from '~/model'
import { reading, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import { cutWall } from '../layout/cutWall'
import { newWidthWays } from './newWidth'
import { recutsBetween } from './recuts'

const design: Partial<Design> = {
  pattern: 'grid',
  topRail: null,
  foot: { kind: 'floor' },
  height: { rule: 'typed', value: inches(113) },
  rows: [1, 1, 1],
  battenMaterial: 'pine-1x4',
  through: 'uprights',
  spacing: { school: 'equalByCount', strips: 6, ends: 'strip' },
}
const wall = (width: number, more: Partial<Design> = {}, settings: Partial<Settings> = {}) =>
  wallOf({ width: inches(width), height: inches(120) }, { ...design, ...more }, settings)
const offered = (workpiece: ReturnType<typeof wallOf>) =>
  computePlan(workpiece).findings.find(({ says }) => says.code === 'widthChanged')
const ways = (workpiece: ReturnType<typeof wallOf>) =>
  (offered(workpiece)?.waysOut ?? []).map(({ says }) => (says.code === 'takeUp' ? says : null))

describe('a wall of 216 that is found to be 217, its five by four set of 20 rails cut', () => {
  const typed = applyEdits(wall(216), [{ type: 'patchSurvey', patch: { width: inches(217) } }])

  test('whatever way the width came in, the same ways out (A5: recuts 20, 4, 8, 0)', () => {
    const reread = wallOf(
      {
        width: inches(216),
        height: inches(120),
        readings: [reading('width', 40, 216), reading('width', 40, 217)],
      },
      design,
    )
    const readOnce = wallOf(
      { width: inches(216), height: inches(120), readings: [reading('width', 40, 217)] },
      design,
    )
    for (const workpiece of [typed, reread, readOnce])
      expect(ways(workpiece).map((way) => [way?.uptake, way?.recut])).toEqual([
        ['even', 20],
        ['oneBay', 4],
        ['endBays', 8],
        ['ends', 0],
      ])
  })

  test('longer pieces take new boards, fillers too; money where every price is known', () => {
    // of 8, 10, 12 and 16 ft, least length: 39 1/5 three times from 10 ft; four of 40 from one 16 ft; 39 1/2 three times from
    // 10 ft; a filler of 113 from a 10 ft each
    expect(ways(typed).map((way) => way?.boards)).toEqual([7, 1, 3, 2])
    const priced = {
      ...typed,
      settings: {
        ...typed.settings,
        shop: {
          ...typed.settings.shop,
          offers: typed.settings.shop.offers.map((offer) => ({ ...offer, price: 900 })),
        },
      },
    }
    expect(ways(priced).every((way) => (way?.cost ?? 0) > 0 && (way?.cost ?? 0) % 900 === 0)).toBe(true)
    expect(ways(typed).map((way) => way?.cost)).toEqual([null, null, null, null])
  })

  test('fillers are two strips of 1/2 x 113, no rail is cut for them, and the sum closes', () => {
    const finding = offered(typed)
    const edits =
      finding?.waysOut.find(({ says }) => says.code === 'takeUp' && says.uptake === 'ends')?.edits ?? []
    const filled = applyEdits(typed, edits)
    const plan = computePlan(filled)
    const fillers = plan.pieces.filter(({ role }) => role === 'filler')
    expect(fillers.map(({ faceWidth, cutLength }) => [toInches(faceWidth), toInches(cutLength)])).toEqual([
      [0.5, 113],
      [0.5, 113],
    ])
    expect(plan.pieces).toHaveLength(computePlan(wall(216)).pieces.length + 2)
    expect(plan.closing).toMatchObject({
      difference: 0,
      wall: inches(217),
      fillers: [{ count: 2, size: inches(0.5) }],
    })
    // and it can be gone back on
    const even = offered(filled)?.waysOut.find(({ says }) => says.code === 'takeUp' && says.uptake === 'even')
    const back = computePlan(applyEdits(filled, even?.edits ?? []))
    expect(back.layout.fillers).toEqual([])
    expect(toInches(back.layout.placement?.gaps[0] ?? 0)).toBeCloseTo(39.2, 6)
  })

  test('a wall that got shorter: cut from what is cut, no new board; no fillers', () => {
    const shorter = applyEdits(wall(216), [{ type: 'patchSurvey', patch: { width: inches(215) } }])
    expect(ways(shorter).map((way) => [way?.uptake, way?.boards, way?.cost])).toEqual([
      ['even', 0, 0],
      ['oneBay', 0, 0],
      ['endBays', 0, 0],
    ])
  })

  test('another wall, a hair, or bays without cut pieces: nothing is offered', () => {
    const to = (width: number) =>
      applyEdits(wall(216), [{ type: 'patchSurvey', patch: { width: inches(width) } }])
    expect(offered(to(190))).toBeUndefined()
    expect(offered(to(216 + 1 / 16))).toBeUndefined()
    expect(offered(to(216 + 1 / 8))).toBeDefined()
    expect(offered(wall(216))).toBeUndefined()
    const gaps = applyEdits(wall(216, { border: 'none' }), [
      { type: 'patchSurvey', patch: { width: inches(217) } },
    ])
    expect(offered(gaps)).toBeUndefined()
  })
})

test('recuts: a piece that only changed its place fits; another material, length or cut does not', () => {
  const { settings } = wall(216)
  const before = cutWall(wall(216)).pieces
  expect(recutsBetween(before, before, settings)).toEqual({ pieces: 0, boards: 0, cost: 0 })
  const moved = before.map((piece) => ({
    ...piece,
    polygon: piece.polygon.map(({ x, y }) => ({ x: x + 1e6, y })),
  }))
  expect(recutsBetween(before, moved, settings).pieces).toBe(0)
  const [first] = before
  if (!first) throw new Error('no piece')
  const changed = (more: Partial<typeof first>) => recutsBetween([first], [{ ...first, ...more }], settings)
  expect(changed({ materialId: 'pine-1x3' }).pieces).toBe(1)
  expect(changed({ start: { kind: 'bevel', bevelDeg: 45 } }).pieces).toBe(1)
  expect(changed({ end: { kind: 'bevel', bevelDeg: 45 } }).pieces).toBe(1)
  // a notch in another place spoils a piece of the same length
  const notches = [{ from: inches(1), to: inches(2), depth: inches(1), edge: 'left' as const }]
  // and is cut into the bare piece that was there
  expect(changed({ notches })).toMatchObject({ pieces: 1, boards: 0 })
  expect(changed({ cutLength: inches(400), longLength: inches(400) })).toEqual({
    pieces: 1,
    boards: null,
    cost: null,
  })
  // a new piece is no recut, but takes a board
  expect(recutsBetween([], [first], settings)).toEqual({ pieces: 0, boards: 1, cost: null })
})

describe('a piece with a notch that was cut', () => {
  const { settings } = wallOf()
  const [bare] = cutWall(wall(216)).pieces
  if (!bare) throw new Error('no piece')
  const notch = { from: inches(10), to: inches(13), depth: inches(1), edge: 'left' as const }
  const cut = { ...bare, notches: [notch] }
  const other = (change: Partial<typeof notch> | { edge: 'right' }) => ({
    ...cut,
    notches: [{ ...notch, ...change }],
  })

  test('fits where the notch is where it was, a rounding apart or not', () => {
    expect(recutsBetween([cut], [cut], settings)).toEqual({ pieces: 0, boards: 0, cost: 0 })
    const { from, to, depth } = notch
    const rounded = other({
      from: nanometers(from + 2),
      to: nanometers(to - 2),
      depth: nanometers(depth + 2),
    })
    expect(recutsBetween([cut], [rounded], settings)).toMatchObject({ pieces: 0, boards: 0 })
  })

  test.each([
    ['further along', { from: inches(10.1) }],
    ['longer', { to: inches(13.1) }],
    ['deeper', { depth: inches(1.1) }],
    ['out of the other edge', { edge: 'right' as const }],
  ])('%s is a piece and a board', (_, change) => {
    expect(recutsBetween([cut], [other(change)], settings)).toMatchObject({ pieces: 1, boards: 1 })
  })

  test('one more or one less is a piece and a board; without prices there is no sum', () => {
    expect(recutsBetween([cut], [bare], settings)).toEqual({ pieces: 1, boards: 1, cost: null })
    // a notch more is cut into the piece there is
    expect(recutsBetween([bare], [cut], settings)).toMatchObject({ pieces: 1, boards: 0 })
  })
})

test('a new width is shared out: by the bays, into the middle one, by halves', () => {
  const strips = [0, 40, 80, 120].map((at) => inches(at))
  const [first = inches(0)] = strips
  const before = {
    nearEdges: strips,
    gaps: [inches(36), inches(36), inches(36)],
    leftEnd: first,
    rightEnd: first,
    span: inches(124),
    stripWidth: inches(4),
  }
  const edges = (by: number) =>
    Object.fromEntries(
      newWidthWays(before, inches(by)).map(({ uptake, nearEdges }) => [uptake, nearEdges.map(toInches)]),
    )
  expect(edges(3)).toEqual({
    even: [0, 41, 82, 123],
    oneBay: [0, 40, 83, 123],
    endBays: [0, 41.5, 81.5, 123],
    ends: [1.5, 41.5, 81.5, 121.5],
  })
  expect(Object.keys(edges(-3))).toEqual(['even', 'oneBay', 'endBays'])
  expect(newWidthWays({ ...before, gaps: [] }, inches(1))).toEqual([])
  expect(newWidthWays(before, 0)).toEqual([])
})
