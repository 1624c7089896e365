import { overHollows } from './overHollows'
import { type Edit, type Ends, type Workpiece, inForce, type Design } from '~/model'
import { boundsOf } from '../geometry'
import { laidOut } from '../edits/laidOut'
import { layOutStanding } from '../layout/layOutWall'
import type { Layout, SectionPlace } from '../layout/layout'
import { rulesOf } from '../patterns/rules'
import { baseAt } from '../survey/wallLines'
import { type Barred, barredFor, leastClearance, thingsHit } from './barred'
import { editsFor, endsFor, type SectionCandidate, sectionCandidates, wishOf } from './candidates'
import {
  boxSides,
  levelHits,
  measure,
  type Measures,
  offAxis,
  onStuds,
  type ScoreInput,
  totalOf,
} from './score'

/** One way to lay out the wall, with what speaks for and against it. Lengths in nanometers. */
export interface Proposal {
  readonly id: string
  readonly edits: readonly Edit[]
  readonly score: number
  readonly strips: number
  /** The gap, or a box's width, of the widest section. */
  readonly gap: number
  readonly offWish: number
  readonly ends: Ends | 'center' | 'uneven'
  readonly shift: number
  /** Plates and other things it meets. */
  readonly hits: readonly string[]
  /** Least space to any plate, the asked clearance included; null without plates. */
  readonly clears: number | null
  readonly slivers: number
  readonly offAxis: number
  readonly onStuds: number
}

/** What a search found: the best, and how much was tried to know it. */
export interface ProposalSearch {
  readonly proposals: readonly Proposal[]
  readonly tried: number
  /** How many of those tried meet nothing. */
  readonly clear: number
  /** Sections laid out together: of several, layouts are those in which all follow one gap. */
  readonly sections: number
  /** Plates on the wall within the layout's heights. */
  readonly plates: number
}

/** How many are shown. */
const SHOWN = 5

/** Absolute heights a section's strips reach over. */
function rangeOf(section: SectionPlace, layout: Layout): { bottom: number; top: number } {
  if (rulesOf(layout).places === 'margins') {
    const bounds = layout.frames
      .filter(({ row }) => row === section.row)
      .map(({ outline }) => boundsOf(outline))
    return {
      bottom: Math.min(...bounds.map(({ bottom }) => bottom)),
      top: Math.max(...bounds.map(({ top }) => top)),
    }
  }
  const base = baseAt(layout.lines, (section.left + section.right) / 2)
  return { bottom: base + layout.uprightFoot, top: base + layout.uprightHead }
}

interface Scored {
  readonly candidate: SectionCandidate
  readonly measures: Measures
  readonly input: ScoreInput
  readonly score: number
  /** It meets no plate. */
  readonly isClear: boolean
}

/** Of one kind the best, and the best of those that meet no plate; null where none does. */
interface BestOf {
  readonly best: Scored
  readonly clear: Scored | null
}

/** The better of two of a kind: by score, then by the smaller shift. */
function better(a: Scored | null, b: Scored): Scored {
  if (!a || b.score < a.score) return b
  return b.score === a.score && Math.abs(b.candidate.shift) < Math.abs(a.candidate.shift) ? b : a
}

/** Plates that reach the height of the level sides of a row's boxes. */
function levelPlates(
  layout: Layout,
  range: { bottom: number; top: number },
  moulding: number,
  clearance: number,
) {
  if (rulesOf(layout).places !== 'margins') return []
  return layout.obstacles
    .filter(({ plate }) => plate)
    .map(({ id, outline }) => ({ thingId: id, ...boundsOf(outline) }))
    .filter(
      ({ bottom, top }) =>
        (top + clearance > range.bottom && bottom - clearance < range.bottom + moulding) ||
        (top + clearance > range.top - moulding && bottom - clearance < range.top),
    )
    .map(({ thingId, left, right }) => ({ thingId, left: left - clearance, right: right + clearance }))
}

const FREE_COUNTS = { boards: 1, pieces: 1 }

/**
 * Searches every count within the limits, with every asked end condition, centring and shift (and, where bays may
 * differ, every stepping aside), and ranks what it finds by the weights. Exhaustive within its limits. Sections
 * follow one gap: for each gap any of them can have, each takes the count that comes nearest to it.
 */
export function propose(workpiece: Workpiece): ProposalSearch {
  const { survey } = workpiece.wall
  const design = inForce(workpiece.wall.design)
  const layout = layOutStanding(survey, design, workpiece.settings)
  const wish = wishOf(design, layout)
  const { weights, about, clearance } = design.judgement
  const thing = survey.things.find(({ id }) => id === about)
  const axis = thing ? thing.left + thing.width / 2 : null
  const rules = rulesOf(design)
  const stripWidth = rules.faceWidth(layout)
  let tried = 0
  let clear = 0
  const plates = new Set<string>()
  // per section the best of each kind: a shift only matters within its section
  const bySection = (rules.counts(design) ? layout.sections : []).map((section) => {
    const range = rangeOf(section, layout)
    const barred = barredFor(layout, design, stripWidth, range)
    for (const { thingId, plate } of barred) if (plate) plates.add(thingId)
    const input: ScoreInput = {
      layout,
      design,
      settings: workpiece.settings,
      barred,
      level: levelPlates(layout, range, stripWidth, clearance),
      studs: survey.behind.studs,
      axis,
      wish: wish.measure === 'gap' ? wish.wish : wish.wish - layout.stripWidth,
      boardsByCount: new Map(),
      over: overHollows(layout),
    }
    const best = new Map<string, BestOf>()
    for (const candidate of sectionCandidates(workpiece, layout, section, barred)) {
      const { measures, platesHit } = measure(candidate, input)
      tried += 1
      if (platesHit === 0) clear += 1
      // a kind has one count, so boards and pieces weigh alike within it
      const score = totalOf([measures], FREE_COUNTS, weights)
      const scored: Scored = { candidate, measures, input, score, isClear: platesHit === 0 }
      const known = best.get(candidate.kind)
      best.set(candidate.kind, {
        best: better(known?.best ?? null, scored),
        clear: scored.isClear ? better(known?.clear ?? null, scored) : (known?.clear ?? null),
      })
    }
    return [...best.values()]
  })
  const several = layout.sections.length > 1
  const clears = bySection.map((list) => list.flatMap((each) => each.clear ?? []))
  const bests = bySection.map((list) => list.map((each) => each.best))
  const allEnds = endsFor(design)
  // what meets no plate is weighed beside the best of its kind, so that it can be shown
  const asOne = several ? commonGaps(bests, allEnds) : (bests[0] ?? []).map((each) => [each])
  const clearSets = clears.every((list, i) => list.length > 0 || bySection[i]?.length === 0)
    ? several
      ? commonGaps(clears, allEnds)
      : (clears[0] ?? []).map((each) => [each])
    : []
  const sets = [...asOne, ...clearSets.filter((set) => !asOne.some((other) => sameSet(other, set)))]
  const fewest = {
    boards: Math.min(...sets.map((set) => set.reduce((sum, { measures }) => sum + measures.boards, 0))),
    pieces: Math.min(...sets.map((set) => set.reduce((sum, { measures }) => sum + measures.pieces, 0))),
  }
  const ranked = sets
    .map((set) => ({
      set,
      score: totalOf(
        set.map(({ measures }) => measures),
        fewest,
        weights,
      ),
    }))
    .sort((a, b) => a.score - b.score)
  const offer = (set: readonly Scored[], score: number): Proposal | null => {
    const proposal = describe(set, score, design, clearance)
    // boxes may find no room in their height, whatever their count: what makes nothing is not proposed
    const made = laidOut(workpiece, proposal.edits)
    if (made.uprights.length === 0 || made.spacingIssue !== null) return null
    // a section with no choice within the limits keeps what it has: that counts, and so does what it meets
    const chosen = new Set(set.map(({ candidate }) => candidate.section.id))
    const others = made.sections.filter(({ id, placement }) => placement !== null && !chosen.has(id))
    return {
      ...proposal,
      strips: made.sections.reduce(
        (sum, { placement }) => sum + (placement ? rules.countOf(placement.nearEdges.length) : 0),
        0,
      ),
      hits: [
        ...proposal.hits,
        ...others.flatMap((section) => {
          const lefts = (section.placement?.nearEdges ?? []).map((edge) => section.left + edge)
          if (rules.places === 'margins') return []
          return thingsHit(lefts, barredFor(made, design, stripWidth, rangeOf(section, made)))
        }),
      ],
    }
  }
  const shown: { readonly set: readonly Scored[]; readonly proposal: Proposal }[] = []
  // beyond those that are shown it goes on for the best that meets no plate
  for (const { set, score } of ranked) {
    const isClear = set.every((each) => each.isClear)
    const lacksClear = isClear && !shown.some((each) => each.set.every((one) => one.isClear))
    if (shown.length >= SHOWN && !lacksClear) continue
    const proposal = offer(set, score)
    if (!proposal) continue
    if (shown.length >= SHOWN) shown.pop()
    shown.push({ set, proposal })
  }
  const proposals = shown.map(({ proposal }) => proposal)
  return {
    proposals,
    tried: several ? sets.length : tried,
    clear: several ? countClear(sets) : clear,
    sections: layout.sections.length,
    plates: plates.size,
  }
}

function countClear(sets: readonly (readonly Scored[])[]): number {
  return sets.filter((set) => set.every(({ isClear }) => isClear)).length
}

function sameSet(a: readonly Scored[], b: readonly Scored[]): boolean {
  return a.length === b.length && a.every((each, i) => each.candidate === b[i]?.candidate)
}

/** Sets of one candidate a section that follow one gap, each set once. */
function commonGaps(bySection: readonly (readonly Scored[])[], allEnds: readonly Ends[]): Scored[][] {
  const sets = new Map<string, Scored[]>()
  for (const ends of allEnds) {
    const lists = bySection.map((list) =>
      list.filter(({ candidate }) => candidate.kind.startsWith(`${ends} `)),
    )
    const gaps = new Set(lists.flatMap((list) => list.map(({ candidate }) => candidate.gap)))
    for (const gap of gaps) {
      const set = lists.flatMap((list) => {
        const [nearest] = [...list].sort(
          (a, b) => Math.abs(a.candidate.gap - gap) - Math.abs(b.candidate.gap - gap),
        )
        return nearest ? [nearest] : []
      })
      sets.set(set.map(({ candidate }) => `${candidate.section.id} ${candidate.kind}`).join('|'), set)
    }
  }
  return [...sets.values()].filter((set) => set.length > 0)
}

function describe(set: readonly Scored[], score: number, design: Design, clearance: number): Proposal {
  const chosen = set.map(({ candidate }) => candidate)
  const widest = set.reduce((best, each) =>
    each.candidate.section.right - each.candidate.section.left >
    best.candidate.section.right - best.candidate.section.left
      ? each
      : best,
  )
  const { candidate, input } = widest
  const { countOf, places } = rulesOf(design)
  const facesOf = (each: SectionCandidate, its: ScoreInput) =>
    places === 'margins' ? boxSides(each, its) : each.lefts
  const clears = set.map(({ candidate: each, input: its }) =>
    leastClearance(facesOf(each, its), onlyPlates(its.barred), clearance),
  )
  const known = clears.filter((space) => space !== null)
  const middle = (candidate.section.left + candidate.section.right) / 2
  const inSection =
    input.axis !== null && input.axis > candidate.section.left && input.axis < candidate.section.right
  const [kind] = candidate.kind.split(' ')
  return {
    id: chosen.map(({ section, kind: k, shift }) => `${section.id} ${k} ${shift}`).join('|'),
    edits: editsFor(design, chosen),
    score,
    strips: chosen.reduce((sum, { lefts }) => sum + countOf(lefts.length), 0),
    gap: candidate.gap,
    offWish: candidate.gap - input.wish,
    ends: kind === 'center' || kind === 'uneven' ? kind : (kind as Ends),
    shift: candidate.shift,
    hits: set.flatMap(({ candidate: each, input: its }) => [
      ...thingsHit(facesOf(each, its), its.barred),
      ...levelHits(each, its),
    ]),
    clears: known.length > 0 ? Math.min(...known) : null,
    slivers: set.reduce((sum, { measures }) => sum + measures.slivers, 0),
    offAxis: offAxis(candidate.lefts, input.layout.stripWidth, inSection ? (input.axis ?? middle) : middle),
    onStuds: chosen.reduce((sum, { lefts }) => sum + onStuds(lefts, input.layout.stripWidth, input.studs), 0),
  }
}

function onlyPlates(barred: readonly Barred[]): Barred[] {
  return barred.filter(({ plate }) => plate)
}
