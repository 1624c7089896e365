import fc from 'fast-check'
import { inches, nearestNanometer, toInches } from '~/length'
import { type Act, STARTING_BOXES, type Workpiece } from '~/model'
import { anyMeetingWall, runs } from '../../../tests/anyWall'
import { wallOf } from '../../../tests/namedWalls'
import { computePlan, type Plan } from '../computePlan'
import { toRelease } from '../cutting/toRelease'
import { applyEdits } from '../edits/applyEdit'
import { boardsNear } from '../cutting/leftToCut'
import { rulesOf } from '../patterns/rules'
import { builtWall, offPlan } from './built'
import { cutFacts } from './cutFacts'
import { freezeList, sinceRelease } from './freeze'
import { type Release, releaseOf } from './release'
import { waysOn } from './waysOut'

let count = 0
const id = () => `act-${String(++count).padStart(8, '0')}`
const done = () => ({ id: id(), doneAt: 1_000 + count })

/** The list of a plan, released; all of it cut; of these strips all is up. */
function released(plan: Plan, workpiece: Workpiece, up: readonly string[], isCut = true): Act[] {
  const pieces = freezeList(toRelease(plan, workpiece), [])
  const list = { ...done(), kind: 'released' as const, revisions: [], pieces }
  return [
    list,
    ...(isCut ? pieces : []).map(({ name }) => ({
      ...done(),
      kind: 'pieceCut' as const,
      release: list.id,
      piece: name,
    })),
    ...pieces
      .filter(({ stripId }) => up.includes(stripId))
      .map(({ name }) => ({
        ...done(),
        kind: 'pieceUp' as const,
        release: list.id,
        piece: name,
        left: null,
      })),
  ]
}
const read = (strip: string, edge: 'left' | 'right', place: number, planned = place): Act => ({
  ...done(),
  kind: 'builtAt',
  strip,
  edge,
  place: nearestNanometer(place),
  planned: nearestNanometer(planned),
  with: 'tape',
})
const ways = (workpiece: Workpiece, acts: readonly Act[]) => {
  const plan = computePlan(workpiece)
  return waysOn(workpiece, plan, acts, releaseOf(acts) as Release)
}
const lefts = (workpiece: Workpiece) =>
  computePlan(workpiece).layout.uprights.map(({ left }) => toInches(left))

/** The largest step from one gap's change to its neighbor's, by the two layouts; what a filler fills is no gap. Null for margins of boxes. */
function stepOf(before: Plan, after: Plan): number | null {
  if (rulesOf(after.layout).places !== 'uprights') return null
  const filled = after.layout.fillers.at(-1)
  const steps = after.layout.sections.flatMap(({ placement: now }, i) => {
    const was = before.layout.sections[i]?.placement
    if (!now || !was || now.gaps.length !== was.gaps.length) return [NaN]
    const end = now.rightEnd - (filled ? filled.right - filled.left : 0)
    const sizes = [was.leftEnd, ...was.gaps, was.rightEnd]
    const by = [now.leftEnd, ...now.gaps, end].map((gap, n) => gap - (sizes[n] ?? 0))
    const bays = by.filter(
      (each, n) => !((n === 0 || n === by.length - 1) && Math.abs(sizes[n] ?? 0) <= 2 && Math.abs(each) <= 2),
    )
    return bays.slice(1).map((each, n) => Math.abs(each - (bays[n] ?? each)))
  })
  return steps.some(Number.isNaN) ? null : Math.max(0, ...steps)
}

const grid = (width: number, columns: number, over: object = {}) =>
  wallOf(
    { width: inches(width), height: inches(96) },
    {
      pattern: 'grid',
      spacing: { school: 'equalByCount', strips: columns, ends: 'strip' },
      border: 'butt',
      rows: [1, 1, 1],
      through: 'uprights',
      rails: [],
      height: { rule: 'full' },
      ...over,
    },
  )

describe('ways on from what is up', () => {
  test('A5: an inch more is found after all rails are cut; each way with its recuts (common practice, no source)', () => {
    const wall = grid(216, 6, { battenMaterial: 'pine-1x4' })
    const plan = computePlan(wall)
    const [first] = plan.layout.uprights
    const acts = [
      ...released(plan, wall, [first?.id ?? '']),
      read('wall-right', 'right', inches(217), inches(216)),
    ]
    const rails = plan.pieces.filter(({ directionDeg }) => directionDeg === 0)
    expect(rails).toHaveLength(20)
    const { ways: found } = ways(wall, acts)
    const recuts = (way: string) => of(way)?.recuts.length
    const of = (way: string) => found.find((each) => each.ways.includes(way as never))
    expect(['even', 'middleBay', 'lastBay', 'fewestRecuts', 'endBays', 'filler'].map(recuts)).toEqual([
      20, 4, 4, 4, 8, 0,
    ])
    // all bays stay equal beside a strip ripped for the end, which is wood: what is stated is what it takes
    expect(of('filler')?.uneven).toEqual({ worst: 0, step: 0, seen: false })
    const filled = applyEdits(wall, of('filler')?.edits ?? [])
    const [now, then] = [wall, filled].map((each) => boardsNear(computePlan(each), each, cutFacts(acts)))
    expect(of('filler')?.boards).toBe((then?.count ?? 0) - (now?.count ?? 0))
    expect(of('filler')?.boards).toBeGreaterThan(0)
    const even = applyEdits(wall, of('even')?.edits ?? [])
    expect(computePlan(even).closing?.difference).toBe(0)
    expect(
      lefts(even)
        .slice(0, 2)
        .map((left, i) => left - i * 42.7),
    ).toEqual([0, expect.closeTo(0, 5)])
  })

  test('J5: boxes as cut with margins of their own, or margins kept and boxes resized (worked, common practice, no source)', () => {
    const wall = wallOf(
      { width: inches(200), height: inches(40) },
      {
        pattern: 'boxes',
        boxes: { ...STARTING_BOXES, margin: inches(4), count: 5, below: null, above: null },
        rails: [],
        topRail: null,
        height: { rule: 'full' },
      },
    )
    const plan = computePlan(wall)
    const [first, second] = plan.layout.uprights
    expect(toInches(nearestNanometer((second?.right ?? 0) - (second?.left ?? 0)))).toBeCloseTo(35.2, 6)
    const list = released(plan, wall, [first?.id ?? '', second?.id ?? ''])
    // as the saw made them: to the tape's sixteenth
    const cut = list.map((act) =>
      act.kind === 'released'
        ? {
            ...act,
            pieces: act.pieces.map((piece) =>
              piece.role === 'boxRail'
                ? { ...piece, longLength: inches(563 / 16), cutLength: inches(563 / 16) }
                : piece,
            ),
          }
        : act,
    )
    const { ways: found } = ways(wall, [...cut, read(second?.id ?? '', 'right', inches(79), inches(78.4))])
    const asCut = found.find((each) => each.ways.includes('even'))
    expect(lefts(applyEdits(wall, asCut?.edits ?? [])).slice(2)).toEqual([5303 / 64, 3901 / 32, 10301 / 64])
    expect(asCut?.recuts).toEqual([])
    const kept = found.find((each) => each.ways.includes('resize'))
    expect(lefts(applyEdits(wall, kept?.edits ?? [])).slice(2)).toEqual([83, 122, 161])
    expect([kept?.recuts.length, kept?.fromThemselves, kept?.boards]).toEqual([6, 6, 0])
    expect(computePlan(applyEdits(wall, kept?.edits ?? [])).closing?.difference).toBe(0)
  })

  test('taken, what is up keeps its name and is never cut again; what fits as cut is not either', () => {
    const wall = grid(150, 5)
    const plan = computePlan(wall)
    const [first, second] = plan.layout.uprights
    const acts = [
      ...released(plan, wall, [first?.id ?? '', second?.id ?? '']),
      read(second?.id ?? '', 'left', (second?.left ?? 0) + inches(3 / 8)),
    ]
    const release = releaseOf(acts) as Release
    const { ways: found } = waysOn(wall, plan, acts, release)
    for (const way of found) {
      const after = applyEdits(wall, way.edits)
      const next = freezeList(toRelease(computePlan(after), after), acts)
      const names = new Set(next.map(({ name }) => name))
      for (const { piece, upAt } of release.pieces) if (upAt !== null) expect(names).toContain(piece.name)
      const since = sinceRelease(release, toRelease(computePlan(after), after))
      // what the way says is what comes: cut again and not elsewhere
      expect(since.again).toHaveLength(way.recuts.length)
    }
    expect(found.length).toBeGreaterThan(3)
  })

  test('a reading that can not be has no way on, and says what is lacking', () => {
    const wall = grid(150, 5)
    const plan = computePlan(wall)
    const third = plan.layout.uprights[2]
    const { issue, ways: found } = ways(wall, [read(third?.id ?? '', 'left', inches(144))])
    expect(issue).toMatchObject({ code: 'noRoom', pieces: 2 })
    expect(found).toEqual([])
  })

  test('law D8: over any wall, whatever is read of it, no way moves what is up, and the sum closes as it did', () => {
    fc.assert(
      fc.property(
        anyMeetingWall,
        fc.array(
          fc.record({
            of: fc.nat(20),
            off: fc.integer({ min: -12, max: 12 }),
            edge: fc.constantFrom('left' as const, 'right' as const),
          }),
          {
            minLength: 1,
            maxLength: 4,
          },
        ),
        fc.nat(4),
        (wall, reads, upTo) => {
          const plan = computePlan(wall)
          const { uprights } = plan.layout
          if (uprights.length === 0) return
          const up = uprights.slice(0, upTo).map((each) => each.id as string)
          const acts = [
            ...released(plan, wall, up),
            ...reads.map(({ of, off, edge }) => {
              const upright = uprights[of % uprights.length]
              const at = upright?.[edge] ?? 0
              return read(upright?.id ?? '', edge, at + inches(off / 16), at)
            }),
          ]
          const release = releaseOf(acts) as Release
          const built = builtWall(wall, plan.layout, acts, release)
          const before = Math.abs(plan.closing?.difference ?? 0)
          for (const way of waysOn(wall, plan, acts, release).ways) {
            const after = applyEdits(wall, way.edits)
            const next = computePlan(after)
            for (const { row } of built)
              for (const { id: strip, at } of row.standing) {
                const now = next.layout.uprights.find((each) => each.id === strip)
                if (at && now) expect(Math.abs(now.left - at.left)).toBeLessThanOrEqual(2)
              }
            expect(Math.abs(next.closing?.difference ?? 0)).toBeLessThanOrEqual(before + 4)
            expect(next.layout.uprights).toHaveLength(uprights.length)
            expect(offPlan(builtWall(after, next.layout, acts, release), 4).size).toBe(0)
            // what the way says is what comes: cut again, and not elsewhere
            expect(sinceRelease(release, toRelease(next, after)).again).toHaveLength(way.recuts.length)
            // and once it is taken and its list has gone out: boards and money more than now, and how uneven it is
            const list = { ...done(), kind: 'released' as const, revisions: [] }
            const out = { ...list, pieces: freezeList(toRelease(next, after), acts) }
            const then = boardsNear(next, after, cutFacts([...acts, ...(out.pieces.length > 0 ? [out] : [])]))
            const now = boardsNear(plan, wall, cutFacts(acts))
            expect(way.boards).toBe(now.whole && then.whole ? then.count - now.count : null)
            expect(way.cost).toBe(now.cost === null || then.cost === null ? null : then.cost - now.cost)
            const step = stepOf(plan, next)
            if (step !== null) expect(Math.abs(way.uneven.step - step)).toBeLessThanOrEqual(8)
          }
        },
      ),
      { numRuns: runs(60) },
    )
  })
})
