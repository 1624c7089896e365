import { nearestNanometer, tickOf, ZERO } from '~/length'
import { type Workpiece, inForce } from '~/model'
import { boundsOf, unitVector } from '../geometry'
import { applyEdits } from '../edits/applyEdit'
import { gapOf, laidOut } from '../edits/laidOut'
import { layOut } from '../layout/layOutWall'
import type { Layout } from '../layout/layout'
import { endsOf, rulesOf } from '../patterns/rules'
import type { StripPlan } from '../layout/frames'
import { uprightStrip } from '../layout/strips'
import { isUpright, type Meeting, meetings, placePiece, type StripSpec } from '../pieces'
import { fewestStrips } from '../spacing'
import { baseAt } from '../survey/wallLines'
import type { Finding, WayOut } from './finding'

/** A strip lies over a plate, or half over something: not settled by the survey or the design. */
function isOpen(meeting: Meeting, workpiece: Workpiece): boolean {
  const { obstacle, whole } = meeting
  if (inForce(workpiece.wall.design).meets[obstacle.id] !== undefined || obstacle.fate === 'cutRound')
    return false
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

/** Shifts that would leave an upright half over something, or nearer to a plate than asked for, as open intervals. */
function barredShifts(
  { uprights, obstacles, lines, uprightFoot, uprightHead }: Layout,
  clearance: number,
): [number, number][] {
  return uprights.flatMap(({ left, right }) =>
    obstacles.flatMap((obstacle): [number, number][] => {
      const box = boundsOf(obstacle.outline)
      const base = baseAt(lines, left)
      if (box.top <= base + uprightFoot || box.bottom >= base + uprightHead) return []
      const room = obstacle.plate ? clearance : 0
      const [from, to] = [box.left - right - room, box.right - left + room]
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
  const now = layout.sections[0].shifted
  const { clearance } = inForce(workpiece.wall.design).judgement
  const lefts = layout.uprights.map(({ left }) => left)
  const find = (sign: 1 | -1, room: number, barred: readonly [number, number][]): WayOut[] => {
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
  // what was asked for between strip and plate is kept where the ends leave room for it
  return ([-1, 1] as const).flatMap((sign) => {
    const room = (sign < 0 ? placement.leftEnd : placement.rightEnd) * 0.75
    const clear = find(sign, room, barredShifts(layout, clearance))
    return clear.length > 0 ? clear : find(sign, room, barredShifts(layout, 0))
  })
}

/** The counts nearest to today's whose equal gaps clear everything; what they say is read off the layouts they make. */
function clearingCounts(workpiece: Workpiece, layout: Layout, howMany: number): WayOut[] {
  const { placement } = layout
  if (!placement || rulesOf(layout).places === 'margins' || layout.sections[0]?.id !== 'all') return []
  const ends = endsOf(inForce(workpiece.wall.design))
  const now = placement.nearEdges.length
  const found: WayOut[] = []
  for (const strips of [-1, 1, -2, 2, -3, 3].map((more) => now + more)) {
    if (strips < fewestStrips(ends) || found.length === howMany) continue
    const edits: WayOut['edits'] = [
      {
        type: 'patchDesign',
        patch: { spacing: { school: 'equalByCount', strips, ends }, shift: ZERO, sectionOwn: {} },
      },
    ]
    const next = laidOut(workpiece, edits)
    const gap = gapOf(next)
    if (gap !== null && next.uprights.length === strips && meetsNothing(workpiece, next))
      found.push({ says: { code: 'useStrips', strips, gap }, edits })
  }
  return found
}

function settle(workpiece: Workpiece, meeting: Meeting): WayOut[] {
  const { meets } = inForce(workpiece.wall.design)
  const { obstacle, whole } = meeting
  const as = (how: 'notch' | 'clear'): WayOut['edits'] => [
    { type: 'patchDesign', patch: { meets: { ...meets, [obstacle.id]: how } } },
  ]
  return [
    ...(whole ? [] : [{ says: { code: 'notchIt' as const }, edits: as('notch') }]),
    { says: { code: 'endThere' }, edits: as('clear') },
  ]
}

/**
 * Moves the box clear of an upright strip by what is asked for between them, to the nearer side where it then meets no
 * other strip: an electrician's work.
 */
function moveBox(workpiece: Workpiece, meeting: Meeting, spec: StripSpec): WayOut[] {
  const { survey } = workpiece.wall
  const design = inForce(workpiece.wall.design)
  const box = survey.things.find(({ id }) => id === meeting.obstacle.id)
  if (!box || !meeting.obstacle.plate || spec.directionDeg !== 90) return []
  const { clearance } = design.judgement
  const toLeft = spec.center.x - spec.faceWidth / 2 - (box.left + box.width) - clearance
  const toRight = spec.center.x + spec.faceWidth / 2 - box.left + clearance
  const ways = [toLeft, toRight]
    .sort((a, b) => Math.abs(a) - Math.abs(b))
    .map((by): WayOut => {
      const things = survey.things.map((thing) =>
        thing.id === box.id ? { ...thing, left: nearestNanometer(thing.left + by), fromRight: null } : thing,
      )
      return {
        says: { code: 'moveBox', by: nearestNanometer(by) },
        edits: [{ type: 'patchSurvey', patch: { things } }],
      }
    })
  const clears = ({ edits }: WayOut) => {
    const next = applyEdits(workpiece, edits)
    const moved = layOut(next.wall.survey, inForce(next.wall.design), next.settings)
    const here = moved.obstacles.find(({ id }) => id === box.id)
    if (!here) return false
    const { left, right } = boundsOf(here.outline)
    if (left < moved.lines.left || right > moved.lines.right) return false
    const onIt = { ...moved, obstacles: [here] }
    // a layout may be centred about the very thing that is moved
    return moved.uprights.every(
      (upright) => openMeetings(uprightStrip(onIt, upright), onIt, next).length === 0,
    )
  }
  return ways.filter(clears).slice(0, 1)
}

/** How far along the wall a strip is met: an upright's own left edge, where the thing begins on a horizontal. */
function metAt(spec: StripSpec, meeting: Meeting): number {
  return isUpright(spec.role) ? spec.center.x - spec.faceWidth / 2 : boundsOf(meeting.obstacle.outline).left
}

/** How a thing lies to a strip, square to it: what an overruling is given for. */
function offsetOf({ center, directionDeg }: StripSpec, { obstacle }: Meeting): number {
  const { left, right, bottom, top } = boundsOf(obstacle.outline)
  const u = unitVector(directionDeg)
  return nearestNanometer(((bottom + top) / 2 - center.y) * u.x - ((left + right) / 2 - center.x) * u.y)
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
        ...(obstacle.plate ? { blocks: { key, figure: offsetOf(spec, meeting) } } : {}),
      },
    ]
  })
}
