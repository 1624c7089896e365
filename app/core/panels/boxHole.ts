import { inches, type Length, nearestNanometer } from '~/length'
import { PLATES, type Thing, type ThingKind } from '~/model'

/** The box a device sits in: 2 by 3 in for one, and 1 13/16 wider for each more (NEMA OS 1 and WD 6, values from memory). */
const BOX = { width: inches(2), height: inches(3) }
const PER_GANG = inches(1.8125)
/** A plate for one device, and the step to the next larger (NEMA WD 6, values from memory). */
const ONE_GANG = inches(2.75)
/** A round box for a lamp or a thermostat. Common practice, no source. */
const ROUND = inches(4)
/**
 * Left open round a box on each side: half of the 1/8 in at most that is allowed at the edge of a box (NFPA 70, 314.21).
 */
const ROUND_BOX = inches(1 / 16)
/** A plate covers the edge of its hole by so much at least. Common practice, no source. */
const COVERS = inches(1 / 8)
/** A register or a grille covers so much of the wall round its duct on each side. Common practice, no source. */
const GRILLE_COVERS = inches(3 / 4)

/** A hole in the sheets behind a plate. */
export interface BoxHole {
  readonly width: Length
  readonly height: Length
}

/** How many devices a plate covers, by its width. */
export function gangsOf({ width }: Pick<Thing, 'width'>): number {
  return Math.max(1, Math.round((width - ONE_GANG) / PER_GANG) + 1)
}

/** The box behind a plate, where it has one. */
function boxOf(thing: Thing): BoxHole {
  const { kind, width, height } = thing
  switch (kind) {
    case 'outlet':
    case 'switch':
      return { width: nearestNanometer(BOX.width + (gangsOf(thing) - 1) * PER_GANG), height: BOX.height }
    case 'vent':
      return {
        width: nearestNanometer(width - 2 * GRILLE_COVERS),
        height: nearestNanometer(height - 2 * GRILLE_COVERS),
      }
    default:
      return { width: ROUND, height: ROUND }
  }
}

/** The hole that is usual behind a plate: its box and what is left open round it, never more than the plate covers. */
export function usualHole(thing: Thing): BoxHole {
  const box = boxOf(thing)
  const side = (size: number, plate: number) =>
    nearestNanometer(Math.max(COVERS, Math.min(size + 2 * ROUND_BOX, plate - 2 * COVERS)))
  return { width: side(box.width, thing.width), height: side(box.height, thing.height) }
}

/** The hole behind a plate: as was said, else as is usual; null for what has no plate. */
export function holeOf(thing: Thing): BoxHole | null {
  return isPlated(thing.kind) ? (thing.hole ?? usualHole(thing)) : null
}

function isPlated(kind: ThingKind): boolean {
  return (PLATES as readonly string[]).includes(kind)
}

/** How far a hole reaches past what its plate covers; nothing where the plate covers its edge. */
export function showsBy(thing: Thing): Length {
  const hole = holeOf(thing)
  if (!hole) return nearestNanometer(0)
  const past = Math.max(hole.width - thing.width, hole.height - thing.height) / 2 + COVERS
  return nearestNanometer(Math.max(0, past))
}

/** Where the hole lies on the wall: in the middle of its plate. */
export function holeBounds(thing: Thing, { width, height }: BoxHole) {
  const [x, y] = [thing.left + thing.width / 2, thing.bottom + thing.height / 2]
  return { left: x - width / 2, right: x + width / 2, bottom: y - height / 2, top: y + height / 2 }
}
