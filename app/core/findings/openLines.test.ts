import { lineWall, STRIP } from '../../../tests/lineWalls'
import { thing } from '../../../tests/namedWalls'
import { inches, type Length } from '~/length'
import type { Move } from '~/model'
import { computePlan } from '../computePlan'
import { movedFrom, type Polygon } from '../geometry'
import type { Notch, Piece } from '../pieces'
import { obstaclesOf } from '../survey/obstacles'
import { openLineFindings } from './openLines'

const slanted: Move = {
  id: 'm1',
  on: true,
  kind: 'diagonals',
  material: STRIP,
  deg: 30,
  clear: inches(21),
  start: 'center',
  where: 'field',
}
const wall = lineWall(70, 50, [slanted], { border: 'miter' })
const plan = computePlan(wall)
const lines = plan.pieces.filter(({ role }) => role === 'line')
const [longest] = [...lines].sort((a, b) => b.longLength - a.longLength)
if (!longest) throw new Error('no line')
const piece: Piece = longest
const strip = plan.layout.strips.find(({ id }) => id === piece.stripId)
if (!strip) throw new Error('no strip')

const u = { x: Math.cos(Math.PI / 6), y: Math.sin(Math.PI / 6) }
/** How far from the strip's center point its piece begins, along it. */
const zero = Math.min(
  ...piece.face.map(({ x, y }) => (x - strip.center.x) * u.x + (y - strip.center.y) * u.y),
)
const at = (x: number, y: number) => movedFrom(strip.center, strip.directionDeg, zero + inches(x), inches(y))
/** A rectangle along the strip, from where its piece begins: how far along, and how far to its left, in inches. */
const along = (from: number, to: number, right: number, left: number): Polygon => {
  return [at(from, right), at(to, right), at(to, left), at(from, left)]
}
/** What is told where the longest line has these faces instead of its own, and those things lie on the wall. */
const told = (faces: readonly Polygon[], things: readonly Polygon[] = [], fit?: Length) => {
  const rest = plan.pieces.filter((each) => each !== piece)
  const settings = { ...wall.settings, ...(fit === undefined ? {} : { fit }) }
  const [outlet] = obstaclesOf({
    ...wall.wall.survey,
    things: [thing('outlet', 2, 2, 2.75, 4.5)],
  })
  if (!outlet) throw new Error('no outlet')
  const layout = { ...plan.layout, obstacles: things.map((outline) => ({ ...outlet, outline })) }
  return openLineFindings({ ...wall, settings }, layout, [
    ...rest,
    ...faces.map((face) => ({ ...piece, face })),
  ])
}
const gapOf = (findings: ReturnType<typeof told>) => {
  const [finding] = findings
  if (!finding) return null
  if (finding.says.code !== 'lineOpen') throw new Error(finding.says.code)
  expect(finding.says.stripId).toBe(piece.stripId)
  expect(finding.stripIds).toEqual([piece.stripId])
  return { gap: finding.says.gap / inches(1), places: finding.says.places }
}

// worked by hand: a strip 2 wide, of which parts are left out; how wide a hole is at its widest is its width, or twice its area over its reach
describe('what struck lines leave open', () => {
  const before = along(-9, 20, -1, 1)
  const after = along(23, 150, -1, 1)

  test('nothing where its faces fill it', () => {
    expect(told([piece.face])).toEqual([])
    expect(told([along(-9, 150, -1, 1)])).toEqual([])
  })

  test('a piece of it that lacks, 3 along and 2 across, is 2 wide', () => {
    expect(gapOf(told([before, after]))).toEqual({ gap: 2, places: 1 })
  })

  test('shorter than it is wide it is as wide as it is long', () => {
    expect(gapOf(told([along(-9, 22, -1, 1), after]))?.gap).toBeCloseTo(1, 6)
  })

  test('a corner of 3 by 2 that lacks is as wide as its height over its longest side, 6 / 13 ^ 1/2', () => {
    const cut: Polygon = [at(-9, -1), at(20, -1), at(23, 1), at(-9, 1)]
    expect(gapOf(told([cut, after]))?.gap).toBeCloseTo(6 / Math.sqrt(13), 6)
  })

  test('two places of one strip are two, and the wider is said', () => {
    expect(gapOf(told([before, along(23, 40, -1, 1), along(40.5, 150, -1, 1)]))).toEqual({
      gap: 2,
      places: 2,
    })
  })

  test('what lies in the hole fills it, as far as it reaches', () => {
    expect(told([before, after], [along(20, 23, -1, 1)])).toEqual([])
    expect(gapOf(told([before, after], [along(20, 23, -1, 0.5)]))?.gap).toBeCloseTo(0.5, 6)
    // and a thing elsewhere fills nothing
    expect(gapOf(told([before, after], [along(20, 23, 5, 7)]))?.gap).toBe(2)
  })

  test('a gap that fitting takes up is not told', () => {
    const hair = [along(-9, 20, -1, 1), along(20.05, 150, -1, 1)]
    expect(told(hair, [], inches(0.06))).toEqual([])
    expect(gapOf(told(hair, [], inches(0.04)))?.gap).toBeCloseTo(0.05, 6)
  })

  describe('a notch larger than what stands in it', () => {
    const notched = (notch: Notch, things: readonly Polygon[] = []) => {
      const own = { ...piece, notches: [notch] }
      const [outlet] = obstaclesOf({ ...wall.wall.survey, things: [thing('outlet', 2, 2, 2.75, 4.5)] })
      if (!outlet) throw new Error('no outlet')
      return openLineFindings(
        wall,
        { ...plan.layout, obstacles: things.map((outline) => ({ ...outlet, outline })) },
        [...plan.pieces.filter((each) => each !== piece), own],
      )
    }
    const notch = (from: number, to: number, depth: number, edge: 'left' | 'right'): Notch => ({
      from: inches(from),
      to: inches(to),
      depth: inches(depth),
      edge,
    })

    test.each(['left', 'right'] as const)('4 by 3/4 at the %s edge with nothing in it', (edge) => {
      expect(gapOf(notched(notch(20, 24, 0.75, edge)))?.gap).toBeCloseTo(0.75, 6)
    })

    test.each([
      ['left', 0.25, 1],
      ['right', -1, -0.25],
    ] as const)('what fills it at the %s edge', (edge, right, left) => {
      const fills = along(20, 24, right, left)
      expect(notched(notch(20, 24, 0.75, edge), [fills])).toEqual([])
      // the same thing at the other edge leaves it open
      const other = edge === 'left' ? ('right' as const) : ('left' as const)
      expect(gapOf(notched(notch(20, 24, 0.75, other), [fills]))?.gap).toBeCloseTo(0.75, 6)
      // half as long it leaves a half of it
      const half = along(20, 23.5, right, left)
      expect(gapOf(notched(notch(20, 24, 0.75, edge), [half]))?.gap).toBeCloseTo(0.5, 6)
    })

    test('what lies past the end of the piece is no hole', () => {
      expect(notched(notch(-9, -1, 0.75, 'left'))).toEqual([])
    })
  })
})
