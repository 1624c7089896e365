import { inForce } from '~/model'
import fc from 'fast-check'
import { anyMeetingWall, anyThreeSidedGrid, runs } from '../../../tests/anyWall'
import { ring, shared } from '../../../tests/areas'
import { computePlan } from '../computePlan'
import { boundsOf, movedFrom, unitVector } from '../geometry'
import { faceFromCard } from '../pieces'
import { isPlate, outlineOf } from '../survey/obstacles'
import { wallOutline } from '../survey/wallShape'

const walls = fc.oneof({ weight: 4, arbitrary: anyMeetingWall }, { weight: 1, arbitrary: anyThreeSidedGrid })

/** Ten square millimeters, in square inches. */
const TOLERANCE = 10 / 645.16

describe('laws of what meets, over walls on which everything stands at once', () => {
  test('D3: no two pieces overlap, whatever is notched, cut round, leaning or bordered, unless a finding names both', () => {
    fc.assert(
      fc.property(walls, (workpiece) => {
        const { pieces, findings } = computePlan(workpiece)
        const shapes = pieces.map(({ polygon }) => ring(polygon))
        shapes.forEach((shape, i) => {
          shapes.slice(i + 1).forEach((other, k) => {
            if (shared(shape, other) < TOLERANCE) return
            const [a, b] = [pieces[i]?.stripId ?? '', pieces[i + 1 + k]?.stripId ?? '']
            // halved over one another, as it was asked for
            if (pieces[i]?.laps.some((lap) => lap.with === b)) return
            const told = findings.some(
              ({ severity, stripIds }) =>
                severity === 'wrong' && stripIds.includes(a) && stripIds.includes(b),
            )
            if (!told) throw new Error(`${pieces[i]?.id} and ${pieces[i + 1 + k]?.id} overlap`)
          })
        })
      }),
      { numRuns: runs(240) },
    )
  })

  test('D3: no piece leaves the wall or runs over what it should end at, unless it is told', () => {
    fc.assert(
      fc.property(walls, (workpiece) => {
        const { pieces, findings, layout } = computePlan(workpiece)
        if (findings.some(({ says }) => says.code === 'topAboveHead' || says.code === 'bandOffWall')) return
        const wall = ring(wallOutline(layout.shape, workpiece.wall.survey))
        const { meets } = inForce(workpiece.wall.design)
        for (const piece of pieces) {
          const shape = ring(piece.polygon)
          // on a wall that leans and falls at once the outline squares its corners off
          const outside = Math.abs(shape.area()) - shared(shape, wall)
          // trim goes back where it was, which the readings of the corner may speak against
          if (outside > 3 * TOLERANCE && piece.role !== 'sideTrim')
            throw new Error(`${piece.id} leaves the wall by ${outside} square inches`)
          for (const each of workpiece.wall.survey.things) {
            if (
              each.fate === 'remove' ||
              each.fate === 'goesBack' ||
              shared(shape, ring(outlineOf(each))) < TOLERANCE
            )
              continue
            const open = isPlate(each.kind) && each.fate === 'keep' && meets[each.id] === undefined
            const told = findings.some(
              ({ says }) =>
                says.code === 'stripMeets' && says.stripId === piece.stripId && says.thingId === each.id,
            )
            if (!open || !told) throw new Error(`${piece.id} runs over ${each.kind} ${each.id}`)
          }
        }
      }),
      { numRuns: runs(180) },
    )
  })

  test('D4: a card alone rebuilds its piece, notches and all', () => {
    fc.assert(
      fc.property(walls, (workpiece) => {
        for (const piece of computePlan(workpiece).pieces) {
          const u = unitVector(piece.directionDeg)
          const along = piece.face.map(({ x, y }) => x * u.x + y * u.y)
          const left = piece.face.map(({ x, y }) => y * u.x - x * u.y)
          // a piece that runs to a point lacks an edge, and its long point may lie where that edge would be
          const card0 = boundsOf(faceFromCard({ ...piece, notches: [] }))
          const zero = movedFrom(
            { x: 0, y: 0 },
            piece.directionDeg,
            Math.min(...along) - card0.left,
            Math.min(...left) - card0.bottom,
          )
          const laid = faceFromCard(piece).map(({ x, y }) => movedFrom(zero, piece.directionDeg, x, y))
          const [card, wall] = [ring(laid), ring(piece.polygon)]
          const differ = Math.abs(card.area()) + Math.abs(wall.area()) - 2 * shared(card, wall)
          // an end that leans less than the fitting tolerance is cut square
          const square = (piece.faceWidth / 25.4e6) * (workpiece.settings.fit / 25.4e6)
          if (differ > square + 0.01) throw new Error(`${piece.id} differs by ${differ} square inches`)
        }
      }),
      { numRuns: runs(120) },
    )
  })

  test('a row holds pieces that are cut alike: never notched and plain ones, never two lengths', () => {
    fc.assert(
      fc.property(walls, (workpiece) => {
        const { pieces, cutList } = computePlan(workpiece)
        const rows = cutList.flatMap(({ pieceIds }) => pieceIds)
        expect([...rows].sort()).toEqual(pieces.map(({ id }) => id).sort())
        for (const row of cutList)
          for (const id of row.pieceIds) {
            const piece = pieces.find((each) => each.id === id)
            expect(piece?.notches.length).toBe(row.notches.length)
            expect(Math.abs((piece?.cutLength ?? 0) - row.cutLength)).toBeLessThanOrEqual(2)
            expect(piece?.materialId).toBe(row.materialId)
          }
        expect(new Set(cutList.map(({ label }) => label)).size).toBe(cutList.length)
      }),
      { numRuns: runs(70) },
    )
  })

  test('ids are unique, and what has no piece has no marks', () => {
    fc.assert(
      fc.property(walls, (workpiece) => {
        const { pieces, layout } = computePlan(workpiece)
        const unique = (ids: readonly string[]) => expect(new Set(ids).size).toBe(ids.length)
        unique(pieces.map(({ id }) => id))
        unique(
          [...layout.bands, ...(layout.frames.length > 0 ? layout.frames : layout.uprights)].map(
            ({ id }) => id,
          ),
        )
        const strips = new Set(pieces.map(({ stripId }) => stripId))
        for (const { id } of layout.bands)
          expect(strips.has(id) || (strips.has('border') && id.startsWith('gridRail'))).toBe(true)
      }),
      { numRuns: runs(70) },
    )
  })
})
