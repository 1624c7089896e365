import fc from 'fast-check'
import { anyMeetingWall, runs } from '../../../tests/anyWall'
import { reading, wallOf } from '../../../tests/namedWalls'
import { inches, toInches } from '~/length'
import { type Design, withDesign } from '~/model'
import { computePlan } from '../computePlan'
import { clipConvex, lineFrom, type Polygon, signedArea } from '../geometry'
import type { Piece } from '../pieces'

const grid = (design: Partial<Design> = {}) =>
  computePlan(
    wallOf(
      { width: inches(120), height: inches(86) },
      {
        pattern: 'grid',
        battenMaterial: 'pine-1x4',
        foot: { kind: 'floor' },
        topRail: null,
        height: { rule: 'full' },
        spacing: { school: 'equalByCount', strips: 4, ends: 'strip' },
        rows: [1, 1, 1],
        through: 'lapped',
        border: 'butt',
        ...design,
      },
    ),
  )
const lapsOf = ({ laps }: Piece) =>
  laps.map(({ from, to, depth, outOf }) => [toInches(from), toInches(to), toInches(depth), outOf])

function commonArea(a: Polygon, b: Polygon): number {
  const common = b.reduce<Polygon>((left, from, i) => {
    const to = b[(i + 1) % b.length]
    return to && left.length > 2 ? clipConvex(left, lineFrom(from, to)) : left
  }, a)
  return common.length > 2 ? Math.abs(signedArea(common)) : 0
}

describe('strips halved over one another', () => {
  // worked by hand: border 3 1/2; two inner stiles and two inner rails of 3 1/2, cells 35 1/3 by 24
  test('inside a butted border rails and stiles run from side to side, the rails over the stiles', () => {
    const { pieces, findings } = grid()
    const stile = pieces.find(({ id }) => id === 'stile-2')
    const rail = pieces.find(({ id }) => id === 'gridRail-2')
    expect([stile, rail].map((piece) => piece && toInches(piece.longLength))).toEqual([79, 113])
    expect(stile && lapsOf(stile)).toEqual([
      [24, 27.5, 0.375, 'face'],
      [51.5, 55, 0.375, 'face'],
    ])
    expect(rail?.laps.map(({ depth, outOf }) => [toInches(depth), outOf])).toEqual([
      [0.375, 'back'],
      [0.375, 'back'],
    ])
    expect(rail?.laps.map(({ to, from }) => toInches(to - from))).toEqual([3.5, 3.5])
    // the border is butted as before, and lying over one another on purpose is no finding
    expect(pieces.filter(({ role }) => role === 'border').every(({ laps }) => laps.length === 0)).toBe(true)
    expect(findings.filter(({ says }) => says.code === 'stripsShareWall')).toEqual([])
    // four stiles, two rails, two of the border: whole, not thirty
    expect(pieces).toHaveLength(8)
  })

  test('alike are those lapped alike: the cut list keeps them apart from the whole ones', () => {
    const { cutList } = grid({ border: 'none', spacing: { school: 'equalByCount', strips: 3, ends: 'gap' } })
    expect(cutList.map(({ pieceIds, laps }) => [pieceIds.length, laps.length])).toEqual([
      [2, 3],
      [3, 2],
    ])
  })

  test('of two thicknesses the faces lie flush: what is left of the one under is what the one over gave up', () => {
    const rails = [
      {
        id: 'mid',
        use: 'rail',
        material: 'pine-1x2',
        lay: 'edge',
        top: { rule: 'typed', value: inches(30) },
      },
    ] as const
    const { pieces, layout } = computePlan(
      wallOf({}, { rails: [...rails], through: 'lapped', battenMaterial: 'pine-1x3' }),
    )
    const thickness = (piece: Piece) => layout.materials.get(piece.materialId)?.thickness ?? NaN
    const [rail] = pieces.filter(({ stripId }) => stripId === 'mid')
    const batten = pieces.find(({ role }) => role === 'batten')
    const [over, under] = [rail?.laps[0], batten?.laps[0]]
    expect([over?.outOf, under?.outOf]).toEqual(['back', 'face'])
    expect(over?.depth).toBe(batten && under ? thickness(batten) - under.depth : NaN)
  })

  test('a shelf and a profile run as before: only plain stuff that lies flat is halved', () => {
    const rail = (use: 'shelf' | 'chairRail' | 'rail', material: string, lay: 'flat' | 'edge') =>
      computePlan(
        wallOf(
          {},
          {
            rails: [{ id: 'mid', use, material, lay, top: { rule: 'typed', value: inches(30) } }],
            through: 'lapped',
          },
        ),
      ).pieces.some(({ laps }) => laps.length > 0)
    expect(rail('rail', 'pine-1x2', 'edge')).toBe(true)
    expect(rail('rail', 'pine-1x2', 'flat')).toBe(false)
    expect(rail('shelf', 'pine-1x4', 'flat')).toBe(false)
    expect(rail('chairRail', 'chair-rail', 'edge')).toBe(false)
  })

  test('law: the card alone says where a lap lies, square or not: what two have in common is what both cards take out', () => {
    fc.assert(
      fc.property(fc.integer({ min: 8, max: 40 }), fc.integer({ min: -4, max: 4 }), (width, fall) => {
        const { pieces } = computePlan(
          wallOf(
            {
              width: inches(100 + width),
              height: inches(96),
              readings: [reading('floorFall', 100 + width, fall)],
            },
            {
              rails: [
                {
                  id: 'mid',
                  use: 'rail',
                  material: 'pine-1x3',
                  lay: 'edge',
                  top: { rule: 'typed', value: inches(30) },
                },
              ],
              levelRule: 'floor',
              through: 'lapped',
            },
          ),
        )
        const lapped = pieces.filter(({ laps }) => laps.length > 0)
        expect(lapped.length).toBeGreaterThan(1)
        for (const piece of lapped)
          for (const { from, to, lean, with: other } of piece.laps) {
            const over = pieces.find(
              ({ stripId, laps }) => stripId === other && laps.some((lap) => lap.with === piece.stripId),
            )
            // a parallelogram as long as it is told, over the whole width
            const told = (to - from) * piece.faceWidth
            const common = over ? commonArea(piece.face, over.face) : NaN
            expect(Math.abs(common / told - 1)).toBeLessThan(1e-6)
            if (fall !== 0) expect(lean).not.toBe(0)
          }
      }),
      { numRuns: 60 },
    )
  })

  test('law: whatever stands on the wall, pieces lie over one another only where both are lapped, and where both are they do', () => {
    const faults = (pieces: readonly Piece[]) =>
      pieces.flatMap((a, i) =>
        pieces.slice(i + 1).flatMap((b) => {
          const lapped = [
            a.laps.some((lap) => lap.with === b.stripId),
            b.laps.some((lap) => lap.with === a.stripId),
          ]
          const area = commonArea(a.face, b.face)
          if (lapped[0] !== lapped[1] && area > 1e13) return [`${a.id} ${b.id}: only one is lapped`]
          return []
        }),
      )
    fc.assert(
      fc.property(anyMeetingWall, ({ wall, settings }) => {
        const plan = computePlan({
          settings,
          wall: { ...wall, design: withDesign(wall.design, { through: 'lapped' }) },
        })
        expect(faults(plan.pieces)).toEqual([])
        for (const piece of plan.pieces)
          for (const { from, to, depth, outOf, with: other } of piece.laps) {
            expect(from >= -2 && to <= piece.longLength + 2 && from < to).toBe(true)
            const thickness = plan.layout.materials.get(piece.materialId)?.thickness ?? 0
            expect(depth > 0 && depth < thickness).toBe(true)
            const across = plan.pieces.filter(({ stripId }) => stripId === other)
            expect(
              across.some((each) =>
                each.laps.some((lap) => lap.with === piece.stripId && lap.outOf !== outOf),
              ),
            ).toBe(true)
          }
      }),
      { numRuns: runs(120) },
    )
  })
})
