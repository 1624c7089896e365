import type { Wait, Work } from '~/model'
import { type Activity, minutesOf } from '../takeoff/minutes'
import type { WallFacts } from '../takeoff/wallFacts'
import { KIND_RULES } from './kindRules'
import type { Before, Caution, Check, Task, TaskKind, Why } from './task'

/** A room with its walls, and after which walls each goes on where they meet in a corner. */
export interface RoomOfWork {
  readonly id: string
  readonly walls: readonly WallFacts[]
  readonly fitAfter: Readonly<Record<string, readonly string[]>>
}

/** The task of a whole job in which boards and supplies are bought. */
export const BUY_ID = 'job/buy'

/** The ids of tasks: where, what, which. */
export function taskId(
  scope: 'room' | 'wall',
  of: string,
  kind: TaskKind,
  number: number | null = null,
): string {
  return `${scope}/${of}/${kind}${number === null ? '' : `-${number}`}`
}

/** A task as it is wanted; one that takes no time of the crew is none. */
export interface Making {
  readonly kind: TaskKind
  readonly wall?: WallFacts
  readonly number?: number
  readonly minutes: number
  readonly after: readonly (Before | null)[]
  readonly people?: 0 | 1 | 2
  readonly cautions?: readonly (Caution | false)[]
  readonly checks?: readonly (Check | false)[]
}

/** What makes the tasks of one room, and knows which there are. */
export function roomMaker(room: RoomOfWork, work: Work) {
  const walls = room.walls.filter(({ pieces, panels }) => pieces > 0 || panels !== null)
  const times = new Map(walls.map((facts) => [facts.wall, minutesOf(facts, work)]))
  const sum = (activity: Activity, of: readonly WallFacts[] = walls) =>
    of.reduce((all, { wall }) => all + (times.get(wall)?.[activity] ?? 0), 0)
  const any = (is: (facts: WallFacts) => boolean) => walls.some(is)
  const tasks: Task[] = []
  const has = new Set<string>()
  /** The task that is waited for, if there is such a task at all. */
  const dep = (id: string, why: Why, waits: Wait | null = null): Before | null =>
    has.has(id) ? { id, why, for: waits, wait: waits === null ? 0 : work.waits[waits] } : null
  const inRoom = (kind: TaskKind, number: number | null = null) => taskId('room', room.id, kind, number)
  const onWall = (wall: WallFacts, kind: TaskKind, number: number | null = null) =>
    taskId('wall', wall.wall, kind, number)
  const make = ({ kind, wall, number, minutes, after, people = 1, cautions = [], checks = [] }: Making) => {
    if (minutes <= 0 && people > 0) return
    const id = wall ? onWall(wall, kind, number ?? null) : inRoom(kind, number ?? null)
    const rule = KIND_RULES[kind]
    has.add(id)
    tasks.push({
      id,
      kind,
      room: room.id,
      wall: wall?.wall ?? null,
      number: number ?? null,
      name: null,
      minutes: Math.max(people === 0 ? 0 : 5, Math.round(minutes / 5) * 5),
      people,
      noisy: rule.noisy ?? false,
      after: after.flatMap((each) => each ?? []),
      comes: null,
      tools:
        kind === 'fit'
          ? rule.tools.filter((tool) => tool !== 'gluing' || (wall?.held.glue ?? 0) > 0)
          : rule.tools,
      supplies: rule.supplies,
      cautions: [...rule.cautions, ...cautions.filter((each): each is Caution => each !== false)],
      checks: [...rule.checks, ...checks.filter((each): each is Check => each !== false)],
    })
  }
  has.add(BUY_ID)
  /** The last task of fitting a wall: of two halves the second. */
  const lastFit = (wall: WallFacts) => onWall(wall, 'fit', wall.furniture ? 2 : null)
  const firstFit = (wall: WallFacts) => onWall(wall, 'fit', wall.furniture ? 1 : null)
  const isAhead = work.paintSchool !== 'after' && work.trim === 'painted'
  /** Two carry what is heavy, where there are two. */
  const two = Math.min(2, work.people) as 1 | 2
  return {
    room,
    work,
    walls,
    times,
    sum,
    any,
    tasks,
    has,
    dep,
    inRoom,
    onWall,
    make,
    lastFit,
    firstFit,
    isAhead,
    two,
  }
}
export type RoomMaker = ReturnType<typeof roomMaker>
