import { render } from '@testing-library/react'
import fc from 'fast-check'
import { computePlan } from '~/core/computePlan'
import { buildScene } from '~/core/scene/buildScene'
import { inches } from '~/length'
import { keptBase, reading, thing, wallOf } from '../../../tests/namedWalls'
import { fitFrame, svgPoints } from './frame'
import { HeightRod } from './HeightRod'
import { LongRod } from './LongRod'
import { SCREEN } from './palette'
import { PiecePicture } from './PiecePicture'
import { GhostView, SceneView } from './SceneView'
import { labelWidth, spreadLabels, thinLabels } from './spreadLabels'

const SIZE = { width: 900, height: 500 }
const MARGINS = { left: 100, right: 20, top: 20, bottom: 80 }

describe('the frame', () => {
  test('a wall fits between the margins, to one scale, standing up', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 900 }), fc.integer({ min: 20, max: 300 }), (width, height) => {
        const wall = { width: inches(width), height: inches(height) }
        const frame = fitFrame(SIZE, wall, MARGINS)
        const [left, right] = [frame.toX(0), frame.toX(wall.width)]
        const [floor, ceiling] = [frame.toY(0), frame.toY(wall.height)]
        expect(left).toBeGreaterThanOrEqual(100 - 1e-6)
        expect(right).toBeLessThanOrEqual(880 + 1e-6)
        expect(ceiling).toBeGreaterThanOrEqual(20 - 1e-6)
        expect(floor).toBeLessThanOrEqual(420 + 1e-6)
        expect((right - left) / (floor - ceiling)).toBeCloseTo(width / height, 6)
      }),
    )
  })

  test('points are pixels to a tenth, y turned down', () => {
    const frame = fitFrame(
      { width: 100, height: 100 },
      { width: 100, height: 100 },
      { left: 0, right: 0, top: 0, bottom: 0 },
    )
    expect(
      svgPoints(
        [
          { x: 10, y: 10 },
          { x: 20.26, y: 0 },
        ],
        frame,
      ),
    ).toBe('10.0,90.0 20.3,100.0')
  })
})

describe('labels', () => {
  const wishes = fc.array(
    fc.record({ at: fc.integer({ min: 0, max: 500 }), size: fc.integer({ min: 5, max: 40 }) }),
    { maxLength: 8 },
  )

  test('spread out, no two of them touch and none jumps the queue', () => {
    fc.assert(
      fc.property(wishes, (list) => {
        const places = spreadLabels(list)
        const order = list.map((_, i) => i).sort((a, b) => (list[a]?.at ?? 0) - (list[b]?.at ?? 0))
        order.slice(1).forEach((j, k) => {
          const i = order[k] ?? 0
          const need = ((list[i]?.size ?? 0) + (list[j]?.size ?? 0)) / 2
          expect((places[j] ?? 0) - (places[i] ?? 0)).toBeGreaterThan(Math.min(need * 0.6, need - 8))
        })
      }),
    )
  })

  test('thinned out, what is shown does not touch, and what must be shown is', () => {
    fc.assert(
      fc.property(wishes, (list) => {
        const must = new Set(list.length > 0 ? [list.length - 1] : [])
        const shown = [...thinLabels(list, must)]
        must.forEach((i) => expect(shown).toContain(i))
        shown.forEach((i) =>
          shown.forEach((j) => {
            if (i === j) return
            const need = ((list[i]?.size ?? 0) + (list[j]?.size ?? 0)) / 2
            expect(Math.abs((list[i]?.at ?? 0) - (list[j]?.at ?? 0))).toBeGreaterThanOrEqual(need)
          }),
        )
      }),
    )
  })

  test('a second row takes what the first left out', () => {
    const list = [0, 10, 20, 30].map((at) => ({ at, size: 15 }))
    const first = thinLabels(list, new Set())
    const second = thinLabels(list, new Set(), first)
    expect([...first, ...second].sort()).toEqual([0, 1, 2, 3])
  })

  test('a fraction is narrower than its digits', () => {
    expect(labelWidth('28 5/8', 13)).toBeLessThan(labelWidth('285858', 13))
    expect(labelWidth('128', 13)).toBeGreaterThan(labelWidth('28', 13))
  })
})

describe('the scene as SVG', () => {
  const workpiece = wallOf({
    baseboard: keptBase(4),
    things: [thing('window', 50, 40, 30, 30, { casing: inches(2) }), thing('outlet', 20, 12, 2.75, 4.5)],
    behind: { studs: [16, 32, 48].map(inches), wallboard: inches(0.5), keepOuts: [] },
    readings: [reading('floorFall', 131, 1)],
  })
  const plan = computePlan(workpiece)
  const scene = buildScene(plan, workpiece.wall.survey)
  const frame = fitFrame(SIZE, scene, MARGINS)
  const draw = (props: Partial<Parameters<typeof SceneView>[0]> = {}) =>
    render(
      <svg>
        <SceneView
          scene={scene}
          frame={frame}
          palette={SCREEN}
          selected={null}
          flagged={new Set()}
          {...props}
        />
      </svg>,
    ).container

  test('every piece and every thing is drawn', () => {
    const drawn = draw()
    const strips = new Set(
      [...drawn.querySelectorAll('[data-strip]')].map((each) => each.getAttribute('data-strip')),
    )
    expect(strips).toEqual(new Set(plan.pieces.map(({ stripId }) => stripId)))
    expect(drawn.querySelectorAll('[data-strip]')).toHaveLength(plan.pieces.length)
    expect(drawn.querySelectorAll('[data-thing]')).toHaveLength(2)
  })

  test('the strip in hand is lit, all its parts, and drawn last of its kind', () => {
    const lit = [...draw({ selected: 'batten-2' }).querySelectorAll('[data-lit]')]
    expect(lit.length).toBe(plan.pieces.filter(({ stripId }) => stripId === 'batten-2').length)
    expect(new Set(lit.map((each) => each.getAttribute('data-strip')))).toEqual(new Set(['batten-2']))
  })

  test('keep-outs and deviations are shown only when asked for', () => {
    const count = (props: Parameters<typeof draw>[0]) => draw(props).querySelectorAll('polygon').length
    expect(count({ behind: true })).toBe(count({}) + 1)
    expect(count({ deviation: true })).toBe(count({}) + 1)
  })

  test('a preview is drawn over, and takes no pointer', () => {
    const { container } = render(
      <svg>
        <GhostView scene={scene} frame={frame} palette={SCREEN} />
      </svg>,
    )
    expect(container.querySelector('g')?.getAttribute('pointer-events')).toBe('none')
    expect(container.querySelectorAll('polygon')).toHaveLength(plan.pieces.length)
  })
})

describe('rods', () => {
  const frame = fitFrame(SIZE, { width: inches(131), height: inches(95) }, MARGINS)

  test('the long rod carries every strip with its number and its mark', () => {
    const strips = [10, 50, 90].map((left, i) => ({
      kind: 'rodMark' as const,
      id: `rod-batten-${i + 1}`,
      stripId: `batten-${i + 1}`,
      number: i + 1,
      left: inches(left),
      right: inches(left + 2.5),
      markAt: inches(left),
      text: `${left}`,
    }))
    const { container } = render(
      <svg>
        <LongRod
          frame={frame}
          palette={SCREEN}
          wallWidth={inches(131)}
          tick={inches(1)}
          strips={strips}
          selected="batten-2"
          top={430}
          caption="near edge"
        />
      </svg>,
    )
    const text = [...container.querySelectorAll('text')].map((each) => each.textContent)
    expect(text).toEqual(expect.arrayContaining(['1', '2', '3', '10', '50', '90', 'near edge']))
    expect(container.querySelector('[data-rod-strip="batten-2"]')?.getAttribute('data-lit')).toBe('true')
    expect(container.querySelectorAll('[data-lit]')).toHaveLength(1)
  })

  test('the height rod carries every height once', () => {
    const heights = [4, 54, 57.5, 58.25].map((at) => ({
      id: `h${at}`,
      at: inches(at),
      kind: 'height' as const,
      bandId: at === 54 ? 'topRail' : null,
      text: `${at}`,
    }))
    const { container } = render(
      <svg>
        <HeightRod
          frame={frame}
          palette={SCREEN}
          wallHeight={inches(95)}
          tick={inches(1)}
          heights={heights}
          selected={null}
          left={50}
        />
      </svg>,
    )
    expect(container.querySelectorAll('[data-rod-height]')).toHaveLength(4)
    const ys = [...container.querySelectorAll('[data-rod-height] text')].map((each) =>
      Number(each.getAttribute('y')),
    )
    ys.slice(1).forEach((y, i) => expect((ys[i] ?? 0) - y).toBeGreaterThan(12))
  })
})

test('a piece is drawn from its card: a mitered end leans', () => {
  const card = {
    longLength: inches(40),
    faceWidth: inches(2),
    start: { kind: 'square' },
    end: { kind: 'miter', sawSettingDeg: 45, longEdge: 'left' },
    notches: [],
    laps: [],
  } as const
  const { container } = render(<PiecePicture card={card} longest={inches(40)} width={200} />)
  const points = (container.querySelector('polygon')?.getAttribute('points') ?? '')
    .split(' ')
    .map((p) => p.split(',').map(Number))
  expect(points[1]?.[0]).toBeCloseTo(191, 0)
  expect(points[2]?.[0]).toBeCloseTo(201, 0)
})
