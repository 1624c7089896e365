import type { MarkStep } from '~/core/marks/markWalk'
import { type Datum, type Edge, type Hook, hookSaid } from '~/core/marks/runningMarks'
import type { Layout } from '~/core/layout/layout'
import type { TapeReading } from '~/length'
import {
  heightMarkName,
  hookName,
  markedOnText,
  say,
  sayWithUnit,
  stepText,
  stripName,
  walkText,
  type Wording,
} from '~/messages'

/** What one step of the walk says: where from, what, the number, how it lies beside its tick, and what goes with it. */
export interface StepWords {
  readonly where: string
  readonly what: string
  readonly number: string
  readonly side: string
  readonly more: string
  readonly leans: string | null
}

interface Asked {
  readonly datum: Datum
  readonly edge: Edge
  readonly hook: Hook
  readonly layout: Layout
  readonly wording: Wording
}

const absolute = ({ tick }: TapeReading, w: Wording) => say(Math.abs(tick), w)

/** A step in words, whatever is marked. */
export function stepWords({ what }: MarkStep, { datum, edge, hook, layout, wording }: Asked): StepWords {
  const read = (reading: TapeReading) => say(reading.tick, wording)
  const none = { leans: null } as const
  switch (what.kind) {
    case 'level':
      return {
        where: stepText.level,
        what: stepText.fromLeft,
        number: read(what.place),
        side: walkText.side[what.place.side],
        more: [
          stepText.levelHow(
            what.falls.tick === 0 ? null : sayWithUnit(what.falls.tick, wording),
            what.rises.tick === 0 ? null : sayWithUnit(what.rises.tick, wording),
          ),
          what.laser ? stepText.levelLaser(sayWithUnit(what.laser.tick, wording)) : '',
        ]
          .filter((each) => each !== '')
          .join(' '),
        ...none,
      }
    case 'height': {
      const { mark, laser } = what
      const name = stepText.height(heightMarkName(mark, wording))
      if (!laser)
        return {
          where: name,
          what: stepText.up,
          number: read(mark.reading),
          side: walkText.side[mark.reading.side],
          more: '',
          ...none,
        }
      const same = laser.left.tick === laser.right.tick
      return {
        where: name,
        what: laser.left.tick < 0 ? stepText.laserBelow : stepText.laserAbove,
        number: absolute(laser.left, wording),
        side: walkText.side[laser.left.side],
        more: same ? '' : stepText.atEnds(absolute(laser.right, wording)),
        ...none,
      }
    }
    case 'boxHeights':
      return {
        where: stepText.boxHeights(what.number),
        what: stepText.boxLeft,
        number: read(what.bottom[0]),
        side: walkText.side[what.bottom[0].side],
        more: stepText.boxCorners(read(what.bottom[1]), read(what.top[0]), read(what.top[1])),
        ...none,
      }
    case 'upright': {
      const { marks, other } = what
      const otherHook: Hook = hook === 'head' ? 'foot' : 'head'
      const line = hookName(hook, hookSaid(layout, datum, hook), wording)
      return {
        where: walkText.corner(datum),
        what: walkText.edge(edge, stripName(marks.stripId, wording)),
        number: read(marks[edge]),
        side: walkText.side[marks[edge].side],
        more: walkText.otherEdge(read(edge === 'far' ? marks.near : marks.far), line),
        leans: other
          ? walkText.leans(
              hookName(otherHook, hookSaid(layout, datum, otherHook), wording),
              read(other[edge]),
            )
          : null,
      }
    }
    case 'line':
      return {
        where: stepText.lineOn(markedOnText(what.on, wording), stripName(what.mark.stripId, wording)),
        what: walkText.edge('near', stripName(what.mark.stripId, wording)),
        number: read(what.mark.near),
        side: walkText.side[what.mark.near.side],
        more: stepText.both(read(what.mark.far)),
        ...none,
      }
    case 'item':
      return {
        where: walkText.corner(datum),
        what: stepText.item(what.row, what.name),
        number: read(what.near),
        side: walkText.side[what.near.side],
        more: stepText.itemBoth(read(what.far), read(what.line)),
        ...none,
      }
  }
}
