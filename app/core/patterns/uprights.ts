import { addLengths, type Length, nearestNanometer, type Result, subtractLengths, ZERO } from '~/length'
import type { Design, Spacing, Survey } from '~/model'
import type { Section, SectionPlace } from '../layout/layout'
import { sway } from '../layout/lean'
import { dividesUprights, oneSection, sectionsBeside } from '../layout/sections'
import {
  BARE_SPAN,
  type Placement,
  placePlaced,
  placeStrips,
  shiftPlacement,
  type SpacingIssue,
  type SpanContext,
} from '../spacing'
import { named } from '../strips/stripId'
import type { Laid, LayInput, PatternRules } from './patternRules'

/** What the schools may need to know of a section, from its left end. */
export function contextOf(survey: Survey, section: Section): SpanContext {
  return {
    studs: survey.behind.studs.map((stud) => stud - section.left),
    middles: new Map(survey.things.map((thing) => [thing.id, thing.left + thing.width / 2 - section.left])),
  }
}

/** The spacing a section goes by: the wall's, with the section's own count. */
function spacingIn(section: Section, design: Design): Spacing {
  const { spacing } = design
  const own = design.sectionOwn[section.id]?.strips
  if (own === null || own === undefined) return spacing
  const ends = 'ends' in spacing ? spacing.ends : 'gap'
  return spacing.school === 'nearWish'
    ? { ...spacing, strips: own }
    : { school: 'equalByCount', strips: own, ends }
}

/** Places strips on a span; a pattern may have its own way. */
export type PlaceOnSpan = (
  spacing: Spacing,
  span: Length,
  stripWidth: Length,
  context: SpanContext,
) => Result<Placement, SpacingIssue>

function placeSection(section: Section, place: PlaceOnSpan, input: LayInput): SectionPlace {
  const { survey, design, stripWidth } = input
  const span = nearestNanometer(section.right - section.left)
  // where the wall is built already nothing goes by a school any more
  const built = design.sectionOwn[section.id]?.places
  if (built) {
    const nearEdges = built.map(({ left }) => left)
    const stands = placePlaced({ school: 'placed', nearEdges }, span, stripWidth, BARE_SPAN)
    return {
      ...section,
      row: 0,
      placement: stands.ok ? stands.value : null,
      issue: stands.ok ? null : stands.issue,
      shifted: ZERO,
    }
  }
  const placed = place(spacingIn(section, design), span, stripWidth, contextOf(survey, section))
  const shift = section.id === 'all' ? design.shift : (design.sectionOwn[section.id]?.shift ?? 0)
  const placement = placed.ok ? shiftPlacement(placed.value, nearestNanometer(shift)) : null
  return {
    ...section,
    row: 0,
    placement,
    issue: placed.ok ? null : placed.issue,
    shifted: placement && placed.ok ? subtractLengths(placement.leftEnd, placed.value.leftEnd) : ZERO,
  }
}

/** The least height of an upright over or under an opening. Common practice, no source. */
const SHORTEST_UPRIGHT = 50_800_000 // 2 in

function hasRoom(section: Section, { range }: LayInput): boolean {
  if (section.id === 'all') return true
  return section.free.some(
    ({ bottom, top }) => Math.min(top, range.top) - Math.max(bottom, range.bottom) > SHORTEST_UPRIGHT,
  )
}

/** A section as far as uprights that lean keep clear of what bounds it; the wall's own ends are taken up in the field's. */
function withinLean(section: Section, input: LayInput): Section {
  const { range, left, right } = input
  const atLeft = section.left > left ? sway(input, section.left, range).left : 0
  const atRight = section.right < right ? sway(input, section.right, range).right : 0
  return atLeft === 0 && atRight === 0
    ? section
    : { ...section, left: Math.ceil(section.left - atLeft), right: Math.floor(section.right - atRight) }
}

/** Uprights section by section, numbered from the left. */
export function placeUprights(
  input: LayInput,
  role: PatternRules['uprightRole'],
  place: PlaceOnSpan = placeStrips,
): Pick<Laid, 'sections' | 'uprights'> {
  const { design, left, right, obstacles, range, stripWidth } = input
  const all =
    design.sections === 'beside'
      ? sectionsBeside(left, right, range, obstacles, dividesUprights)
      : oneSection(left, right)
  const sections = all
    .map((section) => withinLean(section, input))
    .filter((section) => hasRoom(section, input))
    .map((section) => placeSection(section, place, input))
  const uprights = sections
    .flatMap(({ left: from, placement }) =>
      (placement?.nearEdges ?? []).map((edge) => addLengths(nearestNanometer(from), edge)),
    )
    .map((edge, i) => {
      const { id, name } = named({ kind: role, number: i + 1 })
      return { id, name, number: i + 1, left: edge, right: addLengths(edge, stripWidth) }
    })
  return { sections, uprights }
}
