import { type Length, nearestNanometer } from '~/length'
import { inForce, type Survey, type Thing, type Workpiece } from '~/model'
import type { Layout } from '../layout/layout'
import { showsBy, usualHole } from '../panels/boxHole'
import { bendsWithin, type Profile, profileAt } from '../survey/profile'
import { isMissing } from '../survey/obstacles'
import { measuredSize, typedAgainst } from '../survey/measured'
import { MOST_OFF } from './surveyFindings'
import type { Finding, WayOut } from './finding'

type Side = 'left' | 'right' | 'top' | 'bottom'

/** How far a thing reaches past each edge of the wall, at its own heights and places. */
function pastEdges({ left, bottom, width, height }: Thing, { shape }: Layout): Record<Side, number> {
  const [right, top] = [left + width, bottom + height]
  const over = (profile: Profile, from: number, to: number) =>
    bendsWithin(profile, from, to).map((at) => profileAt(profile, at))
  // where an end leans a thing is on the wall that touches it anywhere
  return {
    left: Math.min(...over(shape.left, bottom, top)) - left,
    right: right - Math.max(...over(shape.right, bottom, top)),
    bottom: Math.min(...over(shape.floor, left, right)) - bottom,
    top: top - Math.max(...over(shape.ceiling, left, right)),
  }
}

function placed({ things }: Survey, thing: Thing, patch: Partial<Thing>): WayOut['edits'] {
  return [
    {
      type: 'patchSurvey',
      patch: { things: things.map((each) => (each === thing ? { ...each, ...patch } : each)) },
    },
  ]
}

/** Moves a thing back onto the wall; null where it is larger than the wall that way. */
function backOnWall(survey: Survey, thing: Thing, side: Side, by: number): WayOut[] {
  const { width, height } = measuredSize(survey)
  const along = side === 'left' || side === 'right'
  if ((along ? thing.width : thing.height) > (along ? width : height)) return []
  const sign = side === 'left' || side === 'bottom' ? 1 : -1
  const moved = nearestNanometer(sign * Math.ceil(by))
  const patch = along
    ? { left: nearestNanometer(thing.left + moved), fromRight: null }
    : { bottom: nearestNanometer(thing.bottom + moved), fromTop: null }
  return [
    {
      says: { code: 'placeOnWall', kind: thing.kind, by: nearestNanometer(by) },
      edits: placed(survey, thing, patch),
    },
  ]
}

/** Things that reach past the wall: a slip of the tape, or the wrong wall. A part that is missing may run on past its corner. */
function offWall({ wall, settings }: Workpiece, layout: Layout): Finding[] {
  const { survey } = wall
  return survey.things.flatMap((thing): Finding[] => {
    if (thing.fate === 'remove' || isMissing(thing.kind)) return []
    const past = pastEdges(thing, layout)
    const sides = (Object.keys(past) as Side[]).filter((side) => past[side] > settings.closure)
    // what stands before the wall, and a breast that goes up past a lower ceiling, may reach over its top
    const [side] = sides
      .filter((each) => !(each === 'top' && thing.kind === 'chimneyBreast'))
      .sort((a, b) => past[b] - past[a])
    if (!side) return []
    const by = nearestNanometer(past[side])
    return [
      {
        stage: 'measure',
        severity: 'wrong',
        says: { code: 'thingOffWall', thingId: thing.id, kind: thing.kind, side, by },
        stripIds: [],
        waysOut: [
          ...backOnWall(survey, thing, side, by),
          {
            says: { code: 'removeThing', kind: thing.kind },
            edits: [
              {
                type: 'patchSurvey',
                patch: { things: survey.things.filter((each) => each !== thing) },
              },
            ],
          },
        ],
        blocks: { key: `offWall.${thing.id}`, figure: by },
      },
    ]
  })
}

/** A width or height typed beside readings that say something else: which counts is asked at once. */
function typedFindings({ wall }: Workpiece): Finding[] {
  const { survey } = wall
  return typedAgainst(survey).flatMap(({ kind, typed, least, most, readings }) => {
    // one reading far off is told as a slip itself
    if (readings === 1 && Math.abs(least - typed) > typed * MOST_OFF) return []
    const read: Length = measuredSize(survey)[kind]
    return [
      {
        stage: 'measure',
        severity: 'wrong',
        says: { code: 'typedAgainstRead', kind, typed, least, most },
        stripIds: [],
        waysOut: [
          {
            says: { code: 'replaceReadings', kind, value: typed },
            edits: [
              {
                type: 'patchSurvey',
                patch: { readings: survey.readings.filter((reading) => reading.kind !== kind) },
              },
            ],
          },
          {
            says: { code: 'keepReadings', kind, value: read },
            edits: [{ type: 'patchSurvey', patch: { [kind]: read } }],
          },
        ],
        blocks: { key: `typed.${kind}`, figure: typed },
      },
    ]
  })
}

/** Holes behind sheets that their plates do not hide. */
function holeFindings({ wall }: Workpiece): Finding[] {
  const { survey, design } = wall
  if (!inForce(design).backer) return []
  return survey.things.flatMap((thing): Finding[] => {
    const by = thing.hole ? showsBy(thing) : 0
    if (thing.fate === 'remove' || by <= 0) return []
    const usual = usualHole(thing)
    return [
      {
        stage: 'measure',
        severity: 'watch',
        says: { code: 'holeShows', thingId: thing.id, kind: thing.kind, by: nearestNanometer(by) },
        stripIds: [],
        waysOut: [{ says: { code: 'usualHole', ...usual }, edits: placed(survey, thing, { hole: null }) }],
      },
    ]
  })
}

/** What was measured that can't be so: things off the wall, round figures against readings. */
export function onWallFindings(workpiece: Workpiece, layout: Layout): Finding[] {
  return [...typedFindings(workpiece), ...offWall(workpiece, layout), ...holeFindings(workpiece)]
}
