import { type CornerEnd, type Turn, inForce } from '~/model'
import { cornerOf } from '../layout/corners'
import type { WallOfRoom } from './matchWalls'

/** A wall's horizontals as they go on: how each end is cut. Walls stand in the order of the room, left to right. */
export interface RoomWall {
  readonly id: string
  readonly left: CornerEnd
  readonly right: CornerEnd
  /** How the next wall turns at its two ends; inside where nothing else is said. */
  readonly turns?: { readonly left: Turn; readonly right: Turn }
  /** Left out of the order, and of the corners it would have. */
  readonly apart?: boolean
}

/** The walls of a room as their horizontals meet. */
export function wallsAsMet(walls: readonly WallOfRoom[]): RoomWall[] {
  return walls.map(({ id, workpiece }) => {
    const { survey } = workpiece.wall
    const design = inForce(workpiece.wall.design)
    const turn = (side: 'left' | 'right') => cornerOf(survey, side).turn
    return { id, ...design.corners, turns: { left: turn('left'), right: turn('right') }, apart: design.apart }
  })
}

/** Why two ends that meet in a corner do not go together. */
export type CornerTrouble = 'bothRun' | 'noneRuns' | 'halfMitered' | 'copedOutside'

export interface RoomJoint {
  readonly leftWall: string
  readonly rightWall: string
  /** The end of the left wall's horizontals, and the start of the right wall's. */
  readonly ends: readonly [CornerEnd, CornerEnd]
  readonly turn: 'inside' | 'outside'
  readonly trouble: CornerTrouble | null
}

/** Two walls that stand beside each other in the room, and how the second turns from the first; null where either is left out. */
export interface RoomCornerPlace {
  readonly leftWall: string
  readonly rightWall: string
  readonly turn: Turn
}

/** Every place where one wall ends and the next begins: all round from three walls on, once between two. */
export function cornerPlaces(walls: readonly RoomWall[]): RoomCornerPlace[] {
  const corners = walls.length >= 3 ? walls.length : Math.max(0, walls.length - 1)
  return Array.from({ length: corners }, (_, i) => [walls[i], walls[(i + 1) % walls.length]]).flatMap(
    ([left, right]) => {
      if (!left || !right || left.apart || right.apart) return []
      const said: Turn[] = [left.turns?.right ?? 'inside', right.turns?.left ?? 'inside']
      const turn = said.includes('none') ? 'none' : said.includes('outside') ? 'outside' : 'inside'
      return [{ leftWall: left.id, rightWall: right.id, turn }]
    },
  )
}

/** The corners in which horizontals meet; walls that do not meet, such as those beside a chimney breast, have none. */
export function jointsOf(walls: readonly RoomWall[]): RoomJoint[] {
  return cornerPlaces(walls).flatMap(({ leftWall, rightWall, turn }): RoomJoint[] => {
    const left = walls.find(({ id }) => id === leftWall)
    const right = walls.find(({ id }) => id === rightWall)
    if (turn === 'none' || !left || !right) return []
    const ends = [left.right, right.left] as const
    return [{ leftWall, rightWall, ends, turn, trouble: troubleOf(ends, turn) }]
  })
}

function troubleOf(
  [a, b]: readonly [CornerEnd, CornerEnd],
  turn: 'inside' | 'outside',
): CornerTrouble | null {
  // there is no profile to be cut to round an outside corner
  if (turn === 'outside' && (a === 'cope' || b === 'cope')) return 'copedOutside'
  if (a === 'miter' || b === 'miter') return a === b ? null : 'halfMitered'
  if (a === 'run' && b === 'run') return 'bothRun'
  return a !== 'run' && b !== 'run' ? 'noneRuns' : null
}

/** A wall in the order of fitting, and after which walls it has to come. */
export interface FittingStep {
  readonly wallId: string
  readonly after: readonly string[]
}

/**
 * The order of fitting round the room: what runs to the corner goes on before what is coped or butted to it. Where
 * there is a choice the room's own order decides. `stuck` are walls that each wait for the next all round: one of
 * them has to run at both ends.
 */
export function fittingOrder(walls: readonly RoomWall[]): { steps: FittingStep[]; stuck: string[] } {
  const waits = new Map<string, Set<string>>(walls.map(({ id }) => [id, new Set()]))
  for (const { leftWall, rightWall, ends } of jointsOf(walls)) {
    const [left, right] = ends
    if (left === 'run' && (right === 'cope' || right === 'against')) waits.get(rightWall)?.add(leftWall)
    if (right === 'run' && (left === 'cope' || left === 'against')) waits.get(leftWall)?.add(rightWall)
  }
  const steps: FittingStep[] = []
  const done = new Set<string>()
  const open = walls.filter(({ apart }) => !apart).map(({ id }) => id)
  for (;;) {
    const next = open.find(
      (id) => !done.has(id) && [...(waits.get(id) ?? [])].every((each) => done.has(each)),
    )
    if (next === undefined) break
    done.add(next)
    steps.push({ wallId: next, after: [...(waits.get(next) ?? [])] })
  }
  return { steps, stuck: open.filter((id) => !done.has(id)) }
}

/** The ways two walls' horizontals meet in a corner: the left wall's end, the right wall's start. */
export const JOINTS = {
  leftRunsCope: ['run', 'cope'],
  rightRunsCope: ['cope', 'run'],
  leftRunsButt: ['run', 'against'],
  rightRunsButt: ['against', 'run'],
  miter: ['miter', 'miter'],
} as const satisfies Record<string, readonly [CornerEnd, CornerEnd]>

export type Joint = keyof typeof JOINTS

/** The joint two ends make; null where they make none. */
export function jointOf(ends: readonly [CornerEnd, CornerEnd]): Joint | null {
  const found = (Object.keys(JOINTS) as Joint[]).find(
    (joint) => JOINTS[joint][0] === ends[0] && JOINTS[joint][1] === ends[1],
  )
  return found ?? null
}

/**
 * Copes all round in an order that works: the first wall runs at both ends, those after it are coped to the one before
 * and run on, the last is coped at both ends. Common practice, no source.
 */
export function copeAllRound(count: number): { left: CornerEnd; right: CornerEnd }[] {
  return Array.from({ length: count }, (_, i) => ({
    left: i === 0 ? 'run' : 'cope',
    right: i > 0 && i === count - 1 && count >= 3 ? 'cope' : 'run',
  }))
}
