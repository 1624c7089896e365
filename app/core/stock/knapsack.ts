/** The most valuable filling of one room. */
export interface Filling {
  readonly counts: readonly number[]
  readonly value: number
  /** A proven upper bound: equals `value` when the search was finished. */
  readonly atMost: number
}

const MOST_NODES = 400_000

/**
 * The most valuable filling of a room with at most `limits[i]` things of size `sizes[i]`, each worth
 * `values[i]`. Branch and bound on the value per size, so any whole sizes will do, however fine their grid.
 * When the search is cut short, `atMost` still bounds every filling.
 */
export function fillRoom(
  sizes: readonly number[],
  values: readonly number[],
  limits: readonly number[],
  room: number,
  mostNodes = MOST_NODES,
): Filling {
  const order = sizes
    .map((size, i) => ({ i, size, value: values[i] ?? 0, limit: limits[i] ?? 0 }))
    .filter(({ size, value, limit }) => value > 0 && limit > 0 && size <= room)
    .sort((a, b) => b.value / b.size - a.value / a.size || b.size - a.size)
  const best = { value: 0, counts: new Array<number>(sizes.length).fill(0) }
  const counts = new Array<number>(sizes.length).fill(0)
  let nodes = 0

  function bound(k: number, left: number): number {
    let sum = 0
    let space = left
    for (let j = k; j < order.length; j++) {
      const item = order[j]
      if (!item) break
      const fits = Math.min(item.limit, Math.floor(space / item.size))
      sum += fits * item.value
      space -= fits * item.size
      if (fits < item.limit) return sum + (space * item.value) / item.size
    }
    return sum
  }

  function search(k: number, left: number, value: number): void {
    if (value > best.value) {
      best.value = value
      best.counts = [...counts]
    }
    const item = order[k]
    if (!item || nodes > mostNodes) return
    nodes++
    if (value + bound(k, left) <= best.value * (1 + 1e-12) + 1e-12) return
    for (let take = Math.min(item.limit, Math.floor(left / item.size)); take >= 0; take--) {
      counts[item.i] = take
      search(k + 1, left - take * item.size, value + take * item.value)
    }
    counts[item.i] = 0
  }

  search(0, room, 0)
  return {
    counts: best.counts,
    value: best.value,
    atMost: nodes > mostNodes ? Math.max(best.value, bound(0, room)) : best.value,
  }
}
