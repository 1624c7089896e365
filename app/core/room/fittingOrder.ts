import type { CornerEnd } from '~/model'

/** A wall's horizontals as they go on: how each end is cut. Walls stand in the order of the room, left to right. */
export interface RoomWall {
  readonly id: string
  readonly left: CornerEnd
  readonly right: CornerEnd
}

/** Why two ends that meet in a corner do not go together. */
export type CornerTrouble = 'bothRun' | 'noneRuns' | 'halfMitered'

export interface RoomJoint {
  readonly leftWall: string
  readonly rightWall: string
  /** The end of the left wall's horizontals, and the start of the right wall's. */
  readonly ends: readonly [CornerEnd, CornerEnd]
  readonly trouble: CornerTrouble | null
}

/** Walls meet all round from three on; two meet in one corner. */
export function jointsOf(walls: readonly RoomWall[]): RoomJoint[] {
  const corners = walls.length >= 3 ? walls.length : Math.max(0, walls.length - 1)
  return Array.from({ length: corners }, (_, i) => {
    const left = walls[i] as RoomWall
    const right = walls[(i + 1) % walls.length] as RoomWall
    const ends = [left.right, right.left] as const
    return { leftWall: left.id, rightWall: right.id, ends, trouble: troubleOf(ends) }
  })
}

function troubleOf([a, b]: readonly [CornerEnd, CornerEnd]): CornerTrouble | null {
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
  const open = walls.map(({ id }) => id)
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
