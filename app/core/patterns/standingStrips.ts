import { bandStrips } from '../layout/bandStrips'
import type { Band, LaidOut, Upright } from '../layout/layout'
import { uprightStrip } from '../layout/uprightStrip'
import { byTier, type ThroughRule } from '../strips/crossings'
import type { Strip } from '../strips/strip'
import type { PatternRules } from './patternRules'

/**
 * Who runs through: a mitred frame before all else. With uprights through all horizontals land on them; else a border's
 * rails run over its stiles, the rails between run from stile to stile, and what stands between lands on both.
 */
export const TIERS = { frame: 0, outerRail: 1, side: 2, through: 3, rail: 4, upright: 5 }

/** Plain stuff that lies with its width on the wall: a shelf or a profile can't be halved. */
function canBeHalved({ role, faceWidth, material, tier }: Strip): boolean {
  return faceWidth === material.width && (tier === TIERS.upright || (tier === TIERS.rail && role === 'rail'))
}

/** Rails and uprights run on where they cross, the rail over the upright; all else as by tier. */
export const lapped: ThroughRule = (a, b, place) => {
  if (a.tier === b.tier || !canBeHalved(a) || !canBeHalved(b)) return byTier(a, b, place)
  return a.tier === TIERS.rail ? 'aOver' : 'bOver'
}

/** What is left to the common way of uprights and horizontals, and which uprights close the layout at its sides. */
interface Standing {
  readonly uprights: readonly Upright[]
  readonly bands: readonly Band[]
  readonly sides: readonly (Upright | undefined)[]
  /** They are sides even where uprights run through. */
  readonly sidesFirst: boolean
  /** Strips of the pattern's own that frame the rest. */
  readonly frame: readonly Strip[]
}

/** The strips of uprights and horizontals, each with the tier that says what runs through it. */
export function standingStrips(
  layout: LaidOut,
  rules: Pick<PatternRules, 'uprightRole' | 'footBevels' | 'framesItself'>,
  {
    uprights = layout.uprights,
    bands = layout.bands,
    sides = [],
    sidesFirst = false,
    frame = [],
  }: Partial<Standing> = {},
): Strip[] {
  const { uprightFoot, uprightHead, uprightsThrough } = layout
  const standing = uprightHead <= uprightFoot ? [] : uprights
  const fillers = standing.length > 0 || frame.length > 0 ? layout.fillers : []
  // what lies wholly above the uprights or below them crosses none
  const crosses = ({ bottom, top, role }: Band) =>
    role === 'border' || (role !== 'bottomRail' && top > uprightFoot && bottom < uprightHead)
  const tierOfBand = ({ role }: Band) =>
    role === 'border' && !uprightsThrough ? TIERS.outerRail : TIERS.rail
  const tierOfUpright = (upright: Upright) => {
    const isSide = sides.includes(upright)
    if (uprightsThrough && !(isSide && sidesFirst)) return TIERS.through
    return isSide ? TIERS.side : TIERS.upright
  }
  const filler = uprightsThrough ? TIERS.through : TIERS.side
  return [
    ...frame,
    ...bands.filter((band) => !crosses(band)).flatMap((band) => bandStrips(layout, band, null)),
    ...standing.map((upright) => uprightStrip(layout, upright, rules, tierOfUpright(upright))),
    ...fillers.map((upright) => uprightStrip(layout, upright, { ...rules, uprightRole: 'filler' }, filler)),
    ...bands.filter(crosses).flatMap((band) => bandStrips(layout, band, tierOfBand(band))),
  ]
}

/** The strips of a layout without uprights: its horizontals, which nothing crosses but each other. */
export function levelStrips(layout: LaidOut): Strip[] {
  return standingStrips(
    layout,
    { uprightRole: 'batten', footBevels: () => false, framesItself: false },
    { uprights: [] },
  )
}
