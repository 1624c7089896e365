import fc from 'fast-check'
import { inches, type Length, toInches } from '~/length'
import {
  type Design,
  type Edit,
  type FloorToCome,
  type Ledge,
  type Survey,
  TAKEN_OFF,
  type Workpiece,
} from '~/model'
import { anyOldWall, runs } from '../../../tests/anyWall'
import { keptBase, thing, wallOf } from '../../../tests/namedWalls'
import { computePlan, type Plan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import { distanceBetween, rectangle, TOUCHING } from '../geometry'
import { bracketsOf } from '../layout/brackets'
import { heightMarks } from '../marks/runningMarks'
import { boardsAsked } from '../cutting/leftToCut'
import { clearOf, isHeat, spaceNeeded } from '../survey/heat'

const codes = ({ findings }: Plan) => findings.map(({ says }) => says.code)
const finding = (plan: Plan, code: string) => plan.findings.find(({ says }) => says.code === code)

/** What a way out does, by its code. */
function take(workpiece: Workpiece, code: string, way: string): Plan {
  const found = finding(computePlan(workpiece), code)?.waysOut.find(({ says }) => says.code === way)
  if (!found) throw new Error(`${code} has no ${way}`)
  return computePlan(applyEdits(workpiece, found.edits as Edit[]))
}

describe('hollows behind strips', () => {
  const hollow = (gap: number, length: number): Survey['flatness'] => [
    {
      id: 'f',
      x: inches(65),
      y: inches(40),
      lie: 'up',
      length: inches(length),
      gap: inches(gap),
      shape: 'hollow',
    },
  ]
  const battens: Partial<Design> = { spacing: { school: 'equalByCount', strips: 7, ends: 'gap' } }

  test('strips over it are told together with what is usually done, the others are not', () => {
    const plan = computePlan(wallOf({ flatness: hollow(0.25, 48) }, battens))
    const told = finding(plan, 'notFlat')
    expect(told?.severity).toBe('note')
    expect(told?.stripIds).toContain('batten-4')
    expect(told?.stripIds).not.toContain('batten-1')
    expect(codes(computePlan(wallOf({}, battens)))).not.toContain('notFlat')
  })

  test('deeper than strips bend to, while they are to be pulled in: wrong, until another way is chosen', () => {
    const workpiece = wallOf({ flatness: hollow(0.75, 16) }, { ...battens, unflat: 'pull' })
    const plan = computePlan(workpiece)
    expect(finding(plan, 'notFlat')).toMatchObject({ severity: 'wrong', says: { tooFar: true } })
    expect(codes(plan)).toContain('skimFirst')
    expect(finding(take(workpiece, 'notFlat', 'flatWay'), 'notFlat')?.severity).not.toBe('wrong')
  })
})

describe('heat on a wall', () => {
  // IRC R1001.11, value from memory: 6 in clear, within 12 in an inch out for each 8 away
  test.each([
    [0.75, 6],
    [1, 8],
    [1.25, 10],
    [4, 12],
  ])('a piece %f out from the wall keeps %f from a fireplace', (out, space) => {
    expect(toInches(spaceNeeded('fireplace', inches(out)))).toBe(space)
  })

  const hearth = (clear: Length | null, more: Partial<Design> = {}) =>
    wallOf(
      { things: [thing('fireplace', 48, 0, 36, 30, { clear })] },
      { topRail: null, foot: { kind: 'floor' }, sections: 'beside', ...more },
    )

  test('strips keep the usual distance; less is told as wrong, with the distance that will do', () => {
    expect(codes(computePlan(hearth(null)))).not.toContain('nearHeat')
    expect(codes(computePlan(hearth(null)))).toContain('heatStands')
    const near = hearth(inches(3))
    expect(finding(computePlan(near), 'nearHeat')).toMatchObject({
      severity: 'wrong',
      blocks: { key: 'heat.fireplace-48' },
    })
    expect(codes(take(near, 'nearHeat', 'keepClear'))).not.toContain('nearHeat')
  })

  test('a shelf that stands out within 12 in of the fire is told by how far it stands out', () => {
    const shelf = {
      id: 'shelf-1',
      use: 'shelf' as const,
      material: 'pine-1x6',
      lay: 'flat' as const,
      top: { rule: 'typed' as const, value: inches(38) },
    }
    const near = hearth(null, { rails: [shelf] })
    expect(finding(computePlan(near), 'nearHeat')?.says).toMatchObject({
      asked: inches(12),
      standsOut: inches(5.5),
    })
    expect(codes(take(near, 'nearHeat', 'keepClear'))).not.toContain('nearHeat')
  })

  test('a distance larger than the wall leaves nothing, and says so', () => {
    const all = hearth(inches(120))
    expect(codes(computePlan(all))).toContain('heatLeavesNothing')
    expect(codes(take(all, 'heatLeavesNothing', 'keepClear'))).not.toContain('heatLeavesNothing')
  })

  test('law: no piece comes nearer to any heat than it may, unless it is told', () => {
    fc.assert(
      fc.property(anyOldWall, (workpiece) => {
        const { pieces, findings } = computePlan(workpiece)
        for (const each of workpiece.wall.survey.things.filter(({ kind }) => isHeat(kind))) {
          const { left, bottom, width, height, id } = each
          const itself = rectangle(left, bottom, left + width, bottom + height)
          const least = Math.min(...pieces.map(({ polygon }) => distanceBetween(polygon, itself)))
          // strips are placed to the thickness of paint
          if (least >= clearOf(each) - TOUCHING) continue
          if (!findings.some(({ says }) => says.code === 'nearHeat' && says.thingId === id))
            throw new Error(`${least / 25.4e6} from ${id}`)
        }
      }),
      { numRuns: runs(100) },
    )
  })

  test('a chimney breast parts the wall: nothing runs across it, and the sides have gaps of their own', () => {
    const breast = thing('chimneyBreast', 31, 0, 51, 95)
    const { layout, pieces } = computePlan(wallOf({ things: [breast] }, { sections: 'beside' }))
    const gaps = layout.sections.map(({ placement }) => placement?.leftEnd ?? 0)
    expect(layout.sections).toHaveLength(2)
    expect(gaps[0]).not.toBe(gaps[1])
    for (const { polygon } of pieces)
      expect(
        polygon.every(({ x }) => x <= inches(31) + 2) || polygon.every(({ x }) => x >= inches(82) - 2),
      ).toBe(true)
  })
})

describe('a floor still to come', () => {
  const coming = (when: FloorToCome['when'], build: number, base: number | null, foot: Design['foot']) =>
    wallOf(
      {
        floorToCome: { covering: 'tile', build: inches(build), when },
        baseboard: base === null ? null : keptBase(base),
      },
      { foot, height: { rule: 'typed', value: inches(40) } },
    )
  const rail: Design['foot'] = { kind: 'rail', material: 'pine-1x4' }
  const bottomOf = (plan: Plan) =>
    Math.min(...plan.pieces.flatMap(({ polygon }) => polygon.map(({ y }) => y)))
  const topOf = (plan: Plan) => Math.max(...plan.pieces.flatMap(({ polygon }) => polygon.map(({ y }) => y)))

  test.each([
    ['before', 0.625, 0.625],
    ['under', 0.625, 0.625],
    ['against', 0.625, 0],
  ] as const)(
    'laid %s, the bottom rail stands right, and the top is from the floor that will be',
    (when, build, stands) => {
      const plan = computePlan(coming(when, build, null, rail))
      expect(toInches(bottomOf(plan))).toBeCloseTo(stands, 6)
      expect(toInches(topOf(plan))).toBeCloseTo(40 + build, 6)
      expect(finding(plan, 'floorToCome')?.says).toMatchObject({
        hides: when === 'against' ? inches(build) : null,
      })
    },
  )

  test('both floors are said: each height is by the build-up more from the floor there is', () => {
    const { layout } = computePlan(coming('before', 0.625, null, rail))
    const [will, is] = [heightMarks(layout, '1/32'), heightMarks(layout, '1/32', layout.lines.build)]
    will.forEach(({ reading }, i) => {
      expect((is[i]?.reading.exact ?? NaN) - reading.exact).toBeCloseTo(inches(0.625), 3)
    })
  })

  test('a kept base shows less of itself, and battens stand on it as they did', () => {
    const before = computePlan(wallOf({ baseboard: keptBase(5) }, { foot: { kind: 'baseboard' } }))
    const after = computePlan(coming('before', 0.5, 5, { kind: 'baseboard' }))
    expect(toInches(after.layout.lines.baseTop)).toBe(4.5)
    expect(bottomOf(after)).toBeCloseTo(bottomOf(before), 3)
  })

  test('higher than the base it is told as wrong, with ways out that mend it', () => {
    const over = coming('before', 4, 3.5, { kind: 'baseboard' })
    expect(finding(computePlan(over), 'floorOverBase')?.severity).toBe('wrong')
    for (const way of ['removeBase', 'floorBuild'])
      expect(codes(take(over, 'floorOverBase', way))).not.toContain('floorOverBase')
    const rails = coming('against', 4, null, rail)
    expect(codes(take(rails, 'floorOverBase', 'floorUnder'))).not.toContain('floorOverBase')
  })

  test('the usual parts of the height are of what will be left', () => {
    const third = wallOf(
      { height: inches(90), floorToCome: { covering: 'wood', build: inches(1.5), when: 'before' } },
      { height: { rule: 'third' } },
    )
    expect(toInches(computePlan(third).layout.height)).toBeCloseTo(29.5, 6)
  })
})

describe('side trim that goes back', () => {
  const trim = thing('sideTrim', 129.875, 0, 1.125, 95, { fate: 'goesBack' })
  const battens: Partial<Design> = { height: { rule: 'typed', value: inches(60) } }

  test('it is cut at all it meets, from itself, and takes no board', () => {
    const plan = computePlan(wallOf({ things: [trim] }, battens))
    const own = plan.pieces.filter(({ role }) => role === 'sideTrim')
    // a bottom rail of 3 1/2, a top rail of 3 1/2 up to 60, then on to the ceiling
    expect(own.map(({ longLength }) => toInches(longLength))).toEqual([53, 35])
    expect(own.every(({ materialId }) => materialId === TAKEN_OFF)).toBe(true)
    expect(finding(plan, 'goesBack')?.says).toMatchObject({
      length: inches(88),
      before: inches(95),
      parts: 2,
    })
    const requests = boardsAsked(plan, wallOf())
    expect(requests.some(({ materialId }) => materialId === TAKEN_OFF)).toBe(false)
    expect(plan.cutList.filter(({ role }) => role === 'sideTrim')).toHaveLength(2)
  })

  test('kept it stays whole and strips end at it; where they take all its place that is told', () => {
    const kept = computePlan(wallOf({ things: [{ ...trim, fate: 'keep' }] }, battens))
    expect(kept.pieces.some(({ role }) => role === 'sideTrim')).toBe(false)
    const covered = wallOf(
      { things: [thing('sideTrim', 0, 10, 1, 30, { fate: 'goesBack' })] },
      { ...battens, spacing: { school: 'equalByCount', strips: 4, ends: 'strip' } },
    )
    expect(codes(computePlan(covered))).toContain('goesBackNowhere')
    expect(codes(take(covered, 'goesBackNowhere', 'leaveOff'))).not.toContain('goesBackNowhere')
  })
})

describe('a border on three sides', () => {
  const grid: Partial<Design> = {
    pattern: 'grid',
    border: 'threeSidedMiter',
    battenMaterial: 'pine-1x3',
    foot: { kind: 'baseboard' },
    height: { rule: 'typed', value: inches(70) },
    rows: [1, 1],
    topRail: null,
    proud: 'backBevel',
    spacing: { school: 'equalByCount', strips: 4, ends: 'strip' },
  }

  test.each(['rails', 'uprights'] as const)(
    'its head is mitered to its sides, their feet are back-beveled, with %s through',
    (through) => {
      const { pieces } = computePlan(wallOf({ baseboard: keptBase(4) }, { ...grid, through }))
      const head = pieces.filter(({ role }) => role === 'border')
      // uprights that run through part the head between its two mitered ends
      expect(head).toHaveLength(through === 'rails' ? 1 : 3)
      expect([head[0]?.start.kind, head.at(-1)?.end.kind]).toEqual(['miter', 'miter'])
      expect(toInches(Math.min(...head.flatMap(({ polygon }) => polygon.map(({ x }) => x))))).toBe(0)
      expect(toInches(Math.max(...head.flatMap(({ polygon }) => polygon.map(({ x }) => x))))).toBe(131)
      const sides = pieces.filter(({ stripId, end }) => /^stile-(1|4)$/.test(stripId) && end.kind === 'miter')
      expect(sides).toHaveLength(2)
      for (const { start, end, longLength } of sides) {
        expect(start).toEqual({ kind: 'bevel', bevelDeg: 45 })
        expect(end).toMatchObject({ kind: 'miter', sawSettingDeg: 45 })
        expect(toInches(longLength)).toBe(66)
      }
    },
  )
})

describe('caps and shelves', () => {
  const ledge: Ledge = { depth: null, past: inches(0.75), ends: 'returned', brackets: null }
  const shelf = (more: Partial<Ledge>, survey: Partial<Survey> = {}) =>
    wallOf(
      {
        behind: { studs: [16, 32, 48, 64, 80, 96, 112].map(inches), wallboard: inches(0.5), keepOuts: [] },
        ...survey,
      },
      {
        extent: { left: inches(10), right: inches(100) },
        rails: [
          {
            id: 'shelf-1',
            use: 'shelf',
            material: 'pine-1x8',
            lay: 'flat',
            top: { rule: 'typed', value: inches(75) },
            ledge: { ...ledge, ...more },
          },
        ],
      },
    )
  const piece = (plan: Plan) => plan.pieces.find(({ stripId }) => stripId === 'shelf-1')

  test('past its free ends, returned to the wall from the same board', () => {
    const found = piece(computePlan(shelf({})))
    expect(toInches(found?.longLength ?? NaN)).toBe(91.5)
    expect(found?.start).toMatchObject({ kind: 'returned', depth: inches(7.25) })
    // two returns of its depth, each with a kerf before it
    expect(toInches(found?.cutLength ?? NaN)).toBe(91.5 + 2 * (7.25 + 0.125))
    expect(piece(computePlan(shelf({ ends: 'square', past: inches(0) })))?.start.kind).toBe('square')
  })

  test('brackets stand on the studs it covers, every second where asked, on none that is kept clear', () => {
    const at = (more: Partial<Ledge>, survey?: Partial<Survey>) => {
      const { layout, pieces } = computePlan(shelf(more, survey))
      return bracketsOf(layout, pieces).map(({ x }) => toInches(x))
    }
    expect(at({ brackets: { arm: inches(5), every: 1 } })).toEqual([16, 32, 48, 64, 80, 96])
    expect(at({ brackets: { arm: inches(5), every: 2 } })).toEqual([16, 48, 80])
    const cabled = { things: [thing('switch', 47, 46, 2.75, 4.5)] }
    expect(at({ brackets: { arm: inches(5), every: 1 } }, cabled)).toEqual([16, 32, 64, 80, 96])
  })

  test('deeper than its brackets carry: wrong, and each way out mends it', () => {
    const deep = shelf({ brackets: { arm: inches(4), every: 1 } })
    expect(finding(computePlan(deep), 'shelfBeyondBrackets')).toMatchObject({
      severity: 'wrong',
      says: { depth: inches(7.25), arm: inches(4) },
    })
    for (const way of ['longerArm', 'ripTo', 'noBrackets'])
      expect(codes(take(deep, 'shelfBeyondBrackets', way))).not.toContain('shelfBeyondBrackets')
  })

  test('deeper than its stuff is wide, and brackets without a stud, are told', () => {
    const wide = shelf({ depth: inches(9) })
    expect(codes(take(wide, 'ledgeWiderThanStuff', 'ripTo'))).not.toContain('ledgeWiderThanStuff')
    const none = { behind: { studs: [], wallboard: inches(0.5), keepOuts: [] } }
    expect(codes(computePlan(shelf({ brackets: { arm: inches(5), every: 1 } }, none)))).toContain(
      'noStudForBracket',
    )
  })

  test('past the casing it ends at its end is seen: told by how far', () => {
    const door = thing('door', 40, 0, 32, 82, { casing: inches(2.5), thickness: inches(0.75) })
    const plan = computePlan(shelf({}, { things: [door] }))
    expect(finding(plan, 'ledgeStands')?.says).toMatchObject({ pastCasing: inches(6.5) })
  })
})
