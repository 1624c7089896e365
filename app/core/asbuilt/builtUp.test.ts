import fc from 'fast-check'
import { inches, nearestNanometer, toInches } from '~/length'
import { type Act, inForce, type Workpiece } from '~/model'
import { anyMeetingWall, runs } from '../../../tests/anyWall'
import { wallOf } from '../../../tests/namedWalls'
import { computePlan, type Plan } from '../computePlan'
import { toRelease } from '../cutting/toRelease'
import { applyEdits } from '../edits/applyEdit'
import { builtHeights, heightReadings, offHeights, readableBands, rowWeights } from './builtUp'
import { freezeList, sinceRelease } from './freeze'
import { type Release, releaseOf } from './release'
import { waysOn } from './waysOut'

let n = 0
const act = (kind: string, more: object) =>
  ({ id: `raised-${String(++n).padStart(5, '0')}`, doneAt: n, kind, ...more }) as Act
const high = (
  strip: string,
  place: number | null,
  edge: 'bottom' | 'top' = 'bottom',
  planned = place ?? 0,
): Act =>
  act('builtHeight', {
    strip,
    edge,
    place: place === null ? null : nearestNanometer(place),
    planned: nearestNanometer(planned),
    with: 'tape',
  })

/** The plan's list released and all of it cut; pieces of these strips are up. */
function cutAndUp(plan: Plan, workpiece: Workpiece, up: readonly string[]): Act[] {
  const list = act('released', { revisions: [], pieces: freezeList(toRelease(plan, workpiece), []) })
  const pieces = list.kind === 'released' ? list.pieces : []
  return [
    list,
    ...pieces.map(({ name }) => act('pieceCut', { release: list.id, piece: name })),
    ...pieces
      .filter(({ stripId }) => up.includes(stripId))
      .map(({ name }) => act('pieceUp', { release: list.id, piece: name, left: null, bottom: null })),
  ]
}
const onFrom = (workpiece: Workpiece, acts: readonly Act[]) =>
  waysOn(workpiece, computePlan(workpiece), acts, releaseOf(acts))
const bottoms = (workpiece: Workpiece) =>
  computePlan(workpiece)
    .layout.bands.filter(({ name }) => name.kind === 'gridRail')
    .map(({ bottom }) => toInches(bottom))

// four rows of 19 3/8 between rails of 2 1/2 over 90: by hand
const grid = (over: object = {}) =>
  wallOf(
    { width: inches(140), height: inches(90), baseboard: null },
    {
      pattern: 'grid',
      foot: { kind: 'floor' },
      topRail: null,
      height: { rule: 'full' },
      spacing: { school: 'equalByCount', strips: 4, ends: 'strip' },
      border: 'butt',
      rows: [1, 1, 1, 1],
      through: 'rails',
      rails: [],
      ...over,
    },
  )

describe('horizontals as they are built', () => {
  test('a rail that went up half an inch high: the rows above share it; each way with its recuts (worked by hand, common practice, no source)', () => {
    const wall = grid()
    const plan = computePlan(wall)
    expect(bottoms(wall)).toEqual([0, 21.875, 43.75, 65.625, 87.5])
    const second = plan.layout.bands[1]?.id ?? ''
    const acts = [...cutAndUp(plan, wall, [second]), high(second, inches(22.375))]
    const { issue, ways } = onFrom(wall, acts)
    expect(issue).toBeNull()
    const of = (way: string) => ways.find((each) => each.ways.includes(way as never))
    const even = of('even')
    // 19.375 - 0.5 / 3 above it
    const clear = 19.375 - 0.5 / 3
    const found = bottoms(applyEdits(wall, even?.edits ?? []))
    ;[0, 22.375, 24.875 + clear, 27.375 + 2 * clear, 87.5].forEach((at, i) =>
      expect(found[i]).toBeCloseTo(at, 6),
    )
    // six inner stiles are cut between rails in each row: two in a row, four rows; the lowest row's are too short now
    expect(
      plan.pieces.filter(({ role, longLength }) => role === 'stile' && longLength < inches(20)),
    ).toHaveLength(8)
    expect(even?.recuts).toHaveLength(8)
    expect(even?.fromThemselves).toBe(6)
    expect(of('lastBay')?.recuts).toHaveLength(4)
    expect(bottoms(applyEdits(wall, of('lastBay')?.edits ?? []))).toEqual([0, 22.375, 44.25, 66.125, 87.5])
    expect(of('fewestRecuts')?.recuts).toHaveLength(4)
    // nothing was moved along the wall
    expect(inForce(applyEdits(wall, even?.edits ?? []).wall.design).sectionOwn).toEqual(
      inForce(wall.wall.design).sectionOwn,
    )
  })

  test('rails at heights of their own stay where they were read; the top rail takes its cap along', () => {
    const wall = wallOf(
      { width: inches(120), height: inches(96) },
      {
        topRail: { material: 'pine-1x3' },
        cap: { material: 'pine-1x2', lay: 'flat' },
        height: { rule: 'typed', value: inches(62) },
        rails: [
          {
            id: 'low',
            use: 'chairRail',
            material: 'pine-1x3',
            lay: 'edge',
            top: { rule: 'typed', value: inches(30) },
          },
        ],
      },
    )
    const plan = computePlan(wall)
    const acts = [
      ...cutAndUp(plan, wall, ['low', 'topRail']),
      high('low', inches(30.25), 'top'),
      high('topRail', inches(61.75), 'top'),
    ]
    const { ways } = onFrom(wall, acts)
    expect(ways.map((way) => way.ways)).toEqual([['stays']])
    const after = computePlan(applyEdits(wall, ways[0]?.edits ?? [])).layout
    const of = (id: string) => after.bands.find((band) => band.id === id)
    expect([of('low')?.top, of('topRail')?.top, of('cap')?.bottom].map((at) => toInches(at ?? 0))).toEqual([
      30.25, 61.75, 61.75,
    ])
    expect(ways[0]?.recuts.length).toBeGreaterThan(0)
  })

  test('a rail that would lie over another can’t be; what is taken back is no reading', () => {
    const wall = grid()
    const plan = computePlan(wall)
    const [, second, third] = plan.layout.bands.map(({ id }) => id as string)
    expect(onFrom(wall, [high(second ?? '', inches(60)), high(third ?? '', inches(44))]).issue?.code).toBe(
      'cannotBe',
    )
    const taken = [high(second ?? '', inches(30)), high(second ?? '', null)]
    expect(heightReadings(taken)).toEqual([])
    expect(offHeights(builtHeights(plan.layout, taken, null), 2).size).toBe(0)
  })

  test('what is up and was not read is where it was laid out when it went up', () => {
    const wall = grid()
    const plan = computePlan(wall)
    const second = plan.layout.bands[1]
    const [list, ...rest] = cutAndUp(plan, wall, [])
    const name =
      list?.kind === 'released' ? list.pieces.find(({ stripId }) => stripId === second?.id)?.name : undefined
    const acts = [
      ...(list ? [list] : []),
      ...rest,
      act('pieceUp', { release: list?.id, piece: name, left: null, bottom: second?.bottom }),
    ]
    const after = applyEdits(wall, [{ type: 'patchDesign', patch: { rows: [1, 2, 1, 1] } }])
    const off = offHeights(builtHeights(computePlan(after).layout, acts, releaseOf(acts)), 2)
    expect([...off.keys()]).toEqual([second?.id])
  })

  test('law: weights give rows back to the nanometer, however uneven', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 40_000_000, max: 900_000_000 }), { minLength: 2, maxLength: 9 }),
        (clear) => {
          const width = inches(2.5)
          const height = clear.reduce((sum, each) => sum + each, 0) + (clear.length + 1) * width
          const places = clear.slice(0, -1).map((_, i) => {
            const left = width + clear.slice(0, i + 1).reduce((sum, each) => sum + each, 0) + i * width
            return { left, right: left + width }
          })
          const rows = rowWeights({ left: width, right: height - width }, places)
          const wall = wallOf(
            { width: inches(100), height: nearestNanometer(height), baseboard: null },
            { ...inForce(grid().wall.design), rows },
          )
          const bands = computePlan(wall).layout.bands.filter(({ role }) => role === 'rail')
          expect(bands.map(({ bottom }) => bottom)).toEqual(places.map(({ left }) => left))
        },
      ),
      { numRuns: runs(60) },
    )
  })

  test('law D8 upward: over any wall, whatever heights and places are read of it, no way moves what is up, and all of it is on its mark then', () => {
    fc.assert(
      fc.property(
        anyMeetingWall,
        fc.array(
          fc.record({
            of: fc.nat(20),
            off: fc.integer({ min: -10, max: 10 }),
            edge: fc.constantFrom('bottom' as const, 'top' as const),
            along: fc.boolean(),
          }),
          { minLength: 1, maxLength: 4 },
        ),
        fc.nat(3),
        (wall, reads, upTo) => {
          const plan = computePlan(wall)
          const bands = readableBands(plan.layout)
          const { uprights } = plan.layout
          if (bands.length === 0 || plan.pieces.length === 0) return
          const acts = [
            ...cutAndUp(
              plan,
              wall,
              bands.slice(0, upTo).map(({ id }) => id),
            ),
            ...reads.flatMap(({ of, off, edge, along }): Act[] => {
              const upright = uprights[of % Math.max(1, uprights.length)]
              const band = bands[of % bands.length]
              if (along && upright)
                return [
                  act('builtAt', {
                    strip: upright.id,
                    edge: 'left',
                    place: nearestNanometer(upright.left + inches(off / 16)),
                    planned: upright.left,
                    with: 'tape',
                  }),
                ]
              return band ? [high(band.id, band[edge] + inches(off / 16), edge, band[edge])] : []
            }),
          ]
          const release = releaseOf(acts) as Release
          const built = builtHeights(plan.layout, acts, release)
          const fixed = [...(built.row?.standing ?? []), ...built.own].filter(({ at }) => at)
          const before = Math.abs(plan.closing?.difference ?? 0)
          for (const way of waysOn(wall, plan, acts, release).ways) {
            const after = applyEdits(wall, way.edits)
            const next = computePlan(after)
            for (const { id, at } of fixed) {
              const now = next.layout.bands.find((band) => band.id === id)
              expect(Math.abs((now?.bottom ?? 0) - (at?.left ?? 0))).toBeLessThanOrEqual(2)
            }
            expect(offHeights(builtHeights(next.layout, acts, release), 2).size).toBe(0)
            expect(next.layout.bands).toHaveLength(plan.layout.bands.length)
            expect(next.layout.uprights).toHaveLength(uprights.length)
            expect(Math.abs(next.closing?.difference ?? 0)).toBeLessThanOrEqual(before + 4)
            const since = sinceRelease(release, toRelease(next, after))
            expect(since.again).toHaveLength(way.recuts.length)
          }
        },
      ),
      { numRuns: runs(60) },
    )
  })
})
