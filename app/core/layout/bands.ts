import { addLengths, type Length, nearestNanometer, subtractLengths } from '~/length'
import { type HEIGHT_RULES, QUARTER_ROUND, type RailUse } from '~/model'
import { rulesOf } from '../patterns/rules'
import { partOfHeight } from '../survey/wallLines'
import { type Field, materialIn } from './field'
import { named, railId, type StripName } from '../strips/stripId'
import { type Band, capHeight, faceHeight, standsOutBy } from './layout'

type Height =
  | { readonly rule: 'typed'; readonly value: Length }
  | { readonly rule: Exclude<(typeof HEIGHT_RULES)[number], 'typed'> }

/** A height by its rule, above the base line; `above` is what comes on top of it. */
export function heightOf(height: Height, { survey, lines }: Field, above: number): Length {
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

const name = (kind: StripName['kind']): StripName => ({ kind, number: null })

function footBands(field: Field): Band[] {
  const { design, settings, lines } = field
  if (rulesOf(design).framesItself) return []
  if (design.foot.kind === 'rail') {
    const material = materialIn(field, design.foot.material)
    const top = addLengths(lines.baseTop, material.width)
    return [
      {
        ...named(name('bottomRail')),
        role: 'bottomRail',
        material,
        bottom: lines.baseTop,
        top,
        held: 'bottom',
        standsOut: material.thickness,
      },
    ]
  }
  if (design.proud !== 'ledger' || lines.baseTop <= 0) return []
  // flat side up on the baseboard; without quarter-round in the job the batten's own stuff serves
  const material =
    settings.materials.find(({ id }) => id === QUARTER_ROUND.id) ?? materialIn(field, design.battenMaterial)
  const top = addLengths(lines.baseTop, material.thickness)
  return [
    {
      ...named(name('ledger')),
      role: 'ledger',
      material,
      bottom: lines.baseTop,
      top,
      held: 'bottom',
      standsOut: material.width,
    },
  ]
}

/** Counted among the rails of its use; of those of which a wall has mostly one, the only one has no number. */
function numberOf(use: RailUse, at: number, rails: Field['design']['rails']): number | null {
  const alike = rails.filter((rail) => rail.use === use)
  if (use !== 'rail' && alike.length === 1) return null
  return rails.slice(0, at + 1).filter((rail) => rail.use === use).length
}

function extraRails(field: Field): Band[] {
  const { rails } = field.design
  return rails.map(({ id, use, material: materialId, lay, top: rule, ledge }, i) => {
    const material = materialIn(field, materialId)
    const top = heightOf(rule, field, 0)
    const bottom = subtractLengths(top, faceHeight(material, lay))
    const name: StripName = { kind: use, number: numberOf(use, i, rails) }
    return {
      id: railId(id),
      name,
      role: use,
      material,
      bottom,
      top,
      held: 'top',
      standsOut: standsOutBy(material, lay, ledge),
      ...(ledge && lay === 'flat' ? { ledge } : {}),
    }
  })
}

/** The horizontals of a design, from the foot up, and where uprights stand and end between them. */
export function frameWall(field: Field): Framing {
  const { design, lines } = field
  const height = heightOf(design.height, field, capHeight(field))
  const foot = footBands(field)
  const bands = [...foot]
  let uprightHead = height
  if (design.topRail && !rulesOf(design).framesItself) {
    const material = materialIn(field, design.topRail.material)
    uprightHead = subtractLengths(height, material.width)
    bands.push({
      ...named(name('topRail')),
      role: 'topRail',
      material,
      bottom: uprightHead,
      top: height,
      held: 'top',
      standsOut: material.thickness,
    })
  }
  const top = addLengths(height, capHeight(field))
  if (design.cap) {
    const { lay, ledge } = design.cap
    const material = materialIn(field, design.cap.material)
    bands.push({
      ...named(name('cap')),
      role: 'cap',
      material,
      bottom: height,
      top,
      held: 'bottom',
      standsOut: standsOutBy(material, lay, ledge),
      ...(ledge && lay === 'flat' ? { ledge } : {}),
    })
  }
  bands.push(...extraRails(field))
  return { bands, uprightFoot: foot[0]?.top ?? lines.baseTop, uprightHead, height, top }
}
