import { type Length, nearestNanometer, tickOf } from '~/length'
import type { Workpiece } from '~/model'
import { bandStrip, battenStrip } from '../layout/cutLayout'
import { type Layout, layOut } from '../layout/layout'
import { type Meeting, meetings } from '../pieces'
import { countChoices, equalGap } from '../spacing'
import type { Finding, WayOut } from './finding'

/** A batten lies over a plate, or half over something: not settled by the survey or the design. */
function isOpen(meeting: Meeting, workpiece: Workpiece): boolean {
  const { obstacle, whole } = meeting
  if (workpiece.wall.design.meets[obstacle.id] !== undefined || obstacle.fate === 'cutRound') return false
  return obstacle.plate || !whole
}

function openMeetings(workpiece: Workpiece, layout: Layout, onlyPlates = false) {
  return layout.battens.flatMap((batten) =>
    meetings(battenStrip(layout, batten), layout.obstacles)
      .filter((meeting) => isOpen(meeting, workpiece) && (!onlyPlates || meeting.obstacle.plate))
      .filter(({ from, to }) => to > layout.battenFoot && from < layout.battenHead)
      .map((meeting) => ({ batten, meeting })),
  )
}

function withDesign(workpiece: Workpiece, patch: Partial<Workpiece['wall']['design']>): Workpiece {
  return { ...workpiece, wall: { ...workpiece.wall, design: { ...workpiece.wall.design, ...patch } } }
}

function meetsNothing(workpiece: Workpiece, layout: Layout): boolean {
  return layout.battens.every((batten) =>
    meetings(battenStrip(layout, batten), layout.obstacles).every(
      (meeting) =>
        !isOpen(meeting, workpiece) || meeting.to <= layout.battenFoot || meeting.from >= layout.battenHead,
    ),
  )
}

function isClear(workpiece: Workpiece): boolean {
  const { survey, design } = workpiece.wall
  const layout = layOut(survey, design, workpiece.settings)
  return layout.placement !== null && meetsNothing(workpiece, layout)
}

/** The same layout with its battens moved along the wall, all else as it stands. */
function moved(layout: Layout, by: number): Layout {
  return {
    ...layout,
    battens: layout.battens.map((batten) => ({
      ...batten,
      left: nearestNanometer(batten.left + by),
      right: nearestNanometer(batten.right + by),
    })),
  }
}

/** The smallest shifts, one each way, that clear everything: tried tick by tick as far as the end bays allow. */
function clearingShifts(workpiece: Workpiece, layout: Layout): WayOut[] {
  const { placement } = layout
  if (!placement) return []
  const step = Math.max(tickOf(workpiece.settings.tape), 1_587_500)
  const now = workpiece.wall.design.shift
  const find = (sign: 1 | -1, room: number): WayOut[] => {
    for (let by = step; by <= room; by += step) {
      const shift = nearestNanometer(now + sign * by)
      if (meetsNothing(workpiece, moved(layout, sign * by)))
        return [
          {
            says: { code: 'shiftBy', by: nearestNanometer(sign * by) },
            edits: [{ type: 'patchDesign', patch: { shift } }],
          },
        ]
    }
    return []
  }
  return [...find(-1, placement.leftEnd * 0.75), ...find(1, placement.rightEnd * 0.75)]
}

/** The counts nearest to today's whose equal gaps clear everything. */
function clearingCounts(workpiece: Workpiece, layout: Layout, howMany: number): WayOut[] {
  const { placement, battenMaterial } = layout
  if (!placement) return []
  const { spacing } = workpiece.wall.design
  const ends = 'ends' in spacing ? spacing.ends : 'gap'
  const gap = placement.gaps[0] ?? placement.leftEnd
  const wish = {
    school: 'nearWish',
    wish: gap,
    measure: 'gap',
    least: gap,
    most: gap,
    ends,
    strips: null,
  } as const
  return countChoices(wish, placement.span, battenMaterial.width)
    .filter(
      ({ strips }) =>
        Math.abs(strips - placement.nearEdges.length) <= 3 && strips !== placement.nearEdges.length,
    )
    .sort((a, b) => Math.abs(a.offWish) - Math.abs(b.offWish))
    .filter(({ strips }) =>
      isClear(
        withDesign(workpiece, {
          spacing: { school: 'equalByCount', strips, ends },
          shift: nearestNanometer(0),
        }),
      ),
    )
    .slice(0, howMany)
    .map(({ strips }) => ({
      says: { code: 'useStrips', strips, gap: equalGap(placement.span, battenMaterial.width, strips, ends) },
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

/** Moves the box just clear of the batten, to the nearer side: an electrician's work. */
function moveBox(workpiece: Workpiece, meeting: Meeting, left: Length, right: Length): WayOut[] {
  const { things } = workpiece.wall.survey
  const box = things.find(({ id }) => id === meeting.obstacle.id)
  if (!box || !meeting.obstacle.plate) return []
  const toLeft = left - (box.left + box.width)
  const toRight = right - box.left
  const by = nearestNanometer(Math.abs(toLeft) <= Math.abs(toRight) ? toLeft : toRight)
  const put = things.map((thing) =>
    thing.id === box.id ? { ...thing, left: nearestNanometer(thing.left + by), fromRight: null } : thing,
  )
  return [{ says: { code: 'moveBox', by }, edits: [{ type: 'patchSurvey', patch: { things: put } }] }]
}

/** Battens and rails that land on plates, or half on something, each with its ways out. */
export function meetingFindings(workpiece: Workpiece, layout: Layout): Finding[] {
  const found = openMeetings(workpiece, layout)
  const shared =
    found.length > 0 ? [...clearingShifts(workpiece, layout), ...clearingCounts(workpiece, layout, 2)] : []
  const battens = found.map(({ batten, meeting }): Finding => ({
    stage: 'layout',
    severity: meeting.obstacle.plate ? 'wrong' : 'watch',
    says: {
      code: 'stripMeets',
      stripId: batten.id,
      thingId: meeting.obstacle.id,
      kind: meeting.obstacle.kind,
      at: batten.left,
      by: nearestNanometer(meeting.depth),
      whole: meeting.whole,
    },
    stripIds: [batten.id],
    waysOut: [
      ...shared,
      ...settle(workpiece, meeting),
      ...moveBox(workpiece, meeting, batten.left, batten.right),
    ],
    ...(meeting.obstacle.plate ? { blocks: `meets.${batten.id}.${meeting.obstacle.id}` } : {}),
  }))
  const bands = layout.bands.flatMap((band) =>
    meetings(bandStrip(layout, band), layout.obstacles)
      .filter((meeting) => isOpen(meeting, workpiece))
      .map((meeting): Finding => ({
        stage: 'layout',
        severity: meeting.obstacle.plate ? 'wrong' : 'watch',
        says: {
          code: 'stripMeets',
          stripId: band.id,
          thingId: meeting.obstacle.id,
          kind: meeting.obstacle.kind,
          at: nearestNanometer(meeting.from),
          by: nearestNanometer(meeting.depth),
          whole: meeting.whole,
        },
        stripIds: [band.id],
        waysOut: settle(workpiece, meeting),
        ...(meeting.obstacle.plate ? { blocks: `meets.${band.id}.${meeting.obstacle.id}` } : {}),
      })),
  )
  return [...battens, ...bands]
}
