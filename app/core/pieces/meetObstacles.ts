import type { Design } from '~/model'
import { type Line, movedFrom, passageThrough, type Point, unitVector } from '../geometry'
import type { Obstacle } from '../survey/obstacles'
import type { PieceSpec } from './piece'

/** A strip before it meets anything. */
export type StripSpec = Omit<PieceSpec, 'id' | 'startCut' | 'endCut' | 'startsAt' | 'endsAt'>

/** How an obstacle lies in a strip's way: distances along the strip from its centre point. */
export interface Meeting {
  readonly obstacle: Obstacle
  readonly from: number
  readonly to: number
  /** It covers the strip from edge to edge. */
  readonly whole: boolean
  /** How deep it reaches in from an edge, where it does not cover it whole. */
  readonly depth: number
  readonly side: 'left' | 'right'
  readonly entry: Line
  readonly exit: Line
}

/** An overlap thinner than this is paint. */
const TOUCHING = 100_000

function squareAcross(strip: StripSpec, at: number): Line {
  return {
    through: movedFrom(strip.center, strip.directionDeg, at, 0),
    directionDeg: strip.directionDeg + 90,
  }
}

/** All obstacles in a strip's way, in order along it. */
export function meetings(strip: StripSpec, obstacles: readonly Obstacle[]): Meeting[] {
  const half = strip.faceWidth / 2
  const lineAt = (left: number): Line => ({
    through: movedFrom(strip.center, strip.directionDeg, 0, left),
    directionDeg: strip.directionDeg,
  })
  return obstacles
    .flatMap((obstacle): Meeting[] => {
      const offsets = obstacle.outline.map((corner) => offsetFrom(strip, corner))
      const [least, most] = [Math.min(...offsets), Math.max(...offsets)]
      const inner = (left: number) => Math.min(Math.max(left, TOUCHING - half), half - TOUCHING)
      if (most < TOUCHING - half || least > half - TOUCHING) return []
      const across = [least + TOUCHING, most - TOUCHING, 0, ...offsets].map(inner)
      const any = across
        .map((left) => passageThrough(lineAt(left), obstacle.outline))
        .filter((p) => p !== null)
      if (any.length === 0) return []
      const from = Math.min(...any.map((p) => p.from))
      const to = Math.max(...any.map((p) => p.to))
      const left = passageThrough(lineAt(half - TOUCHING), obstacle.outline)
      const right = passageThrough(lineAt(TOUCHING - half), obstacle.outline)
      const whole = left !== null && right !== null
      const sameEntry = whole && left.entry.directionDeg === right.entry.directionDeg
      const sameExit = whole && left.exit.directionDeg === right.exit.directionDeg
      return [
        {
          obstacle,
          from,
          to,
          whole,
          depth: whole ? strip.faceWidth : Math.round(left !== null ? half - least : most + half),
          side: left !== null ? 'left' : 'right',
          entry: sameEntry ? left.entry : squareAcross(strip, from),
          exit: sameExit ? left.exit : squareAcross(strip, to),
        },
      ]
    })
    .sort((a, b) => a.from - b.from)
}

/** How far a point lies to the left of a strip's centre line. */
function offsetFrom(strip: StripSpec, { x, y }: Point): number {
  const u = unitVector(strip.directionDeg)
  return (y - strip.center.y) * u.x - (x - strip.center.x) * u.y
}

/** What becomes of a strip where it meets something. */
export type Treatment = 'end' | 'notch' | 'run'

/**
 * A strip ends at what it can't pass; it is notched round what the survey or the design says; over a plate it
 * runs on until somebody decides, and a finding says so.
 */
export function treatmentOf(meeting: Meeting, meets: Design['meets']): Treatment {
  const { obstacle, whole } = meeting
  const chosen = meets[obstacle.id]
  if (chosen === 'clear') return 'end'
  const wantsNotch = chosen === 'notch' || obstacle.fate === 'cutRound'
  if (wantsNotch && !whole) return 'notch'
  if (obstacle.plate) return wantsNotch ? 'end' : 'run'
  return 'end'
}
