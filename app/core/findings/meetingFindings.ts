import { nearestNanometer, tickOf, ZERO } from '~/length'
import { type Workpiece, inForce } from '~/model'
import { boundsOf, ByLeft, TOUCHING, unitVector } from '../geometry'
import { applyEdits } from '../edits/applyEdit'
import { gapOf, placesAfter } from '../edits/laidOut'
import { layOutStanding } from '../layout/layOutWall'
import { edgesAt } from '../layout/lean'
import type { LaidOut, Layout } from '../layout/layout'
import { endsOf, rulesOf } from '../patterns/rules'
import { type Strip, wholePiece } from '../strips/strip'
import { uprightStrip } from '../layout/uprightStrip'
import { isUpright, type Meeting, meetings, obstaclesNear } from '../pieces'
import { fewestStrips } from '../spacing'
import { outlineOf } from '../survey/obstacles'
import { baseAt } from '../survey/wallLines'
import { named } from '../strips/stripId'
import type { Finding, WayOut } from './finding'

/** A strip lies over a plate, or half over something: not settled by the survey or the design. */
function isOpen(meeting: Meeting, workpiece: Workpiece): boolean {
  const { obstacle, whole } = meeting
  if ((!obstacle.plate && whole) || obstacle.fate === 'cutRound') return false
  return inForce(workpiece.wall.design).meets[obstacle.id] === undefined
}

/** The open meetings of a strip, within its own length. */
function openMeetings(
  spec: Strip,
  { obstacles }: Pick<LaidOut, 'obstacles'>,
  workpiece: Workpiece,
): Meeting[] {
  const open = meetings(spec, obstaclesNear(spec, obstacles)).filter((meeting) => isOpen(meeting, workpiece))
  if (open.length === 0) return []
  const whole = wholePiece(spec)
  if (!whole) return []
  const along = unitVector(spec.directionDeg)
  const start = Math.min(
    ...whole.polygon.map(({ x, y }) => (x - spec.center.x) * along.x + (y - spec.center.y) * along.y),
  )
  return open.filter(({ from, to }) => to > start && from < start + whole.longLength)
}

/** The same layout with its uprights elsewhere along the wall, all else as it stands. */
function withUprights(layout: LaidOut, lefts: readonly number[]): LaidOut {
  return {
    ...layout,
    uprights: lefts.map((left, i) => ({
      ...named({ kind: rulesOf(layout).uprightRole, number: i + 1 }),
      number: i + 1,
      left: nearestNanometer(left),
      right: nearestNanometer(left + layout.battenMaterial.width),
    })),
  }
}

function meetsNothing(workpiece: Workpiece, layout: LaidOut): boolean {
  // of many counts most run into a plate that nobody settled: told without placing a strip
  const { meets } = layout.design
  const open = layout.obstacles.filter(
    ({ id, plate, fate }) => plate && fate !== 'cutRound' && meets[id] === undefined,
  )
  for (const [from, to] of bars({ ...layout, obstacles: open }, 0, 0)) if (to > from) return false
  return layout.uprights.every(
    (upright) => openMeetings(uprightStrip(layout, upright, rulesOf(layout)), layout, workpiece).length === 0,
  )
}

/**
 * Shifts of up to so much that would leave an upright half over something, or nearer to a plate than asked for: open intervals, one after
 * the other, so that who asks for any is done with the first. With no shift at all only what is met where it stands.
 */
function* bars(layout: LaidOut, clearance: number, upTo: number): Generator<[number, number]> {
  const { uprights, obstacles, lines, uprightFoot, uprightHead } = layout
  const inOrder = new ByLeft(obstacles, ({ outline }) => outline)
  // what stands farther off than any shift takes a strip is left alone
  const height = layout.lines.ceiling + Math.abs(layout.lines.base.at0)
  const swaying = height * Math.max(Math.abs(layout.lean.left), Math.abs(layout.lean.right))
  const reach = upTo + clearance + swaying
  for (const upright of uprights) {
    const base = baseAt(lines, upright.left)
    for (const { item, box } of inOrder.between(upright.left - reach, upright.right + reach)) {
      if (box.top <= base + uprightFoot || box.bottom >= base + uprightHead) continue
      const at = [box.bottom, box.top].map((y) => edgesAt(layout, upright, y))
      const left = Math.min(...at.map((edges) => edges.left))
      const right = Math.max(...at.map((edges) => edges.right))
      const room = item.plate ? clearance : 0
      const [from, to] = [box.left - right - room, box.right - left + room]
      if (upTo > 0 ? from >= upTo || to <= -upTo : from >= -TOUCHING || to <= TOUCHING) continue
      if (item.plate || box.right - box.left < right - left) yield [from, to]
      else {
        yield [from, box.left - left]
        yield [box.right - right, to]
      }
    }
  }
}

/** The same in order, those that overlap made one. */
function barredShifts(layout: LaidOut, clearance: number, upTo: number): [number, number][] {
  const barred = [...bars(layout, clearance, upTo)].sort((a, b) => a[0] - b[0])
  const merged: [number, number][] = []
  for (const [from, to] of barred) {
    const last = merged[merged.length - 1]
    if (last && from < last[1]) last[1] = Math.max(last[1], to)
    else if (to > from) merged.push([from, to])
  }
  return merged
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
    const clear = find(sign, room, barredShifts(layout, clearance, room + tick))
    return clear.length > 0 ? clear : find(sign, room, barredShifts(layout, 0, room + tick))
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
    const next = placesAfter(workpiece, edits)
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

/** Uprights in order along the wall, each as wide as any lean takes it. */
function fromLeft(uprights: readonly Strip[], { lines, lean }: LaidOut): ByLeft<Strip> {
  const sway = lines.ceiling * Math.max(Math.abs(lean.left), Math.abs(lean.right))
  return new ByLeft(uprights, ({ center: { x, y }, faceWidth }) => [
    { x: x - faceWidth / 2 - sway, y },
    { x: x + faceWidth / 2 + sway, y },
  ])
}

/** The uprights as they stand once a thing is moved: a layout may be centered about the very thing. */
function uprightsAfter(
  workpiece: Workpiece,
  edits: WayOut['edits'],
  thingId: string,
  layout: Layout,
  uprights: ByLeft<Strip>,
): ByLeft<Strip> {
  const { spacing } = layout.design
  if (!('about' in spacing) || spacing.about !== thingId) return uprights
  const next = applyEdits(workpiece, edits)
  const moved = layOutStanding(next.wall.survey, layout.design, next.settings)
  return fromLeft(
    moved.uprights.map((upright) => uprightStrip(moved, upright, rulesOf(moved))),
    layout,
  )
}

/**
 * Moves the box clear of an upright strip by what is asked for between them, to the nearer side where it then meets no
 * other strip: an electrician's work.
 */
function moveBox(
  workpiece: Workpiece,
  layout: Layout,
  { obstacle }: Meeting,
  spec: Strip,
  uprights: ByLeft<Strip>,
): WayOut[] {
  const { things } = workpiece.wall.survey
  const box = things.find(({ id }) => id === obstacle.id)
  if (!box || !obstacle.plate || spec.directionDeg !== 90) return []
  const { clearance } = layout.design.judgement
  const toLeft = spec.center.x - spec.faceWidth / 2 - (box.left + box.width) - clearance
  const toRight = spec.center.x + spec.faceWidth / 2 - box.left + clearance
  for (const by of [toLeft, toRight].sort((a, b) => Math.abs(a) - Math.abs(b))) {
    const moved = { ...box, left: nearestNanometer(box.left + by), fromRight: null }
    const outline = outlineOf(moved)
    const { left, right } = boundsOf(outline)
    if (left < layout.lines.left || right > layout.lines.right) continue
    const edits: WayOut['edits'] = [
      { type: 'patchSurvey', patch: { things: things.map((thing) => (thing === box ? moved : thing)) } },
    ]
    const here = { obstacles: [{ ...obstacle, outline }] }
    const clears = uprightsAfter(workpiece, edits, box.id, layout, uprights)
      .between(left, right)
      .every(({ item }) => openMeetings(item, here, workpiece).length === 0)
    if (clears) return [{ says: { code: 'moveBox', by: nearestNanometer(by) }, edits }]
  }
  return []
}

/** How far along the wall a strip is met: an upright's own left edge, where the thing begins on a horizontal. */
function metAt(spec: Strip, meeting: Meeting): number {
  return isUpright(spec.role) ? spec.center.x - spec.faceWidth / 2 : boundsOf(meeting.obstacle.outline).left
}

/** How a thing lies to a strip, square to it: what an overruling is given for. */
function offsetOf({ center, directionDeg }: Strip, { obstacle }: Meeting): number {
  const { left, right, bottom, top } = boundsOf(obstacle.outline)
  const u = unitVector(directionDeg)
  return nearestNanometer(((bottom + top) / 2 - center.y) * u.x - ((left + right) / 2 - center.x) * u.y)
}

/** Strips that land on plates, or half on something, each with its ways out. */
export function meetingFindings(workpiece: Workpiece, layout: Layout): Finding[] {
  const found = layout.strips.flatMap((spec) =>
    openMeetings(spec, layout, workpiece).map((meeting) => ({ spec, meeting })),
  )
  const upright = found.some(({ spec }) => isUpright(spec.role))
  const uprights = fromLeft(
    layout.strips.filter(({ role }) => isUpright(role)),
    layout,
  )
  const shared =
    upright && rulesOf(layout).counts(layout.design)
      ? [...clearingShifts(workpiece, layout), ...clearingCounts(workpiece, layout, 2)]
      : []
  const seen = new Set<string>()
  return found.flatMap(({ spec, meeting }): Finding[] => {
    const { obstacle } = meeting
    const key = `meets.${spec.id}.${obstacle.id}`
    if (seen.has(key) || obstacle.kind === 'strip') return []
    seen.add(key)
    return [
      {
        stage: 'layout',
        severity: obstacle.plate ? 'wrong' : 'watch',
        says: {
          code: 'stripMeets',
          stripId: spec.id,
          thingId: obstacle.id,
          kind: obstacle.kind,
          at: nearestNanometer(metAt(spec, meeting)),
          by: nearestNanometer(meeting.depth),
          whole: meeting.whole,
        },
        stripIds: [spec.id],
        waysOut: [
          ...(isUpright(spec.role) ? shared : []),
          ...settle(workpiece, meeting),
          ...(isUpright(spec.role) ? moveBox(workpiece, layout, meeting, spec, uprights) : []),
        ],
        ...(obstacle.plate ? { blocks: { key, figure: offsetOf(spec, meeting) } } : {}),
      },
    ]
  })
}
