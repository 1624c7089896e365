import { type Length, nanometers } from '~/length'
import { type Design, type Workpiece, inForce } from '~/model'
import { onTick } from '../../edits/onTick'
import { materialIn } from '../../layout/field'
import type { PatternRules } from '../patternRules'
import { UPRIGHT_RULES, usualRailFoot } from '../uprightRules'
import { boxStrips } from './boxStrips'
import { boxSpacing, layBoxes } from './layBoxes'

/** A box of the width it was pulled to: the new wish, its limits widened where they would bar it. */
function withWidth(workpiece: Workpiece, wanted: Length): Partial<Design> {
  const { boxes } = inForce(workpiece.wall.design)
  const wish = onTick(workpiece, wanted)
  return {
    boxes: {
      ...boxes,
      wish,
      least: nanometers(Math.min(boxes.least, wish)),
      most: nanometers(Math.max(boxes.most, wish)),
      ...(wish <= boxes.least ? { moreThan: false } : {}),
      count: null,
    },
  }
}

/** Frames of molding. What is placed are the margins between them, so that every school and count serves boxes too. */
export const boxes: PatternRules = {
  ...UPRIGHT_RULES,
  uprightRole: 'stile',
  lay: layBoxes,
  strips: boxStrips,
  usual: ({ survey }) => ({
    foot: usualRailFoot(survey),
    topRail: { material: 'chair-rail' },
    cap: null,
    height: { rule: 'third' },
  }),
  materials: (design) => [{ at: 'boxes.moulding', material: design.boxes.moulding }],
  places: 'margins',
  stripWidth: ({ design }) => design.boxes.margin,
  faceWidth: (field) => materialIn(field, field.design.boxes.moulding).width,
  spacing: (design) => boxSpacing(design.boxes, design.boxes.count),
  givenEnds: () => 'strip',
  withCount: (design, count) => ({ boxes: { ...design.boxes, count } }),
  withoutCount: (design) => ({ boxes: { ...design.boxes, count: null } }),
  countOf: (strips) => strips - 1,
  stripsOf: (count) => count + 1,
  withGap: withWidth,
  standsFree: false,
}
