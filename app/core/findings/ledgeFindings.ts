import { inches, type Length, nearestNanometer } from '~/length'
import { type Edit, inForce, type Ledge, type Workpiece } from '~/model'
import { type Bracket, bracketsOf } from '../layout/brackets'
import type { Band, Layout } from '../layout/layout'
import type { Piece } from '../pieces'
import { edgesThatDiffer } from '../stock/preparing'
import { isOpening } from '../survey/obstacles'
import type { Finding, WayOut } from './finding'

/** A bracket's arm carries a shelf half as deep again. Common practice, no source. */
const ARM_CARRIES = 1.5

/** The edit that changes what a cap or a shelf has besides its stuff. */
function ledgeEdit({ wall }: Workpiece, band: Band, patch: Partial<Ledge>): Edit[] {
  const { cap, rails } = inForce(wall.design)
  if (!band.ledge) return []
  const ledge = { ...band.ledge, ...patch }
  if (band.role === 'cap') return cap ? [{ type: 'patchDesign', patch: { cap: { ...cap, ledge } } }] : []
  return [
    {
      type: 'patchDesign',
      patch: { rails: rails.map((rail) => (rail.id === band.id ? { ...rail, ledge } : rail)) },
    },
  ]
}

/** How thick what a shelf lies on is: the rail whose top it stands on, or the wall itself. */
function under(band: Band, { bands }: Layout): Length {
  const below = bands.find(({ id, top }) => id !== band.id && top === band.bottom)
  return nearestNanometer(below?.standsOut ?? 0)
}

/** How far it stands out past the thinnest casing that one of its pieces ends at; null where it ends at none or stays behind it. */
function pastCasing(band: Band, layout: Layout, pieces: readonly Piece[]): Length | null {
  if (
    !pieces.some(
      ({ stripId, startsAt, endsAt }) => stripId === band.id && [startsAt, endsAt].includes('thing'),
    )
  )
    return null
  const casings = layout.survey.things
    .filter(({ kind, bottom, height, fate }) => {
      const y = layout.lines.base.at0 + band.bottom
      return isOpening(kind) && fate !== 'remove' && bottom < y && bottom + height > y
    })
    .map(({ thickness }) => thickness)
  const past = band.standsOut - Math.min(...casings)
  return casings.length > 0 && past > 0 ? nearestNanometer(past) : null
}

function bracketWays(workpiece: Workpiece, band: Band, arm: Length): WayOut[] {
  const { brackets } = band.ledge ?? {}
  if (!brackets) return []
  const tick = inches(0.5)
  const longer = nearestNanometer(Math.ceil(band.standsOut / ARM_CARRIES / tick) * tick)
  const depth = nearestNanometer(Math.floor((arm * ARM_CARRIES) / tick) * tick)
  return [
    {
      says: { code: 'longerArm', arm: longer },
      edits: ledgeEdit(workpiece, band, { brackets: { ...brackets, arm: longer } }),
    },
    ...(depth > 0
      ? [{ says: { code: 'ripTo' as const, depth }, edits: ledgeEdit(workpiece, band, { depth }) }]
      : []),
    { says: { code: 'noBrackets' }, edits: ledgeEdit(workpiece, band, { brackets: null }) },
  ]
}

function ofBand(
  workpiece: Workpiece,
  layout: Layout,
  pieces: readonly Piece[],
  brackets: readonly Bracket[],
  band: Band,
): Finding[] {
  const { ledge } = band
  if (!ledge || !pieces.some(({ stripId }) => stripId === band.id)) return []
  const held = brackets.filter(({ bandId }) => bandId === band.id)
  const about = { stage: 'layout' as const, stripIds: [band.id] }
  const past = pastCasing(band, layout, pieces)
  const findings: Finding[] = [
    {
      ...about,
      severity: past === null ? 'note' : 'watch',
      says: {
        code: 'ledgeStands',
        stripId: band.id,
        depth: band.standsOut,
        pastRail: nearestNanometer(Math.max(0, band.standsOut - under(band, layout))),
        pastCasing: past,
        brackets: held.length,
        screwed: ledge.brackets ? held.length : 0,
      },
      waysOut:
        past === null
          ? []
          : [
              {
                says: { code: 'ripTo', depth: nearestNanometer(band.standsOut - past) },
                edits: ledgeEdit(workpiece, band, { depth: nearestNanometer(band.standsOut - past) }),
              },
            ],
    },
  ]
  if (ledge.depth !== null && ledge.depth > band.material.width)
    findings.push({
      ...about,
      severity: 'wrong',
      blocks: { key: `ledge.${band.id}`, figure: ledge.depth },
      says: {
        code: 'ledgeWiderThanStuff',
        stripId: band.id,
        depth: ledge.depth,
        width: band.material.width,
      },
      waysOut: [
        {
          says: { code: 'ripTo', depth: band.material.width },
          edits: ledgeEdit(workpiece, band, { depth: null }),
        },
      ],
    })
  const { arm } = ledge.brackets ?? {}
  if (arm !== undefined && band.standsOut > arm * ARM_CARRIES)
    findings.push({
      ...about,
      severity: 'wrong',
      blocks: { key: `brackets.${band.id}`, figure: band.standsOut },
      says: {
        code: 'shelfBeyondBrackets',
        stripId: band.id,
        depth: band.standsOut,
        arm,
        asked: nearestNanometer(band.standsOut / ARM_CARRIES),
      },
      waysOut: bracketWays(workpiece, band, arm),
    })
  if (arm !== undefined && held.length === 0)
    findings.push({
      ...about,
      severity: 'watch',
      says: { code: 'noStudForBracket', stripId: band.id },
      waysOut: [{ says: { code: 'noBrackets' }, edits: ledgeEdit(workpiece, band, { brackets: null }) }],
    })
  return findings
}

/** Eased edges and sharp ones on one wall. */
export function edgeFindings(workpiece: Workpiece, pieces: readonly Piece[]): Finding[] {
  const differ = edgesThatDiffer(pieces, workpiece)
  return differ
    ? [
        {
          stage: 'buy',
          severity: 'watch',
          says: { code: 'edgesDiffer', ...differ },
          stripIds: [],
          waysOut: [],
        },
      ]
    : []
}

/** Caps and shelves that lie flat: how far they stand out past rail and casing, what holds them, and what can't be. */
export function ledgeFindings(workpiece: Workpiece, layout: Layout, pieces: readonly Piece[]): Finding[] {
  const brackets = bracketsOf(layout, pieces)
  return layout.bands.flatMap((band) => ofBand(workpiece, layout, pieces, brackets, band))
}
