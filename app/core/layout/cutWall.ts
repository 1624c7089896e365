import { type Workpiece, inForce } from '~/model'
import type { Piece } from '../pieces'
import { cutLayout } from './cutLayout'
import { layOut } from './layOutWall'
import type { Layout } from './layout'
import type { StripPlan } from './frames'
import { stripPlans } from './strips'

/** A wall laid out and cut, with nothing said about it yet. */
export interface CutWall {
  readonly layout: Layout
  readonly plans: readonly StripPlan[]
  readonly pieces: readonly Piece[]
}

/** Lays out a wall and cuts it: what a way out comes to, without the findings that would offer it. */
export function cutWall({ wall, settings }: Workpiece): CutWall {
  const layout = layOut(wall.survey, inForce(wall.design), settings)
  const plans = stripPlans(layout, wall.survey, inForce(wall.design), settings)
  return { layout, plans, pieces: cutLayout(layout, plans, inForce(wall.design), settings) }
}
