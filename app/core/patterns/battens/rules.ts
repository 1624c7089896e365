import type { PatternRules } from '../patternRules'
import { standingStrips } from '../standingStrips'
import { placeUprights } from '../uprights'
import { UPRIGHT_RULES, usualGaps, usualRailFoot } from '../uprightRules'

/** Battens on a base or a bottom rail, up to a top rail. */
export const battens: PatternRules = {
  ...UPRIGHT_RULES,
  uprightRole: 'batten',
  lay: (input) => ({ ...placeUprights(input, 'batten'), bands: [], frames: [] }),
  strips: (layout) => standingStrips(layout, battens),
  usual: ({ survey }) => ({
    battenMaterial: 'pine-1x3',
    spacing: usualGaps(16, 10, 24, 'gap'),
    foot: usualRailFoot(survey),
    topRail: { material: 'pine-1x4' },
    height: { rule: 'twoThirds' },
  }),
}
