import { inches } from '~/length'
import type { Backer } from '~/model'
import { seamPlaces } from './seamPlaces'

const backer = (seams: Backer['seams'], gap = 0): Backer => ({
  sheet: 'ply',
  seams,
  gap: inches(gap),
  round: inches(0),
  from: inches(0),
  to: null,
})
const at = (
  length: number,
  seams: Backer['seams'],
  studs: number[],
  covers: [number, number][] = [],
  gap = 0,
) => {
  const found = seamPlaces(
    0,
    inches(length),
    inches(48),
    backer(seams, gap),
    studs.map(inches),
    covers.map(([from, to]) => ({ from: inches(from), to: inches(to) })),
  )
  return { at: found.at.map((each) => each / inches(1)), filler: found.filler }
}

// worked by hand: sheets of 48 along a wall, studs every 16 from 16 unless said otherwise
describe('seams of sheets', () => {
  test('one sheet has none, and a wall of two and a bit a filler at the end whose seam has a stud', () => {
    expect(at(48, 'studs', [16, 32])).toEqual({ at: [], filler: null })
    expect(at(100, 'studs', [16, 32, 48, 64, 80, 96])).toEqual({ at: [48, 96], filler: 'last' })
    expect(at(100, 'studs', [4, 20, 36, 52, 68, 84, 100])).toEqual({ at: [4, 52], filler: 'first' })
  })

  test('no filler where its seam has nothing behind it: two halves that meet on a stud', () => {
    const { at: places, filler } = at(100, 'studs', [10, 26, 42, 58, 74, 90])
    expect(filler).toBeNull()
    for (const place of places) expect([10, 26, 42, 58, 74, 90]).toContain(place)
  })

  test('whole sheets as far as they go are whole, whatever is behind them, and the last is what is left', () => {
    expect(at(130, 'sheets', [10, 26, 42, 58])).toEqual({ at: [48, 96], filler: null })
    expect(at(100, 'sheets', [10, 26, 42, 58, 74, 90])).toMatchObject({ at: [48, 96], filler: 'last' })
  })

  test('of two fillers the one whose seams a strip covers', () => {
    expect(
      at(
        100,
        'sheets',
        [],
        [
          [3, 5],
          [51, 53],
        ],
      ),
    ).toEqual({ at: [4, 52], filler: 'first' })
    expect(
      at(
        100,
        'sheets',
        [],
        [
          [47, 49],
          [95, 97],
        ],
      ),
    ).toEqual({ at: [48, 96], filler: 'last' })
  })

  test('seams lie in the middle of the gap between two sheets', () => {
    expect(at(130, 'sheets', [], [], 0.125).at).toEqual([48.0625, 96.1875])
  })
})
