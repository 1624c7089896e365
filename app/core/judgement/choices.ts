import { nearestNanometer, ZERO } from '~/length'
import { type Edit, type Workpiece, inForce } from '~/model'
import { cellChoices, type CellChoice } from '../patterns/grid/cellShape'
import { rulesOf } from '../patterns/rules'
import type { Layout } from '../layout/layout'
import { choicesAround, type CountChoice, countChoices } from '../spacing'
import { wishOf } from './candidates'

/** A count that closes the wall, and the press that takes it. `count` is of strips, or of boxes. */
export interface CountWay extends CountChoice {
  readonly count: number
  readonly edits: readonly Edit[]
}

/** The counts whose equal gaps (box widths) close the one section of a wall, nearest to the wish; none for other schools. */
export function countWays({ wall }: Workpiece, layout: Layout, howMany: number): CountWay[] {
  const design = inForce(wall.design)
  const { counts, spacing: spacingOf, countOf, withCount } = rulesOf(design)
  const [section, ...more] = layout.sections
  if (!section || more.length > 0 || section.id !== 'all' || !counts(design)) return []
  const spacing = spacingOf(design)
  if (spacing.school !== 'nearWish') return []
  const span = nearestNanometer(section.right - section.left)
  return choicesAround(countChoices(spacing, span, layout.stripWidth), howMany)
    .filter(({ gap }) => gap > 0)
    .map((choice) => ({
      ...choice,
      count: countOf(choice.strips),
      edits: [
        { type: 'patchDesign', patch: { ...withCount(design, countOf(choice.strips)), sectionOwn: {} } },
      ],
    }))
}

/** A grid by its cells, and the press that takes it. */
export interface CellWay extends CellChoice {
  readonly edits: readonly Edit[]
}

/** Counts of columns and rows whose cells come nearest to a proportion, width to height. */
export function cellWays(
  { wall }: Workpiece,
  layout: Layout,
  proportion: number,
  howMany: number,
): CellWay[] {
  const design = inForce(wall.design)
  const border = design.border !== 'none'
  const [section] = layout.sections
  if (!rulesOf(design).hasCells || !section || layout.sections.length > 1) return []
  return cellChoices(
    nearestNanometer(section.right - section.left),
    nearestNanometer(layout.uprightHead - layout.uprightFoot),
    layout.stripWidth,
    design.border,
    proportion,
    wishOf(design, layout),
  )
    .filter(({ columns }) => border || columns > 1)
    .slice(0, howMany)
    .map((choice) => ({
      ...choice,
      edits: [
        {
          type: 'patchDesign',
          patch: {
            rows: Array<number>(choice.rows).fill(1),
            shift: ZERO,
            sectionOwn: {},
            spacing: {
              school: 'equalByCount',
              strips: border ? choice.columns + 1 : choice.columns - 1,
              ends: border ? 'strip' : 'gap',
            },
          },
        },
      ],
    }))
}
