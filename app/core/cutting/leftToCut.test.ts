import fc from 'fast-check'
import { inches, type Length, nearestNanometer } from '~/length'
import { type Act, actSchema, type Workpiece } from '~/model'
import { anyMeetingWall, runs } from '../../../tests/anyWall'
import { wallOf } from '../../../tests/namedWalls'
import { cutFacts } from '../asbuilt/cutFacts'
import { freezeList, standingIn } from '../asbuilt/freeze'
import { releaseOf } from '../asbuilt/release'
import { computePlan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import {
  asCutSoFar,
  type BoardPlan,
  type BoardRequest,
  firstBoards,
  isInHand,
  newBoards,
  type OpenBoard,
  planBoardsQuickly,
  withOpen,
} from '../stock'
import { inHandOf, jobRequests, NOTHING_IN_HAND } from '../yard/jobRequests'
import { leftOfWall } from '../yard/wallLeft'
import { USUAL_WISH } from '../yard/yardState'
import { boardsAsked, boardsNear, leftToCut, requestsFor } from './leftToCut'
import { toRelease } from './toRelease'

let made = 0
const stamp = () => ({ id: `act-${String(++made).padStart(6, '0')}`, doneAt: 1_000_000 + made })

interface Laid {
  readonly request: BoardRequest
  readonly plan: BoardPlan
}

/** The boards of a wall as the page lays them out: what is open with what was cut from it, and the rest. */
function laidOut(workpiece: Workpiece, acts: readonly Act[]): { laid: Laid[]; open: readonly OpenBoard[] } {
  const list = toRelease(computePlan(workpiece), workpiece)
  const left = leftToCut(list, workpiece, cutFacts(acts))
  const laid = requestsFor(left, workpiece).flatMap((request): Laid[] => {
    const found = firstBoards(request)
    return found.ok ? [{ request, plan: withOpen(found.value, request, left.open) }] : []
  })
  return { laid, open: left.open }
}

function released(workpiece: Workpiece, before: readonly Act[]): Act {
  const pieces = freezeList(toRelease(computePlan(workpiece), workpiece), before)
  return { ...stamp(), kind: 'released', revisions: [], pieces }
}

/** Ticks these pieces of the list, each cut from the board the page says. */
function ticked(workpiece: Workpiece, acts: readonly Act[], which: (index: number) => boolean): Act[] {
  const release = releaseOf(acts)
  if (!release) return []
  const { standing } = standingIn(release, toRelease(computePlan(workpiece), workpiece))
  const { laid } = laidOut(workpiece, acts)
  const boards = laid.flatMap(({ plan }) => plan.boards)
  return [...standing].flatMap(([id, { piece, cutAt }], i): Act[] => {
    const board = boards.find(({ pieces }) => pieces.some((each) => each.pieceId === id && !each.cut))
    return cutAt !== null || !board || !which(i)
      ? []
      : [
          {
            ...stamp(),
            kind: 'pieceCut',
            release: release.id,
            piece: piece.name,
            board: { number: board.number, length: board.length },
          },
        ]
  })
}

/** No board gives more than it has: pieces with what they are cut long by, a kerf between two, what is left and the trim. */
function holds({ boards }: BoardPlan, { kerf, endTrim }: BoardRequest): void {
  for (const { length, pieces, offcut, offerId } of boards) {
    const taken = pieces.reduce((sum, piece) => sum + piece.length + (piece.long ?? 0), 0)
    const kerfs = Math.max(0, pieces.length - 1) * kerf
    if (offerId.startsWith('over:')) continue
    expect(taken + kerfs + endTrim).toBeLessThanOrEqual(length)
    expect(offcut).toBeGreaterThanOrEqual(0)
    expect(taken + kerfs + endTrim + offcut).toBeLessThanOrEqual(length)
    const places = [...pieces].sort((a, b) => a.from - b.from)
    places.slice(1).forEach((piece, i) => {
      const before = places[i]
      expect(piece.from).toBeGreaterThanOrEqual(
        (before?.from ?? 0) + (before?.length ?? 0) + (before?.long ?? 0) + kerf,
      )
    })
  }
  expect(new Set(boards.map(({ number }) => number)).size).toBe(boards.length)
}

const piecesOf = (laid: readonly Laid[], cut: boolean) =>
  laid.flatMap(({ plan }) =>
    plan.boards.flatMap(({ pieces }) =>
      pieces.flatMap((piece) => ((piece.cut === true) === cut ? [piece.pieceId] : [])),
    ),
  )

const anyCutting = fc.record({
  wall: anyMeetingWall,
  part: fc.integer({ min: 1, max: 5 }),
  spoil: fc.nat(9),
  shorter: fc.integer({ min: -8, max: 8 }),
})

describe('what is left to cut, and from what', () => {
  const battens = (more = {}) =>
    wallOf(
      { width: inches(150), height: inches(96) },
      {
        height: { rule: 'typed', value: inches(36) },
        spacing: { school: 'equalByCount', strips: 8, ends: 'gap' },
      },
      more,
    )

  test('with all but four cut, only those four are planned, and what is open holds some of them', () => {
    const wall = battens()
    const list = released(wall, [])
    const before = laidOut(wall, [list])
    const total = piecesOf(before.laid, false).length
    const acts = [list, ...ticked(wall, [list], (i) => i < total - 4)]
    const after = laidOut(wall, acts)
    expect(piecesOf(after.laid, false)).toHaveLength(4)
    expect(piecesOf(after.laid, true)).toHaveLength(total - 4)
    const toBuy = after.laid.flatMap(({ plan }) => newBoards(plan)).length
    const first = before.laid.flatMap(({ plan }) => newBoards(plan)).length
    expect(toBuy).toBeLessThan(first)
    expect(boardsNear(computePlan(wall), wall, cutFacts(acts)).count).toBe(toBuy)
    // said to be cut as a whole nothing is left
    const said = [...acts, { ...stamp(), kind: 'cut' as const }]
    expect(boardsNear(computePlan(wall), wall, cutFacts(said)).count).toBe(0)
  })

  test('a piece spoiled is cut again, and its wood is gone; a piece that is not cut after all gives its wood back', () => {
    const wall = battens()
    const list = released(wall, [])
    const [first, ...cut] = ticked(wall, [list], () => true)
    if (first?.kind !== 'pieceCut') throw new Error('nothing cut')
    const { release, piece } = first
    const spoiled = { ...stamp(), kind: 'spoiled' as const, release, piece, from: 'board' as const }
    const acts = [list, first, ...cut, spoiled]
    const { laid, open } = laidOut(wall, acts)
    expect(piecesOf(laid, false)).toHaveLength(1)
    expect(open.flatMap(({ pieces }) => pieces).filter((each) => each.spoiled)).toHaveLength(1)
    for (const each of laid) holds(each.plan, each.request)
    const uncut = { ...stamp(), kind: 'pieceUncut' as const, release, piece }
    const back = laidOut(wall, [list, first, ...cut, uncut])
    expect(back.open.flatMap(({ pieces }) => pieces)).toHaveLength(cut.length)
    expect(back.laid.flatMap(({ plan }) => newBoards(plan)).length).toBeLessThanOrEqual(1)
    expect(actSchema().parse(JSON.parse(JSON.stringify(first)))).toEqual(first)
  })

  test('what is measured in place is planned with what it is cut long by, as far as a board can hold it', () => {
    const wall = battens({ shop: { ...wallOf().settings.shop, allowance: inches(1 / 2) } })
    const [request] = boardsAsked(computePlan(wall), wall)
    // the floor was read nowhere: all uprights are measured
    expect(request?.pieces.some(({ long }) => long === inches(1 / 2))).toBe(true)
    const long = wallOf(
      { height: inches(96) },
      { topRail: null, foot: { kind: 'floor' }, height: { rule: 'full' } },
    )
    for (const asked of boardsAsked(computePlan(long), long))
      for (const piece of asked.pieces)
        expect(Math.max(...asked.offers.map(({ length }) => length))).toBeGreaterThanOrEqual(
          piece.length + (piece.long ?? 0),
        )
  })

  // 60 walls on which everything meets, partly cut, some of it spoiled, then changed: in the tree before, every piece was bought again
  test('law: what is cut is not planned again, boards give no more than they have, and cutting as said changes nothing', () => {
    fc.assert(
      fc.property(anyCutting, ({ wall, part, spoil, shorter }) => {
        const plan = computePlan(wall)
        if (plan.pieces.length === 0) return
        const list = released(wall, [])
        const before = laidOut(wall, [list])
        const cuts = ticked(wall, [list], (i) => i % part === 0)
        const acts: Act[] = [list, ...cuts]
        const after = laidOut(wall, acts)
        // every piece of the layout that has a board is on one, cut or not, and on no other
        const all = (laid: readonly Laid[]) => [...piecesOf(laid, true), ...piecesOf(laid, false)].sort()
        if (after.laid.length === before.laid.length) expect(all(after.laid)).toEqual(all(before.laid))
        expect(piecesOf(after.laid, true)).toHaveLength(cuts.length)
        for (const { plan: of, request } of after.laid) {
          holds(of, request)
          const whole = before.laid.find(({ plan: was }) => was.materialId === of.materialId)
          if (!whole) throw new Error(`nothing was planned of ${of.materialId}`)
          // a plan that is followed stays as it is, what it buys less by what is open
          const so = asCutSoFar({ ...whole.plan, proven: true }, request, after.open)
          if (!so) throw new Error(`${of.materialId} was cut as said and is planned anew`)
          holds(so, request)
          const opened = so.boards.filter(isInHand).length
          expect(newBoards(so)).toHaveLength(newBoards(whole.plan).length - opened)
          const quick = planBoardsQuickly(request)
          if (quick.ok && so.cost !== null && quick.value.cost !== null)
            expect(quick.value.bound).toBeLessThanOrEqual(so.cost + 1)
        }
        // the job's boards ask for the same pieces from the same rests
        const wallLeft = leftOfWall({ id: 'w', name: 'w', workpiece: wall, acts })
        const wanted = { wish: USUAL_WISH, inHand: inHandOf([], 'job', [wallLeft], wall.settings), out: [] }
        for (const asked of jobRequests(wallLeft.pieces, wall.settings, wanted)) {
          const own = requestsFor(leftToCut(toRelease(plan, wall), wall, cutFacts(acts)), wall).find(
            ({ materialId }) => materialId === asked.materialId,
          )
          const sizes = (of: BoardRequest | undefined) =>
            of?.pieces.map(({ length, long = 0 }) => length + long).sort((a, b) => a - b)
          const rooms = (of: BoardRequest | undefined) =>
            of?.offers.map(({ length }) => length).sort((a, b) => a - b)
          expect(sizes(asked)).toEqual(sizes(own))
          expect(rooms(asked)).toEqual(rooms(own))
        }
        // some of it spoiled, and the wall changed: still nothing is bought for what fits as it is
        const [first] = cuts
        const more: Act[] =
          spoil < 5 && first?.kind === 'pieceCut'
            ? [{ ...stamp(), kind: 'spoiled', release: first.release, piece: first.piece, from: 'spare' }]
            : []
        const width = nearestNanometer(wall.wall.survey.width + inches(shorter / 8)) as Length
        const changed = applyEdits(wall, [{ type: 'patchSurvey', patch: { width } }])
        const then = laidOut(changed, [...acts, ...more])
        for (const each of then.laid) holds(each.plan, each.request)
        const fits = leftToCut(
          toRelease(computePlan(changed), changed),
          changed,
          cutFacts([...acts, ...more]),
        )
        const planned = new Set(fits.pieces.map(({ id }) => id))
        for (const id of [...fits.cut, ...fits.fromThemselves].map((each) => each.id))
          expect(planned.has(id)).toBe(false)
        expect(fits.pieces.length + fits.cut.length + fits.fromThemselves.length).toBe(
          computePlan(changed).pieces.length,
        )
      }),
      { numRuns: runs(60) },
    )
  })

  test('nothing in hand is asked where nothing was cut', () => {
    const wall = battens()
    expect(
      inHandOf([], 'job', [leftOfWall({ id: 'w', name: 'w', workpiece: wall, acts: [] })], wall.settings),
    ).toEqual(NOTHING_IN_HAND)
  })
})
