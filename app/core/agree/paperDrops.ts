import type { Paper } from '~/model'
import { type Polygon, boundsOf, clipConvex } from '../geometry'

/** One drop of paper or panel of a mural, numbered from where it is hung first. */
export interface PaperDrop {
  readonly number: number
  readonly polygon: Polygon
}

/** More drops than this are a misread width. */
const MOST_DROPS = 200

/** Where the first drop from the left begins, and how many there are. */
function placed(paper: Paper, left: number, right: number): { start: number; count: number } {
  const { width } = paper
  const middle = (left + right) / 2
  const half = (right - left) / 2
  if (paper.kind === 'mural') {
    const whole = paper.panels * width
    const start = paper.from === 'left' ? left : paper.from === 'right' ? right - whole : middle - whole / 2
    return { start, count: Math.min(MOST_DROPS, paper.panels) }
  }
  if (paper.from === 'middle' || paper.from === 'middleDrop') {
    // a seam in the middle, or the middle of a drop
    const lead = paper.from === 'middle' ? 0 : width / 2
    const beside = Math.min(MOST_DROPS / 2, Math.max(0, Math.ceil((half - lead) / width - 1e-9)))
    return { start: middle - lead - beside * width, count: 2 * beside + (lead > 0 ? 1 : 0) }
  }
  const count = Math.min(MOST_DROPS, Math.ceil((right - left) / width - 1e-9))
  return { start: paper.from === 'left' ? left : right - count * width, count }
}

/**
 * Where drops of a paper or the panels of a mural lie over an outline: as many as cover it, or as the mural has. Hung from a
 * side, the first lies there whole; from the middle, a seam or the middle of a drop is plumb on it and they go on to both sides.
 */
export function paperDrops(paper: Paper, outline: Polygon): PaperDrop[] {
  if (outline.length < 3 || paper.width <= 0) return []
  const { left, right, bottom, top } = boundsOf(outline)
  const { start, count } = placed(paper, left, right)
  const high = paper.kind === 'mural' && paper.height > 0 ? Math.min(top, bottom + paper.height) : top
  const below = { through: { x: left, y: high }, directionDeg: 180 }
  return Array.from({ length: count }, (_, i) => {
    const at = paper.from === 'right' ? count - 1 - i : i
    const from = start + at * paper.width
    const sides = [
      { through: { x: from, y: bottom }, directionDeg: 270 },
      { through: { x: from + paper.width, y: bottom }, directionDeg: 90 },
    ]
    const polygon = [...sides, below].reduce(clipConvex, outline)
    return { number: i + 1, polygon }
  }).filter(({ polygon }) => polygon.length >= 3)
}
