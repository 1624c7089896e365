import { addLengths, type Length, nearestNanometer } from '~/length'
import { LEVEL_RULES, QUARTER_ROUND, usualOffers, type Workpiece, inForce, type Design } from '~/model'
import type { Layout } from '../layout/layout'
import { rulesOf } from '../patterns/rules'
import { specOf, type Strip } from '../strips/strip'
import { meetings, placePiece, treatmentOf } from '../pieces'
import { backerThickness } from '../panels/backerSheet'
import { isOpening } from '../survey/obstacles'
import { bendsWithin, profileAt } from '../survey/profile'
import { laidOut } from '../edits/laidOut'
import { baseAt, spaceUnder } from '../survey/wallLines'
import type { Finding, WayOut } from './finding'
import { unitVector } from '../geometry'

/** What a layout's base line leaves: the space under the rails to fill, and how far they are off level. */
function leftBy({ shape, lines, left, right }: Layout): { gap: number; outOfLevel: number } {
  return {
    // along a stair the base line is the floor's own
    gap: lines.followed.length > 0 ? 0 : spaceUnder(shape, lines, left, right),
    outOfLevel: Math.abs(lines.base.slope) * (right - left),
  }
}

/** What each of the other rules would leave, read off the layouts they make. */
function otherRules(workpiece: Workpiece): WayOut[] {
  return LEVEL_RULES.filter((rule) => rule !== inForce(workpiece.wall.design).levelRule).map(
    (rule): WayOut => {
      const edits: WayOut['edits'] = [{ type: 'patchDesign', patch: { levelRule: rule } }]
      return { says: { code: 'useLevelRule', rule, ...leftBy(laidOut(workpiece, edits)) }, edits }
    },
  )
}

/** The widest space between the layout's top and the ceiling or crown above it. */
function spaceOver({ shape, lines, left, right, top }: Layout): number {
  const crown = lines.ceiling - lines.headLine
  return Math.max(
    ...bendsWithin(shape.ceiling, left, right).map(
      (x) => profileAt(shape.ceiling, x) - crown - baseAt(lines, x) - top,
    ),
  )
}

/** A floor or a ceiling that falls more than the fitting tolerance: what is left open, and what each rule would leave. */
export function slopeFindings(workpiece: Workpiece, layout: Layout): Finding[] {
  const { wall, settings } = workpiece
  const { shape, lines } = layout
  if (layout.right <= layout.left) return []
  const fallOf = (profile: Layout['shape']['floor']) => {
    const heights = bendsWithin(profile, layout.left, layout.right).map((x) => profileAt(profile, x))
    return Math.max(...heights) - Math.min(...heights)
  }
  const { levelRule } = inForce(wall.design)
  const findings: Finding[] = []
  const fall = fallOf(shape.floor)
  if (fall > settings.fit)
    findings.push({
      stage: 'layout',
      severity: 'note',
      says: { code: 'floorFalls', fall, rule: levelRule, ...leftBy(layout), caulk: settings.caulk },
      stripIds: [],
      waysOut: otherRules(workpiece),
    })
  // only what comes up to the ceiling is open under it
  const reaches = layout.top > lines.headLine - settings.fit && layout.top <= lines.headLine + settings.fit
  const open = reaches && lines.followed.length === 0 ? spaceOver(layout) : 0
  if (open > settings.fit)
    findings.push({
      stage: 'layout',
      severity: 'note',
      says: { code: 'ceilingFalls', fall: fallOf(shape.ceiling), gap: open, caulk: settings.caulk },
      stripIds: [],
      waysOut: fall > settings.fit ? [] : otherRules(workpiece),
    })
  return findings
}

/** What the design has settled about a baseboard thinner than the strips: a way that its pattern carries out. */
function isSettled(design: Design): boolean {
  if (design.proud === 'backBevel') return rulesOf(design).footBevels(design)
  return design.proud !== 'leave' && rulesOf(design).standsFree
}

/** The thickness that comes up against trim: the uprights', or where there are none the thickest horizontal's. */
function meetingThickness(layout: Layout): Length {
  const { battenMaterial, bands } = layout
  if (rulesOf(layout).places === 'uprights') return battenMaterial.thickness
  return nearestNanometer(Math.max(0, ...bands.map(({ material }) => material.thickness)))
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

/** Battens thicker than the trim they stand on or end at, with the ways out of it. */
export function proudFindings(workpiece: Workpiece, layout: Layout): Finding[] {
  const { wall, settings } = workpiece
  const { survey } = wall
  const design = inForce(wall.design)
  // trim on a skin of sheets stands out by both
  const skin = backerThickness(workpiece)
  const thickness = addLengths(meetingThickness(layout), skin)
  const { places, standsFree, footBevels, framesItself } = rulesOf(layout)
  const findings: Finding[] = []
  const thinner = (limit: number): WayOut[] =>
    settings.materials
      .filter((material) => material.thickness + skin <= limit)
      .sort(
        (a, b) =>
          Math.abs(a.width - layout.battenMaterial.width) - Math.abs(b.width - layout.battenMaterial.width),
      )
      .slice(0, 1)
      .map(({ id }) => ({
        says: { code: 'useMaterial', materialId: id },
        edits: [{ type: 'patchDesign', patch: { battenMaterial: id } }],
      }))
  const base = survey.baseboard
  const railMaterial = design.topRail?.material ?? design.battenMaterial
  if (
    places === 'uprights' &&
    base?.fate === 'keep' &&
    design.foot.kind !== 'rail' &&
    thickness > base.thickness &&
    !isSettled(design)
  ) {
    findings.push({
      stage: 'layout',
      severity: 'watch',
      says: { code: 'proudOf', what: 'baseboard', strip: thickness, trim: base.thickness },
      stripIds: layout.uprights.map(({ id }) => id).slice(0, 1),
      waysOut: [
        ...thinner(base.thickness),
        ...(standsFree
          ? onBase(workpiece, railMaterial)
          : footBevels(design)
            ? onBase(workpiece, railMaterial).slice(0, 1)
            : []),
        {
          says: { code: 'swapBase', thickness },
          edits: [{ type: 'patchSurvey', patch: { baseboard: { ...base, thickness } } }],
        },
        {
          says: { code: 'removeBase' },
          edits: [
            { type: 'patchSurvey', patch: { baseboard: { ...base, fate: 'remove' } } },
            {
              type: 'patchDesign',
              patch: {
                foot: framesItself ? { kind: 'floor' } : { kind: 'rail', material: railMaterial },
              },
            },
          ],
        },
      ],
    })
  }
  const crown = survey.crown
  const reaches = layout.top >= layout.lines.headLine - settings.fit
  if (crown?.fate === 'keep' && reaches && thickness > crown.thickness)
    findings.push({
      stage: 'layout',
      severity: 'watch',
      says: { code: 'proudOf', what: 'crown', strip: thickness, trim: crown.thickness },
      stripIds: [],
      waysOut: [
        ...thinner(crown.thickness),
        {
          says: { code: 'lowerTo', height: nearestNanometer(layout.height * 0.75) },
          edits: [
            {
              type: 'patchDesign',
              patch: { height: { rule: 'typed', value: nearestNanometer(layout.height * 0.75) } },
            },
          ],
        },
      ],
    })
  return [...findings, ...thingFindings(workpiece, layout, thinner)]
}

/** Things that strips end at, within their own length. */
function endedAt(spec: Strip, layout: Layout, meets: Design['meets']): string[] {
  const ending = meetings(spec, layout.obstacles).filter((each) => treatmentOf(each, meets) === 'end')
  if (ending.length === 0) return []
  const whole = placePiece(specOf(spec))
  if (!whole) return []
  const along = unitVector(spec.directionDeg)
  const at = whole.polygon.map(({ x, y }) => (x - spec.center.x) * along.x + (y - spec.center.y) * along.y)
  return ending
    .filter(({ from, to }) => to > Math.min(...at) && from < Math.max(...at))
    .map(({ obstacle }) => obstacle.id)
}

/** Casing and other trim that strips end at and that is thinner than they are. */
function thingFindings(
  workpiece: Workpiece,
  layout: Layout,
  thinner: (limit: number) => WayOut[],
): Finding[] {
  const { wall } = workpiece
  const skin = backerThickness(workpiece)
  const thickness = addLengths(meetingThickness(layout), skin)
  const { things } = wall.survey
  const met = new Set(layout.strips.flatMap((strip) => endedAt(strip, layout, inForce(wall.design).meets)))
  return things
    .filter((thing) => met.has(thing.id) && thing.kind !== 'cutOff' && thing.thickness < thickness)
    .map((thing) => {
      const put = (patch: Partial<typeof thing>): WayOut['edits'] => [
        {
          type: 'patchSurvey',
          patch: { things: things.map((each) => (each.id === thing.id ? { ...each, ...patch } : each)) },
        },
      ]
      const isOpen = isOpening(thing.kind)
      return {
        stage: 'layout' as const,
        severity: 'watch' as const,
        says: {
          code: 'proudOf' as const,
          what: thing.kind,
          thingId: thing.id,
          strip: thickness,
          trim: thing.thickness,
        },
        stripIds: [],
        waysOut: [
          ...thinner(thing.thickness),
          { says: { code: 'swapThing' as const, kind: thing.kind, thickness }, edits: put({ thickness }) },
          ...(isOpen
            ? []
            : [{ says: { code: 'removeThing' as const, kind: thing.kind }, edits: put({ fate: 'remove' }) }]),
        ],
      }
    })
}
