import { Polygon as FlattenPolygon } from '@flatten-js/core'
import fc from 'fast-check'
import { inches, nanometers, toInches } from '~/length'
import { boundsOf, movedFrom, type Point, signedArea, unitVector } from '../geometry'
import { buildCutList, rowLabel } from './cutList'
import { faceFromCard } from './card'
import { type Piece, type PieceSpec, placePiece } from './piece'

function slanted(directionDeg: number, run: number, width: number, startDeg = 90, endDeg = 90): PieceSpec {
  return {
    id: 's',
    stripId: 's',
    role: 'batten',
    number: 1,
    materialId: 'pine',
    faceWidth: inches(width),
    center: { x: 0, y: 0 },
    directionDeg,
    startLine: { through: { x: 0, y: 0 }, directionDeg: startDeg },
    endLine: { through: { x: inches(run), y: 0 }, directionDeg: endDeg },
  }
}

function placed(spec: PieceSpec): Piece {
  const piece = placePiece(spec)
  if (!piece) throw new Error('no piece')
  return piece
}

const distance = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y)

describe('slanted pieces', () => {
  test('C3, framing-square rafter table (carpenter’s handbook): length per foot of run for rises 1 to 18', () => {
    const table = [
      12.04, 12.17, 12.37, 12.65, 13.0, 13.42, 13.89, 14.42, 15.0, 15.62, 16.28, 16.97, 17.69, 18.44, 19.21,
      20.0, 20.81, 21.63,
    ]
    table.forEach((length, i) => {
      const rise = i + 1
      const piece = placed(slanted((Math.atan2(rise, 12) * 180) / Math.PI, 12, 2))
      const [rightStart, rightEnd] = piece.polygon
      expect(toInches(distance(rightStart ?? { x: 0, y: 0 }, rightEnd ?? { x: 0, y: 0 }))).toBeCloseTo(
        length,
        2,
      )
    })
  })

  test('a strip at 38 degrees dying into verticals is cut with the saw at 38; into horizontals at 52', () => {
    const vertical = placed(slanted(38, 40, 2))
    expect(vertical.start).toMatchObject({ kind: 'miter', longEdge: 'right' })
    expect(vertical.end).toMatchObject({ kind: 'miter', longEdge: 'left' })
    expect(vertical.start.kind === 'miter' && vertical.start.sawSettingDeg).toBeCloseTo(38, 6)
    const horizontal = placed({
      ...slanted(38, 40, 2),
      startLine: { through: { x: 0, y: 0 }, directionDeg: 0 },
      endLine: { through: { x: 0, y: inches(30) }, directionDeg: 0 },
    })
    expect(horizontal.end.kind === 'miter' && horizontal.end.sawSettingDeg).toBeCloseTo(52, 6)
  })

  test('an upright piece keeps whole nanometers and square ends', () => {
    const piece = placed({
      ...slanted(90, 0, 2.5),
      center: { x: inches(10), y: 0 },
      startLine: { through: { x: 0, y: inches(3) }, directionDeg: 0 },
      endLine: { through: { x: 0, y: inches(50.0625) }, directionDeg: 0 },
    })
    expect([piece.start.kind, piece.end.kind]).toEqual(['square', 'square'])
    expect(piece.longLength).toBe(inches(47.0625))
    expect(piece.cutLength).toBe(piece.shortLength)
    expect(boundsOf(piece.polygon)).toEqual({
      left: inches(8.75),
      right: inches(11.25),
      bottom: inches(3),
      top: inches(50.0625),
    })
  })

  test('no piece where an end line runs along the strip or the ends have crossed', () => {
    expect(placePiece(slanted(90, 40, 2))).toBeNull()
    expect(placePiece(slanted(0, -5, 2))).toBeNull()
  })
})

describe('law D4: lengths and saw settings rebuild the polygon', () => {
  test('for any slant, width and end lines', () => {
    let rebuilt = 0
    fc.assert(
      fc.property(
        fc.integer({ min: -70, max: 70 }),
        fc.integer({ min: 5, max: 200 }),
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 40, max: 140 }),
        fc.integer({ min: 40, max: 140 }),
        (directionDeg, run, width, startDeg, endDeg) => {
          const piece = placePiece(slanted(directionDeg, run, width / 2, startDeg, endDeg))
          if (!piece) return
          rebuilt++
          const card = faceFromCard(piece)
          // the card's face laid back on the wall along the strip
          const u = unitVector(directionDeg)
          const alongs = piece.polygon.map((p) => p.x * u.x + p.y * u.y)
          const origin = movedFrom({ x: 0, y: 0 }, directionDeg, Math.min(...alongs), -piece.faceWidth / 2)
          card.forEach((corner, i) => {
            const onWall = movedFrom(origin, directionDeg, corner.x, corner.y)
            const there = piece.polygon[i]
            expect(there && distance(onWall, there)).toBeLessThan(2e4)
          })
        },
      ),
    )
    expect(rebuilt).toBeGreaterThan(50)
  })

  test('the area agrees with an independent geometry library', () => {
    const piece = placed(slanted(31, 44, 2.5, 80, 97))
    const library = new FlattenPolygon(
      piece.polygon.map(({ x, y }) => [toInches(x), toInches(y)] as [number, number]),
    )
    expect(library.area()).toBeCloseTo(signedArea(piece.polygon) / 25_400_000 ** 2, 6)
  })
})

describe('cut list', () => {
  const batten = (id: string, length: number, materialId = 'pine'): Piece => ({
    ...placed({
      ...slanted(90, 0, 2),
      startLine: { through: { x: 0, y: 0 }, directionDeg: 0 },
      endLine: { through: { x: 0, y: nanometers(length) }, directionDeg: 0 },
    }),
    id,
    stripId: id,
    materialId,
  })

  test('equal pieces are one row, longest first; a nanometer of rounding does not part them', () => {
    const rows = buildCutList([batten('a', 900_000_000), batten('b', 900_000_001), batten('c', 910_000_000)])
    expect(rows.map(({ label, pieceIds }) => [label, pieceIds])).toEqual([
      ['A', ['c']],
      ['B', ['a', 'b']],
    ])
    expect(rows[1]?.cutLength).toBe(900_000_001)
  })

  test('equal lengths of another material or with another end cut are rows of their own', () => {
    const mitered = {
      ...batten('m', 900_000_000),
      end: { kind: 'miter', sawSettingDeg: 45, longEdge: 'left' } as const,
    }
    expect(buildCutList([batten('a', 900_000_000), batten('b', 900_000_000, 'mdf'), mitered])).toHaveLength(3)
  })

  test('letters run on after Z', () => {
    expect([0, 25, 26, 27, 52].map(rowLabel)).toEqual(['A', 'Z', 'AA', 'AB', 'BA'])
  })
})
