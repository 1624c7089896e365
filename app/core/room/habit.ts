import {
  type DesignDocument,
  inForce,
  type Spacing,
  startingDesign,
  startingOptions,
  type Survey,
  withDesign,
} from '~/model'
import { isChosenWeight } from '../asbuilt/builtUp'
import { rulesOf } from '../patterns/rules'

/** What a new wall's layout stands on: the baseboard that stays there, or what the layout has of its own. */
function footOn(design: DesignDocument, survey: Survey, chosen: boolean): DesignDocument {
  const onBase = survey.baseboard?.fate === 'keep'
  const { foot } = inForce(design)
  // a layout of no one's choice stands on the base there is; one that was chosen keeps its bottom rail
  if (onBase && (!chosen || foot.kind === 'floor')) return withDesign(design, { foot: { kind: 'baseboard' } })
  return !onBase && foot.kind === 'baseboard' ? withDesign(design, { foot: { kind: 'floor' } }) : design
}

/** Where a new wall starts with nothing to go by, on what stands at its foot. */
export function firstDesign(survey: Survey, materials: readonly { readonly id: string }[]): DesignDocument {
  return footOn(startingDesign(materials), survey, false)
}

/** A spacing that speaks of the other wall's own places speaks of none here. */
function elsewhere(spacing: Spacing): { spacing?: Spacing } {
  if (spacing.school === 'placed') return { spacing: startingOptions().spacing }
  return 'about' in spacing && spacing.about !== null ? { spacing: { ...spacing, about: null } } : {}
}

/**
 * Where a new wall starts that is laid out like another: the same patterns, stuff, frame and wishes. What belongs to the
 * other wall alone (its counts, what was moved or left out, its corners, its things) stays there.
 */
export function designLike(like: DesignDocument, survey: Survey): DesignDocument {
  const fresh = {
    ...like,
    own: { ...startingDesign().own, judgement: { ...like.own.judgement, about: null } },
  }
  const design = inForce(fresh)
  const { spacing } = design
  const own = rulesOf(design).withoutCount(design)
  // heights that rails came to on the other wall are no habit
  const rows = design.rows.every(isChosenWeight) ? design.rows : design.rows.map(() => 1)
  return footOn(withDesign(fresh, { ...own, ...elsewhere(spacing), rows }), survey, true)
}
