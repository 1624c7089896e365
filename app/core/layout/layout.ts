import { addLengths, type Length, subtractLengths, ZERO } from '~/length'
import { type Design, type Material, QUARTER_ROUND, type Settings, type Survey } from '~/model'
import { type Placement, placeStrips, shiftPlacement, type SpacingIssue } from '../spacing'
import { type Obstacle, obstaclesOf } from '../survey/obstacles'
import { partOfHeight, type WallLines, wallLines } from '../survey/wallLines'
import { type WallShape, wallShape } from '../survey/wallShape'

/** A horizontal member: its face between two heights. */
export interface Band {
  readonly id: 'topRail' | 'bottomRail' | 'ledger' | 'cap'
  readonly material: Material
  readonly bottom: Length
  readonly top: Length
}

/** A batten's place across the wall. */
export interface BattenPlace {
  readonly id: string
  readonly number: number
  readonly left: Length
  readonly right: Length
}

/** Where everything goes, before anything is cut. Distances from the left corner, heights above the base line. */
export interface Layout {
  readonly shape: WallShape
  readonly obstacles: readonly Obstacle[]
  readonly lines: WallLines
  readonly battenMaterial: Material
  /** Where the battens stand and where they end. */
  readonly battenFoot: Length
  readonly battenHead: Length
  /** Top of the rail (of the battens without one), as the height rule gives it. */
  readonly height: Length
  /** Top of everything, cap included. */
  readonly top: Length
  readonly bands: readonly Band[]
  readonly battens: readonly BattenPlace[]
  readonly placement: Placement | null
  readonly spacingIssue: SpacingIssue | null
}

/** The material of that id. Throws when the job does not have it: documents are checked on read. */
export function materialOf(settings: Settings, id: string): Material {
  const found = settings.materials.find((material) => material.id === id)
  if (!found) throw new Error(`no material '${id}' in the job`)
  return found
}

/** The face height of a cap: its thickness lying flat, its width on edge; zero without one. */
export function capHeight(design: Design, settings: Settings): Length {
  if (!design.cap) return ZERO
  const material = materialOf(settings, design.cap.material)
  return design.cap.lay === 'flat' ? material.thickness : material.width
}

function heightByRule(survey: Survey, design: Design, settings: Settings, lines: WallLines): Length {
  const { height } = design
  if (height.rule === 'typed') return height.value
  if (height.rule === 'full') return subtractLengths(lines.headLine, capHeight(design, settings))
  return partOfHeight(survey, height.rule)
}

/** Lays out a batten wall. Never fails: what cannot be is left out and told as an issue or by the findings. */
export function layOut(survey: Survey, design: Design, settings: Settings): Layout {
  const shape = wallShape(survey)
  const lines = wallLines(survey, shape, design.levelRule)
  const battenMaterial = materialOf(settings, design.battenMaterial)
  const height = heightByRule(survey, design, settings, lines)
  const bands: Band[] = []
  let battenFoot = lines.baseTop
  if (design.foot.kind === 'rail') {
    const material = materialOf(settings, design.foot.material)
    const top = addLengths(lines.baseTop, material.width)
    bands.push({ id: 'bottomRail', material, bottom: lines.baseTop, top })
    battenFoot = top
  }
  if (design.proud === 'ledger' && design.foot.kind !== 'rail' && lines.baseTop > 0) {
    // flat side up on the baseboard; without quarter-round in the job the batten's own stuff serves
    const material = settings.materials.find(({ id }) => id === QUARTER_ROUND.id) ?? battenMaterial
    const top = addLengths(lines.baseTop, material.thickness)
    bands.push({ id: 'ledger', material, bottom: lines.baseTop, top })
    battenFoot = top
  }
  let battenHead = height
  if (design.topRail) {
    const material = materialOf(settings, design.topRail.material)
    battenHead = subtractLengths(height, material.width)
    bands.push({ id: 'topRail', material, bottom: battenHead, top: height })
  }
  const top = addLengths(height, capHeight(design, settings))
  if (design.cap)
    bands.push({ id: 'cap', material: materialOf(settings, design.cap.material), bottom: height, top })
  const span = subtractLengths(lines.right, lines.left)
  const placed = placeStrips(design.spacing, span, battenMaterial.width)
  const placement = placed.ok ? shiftPlacement(placed.value, design.shift) : null
  return {
    shape,
    obstacles: obstaclesOf(survey),
    lines,
    battenMaterial,
    battenFoot,
    battenHead,
    height,
    top,
    bands,
    placement,
    spacingIssue: placed.ok ? null : placed.issue,
    battens: (placement?.nearEdges ?? []).map((edge, i) => ({
      id: `batten-${i + 1}`,
      number: i + 1,
      left: addLengths(lines.left, edge),
      right: addLengths(lines.left, edge, battenMaterial.width),
    })),
  }
}
