import { type Length, nearestNanometer } from '~/length'
import { inForce, type Workpiece } from '~/model'
import type { Layout } from '../layout/layout'
import { lengthBefore, returningId } from '../layout/returning'
import type { Piece } from '../pieces'
import { rulesOf } from '../patterns/rules'
import type { Finding, WayOut } from './finding'

/** What stands at the foot and will be hidden by a floor laid up against it: the kept baseboard or the bottom rail, by its height. */
function atFoot({ wall }: Workpiece, layout: Layout): Length | null {
  const { baseboard } = wall.survey
  if (baseboard?.fate === 'keep') return baseboard.height
  const rail = layout.bands.find(
    ({ role, bottom }) => role === 'bottomRail' || (role === 'border' && bottom <= 0),
  )
  return rail ? nearestNanometer(rail.top - rail.bottom) : null
}

/** A floor that is still to come: heights go by it; what it hides; and a build-up that leaves nothing of what stands at the foot. */
export function floorFindings(workpiece: Workpiece, layout: Layout): Finding[] {
  const { baseboard, floorToCome: floor } = workpiece.wall.survey
  if (!floor) return []
  const foot = atFoot(workpiece, layout)
  // a kept baseboard stands on the floor there is, whenever the other comes
  const hidden = floor.when === 'against' || baseboard?.fate === 'keep'
  const findings: Finding[] = [
    {
      stage: 'measure',
      severity: 'note',
      says: { code: 'floorToCome', floor, hides: hidden && foot !== null ? floor.build : null },
      stripIds: [],
      waysOut: [],
    },
  ]
  if (!hidden || foot === null || foot > floor.build) return findings
  const { framesItself } = rulesOf(layout)
  const design = inForce(workpiece.wall.design)
  const railMaterial = design.topRail?.material ?? design.battenMaterial
  const waysOut: WayOut[] = [
    ...(baseboard?.fate === 'keep'
      ? [
          {
            says: { code: 'removeBase' as const },
            edits: [
              {
                type: 'patchSurvey' as const,
                patch: { baseboard: { ...baseboard, fate: 'remove' as const } },
              },
              {
                type: 'patchDesign' as const,
                patch: {
                  foot: framesItself
                    ? { kind: 'floor' as const }
                    : { kind: 'rail' as const, material: railMaterial },
                },
              },
            ],
          },
        ]
      : []),
    {
      says: { code: 'floorBuild', build: nearestNanometer(foot / 2) },
      edits: [
        { type: 'patchSurvey', patch: { floorToCome: { ...floor, build: nearestNanometer(foot / 2) } } },
      ],
    },
    ...(floor.when === 'against' && baseboard?.fate !== 'keep'
      ? [
          {
            says: { code: 'floorUnder' as const },
            edits: [
              {
                type: 'patchSurvey' as const,
                patch: { floorToCome: { ...floor, when: 'under' as const } },
              },
            ],
          },
        ]
      : []),
  ]
  return [
    ...findings,
    {
      stage: 'layout',
      severity: 'wrong',
      blocks: { key: 'floor.build', figure: floor.build },
      says: { code: 'floorOverBase', build: floor.build, base: foot },
      stripIds: [],
      waysOut,
    },
  ]
}

/** Trim that comes off and goes back on: how long it is then, of how many pieces; or that nothing is left for it. */
export function returningFindings({ wall }: Workpiece, pieces: readonly Piece[]): Finding[] {
  const { things } = wall.survey
  return things
    .filter(({ fate }) => fate === 'goesBack')
    .map((thing): Finding => {
      const own = pieces.filter(({ stripId }) => stripId === returningId(thing.id))
      const length = own.reduce((sum, { longLength }) => sum + longLength, 0)
      const about = { stage: 'layout' as const, stripIds: own.slice(0, 1).map(({ stripId }) => stripId) }
      if (own.length === 0)
        return {
          ...about,
          severity: 'watch',
          says: { code: 'goesBackNowhere', thingId: thing.id },
          waysOut: [
            {
              says: { code: 'leaveOff', kind: thing.kind },
              edits: [
                {
                  type: 'patchSurvey',
                  patch: {
                    things: things.map((each) => (each.id === thing.id ? { ...each, fate: 'remove' } : each)),
                  },
                },
              ],
            },
          ],
        }
      return {
        ...about,
        severity: 'note',
        says: {
          code: 'goesBack',
          thingId: thing.id,
          kind: thing.kind,
          length: nearestNanometer(length),
          before: lengthBefore(thing),
          parts: own.length,
        },
        waysOut: [],
      }
    })
}
