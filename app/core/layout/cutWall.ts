import { inForce, type Workpiece } from '~/model'
import { rulesOf } from '../patterns/rules'
import type { Piece } from '../pieces'
import { cutStrips } from '../strips/cutStrips'
import { layOut } from './layOutWall'
import type { Layout } from './layout'

/** A wall laid out and cut, with nothing said about it yet. */
export interface CutWall {
  readonly layout: Layout
  readonly pieces: readonly Piece[]
}

/** Lays out a wall and cuts it: what a way out comes to, without the findings that would offer it. */
export function cutWall({ wall, settings, beside }: Workpiece): CutWall {
  const layout = layOut(wall.survey, inForce(wall.design), settings, beside)
  return { layout, pieces: cutStrips(layout.strips, layout, rulesOf(layout).through(layout.design)) }
}
