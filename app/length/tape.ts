import { type Length, nanometers, NM_PER_INCH, NM_PER_MM } from './length'

/** The finest division read on the tape. */
export const TAPES = ['1/8', '1/16', '1/32', '1 mm', '0.5 mm'] as const
export type Tape = (typeof TAPES)[number]

/** How lengths are written: inches alone, feet and inches, or millimeters. */
export const UNITS = ['inches', 'feet-inches', 'mm'] as const
export type Units = (typeof UNITS)[number]

/** Distance between two neighboring ticks of the tape. */
export function tickOf(tape: Tape): Length {
  switch (tape) {
    case '1/8':
      return nanometers(NM_PER_INCH / 8)
    case '1/16':
      return nanometers(NM_PER_INCH / 16)
    case '1/32':
      return nanometers(NM_PER_INCH / 32)
    case '1 mm':
      return nanometers(NM_PER_MM)
    case '0.5 mm':
      return nanometers(NM_PER_MM / 2)
  }
}

/** The tapes that can be read in these units. */
export function tapesFor(units: Units): readonly Tape[] {
  return units === 'mm' ? ['1 mm', '0.5 mm'] : ['1/8', '1/16', '1/32']
}

/** A length as the tape shows it: the nearest tick, and where the true value lies from that tick. */
export interface TapeReading {
  readonly exact: number
  readonly tick: Length
  /** True value less the tick, in nanometers; at most half a tick either way. */
  readonly off: number
  /** 'on' when the pencil line hides the difference (under a sixteenth of a tick). */
  readonly side: 'on' | 'over' | 'under'
}

/**
 * Reads an exact running value (nanometers, may be fractional) on the tape. A value halfway between two
 * ticks goes to the upper one. Never round gaps and add them: round each running value with this.
 */
export function readOnTape(exact: number, tape: Tape): TapeReading {
  const tick = tickOf(tape)
  const rounded = nanometers(Math.floor(exact / tick + 0.5) * tick)
  const off = exact - rounded
  const side = Math.abs(off) < tick / 16 ? 'on' : off > 0 ? 'over' : 'under'
  return { exact, tick: rounded, off, side }
}
