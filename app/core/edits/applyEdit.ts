import { addLengths, type Length, nanometers, tickOf } from '~/length'
import { type Design, type Edit, type Spacing, type Survey, WIDTHS_KEPT, type Workpiece } from '~/model'
import { materialOf } from '../layout/layout'

function withDesign(workpiece: Workpiece, patch: Partial<Design>): Workpiece {
  const { wall } = workpiece
  return { ...workpiece, wall: { ...wall, design: { ...wall.design, ...patch } } }
}

function withSurvey(workpiece: Workpiece, patch: Partial<Survey>): Workpiece {
  const { wall } = workpiece
  const { width, widthsBefore } = wall.survey
  const survey = { ...wall.survey, ...patch }
  // pieces may have been cut to the width that is typed over
  const kept = survey.width === width ? {} : { widthsBefore: [...widthsBefore, width].slice(-WIDTHS_KEPT) }
  return { ...workpiece, wall: { ...wall, survey: { ...survey, ...kept } } }
}

/** The nearest tick of the job's tape, at least one tick. */
function snapped(workpiece: Workpiece, length: number): Length {
  const tick = tickOf(workpiece.settings.tape)
  return nanometers(Math.max(1, Math.round(length / tick)) * tick)
}

/** A box of the width it was dragged to: the new wish, its limits widened where they would bar it. */
function withBoxWidth(workpiece: Workpiece, wanted: Length): Partial<Design> {
  const { boxes } = workpiece.wall.design
  const wish = snapped(workpiece, wanted)
  const [least, most] = [Math.min(boxes.least, wish), Math.max(boxes.most, wish)].map(nanometers)
  return { boxes: { ...boxes, wish, least: least ?? wish, most: most ?? wish, count: null } }
}

function withGap(workpiece: Workpiece, wanted: Length): Spacing {
  const { design } = workpiece.wall
  const { spacing } = design
  const gap = snapped(workpiece, wanted)
  const width = materialOf(workpiece.settings, design.battenMaterial).width
  const asMeasured = (measure: 'gap' | 'pitch') => (measure === 'gap' ? gap : addLengths(gap, width))
  switch (spacing.school) {
    case 'fromCenter':
    case 'fromEnd':
      return { ...spacing, wish: asMeasured(spacing.measure) }
    case 'nearWish':
      return {
        ...spacing,
        wish: asMeasured(spacing.measure),
        least: nanometers(Math.min(spacing.least, gap)),
        most: nanometers(Math.max(spacing.most, gap)),
        strips: null,
      }
    case 'equalByCount':
    case 'centerMarks':
    case 'toStuds':
    case 'placed': {
      const slack = nanometers(Math.round(gap / 2))
      return {
        school: 'nearWish',
        wish: gap,
        measure: 'gap',
        least: slack,
        most: addLengths(gap, slack),
        ends: spacing.school === 'equalByCount' ? spacing.ends : 'gap',
        strips: null,
      }
    }
  }
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
      return withDesign(workpiece, edit.patch)
    case 'setHeight':
      return withDesign(workpiece, { height: { rule: 'typed', value: snapped(workpiece, edit.height) } })
    case 'setGap':
      return withDesign(
        workpiece,
        workpiece.wall.design.pattern === 'boxes'
          ? withBoxWidth(workpiece, edit.gap)
          : { spacing: withGap(workpiece, edit.gap) },
      )
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
