import { inches, nanometers } from '~/length'
import {
  type Design,
  inForce,
  type Pattern,
  PATTERNS,
  type Spacing,
  STARTING_BOXES,
  type Workpiece,
} from '~/model'
import { keptBase, wallOf } from '../../../tests/namedWalls'
import { fieldOf } from '../layout/field'
import { endsOf, rulesOf } from './rules'

const designOf = (workpiece: Workpiece): Design => inForce(workpiece.wall.design)
const fieldIn = ({ wall, settings }: Workpiece) => fieldOf(wall.survey, inForce(wall.design), settings)
const each = <T>(of: (pattern: Pattern) => T) =>
  Object.fromEntries(PATTERNS.map((pattern) => [pattern, of(pattern)]))

describe('what is particular to each pattern', () => {
  test('what it places, what part its uprights play, whether they stand free, whether it frames itself', () => {
    expect(
      each((pattern) => {
        const { places, uprightRole, standsFree, framesItself } = rulesOf({ pattern })
        return [places, uprightRole, standsFree, framesItself].join(' ')
      }),
    ).toEqual({
      battens: 'uprights batten true false',
      grid: 'uprights stile false true',
      boxes: 'margins stile false false',
      slats: 'uprights slat true false',
      lines: 'uprights stile false true',
      rails: ' batten false false',
    })
  })

  test('boxes are counted as the gaps of their margins, uprights as themselves', () => {
    expect(each((pattern) => [rulesOf({ pattern }).countOf(7), rulesOf({ pattern }).stripsOf(7)])).toEqual({
      battens: [7, 7],
      grid: [7, 7],
      boxes: [6, 8],
      slats: [7, 7],
      lines: [7, 7],
      rails: [7, 7],
    })
  })

  test('a count picked by hand and given up again', () => {
    const near = designOf(wallOf({}, { shift: inches(2) }))
    const { withCount, withoutCount } = rulesOf(near)
    expect(withCount(near, 9)).toEqual({ spacing: { ...near.spacing, strips: 9 }, shift: 0 })
    expect(withoutCount({ ...near, ...withCount(near, 9) })).toEqual({ spacing: near.spacing })
    const byCount: Spacing = { school: 'equalByCount', strips: 3, ends: 'half' }
    expect(withCount({ ...near, spacing: byCount }, 5).spacing).toEqual({ ...byCount, strips: 5 })
    expect(withoutCount({ ...near, spacing: byCount })).toEqual({ spacing: byCount })
    expect(withCount({ ...near, spacing: { school: 'centerMarks', bays: 3 } }, 5).spacing).toEqual({
      school: 'equalByCount',
      strips: 5,
      ends: 'gap',
    })
    const boxes = designOf(wallOf({}, { pattern: 'boxes' }))
    expect(rulesOf(boxes).withCount(boxes, 4)).toEqual({ boxes: { ...STARTING_BOXES, count: 4 } })
    expect(rulesOf(boxes).withoutCount({ ...boxes, boxes: { ...STARTING_BOXES, count: 4 } })).toEqual({
      boxes: STARTING_BOXES,
    })
    expect(rulesOf(boxes).spacing({ ...boxes, boxes: { ...STARTING_BOXES, count: 4 } })).toMatchObject({
      school: 'nearWish',
      ends: 'strip',
      strips: 5,
    })
  })

  test('what stands at the ends: given by a grid’s border and by boxes, else the school’s own', () => {
    const ends = (design: Partial<Design>) => endsOf(designOf(wallOf({}, design)))
    const byCount: Spacing = { school: 'equalByCount', strips: 3, ends: 'half' }
    expect(ends({ pattern: 'grid', border: 'none', spacing: byCount })).toBe('gap')
    expect(ends({ pattern: 'grid', border: 'miter', spacing: byCount })).toBe('strip')
    expect(ends({ pattern: 'boxes' })).toBe('strip')
    expect(ends({ spacing: byCount })).toBe('half')
    expect(ends({ spacing: { school: 'toStuds', every: 1 } })).toBe('gap')
    const grid = designOf(wallOf({}, { pattern: 'grid', border: 'none', spacing: byCount }))
    expect(rulesOf(grid).spacing(grid)).toEqual({ ...byCount, ends: 'gap' })
    expect(rulesOf(grid).spacing({ ...grid, border: 'butt' })).toEqual({ ...byCount, ends: 'strip' })
  })

  test('how wide what is placed is, and what may come to lie over a plate', () => {
    const widths = (design: Partial<Design>) => {
      const field = fieldIn(wallOf({}, design))
      const { stripWidth, faceWidth } = rulesOf(field.design)
      return [stripWidth(field), faceWidth(field)]
    }
    expect(widths({ battenMaterial: 'pine-1x4' })).toEqual([inches(3.5), inches(3.5)])
    expect(widths({ pattern: 'boxes', boxes: { ...STARTING_BOXES, margin: inches(5) } })).toEqual([
      inches(5),
      inches(1.25),
    ])
  })

  test('a perimeter and rails by stock are a grid’s, and those of lines', () => {
    const of = (pattern: Pattern) => {
      const design = {
        ...designOf(wallOf({}, { pattern })),
        border: 'miter' as const,
        battenMaterial: 'pine-1x4',
      }
      const { border, railsByStock, materials } = rulesOf(design)
      return [border(design), railsByStock(design), ...materials(design).map(({ at }) => at)]
    }
    expect(each(of)).toEqual({
      battens: ['none', null],
      grid: ['miter', 'pine-1x4'],
      boxes: ['none', null, 'boxes.moulding'],
      slats: ['none', null],
      lines: ['miter', 'pine-1x4'],
      rails: ['none', null],
    })
  })
})

describe('pulled on the drawing', () => {
  const pulled = (design: Partial<Design>, gap: number) => {
    const workpiece = wallOf({}, design)
    return rulesOf(designOf(workpiece)).withGap(workpiece, inches(gap))
  }

  test('a gap of a school with a wish is the new wish, on the tape’s tick, its limits widened', () => {
    const { spacing } = designOf(wallOf())
    expect(pulled({}, 30.51).spacing).toEqual({
      ...spacing,
      wish: inches(30.5),
      most: inches(30.5),
      strips: null,
    })
    expect(pulled({}, 4).spacing).toMatchObject({ wish: inches(4), least: inches(4), most: inches(24) })
    const pitch: Spacing = {
      school: 'fromEnd',
      wish: inches(20),
      measure: 'pitch',
      end: 'left',
      startWith: 'gap',
    }
    expect(pulled({ spacing: pitch }, 10).spacing).toEqual({ ...pitch, wish: inches(12.5) })
    const center: Spacing = {
      school: 'fromCenter',
      wish: inches(20),
      measure: 'gap',
      centerOn: 'gap',
      about: null,
    }
    expect(pulled({ spacing: center }, 10).spacing).toEqual({ ...center, wish: inches(10) })
  })

  test.each([
    [{ school: 'equalByCount', strips: 4, ends: 'half' }, 'half'],
    [{ school: 'centerMarks', bays: 4 }, 'gap'],
    [{ school: 'toStuds', every: 1 }, 'gap'],
    [{ school: 'placed', nearEdges: [inches(10), inches(30)] }, 'gap'],
  ] as [Spacing, string][])('a gap of %j becomes a wish with half as much either way', (spacing, ends) => {
    expect(pulled({ spacing }, 12).spacing).toEqual({
      school: 'nearWish',
      wish: inches(12),
      measure: 'gap',
      least: inches(6),
      most: inches(18),
      ends,
      strips: null,
    })
  })

  test('a box is the new wish of the boxes', () => {
    expect(pulled({ pattern: 'boxes' }, 60).boxes).toEqual({
      ...STARTING_BOXES,
      wish: inches(60),
      most: inches(60),
    })
    expect(pulled({ pattern: 'boxes', boxes: { ...STARTING_BOXES, count: 3 } }, 7).boxes).toMatchObject({
      wish: inches(7),
      least: inches(7),
      count: null,
    })
  })
})

describe('heights, and where a pattern starts from', () => {
  test('of rails alone the first one’s height is meant, of all others the layout’s', () => {
    const height = { rule: 'typed', value: nanometers(inches(40)) } as const
    const rail = {
      id: 'shelf-1',
      use: 'shelf',
      material: 'pine-1x4',
      lay: 'flat',
      top: { rule: 'half' },
    } as const
    const others = { ...rail, id: 'shelf-2' }
    const rails = designOf(wallOf({}, { pattern: 'rails', rails: [rail, others] }))
    expect(rulesOf(rails).withHeight(rails, height)).toEqual({ rails: [{ ...rail, top: height }, others] })
    expect(rulesOf(rails).withHeight({ ...rails, rails: [] }, height)).toEqual({ height })
    const battens = designOf(wallOf({}, { rails: [rail] }))
    expect(rulesOf(battens).withHeight(battens, height)).toEqual({ height })
  })

  test('on a baseboard that stays, or on what the pattern usually has', () => {
    const feet = (survey: Parameters<typeof wallOf>[0]) =>
      each((pattern) => rulesOf({ pattern }).usual(wallOf(survey).wall).foot)
    const rail = { kind: 'rail', material: 'pine-1x4' }
    const floor = { kind: 'floor' }
    expect(feet({})).toEqual({
      battens: rail,
      grid: floor,
      boxes: rail,
      slats: floor,
      lines: floor,
      rails: floor,
    })
    const base = { kind: 'baseboard' }
    expect(feet({ baseboard: keptBase(4) })).toEqual(each(() => base))
    expect(feet({ baseboard: { ...keptBase(4), fate: 'remove' } })).toEqual(feet({}))
  })

  test('the rest of where each starts: common practice, no source', () => {
    const usual = each((pattern) => {
      const { foot: _, ...rest } = rulesOf({ pattern }).usual(wallOf().wall)
      return rest
    })
    expect(usual).toMatchObject({
      battens: {
        battenMaterial: 'pine-1x3',
        spacing: {
          wish: inches(16),
          least: inches(10),
          most: inches(24),
          ends: 'gap',
          measure: 'gap',
          strips: null,
        },
        topRail: { material: 'pine-1x4' },
        height: { rule: 'twoThirds' },
      },
      grid: {
        battenMaterial: 'pine-1x4',
        spacing: { ends: 'strip' },
        topRail: null,
        height: { rule: 'full' },
        rows: [1, 1, 1],
      },
      boxes: { topRail: { material: 'chair-rail' }, cap: null, height: { rule: 'third' } },
      slats: {
        battenMaterial: 'pine-1x2',
        spacing: { wish: inches(1.5), ends: 'gap' },
        topRail: null,
        height: { rule: 'full' },
      },
      rails: { topRail: null, cap: null },
    })
  })

  test('rails alone bring one with them, which goes with them while it is untouched', () => {
    const design = designOf(wallOf())
    const { brings, leaves } = rulesOf({ pattern: 'rails' })
    const { rails = [] } = brings(design)
    expect(rails).toMatchObject([
      { use: 'chairRail', material: 'chair-rail', lay: 'edge', top: { rule: 'third' } },
    ])
    expect(brings({ ...design, rails })).toEqual({})
    expect(leaves({ ...design, rails })).toEqual({ rails: [] })
    expect(leaves({ ...design, rails: [...rails, ...rails] })).toEqual({})
    expect(leaves({ ...design, rails: rails.map((rail) => ({ ...rail, lay: 'flat' as const })) })).toEqual({})
    expect(rulesOf({ pattern: 'battens' }).brings(design)).toEqual({})
    expect(rulesOf({ pattern: 'battens' }).leaves({ ...design, rails })).toEqual({})
  })
})
