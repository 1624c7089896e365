import { inches, nanometers } from '~/length'
import { type Design, inForce, type Pattern, PATTERNS, STARTING_BOXES, startingSettings } from '~/model'
import { keptBase, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { applyEdit, applyEdits } from './applyEdit'
import { choosePattern, newRail } from './choosePattern'
import { withCount } from './sectionCount'

describe('choosing a pattern', () => {
  test('what a job lacks is added with its usual boards; what it has is left alone', () => {
    const { wall, settings } = wallOf()
    const bare = {
      wall,
      settings: {
        ...settings,
        materials: settings.materials.slice(0, 3),
        shop: { ...settings.shop, offers: [] },
      },
    }
    const edits = choosePattern(bare, 'boxes')
    const added = edits.flatMap((edit) => (edit.type === 'addMaterial' ? [edit.material.id] : []))
    expect(added).toEqual(['chair-rail', 'panel-moulding'])
    const after = applyEdits(bare, edits)
    expect(after.settings.shop.offers.some(({ material }) => material === 'panel-moulding')).toBe(true)
    const full = { wall, settings: startingSettings('inches', '1/16') }
    expect(choosePattern(full, 'boxes').every(({ type }) => type === 'patchDesign')).toBe(true)
  })

  test('turned through all patterns and back, each is as it was left: spacing, rows, boxes, foot and height', () => {
    const changed: Partial<Record<Pattern, Partial<Design>>> = {
      battens: {
        spacing: { school: 'fromCenter', wish: inches(11), measure: 'pitch', centerOn: 'gap', about: null },
        height: { rule: 'typed', value: inches(43) },
        cap: { material: 'pine-1x2', lay: 'flat' },
        shift: inches(1),
      },
      grid: { rows: [2, 1], border: 'miter', sectionOwn: { all: { strips: 5, shift: inches(0) } } },
      boxes: { boxes: { ...STARTING_BOXES, margin: inches(3.25) } },
      slats: { battenMaterial: 'pine-1x3' },
      rails: { height: { rule: 'half' } },
    }
    let workpiece = wallOf({ baseboard: keptBase(4) })
    const left = new Map<Pattern, Design>()
    for (const pattern of PATTERNS) {
      const patch = changed[pattern] ?? {}
      workpiece = applyEdits(workpiece, [
        ...choosePattern(workpiece, pattern),
        { type: 'patchDesign', patch },
      ])
      left.set(pattern, inForce(workpiece.wall.design))
      expect(left.get(pattern)).toMatchObject(patch)
    }
    for (const pattern of [...PATTERNS].reverse()) {
      workpiece = applyEdits(workpiece, choosePattern(workpiece, pattern))
      // horizontals of their own belong to the wall, whatever its pattern
      const { rails: _now, ...design } = inForce(workpiece.wall.design)
      const { rails: _then, ...before } = left.get(pattern) ?? inForce(workpiece.wall.design)
      expect(design).toEqual(before)
    }
  })

  test('a pattern that is new to a wall stays on the baseboard that stays', () => {
    const workpiece = wallOf({ baseboard: keptBase(4) })
    for (const pattern of PATTERNS.filter((each) => each !== 'battens')) {
      const { design } = applyEdits(workpiece, choosePattern(workpiece, pattern)).wall
      expect(inForce(design)).toMatchObject({ pattern, foot: { kind: 'baseboard' } })
    }
  })

  test('the rail a wall of rails starts with goes with it, one that was touched stays', () => {
    const start = wallOf()
    const rails = applyEdits(start, choosePattern(start, 'rails'))
    expect(inForce(rails.wall.design).rails).toHaveLength(1)
    expect(inForce(applyEdits(rails, choosePattern(rails, 'battens')).wall.design).rails).toEqual([])
    const there = applyEdits(rails, choosePattern(rails, 'battens'))
    expect(inForce(applyEdits(there, choosePattern(there, 'rails')).wall.design).rails).toHaveLength(1)
    const touched = applyEdits(rails, newRail(rails, 'shelf'))
    expect(inForce(applyEdits(touched, choosePattern(touched, 'grid')).wall.design).rails).toHaveLength(2)
  })

  test('a second rail of a use gets a number of its own', () => {
    let workpiece = wallOf()
    for (let i = 0; i < 3; i++) workpiece = applyEdits(workpiece, newRail(workpiece, 'shelf'))
    workpiece = applyEdits(workpiece, newRail(workpiece, 'chairRail'))
    expect(inForce(workpiece.wall.design).rails.map(({ id }) => id)).toEqual([
      'shelf-1',
      'shelf-2',
      'shelf-3',
      'chairRail-1',
    ])
  })
})

describe('a count picked by hand', () => {
  test('goes to the wall where it is one section, to the section where there are several', () => {
    const design = inForce(wallOf().wall.design)
    expect(withCount(design, 'all', 9)).toMatchObject({ spacing: { school: 'nearWish', strips: 9 } })
    expect(withCount({ ...design, spacing: { school: 'centerMarks', bays: 4 } }, 'all', 9)).toMatchObject({
      spacing: { school: 'equalByCount', strips: 9 },
    })
    expect(withCount({ ...design, pattern: 'boxes' }, 'all', 6)).toMatchObject({ boxes: { count: 6 } })
    expect(withCount(design, 'after-door', 3)).toEqual({
      sectionOwn: { 'after-door': { strips: 3, shift: nanometers(0) } },
    })
  })

  test('a box pulled to a width becomes the wish, and its limits give way', () => {
    const workpiece = wallOf({}, { pattern: 'boxes' })
    const wide = inForce(applyEdit(workpiece, { type: 'setGap', gap: inches(70) }).wall.design).boxes
    expect(wide).toMatchObject({ wish: inches(70), most: inches(70), count: null })
    const narrow = inForce(applyEdit(workpiece, { type: 'setGap', gap: inches(9) }).wall.design).boxes
    expect(narrow).toMatchObject({ wish: inches(9), least: inches(9) })
  })
})

describe('horizontals of their own', () => {
  test('a shelf laid flat shows its thickness, on edge its width; uprights run up to the rail, not past it', () => {
    const rail = {
      id: 'shelf-1',
      use: 'shelf',
      material: 'pine-1x6',
      top: { rule: 'typed', value: inches(80) },
    } as const
    const faceOf = (lay: 'flat' | 'edge') => {
      const { bands } = computePlan(wallOf({}, { rails: [{ ...rail, lay }] })).layout
      const shelf = bands.find(({ id }) => id === 'shelf-1')
      return (shelf?.top ?? 0) - (shelf?.bottom ?? 0)
    }
    expect(faceOf('flat')).toBe(inches(0.75))
    expect(faceOf('edge')).toBe(inches(5.5))
  })

  test('a mid rail runs through between the battens, or lands on them', () => {
    const rails = [
      { id: 'rail-1', use: 'rail', material: 'pine-1x4', lay: 'edge', top: { rule: 'half' } } as const,
    ]
    const counted = (through: 'uprights' | 'rails') => {
      const { pieces } = computePlan(wallOf({}, { rails, through }))
      return {
        rails: pieces.filter(({ stripId }) => stripId === 'rail-1').length,
        battens: pieces.filter(({ role }) => role === 'batten').length,
      }
    }
    const battens = computePlan(wallOf()).layout.uprights.length
    expect(counted('rails')).toEqual({ rails: 1, battens: battens * 2 })
    expect(counted('uprights')).toEqual({ rails: battens + 1, battens })
  })

  test('part of a wall: everything stays within it, and the rest is bare', () => {
    const extent = { left: inches(20), right: inches(90) }
    const { pieces, layout } = computePlan(wallOf({}, { extent, topRail: { material: 'pine-1x4' } }))
    const xs = pieces.flatMap(({ polygon }) => polygon.map(({ x }) => x))
    expect(Math.min(...xs)).toBe(inches(20))
    expect(Math.max(...xs)).toBe(inches(90))
    expect(layout.placement?.span).toBe(inches(70))
  })
})
