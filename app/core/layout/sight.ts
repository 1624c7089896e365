import { type Length, nearestNanometer } from '~/length'
import { inForce, type Stand, type Workpiece } from '~/model'
import { profileAt } from '../survey/profile'
import { layOutStanding } from './layOutWall'
import { cornerLean, edgesAt, leanAt, offSquare } from './lean'
import type { Layout } from './layout'

/** What the eye sees of how uprights stand. All are lengths over the uprights' own height, signed; null where there is no upright. */
export interface Sight {
  readonly stand: Stand
  /** The most any of them is out of plumb: its head to the right of its foot. */
  readonly offPlumb: number
  /** How much wider the space between the left corner and the first upright is at the head than at the foot; the same on the right. */
  readonly leftCorner: number
  readonly rightCorner: number
  /** The most any is off square to the floor, and to the ceiling. */
  readonly offFloor: number
  readonly offCeiling: number
}

function most(values: readonly number[]): number {
  return values.reduce((found, each) => (Math.abs(each) > Math.abs(found) ? each : found), 0)
}

function slopeOf(profile: Layout['shape']['floor'], left: number, right: number): number {
  return right > left ? (profileAt(profile, right) - profileAt(profile, left)) / (right - left) : 0
}

/** What the eye sees of the uprights of a layout; null where it has none. */
export function sightOf(layout: Layout): Sight | null {
  const { uprights, lines, shape, uprightFoot, uprightHead, left, right } = layout
  const [first, last] = [uprights[0], uprights[uprights.length - 1]]
  const over = uprightHead - uprightFoot
  if (!first || !last || over <= 0) return null
  const leans = uprights.map((each) => leanAt(layout, (each.left + each.right) / 2))
  const heights = [uprightFoot, uprightHead].map((lift) => lines.base.at0 + lift)
  const spaces = (at: (y: number) => number) => {
    const [foot = 0, head = 0] = heights.map(at)
    return head - foot
  }
  const [floor, ceiling] = [slopeOf(shape.floor, left, right), slopeOf(shape.ceiling, left, right)]
  return {
    stand: layout.design.stand,
    offPlumb: most(leans.map((by) => by * over)),
    leftCorner: spaces((y) => edgesAt(layout, first, y).left - profileAt(shape.left, y)),
    rightCorner: spaces((y) => profileAt(shape.right, y) - edgesAt(layout, last, y).right),
    offFloor: most(leans.map((by) => offSquare(by, { slope: floor }, over))),
    offCeiling: most(leans.map((by) => offSquare(by, { slope: ceiling }, over))),
  }
}

/** The schools of uprights as they would come out on this wall, its own lean among them where it has one. */
export function sightsOf({ wall, settings }: Workpiece): Sight[] {
  const design = inForce(wall.design)
  const schools: Stand[] = [{ kind: 'plumb' }, { kind: 'square' }, { kind: 'left' }, { kind: 'right' }]
  const all = design.stand.kind === 'own' ? [...schools, design.stand] : schools
  return all.flatMap((stand) => sightOf(layOutStanding(wall.survey, { ...design, stand }, settings)) ?? [])
}

/** The lean of the two corners in the wall's whole height, to be shared out between them. */
export function cornersShared({ shape, survey }: Layout): { readonly left: Length; readonly right: Length } {
  const by = (side: 'left' | 'right') => nearestNanometer(cornerLean(shape[side]) * survey.height)
  return { left: by('left'), right: by('right') }
}
