import { nearestNanometer, tickOf } from '~/length'
import type { Workpiece } from '~/model'
import { boundsOf, unitVector } from '../geometry'
import type { Layout } from '../layout/layout'
import { type StripPlan, uprightStrip } from '../layout/strips'
import { isUpright, type Meeting, meetings, placePiece, type StripSpec } from '../pieces'
import { equalGap, fewestStrips, placeStrips } from '../spacing'
import { baseAt } from '../survey/wallLines'
import type { Finding, WayOut } from './finding'

/** A strip lies over a plate, or half over something: not settled by the survey or the design. */
function isOpen(meeting: Meeting, workpiece: Workpiece): boolean {
  const { obstacle, whole } = meeting
  if (workpiece.wall.design.meets[obstacle.id] !== undefined || obstacle.fate === 'cutRound') return false
  return obstacle.plate || !whole
}

/** The open meetings of a strip, within its own length. */
function openMeetings(spec: StripSpec, layout: Layout, workpiece: Workpiece): Meeting[] {
  const open = meetings(spec, layout.obstacles).filter((meeting) => isOpen(meeting, workpiece))
  if (open.length === 0) return []
  const whole = placePiece({ ...spec, id: spec.stripId })
  if (!whole) return []
  const along = unitVector(spec.directionDeg)
  const start = Math.min(
    ...whole.polygon.map(({ x, y }) => (x - spec.center.x) * along.x + (y - spec.center.y) * along.y),
  )
  return open.filter(({ from, to }) => to > start && from < start + whole.longLength)
}

/** The same layout with its uprights elsewhere along the wall, all else as it stands. */
function withUprights(layout: Layout, lefts: readonly number[]): Layout {
  return {
    ...layout,
    uprights: lefts.map((left, i) => ({
      id: `upright-${i + 1}`,
      number: i + 1,
      left: nearestNanometer(left),
      right: nearestNanometer(left + layout.battenMaterial.width),
    })),
  }
}

function meetsNothing(workpiece: Workpiece, layout: Layout): boolean {
  return layout.uprights.every(
    (upright) => openMeetings(uprightStrip(layout, upright), layout, workpiece).length === 0,
  )
}

/** Shifts that would leave an upright half over something, as open intervals; all uprights and obstacles. */
function barredShifts({ uprights, obstacles, lines, uprightFoot, uprightHead }: Layout): [number, number][] {
  return uprights.flatMap(({ left, right }) =>
    obstacles.flatMap((obstacle): [number, number][] => {
      const box = boundsOf(obstacle.outline)
      const base = baseAt(lines, left)
      if (box.top <= base + uprightFoot || box.bottom >= base + uprightHead) return []
      const [from, to] = [box.left - right, box.right - left]
      const covers = box.right - box.left >= right - left
      if (obstacle.plate || !covers) return [[from, to]]
      return [
        [from, box.left - left],
        [box.right - right, to],
      ]
    }),
  )
}

/** The smallest shifts, one each way, that clear everything, on the tape's ticks and within the end bays. */
function clearingShifts(workpiece: Workpiece, layout: Layout): WayOut[] {
  const { placement } = layout
  if (!placement || layout.sections[0]?.id !== 'all') return []
  const tick = tickOf(workpiece.settings.tape)
  const now = workpiece.wall.design.shift
  const barred = barredShifts(layout)
  const lefts = layout.uprights.map(({ left }) => left)
  const find = (sign: 1 | -1, room: number): WayOut[] => {
    const ends = barred.map(([from, to]) => (sign > 0 ? to : -from)).filter((by) => by > 0)
    const ticks = [...new Set(ends.map((by) => Math.ceil(by / tick) * tick))].sort((a, b) => a - b)
    const by = ticks.find(
      (each) =>
        each <= room &&
        barred.every(([from, to]) => sign * each <= from || sign * each >= to) &&
        meetsNothing(
          workpiece,
          withUprights(
            layout,
            lefts.map((left) => left + sign * each),
          ),
        ),
    )
    if (by === undefined) return []
    return [
      {
        says: { code: 'shiftBy', by: nearestNanometer(sign * by) },
        edits: [{ type: 'patchDesign', patch: { shift: nearestNanometer(now + sign * by) } }],
      },
    ]
  }
  return [...find(-1, placement.leftEnd * 0.75), ...find(1, placement.rightEnd * 0.75)]
}

/** The counts nearest to today's whose equal gaps clear everything. */
function clearingCounts(workpiece: Workpiece, layout: Layout, howMany: number): WayOut[] {
  const { placement, stripWidth } = layout
  if (!placement || layout.pattern === 'boxes' || layout.sections[0]?.id !== 'all') return []
  const { spacing } = workpiece.wall.design
  const ends = 'ends' in spacing ? spacing.ends : 'gap'
  const now = placement.nearEdges.length
  return [-1, 1, -2, 2, -3, 3]
    .map((more) => now + more)
    .filter((strips) => strips >= fewestStrips(ends))
    .flatMap((strips) => {
      const placed = placeStrips({ school: 'equalByCount', strips, ends }, placement.span, stripWidth)
      if (!placed.ok) return []
      const lefts = placed.value.nearEdges.map((edge) => layout.left + edge)
      return meetsNothing(workpiece, withUprights(layout, lefts)) ? [strips] : []
    })
    .slice(0, howMany)
    .map((strips) => ({
      says: { code: 'useStrips', strips, gap: equalGap(placement.span, stripWidth, strips, ends) },
      edits: [
        {
          type: 'patchDesign',
          patch: { spacing: { school: 'equalByCount', strips, ends }, shift: nearestNanometer(0) },
        },
      ],
    }))
}

function settle(workpiece: Workpiece, meeting: Meeting): WayOut[] {
  const { meets } = workpiece.wall.design
  const { obstacle, whole } = meeting
  const as = (how: 'notch' | 'clear'): WayOut['edits'] => [
    { type: 'patchDesign', patch: { meets: { ...meets, [obstacle.id]: how } } },
  ]
  return [
    ...(whole ? [] : [{ says: { code: 'notchIt' as const }, edits: as('notch') }]),
    { says: { code: 'endThere' }, edits: as('clear') },
  ]
}

/** Moves the box just clear of an upright strip, to the nearer side: an electrician's work. */
function moveBox(workpiece: Workpiece, meeting: Meeting, spec: StripSpec): WayOut[] {
  const { things } = workpiece.wall.survey
  const box = things.find(({ id }) => id === meeting.obstacle.id)
  if (!box || !meeting.obstacle.plate || spec.directionDeg !== 90) return []
  const toLeft = spec.center.x - spec.faceWidth / 2 - (box.left + box.width)
  const toRight = spec.center.x + spec.faceWidth / 2 - box.left
  const by = nearestNanometer(Math.abs(toLeft) <= Math.abs(toRight) ? toLeft : toRight)
  const put = things.map((thing) =>
    thing.id === box.id ? { ...thing, left: nearestNanometer(thing.left + by), fromRight: null } : thing,
  )
  return [{ says: { code: 'moveBox', by }, edits: [{ type: 'patchSurvey', patch: { things: put } }] }]
}

/** How far along the wall a strip is met: an upright's own left edge, where the thing begins on a horizontal. */
function metAt(spec: StripSpec, meeting: Meeting): number {
  return isUpright(spec.role) ? spec.center.x - spec.faceWidth / 2 : boundsOf(meeting.obstacle.outline).left
}

/** Strips that land on plates, or half on something, each with its ways out. */
export function meetingFindings(
  workpiece: Workpiece,
  layout: Layout,
  plans: readonly StripPlan[],
): Finding[] {
  const found = plans.flatMap(({ spec }) =>
    openMeetings(spec, layout, workpiece).map((meeting) => ({ spec, meeting })),
  )
  const upright = found.some(({ spec }) => isUpright(spec.role))
  const shared = upright
    ? [...clearingShifts(workpiece, layout), ...clearingCounts(workpiece, layout, 2)]
    : []
  const seen = new Set<string>()
  return found.flatMap(({ spec, meeting }): Finding[] => {
    const { obstacle } = meeting
    const key = `meets.${spec.stripId}.${obstacle.id}`
    if (seen.has(key) || obstacle.kind === 'strip') return []
    seen.add(key)
    return [
      {
        stage: 'layout',
        severity: obstacle.plate ? 'wrong' : 'watch',
        says: {
          code: 'stripMeets',
          stripId: spec.stripId,
          thingId: obstacle.id,
          kind: obstacle.kind,
          at: nearestNanometer(metAt(spec, meeting)),
          by: nearestNanometer(meeting.depth),
          whole: meeting.whole,
        },
        stripIds: [spec.stripId],
        waysOut: [
          ...(isUpright(spec.role) ? shared : []),
          ...settle(workpiece, meeting),
          ...(isUpright(spec.role) ? moveBox(workpiece, meeting, spec) : []),
        ],
        ...(obstacle.plate ? { blocks: key } : {}),
      },
    ]
  })
}
