import { type Length, nearestNanometer } from '~/length'
import type { Edit, Survey, Thing, Workpiece } from '~/model'
import { boundsOf, distanceBetween, rectangle, TOUCHING } from '../geometry'
import { stuffOf } from '../layout/returning'
import type { Layout } from '../layout/layout'
import type { Piece } from '../pieces'
import { clearOf, isHeat, spaceNeeded, usualClear } from '../survey/heat'
import { outlineOf } from '../survey/obstacles'
import type { Finding, WayOut } from './finding'

function put({ things }: Survey, thing: Thing, patch: Partial<Thing>): Edit[] {
  return [
    {
      type: 'patchSurvey',
      patch: { things: things.map((each) => (each.id === thing.id ? { ...each, ...patch } : each)) },
    },
  ]
}

/** How far a piece stands out from the wall. */
function standsOut(piece: Piece, layout: Layout, workpiece: Workpiece): Length {
  const band = layout.bands.find(({ id }) => id === piece.stripId)
  return nearestNanometer(band?.standsOut ?? stuffOf(piece, workpiece)?.thickness ?? 0)
}

/** What of the pieces lies nearer to one source of heat than it may. */
function nearest(thing: Thing, layout: Layout, pieces: readonly Piece[], workpiece: Workpiece) {
  if (!isHeat(thing.kind)) return null
  const { kind, left, bottom, width, height } = thing
  const itself = rectangle(left, bottom, left + width, bottom + height)
  const tooNear = pieces
    .map((piece) => {
      const out = standsOut(piece, layout, workpiece)
      const asked = kind === 'fireplace' ? spaceNeeded(kind, out) : nearestNanometer(clearOf(thing))
      return { piece, out, asked, space: distanceBetween(piece.polygon, itself) }
    })
    .filter(({ space, asked }) => space < asked - TOUCHING)
    .sort((a, b) => a.space - a.asked - (b.space - b.asked))
  const [worst] = tooNear
  return worst ? { kind, worst, all: tooNear } : null
}

/** Whether what heat keeps clear takes all of the wall that is covered. */
function leavesNothing(thing: Thing, layout: Layout): boolean {
  const zone = boundsOf(outlineOf(thing))
  const low = layout.lines.base.at0 + layout.lines.baseTop
  const high = layout.lines.base.at0 + layout.top
  return zone.left <= layout.left && zone.right >= layout.right && zone.bottom <= low && zone.top >= high
}

/**
 * Fireplaces, stoves, radiators and heaters: what is kept clear of each is said, with the caution that local code and the maker's
 * word come first; a piece that lies nearer, or stands out too far within 12 in of a fire, stops the work.
 */
export function heatFindings(workpiece: Workpiece, layout: Layout, pieces: readonly Piece[]): Finding[] {
  const { survey } = workpiece.wall
  return survey.things.flatMap((thing): Finding[] => {
    const { id, kind, fate } = thing
    if (!isHeat(kind) || fate === 'remove' || fate === 'goesBack') return []
    const clear = nearestNanometer(clearOf(thing))
    const keep = (by: Length): WayOut => ({
      says: { code: 'keepClear', clear: by },
      edits: put(survey, thing, { clear: by }),
    })
    const found = nearest(thing, layout, pieces, workpiece)
    return [
      {
        stage: 'layout',
        severity: 'note',
        says: { code: 'heatStands', thingId: id, kind, clear },
        stripIds: [],
        waysOut: [],
      },
      ...(found
        ? [
            {
              stage: 'layout' as const,
              severity: 'wrong' as const,
              blocks: { key: `heat.${id}`, figure: found.worst.asked - found.worst.space },
              says: {
                code: 'nearHeat' as const,
                thingId: id,
                kind,
                stripId: found.worst.piece.stripId,
                space: nearestNanometer(found.worst.space),
                asked: found.worst.asked,
                standsOut: found.worst.asked > usualClear(kind) ? found.worst.out : null,
              },
              stripIds: [...new Set(found.all.map(({ piece }) => piece.stripId))],
              waysOut: [keep(nearestNanometer(Math.max(...found.all.map(({ asked }) => asked))))],
            },
          ]
        : []),
      ...(leavesNothing(thing, layout)
        ? [
            {
              stage: 'layout' as const,
              severity: 'wrong' as const,
              blocks: { key: `heatAll.${id}`, figure: clear },
              says: { code: 'heatLeavesNothing' as const, thingId: id, kind, clear },
              stripIds: [],
              waysOut: usualClear(kind) < clear ? [keep(usualClear(kind))] : [],
            },
          ]
        : []),
    ]
  })
}
