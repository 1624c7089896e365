import type { Paper } from '~/model'
import { type Polygon, boundsOf, clipConvex } from '../geometry'

/** One drop of paper or panel of a mural, numbered from where it is hung first. */
export interface PaperDrop {
  readonly number: number
  readonly polygon: Polygon
}

/** More drops than this are a misread width. */
const MOST_DROPS = 200

/**
 * Where drops of a paper or the panels of a mural lie over an outline: as many as cover it, or as the mural has. Hung from a
 * side, the first lies there whole; from the middle, one seam is plumb on it and they go on to both sides.
 */
export function paperDrops(paper: Paper, outline: Polygon): PaperDrop[] {
  if (outline.length < 3 || paper.width <= 0) return []
  const { left, right, bottom, top } = boundsOf(outline)
  const wanted = Math.ceil((right - left) / paper.width - 1e-9)
  const count = Math.min(MOST_DROPS, paper.kind === 'mural' ? paper.panels : wanted)
  const whole = count * paper.width
  const middle = (left + right) / 2
  // an odd number of drops would put the middle of one on the middle: a seam is plumb there instead
  const before = Math.ceil(count / 2)
  const start =
    paper.from === 'left'
      ? left
      : paper.from === 'right'
        ? right - whole
        : paper.kind === 'mural'
          ? middle - whole / 2
          : middle - before * paper.width
  const drops =
    paper.from === 'middle' && paper.kind === 'repeat' && start + whole < right ? count + 1 : count
  const high = paper.kind === 'mural' && paper.height > 0 ? Math.min(top, bottom + paper.height) : top
  const below = { through: { x: left, y: high }, directionDeg: 180 }
  return Array.from({ length: drops }, (_, i) => {
    const at = paper.from === 'right' ? drops - 1 - i : i
    const from = start + at * paper.width
    const sides = [
      { through: { x: from, y: bottom }, directionDeg: 270 },
      { through: { x: from + paper.width, y: bottom }, directionDeg: 90 },
    ]
    const polygon = [...sides, below].reduce(clipConvex, outline)
    return { number: i + 1, polygon }
  }).filter(({ polygon }) => polygon.length >= 3)
}
