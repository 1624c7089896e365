import { asSaid } from '../../strips/crossings'
import { grid } from '../grid/rules'
import type { PatternRules } from '../patternRules'
import { UPRIGHT_RULES, usualFoot, usualGaps } from '../uprightRules'
import { layLines, lineSpacing, standingBase } from './layLines'
import { runMoves } from './runMoves'

/** Strips at any angle, struck by a list of moves inside a frame and between uprights. */
export const lines: PatternRules = {
  ...UPRIGHT_RULES,
  uprightRole: 'stile',
  counts: ({ lines: { uprights } }) => uprights,
  lay: layLines,
  moves: (layout) => runMoves(layout, standingBase(layout, lines)),
  strips: (layout, moves) => moves?.strips ?? standingBase(layout, lines),
  usual: ({ survey }) => ({
    battenMaterial: 'pine-1x2',
    spacing: usualGaps(32, 20, 48, 'strip'),
    foot: usualFoot(survey),
    topRail: null,
    cap: null,
    height: { rule: 'full' },
    border: 'miter',
  }),
  materials: ({ lines: { moves } }) =>
    moves.flatMap(({ material }, i) => (material === null ? [] : [{ at: `lines.moves.${i}`, material }])),
  spacing: lineSpacing,
  givenEnds: (design) =>
    'ends' in lineSpacing(design) && design.border === 'none' && design.lines.uprights ? 'gap' : 'strip',
  footBevels: grid.footBevels,
  through: (design) => asSaid(grid.through(design)),
  withCount: (design, strips) => ({
    ...UPRIGHT_RULES.withCount(design, strips),
    lines: { ...design.lines, uprights: true },
  }),
  standsFree: false,
  framesItself: true,
  border: ({ border }) => border,
  railsByStock: ({ battenMaterial }) => battenMaterial,
}
