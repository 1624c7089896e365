import { addLengths, fail, type Length, nearestNanometer, type Result } from '~/length'
import type { Design, Ends, Material, Spacing } from '~/model'
import { type Band } from '../../layout/layout'
import { materialIn } from '../../layout/field'
import { placementAt, type Placement, placeStrips, type SpacingIssue, type SpanContext } from '../../spacing'
import type { Laid, LayInput } from '../patternRules'
import { named } from '../../strips/stripId'
import { placeUprights } from '../uprights'

/** A border with a rail at its foot. */
function hasFoot(border: Design['border']): boolean {
  return border === 'butt' || border === 'miter'
}

/** A border without a rail at its foot: it stands on what stays there. */
export function isThreeSided(border: Design['border']): boolean {
  return border === 'threeSided' || border === 'threeSidedMiter'
}

/** How many rails rows take: those between them, and the border's. */
export function railsOf(rows: number, border: Design['border']): number {
  return rows - 1 + (border === 'none' ? 0 : hasFoot(border) ? 2 : 1)
}

/** With a border its stiles stand hard at the ends, without one the walls bound the cells. */
export function asColumns(spacing: Spacing, border: boolean): Spacing {
  const ends: Ends = border ? 'strip' : 'gap'
  if ('ends' in spacing) return { ...spacing, ends }
  return border && spacing.school === 'fromEnd' ? { ...spacing, startWith: 'strip' } : spacing
}

/**
 * A grid's stiles. A border has its side stiles whatever the school; of the others those stay that leave a gap to
 * them. Positions from the span's left end.
 */
function placeColumns(
  spacing: Spacing,
  span: Length,
  stripWidth: Length,
  context: SpanContext,
  border: boolean,
): Result<Placement, SpacingIssue> {
  const placed = placeStrips(asColumns(spacing, border), span, stripWidth, context)
  if (!border || 'ends' in spacing) return placed
  if (!placed.ok && placed.issue.code !== 'noStripFits') return placed
  if (span < 2 * stripWidth) return fail({ code: 'noStripFits', span, stripWidth })
  const inner = (placed.ok ? placed.value.nearEdges : []).filter(
    (edge) => edge > stripWidth && edge + stripWidth < span - stripWidth,
  )
  return placementAt([0, ...inner, span - stripWidth], span, stripWidth)
}

/**
 * The rows of a grid between two heights: their rails from the bottom up. Free height is shared out by the rows'
 * weights. Heights above the base line, each rounded once.
 */
export function gridRails(
  rows: readonly number[],
  bottom: number,
  top: number,
  material: Material,
  border: Design['border'],
): { bands: Band[]; issue: SpacingIssue | null } {
  const [atFoot, atHead] = [hasFoot(border), border !== 'none']
  const count = railsOf(rows.length, border)
  const free = top - bottom - count * material.width
  if (free <= 0)
    return {
      bands: [],
      issue: {
        code: 'rowsTooMany',
        rows: rows.length,
        needed: nearestNanometer(count * material.width),
        height: nearestNanometer(top - bottom),
      },
    }
  const total = rows.reduce((sum, weight) => sum + weight, 0)
  const before = (n: number) => rows.slice(0, n).reduce((sum, weight) => sum + weight, 0)
  const bands = Array.from({ length: count }, (_, i): Band => {
    const rowsBelow = atFoot ? i : i + 1
    const at = bottom + i * material.width + (free * before(rowsBelow)) / total
    const edge = nearestNanometer(at)
    const isTop = atHead && i === count - 1
    return {
      ...named({ kind: 'gridRail', number: i + 1 }),
      role: (atFoot && i === 0) || isTop ? 'border' : 'rail',
      material,
      bottom: edge,
      top: addLengths(edge, material.width),
      held: isTop ? 'top' : 'bottom',
      standsOut: material.thickness,
    }
  })
  return { bands, issue: null }
}

/** A grid: stiles by the chosen spacing, rails by the rows' weights, all of one material. */
export function layGrid(input: LayInput): Laid {
  const { design, foot, head } = input
  const border = design.border !== 'none'
  const { bands, issue } = gridRails(
    design.rows,
    foot,
    head,
    materialIn(input, design.battenMaterial),
    design.border,
  )
  const placed = placeUprights(input, 'stile', (...of) => placeColumns(...of, border))
  return {
    bands,
    frames: [],
    uprights: placed.uprights,
    sections: issue
      ? placed.sections.map((section) => ({ ...section, issue: section.issue ?? issue }))
      : placed.sections,
  }
}
