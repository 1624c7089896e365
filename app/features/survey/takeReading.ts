import type { Length } from '~/length'
import type { LengthReading, LengthReadingKind, Reading } from '~/model'

/** A short name for a new entry of a survey; unique enough within one wall. */
export function newEntryId(prefix: string): string {
  return `${prefix}-${Math.random().toString(36).slice(2, 10)}`
}

/** A reading as taken now. */
export function takeReading(
  kind: LengthReadingKind,
  place: Length,
  value: Length,
  method: Reading['method'],
): LengthReading {
  return { id: newEntryId('r'), kind, place, value, method, takenAt: new Date().toISOString() }
}
