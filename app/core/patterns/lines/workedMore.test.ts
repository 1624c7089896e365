import { inches } from '~/length'
import { inForce } from '~/model'
import { lineWall, STRIP } from '../../../../tests/lineWalls'
import { area, base, edges, lines, long, saw, short, strike } from '../../../../tests/linePieces'
import { computePlan } from '../../computePlan'
import type { Piece } from '../../pieces'

// E9 to E13: trigonometry, checked by polygon clipping
describe('worked lines that hang on one another', () => {
  test('E9: a line, one that leaves it at an angle, one square off it', () => {
    const found = lines(80, 50, [
      strike({
        id: 'm1',
        material: 'pine-1x3',
        from: { at: 'side', side: 'bottom', along: { by: 'distance', from: 'start', distance: inches(20) } },
        heading: { to: 'angle', deg: 60 },
        lies: 'left',
      }),
      strike({
        id: 'm2',
        material: 'pine-1x3',
        from: {
          at: 'strip',
          strip: 'm1.1',
          edge: 'right',
          along: { by: 'distance', from: 'start', distance: inches(12 / Math.sin(Math.PI / 3)) },
        },
        heading: { to: 'angle', deg: 30 },
        lies: 'left',
        until: { kind: 'hit' },
      }),
      strike({
        id: 'm3',
        material: 'pine-1x3',
        from: {
          at: 'strip',
          strip: 'm1.1',
          edge: 'right',
          along: { by: 'distance', from: 'start', distance: inches(24) },
        },
        heading: { to: 'square', strip: 'm1.1', side: 'left' },
        until: { kind: 'hit' },
      }),
    ])
    const [a, b, c] = found as [Piece, Piece, Piece]
    expect([edges(a).lower, edges(a).upper, long(a)]).toEqual([
      expect.closeTo(57.735027, 5),
      expect.closeTo(57.735027, 5),
      expect.closeTo(59.178403, 5),
    ])
    expect([edges(b).lower, edges(b).upper, long(b), saw(b.start), saw(b.end)]).toEqual([
      expect.closeTo(61.282032, 4),
      expect.closeTo(58.395281, 4),
      expect.closeTo(62.725408, 4),
      expect.closeTo(60, 4),
      expect.closeTo(30, 4),
    ])
    expect([short(c), long(c), saw(c.start), saw(c.end)]).toEqual([
      expect.closeTo(33.728729, 4),
      expect.closeTo(35.172105, 4),
      expect.closeTo(0, 4),
      expect.closeTo(30, 4),
    ])
  })

  test('E11: a branch square off a main strip, until the side', () => {
    const [main, branch] = lines(90, 90, [
      strike({ id: 'm1', material: 'three' }),
      {
        ...base,
        id: 'm2',
        kind: 'branch',
        off: 'm1.1',
        along: { by: 'distance', from: 'start', distance: inches(30) },
        side: 'left',
        deg: 90,
        until: { kind: 'hit' },
      },
    ]) as [Piece, Piece]
    expect(main.start.kind).toBe('twoCuts')
    const onSide = branch.polygon.filter(({ x }) => x < 2).map(({ y }) => y / inches(1))
    expect([Math.min(...onSide), Math.max(...onSide)]).toEqual([
      expect.closeTo(41.012193, 4),
      expect.closeTo(43.84062, 4),
    ])
    expect([saw(branch.start), saw(branch.end)]).toEqual([expect.closeTo(0, 4), expect.closeTo(45, 4)])
    expect([short(branch), long(branch)]).toEqual([expect.closeTo(27.5, 4), expect.closeTo(29.5, 4)])
  })

  test('E13: a border and both diagonals of its inside: the first runs through', () => {
    const corner = (at: 'bottomLeft' | 'bottomRight', to: 'topRight' | 'topLeft', id: string) =>
      strike({
        id,
        from: { at: 'corner', corner: at },
        heading: { to: 'point', point: { at: 'corner', corner: to }, edge: 'same' },
      })
    const plan = computePlan(
      lineWall(52, 40, [corner('bottomLeft', 'topRight', 'm1'), corner('bottomRight', 'topLeft', 'm2')], {
        border: 'miter',
        battenMaterial: STRIP,
      }),
    )
    const found = plan.pieces.filter(({ role }) => role === 'line')
    expect(found).toHaveLength(3)
    expect(area(plan.pieces.filter(({ role }) => role === 'border'))).toBeCloseTo(352, 3)
    expect(area(plan.pieces)).toBeCloseTo(583 + 2 / 3, 3)
    expect(area(found.slice(0, 1))).toBeCloseTo(117 + 11 / 12, 3)
    for (const half of found.slice(1)) {
      expect(area([half])).toBeCloseTo(56 + 7 / 8, 3)
      const settings = [half.start, half.end].map(saw)
      expect(settings).toContainEqual(expect.closeTo(16.260205, 4))
    }
  })

  test('E10: a diagonal longer than the stock, joined in the four ways', () => {
    const square = strike({
      from: { at: 'free', from: 'left', across: inches(10), up: inches(10) },
      until: { kind: 'length', length: inches(150) },
      material: 'pine-1x3',
    })
    const joined = (railJoint: 'butt' | 'miter' | 'miterHalf' | 'scarf') => {
      const wall = lineWall(200, 200, [square], { railJoint }, 96)
      // worked with boards used to their ends: nothing is left on to creep up with
      const { settings } = wall
      const shop = { ...settings.shop, allowance: inches(0) }
      const { pieces: all } = computePlan({ ...wall, settings: { ...settings, shop } })
      const pieces = all.filter(({ role }) => role === 'line')
      return [pieces.length, ...pieces.map(({ cutLength }) => cutLength / inches(1))]
    }
    expect(joined('butt')).toEqual([2, expect.closeTo(96, 5), expect.closeTo(54, 5)])
    expect(joined('miter')).toEqual([2, expect.closeTo(96, 5), expect.closeTo(56.5, 5)])
    expect(joined('miterHalf')).toEqual([2, expect.closeTo(96, 5), expect.closeTo(55.035534, 5)])
    expect(joined('scarf')).toEqual([2, expect.closeTo(96, 5), expect.closeTo(54.75, 5)])
  })

  test('a document keeps a list as it was, moves that miss something and all', () => {
    const wall = lineWall(100, 70, [
      strike({ from: { at: 'strip', strip: 'gone.1', edge: 'left', along: { by: 'mark', mark: 2, of: 5 } } }),
    ])
    expect(inForce(wall.wall.design).lines.moves).toHaveLength(1)
  })
})
