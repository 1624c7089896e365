import { inches, nearestNanometer } from '~/length'
import { type Act, TAKEN_OFF, type Workpiece } from '~/model'
import { wallOf } from '../../../tests/namedWalls'
import { cutFacts, NOTHING_CUT, NOTHING_ELSEWHERE } from '../asbuilt/cutFacts'
import { freezeList } from '../asbuilt/freeze'
import { computePlan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import { type BoardPlan } from '../stock'
import { boardOf, boardsFor, leftToCut, requestsFor } from './leftToCut'
import { toRelease } from './toRelease'

let made = 0
const stamp = () => ({ id: `act-${String(++made).padStart(6, '0')}`, doneAt: 1_000_000 + made })

function released(workpiece: Workpiece, before: readonly Act[]): Act {
  const pieces = freezeList(toRelease(computePlan(workpiece), workpiece), before)
  return { ...stamp(), kind: 'released', revisions: [], pieces }
}

describe('what a row is when it is left to cut', () => {
  const battens = (more = {}) =>
    wallOf(
      { width: inches(150), height: inches(96) },
      {
        height: { rule: 'typed', value: inches(36) },
        spacing: { school: 'equalByCount', strips: 8, ends: 'gap' },
      },
      more,
    )

  test('what was cut on the job’s boards is cut, if it is of its material and as long', () => {
    const wall = battens()
    const list = toRelease(computePlan(wall), wall)
    const [row] = list.cutList
    const id = row?.pieceIds[0] ?? ''
    const with_ = (more: object) =>
      leftToCut(list, wall, {
        ...NOTHING_CUT,
        elsewhere: {
          ...NOTHING_ELSEWHERE,
          pieces: [{ id, material: row?.materialId ?? '', length: row?.cutLength ?? inches(0), ...more }],
        },
      })
    expect(with_({}).cut).toEqual([{ id, materialId: row?.materialId }])
    expect(with_({}).pieces.some((piece) => piece.id === id)).toBe(false)
    for (const other of [{ material: 'other' }, { length: inches(1) }]) {
      expect(with_(other).cut).toEqual([])
      expect(with_(other).pieces.some((piece) => piece.id === id)).toBe(true)
    }
  })

  test('a piece read at its place is cut to its reading and no longer, under its own name', () => {
    const wall = battens()
    const list = released(wall, [])
    if (list.kind !== 'released') throw new Error('no list')
    const piece = list.pieces.find(({ advice }) => advice.advice === 'measureInPlace')
    if (!piece) throw new Error('nothing is measured in place')
    const length = nearestNanometer(piece.longLength + inches(1 / 4))
    const read: Act = { ...stamp(), kind: 'readTrue', release: list.id, piece: piece.name, length }
    const left = (acts: Act[]) =>
      leftToCut(toRelease(computePlan(wall), wall), wall, cutFacts(acts)).pieces.find(
        ({ id }) => id === piece.pieceId,
      )
    expect(left([list])).toMatchObject({ label: piece.name.replace(/\d+$/, ''), length: piece.cutLength })
    expect(left([list])?.long).toBe(wall.settings.shop.allowance)
    expect(left([list, read])).toEqual({
      id: piece.pieceId,
      label: piece.name,
      length: piece.cutLength + inches(1 / 4),
      materialId: piece.materialId,
    })
  })

  test('a piece cut too long for its place is cut from itself, one of another place is not', () => {
    const wall = battens()
    const list = released(wall, [])
    if (list.kind !== 'released') throw new Error('no list')
    const [piece, other] = list.pieces.filter(({ role }) => role === 'batten')
    if (!piece || !other) throw new Error('no battens')
    const cut: Act = { ...stamp(), kind: 'pieceCut', release: list.id, piece: piece.name }
    // an inch lower: no batten fits as it was
    const lower = applyEdits(wall, [
      { type: 'patchDesign', patch: { height: { rule: 'typed', value: inches(35) } } },
    ])
    const left = leftToCut(toRelease(computePlan(lower), lower), lower, cutFacts([list, cut]))
    expect(left.fromThemselves.map(({ id, of }) => [id, of])).toEqual([[piece.pieceId, piece.name]])
    expect(left.pieces.some(({ id }) => id === piece.pieceId)).toBe(false)
    expect(left.pieces.some(({ id }) => id === other.pieceId)).toBe(true)
    // a row whose piece is gone from the layout serves nobody's place
    const higher = applyEdits(wall, [
      { type: 'patchDesign', patch: { height: { rule: 'typed', value: inches(37) } } },
    ])
    const longer = leftToCut(toRelease(computePlan(higher), higher), higher, cutFacts([list, cut]))
    expect(longer.fromThemselves).toEqual([])
    expect(longer.over.map(({ name }) => name)).toEqual([piece.name])
  })

  test('a request is of one material; one that is all cut asks for no piece; trim that goes back asks for nothing', () => {
    const wall = battens()
    const [one, two] = ['p', 'q'].map((material) => ({
      name: `${material}1`,
      materialId: material,
      length: inches(30),
    }))
    if (!one || !two) throw new Error('none')
    const left = {
      pieces: [{ id: 'a', label: 'A', length: inches(20), materialId: 'p' }],
      open: [],
      over: [one, two],
      cut: [
        { id: 'b', materialId: 'q' },
        { id: 'c', materialId: TAKEN_OFF },
      ],
      fromThemselves: [],
    }
    const asked = requestsFor(left, wall)
    expect(asked.map(({ materialId, pieces, offers }) => [materialId, pieces.length, offers.length])).toEqual(
      [
        ['p', 1, 1],
        ['q', 0, 1],
      ],
    )
    expect(asked.map(({ offers }) => offers[0]?.id)).toEqual(['over:p1', 'over:q1'])
    // each from its own: what no board is bought for costs nothing
    expect(boardsFor(left, wall)).toMatchObject({ whole: true, count: 0, cost: 0 })
    const lacking = { ...left, over: [] }
    expect(boardsFor(lacking, wall)).toMatchObject({ whole: false, count: 0 })
  })

  test('the board a piece is cut from is ticked with it, the piece it was with that, and none twice', () => {
    const board = (offerId: string, number: number, ids: readonly string[], cut: readonly string[] = []) => ({
      number,
      offerId,
      length: inches(96),
      price: null,
      offcut: inches(0),
      pieces: ids.map((pieceId) => ({
        pieceId,
        label: 'A',
        from: inches(0),
        length: inches(9),
        ...(cut.includes(pieceId) ? { cut: true as const } : {}),
      })),
    })
    const plans = [
      { boards: [board('buy', 1, ['a', 'b'], ['a'])] },
      { boards: [board('over:B2', 4, ['c']), board('buy', 2, ['d'])] },
    ] as unknown as BoardPlan[]
    expect(boardOf(plans, 'b')).toEqual({ number: 1, length: inches(96) })
    expect(boardOf(plans, 'c')).toEqual({ number: 4, length: inches(96), of: 'B2' })
    expect(boardOf(plans, 'd')).toEqual({ number: 2, length: inches(96) })
    expect(boardOf(plans, 'a')).toBeNull()
    expect(boardOf(plans, 'e')).toBeNull()
  })
})
