import type { Saw, Shop, Tool } from '~/model'
import type { EndCut } from '../pieces'

/**
 * One setting of the saw, for a piece that lies with its start to the left and its left edge against the fence. `swingDeg` is what the
 * scale reads (0 is square), `hand` to which side the handle goes; `tiltDeg` leans the blade, to `tilt`. `face` says which side is up.
 */
export interface SawSetting {
  readonly swingDeg: number
  readonly hand: 'left' | 'right' | null
  readonly tiltDeg: number
  readonly tilt: 'left' | 'right' | null
  readonly face: 'up' | 'down'
}

/** The saw as the job has it: how far it swings and tilts, how wide it cuts. */
export interface SawLimits {
  readonly left: number
  readonly right: number
  readonly tiltLeft: number
  readonly tiltRight: number
  readonly crosscut: number
  readonly detents: readonly number[]
  readonly tools: readonly Tool[]
}

export function sawLimits({ swing, saw, tools }: Pick<Shop, 'swing' | 'saw' | 'tools'>): SawLimits {
  const { swingRight, tiltLeft, tiltRight, crosscut, detents }: Saw = saw
  return { left: swing, right: swingRight ?? swing, tiltLeft, tiltRight, crosscut, detents, tools }
}

/** Angles nearer than this are one: no scale tells them apart. */
export const SAME_DEG = 0.05

const SQUARE_SETTING: SawSetting = { swingDeg: 0, hand: null, tiltDeg: 0, tilt: null, face: 'up' }

/** Two settings are one when the saw stands alike; how the piece lies changes nothing of it. */
export function settingKey({ swingDeg, hand, tiltDeg, tilt }: SawSetting): string {
  return `${hand ?? ''}${swingDeg.toFixed(1)} ${tilt ?? ''}${tiltDeg.toFixed(1)}`
}

/** To a hundredth: engines differ in the last digits of a sine, and no saw goes by them. */
function rounded(deg: number): number {
  return Math.round(deg * 100) / 100
}

function swung(deg: number, longEdge: 'left' | 'right', isStart: boolean): SawSetting {
  if (deg < SAME_DEG) return SQUARE_SETTING
  // the piece lies right of the blade for its start and left of it for its end
  const hand = (longEdge === 'left') === isStart ? 'right' : 'left'
  return { ...SQUARE_SETTING, swingDeg: rounded(deg), hand }
}

function tilted(deg: number, longSide: 'back' | 'face', isStart: boolean, saw: SawLimits): SawSetting {
  if (deg < SAME_DEG) return SQUARE_SETTING
  const tilt = (longSide === 'face') === isStart ? 'left' : 'right'
  const reach = { left: saw.tiltLeft, right: saw.tiltRight }
  const other = tilt === 'left' ? 'right' : 'left'
  // a saw that leans but one way makes it with the face down
  const over = deg > reach[tilt] + SAME_DEG && deg <= reach[other] + SAME_DEG
  return { ...SQUARE_SETTING, tiltDeg: rounded(deg), tilt: over ? other : tilt, face: over ? 'down' : 'up' }
}

/** What the saw is set to for one end of a piece, one setting a cut: a pointed end takes several. */
export function settingsOf(cut: EndCut, isStart: boolean, faceWidth: number, saw: SawLimits): SawSetting[] {
  const across = (points: readonly { readonly fromLeft: number; readonly back: number }[]) =>
    points.slice(1).map((to, i) => {
      const from = points[i] ?? to
      const deg = (Math.atan2(Math.abs(to.back - from.back), to.fromLeft - from.fromLeft) * 180) / Math.PI
      return swung(deg, to.back > from.back ? 'left' : 'right', isStart)
    })
  switch (cut.kind) {
    case 'square':
      return [SQUARE_SETTING]
    case 'miter':
      return [swung(cut.sawSettingDeg, cut.longEdge, isStart)]
    case 'bevel':
      return [tilted(cut.bevelDeg, 'back', isStart, saw)]
    case 'scarf':
      return [tilted(cut.bevelDeg, cut.hidden > 0 ? 'back' : 'face', isStart, saw)]
    case 'cope':
      // an inside miter first, whose edge shows the profile to saw along
      return [tilted(cut.sawSettingDeg, 'back', isStart, saw)]
    case 'cornerMiter':
      // what lies flat has the wall's edge at the fence
      return cut.flat
        ? [swung(cut.sawSettingDeg, cut.longSide === 'face' ? 'right' : 'left', isStart)]
        : [tilted(cut.sawSettingDeg, cut.longSide, isStart, saw)]
    case 'returned':
      // it lies flat, the wall's edge at the fence: the front is the long edge
      return [swung(cut.sawSettingDeg, 'right', isStart)]
    case 'twoCuts':
      return across([
        { fromLeft: 0, back: cut.leftBack },
        { fromLeft: cut.meetFromLeft, back: cut.meetBack },
        { fromLeft: faceWidth, back: cut.rightBack },
      ])
    case 'severalCuts':
      return across(cut.points)
  }
}

/**
 * The setting of the other hand, at which the same end is cut with the piece face down; null where nothing is swung, the blade leans too, or
 * the saw does not swing so far there. `only`: its own hand is past the saw's reach.
 */
export function turnedOver(
  setting: SawSetting,
  saw: SawLimits,
): { readonly setting: SawSetting; readonly only: boolean } | null {
  const { hand, swingDeg, tilt } = setting
  if (!hand || tilt) return null
  const other = hand === 'left' ? 'right' : 'left'
  const reaches = (side: 'left' | 'right') => swingDeg <= saw[side] + SAME_DEG
  if (!reaches(other)) return null
  return { setting: { ...setting, hand: other, face: 'down' }, only: !reaches(hand) }
}

/** How a cut is made that the saw does not reach as it stands. */
export type OtherWay =
  /** The piece turned over, face down: the saw swings or leans to its other side. */
  | { readonly way: 'turnOver'; readonly hand: 'left' | 'right' }
  /** Held square to the fence, on a block with a right angle: the saw reads what is left to 90. */
  | { readonly way: 'squareBlock'; readonly deg: number }
  /** Lain flat or on edge it is wider than the saw cuts: with a guided circular saw, by hand. */
  | { readonly way: 'guided' | 'byHand' }
  /** Nothing the crew has makes it: the mate's cut is changed, or somebody else makes it. */
  | { readonly way: 'mate' }

/** Angles of a hand saw's box. Common practice, no source. */
const BOX_ANGLES = [0, 22.5, 45]

/** Why a setting is past the saw, and how else it is cut; null where the saw makes it. */
export function otherWay(
  { swingDeg, hand, tiltDeg, tilt }: SawSetting,
  faceWidth: number,
  saw: SawLimits,
): OtherWay | null {
  const has = (tool: Tool) => saw.tools.includes(tool)
  const free = (): OtherWay =>
    has('ripGuide')
      ? { way: 'guided' }
      : has('handSaw') || has('jigsaw')
        ? { way: 'byHand' }
        : { way: 'mate' }
  if (!has('miterSaw')) {
    const inBox = has('handBox') && tiltDeg < SAME_DEG
    return inBox && BOX_ANGLES.some((deg) => Math.abs(deg - swingDeg) < SAME_DEG) ? null : free()
  }
  if (faceWidth / Math.cos((swingDeg * Math.PI) / 180) > saw.crosscut && swingDeg <= 89) {
    const reach = Math.max(saw.left, saw.right)
    if (swingDeg <= reach + SAME_DEG || faceWidth > saw.crosscut) return free()
  }
  const reach = { left: saw.left, right: saw.right }
  if (hand && swingDeg > reach[hand] + SAME_DEG) {
    const other = hand === 'left' ? 'right' : 'left'
    if (swingDeg <= reach[other] + SAME_DEG) return { way: 'turnOver', hand: other }
    return 90 - swingDeg <= Math.max(reach.left, reach.right)
      ? { way: 'squareBlock', deg: 90 - swingDeg }
      : free()
  }
  const lean = { left: saw.tiltLeft, right: saw.tiltRight }
  return tilt && tiltDeg > lean[tilt] + SAME_DEG ? free() : null
}

/** The detent a swing falls on; null where it is set by the scale between them. */
export function detentAt(swingDeg: number, detents: readonly number[]): number | null {
  return detents.find((detent) => Math.abs(detent - swingDeg) <= SAME_DEG) ?? null
}
