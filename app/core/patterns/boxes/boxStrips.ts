import { type Field, materialIn } from '../../layout/field'
import type { BoxFrame, LaidOut } from '../../layout/layout'
import { miteredFrame } from '../../strips/miteredFrame'
import type { Strip } from '../../strips/strip'
import { levelStrips } from '../standingStrips'

/** The four sides of a box (more where a slope cuts a corner off), mitered at half of each corner. */
export function frameStrips(field: Field, frame: BoxFrame): Strip[] {
  const material = materialIn(field, field.design.boxes.moulding)
  return miteredFrame(frame.outline, {
    id: frame.id,
    name: frame.name,
    number: frame.number,
    material,
    faceWidth: material.width,
    tier: null,
    roleOf: (isLevel) => (isLevel ? 'boxRail' : 'boxStile'),
    // every box takes its share of the wall's width
    bounds: { left: 'wall', right: 'wall', below: frame.below, above: frame.above },
  })
}

/** The horizontals that frame the boxes, and the boxes. */
export function boxStrips(layout: LaidOut): Strip[] {
  return [...levelStrips(layout), ...layout.frames.flatMap((frame) => frameStrips(layout, frame))]
}
