import fc from 'fast-check'
import { anyMeetingWall, runs } from '../../../tests/anyWall'
import {
  type Act,
  freshPaint,
  inForce,
  NO_PAINT,
  type Paint,
  startingDesign,
  startingSettings,
  withDesign,
  blankSurvey,
  type Workpiece,
  USUAL_RATES,
} from '~/model'
import { inches, NM_PER_FOOT } from '~/length'
import { freezeList } from '../asbuilt/freeze'
import { computePlan } from '../computePlan'
import { toRelease } from '../cutting/toRelease'
import { applyEdits } from '../edits/applyEdit'
import { boundsOf } from '../geometry'
import { buildScene } from '../scene/buildScene'
import { bookEdits } from './bookEdits'
import { choiceCost } from './choiceCost'
import { houseEdits, houseEntriesOf, sameEntry, startInHouse } from './house'
import { optionFigures } from './optionFigures'
import { paperDrops } from './paperDrops'
import { tryOut } from './tryOut'
import { colorsOf, contrastOf, contrastsOf, inkOn, readHex } from './wallColors'
import { wallFacts } from '../takeoff/wallFacts'
import { weighUp } from './weighUp'

const paint = (id: string, hex: string, use: Paint['use'] = 'trim') => freshPaint({ id, name: id, hex, use })
const settings = startingSettings('inches', '1/16')
const plain = (): Workpiece => ({
  wall: { survey: { ...blankSurvey(), width: inches(131), height: inches(97) }, design: startingDesign() },
  settings,
})

describe('colors of a wall', () => {
  test('what is typed is read as a color, and what is none is not', () => {
    expect(readHex('4A6')).toBe('#44aa66')
    expect(readHex(' #1f5A63 ')).toBe('#1f5a63')
    expect(readHex('rgb(10, 20, 30)')).toBe('#0a141e')
    for (const bad of ['', 'dusk', '#12', '#1234567', 'rgba(1,2,3,.5)']) expect(readHex(bad)).toBeNull()
  })

  test('contrast: black on white is 21 to 1, #777777 on white 4.48 (W3C, Understanding SC 1.4.3), a color on itself 1', () => {
    expect(contrastOf('#000000', '#ffffff').ratio).toBeCloseTo(21, 5)
    // the package gives two places, cut off
    expect(contrastOf('#777777', '#ffffff').ratio).toBeCloseTo(4.48, 1)
    expect(contrastOf('#123456', '#123456')).toMatchObject({ ratio: 1, difference: 0, seen: 'same' })
  })

  test('two near whites are hardly told apart, white and slate clearly; the same either way round', () => {
    expect(contrastOf('#f4f2ec', '#f3f2ed').seen).toBe('hardly')
    expect(contrastOf('#f4f2ec', '#44525c').seen).toBe('clear')
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffffff }), fc.integer({ min: 0, max: 0xffffff }), (a, b) => {
        const [one, other] = [a, b].map((n) => `#${n.toString(16).padStart(6, '0')}`) as [string, string]
        const [there, back] = [contrastOf(one, other), contrastOf(other, one)]
        expect(there.ratio).toBeCloseTo(back.ratio, 9)
        expect(there.difference).toBeCloseTo(back.difference, 2)
        // whatever the color, what is written on it is read
        expect(contrastOf(one, inkOn(one)).ratio).toBeGreaterThanOrEqual(4)
      }),
    )
  })

  test('only colors side by side are compared, and a paint that is gone is none', () => {
    const paints = [paint('a', '#ffffff'), paint('b', '#405060', 'field')]
    const of = (more: object) => colorsOf({ paint: { ...NO_PAINT, ...more } }, { paints })
    expect(contrastsOf(of({ trim: 'a', plates: 'b' }))).toEqual([])
    expect(contrastsOf(of({ trim: 'a', field: 'b' })).map(({ between }) => between)).toEqual([
      ['trim', 'field'],
    ])
    expect(of({ trim: 'gone' }).trim).toBeNull()
  })
})

describe('paper above the trim', () => {
  const box = [
    { x: 0, y: 0 },
    { x: 1000, y: 0 },
    { x: 1000, y: 400 },
    { x: 0, y: 400 },
  ]
  const paper = { name: '', hex: '#ffffff', panels: 3, height: 0 } as const
  const spans = (more: object) =>
    paperDrops({ ...paper, kind: 'repeat', width: 300, from: 'left', ...more } as never, box).map(
      ({ number, polygon }) => {
        const { left, right } = boundsOf(polygon)
        return [number, left, right]
      },
    )

  test('drops from the left, from the right, and from a seam on the middle both ways', () => {
    expect(spans({})).toEqual([
      [1, 0, 300],
      [2, 300, 600],
      [3, 600, 900],
      [4, 900, 1000],
    ])
    expect(spans({ from: 'right' })).toEqual([
      [1, 700, 1000],
      [2, 400, 700],
      [3, 100, 400],
      [4, 0, 100],
    ])
    const middle = spans({ from: 'middle' })
    expect(middle.some(([, , right]) => right === 500)).toBe(true)
    expect(middle.reduce((sum, [, left = 0, right = 0]) => sum + right - left, 0)).toBe(1000)
  })

  test('a mural has its own panels and height, centered', () => {
    expect(spans({ kind: 'mural', from: 'middle', height: 250 })).toEqual([
      [1, 50, 350],
      [2, 350, 650],
      [3, 650, 950],
    ])
  })
})

describe('options side by side', () => {
  test('over random walls the figures are the plan’s, and add up', () => {
    fc.assert(
      fc.property(anyMeetingWall, (workpiece) => {
        const plan = computePlan(workpiece)
        const figures = optionFigures(workpiece)
        expect(figures.pieces).toBe(plan.pieces.length)
        expect(figures.plates.hit).toBeLessThanOrEqual(figures.plates.all)
        expect(figures.left).toBeGreaterThanOrEqual(0)
        expect(figures.left).toBeLessThanOrEqual(1 + 1e-9)
        expect(figures.density).toBeGreaterThanOrEqual(0)
        const sum = Object.values(figures.weigh.minutes).reduce((all, each) => all + each, 0)
        expect(figures.weigh.hours).toBeCloseTo(sum / 60, 9)
        expect(figures.weigh.days).toBe(Math.ceil(figures.weigh.hours / USUAL_RATES.day))
        if (figures.gaps) expect(figures.gaps.least).toBeLessThanOrEqual(figures.gaps.most)
        // the drawing has a wall above only where the layout leaves one
        const above = buildScene(plan, workpiece.wall.survey).nodes.find(({ kind }) => kind === 'above')
        if (above && 'polygon' in above) expect(boundsOf(above.polygon).bottom).toBeGreaterThanOrEqual(0)
      }),
      { numRuns: runs(40) },
    )
  })

  test('a wall worked by hand: seam of two pieces, minutes by the rates', () => {
    const workpiece = plain()
    const plan = computePlan(workpiece)
    const [a, b] = plan.pieces
    if (!a || !b) throw new Error('no pieces')
    const two = {
      ...plan,
      pieces: [a, b],
      layout: { ...plan.layout, strips: plan.layout.strips.slice(0, 2) },
    }
    const facts = wallFacts(
      { id: 'w', name: '', room: '' },
      workpiece,
      { boards: 3, setUps: 2, inPlace: 0 },
      two,
    )
    const { minutes, seam } = weighUp(workpiece, two, facts)
    const outlines = 2 * (a.longLength + b.longLength) + 2 * (a.faceWidth + b.faceWidth)
    expect(Math.abs(seam + 2 * facts.joints.length - outlines)).toBeLessThan(1000)
    expect(minutes).toMatchObject({ mark: 2, cut: 2 * 2 + 2 * 3, fit: 12 })
    const sealed = seam - facts.seams.floor
    expect(minutes.caulk).toBeCloseTo((sealed / NM_PER_FOOT / 180) * 60, 6)
  })
})

describe('trying it for real', () => {
  test('over random walls: pieces of the plan, each once, each offcut once and long enough', () => {
    const rack = fc.array(fc.integer({ min: 4, max: 130 }), { maxLength: 8 })
    fc.assert(
      fc.property(anyMeetingWall, rack, (workpiece, lengths) => {
        const plan = computePlan(workpiece)
        const stuff = plan.pieces[0]?.materialId ?? ''
        const offcuts = lengths.map((n, i) => ({
          id: `${i}`,
          label: `R${i}`,
          material: stuff,
          length: inches(n),
        }))
        const pieces = tryOut(plan, offcuts)
        const ids = pieces.map(({ pieceId }) => pieceId)
        expect(new Set(ids).size).toBe(ids.length)
        expect(ids.length === 0).toBe(plan.pieces.length === 0)
        const used = pieces.flatMap(({ offcut }) => (offcut ? [offcut.id] : []))
        expect(new Set(used).size).toBe(used.length)
        for (const { pieceId, length, offcut, materialId } of pieces) {
          expect(plan.pieces.find(({ id }) => id === pieceId)?.longLength).toBe(length)
          if (offcut) expect(offcut.length).toBeGreaterThanOrEqual(length)
          // nothing of the right stuff that would do is left lying
          else
            expect(
              offcuts.filter(
                ({ id, material, length: has }) =>
                  !used.includes(id) && material === materialId && has >= length,
              ),
            ).toEqual([])
        }
      }),
      { numRuns: runs(40) },
    )
  })
})

describe('another choice after pieces were cut', () => {
  const actsFor = (workpiece: Workpiece, howMany: number): Act[] => {
    const pieces = freezeList(toRelease(computePlan(workpiece), workpiece), [])
    const release = 'list-0001'
    return [
      { id: release, kind: 'released', doneAt: 1, revisions: [], pieces: [...pieces] },
      ...pieces.slice(0, howMany).map(({ name }, i): Act => ({
        id: `cut-0000${i}`,
        kind: 'pieceCut',
        doneAt: 2 + i,
        release,
        piece: name,
      })),
    ]
  }

  test('nothing cut costs nothing; the same design wastes nothing; another height wastes the battens', () => {
    const workpiece = plain()
    expect(choiceCost(actsFor(workpiece, 0), workpiece)).toBeNull()
    expect(choiceCost(actsFor(workpiece, 4), workpiece)).toMatchObject({
      cut: 4,
      fits: 4,
      wasted: 0,
      length: 0,
    })
    const higher = applyEdits(workpiece, [{ type: 'setHeight', height: inches(80) }])
    const cost = choiceCost(actsFor(workpiece, 4), higher)
    expect(cost?.wasted).toBeGreaterThan(0)
    expect((cost?.fits ?? 0) + (cost?.wasted ?? 0)).toBe(4)
    expect(cost?.money).toBeNull() // no prices yet
    expect(cost?.length).toBeGreaterThan(0)
  })

  test('over random walls the same design always wastes nothing', () => {
    fc.assert(
      fc.property(anyMeetingWall, (workpiece) => {
        const cost = choiceCost(actsFor(workpiece, 6), workpiece)
        if (cost) expect(cost).toMatchObject({ wasted: 0, fits: cost.cut })
      }),
      { numRuns: runs(30) },
    )
  })
})

describe('the pattern book and the house book', () => {
  const layoutOf = ({ wall, settings: { materials, paints } }: Workpiece) => ({
    design: wall.design,
    materials,
    paints,
  })

  test('over random walls a layout kept on one is solved anew on another: same pattern, no own counts, all its stuff known', () => {
    fc.assert(
      fc.property(anyMeetingWall, anyMeetingWall, (from, to) => {
        const next = applyEdits(to, bookEdits(layoutOf(from), to))
        const [kept, had] = [inForce(next.wall.design), inForce(from.wall.design)]
        expect(kept.pattern).toBe(had.pattern)
        expect(kept.sectionOwn).toEqual({})
        // what belongs to this wall alone stays its own
        expect(kept.meets).toEqual(inForce(to.wall.design).meets)
        expect(kept.extent).toEqual(inForce(to.wall.design).extent)
        expect(next.wall.survey).toBe(to.wall.survey)
        expect(() => computePlan(next)).not.toThrow()
      }),
      { numRuns: runs(40) },
    )
  })

  test('stuff of the same name in another size comes under a name of its own, once', () => {
    const from = plain()
    const own = inForce(from.wall.design).battenMaterial
    const wider = settings.materials.map((each) => (each.id === own ? { ...each, width: inches(5.5) } : each))
    const to = { ...plain(), settings: { ...settings, materials: wider } }
    const once = applyEdits(to, bookEdits(layoutOf(from), to))
    const named = inForce(once.wall.design).battenMaterial
    expect(named).toBe(`${own}.2`)
    expect(once.settings.materials.find(({ id }) => id === named)?.width).toBe(
      settings.materials.find(({ id }) => id === own)?.width,
    )
    const twice = applyEdits(once, bookEdits(layoutOf(from), once))
    expect(twice.settings.materials).toHaveLength(once.settings.materials.length)
  })

  test('what a wall has is written down once, and given to another in a press each', () => {
    const from = { ...plain(), settings: { ...settings, paints: [paint('oat', '#dddddd')] } }
    from.wall.design = withDesign(from.wall.design, { paint: { ...NO_PAINT, trim: 'oat' } })
    const entries = houseEntriesOf(from, computePlan(from), 'North wall')
    expect(entries.map(({ what }) => what.kind)).toEqual(
      expect.arrayContaining(['height', 'gap', 'width', 'paint']),
    )
    expect(entries.every((a, i) => entries.every((b, k) => sameEntry(a, b) === (i === k)))).toBe(true)
    const to = plain()
    for (const entry of entries) {
      const next = applyEdits(to, houseEdits(entry, to))
      if (entry.what.kind === 'height') expect(computePlan(next).layout.height).toBe(entry.what.length)
      if (entry.what.kind === 'paint')
        expect(colorsOf(inForce(next.wall.design), next.settings).trim?.hex).toBe('#dddddd')
    }
    const started = inForce(startInHouse(to.wall.design, entries, from.settings))
    expect(started.height).toEqual({ rule: 'typed', value: computePlan(from).layout.height })
    expect(started.paint.trim).toBe('oat')
  })
})
