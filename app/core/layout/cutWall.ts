import { inForce, type Workpiece } from '~/model'
import type { Piece } from '../pieces'
import { cutStrips } from '../strips/cutStrips'
import type { Strip } from '../strips/strip'
import { layOut } from './layOutWall'
import type { Layout } from './layout'
import { stripsOf } from './strips'

/** A wall laid out and cut, with nothing said about it yet. */
export interface CutWall {
  readonly layout: Layout
  readonly strips: readonly Strip[]
  readonly pieces: readonly Piece[]
}

/** Lays out a wall and cuts it: what a way out comes to, without the findings that would offer it. */
export function cutWall({ wall, settings }: Workpiece): CutWall {
  const layout = layOut(wall.survey, inForce(wall.design), settings)
  const strips = stripsOf(layout)
  return { layout, strips, pieces: cutStrips(strips, layout) }
}
