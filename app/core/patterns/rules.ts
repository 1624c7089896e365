import type { Design, Ends, Pattern } from '~/model'
import { battens } from './battens/rules'
import { boxes } from './boxes/rules'
import { grid } from './grid/rules'
import { lines } from './lines/rules'
import type { PatternRules } from './patternRules'
import { rails } from './rails/rules'
import { slats } from './slats/rules'

const RULES: Readonly<Record<Pattern, PatternRules>> = { battens, grid, boxes, slats, lines, rails }

/** What is particular to a pattern. No other file of the core knows one pattern from another. */
export function rulesOf({ pattern }: { readonly pattern: Pattern }): PatternRules {
  return RULES[pattern]
}

/** What stands at the ends of sections as a design has it: given by the pattern, else the school's own, else a gap. */
export function endsOf(design: Design): Ends {
  const given = rulesOf(design).givenEnds
  if (given) return given(design)
  return 'ends' in design.spacing ? design.spacing.ends : 'gap'
}
