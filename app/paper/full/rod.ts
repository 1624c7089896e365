import { lineMarks } from '~/core/marks/lineMarks'
import { headLessFoot, heightMarks, hookedAt, hookHeight, runningMarks } from '~/core/marks/runningMarks'
import { sideEnds } from '~/core/patterns/lines/points'
import { profileAt } from '~/core/survey/profile'
import { inches, type TapeReading, tickOf } from '~/length'
import { capital, fullSizeText, heightMarkName, rodNames, say, stripName, type Wording } from '~/messages'
import { FIELD_SIDES, type FieldSide, type Rod } from '~/model'
import type { PlannedWall } from '../paperJob'
import type { Full, FullPath, FullWord } from './fullSize'

/** A strip on a rod: its two edges from the rod's zero, exact, and what stands beside them. */
export interface RodStrip {
  readonly near: number
  readonly far: number
  readonly name: string
  readonly text: string
}

/** A rod: as long as what it lies along, with what is marked on it. */
export interface RodLine {
  readonly length: number
  readonly strips: readonly RodStrip[]
  /** Single lines: heights, the ends. */
  readonly lines: readonly { readonly at: number; readonly name: string }[]
}

type Side = Extract<Rod, FieldSide>
const isSide = (rod: Rod): rod is Side => (FIELD_SIDES as readonly string[]).includes(rod)

/** Both edges of a mark, as a strip on a rod. */
function onRod(
  { stripId, near, far }: { stripId: string; near: TapeReading; far: TapeReading },
  w: Wording,
): RodStrip {
  return {
    near: near.exact,
    far: far.exact,
    name: stripName(stripId, w),
    text: `${say(near.tick, w)} – ${say(far.tick, w)}`,
  }
}

/**
 * The rods a wall has: up from the floor always, along the foot where anything stands there, along the head only where its marks are
 * others, and along each side of a field that struck lines land on.
 */
export function rodsOf({ plan, workpiece, marking }: PlannedWall): Rod[] {
  const { layout, pieces } = plan
  const { tape } = workpiece.settings
  const stands = runningMarks(layout, marking.datum, tape).length > 0
  const leans = stands && Math.abs(headLessFoot(layout, marking.datum)) > tickOf(tape)
  const landed = lineMarks(layout, pieces, tape).flatMap(({ on, marks }) =>
    on.kind === 'side' && marks.length > 0 ? [on.side] : [],
  )
  return [
    ...(stands ? (['foot'] as const) : []),
    ...(leans ? (['head'] as const) : []),
    'height',
    ...FIELD_SIDES.filter((side) => landed.includes(side)),
  ]
}

/** What is struck on a side of the field, from its own left end or its foot. */
function sideRod({ plan, workpiece, wording }: PlannedWall, side: Side): RodLine {
  const { layout, pieces } = plan
  const ends = layout.moves?.field ? sideEnds(layout.moves.field, side) : null
  const length = ends ? Math.hypot(ends[1].x - ends[0].x, ends[1].y - ends[0].y) : 0
  const [first, last] = side === 'bottom' || side === 'top' ? fullSizeText.sideEnds : fullSizeText.sideFeet
  return {
    length,
    strips: lineMarks(layout, pieces, workpiece.settings.tape).flatMap(({ on, marks }) =>
      on.kind === 'side' && on.side === side ? marks.map((mark) => onRod(mark, wording)) : [],
    ),
    lines: [
      { at: 0, name: first },
      { at: length, name: last },
    ],
  }
}

/** What a rod carries, in nanometers from its zero: the corner the tape hooks at, the floor that heights go by, or the end of a side. */
export function rodLine(planned: PlannedWall, rod: Rod): RodLine {
  const { plan, workpiece, wording, marking } = planned
  const { layout } = plan
  const { tape } = workpiece.settings
  if (isSide(rod)) return sideRod(planned, rod)
  if (rod === 'height') {
    const heights = heightMarks(layout, tape)
    return {
      length: Math.max(0, ...heights.map(({ reading }) => reading.exact)),
      strips: [],
      lines: [
        { at: 0, name: fullSizeText.floor },
        ...heights.map((mark) => ({
          at: mark.reading.exact,
          name: fullSizeText.mark(capital(heightMarkName(mark, wording)), say(mark.reading.tick, wording)),
        })),
      ],
    }
  }
  const { datum } = marking
  const other = datum === 'left' ? 'right' : 'left'
  const far = profileAt(layout.shape[other], hookHeight(layout, other, rod))
  const length = Math.abs(far - hookedAt(layout, datum, rod))
  return {
    length,
    strips: runningMarks(layout, datum, tape, rod).map((mark) => onRod(mark, wording)),
    lines: [
      { at: 0, name: fullSizeText.zero },
      { at: length, name: fullSizeText.end },
    ],
  }
}

const HIGH = inches(1.5)
const OVER = inches(0.25)
const PAD = inches(0.3)
const TICK = inches(0.1)

/** A rod as a drawing at full size: a lath with every edge across it, names beside them. */
export function rodDrawing(planned: PlannedWall, rod: Rod): Full {
  const { length, strips, lines } = rodLine(planned, rod)
  const line = (x: number, from: number, to: number, weight: number): FullPath => ({
    points: [
      [x, from],
      [x, to],
    ],
    weight,
  })
  // a scale along the lower edge, so that sheets that slipped are seen
  const step = planned.workpiece.settings.units === 'mm' ? 10_000_000 : inches(1)
  const ticks = Array.from({ length: Math.floor(length / step) }, (_, i) => (i + 1) * step)
  const paths: FullPath[] = [
    ...ticks.map((at, i) =>
      line(at, 0, (i + 1) % (step === 10_000_000 ? 10 : 12) === 0 ? TICK * 2 : TICK, 0.25),
    ),
    ...strips.map(({ near, far }): FullPath => ({
      points: [
        [near, 0],
        [far, 0],
        [far, HIGH],
        [near, HIGH],
      ],
      closed: true,
      fill: true,
      weight: 0.2,
    })),
    {
      points: [
        [0, 0],
        [length, 0],
        [length, HIGH],
        [0, HIGH],
      ],
      closed: true,
      weight: 0.5,
    },
    ...strips.flatMap(({ near, far }) => [line(near, -OVER, HIGH + OVER, 0.7), line(far, 0, HIGH, 0.4)]),
    ...lines.map(({ at }) => line(at, -OVER, HIGH + OVER, 0.7)),
  ]
  const words: FullWord[] = [
    // every second one stands lower, so that names of near edges do not run into one another
    ...strips.flatMap(({ near, far, name, text }, i): FullWord[] => [
      { at: [near, HIGH - inches(i % 2 === 0 ? 0.1 : 0.8)], text: name, size: 11, bold: true },
      { at: [near, HIGH - inches(i % 2 === 0 ? 0.3 : 1)], text, size: 10 },
      { at: [far, HIGH - inches(0.55)], text: '', size: 8 },
    ]),
    ...[...lines]
      .sort((a, b) => a.at - b.at)
      .map(({ at, name }, i): FullWord => ({
        at: [at, strips.length > 0 ? -OVER + inches(0.2) : HIGH - inches(0.1 + 0.35 * (i % 4))],
        text: name,
        size: 10,
        bold: true,
      })),
  ].filter(({ text }) => text !== '')
  return {
    title: fullSizeText.rod(planned.wall.name, rodNames[rod]),
    // with the bars below it no higher than a narrow roll
    box: { left: 0, right: length, bottom: -PAD, top: HIGH + PAD },
    paths,
    words,
  }
}
