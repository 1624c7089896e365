import { inches, type Length, nanometers, ZERO } from '~/length'
import type { Survey, Thing, ThingKind } from '~/model'

/** Usual sizes, width by height in inches, casing, height of the middle or the bottom: common practice, no source. */
const USUAL: Readonly<Record<ThingKind, { width: number; height: number; casing: number; bottom: number }>> =
  {
    window: { width: 34, height: 46, casing: 2.5, bottom: 34 },
    door: { width: 32, height: 80, casing: 2.5, bottom: 0 },
    outlet: { width: 2.75, height: 4.5, casing: 0, bottom: 13.75 },
    switch: { width: 2.75, height: 4.5, casing: 0, bottom: 45.75 },
    thermostat: { width: 4, height: 4, casing: 0, bottom: 58 },
    vent: { width: 12, height: 6, casing: 0, bottom: 6 },
    sconce: { width: 5, height: 5, casing: 0, bottom: 64 },
    sideTrim: { width: 1, height: 40, casing: 0, bottom: 0 },
    chairRail: { width: 60, height: 2.5, casing: 0, bottom: 33 },
    ledge: { width: 30, height: 1, casing: 0, bottom: 40 },
    stool: { width: 40, height: 1, casing: 0, bottom: 32 },
    shelf: { width: 36, height: 1, casing: 0, bottom: 60 },
    chimneyBreast: { width: 54, height: 96, casing: 0, bottom: 0 },
    fireplace: { width: 36, height: 30, casing: 0, bottom: 0 },
    stove: { width: 24, height: 34, casing: 0, bottom: 0 },
    radiator: { width: 40, height: 24, casing: 0, bottom: 5 },
    heater: { width: 48, height: 8, casing: 0, bottom: 0 },
    cabinet: { width: 36, height: 30, casing: 0, bottom: 54 },
    panel: { width: 15, height: 30, casing: 0, bottom: 40 },
    mirror: { width: 30, height: 40, casing: 0, bottom: 36 },
    television: { width: 57, height: 33, casing: 0, bottom: 36 },
    tile: { width: 48, height: 18, casing: 0, bottom: 36 },
    obstacle: { width: 12, height: 12, casing: 0, bottom: 36 },
    bed: { width: 62, height: 44, casing: 0, bottom: 0 },
    sofa: { width: 84, height: 32, casing: 0, bottom: 0 },
    table: { width: 60, height: 30, casing: 0, bottom: 0 },
    cutOff: { width: 40, height: 40, casing: 0, bottom: 50 },
    stair: { width: 90, height: 63, casing: 0, bottom: 0 },
    landing: { width: 36, height: 63, casing: 0, bottom: 0 },
  }

/** Plate sizes to choose from, width by height in inches: common practice, no source. */
export const PLATE_SIZES: readonly { id: string; text: string; width: Length; height: Length }[] = [
  { id: '1', text: 'one gang, 2 3/4 × 4 1/2', width: inches(2.75), height: inches(4.5) },
  { id: '2', text: 'two gang, 4 9/16 × 4 1/2', width: inches(4.5625), height: inches(4.5) },
  { id: '3', text: 'three gang, 6 3/8 × 4 1/2', width: inches(6.375), height: inches(4.5) },
  { id: 'mid', text: 'one gang midway, 3 1/8 × 4 7/8', width: inches(3.125), height: inches(4.875) },
  { id: 'jumbo', text: 'one gang jumbo, 3 1/2 × 5 1/4', width: inches(3.5), height: inches(5.25) },
]

/** Side trim starts at the left corner, a missing part at the right one, all else in the middle. */
function startLeft(kind: ThingKind, survey: Survey, width: Length): Length {
  if (kind === 'sideTrim') return ZERO
  const room = survey.width - width
  return nanometers(kind === 'cutOff' ? room : Math.round(room / 2))
}

/** A thing of usual size in the middle of the wall, by this identifier, to be put in its place. */
export function usualThing(kind: ThingKind, survey: Survey, id: string): Thing {
  const { width, height, casing, bottom } = USUAL[kind]
  const fits = nanometers(Math.min(inches(width), survey.width))
  return {
    id,
    kind,
    left: startLeft(kind, survey, fits),
    bottom: kind === 'cutOff' ? nanometers(Math.max(0, survey.height - inches(height))) : inches(bottom),
    width: fits,
    height: kind === 'chimneyBreast' ? survey.height : inches(height),
    thickness: kind === 'chimneyBreast' ? inches(14) : inches(0.75),
    casing: inches(casing),
    fate: 'keep',
    clear: null,
    // a part that is missing is a square notch until a slope is said
    slope: kind === 'stair' ? 'risesRight' : null,
    fromRight: null,
    fromTop: null,
  }
}
