import type { Design, Ends } from '~/model'
import type { PatternRules } from '../patternRules'
import { UPRIGHT_RULES, usualFoot, usualGaps } from '../uprightRules'
import { gridStrips, miteredHead } from './gridStrips'
import { asColumns, isThreeSided, layGrid } from './layGrid'

/** With a border its stiles stand at the walls, without one a cell does. */
const givenEnds = ({ border }: Design): Ends => (border === 'none' ? 'gap' : 'strip')

/** Stiles and rails that cross, within a border or from wall to wall. */
export const grid: PatternRules = {
  ...UPRIGHT_RULES,
  uprightRole: 'stile',
  lay: layGrid,
  strips: (layout) => gridStrips(layout, grid),
  usual: ({ survey }) => ({
    battenMaterial: 'pine-1x4',
    spacing: usualGaps(24, 14, 40, 'strip'),
    foot: usualFoot(survey),
    topRail: null,
    cap: null,
    height: { rule: 'full' },
    rows: [1, 1, 1],
  }),
  spacing: ({ spacing, border }) => asColumns(spacing, border !== 'none'),
  givenEnds,
  footBevels: ({ border }) => isThreeSided(border),
  through: (design) =>
    design.border === 'threeSidedMiter' ? miteredHead(design) : UPRIGHT_RULES.through(design),
  standsFree: false,
  framesItself: true,
  hasCells: true,
  border: ({ border }) => border,
  railsByStock: ({ battenMaterial }) => battenMaterial,
}
