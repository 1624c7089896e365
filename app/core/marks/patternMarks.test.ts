import { inches, toInches } from '~/length'
import { STARTING_BOXES, type Survey, withDesign } from '~/model'
import { thing, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { buildScene } from '../scene/buildScene'
import { heightMarks, runningMarks, spacerBlock } from './runningMarks'

const boxes = (survey: Partial<Survey> = {}) =>
  wallOf(
    { width: inches(144), height: inches(108), ...survey },
    {
      pattern: 'boxes',
      foot: { kind: 'floor' },
      topRail: { material: 'chair-rail' },
      height: { rule: 'third' },
      boxes: {
        ...STARTING_BOXES,
        margin: inches(5),
        wish: inches(32),
        least: inches(8),
        most: inches(60),
        upper: true,
      },
    },
  )

describe('marks of boxes', () => {
  test('both outer edges of every box from one hook; the block between them is the margin', () => {
    const { layout } = computePlan(boxes())
    const marks = runningMarks(layout, 'left', '1/16')
    expect(marks.map(({ near }) => toInches(near.tick))).toEqual([5, 39.75, 74.5, 109.25])
    expect(marks.map(({ far }) => toInches(far.tick))).toEqual([34.75, 69.5, 104.25, 139])
    expect(toInches(spacerBlock(layout, 'left', '1/16')?.length.tick ?? inches(0))).toBe(5)
  })

  test('heights of both rows, from the floor up', () => {
    const { layout } = computePlan(boxes())
    const heights = heightMarks(layout, '1/16').map(({ id, reading }) => [id, toInches(reading.tick)])
    // rail from 33 1/2 to 36; boxes 5 clear of floor, rail and ceiling
    expect(heights).toEqual([
      ['row1-bottom', 5],
      ['row1-top', 28.5],
      ['topRail-bottom', 33.5],
      ['topRail-top', 36],
      ['row2-bottom', 41],
      ['row2-top', 103],
      ['ceiling', 108],
    ])
  })

  test('with a window the sum counts its width as an opening where nothing stands, and closes', () => {
    const door = thing('door', 60, 0, 30, 80, { casing: inches(2) })
    const { closing } = computePlan(boxes({ things: [door] }))
    expect(closing?.openings).toEqual([{ count: 1, size: inches(34) }])
    expect(closing?.difference).toBe(0)
  })

  test('a stretch too narrow for a box is a note, the others stand', () => {
    const door = thing('door', 112, 0, 24, 80, { casing: inches(2) })
    const { layout, findings, closing } = computePlan(boxes({ things: [door] }))
    expect(layout.spacingIssue).toBeNull()
    expect(layout.frames.length).toBeGreaterThan(0)
    const note = findings.find(({ says }) => says.code === 'noRoomForBoxes')
    expect(note?.severity).toBe('note')
    expect(closing?.difference).toBe(0)
  })
})

describe('the drawing of every pattern', () => {
  test('each piece is one strip of the scene, named for its strip', () => {
    const workpiece = boxes()
    const plan = computePlan(workpiece)
    const strips = buildScene(plan, workpiece.wall.survey).nodes.filter((node) => node.kind === 'strip')
    expect(strips.map(({ id }) => id)).toEqual(plan.pieces.map(({ id }) => id))
    expect(new Set(strips.map(({ stripId }) => stripId))).toEqual(
      new Set(['topRail', ...plan.layout.frames.map(({ id }) => id)]),
    )
  })

  test('along a stair base and field follow the courses; a part-width layout paints its part', () => {
    const stair = thing('cutOff', 60, 0, 84, 60, { slope: 'risesRight' })
    const start = boxes({
      things: [stair],
      height: inches(160),
      baseboard: { height: inches(4), thickness: inches(0.5), fate: 'keep' },
    })
    const raked = {
      ...start,
      wall: { ...start.wall, design: withDesign(start.wall.design, { levelRule: 'floor' as const }) },
    }
    const nodes = buildScene(computePlan(raked), raked.wall.survey).nodes
    const base = nodes.find(({ id }) => id === 'baseboard')
    if (base?.kind !== 'running') throw new Error('no baseboard')
    expect(Math.max(...base.polygon.map(({ y }) => y))).toBeCloseTo(inches(64), 0)
    const part = wallOf({}, { extent: { left: inches(30), right: inches(80) } })
    const field = buildScene(computePlan(part), part.wall.survey).nodes.find(({ kind }) => kind === 'field')
    if (field?.kind !== 'field') throw new Error('no field')
    expect(field.polygon.map(({ x }) => x).sort((a, b) => a - b)).toEqual([30, 30, 80, 80].map(inches))
  })
})
