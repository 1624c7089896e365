import { addLengths, subtractLengths } from '~/length'
import type { BesideWall, Design, Settings, Survey } from '~/model'
import type { LayInput } from '../patterns/patternRules'
import { rulesOf } from '../patterns/rules'
import type { SpacingIssue } from '../spacing'
import { baseAt } from '../survey/wallLines'
import { frameWall } from './bands'
import { type Field, fieldOf, materialIn } from './field'
import { named } from '../strips/stripId'
import { returningStrips } from './returning'
import type { LaidOut, Layout, SectionPlace, Upright } from './layout'

/** The first issue; a stretch too narrow for a box is none while others have theirs. */
function issueOf(sections: readonly SectionPlace[]): SpacingIssue | null {
  const some = sections.some(({ placement }) => placement !== null)
  const found = sections.find(({ issue }) => issue && !(some && issue.code === 'noRoomForBoxes'))
  return found?.issue ?? null
}

/** Whether uprights run through: asked for, or on a wall longer than the boards, where rails would be joined. */
function uprightsThrough({ design, longest, left, right }: Field): boolean {
  if (design.through !== 'byStock') return design.through === 'uprights'
  const railMaterial = rulesOf(design).railsByStock(design)
  return railMaterial !== null && right - left > (longest.get(railMaterial) ?? Infinity)
}

/** The fillers of a layout of uprights, at one end or at both; none where they would leave no wall between them. */
function fillersOf({ design, left, right }: Field): Upright[] {
  const { fillers } = design
  if (!fillers || rulesOf(design).places !== 'uprights') return []
  if ((fillers.left + fillers.right) * 2 > right - left) return []
  const both: Upright[] = [
    {
      ...named({ kind: 'leftFiller', number: null }),
      number: 1,
      left,
      right: addLengths(left, fillers.left),
    },
    {
      ...named({ kind: 'rightFiller', number: null }),
      number: 2,
      left: subtractLengths(right, fillers.right),
      right,
    },
  ]
  return both.filter((filler) => filler.right > filler.left)
}

/** Lays out a wall. Never fails: what cannot be is left out and told as an issue or by the findings. */
export function layOut(survey: Survey, design: Design, settings: Settings, beside?: BesideWall): Layout {
  const laidOut = placesOf(survey, design, settings, beside)
  const rules = rulesOf(design)
  const moves = rules.moves(laidOut)
  return { ...laidOut, moves, strips: [...rules.strips(laidOut, moves), ...returningStrips(laidOut)] }
}

/** The same without what a list of moves strikes: for whoever asks where uprights and horizontals go, many times over. */
export function layOutStanding(survey: Survey, design: Design, settings: Settings): Layout {
  const laidOut = placesOf(survey, design, settings)
  return {
    ...laidOut,
    moves: null,
    strips: [...rulesOf(design).strips(laidOut, null), ...returningStrips(laidOut)],
  }
}

/** Where uprights, horizontals and frames go, with no strip made of them yet. */
export function placesOf(survey: Survey, design: Design, settings: Settings, beside?: BesideWall): LaidOut {
  const field = fieldOf(survey, design, settings, beside)
  const { left, right, lines } = field
  const battenMaterial = materialIn(field, design.battenMaterial)
  const framing = frameWall(field)
  const fillers = fillersOf(field)
  const rules = rulesOf(design)
  const stripWidth = rules.stripWidth(field)
  const ends = [left, right].map((x) => baseAt(lines, x))
  const input: LayInput = {
    ...field,
    bands: framing.bands,
    left: fillers.find((filler) => filler.left === left)?.right ?? left,
    right: fillers.find((filler) => filler.right === right)?.left ?? right,
    foot: framing.uprightFoot,
    head: framing.uprightHead,
    stripWidth,
    range: {
      bottom: Math.min(...ends) + framing.uprightFoot,
      top: Math.max(...ends) + framing.uprightHead,
    },
  }
  const laid = rules.lay(input)
  const [only] = laid.sections
  return {
    ...field,
    pattern: design.pattern,
    battenMaterial,
    stripWidth,
    ...framing,
    bands: [...framing.bands, ...laid.bands],
    uprights: laid.uprights,
    fillers,
    frames: laid.frames,
    broken: laid.broken ?? [],
    sections: laid.sections,
    placement: laid.sections.length === 1 ? (only?.placement ?? null) : null,
    spacingIssue: issueOf(laid.sections),
    uprightsThrough: uprightsThrough(field),
  }
}
