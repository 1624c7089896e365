import { addLengths, type Length, ZERO } from '~/length'
import { inForce, type Sheet, type Workpiece } from '~/model'

/** The sheet the wall's backer is of; null where there is none, or the job has no such sheet any more. */
export function backerSheet({ wall, settings }: Workpiece): Sheet | null {
  const { backer } = inForce(wall.design)
  return (backer && settings.shop.sheets.find(({ id }) => id === backer.sheet)) ?? null
}

/** How thick the skin under the trim is. */
export function backerThickness(workpiece: Workpiece): Length {
  return backerSheet(workpiece)?.thickness ?? ZERO
}

/** What lies between a strip's back and the stud: the wallboard, and the backer on it. */
export function behindStrips(workpiece: Workpiece): Length {
  return addLengths(workpiece.wall.survey.behind.wallboard, backerThickness(workpiece))
}
