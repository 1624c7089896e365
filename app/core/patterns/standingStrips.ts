import { bandStrips } from '../layout/bandStrips'
import type { Band, LaidOut, Upright } from '../layout/layout'
import { uprightStrip } from '../layout/uprightStrip'
import { byTier, type ThroughRule } from '../strips/crossings'
import { type Line, TOUCHING } from '../geometry'
import { fittedStile } from '../layout/sideStile'
import { type End, faceLine, type Strip } from '../strips/strip'
import type { PatternRules } from './patternRules'

/**
 * Who runs through: a mitered frame before all else. With uprights through all horizontals land on them; else a border's
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

/** What closes a layout at its two ends: an upright strip hard against an end of what is covered, and its inner face. */
interface Closing {
  readonly id: string
  readonly tier: Strip['tier']
  readonly halved: boolean
  readonly face: Line
}

/** The upright strips, a frame's sides among them, that stand hard at the ends of what is covered. */
function closingOf(
  { left, right, uprights, fillers }: LaidOut,
  standing: readonly Strip[],
  frame: readonly Strip[],
): { left: Closing | null; right: Closing | null } {
  const at = (side: 'left' | 'right'): Closing | null => {
    const [framed] = frame.filter(({ part }) => part === side)
    // a frame's sides run round it, its inside on their left
    if (framed) return { id: '', tier: framed.tier, halved: false, face: faceLine(framed, 'left') }
    const own = [...uprights, ...fillers].find((upright) =>
      side === 'left' ? upright.left <= left + TOUCHING : upright.right >= right - TOUCHING,
    )
    const strip = own && standing.find(({ id }) => id === own.id)
    return strip
      ? {
          id: strip.id,
          tier: strip.tier,
          halved: canBeHalved(strip),
          face: faceLine(strip, side === 'left' ? 'right' : 'left'),
        }
      : null
  }
  return { left: at('left'), right: at('right') }
}

/**
 * The strips of a horizontal, ended at what closes the layout where they land on it: the wall may lean away behind that, and what
 * would lie there is a gap to be closed, not a piece.
 */
function landed(
  strips: readonly Strip[],
  { left, right }: { left: Closing | null; right: Closing | null },
  design: LaidOut['design'],
): Strip[] {
  const lands = (strip: Strip, closing: Closing | null): closing is Closing =>
    closing !== null &&
    closing.tier !== null &&
    strip.tier !== null &&
    closing.tier < strip.tier &&
    !(design.through === 'lapped' && closing.halved && canBeHalved(strip))
  const at = ({ face }: Closing): End => ({ lines: [face], against: 'strip' })
  return strips.map((strip, i) => ({
    ...strip,
    ...(i === 0 && lands(strip, left) ? { start: at(left) } : {}),
    ...(i === strips.length - 1 && lands(strip, right) ? { end: at(right) } : {}),
  }))
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
  const stand = [
    ...standing.map((upright) => uprightStrip(layout, upright, rules, tierOfUpright(upright))),
    ...fillers.map((upright) => uprightStrip(layout, upright, { ...rules, uprightRole: 'filler' }, filler)),
  ]
  const closing = closingOf({ ...layout, uprights: standing, fillers }, stand, frame)
  // what stands at an end may be made to follow it: its inner face stays
  const fitted = stand.map((strip) =>
    strip.id === closing.left?.id
      ? fittedStile(strip, 'left', layout)
      : strip.id === closing.right?.id
        ? fittedStile(strip, 'right', layout)
        : strip,
  )
  return [
    ...frame,
    ...bands.filter((band) => !crosses(band)).flatMap((band) => bandStrips(layout, band, null)),
    ...fitted,
    ...bands
      .filter(crosses)
      .flatMap((band) => landed(bandStrips(layout, band, tierOfBand(band)), closing, layout.design)),
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
