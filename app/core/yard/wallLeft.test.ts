import { inches, type Length } from '~/length'
import { type Act, startingSettings, type YardAct } from '~/model'
import { wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { toRelease } from '../cutting/toRelease'
import { freezeList } from '../asbuilt/freeze'
import { cutElsewhere } from './cutElsewhere'
import { sourceOf } from './jobRequests'
import { leftOfWall, lessTaken, openedAtWalls, openOfJob, type WallLeft } from './wallLeft'

const settings = startingSettings('inches', '1/16')
const [offer] = settings.shop.offers
const material = offer?.material ?? ''
const sold = offer?.length ?? inches(96)

let made = 0
const stamp = () => ({ id: `act-${String(++made).padStart(6, '0')}`, doneAt: 1_000 + made })
const cutBoard = (
  job: string,
  ids: readonly string[],
  more: Partial<Extract<YardAct, { kind: 'boardCut' }>> = {},
): YardAct =>
  ({
    ...stamp(),
    kind: 'boardCut',
    job,
    material,
    length: sold,
    from: 'bought',
    offcut: null,
    pieces: ids.map((id) => ({ id, length: inches(20) })),
    left: inches(10),
    ...more,
  }) as YardAct
const wall = (id: string, more: Partial<WallLeft> = {}): WallLeft => ({
  wall: id,
  name: id,
  pieces: [],
  cut: [],
  open: [],
  over: [],
  ...more,
})
const open = (number: number, ids: readonly string[], more = {}) => ({
  materialId: material,
  number,
  length: sold,
  of: null,
  pieces: ids.map((pieceId) => ({ pieceId, label: 'A1', length: inches(20), spoiled: false })),
  ...more,
})

describe('what of a wall was cut on its job’s boards', () => {
  test('its pieces by their own names, its boards that are used up, its pieces that others were cut from', () => {
    const acts = [
      cutBoard('job', ['w1/a', 'w2/b', 'w1/c']),
      cutBoard('job', ['w2/d'], { from: 'open', open: { wall: 'w1', number: 3 } }),
      cutBoard('job', ['w2/e'], { from: 'open', open: { wall: 'w1', piece: 'B2' } }),
      cutBoard('job', ['w1/f'], { from: 'open', open: { wall: 'w2', number: 4 } }),
      cutBoard('job', ['w1/f2'], { from: 'open', open: { wall: 'w2', piece: 'C1' } }),
      cutBoard('other', ['w1/g'], { from: 'open', open: { wall: 'w1', number: 9 } }),
    ]
    expect(cutElsewhere(acts, 'job', 'w1')).toEqual({
      pieces: ['a', 'c', 'f', 'f2'].map((id) => ({ id, material, length: inches(20) })),
      closed: [{ material, number: 3 }],
      used: ['B2'],
    })
    // w1 is not w, nor is w1/a/b a piece of a/b
    expect(cutElsewhere(acts, 'job', 'w')).toEqual({ pieces: [], closed: [], used: [] })
    expect(cutElsewhere([cutBoard('job', ['ww1/x'])], 'job', 'w1').pieces).toEqual([])
  })
})

describe('what there is open at the walls of a job', () => {
  test('is each open board’s rest and each piece cut for nothing, less what the job’s boards used', () => {
    const walls = [
      wall('w1', {
        open: [open(1, ['a']), open(2, ['b'])],
        over: [{ name: 'B2', materialId: material, length: inches(30) }],
      }),
      wall('w2', { open: [open(1, ['c'])] }),
    ]
    const rest = (sold - inches(20) - settings.shop.kerf) as Length
    const board = (of: string, number: number) => ({ wall: of, number, piece: null, material, length: rest })
    const piece = {
      wall: 'w1',
      number: null,
      piece: 'B2',
      material,
      length: inches(30) + settings.shop.endTrim,
    }
    expect(openOfJob(walls, [], 'job', settings)).toEqual([
      board('w1', 1),
      board('w1', 2),
      piece,
      board('w2', 1),
    ])
    const used = [
      cutBoard('job', ['w2/x'], { from: 'open', open: { wall: 'w1', number: 1 } }),
      cutBoard('job', ['w2/y'], { from: 'open', open: { wall: 'w1', piece: 'B2' } }),
    ]
    expect(openOfJob(walls, used, 'job', settings)).toEqual([board('w1', 2), board('w2', 1)])
    expect(openOfJob(walls, used, 'other', settings)).toHaveLength(4)
    expect(
      openOfJob([wall('w1', { open: [open(1, ['a'], { length: inches(20) })] })], [], 'job', settings),
    ).toEqual([])
  })

  test('boards opened at walls are counted as they are sold, once, and not those that were pieces', () => {
    const walls = [
      wall('w1', { open: [open(1, ['a']), open(2, ['b'], { of: 'B1' })] }),
      wall('w2', { open: [open(1, ['c']), open(2, ['d'], { length: inches(77) })] }),
    ]
    expect(openedAtWalls(walls, [], 'job', settings)).toEqual([
      { material, length: sold, count: 2 },
      { material, length: inches(77), count: 1 },
    ])
    // one that the job's boards cut is known there
    expect(openedAtWalls(walls, [cutBoard('job', ['w1/a'])], 'job', settings)[0]?.count).toBe(1)
    expect(openedAtWalls(walls, [cutBoard('other', ['w1/a'])], 'job', settings)[0]?.count).toBe(2)
    expect(openedAtWalls(walls, [cutBoard('job', ['w2/a'])], 'job', settings)[0]?.count).toBe(2)
    // cut from one that is open at a wall it is none of the whole ones
    const [first] = openedAtWalls(walls, [cutBoard('job', ['w1/a'], { from: 'open' })], 'job', settings)
    expect(first?.count).toBe(2)
  })

  test('a board that is longer than it is sold counts as it is sold, of its own material', () => {
    const longer = {
      ...settings,
      shop: {
        ...settings.shop,
        offers: [
          {
            ...settings.shop.offers[0],
            id: 'o1',
            material: 'other',
            trueLength: inches(96.5),
            length: inches(50),
          },
          { ...settings.shop.offers[0], id: 'o2', material, trueLength: inches(96.5), length: inches(96) },
        ] as typeof settings.shop.offers,
      },
    }
    const walls = [wall('w1', { open: [open(1, ['a'], { length: inches(96.5) })] })]
    expect(openedAtWalls(walls, [], 'job', longer)).toEqual([{ material, length: inches(96), count: 1 }])
  })
})

test('counts less what was taken: what is left, and what was taken beyond', () => {
  const of = (length: number, count: number, own = material) => ({
    material: own,
    length: inches(length),
    count,
  })
  expect(lessTaken([of(96, 3), of(120, 1), of(96, 2, 'other')], [of(96, 2), of(120, 1), of(144, 1)])).toEqual(
    {
      left: [of(96, 1), of(96, 2, 'other')],
      more: [of(144, 1)],
    },
  )
  expect(lessTaken([of(96, 1)], [of(96, 4)])).toEqual({ left: [], more: [of(96, 3)] })
})

test('what is left of a wall is named as in its job, without trim that goes back', () => {
  const workpiece = wallOf(
    { width: inches(100) },
    {
      height: { rule: 'typed', value: inches(36) },
      spacing: { school: 'equalByCount', strips: 4, ends: 'gap' },
    },
  )
  const plan = computePlan(workpiece)
  const pieces = freezeList(toRelease(plan, workpiece), [])
  const release: Act = { ...stamp(), kind: 'released', revisions: [], pieces }
  const [first] = pieces
  if (!first) throw new Error('nothing to cut')
  const acts: Act[] = [release, { ...stamp(), kind: 'pieceCut', release: release.id, piece: first.name }]
  const left = leftOfWall({ id: 'w1', name: 'North', workpiece, acts })
  expect(left.cut).toEqual([`w1/${first.pieceId}`])
  expect(left.pieces.map(({ id }) => id).sort()).toEqual(
    pieces
      .slice(1)
      .map(({ pieceId }) => `w1/${pieceId}`)
      .sort(),
  )
  expect(left).toMatchObject({ wall: 'w1', name: 'North', open: [], over: [] })
  expect(left.pieces.every((piece) => piece.wall === 'w1' && (piece.long ?? 1) > 0)).toBe(true)
  // a wall said to be cut has all of its pieces cut
  const all = leftOfWall({ id: 'w1', name: 'North', workpiece, acts: [release, { ...stamp(), kind: 'cut' }] })
  expect([all.pieces, all.cut.length]).toEqual([[], pieces.length])
})

test('the id of an offer says where its board comes from, whatever the wall is called', () => {
  expect(sourceOf('open:a/b/3')).toEqual({ from: 'open', wall: 'a/b', number: 3 })
  expect(sourceOf('over:w1/B2')).toEqual({ from: 'over', wall: 'w1', piece: 'B2' })
  expect(sourceOf('rack:r1')).toEqual({ from: 'rack', offcut: 'r1' })
  expect(sourceOf(`bought:${inches(96)}`)).toEqual({ from: 'bought', length: inches(96) })
  expect(sourceOf(`hand:${inches(96)}`)).toEqual({ from: 'hand', length: inches(96) })
  expect(sourceOf('buy:offer:1')).toEqual({ from: 'buy', offer: 'offer:1' })
})
