import { inches, type Length } from '~/length'
import type { Act } from '~/model'
import { wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { toRelease } from '../cutting/toRelease'
import { freezeList, servesItself, standingIn } from './freeze'
import { releaseOf, untouched } from './release'

const wall = wallOf(
  { width: inches(100) },
  {
    height: { rule: 'typed', value: inches(36) },
    spacing: { school: 'equalByCount', strips: 4, ends: 'gap' },
  },
)
const list = toRelease(computePlan(wall), wall)
const frozen = freezeList(list, [])
const release: Act = { id: 'act-000001', doneAt: 1, kind: 'released', revisions: [], pieces: frozen }
const [first] = frozen.filter(({ role }) => role === 'batten')
const row = list.cutList.find(({ pieceIds }) => pieceIds.includes(first?.pieceId ?? ''))
if (!first || !row) throw new Error('no batten')

describe('which released piece is which piece of the plan', () => {
  test('of those the plan has no more only what was cut is over', () => {
    // the plan has the battens no more
    const fewer = { ...list, cutList: list.cutList.filter((each) => each !== row) }
    expect([...standingIn(releaseOf([release]), fewer).over]).toEqual([])
    const cut: Act = { id: 'act-000002', doneAt: 2, kind: 'pieceCut', release: release.id, piece: first.name }
    expect([...standingIn(releaseOf([release, cut]), fewer).over]).toEqual([first.name])
    // with them it is the same piece, cut or not
    const { standing, over } = standingIn(releaseOf([release, cut]), list)
    expect([standing.size, over.size]).toEqual([frozen.length, 0])
    expect(standingIn(null, list)).toEqual({ standing: new Map(), over: new Set() })
  })
})

describe('a piece that is cut shorter into what is wanted in its place', () => {
  const cut = { ...untouched(first), cutAt: 5 }
  const longer = (by: number) => ({ ...row, longLength: (row.longLength + inches(by)) as Length })
  test('has to be cut, of the same stuff and width, with the same recesses, and long enough', () => {
    expect(servesItself(cut, longer(0))).toBe(true)
    expect(servesItself(cut, longer(-1))).toBe(true)
    expect(servesItself(cut, longer(1))).toBe(false)
    expect(servesItself(untouched(first), longer(-1))).toBe(false)
    expect(servesItself(cut, { ...longer(-1), materialId: 'other' })).toBe(false)
    expect(servesItself(cut, { ...longer(-1), faceWidth: inches(9) })).toBe(false)
    const notch = { from: inches(1), to: inches(2), depth: inches(1), edge: 'left' as const }
    expect(servesItself(cut, { ...longer(-1), notches: [notch] })).toBe(false)
  })

  test('where another cut is wanted at an end it starts from the shorter edge, by what was read too', () => {
    const slant = { kind: 'miter', sawSettingDeg: 20, longEdge: 'left' } as unknown as typeof row.start
    // two inches less along its shorter edge
    const short = { ...cut, piece: { ...first, shortLength: (first.longLength - inches(2)) as Length } }
    for (const ends of [{ start: slant }, { end: slant }, { start: slant, end: slant }]) {
      expect(servesItself(short, { ...longer(-2), ...ends })).toBe(true)
      expect(servesItself(short, { ...longer(-1), ...ends })).toBe(false)
    }
    expect(servesItself(short, longer(-1))).toBe(true)
    const read = { ...short, read: (first.longLength + inches(1)) as Length }
    expect(servesItself(read, { ...longer(-1), start: slant })).toBe(true)
    expect(servesItself(read, { ...longer(0), start: slant })).toBe(false)
  })
})
