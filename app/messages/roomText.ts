import type { RoomCorner } from '~/core/layout/corners'
import type { Pattern, Turn } from '~/model'
import type { CornerTrouble, FittingStep, Joint, RoomWall } from '~/core/room/fittingOrder'
import type { Match, MatchMember } from '~/core/room/matchWalls'
import { rulesOf } from '~/core/patterns/rules'
import { patternWords } from './patternWords'
import { count, say, sayWithUnit, type Wording } from './words'

/** Long wall 7 of 31 1/4, Short wall 2 + 2 of 31 1/2: they differ by 1/4. Members of one name are told together, each with its own gap where they differ. */
export function matchText(
  match: Match,
  pattern: Pattern,
  nameOf: (member: MatchMember) => string,
  w: Wording,
): string {
  const { of } = patternWords({ pattern })
  const { countOf } = rulesOf({ pattern })
  const byName = new Map<string, { counts: number[]; gaps: string[] }>()
  for (const { member, strips, gap } of match.members) {
    const name = nameOf(member)
    const known = byName.get(name) ?? { counts: [], gaps: [] }
    byName.set(name, {
      counts: [...known.counts, countOf(strips)],
      gaps: [...known.gaps, say(gap, w)],
    })
  }
  const parts = [...byName].map(([name, { counts, gaps }]) => {
    const alike = new Set(gaps).size === 1
    return alike
      ? `${name} ${counts.join(' + ')} ${of} ${gaps[0] ?? ''}`
      : `${name} ${counts.map((many, i) => `${many} ${of} ${gaps[i] ?? ''}`).join(' + ')}`
  })
  const differ = match.spread < 2 ? 'all alike' : `they differ by ${sayWithUnit(match.spread, w)}`
  return `${parts.join(', ')}: ${differ}`
}

/** 91° inside, read; or not read yet. */
export function cornerAngleText({ deg, turn, measured }: RoomCorner): string {
  if (turn === 'none') return 'they do not meet'
  return measured ? `${Number(deg.toFixed(2))}° ${turn}` : `${turn}, not read: 90° assumed`
}

/** How two walls' horizontals meet. */
export function jointName(joint: Joint, left: string, right: string): string {
  return {
    leftRunsCope: `${left} runs, ${right} is coped to it`,
    rightRunsCope: `${right} runs, ${left} is coped to it`,
    leftRunsButt: `${left} runs, ${right} butts against it`,
    rightRunsButt: `${right} runs, ${left} butts against it`,
    miter: 'mitered, each at half the corner',
  }[joint]
}

/** Why a corner does not go together. */
export function jointTroubleText(trouble: CornerTrouble): string {
  return {
    bothRun: 'Both run to the corner: they would meet in one place. Cope or butt one of them.',
    noneRuns: 'Neither runs to the corner, so there is nothing to cope or butt to.',
    copedOutside:
      'Round an outside corner there is no profile to cope to. Miter it, or butt one against the other.',
    halfMitered: 'Only one of them is mitered: a miter takes both.',
  }[trouble]
}

/** Walls that wait for each other all round. */
export function stuckText(names: readonly string[]): string {
  return `No one can be first: ${names.join(', ')} each wait for the next. One wall has to run at both ends.`
}

/** Second: Short wall, coped to Long wall. */
export function fittingStepText(
  { wallId, after }: FittingStep,
  index: number,
  walls: readonly RoomWall[],
  nameOf: (id: string) => string,
): string {
  const wall = walls.find(({ id }) => id === wallId)
  const mitered = wall?.left === 'miter' || wall?.right === 'miter'
  const why =
    after.length > 0
      ? `after ${after.map(nameOf).join(' and ')}, cut to it`
      : mitered
        ? 'its miter is dry-fitted to the next before either is nailed'
        : 'runs into its corners'
  return `${index === 0 ? 'First' : 'Then'} the horizontals of ${nameOf(wallId)}: ${why}.`
}

/** The gap of the wall beside carried on. */
export function rhythmText(name: string, gap: number, side: 'left' | 'right', w: Wording): string {
  return `The rhythm of ${name}: gaps of ${say(gap, w)} from the ${side} corner`
}

/** How the next wall turns. */
export function turnName(turn: Turn): string {
  return { inside: 'inside corner', outside: 'outside corner', none: 'do not meet' }[turn]
}

/** Which walls a match leaves as they are, because no count keeps them between its limits. */
export function leftOutText(stretches: number, walls: readonly string[]): string {
  return `Too narrow or too wide for these limits, so left as it is: ${count(stretches, 'stretch', 'stretches')} of ${walls.join(', ')}.`
}

/** What a room page says of its matches and corners where there is something to say. */
export const roomNotes = {
  noWall: 'No wall in this room yet.',
  noGaps: 'No wall of this room has gaps to match yet.',
  othersLeftOut: 'Walls of another pattern, and those set apart, are left out.',
  noMatch: 'No set of counts keeps every wall between these limits. Widen them.',
  oneWall: 'A corner needs two walls. Add the wall beside this one to the room.',
  moreThanLeast: 'The least itself is too little',
  leastWillDo: 'The least itself will do',
  nothingRuns: 'Nothing runs from one to the other.',
} as const

export const layOutLikeText = {
  group: 'Lay all walls out alike',
  which: 'Which wall they are laid out like',
  counts: 'Whose counts',
  wish: 'counts by the wish',
  own: 'each wall’s own counts',
  press: (name: string) => `Lay all out like ${name}`,
} as const

/** Options of the whole room. */
export const roomOptionText = {
  title: 'Options of the room',
  help: 'Options of the walls that have one name belong together. A wall without it keeps the one that is chosen.',
  heads: ['Option', 'Walls', 'Pieces', 'Boards cost', 'Hours, about', 'Wrong', 'Choice'],
  walls: (has: number, all: number) => `${has} of ${all}`,
  notKnown: 'not known',
  chosen: 'chosen',
  choose: (name: string) => `Choose ${name}`,
  name: 'New option',
  make: (walls: string) => `Make it on ${walls}, from the chosen ones`,
  note: 'Each wall is worked on by itself: open it, and its Agree stage.',
} as const
