import type { Act } from '~/model'

/** A strip as it is laid out now: its left edge in nanometers from the wall's left end. */
interface Placed {
  readonly id: string
  readonly left: number
}

/**
 * The strips whose marks are on the wall, by their ids: of the acts of each strip the last counts, and a strip that has moved
 * by more than `within` nanometers since is not marked any more.
 */
export function markedStrips(acts: readonly Act[], strips: readonly Placed[], within: number): Set<string> {
  const last = new Map<string, Act>()
  for (const act of [...acts].sort((a, b) => a.doneAt - b.doneAt)) last.set(act.strip, act)
  return new Set(
    strips
      .filter(({ id, left }) => {
        const act = last.get(id)
        return act?.kind === 'marked' && Math.abs(act.left - left) <= within
      })
      .map(({ id }) => id),
  )
}
