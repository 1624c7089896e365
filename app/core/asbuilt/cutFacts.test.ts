import { inches, type Length } from '~/length'
import type { Act, ReleasedPiece } from '~/model'
import { wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { toRelease } from '../cutting/toRelease'
import { cutFacts, leftPieces, NOTHING_ELSEWHERE, openNow } from './cutFacts'
import { freezeList } from './freeze'

const wall = wallOf(
  { width: inches(100) },
  {
    height: { rule: 'typed', value: inches(36) },
    spacing: { school: 'equalByCount', strips: 4, ends: 'gap' },
  },
)
const frozen = freezeList(toRelease(computePlan(wall), wall), [])
const [first, second, third] = frozen.filter(({ role }) => role === 'batten')
if (!first || !second || !third) throw new Error('no battens')

let at = 0
const stamp = () => ({ id: `act-${String(++at).padStart(6, '0')}`, doneAt: 1_000 * at })
const list = (pieces: readonly ReleasedPiece[] = frozen): Extract<Act, { kind: 'released' }> => ({
  ...stamp(),
  kind: 'released',
  revisions: [],
  pieces: [...pieces],
})
const lists = { one: list() }
const release = lists.one.id
const cut = (
  { name: piece }: ReleasedPiece,
  board?: { number?: number; of?: string; length?: Length },
  kind: 'pieceCut' | 'pieceUp' = 'pieceCut',
): Act => ({
  ...stamp(),
  kind,
  release,
  piece,
  ...(board ? { board: { length: inches(96), ...board } } : {}),
})
const openOf = (...acts: Act[]) =>
  cutFacts([lists.one, ...acts]).open.map(({ number, length, of, pieces }) => ({
    number,
    length,
    of,
    pieces: pieces.map(({ label, length: long, spoiled }) => [label, long, spoiled]),
  }))
const whole = (piece: ReleasedPiece) => [piece.name, piece.cutLength, false]

describe('the boards that pieces were cut from', () => {
  test('are those that were ticked with the pieces, in the order of the ticks, one for each number', () => {
    expect(openOf(cut(first, { number: 2 }), cut(second, { number: 1 }), cut(third, { number: 2 }))).toEqual([
      { number: 2, length: inches(96), of: null, pieces: [whole(first), whole(third)] },
      { number: 1, length: inches(96), of: null, pieces: [whole(second)] },
    ])
  })

  test('acts count by when they were done, whichever comes first to the server', () => {
    const ticked = cut(first, { number: 1 })
    const back: Act = { ...stamp(), kind: 'pieceUncut', release, piece: first.name }
    expect(openOf(back, ticked)).toEqual([])
  })

  test('a piece that goes up untold was cut from its board; one ticked before keeps the board it was ticked with', () => {
    expect(openOf(cut(first, { number: 3 }, 'pieceUp'))).toMatchObject([{ number: 3 }])
    expect(openOf(cut(first, { number: 3 }), cut(first, { number: 5 }, 'pieceUp'))).toMatchObject([
      { number: 3 },
    ])
  })

  // before, the board of the second was counted as whole, and gone unnoticed
  test('of a piece cut twice the second took its wood too: from another board, or from the same where there was room; never where it was one cut ticked twice', () => {
    const spare = (piece: ReleasedPiece) => [piece.name, piece.cutLength, true]
    const settle = (kind: 'struck' | 'spare', entry: Act): Act => ({ ...stamp(), kind, entry: entry.id })
    const one = cut(first, { number: 1 })
    const [elsewhere, same] = [cut(first, { number: 4 }), cut(first, { number: 1 })]
    const both = [
      { number: 1, pieces: [whole(first)] },
      { number: 4, pieces: [spare(first)] },
    ]
    expect(openOf(one, elsewhere)).toMatchObject(both)
    expect(openOf(one, elsewhere, settle('spare', elsewhere))).toMatchObject(both)
    expect(openOf(one, elsewhere, settle('struck', elsewhere))).toMatchObject([both[0]])
    expect(openOf(one, same)).toMatchObject([{ number: 1, pieces: [whole(first)] }])
    expect(openOf(one, same, settle('spare', same))).toMatchObject([
      { number: 1, pieces: [whole(first), spare(first)] },
    ])
    // no board gives more than it has
    const others = [cut(second, { number: 1 }), cut(third, { number: 1 })]
    expect(openOf(one, ...others, same, settle('spare', same))[0]?.pieces).toHaveLength(
      Math.min(4, Math.floor(96 / (first.cutLength / inches(1) + 0.25))),
    )
    // what is left of the second board serves the next pieces
    expect(openOf(one, elsewhere, cut(second, { number: 4 }))[1]).toMatchObject({
      number: 4,
      pieces: [spare(first), whole(second)],
    })
  })

  test('a tick without a board, or of a piece no list has, opens none', () => {
    expect(openOf(cut(first), cut({ ...first, name: 'Z99' }, { number: 1 }))).toEqual([])
    // left for later is no cut, whatever was said with it
    const later = { ...cut(first, { number: 1 }), kind: 'skipped' } as unknown as Act
    expect(openOf(later)).toEqual([])
  })

  test('what is not cut after all gives its wood back; what was spoiled does not, and the next may come from elsewhere', () => {
    const back: Act = { ...stamp(), kind: 'pieceUncut', release, piece: first.name }
    const others = cut(second, { number: 1 })
    const before = cut(first, { number: 1 })
    expect(openOf({ ...before, doneAt: 1 }, { ...others, doneAt: 2 }, { ...back, doneAt: 3 })).toMatchObject([
      { number: 1, pieces: [whole(second)] },
    ])
    const spoiled: Act = { ...stamp(), kind: 'spoiled', release, piece: first.name, from: 'board' }
    const again = cut(first, { number: 4 })
    expect(
      openOf({ ...before, doneAt: 1 }, { ...spoiled, doneAt: 2 }, { ...again, doneAt: 3 }),
    ).toMatchObject([
      { number: 1, pieces: [[first.name, first.cutLength, true]] },
      { number: 4, pieces: [whole(first)] },
    ])
  })

  test('a piece takes what it was read at when it was cut', () => {
    const read: Act = {
      ...stamp(),
      kind: 'readTrue',
      release,
      piece: first.name,
      length: (first.longLength + inches(1 / 4)) as Length,
    }
    expect(openOf(read, cut(first, { number: 1 }))).toMatchObject([
      { pieces: [[first.name, first.cutLength + inches(1 / 4), false]] },
    ])
    expect(openOf(cut(first, { number: 1 }), { ...read, doneAt: 1e9 })).toMatchObject([
      { pieces: [whole(first)] },
    ])
  })

  test('a piece cut from another is told, with the board where it is one, and no more when it is not cut after all', () => {
    const from = cut(first, { of: 'B1' })
    expect(cutFacts([lists.one, from])).toMatchObject({ open: [], used: ['B1'] })
    expect(openOf(cut(first, { of: 'B1', number: 2 }))).toMatchObject([{ number: 2, of: 'B1' }])
    const back: Act = { ...stamp(), kind: 'pieceUncut', release, piece: first.name }
    expect(cutFacts([lists.one, from, back]).used).toEqual([])
    expect(cutFacts([lists.one, from], { ...NOTHING_ELSEWHERE, used: ['C1'] }).used).toEqual(['B1', 'C1'])
  })
})

test('an open board that the job’s boards used up, or of which they cut a piece, is the wall’s no more', () => {
  const { open } = cutFacts([lists.one, cut(first, { number: 1 }), cut(second, { number: 2 })])
  const material = first.materialId
  const numbers = (elsewhere: Partial<typeof NOTHING_ELSEWHERE>) =>
    openNow(open, { ...NOTHING_ELSEWHERE, ...elsewhere }).map(({ number }) => number)
  expect(numbers({})).toEqual([1, 2])
  expect(numbers({ closed: [{ material, number: 2 }] })).toEqual([1])
  expect(numbers({ closed: [{ material: 'other', number: 2 }] })).toEqual([1, 2])
  const both = cutFacts([lists.one, cut(first, { number: 1 }), cut(third, { number: 1 })]).open
  const gone = { ...NOTHING_ELSEWHERE, pieces: [{ id: first.pieceId, material, length: first.cutLength }] }
  expect(openNow(both, gone)).toEqual([])
  expect(cutFacts([lists.one, cut(first, { number: 1 })]).used).toEqual([])
  expect(numbers({ pieces: [{ id: first.pieceId, material, length: first.cutLength }] })).toEqual([2])
})

describe('pieces cut for nothing that others can be cut from', () => {
  const facts = (pieces: readonly ReleasedPiece[], ...acts: Act[]) => {
    const own = { ...lists.one, pieces: [...pieces] }
    return cutFacts([own, ...acts])
  }
  const names = new Set(frozen.map(({ name }) => name))

  test('are those that were cut, are plain, and were not used so already', () => {
    const cuts = [cut(first), cut(second)]
    const found = leftPieces(facts(frozen, ...cuts), names)
    expect(found).toEqual(
      [first, second].map(({ name, materialId, shortLength }) => ({ name, materialId, length: shortLength })),
    )
    expect(leftPieces(facts(frozen, ...cuts), new Set([second.name]))).toHaveLength(1)
    expect(leftPieces({ ...facts(frozen, ...cuts), used: [first.name] }, names)).toHaveLength(1)
    expect(leftPieces(facts(frozen), names)).toEqual([])
  })

  test('one with a notch, a lap, a scribed or a ripped edge is not', () => {
    const changes: Partial<ReleasedPiece>[] = [
      { notches: [{ from: inches(1), to: inches(2), depth: inches(1), edge: 'left' }] },
      {
        laps: [
          {
            from: inches(1),
            to: inches(2),
            lean: inches(0),
            depth: inches(1 / 4),
            outOf: 'face',
            with: 'x',
          },
        ],
      },
      { taper: { edge: 'left', atStart: inches(0), atEnd: inches(1 / 4), by: 'scribe' } },
      { ripTo: inches(1) },
    ]
    for (const change of changes) {
      const pieces = frozen.map((piece) => (piece.name === first.name ? { ...piece, ...change } : piece))
      expect(leftPieces(facts(pieces, cut(first), cut(second)), names).map(({ name }) => name)).toEqual([
        second.name,
      ])
    }
  })

  test('of a slant its shorter edge counts, as it was read', () => {
    const slant = { ...first, shortLength: (first.longLength - inches(2)) as Length }
    const pieces = frozen.map((piece) => (piece.name === first.name ? slant : piece))
    const read: Act = {
      ...stamp(),
      kind: 'readTrue',
      release,
      piece: first.name,
      length: (first.longLength + inches(1 / 2)) as Length,
    }
    expect(leftPieces(facts(pieces, cut(first), read), names)[0]?.length).toBe(
      first.longLength - inches(2) + inches(1 / 2),
    )
    const nothing = { ...first, shortLength: inches(0) }
    const gone = frozen.map((piece) => (piece.name === first.name ? nothing : piece))
    expect(leftPieces(facts(gone, cut(first)), names)).toEqual([])
  })

  test('so are those that an earlier list had, was cut for and that the last has no more', () => {
    const next = list(frozen.filter(({ name }) => name !== first.name))
    const left = leftPieces(
      cutFacts([lists.one, { ...cut(first), doneAt: 1e9 }, { ...next, doneAt: 2e9 }]),
      names,
    )
    expect(left.map(({ name }) => name)).toEqual([first.name])
  })
})
