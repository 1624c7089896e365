import { ZERO } from '~/length'
import type { Design, Spacing } from '~/model'
import type { LaidOut } from '../../layout/layout'
import type { Strip } from '../../strips/strip'
import { gridStrips } from '../grid/gridStrips'
import { asColumns, layGrid } from '../grid/layGrid'
import type { Laid, LayInput, PatternRules } from '../patternRules'

/** Uprights as a grid's stiles; without any, a frame's two sides, or nothing. */
export function lineSpacing({ spacing, border, lines }: Design): Spacing {
  if (lines.uprights) return asColumns(spacing, border !== 'none')
  return { school: 'equalByCount', strips: 2, ends: 'strip' }
}

/** The frame and the uprights: a grid of one row. */
export function layLines(input: LayInput): Laid {
  const { design } = input
  if (!design.lines.uprights && design.border === 'none')
    return { sections: [], uprights: [], bands: [], frames: [] }
  // the sides of a frame stand at the ends whatever was picked for uprights that are not there
  const own = design.lines.uprights ? {} : { shift: ZERO, sectionOwn: {}, sections: 'across' as const }
  return layGrid({ ...input, design: { ...design, ...own, rows: [1], spacing: lineSpacing(design) } })
}

/** The frame, the uprights and horizontals: what stands before the first move. */
export function standingBase(layout: LaidOut, rules: PatternRules): readonly Strip[] {
  return gridStrips(layout, rules)
}
