import { inches } from '~/length'
import { NOT_WALKED } from '~/model'
import { reading, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { sawAdvice } from './batch'
import { fixingOf, longestNail } from './fixing'

test('C10, NFPA 70 300.4(D): strip 3/4 + wallboard 1/2 + 1 1/4 behind the stud’s face is 2 1/2', () => {
  expect(longestNail(inches(0.75), inches(0.5))).toBe(inches(2.5))
})

describe('fixing', () => {
  const fix = (
    survey: Parameters<typeof wallOf>[0],
    design: Parameters<typeof wallOf>[1] = {},
    id = 'batten-1',
  ) => {
    const workpiece = wallOf(survey, design)
    const piece = computePlan(workpiece).pieces.find((each) => each.id === id)
    const material = workpiece.settings.materials.find(({ id: m }) => m === piece?.materialId)
    if (!piece || !material) throw new Error('no piece')
    return fixingOf(piece, material, workpiece)
  }
  const behind = { studs: [16, 32, 48, 64, 80, 96, 112].map(inches), wallboard: inches(0.5), keepOuts: [] }

  test('rails cross the studs: nails; a batten between them: nails and glue', () => {
    expect(fix({ behind }, {}, 'topRail')).toMatchObject({
      fixing: 'nails',
      why: 'onStuds',
      studs: 7,
      nail: inches(2),
    })
    expect(fix({ behind })).toMatchObject({ fixing: 'nailsAndGlue', why: 'offStuds', studs: 0 })
  })

  test('no stud known: crossed nails; light: dabs; rented: nothing that tears; chosen: as chosen', () => {
    expect(fix({}).fixing).toBe('crossedNails')
    expect(fix({}, { battenMaterial: 'lattice' })).toMatchObject({ fixing: 'dabs', nail: inches(0.75) })
    expect(fix({ behind, walkRound: { ...NOT_WALKED, holder: 'renter' } }).fixing).toBe('removable')
    expect(fix({ behind }, { fixing: 'dabs' })).toMatchObject({ fixing: 'dabs', why: 'chosen' })
  })

  test('along a keep-out nothing is driven', () => {
    const keepOuts = [{ id: 'k', left: inches(10), bottom: inches(0), width: inches(15), height: inches(95) }]
    expect(fix({ behind: { ...behind, keepOuts } })).toMatchObject({
      fixing: 'adhesiveOnly',
      why: 'keepOut',
      nail: null,
    })
  })

  test('no proposed nail is longer than the longest safe one', () => {
    for (const wallboard of [0, 0.25, 0.5, 0.625, 1])
      for (const battenMaterial of ['lattice', 'mdf-half', 'pine-1x3']) {
        const advice = fix(
          { behind: { ...behind, wallboard: inches(wallboard) } },
          { battenMaterial, fixing: 'nails' },
        )
        expect(advice.nail ?? 0).toBeLessThanOrEqual(advice.longestNail)
      }
  })
})

describe('may I batch?', () => {
  const advise = (
    survey: Parameters<typeof wallOf>[0],
    design: Parameters<typeof wallOf>[1],
    role: string,
  ) => {
    const workpiece = wallOf(survey, design)
    const plan = computePlan(workpiece)
    const row = plan.cutList.find((each) => each.role === role)
    if (!row) throw new Error('no row')
    return sawAdvice(plan, workpiece).of(row)
  }
  const onFloor = { foot: { kind: 'floor' } } as const

  test('battens between two rails: batch, once the height they hang on was measured twice', () => {
    expect(advise({}, {}, 'batten')).toMatchObject({ advice: 'measureInPlace', why: 'heightOnce' })
    const twice = { readings: [reading('height', 0, 95), reading('height', 131, 95)] }
    expect(advise(twice, {}, 'batten')).toMatchObject({ advice: 'batch', why: 'betweenStrips' })
  })

  test('read at too few places: measure in place', () => {
    expect(advise({}, onFloor, 'batten').why).toBe('readTooSeldom')
    expect(advise({ readings: [reading('width', 5, 131)] }, {}, 'topRail').why).toBe('readTooSeldom')
  })

  test('readings that agree within 1/16: batch; that differ: measure in place; by much: scribe', () => {
    const widths = (a: number, b: number) => ({ readings: [reading('width', 5, a), reading('width', 80, b)] })
    expect(advise(widths(131, 131.0625), {}, 'topRail')).toMatchObject({
      advice: 'batch',
      spread: inches(1 / 16),
    })
    expect(advise(widths(131, 131.125), {}, 'topRail').advice).toBe('measureInPlace')
    expect(advise(widths(131, 131.75), {}, 'topRail').advice).toBe('scribe')
  })
})

describe('batch goes by what a piece really ends at', () => {
  const adviceOf = (
    survey: Parameters<typeof wallOf>[0],
    design: Parameters<typeof wallOf>[1],
    id: string,
  ) => {
    const workpiece = wallOf(survey, design)
    const plan = computePlan(workpiece)
    const row = plan.cutList.find(({ pieceIds }) => pieceIds.includes(id))
    if (!row) throw new Error(`no ${id} in ${plan.pieces.map((piece) => piece.id).join(' ')}`)
    return sawAdvice(plan, workpiece).of(row)
  }
  const grid = { pattern: 'grid', topRail: null, height: { rule: 'full' }, foot: { kind: 'floor' } } as const
  const untrue = {
    readings: [
      reading('height', 0, 95),
      reading('height', 131, 95.5),
      reading('width', 5, 131),
      reading('width', 90, 130.5),
      reading('floorFall', 131, 0),
    ],
  }
  const trueWall = {
    readings: [
      reading('height', 0, 95),
      reading('height', 131, 95),
      reading('width', 5, 131),
      reading('width', 90, 131),
      reading('floorFall', 131, 0),
    ],
  }

  test('stiles from floor to ceiling: measured on an untrue wall and where nothing was read, else batched', () => {
    const stiles = { ...grid, through: 'uprights', border: 'butt' } as const
    expect(adviceOf(untrue, stiles, 'stile-2')).toMatchObject({
      advice: 'measureInPlace',
      why: 'readingsDiffer',
    })
    expect(adviceOf({}, stiles, 'stile-2').why).toBe('readTooSeldom')
    expect(adviceOf(trueWall, stiles, 'stile-2').advice).toBe('batch')
  })

  test('the sides of a mitered border, upright and level', () => {
    const mitered = { ...grid, border: 'miter' } as const
    for (const id of ['border-left', 'border-top']) {
      expect(adviceOf(untrue, mitered, id)).toMatchObject({
        advice: 'measureInPlace',
        why: 'readingsDiffer',
        spread: inches(0.5),
      })
      expect(adviceOf({}, mitered, id).why).toBe('readTooSeldom')
      expect(adviceOf(trueWall, mitered, id)).toMatchObject({ advice: 'batch', why: 'readingsAgree' })
    }
    // the rails between its stiles hang on marks alone
    expect(adviceOf(untrue, mitered, 'gridRail-2')).toMatchObject({ advice: 'batch', why: 'betweenStrips' })
  })

  test('box sides: level ones hang on the width, upright ones on what bounds their row', () => {
    const boxes = {
      pattern: 'boxes',
      topRail: { material: 'chair-rail' },
      height: { rule: 'third' },
    } as const
    expect(adviceOf(untrue, boxes, 'box-1-top').why).toBe('readingsDiffer')
    expect(adviceOf({}, boxes, 'box-1-top').why).toBe('readTooSeldom')
    expect(adviceOf(untrue, boxes, 'box-1-left')).toMatchObject({ advice: 'batch', why: 'betweenStrips' })
    const onFloor = { ...boxes, foot: { kind: 'floor' } } as const
    expect(adviceOf({}, onFloor, 'box-1-left').why).toBe('readTooSeldom')
    expect(adviceOf(trueWall, onFloor, 'box-1-left').advice).toBe('batch')
  })

  test('widths may be known by one width and both leans, heights by one height and a fall', () => {
    const leans = {
      readings: [reading('width', 5, 131), reading('plumbLeft', 90, 0), reading('plumbRight', 90, 0.5)],
    }
    expect(adviceOf(leans, {}, 'topRail')).toMatchObject({ advice: 'measureInPlace', why: 'readingsDiffer' })
    const half = { readings: leans.readings.slice(0, 2) }
    expect(adviceOf(half, {}, 'topRail').why).toBe('readTooSeldom')
    const fall = {
      readings: [reading('height', 0, 95), reading('ceilingFall', 131, 0.25), reading('floorFall', 131, 0)],
    }
    expect(adviceOf(fall, { ...grid, border: 'miter' }, 'border-right')).toMatchObject({
      why: 'readingsDiffer',
    })
  })
})
