import fc from 'fast-check'
import { inches, toInches } from '~/length'
import { FIXINGS, NOT_WALKED, type Workpiece, withDesign } from '~/model'
import { anyMeetingWall, runs } from '../../../tests/anyWall'
import { thing, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { stuffOf } from '../layout/returning'
import { boundsOf, isInside } from '../geometry'
import { keepOutsOf } from '../survey/keepOuts'
import { fixingOf, longestNail, rowFixings, standsUp } from './fixing'

const studs = [16, 32, 48, 64, 80, 96, 112].map(inches)
const behind = { studs, wallboard: inches(0.5), keepOuts: [] }

function adviceOn(workpiece: Workpiece, id: string) {
  const piece = computePlan(workpiece).pieces.find((each) => each.id === id)
  const material = workpiece.settings.materials.find((each) => each.id === piece?.materialId)
  if (!piece || !material) throw new Error(`no ${id}`)
  return fixingOf(piece, material, workpiece)
}

describe('a caution that can hurt: nothing is driven over a keep-out', () => {
  test('law: wherever a piece lies over one, either nothing is driven or the stretch is named', () => {
    fc.assert(
      fc.property(anyMeetingWall, fc.constantFrom('proposed' as const, ...FIXINGS), (wall, fixing) => {
        const workpiece = {
          ...wall,
          wall: { ...wall.wall, design: withDesign(wall.wall.design, { fixing }) },
        }
        const { pieces } = computePlan(workpiece)
        const outlines = keepOutsOf(workpiece.wall.survey).map(({ outline }) => boundsOf(outline))
        for (const piece of pieces) {
          const material = stuffOf(piece, workpiece)
          if (!material) throw new Error('no material')
          const advice = fixingOf(piece, material, workpiece)
          expect(advice.nail ?? 0).toBeLessThanOrEqual(longestNail(material.thickness, inches(0.5)))
          if (advice.nail === null) continue
          const face = boundsOf(piece.polygon)
          const up = face.top - face.bottom > face.right - face.left
          for (let i = 0; i <= 20; i++)
            for (let k = 0; k <= 4; k++) {
              const x = face.left + (face.right - face.left) * (up ? k / 4 : i / 20)
              const y = face.bottom + (face.top - face.bottom) * (up ? i / 20 : k / 4)
              if (!outlines.some((o) => x > o.left && x < o.right && y > o.bottom && y < o.top)) continue
              // of a slanted piece only what it covers itself
              if (!isInside({ x, y }, piece.polygon)) continue
              const along = standsUp(piece) ? y : x
              expect(advice.clearOf.some(({ from, to }) => along >= from && along <= to)).toBe(true)
            }
        }
      }),
      { numRuns: runs(150) },
    )
  })

  test('a rail over a cable: nails, but not there; its studs there do not count', () => {
    const switchAt = thing('switch', 46, 76, 4, 4.5)
    const advice = adviceOn(wallOf({ behind, things: [switchAt] }), 'topRail')
    expect(advice).toMatchObject({ fixing: 'nails', studs: 6 })
    expect(advice.clearOf).toEqual([{ from: inches(46), to: inches(50) }])
  })

  test('a batten over a cable for its whole height: adhesive alone, whatever was chosen', () => {
    const over = { behind, things: [thing('outlet', 15, 80, 3, 4.5)] }
    const [batten] = computePlan(wallOf(over)).layout.uprights
    expect(toInches(batten?.left ?? 0)).toBeLessThan(18)
    expect(adviceOn(wallOf(over), 'batten-1')).toMatchObject({
      fixing: 'adhesiveOnly',
      why: 'keepOut',
      nail: null,
    })
    for (const fixing of ['nails', 'nailsAndGlue', 'dabs', 'crossedNails', 'pinsAndGlue'] as const)
      expect(adviceOn(wallOf(over, { fixing }), 'batten-1')).toMatchObject({
        fixing: 'adhesiveOnly',
        nail: null,
      })
    expect(adviceOn(wallOf(over, { fixing: 'hotGlue' }), 'batten-1')).toMatchObject({
      fixing: 'hotGlue',
      why: 'chosen',
    })
  })

  test('over a keep-out for a part of its height: nailed above and below it', () => {
    const keepOuts = [
      { id: 'k', left: inches(10), bottom: inches(20), width: inches(15), height: inches(12) },
    ]
    const advice = adviceOn(wallOf({ behind: { ...behind, keepOuts } }), 'batten-1')
    expect(advice.fixing).toBe('nailsAndGlue')
    expect(advice.clearOf).toEqual([{ from: inches(20), to: inches(32) }])
  })

  test('two keep-outs that overlap are one stretch; one that only touches is none', () => {
    const k = (id: string, left: number, width: number) => ({
      id,
      left: inches(left),
      bottom: inches(0),
      width: inches(width),
      height: inches(95),
    })
    const advice = adviceOn(
      wallOf({ behind: { ...behind, keepOuts: [k('a', 60, 4), k('b', 62, 8), k('c', 131, 5)] } }),
      'topRail',
    )
    expect(advice.clearOf).toEqual([{ from: inches(60), to: inches(70) }])
    expect(advice.studs).toBe(6)
  })
})

describe('how pieces of one row go on', () => {
  test('equal battens of which one lies over a cable are told apart', () => {
    const workpiece = wallOf({ behind, things: [thing('outlet', 15, 80, 3, 4.5)] })
    const { cutList, pieces } = computePlan(workpiece)
    const row = cutList.find(({ role }) => role === 'batten')
    if (!row) throw new Error('no row')
    const groups = rowFixings(row, pieces, workpiece)
    expect(groups.map(({ advice, pieceIds }) => [advice.fixing, pieceIds.length])).toEqual([
      ['adhesiveOnly', 1],
      ['nailsAndGlue', row.pieceIds.length - 2],
      // one that happens to stand on a stud
      ['nails', 1],
    ])
    expect(groups.flatMap(({ pieceIds }) => pieceIds).sort()).toEqual([...row.pieceIds].sort())
  })

  test('rails of one row may cross more studs or fewer', () => {
    const workpiece = wallOf(
      { behind: { ...behind, studs: [10, 20, 90].map(inches) } },
      {
        pattern: 'grid',
        through: 'uprights',
        topRail: null,
        foot: { kind: 'floor' },
        spacing: { school: 'equalByCount', strips: 3, ends: 'strip' },
      },
    )
    const { cutList, pieces } = computePlan(workpiece)
    const row = cutList.find(({ pieceIds }) => pieceIds.some((id) => id.startsWith('gridRail')))
    const [group] = row ? rowFixings(row, pieces, workpiece) : []
    expect(group?.studs).toEqual([1, 2])
  })

  test('dabs and pins wait with a brad; adhesive, hot glue and tape drive nothing; panel molding of 1/2 is light', () => {
    const plain = (fixing: (typeof FIXINGS)[number]) =>
      adviceOn(wallOf({ behind }, { fixing }), 'batten-1').nail
    expect(plain('dabs')).toBe(inches(1.25))
    expect(plain('pinsAndGlue')).toBe(inches(1.25))
    expect(plain('nails')).toBe(inches(2))
    expect([plain('adhesiveOnly'), plain('hotGlue'), plain('removable')]).toEqual([null, null, null])
    const boxes = wallOf({}, { pattern: 'boxes' })
    expect(adviceOn(boxes, 'box-1-top')).toMatchObject({ fixing: 'dabs', why: 'light', nail: inches(1) })
    const renter = wallOf({ walkRound: { ...NOT_WALKED, holder: 'renter' } }, { fixing: 'proposed' })
    expect(adviceOn(renter, 'batten-1')).toMatchObject({ fixing: 'removable', why: 'renter' })
  })
})
