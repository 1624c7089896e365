import fc from 'fast-check'
import { anyMeetingWall, anyOldWall, met, runs } from '../../../tests/anyWall'
import { reading, thing, wallOf } from '../../../tests/namedWalls'
import { inches, toInches } from '~/length'
import { type Design, inForce, type Workpiece } from '~/model'
import { strikeArch } from '../companions/arch'
import { placeRow } from '../companions/itemRow'
import { computePlan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import { measuredSize } from '../survey/measured'
import type { Finding, FindingSays, WayOut } from './finding'

const typed = (value: number) => ({ rule: 'typed' as const, value: inches(value) })
type Of<C extends FindingSays['code']> = Extract<FindingSays, { code: C }>
const find = <C extends FindingSays['code']>(workpiece: Workpiece, code: C) =>
  computePlan(workpiece).findings.filter(
    (finding): finding is Finding & { says: Of<C> } => finding.says.code === code,
  )
const press = (workpiece: Workpiece, way: WayOut | undefined) => applyEdits(workpiece, way?.edits ?? [])

describe('strips that stand proud', () => {
  test('a rail that ends at thinner casing is told as an upright is', () => {
    const door = thing('door', 62, 0, 30, 80, { casing: inches(2.5), thickness: inches(0.5) })
    const workpiece = wallOf({ things: [door] }, { height: typed(47) })
    const [finding] = find(workpiece, 'proudOf')
    expect(finding?.says).toMatchObject({ what: 'door', strip: inches(0.75), trim: inches(0.5) })
    expect(finding?.stripIds).toContain('topRail')
    for (const way of finding?.waysOut ?? []) expect(find(press(workpiece, way), 'proudOf')).toEqual([])
  })

  test('nothing is said of heat that strips stop well short of', () => {
    const workpiece = wallOf({ things: [thing('radiator', 50, 4, 30, 24, { thickness: inches(0.25) })] })
    expect(find(workpiece, 'proudOf')).toEqual([])
  })

  test('a thick rail on thin stiles is told, and its own stock changed', () => {
    const workpiece = wallOf(
      {},
      {
        battenMaterial: 'mdf-half',
        topRail: { material: 'pine-1x4' },
        foot: { kind: 'floor' },
        through: 'uprights',
        rails: [{ id: 'r', use: 'rail', material: 'pine-1x3', lay: 'edge', top: typed(30) }],
      },
    )
    const [finding] = find(workpiece, 'proudOfStrip')
    expect(finding?.says.by).toBe(inches(0.25))
    const [way] = finding?.waysOut ?? []
    expect(inForce(press(workpiece, way).wall.design).rails[0]?.material).not.toBe('pine-1x3')
  })

  test('thinner stock of a cap is the cap’s own', () => {
    const workpiece = wallOf(
      { things: [thing('door', 88, 0, 30, 80, { casing: inches(2.5), thickness: inches(0.5) })] },
      {
        topRail: null,
        foot: { kind: 'floor' },
        spacing: { school: 'equalByCount', strips: 2, ends: 'gap' },
        cap: { material: 'pine-1x2', lay: 'edge' },
        height: typed(60),
      },
    )
    const [way] = find(workpiece, 'proudOf')
      .flatMap(({ waysOut }) => waysOut)
      .filter(({ says }) => says.code === 'useMaterial')
    expect(inForce(press(workpiece, way).wall.design).cap).toEqual({ material: 'lattice', lay: 'edge' })
  })

  test('law: another stock that is offered makes an end of it', () => {
    let tried = 0
    fc.assert(
      fc.property(anyMeetingWall, (workpiece) => {
        for (const finding of computePlan(workpiece).findings) {
          const { says } = finding
          if (says.code !== 'proudOf') continue
          for (const way of finding.waysOut.filter((each) => each.says.code === 'useMaterial')) {
            tried += 1
            const left = find(press(workpiece, way), 'proudOf').filter(
              (each) => each.says.what === says.what && each.says.thingId === says.thingId,
            )
            // with other widths another strip may come to it; those it was told of no longer stand proud
            const again = left
              .flatMap(({ stripIds }) => stripIds)
              .filter((id) => finding.stripIds.includes(id))
            if (again.length > 0) throw new Error(`${again.join()} still proud of ${says.what}`)
          }
        }
      }),
      { numRuns: runs(120) },
    )
    expect(tried).toBeGreaterThan(met(40))
  })
})

describe('what is measured', () => {
  test('a thing past the end of the wall is told at once; both ways end it', () => {
    const workpiece = wallOf({ width: inches(131), things: [thing('outlet', 139, 12, 2.75, 4.5)] })
    const [finding] = find(workpiece, 'thingOffWall')
    expect(finding).toMatchObject({ stage: 'measure', severity: 'wrong' })
    expect(finding?.says).toMatchObject({ side: 'right', by: inches(139 + 2.75 - 131) })
    expect(finding?.waysOut).toHaveLength(2)
    for (const way of finding?.waysOut ?? []) expect(find(press(workpiece, way), 'thingOffWall')).toEqual([])
  })

  test.each([
    ['left', { left: inches(-3) }],
    ['bottom', { bottom: inches(-2) }],
    ['top', { bottom: inches(93) }],
  ] as const)('past the %s of the wall', (side, more) => {
    const off = { ...thing('switch', 40, 40, 2.75, 4.5), ...more }
    const workpiece = wallOf({ things: [off] })
    const [finding] = find(workpiece, 'thingOffWall')
    expect(finding?.says.side).toBe(side)
    // it is moved to that end and no farther
    const [place] = finding?.waysOut ?? []
    const [moved] = press(workpiece, place).wall.survey.things
    expect(moved).toMatchObject({
      left: side === 'left' ? 0 : off.left,
      bottom: side === 'left' ? off.bottom : side === 'bottom' ? 0 : inches(95 - 4.5),
    })
  })

  test('what is larger than the wall is not moved, what is gone or missing is not told, and both ends are the worse one', () => {
    const wide = thing('window', -4, 30, 150, 30)
    const [finding] = find(wallOf({ things: [wide] }), 'thingOffWall')
    expect(finding?.says).toMatchObject({ side: 'right', by: inches(15) })
    expect(finding?.waysOut.map(({ says }) => says.code)).toEqual(['removeThing'])
    const gone = { ...wide, fate: 'remove' as const }
    const missing = thing('cutOff', 120, 60, 40, 60)
    expect(find(wallOf({ things: [gone, missing] }), 'thingOffWall')).toEqual([])
  })

  test('a door that just reaches the floor and a window under a lower ceiling are on the wall', () => {
    expect(find(wallOf({ things: [thing('door', 0, 0, 30, 80)] }), 'thingOffWall')).toEqual([])
    // a chimney breast goes up past a lower ceiling
    expect(find(wallOf({ things: [thing('chimneyBreast', 40, 0, 40, 99)] }), 'thingOffWall')).toEqual([])
    const low = wallOf({
      readings: [reading('height', 100, 90)],
      things: [thing('window', 90, 40, 20, 52)],
    })
    expect(find(low, 'thingOffWall').map(({ says }) => says.side)).toEqual(['top'])
  })

  test('a width typed over readings is asked about, and all that is shown is the measured one', () => {
    const readings = [reading('width', 4, 133), reading('width', 80, 133.5)]
    const workpiece = wallOf({ width: inches(125), readings })
    const [finding] = find(workpiece, 'typedAgainstRead')
    expect(finding?.says).toMatchObject({ typed: inches(125), least: inches(133), most: inches(133.5) })
    expect(finding?.blocks?.key).toBe('typed.width')
    const [replace, keep] = finding?.waysOut ?? []
    expect(toInches(measuredSize(workpiece.wall.survey).width)).toBeCloseTo(133, 5)
    expect(toInches(measuredSize(press(workpiece, replace).wall.survey).width)).toBe(125)
    for (const way of [replace, keep]) expect(find(press(workpiece, way), 'typedAgainstRead')).toEqual([])
    // one reading that is far off is asked about as a slip itself; two that agree are believed, however far
    const far = [reading('width', 4, 133)]
    expect(find(wallOf({ width: inches(60), readings: far }), 'typedAgainstRead')).toEqual([])
    expect(find(wallOf({ width: inches(60), readings }), 'typedAgainstRead')).toHaveLength(1)
    expect(find(wallOf({ width: inches(131), readings: far }), 'typedAgainstRead')).toHaveLength(1)
    // a round figure near what was read is no other wall
    expect(find(wallOf({ width: inches(133.25), readings }), 'typedAgainstRead')).toEqual([])
  })

  test('law: the width shown is the width that closes, wherever all of the wall is covered', () => {
    fc.assert(
      fc.property(anyMeetingWall, (workpiece) => {
        const { layout, closing } = computePlan(workpiece)
        const { extent, stand } = inForce(workpiece.wall.design)
        if (!closing || extent || stand.kind !== 'plumb') return
        expect(Math.abs(closing.wall - measuredSize(workpiece.wall.survey).width)).toBeLessThanOrEqual(2)
        expect(layout.right - layout.left).toBe(closing.wall)
      }),
      { numRuns: runs(120) },
    )
  })
})

describe('full height under a ceiling that is not level', () => {
  const rising = { readings: [reading('ceilingFall', 131, -0.75)] }
  const full: Partial<Design> = { topRail: null, foot: { kind: 'floor' }, height: { rule: 'full' } }

  test('each upright goes up to it, at its own length; level tops are the other way', () => {
    const workpiece = wallOf(rising, full)
    const lengths = computePlan(workpiece).pieces.map(({ longLength }) => longLength)
    expect(new Set(lengths).size).toBe(lengths.length)
    expect(Math.max(...lengths) - Math.min(...lengths)).toBeGreaterThan(inches(0.5))
    const [finding] = find(workpiece, 'topsFollow')
    const level = press(workpiece, finding?.waysOut[0])
    expect(new Set(computePlan(level).pieces.map(({ longLength }) => longLength)).size).toBe(1)
    // and back again
    const [under] = find(level, 'ceilingFalls')
    const back = under?.waysOut.find(({ says }) => says.code === 'topsWay')
    expect(computePlan(press(level, back)).pieces.map(({ longLength }) => longLength)).toEqual(lengths)
  })

  test('level tops are offered where each goes up to it, and the other way round; with a cap over them neither', () => {
    const sloping = (more: Partial<Design>) =>
      wallOf(
        { readings: [reading('ceilingFall', 131, 2), reading('height', 0, 95)] },
        { height: { rule: 'full' }, foot: { kind: 'floor' }, topRail: null, cap: null, ...more },
      )
    const ways = (workpiece: Workpiece) =>
      computePlan(workpiece)
        .findings.flatMap(({ waysOut }) => waysOut)
        .flatMap(({ says }) => (says.code === 'topsWay' ? [says.tops] : []))
    expect(ways(sloping({ tops: 'ceiling' }))).toEqual(['level'])
    expect(ways(sloping({ tops: 'level' }))).toEqual(['ceiling'])
    for (const tops of ['ceiling', 'level'] as const)
      expect(ways(sloping({ tops, cap: { material: 'pine-1x2', lay: 'flat' } }))).toEqual([])
  })

  test('under a rail they all end at the rail', () => {
    const railed = computePlan(wallOf(rising, { ...full, topRail: { material: 'pine-1x4' } }))
    const lengths = railed.pieces.filter(({ role }) => role === 'batten').map(({ longLength }) => longLength)
    expect(new Set(lengths).size).toBe(1)
  })
})

describe('heat, letters, arches', () => {
  test('law: heat is short by more than paint or not at all, and keeping clear mends it', () => {
    let told = 0
    fc.assert(
      fc.property(anyOldWall, (workpiece) => {
        for (const { says } of find(workpiece, 'nearHeat')) {
          told += 1
          if (says.asked - says.space < 100_000) throw new Error(`short by ${says.asked - says.space} nm`)
        }
      }),
      { numRuns: runs(200) },
    )
    expect(told).toBeGreaterThanOrEqual(0)
  })

  const row = (line: number, height: number) => ({
    id: 'r',
    kind: 'letters' as const,
    items: [{ name: 'A', width: inches(6) }],
    line: inches(line),
    height: inches(height),
    thickness: inches(0.75),
    spread: { by: 'gap' as const, gap: inches(8) },
    middle: { on: 'wall' as const },
    overBed: false,
  })
  test.each([
    ['that stands on the rail’s top edge lies on the wall', 48, 6, 'wall', null],
    ['half over the rail bridges, and is packed', 46, 6, 'bridges', inches(0.75)],
    ['within the rail lies on it', 45, 2, 'strips', null],
  ])('a letter %s', (_, line, height, lies, packing) => {
    const workpiece = wallOf(
      {},
      {
        pattern: 'rails',
        topRail: null,
        foot: { kind: 'floor' },
        rails: [{ id: 'r', use: 'rail', material: 'pine-1x4', lay: 'edge', top: typed(48) }],
      },
    )
    const { layout, pieces } = computePlan(workpiece)
    const placed = placeRow(
      row(line, height),
      layout,
      pieces,
      (id) => layout.materials.get(id)?.thickness ?? 0,
    )
    expect(placed?.items[0]?.lies).toBe(lies)
    expect(placed?.packing).toBe(packing)
  })

  test('a segment rises at most half its width', () => {
    const arch = { kind: 'segment' as const, width: inches(40) }
    expect(strikeArch({ ...arch, rise: inches(20) })).not.toBeNull()
    expect(strikeArch({ ...arch, rise: inches(20.125) })).toBeNull()
  })
})
