import fc from 'fast-check'
import { sceneBounds } from '~/core/scene/bounds'
import { anyMeetingWall, runs } from '../../../tests/anyWall'
import { onPaper } from '../../../tests/paperJobs'
import { dimensionLines } from './dimensionLines'
import { drawingFrame } from './WallDrawing'

interface Box {
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}
interface Line {
  readonly x1: number
  readonly y1: number
  readonly x2: number
  readonly y2: number
}
const EASE = 0.05

/** Whether a line runs through a box, by clipping it to each side in turn (Liang and Barsky, 1984). */
function runsThrough({ x1, y1, x2, y2 }: Line, box: Box): boolean {
  const [dx, dy] = [x2 - x1, y2 - y1]
  let [from, to] = [0, 1]
  for (const [p, q] of [
    [-dx, x1 - box.left - EASE],
    [dx, box.right - EASE - x1],
    [-dy, y1 - box.top - EASE],
    [dy, box.bottom - EASE - y1],
  ] as const) {
    if (p === 0) {
      if (q < 0) return false
    } else if (p < 0) from = Math.max(from, q / p)
    else to = Math.min(to, q / p)
  }
  return from < to
}
const overlap = (a: Box, b: Box) =>
  a.left < b.right - EASE && b.left < a.right - EASE && a.top < b.bottom - EASE && b.top < a.bottom - EASE

test('on any wall no figure stands over a line, over another figure or over the wall, and each says what it is of', () => {
  fc.assert(
    fc.property(
      anyMeetingWall,
      fc.constantFrom('left' as const, 'right' as const),
      fc.constantFrom({ width: 712, height: 400 }, { width: 1100, height: 520 }, { width: 300, height: 240 }),
      (workpiece, datum, size) => {
        const { scene, dimensions } = onPaper(workpiece, datum)
        const frame = drawingFrame(scene, dimensions, { ...size, size: 9 })
        const bounds = sceneBounds(scene)
        const { lines, figures, untold } = dimensionLines(dimensions, frame, bounds, 9)
        const wall = {
          left: frame.toX(bounds.left),
          right: frame.toX(bounds.right),
          top: frame.toY(bounds.top),
          bottom: frame.toY(bounds.bottom),
        }
        figures.forEach((figure, i) => {
          expect(lines.filter((line) => runsThrough(line, figure.box))).toEqual([])
          expect(overlap(figure.box, wall)).toBe(false)
          for (const other of figures.slice(i + 1)) expect(overlap(figure.box, other.box)).toBe(false)
        })
        const all = [dimensions.foot, dimensions.head, dimensions.side].flatMap((run) => run.figures)
        expect(figures.length + untold).toBe(all.length)
        // a figure is the reading at its own place
        for (const { id, text } of figures)
          expect(all.some((figure) => figure.id === id && figure.text === text)).toBe(true)
      },
    ),
    { numRuns: runs(60) },
  )
})
