import { type Length, nearestNanometer } from '~/length'
import { inForce, LEVEL_RULES, type Workpiece } from '~/model'
import type { Layout } from '../layout/layout'
import { topsFollow } from '../layout/uprightStrip'
import { rulesOf } from '../patterns/rules'
import { bendsWithin, profileAt } from '../survey/profile'
import { laidOut } from '../edits/laidOut'
import { baseAt, spaceUnder } from '../survey/wallLines'
import type { Finding, WayOut } from './finding'

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

/** The lowest and the highest the uprights end, above the base line; null without any. */
function headsOf({ shape, lines, uprights }: Layout): { least: Length; most: Length } | null {
  const crown = lines.ceiling - lines.headLine
  const all = uprights.flatMap(({ left, right }) =>
    [left, right].map((x) => profileAt(shape.ceiling, x) - crown - baseAt(lines, x)),
  )
  return all.length === 0
    ? null
    : { least: nearestNanometer(Math.min(...all)), most: nearestNanometer(Math.max(...all)) }
}

/** Uprights of full height that could each end at the ceiling, and were asked not to. */
function canFollow(layout: Layout): boolean {
  return (
    layout.design.tops === 'level' &&
    rulesOf(layout).standsFree &&
    topsFollow({ ...layout, design: { ...layout.design, tops: 'ceiling' } })
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
  // uprights that each end at the ceiling leave nothing open, and have lengths of their own
  const follows = topsFollow(layout) && rulesOf(layout).standsFree
  const heads = follows && lines.followed.length === 0 ? headsOf(layout) : null
  if (heads && heads.most - heads.least > settings.fit)
    findings.push({
      stage: 'layout',
      severity: 'note',
      says: { code: 'topsFollow', least: heads.least, most: heads.most },
      stripIds: [],
      waysOut: [
        {
          says: { code: 'topsWay', tops: 'level' },
          edits: [{ type: 'patchDesign', patch: { tops: 'level' } }],
        },
      ],
    })
  // only what comes up to the ceiling is open under it
  const reaches = layout.top > lines.headLine - settings.fit && layout.top <= lines.headLine + settings.fit
  const open = reaches && !follows && lines.followed.length === 0 ? spaceOver(layout) : 0
  if (open > settings.fit)
    findings.push({
      stage: 'layout',
      severity: 'note',
      says: { code: 'ceilingFalls', fall: fallOf(shape.ceiling), gap: open, caulk: settings.caulk },
      stripIds: [],
      waysOut: [
        ...(canFollow(layout)
          ? [
              {
                says: { code: 'topsWay' as const, tops: 'ceiling' as const },
                edits: [{ type: 'patchDesign' as const, patch: { tops: 'ceiling' as const } }],
              },
            ]
          : []),
        ...(fall > settings.fit ? [] : otherRules(workpiece)),
      ],
    })
  return findings
}
