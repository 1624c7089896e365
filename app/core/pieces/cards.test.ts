import { inches, type Length, toInches } from '~/length'
import { boundsOf, type Line, signedArea } from '../geometry'
import { buildCutList } from './cutList'
import { endCutKey, twoSawSettings } from './endCut'
import { faceFromCard } from './card'
import { sameRecesses } from './sameRecesses'
import { isUpright, type Piece, type PieceSpec, placePiece } from './piece'

const spec = (more: Partial<PieceSpec> = {}): PieceSpec => ({
  id: 's',
  stripId: 's',
  role: 'batten',
  number: 1,
  materialId: 'pine',
  faceWidth: inches(4),
  center: { x: 0, y: 0 },
  directionDeg: 90,
  startLine: { through: { x: 0, y: 0 }, directionDeg: 0 },
  endLine: { through: { x: 0, y: inches(40) }, directionDeg: 0 },
  ...more,
})
const placed = (more: Partial<PieceSpec> = {}): Piece => {
  const piece = placePiece(spec(more))
  if (!piece) throw new Error('no piece')
  return piece
}
const line = (x: number, y: number, directionDeg: number): Line => ({
  through: { x: inches(x), y: inches(y) },
  directionDeg,
})
/** Square inches of a polygon. */
const area = (polygon: Piece['polygon']) => Math.abs(signedArea(polygon)) / 25.4e6 ** 2

describe('an edge that is ripped to a wall', () => {
  // by hand: 4 wide and 40 long less a triangle of 1/2 by 40 is 150 square inches; held plumb the other edge stays
  test.each([
    ['left', -2],
    ['right', 2],
  ] as const)('the %s one: the card draws what lies on the wall', (edge, at) => {
    const toward = edge === 'left' ? 1 : -1
    const slope = (Math.atan2(40, toward * 0.5) * 180) / Math.PI
    const piece = placed({ taper: { edge, line: line(at, 0, slope), by: 'rip' } })
    expect(piece.taper).toEqual({ edge, atStart: 0, atEnd: inches(0.5), by: 'rip' })
    expect(area(piece.polygon)).toBeCloseTo(150, 6)
    expect(area(faceFromCard(piece))).toBeCloseTo(150, 6)
    expect(area(piece.face)).toBeCloseTo(160, 6)
    // on the card left is up: the edge that stays is whole, the other falls off toward the end
    const { bottom, top } = boundsOf(faceFromCard(piece))
    expect([bottom, top]).toEqual([0, inches(4)])
    const atEnd = faceFromCard(piece)
      .filter(({ x }) => x > inches(39))
      .map(({ y }) => toInches(y as Length))
    expect([Math.min(...atEnd), Math.max(...atEnd)]).toEqual(edge === 'left' ? [0, 3.5] : [0.5, 4])
  })

  test('one elsewhere, on the other edge or made otherwise is another piece', () => {
    const of = (more: Partial<NonNullable<Piece['taper']>> = {}) => ({
      notches: [],
      laps: [],
      taper: { edge: 'left' as const, atStart: inches(0), atEnd: inches(0.5), by: 'rip' as const, ...more },
    })
    expect(sameRecesses(of(), of())).toBe(true)
    for (const more of [
      { edge: 'right' },
      { by: 'scribe' },
      { atStart: inches(0.25) },
      { atEnd: inches(0.25) },
    ] as const)
      expect(sameRecesses(of(), of(more))).toBe(false)
    expect(sameRecesses(of(), { notches: [], laps: [] })).toBe(false)
    expect(sameRecesses({ notches: [], laps: [] }, of())).toBe(false)
    expect(sameRecesses({ notches: [], laps: [] }, { notches: [], laps: [] })).toBe(true)
  })
})

describe('an end that two things make', () => {
  // upright 4 wide to 40, under a slope of 45 degrees through (1, 40): from there it falls to the right
  const pointed = placed({ alsoEnd: [line(1, 40, 135)] })

  test('a point of two cuts: square to the left of it, 45 to the right', () => {
    expect(pointed.end).toEqual({
      kind: 'twoCuts',
      meetFromLeft: inches(3),
      leftBack: 0,
      meetBack: 0,
      rightBack: inches(1),
    })
    expect(pointed.end.kind === 'twoCuts' && twoSawSettings(pointed.end, inches(4))).toEqual({
      leftDeg: 0,
      rightDeg: 45,
    })
    expect([pointed.longLength, pointed.shortLength].map(toInches)).toEqual([40, 39])
    expect(area(pointed.polygon)).toBeCloseTo(160 - 0.5, 6)
    expect(area(faceFromCard(pointed))).toBeCloseTo(159.5, 6)
  })

  test('the same at a start', () => {
    const started = placed({ alsoStart: [line(-1, 0, 135)] })
    expect(started.start).toMatchObject({
      kind: 'twoCuts',
      meetFromLeft: inches(1),
      leftBack: inches(1),
      rightBack: 0,
    })
    expect(started.end.kind).toBe('square')
    expect(area(faceFromCard(started))).toBeCloseTo(159.5, 6)
    expect(boundsOf(faceFromCard(started))).toEqual({ left: 0, right: inches(40), bottom: 0, top: inches(4) })
  })

  test('a line that cuts the whole end off is a cut of its own; one beyond it changes nothing', () => {
    const slanted = placed({ alsoEnd: [line(0, 30, 135)] })
    expect(slanted.end).toMatchObject({ kind: 'miter', longEdge: 'left' })
    expect(slanted.end.kind === 'miter' && slanted.end.sawSettingDeg).toBeCloseTo(45, 9)
    expect(toInches(slanted.longLength)).toBeCloseTo(32, 6)
    expect(placed({ alsoEnd: [line(0, 60, 135)] }).end.kind).toBe('square')
    // along the strip it would take its width
    expect(placed({ alsoEnd: [line(1, 0, 90)] }).polygon).toEqual(placed().polygon)
  })

  test('three lines are cut square at the short point', () => {
    const three = placed({ alsoEnd: [line(1, 40, 135), line(-1, 40, 45)] })
    expect(three.end.kind).toBe('square')
    expect(toInches(three.longLength)).toBe(39)
    const below = placed({ alsoStart: [line(1, 0, 45), line(-1, 0, 135)] })
    expect([below.start.kind, toInches(below.longLength)]).toEqual(['square', 39])
  })

  test('lines that leave no edge, or cross, leave no piece', () => {
    expect(placePiece(spec({ alsoEnd: [line(0, -10, 0)] }))).toBeNull()
    expect(placePiece(spec({ alsoEnd: [line(-1, 0, 135)] }))).toBeNull()
    expect(placePiece(spec({ endLine: line(0, -5, 0) }))).toBeNull()
    expect(placePiece(spec({ endLine: line(0, 0, 90) }))).toBeNull()
  })

  test('a cut through the thickness needs one line across: a point wins over it', () => {
    const bevel = { kind: 'bevel', bevelDeg: 45 } as const
    expect(placed({ endCut: bevel }).end).toEqual(bevel)
    expect(placed({ endCut: bevel, alsoEnd: [line(1, 40, 135)] }).end.kind).toBe('twoCuts')
    expect(placed({ startCut: bevel, alsoStart: [line(1, 0, 45)] }).start.kind).toBe('twoCuts')
  })

  test('a lean under the fitting tolerance is cut square, one over it is not', () => {
    const lean = (by: number) =>
      placed({ endLine: line(0, 40, (Math.atan(by / 4) * 180) / Math.PI), squareWithin: inches(1 / 16) })
    expect(lean(1 / 17).end.kind).toBe('square')
    expect(lean(1 / 15).end).toMatchObject({ kind: 'miter', longEdge: 'right' })
    expect(lean(-1 / 15).end).toMatchObject({ kind: 'miter', longEdge: 'left' })
  })
})

describe('notches on a card', () => {
  const notch = (edge: 'left' | 'right', from = 10, to = 20, depth = 1) => ({
    from: inches(from),
    to: inches(to),
    depth: inches(depth),
    edge,
  })

  test('measured from the long point, taken out of the face, kept out of what others land on', () => {
    const piece = placed({ startLine: line(0, 0, 45), notches: [notch('left')] })
    // the start's long point lies 2 in under the center
    expect(piece.notches).toEqual([{ from: inches(12), to: inches(22), depth: inches(1), edge: 'left' }])
    expect(area(piece.face) - area(piece.polygon)).toBeCloseTo(10, 6)
    expect(area(faceFromCard(piece))).toBeCloseTo(area(piece.polygon), 6)
    expect(piece.face).toHaveLength(4)
  })

  test('cut off where the piece ends', () => {
    const piece = placed({ notches: [notch('right', -5, 3), notch('left', 35, 50)] })
    expect(piece.notches.map(({ from, to }) => [from, to].map(toInches))).toEqual([
      [0, 3],
      [35, 40],
    ])
    expect(area(piece.polygon)).toBeCloseTo(160 - 3 - 5, 6)
    const [low, high] = [boundsOf(piece.polygon), boundsOf(piece.face)]
    expect(low).toEqual(high)
  })

  test('the left edge is up on the card, the right one down', () => {
    const left = faceFromCard(placed({ notches: [notch('left')] })).map(({ x, y }) =>
      [toInches(x), toInches(y)].join(),
    )
    expect(left).toEqual(expect.arrayContaining(['10,3', '20,3', '10,4', '20,4']))
    const right = faceFromCard(placed({ notches: [notch('right')] })).map(({ x, y }) =>
      [toInches(x), toInches(y)].join(),
    )
    expect(right).toEqual(expect.arrayContaining(['10,1', '20,1', '10,0', '20,0']))
  })

  test('edge, place, depth and number part two rows; a nanometer does not', () => {
    const plain = placed()
    const rows = (...pieces: Partial<Piece>[]) =>
      buildCutList(pieces.map((more, i) => ({ ...plain, id: `p${i}`, ...more }))).map(
        ({ pieceIds }) => pieceIds.length,
      )
    const one = { notches: [notch('left')] }
    expect(rows(one, one)).toEqual([2])
    expect(rows(one, {})).toEqual([1, 1])
    expect(rows(one, { notches: [notch('right')] })).toEqual([1, 1])
    expect(rows(one, { notches: [notch('left', 11)] })).toEqual([1, 1])
    expect(rows(one, { notches: [notch('left', 10, 21)] })).toEqual([1, 1])
    expect(rows(one, { notches: [notch('left', 10, 20, 2)] })).toEqual([1, 1])
    expect(
      rows(one, { notches: [{ ...notch('left'), from: (inches(10) + 1) as Piece['longLength'] }] }),
    ).toEqual([2])
    expect(rows(one, { notches: [notch('left'), notch('left', 30, 35)] })).toEqual([1, 1])
  })
})

describe('rows and letters', () => {
  const plain = placed()
  const piece = (role: Piece['role'], length: number, more: Partial<Piece> = {}): Piece => ({
    ...plain,
    id: `${role}-${length}-${more.id ?? ''}`,
    role,
    cutLength: inches(length),
    longLength: inches(length),
    shortLength: inches(length),
    ...more,
  })
  const letters = (...pieces: Piece[]) =>
    Object.fromEntries(
      buildCutList(pieces).map(({ label, role, cutLength }) => [`${role} ${toInches(cutLength)}`, label]),
    )

  test('letters stay when a cap, a shelf or a mid rail is added', () => {
    const before = [piece('batten', 60), piece('batten', 50), piece('topRail', 131), piece('bottomRail', 130)]
    const first = letters(...before)
    expect(first).toEqual({ 'batten 60': 'A', 'batten 50': 'B', 'topRail 131': 'C', 'bottomRail 130': 'D' })
    expect(letters(...before, piece('cap', 129))).toEqual({ ...first, 'cap 129': 'E' })
    expect(letters(...before, piece('shelf', 140), piece('rail', 128))).toMatchObject(first)
  })

  test('equal pieces are one row whatever their part; another face or material is another row', () => {
    const rows = (...pieces: Piece[]) =>
      buildCutList(pieces).map(({ role, pieceIds }) => [role, pieceIds.length])
    expect(rows(piece('border', 39), piece('rail', 39), piece('rail', 39, { id: 'b' }))).toEqual([
      ['border', 3],
    ])
    expect(rows(piece('rail', 39), piece('rail', 39, { faceWidth: inches(2) }))).toEqual([
      ['rail', 1],
      ['rail', 1],
    ])
    expect(rows(piece('rail', 39), piece('rail', 39, { materialId: 'oak' }))).toHaveLength(2)
    expect(rows(piece('rail', 39), piece('rail', 39, { end: { kind: 'bevel', bevelDeg: 45 } }))).toHaveLength(
      2,
    )
  })

  test('longest first, and the row has the lengths of its longest piece', () => {
    const found = buildCutList([piece('rail', 39), piece('batten', 60), piece('rail', 80)])
    expect(found.map(({ cutLength }) => toInches(cutLength))).toEqual([80, 60, 39])
    expect(found.map(({ label }) => label)).toEqual(['B', 'A', 'C'])
  })

  test('fillers stand upright; keys of ends tell what the saw must tell', () => {
    expect([isUpright('filler'), isUpright('border')]).toEqual([true, false])
    const two = (meetBack: number) =>
      endCutKey({
        kind: 'twoCuts',
        meetFromLeft: inches(1),
        leftBack: inches(1),
        meetBack: inches(meetBack),
        rightBack: inches(0),
      })
    expect(two(0)).not.toBe(two(0.5))
    expect(two(0.5)).toBe(two(0.5 + 1e-5))
    expect(endCutKey({ kind: 'scarf', bevelDeg: 45, hidden: inches(1) })).not.toBe(
      endCutKey({ kind: 'scarf', bevelDeg: 45, hidden: inches(0) }),
    )
    expect(endCutKey({ kind: 'cope', sawSettingDeg: 45 })).toBe('cope 45.00')
    expect(endCutKey({ kind: 'cornerMiter', sawSettingDeg: 44.5, longSide: 'back', hidden: inches(1) })).toBe(
      'corner 44.50 back',
    )
  })
})
