import { addLengths, type Length, nearestNanometer, subtractLengths } from '~/length'
import type { Design, Settings, Survey } from '~/model'
import type { LayInput } from '../patterns/patternRules'
import { rulesOf } from '../patterns/rules'
import type { SpacingIssue } from '../spacing'
import { obstaclesOf } from '../survey/obstacles'
import { baseAt, wallLines } from '../survey/wallLines'
import { wallShape } from '../survey/wallShape'
import { frameWall } from './bands'
import { type Layout, longestBoard, materialOf, type SectionPlace, type Upright } from './layout'

/** The first issue; a stretch too narrow for a box is none while others have theirs. */
function issueOf(sections: readonly SectionPlace[]): SpacingIssue | null {
  const some = sections.some(({ placement }) => placement !== null)
  const found = sections.find(({ issue }) => issue && !(some && issue.code === 'noRoomForBoxes'))
  return found?.issue ?? null
}

/** Whether uprights run through: asked for, or on a wall longer than the boards, where rails would be joined. */
function uprightsThrough(design: Design, settings: Settings, span: number): boolean {
  if (design.through !== 'byStock') return design.through === 'uprights'
  const railMaterial = rulesOf(design).railsByStock(design)
  const longest = railMaterial === null ? null : longestBoard(settings, railMaterial)
  return longest !== null && span > longest
}

/** The two fillers of a layout of uprights; none where they would leave no wall between them. */
function fillersOf(design: Design, left: Length, right: Length): Upright[] {
  const { fillers } = design
  if (!fillers || rulesOf(design).places !== 'uprights') return []
  if ((fillers.left + fillers.right) * 2 > right - left) return []
  return [
    { id: 'filler-left', number: 1, left, right: addLengths(left, fillers.left) },
    { id: 'filler-right', number: 2, left: subtractLengths(right, fillers.right), right },
  ]
}

/** Lays out a wall. Never fails: what cannot be is left out and told as an issue or by the findings. */
export function layOut(survey: Survey, design: Design, settings: Settings): Layout {
  const shape = wallShape(survey)
  const lines = wallLines(survey, shape, design.levelRule)
  const obstacles = obstaclesOf(survey).filter(({ id }) => !lines.followed.includes(id))
  const battenMaterial = materialOf(settings, design.battenMaterial)
  const framing = frameWall(survey, design, settings, lines)
  const left = nearestNanometer(Math.max(lines.left, design.extent?.left ?? -Infinity))
  const right = nearestNanometer(Math.max(left, Math.min(lines.right, design.extent?.right ?? Infinity)))
  const fillers = fillersOf(design, left, right)
  const rules = rulesOf(design)
  const stripWidth = rules.stripWidth(design, settings)
  const ends = [left, right].map((x) => baseAt(lines, x))
  const input: LayInput = {
    survey,
    settings,
    shape,
    lines,
    bands: framing.bands,
    design,
    obstacles,
    left: fillers[0]?.right ?? left,
    right: fillers[1]?.left ?? right,
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
    pattern: design.pattern,
    shape,
    obstacles,
    lines,
    battenMaterial,
    stripWidth,
    left,
    right,
    ...framing,
    bands: [...framing.bands, ...laid.bands],
    uprights: laid.uprights,
    fillers,
    frames: laid.frames,
    sections: laid.sections,
    placement: laid.sections.length === 1 ? (only?.placement ?? null) : null,
    spacingIssue: issueOf(laid.sections),
    uprightsThrough: uprightsThrough(design, settings, right - left),
  }
}
