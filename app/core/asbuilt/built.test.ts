import fc from 'fast-check'
import { inches, nearestNanometer, toInches } from '~/length'
import { type Act, inForce, STARTING_BOXES, type Workpiece } from '~/model'
import { anyMeetingWall, runs } from '../../../tests/anyWall'
import { reading, thing, wallOf } from '../../../tests/namedWalls'
import { computePlan, type Plan } from '../computePlan'
import { toRelease } from '../cutting/toRelease'
import { applyEdits } from '../edits/applyEdit'
import { fitWalk } from '../fit/fitWalk'
import { heightMarks, runningMarks } from '../marks/runningMarks'
import { builtReadings, builtWall, offPlan, plannedReading, plannedWidth, readingIssue } from './built'
import { runsOf } from './evenOut'
import { freezeList } from './freeze'
import { pulledOff } from './pulledOff'
import { reissued } from './reissued'
import { releaseOf } from './release'
import { waysOn } from './waysOut'

let n = 0
const act = (kind: string, more: object) =>
  ({ id: `built-${String(++n).padStart(5, '0')}`, doneAt: n, kind, ...more }) as Act
const read = (strip: string, place: number | null, edge: 'left' | 'right' = 'left') =>
  act('builtAt', {
    strip,
    edge,
    place: place === null ? null : nearestNanometer(place),
    planned: nearestNanometer(place ?? 0),
    with: 'laser',
  })
const list = (plan: Plan, workpiece: Workpiece, before: readonly Act[] = []) =>
  act('released', { revisions: [], pieces: freezeList(toRelease(plan, workpiece), before) }) as Extract<
    Act,
    { kind: 'released' }
  >

const plain = wallOf(
  { width: inches(126.5), height: inches(93) },
  { spacing: { school: 'equalByCount', strips: 5, ends: 'gap' } },
)

describe('the wall as it is built', () => {
  test('of each strip the last reading counts; one taken back is none', () => {
    const acts = [
      read('batten-1', inches(20)),
      read('batten-2', inches(40)),
      read('batten-1', inches(20.5)),
      read('batten-2', null),
    ]
    expect(builtReadings(acts).map(({ strip, place }) => [strip, toInches(place)])).toEqual([
      ['batten-1', 20.5],
    ])
    expect(builtReadings([...acts].reverse())).toEqual(builtReadings(acts))
  })

  test('what is up and was not read is where it was laid out when it went up, whatever the layout is since', () => {
    const plan = computePlan(plain)
    const released = list(plan, plain)
    const second = plan.layout.uprights[1]
    const piece = released.pieces.find(({ stripId }) => stripId === second?.id)
    const up = act('pieceUp', { release: released.id, piece: piece?.name, left: second?.left })
    const after = applyEdits(plain, [{ type: 'patchDesign', patch: { shift: inches(0.75) } }])
    const built = builtWall(after, computePlan(after).layout, [released, up], releaseOf([released, up]))
    expect(built[0]?.row.standing[1]?.at?.left).toBe(second?.left)
    expect([...offPlan(built, 100)]).toEqual([[second?.id, inches(-0.75)]])
  })

  test('each section by itself: a run never reaches over a window', () => {
    const wall = wallOf(
      { width: inches(148), things: [thing('window', 60, 30, 28, 40, { casing: inches(2) })] },
      { sections: 'beside', spacing: { school: 'equalByCount', strips: 3, ends: 'gap' } },
    )
    const { layout } = computePlan(wall)
    const built = builtWall(wall, layout, [], null)
    expect(built.length).toBeGreaterThan(1)
    expect(built.flatMap(({ row }) => row.standing.map(({ id }) => id))).toEqual(
      layout.uprights.map(({ id }) => id),
    )
    for (const { section, row } of built)
      for (const { left, right } of runsOf(row)) {
        expect(left).toBeGreaterThanOrEqual(section.left - 1)
        expect(right).toBeLessThanOrEqual(section.right + 1)
      }
  })

  test('off the wall is no place', () => {
    const { layout } = computePlan(plain)
    expect(readingIssue(inches(140), layout)).toBe('offWall')
    expect(readingIssue(inches(-2), layout)).toBe('offWall')
    expect(readingIssue(inches(126), layout)).toBeNull()
  })

  test('law: what the tape is said to read at an edge is the running mark, however corner and strips lean', () => {
    fc.assert(
      fc.property(anyMeetingWall, (workpiece) => {
        const { layout } = computePlan(workpiece)
        const marks = new Map(
          runningMarks(layout, 'left', '1/32', 'foot').map((each) => [each.stripId, each]),
        )
        for (const { row } of builtWall(workpiece, layout, [], null))
          for (const each of row.standing) {
            const mark = marks.get(each.id)
            if (!mark) continue
            expect(plannedReading(layout, each, 'left')).toBeCloseTo(mark.near.exact, 3)
            expect(plannedReading(layout, each, 'right')).toBeCloseTo(mark.far.exact, 3)
          }
      }),
      { numRuns: runs(40) },
    )
  })
})

describe('a wall that is wider or narrower than measured', () => {
  const rows = wallOf({ width: inches(133), height: inches(96) }, {
    pattern: 'boxes',
    boxes: { ...STARTING_BOXES, margin: inches(4), count: 3, upper: true },
    rails: [
      {
        id: 'mid',
        use: 'chairRail',
        material: 'pine-1x3',
        lay: 'edge',
        top: { rule: 'typed', value: inches(40) },
      },
    ],
    height: { rule: 'full' },
  } as never)
  test('boxes in rows one above another: it is wider once', () => {
    const { layout } = computePlan(rows)
    expect(new Set(layout.sections.map(({ row }) => row)).size).toBeGreaterThan(1)
    const { ways } = waysOn(
      rows,
      computePlan(rows),
      [read('wall-right', layout.right + inches(0.5), 'right')],
      null,
    )
    expect(ways.length).toBeGreaterThan(0)
    for (const { edits } of ways) expect(applyEdits(rows, edits).wall.survey.width).toBe(inches(133.5))
  })
  test('law: taken, the wall is as wide as it was read and its sum closes; over walls whose readings lean and fall', () => {
    fc.assert(
      fc.property(anyMeetingWall, fc.integer({ min: -16, max: 16 }), (workpiece, sixteenths) => {
        const plan = computePlan(workpiece)
        const { layout } = plan
        if (plannedWidth(layout) === null || sixteenths === 0) return
        const by = inches(sixteenths / 16)
        const acts = [read('wall-right', layout.right + by, 'right')]
        const before = Math.abs(plan.closing?.difference ?? 0)
        for (const { edits } of waysOn(workpiece, plan, acts, null).ways) {
          const after = applyEdits(workpiece, edits)
          const next = computePlan(after)
          expect(after.wall.survey.width - workpiece.wall.survey.width).toBe(by)
          expect(Math.abs(next.layout.right - layout.right - by)).toBeLessThanOrEqual(4)
          expect(Math.abs(next.closing?.difference ?? 0)).toBeLessThanOrEqual(before + 8)
        }
      }),
      { numRuns: runs(40) },
    )
  })
  test('a part that is covered does not hang on the wall’s end', () => {
    const part = {
      ...plain,
      wall: {
        ...plain.wall,
        design: applyEdits(plain, [
          { type: 'patchDesign', patch: { extent: { left: inches(10), right: inches(90) } } },
        ]).wall.design,
      },
    }
    expect(inForce(part.wall.design).extent).not.toBeNull()
    expect(plannedWidth(computePlan(part).layout)).toBeNull()
    expect(toInches(nearestNanometer(plannedWidth(computePlan(plain).layout) ?? 0))).toBe(126.5)
  })
  test('measured where the left corner leans, the tape’s zero is the corner at the foot', () => {
    const leans = wallOf({ readings: [reading('plumbLeft', 80, 0.5)] })
    const { layout } = computePlan(leans)
    const [first] = builtWall(leans, layout, [], null)[0]?.row.standing ?? []
    const mark = runningMarks(layout, 'left', '1/32', 'foot')[0]
    expect(first && plannedReading(layout, first, 'left')).toBeCloseTo(mark?.near.exact ?? NaN, 3)
  })
})

describe('the list goes out again', () => {
  test('what is up stays what it was cut as, though its stuff was changed; acts go along with it', () => {
    const plan = computePlan(plain)
    const first = list(plan, plain)
    const name = first.pieces.find(({ stripId }) => stripId === 'batten-2')?.name ?? ''
    const up = act('pieceUp', { release: first.id, piece: name, left: null })
    const after = applyEdits(plain, [{ type: 'patchDesign', patch: { battenMaterial: 'pine-1x4' } }])
    const second = list(computePlan(after), after, [first, up])
    const state = releaseOf([first, up, second])?.pieces.find(({ piece }) => piece.name === name)
    expect(state?.upAt).not.toBeNull()
    expect(state?.piece.materialId).toBe('pine-1x3')
  })
  test('what changed is told by name: longer, new, gone, and whether it was cut; after the first list nothing', () => {
    const plan = computePlan(plain)
    const first = list(plan, plain)
    expect(reissued([first])).toEqual([])
    const rail = first.pieces.find(({ stripId }) => stripId === 'bottomRail')?.name ?? ''
    const cut = act('pieceCut', { release: first.id, piece: rail })
    const wider = applyEdits(plain, [{ type: 'patchSurvey', patch: { width: inches(127.5) } }])
    const second = list(computePlan(wider), wider, [first, cut])
    const changed = reissued([first, cut, second])
    expect(changed.find(({ before }) => before?.name === rail)).toMatchObject({ wasCut: true })
    const four = applyEdits(plain, [
      { type: 'patchDesign', patch: { spacing: { school: 'equalByCount', strips: 4, ends: 'gap' } } },
    ])
    const fewer = reissued([first, list(computePlan(four), four, [first])])
    expect(fewer.filter(({ now }) => now === null)).toHaveLength(1)
  })
  test('a piece that was pulled off is cut as before, and its holes stay', () => {
    const first = list(computePlan(plain), plain)
    const name = first.pieces[0]?.name ?? ''
    const up = act('pieceUp', { release: first.id, piece: name })
    const off = act('pulledOff', { release: first.id, piece: name, holes: 4, at: [] })
    const acts = [first, up, off]
    const state = releaseOf(acts)?.pieces.find(({ piece }) => piece.name === name)
    expect([state?.upAt, state?.cutAt !== null]).toEqual([null, true])
    expect(pulledOff(acts)).toMatchObject([{ piece: name, holes: 4 }])
  })
})

test('law: a level piece lies as high on its card as its line is marked, whatever the floor does', () => {
  fc.assert(
    fc.property(anyMeetingWall, (workpiece) => {
      const plan = computePlan(workpiece)
      const { layout } = plan
      if (layout.lines.followed.length > 0) return
      const heights = new Map(heightMarks(layout, '1/32').map(({ id, reading: of }) => [id, of.exact]))
      const cards = fitWalk(workpiece, plan, { datum: 'left', hook: 'foot', inPlace: new Set() })
      for (const { stripId, heights: own } of cards) {
        const band = layout.bands.find(({ id, role }) => id === stripId && role !== 'border')
        const marked = heights.get(`${stripId}-bottom`)
        if (!band || !own || marked === undefined || band.held !== 'bottom' || layout.lines.base.slope !== 0)
          continue
        expect(Math.abs(own.bottom.exact - marked)).toBeLessThan(2_000)
      }
    }),
    { numRuns: runs(40) },
  )
})
