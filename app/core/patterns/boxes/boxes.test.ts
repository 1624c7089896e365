import { inches, toInches } from '~/length'
import { type Boxes, type Design, STARTING_BOXES, STOCK_LIST, type Survey } from '~/model'
import { keptBase, thing, wallOf } from '../../../../tests/namedWalls'
import { computePlan } from '../../computePlan'
import { applyEdits } from '../../edits/applyEdit'
import { boundsOf } from '../../geometry'

/** A wall of boxes under a rail, in inches. */
function boxWall(survey: Partial<Survey>, boxes: Partial<Boxes> = {}, design: Partial<Design> = {}) {
  return wallOf(survey, {
    pattern: 'boxes',
    foot: survey.baseboard ? { kind: 'baseboard' } : { kind: 'floor' },
    topRail: { material: 'chair-rail' },
    height: { rule: 'third' },
    boxes: { ...STARTING_BOXES, margin: inches(5), least: inches(12), most: inches(60), ...boxes },
    ...design,
  })
}

const sizes = (workpiece: ReturnType<typeof boxWall>) =>
  computePlan(workpiece).layout.frames.map(({ outline }) => {
    const { left, right, bottom, top } = boundsOf(outline)
    return { left: left / inches(1), width: (right - left) / inches(1), height: (top - bottom) / inches(1) }
  })

// Worked layouts A7 to A9: common practice, no source; arithmetic checked by hand.
describe('boxes with one margin', () => {
  test('A7: wall 264, seven boxes, margin 5: 32 wide; five to nine boxes', () => {
    const widthOf = (count: number) => sizes(boxWall({ width: inches(264) }, { count }))[0]?.width
    expect([5, 6, 7, 8, 9].map(widthOf)).toEqual([
      46.8,
      expect.closeTo(38 + 1 / 6, 7),
      32,
      27.375,
      expect.closeTo(23 + 7 / 9, 7),
    ])
  })

  test('A8: wall 108 high, rail top at one third, rail 2 1/2, margin 5, baseboard 6 3/4: box 16 3/4 high', () => {
    const plan = computePlan(
      boxWall({ width: inches(264), height: inches(108), baseboard: keptBase(6.75) }, { count: 7 }),
    )
    expect(toInches(plan.layout.height)).toBe(36)
    const [frame] = plan.layout.frames
    const { bottom, top } = boundsOf(frame?.outline ?? [])
    expect((top - bottom) / inches(1)).toBe(16.75)
    expect(bottom / inches(1)).toBe(11.75)
  })

  test('A9: wall 144, boxes near 32: four of 29 3/4', () => {
    const found = sizes(boxWall({ width: inches(144) }, { wish: inches(32) }))
    expect(found.map(({ width }) => width)).toEqual([29.75, 29.75, 29.75, 29.75])
    expect(sizes(boxWall({ width: inches(144) }, { count: 3 }))[0]?.width).toBeCloseTo(41 + 1 / 3, 7)
  })

  test('every side is cut to its long points at 45 degrees, four pieces a box', () => {
    const plan = computePlan(boxWall({ width: inches(144) }, { count: 4 }))
    const sides = plan.pieces.filter(({ stripId }) => stripId === 'box-2')
    expect(sides.map(({ id }) => id).sort()).toEqual([
      'box-2-bottom',
      'box-2-left',
      'box-2-right',
      'box-2-top',
    ])
    for (const side of sides) {
      expect(side.start).toMatchObject({ kind: 'miter', sawSettingDeg: expect.closeTo(45, 6) })
      expect(side.end).toMatchObject({ kind: 'miter', sawSettingDeg: expect.closeTo(45, 6) })
      expect(side.longLength - side.shortLength).toBeCloseTo(2 * inches(1.25), -2)
    }
  })
})

describe('boxes on the wall as it is', () => {
  const window = thing('window', 52, 30, 40, 40, { casing: inches(2) })

  test('boxes beside and under a window keep the margin to its casing', () => {
    const found = sizes(
      boxWall(
        { width: inches(144), height: inches(108), things: [window] },
        {},
        {
          height: { rule: 'typed', value: inches(40) },
        },
      ),
    )
    const under = found.filter(({ height }) => height < 25)
    expect(under).toHaveLength(1)
    // casing from 50 to 94 and up from 28: the box under it is 34 wide and ends 5 below the casing
    expect(under[0]).toEqual({ left: 55, width: 34, height: 18 })
    const beside = found.filter(({ height }) => height > 25)
    expect(beside.map(({ left, width }) => left + width).filter((right) => right < 50)).toContain(45)
    expect(beside.map(({ left }) => left)).toContain(99)
    // rail 2 1/2 under 40, margins of 5: 27 1/2 high
    expect(new Set(beside.map(({ height }) => height))).toEqual(new Set([27.5]))
  })

  test('no box stands before a door, and the rail breaks at its casing', () => {
    const door = thing('door', 30, 0, 32, 80, { casing: inches(2.5) })
    const plan = computePlan(boxWall({ width: inches(144), height: inches(108), things: [door] }))
    for (const { outline } of plan.layout.frames) {
      const { left, right } = boundsOf(outline)
      expect(right <= inches(27.5 - 5) || left >= inches(64.5 + 5)).toBe(true)
    }
    const rail = plan.pieces.filter(({ stripId }) => stripId === 'topRail')
    expect(rail.map(({ longLength }) => toInches(longLength))).toEqual([27.5, 79.5])
    expect(rail[0]).toMatchObject({ startsAt: 'wall', endsAt: 'thing' })
  })

  test('a second row of tall boxes above the rail keeps the margin to rail and ceiling', () => {
    const found = sizes(boxWall({ width: inches(144), height: inches(108) }, { upper: true, count: 4 }))
    expect(found).toHaveLength(8)
    expect(found[4]).toEqual({ left: 5, width: 29.75, height: 62 })
  })

  test('another margin above and below', () => {
    const found = sizes(
      boxWall({ width: inches(144), height: inches(108) }, { count: 4, above: inches(3), below: inches(7) }),
    )
    expect(found[0]?.height).toBe(36 - 2.5 - 3 - 7)
  })

  test('on a stair the boxes are parallelograms, and each corner is cut at half its own angle', () => {
    // the floor rises 36 in 48, 36.87 degrees, right across the wall
    const stair = thing('cutOff', 0, 0, 144, 108, { slope: 'risesRight' })
    const workpiece = boxWall(
      { width: inches(144), height: inches(220), things: [stair] },
      { count: 4 },
      { levelRule: 'floor', height: { rule: 'typed', value: inches(36) } },
    )
    const plan = computePlan(workpiece)
    expect(plan.layout.frames).toHaveLength(4)
    const slope = (Math.atan(108 / 144) * 180) / Math.PI
    const sides = plan.pieces.filter(({ stripId }) => stripId === 'box-1')
    const top = sides.find(({ id }) => id.endsWith('top'))
    // corners of 90 - a and 90 + a: the saw reads 45 + a/2 and 45 - a/2
    const settings = [top?.start, top?.end].map((cut) => (cut?.kind === 'miter' ? cut.sawSettingDeg : NaN))
    expect([...settings].sort((a, b) => a - b)).toEqual([
      expect.closeTo(45 - slope / 2, 5),
      expect.closeTo(45 + slope / 2, 5),
    ])
    // the rail runs along the slope, its ends cut plumb
    const rail = plan.pieces.find(({ stripId }) => stripId === 'topRail')
    expect(rail?.directionDeg).toBeCloseTo(slope, 6)
    expect(rail?.start).toMatchObject({ kind: 'miter', sawSettingDeg: expect.closeTo(slope, 5) })
  })

  test('where a level floor meets a stair the rail is mitered at half the bend', () => {
    const stair = thing('cutOff', 72, 0, 72, 54, { slope: 'risesRight' })
    const plan = computePlan(
      boxWall(
        { width: inches(144), height: inches(160), things: [stair] },
        {},
        { levelRule: 'floor', height: { rule: 'typed', value: inches(36) } },
      ),
    )
    const rails = plan.pieces.filter(({ stripId }) => stripId === 'topRail')
    expect(rails).toHaveLength(2)
    const half = (Math.atan(54 / 72) * 180) / Math.PI / 2
    expect(rails[0]?.end).toMatchObject({ kind: 'miter', sawSettingDeg: expect.closeTo(half, 5) })
    expect(rails[1]?.start).toMatchObject({ kind: 'miter', sawSettingDeg: expect.closeTo(half, 5) })
  })

  test('before a stair that is not followed no box lies where there is no wall', () => {
    for (const slope of ['risesRight', 'risesLeft'] as const) {
      const stair = thing('cutOff', 0, 0, 144, 60, { slope })
      const { frames } = computePlan(
        boxWall(
          { width: inches(144), height: inches(108), things: [stair] },
          { count: 3 },
          { height: { rule: 'typed', value: inches(90) } },
        ),
      ).layout
      expect(frames).toHaveLength(3)
      for (const { outline } of frames)
        for (const { x, y } of outline) {
          const along = slope === 'risesRight' ? x : inches(144) - x
          expect(y).toBeGreaterThan((along * 60) / 144)
        }
    }
  })

  test('under an attic slope the corner of the box that would leave the wall is cut off along it', () => {
    const slope = thing('cutOff', 84, 48, 60, 60, { slope: 'risesLeft' })
    const plan = computePlan(
      boxWall({ width: inches(144), height: inches(108), things: [slope] }, { upper: true, count: 2 }),
    )
    const cut = plan.layout.frames.find(({ outline }) => outline.length === 5)
    expect(cut).toBeDefined()
    expect(plan.pieces.filter(({ stripId }) => stripId === cut?.id)).toHaveLength(5)
  })
})

test('margins that leave no room are a finding, with margins that do', () => {
  const tight = boxWall({ width: inches(144), height: inches(96) }, { margin: inches(40) })
  const finding = computePlan(tight).findings.find(({ says }) => says.code === 'boxesTooTight')
  expect(finding?.severity).toBe('wrong')
  const after = computePlan(applyEdits(tight, finding?.waysOut[0]?.edits ?? []))
  expect(after.layout.frames.length).toBeGreaterThan(0)
  // as high as there is nothing at all, nothing helps
  const none = boxWall(
    { width: inches(144), height: inches(96) },
    {},
    { height: { rule: 'typed', value: inches(1) } },
  )
  expect(computePlan(none).layout.frames).toEqual([])
})

test('mouldings of the built-in list are there for boxes', () => {
  expect(STOCK_LIST.map(({ id }) => id)).toEqual(expect.arrayContaining(['panel-moulding', 'chair-rail']))
})
