import { inches, nearestNanometer, toInches } from '~/length'
import { type Workpiece, inForce, withDesign } from '~/model'
import { battenWall, thing, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import { layOut } from '../layout/layOutWall'
import { alignments, rhythmOf } from './align'
import { heightProposals } from './heights'

describe('heights', () => {
  const reasonsAt = (workpiece: Workpiece) =>
    heightProposals(workpiece).map(({ reason, height }) => ({ ...reason, height: toInches(height) }))

  // B2 and the usual heights: common practice, no source
  test('two from an 8-ft board after the kerf are 47 15/16 each', () => {
    const twoAt = (allowance: number) => {
      const workpiece = wallOf({ height: inches(108) }, { foot: { kind: 'floor' }, topRail: null })
      const { settings } = workpiece
      const shop = { ...settings.shop, allowance: inches(allowance) }
      return reasonsAt({ ...workpiece, settings: { ...settings, shop } }).find(
        (each) => each.code === 'perBoard' && each.pieces === 2 && each.board === inches(96),
      )?.height
    }
    expect(twoAt(0)).toBe(47.9375)
    // the floor was not read: each is cut 1/8 long first, and the board holds that
    expect(twoAt(1 / 8)).toBe(47.8125)
  })

  test('one third and two thirds of 108 are 36 and 72; each says what it wastes', () => {
    const workpiece = wallOf({ height: inches(108) })
    const found = heightProposals(workpiece)
    const rules = found.flatMap(({ reason, height }) =>
      reason.code === 'rule' ? [[reason.rule, toInches(height)]] : [],
    )
    expect(rules).toEqual(
      expect.arrayContaining([
        ['third', 36],
        ['twoThirds', 72],
      ]),
    )
    for (const { waste, boards } of found) {
      expect(boards).toBeGreaterThan(0)
      expect(waste).toBeGreaterThanOrEqual(0)
      expect(waste).toBeLessThan(1)
    }
  })

  test('a height that yields two battens a board wastes less than one a little higher', () => {
    const workpiece = wallOf(
      { height: inches(108), width: inches(150) },
      { foot: { kind: 'floor' }, topRail: null },
    )
    const at = (height: number) =>
      heightProposals(
        applyEdits(workpiece, [
          { type: 'patchDesign', patch: { height: { rule: 'typed', value: inches(height) } } },
        ]),
      )
    const two = at(48).find(({ reason }) => reason.code === 'perBoard' && reason.pieces === 2)
    const half = at(48).find(({ reason }) => reason.code === 'rule' && reason.rule === 'half')
    expect(two?.waste).toBeLessThan(half?.waste ?? 0)
  })

  test('lines up with the window, the switch and the bed', () => {
    const workpiece = wallOf(
      {
        height: inches(96),
        things: [
          thing('window', 30, 36, 30, 40, { casing: inches(3) }),
          thing('switch', 80, 45, 2.75, 4.5),
          thing('bed', 70, 0, 50, 41),
        ],
      },
      { foot: { kind: 'floor' } },
    )
    const lines = reasonsAt(workpiece).flatMap((each) =>
      each.code === 'linesUp' ? [[each.kind, each.height]] : [],
    )
    expect(lines).toEqual([
      ['window', 33],
      ['bed', 41],
      ['switch', 49.5],
    ])
  })

  test('of rails alone the first rail takes the height', () => {
    const workpiece = wallOf(
      {},
      {
        pattern: 'rails',
        rails: [
          {
            id: 'chairRail-1',
            use: 'chairRail',
            material: 'chair-rail',
            lay: 'edge',
            top: { rule: 'third' },
          },
        ],
      },
    )
    const half = heightProposals(workpiece).find(
      ({ reason }) => reason.code === 'rule' && reason.rule === 'half',
    )
    const after = applyEdits(workpiece, half?.edits ?? [])
    expect(inForce(after.wall.design).rails[0]?.top).toEqual({ rule: 'half' })
  })
})

describe('lining up', () => {
  test('the strips come to the sides of the casing, by the smallest move', () => {
    const workpiece = battenWall(140, [])
    const window = thing('window', 50, 30, 34, 40, { casing: inches(3) })
    const walled = {
      ...workpiece,
      wall: { ...workpiece.wall, survey: { ...workpiece.wall.survey, things: [window] } },
    }
    const layout = layOut(walled.wall.survey, inForce(walled.wall.design), walled.settings)
    const found = alignments(layout)
    expect(found.map(({ target }) => [target.side, toInches(nearestNanometer(target.x))])).toEqual([
      ['left', 47],
      ['right', 87],
    ])
    for (const { edits, target, stripId, edge } of found) {
      const after = applyEdits(walled, edits)
      const moved = layOut(after.wall.survey, inForce(after.wall.design), after.settings)
      const strip = moved.uprights.find(({ id }) => id === stripId)
      expect(strip?.[edge]).toBe(target.x)
    }
  })

  test('the rhythm of the next wall is its gap, from the corner the two share', () => {
    const other = battenWall(131, [])
    const here = battenWall(97, [])
    const rhythm = rhythmOf('left', other.wall, other.settings, here)
    const gap = computePlan(other).layout.placement?.gaps[0]
    expect(rhythm?.gap).toBe(gap)
    const after = computePlan(applyEdits(here, rhythm?.edits ?? []))
    expect(after.layout.placement?.leftEnd).toBe(gap)
    expect(after.layout.placement?.gaps[0]).toBe(gap)
    expect(
      rhythmOf(
        'left',
        { ...other.wall, design: withDesign(other.wall.design, { pattern: 'rails' }) },
        other.settings,
        here,
      ),
    ).toBeNull()
  })
})
