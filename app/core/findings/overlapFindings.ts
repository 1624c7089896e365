import { nearestNanometer } from '~/length'
import { type Workpiece, inForce, type Design } from '~/model'
import { boundsOf, liesApart, sharedArea, TOUCHING } from '../geometry'
import type { Band, Layout } from '../layout/layout'
import type { Piece } from '../pieces'
import type { Finding, WayOut } from './finding'

/** Two faces that share less than this are only fitted tight: five square millimeters. */
const SHARED_AREA = 5e12

/** Faces that reach over each other by no more than rounding does: along the longest wall far less than `SHARED_AREA`. */
const ON_A_CUT = 100

/** Pairs of strips whose pieces lie over one another, each pair once. */
function overlappingStrips(pieces: readonly Piece[]): (readonly [string, string])[] {
  const boxed = pieces
    .map((piece) => ({ piece, box: boundsOf(piece.polygon) }))
    .sort((a, b) => a.box.left - b.box.left)
  const pairs = new Map<string, readonly [string, string]>()
  boxed.forEach(({ piece, box }, i) => {
    for (let k = i + 1; k < boxed.length; k++) {
      const other = boxed[k]
      if (!other || other.box.left > box.right - TOUCHING) break
      if (other.box.bottom > box.top - TOUCHING || other.box.top < box.bottom + TOUCHING) continue
      // halved over one another on purpose
      if (piece.laps.some((lap) => lap.with === other.piece.stripId)) continue
      // strips that meet on a cut: most that come so far, and told apart at a glance
      if (liesApart(piece.face, other.piece.face, ON_A_CUT)) continue
      if (sharedArea(piece.polygon, other.piece.polygon) < SHARED_AREA) continue
      const pair = [piece.stripId, other.piece.stripId].sort() as [string, string]
      pairs.set(pair.join(' '), pair)
    }
  })
  return [...pairs.values()]
}

/** A horizontal with a height of its own moved clear of another, below it or above it, or taken off. */
function moveApart({ wall }: Workpiece, layout: Layout, ids: readonly string[]): WayOut[] {
  const { rails } = inForce(wall.design)
  const own = rails.findLast(({ id }) => ids.includes(id))
  const band = layout.bands.find(({ id }) => id === own?.id)
  const other = layout.bands.find(({ id }) => id !== own?.id && ids.includes(id))
  if (!own) return []
  const put = (top: number): WayOut['edits'] => [
    {
      type: 'patchDesign',
      patch: {
        rails: rails.map((rail) =>
          rail.id === own.id ? { ...rail, top: { rule: 'typed', value: nearestNanometer(top) } } : rail,
        ),
      },
    },
  ]
  const beside = (of: Band, by: Band): WayOut[] => {
    const height = of.top - of.bottom
    const below = by.bottom
    const above = by.top + height
    return [
      ...(below - height >= layout.lines.baseTop
        ? [
            {
              says: { code: 'moveRail' as const, bandId: of.id, top: nearestNanometer(below) },
              edits: put(below),
            },
          ]
        : []),
      ...(above <= layout.lines.headLine
        ? [
            {
              says: { code: 'moveRail' as const, bandId: of.id, top: nearestNanometer(above) },
              edits: put(above),
            },
          ]
        : []),
    ]
  }
  return [...(band && other ? beside(band, other) : []), takeOff(own.id, rails)]
}

function takeOff(id: string, rails: Design['rails']): WayOut {
  return {
    says: { code: 'takeRailOff', bandId: id },
    edits: [{ type: 'patchDesign', patch: { rails: rails.filter((rail) => rail.id !== id) } }],
  }
}

/** The pairs gathered by the strip that most of them share, so that one rail over ten battens is told once. */
function gathered(pairs: readonly (readonly [string, string])[]): [string, string[]][] {
  const times = new Map<string, number>()
  for (const id of pairs.flat()) times.set(id, (times.get(id) ?? 0) + 1)
  const groups = new Map<string, string[]>()
  for (const [a, b] of pairs) {
    const [one, other] = (times.get(a) ?? 0) >= (times.get(b) ?? 0) ? [a, b] : [b, a]
    groups.set(one, [...(groups.get(one) ?? []), other])
  }
  return [...groups]
}

/** Strips that lie over one another: the cut list would be wrong. */
export function overlapFindings(workpiece: Workpiece, layout: Layout, pieces: readonly Piece[]): Finding[] {
  return gathered(overlappingStrips(pieces)).map(([stripId, others]) => ({
    stage: 'layout',
    severity: 'wrong',
    says: { code: 'stripsShareWall', stripId, otherIds: others },
    stripIds: [stripId, ...others],
    waysOut: moveApart(workpiece, layout, [stripId, ...others]),
    blocks: { key: `shares.${stripId}`, figure: null },
  }))
}

/** Horizontals of which nothing is left to cut, because others or the wall's own things take all their place. */
export function vanishedFindings({ wall }: Workpiece, vanished: readonly Band[]): Finding[] {
  const { rails } = inForce(wall.design)
  return vanished.map(({ id }) => ({
    stage: 'layout',
    severity: 'wrong',
    says: { code: 'stripVanishes', stripId: id },
    stripIds: [],
    waysOut: rails.some((rail) => rail.id === id) ? [takeOff(id, rails)] : [],
    blocks: { key: `vanishes.${id}`, figure: null },
  }))
}

/** Horizontals over the ceiling or the crown, or under the floor or the baseboard that stays. */
export function bandsOffWall({ wall, settings }: Workpiece, layout: Layout): Finding[] {
  const { lines } = layout
  const { rails } = inForce(wall.design)
  return layout.bands.flatMap((band): Finding[] => {
    const over = band.top - lines.headLine
    const under = lines.baseTop - band.bottom
    const own = rails.find(({ id }) => id === band.id)
    // the main layout's own top is told by its height
    if (!own || Math.max(over, under) <= settings.fit) return []
    const top = over > 0 ? lines.headLine : lines.baseTop + band.top - band.bottom
    return [
      {
        stage: 'layout',
        severity: 'wrong',
        says: {
          code: 'bandOffWall',
          bandId: band.id,
          edge: over > 0 ? 'head' : 'foot',
          by: nearestNanometer(Math.max(over, under)),
        },
        stripIds: [band.id],
        waysOut: [
          {
            says: { code: 'moveRail', bandId: band.id, top: nearestNanometer(top) },
            edits: [
              {
                type: 'patchDesign',
                patch: {
                  rails: rails.map((rail) =>
                    rail.id === own.id
                      ? { ...rail, top: { rule: 'typed', value: nearestNanometer(top) } }
                      : rail,
                  ),
                },
              },
            ],
          },
          takeOff(band.id, rails),
        ],
      },
    ]
  })
}

/** A part of the wall to be covered that is not on the wall, runs backwards or is empty. */
export function extentFindings({ wall, settings }: Workpiece, layout: Layout): Finding[] {
  const { extent } = inForce(wall.design)
  if (!extent) return []
  const { lines } = layout
  const whole: WayOut = {
    says: { code: 'wholeWall' },
    edits: [{ type: 'patchDesign', patch: { extent: null } }],
  }
  const figures = { left: extent.left, right: extent.right, wall: lines.right }
  if (layout.right - layout.left <= settings.fit) {
    const turned = { left: extent.right, right: extent.left }
    return [
      {
        stage: 'layout',
        severity: 'wrong',
        says: { code: 'extentEmpty', ...figures },
        stripIds: [],
        waysOut: [
          ...(turned.left < turned.right && turned.left < lines.right
            ? [
                {
                  says: { code: 'turnExtent' as const, ...turned },
                  edits: [{ type: 'patchDesign' as const, patch: { extent: turned } }],
                },
              ]
            : []),
          whole,
        ],
        blocks: { key: 'extent', figure: null },
      },
    ]
  }
  if (extent.right <= lines.right + settings.fit) return []
  return [
    {
      stage: 'layout',
      severity: 'note',
      says: { code: 'extentBeyond', ...figures },
      stripIds: [],
      waysOut: [whole],
    },
  ]
}
