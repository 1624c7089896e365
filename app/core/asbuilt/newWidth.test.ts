import { inches, toInches } from '~/length'
import { pieceCounts, reading, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import { placeStrips } from '../spacing'
import { newWidthWays } from './newWidth'

/** The first reading and, where the wall was read again, the second. */
function gridOf(...widths: number[]) {
  return wallOf(
    {
      width: inches(216),
      height: inches(113),
      readings: widths.map((width, i) => ({ ...reading('width', 40, width), id: `w${i + 1}` })),
    },
    {
      pattern: 'grid',
      battenMaterial: 'pine-1x4',
      foot: { kind: 'floor' },
      topRail: null,
      height: { rule: 'full' },
      spacing: { school: 'equalByCount', strips: 6, ends: 'strip' },
      rows: [1, 1, 1],
      through: 'uprights',
    },
  )
}

// A4 and A5: common practice, no source; arithmetic checked by hand.
describe('a wall found an inch wider after its rails were cut', () => {
  test('A3, A5: at 216 the five by four set of rails is 20 of 39', () => {
    expect(pieceCounts(computePlan(gridOf(216)).pieces)).toMatchObject({ '39': 20 })
  })

  test('A5: even everywhere 20 to recut, all in one bay 4, half in each end bay 8, at the ends none', () => {
    const finding = computePlan(gridOf(216, 217)).findings.find(({ says }) => says.code === 'widthChanged')
    expect(finding?.says).toMatchObject({ before: inches(216), now: inches(217), pieces: 20 })
    const recuts = finding?.waysOut.map(({ says }) =>
      says.code === 'takeUp' ? [says.uptake, says.recut] : [],
    )
    expect(recuts).toEqual([
      ['even', 20],
      ['oneBay', 4],
      ['endBays', 8],
      ['ends', 0],
    ])
  })

  test('A4: even is 39 1/5 in each bay, all in the middle is 39 39 40 39 39; each way closes on the wall', () => {
    const workpiece = gridOf(216, 217)
    const finding = computePlan(workpiece).findings.find(({ says }) => says.code === 'widthChanged')
    const gapsBy = Object.fromEntries(
      (finding?.waysOut ?? []).map(({ says, edits }) => {
        const after = computePlan(applyEdits(workpiece, edits))
        expect(after.closing?.difference).toBe(0)
        return [says.code === 'takeUp' ? says.uptake : '', after.layout.placement?.gaps.map(toInches)]
      }),
    )
    expect(gapsBy.even).toEqual([39.2, 39.2, 39.2, 39.2, 39.2])
    expect(gapsBy.oneBay).toEqual([39, 39, 40, 39, 39])
    expect(gapsBy.endBays).toEqual([39.5, 39, 39, 39, 39.5])
    expect(gapsBy.ends).toEqual([39, 39, 39, 39, 39])
  })

  test('a wall that shrank has nothing to hide at its ends; one that stayed has nothing to take up', () => {
    const placed = placeStrips({ school: 'equalByCount', strips: 4, ends: 'strip' }, inches(100), inches(2))
    if (!placed.ok) throw new Error('no placement')
    expect(newWidthWays(placed.value, -inches(1)).map(({ uptake }) => uptake)).toEqual([
      'even',
      'oneBay',
      'endBays',
    ])
    expect(newWidthWays(placed.value, 0)).toEqual([])
    expect(computePlan(gridOf(216)).findings.some(({ says }) => says.code === 'widthChanged')).toBe(false)
  })
})
