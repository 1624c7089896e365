import fc from 'fast-check'
import { inches, toInches } from '~/length'
import {
  type CornerEnd,
  CORNER_ENDS,
  type Design,
  STARTING_BOXES,
  type Survey,
  type Workpiece,
  inForce,
} from '~/model'
import { memberOf } from '../../../tests/matchMember'
import { thing, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { sawLimits, settingsOf } from '../cutting/sawSetting'
import { applyEdits } from '../edits/applyEdit'
import { cornerCut } from '../layout/corners'
import { copeAllRound, fittingOrder, jointOf, JOINTS, jointsOf } from './fittingOrder'
import { matchEdits, matchGaps, type MatchMember, matchMembers, roomWish } from './matchWalls'
import { roomLayoutEdits } from './sameLayout'

/** Every combination of counts, the slow way. */
function leastSpread(members: readonly MatchMember[]): number {
  let least = Infinity
  const walk = (i: number, low: number, high: number) => {
    const member = members[i]
    if (!member) {
      least = Math.min(least, high - low)
      return
    }
    const list = member.locked ? [{ gap: member.gap }] : member.choices
    for (const { gap } of list) walk(i + 1, Math.min(low, gap), Math.max(high, gap))
  }
  walk(0, Infinity, -Infinity)
  return least
}

describe('matched walls', () => {
  test('differential: the least spread is that of trying every combination', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 60, max: 220 }), fc.boolean()), { minLength: 1, maxLength: 4 }),
        (walls) => {
          const members = walls.map(([span, locked], i) => memberOf(`w${i}`, span, locked))
          const all = matchGaps(members, inches(25), 10_000)
          expect(Math.min(...all.map(({ spread }) => spread))).toBeCloseTo(leastSpread(members), 3)
        },
      ),
      { numRuns: 60 },
    )
  })

  test('walls of one length match exactly; a locked wall keeps its count', () => {
    const [best] = matchGaps([memberOf('a', 148), memberOf('b', 148)], inches(25), 5)
    expect(best?.spread).toBe(0)
    const locked = { ...memberOf('a', 148), locked: true }
    for (const match of matchGaps([locked, memberOf('b', 171)], inches(25), 5))
      expect(match.members[0]?.strips).toBe(locked.strips)
  })

  test('a stretch too narrow for the limits is left out, and does not stop the others', () => {
    const narrow: MatchMember = { ...memberOf('c', 60), choices: [] }
    const [best] = matchGaps([memberOf('a', 148), narrow, memberOf('b', 171)], inches(25), 5)
    expect(best?.members.map(({ member }) => member.wallId)).toEqual(['a', 'b'])
    expect(matchGaps([narrow], inches(25), 5)).toEqual([])
  })

  const boxWall = (width: number, survey: Partial<Survey> = {}, design: Partial<Design> = {}): Workpiece =>
    wallOf(
      { width: inches(width), height: inches(101), ...survey },
      {
        pattern: 'boxes',
        foot: { kind: 'floor' },
        topRail: { material: 'chair-rail' },
        height: { rule: 'typed', value: inches(34) },
        boxes: {
          ...STARTING_BOXES,
          margin: inches(4),
          wish: inches(25),
          least: inches(12),
          most: inches(40),
        },
        ...design,
      },
    )

  test('taken, the match is what the walls then show, and a locked wall has no edits', () => {
    const window = thing('window', 50, 26, 44, 50, { casing: inches(3) })
    const walls = [
      { id: 'a', workpiece: boxWall(171) },
      { id: 'b', workpiece: boxWall(149, { things: [window] }) },
      { id: 'c', workpiece: boxWall(139, {}, { locked: true }) },
    ]
    const wish = roomWish(walls[0]?.workpiece ?? boxWall(171))
    const members = matchMembers(walls, wish)
    expect(members.map(({ wallId, sectionId }) => `${wallId} ${sectionId}`)).toEqual([
      'a all',
      'b first',
      'b after-window-50',
      'c all',
    ])
    const [best] = matchGaps(members, wish.wish, 1)
    if (!best) throw new Error('no match')
    const edits = matchEdits(walls, best)
    expect([...edits.keys()]).toEqual(['a', 'b'])
    for (const { id, workpiece } of walls) {
      const plan = computePlan(applyEdits(workpiece, edits.get(id) ?? []))
      for (const { member, gap } of best.members.filter(({ member: m }) => m.wallId === id)) {
        const section = plan.layout.sections.find(({ id: sectionId }) => sectionId === member.sectionId)
        expect(Math.abs((section?.placement?.gaps[0] ?? 0) - gap)).toBeLessThanOrEqual(2)
      }
    }
  })

  test('battens of several walls are matched by their gaps', () => {
    const battens = (width: number) => ({ id: `w${width}`, workpiece: wallOf({ width: inches(width) }) })
    const walls = [battens(131), battens(97), battens(204)]
    const [best] = matchGaps(matchMembers(walls, { least: inches(10), most: inches(24) }), inches(16), 1)
    if (!best) throw new Error('no match')
    const edits = matchEdits(walls, best)
    const gaps = walls.map(
      ({ id, workpiece }) =>
        computePlan(applyEdits(workpiece, edits.get(id) ?? [])).layout.placement?.gaps[0] ?? 0,
    )
    expect(Math.max(...gaps) - Math.min(...gaps)).toBeCloseTo(best.spread, -1)
  })

  test('laid out like one wall, the others take its pattern, rails and height, and keep what is their own', () => {
    const model = { id: 'a', workpiece: boxWall(171, {}, { corners: { left: 'run', right: 'run' } }) }
    const other = {
      id: 'b',
      workpiece: wallOf(
        { width: inches(120), height: inches(96) },
        { corners: { left: 'cope', right: 'miter' } },
      ),
    }
    const edits = roomLayoutEdits([model, other], 'a')
    const after = inForce(applyEdits(other.workpiece, edits.get('b') ?? []).wall.design)
    expect(after).toMatchObject({ pattern: 'boxes', height: { rule: 'typed', value: inches(34) } })
    expect(after.corners).toEqual({ left: 'cope', right: 'miter' })
    expect(edits.has('a')).toBe(false)
    const locked = {
      ...other,
      workpiece: applyEdits(other.workpiece, [{ type: 'patchDesign', patch: { locked: true } }]),
    }
    expect(roomLayoutEdits([model, locked], 'a').size).toBe(0)
    expect(roomLayoutEdits([model, other], 'nobody').size).toBe(0)
  })
})

describe('corners and the order of fitting', () => {
  const room = (ends: readonly (readonly [CornerEnd, CornerEnd])[]) =>
    ends.map(([left, right], i) => ({ id: `w${i}`, left, right }))

  test('coped all round: the first runs at both ends, the last is coped at both', () => {
    const walls = copeAllRound(4).map((corners, i) => ({ id: `w${i}`, ...corners }))
    expect(jointsOf(walls).map(({ trouble }) => trouble)).toEqual([null, null, null, null])
    const { steps, stuck } = fittingOrder(walls)
    expect(stuck).toEqual([])
    expect(steps.map(({ wallId }) => wallId)).toEqual(['w0', 'w1', 'w2', 'w3'])
    expect(steps[3]?.after).toEqual(['w2', 'w0'])
  })

  test('each coped to the one before, all round: nobody can be first', () => {
    const { steps, stuck } = fittingOrder(
      room([
        ['cope', 'run'],
        ['cope', 'run'],
        ['cope', 'run'],
        ['cope', 'run'],
      ]),
    )
    expect(steps).toEqual([])
    expect(stuck).toHaveLength(4)
  })

  test('ends that do not go together are told', () => {
    const troubles = (a: CornerEnd, b: CornerEnd) =>
      jointsOf(
        room([
          ['run', a],
          [b, 'run'],
        ]),
      ).map(({ trouble }) => trouble)
    expect(troubles('run', 'run')).toEqual(['bothRun'])
    expect(troubles('cope', 'against')).toEqual(['noneRuns'])
    expect(troubles('miter', 'run')).toEqual(['halfMitered'])
    expect(troubles('miter', 'miter')).toEqual([null])
  })

  test('two walls meet in one corner, one wall in none, three all round', () => {
    expect(jointsOf(room([['run', 'run']]))).toHaveLength(0)
    expect(
      jointsOf(
        room([
          ['run', 'run'],
          ['cope', 'run'],
        ]),
      ),
    ).toHaveLength(1)
    expect(
      jointsOf(
        room([
          ['run', 'run'],
          ['cope', 'run'],
          ['cope', 'cope'],
        ]),
      ),
    ).toHaveLength(3)
  })

  test('a joint is known by its two ends', () => {
    for (const [name, ends] of Object.entries(JOINTS)) expect(jointOf(ends)).toBe(name)
    expect(jointOf(['run', 'run'])).toBeNull()
  })

  test('law: in any room the order puts every wall after those it waits for', () => {
    const end = fc.constantFrom(...CORNER_ENDS)
    fc.assert(
      fc.property(fc.array(fc.tuple(end, end), { minLength: 1, maxLength: 6 }), (ends) => {
        const walls = room(ends)
        const { steps, stuck } = fittingOrder(walls)
        expect(steps.length + stuck.length).toBe(walls.length)
        const seen = new Set<string>()
        for (const { wallId, after } of steps) {
          for (const id of after) expect(seen.has(id)).toBe(true)
          seen.add(wallId)
        }
      }),
    )
  })
})

describe('horizontals in the corners of the room', () => {
  const corner = (kind: 'cornerLeft' | 'cornerRight', deg: number, turn: 'inside' | 'outside' = 'inside') =>
    ({ id: kind, kind, deg, turn, method: 'tape', takenAt: '2026-03-02T09:00:00Z' }) as const
  const railOf = (corners: Design['corners'], readings: Survey['readings'] = []) => {
    const workpiece = wallOf(
      { width: inches(120), readings },
      { topRail: { material: 'pine-1x4' }, foot: { kind: 'floor' }, corners },
    )
    const plan = computePlan(workpiece)
    return { plan, rail: plan.pieces.find(({ stripId }) => stripId === 'topRail') }
  }

  // a miter for a corner of included angle A is 90 - A/2 on the saw's scale: common practice, no source
  test('mitered inside: half the measured angle, the back as long as the wall, the face shorter', () => {
    const { rail } = railOf({ left: 'miter', right: 'run' }, [corner('cornerLeft', 92)])
    expect(rail?.start).toMatchObject({ kind: 'cornerMiter', sawSettingDeg: 44, longSide: 'back' })
    expect(toInches(rail?.cutLength ?? inches(0))).toBe(120)
    // 3/4 thick, half of 92 degrees
    const short = 0.75 / Math.tan((46 * Math.PI) / 180)
    expect(toInches(rail?.longLength ?? inches(0))).toBeCloseTo(120 - short, 6)
  })

  test('mitered outside: the face is the long side and runs past the corner', () => {
    const { rail } = railOf({ left: 'run', right: 'miter' }, [corner('cornerRight', 90, 'outside')])
    expect(rail?.end).toMatchObject({ kind: 'cornerMiter', sawSettingDeg: 45, longSide: 'face' })
    expect(toInches(rail?.cutLength ?? inches(0))).toBeCloseTo(120.75, 6)
  })

  // worked by hand: in plan the joint of two caps of one depth halves the corner, so the saw swings to 90 - A/2 with the cap flat on it
  test('a cap that lies flat is mitered across its width: the saw swings, a rail on edge is tilted', () => {
    const workpiece = wallOf(
      { width: inches(120), readings: [corner('cornerLeft', 92)] },
      {
        topRail: { material: 'pine-1x4' },
        cap: { material: 'pine-1x4', lay: 'flat' },
        foot: { kind: 'floor' },
        corners: { left: 'miter', right: 'run' },
      },
    )
    const { pieces } = computePlan(workpiece)
    const startOf = (id: string) => pieces.find(({ stripId }) => stripId === id)?.start ?? { kind: 'square' }
    const { shop } = workpiece.settings
    const settingOf = (id: string) => settingsOf(startOf(id), true, inches(0.75), sawLimits(shop))
    expect(startOf('cap')).toMatchObject({ kind: 'cornerMiter', sawSettingDeg: 44, flat: true })
    expect(settingOf('cap')).toMatchObject([{ swingDeg: 44, hand: 'right', tiltDeg: 0 }])
    expect(startOf('topRail')).not.toHaveProperty('flat')
    expect(settingOf('topRail')).toMatchObject([{ swingDeg: 0, tiltDeg: 44 }])
  })

  test('where no wall meets this one there is no corner to cut for, whatever was read of it', () => {
    const workpiece = wallOf(
      { readings: [corner('cornerLeft', 92)], turns: { left: 'none', right: 'inside' } },
      {
        topRail: { material: 'pine-1x4' },
        foot: { kind: 'floor' },
        corners: { left: 'miter', right: 'against' },
      },
    )
    const rail = computePlan(workpiece).pieces.find(({ stripId }) => stripId === 'topRail')
    expect(rail?.start).toEqual({ kind: 'square' })
    // against the next wall's rail on the right alone
    expect(toInches(rail?.cutLength ?? inches(0))).toBe(130.25)
    expect(cornerCut('miter', { deg: 90, turn: 'none', measured: false }, inches(0.75))).toEqual({
      cut: null,
      short: 0,
    })
  })

  test('coped runs to the wall, butted stops at the face of the trim there', () => {
    expect(toInches(railOf({ left: 'cope', right: 'run' }).rail?.cutLength ?? inches(0))).toBe(120)
    expect(toInches(railOf({ left: 'against', right: 'against' }).rail?.cutLength ?? inches(0))).toBe(118.5)
  })

  test('a miter in a corner that was never read blocks cutting until it is', () => {
    const says = (readings: Survey['readings']) =>
      railOf({ left: 'miter', right: 'run' }, readings).plan.findings.find(
        ({ says: s }) => s.code === 'cornerNotRead',
      )
    expect(says([])?.blocks?.key).toBe('corner.left')
    expect(says([corner('cornerLeft', 90.5)])).toBeUndefined()
  })
})
