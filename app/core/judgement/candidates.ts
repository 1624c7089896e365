import { type Length, nearestNanometer, tickOf } from '~/length'
import {
  type Design,
  type Edit,
  type Ends,
  type Spacing,
  type SpacingOf,
  type Workpiece,
  inForce,
} from '~/model'
import { type Layout, type SectionPlace } from '../layout/layout'
import { rulesOf } from '../patterns/rules'
import { contextOf } from '../patterns/uprights'
import { countChoices, placeStrips, type Placement } from '../spacing'
import type { Barred } from './barred'
import { unevenBays } from './unevenBays'

/** One way to lay out one section. Left edges are from the wall's left corner. */
export interface SectionCandidate {
  readonly section: SectionPlace
  readonly spacing: Spacing
  readonly shift: number
  readonly placement: Placement
  readonly lefts: readonly number[]
  /** The gap it is built on (a box's width), exact. */
  readonly gap: number
  /** Candidates alike but for their shift; the best of a kind is shown. */
  readonly kind: string
}

/** What is wished and within what limits, whatever the school: a school without limits is given half and double. */
export function wishOf(design: Design, layout: Layout): SpacingOf<'nearWish'> {
  const spacing = rulesOf(design).spacing(design)
  if (spacing.school === 'nearWish') return { ...spacing, strips: null }
  const placement = layout.sections[0]?.placement
  const now = 'wish' in spacing && spacing.measure === 'gap' ? spacing.wish : placement?.gaps[0]
  const wish = nearestNanometer(Math.max(1, now ?? placement?.leftEnd ?? (layout.right - layout.left) / 8))
  return {
    school: 'nearWish',
    wish,
    measure: 'gap',
    least: nearestNanometer(wish / 2),
    most: nearestNanometer(wish * 2),
    ends: 'ends' in spacing ? spacing.ends : 'gap',
    strips: null,
  }
}

/** The end conditions a pattern leaves open: a grid's and the boxes' are given. */
export function endsFor(design: Design): readonly Ends[] {
  const given = rulesOf(design).givenEnds
  return given ? [given(design)] : design.judgement.ends
}

function shiftsFor(placement: Placement, upTo: number, tick: number): number[] {
  const shifts = [0]
  for (let by = tick; by <= upTo; by += tick) {
    if (by <= placement.rightEnd) shifts.push(by)
    if (by <= placement.leftEnd) shifts.push(-by)
  }
  return shifts
}

function leftsAt(section: SectionPlace, { nearEdges }: Placement, shift: number): number[] {
  return nearEdges.map((edge) => section.left + edge + shift)
}

/** Every way to lay out one section within the limits. */
export function sectionCandidates(
  { wall, settings }: Workpiece,
  layout: Layout,
  section: SectionPlace,
  barred: readonly Barred[],
): SectionCandidate[] {
  const { survey } = wall
  const design = inForce(wall.design)
  const { judgement } = design
  const tick = tickOf(settings.tape)
  const span = nearestNanometer(section.right - section.left)
  const { stripWidth } = layout
  const wish = wishOf(design, layout)
  const canShift = rulesOf(design).standsFree
  const found: SectionCandidate[] = []
  const add = (spacing: Spacing, placement: Placement, gap: number, kind: string, upTo: number) => {
    for (const shift of shiftsFor(placement, canShift ? upTo : 0, tick))
      found.push({ section, spacing, shift, placement, lefts: leftsAt(section, placement, shift), gap, kind })
  }
  for (const ends of endsFor(design)) {
    for (const { strips, gap, withinLimits } of countChoices({ ...wish, ends }, span, stripWidth)) {
      if (!withinLimits) continue
      const spacing: Spacing = { ...wish, ends, strips }
      const placed = placeStrips(spacing, span, stripWidth)
      if (!placed.ok) continue
      add(spacing, placed.value, gap, `${ends} ${strips}`, judgement.shiftUpTo)
      if (!canShift || judgement.baysDiffer <= 0 || section.id !== 'all') continue
      const step = (from: readonly Barred[]) =>
        steppedAside(span, stripWidth, strips, ends, judgement.baysDiffer, section, from, tick)
      // trim that no count can miss must not hide that the plates can be missed
      const uneven = step(barred) ?? step(barred.filter(({ plate }) => plate))
      if (uneven)
        found.push({
          section,
          spacing: { school: 'placed', nearEdges: uneven.nearEdges as Length[] },
          shift: 0,
          placement: uneven,
          lefts: leftsAt(section, uneven, 0),
          gap: uneven.gaps[0] ?? uneven.leftEnd,
          kind: `uneven ${ends} ${strips}`,
        })
    }
  }
  if (!canShift || section.id !== 'all') return found
  for (const about of new Set([null, judgement.about]))
    for (const centerOn of ['strip', 'gap'] as const) {
      const spacing: Spacing = {
        school: 'fromCenter',
        wish: wish.wish,
        measure: wish.measure,
        centerOn,
        about,
      }
      const placed = placeStrips(spacing, span, stripWidth, contextOf(survey, section))
      const gap = placed.ok ? (placed.value.gaps[0] ?? 0) : 0
      if (placed.ok && placed.value.nearEdges.length > 1)
        add(spacing, placed.value, gap, `center ${centerOn} ${about ?? ''}`, judgement.shiftUpTo)
    }
  return found
}

function steppedAside(
  span: Length,
  stripWidth: Length,
  strips: number,
  ends: Ends,
  differ: number,
  section: SectionPlace,
  barred: readonly Barred[],
  tick: number,
): Placement | null {
  const here = barred.map(({ from, to }) => ({ from: from - section.left, to: to - section.left }))
  const lefts = unevenBays(span, stripWidth, strips, ends, differ, here, tick)
  if (!lefts) return null
  const placed = placeStrips(
    { school: 'placed', nearEdges: lefts.map((left) => nearestNanometer(Math.max(0, left))) },
    span,
    stripWidth,
  )
  return placed.ok ? placed.value : null
}

/** The edits that lay the wall out as one candidate a section says. */
export function editsFor(design: Design, chosen: readonly SectionCandidate[]): Edit[] {
  const [first] = chosen
  if (!first) return []
  const { countOf, places, withCount } = rulesOf(design)
  const strips = ({ spacing }: SectionCandidate) => ('strips' in spacing ? spacing.strips : null)
  const count = (each: SectionCandidate) => {
    return countOf(strips(each) ?? each.placement.nearEdges.length)
  }
  if (chosen.length === 1 && first.section.id === 'all') {
    if (places === 'margins')
      return [{ type: 'patchDesign', patch: { ...withCount(design, count(first)), sectionOwn: {} } }]
    return [
      {
        type: 'patchDesign',
        patch: { spacing: first.spacing, shift: nearestNanometer(first.shift), sectionOwn: {} },
      },
    ]
  }
  const sectionOwn = Object.fromEntries(
    chosen.map((each) => [each.section.id, { strips: count(each), shift: nearestNanometer(each.shift) }]),
  )
  const { spacing } = first
  return [
    {
      type: 'patchDesign',
      patch:
        places === 'margins'
          ? { sectionOwn }
          : { sectionOwn, spacing: spacing.school === 'nearWish' ? { ...spacing, strips: null } : spacing },
    },
  ]
}
