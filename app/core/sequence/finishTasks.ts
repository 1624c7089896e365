import type { RoomMaker } from './roomMaker'
import type { TaskKind } from './task'

/** Minutes that no plan has anything to go by for: a guess of ours, no source. */
const DUST_WALL = 8
const TOUCH_WALL = 10
const CLEAR = 30

/** From the first nail hole to the last coat, and out. */
export function finishTasks(maker: RoomMaker): void {
  const { work, walls, sum, any, has, dep, inRoom, onWall, make, lastFit, isAhead, two } = maker
  const [floor] = walls.flatMap((facts) => (facts.floor ? [facts.floor] : []))
  const up = walls.flatMap((wall) => [
    dep(lastFit(wall), 'fitted', wall.held.glue > 0 || wall.held.tape > 0 ? 'adhesive' : null),
    dep(onWall(wall, 'trimBack'), 'fitted'),
    dep(onWall(wall, 'panels'), 'panelsFirst', 'adhesive'),
  ])
  make({ kind: 'fill', minutes: sum('fill'), after: up })
  make({ kind: 'sandFill', minutes: sum('sandFill'), after: [dep(inRoom('fill'), 'filled', 'filler')] })
  const smooth = [dep(inRoom('sandFill'), 'sanded'), ...(has.has(inRoom('sandFill')) ? [] : up)]
  make({ kind: 'dust', minutes: DUST_WALL * walls.length, after: smooth })
  make({ kind: 'caulk', minutes: sum('caulk'), after: [dep(inRoom('dust'), 'clean')] })
  const ready = [dep(inRoom('caulk'), 'caulked', 'caulk'), dep(inRoom('dust'), 'clean')]
  const left = {
    above: work.coats.above,
    field: Math.max(0, work.coats.field - (isAhead ? 1 : 0)),
    // the last coat over all comes after fitting, whatever went before
    trim: Math.max(
      work.coats.trim > 0 ? 1 : 0,
      work.paintSchool === 'allAhead' && isAhead ? work.coats.trim - 1 : work.coats.trim,
    ),
  }
  const coats = Math.max(left.above, left.field, left.trim)
  for (let n = 1; n <= coats; n++) {
    const again = (kind: TaskKind) => dep(inRoom(kind, n - 1), 'coat', 'paint')
    if (n <= left.above)
      make({
        kind: 'aboveCoat',
        number: n,
        minutes: sum('aboveCoat'),
        after: [...ready, again('aboveCoat')],
        checks: [n === left.above && 'tapeWet'],
      })
    if (n <= left.field)
      make({
        kind: 'fieldCoat',
        number: n,
        minutes: sum('fieldCoat'),
        after: [...ready, again('fieldCoat'), dep(inRoom('aboveCoat', n), 'above')],
        checks: [n === left.field && 'tapeWet'],
      })
    if (n <= left.trim && work.trim === 'painted')
      make({
        kind: 'trimCoat',
        number: n,
        minutes: sum('trimCoat'),
        after: [...ready, again('trimCoat'), dep(inRoom('fieldCoat', n), 'above')],
        checks: [n === left.trim && 'tapeWet'],
      })
    if (n <= left.trim && work.trim === 'stained')
      make({
        kind: 'varnish',
        number: n,
        minutes: sum('trimCoat'),
        after: [...ready, dep(inRoom('varnish', n - 1), 'coat', 'varnish')],
      })
  }
  const painted = (['aboveCoat', 'fieldCoat', 'trimCoat'] as const).map((kind) =>
    dep(
      inRoom(kind, left[kind === 'aboveCoat' ? 'above' : kind === 'fieldCoat' ? 'field' : 'trim']),
      'painted',
      'paint',
    ),
  )
  const done = [...painted, dep(inRoom('varnish', left.trim), 'painted', 'varnish'), ...ready]
  make({ kind: 'paper', minutes: sum('paper'), after: done })
  make({ kind: 'plates', minutes: sum('plates'), after: [...done, dep(inRoom('paper'), 'last')] })
  if (floor && floor.when !== 'before')
    make({ kind: 'floorAfter', minutes: work.waits.floor * 60, people: 0, after: done })
  make({
    kind: 'touchUp',
    minutes: TOUCH_WALL * walls.length,
    after: [
      ...done,
      dep(inRoom('plates'), 'last'),
      dep(inRoom('paper'), 'last'),
      dep(inRoom('floorAfter'), 'last'),
    ],
  })
  make({
    kind: 'clear',
    minutes: CLEAR,
    people: any(({ furniture }) => furniture) ? two : 1,
    after: [dep(inRoom('touchUp'), 'last')],
  })
}
