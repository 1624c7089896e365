import { inches, toInches } from '~/length'
import type { Design, Settings, Survey, Workpiece } from '~/model'
import { keptBase, pieceCounts, reading, thing, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import { boundsOf } from '../geometry'
import { heightMarks } from '../marks/runningMarks'
import { cornerCut, cornerOf } from './corners'

const typed = (value: number) => ({ rule: 'typed' as const, value: inches(value) })
const midRail = (top: number, id = 'rail-1'): Design['rails'][number] => ({
  id,
  use: 'rail',
  material: 'pine-1x4',
  lay: 'edge',
  top: typed(top),
})
const planOf = (survey: Partial<Survey>, design: Partial<Design>, settings: Partial<Settings> = {}) =>
  computePlan(wallOf(survey, design, settings))
const says = (plan: ReturnType<typeof computePlan>) => plan.findings.map(({ says: each }) => each.code)
const grid = (more: Partial<Design> = {}): Partial<Design> => ({
  pattern: 'grid',
  topRail: null,
  foot: { kind: 'floor' },
  height: { rule: 'full' },
  rows: [1, 1],
  battenMaterial: 'pine-1x3',
  ...more,
})

describe('a strip with a notch still stops what lands on it', () => {
  // a switch plate let into a mid rail with its top at 40: four battens above, four below, none through it
  const wall = (meets: Design['meets']): Workpiece =>
    wallOf(
      { width: inches(100), things: [thing('switch', 55, 38, 2.75, 4.5)] },
      {
        spacing: { school: 'equalByCount', strips: 4, ends: 'gap' },
        height: typed(72),
        rails: [midRail(40)],
        meets,
      },
    )

  test('"Notch it" pressed: 4 of 33 under the rail, 4 of 28 1/2 over it', () => {
    const open = computePlan(wall({}))
    const finding = open.findings.find(
      ({ says: each }) => each.code === 'stripMeets' && each.stripId === 'rail-1',
    )
    const notch = finding?.waysOut.find(({ says: each }) => each.code === 'notchIt')
    const plan = computePlan(applyEdits(wall({}), notch?.edits ?? []))
    expect(plan.pieces.find(({ id }) => id === 'rail-1')?.notches).toHaveLength(1)
    expect(pieceCounts(plan.pieces.filter(({ role }) => role === 'batten'))).toEqual({ '33': 4, '28.5': 4 })
    expect(says(plan)).toContain('closes')
  })

  test('the notched rail has a row of its own, with where, how deep and out of which edge', () => {
    const { cutList } = computePlan(wall({ 'switch-55': 'notch' }))
    const row = cutList.find(({ pieceIds }) => pieceIds.includes('rail-1'))
    expect(row?.pieceIds).toEqual(['rail-1'])
    expect(row?.notches).toEqual([{ from: inches(55), to: inches(57.75), depth: inches(2), edge: 'left' }])
  })
})

test('a batten notched round side trim is never in one row with plain ones', () => {
  const plan = planOf(
    { things: [thing('sideTrim', 0, 8, 1, 47.5, { fate: 'cutRound' })] },
    { spacing: { school: 'equalByCount', strips: 7, ends: 'strip' }, height: typed(66) },
  )
  const rows = plan.cutList.filter(({ role }) => role === 'batten')
  expect(rows.map(({ pieceIds, notches }) => [pieceIds.length, notches.length])).toEqual([
    [1, 1],
    [6, 0],
  ])
  const [notched] = rows
  expect(notched?.notches[0]).toEqual({ from: inches(4.5), to: inches(52), depth: inches(1), edge: 'left' })
})

describe('strips that would lie over one another', () => {
  test('a chair rail across the top rail is told, and each way out ends it', () => {
    const workpiece = wallOf({}, { height: typed(60), rails: [midRail(58)] })
    const [finding] = computePlan(workpiece).findings.filter(
      ({ says: each }) => each.code === 'stripsShareWall',
    )
    expect(finding).toMatchObject({ severity: 'wrong', stripIds: ['rail-1', 'topRail'] })
    expect(finding?.waysOut.map(({ says: each }) => each.code)).toEqual([
      'moveRail',
      'moveRail',
      'takeRailOff',
    ])
    for (const { edits } of finding?.waysOut ?? [])
      expect(says(computePlan(applyEdits(workpiece, edits)))).not.toContain('stripsShareWall')
  })

  test('a rail that lies in a border is told, whether its corners are mitered or butted, and can be taken off', () => {
    for (const border of ['miter', 'butt'] as const) {
      const plan = planOf({}, grid({ border, rails: [midRail(2.25)] }))
      const shares = plan.findings.find(
        ({ says: { code }, stripIds }) => code === 'stripsShareWall' && stripIds.includes('rail-1'),
      )
      expect(shares?.blocks).toBeDefined()
      expect(shares?.waysOut.map(({ says: { code } }) => code)).toContain('takeRailOff')
    }
  })

  test('a rail whose whole place is a window has no piece, no marks, and is told', () => {
    const window = thing('window', 0, 40, 131, 30)
    const plan = planOf({ things: [window] }, { rails: [midRail(60)] })
    expect(plan.pieces.some(({ stripId }) => stripId === 'rail-1')).toBe(false)
    expect(heightMarks(plan.layout, '1/16').some(({ bandId }) => bandId === 'rail-1')).toBe(false)
    expect(says(plan)).toContain('stripVanishes')
  })

  test('a plate cut round at the corner of a box: the sides end clear of each other', () => {
    const boxes = { pattern: 'boxes', topRail: null, height: typed(36), foot: { kind: 'floor' } } as const
    const free = planOf({}, boxes)
    const corner = boundsOf(free.layout.frames[0]?.outline ?? [])
    const at = (x: number, y: number) =>
      thing('outlet', toInches(x), toInches(y), 2.75, 4.5, { fate: 'cutRound' })
    const plan = planOf({ things: [at(corner.right - inches(2), corner.bottom - inches(3.5))] }, boxes)
    expect(says(plan)).not.toContain('stripsShareWall')
  })

  test('a batten under a slope ends at the slope and at the rail, in a point of two cuts', () => {
    const plan = planOf(
      { things: [thing('cutOff', 91, 55, 40, 40, { slope: 'risesLeft' })] },
      {
        spacing: { school: 'equalByCount', strips: 30, ends: 'gap' },
        height: typed(74),
        topRail: { material: 'pine-1x4' },
      },
    )
    const pointed = plan.pieces.filter(({ end }) => end.kind === 'twoCuts')
    expect(pointed.length).toBeGreaterThan(0)
    for (const { polygon } of pointed)
      expect(boundsOf(polygon).top).toBeLessThanOrEqual(plan.layout.uprightHead)
    expect(says(plan)).not.toContain('stripsShareWall')
  })

  test('a batten stands on a bend of the floor, not in it', () => {
    const plan = planOf(
      { readings: [reading('floorFall', 30, -1), reading('floorFall', 60, 0)] },
      { spacing: { school: 'placed', nearEdges: [inches(29)] }, foot: { kind: 'floor' } },
    )
    const [batten] = plan.pieces.filter(({ role }) => role === 'batten')
    // at 30 the floor is an inch up; the batten from 29 to 31 1/2 must clear it there
    const at = (x: number) => {
      const points = batten?.polygon ?? []
      const [left, right] = [29, 31.5].map((edge) =>
        Math.min(...points.filter((p) => Math.abs(toInches(p.x) - edge) < 0.01).map(({ y }) => toInches(y))),
      )
      return (left ?? 0) + (((right ?? 0) - (left ?? 0)) * (x - 29)) / 2.5
    }
    expect(at(30)).toBeGreaterThanOrEqual(1 - 1e-6)
  })
})

describe('a grid with a border has its side stiles whatever the school', () => {
  const schools: Design['spacing'][] = [
    { school: 'fromEnd', wish: inches(18), measure: 'gap', end: 'left', startWith: 'gap' },
    { school: 'fromEnd', wish: inches(18), measure: 'gap', end: 'right', startWith: 'strip' },
    { school: 'fromCenter', wish: inches(18), measure: 'gap', centerOn: 'gap', about: null },
    { school: 'centerMarks', bays: 5 },
    { school: 'toStuds', every: 1 },
    { school: 'placed', nearEdges: [inches(40), inches(80)] },
  ]
  test.each(schools.map((spacing) => [spacing.school, spacing] as const))('%s', (_, spacing) => {
    const behind = { studs: [16, 48, 80, 112].map(inches), wallboard: inches(0.5), keepOuts: [] }
    const { layout, closing, pieces, findings } = planOf({ behind }, grid({ spacing, border: 'butt' }))
    const lefts = layout.uprights.map(({ left }) => toInches(left))
    expect(lefts[0]).toBe(0)
    expect(lefts.at(-1)).toBe(131 - 2.5)
    expect(closing?.difference).toBe(0)
    // rails run from stile to stile, none to the wall
    for (const { polygon } of pieces.filter(({ stripId }) => stripId.startsWith('gridRail-2'))) {
      expect(toInches(boundsOf(polygon).left)).toBeGreaterThanOrEqual(2.5)
      expect(toInches(boundsOf(polygon).right)).toBeLessThanOrEqual(128.5)
    }
    expect(findings.some(({ severity, stage }) => severity === 'wrong' && stage === 'layout')).toBe(false)
  })

  test('from the left end the stiles stand a gap apart; one that would crowd the border is left out', () => {
    const spacing = {
      school: 'fromEnd',
      wish: inches(18),
      measure: 'gap',
      end: 'left',
      startWith: 'gap',
    } as const
    const lefts = (width: number) =>
      planOf({ width: inches(width) }, grid({ spacing })).layout.uprights.map(({ left }) => toInches(left))
    expect(lefts(100)).toEqual([0, 20.5, 41, 61.5, 82, 97.5])
    // the last would stand hard against the border: 84.5 - 82 - 2.5 leaves nothing
    expect(lefts(86.9)).toEqual([0, 20.5, 41, 61.5, 84.4])
  })
})

test('a mid rail in a grid is a strip of its own, and the title counts the rows', () => {
  const plan = planOf({}, grid({ rows: [1, 1, 1], rails: [midRail(60)] }))
  const ids = plan.layout.bands.map(({ id }) => id)
  expect(new Set(ids).size).toBe(ids.length)
  expect(ids.filter((id) => id.startsWith('gridRail'))).toHaveLength(4)
})

test('the sides of a box are named by where they lie, on a rake too', () => {
  for (const readings of [[], [reading('floorFall', 131, 2)]]) {
    const plan = planOf(
      { readings },
      { pattern: 'boxes', foot: { kind: 'floor' }, levelRule: 'floor', height: typed(36), topRail: null },
    )
    const at = (side: string) => boundsOf(plan.pieces.find(({ id }) => id === `box-1-${side}`)?.polygon ?? [])
    expect(at('bottom').top).toBeLessThan(at('top').top)
    expect(at('left').right).toBeLessThan(at('right').left)
  }
})

describe('a part of the wall to cover that covers nothing', () => {
  const covered = (left: number, right: number) =>
    wallOf({}, { extent: { left: inches(left), right: inches(right) } })
  test.each([
    ['backwards', 90, 30, ['turnExtent', 'wholeWall']],
    ['empty', 40, 40, ['wholeWall']],
    ['off the wall', 150, 190, ['wholeWall']],
  ])('%s: told, with ways out that cover something', (_, left, right, ways) => {
    const workpiece = covered(left, right)
    const plan = computePlan(workpiece)
    const finding = plan.findings.find(({ says: each }) => each.code === 'extentEmpty')
    expect(finding?.severity).toBe('wrong')
    expect(finding?.waysOut.map(({ says: each }) => each.code)).toEqual(ways)
    for (const { edits } of finding?.waysOut ?? [])
      expect(computePlan(applyEdits(workpiece, edits)).pieces.length).toBeGreaterThan(2)
  })

  test('over the end of the wall: a note; on it: nothing', () => {
    expect(says(computePlan(covered(20, 140)))).toContain('extentBeyond')
    expect(says(computePlan(covered(20, 131)))).not.toContain('extentBeyond')
  })
})

describe('the two ends of the wall', () => {
  const survey = (more: Partial<Survey>) => wallOf(more).wall.survey
  test('no wall there: no corner, whatever was read; an unread corner turns as was said', () => {
    const corner = {
      id: 'c',
      kind: 'cornerLeft',
      deg: 88,
      turn: 'inside',
      method: 'tape',
      takenAt: '2026-03-02T09:00:00Z',
    } as const
    expect(cornerOf(survey({ readings: [corner] }), 'left')).toEqual({
      deg: 88,
      turn: 'inside',
      measured: true,
    })
    expect(
      cornerOf(survey({ readings: [corner], turns: { left: 'none', right: 'outside' } }), 'left').turn,
    ).toBe('none')
    expect(cornerOf(survey({ turns: { left: 'none', right: 'outside' } }), 'right')).toEqual({
      deg: 90,
      turn: 'outside',
      measured: false,
    })
    expect(cornerOf(survey({ readings: [{ ...corner, deg: 272, turn: 'outside' }] }), 'left').deg).toBe(88)
  })

  test('where no wall meets, a rail ends square and full, whatever the corner asks', () => {
    for (const end of ['run', 'against', 'cope', 'miter'] as const)
      expect(cornerCut(end, { deg: 180, turn: 'none', measured: false }, inches(0.75))).toEqual({
        cut: null,
        short: 0,
      })
    const plan = planOf(
      { turns: { left: 'none', right: 'inside' }, baseboard: keptBase(4) },
      { foot: { kind: 'baseboard' }, corners: { left: 'miter', right: 'against' } },
    )
    const rail = plan.pieces.find(({ id }) => id === 'topRail')
    expect([rail?.start.kind, toInches(rail?.cutLength ?? 0)]).toEqual(['square', 130.25])
    expect(says(plan)).not.toContain('cornerNotRead')
  })
})
