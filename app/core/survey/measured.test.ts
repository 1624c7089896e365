import { reading, wallOf } from '../../../tests/namedWalls'
import { toInches } from '~/length'
import type { Reading } from '~/model'
import { measuredSize } from './measured'

const sizeOf = (readings: Reading[]) => {
  const { width, height } = measuredSize(wallOf({ readings }).wall.survey)
  return { width: toInches(width), height: toInches(height) }
}

// worked by hand on a wall typed as 131 by 95
describe('the size of a wall as measured', () => {
  test('without readings it is what was typed', () => {
    expect(sizeOf([])).toEqual({ width: 131, height: 95 })
  })

  test('the least width from floor to ceiling, leans and all', () => {
    expect(sizeOf([reading('width', 4, 131.25), reading('width', 90, 130.75)]).width).toBeCloseTo(130.75, 6)
    expect(sizeOf([reading('width', 4, 130), reading('plumbRight', 95, 0)]).width).toBeCloseTo(130, 6)
  })

  test('the least height from end to end, between a floor and a ceiling that both fall', () => {
    expect(sizeOf([reading('height', 0, 95), reading('height', 131, 94.5)]).height).toBeCloseTo(94.5, 6)
    // the floor falls by 3/4 to the right and so leaves more there, not less
    const fallen = [reading('height', 0, 95), reading('floorFall', 131, 0.75), reading('ceilingFall', 131, 0)]
    expect(sizeOf(fallen).height).toBeCloseTo(95, 6)
  })
})
