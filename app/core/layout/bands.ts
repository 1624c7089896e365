import { addLengths, type Length, nearestNanometer, subtractLengths } from '~/length'
import { type Design, type HEIGHT_RULES, QUARTER_ROUND, type Settings, type Survey } from '~/model'
import { rulesOf } from '../patterns/rules'
import { partOfHeight, type WallLines } from '../survey/wallLines'
import { type Band, capHeight, faceHeight, materialOf } from './layout'

type Height =
  | { readonly rule: 'typed'; readonly value: Length }
  | { readonly rule: Exclude<(typeof HEIGHT_RULES)[number], 'typed'> }

/** A height by its rule, above the base line; `above` is what comes on top of it. */
export function heightOf(height: Height, survey: Survey, lines: WallLines, above: number): Length {
  if (height.rule === 'typed') return height.value
  if (height.rule === 'full') return nearestNanometer(lines.headLine - above)
  return partOfHeight(survey, height.rule)
}

/** What frames the uprights from below and above, and the horizontals between and beyond. */
export interface Framing {
  readonly bands: readonly Band[]
  readonly uprightFoot: Length
  readonly uprightHead: Length
  readonly height: Length
  readonly top: Length
}

function footBands(design: Design, settings: Settings, lines: WallLines): Band[] {
  if (rulesOf(design).framesItself) return []
  if (design.foot.kind === 'rail') {
    const material = materialOf(settings, design.foot.material)
    const top = addLengths(lines.baseTop, material.width)
    return [{ id: 'bottomRail', role: 'bottomRail', material, bottom: lines.baseTop, top, held: 'bottom' }]
  }
  if (design.proud !== 'ledger' || lines.baseTop <= 0) return []
  // flat side up on the baseboard; without quarter-round in the job the batten's own stuff serves
  const material =
    settings.materials.find(({ id }) => id === QUARTER_ROUND.id) ??
    materialOf(settings, design.battenMaterial)
  const top = addLengths(lines.baseTop, material.thickness)
  return [{ id: 'ledger', role: 'ledger', material, bottom: lines.baseTop, top, held: 'bottom' }]
}

function extraRails(survey: Survey, design: Design, settings: Settings, lines: WallLines): Band[] {
  return design.rails.map(({ id, use, material: materialId, lay, top: rule }) => {
    const material = materialOf(settings, materialId)
    const top = heightOf(rule, survey, lines, 0)
    const bottom = subtractLengths(top, faceHeight(material, lay))
    return { id, role: use, material, bottom, top, held: 'top' }
  })
}

/** The horizontals of a design, from the foot up, and where uprights stand and end between them. */
export function frameWall(survey: Survey, design: Design, settings: Settings, lines: WallLines): Framing {
  const height = heightOf(design.height, survey, lines, capHeight(design, settings))
  const foot = footBands(design, settings, lines)
  const bands = [...foot]
  let uprightHead = height
  if (design.topRail && !rulesOf(design).framesItself) {
    const material = materialOf(settings, design.topRail.material)
    uprightHead = subtractLengths(height, material.width)
    bands.push({ id: 'topRail', role: 'topRail', material, bottom: uprightHead, top: height, held: 'top' })
  }
  const top = addLengths(height, capHeight(design, settings))
  if (design.cap)
    bands.push({
      id: 'cap',
      role: 'cap',
      material: materialOf(settings, design.cap.material),
      bottom: height,
      top,
      held: 'bottom',
    })
  bands.push(...extraRails(survey, design, settings, lines))
  return { bands, uprightFoot: foot[0]?.top ?? lines.baseTop, uprightHead, height, top }
}
