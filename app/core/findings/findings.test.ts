import { inches, nearestNanometer, toInches } from '~/length'
import { NOT_WALKED, type Survey, type Thing, type WalkRound } from '~/model'
import { keptBase, reading, thing, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import type { FindingSays } from './finding'
import { blocking } from './surveyFindings'

function find<C extends FindingSays['code']>(workpiece: ReturnType<typeof wallOf>, code: C) {
  return computePlan(workpiece).findings.filter(
    (each): each is typeof each & { says: Extract<FindingSays, { code: C }> } => each.says.code === code,
  )
}

const walked: WalkRound = {
  ...NOT_WALKED,
  plates: 'none',
  sideTrim: 'none',
  ledges: 'none',
  texture: 'smooth',
  age: 'later',
  holder: 'owner',
  furniture: 'none',
  heat: 'none',
  floor: 'stays',
  child: 'no',
}
const twice = [
  reading('width', 5, 131),
  reading('width', 80, 131),
  reading('height', 0, 95),
  reading('height', 131, 95),
]
const window_ = (fromRight: number, more: Partial<Thing> = {}) =>
  thing('window', 40, 30, 30, 30, { fromRight: inches(fromRight), ...more })

describe('closure', () => {
  test('left part + window + right part half an inch short of the whole: said with every figure', () => {
    const [open] = find(wallOf({ readings: twice, things: [window_(60.5)] }), 'chainOpen')
    expect(open?.says).toMatchObject({
      axis: 'across',
      first: inches(40),
      size: inches(30),
      second: inches(60.5),
      suspects: ['whole', 'part'],
    })
    expect(toInches(open?.says.difference ?? 0)).toBe(0.5)
  })

  test('placed by the reading from the right, the chain closes', () => {
    const workpiece = wallOf({ readings: twice, things: [window_(60.5)] })
    const [open] = find(workpiece, 'chainOpen')
    const mended = applyEdits(workpiece, open?.waysOut[0]?.edits ?? [])
    expect(find(mended, 'chainOpen')).toEqual([])
    expect(mended.wall.survey.things[0]?.left).toBe(inches(40.5))
  })

  test('within the job’s tolerance a chain is closed', () => {
    expect(find(wallOf({ readings: twice, things: [window_(60.875)] }), 'chainOpen')).toEqual([])
  })

  test('the whole is the suspect when two chains miss it alike, a part when the other closes', () => {
    const outlet = (fromRight: number) =>
      thing('outlet', 100, 12, 2.75, 4.5, { fromRight: inches(fromRight) })
    const alike = find(wallOf({ readings: twice, things: [window_(60.5), outlet(27.75)] }), 'chainOpen')
    expect(alike.map(({ says }) => says.suspects)).toEqual([['whole'], ['whole']])
    const one = find(wallOf({ readings: twice, things: [window_(60.5), outlet(28.25)] }), 'chainOpen')
    // the outlet is low: a slip of the width at 80 would show at the window and hardly there
    expect(one.map(({ says }) => [says.kind, says.suspects])).toEqual([['window', ['whole', 'part']]])
    const beside = thing('window', 90, 30, 20, 30, { fromRight: inches(21) })
    const level = find(wallOf({ readings: twice, things: [window_(60.25), beside] }), 'chainOpen')
    expect(level.map(({ says }) => says.suspects)).toEqual([['part']])
  })

  test('a width at another height that happens to agree with the parts proves nothing: none is named', () => {
    const readings = [reading('width', 45, 131), reading('width', 90, 130.5)]
    const [open] = find(wallOf({ readings, things: [window_(60.5)] }), 'chainOpen')
    expect(open?.says.suspects).toEqual(['whole', 'part'])
  })

  test('a cut-out from floor and top must close on the height', () => {
    const things = [window_(61, { fromTop: inches(34) })]
    const [open] = find(wallOf({ readings: twice, things }), 'chainOpen')
    expect(open?.says).toMatchObject({ axis: 'up', difference: inches(1) })
  })
})

describe('ready to cut', () => {
  const ready: Partial<Survey> = { readings: twice, walkRound: walked }

  test('a wall read twice, walked round and clear is ready', () => {
    const workpiece = wallOf(ready)
    expect(blocking(computePlan(workpiece).findings, workpiece.wall.survey, inches(1 / 16))).toEqual([])
  })

  test('an open chain, a missing second reading and an open question each keep it back', () => {
    const back = (survey: Partial<Survey>) => {
      const workpiece = wallOf({ ...ready, ...survey })
      return blocking(computePlan(workpiece).findings, workpiece.wall.survey, inches(1 / 16)).map(
        ({ says }) => says.code,
      )
    }
    expect(back({ things: [window_(60)] })).toEqual(['chainOpen'])
    expect(back({ readings: twice.slice(1) })).toEqual(['readOnce'])
    expect(back({ things: [window_(61, { fromRight: null })] })).toEqual(['thingReadOnce'])
    expect(back({ walkRound: { ...walked, age: null } })).toEqual(['notWalked'])
  })

  test('overruled with a reason it goes on: that finding, about that figure', () => {
    const back = (fromRight: number, figure: number | null) => {
      const workpiece = wallOf({
        ...ready,
        things: [window_(fromRight), thing('outlet', 100, 12, 2.75, 4.5)],
        overruled: [
          {
            key: 'chain.across.window-40',
            reason: 'casing is out of plumb',
            figure: figure === null ? null : inches(figure),
          },
        ],
      })
      return blocking(computePlan(workpiece).findings, workpiece.wall.survey, inches(1 / 16)).map(
        ({ says }) => says.code,
      )
    }
    expect(back(60, 1)).toEqual(['thingReadOnce'])
    expect(back(60 - 1 / 16, 1)).toEqual(['thingReadOnce'])
    // a reason given for an inch says nothing of six, nor of an inch too much
    expect(back(55, 1)).toEqual(['chainOpen', 'thingReadOnce'])
    expect(back(62, 1)).toEqual(['chainOpen', 'thingReadOnce'])
    expect(back(60 - 1 / 8, 1)).toEqual(['chainOpen', 'thingReadOnce'])
    // one kept before figures were is asked again
    expect(back(60, null)).toEqual(['chainOpen', 'thingReadOnce'])
  })

  test('a reason given for batten 3 of so many is none for batten 3 of one more', () => {
    const at = (strips: number, overruled: Survey['overruled'] = []) => {
      const workpiece = wallOf(
        { ...ready, things: [thing('outlet', 46, 12, 16, 4.5, { fromRight: inches(69) })], overruled },
        { spacing: { school: 'equalByCount', strips, ends: 'gap' } },
      )
      return blocking(computePlan(workpiece).findings, workpiece.wall.survey, inches(1 / 16))
    }
    const third = at(7).find(({ blocks }) => blocks?.key.startsWith('meets.batten-3'))?.blocks
    if (!third || third.figure === null) throw new Error('batten 3 meets nothing')
    const kept = [{ key: third.key, reason: 'notched on site', figure: nearestNanometer(third.figure) }]
    const asked = (strips: number) => at(strips, kept).some(({ blocks }) => blocks?.key === third.key)
    expect(at(6).some(({ blocks }) => blocks?.key === third.key)).toBe(true)
    expect([asked(7), asked(6)]).toEqual([false, true])
  })
})

describe('readings nobody can have taken', () => {
  test.each([
    ['negative', reading('width', 40, -12)],
    ['absurd', reading('width', 40, 40_000 * 12)],
    ['far off', reading('height', 10, 60)],
    ['a floor that falls five feet', reading('floorFall', 100, 60)],
  ])('%s: a finding that names it, and a plan all the same', (_, wrong) => {
    const workpiece = wallOf({ readings: [...twice, wrong] })
    const [finding] = find(workpiece, 'readingAbsurd')
    expect(finding?.says.readingId).toBe(wrong.id)
    expect(finding?.severity).toBe('wrong')
  })

  test('a re-reading that contradicts the one before names both', () => {
    const [finding] = find(wallOf({ readings: [...twice, reading('width', 80, 130)] }), 'rereadDiffers')
    expect(finding?.says).toMatchObject({ before: inches(131), now: inches(130), place: inches(80) })
  })

  test('a missing reading is named', () => {
    expect(find(wallOf(), 'readOnce').map(({ says }) => [says.kind, says.times])).toEqual([
      ['width', 0],
      ['height', 0],
    ])
  })
})

describe('strips that meet plates', () => {
  // three battens 2 1/2 with gaps of 30 7/8: left edges 30 7/8, 64 1/4, 97 5/8
  const design = { spacing: { school: 'equalByCount', strips: 3, ends: 'gap' } } as const
  const outlet = thing('outlet', 66, 12, 2.75, 4.5)
  const workpiece = wallOf({ things: [outlet] }, design)

  test('the overlap is said, and it keeps the pieces from the saw', () => {
    const [finding] = find(workpiece, 'stripMeets')
    expect(finding?.says).toMatchObject({
      stripId: 'batten-2',
      kind: 'outlet',
      whole: false,
      by: inches(0.75),
    })
    expect(finding?.blocks?.key).toBe('meets.batten-2.outlet-66')
  })

  test('shift, other count, notch, end and move are offered; each clears it', () => {
    const [finding] = find(workpiece, 'stripMeets')
    const codes = finding?.waysOut.map(({ says }) => says.code) ?? []
    expect(new Set(codes)).toEqual(new Set(['shiftBy', 'useStrips', 'notchIt', 'endThere', 'moveBox']))
    for (const way of finding?.waysOut ?? [])
      expect(find(applyEdits(workpiece, way.edits), 'stripMeets')).toEqual([])
  })

  test('the smallest shifts either way that keep the half inch asked for: 1 1/4 to the left, 5 to the right', () => {
    const [finding] = find(workpiece, 'stripMeets')
    const shifts = finding?.waysOut.flatMap(({ says }) =>
      says.code === 'shiftBy' ? [toInches(says.by)] : [],
    )
    expect(shifts).toEqual([-1.25, 5])
  })

  test('notched it is one piece with a notch; ended it is two', () => {
    const settled = (how: 'notch' | 'clear') =>
      computePlan(wallOf({ things: [outlet] }, { ...design, meets: { [outlet.id]: how } })).pieces.filter(
        ({ stripId }) => stripId === 'batten-2',
      )
    expect(settled('notch').map(({ notches }) => notches.length)).toEqual([1])
    expect(settled('clear')).toHaveLength(2)
  })
})

describe('battens thicker than the base', () => {
  const workpiece = wallOf({ baseboard: keptBase(4) }, { foot: { kind: 'baseboard' } })

  test('proud by how much, and six ways out that each end it', () => {
    const [finding] = find(workpiece, 'proudOf')
    expect(finding?.says).toMatchObject({ strip: inches(0.75), trim: inches(0.5) })
    expect(finding?.waysOut.map(({ says }) => says.code)).toEqual([
      'useMaterial',
      'backBevel',
      'ledger',
      'addBottomRail',
      'swapBase',
      'removeBase',
    ])
    for (const way of finding?.waysOut ?? [])
      expect(find(applyEdits(workpiece, way.edits), 'proudOf')).toEqual([])
  })

  test('bevel, ledger and rail change the pieces', () => {
    const after = (code: string) => {
      const way = find(workpiece, 'proudOf')[0]?.waysOut.find(({ says }) => says.code === code)
      return computePlan(applyEdits(workpiece, way?.edits ?? []))
    }
    expect(after('backBevel').pieces[0]?.start).toEqual({ kind: 'bevel', bevelDeg: 45 })
    expect(after('ledger').pieces.some(({ role }) => role === 'ledger')).toBe(true)
    const [before] = computePlan(workpiece).pieces
    expect((before?.cutLength ?? 0) - (after('ledger').pieces[0]?.cutLength ?? 0)).toBe(inches(0.75))
    expect(after('addBottomRail').pieces.some(({ role }) => role === 'bottomRail')).toBe(true)
    expect(after('removeBase').layout.lines.baseTop).toBe(0)
  })
})

test('battens thicker than the casing they end at: said, with ways out that end it', () => {
  const casing = thing('window', 35, 30, 30, 30, { casing: inches(3), thickness: inches(0.5) })
  const spacing = {
    school: 'fromEnd',
    wish: inches(20),
    measure: 'pitch',
    end: 'left',
    startWith: 'strip',
  } as const
  const workpiece = wallOf({ things: [casing] }, { spacing, height: { rule: 'typed', value: inches(80) } })
  const [finding] = find(workpiece, 'proudOf')
  expect(finding?.says).toMatchObject({ what: 'window', strip: inches(0.75), trim: inches(0.5) })
  expect(finding?.waysOut.map(({ says }) => says.code)).toEqual(['useMaterial', 'swapThing'])
  for (const way of finding?.waysOut ?? [])
    expect(find(applyEdits(workpiece, way.edits), 'proudOf')).toEqual([])
})

test('a falling floor: what each rule leaves to caulk, and how far it is off level', () => {
  const readings = [reading('floorFall', 131, 1)]
  const [finding] = find(wallOf({ readings }), 'floorFalls')
  expect(toInches(finding?.says.gap ?? 0)).toBeCloseTo(1, 6)
  const ways = finding?.waysOut.map(({ says }) =>
    says.code === 'useLevelRule' ? [says.rule, toInches(says.gap)] : [],
  )
  expect(ways?.map(([rule]) => rule)).toEqual(['floor', 'ceiling', 'split'])
  expect(Number(ways?.[0]?.[1])).toBeCloseTo(0, 6)
  expect(Number(ways?.[2]?.[1])).toBeCloseTo(0.5, 6)
})
