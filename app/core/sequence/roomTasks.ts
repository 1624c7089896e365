import type { Work } from '~/model'
import { finishTasks } from './finishTasks'
import { fitTasks } from './fitTasks'
import { KIND_RULES } from './kindRules'
import { BUY_ID, roomMaker, type RoomMaker, type RoomOfWork } from './roomMaker'
import type { Task } from './task'
import { walledBy } from './walledBy'

/** Minutes that no plan has anything to go by for: a guess of ours, no source. */
const PROTECT = 20
const PROTECT_WALL = 8
const BUY = 90

/** The task that buys for the job: every room's boards wait for it. */
export function buyTask(): Task {
  const { tools, supplies, cautions, checks } = KIND_RULES.buy
  return {
    id: BUY_ID,
    kind: 'buy',
    room: null,
    wall: null,
    number: null,
    name: null,
    minutes: BUY,
    people: 1,
    noisy: false,
    after: [],
    comes: null,
    tools,
    supplies,
    cautions,
    checks,
  }
}

/** Protecting, removing, and what is done to walls and boards before anything is marked. */
function firstTasks(maker: RoomMaker): void {
  const { work, walls, times, sum, any, dep, inRoom, onWall, make, isAhead, two } = maker
  const oldPaint = any((facts) => facts.oldPaint) && 'oldPaint'
  const rented = any((facts) => facts.rented) && 'rented'
  const stays = walls.filter(({ furniture }) => furniture)
  const [floor] = walls.flatMap((facts) => (facts.floor ? [facts.floor] : []))

  make({
    kind: 'protect',
    minutes: PROTECT + PROTECT_WALL * walls.length,
    after: [],
    people: stays.length > 0 ? two : 1,
  })
  make({
    kind: 'remove',
    minutes: sum('remove'),
    after: [dep(inRoom('protect'), 'protected')],
    cautions: [oldPaint, rented],
  })
  if (floor?.when === 'before')
    make({
      kind: 'floorBefore',
      minutes: work.waits.floor * 60,
      people: 0,
      after: [dep(inRoom('remove'), 'behindTrim'), dep(inRoom('protect'), 'protected')],
    })
  make({
    kind: 'fillOld',
    minutes: sum('fillOld'),
    after: [
      dep(inRoom('protect'), 'protected'),
      dep(inRoom('remove'), 'behindTrim'),
      dep(inRoom('floorBefore'), 'floorFirst'),
    ],
  })
  make({
    kind: 'skim',
    minutes: sum('skim'),
    after: [
      dep(inRoom('protect'), 'protected'),
      dep(inRoom('remove'), 'behindTrim'),
      dep(inRoom('fillOld'), 'dry', 'filler'),
      dep(inRoom('floorBefore'), 'floorFirst'),
    ],
    cautions: [oldPaint],
  })
  make({
    kind: 'sandWall',
    minutes: sum('sandWall'),
    after: [dep(inRoom('fillOld'), 'dry', 'filler'), dep(inRoom('skim'), 'dry', 'skim')],
    cautions: [oldPaint],
  })
  const walled = walledBy(maker)
  make({ kind: 'prepare', minutes: sum('prepare'), after: [dep(BUY_ID, 'boardsHere')] })
  if (any(({ panels }) => (panels?.plates ?? 0) > 0))
    make({ kind: 'boxes', minutes: 0, people: 0, after: [dep(inRoom('remove'), 'behindTrim')] })
  for (const wall of walls)
    make({
      kind: 'panels',
      wall,
      minutes: times.get(wall.wall)?.panels ?? 0,
      people: two,
      after: [...walled, dep(BUY_ID, 'boardsHere'), dep(inRoom('boxes'), 'boxesFirst')],
      cautions: [rented],
    })
  if (isAhead)
    make({
      kind: 'wallFirst',
      minutes: sum('fieldCoat'),
      after: [...walled, ...walls.map((wall) => dep(onWall(wall, 'panels'), 'panelsFirst', 'adhesive'))],
    })
  if (work.trim === 'stained')
    make({
      kind: 'stain',
      minutes: sum('trimCoat'),
      after: [dep(inRoom('prepare'), 'prepared'), dep(BUY_ID, 'boardsHere')],
    })
}

/** The tasks of a room from protecting it to the last coat, in working order, after the schools that were chosen. */
export function roomTasks(room: RoomOfWork, work: Work): Task[] {
  const maker = roomMaker(room, work)
  if (maker.walls.length === 0) return []
  firstTasks(maker)
  fitTasks(maker)
  finishTasks(maker)
  return maker.tasks
}
