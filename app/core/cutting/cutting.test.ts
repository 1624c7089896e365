import { inches } from '~/length'
import { NOT_WALKED } from '~/model'
import { reading, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { batchAdvice } from './batch'
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
    expect(fix({}, { battenMaterial: 'lattice' })).toMatchObject({ fixing: 'dabs', nail: null })
    expect(fix({ behind, walkRound: { ...NOT_WALKED, holder: 'renter' } }).fixing).toBe('removable')
    expect(fix({ behind }, { fixing: 'dabs' })).toMatchObject({ fixing: 'dabs', why: 'chosen' })
  })

  test('along a keep-out nothing is driven', () => {
    const keepOuts = [{ id: 'k', left: inches(10), bottom: inches(0), width: inches(15), height: inches(95) }]
    expect(fix({ behind: { ...behind, keepOuts } })).toMatchObject({
      fixing: 'dabs',
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
    return batchAdvice(row, plan.pieces, workpiece)
  }
  const onFloor = { foot: { kind: 'floor' } } as const

  test('battens between two rails: batch', () => {
    expect(advise({}, {}, 'batten')).toMatchObject({ advice: 'batch', why: 'betweenRails' })
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
