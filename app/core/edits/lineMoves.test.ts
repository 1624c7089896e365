import { inches } from '~/length'
import { inForce, MOVE_KINDS, type Move } from '~/model'
import { lineWall } from '../../../tests/lineWalls'
import { computePlan } from '../computePlan'
import type { Piece } from '../pieces'
import { applyEdits } from './applyEdit'
import { breakUp } from './breakUp'
import {
  newMove,
  nextMoveId,
  putMove,
  refsOf,
  settleCrossing,
  shiftMove,
  takeMoveAway,
  turnStrip,
} from './lineMoves'

const said = (pieces: readonly Piece[]) =>
  pieces
    .filter(({ role }) => role === 'line')
    .map(({ longLength, shortLength, polygon }) => {
      const middle = (key: 'x' | 'y') => polygon.reduce((sum, point) => sum + point[key], 0) / polygon.length
      return [longLength, shortLength, middle('x'), middle('y')]
        .map((each) => Math.round(each / 20_000))
        .join(' ')
    })
    .sort()

const MAKERS = [
  'diagonals',
  'chevron',
  'corners',
  'diamonds',
  'lattice',
  'herringbone',
  'sunburst',
  'fan',
] as const

describe('moves of a list', () => {
  const wall = (moves: readonly Move[], more: Parameters<typeof lineWall>[3] = {}) =>
    lineWall(118, 70, moves, { border: 'miter', uprights: 2, ...more })
  const begun = (kind: Move['kind']) => newMove(kind, inForce(lineWall(118, 70, []).wall.design).lines)

  test('every kind of move can be begun, and strikes something after a line', () => {
    for (const kind of MOVE_KINDS) {
      const first = begun('strike')
      const lines = { ...inForce(wall([first]).wall.design).lines }
      const move = newMove(kind, lines)
      expect(move.id).toBe('m2')
      const { layout } = computePlan(wall([first, move]))
      const made = layout.moves?.moves[1]
      expect([kind, made?.issues.filter(({ code }) => code !== 'doubles')]).toEqual([kind, []])
      // the first line struck once more is one line
      if (kind !== 'strike') expect([kind, (made?.stripIds.length ?? 0) > 0]).toEqual([kind, true])
    }
  })

  test.each(MAKERS)('%s broken up into lines is the same pieces, nudged or not', (kind) => {
    for (const nudge of [
      { along: inches(0), up: inches(0) },
      { along: inches(1.5), up: inches(-0.75) },
    ]) {
      const move = {
        ...begun(kind),
        ...(kind === 'herringbone' ? { length: inches(34), clear: inches(6) } : {}),
      } as Move
      const before = wall([move], { lines: { nudge } })
      const edits = breakUp(before, 'm1')
      expect(edits).toHaveLength(1)
      const after = applyEdits(before, edits)
      const moves = inForce(after.wall.design).lines.moves
      expect(moves.length).toBeGreaterThan(3)
      expect(moves.every((each) => each.kind === 'strike')).toBe(true)
      expect(said(computePlan(after).pieces)).toEqual(said(computePlan(before).pieces))
    }
  })

  test.each([
    ['diagonals', 'bays', true],
    ['diagonals', 'field', true],
    ['chevron', null, true],
    ['chevron', null, false],
  ] as const)('%s by %s, with uprights: %s, broken up is the same pieces', (kind, where, uprights) => {
    const move = { ...begun(kind), ...(where ? { where } : {}) } as Move
    const before = wall([move], { ...(uprights ? { uprights: 2 } : {}) })
    const after = applyEdits(before, breakUp(before, 'm1'))
    expect(inForce(after.wall.design).lines.moves.length).toBeGreaterThan(3)
    expect(said(computePlan(after).pieces)).toEqual(said(computePlan(before).pieces))
  })

  test('a strip left out by name stays out when its maker is broken up, and what referred to it finds it again', () => {
    const branch: Move = {
      ...newMove('branch', inForce(wall([begun('diagonals')]).wall.design).lines),
      kind: 'branch',
      off: 'm1.3',
    } as Move
    const before = wall([begun('diagonals'), branch], { lines: { off: ['m1.2'] } })
    const after = applyEdits(before, breakUp(before, 'm1'))
    expect(computePlan(after).layout.moves?.moves.flatMap(({ issues }) => issues)).toEqual([])
  })

  test('what a move refers to is told where it is gone, comes later, or was turned off; the move is kept', () => {
    const first = begun('strike')
    const second = newMove('repeat', inForce(wall([first]).wall.design).lines)
    const list = wall([first, second])
    const issuesOf = (workpiece: typeof list) =>
      computePlan(workpiece).layout.moves?.moves.map(({ issues }) => issues[0]?.code ?? null)
    expect(issuesOf(list)).toEqual([null, null])
    const gone = applyEdits(list, takeMoveAway(list, 'm1'))
    expect(inForce(gone.wall.design).lines.moves).toHaveLength(1)
    expect(issuesOf(gone)).toEqual(['missing'])
    expect(issuesOf(applyEdits(list, shiftMove(list, 'm2', -1)))).toEqual(['refersLater', null])
    expect(issuesOf(applyEdits(list, putMove(list, { ...first, on: false })))).toEqual([null, 'missing'])
    expect(shiftMove(list, 'm1', -1)).toEqual([])
    // a new move never takes the name of one that others still miss
    expect(nextMoveId(inForce(gone.wall.design).lines)).toBe('m3')
    expect(refsOf(second)).toEqual(['m1'])
  })

  test('a strip is left out and brought back; a crossing is settled and left to the list again', () => {
    const cross = wall(
      [
        begun('strike'),
        {
          ...begun('strike'),
          id: 'm2',
          from: { at: 'corner', corner: 'bottomRight' },
          heading: { to: 'angle', deg: 135 },
          until: { kind: 'frame' },
        } as Move,
      ],
      { uprights: 1 },
    )
    const pieces = (workpiece: typeof cross, strip: string) =>
      computePlan(workpiece).pieces.filter(({ stripId }) => stripId === strip).length
    const through = applyEdits(cross, settleCrossing(cross, 'm1.1', 'm2.1', 'b'))
    expect(inForce(through.wall.design).lines.crossings).toHaveLength(1)
    expect(
      inForce(applyEdits(through, settleCrossing(through, 'm2.1', 'm1.1', null)).wall.design).lines.crossings,
    ).toEqual([])
    const out = applyEdits(cross, turnStrip(cross, 'm1.1'))
    expect(pieces(out, 'm1.1')).toBe(0)
    expect(pieces(applyEdits(out, turnStrip(out, 'm1.1')), 'm1.1')).toBe(pieces(cross, 'm1.1'))
  })
})
