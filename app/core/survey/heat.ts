import { inches, type Length, nanometers } from '~/length'
import { type Heat, HEATS, type Thing } from '~/model'

export function isHeat(kind: Thing['kind']): kind is Heat {
  return (HEATS as readonly string[]).includes(kind)
}

/**
 * How far trim that burns keeps from what gives heat, where nothing else is said. A fireplace: 6 in from the opening (IRC
 * R1001.11, value from memory; local code first). A stove: 36 in, as codes ask without a listing of its own (NFPA 211, value from
 * memory; the maker's listing and local code first). A radiator and a heater: common practice, no source; the maker's word first.
 */
const USUAL_CLEAR: Readonly<Record<Heat, Length>> = {
  fireplace: inches(6),
  stove: inches(36),
  radiator: inches(2),
  heater: inches(6),
}

/** How far a thing keeps strips away: what was said, else what is usual for its kind; nothing where it gives no heat. */
export function clearOf({ kind, clear }: Thing): number {
  return isHeat(kind) ? (clear ?? USUAL_CLEAR[kind]) : 0
}

/** The usual distance for a kind of heat. */
export function usualClear(kind: Heat): Length {
  return USUAL_CLEAR[kind]
}

/** Beyond this a fireplace asks for nothing (IRC R1001.11, value from memory). */
const FIRE_REACHES = inches(12)
/** For each length of distance a piece may stand out by an eighth of it (IRC R1001.11, value from memory). */
const OUT_PER_DISTANCE = 1 / 8

/**
 * The space a piece needs from what gives heat, by how far it stands out from the wall: of a fireplace 6 in, and within 12 in
 * eight times what it stands out (IRC R1001.11, value from memory); of the others their usual distance.
 */
export function spaceNeeded(kind: Heat, standsOut: number): Length {
  const usual = USUAL_CLEAR[kind]
  if (kind !== 'fireplace') return usual
  return nanometers(Math.round(Math.min(FIRE_REACHES, Math.max(usual, standsOut / OUT_PER_DISTANCE))))
}
