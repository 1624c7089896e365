import { addLengths, inches, type Length, nanometers, ZERO } from '~/length'
import {
  type Design,
  type Ends,
  type Spacing,
  type SpacingOf,
  type Survey,
  type Workpiece,
  inForce,
} from '~/model'
import { onTick } from '../edits/onTick'
import { materialIn } from '../layout/field'
import { byTier } from '../strips/crossings'
import { lapped } from './standingStrips'
import type { PatternRules } from './patternRules'

/** Clear gaps near a wish, in inches, as a pattern usually starts with. */
export function usualGaps(wish: number, least: number, most: number, ends: Ends): SpacingOf<'nearWish'> {
  return {
    school: 'nearWish',
    wish: inches(wish),
    measure: 'gap',
    least: inches(least),
    most: inches(most),
    ends,
    strips: null,
  }
}

/** What a layout stands on where it has no bottom rail: the kept baseboard, or else the floor. */
export function usualFoot({ baseboard }: Survey): Design['foot'] {
  return baseboard?.fate === 'keep' ? { kind: 'baseboard' } : { kind: 'floor' }
}

/** What a framed layout stands on: the kept baseboard, or else a bottom rail. */
export function usualRailFoot({ baseboard }: Survey): Design['foot'] {
  return baseboard?.fate === 'keep' ? { kind: 'baseboard' } : { kind: 'rail', material: 'pine-1x4' }
}

/** The spacing with a count of its own: schools that take no count become equal gaps by count. */
function counted(spacing: Spacing, strips: number): Spacing {
  if (spacing.school === 'nearWish' || spacing.school === 'equalByCount') return { ...spacing, strips }
  return { school: 'equalByCount', strips, ends: 'gap' }
}

function withGap(workpiece: Workpiece, wanted: Length): Partial<Design> {
  const { spacing, battenMaterial } = inForce(workpiece.wall.design)
  const gap = onTick(workpiece, wanted)
  const width = workpiece.settings.materials.find(({ id }) => id === battenMaterial)?.width ?? ZERO
  const asMeasured = (measure: 'gap' | 'pitch') => (measure === 'gap' ? gap : addLengths(gap, width))
  switch (spacing.school) {
    case 'fromCenter':
    case 'fromEnd':
      return { spacing: { ...spacing, wish: asMeasured(spacing.measure) } }
    case 'nearWish':
      return {
        spacing: {
          ...spacing,
          wish: asMeasured(spacing.measure),
          least: nanometers(Math.min(spacing.least, gap)),
          most: nanometers(Math.max(spacing.most, gap)),
          // a gap that was pulled to the limit itself is wanted there
          ...(gap <= spacing.least ? { moreThan: false } : {}),
          strips: null,
        },
      }
    case 'equalByCount':
    case 'centerMarks':
    case 'toStuds':
    case 'placed': {
      const slack = nanometers(Math.round(gap / 2))
      return {
        spacing: {
          school: 'nearWish',
          wish: gap,
          measure: 'gap',
          least: slack,
          most: addLengths(gap, slack),
          ends: spacing.school === 'equalByCount' ? spacing.ends : 'gap',
          strips: null,
        },
      }
    }
  }
}

/** What patterns of uprights have in common; each says the rest, and what it does otherwise. */
export const UPRIGHT_RULES = {
  brings: () => ({}),
  leaves: () => ({}),
  materials: () => [],
  moves: () => null,
  counts: () => true,
  places: 'uprights',
  stripWidth: (field) => materialIn(field, field.design.battenMaterial).width,
  faceWidth: (field) => materialIn(field, field.design.battenMaterial).width,
  spacing: ({ spacing }) => spacing,
  givenEnds: null,
  // a shift was chosen for another count
  withCount: ({ spacing }, strips) => ({ spacing: counted(spacing, strips), shift: ZERO }),
  withoutCount: ({ spacing }) => ({
    spacing: spacing.school === 'nearWish' ? { ...spacing, strips: null } : spacing,
  }),
  countOf: (strips) => strips,
  stripsOf: (count) => count,
  withGap,
  withHeight: (_, height) => ({ height }),
  through: ({ through }) => (through === 'lapped' ? lapped : byTier),
  standsFree: true,
  footBevels: () => true,
  framesItself: false,
  hasCells: false,
  border: () => 'none',
  railsByStock: () => null,
} satisfies Partial<PatternRules>
