import { type Length, nearestNanometer } from '~/length'
import { type Design, type Edit, type SpacingOf, type Workpiece, inForce } from '~/model'
import { withCount } from '../edits/sectionCount'
import { wishOf } from '../judgement/candidates'
import { layOutStanding } from '../layout/layOutWall'
import { endsOf, rulesOf } from '../patterns/rules'
import { clearWish, countChoices } from '../spacing'

/** A section of a wall that takes part in a match: what it is now and what counts it can have. */
export interface MatchMember {
  readonly wallId: string
  readonly sectionId: string
  readonly locked: boolean
  readonly strips: number
  readonly gap: number
  readonly choices: readonly { readonly strips: number; readonly gap: number }[]
}

/** One count for each member, and how far apart their gaps then are. Boxes count as gaps. */
export interface Match {
  readonly members: readonly { readonly member: MatchMember; readonly strips: number; readonly gap: number }[]
  readonly spread: number
  readonly offWish: number
}

/** A difference between walls weighs so many times a distance from the wish. Common practice, no source. */
const SPREAD_WEIGHT = 2

/** So many ways to pick counts within one spread are looked at; the nearest to the wish found by then stands. */
const MOST_PICKS = 20_000

interface List {
  readonly member: MatchMember
  readonly choices: MatchMember['choices']
}

/** One choice a member, of those with gaps from `low` to `high`, whose mean comes nearest to the wish; null where a member has none. */
function nearest(
  lists: readonly List[],
  low: number,
  high: number,
  wish: number,
): { readonly picked: Match['members']; readonly offWish: number } | null {
  const within = lists.map(({ member, choices }) => ({
    member,
    choices: choices.filter(({ gap }) => gap >= low && gap <= high),
  }))
  if (within.some(({ choices }) => choices.length === 0)) return null
  // what the members from here on add to the sum, at the least and at the most
  const least: number[] = [0]
  const most: number[] = [0]
  for (const { choices } of [...within].reverse()) {
    const gaps = choices.map(({ gap }) => gap)
    least.unshift((least[0] ?? 0) + Math.min(...gaps))
    most.unshift((most[0] ?? 0) + Math.max(...gaps))
  }
  const wanted = wish * within.length
  let best: { picked: Match['members']; off: number } | null = null
  let looked = 0
  const go = (i: number, sum: number, picked: Match['members']): void => {
    const short = Math.max(0, sum + (least[i] ?? 0) - wanted, wanted - sum - (most[i] ?? 0))
    if ((best && short >= best.off) || ++looked > MOST_PICKS) return
    const list = within[i]
    if (!list) {
      best = { picked, off: Math.abs(sum - wanted) }
      return
    }
    for (const { strips, gap } of list.choices)
      go(i + 1, sum + gap, [...picked, { member: list.member, strips, gap }])
  }
  go(0, 0, [])
  const found = best as { picked: Match['members']; off: number } | null
  return found && { picked: found.picked, offWish: found.off / within.length }
}

/**
 * The matches by what a difference between gaps and a distance from the wish cost together, least first, and of them none that another
 * beats or equals in both. For every pair of gaps that members can have as the smallest and the largest the nearest to the wish is found, so
 * the first is the best there is. A locked member keeps its count; one without a choice is left out, as a stretch too narrow for any
 * within the limits.
 */
export function matchGaps(members: readonly MatchMember[], wish: number, howMany: number): Match[] {
  const lists = members
    .filter((member) => member.locked || member.choices.length > 0)
    .map((member): List => ({
      member,
      choices: member.locked ? [{ strips: member.strips, gap: member.gap }] : member.choices,
    }))
  if (lists.length === 0) return []
  const gaps = [...new Set(lists.flatMap(({ choices }) => choices.map(({ gap }) => gap)))].sort(
    (a, b) => a - b,
  )
  // the least and the most the largest gap can be where this is the smallest: each member takes its next wider one, or more
  const spans = gaps.flatMap((low) => {
    const next = lists.map(({ choices }) =>
      Math.min(...choices.map(({ gap }) => (gap >= low ? gap : Infinity))),
    )
    const from = Math.max(...next)
    return gaps.filter((high) => high >= from && from < Infinity).map((high) => ({ low, high }))
  })
  const cost = ({ spread, offWish }: Match) => spread * SPREAD_WEIGHT + offWish
  const found: Match[] = []
  let nearestYet = Infinity
  for (const { low, high } of spans.sort((a, b) => a.high - a.low - (b.high - b.low))) {
    const spread = high - low
    // wider ones cost more than as many as are wanted
    const enough = [...found].sort((a, b) => cost(a) - cost(b))[howMany - 1]
    if (enough && spread * SPREAD_WEIGHT > cost(enough)) break
    const picked = nearest(lists, low, high, wish)
    if (!picked || picked.offWish >= nearestYet - 1) continue
    nearestYet = picked.offWish
    const own = picked.picked.map(({ gap }) => gap)
    found.push({
      members: picked.picked,
      spread: Math.max(...own) - Math.min(...own),
      offWish: picked.offWish,
    })
  }
  return found.sort((a, b) => cost(a) - cost(b)).slice(0, howMany)
}

export interface WallOfRoom {
  readonly id: string
  readonly workpiece: Workpiece
}

/** The wish a room is matched by, from one of its walls. */
export function roomWish({ wall, settings }: Workpiece): SpacingOf<'nearWish'> {
  const layout = layOutStanding(wall.survey, inForce(wall.design), settings)
  const wish = wishOf(inForce(wall.design), layout)
  // gaps are matched clear, so a wish from center to center is turned into one
  return { ...wish, wish: clearWish(wish, layout.stripWidth), measure: 'gap' }
}

/**
 * The members of a room: the sections of all walls of one pattern, also those that have no count by their own limits; those over and under
 * openings are left out, whose width the opening gives, and so are walls that are set apart. Gaps lie within `least` and `most`; with `moreThan` they are
 * wider than `least`.
 */
export function matchMembers(
  walls: readonly WallOfRoom[],
  limits: { readonly least: Length; readonly most: Length; readonly moreThan?: boolean | undefined },
): MatchMember[] {
  return walls.flatMap(({ id, workpiece }) => {
    const { wall, settings } = workpiece
    const design = inForce(wall.design)
    if (design.apart || !rulesOf(design).counts(design)) return []
    const layout = layOutStanding(wall.survey, design, settings)
    const ends = endsOf(design)
    return layout.sections
      .filter(({ row, opening }) => row === 0 && opening === null)
      .map((section): MatchMember => {
        const span = nearestNanometer(section.right - section.left)
        const wish = {
          ...wishOf(design, layout),
          ends,
          wish: limits.least,
          least: limits.least,
          moreThan: limits.moreThan,
          most: limits.most,
          measure: 'gap' as const,
        }
        const strips = section.placement?.nearEdges.length ?? 0
        const { countOf } = rulesOf(design)
        // one that has no count now takes part with those it can be laid out with; locked it has none
        const canHave = (n: number) =>
          section.placement !== null ||
          (!design.locked &&
            layOutStanding(
              wall.survey,
              { ...design, ...withCount(design, section.id, countOf(n)) },
              settings,
            ).sections.some(
              ({ id: own, placement }) => own === section.id && placement?.nearEdges.length === n,
            ))
        return {
          wallId: id,
          sectionId: section.id,
          locked: design.locked && section.placement !== null,
          strips,
          gap: section.placement?.gaps[0] ?? section.placement?.leftEnd ?? 0,
          choices: countChoices(wish, span, layout.stripWidth)
            .filter(({ withinLimits, strips: n }) => withinLimits && canHave(n))
            .map(({ strips: n, gap }) => ({ strips: n, gap })),
        }
      })
  })
}

/** The edits of each wall that a match asks for; a locked wall has none. */
export function matchEdits(walls: readonly WallOfRoom[], match: Match): Map<string, Edit[]> {
  const edits = new Map<string, Edit[]>()
  for (const { id, workpiece } of walls) {
    const design = inForce(workpiece.wall.design)
    const here = match.members.filter(({ member }) => member.wallId === id && !member.locked)
    if (here.length === 0) continue
    const { countOf } = rulesOf(design)
    const next = here.reduce<Design>(
      (so, { member, strips }) => ({ ...so, ...withCount(so, member.sectionId, countOf(strips)) }),
      design,
    )
    const { sectionOwn, boxes, spacing, shift } = next
    edits.set(id, [{ type: 'patchDesign', patch: { sectionOwn, boxes, spacing, shift } }])
  }
  return edits
}
