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

/**
 * The matches that differ least and come nearest to the wish, each set of counts once. For every gap any member can have as the smallest
 * one, each member takes its next wider gap: no set of counts has a smaller spread above that gap. A locked member
 * keeps its count; one without a choice is left out, as a stretch too narrow for any within the limits.
 */
export function matchGaps(members: readonly MatchMember[], wish: number, howMany: number): Match[] {
  const lists = members
    .filter((member) => member.locked || member.choices.length > 0)
    .map((member) => ({
      member,
      choices: member.locked ? [{ strips: member.strips, gap: member.gap }] : member.choices,
    }))
  const found = new Map<string, Match>()
  for (const lowest of new Set(lists.flatMap(({ choices }) => choices.map(({ gap }) => gap)))) {
    const picked = lists.map(({ member, choices }) => {
      const wider = choices.filter(({ gap }) => gap >= lowest).sort((a, b) => a.gap - b.gap)
      return { member, ...(wider[0] ?? null) }
    })
    const whole = picked.flatMap(({ member, strips, gap }) =>
      strips === undefined || gap === undefined ? [] : [{ member, strips, gap }],
    )
    if (whole.length < picked.length) continue
    const gaps = whole.map(({ gap }) => gap)
    const mean = gaps.reduce((sum, gap) => sum + gap, 0) / gaps.length
    found.set(whole.map(({ strips }) => strips).join(' '), {
      members: whole,
      spread: Math.max(...gaps) - Math.min(...gaps),
      offWish: Math.abs(mean - wish),
    })
  }
  const cost = ({ spread, offWish }: Match) => spread * SPREAD_WEIGHT + offWish
  return [...found.values()].sort((a, b) => cost(a) - cost(b)).slice(0, howMany)
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
 * The members of a room: the sections of all walls of one pattern, those over and under openings left out, whose width
 * the opening gives, and so are walls that are set apart. Gaps lie within `least` and `most`; with `moreThan` they are
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
      .filter(({ row, opening, placement }) => row === 0 && opening === null && placement !== null)
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
        return {
          wallId: id,
          sectionId: section.id,
          locked: design.locked,
          strips,
          gap: section.placement?.gaps[0] ?? section.placement?.leftEnd ?? 0,
          choices: countChoices(wish, span, layout.stripWidth)
            .filter(({ withinLimits }) => withinLimits)
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
