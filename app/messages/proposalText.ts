import type { Comparable, ProposalCard } from '~/core/judgement/cards'
import type { Alignment } from '~/core/judgement/align'
import type { HeightProposal } from '~/core/judgement/heights'
import type { Proposal, ProposalSearch } from '~/core/judgement/propose'
import { rulesOf } from '~/core/patterns/rules'
import type { Criterion, Ends, Pattern, Survey } from '~/model'
import { patternWords } from './patternWords'
import { thingCalled, thingName } from './thingNames'
import { count, heightRuleName, say, sayStock, sayWithUnit, stripName, type Wording } from './words'

const ENDS_WORDS: Readonly<Record<Ends | 'center' | 'uneven', string>> = {
  gap: 'a gap at each end',
  strip: 'a strip at each end',
  half: 'half a gap at each end',
  stripGap: 'a strip left, a gap right',
  gapStrip: 'a gap left, a strip right',
  center: 'worked from the center',
  uneven: 'single strips step aside',
}

function hitNames(hits: readonly string[], { things }: Survey): string {
  const kinds = hits.map((id) => things.find((thing) => thing.id === id)?.kind)
  const counted = new Map<string, number>()
  for (const kind of kinds) if (kind) counted.set(thingName(kind), (counted.get(thingName(kind)) ?? 0) + 1)
  return [...counted]
    .map(([name, n]) => (n === 1 ? `${/^[aeiou]/.test(name) ? 'an' : 'a'} ${name}` : `${n} ${name}s`))
    .join(', ')
}

/** One sentence why: what it meets or clears, how near the wish, how it ends. */
export function proposalWhy(
  proposal: Proposal,
  survey: Survey,
  plates: number,
  pattern: Pattern,
  w: Wording,
): string {
  const { hits, clears, offWish, ends, shift, slivers, offAxis, onStuds, strips } = proposal
  const first =
    hits.length > 0
      ? `Meets ${hitNames(hits, survey)}`
      : clears === null || plates === 0
        ? 'Meets nothing'
        : `Clears ${plates === 1 ? 'the plate' : plates === 2 ? 'both plates' : `all ${plates} plates`} by ${sayWithUnit(Math.max(0, clears), w)}`
  const parts = [
    first,
    Math.abs(offWish) < 1_000
      ? 'exactly the wish'
      : `${say(Math.abs(offWish), w)} ${offWish > 0 ? 'over' : 'under'} the wish`,
    ...(rulesOf({ pattern }).givenEnds ? [] : [ENDS_WORDS[ends]]),
    ...(shift === 0 ? [] : [`all moved ${say(Math.abs(shift), w)} ${shift > 0 ? 'right' : 'left'}`]),
    ...(slivers > 0 ? [count(slivers, 'sliver')] : []),
    ...(offAxis < 1_000 ? ['symmetrical'] : []),
    ...(survey.behind.studs.length > 0 && patternWords({ pattern }).onStuds
      ? [`${onStuds} of ${strips} on studs`]
      : []),
  ]
  return `${parts.join(', ')}.`
}

/** What is claimed of the search as a whole. */
export function searchClaim({ tried, clear, plates, sections }: Omit<ProposalSearch, 'proposals'>): string {
  const common = sections > 1 ? ' with one gap for all sections' : ''
  const layouts = `${tried.toLocaleString('en-US')} ${tried === 1 ? 'layout' : 'layouts'}${common}`
  if (tried === 0) return 'Nothing lies within these limits. Widen them.'
  if (plates === 0) return `${layouts} tried, every one within your limits.`
  const what = plates === 1 ? 'the plate' : plates === 2 ? 'both plates' : `all ${plates} plates`
  return clear === 0
    ? `No layout clears ${what}: every one of the ${layouts} within these limits was tried. The least bad come first.`
    : `${clear.toLocaleString('en-US')} of ${layouts} within your limits clear ${what}.`
}

/** Said with it where lines are struck as well, which the search of uprights does not look at. */
export const uprightsAlone = ' That goes by the uprights alone: for the lines see “Plates under lines”.'

/** What a weight is for. */
export function criterionName(criterion: Criterion): string {
  return {
    plates: 'clear of plates',
    slivers: 'no slivers',
    wish: 'near the wish',
    symmetry: 'symmetrical',
    studs: 'on studs',
    boards: 'few boards',
    pieces: 'few pieces',
    hollows: 'hollows between strips',
  }[criterion]
}

/** One third; top of the switch; two from a 10-ft board. */
export function heightReason({ reason }: HeightProposal, w: Wording): string {
  switch (reason.code) {
    case 'rule':
      return heightRuleName(reason.rule)
    case 'linesUp':
      return `${reason.edge} of the ${reason.kind === 'window' || reason.kind === 'door' ? `${reason.kind}’s casing` : thingName(reason.kind)}`
    case 'perBoard':
      return `${['', 'one', 'two', 'three'][reason.pieces] ?? reason.pieces} from ${article(sayStock(reason.board, w))} board: up to ${say(reason.piece, w)} each, ${reason.pieces === 2 ? 'the kerf' : 'the kerfs'} counted`
  }
}

/** An 8 ft, a 10 ft. */
function article(size: string): string {
  return `${/^(8|11|18)(?!\d)/.test(size) ? 'an' : 'a'} ${size}`
}

/** What a height takes. */
export function heightTakes({ pieces, boards, waste }: HeightProposal): string {
  if (boards === null || waste === null) return `${count(pieces, 'piece')}, not from the boards listed`
  return `${count(boards, 'board')}, ${Math.round(waste * 100)} % of them wasted`
}

/** Batten 4 against the left of the window: all 1 1/4 to the right. */
export function alignmentText({ target, stripId, by }: Alignment, w: Wording): string {
  const where =
    target.kind === 'cutOff' || target.kind === 'stair' || target.kind === 'landing'
      ? `where the wall’s edge bends`
      : `the ${target.side} of the ${thingCalled(w, target.thingId, target.kind)}`
  return `${stripName(stripId, w)} to ${where}: all ${say(Math.abs(by), w)} ${by > 0 ? '→' : '←'}`
}

export function proposalTitle({ strips, gap }: Proposal, pattern: Pattern, w: Wording): string {
  const { one, many } = patternWords({ pattern })
  return `${count(strips, one, many)}, ${say(gap, w)}`
}

/** A figure of a proposal: always in the same place, better or worse than what is now, or neither. */
export interface ProposalFigure {
  readonly name: string
  readonly text: string
  readonly than: 'better' | 'worse' | null
}

/** Fewer is better; null where nothing can be compared. */
function fewer(now: number | null, then: number | null): ProposalFigure['than'] {
  return now === null || then === null || now === then ? null : then < now ? 'better' : 'worse'
}

/** What a proposal comes to, in figures that stand in the same place on every card. */
export function proposalFigures(
  { proposal, pieces, boards }: Pick<ProposalCard, 'proposal' | 'pieces' | 'boards'>,
  now: Comparable,
  plates: number,
  w: Wording,
): ProposalFigure[] {
  const { hits, clears, offWish } = proposal
  const room = clears === null || plates === 0 ? 'nothing' : `clear ${say(Math.max(0, clears), w)}`
  return [
    {
      name: 'in the way',
      text: hits.length > 0 ? `meets ${hits.length}` : room,
      than: fewer(now.hits, hits.length),
    },
    {
      name: 'to the wish',
      text: Math.abs(offWish) < 1_000 ? 'exact' : `${offWish > 0 ? '+' : '−'}${say(Math.abs(offWish), w)}`,
      than: null,
    },
    { name: 'pieces', text: String(pieces), than: fewer(now.pieces, pieces) },
    { name: 'boards', text: boards === null ? 'none fit' : String(boards), than: fewer(now.boards, boards) },
  ]
}

/** Said of a figure to whoever does not see its mark. */
export const thanNow = { better: 'better than now', worse: 'worse than now' } as const
