import type { LengthReading, LengthReadingKind, Reading } from '~/model'
import type { Profile } from './profile'

/** The readings of a kind that count: of several at one place the last, ordered by place. */
export function latestReadings(readings: readonly Reading[], kind: LengthReadingKind): LengthReading[] {
  const byPlace = new Map<number, LengthReading>()
  for (const reading of readings)
    if ('place' in reading && reading.kind === kind) byPlace.set(reading.place, reading)
  return [...byPlace.values()].sort((a, b) => a.place - b.place)
}

/** The same as a profile; null when nothing of the kind was read. */
export function profileOf(readings: readonly Reading[], kind: LengthReadingKind): Profile | null {
  const points = latestReadings(readings, kind).map(({ place, value }) => ({ place, value }))
  return points.length === 0 ? null : { points }
}
