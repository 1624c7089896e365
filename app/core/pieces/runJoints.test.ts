import fc from 'fast-check'
import { inches, toInches } from '~/length'
import { jointFaults, jointsHold, jointsNeeded, NOTHING_AROUND, placeJoints } from './runJoints'
import { reachOf, splitRun } from './splitRun'

const THICK = inches(0.75)
const WIDE = inches(2.5)

describe('runs longer than the boards', () => {
  const parted = (run: number, board: number, joint: 'scarf' | 'butt') => {
    const joints = placeJoints(0, inches(run), reachOf(inches(board), joint, THICK, WIDE), NOTHING_AROUND)
    return splitRun(inches(0), inches(run), joints, joint, THICK)
  }
  const lengths = (parts: ReturnType<typeof splitRun>) => parts.map(({ from, to }) => toInches(to - from))

  // B6: common practice, no source; arithmetic checked by hand
  test('B6: 264 from 144, scarf at 45 degrees through 3/4: two boards, 23 1/4 left of the second', () => {
    const parts = parted(264, 144, 'scarf')
    expect(lengths(parts)).toEqual([143.25, 120.75])
    expect(parts[0]?.end).toEqual({ kind: 'scarf', bevelDeg: 45, hidden: THICK })
    expect(parts[1]?.start).toEqual({ kind: 'scarf', bevelDeg: 45, hidden: 0 })
    expect(toInches(inches(144) - ((parts[1]?.to ?? 0) - (parts[1]?.from ?? 0)))).toBe(23.25)
  })

  // G4: common practice, no source (the rule of B6); boards whole to the long points, kerf and end trim 0
  test.each([
    [250, 0.75, 144, 2, 250.75],
    [287, 0.75, 144, 2, 287.75],
    [287.5, 0.75, 144, 3, 289],
    [287.5, 0.5, 144, 2, 288],
    [287.25, 0.75, 144, 2, 288],
    [430, 11 / 16, 144, 3, 431.375],
  ])('G4: a run of %d, %d thick, from %d: %d boards, %d of stuff', (run, thick, board, boards, stuff) => {
    const reach = reachOf(inches(board), 'scarf', inches(thick), WIDE)
    const joints = placeJoints(0, inches(run), reach, NOTHING_AROUND)
    const parts = splitRun(inches(0), inches(run), joints, 'scarf', inches(thick))
    expect(parts).toHaveLength(boards)
    const hidden = parts.reduce((sum, { end }) => sum + (end.kind === 'scarf' ? end.hidden : 0), 0)
    expect(toInches(inches(run) + hidden)).toBe(stuff)
  })

  test('a short rest is evened out with its neighbor; a run no board is long enough for has no joints', () => {
    expect(lengths(parted(150, 144, 'butt'))).toEqual([75, 75])
    expect(placeJoints(0, inches(50), { first: 0, middle: 0, last: 0 }, NOTHING_AROUND)).toEqual([])
    expect(jointsNeeded(10, { first: 4, middle: 0, last: 4 })).toBe(Infinity)
  })

  test('on a stud, not under a window, not in line with another run: in that order', () => {
    const reach = reachOf(inches(120), 'butt', THICK, WIDE)
    const studs = [100, 110, 118].map(inches)
    const at = (around: Partial<typeof NOTHING_AROUND>) =>
      placeJoints(0, inches(200), reach, { ...NOTHING_AROUND, ...around }).map(toInches)
    expect(at({})).toEqual([120])
    expect(at({ studs })).toEqual([118])
    expect(at({ studs, others: [inches(118)] })).toEqual([100])
    const seen = [{ from: inches(95), to: inches(105) }]
    expect(at({ studs, others: [inches(118)], seen })).toEqual([118])
    expect(at({ others: [inches(118)] })).toEqual([102])
  })

  test('law: a joint on a stud is on its middle wherever a board reaches to the middle of one', () => {
    let near = 0
    fc.assert(
      fc.property(
        fc.integer({ min: 130, max: 230 }),
        fc.uniqueArray(fc.integer({ min: 1, max: 1800 }), { minLength: 1, maxLength: 12 }),
        (run, eighths) => {
          const studs = eighths.map((n) => inches(n / 8))
          const reach = reachOf(inches(120), 'butt', THICK, WIDE)
          const joints = placeJoints(0, inches(run), reach, { ...NOTHING_AROUND, studs })
          if (joints.length !== 1) return
          const held = studs.filter((stud) => jointsHold(0, inches(run), [stud], reach))
          if (held.length === 0) return
          near += 1
          expect(held).toContain(joints[0])
        },
      ),
      { numRuns: 400 },
    )
    expect(near).toBeGreaterThan(100)
  })

  test('law: parts cover the run, none outgrows its board, as few as can be, and no better choice of studs', () => {
    const spot = fc.integer({ min: 0, max: 900 })
    fc.assert(
      fc.property(
        fc.integer({ min: 50, max: 900 }),
        fc.integer({ min: 60, max: 200 }),
        fc.constantFrom('scarf' as const, 'butt' as const, 'miter' as const, 'miterHalf' as const),
        fc.array(spot, { maxLength: 12 }),
        fc.array(spot, { maxLength: 3 }),
        (run, board, joint, studs, others) => {
          fc.pre(run > board)
          const reach = reachOf(inches(board), joint, THICK, WIDE)
          const around = { studs: studs.map(inches), seen: [], others: others.map(inches) }
          const joints = placeJoints(0, inches(run), reach, around)
          expect(joints.length).toBe(jointsNeeded(inches(run), reach))
          expect(jointsHold(0, inches(run), joints, reach)).toBe(true)
          const parts = splitRun(inches(0), inches(run), joints, joint, THICK)
          expect(parts[0]?.from).toBe(0)
          expect(parts.at(-1)?.to).toBe(inches(run))
          parts.forEach((part, i) => i > 0 && expect(part.from).toBe(parts[i - 1]?.to))
          if (joints.length !== 1) return
          // by trying every stud: where one is in reach the joint is on one
          const inReach = around.studs.filter((stud) => jointsHold(0, inches(run), [stud], reach))
          if (inReach.length > 0) expect(jointFaults(joints[0] ?? 0, around).offStud).toBe(false)
        },
      ),
    )
  })

  // before, every first part was as long as its board: no run of these kept anything to cut it long by
  test('law: where it costs no board every part can be cut long; bearing, stubs and windows still come first', () => {
    const spot = fc.integer({ min: 0, max: 900 })
    fc.assert(
      fc.property(
        fc.integer({ min: 50, max: 900 }),
        fc.integer({ min: 60, max: 200 }),
        fc.constantFrom('scarf' as const, 'butt' as const),
        fc.array(spot, { maxLength: 6 }),
        fc.integer({ min: 1, max: 4 }),
        (run, board, joint, studs, eighths) => {
          fc.pre(run > board)
          const allowance = inches(eighths / 8)
          const reach = reachOf(inches(board), joint, THICK, WIDE)
          const around = { studs: studs.map(inches), seen: [], others: [] }
          const [kept, before] = [allowance, 0].map((by) => placeJoints(0, inches(run), reach, around, by))
          if (!kept || !before) throw new Error('no joints')
          const short = {
            first: reach.first - allowance,
            middle: reach.middle - allowance,
            last: reach.last - allowance,
          }
          const off = (joints: readonly number[]) =>
            joints.filter((at) => jointFaults(at, around).offStud).length
          expect(kept).toHaveLength(before.length)
          expect(off(kept)).toBe(off(before))
          // no stud to reach for: every part keeps it wherever as many boards do
          const free = placeJoints(0, inches(run), reach, NOTHING_AROUND, allowance)
          const isFree = jointsNeeded(inches(run), short) === free.length
          const stubs = (joints: readonly number[]) =>
            [...joints, inches(run)].some((to, i) => to - (joints[i - 1] ?? 0) < inches(24))
          if (isFree && !stubs(free)) expect(jointsHold(0, inches(run), free, loosened(short))).toBe(true)
        },
      ),
    )
  })
})

describe('joints in a run that is cut long', () => {
  const reach = { first: inches(110), middle: inches(110), last: inches(110) }
  const placed = (run: number, by: number, around = NOTHING_AROUND) =>
    placeJoints(0, inches(run), reach, around, inches(by)).map(toInches)
  test('go as far along as each board goes with what it is cut long by', () => {
    expect(placed(300, 0)).toEqual([110, 220])
    expect(placed(300, 1 / 2)).toEqual([109.5, 219])
    expect(placed(400, 1)).toEqual([109, 218, 327])
    // where the last board can't be cut long otherwise, the joints stand exactly so
    expect(placed(327, 1)).toEqual([109, 218])
    expect(placed(218, 1)).toEqual([109])
  })
  test('of boards that can’t all be cut long as few as can be are not', () => {
    const tight = (joints: readonly number[], run: number) =>
      [...joints, run].filter((to, i) => to - (joints[i - 1] ?? 0) > 109 + 1e-6).length
    expect(tight(placed(328, 1), 328)).toBe(1)
    expect(tight(placed(330, 1), 330)).toBe(3)
  })
  test('the last part keeps it too where a stud would take it', () => {
    const studs = { ...NOTHING_AROUND, studs: [inches(90)] }
    // off the stud's middle, still on the stud
    expect(placed(199.5, 1, studs)).toEqual([90.5])
    expect(placed(199.5, 0, studs)).toEqual([90])
  })
})

/** By a nanometer, which roundings may take. */
function loosened(reach: { first: number; middle: number; last: number }) {
  return { first: reach.first + 2, middle: reach.middle + 2, last: reach.last + 2 }
}
