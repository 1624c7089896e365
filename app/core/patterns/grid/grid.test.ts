import { inches, toInches } from '~/length'
import type { Design, Survey } from '~/model'
import { keptBase, pieceCounts, reading, wallOf } from '../../../../tests/namedWalls'
import { computePlan } from '../../computePlan'

function gridWall(survey: Partial<Survey>, design: Partial<Design> = {}) {
  return wallOf(survey, {
    pattern: 'grid',
    battenMaterial: 'pine-1x4',
    foot: survey.baseboard ? { kind: 'baseboard' } : { kind: 'floor' },
    topRail: null,
    height: { rule: 'full' },
    spacing: { school: 'equalByCount', strips: 6, ends: 'strip' },
    rows: [1, 1, 1],
    through: 'uprights',
    ...design,
  })
}

describe('grid', () => {
  // A6, A13: common practice, no source; arithmetic checked by hand.
  test('A13: five by three with strips 3 1/2 and cells 34 x 24 is 191 wide and 86 high', () => {
    const plan = computePlan(gridWall({ width: inches(191), height: inches(86) }))
    expect(plan.layout.placement?.gaps.map(toInches)).toEqual([34, 34, 34, 34, 34])
    expect(plan.layout.bands.map(({ bottom }) => toInches(bottom))).toEqual([0, 27.5, 55, 82.5])
    // stiles through: 6 uprights of 86 and 20 rails of 34
    expect(pieceCounts(plan.pieces)).toEqual({ '86': 6, '34': 20 })
  })

  test('A6: height 120, baseboard 7, four rails 3 1/2, three rows: 33 each', () => {
    const plan = computePlan(gridWall({ width: inches(191), height: inches(120), baseboard: keptBase(7) }))
    const edges = plan.layout.bands.map(({ bottom, top }) => [toInches(bottom), toInches(top)])
    expect(edges).toEqual([
      [7, 10.5],
      [43.5, 47],
      [80, 83.5],
      [116.5, 120],
    ])
  })

  test('rails through: the border over its stiles, rails between the side stiles, stiles between rails', () => {
    const plan = computePlan(gridWall({ width: inches(191), height: inches(86) }, { through: 'rails' }))
    expect(pieceCounts(plan.pieces)).toEqual({ '191': 2, '79': 2, '184': 2, '24': 12 })
  })

  test('on a wall longer than the stock the stiles run through, on a shorter one the rails', () => {
    const byStock = (width: number) =>
      computePlan(gridWall({ width: inches(width), height: inches(86) }, { through: 'byStock' })).layout
        .uprightsThrough
    expect(byStock(230)).toBe(true)
    expect(byStock(180)).toBe(false)
  })

  test('a mitered border is four long sides, and all else lands inside it', () => {
    const plan = computePlan(
      gridWall({ width: inches(120), height: inches(86) }, { border: 'miter', through: 'rails' }),
    )
    const border = plan.pieces.filter(({ role }) => role === 'border')
    expect(border.map(({ longLength }) => toInches(longLength)).sort((a, b) => a - b)).toEqual([
      86, 86, 120, 120,
    ])
    expect(border.every(({ start }) => start.kind === 'miter')).toBe(true)
    const rails = plan.pieces.filter(({ role }) => role === 'rail')
    expect(rails.map(({ longLength }) => toInches(longLength))).toEqual([113, 113])
  })

  test('a mitered border along a floor that falls: its corners are halved as they are', () => {
    const plan = computePlan(
      gridWall(
        { width: inches(120), height: inches(86), readings: [reading('floorFall', 120, 4)] },
        { border: 'miter', levelRule: 'floor', height: { rule: 'typed', value: inches(70) } },
      ),
    )
    const low = plan.pieces.find(({ id }) => id === 'border-bottom')
    const tilt = (Math.atan(4 / 120) * 180) / Math.PI
    expect(low?.directionDeg).toBeCloseTo(-tilt, 5)
    // corners of 90 - tilt and 90 + tilt: the saw reads 90 less half of each
    const settings = [low?.start, low?.end].map((cut) => (cut?.kind === 'miter' ? cut.sawSettingDeg : NaN))
    expect(settings.sort((a, b) => a - b)).toEqual([
      expect.closeTo(45 - tilt / 2, 4),
      expect.closeTo(45 + tilt / 2, 4),
    ])
  })

  test('without a border the walls bound the cells', () => {
    const plan = computePlan(
      gridWall(
        { width: inches(120), height: inches(86) },
        { border: 'none', spacing: { school: 'equalByCount', strips: 2, ends: 'gap' } },
      ),
    )
    expect(plan.layout.uprights).toHaveLength(2)
    expect(plan.layout.bands).toHaveLength(2)
    const { gaps, leftEnd } = plan.layout.placement ?? { gaps: [], leftEnd: 0 }
    expect(Math.abs((gaps[0] ?? 0) - leftEnd)).toBeLessThanOrEqual(2)
  })

  test('rows by weights: a bottom row twice as tall', () => {
    const { bands } = computePlan(
      gridWall({ width: inches(191), height: inches(86) }, { rows: [2, 1, 1] }),
    ).layout
    const rows = bands.slice(1).map(({ bottom }, i) => toInches(bottom) - toInches(bands[i]?.top ?? bottom))
    expect(rows).toEqual([36, 18, 18])
  })

  test('rows that do not fit are a finding with a way out', () => {
    const plan = computePlan(
      gridWall({ width: inches(191), height: inches(30) }, { rows: Array<number>(12).fill(1) }),
    )
    const finding = plan.findings.find(({ says }) => says.code === 'rowsTooMany')
    expect(finding?.waysOut[0]?.says).toEqual({ code: 'rows', rows: 1 })
  })
})
