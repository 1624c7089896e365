import fc from 'fast-check'
import { inches, type Length, nearestNanometer } from '~/length'
import { type Act, actSchema, type ReleasedPiece, withDesign, type Workpiece } from '~/model'
import { anyMeetingWall, runs } from '../../../tests/anyWall'
import { reading, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { toRelease } from '../cutting/toRelease'
import { faceFromCard } from '../pieces'
import { signedArea } from '../geometry'
import { freezeList, isAsReleased, sinceRelease } from './freeze'
import { leftToCut } from '../cutting/leftToCut'
import { cutFacts } from './cutFacts'
import { allCut, lengthNow, letterOf, releasedRows, releaseOf, wallIsCut } from './release'

let made = 0
const stamp = () => ({ id: `act-${String(++made).padStart(6, '0')}`, doneAt: 1_000_000 + made })

function planOf(workpiece: Workpiece) {
  return toRelease(computePlan(workpiece), workpiece)
}

function released(workpiece: Workpiece, before: readonly Act[] = []): Act {
  return {
    ...stamp(),
    kind: 'released',
    revisions: [1, 2, 3],
    pieces: freezeList(planOf(workpiece), before),
  }
}

function on(release: Act, piece: string, act: { kind: string } & Record<string, unknown>): Act {
  return { ...stamp(), release: release.id, piece, ...act } as unknown as Act
}

function stateOf(acts: readonly Act[], name: string) {
  const found = releaseOf(acts)?.pieces.find(({ piece }) => piece.name === name)
  if (!found)
    throw new Error(
      `no ${name} in ${releaseOf(acts)
        ?.pieces.map(({ piece }) => piece.name)
        .join(' ')}`,
    )
  return found
}

const battens = (patch: Parameters<typeof wallOf>[1] = {}) => wallOf({}, patch)
const shorter = (workpiece: Workpiece, by: number): Workpiece => ({
  ...workpiece,
  wall: {
    ...workpiece.wall,
    survey: { ...workpiece.wall.survey, width: nearestNanometer(workpiece.wall.survey.width - inches(by)) },
  },
})

test('a list released with things to settle keeps them and the reason; one that was ready has none', () => {
  const list = { id: 'a-list-of-1', kind: 'released' as const, doneAt: 1, revisions: [], pieces: [] }
  const despite = { open: ['readOnce.width'], reason: 'The client waits' }
  expect(releaseOf([list])?.despite).toBeNull()
  expect(releaseOf([{ ...list, despite }])?.despite).toEqual(despite)
  // the list that is released after it stands by itself
  expect(
    releaseOf([
      { ...list, despite },
      { ...list, id: 'a-list-of-2', doneAt: 2 },
    ])?.despite,
  ).toBeNull()
})

describe('a stile ripped to the wall, on a list', () => {
  test('keeps its taper there; made another way since, it is no longer as it was released', () => {
    const fitted = (way: 'rip' | 'scribe') =>
      wallOf(
        { readings: [reading('width', 0, 131), reading('plumbRight', 95, 0.375)] },
        {
          pattern: 'grid',
          border: 'butt',
          rows: [1],
          topRail: null,
          foot: { kind: 'floor' },
          spacing: { school: 'equalByCount', strips: 4, ends: 'strip' },
          battenMaterial: 'pine-1x3',
          sides: { left: 'caulk', right: way },
        },
      )
    const list = released(fitted('rip'))
    const [stile] = releaseOf([list])?.pieces.filter(({ piece }) => piece.taper) ?? []
    const [now] = computePlan(fitted('rip')).pieces.filter(({ taper }) => taper)
    expect(stile?.piece.taper).toEqual(now?.taper)
    const isAs = (way: 'rip' | 'scribe') => {
      const release = releaseOf([list])
      return release !== null && isAsReleased(release, planOf(fitted(way)))
    }
    expect(isAs('rip')).toBe(true)
    expect(isAs('scribe')).toBe(false)
  })
})

describe('a list released to the saw', () => {
  test('every piece has a name of its own, of its row’s letter; ticks come and go and undo of the design takes none', () => {
    const list = released(battens())
    const names = releaseOf([list])?.pieces.map(({ piece }) => piece.name) ?? []
    expect(new Set(names).size).toBe(names.length)
    const [first = ''] = names
    const cut = on(list, first, { kind: 'pieceCut' })
    expect(stateOf([list, cut], first).cutAt).toBe(cut.doneAt)
    expect(stateOf([list, cut, on(list, first, { kind: 'pieceUncut' })], first).cutAt).toBeNull()
    const up = on(list, first, { kind: 'pieceUp' })
    expect(stateOf([list, up], first)).toMatchObject({ cutAt: up.doneAt, upAt: up.doneAt })
    expect(wallIsCut([list, cut])).toBe(false)
    const all = names.map((name) => on(list, name, { kind: 'pieceCut' }))
    expect(wallIsCut([list, ...all])).toBe(true)
    const release = releaseOf([list, ...all])
    expect(release && allCut(release)).toBe(true)
  })

  test('a true length read at the wall counts, what a cut hides comes on top, and can be taken back', () => {
    const list = released(battens())
    const [state] = releaseOf([list])?.pieces ?? []
    if (!state) throw new Error('nothing released')
    const { piece } = state
    const read = nearestNanometer(piece.longLength + inches(0.25))
    const acts = [list, on(list, piece.name, { kind: 'readTrue', length: read })]
    expect(lengthNow(stateOf(acts, piece.name)).cutLength).toBe(piece.cutLength + inches(0.25))
    const release = releaseOf(acts)
    const row = release && releasedRows(release).find(({ label }) => label === piece.name)
    expect(row?.longLength).toBe(read)
    expect(row?.pieceIds).toEqual([piece.pieceId])
    const back = [...acts, on(list, piece.name, { kind: 'readTrue', length: null })]
    expect(lengthNow(stateOf(back, piece.name)).cutLength).toBe(piece.cutLength)
  })

  test('a spoiled piece is to be cut again, and the boards hold it once more; taken back it is cut', () => {
    const list = released(battens())
    const [state] = releaseOf([list])?.pieces ?? []
    const name = state?.piece.name ?? ''
    const cut = on(list, name, { kind: 'pieceCut' })
    const spoiled = on(list, name, { kind: 'spoiled', from: 'board' })
    const acts = [list, cut, spoiled]
    expect(stateOf(acts, name)).toMatchObject({ cutAt: null, spoiled: [{ actId: spoiled.id }] })
    const plan = toRelease(computePlan(battens()), battens())
    const left = (of: typeof acts) => leftToCut(plan, battens(), cutFacts(of)).pieces.length
    expect([left([list]) - left([list, cut]), left(acts)]).toEqual([1, left([list])])
    const back = [...acts, on(list, name, { kind: 'unspoiled', spoiled: spoiled.id })]
    expect(stateOf(back, name).cutAt).not.toBeNull()
    expect(left(back)).toBe(left([list, cut]))
  })

  test('the layout goes on: what still fits, what is cut again, what is left over; names once given never move', () => {
    const before = battens()
    const list = released(before)
    const all = releaseOf([list])?.pieces.map(({ piece }) => on(list, piece.name, { kind: 'pieceCut' })) ?? []
    const after = shorter(before, 2)
    const release = releaseOf([list, ...all])
    if (!release) throw new Error('nothing released')
    expect(isAsReleased(release, planOf(before))).toBe(true)
    const since = sinceRelease(release, planOf(after))
    // rails run the wall and are two inches shorter; battens stand as they were
    expect(since.fits.length).toBeGreaterThan(2)
    expect(since.again.length).toBeGreaterThan(0)
    expect(since.leftOver.map(({ name }) => name).sort()).toEqual(
      release.pieces
        .map(({ piece }) => piece.name)
        .filter((name) => !since.fits.includes(name))
        .sort(),
    )
    // a rail that is too long is cut down to the new one
    expect(since.leftOver.some(({ serves }) => serves !== null)).toBe(true)
    const again = released(after, [list, ...all])
    const now = releaseOf([list, ...all, again])
    const byName = new Map(release.pieces.map(({ piece }) => [piece.name, piece]))
    for (const { piece, cutAt } of now?.pieces ?? []) {
      const was = byName.get(piece.name)
      // a name that was given is given to the same piece alone, and what was cut of it is cut still
      if (was) expect([was.pieceId, cutAt !== null]).toEqual([piece.pieceId, true])
      else expect(cutAt).toBeNull()
      expect(was !== undefined).toBe(since.fits.includes(piece.name))
    }
    expect(now?.leftOver.map(({ piece }) => piece.name).sort()).toEqual(
      since.leftOver.map(({ name }) => name).sort(),
    )
  })

  test('what was cut to a reading of its own opening does for no other place, though the plan has them alike', () => {
    const wall = battens()
    const list = released(wall)
    const alike = (releaseOf([list])?.pieces ?? []).filter(({ piece }) => letterOf(piece.name) === 'A')
    const [first, second] = alike.map(({ piece }) => piece)
    if (!first || !second || list.kind !== 'released') throw new Error('no two alike')
    const cut = on(list, first.name, { kind: 'pieceCut' })
    const read = on(list, first.name, {
      kind: 'readTrue',
      length: nearestNanometer(first.longLength - inches(0.5)),
    })
    const plan = planOf(wall)
    // the plan wants but the other place of the two
    const without = {
      ...plan,
      cutList: plan.cutList.map((row) => ({
        ...row,
        pieceIds: row.pieceIds.filter(
          (id) => id === second.pieceId || !alike.some(({ piece }) => piece.pieceId === id),
        ),
      })),
    }
    const only = { ...list, pieces: list.pieces.filter(({ name }) => name !== second.name) }
    const since = (acts: readonly Act[]) => {
      const release = releaseOf(acts)
      if (!release) throw new Error('nothing released')
      return sinceRelease(
        {
          ...release,
          pieces: release.pieces.filter(
            ({ piece }) => piece.name === first.name || letterOf(piece.name) !== 'A',
          ),
        },
        without,
      )
    }
    expect(since([only, cut]).moves).toEqual([first.name])
    expect(since([only, cut, read])).toMatchObject({ moves: [], fresh: [second.pieceId] })
    // half an inch short, it is not cut down to the other's length either
    expect(since([only, cut, read]).leftOver).toEqual([{ name: first.name, serves: null }])
  })

  test('acts of the saw are read as they were written', () => {
    const list = released(battens())
    const schema = actSchema()
    for (const act of [
      list,
      on(list, 'A1', { kind: 'readTrue', length: inches(3) }),
      on(list, 'A1', { kind: 'spoiled', from: 'spare' }),
    ])
      expect(schema.parse(JSON.parse(JSON.stringify(act)))).toEqual(act)
    expect(schema.safeParse({ ...list, pieces: [] }).success).toBe(false)
  })
})

/** The piece that a released card alone makes. */
function cardArea(piece: ReleasedPiece): number {
  return Math.abs(signedArea(faceFromCard(piece)))
}

describe('laws of released lists', () => {
  test('over walls on which everything meets: names never double, the frozen card makes the piece, the list fits its own plan', () => {
    fc.assert(
      fc.property(anyMeetingWall, (workpiece) => {
        const plan = computePlan(workpiece)
        if (plan.pieces.length === 0) return
        const list = released(workpiece)
        const read = actSchema().safeParse(JSON.parse(JSON.stringify(list)))
        expect(read.success).toBe(true)
        const release = releaseOf([list])
        if (!release) throw new Error('nothing released')
        const names = release.pieces.map(({ piece }) => piece.name)
        expect(new Set(names).size).toBe(plan.pieces.length)
        expect(isAsReleased(release, planOf(workpiece))).toBe(true)
        const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]))
        for (const { piece } of release.pieces) {
          const real = byId.get(piece.pieceId)
          if (!real) throw new Error(`no ${piece.pieceId}`)
          const area = Math.abs(signedArea(real.polygon))
          // a lean within the fitting tolerance is cut square
          expect(Math.abs(cardArea(piece) - area)).toBeLessThan(
            1e-3 * area + 2 * workpiece.settings.fit * piece.faceWidth,
          )
          for (const under of piece.after) expect(names).toContain(under)
        }
        const rows = releasedRows(release)
        expect(rows.flatMap(({ pieceIds }) => pieceIds).sort()).toEqual(
          plan.pieces.map(({ id }) => id).sort(),
        )
        expect(new Set(rows.map(({ label }) => label)).size).toBe(rows.length)
      }),
      { numRuns: runs(60) },
    )
  })

  test('whatever is changed after: kept names are of pieces cut alike, and the second list fits the second plan', () => {
    const anyHeight = fc.integer({ min: 30, max: 80 }).map((height) => inches(height))
    fc.assert(
      fc.property(anyMeetingWall, anyHeight, (workpiece, value: Length) => {
        const list = released(workpiece)
        if (list.kind !== 'released' || list.pieces.length === 0) return
        const cut = list.pieces
          .filter((_, i) => i % 2 === 0)
          .map(({ name }) => on(list, name, { kind: 'pieceCut' }))
        const changed = {
          ...workpiece,
          wall: {
            ...workpiece.wall,
            design: withDesign(workpiece.wall.design, { height: { rule: 'typed', value } }),
          },
        }
        if (computePlan(changed).pieces.length === 0) return
        const before = releaseOf([list, ...cut])
        const again = released(changed, [list, ...cut])
        const now = releaseOf([list, ...cut, again])
        if (!before || !now) throw new Error('nothing released')
        const since = sinceRelease(before, planOf(changed))
        expect(since.fits.length + since.fresh.length).toBe(now.pieces.length)
        expect(since.fits.length + since.leftOver.length + since.dropped.length).toBe(before.pieces.length)
        const given = new Map(before.pieces.map((state) => [state.piece.name, state]))
        for (const { piece, cutAt } of now.pieces) {
          const was = given.get(piece.name)
          if (!was) {
            expect(cutAt).toBeNull()
            // a letter that was used is not used again
            expect(before.pieces.some((each) => letterOf(each.piece.name) === letterOf(piece.name))).toBe(
              false,
            )
          } else
            expect([cutAt, Math.abs(was.piece.cutLength - piece.cutLength) <= 2]).toEqual([was.cutAt, true])
        }
        expect(isAsReleased({ ...now, leftOver: [] }, planOf(changed))).toBe(true)
      }),
      { numRuns: runs(40) },
    )
  })
})
