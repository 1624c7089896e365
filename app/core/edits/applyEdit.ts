import {
  type Design,
  type Edit,
  type Survey,
  WIDTHS_KEPT,
  type Workpiece,
  inForce,
  withDesign,
} from '~/model'
import { rulesOf } from '../patterns/rules'
import { onTick } from './onTick'

function designed(workpiece: Workpiece, patch: Partial<Design>): Workpiece {
  const { wall } = workpiece
  return { ...workpiece, wall: { ...wall, design: withDesign(wall.design, patch) } }
}

function withSurvey(workpiece: Workpiece, patch: Partial<Survey>): Workpiece {
  const { wall } = workpiece
  const { width, widthsBefore } = wall.survey
  const survey = { ...wall.survey, ...patch }
  // pieces may have been cut to the width that is typed over
  const kept = survey.width === width ? {} : { widthsBefore: [...widthsBefore, width].slice(-WIDTHS_KEPT) }
  return { ...workpiece, wall: { ...wall, survey: { ...survey, ...kept } } }
}

/**
 * Carries out one edit and returns the new documents; the old ones stay as they were. Heights and gaps set
 * on the drawing land on the tape's nearest tick. Typed values arrive in patches and are taken as typed.
 */
export function applyEdit(workpiece: Workpiece, edit: Edit): Workpiece {
  const { settings } = workpiece
  switch (edit.type) {
    case 'patchSurvey':
      return withSurvey(workpiece, edit.patch)
    case 'patchDesign':
      return designed(workpiece, edit.patch)
    case 'setHeight':
      return designed(workpiece, { height: { rule: 'typed', value: onTick(workpiece, edit.height) } })
    case 'setGap':
      return designed(workpiece, rulesOf(inForce(workpiece.wall.design)).withGap(workpiece, edit.gap))
    case 'patchSettings':
      return { ...workpiece, settings: { ...settings, ...edit.patch } }
    case 'addMaterial': {
      const others = settings.materials.filter(({ id }) => id !== edit.material.id)
      return { ...workpiece, settings: { ...settings, materials: [...others, edit.material] } }
    }
    case 'setOffer': {
      const others = settings.shop.offers.filter((offer) => offer.id !== edit.offer.id)
      const at = settings.shop.offers.findIndex((offer) => offer.id === edit.offer.id)
      const offers = at < 0 ? [...others, edit.offer] : settings.shop.offers.with(at, edit.offer)
      return { ...workpiece, settings: { ...settings, shop: { ...settings.shop, offers } } }
    }
    case 'removeOffer': {
      const offers = settings.shop.offers.filter((offer) => offer.id !== edit.id)
      return { ...workpiece, settings: { ...settings, shop: { ...settings.shop, offers } } }
    }
  }
}

/** Carries out edits one after the other. */
export function applyEdits(workpiece: Workpiece, edits: readonly Edit[]): Workpiece {
  return edits.reduce(applyEdit, workpiece)
}
