import type { Design } from '~/model'
import type { PatternRules } from '../patternRules'
import { levelStrips } from '../standingStrips'
import { UPRIGHT_RULES, usualFoot } from '../uprightRules'

/** What a wall of rails alone starts with. */
const FIRST_RAIL: Design['rails'][number] = {
  id: 'chairRail-1',
  use: 'chairRail',
  material: 'chair-rail',
  lay: 'edge',
  top: { rule: 'third' },
}

/** Horizontals alone. */
export const rails: PatternRules = {
  ...UPRIGHT_RULES,
  uprightRole: 'batten',
  lay: () => ({ sections: [], uprights: [], bands: [], frames: [] }),
  strips: levelStrips,
  usual: ({ survey }) => ({ foot: usualFoot(survey), topRail: null, cap: null }),
  brings: ({ rails }) => (rails.length > 0 ? {} : { rails: [FIRST_RAIL] }),
  // the rail that only came with the pattern, untouched since
  leaves: ({ rails: [only, ...others] }) =>
    others.length === 0 && JSON.stringify(only) === JSON.stringify(FIRST_RAIL) ? { rails: [] } : {},
  places: null,
  counts: () => false,
  // of rails alone the first is the one whose height is asked for
  withHeight: ({ rails: [first, ...others] }, top) =>
    first ? { rails: [{ ...first, top }, ...others] } : { height: top },
  standsFree: false,
  footBevels: () => false,
}
