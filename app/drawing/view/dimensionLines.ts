import type { RunningDimensions } from '~/core/scene/dimensions'
import type { Bounds } from '~/core/scene/bounds'
import { besideLine } from './besideLine'
import type { Frame } from './frame'
import { labelWidth } from './spreadLabels'

export interface DrawnLine {
  readonly x1: number
  readonly y1: number
  readonly x2: number
  readonly y2: number
  /** Leaders are thin, the line the figures run along is not. */
  readonly kind: 'leader' | 'run' | 'tick'
}

/** A figure beside its leader: where its baseline begins or ends, and which way it runs. */
export interface DrawnFigure {
  readonly id: string
  readonly text: string
  readonly x: number
  readonly y: number
  readonly side: 'foot' | 'head' | 'left'
  /** The room it takes on the page. */
  readonly box: {
    readonly left: number
    readonly right: number
    readonly top: number
    readonly bottom: number
  }
}

export interface DrawnDimensions {
  readonly lines: readonly DrawnLine[]
  readonly figures: readonly DrawnFigure[]
  /** Figures that had no room: they stand in the table. */
  readonly untold: number
}

/** How far from the wall the line runs, where leaders bend, and where figures begin; in sizes of type. */
const [GAP, RUN, BEND, WORD] = [0.4, 1.4, 2.6, 2.9]

/** Room a drawing needs beside the wall for its figures, at a size of type. */
export function dimensionMargins(dimensions: RunningDimensions, size: number) {
  const longest = (figures: readonly { readonly text: string }[]) =>
    Math.max(0, ...figures.map(({ text }) => labelWidth(text, size)))
  const room = (figures: readonly { readonly text: string }[]) => WORD * size + longest(figures) + 4
  return {
    left: room(dimensions.side.figures),
    right: 2 * size,
    top: room(dimensions.head.figures),
    bottom: room(dimensions.foot.figures),
  }
}

/**
 * Running dimensions by drawing-board rules: from one zero, each figure at the end of its own leader and read along it, so that none
 * stands over a line or another figure. In the drawing's units, y down.
 */
export function dimensionLines(
  dimensions: RunningDimensions,
  frame: Frame,
  wall: Bounds,
  size: number,
): DrawnDimensions {
  const lines: DrawnLine[] = []
  const figures: DrawnFigure[] = []
  let untold = 0
  const pitch = size * 1.18
  // along: the coordinate figures are spread in; out: how far from the wall, outward
  const put = (
    side: DrawnFigure['side'],
    run: RunningDimensions['foot'],
    at: (value: number) => number,
    from: number,
    outward: 1 | -1,
    limits: { from: number; to: number },
  ) => {
    if (run.figures.length === 0) return
    const asked = run.figures.map((figure) => ({ at: at(figure.at), weight: figure.weight }))
    const stood = besideLine(asked, pitch, limits)
    untold += run.figures.length - stood.length
    const out = (steps: number) => from + outward * steps * size
    const line = (along1: number, out1: number, along2: number, out2: number, kind: DrawnLine['kind']) =>
      lines.push(
        side === 'left'
          ? { x1: out1, y1: along1, x2: out2, y2: along2, kind }
          : { x1: along1, y1: out1, x2: along2, y2: out2, kind },
      )
    const zero = at(run.zero)
    const reach = [zero, ...asked.map((each) => each.at)]
    line(Math.min(...reach), out(RUN), Math.max(...reach), out(RUN), 'run')
    line(zero, out(GAP), zero, out(RUN + 0.5), 'leader')
    // the zero end has a bar of its own
    line(zero - size * 0.35, out(RUN + 0.5), zero + size * 0.35, out(RUN + 0.5), 'tick')
    for (const { index, place } of stood) {
      const figure = run.figures[index]
      if (!figure) continue
      const own = at(figure.at)
      line(own, out(GAP), own, out(RUN), 'leader')
      line(own - size * 0.22, out(RUN) + size * 0.22, own + size * 0.22, out(RUN) - size * 0.22, 'tick')
      line(own, out(RUN), place, out(BEND), 'leader')
      const width = labelWidth(figure.text, size)
      const begin = out(WORD)
      const end = begin + outward * width
      const [low, high] = [Math.min(begin, end), Math.max(begin, end)]
      const half = size * 0.5
      figures.push({
        id: figure.id,
        text: figure.text,
        side,
        ...(side === 'left' ? { x: begin, y: place + size * 0.35 } : { x: place + size * 0.35, y: begin }),
        box:
          side === 'left'
            ? { left: low, right: high, top: place - half, bottom: place + half }
            : { left: place - half, right: place + half, top: low, bottom: high },
      })
    }
  }
  const across = { from: size, to: frame.width - size }
  put('foot', dimensions.foot, frame.toX, frame.toY(wall.bottom), 1, across)
  put('head', dimensions.head, frame.toX, frame.toY(wall.top), -1, across)
  put('left', dimensions.side, frame.toY, frame.toX(wall.left), -1, { from: size, to: frame.height - size })
  return { lines, figures, untold }
}
