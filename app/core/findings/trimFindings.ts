import { type Length, nearestNanometer } from '~/length'
import { type LevelRule, LEVEL_RULES, QUARTER_ROUND, usualOffers, type Workpiece } from '~/model'
import type { Layout } from '../layout/layout'
import type { StripPlan } from '../layout/strips'
import { meetings, placePiece, treatmentOf } from '../pieces'
import { isOpening } from '../survey/obstacles'
import { bendsWithin, profileAt } from '../survey/profile'
import { baseLine, spaceUnder } from '../survey/wallLines'
import type { Finding, WayOut } from './finding'
import { unitVector } from '../geometry'

/** What each rule leaves: the space under the rails to caulk or scribe, and how far they are off level. */
function leftBy(rule: LevelRule, { shape, lines }: Layout): { gap: number; outOfLevel: number } {
  const base = baseLine(shape, rule, lines.left, lines.right)
  return {
    gap: spaceUnder(shape, base, lines.left, lines.right),
    outOfLevel: Math.abs(base.slope) * (lines.right - lines.left),
  }
}

/** A floor that falls more than the fitting tolerance: what each rule for the rails would leave. */
export function slopeFindings({ wall, settings }: Workpiece, layout: Layout): Finding[] {
  const { shape, lines } = layout
  const heights = bendsWithin(shape.floor, lines.left, lines.right).map((x) => profileAt(shape.floor, x))
  const fall = Math.max(...heights) - Math.min(...heights)
  if (fall <= settings.fit) return []
  const { levelRule } = wall.design
  const waysOut = LEVEL_RULES.filter((rule) => rule !== levelRule).map((rule): WayOut => ({
    says: { code: 'useLevelRule', rule, ...leftBy(rule, layout) },
    edits: [{ type: 'patchDesign', patch: { levelRule: rule } }],
  }))
  return [
    {
      stage: 'layout',
      severity: 'note',
      says: { code: 'floorFalls', fall, rule: levelRule, ...leftBy(levelRule, layout) },
      stripIds: [],
      waysOut,
    },
  ]
}

/** The thickness that comes up against trim: the uprights', or where there are none the thickest horizontal's. */
function meetingThickness({ pattern, battenMaterial, bands }: Layout): Length {
  if (pattern !== 'boxes' && pattern !== 'rails') return battenMaterial.thickness
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
export function proudFindings(workpiece: Workpiece, layout: Layout, plans: readonly StripPlan[]): Finding[] {
  const { wall, settings } = workpiece
  const { survey, design } = wall
  const thickness = meetingThickness(layout)
  const standsOnBase = layout.pattern !== 'boxes' && layout.pattern !== 'rails'
  const findings: Finding[] = []
  const thinner = (limit: number): WayOut[] =>
    settings.materials
      .filter((material) => material.thickness <= limit)
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
    standsOnBase &&
    base?.fate === 'keep' &&
    design.foot.kind !== 'rail' &&
    thickness > base.thickness &&
    design.proud === 'leave'
  ) {
    findings.push({
      stage: 'layout',
      severity: 'watch',
      says: { code: 'proudOf', what: 'baseboard', strip: thickness, trim: base.thickness },
      stripIds: layout.uprights.map(({ id }) => id).slice(0, 1),
      waysOut: [
        ...thinner(base.thickness),
        ...(layout.pattern === 'grid' ? [] : onBase(workpiece, railMaterial)),
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
                foot:
                  layout.pattern === 'grid' ? { kind: 'floor' } : { kind: 'rail', material: railMaterial },
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
  return [...findings, ...thingFindings(workpiece, layout, plans, thinner)]
}

/** Things that strips end at, within their own length. */
function endedAt({ spec }: StripPlan, layout: Layout, meets: Workpiece['wall']['design']['meets']): string[] {
  const ending = meetings(spec, layout.obstacles).filter((each) => treatmentOf(each, meets) === 'end')
  if (ending.length === 0) return []
  const whole = placePiece({ ...spec, id: spec.stripId })
  if (!whole) return []
  const along = unitVector(spec.directionDeg)
  const at = whole.polygon.map(({ x, y }) => (x - spec.center.x) * along.x + (y - spec.center.y) * along.y)
  return ending
    .filter(({ from, to }) => to > Math.min(...at) && from < Math.max(...at))
    .map(({ obstacle }) => obstacle.id)
}

/** Casing and other trim that strips end at and that is thinner than they are. */
function thingFindings(
  { wall }: Workpiece,
  layout: Layout,
  plans: readonly StripPlan[],
  thinner: (limit: number) => WayOut[],
): Finding[] {
  const thickness = meetingThickness(layout)
  const { things } = wall.survey
  const met = new Set(plans.flatMap((plan) => endedAt(plan, layout, wall.design.meets)))
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
        says: { code: 'proudOf' as const, what: thing.kind, strip: thickness, trim: thing.thickness },
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
