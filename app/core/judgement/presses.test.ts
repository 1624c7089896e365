import fc from 'fast-check'
import { type Edit, type Workpiece, inForce, withDesign } from '~/model'
import { anyMeetingWall, runs } from '../../../tests/anyWall'
import { computePlan, type Plan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import { gapOf } from '../edits/laidOut'
import type { Finding, WayOut } from '../findings/finding'
import { edgesAt } from '../layout/lean'
import { isUpright } from '../pieces'
import { type Match, matchEdits, matchGaps, matchMembers, roomWish } from '../room/matchWalls'
import { spaceUnder } from '../survey/wallLines'
import { alignments } from './align'
import { cellWays, countWays } from './choices'
import { heightProposals } from './heights'
import { propose } from './propose'

/** Figures that come of one rounding each. */
const WITHIN = 3

function pressed(workpiece: Workpiece, edits: readonly Edit[]): { next: Workpiece; plan: Plan } {
  const next = applyEdits(workpiece, edits)
  return { next, plan: computePlan(next) }
}

function near(said: number, came: number | null | undefined, what: string) {
  if (came === null || came === undefined || Math.abs(said - came) > WITHIN)
    throw new Error(`${what}: said ${said / 25.4e6}, became ${(came ?? NaN) / 25.4e6}`)
}

/** The next rail of a grid, which may be missing: one that lies wholly in a door is left out, and told. */

const meets = (
  { findings }: Plan,
  isOf: (says: Extract<Finding['says'], { code: 'stripMeets' }>) => boolean,
) => findings.some(({ says }) => says.code === 'stripMeets' && isOf(says))

/** Of a finding that one press mends: it is gone after any of its ways out. */
const MENDED = new Set<Finding['says']['code']>([
  'footWithoutBaseboard',
  'noBoardsListed',
  'pieceLongerThanBoards',
  'stripVanishes',
  'extentEmpty',
  'extentBeyond',
  'bandOffWall',
  'chainOpen',
])

function saysOf({ says }: Finding): string {
  const strip = 'stripId' in says ? says.stripId : 'bandId' in says ? says.bandId : ''
  return `${says.code} ${strip} ${'thingId' in says ? says.thingId : ''} ${'what' in says ? says.what : ''}`
}

function checkWay(workpiece: Workpiece, plan: Plan, finding: Finding, { says, edits }: WayOut) {
  const after = pressed(workpiece, edits)
  const { layout, findings } = after.plan
  const what = `${finding.says.code} > ${says.code}`
  if (MENDED.has(finding.says.code) && findings.some((each) => saysOf(each) === saysOf(finding)))
    throw new Error(`${what}: the finding is still there`)
  switch (says.code) {
    case 'useStrips':
      expect(layout.uprights).toHaveLength(says.strips)
      return near(says.gap, gapOf(layout), what)
    case 'shiftBy':
      near(says.by, (layout.sections[0]?.shifted ?? 0) - (plan.layout.sections[0]?.shifted ?? 0), what)
      if (meets(after.plan, ({ stripId }) => /^(batten|slat|stile)-/.test(stripId)))
        throw new Error(`${what}: uprights still meet something`)
      return
    case 'putBack':
      return near(0, layout.sections[0]?.shifted, what)
    case 'centerOn':
      return near(says.end, layout.placement?.leftEnd, what)
    case 'lowerTo':
    case 'heightRule':
      return near(says.height, layout.height, what)
    case 'moveRail':
      return near(
        says.top,
        inForce(after.next.wall.design).rails.find(({ id }) => id === says.bandId)?.top.rule === 'typed'
          ? says.top
          : NaN,
        what,
      )
    case 'useLevelRule': {
      const { lines, shape, left, right } = layout
      near(says.outOfLevel, Math.abs(lines.base.slope) * (right - left), what)
      if (lines.followed.length === 0) near(says.gap, spaceUnder(shape, lines, left, right), what)
      return
    }
    case 'moveBox':
      if (finding.says.code !== 'stripMeets') throw new Error(what)
      for (const { stripId, thingId } of [finding.says])
        if (meets(after.plan, (each) => each.stripId === stripId && each.thingId === thingId))
          throw new Error(`${what}: still on it`)
      return
    case 'notchIt':
    case 'endThere':
      if (
        finding.says.code === 'stripMeets' &&
        meets(
          after.plan,
          ({ thingId }) => finding.says.code === 'stripMeets' && thingId === finding.says.thingId,
        )
      )
        throw new Error(`${what}: not settled`)
      return
    case 'backBevel':
    case 'ledger':
    case 'addBottomRail':
    case 'swapBase':
    case 'removeBase':
    case 'swapThing':
    case 'removeThing':
      if (findings.some((each) => saysOf(each) === saysOf(finding))) throw new Error(`${what}: still proud`)
      return
  }
}

describe('what a button says is what comes when it is pressed', () => {
  test('law: every way out of every finding', () => {
    const seen = new Map<string, number>()
    fc.assert(
      fc.property(anyMeetingWall, (workpiece) => {
        const plan = computePlan(workpiece)
        for (const finding of plan.findings)
          for (const way of finding.waysOut) {
            seen.set(way.says.code, (seen.get(way.says.code) ?? 0) + 1)
            checkWay(workpiece, plan, finding, way)
          }
      }),
      { numRuns: runs(90) },
    )
    // the walls offer most of them, so that the law is about something
    expect(seen.size).toBeGreaterThan(14)
  })

  test('law: proposals: strips, gap, shift, and what they clear', () => {
    fc.assert(
      fc.property(anyMeetingWall, (workpiece) => {
        const isBoxes = inForce(workpiece.wall.design).pattern === 'boxes'
        for (const proposal of propose(workpiece).proposals) {
          const { layout } = pressed(workpiece, proposal.edits).plan
          const placed = layout.sections.filter(({ placement }) => placement !== null)
          const strips = placed.reduce(
            (sum, { placement }) => sum + (placement?.nearEdges.length ?? 0) - (isBoxes ? 1 : 0),
            0,
          )
          expect(strips).toBe(proposal.strips)
          const widest = placed.reduce((best, each) =>
            each.right - each.left > best.right - best.left ? each : best,
          )
          near(proposal.gap, widest.placement?.gaps[0] ?? proposal.gap, 'proposal gap')
          near(proposal.shift, widest.shifted, 'proposal shift')
          if (proposal.hits.length > 0 || isBoxes) continue
          const plan = computePlan(applyEdits(workpiece, proposal.edits))
          const uprights = new Set(
            plan.pieces.filter(({ role }) => isUpright(role)).map(({ stripId }) => stripId),
          )
          if (meets(plan, ({ stripId }) => uprights.has(stripId)))
            throw new Error('a proposal that meets nothing meets something')
        }
      }),
      { numRuns: runs(80) },
    )
  })

  test('law: heights: the height, the pieces, and so many from a board', () => {
    fc.assert(
      fc.property(anyMeetingWall, (workpiece) => {
        for (const { height, edits, pieces, reason } of heightProposals(workpiece)) {
          const { plan, next } = pressed(workpiece, edits)
          expect(plan.pieces).toHaveLength(pieces)
          if (inForce(next.wall.design).pattern !== 'rails')
            near(height, plan.layout.height, `height ${reason.code}`)
          if (reason.code !== 'perBoard') continue
          const { shop } = next.settings
          const longest = Math.max(
            0,
            ...plan.pieces.filter(({ role }) => isUpright(role)).map(({ cutLength }) => cutLength),
          )
          const taken = reason.pieces * longest + (reason.pieces - 1) * shop.kerf + shop.endTrim
          if (taken > reason.board)
            throw new Error(`${reason.pieces} of ${longest} do not come from one board`)
          // and on the tape no more is marked than there is
          expect(reason.piece % 1_587_500).toBe(0)
          expect(longest).toBeLessThanOrEqual(reason.piece)
        }
      }),
      { numRuns: runs(60) },
    )
  })

  test('law: counts, cells and lines to align with', () => {
    fc.assert(
      fc.property(anyMeetingWall, (workpiece) => {
        const { layout } = computePlan(workpiece)
        for (const { edits, strips, gap } of countWays(workpiece, layout, 6)) {
          const after = pressed(workpiece, edits).plan.layout
          if (after.placement) {
            expect(after.placement.nearEdges).toHaveLength(strips)
            near(gap, after.placement.gaps[0] ?? gap, 'count choice')
          } else if (inForce(workpiece.wall.design).pattern !== 'boxes')
            throw new Error('a count that closes nothing')
        }
        for (const { edits, width, height, columns, rows } of cellWays(workpiece, layout, 1, 4)) {
          const { plan } = pressed(workpiece, edits)
          const after = plan.layout
          if (after.bands.length < layout.bands.length - 40) throw new Error('bands')
          near(width, columns === 1 ? width : (after.placement?.gaps[0] ?? NaN), `cell width ${columns}`)
          const rails = new Map(
            after.bands
              .filter(({ name }) => name.kind === 'gridRail')
              .map((band) => [band.name.number, band]),
          )
          const low = [...rails.values()].find(({ name }) => rails.has((name.number ?? NaN) + 1))
          const high = low && rails.get((low.name.number ?? NaN) + 1)
          if (low && high && rows > 1) near(height, high.bottom - low.top, `cell height ${rows}`)
        }
        for (const { edits, target, stripId, edge } of alignments(layout)) {
          const after = pressed(workpiece, edits).plan.layout
          const upright = after.uprights.find(({ id }) => id === stripId)
          near(target.x, upright && edgesAt(after, upright, target.y)[edge], 'alignment')
        }
      }),
      { numRuns: runs(90) },
    )
  })

  test('law: matches: every wall has the count and the gap that was said', () => {
    const checked = (walls: { id: string; workpiece: Workpiece }[], match: Match) => {
      const edits = matchEdits(walls, match)
      for (const { id, workpiece } of walls) {
        const { layout } = pressed(workpiece, edits.get(id) ?? []).plan
        for (const { member, strips, gap } of match.members.filter((each) => each.member.wallId === id)) {
          const section = layout.sections.find((each) => each.id === member.sectionId && each.row === 0)
          expect(section?.placement?.nearEdges).toHaveLength(strips)
          near(gap, section?.placement?.gaps[0] ?? gap, 'match')
        }
      }
    }
    fc.assert(
      fc.property(fc.tuple(anyMeetingWall, anyMeetingWall), ([one, other]) => {
        const { pattern } = inForce(one.wall.design)
        if (pattern === 'rails') return
        const walls = [
          one,
          { ...other, wall: { ...other.wall, design: withDesign(other.wall.design, { pattern }) } },
        ].map((workpiece, i) => ({ id: `w${i}`, workpiece }))
        const wish = roomWish(one)
        expect(wish.measure).toBe('gap')
        for (const match of matchGaps(matchMembers(walls, wish), wish.wish, 4)) checked(walls, match)
      }),
      { numRuns: runs(80) },
    )
  })
})
