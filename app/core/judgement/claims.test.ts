import { inches, tickOf, toInches } from '~/length'
import { STARTING_JUDGEMENT, type Workpiece, inForce } from '~/model'
import { reading, thing, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import { matchGaps, type MatchMember, roomWish } from '../room/matchWalls'
import { layOut } from '../layout/layOutWall'
import { barredFor } from './barred'
import { heightProposals } from './heights'
import { propose } from './propose'
import { measure, type Measures, totalOf } from './score'

const NOTHING: Measures = {
  plates: 0,
  slivers: 0,
  wish: 0,
  symmetry: 0,
  studs: 0,
  boards: 1,
  pieces: 1,
  hollows: 0,
}

describe('none clears: said only where none does', () => {
  /** Every layout on the tape whose bays differ by no more than asked, gaps at both ends: slow and sure. */
  function someClears(
    span: number,
    width: number,
    strips: number,
    differ: number,
    plates: [number, number][],
  ): boolean {
    const gap = (span - strips * width) / (strips + 1)
    const tick = 1 / 16
    const ticks = Math.round(differ / tick)
    for (let below = 0; below <= ticks; below++) {
      const least = gap - below * tick
      const place = (from: number, left: number): boolean => {
        if (left === 0) return span - from >= least - 1e-9 && span - from <= least + differ + 1e-9
        for (let bay = least; bay <= least + differ + 1e-9; bay += tick) {
          const at = from + bay
          if (plates.some(([a, b]) => at + width > a && at < b)) continue
          if (place(at + width, left - 1)) return true
        }
        return false
      }
      if (place(0, strips)) return true
    }
    return false
  }

  test('side trim that no layout can miss does not hide that the plate can be missed', () => {
    // trim over the whole of the left end bay's middle: whatever the count, its edges are in somebody's way
    const things = [
      thing('outlet', 15.25, 12, 2.75, 4.5),
      ...[9, 12, 15, 18, 21].map((left) => thing('sideTrim', left, 30, 0.5, 4)),
    ]
    const workpiece: Workpiece = wallOf(
      { width: inches(36), things },
      {
        spacing: {
          school: 'nearWish',
          wish: inches(15.5),
          measure: 'gap',
          least: inches(15),
          most: inches(17),
          ends: 'gap',
          strips: null,
        },
        judgement: {
          ...STARTING_JUDGEMENT,
          clearance: inches(0),
          ends: ['gap'],
          shiftUpTo: inches(0),
          baysDiffer: inches(3),
        },
      },
    )
    expect(someClears(36, 2.5, 1, 3, [[15.25, 18]])).toBe(true)
    const found = propose(workpiece)
    expect(found.plates).toBe(1)
    expect(found.clear).toBeGreaterThan(0)
  })

  test('on small walls the claim agrees with trying every layout', () => {
    for (let at = 2; at < 30; at += 1.75)
      for (const wide of [2.75, 6]) {
        const workpiece: Workpiece = wallOf(
          {
            width: inches(40),
            things: [thing('outlet', at, 12, wide, 4.5), thing('sideTrim', 20, 20, 1, 9)],
          },
          {
            spacing: { school: 'equalByCount', strips: 2, ends: 'gap' },
            judgement: {
              ...STARTING_JUDGEMENT,
              clearance: inches(0),
              ends: ['gap'],
              shiftUpTo: inches(0),
              baysDiffer: inches(1.5),
            },
          },
        )
        const wish = propose(workpiece)
        const some = [1, 2, 3].some((strips) => {
          const gap = (40 - strips * 2.5) / (strips + 1)
          // within half and double of today's gap, as a school without limits is given
          return gap >= 35 / 6 && gap <= 70 / 3 && someClears(40, 2.5, strips, 1.5, [[at, at + wide]])
        })
        if (some) expect(wish.clear).toBeGreaterThan(0)
      }
  })

  test('half over trim never ranks before one on a plate, nor do two edges of trim count as one plate', () => {
    const cost = (hit: Partial<Measures>) =>
      totalOf([{ ...NOTHING, ...hit }], { boards: 1, pieces: 1 }, STARTING_JUDGEMENT.weights)
    const workpiece = wallOf({
      things: [
        thing('outlet', 40, 12, 2.75, 4.5),
        thing('sideTrim', 80, 12, 1, 40),
        thing('ledge', 110, 12, 12, 3),
      ],
    })
    const { wall, settings } = workpiece
    const layout = layOut(wall.survey, inForce(wall.design), settings)
    const barred = barredFor(layout, inForce(wall.design), layout.stripWidth, {
      bottom: inches(4),
      top: inches(60),
    })
    const at = (...lefts: number[]) => {
      const section = layout.sections[0]
      const placement = section?.placement
      if (!section || !placement) throw new Error('no layout')
      const input = {
        layout,
        design: inForce(wall.design),
        settings,
        barred,
        level: [],
        studs: [],
        axis: null,
        wish: inches(16),
        boardsByCount: new Map(),
        over: null,
      }
      const candidate = {
        section,
        placement,
        spacing: inForce(wall.design).spacing,
        shift: 0,
        lefts: lefts.map(inches),
        gap: inches(16),
        kind: 'gap 1',
      }
      return measure(candidate, input)
    }
    const plate = at(40).measures.plates
    expect(at(40).platesHit).toBe(1)
    expect([at(79).platesHit, at(79).measures.plates > plate]).toEqual([0, true])
    // strips over the left and the right edge of one ledge
    expect(at(109, 121).measures.plates).toBe(2 * at(109).measures.plates)
    expect(cost({ plates: at(79).measures.plates })).toBeGreaterThan(
      cost({ plates: plate, slivers: 2, wish: 0.5, symmetry: 1, studs: 1 }),
    )
  })
})

describe('so many from a board', () => {
  const perBoard = (workpiece: Workpiece) =>
    heightProposals(workpiece).flatMap(({ reason, height, edits }) =>
      reason.code === 'perBoard' ? [{ ...reason, height, edits }] : [],
    )

  test('B2: two of 48 never come from 96 with a kerf of 1/8; 47 15/16 do. Three are rounded down to the tape', () => {
    const found = perBoard(wallOf())
    const of = (pieces: number, board: number) =>
      found.find((each) => each.pieces === pieces && toInches(each.board) === board)
    expect(toInches(of(2, 96)?.piece ?? 0)).toBe(47.9375)
    // 31 15/16 would need 96 1/16
    expect(toInches(of(3, 96)?.piece ?? 0)).toBe(31.875)
    for (const { height } of found) expect(height % tickOf('1/16')).toBe(0)
  })

  test('on a floor that falls the longest batten decides', () => {
    const falling = wallOf({ readings: [reading('floorFall', 131, 1.5)] }, { foot: { kind: 'floor' } })
    for (const { pieces, board, edits } of perBoard(falling)) {
      const next = applyEdits(falling, edits)
      const longest = Math.max(
        ...computePlan(next)
          .pieces.filter(({ role }) => role === 'batten')
          .map(({ cutLength }) => cutLength),
      )
      expect(pieces * longest + (pieces - 1) * next.settings.shop.kerf).toBeLessThanOrEqual(board)
    }
    expect(perBoard(falling).length).toBeGreaterThan(2)
  })
})

describe('matched walls', () => {
  const member = (wallId: string, choices: [number, number][]): MatchMember => ({
    wallId,
    sectionId: 'all',
    locked: false,
    strips: 0,
    gap: 0,
    choices: choices.map(([strips, gap]) => ({ strips, gap: inches(gap) })),
  })

  test('one that is all alike but far from the wish does not stand before one near it', () => {
    const members = [
      member('a', [
        [6, 32.5],
        [9, 20.875],
      ]),
      member('b', [
        [5, 31],
        [8, 20.875],
      ]),
    ]
    const [best, second] = matchGaps(members, inches(32), 2)
    expect(best?.members.map(({ strips }) => strips)).toEqual([6, 5])
    expect(second?.spread).toBe(0)
  })

  test('a wish from center to center is matched as the clear gap it is', () => {
    const pitch = wallOf(
      {},
      {
        spacing: {
          school: 'nearWish',
          wish: inches(18.5),
          measure: 'pitch',
          least: inches(10),
          most: inches(24),
          ends: 'gap',
          strips: null,
        },
      },
    )
    expect(roomWish(pitch)).toMatchObject({ wish: inches(16), measure: 'gap' })
  })
})

describe('slivers, whatever made them', () => {
  const sliverOf = (design: Parameters<typeof wallOf>[1], survey: Parameters<typeof wallOf>[0] = {}) =>
    computePlan(wallOf(survey, design)).findings.find(({ says }) => says.code === 'endSliver')
  const six = { school: 'equalByCount', strips: 6, ends: 'gap' } as const

  test('a shift makes one, and taking it back ends it', () => {
    const workpiece = wallOf({}, { spacing: six, shift: inches(11) })
    const finding = computePlan(workpiece).findings.find(({ says }) => says.code === 'endSliver')
    expect(finding?.says).toMatchObject({ where: 'right' })
    expect(finding?.waysOut[0]?.says).toEqual({ code: 'putBack', by: inches(11) })
    for (const { edits } of finding?.waysOut ?? [])
      expect(
        computePlan(applyEdits(workpiece, edits)).findings.some(({ says }) => says.code === 'endSliver'),
      ).toBe(false)
  })

  test('studs and places make them, at either end or both; halves at the walls are none', () => {
    const behind = { studs: [4, 36, 68, 100, 128].map(inches), wallboard: inches(0.5), keepOuts: [] }
    expect(sliverOf({ spacing: { school: 'toStuds', every: 1 } }, { behind })?.says).toMatchObject({
      where: 'both',
      end: inches(2.75),
      other: inches(1.75),
    })
    expect(
      sliverOf({ spacing: { school: 'placed', nearEdges: [3, 40, 80].map(inches) } })?.says,
    ).toMatchObject({ where: 'left', end: inches(3) })
    expect(sliverOf({ spacing: { ...six, ends: 'half' } })).toBeUndefined()
    expect(sliverOf({ spacing: { ...six, ends: 'strip' } })).toBeUndefined()
    expect(sliverOf({ spacing: six })).toBeUndefined()
  })

  test('the bay beside a border counts as the end', () => {
    const grid = { pattern: 'grid', topRail: null, foot: { kind: 'floor' }, border: 'butt' } as const
    const spacing = {
      school: 'fromEnd',
      wish: inches(30),
      measure: 'gap',
      end: 'left',
      startWith: 'gap',
    } as const
    expect(sliverOf({ ...grid, spacing }, { width: inches(108) })?.says).toMatchObject({ where: 'right' })
  })
})

test('clearance asked for and not kept is told once a plate, with how near', () => {
  const at = (left: number, clearance: number) =>
    computePlan(
      wallOf(
        { things: [thing('outlet', left, 12, 2.75, 4.5)] },
        {
          spacing: { school: 'placed', nearEdges: [inches(40)] },
          judgement: { ...STARTING_JUDGEMENT, clearance: inches(clearance) },
        },
      ),
    ).findings.filter(({ says }) => says.code === 'plateTooNear')
  expect(at(42.75, 0.5).map(({ says }) => says)).toEqual([
    {
      code: 'plateTooNear',
      thingId: 'outlet-42.75',
      kind: 'outlet',
      stripId: 'batten-1',
      space: inches(0.25),
      asked: inches(0.5),
    },
  ])
  expect(at(42.75, 0.25)).toEqual([])
  expect(at(43, 0.5)).toEqual([])
  expect(at(41, 0.5)).toEqual([])
})
