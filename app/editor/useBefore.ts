import { useState } from 'react'

/** What a wall comes to. Cost in hundredths of money as far as prices are known; null where none is. */
export interface Totals {
  readonly pieces: number
  readonly boards: number
  readonly cost: number | null
}

function same(a: Totals, b: Totals): boolean {
  return a.pieces === b.pieces && a.boards === b.boards && a.cost === b.cost
}

/** The totals as they were before the last change that moved them; null until one has. `settled` is false while they are worked out. */
export function useBefore(now: Totals, settled: boolean): Totals | null {
  // a first plan that is only made better was no change
  const [seen, setSeen] = useState<{ now: Totals | null; before: Totals | null }>({ now: null, before: null })
  if (settled && (seen.now === null || !same(seen.now, now))) setSeen({ now, before: seen.now })
  return seen.before
}
