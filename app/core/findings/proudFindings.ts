import { addLengths, type Length, nearestNanometer } from '~/length'
import {
  type Design,
  FIXTURES,
  FURNITURE,
  inForce,
  QUARTER_ROUND,
  type ThingKind,
  usualOffers,
  type Workpiece,
} from '~/model'
import { boundsOf, isInside, type Point, TOUCHING, unitVector } from '../geometry'
import type { Layout } from '../layout/layout'
import { backerThickness } from '../panels/backerSheet'
import { rulesOf } from '../patterns/rules'
import { meetings, obstaclesNear, type Piece, treatmentOf } from '../pieces'
import { type Strip, wholePiece } from '../strips/strip'
import { clearOf } from '../survey/heat'
import { isMissing, isOpening } from '../survey/obstacles'
import { profileAt } from '../survey/profile'
import { baseAt } from '../survey/wallLines'
import type { Finding, WayOut } from './finding'
import { type Standing, STANDING_ROLES, thinner } from './thinnerStock'

/** What the design has settled about a baseboard thinner than the strips: a way that its pattern carries out. */
function isSettled(design: Design): boolean {
  if (design.proud === 'backBevel') return rulesOf(design).footBevels(design)
  return design.proud !== 'leave' && rulesOf(design).standsFree
}

/** What uprights can do at a baseboard that is thinner than they are; a grid has its border there. */
function onBase({ settings }: Workpiece, railMaterial: string): WayOut[] {
  return [
    { says: { code: 'backBevel' }, edits: [{ type: 'patchDesign', patch: { proud: 'backBevel' } }] },
    {
      says: { code: 'ledger' },
      edits: [
        { type: 'addMaterial', material: QUARTER_ROUND },
        ...usualOffers(QUARTER_ROUND.id, settings.units).map((offer) => ({
          type: 'setOffer' as const,
          offer,
        })),
        { type: 'patchDesign', patch: { proud: 'ledger' } },
      ],
    },
    {
      says: { code: 'addBottomRail' },
      edits: [{ type: 'patchDesign', patch: { foot: { kind: 'rail', material: railMaterial } } }],
    },
  ]
}

/** Things that a strip ends at, within its own length. */
function endedAt(strip: Strip, layout: Layout, meets: Design['meets']): string[] {
  const ending = meetings(strip, obstaclesNear(strip, layout.obstacles)).filter(
    (each) => treatmentOf(each, meets) === 'end',
  )
  const whole = ending.length === 0 ? null : wholePiece(strip)
  if (!whole) return []
  const along = unitVector(strip.directionDeg)
  const at = whole.polygon.map(({ x, y }) => (x - strip.center.x) * along.x + (y - strip.center.y) * along.y)
  return ending
    .filter(({ from, to }) => to > Math.min(...at) && from < Math.max(...at))
    .map(({ obstacle }) => obstacle.id)
}

/** The strips, by what of them is left to cut, that come up to a line across the wall with their lower or upper ends. */
function comesTo(
  standing: readonly Standing[],
  pieces: readonly Piece[],
  offsetOf: (point: { readonly x: number; readonly y: number }) => number,
  within: number,
): Standing[] {
  return standing.filter(({ strip }) =>
    pieces.some(
      ({ stripId, polygon }) =>
        stripId === strip.id && Math.min(...polygon.map((point) => offsetOf(point))) <= within,
    ),
  )
}

function proud(
  says: { readonly what: Extract<Finding['says'], { code: 'proudOf' }>['what']; readonly thingId?: string },
  thick: readonly Standing[],
  trim: Length,
  waysOut: WayOut[],
): Finding {
  return {
    stage: 'layout',
    severity: 'watch',
    says: {
      code: 'proudOf',
      ...says,
      strip: nearestNanometer(Math.max(...thick.map(({ standsOut }) => standsOut))),
      trim,
    },
    stripIds: [...new Set(thick.map(({ strip }) => strip.id))],
    waysOut,
  }
}

function baseFinding(
  workpiece: Workpiece,
  layout: Layout,
  pieces: readonly Piece[],
  standing: readonly Standing[],
): Finding[] {
  const { wall, settings } = workpiece
  const base = wall.survey.baseboard
  if (base?.fate !== 'keep' || base.height <= 0) return []
  const design = inForce(wall.design)
  const { shape, lines } = layout
  const settled = isSettled(design)
  const onIt = comesTo(
    // a rail or a ledger that lies on its top edge is one of the ways to meet it
    standing.filter(({ strip }) => strip.role !== 'bottomRail' && strip.role !== 'ledger'),
    pieces,
    ({ x, y }) => Math.min(y - profileAt(shape.floor, x) - lines.build, y - baseAt(lines, x)) - lines.baseTop,
    settings.fit,
  )
  const thick = onIt.filter(
    ({ strip, standsOut }) =>
      standsOut > base.thickness &&
      !(settled && (STANDING_ROLES.includes(strip.role) || strip.role === 'border')),
  )
  if (thick.length === 0) return []
  const { standsFree, footBevels, framesItself } = rulesOf(layout)
  const railMaterial = design.topRail?.material ?? design.battenMaterial
  const allUpright = thick.every(({ strip }) => STANDING_ROLES.includes(strip.role))
  const settles = thick.every(({ strip }) => STANDING_ROLES.includes(strip.role) || strip.role === 'border')
  const thickest = nearestNanometer(Math.max(...thick.map(({ standsOut }) => standsOut)))
  const skin = backerThickness(workpiece)
  return [
    proud({ what: 'baseboard' }, thick, base.thickness, [
      ...thinner(workpiece, thick, base.thickness, skin),
      ...(allUpright && standsFree
        ? onBase(workpiece, railMaterial)
        : settles && footBevels(design)
          ? onBase(workpiece, railMaterial).slice(0, 1)
          : []),
      {
        says: { code: 'swapBase', thickness: thickest },
        edits: [{ type: 'patchSurvey', patch: { baseboard: { ...base, thickness: thickest } } }],
      },
      {
        says: { code: 'removeBase' },
        edits: [
          { type: 'patchSurvey', patch: { baseboard: { ...base, fate: 'remove' } } },
          {
            type: 'patchDesign',
            patch: { foot: framesItself ? { kind: 'floor' } : { kind: 'rail', material: railMaterial } },
          },
        ],
      },
    ]),
  ]
}

function crownFinding(
  workpiece: Workpiece,
  layout: Layout,
  pieces: readonly Piece[],
  standing: readonly Standing[],
): Finding[] {
  const { crown } = workpiece.wall.survey
  if (crown?.fate !== 'keep') return []
  const { shape, lines } = layout
  const under = comesTo(
    standing,
    pieces,
    ({ x, y }) =>
      Math.min(
        profileAt(shape.ceiling, x) - (lines.ceiling - lines.headLine) - y,
        baseAt(lines, x) + lines.headLine - y,
      ),
    workpiece.settings.fit,
  )
  const thick = under.filter(({ standsOut }) => standsOut > crown.thickness)
  if (thick.length === 0) return []
  const lower = nearestNanometer(layout.height * 0.75)
  return [
    proud({ what: 'crown' }, thick, crown.thickness, [
      ...thinner(workpiece, thick, crown.thickness, backerThickness(workpiece)),
      ...(layout.top >= lines.headLine - workpiece.settings.fit
        ? [
            {
              says: { code: 'lowerTo' as const, height: lower },
              edits: [
                {
                  type: 'patchDesign' as const,
                  patch: { height: { rule: 'typed' as const, value: lower } },
                },
              ],
            },
          ]
        : []),
    ]),
  ]
}

/** What strips end at without coming up to its face. */
const NO_TRIM: readonly ThingKind[] = [...FIXTURES, ...FURNITURE]

/** Casing and other trim that strips end at and that is thinner than they are. */
function thingFindings(workpiece: Workpiece, layout: Layout, standing: readonly Standing[]): Finding[] {
  const { wall } = workpiece
  const { things } = wall.survey
  const { meets } = inForce(wall.design)
  const atThing = new Map<string, Standing[]>()
  for (const each of standing)
    for (const id of endedAt(each.strip, layout, meets)) atThing.set(id, [...(atThing.get(id) ?? []), each])
  return things.flatMap((thing): Finding[] => {
    // strips stop well short of heat, what stands before the wall or is built on it is no trim, and what is missing of a wall has no face
    // but a skirt board's
    if ((isMissing(thing.kind) && !thing.skirt) || clearOf(thing) > 0 || NO_TRIM.includes(thing.kind))
      return []
    const trim = thing.skirt?.thickness ?? thing.thickness
    const thick = (atThing.get(thing.id) ?? []).filter(({ standsOut }) => standsOut > trim)
    if (thick.length === 0) return []
    const put = (patch: Partial<typeof thing>): WayOut['edits'] => [
      {
        type: 'patchSurvey',
        patch: { things: things.map((each) => (each.id === thing.id ? { ...each, ...patch } : each)) },
      },
    ]
    const thickness = nearestNanometer(Math.max(...thick.map(({ standsOut }) => standsOut)))
    return [
      proud({ what: thing.kind, thingId: thing.id }, thick, trim, [
        ...thinner(workpiece, thick, trim, backerThickness(workpiece)),
        {
          says: { code: 'swapThing', kind: thing.kind, thickness },
          edits: put(thing.skirt ? { skirt: { ...thing.skirt, thickness } } : { thickness }),
        },
        ...(isOpening(thing.kind) || thing.skirt
          ? []
          : [{ says: { code: 'removeThing' as const, kind: thing.kind }, edits: put({ fate: 'remove' }) }]),
      ]),
    ]
  })
}

/** Just past the end of a piece, on its center line, where it lands on another strip. */
function landings(piece: Piece): Point[] {
  const u = unitVector(piece.directionDeg)
  const at = (ends: 'start' | 'end') => {
    const sign = ends === 'start' ? -1 : 1
    const all = piece.face.map(({ x, y }) => ({ x, y, along: sign * (x * u.x + y * u.y) }))
    const most = [...all].sort((a, b) => b.along - a.along).slice(0, 2)
    const middle = (key: 'x' | 'y') => most.reduce((sum, point) => sum + point[key], 0) / most.length
    return { x: middle('x') + sign * u.x * 10 * TOUCHING, y: middle('y') + sign * u.y * 10 * TOUCHING }
  }
  return [
    ...(piece.startsAt === 'strip' ? [at('start')] : []),
    ...(piece.endsAt === 'strip' ? [at('end')] : []),
  ]
}

/** Strips that end at a thinner strip: their end grain stands out beside its face. */
function stripFindings(
  workpiece: Workpiece,
  pieces: readonly Piece[],
  standing: readonly Standing[],
): Finding[] {
  if (new Set(standing.map(({ standsOut }) => standsOut)).size < 2) return []
  const byId = new Map<string, Standing>(standing.map((each) => [each.strip.id, each]))
  const boxed = pieces.map((piece) => ({ piece, box: boundsOf(piece.face) }))
  const over = new Map<string, Standing[]>()
  for (const piece of pieces) {
    const own = byId.get(piece.stripId)
    for (const point of own ? landings(piece) : []) {
      const met = boxed.find(
        ({ piece: other, box }) =>
          other.stripId !== piece.stripId &&
          point.x > box.left &&
          point.x < box.right &&
          point.y > box.bottom &&
          point.y < box.top &&
          isInside(point, other.face),
      )
      const on = met && byId.get(met.piece.stripId)
      if (!own || !on || own.standsOut <= on.standsOut) continue
      over.set(on.strip.id, [...(over.get(on.strip.id) ?? []), own])
    }
  }
  const skin = backerThickness(workpiece)
  return [...over].flatMap(([id, several]): Finding[] => {
    const on = byId.get(id)
    const thick = [...new Set(several)]
    const by = Math.max(...thick.map(({ standsOut }) => standsOut)) - (on?.standsOut ?? 0)
    return [
      {
        stage: 'layout',
        severity: 'watch',
        says: { code: 'proudOfStrip', stripId: id, by: nearestNanometer(by) },
        stripIds: [...new Set(thick.map(({ strip }) => strip.id as string))],
        waysOut: on ? thinner(workpiece, thick, on.standsOut, skin) : [],
      },
    ]
  })
}

/**
 * Strips that stand out further than what they come up to: the baseboard they hang over, the crown, casing and other trim, or another strip they end at.
 * Every strip is compared by its own thickness; caps and shelves with a depth of their own are told by `ledgeFindings`.
 */
export function proudFindings(workpiece: Workpiece, layout: Layout, pieces: readonly Piece[]): Finding[] {
  // trim on a skin of sheets stands out by both
  const skin = backerThickness(workpiece)
  const cut = new Set(pieces.map(({ stripId }) => stripId))
  const standing = layout.strips.flatMap((strip): Standing[] => {
    const band = layout.bands.find(({ id }) => id === strip.id)
    if (!cut.has(strip.id) || strip.role === 'sideTrim' || band?.ledge) return []
    return [
      { strip, standsOut: addLengths(nearestNanometer(band?.standsOut ?? strip.material.thickness), skin) },
    ]
  })
  return [
    ...baseFinding(workpiece, layout, pieces, standing),
    ...crownFinding(workpiece, layout, pieces, standing),
    ...thingFindings(workpiece, layout, standing),
    ...stripFindings(workpiece, pieces, standing),
  ]
}
