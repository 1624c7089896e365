import type { Design } from '~/model'
import type { ThroughRule } from '../../strips/crossings'
import { roundPoint } from '../../geometry'
import { type Band, bandEdge, type LaidOut } from '../../layout/layout'
import { leanedTo } from '../../layout/lean'
import { reachesHead } from '../../layout/uprightStrip'
import { miteredFrame } from '../../strips/miteredFrame'
import type { Strip } from '../../strips/strip'
import { named } from '../../strips/stripId'
import { courseAt, onLine } from '../../survey/wallLines'
import type { PatternRules } from '../patternRules'
import { standingStrips, TIERS } from '../standingStrips'
import { UPRIGHT_RULES } from '../uprightRules'
import { isThreeSided } from './layGrid'

/** A mitered border: a frame of its own, on which the grid's inner strips land; null where too little is left for one. */
function miteredBorder(layout: LaidOut): Strip[] | null {
  const rails = layout.bands.filter(({ role }) => role === 'border')
  const [low, high] = [rails[0], rails[rails.length - 1]]
  const [first, last] = [layout.uprights[0], layout.uprights[layout.uprights.length - 1]]
  if (!low || !high || low === high || !first || !last || first === last) return null
  // along a floor that falls the border's corners are not square, and are halved as they are
  const corner = (band: Band, edge: 'bottom' | 'top', x: number) => {
    const line = bandEdge(band, courseAt(layout.lines, x), edge)
    const at = leanedTo(layout, x, onLine(line, x))
    return roundPoint({ x: at, y: onLine(line, at) })
  }
  const outline = [
    corner(low, 'bottom', first.left),
    corner(low, 'bottom', last.right),
    corner(high, 'top', last.right),
    corner(high, 'top', first.left),
  ]
  return miteredFrame(outline, {
    ...named({ kind: 'border', number: null }),
    number: 1,
    material: layout.battenMaterial,
    faceWidth: layout.battenMaterial.width,
    tier: TIERS.frame,
    roleOf: () => 'border',
    bounds: {
      left: first.left <= layout.lines.left ? 'wall' : 'open',
      right: last.right >= layout.lines.right ? 'wall' : 'open',
      below: 'wall',
      above: reachesHead(layout) ? 'wall' : 'open',
    },
  })
}

/** The corners of a border's head and its side stiles are mitered; all else meets as the design has it. */
export function miteredHead(design: Design): ThroughRule {
  const rest = UPRIGHT_RULES.through(design)
  const isSide = ({ tier, role }: Strip) => tier === TIERS.side && role === 'stile'
  return (a, b, place) =>
    (isSide(a) && b.role === 'border') || (isSide(b) && a.role === 'border') ? 'miter' : rest(a, b, place)
}

/** A grid's strips: its border, mitered or with rails over the stiles, and what lands inside it. */
export function gridStrips(layout: LaidOut, rules: PatternRules): Strip[] {
  const { uprights, bands, design } = layout
  // a head is mitered to two stiles, or to none
  const hasSides = design.border === 'butt' || (isThreeSided(design.border) && uprights.length > 1)
  const frame = design.border === 'miter' ? miteredBorder(layout) : null
  if (frame)
    return standingStrips(layout, rules, {
      frame,
      uprights: uprights.slice(1, -1),
      bands: bands.filter(({ role }) => role !== 'border'),
    })
  return standingStrips(layout, rules, {
    sides: hasSides ? [uprights[0], uprights.at(-1)] : [],
    sidesFirst: design.border === 'threeSidedMiter',
  })
}
