import type { PatternRules } from '../patternRules'
import { standingStrips } from '../standingStrips'
import { placeUprights } from '../uprights'
import { UPRIGHT_RULES, usualFoot, usualGaps } from '../uprightRules'

/** Slats close together, from the floor to the ceiling. */
export const slats: PatternRules = {
  ...UPRIGHT_RULES,
  uprightRole: 'slat',
  lay: (input) => ({ ...placeUprights(input, 'slat'), bands: [], frames: [] }),
  strips: (layout) => standingStrips(layout, slats),
  usual: ({ survey }) => ({
    battenMaterial: 'pine-1x2',
    spacing: usualGaps(1.5, 0.5, 4, 'gap'),
    foot: usualFoot(survey),
    topRail: null,
    cap: null,
    height: { rule: 'full' },
  }),
}
