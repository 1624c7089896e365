import { BUY_ID, type RoomMaker } from './roomMaker'
import { walledBy } from './walledBy'

/** Furniture that is moved from one half of the room to the other: a guess of ours, no source. */
const SHIFT = 30

/** Marking, cutting, painting ahead and fitting, wall by wall. */
export function fitTasks(maker: RoomMaker): void {
  const { work, walls, times, dep, inRoom, onWall, make, lastFit, isAhead, two } = maker
  const walled = walledBy(maker)
  for (const wall of walls) {
    const of = times.get(wall.wall)
    if (!of || wall.pieces === 0) continue
    make({
      kind: 'mark',
      wall,
      minutes: of.mark,
      after: [
        ...walled,
        dep(inRoom('wallFirst'), 'paintedWall', 'paint'),
        dep(onWall(wall, 'panels'), 'panelsFirst'),
      ],
      checks: [isAhead && 'marksAgain'],
    })
    make({
      kind: 'cut',
      wall,
      minutes: of.cut,
      after: [
        dep(BUY_ID, 'boardsHere'),
        dep(inRoom('prepare'), 'prepared', work.trim === 'painted' ? 'primer' : null),
        dep(inRoom('stain'), 'dry', 'stain'),
        wall.inPlace > 0 ? dep(onWall(wall, 'mark'), 'measured') : null,
      ],
    })
    if (isAhead) {
      const part =
        work.paintSchool === 'allAhead'
          ? 1
          : Math.min(1, (wall.edgePieces + wall.beveledFeet) / Math.max(1, wall.pieces))
      make({
        kind: 'paintAhead',
        wall,
        minutes: of.trimCoat * part,
        after: [dep(onWall(wall, 'cut'), 'cutFirst')],
      })
    }
    const before = [
      dep(onWall(wall, 'mark'), 'marksFirst'),
      dep(onWall(wall, 'cut'), 'cutFirst'),
      dep(onWall(wall, 'paintAhead'), 'paintedFirst', 'paint'),
      dep(inRoom('prepare'), 'prepared', work.trim === 'painted' ? 'primer' : null),
    ]
    const cautions = [
      wall.child && ('child' as const),
      wall.rented && ('rented' as const),
      wall.heat && ('heat' as const),
    ]
    const checks = [work.paintSchool === 'allAhead' && ('dryTouch' as const)]
    if (wall.furniture) {
      make({ kind: 'fit', wall, number: 1, minutes: of.fit / 2, after: before, cautions, checks })
      make({
        kind: 'shift',
        wall,
        minutes: SHIFT,
        people: two,
        after: [dep(onWall(wall, 'fit', 1), 'moved')],
      })
      make({
        kind: 'fit',
        wall,
        number: 2,
        minutes: of.fit / 2,
        after: [dep(onWall(wall, 'shift'), 'moved')],
        cautions,
        checks: [...checks, 'laserAgain'],
      })
    } else make({ kind: 'fit', wall, minutes: of.fit, after: before, cautions, checks })
    make({ kind: 'trimBack', wall, minutes: of.trimBack, after: [dep(lastFit(wall), 'fitted')] })
  }
  orderWalls(maker)
}

/** What is coped or butted comes after what it is cut to; the wall with the only door comes last, where corners let it. */
function orderWalls({ room, work, walls, times, tasks, dep, firstFit, lastFit }: RoomMaker): void {
  const after = new Map<string, Set<string>>(
    walls.map(({ wall }) => [wall, new Set((room.fitAfter[wall] ?? []).filter((id) => times.has(id)))]),
  )
  const waitsFor = (a: string, b: string, seen = new Set<string>()): boolean =>
    a === b || [...(after.get(a) ?? [])].some((each) => !seen.has(each) && waitsFor(each, b, seen.add(each)))
  const corners = new Map([...after].map(([id, ids]) => [id, [...ids]]))
  const doors = walls.filter((wall) => wall.doors > 0)
  const [way] = doors
  const outOf: string[] = []
  if (work.wayOut && way && doors.length === 1 && way.doors === 1)
    for (const { wall } of walls)
      if (wall !== way.wall && !waitsFor(wall, way.wall)) {
        after.get(way.wall)?.add(wall)
        outOf.push(wall)
      }
  for (const wall of walls) {
    const at = tasks.findIndex(({ id }) => id === firstFit(wall))
    const task = tasks[at]
    if (!task) continue
    const more = [
      ...(corners.get(wall.wall) ?? []).map((id) => ({ id, why: 'corner' as const })),
      ...(way && wall.wall === way.wall ? outOf.map((id) => ({ id, why: 'wayOut' as const })) : []),
    ].flatMap(({ id, why }) => {
      const other = walls.find((each) => each.wall === id)
      const before = other ? dep(lastFit(other), why) : null
      return before ? [before] : []
    })
    tasks[at] = {
      ...task,
      after: [...task.after, ...more],
      checks: outOf.length > 0 && wall === way ? [...task.checks, 'wayFree'] : task.checks,
    }
  }
}
