import { inches } from '~/length'
import { STARTING_JUDGEMENT, inForce } from '~/model'
import { thing, wallOf } from '../../../tests/namedWalls'
import { layOut } from '../layout/layOutWall'
import { barredFor, hitsOf, leastClearance, thingsHit } from './barred'

const outlet = thing('outlet', 40, 12, 2.75, 4.5)
const window = thing('window', 80, 36, 30, 40, { casing: inches(2) })
const narrow = thing('sideTrim', 20, 0, 1, 60)

function barred(things = [outlet], meets = {}) {
  const { wall, settings } = wallOf(
    { width: inches(160), things },
    { meets, judgement: { ...STARTING_JUDGEMENT, clearance: inches(0.5) } },
  )
  const layout = layOut(wall.survey, inForce(wall.design), settings)
  return barredFor(layout, inForce(wall.design), inches(2.5), { bottom: inches(3), top: inches(60) })
}

const inInches = ({ from, to }: { from: number; to: number }) => [from / inches(1), to / inches(1)]

describe('where the left edge of a strip may not be', () => {
  test('a plate bars its width, a strip and the clearance on both sides', () => {
    // 40 - 2 1/2 - 1/2 to 42 3/4 + 1/2
    expect(barred().map(inInches)).toEqual([[37, 43.25]])
  })

  test('of a wide thing only being half over it is barred; a narrow one bars like a plate without clearance', () => {
    expect(barred([window]).map(inInches)).toEqual([
      [75.5, 78],
      [109.5, 112],
    ])
    expect(barred([narrow]).map(inInches)).toEqual([[17.5, 21]])
  })

  test('what stands above or below the strips, and what is settled already, bars nothing', () => {
    expect(barred([thing('switch', 40, 70, 2.75, 4.5)])).toEqual([])
    expect(barred([outlet], { 'outlet-40': 'notch' })).toEqual([])
    expect(barred([{ ...outlet, fate: 'cutRound' }])).toEqual([])
    // half an inch above the head is within the asked clearance
    expect(barred([thing('switch', 40, 60.25, 2.75, 4.5)])).toHaveLength(1)
  })

  test('hits are counted once a strip, plates apart from the rest; touching the clearance is no hit', () => {
    const bars = barred([outlet, narrow])
    const lefts = [18, 37, 38, 43.25].map(inches)
    expect(hitsOf(lefts, bars)).toEqual({ plates: 1, things: 1 })
    expect(thingsHit(lefts, bars)).toEqual(['outlet-40', 'sideTrim-20'])
    expect(thingsHit([inches(60)], bars)).toEqual([])
  })

  test('the least space to a plate, the asked clearance not counted; negative where a strip lies over it', () => {
    expect((leastClearance([inches(30), inches(50)], barred(), inches(0.5)) ?? 0) / inches(1)).toBe(7.25)
    expect((leastClearance([inches(36.5)], barred(), inches(0.5)) ?? 0) / inches(1)).toBe(1)
    expect(leastClearance([inches(40)], barred(), inches(0.5))).toBeLessThan(0)
    expect(leastClearance([inches(40)], barred([window]), inches(0.5))).toBeNull()
  })
})
